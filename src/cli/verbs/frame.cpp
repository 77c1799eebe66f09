#include "cli/findings.h"
#include "cli/region_option.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/frame/frame_verdict.h"
#include "core/frame/spot.h"
#include "core/frame/variants.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"
#include "io/codec/coding_run.h"
#include "io/stills/still_file.h"

#include <algorithm>
#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

struct FrameOptions {
    ShootFile file;
    std::string setup, stage = "grade", against, size = "1280x720", seed, push, out;
    std::vector<std::string> probes;
    bool force = false, noCodec = false;
};

void askFrame(FrameOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("--stage", o.stage, "light, sensor, curve, codec or grade").shown();
    list.text("--against", o.against,
              "picture of the right half: a setup, light, school:NAME, depth:BITS, profile:ID, "
              "recipe:ID (empty: none)");
    list.text("--push", o.push, "on the grade: \"lift 3 pull 1 warm 60\"");
    list.flag("--no-codec", o.noCodec, "as the codec is given it");
    list.texts("--probe", o.probes, "a place to read, X,Y or X,Y,W,H as shares of the picture");
    list.text("--size", o.size, "of the picture").shown();
    list.text("--seed", o.seed, "of its noise, 1 unless told");
    list.text("-o,--output", o.out, "picture to write: .png, .tif, .jpg or .exr");
    list.force(o.force);
}

struct Spot {
    PictureArea area;
    SpotReading read;
};

struct Wish {
    FrameWish frame;
    std::vector<PictureArea> probes;
    FrameStage stage = FrameStage::Grade;
    Push push;
    bool codec = true;
};

struct Shown {
    FrameMade frame;
    Image picture;
    Likeness toLight; ///< of the grade, both pushed
    Banding banding;  ///< of the grade as it is pushed
    std::vector<Finding> findings;
    std::vector<Spot> spots;
};

Result<Shown> shownOf(const Shoot& shoot, const Setup& setup, const Wish& wish) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto at = evaluate(*context);
    Shown shown{makeFrame(*context, at, wish.frame), {}, {}, {}, {}, {}};
    std::optional<Error> left;
    if (wish.codec && (wish.stage == FrameStage::Codec || wish.stage == FrameStage::Grade)) {
        const auto coded = io::codeScene(*context, at, wish.frame);
        if (!coded)
            left = coded.error();
        else if (*coded)
            shown.frame = withCoded(*context, at, std::move(shown.frame), wish.frame, **coded);
    }
    const auto& frame = shown.frame;
    shown.picture = shownStage(*context, at, frame, wish.stage, wish.push);
    const auto light = shownStage(*context, at, frame, FrameStage::Light, wish.push);
    const auto grade = shownStage(*context, at, frame, FrameStage::Grade, wish.push);
    shown.toLight = likenessOf(grade, light);
    shown.banding = bandingOf(grade, light);
    shown.findings = judgeFrame(*context, at, frame, wish.frame, left);
    for (const auto& area : wish.probes)
        shown.spots.push_back({area, spotOf(recordingOf(frame), context->profile->curve,
                                            frame.weights, area, &frame.light)});
    return shown;
}

void putRightHalf(Image& picture, const Image& other) {
    const int half = picture.size.width / 2;
    for (std::size_t c = 0; c < 3; ++c)
        for (int y = 0; y < picture.size.height; ++y)
            for (int x = half; x < picture.size.width; ++x)
                picture.plane[c][picture.at(x, y)] = other.plane[c][other.at(x, y)];
}

// The picture that --against names.
Result<Image> besideOf(const FrameOptions& options, const Shoot& shoot, const Setup& setup,
                       Wish wish) {
    if (options.against == "light") {
        wish.stage = FrameStage::Light;
        const auto light = shownOf(shoot, setup, wish);
        return light ? Result<Image>(light->picture) : Result<Image>(light.error());
    }
    if (const auto variant = variantNamed(options.against)) {
        const auto context = resolve(shoot, setup);
        if (!context)
            return context.error();
        const auto other = placed(varied(*context, *variant), "--against");
        if (!other)
            return other.error();
        const auto shown = shownOf(*other, *findSetup(*other, setup.id), wish);
        return shown ? Result<Image>(shown->picture) : Result<Image>(shown.error());
    }
    const auto other = setupNamed(shoot, options.file.path, options.against);
    if (!other)
        return other.error();
    const auto shown = shownOf(shoot, **other, wish);
    return shown ? Result<Image>(shown->picture) : Result<Image>(shown.error());
}

Json sharesJson(const std::array<Fraction, 3>& shares) {
    return {{"red", shares[0].value()}, {"green", shares[1].value()}, {"blue", shares[2].value()}};
}

// `0.4,0.5`, or with a width and a height.
Result<std::vector<PictureArea>> probesFrom(const std::vector<std::string>& texts) {
    std::vector<PictureArea> areas;
    for (const auto& text : texts) {
        const bool centre = std::count(text.begin(), text.end(), ',') == 1;
        const auto area = regionFrom("--probe", centre ? text + ",0.0001,0.0001" : text);
        if (!area)
            return area.error();
        areas.push_back(centre ? spotAbout(*area) : *area);
    }
    return areas;
}

