#include "cli/verb.h"
#include "core/advice/openings.h"
#include "core/facts/lattice.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"
#include "io/json/kit_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ModesOptions {
    std::string kit, camera;
    std::string rate;    ///< only this one; empty for all
    std::string base;    ///< what footage plays at; 24 when empty
    std::string profile; ///< judged for this profile; empty: none chosen
    bool externalPower = false;
};

void askModes(ModesOptions& o, OptionList& list) {
    list.text("--kit", o.kit, "kit file (*.bskit.json)").required();
    list.text("--camera", o.camera, "camera id").required();
    list.text("--rate", o.rate, "only this frame rate");
    list.text("--base", o.base, "the rate it plays at; 24 when not given");
    list.text("--profile", o.profile, "profile id");
    list.flag("--external-power", o.externalPower, "the camera is plugged in");
}

Result<FrameRate> rateOr(const std::string& text, const char* option, FrameRate otherwise) {
    return text.empty() ? otherwise : placed(parseFrameRate(text), option);
}

Json cellJson(const ModeCell& cell, const LatticeCase& question, const Lattice& lattice) {
    Json node = {{"mode", cell.mode->id},
                 {"codec", cell.mode->codec},
                 {"area", cell.mode->area},
                 {"width_px", cell.mode->frame.width},
                 {"height_px", cell.mode->frame.height},
                 {"rate", spell(cell.rate)},
                 {"available", cell.available()},
                 {"reasons", Json::array()},
                 {"bit_rate_bps", cell.bitRate.value()},
                 {"bits_per_pixel", cell.bitsPerPixel.value()},
                 {"crop", cell.crop.value()},
                 {"costs", Json::array()}};
    for (const auto& reason : cell.reasons)
        node["reasons"].push_back(reasonOf(reason));
    for (const auto& [kind, reason] : cell.costs)
        node["costs"].push_back(reasonOf(reason));
    node["record_time_s"] = cell.recordTime ? Json(cell.recordTime->value()) : Json(nullptr);
    node["opens_with"] = Json::array();
    for (const auto& opening : openingsOf(question, lattice, cell))
        node["opens_with"].push_back(reasonOf(opening.reason));
    return node;
}

void printCell(const ModeCell& cell, std::ostream& out) {
    out << "  " << print(cell.rate) << "  ";
    if (!cell.available()) {
        out << "not possible:";
        for (const auto& reason : cell.reasons)
            out << " " << reasonOf(reason) << ".";
        out << "\n";
        return;
    }
    out << print(cell.bitRate) << ", " << print(cell.bitsPerPixel) << " bits a pixel";
    if (cell.recordTime)
        out << ", " << printDuration(*cell.recordTime) << " on " << cell.card.card->name;
    for (const auto& [kind, reason] : cell.costs)
        out << "; " << reasonOf(reason);
    out << "\n";
}

Result<int> modes(const ModesOptions& options, Output& output) {
    const auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    const auto named = cameraNamed(*kit, options.kit, options.camera);
    if (!named)
        return named.error();
    const Camera* camera = *named;
    const Profile* profile = nullptr;
    if (!options.profile.empty()) {
        const auto wanted = profileNamed(*kit, options.kit, options.profile);
        if (!wanted)
            return wanted.error();
        profile = *wanted;
    }
    const auto base = rateOr(options.base, "--base", FrameRate{});
    const auto only = rateOr(options.rate, "--rate", *base);
    if (!base || !only)
        return base ? only.error() : base.error();
    Brief brief;
    brief.rate = *base;
    Setup setup;
    setup.rate = *only;
    setup.profile = options.profile;
    setup.externalPower = options.externalPower;
    if (profile) {
        setup.base = nearestBase(*camera, *profile, profile->minimum).iso;
        setup.rating = setup.base;
    }
    const LatticeCase question{&*kit, camera, &setup, nullptr, &brief};
    const auto lattice = latticeOf(question);
    Json cells = Json::array();
    for (const auto& mode : camera->modes) {
        if (!output.json)
            output.text << mode.name << " (" << mode.id << ")\n";
        for (const auto rate : lattice.rates) {
            if (!options.rate.empty() && rate != *only)
                continue;
            const auto cell = cellOf(question, mode, rate);
            if (output.json)
                cells.push_back(cellJson(cell, question, lattice));
            else
                printCell(cell, output.text);
        }
    }
    if (output.json)
        output.write(Json{{"camera", camera->id}, {"cells", cells}});
    return 0;
}

} // namespace

extern const Verb kModesVerb;
const Verb kModesVerb{"modes", "List what a camera can record, and why not",
                      "bslate modes --kit slack-water.bskit.json --camera tarn-6",
                      prepared<ModesOptions, askModes, modes>};

} // namespace bslate::cli
