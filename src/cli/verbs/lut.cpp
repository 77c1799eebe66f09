#include "cli/verb.h"
#include "io/colour/lut_file.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct LutOptions {
    ShootFile file;
    std::string setup, output;
    std::string format;      ///< cube, clf or cdl; empty: what the output's suffix says
    std::string look;        ///< id of a recipe; empty: the plain BT.709 display
    std::string size = "33"; ///< of a cube: 17, 33 or 65; ignored for a 1D LUT
    bool oneDimensional = false;
    bool force = false; ///< over a file that is there
};

void askLut(LutOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("-o,--output", o.output, "file to write (*.cube, *.clf, *.cc, *.ccc, *.cdl)")
        .required();
    list.text("--format", o.format, "cube, clf or cdl; else what the suffix says");
    list.text("--look", o.look, "id of a recipe of the kit to show it through");
    list.text("--size", o.size, "17, 33 or 65 points a side").shown();
    list.flag("--1d", o.oneDimensional, "a neutral 1D LUT");
    list.force(o.force);
}

// The family of formats by --format, else by the suffix; they must not contradict each other.
Result<std::string> familyOf(const LutOptions& options, const std::string& suffix) {
    constexpr const char* known = "a file ending in .cube, .clf, .cc, .ccc or .cdl";
    const auto bySuffix = io::formatOfSuffix(suffix);
    const std::string said = !bySuffix                         ? ""
                             : *bySuffix == io::LutFormat::Clf ? "clf"
                             : suffix == ".cube"               ? "cube"
                                                               : "cdl";
    const auto& asked = options.format;
    if (!asked.empty() && asked != "cube" && asked != "clf" && asked != "cdl")
        return usage("--format", asked, "cube, clf or cdl");
    if (asked.empty() && said.empty())
        return usage("--output", options.output, std::string(known) + ", or --format");
    if (!asked.empty() && !said.empty() && asked != said)
        return usage("--output", options.output, "a name that fits --format " + asked);
    return asked.empty() ? said : asked;
}

Result<io::LutFormat> formatOf(const LutOptions& options) {
    const auto suffix = std::filesystem::path(options.output).extension().string();
    const auto bySuffix = io::formatOfSuffix(suffix);
    const auto family = familyOf(options, suffix);
    if (!family)
        return family.error();
    if (*family == "clf")
        return io::LutFormat::Clf;
    if (*family == "cdl")
        return bySuffix.value_or(io::LutFormat::CdlCollection);
    if (options.oneDimensional)
        return io::LutFormat::Cube1d;
    const auto size = wholeOf("--size", options.size, 17, 65, "17, 33 or 65");
    const auto cube = size ? io::cubeOfSize(static_cast<int>(*size)) : std::nullopt;
    if (!cube)
        return usage("--size", options.size, "17, 33 or 65");
    return *cube;
}

Result<int> lut(const LutOptions& options, Output& output) {
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto& shoot = found->shoot;
    const auto& setup = found->setup();
    const auto format = formatOf(options);
    if (!format)
        return format.error();
    const auto text = io::lutText(shoot, setup, *format, options.look);
    if (!text)
        return text.error();
    if (const auto saved = writeOutput(options.output, *text, options.force); !saved)
        return saved.error();
    if (output.json)
        output.write(Json{{"file", options.output}, {"bytes", text->size()}});
    else
        output.text << options.output << "\n";
    return 0;
}

} // namespace

extern const Verb kLutVerb;
const Verb kLutVerb{"lut", "Write a setup's rating or look LUT",
                    "bslate lut slack-water.bslate --setup 2A -o 2a.cube",
                    prepared<LutOptions, askLut, lut>};

} // namespace bslate::cli
