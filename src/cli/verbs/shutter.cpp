#include "cli/verb.h"
#include "core/cadence/rates.h"
#include "core/cadence/safe_rate.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/shoot/scene.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ShutterOptions {
    std::string rate, angle, time;
    std::string steps;               ///< third, half, list:1/50,1/100 or angle:0.1; may be empty
    std::vector<std::string> lights; ///< HZ[:depth[:waveform]]; they share the light equally
    std::string readout;             ///< milliseconds; may be empty
};

void askShutter(ShutterOptions& o, OptionList& list) {
    list.text("--rate", o.rate, "frame rate, 23.976").required();
    auto shutterAs = list.oneOf("shutter");
    shutterAs.text("--angle", o.angle, "shutter angle, 172.8");
    shutterAs.text("--time", o.time, "shutter time, 1/50");
    list.text("--steps", o.steps, "the dial: third, half, list:1/50,1/100 or angle:0.1");
    list.texts("--light", o.lights,
               "HZ[:depth[:sine|rectified|pwm]], depth 0.8 or 80%; repeatable, equal shares");
    list.text("--readout", o.readout, "sensor readout in milliseconds");
}

std::vector<std::string> split(const std::string& text, char at) {
    std::vector<std::string> pieces(1);
    for (const char c : text)
        if (c == at)
            pieces.emplace_back();
        else
            pieces.back() += c;
    return pieces;
}

Result<PulsedLight> lightFrom(const std::string& text) {
    constexpr const char* option = "--light";
    struct Named {
        std::string_view name;
        Waveform waveform;
    };
    constexpr std::array names = {Named{"sine", Waveform::Sinusoid},
                                  Named{"rectified", Waveform::Rectified},
                                  Named{"pwm", Waveform::Pwm}};
    const auto parts = split(text, ':');
    if (parts.size() > 3)
        return usage(option, text, "HZ[:depth[:waveform]], such as 100:0.8:sine");
    const auto frequency = placed(parseHertz(parts[0]), option);
    if (!frequency)
        return frequency.error();
    PulsedLight light;
    light.frequency = *frequency;
    if (parts.size() > 1) {
        const bool percent = parts[1].find('%') != std::string::npos;
        const auto share = percent ? parseFraction(parts[1]) : Result<Fraction>(Fraction(0));
        const auto number = percent ? Result<double>(share ? share->value() : -1)
                                    : numberOf(option, parts[1], 0, 1, {});
        if (!share || !number)
            return usage(option, text, "a depth from 0 to 1, or in percent as 80%");
        light.depth = Fraction(*number);
    }
    if (parts.size() > 2) {
        const auto known = std::find_if(names.begin(), names.end(),
                                        [&](const Named& n) { return n.name == parts[2]; });
        if (known == names.end())
            return usage(option, parts[2], "sine, rectified or pwm after the depth");
        light.waveform = known->waveform;
    }
    // Mains lamps pulse at twice 50 or 60 Hz and wander with it.
    light.fromMains = *frequency == Hertz(100) || *frequency == Hertz(120);
    return light;
}

Result<std::vector<PulsedLight>> lightsFrom(const std::vector<std::string>& texts) {
    if (texts.size() > kMostLamps)
        return usage("--light", std::to_string(texts.size()) + " lights",
                     "at most " + std::to_string(kMostLamps));
    std::vector<PulsedLight> lights;
    for (const auto& text : texts) {
        const auto light = lightFrom(text);
        if (!light)
            return light.error();
        lights.push_back(*light);
        lights.back().share = Fraction(1.0 / static_cast<double>(texts.size()));
    }
    return lights;
}

