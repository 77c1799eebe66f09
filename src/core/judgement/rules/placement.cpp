#include "core/judgement/rules/placement.h"

#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/facts/evaluate.h"
#include "core/facts/schools.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr double kOffPlace = 0.34; // just over a third of a stop: common practice, no source

} // namespace

bool schoolSatisfied(const Case& now, const Evaluation& after) {
    const auto target = targetOf(now.context.setup->school, now.context, after);
    return target && std::abs(target->shift.value()) <= kOffPlace;
}

std::optional<PlaceConflict> placeConflict(const Case& now) {
    const auto target = targetOf(now.context.setup->school, now.context, now.at);
    const auto* top = brightest(now.at);
    const bool follows =
        now.context.setup->school == School::ToTheRight || now.context.setup->school == School::Raw;
    // What keeping the highlight leaves the scene short of its place; a third of a stop is in
    // place.
    if (!target || !top || follows || !(target->highlights < Stops(-kOffPlace)))
        return std::nullopt;
    return PlaceConflict{top, target->shift, -target->highlights};
}

static void skinOffPlace(const Case& now, Findings& out) {
    const auto* face = skin(now.at);
    if (!face)
        return;
    const bool torn = placeConflict(now).has_value();
    const auto wanted = skinPlace(now.context, now.at, *face);
    if (!wanted)
        return;
    const Stops off = face->recorded - *wanted;
    const bool right = std::abs(off.value()) <= kOffPlace;
    Finding finding{right              ? FindingId::SkinInPlace
                    : off > Stops(0.0) ? FindingId::SkinAbove
                                       : FindingId::SkinBelow,
                    right ? Severity::Good : Severity::Caution,
                    {{"patch", face->name},
                     {"level", face->level},
                     {"off", off},
                     {"wanted", levelAt(now.context.profile->curve, *wanted, now.at.depth)},
                     {"school", now.context.setup->school}},
                    face->id};
    if (!right && torn)
        finding.severity = Severity::Note; // placeOrHighlight() speaks of the choice, once
    if (!right && !torn)
        for (auto& remedy : exposureRemedies(now, -off))
            offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
                const auto* moved = skin(after);
                const auto place = skinPlace(now.context, after, *moved);
                return !bringsTrouble(now, after) &&
                       (schoolSatisfied(now, after) || !schoolSatisfied(now, now.at)) && place &&
                       std::abs((moved->recorded - *place).value()) <= kOffPlace;
            });
    out.push_back(std::move(finding));
}

static void lightToSpareOrShort(const Case& now, Findings& out) {
    const auto target = targetOf(now.context.setup->school, now.context, now.at);
    if (!target || std::abs(target->shift.value()) <= kOffPlace || placeConflict(now))
        return;
    const bool tooMuch = target->shift < Stops(0.0);
    const bool ndLeft = !tooMuch && now.context.ndLoss > Stops(0.1);
    Finding finding{tooMuch  ? FindingId::NdNeeded
                    : ndLeft ? FindingId::NdLeftOver
                             : FindingId::LightShort,
                    Severity::Caution,
                    {{"by", target->shift},
                     {"nd", now.context.ndLoss},
                     {"school", now.context.setup->school},
                     {"stack", now.context.ndLoss - target->shift}}};
    for (auto& remedy : exposureRemedies(now, target->shift))
        offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
            return schoolSatisfied(now, after) && !bringsTrouble(now, after);
        });
    out.push_back(std::move(finding));
}

namespace {

// What placing the scene as a school wants leaves: lost stops first, then what is missing of
// comfortable margins at both ends.
struct Worth {
    double lost = 0, thin = 0;
    [[nodiscard]] bool beats(const Worth& other) const {
        constexpr double kTells = 0.05; // stops; less is no difference
        if (std::abs(lost - other.lost) > kTells)
            return lost < other.lost;
        return thin < other.thin - kTells;
    }
};

Worth worthOf(Stops highlights, Stops shadows) {
    const auto lacking = [](double has, Stops wanted) {
        return std::max(0.0, wanted.value() - has);
    };
    return {lacking(highlights.value(), Stops(0)) + lacking(shadows.value(), Stops(0)),
            lacking(highlights.value(), kNearClip) + lacking(shadows.value(), kThinShadows)};
}

// The setup moved to where a school wants it, by filters, else by the iris; nothing when neither
// reaches it.
std::optional<Edit> movedTo(const Case& now, School school) {
    Edit edit{*now.context.setup, std::nullopt};
    // Rated without a rating yet means the usual one stop; the exposure follows below.
    if (school == School::Rated && std::abs(now.at.gain.value()) < 0.05 &&
        now.at.iso == IsoBehaviour::Index)
        edit.setup->rating = nearestRating(ExposureIndex(now.at.base.value() / 2.0));
    edit.setup->school = school;
    if (edit.setup->rating < now.context.iso.minimum)
        return std::nullopt;
    const auto context = resolve(*now.context.shoot, *edit.setup);
    if (!context)
        return std::nullopt;
    const auto at = evaluate(*context);
    const auto target = targetOf(school, *context, at);
    if (!target)
        return std::nullopt;
    if (std::abs(target->shift.value()) <= kOffPlace)
        return edit;
    for (const auto& remedy : exposureRemedies({*context, at}, target->shift)) {
        const auto after = tryOut(now, remedy.edit);
        const auto left = after ? targetOf(school, *context, *after) : std::nullopt;
        if (left && std::abs(left->shift.value()) <= kOffPlace)
            return remedy.edit;
    }
    return std::nullopt;
}

} // namespace

