#include "core/verdict/recording_facts.h"

#include "core/media/recording.h"

#include <algorithm>

namespace bslate {
namespace {

// What the second slot adds when the recording goes on in it: the largest card that holds it there.
Seconds relayTime(const SetupContext& context, const RecordingFacts& facts,
                  const CardChoice& first) {
    Seconds most(0);
    for (const auto& slot : context.camera->cardSlots) {
        const auto& ids = context.mode->slotIds;
        if (&slot == first.slot ||
            (!ids.empty() && std::find(ids.begin(), ids.end(), slot.id) == ids.end()))
            continue;
        for (const auto& card : context.shoot->kit.cards)
            if (guaranteedIn(card, slot) >= facts.peak &&
                card.count > (&card == first.card ? 1 : 0))
                most = std::max(most, recordTime(card.capacity, card.usable, *facts.bitRate));
    }
    return most;
}

void fillCard(const SetupContext& context, RecordingFacts& facts) {
    const auto best = bestCard(context.shoot->kit, *context.camera, *context.mode, facts.peak);
    if (!best.card)
        return;
    facts.card = best.card->name;
    facts.slot = best.slot->name;
    facts.guaranteed = best.guaranteed;
    facts.cardHolds = best.guaranteed >= facts.peak;
    if (facts.bitRate)
        facts.recordTime = recordTime(best.card->capacity, best.card->usable, *facts.bitRate);
    if (facts.recordTime && context.setup->secondSlot == SecondSlot::Relay)
        *facts.recordTime += relayTime(context, facts, best);
}

void fillOptics(const SetupContext& context, RecordingFacts& facts) {
    if (!context.lens || context.lens->shortest.value() <= 0)
        return;
    const auto& lens = *context.lens;
    const auto& setup = *context.setup;
    facts.focal = setup.focal.value() > 0 ? std::clamp(setup.focal, lens.shortest, lens.longest)
                                          : lens.shortest;
    facts.view = angleOfView(facts.areaWidth, *facts.focal);
    facts.equivalent = equivalentFocal(*facts.focal, facts.areaWidth);
    const auto iris = fNumberOf(lens, setup.iris);
    const auto circle = circleOfConfusion(facts.areaWidth, facts.areaHeight);
    facts.hyperfocal = hyperfocal(*facts.focal, iris, circle);
    if (setup.focus)
        facts.sharp = sharpRange(*facts.focal, iris, circle, *setup.focus);
}

} // namespace

RecordingFacts recordingFacts(const SetupContext& context) {
    const auto& mode = *context.mode;
    const auto& setup = *context.setup;
    const FrameRate base = context.shoot->brief.rate;
    RecordingFacts facts;
    facts.bitRate = bitRateAt(mode, setup.rate, base);
    facts.offSpeed = isOffSpeed(mode, setup.rate);
    facts.slowdown = Magnification(setup.rate.toDouble() / base.toDouble());
    if (facts.bitRate) {
        facts.peak = *facts.bitRate * context.codec->peak;
        // Conformed recordings hold the base rate's bits in each frame that is played.
        const bool conformed = facts.offSpeed && !mode.offSpeed->writesAtSensorRate;
        facts.bitsPerPixel =
            bitsPerPixel(*facts.bitRate, mode.frame, conformed ? base : setup.rate);
    }
    facts.heat = heatTime(mode, ambientOf(context));
    facts.areaWidth = context.area->width;
    facts.areaHeight = context.area->height;
    facts.readout = context.area->readout;
    facts.crop = cropFactor(context.camera->areas.front().width, facts.areaWidth);
    fillCard(context, facts);
    fillOptics(context, facts);
    return facts;
}

} // namespace bslate
