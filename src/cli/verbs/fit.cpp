#include "cli/verb.h"
#include "core/facts/tested_zebra.h"
#include "core/kit/profile_edit.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/kit_json.h"
#include "io/system/files.h"
#include "io/text/readings_csv.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct FitOptions {
    std::string readings; ///< CSV
    std::string kit, camera, profile;
    std::string base;        ///< ISO; the profile's first when empty
    std::string nominal;     ///< a standard's name, instead of a kit's profile
    std::string note;        ///< kept with the measurement: when, how lit
    std::string output;      ///< kit to write, with the measured profile in it
    std::string bits = "10"; ///< of codes in the readings
    std::string snr = "2";
    bool force = false; ///< over a file that is there
};

void askFit(FitOptions& o, OptionList& list) {
    list.text("READINGS", o.readings, "CSV: stop, percent or code, noise").required();
    auto kit = list.text("--kit", o.kit, "kit file (*.bskit.json) with the camera that was tested");
    auto camera = list.text("--camera", o.camera, "camera id").needs(kit);
    auto profile = list.text("--profile", o.profile, "profile id it was tested in");
    profile.needs(kit);
    kit.needs(camera).needs(profile);
    list.text("--base", o.base, "base ISO; the profile's first when not given");
    list.text("--nominal", o.nominal, "without a kit: the standard curve to start from");
    list.text("--bits", o.bits, "depth of codes in the readings").shown();
    list.text("--snr", o.snr, "signal-to-noise ratio of the floor").shown();
    list.text("--note", o.note, "kept with it: when, how lit, which lens");
    list.text("-o,--output", o.output, "write the kit with the measured profile in it");
    list.force(o.force, "replace a file that is there, the kit itself included");
}

// What a series is fitted against, and where the result may go.
struct Bench {
    Kit kit;
    const Camera* camera = nullptr;
    const Profile* profile = nullptr;
    Curve nominal;
    ExposureIndex base{0};
};

Result<Bench> benchOf(const FitOptions& options) {
    Bench bench;
    if (options.kit.empty()) {
        for (const auto& [name, text] :
             {std::pair("--camera", options.camera), std::pair("--profile", options.profile),
              std::pair("--base", options.base)})
            if (!text.empty())
                return usage(name, text, "a kit it belongs to: --kit");
        const auto standard = standardCurve(options.nominal.empty() ? "acescct" : options.nominal);
        if (!standard)
            return usage("--nominal", options.nominal, "acescct, bt709, hlg, pq or srgb");
        bench.nominal = *standard;
        return bench;
    }
    auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    bench.kit = *std::move(kit);
    const auto camera = cameraNamed(bench.kit, options.kit, options.camera);
    if (!camera)
        return camera.error();
    bench.camera = *camera;
    const auto named = profileNamed(bench.kit, options.kit, options.profile);
    if (!named)
        return named.error();
    const Profile* profile = *named;
    const auto& taken = bench.camera->profiles;
    if (std::find(taken.begin(), taken.end(), profile->id) == taken.end())
        return usage("--profile", options.profile, "a profile of " + bench.camera->name);
    bench.profile = profile;
    bench.nominal = profile->curve;
    // The profile's own first base when none is asked for.
    bench.base = nearestBase(*bench.camera, *profile,
                             profile->bases.empty() ? bench.camera->bases.front().iso
                                                    : profile->bases.front())
                     .iso;
    if (options.base.empty())
        return bench;
    const auto base = parseExposureIndex(options.base);
    if (!base)
        return usage("--base", options.base, base.error().expected);
    if (nearestBase(*bench.camera, *profile, *base).iso != *base)
        return usage("--base", options.base,
                     "a base of " + bench.camera->name + " in " + profile->name + ": " +
                         basesText(*bench.camera, *profile));
    bench.base = *base;
    return bench;
}

Json fitJson(const SeriesFit& fit, const std::vector<SeriesReading>& readings) {
    constexpr ByEnum<ReadingFate, const char*> kFates{"used", "outlier", "clipped"};
    constexpr const char* kChannels[] = {"red", "green", "blue"};
    Json node = {
        {"form", fit.sampled ? "sampled" : "camera-log"},
        {"rms_codes_10bit", tenBitCodes(fit.rms)},
        {"worst_codes_10bit", tenBitCodes(fit.worst)},
        {"outliers", fit.outliers()},
        {"relative", fit.relative},
        {"shift_stops", fit.relative ? Json(nullptr) : Json(fit.shift.value())},
        {"flare_linear", fit.flare.value()},
        {"noise_floor_stops", fit.noiseFloor ? Json(fit.noiseFloor->value()) : Json(nullptr)}};
    for (std::size_t c = 0; c < 3; ++c) {
        node["clip_stops"][kChannels[c]] = fit.clip[c] ? Json(fit.clip[c]->value()) : Json(nullptr);
        node["clip_uncertainty_stops"][kChannels[c]] =
            fit.clip[c] ? Json(fit.clipUncertainty[c].value()) : Json(nullptr);
    }
    node["scatter_codes_10bit"] = tenBitCodes(fit.scatter);
    node["clip_level_percent"] =
        fit.curve.end ? Json(levelOf(*fit.curve.end, fit.curve.range, BitDepth{10}).value())
                      : Json(nullptr);
    if (const auto* log = std::get_if<CameraLog>(&fit.curve.family)) {
        node["camera_log"] = {{"base", log->base},
                              {"log_side_slope", log->logSideSlope},
                              {"log_side_offset", log->logSideOffset},
                              {"lin_side_slope", log->linSideSlope},
                              {"lin_side_offset", log->linSideOffset},
                              {"lin_side_break", log->linSideBreak}};
        if (log->linearSlope)
            node["camera_log"]["linear_slope"] = *log->linearSlope;
    }
    node["readings"] = Json::array();
    for (std::size_t i = 0; i < readings.size(); ++i)
        node["readings"].push_back({{"stops", readings[i].stops.value()},
                                    {"fate", kFates[fit.fates[i]]},
                                    {"off_codes_10bit", tenBitCodes(fit.misses[i])}});
    return node;
}

