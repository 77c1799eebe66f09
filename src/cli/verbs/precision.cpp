#include "core/facts/precision.h"
#include "cli/verb.h"
#include "core/base/enumerated.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct PrecisionOptions {
    ShootFile file;
    std::string setup;
    std::string bits; ///< 8 to 16; empty for the mode's own
};

void askPrecision(PrecisionOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("--bits", o.bits, "at another depth, 8 to 16");
}

constexpr std::string_view nameOf(EightBitAnswer answer) {
    constexpr ByEnum<EightBitAnswer, std::string_view> names{"enough", "normal-gamut",
                                                             "only-if-nailed", "never"};
    return names[answer];
}

Json rowJson(const PrecisionAt& row) {
    return {{"stops", row.recorded.value()},
            {"codes", row.codes},
            {"display_step_codes", row.displayStep},
            {"noise_codes", row.noise},
            {"bands", row.bands}};
}

void tell(const Precision& precision, EightBitAnswer eight, std::ostream& out) {
    for (const auto& row : precision.stops)
        out << print(row.recorded) << "  " << fixedText(row.codes, 1) << " codes, a step is "
            << fixedText(row.displayStep, 2) << " on the display, noise " << fixedText(row.noise, 2)
            << (row.bands ? "  bands" : "") << "\n";
    out << "chroma";
    for (const double gain : precision.chromaGain)
        out << " x" << fixedText(gain, 2);
    out << "\n8 bits: " << nameOf(eight) << "\n";
}

Result<int> precision(const PrecisionOptions& options, Output& output) {
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto& shoot = found->shoot;
    const auto& setup = found->setup();
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto wanted = options.bits.empty() ? Result<std::int64_t>(context->codec->depth.bits)
                                             : wholeOf("--bits", options.bits, 8, 16, "8 to 16");
    if (!wanted)
        return wanted.error();
    const int bits = static_cast<int>(*wanted);
    const auto precision = precisionOf(*context, BitDepth{bits});
    const auto eight = eightBits(*context, shoot.brief.grade).answer;
    if (!output.json) {
        tell(precision, eight, output.text);
        return precision.bands ? 1 : 0;
    }
    Json node = {{"setup", setup.id}, {"bits", bits}, {"rows", Json::array()}};
    for (const auto& row : precision.stops)
        node["rows"].push_back(rowJson(row));
    node["chroma_gain"] = precision.chromaGain;
    node["chroma_samples_per_pixel"] = precision.chromaSamples;
    node["bands"] = precision.bands;
    node["eight_bit_log"] = nameOf(eight);
    output.write(node);
    return precision.bands ? 1 : 0;
}

} // namespace

extern const Verb kPrecisionVerb;
const Verb kPrecisionVerb{"precision", "What a recording will bear in the grade",
                          "bslate precision slack-water.bslate --setup 2A",
                          prepared<PrecisionOptions, askPrecision, precision>};

} // namespace bslate::cli
