#include "cli/number_list.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/codec/clip_make.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct MakeClipOptions {
    ShootFile file;
    std::string setup, size = "1280x720", seconds = "2", rate, steps, tone, out;
    bool steady = false, force = false;
};

void askMakeClip(MakeClipOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("--size", o.size, "of the pictures").shown();
    list.text("--seconds", o.seconds, "how long").shown();
    list.text("--rate", o.rate, "another rate than the setup's, on purpose");
    list.text("--steps", o.steps, "light held at each of these stops in turn: -4,-2,0,2");
    list.text("--tone", o.tone, "1 kHz tone with its peak at so many dBFS, such as -20");
    list.flag("--steady", o.steady, "lamps do not pulse");
    list.text("-o,--output", o.out, "clip to write (.mov)").required();
    list.force(o.force);
}

Result<MadeClipWish> wishFrom(const MakeClipOptions& options) {
    MadeClipWish wish;
    const auto size = parseFrameSize(options.size);
    if (!size)
        return size.error();
    wish.size = {size->width, size->height};
    const auto seconds =
        numberOf("--seconds", options.seconds, 0.01, 1000, "seconds, 0.01 to 1000");
    if (!seconds)
        return seconds.error();
    wish.length = Seconds(*seconds);
    if (!options.rate.empty()) {
        const auto rate = parseFrameRate(options.rate);
        if (!rate)
            return rate.error();
        wish.rate = *rate;
    }
    if (!options.tone.empty()) {
        const auto tone = numberOf("--tone", options.tone, -120, 0, "dBFS from -120 to 0");
        if (!tone)
            return tone.error();
        wish.tone = Decibels(*tone);
    }
    if (!options.steps.empty()) {
        const auto steps = numbersIn("--steps", options.steps, -20, 20, "stops such as -4,-2,0,2");
        if (!steps)
            return steps.error();
        for (const double step : *steps)
            wish.steps.emplace_back(step);
    }
    wish.pulsing = !options.steady;
    return wish;
}

Result<int> makeOne(const MakeClipOptions& options, Output& output) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    const auto setup = setupNamed(*shoot, options.file.path, options.setup);
    if (!setup)
        return setup.error();
    const auto context = resolve(*shoot, **setup);
    if (!context)
        return context.error();
    const auto wish = wishFrom(options);
    if (!wish)
        return wish.error();
    const auto at = evaluate(*context);
    const auto file = io::makeClip(*context, at, *wish);
    if (!file)
        return file.error();
    if (const auto written = writeOutput(options.out, *file, options.force); !written)
        return written.error();
    const auto task = madeClipTask(*context, at, *wish);
    if (output.json)
        output.write(Json{{"file", options.out},
                          {"bytes", file->size()},
                          {"frames", task->coding.frames},
                          {"rate", spell(task->coding.rate)},
                          {"bit_rate_bps", task->coding.bitRate.value()}});
    else
        output.text << options.out << ": " << task->coding.frames << " frames, "
                    << print(task->coding.rate) << " p\n";
    return 0;
}

} // namespace

extern const Verb kMakeClipVerb;
const Verb kMakeClipVerb{"make-clip", "A setup's scene as a recorded clip, to try with",
                         "bslate make-clip slack-water.bslate --setup 2A --size 320x180 --seconds "
                         "0.5 --tone -20 -o 2A.mov",
                         prepared<MakeClipOptions, askMakeClip, makeOne>};

} // namespace bslate::cli
