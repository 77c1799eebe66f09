#include "core/clip/own_camera.h"

#include "core/advice/starting.h"

#include <algorithm>
#include <set>

namespace bslate {
namespace {

bool isTypedFor(const TypedCell& cell, const ModeLine& mode) {
    return areOfOneFormat(cell.mode, mode) && cell.mode.crop == mode.crop;
}

void putCell(ModeLine& mode, FrameRate rate, std::optional<DataRate> bits) {
    auto& rates = mode.rates;
    const auto there = std::find_if(rates.begin(), rates.end(),
                                    [rate](const RateOption& one) { return one.rate == rate; });
    if (there != rates.end() && bits)
        there->bitRate = *bits;
    else if (there != rates.end())
        rates.erase(there);
    else if (bits)
        rates.insert(std::upper_bound(rates.begin(), rates.end(), rate,
                                      [](FrameRate a, const RateOption& b) { return a < b.rate; }),
                     {rate, *bits});
}

bool has(const ModeLine& mode, FrameRate rate) {
    return std::any_of(mode.rates.begin(), mode.rates.end(),
                       [rate](const RateOption& one) { return one.rate == rate; });
}

std::vector<SeenMode> withTyped(std::vector<SeenMode> modes, std::span<const TypedCell> typed) {
    for (const auto& cell : typed) {
        auto mode = std::find_if(modes.begin(), modes.end(),
                                 [&](const SeenMode& one) { return isTypedFor(cell, one.line); });
        if (mode == modes.end() && cell.bitRate) {
            modes.push_back({cell.mode, 1, {}, std::nullopt});
            mode = modes.end() - 1;
            mode->line.rates.clear();
        }
        if (mode != modes.end())
            putCell(mode->line, cell.rate, cell.bitRate);
    }
    std::erase_if(modes, [](const SeenMode& mode) { return mode.line.rates.empty(); });
    return modes;
}

// Clips of a mode that have its rate.
int clipsOf(std::span<const ClipFacts> clips, const SeenMode& mode, FrameRate rate) {
    return static_cast<int>(std::count_if(clips.begin(), clips.end(), [&](const ClipFacts& clip) {
        return clip.picture && clip.picture->rate == rate &&
               std::find(mode.files.begin(), mode.files.end(), clip.file) != mode.files.end();
    }));
}

} // namespace

OwnLattice latticeOf(const OwnCamera& own) {
    OwnLattice lattice;
    lattice.rows = readModeTable(own.table);
    const auto lines = modesIn(lattice.rows);
    const auto seen = modesFromClips(own.clips);
    lattice.modes = withTyped(joined(seen, lines), own.typed);
    std::set<FrameRate> rates;
    for (const auto& mode : lattice.modes)
        for (const auto& option : mode.line.rates)
            rates.insert(option.rate);
    lattice.rates.assign(rates.begin(), rates.end());
    for (const auto& mode : lattice.modes) {
        auto& row = lattice.grounds.emplace_back();
        for (const auto rate : lattice.rates)
            row.push_back(
                {clipsOf(own.clips, mode, rate),
                 std::any_of(lines.begin(), lines.end(),
                             [&](const ModeLine& line) {
                                 return areOfOneFormat(line, mode.line) && has(line, rate);
                             }),
                 std::any_of(own.typed.begin(), own.typed.end(), [&](const TypedCell& cell) {
                     return isTypedFor(cell, mode.line) && cell.rate == rate;
                 })});
    }
    return lattice;
}

Camera cameraOf(const OwnCamera& own, const Kit& kit, const std::string& name) {
    auto camera = withModes(startingCamera(kit), latticeOf(own).modes);
    camera.name = name;
    return camera;
}

} // namespace bslate
