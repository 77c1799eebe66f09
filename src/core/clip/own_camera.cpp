#include "core/clip/own_camera.h"

#include "core/advice/starting.h"

#include <algorithm>

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

} // namespace

std::vector<SeenMode> modesOf(const OwnCamera& own) {
    auto modes = joined(modesFromClips(own.clips), modesIn(readModeTable(own.table)));
    for (const auto& cell : own.typed) {
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

CellGround groundOf(const OwnCamera& own, const ModeLine& mode, FrameRate rate) {
    CellGround ground;
    ground.typed = std::any_of(own.typed.begin(), own.typed.end(), [&](const TypedCell& cell) {
        return isTypedFor(cell, mode) && cell.rate == rate;
    });
    for (const auto& seen : modesFromClips(own.clips))
        if (areOfOneFormat(seen.line, mode))
            ground.clips += static_cast<int>(
                std::count_if(own.clips.begin(), own.clips.end(), [&](const ClipFacts& clip) {
                    return !unfitForModes(clip) && clip.picture->rate == rate &&
                           std::find(seen.files.begin(), seen.files.end(), clip.file) !=
                               seen.files.end();
                }));
    for (const auto& line : modesIn(readModeTable(own.table)))
        ground.table = ground.table || (areOfOneFormat(line, mode) && has(line, rate));
    return ground;
}

Camera cameraOf(const OwnCamera& own, const Kit& kit, const std::string& name) {
    auto camera = withModes(startingCamera(kit), modesOf(own));
    camera.name = name;
    return camera;
}

} // namespace bslate
