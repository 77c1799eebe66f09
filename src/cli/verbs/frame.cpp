#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/frame/frame_made.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"
#include "io/codec/coding_run.h"
#include "io/stills/still_file.h"

#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

struct FrameOptions {
    ShootFile file;
    std::string setup, stage = "grade", against, size = "1280x720", seed, out;
    bool force = false, noCodec = false;
};

void askFrame(FrameOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("--stage", o.stage, "light, sensor, curve, codec or grade").shown();
    list.text("--against", o.against, "setup id or number: its picture in the right half");
    list.text("--size", o.size, "of the picture").shown();
    list.text("--seed", o.seed, "of its noise, 1 unless told");
    list.flag("--no-codec", o.noCodec, "as the codec is given it");
    list.text("-o,--output", o.out, "picture to write: .png, .tif, .jpg or .exr");
    list.force(o.force);
}

struct Shown {
    FrameMade frame;
    Image picture;
    Likeness toLight;           ///< of what the grade gets
    std::optional<Error> codec; ///< why it was left out
};

Result<Shown> shownOf(const Shoot& shoot, const Setup& setup, const FrameWish& wish,
                      FrameStage stage, bool codec) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto at = evaluate(*context);
    Shown shown{makeFrame(*context, at, wish), {}, {}, {}};
    if (codec && (stage == FrameStage::Codec || stage == FrameStage::Grade)) {
        const auto coded = io::codeScene(*context, at, wish);
        if (!coded)
            shown.codec = coded.error();
        else if (*coded)
            shown.frame = withCoded(*context, at, std::move(shown.frame), wish, **coded);
    }
    shown.picture = shownStage(*context, at, shown.frame, stage);
    shown.toLight = likenessOf(shownStage(*context, at, shown.frame, FrameStage::Grade),
                               shownStage(*context, at, shown.frame, FrameStage::Light));
    return shown;
}

void putRightHalf(Image& picture, const Image& other) {
    const int half = picture.size.width / 2;
    for (std::size_t c = 0; c < 3; ++c)
        for (int y = 0; y < picture.size.height; ++y)
            for (int x = half; x < picture.size.width; ++x)
                picture.plane[c][picture.at(x, y)] = other.plane[c][other.at(x, y)];
}

Json sharesJson(const std::array<Fraction, 3>& shares) {
    return {{"red", shares[0].value()}, {"green", shares[1].value()}, {"blue", shares[2].value()}};
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
        else if (shown.codec)
            output.text << "without the codec: " << message(*shown.codec) << "\n";
        if (frame.coded && frame.coded->noiseKept)
            output.text << "noise kept " << print(*frame.coded->noiseKept) << "\n";
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
                 {"bit_rate_bps", frame.coded->rate.value()},
                 {"noise_kept",
                  frame.coded->noiseKept ? Json(frame.coded->noiseKept->value()) : Json()}};
    output.write(Json{{"codec", codec},
                      {"mean_percent", meanLevel(frame.instruments, depth).value()},
                      {"clipped_share", sharesJson(frame.clipped)},
                      {"drowned_share", sharesJson(frame.drowned)},
                      {"psnr_db", decibels},
                      {"ssim", shown.toLight.structure},
                      {"patches", patches}});
}

Result<FrameWish> wishFrom(const FrameOptions& options) {
    FrameWish wish;
    const auto size = placed(parseFrameSize(options.size), "--size");
    if (!size)
        return size.error();
    if (size->width > 8192 || size->height > 8192)
        return usage("--size", options.size, "no side over 8192");
    wish.size = {size->width, size->height};
    if (!options.seed.empty()) {
        const auto seed = wholeOf("--seed", options.seed, 0, 1'000'000'000, "0 to 1000000000");
        if (!seed)
            return seed.error();
        wish.camera.seed = static_cast<std::uint64_t>(*seed);
    }
    return wish;
}

Result<int> frame(const FrameOptions& options, Output& output) {
    const auto stage = frameStageNamed(options.stage);
    if (!stage)
        return usage("--stage", options.stage, "light, sensor, curve, codec or grade");
    const auto wish = wishFrom(options);
    if (!wish)
        return wish.error();
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    auto made = shownOf(found->shoot, found->setup(), *wish, *stage, !options.noCodec);
    if (!made)
        return made.error();
    Shown shown = *std::move(made);
    if (!options.against.empty()) {
        const auto other = setupNamed(found->shoot, options.file.path, options.against);
        if (!other)
            return other.error();
        const auto beside = shownOf(found->shoot, **other, *wish, *stage, !options.noCodec);
        if (!beside)
            return beside.error();
        putRightHalf(shown.picture, beside->picture);
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
