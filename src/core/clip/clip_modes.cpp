#include "core/clip/clip_modes.h"

#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kAlike = 0.01;
constexpr double kRateStep = 1e5; // bit/s
constexpr DataSize kSmallestSegment{1e9};

// Files that were split at one size: two or more as large as the largest, and worth splitting.
struct Sizes {
    std::vector<DataSize> all;

    [[nodiscard]] std::optional<DataSize> segment() const {
        if (all.empty())
            return std::nullopt;
        const auto largest = *std::max_element(all.begin(), all.end());
        const auto alike = std::count_if(all.begin(), all.end(), [largest](DataSize one) {
            return one >= largest * (1 - kAlike);
        });
        return alike >= 2 && largest >= kSmallestSegment ? std::optional(largest) : std::nullopt;
    }
};

ModeLine lineOf(const ClipPicture& picture) {
    ModeLine line;
    line.frame = picture.size;
    line.standard = standardOf(picture);
    line.gop = picture.gop;
    line.depth = *picture.depth;
    line.chroma = *picture.chroma;
    line.sound = false;
    return line;
}

void sortRates(ModeLine& line) {
    std::sort(line.rates.begin(), line.rates.end(),
              [](const RateOption& a, const RateOption& b) { return a.rate < b.rate; });
}

bool isAmong(std::span<const RateOption> rates, FrameRate rate) {
    return std::any_of(rates.begin(), rates.end(),
                       [rate](const RateOption& one) { return one.rate == rate; });
}

void addRate(ModeLine& line, FrameRate rate, DataRate measured) {
    const DataRate bits(std::ceil(measured.value() / kRateStep) * kRateStep);
    const auto same = std::find_if(line.rates.begin(), line.rates.end(),
                                   [rate](const RateOption& one) { return one.rate == rate; });
    if (same == line.rates.end())
        line.rates.push_back({rate, bits});
    else
        same->bitRate = std::max(same->bitRate, bits);
}

void tellStandard(ModeLine& line, CodecStandard told) {
    if (line.standard == CodecStandard::Untold)
        line.standard = told;
}

// Printed far from what clips of that format take: another compression of it.
bool isAnother(const ModeLine& printed, const ModeLine& seen) {
    constexpr double kFar = 1.5; // common practice, no source
    for (const auto& option : printed.rates)
        for (const auto& there : seen.rates)
            if (there.rate == option.rate &&
                std::abs(std::log2(there.bitRate.value() / option.bitRate.value())) >
                    std::log2(kFar))
                return true;
    return false;
}

} // namespace

bool areOfOneFormat(const ModeLine& a, const ModeLine& b) {
    return mayBeOne(a.standard, b.standard) && a.frame == b.frame && a.gop == b.gop &&
           a.depth == b.depth && a.chroma == b.chroma;
}

std::optional<ClipUnfit> unfitForModes(const ClipFacts& clip) {
    if (!clip.picture)
        return ClipUnfit::NoPicture;
    if (clip.cutOff)
        return ClipUnfit::CutOff;
    if (clip.picture->variable)
        return ClipUnfit::VariableRate;
    if (clip.picture->interlaced)
        return ClipUnfit::Interlaced;
    if (!clip.picture->depth || !clip.picture->chroma || clip.picture->depth->bits < 8 ||
        clip.picture->depth->bits > 16)
        return clip.picture->readable ? ClipUnfit::UnknownDepth : ClipUnfit::Unreadable;
    return std::nullopt;
}

std::vector<SeenMode> modesFromClips(std::span<const ClipFacts> clips) {
    std::vector<SeenMode> modes;
    std::vector<Sizes> sizes;
    for (const auto& clip : clips) {
        if (unfitForModes(clip))
            continue;
        const auto line = lineOf(*clip.picture);
        auto mode = std::find_if(modes.begin(), modes.end(), [&](const SeenMode& one) {
            return areOfOneFormat(one.line, line);
        });
        if (mode == modes.end()) {
            modes.push_back({line, 1, {}, std::nullopt, {}});
            sizes.emplace_back();
            mode = modes.end() - 1;
        }
        addRate(mode->line, clip.picture->rate, clip.average);
        mode->line.sound = mode->line.sound || !clip.sound.empty();
        if (clip.average > DataRate(0))
            mode->peakFactor = std::max(mode->peakFactor, clip.peak.value() / clip.average.value());
        mode->files.push_back(clip.file);
        sizes[static_cast<std::size_t>(mode - modes.begin())].all.push_back(clip.size);
    }
    for (std::size_t i = 0; i < modes.size(); ++i) {
        modes[i].segment = sizes[i].segment();
        sortRates(modes[i].line);
    }
    return modes;
}

