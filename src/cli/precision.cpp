#include "core/verdict/precision.h"
#include "cli/commands.h"
#include "cli/verdict_json.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "io/shoot_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

constexpr std::string_view nameOf(EightBitAnswer answer) {
    constexpr std::string_view names[] = {"enough", "normal-gamut", "only-if-nailed", "never"};
    return names[static_cast<int>(answer)];
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

} // namespace

Result<int> precision(const PrecisionOptions& options, std::ostream& out) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    const auto* setup = setupNamed(*shoot, options.setup);
    if (!setup)
        return noSetup(*shoot, options.file.path, options.setup);
    const auto context = resolve(*shoot, *setup);
    if (!context)
        return context.error();
    const auto wanted = options.bits.empty() ? Result<std::int64_t>(context->codec->depth.bits)
                                             : wholeOf("--bits", options.bits, 8, 16, "8 to 16");
    if (!wanted)
        return wanted.error();
    const int bits = static_cast<int>(*wanted);
    const auto found = precisionOf(*context, BitDepth{bits});
    const auto eight = eightBits(*context, shoot->brief.grade).answer;
    if (!options.json) {
        tell(found, eight, out);
        return found.bands ? 1 : 0;
    }
    Json node = {{"setup", setup->id}, {"bits", bits}, {"rows", Json::array()}};
    for (const auto& row : found.stops)
        node["rows"].push_back(rowJson(row));
    node["chroma_gain"] = found.chromaGain;
    node["chroma_samples_per_pixel"] = found.chromaSamples;
    node["bands"] = found.bands;
    node["eight_bit_log"] = nameOf(eight);
    out << jsonText(node);
    return found.bands ? 1 : 0;
}

} // namespace bslate::cli
