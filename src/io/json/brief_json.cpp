#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"
#include "io/json/shoot_nodes.h"

namespace bslate::io {
namespace {

constexpr std::array kColourNames = {NamedValue<DeliveryColour>{"sdr", DeliveryColour::Sdr},
                                     NamedValue<DeliveryColour>{"hlg", DeliveryColour::Hlg},
                                     NamedValue<DeliveryColour>{"pq", DeliveryColour::Pq}};
constexpr std::array kGradeNames = {NamedValue<GradeWeight>{"none", GradeWeight::None},
                                    NamedValue<GradeWeight>{"light", GradeWeight::Light},
                                    NamedValue<GradeWeight>{"full", GradeWeight::Full}};
constexpr std::array kTurnaroundNames = {NamedValue<Turnaround>{"same-day", Turnaround::SameDay},
                                         NamedValue<Turnaround>{"days", Turnaround::Days},
                                         NamedValue<Turnaround>{"weeks", Turnaround::Weeks}};

} // namespace

Brief briefFrom(ObjectReader& shoot) {
    auto& state = shoot.state();
    ObjectReader node(shoot.child("brief"), shoot.pointer("brief"), state);
    Brief brief;
    brief.size = node.quantity("size", parseFrameSize);
    brief.rate = node.quantity("rate", parseFrameRate);
    brief.colour = node.oneOf("colour", table(kColourNames));
    brief.mains = node.quantity("mains", parseHertz);
    brief.grade = node.oneOf("grade", table(kGradeNames));
    brief.gradedBy = node.textOr("graded_by", {});
    brief.turnaround = node.oneOf("turnaround", table(kTurnaroundNames));
    const auto names = node.texts("schools");
    for (const auto& name : names) {
        bool known = false;
        for (const auto& school : kSchoolNames) {
            if (school.name == name)
                brief.schools.push_back(school.value);
            known = known || school.name == name;
        }
        if (!known)
            node.fail(ErrorCode::WrongType, "schools", name,
                      "nominal, rated, to-the-right, guard or raw");
    }
    brief.ambient = node.quantityOr("ambient", parseCelsius, Celsius(20));
    brief.copies = node.wholeOr("copies", 1, 4, 2);
    brief.finished = node.quantityOr("finished", parseDuration, Seconds(0));
    brief.extra = node.extra();
    return brief;
}

Json briefJson(const Brief& brief) {
    Json node = {{"size", spell(brief.size)},
                 {"rate", spell(brief.rate)},
                 {"colour", nameIn(table(kColourNames), brief.colour)},
                 {"mains", spell(brief.mains)},
                 {"grade", nameIn(table(kGradeNames), brief.grade)},
                 {"graded_by", brief.gradedBy},
                 {"turnaround", nameIn(table(kTurnaroundNames), brief.turnaround)}};
    putList(node, "schools", brief.schools,
            [](School school) { return nameIn(table(kSchoolNames), school); });
    node["ambient"] = spell(brief.ambient);
    node["copies"] = brief.copies;
    if (brief.finished.value() > 0)
        node["finished"] = spellDuration(brief.finished);
    appendExtra(node, brief.extra);
    return node;
}

} // namespace bslate::io
