#include "core/facts/figures.h"

#include "core/facts/evaluate.h"
#include "core/facts/lattice.h"
#include "core/media/recording.h"
#include "core/quantity/print.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr const char* kNone = "\u2013";

std::string shutterText(const Setup& setup, const Evaluation& at) {
    return print(at.angle) + "  " + print(exposureTime(setup.shutter, setup.rate));
}

std::string pulsingText(const Pulsing& pulsing) {
    return pulsing.strongest
               ? fixedText(pulsing.peakToPeak.value(), 2) + " stop, " + print(pulsing.alias)
               : kNone;
}

std::string sharpText(const RecordingFacts& facts) {
    return facts.sharp ? print(facts.sharp->nearest) + " \u2013 " + print(facts.sharp->farthest)
                       : kNone;
}

std::optional<Seconds> splitTime(const Codec& codec, const RecordingFacts& facts) {
    if (!codec.segment || !facts.bitRate)
        return std::nullopt;
    return recordTime(*codec.segment, 1.0, *facts.bitRate);
}

bool costs(const ModeCell& cell, CostKind kind) {
    return std::any_of(cell.costs.begin(), cell.costs.end(),
                       [&](const auto& cost) { return cost.first == kind; });
}

} // namespace

std::vector<Figure> figuresOf(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    const auto& facts = at.recording;
    const auto& mode = *context->mode;
    const auto cell = cellOf(latticeCase(*context), mode, setup.rate);
    const auto lens = [&](const std::string& text) { return facts.focal ? text : kNone; };
    const auto time = [](const std::optional<Seconds>& t) { return t ? printDuration(*t) : kNone; };
    return {
        {FigureId::Recording, mode.name},
        {FigureId::Rate, print(setup.rate)},
        {FigureId::Playback, fixedText(100.0 / facts.slowdown.value(), 0) + " % speed"},
        {FigureId::Shutter, shutterText(setup, at)},
        {FigureId::Pulsing, pulsingText(at.cadence.pulsing)},
        {FigureId::Blur, at.cadence.blur.value() > 0 ? print(at.cadence.blur) : kNone},
        {FigureId::Profile, context->profile->name},
        {FigureId::BitRate, facts.bitRate ? print(*facts.bitRate) : kNone},
        {FigureId::BitsPerPixel, facts.bitRate ? print(facts.bitsPerPixel) : kNone},
        {FigureId::RecordTime, time(facts.recordTime)},
        {FigureId::Card, facts.card.empty() ? kNone : facts.card + " in " + facts.slot},
        {FigureId::Crop, print(facts.crop)},
        {FigureId::View, lens(print(facts.view))},
        {FigureId::Equivalent, lens(print(facts.equivalent))},
        {FigureId::Sharp, sharpText(facts)},
        {FigureId::Hyperfocal, lens(print(facts.hyperfocal))},
        {FigureId::Readout,
         facts.readout.value() > 0 ? fixedText(facts.readout.value() * 1000, 1) + " ms" : kNone},
        {FigureId::IsoRange,
         print(context->iso.minimum) + " \u2013 " + print(context->iso.maximum)},
        {FigureId::Rating, print(setup.rating)},
        {FigureId::Nd, printPlain(at.ndLoss) + " stops"},
        {FigureId::Iris, print(setup.iris)},
        {FigureId::Sound, costs(cell, CostKind::Sound) ? "off" : "on"},
        {FigureId::Focus, costs(cell, CostKind::Focus) ? "by hand" : "possible"},
        {FigureId::ClipLimit, time(mode.clipLimit)},
        {FigureId::Split, time(splitTime(*context->codec, facts))},
        {FigureId::Heat, facts.heat ? printDuration(facts.heat->time) : kNone},
        {FigureId::Power, setup.externalPower ? "external" : "battery"},
        {FigureId::Proxy, mode.proxy ? "possible" : "none"},
        {FigureId::Above, print(at.clip + at.ratingOffset)},
        {FigureId::Below, print(at.noiseFloor + at.ratingOffset)},
        {FigureId::Grey, at.grey ? print(*at.grey) : kNone},
    };
}

std::vector<Difference> compare(const Shoot& shoot, const Setup& before, const Setup& after) {
    const auto was = figuresOf(shoot, before);
    const auto is = figuresOf(shoot, after);
    std::vector<Difference> result;
    for (std::size_t i = 0; i < std::min(was.size(), is.size()); ++i)
        result.push_back({was[i].id, was[i].text, is[i].text});
    std::stable_partition(result.begin(), result.end(),
                          [](const Difference& line) { return line.differs(); });
    return result;
}

std::vector<Difference> consequences(const Shoot& shoot, const Setup& before, const Setup& after) {
    auto all = compare(shoot, before, after);
    std::erase_if(all, [](const Difference& line) { return !line.differs(); });
    return all;
}

} // namespace bslate