Result<ShutterDial> dialFrom(const std::string& text) {
    constexpr const char* option = "--steps";
    const auto listed = [](auto times) { return ShutterDial{0, {times.begin(), times.end()}}; };
    if (text == "third")
        return listed(thirdStopTimes());
    if (text == "half")
        return listed(halfStopTimes());
    if (text.starts_with("angle:")) {
        const auto step = placed(parseShutterAngle(text.substr(6)), option);
        return step ? Result<ShutterDial>(ShutterDial{step->value(), {}}) : step.error();
    }
    if (!text.starts_with("list:"))
        return usage(option, text, "third, half, list:1/50,1/100 or angle:0.1");
    ShutterDial dial;
    for (const auto& item : split(text.substr(5), ',')) {
        const auto time = placed(parseSeconds(item), option);
        if (!time)
            return time.error();
        dial.times.push_back(*time);
    }
    return dial;
}

Result<Shutter> shutterFrom(const ShutterOptions& options) {
    if (options.angle.empty() == options.time.empty())
        return usage("--angle", options.angle, "either --angle 172.8 or --time 1/50");
    if (!options.angle.empty()) {
        const auto angle = placed(parseShutterAngle(options.angle), "--angle");
        return angle ? Result<Shutter>(*angle) : angle.error();
    }
    const auto time = placed(parseSeconds(options.time), "--time");
    return time ? Result<Shutter>(*time) : time.error();
}

Json nearestJson(const ShutterDial& dial, const Shutter& wanted, FrameRate rate) {
    const auto set = nearestOnDial(dial, wanted, rate);
    return {
        {"shutter", spell(set)},
        {"exposure_time_s", exposureTime(set, rate).value()},
        {"angle_deg", shutterAngle(set, rate).value()},
        {"error_deg", shutterAngle(set, rate).value() - shutterAngle(wanted, rate).value()},
        {"error_stops", stopsBetween(exposureTime(set, rate), exposureTime(wanted, rate)).value()}};
}

Json safeJson(const std::vector<SafeRange>& ranges, const ShutterDial* dial, FrameRate rate) {
    Json list = Json::array();
    for (const auto& range : ranges) {
        Json node = {{"from_deg", range.from.value()},
                     {"to_deg", range.to.value()},
                     {"best_deg", range.best.value()},
                     {"exposure_time_s", exposureTime(range.best, rate).value()},
                     {"peak_to_peak_stops", range.peakToPeak.value()}};
        if (dial) {
            const auto set = nearestSafe(*dial, std::span(&range, 1), range.best, rate);
            node["on_dial"] = set ? Json(spell(*set)) : Json(nullptr);
        }
        list.push_back(std::move(node));
    }
    return list;
}

void tell(const Json& node, const Shutter& shutter, FrameRate rate, const Pulsing& pulsing,
          const std::vector<SafeRange>& safe, const std::vector<SafeRange>& still,
          std::ostream& out) {
    out << print(shutterAngle(shutter, rate)) << "  " << print(exposureTime(shutter, rate))
        << " at " << print(rate) << "\n";
    if (node.contains("nearest"))
        out << "nearest on the dial: " << node["nearest"]["shutter"].get<std::string>() << "\n";
    if (pulsing.strongest) {
        out << "ripple " << print(pulsing.ripple) << ", "
            << fixedText(pulsing.peakToPeak.value(), 3) << " stop peak to peak";
        if (pulsing.worstOnMains > pulsing.peakToPeak)
            out << ", " << fixedText(pulsing.worstOnMains.value(), 3)
                << " with the mains 0.4 % off";
        out << "\n";
        if (!pulsing.movers.empty())
            out << "flickers at " << print(pulsing.alias) << ", "
                << fixedText(pulsing.worstMoving.value(), 3) << " stop from frame to frame\n";
        else
            out << "every frame meets the light alike: nothing flickers\n";
        if (pulsing.bands > 0 && !isStill(pulsing))
            out << trimmed(pulsing.bands, 2)
                << (isMoving(pulsing) ? " bands roll over the frame\n"
                                      : " bands stand in the frame\n");
    }
    for (const auto& range : safe)
        out << "safe " << print(range.best) << "  (" << print(range.from) << " to "
            << print(range.to) << ")\n";
    for (const auto& range : still)
        out << "still, but bands stand " << print(range.best) << "  (" << print(range.from)
            << " to " << print(range.to) << ")\n";
    for (const auto& other : node["safe_rates"]) {
        out << "still at " << other["rate"].get<std::string>();
        if (!other["shutter_deg"].is_null())
            out << " with " << print(ShutterAngle(other["shutter_deg"].get<double>()));
        out << (other["bands_stand"].get<bool>() ? ", bands stand\n" : "\n");
    }
}