Json spotsJson(const std::vector<Spot>& spots) {
    Json list = Json::array();
    for (const auto& [area, read] : spots)
        list.push_back(
            {{"at", {area.x, area.y, area.width, area.height}},
             {"light_cd_m2", read.light ? Json(read.light->value()) : Json()},
             {"stops", std::isfinite(read.stops.value()) ? Json(read.stops.value()) : Json()},
             {"percent", read.level.value()},
             {"channels_percent",
              {{"red", read.channels[0].value()},
               {"green", read.channels[1].value()},
               {"blue", read.channels[2].value()}}},
             {"codes", read.codes},
             {"ended_share", sharesJson(read.ended)}});
    return list;
}

void tellSpots(const std::vector<Spot>& spots, std::ostream& out) {
    for (const auto& [area, read] : spots)
        out << "at " << trimmed(area.x + area.width / 2, 3) << ","
            << trimmed(area.y + area.height / 2, 3) << "  "
            << (read.light ? trimmed(read.light->value(), 2) + " cd/m2, " : "") << print(read.stops)
            << ", " << print(read.level) << ", codes " << read.codes[0] << " " << read.codes[1]
            << " " << read.codes[2] << "\n";
}

void tell(const Shown& shown, Output& output) {
    const auto& frame = shown.frame;
    const auto depth = recordingOf(frame).depth;
    if (!output.json) {
        for (const auto& patch : frame.patches)
            output.text << patch.name << "  planned " << print(patch.planned) << ", found "
                        << print(patch.found) << "\n";
        if (frame.coded)
            output.text << "coded as " << frame.coded->standard << " at "
                        << print(frame.coded->rate) << "\n";
        tellSpots(shown.spots, output.text);
        tellFindings(shown.findings, output.text);
        output.text << "mean " << print(meanLevel(frame.instruments, depth)) << "\n"
                    << "to the light " << print(shown.toLight.peakToNoise) << ", SSIM "
                    << fixedText(shown.toLight.structure, 3) << "\n";
        return;
    }
    Json patches = Json::array();
    for (const auto& patch : frame.patches)
        patches.push_back({{"id", patch.id},
                           {"planned_percent", patch.planned.value()},
                           {"found_percent", patch.found.value()},
                           {"planned_stops", patch.plannedStops.value()},
                           {"found_stops", patch.foundStops.value()}});
    const double loss = shown.toLight.peakToNoise.value();
    const Json decibels = std::isinf(loss) ? Json() : Json(loss);
    Json codec;
    if (frame.coded)
        codec = {{"standard", frame.coded->standard},
                 {"of_mode", wordOf(frame.coded->planned)},
                 {"bit_rate_bps", frame.coded->rate.value()},
                 {"noise_kept",
                  frame.coded->noiseKept ? Json(frame.coded->noiseKept->value()) : Json()}};
    output.write(Json{{"codec", codec},
                      {"probes", spotsJson(shown.spots)},
                      {"mean_percent", meanLevel(frame.instruments, depth).value()},
                      {"clipped_share", sharesJson(frame.clipped)},
                      {"drowned_share", sharesJson(frame.drowned)},
                      {"psnr_db", decibels},
                      {"ssim", shown.toLight.structure},
                      {"banding_share", shown.banding.area.value()},
                      {"findings", findingsJson(shown.findings)},
                      {"patches", patches}});
}

Result<Wish> wishFrom(const FrameOptions& options) {
    Wish wish;
    const auto stage = frameStageNamed(options.stage);
    if (!stage)
        return usage("--stage", options.stage, "light, sensor, curve, codec or grade");
    wish.stage = *stage;
    const auto size = placed(parseFrameSize(options.size), "--size");
    if (!size)
        return size.error();
    if (size->width > 8192 || size->height > 8192)
        return usage("--size", options.size, "no side over 8192");
    wish.frame.size = {size->width, size->height};
    if (!options.seed.empty()) {
        const auto seed = wholeOf("--seed", options.seed, 0, 1'000'000'000, "0 to 1000000000");
        if (!seed)
            return seed.error();
        wish.frame.camera.seed = static_cast<std::uint64_t>(*seed);
    }
    const auto push = placed(parsePush(options.push), "--push");
    if (!push)
        return push.error();
    wish.push = *push;
    wish.codec = !options.noCodec;
    const auto probes = probesFrom(options.probes);
    if (!probes)
        return probes.error();
    wish.probes = *probes;
    return wish;
}

Result<int> frame(const FrameOptions& options, Output& output) {
    const auto wish = wishFrom(options);
    if (!wish)
        return wish.error();
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    auto made = shownOf(found->shoot, found->setup(), *wish);
    if (!made)
        return made.error();
    Shown shown = *std::move(made);
    if (!options.against.empty()) {
        const auto beside = besideOf(options, found->shoot, found->setup(), *wish);
        if (!beside)
            return beside.error();
        putRightHalf(shown.picture, *beside);
    }
    if (!options.out.empty()) {
        const auto written = io::writePicture(shown.picture, options.out, options.force);
        if (!written)
            return written.error();
    }
    tell(shown, output);
    return 0;
}

} // namespace

extern const Verb kFrameVerb;
const Verb kFrameVerb{"frame", "A setup's scene as it is recorded",
                      "bslate frame slack-water.bslate --setup 2A --size 320x180",
                      prepared<FrameOptions, askFrame, frame>};

} // namespace bslate::cli