void tell(const Json& node, std::ostream& out) {
    out << node["form"].get<std::string>() << ", rms " << fixedText(node["rms_codes_10bit"], 2)
        << " codes of 10 bits, " << node["outliers"].get<int>() << " outliers, "
        << (node["shift_stops"].is_null()
                ? std::string("relative only (no exposure is known), flare ")
                : fixedText(node["shift_stops"], 2) + " stop from nominal, flare ")
        << fixedText(node["flare_linear"], 5) << "\n";
    for (const auto& [channel, clip] : node["clip_stops"].items())
        out << "clip " << channel << " "
            << (clip.is_null() ? std::string("not reached")
                               : fixedText(clip, 2) + " plus or minus " +
                                     fixedText(node["clip_uncertainty_stops"][channel], 2))
            << "\n";
    if (!node["noise_floor_stops"].is_null())
        out << "noise floor " << fixedText(node["noise_floor_stops"], 2) << "\n";
    if (node.contains("zebra_clip_percent"))
        out << "zebra " << fixedText(node["zebra_clip_percent"], 1) << " % on "
            << (node["zebra_measured_on"] == "recorded" ? "the recorded signal" : "the viewing LUT")
            << "\n";
    for (const auto& reading : node["readings"])
        if (reading["fate"] == "outlier")
            out << "left out: " << fixedText(reading["stops"], 2) << " stops, off by "
                << fixedText(reading["off_codes_10bit"], 1) << " codes\n";
}

Outcome writeMeasured(const FitOptions& options, const Bench& bench, const SeriesFit& fit,
                      const std::vector<SeriesReading>& readings, double snr) {
    Measurement measured = measurementOf(fit, readings, snr);
    measured.camera = options.camera;
    measured.nominal = options.profile;
    measured.base = bench.base;
    measured.note = options.note;
    const auto kit = withMeasured(bench.kit, measured, fit.curve);
    if (!kit)
        return kit.error();
    return writeOutput(options.output, io::writeKit(*kit), options.force);
}

Result<int> fit(const FitOptions& options, Output& output) {
    const auto snr = snrOf(options.snr);
    if (!snr)
        return snr.error();
    const auto bits = wholeOf("--bits", options.bits, 8, 16, "8 to 16");
    if (!bits)
        return bits.error();
    if (!options.output.empty() && options.kit.empty())
        return usage("--output", options.output, "a kit to put the profile into: --kit");
    const auto bench = benchOf(options);
    if (!bench)
        return bench.error();
    const auto inFile = [&](Error error) {
        error.file = options.readings;
        return error;
    };
    const auto text = io::readFile(options.readings);
    if (!text)
        return text.error();
    const auto range = bench->nominal.range;
    const auto readings =
        io::readReadings(*text, {io::ReadingUnit::Auto, BitDepth{static_cast<int>(*bits)}, range});
    if (!readings)
        return inFile(readings.error());
    const auto fitted = fitSeries(*readings, range, bench->nominal, *snr);
    if (!fitted)
        return inFile(fitted.error());
    Json node = fitJson(*fitted, *readings);
    if (bench->camera) {
        node["base_iso"] = bench->base.value();
        if (options.base.empty())
            output.notes << "bslate: fitted for base " << print(bench->base) << " of "
                         << bench->camera->name << "; --base names another\n";
        if (const auto zebra = clipZebraAfterTest(bench->kit, *bench->camera, *bench->profile,
                                                  bench->base, *fitted)) {
            node["zebra_clip_percent"] = zebra->set.value();
            node["zebra_measured_on"] =
                zebra->tap == ZebraTap::Recorded ? "recorded" : "viewing_lut";
        }
    }
    if (!options.output.empty())
        if (const auto saved = writeMeasured(options, *bench, *fitted, *readings, *snr); !saved)
            return saved.error();
    if (output.json)
        output.write(node);
    else
        tell(node, output.text);
    return 0;
}

} // namespace

extern const Verb kFitVerb;
const Verb kFitVerb{"fit", "Fit the readings of an exposure series",
                    "bslate fit sedge-2-series.csv --kit slack-water.bskit.json --camera sedge-2 "
                    "--profile sedge-flat",
                    prepared<FitOptions, askFit, fit>};

} // namespace bslate::cli
