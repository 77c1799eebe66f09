#include "cli/verb.h"
#include "core/frame/instruments.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/kit_json.h"
#include "io/stills/still_codes.h"
#include "io/stills/still_file.h"

#include <algorithm>
#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

struct MeasureOptions {
    std::string still, profile, kit, range, zebra, full;
    std::vector<std::string> probes;
};

void askMeasure(MeasureOptions& o, OptionList& list) {
    list.text("STILL", o.still, "picture: EXR, TIFF, PNG, JPEG, DPX ...").required();
    list.text("--profile", o.profile, "an open curve's name, or a profile of --kit").required();
    list.text("--kit", o.kit, "kit (*.bskit.json) the profile is in");
    list.text("--range", o.range, "what its codes span: full, unless told, or legal");
    list.text("--full", o.full,
              "stops over mid-grey where the sensor of camera raw is full: where the curve ends, "
              "unless told");
    list.text("--zebra", o.zebra, "percent from which stripes show, or 70+-5");
    list.texts("--probe", o.probes, "name=x,y,w,h in pixels, or in shares of the picture");
}

/// What the still was recorded in.
struct Recording {
    Curve curve;
    LumaWeights weights;
};

Result<Recording> recordingFrom(const MeasureOptions& options) {
    if (options.kit.empty()) {
        if (auto curve = standardCurve(options.profile)) {
            const bool hdr = std::holds_alternative<Hlg>(curve->family) ||
                             std::holds_alternative<Pq>(curve->family);
            // Its white is 100 %, whatever range its codes have (IEC 61966-2-1).
            if (std::holds_alternative<Srgb>(curve->family))
                curve->range = CodeRange::Legal;
            return Recording{*curve, lumaOf(hdr ? gamutBt2020() : gamutBt709())}; // ITU-R BT.2100
        }
        std::string names;
        for (const auto name : standardCurveNames())
            names += (names.empty() ? "one of " : ", ") + std::string(name);
        return usage("--profile", options.profile, names + ", or a profile with --kit");
    }
    const auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    const auto profile = profileNamed(*kit, options.kit, options.profile);
    if (!profile)
        return profile.error();
    return Recording{(*profile)->curve, lumaOf((*profile)->gamut)};
}

Result<std::optional<ZebraBand>> zebraFrom(const std::string& text) {
    constexpr const char* expected = "a level from 0 to 110 percent, such as 70 or 70+-5";
    if (text.empty())
        return std::optional<ZebraBand>();
    const auto sign = text.find("+-");
    const auto level = numberOf("--zebra", text.substr(0, sign), 0, 110, expected);
    if (!level)
        return level.error();
    if (sign == std::string::npos)
        return std::optional(ZebraBand{Level(*level), Level(110)});
    const auto half = numberOf("--zebra", text.substr(sign + 2), 0, 110, expected);
    if (!half)
        return half.error();
    return std::optional(ZebraBand{Level(*level - *half), Level(*level + *half)});
}

Result<std::optional<Stops>> fullFrom(const std::string& text) {
    if (text.empty())
        return std::optional<Stops>();
    const auto stops = numberOf("--full", text, 0, 20, "stops from 0 to 20, such as 6.1");
    if (!stops)
        return stops.error();
    return std::optional(Stops(*stops));
}

Result<Probe> probeFrom(const std::string& text, PictureSize size) {
    constexpr const char* expected =
        "name=x,y,w,h inside of the picture, such as grey=100,80,40,40";
    const auto equals = text.find('=');
    if (equals == std::string::npos || equals == 0)
        return usage("--probe", text, expected);
    std::array<double, 4> sides{};
    std::string rest = text.substr(equals + 1) + ",";
    for (auto& side : sides) {
        const auto comma = rest.find(',');
        const auto value = numberOf("--probe", rest.substr(0, comma), 0, 1e6, expected);
        if (comma == std::string::npos || !value)
            return usage("--probe", text, expected);
        side = *value;
        rest.erase(0, comma + 1);
    }
    const bool pixels = *std::max_element(sides.begin(), sides.end()) > 1;
    const double wide = pixels ? size.width : 1, high = pixels ? size.height : 1;
    const PictureArea area{sides[0] / wide, sides[1] / high, sides[2] / wide, sides[3] / high};
    if (!rest.empty() || !(area.width > 0) || !(area.height > 0) ||
        area.x + area.width > 1 + 1e-9 || area.y + area.height > 1 + 1e-9)
        return usage("--probe", text, expected);
    return Probe{text.substr(0, equals), area};
}

