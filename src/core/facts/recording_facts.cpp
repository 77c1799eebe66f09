#include "core/facts/recording_facts.h"

#include "core/media/recording.h"

#include <algorithm>
#include <tuple>

namespace bslate {
namespace {

// A card of the kit in a slot of the camera.
struct Loaded {
    const MemoryCard* card = nullptr;
    DataRate guaranteed{0};
};

// The best card at hand for one slot: one that holds the peak before one that does not, then the
// largest, else the fastest. One of `taken` is in use elsewhere.
Loaded bestIn(const SetupContext& context, const Slot& slot, DataRate peak,
              const MemoryCard* taken) {
    Loaded best;
    const auto room = [](const MemoryCard& card) { return card.capacity.value() * card.usable; };
    for (const auto& card : context.shoot->kit.cards) {
        const auto speed = guaranteedIn(card, slot);
        if (card.count <= (&card == taken ? 1 : 0) || !(speed.value() > 0))
            continue;
        const bool holds = speed >= peak, held = best.guaranteed >= peak;
        const bool better = !best.card || (holds != held ? holds
                                           : holds       ? room(card) > room(*best.card)
                                                         : speed > best.guaranteed);
        if (better)
            best = {&card, speed};
    }
    return best;
}

// What the second slot adds when the recording goes on in it.
Seconds relayTime(const SetupContext& context, const RecordingFacts& facts, const Slot& first,
                  const MemoryCard& inFirst) {
    Seconds most(0);
    for (const auto& slot : context.camera->cardSlots) {
        if (&slot == &first || !mayUse(*context.mode, slot))
            continue;
        const auto next = bestIn(context, slot, facts.peak, &inFirst);
        if (next.card && next.guaranteed >= facts.peak)
            most =
                std::max(most, recordTime(next.card->capacity, next.card->usable, *facts.bitRate));
    }
    return most;
}

struct CopyLoad {
    DataRate rate{0}, peak{0}; ///< written into the second slot
};

CopyLoad copyLoad(const SetupContext& context, const RecordingFacts& facts, const Slot& slot) {
    const bool mirror = context.setup->secondSlot == SecondSlot::Mirror;
    const double factor = mirror ? context.codec->peak : 1.0;
    const DataRate rate = writtenInto(slot, mirror ? *facts.bitRate : context.camera->proxyRate);
    return {rate, rate * factor};
}

SecondCopy secondCopy(const Slot& slot, const CopyLoad& load, const Loaded& with) {
    SecondCopy copy;
    copy.slot = slot.name;
    copy.peak = load.peak;
    if (!with.card)
        return copy;
    copy.card = with.card->name;
    copy.guaranteed = with.guaranteed;
    copy.holds = with.guaranteed >= load.peak;
    copy.classUnknown = isClassUnknownIn(*with.card, slot);
    copy.time = recordTime(with.card->capacity, with.card->usable, load.rate);
    return copy;
}

void setFirst(RecordingFacts& facts, const Slot& slot, const Loaded& with) {
    facts.card = with.card->name;
    facts.slot = slot.name;
    facts.guaranteed = with.guaranteed;
    facts.cardHolds = with.guaranteed >= facts.peak;
    facts.classUnknown = isClassUnknownIn(*with.card, slot);
    if (facts.bitRate)
        facts.recordTime = recordTime(with.card->capacity, with.card->usable, *facts.bitRate);
}

// Both slots filled, the first before the second or the other way round, whichever holds and lasts
// longer: the same cards may be wanted in both.
void fillBoth(const SetupContext& context, RecordingFacts& facts, const Slot& first,
              const Slot& second) {
    const auto load = copyLoad(context, facts, second);
    struct Filled {
        Loaded first, second;
    };
    const auto firstBefore = [&] {
        const auto one = bestIn(context, first, facts.peak, nullptr);
        return Filled{one, bestIn(context, second, load.peak, one.card)};
    };
    const auto secondBefore = [&] {
        const auto two = bestIn(context, second, load.peak, nullptr);
        return Filled{bestIn(context, first, facts.peak, two.card), two};
    };
    const auto worth = [&](const Filled& filled) {
        const auto& one = filled.first;
        const auto& two = filled.second;
        const double time =
            one.card && two.card
                ? std::min(recordTime(one.card->capacity, one.card->usable, *facts.bitRate),
                           recordTime(two.card->capacity, two.card->usable, load.rate))
                      .value()
                : 0;
        return std::tuple(one.card != nullptr, one.guaranteed >= facts.peak,
                          two.guaranteed >= load.peak, time);
    };
    const auto a = firstBefore(), b = secondBefore();
    const auto& best = worth(a) >= worth(b) ? a : b;
    if (best.first.card)
        setFirst(facts, first, best.first);
    facts.second = secondCopy(second, load, best.second);
    if (!facts.recordTime || !facts.second->time)
        return;
    facts.second->endsFirst = *facts.second->time < *facts.recordTime;
    facts.recordTime = std::min(*facts.recordTime, *facts.second->time);
}

void fillCard(const SetupContext& context, RecordingFacts& facts) {
    const auto pair = slotsOf(context);
    const auto use = context.setup->secondSlot;
    if (facts.bitRate && pair.first && pair.second &&
        (use == SecondSlot::Mirror || use == SecondSlot::Proxy)) {
        fillBoth(context, facts, *pair.first, *pair.second);
        return;
    }
    const auto best = bestCard(context.shoot->kit, *context.camera, *context.mode, facts.peak);
    if (!best.card)
        return;
    setFirst(facts, *best.slot, {best.card, best.guaranteed});
    if (facts.recordTime && use == SecondSlot::Relay)
        *facts.recordTime += relayTime(context, facts, *best.slot, *best.card);
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
        // Conformed recordings hold the delivery rate's bits in each frame that is played.
        const bool conformed = facts.offSpeed && !mode.offSpeed->writesAtSensorRate;
        facts.bitsPerPixel =
            bitsPerPixel(*facts.bitRate, mode.frame, conformed ? base : setup.rate);
    }
    facts.heat = heatTime(mode, ambientOf(context));
    const auto recorded = recordedArea(*context.area, mode.frame);
    facts.areaWidth = recorded.width;
    facts.areaHeight = recorded.height;
    facts.readout = context.area->readout;
    facts.crop = frameCrop(*context.camera, *context.area, mode.frame);
    fillCard(context, facts);
    fillOptics(context, facts);
    return facts;
}

} // namespace bslate