Result<int> shutter(const ShutterOptions& options, Output& output) {
    const auto rate = placed(parseFrameRate(options.rate), "--rate");
    if (!rate)
        return rate.error();
    const auto set = shutterFrom(options);
    if (!set)
        return set.error();
    if (!fitsFrame(*set, *rate))
        return usage(options.time.empty() ? "--angle" : "--time",
                     options.time.empty() ? options.angle : options.time,
                     "an exposure no longer than the frame, 1/" + print(*rate) + " s");
    const auto lights = lightsFrom(options.lights);
    if (!lights)
        return lights.error();
    Seconds readout(0);
    if (!options.readout.empty()) {
        const auto ms = placed(parseSeconds(options.readout + " ms"), "--readout");
        if (!ms)
            return usage("--readout", options.readout, "milliseconds above 0, such as 12");
        readout = *ms;
    }
    std::optional<ShutterDial> dial;
    if (!options.steps.empty()) {
        auto read = dialFrom(options.steps);
        if (!read)
            return read.error();
        dial = *std::move(read);
    }
    const Pulsing seen = pulsing(*lights, exposureTime(*set, *rate), *rate, readout);
    const auto safe = lights->empty() ? std::vector<SafeRange>{} : safeShutters(*lights, *rate);
    const auto still = lights->empty() || !safe.empty()
                           ? std::vector<SafeRange>{}
                           : safeShutters(*lights, *rate, kVisible, Stillness::Moving);
    Json node = {{"rate", spell(*rate)},
                 {"exposure_time_s", exposureTime(*set, *rate).value()},
                 {"angle_deg", shutterAngle(*set, *rate).value()},
                 {"stops_from_half_frame", stopsFromHalfFrame(*set, *rate).value()}};
    if (dial)
        node["nearest"] = nearestJson(*dial, *set, *rate);
    node["ripple_percent"] = seen.ripple.value() * 100;
    node["alias_hz"] = seen.alias.value();
    node["peak_to_peak_stops"] = seen.peakToPeak.value();
    node["worst_on_mains_stops"] = seen.worstOnMains.value();
    node["moving_stops"] = seen.moving.value();
    node["worst_moving_stops"] = seen.worstMoving.value();
    node["bands"] = seen.bands;
    node["safe"] = safeJson(safe, dial ? &*dial : nullptr, *rate);
    node["still_with_bands"] = safeJson(still, dial ? &*dial : nullptr, *rate);
    node["safe_rates"] = Json::array();
    if (safe.empty() && !lights->empty())
        for (const auto& other :
             nearestSafeRates(*lights, *rate, standardRates(), shutterAngle(*set, *rate)))
            node["safe_rates"].push_back(
                {{"rate", spell(other.rate)},
                 {"any_shutter", other.anyShutter},
                 {"shutter_deg", other.shutter ? Json(other.shutter->value()) : Json(nullptr)},
                 {"bands_stand", other.bandsStand}});
    if (output.json)
        output.write(node);
    else
        tell(node, *set, *rate, seen, safe, still, output.text);
    return isMoving(seen) ? 1 : 0;
}

} // namespace

extern const Verb kShutterVerb;
const Verb kShutterVerb{"shutter", "What a shutter does to pulsed light",
                        "bslate shutter --rate 24 --angle 172.8 --light 100:0.8:sine",
                        prepared<ShutterOptions, askShutter, shutter>};

} // namespace bslate::cli