// The share of a channel's pixels where the curve ends or the codes do.
double clippedShare(const Instruments& instruments, InstrumentChannel channel, int end) {
    const auto& counts = instruments.histogram[static_cast<std::size_t>(channel)];
    double sum = 0;
    for (auto code = static_cast<std::size_t>(end); code < counts.size(); ++code)
        sum += counts[code];
    return sum / static_cast<double>(instruments.pixels);
}

Json histogramOf(const Instruments& instruments) {
    const auto& counts = instruments.histogram[0];
    std::vector<std::uint64_t> sums(256);
    for (std::size_t code = 0; code < counts.size(); ++code)
        sums[code * sums.size() / counts.size()] += counts[code];
    return sums;
}

Json probesJson(const std::vector<ProbeReading>& readings) {
    Json list = Json::array();
    for (const auto& reading : readings)
        list.push_back({{"name", reading.name},
                        {"percent", reading.level.value()},
                        {"stops", std::isfinite(reading.stops.value()) ? Json(reading.stops.value())
                                                                       : Json(nullptr)},
                        {"red_percent", reading.channels[0].value()},
                        {"green_percent", reading.channels[1].value()},
                        {"blue_percent", reading.channels[2].value()}});
    return list;
}

Result<int> measureStill(const MeasureOptions& options, Output& output) {
    const auto recording = recordingFrom(options);
    const auto band = zebraFrom(options.zebra);
    if (!recording)
        return recording.error();
    if (!band)
        return band.error();
    const auto full = fullFrom(options.full);
    if (!full)
        return full.error();
    if (!options.range.empty() && options.range != "full" && options.range != "legal")
        return usage("--range", options.range, "full or legal");
    const auto still = io::readStill(options.still);
    if (!still)
        return still.error();
    std::vector<Probe> probes;
    for (const auto& text : options.probes) {
        const auto probe = probeFrom(text, still->size());
        if (!probe)
            return probe.error();
        probes.push_back(*probe);
    }
    const auto range = options.range == "legal" ? CodeRange::Legal : CodeRange::Full;
    const auto frame = io::codesOf(*still, recording->curve, range, *full);
    const auto seen = measure(frame, {recording->weights, 256, *band});
    const auto readings = probed(frame, recording->curve, recording->weights, probes);
    const auto curveEnd = endSignal(recording->curve, frame.depth);
    const auto end =
        recordedCode(std::min(curveEnd, io::endOf(*still, recording->curve, range, *full)),
                     frame.range, frame.depth);
    const double striped =
        *band ? static_cast<double>(seen.zebra) / static_cast<double>(seen.pixels) : 0;
    const auto share = [&](InstrumentChannel channel) { return clippedShare(seen, channel, end); };
    if (output.json) {
        output.write(Json{{"width", still->size().width},
                          {"height", still->size().height},
                          {"bits", still->bits},
                          {"mean_percent", meanLevel(seen, frame.depth).value()},
                          {"clipped_share", Json{{"red", share(InstrumentChannel::Red)},
                                                 {"green", share(InstrumentChannel::Green)},
                                                 {"blue", share(InstrumentChannel::Blue)}}},
                          {"zebra_share", *band ? Json(striped) : Json(nullptr)},
                          {"histogram", histogramOf(seen)},
                          {"probes", probesJson(readings)}});
        return 0;
    }
    output.text << still->size().width << " x " << still->size().height << ", mean "
                << print(meanLevel(seen, frame.depth)) << "\nclipped: red "
                << print(Fraction(share(InstrumentChannel::Red))) << ", green "
                << print(Fraction(share(InstrumentChannel::Green))) << ", blue "
                << print(Fraction(share(InstrumentChannel::Blue))) << "\n";
    if (*band)
        output.text << "zebra: " << print(Fraction(striped)) << "\n";
    for (const auto& reading : readings)
        output.text << reading.name << "  " << print(reading.level) << ", " << print(reading.stops)
                    << " stops from mid-grey\n";
    return 0;
}

} // namespace

extern const Verb kMeasureVerb;
const Verb kMeasureVerb{"measure", "What instruments read of a still",
                        "bslate measure step-wedge.png --profile bt709 --zebra 70",
                        prepared<MeasureOptions, askMeasure, measureStill>};

} // namespace bslate::cli