std::vector<SeenMode> withSeen(std::vector<SeenMode> modes, std::span<const SeenMode> seen) {
    const auto behind = modes.size();
    for (const auto& one : seen)
        for (const auto& option : one.line.rates) {
            const auto find = [&](bool withRate) {
                return std::find_if(modes.begin(),
                                    modes.begin() + static_cast<std::ptrdiff_t>(behind),
                                    [&](const SeenMode& mode) {
                                        return areOfOneFormat(mode.line, one.line) &&
                                               (!withRate || isAmong(mode.line.rates, option.rate));
                                    });
            };
            const auto end = modes.begin() + static_cast<std::ptrdiff_t>(behind);
            auto mode = find(true);
            if (mode == end)
                mode = find(false);
            if (mode == end) {
                if (std::none_of(end, modes.end(), [&](const SeenMode& other) {
                        return areOfOneFormat(other.line, one.line);
                    }))
                    modes.push_back(one);
                continue;
            }
            tellStandard(mode->line, one.line.standard);
            addRate(mode->line, option.rate, option.bitRate);
            sortRates(mode->line);
            mode->peakFactor = std::max(mode->peakFactor, one.peakFactor);
            if (one.segment)
                mode->segment = one.segment;
            for (const auto& file : one.files)
                if (std::find(mode->files.begin(), mode->files.end(), file) == mode->files.end())
                    mode->files.push_back(file);
        }
    return modes;
}

std::vector<SeenMode> joined(std::vector<SeenMode> seen, std::span<const ModeLine> lines) {
    for (const auto& line : lines) {
        const auto same = std::find_if(seen.begin(), seen.end(), [&](const SeenMode& one) {
            return areOfOneFormat(one.line, line) && one.line.crop == line.crop &&
                   (!one.files.empty() || !one.modeId.empty()) &&
                   (one.files.empty() || !isAnother(line, one.line));
        });
        if (same == seen.end()) {
            seen.push_back({line, 1, {}, std::nullopt, {}});
            continue;
        }
        tellStandard(same->line, line.standard);
        auto& rates = same->line.rates;
        for (const auto& option : line.rates)
            if (!isAmong(rates, option.rate))
                rates.push_back(option);
            else if (same->files.empty()) // what is printed, over what was entered before
                std::find_if(rates.begin(), rates.end(), [&](const RateOption& one) {
                    return one.rate == option.rate;
                })->bitRate = option.bitRate;
        sortRates(same->line);
    }
    return seen;
}

Camera withModes(Camera camera, std::span<const SeenMode> modes) {
    camera.modes.clear();
    camera.codecs.clear();
    for (const auto& seen : modes) {
        addMode(camera, seen.line);
        const auto codec =
            std::find_if(camera.codecs.begin(), camera.codecs.end(),
                         [&](const Codec& one) { return one.id == camera.modes.back().codec; });
        if (codec == camera.codecs.end() || seen.files.empty())
            continue; // a table tells no peaks
        codec->peak = std::clamp(std::ceil(seen.peakFactor * 100) / 100, 1.0, 3.0);
        if (seen.segment)
            codec->segment = seen.segment;
    }
    return camera;
}

std::string cameraNameIn(std::span<const ClipFacts> clips) {
    std::string name;
    for (const auto& clip : clips)
        for (const auto& [key, value] : clip.notes) {
            const auto word = lowered(key);
            if (!word.ends_with("model") && !word.ends_with("model_name"))
                continue;
            if (!name.empty() && name != value)
                return {};
            name = value;
        }
    return name;
}

} // namespace bslate