static void schoolSuggestion(const Case& now, Findings& out) {
    const School chosen = now.context.setup->school;
    const School suggested = suggestedSchool(now.context, now.at);
    const auto mine = targetOf(chosen, now.context, now.at);
    if (chosen == suggested || !mine || !now.remedies)
        return;
    const auto edit = movedTo(now, suggested);
    const auto after = edit ? tryOut(now, *edit) : std::nullopt;
    if (!after || !brightest(*after) || bringsTrouble(now, *after))
        return;
    const Stops highlights = brightest(*after)->headroom, shadows = darkest(*after)->aboveNoise;
    if (!worthOf(highlights, shadows).beats(worthOf(mine->highlights, mine->shadows)))
        return;
    Finding finding{FindingId::SchoolSuggested,
                    Severity::Note,
                    {{"school", suggested},
                     {"chosen", chosen},
                     {"highlights", highlights},
                     {"shadows", shadows},
                     {"mineHighlights", mine->highlights},
                     {"mineShadows", mine->shadows}}};
    offer(now, finding.remedies, Remedy{RemedyId::SetSchool, {{"school", suggested}}, *edit},
          [](const Evaluation&) { return true; });
    out.push_back(std::move(finding));
}

// Cured by the end of the wish, paid by the setup's payer, else by ND.
static void depthOfWish(const Case& now, Findings& out) {
    const auto& wish = now.context.scene->depth;
    const auto& setup = *now.context.setup;
    const Stops by = wish ? outsideOf(*wish, setup.iris) : Stops(0);
    if (by < kTold)
        return;
    const bool shallow = setup.iris < wish->widest;
    const TStop end = shallow ? wish->widest : wish->narrowest;
    Finding finding{shallow ? FindingId::DepthShallow : FindingId::DepthDeep,
                    Severity::Caution,
                    {{"iris", setup.iris},
                     {"by", by},
                     {"widest", wish->widest},
                     {"narrowest", wish->narrowest}}};
    Setup paying = setup;
    if (paying.payer == Payer::Iris || paying.payer == Payer::Nobody)
        paying.payer = Payer::Nd;
    if (const auto turned = turn(*now.context.shoot, paying, TurnIris{end})) {
        Edit edit = turned->edit;
        edit.setup->payer = setup.payer;
        offer(now, finding.remedies, Remedy{RemedyId::SetIris, {{"iris", end}}, std::move(edit)},
              [&](const Evaluation& after) {
                  return schoolSatisfied(now, after) || !schoolSatisfied(now, now.at);
              });
    }
    out.push_back(std::move(finding));
}

static void cardReadsDark(const Case& now, Findings& out) {
    const auto implied = impliedReflectance(now.context.shoot->meter);
    const Stops difference = stopsBetween(Reflectance(kMidGrey.value()), implied);
    bool incident = false;
    for (const auto& patch : now.context.scene->patches)
        incident = incident || patch.reading.unit == LightUnit::Lux ||
                   patch.reading.unit == LightUnit::FootCandle;
    if (!incident || std::abs(difference.value()) < 0.05)
        return;
    out.push_back({FindingId::MeterCalibration,
                   Severity::Note,
                   {{"difference", difference},
                    {"implied", static_cast<int>(std::lround(implied.value() * 1000))}}});
}

std::span<const Rule> placementRules() {
    static constexpr Rule kRules[] = {skinOffPlace, lightToSpareOrShort, schoolSuggestion,
                                      depthOfWish, cardReadsDark};
    return kRules;
}

} // namespace bslate::rules
