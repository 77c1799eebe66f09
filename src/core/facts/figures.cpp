#include "core/facts/figures.h"

#include "core/facts/evaluate.h"
#include "core/media/recording.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

Reason none() {
    return {"figure-none", {}};
}

// A quantity as it prints; nothing where there is none.
template<class Quantity>
Reason one(Quantity value) {
    return {"figure", {{"value", std::move(value)}}};
}
Reason one(const std::optional<Seconds>& time) {
    return time ? one(Duration{*time}) : none();
}
Reason signedStops(Stops value) {
    return {"figure-stops", {{"value", value}}};
}
Reason choice(bool first, std::string_view yes, std::string_view no) {
    return {first ? yes : no, {}};
}

Reason shutterOf(const Setup& setup, const Evaluation& at) {
    return {"figure-shutter",
            {{"angle", Shutter(at.angle)}, {"time", exposureTime(setup.shutter, setup.rate)}}};
}

Reason pulsingOf(const Pulsing& pulsing) {
    if (!pulsing.strongest)
        return none();
    return {"figure-pulsing", {{"stops", pulsing.peakToPeak}, {"alias", pulsing.alias}}};
}

Reason sharpOf(const RecordingFacts& facts) {
    if (!facts.sharp)
        return none();
    return {"figure-range", {{"from", facts.sharp->nearest}, {"to", facts.sharp->farthest}}};
}

Reason readoutOf(const RecordingFacts& facts) {
    if (facts.readout.value() <= 0)
        return none();
    return {"figure-ms", {{"value", static_cast<int>(std::lround(facts.readout.value() * 1e4))}}};
}

Reason cardOf(const RecordingFacts& facts) {
    return facts.card.empty() ? none()
                              : Reason{"figure-card", {{"card", facts.card}, {"slot", facts.slot}}};
}

std::optional<Seconds> splitTime(const Codec& codec, const RecordingFacts& facts) {
    if (!codec.segment || !facts.bitRate)
        return std::nullopt;
    return recordTime(*codec.segment, 1.0, *facts.bitRate);
}

} // namespace

std::vector<Figure> figuresOf(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    const auto& facts = at.recording;
    const auto& mode = *context->mode;
    const auto lens = [&](const auto& value) { return facts.focal ? one(value) : none(); };
    const int speed = static_cast<int>(std::lround(100.0 / facts.slowdown.value()));
    return {
        {FigureId::Recording, one(mode.name)},
        {FigureId::Rate, one(setup.rate)},
        {FigureId::Playback, {"figure-speed", {{"percent", speed}}}},
        {FigureId::Shutter, shutterOf(setup, at)},
        {FigureId::Pulsing, pulsingOf(at.cadence.pulsing)},
        {FigureId::Blur, at.cadence.blur.value() > 0 ? one(at.cadence.blur) : none()},
        {FigureId::Profile, one(context->profile->name)},
        {FigureId::BitRate, facts.bitRate ? one(*facts.bitRate) : none()},
        {FigureId::BitsPerPixel, facts.bitRate ? one(facts.bitsPerPixel) : none()},
        {FigureId::RecordTime, one(facts.recordTime)},
        {FigureId::Card, cardOf(facts)},
        {FigureId::Crop, one(facts.crop)},
        {FigureId::View, lens(facts.view)},
        {FigureId::Equivalent, lens(facts.equivalent)},
        {FigureId::Sharp, sharpOf(facts)},
        {FigureId::Hyperfocal, lens(facts.hyperfocal)},
        {FigureId::Readout, readoutOf(facts)},
        {FigureId::IsoRange,
         {"figure-range", {{"from", context->iso.minimum}, {"to", context->iso.maximum}}}},
        {FigureId::Rating, one(setup.rating)},
        {FigureId::Nd, {"figure-nd", {{"value", at.ndLoss}}}},
        {FigureId::Iris, one(setup.iris)},
        {FigureId::Sound, choice(at.cell.hasCost(CostKind::Sound), "figure-off", "figure-on")},
        {FigureId::Focus,
         choice(at.cell.hasCost(CostKind::Focus), "figure-by-hand", "figure-possible")},
        {FigureId::ClipLimit, one(mode.clipLimit)},
        {FigureId::Split, one(splitTime(*context->codec, facts))},
        {FigureId::Heat, facts.heat ? one(Duration{facts.heat->time}) : none()},
        {FigureId::Power, choice(setup.externalPower, "figure-external", "figure-battery")},
        {FigureId::Proxy, choice(mode.proxy, "figure-possible", "figure-not")},
        {FigureId::Above, signedStops(at.clip + at.ratingOffset)},
        {FigureId::Below, signedStops(at.noiseFloor + at.ratingOffset)},
        {FigureId::Grey, at.grey ? signedStops(*at.grey) : none()},
    };
}

std::vector<Difference> compare(const Shoot& shoot, const Setup& before, const Setup& after) {
    auto was = figuresOf(shoot, before);
    auto is = figuresOf(shoot, after);
    std::vector<Difference> result;
    for (std::size_t i = 0; i < std::min(was.size(), is.size()); ++i)
        result.push_back({was[i].id, std::move(was[i].value), std::move(is[i].value)});
    return result;
}

std::vector<Difference> consequences(const Shoot& shoot, const Setup& before, const Setup& after) {
    auto all = compare(shoot, before, after);
    std::erase_if(all, [](const Difference& line) { return !line.differs(); });
    return all;
}

} // namespace bslate
