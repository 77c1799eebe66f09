#include "cli/commands.h"
#include "cli/verdict_json.h"
#include "core/base/find_by_id.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/verdict/lattice.h"
#include "core/verdict/wording.h"
#include "io/kit_json.h"
#include "io/shoot_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

Error inKit(ErrorCode code, std::string file, std::string place, std::string got,
            std::string expected) {
    return {code, std::move(file), std::move(place), std::move(got), std::move(expected)};
}

template<class Items>
std::string idsOf(const Items& items) {
    std::string ids;
    for (const auto& item : items)
        ids += (ids.empty() ? "one of " : ", ") + item.id;
    return ids.empty() ? "an id; the kit has none" : ids;
}

Result<FrameRate> rateOr(const std::string& text, const char* option, FrameRate otherwise) {
    if (text.empty())
        return otherwise;
    const auto rate = parseFrameRate(text);
    if (rate)
        return *rate;
    Error error = rate.error();
    error.place = option;
    return error;
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

} // namespace

Result<int> modes(const ModesOptions& options, std::ostream& out) {
    const auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    const auto* camera = findCamera(*kit, options.camera);
    if (!camera)
        return inKit(ErrorCode::UnknownId, options.kit, "--camera", options.camera,
                     idsOf(kit->cameras));
    if (!options.profile.empty() && !findProfile(*kit, options.profile))
        return inKit(ErrorCode::UnknownId, options.kit, "--profile", options.profile,
                     idsOf(kit->profiles));
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
    if (const auto* profile = findProfile(*kit, options.profile)) {
        setup.base = nearestBase(*camera, *profile, profile->minimum).iso;
        setup.rating = setup.base;
    }
    const LatticeCase question{&*kit, camera, &setup, nullptr, &brief};
    const auto lattice = latticeOf(question);
    Json cells = Json::array();
    for (const auto& mode : camera->modes) {
        if (!options.json)
            out << mode.name << " (" << mode.id << ")\n";
        for (const auto rate : lattice.rates) {
            if (!options.rate.empty() && rate != *only)
                continue;
            const auto cell = cellOf(question, mode, rate);
            if (options.json)
                cells.push_back(cellJson(cell, question, lattice));
            else
                printCell(cell, out);
        }
    }
    if (options.json)
        out << jsonText(Json{{"camera", camera->id}, {"cells", cells}});
    return 0;
}

Result<int> validate(const ValidateOptions& options, std::ostream& out) {
    const auto report = [&](const char* format, Json counts) {
        if (options.json)
            out << jsonText(Json{{"valid", true}, {"format", format}, {"holds", counts}});
        else
            out << options.file.path << ": a sound " << format << " file\n";
        return 0;
    };
    const auto shoot = opened(options.file);
    if (shoot)
        return report("bright-slate-shoot",
                      {{"scenes", shoot->scenes.size()}, {"setups", shoot->setups.size()}});
    if (shoot.error().code != ErrorCode::WrongFormat)
        return shoot.error();
    const auto kit = io::loadKit(options.file.path);
    if (kit)
        return report("bright-slate-kit", {{"cameras", kit->cameras.size()},
                                           {"profiles", kit->profiles.size()},
                                           {"lenses", kit->lenses.size()},
                                           {"cards", kit->cards.size()}});
    return kit.error().code == ErrorCode::WrongFormat ? shoot.error() : kit.error();
}

} // namespace bslate::cli
