#include "core/facts/dial_in.h"

#include "core/facts/evaluate.h"

#include "core/facts/lattice.h"
#include "core/facts/neighbours.h"
#include "core/quantity/print.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

using Rows = std::vector<DialInRow>;

std::string shutterText(const SetupContext& context, const Evaluation&) {
    const auto& setup = *context.setup;
    const auto dial = nearestOnDial(context.camera->shutter, setup.shutter, setup.rate);
    const auto time = print(exposureTime(dial, setup.rate));
    const auto angle = print(shutterAngle(dial, setup.rate));
    return std::holds_alternative<ShutterAngle>(dial) ? angle + "  (" + time + ")"
                                                      : time + "  (" + angle + ")";
}

std::string ratingText(const Evaluation& at, const Setup& setup) {
    const std::string number = print(setup.rating);
    switch (at.iso) {
    case IsoBehaviour::Recorded:
        return "ISO " + number;
    case IsoBehaviour::Index:
        return "EI " + number;
    case IsoBehaviour::Note:
        return "EI " + number + "  (note)";
    }
    return number;
}

// What it is captured at and what it plays at.
std::string rateText(const Shoot& shoot, const Setup& setup) {
    const std::string capture = print(setup.rate) + " p";
    return setup.rate == shoot.brief.rate ? capture : capture + " for " + print(shoot.brief.rate);
}

// The rate regions that have this rate; empty when the camera knows none.
std::string regionText(const SetupContext& context) {
    std::string text;
    for (const auto& id :
         regionsFor(*context.camera, *context.mode, context.setup->rate, context.shoot->brief.rate))
        text += (text.empty() ? "" : " or ") + id;
    return text;
}

// Where the recording goes: the best card at hand that holds it.
std::string cardText(const RecordingFacts& facts) {
    if (facts.card.empty())
        return "none fits";
    return facts.card + ", " + facts.slot + (facts.cardHolds ? "" : " (too slow)");
}

std::string filterText(const SetupContext& context) {
    std::string text;
    for (const auto& id : context.setup->filters)
        for (const auto& filter : filtersFor(context.shoot->kit, *context.camera))
            if (filter.id == id)
                text += (text.empty() ? "" : " + ") + filter.name;
    return text.empty() ? "none" : text;
}

bool cellRecordsSound(const SetupContext& context) {
    const auto cell = cellOf(latticeCase(context), *context.mode, context.setup->rate);
    return std::none_of(cell.costs.begin(), cell.costs.end(),
                        [](const auto& cost) { return cost.first == CostKind::Sound; });
}

Rows rowsOf(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    Rows rows = {
        {DialInField::Camera, context->camera->name, false},
        {DialInField::Recording, context->mode->name, false},
        {DialInField::Rate, rateText(shoot, setup), false},
        {DialInField::Shutter, shutterText(*context, at), false},
        {DialInField::Profile, context->profile->name, false},
        {DialInField::Base, "ISO " + print(at.base), false},
        {DialInField::Rating, ratingText(at, setup), false},
        {DialInField::White, print(whiteOnDial(*context->camera, setup.white)), false},
        {DialInField::Iris, print(setup.iris), false},
        {DialInField::Nd, filterText(*context), false},
    };
    if (const std::string region = regionText(*context); !region.empty())
        rows.insert(rows.begin() + 3, {DialInField::Region, region, false});
    if (!shoot.kit.cards.empty())
        rows.push_back({DialInField::Card, cardText(at.recording), false});
    if (setup.secondSlot != SecondSlot::Unused) {
        constexpr const char* kUses[] = {"", "mirror", "relay", "proxy"};
        rows.push_back({DialInField::SecondSlot, kUses[static_cast<int>(setup.secondSlot)], false});
    }
    if (!cellRecordsSound(*context))
        rows.push_back({DialInField::Sound, "off in this mode", false});
    if (at.iso == IsoBehaviour::Recorded && context->camera->bases.size() == 1)
        std::erase_if(rows, [](const auto& row) { return row.field == DialInField::Base; });
    for (const auto& zebra : at.zebra)
        rows.push_back(
            {zebra.use == ZebraUse::Skin ? DialInField::ZebraSkin : DialInField::ZebraGuard,
             zebra.reachable ? print(zebra.set) : "out of reach", false});
    if (setup.bank > 0)
        rows.push_back({DialInField::Bank, std::to_string(setup.bank), false});
    return rows;
}

} // namespace

int DialInCard::changes() const {
    return static_cast<int>(
        std::count_if(rows.begin(), rows.end(), [](const auto& row) { return row.changed; }));
}

DialInCard dialIn(const Shoot& shoot, const Setup& setup) {
    DialInCard card{setup.number, setup.name, rowsOf(shoot, setup), {}};
    const auto* earlier = earlierOnCamera(shoot, setup);
    if (!earlier)
        return card;
    card.after = earlier->number;
    const Rows before = rowsOf(shoot, *earlier);
    for (auto& row : card.rows) {
        const auto same = std::find_if(before.begin(), before.end(),
                                       [&](const auto& old) { return old.field == row.field; });
        row.changed = same == before.end() || same->value != row.value;
    }
    return card;
}

Kelvin whiteOnDial(const Camera& camera, Kelvin wanted) {
    if (camera.whiteStepKelvin <= 0)
        return wanted;
    return Kelvin(std::round(wanted.value() / camera.whiteStepKelvin) * camera.whiteStepKelvin);
}

} // namespace bslate
