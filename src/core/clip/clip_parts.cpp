#include "core/clip/clip_parts.h"

#include <algorithm>
#include <cstdlib>
#include <map>
#include <tuple>

namespace bslate {
namespace {

// Where a clip begins and ends, in frames of its timecode; nothing without one.
struct ClipSpan {
    const ClipFacts* clip;
    std::int64_t first, behind;
};

// A distance in timecode, the shorter way past midnight.
std::int64_t aroundTheClock(std::int64_t frames, FrameRate rate, bool drop) {
    const auto day = frameAt({24, 0, 0, 0, drop}, rate);
    if (!day || *day <= 0)
        return frames;
    const auto within = ((frames % *day) + *day) % *day;
    return 2 * within > *day ? within - *day : within;
}

// Clips in the order of their timecode, and how many frames each begins behind the end of the one
// before it. Round the clock: what begins just after midnight may go on with what ended before it.
struct Succession {
    std::vector<ClipSpan> spans;

    explicit Succession(const std::vector<const ClipFacts*>& clips) {
        for (const auto* clip : clips)
            if (const auto first = frameAt(*clip->timecode, clip->picture->rate))
                spans.push_back({clip, *first, *first + clip->picture->frames});
        std::stable_sort(spans.begin(), spans.end(),
                         [](const ClipSpan& a, const ClipSpan& b) { return a.first < b.first; });
    }
    [[nodiscard]] const ClipSpan& before(std::size_t i) const {
        return spans[i == 0 ? spans.size() - 1 : i - 1];
    }
    // None for takes that are further apart than a second, or overlap by half of either.
    [[nodiscard]] std::optional<std::int64_t> off(std::size_t i) const {
        const auto& last = before(i);
        const auto& next = spans[i];
        if (spans.size() < 2)
            return std::nullopt;
        const auto& picture = *next.clip->picture;
        const auto frames =
            aroundTheClock(next.first - last.behind, picture.rate, next.clip->timecode->drop);
        const auto shorter = std::min(last.behind - last.first, next.behind - next.first);
        return std::abs(frames) > timecodeBase(picture.rate) || -2 * frames >= shorter
                   ? std::nullopt
                   : std::optional(frames);
    }
};

// Clips that may be parts of each other: of one camera, in one format.
std::vector<Succession> successionsOf(std::span<const ClipFacts> clips,
                                      std::span<const std::string> cameras) {
    std::map<std::tuple<std::string, int, int, std::string, FrameRate>,
             std::vector<const ClipFacts*>>
        groups;
    for (std::size_t i = 0; i < clips.size(); ++i) {
        const auto& clip = clips[i];
        if (!clip.picture || !clip.timecode)
            continue;
        const auto& picture = *clip.picture;
        groups[{i < cameras.size() ? cameras[i] : std::string(), picture.size.width,
                picture.size.height, picture.standard, picture.rate}]
            .push_back(&clip);
    }
    std::vector<Succession> all;
    all.reserve(groups.size());
    for (const auto& [format, some] : groups)
        all.emplace_back(some);
    return all;
}

// The parts of the takes in one succession.
void tellParts(const Succession& all, const ClipFacts* clips, std::vector<TakePart>& parts) {
    const auto count = all.spans.size();
    const auto joins = [&](std::size_t i) { return all.off(i).has_value(); };
    std::size_t first = 0; // of a take: going round the clock begins behind a break
    while (first < count && joins(first))
        ++first;
    if (first == count)
        first = 0;
    const auto placeOf = [&](std::size_t i) {
        return static_cast<std::size_t>(all.spans[i % count].clip - clips);
    };
    for (std::size_t i = 0; i < count;) {
        std::size_t behind = i + 1;
        while (behind < count && joins((first + behind) % count))
            ++behind;
        Seconds whole(0);
        for (auto k = i; k < behind; ++k)
            whole += clips[placeOf(first + k)].duration;
        for (auto k = i; k < behind; ++k)
            parts[placeOf(first + k)] = {behind - i, whole, k == i, k + 1 < behind};
        i = behind;
    }
}

} // namespace

std::vector<TakePart> takePartsOf(std::span<const ClipFacts> clips,
                                  std::span<const std::string> cameras) {
    std::vector<TakePart> parts;
    parts.reserve(clips.size());
    for (const auto& clip : clips)
        parts.push_back({1, clip.duration, true, false});
    for (const auto& succession : successionsOf(clips, cameras))
        tellParts(succession, clips.data(), parts);
    return parts;
}

std::vector<Finding> checkParts(std::span<const ClipFacts> clips,
                                std::span<const std::string> cameras) {
    std::vector<Finding> all;
    for (const auto& succession : successionsOf(clips, cameras))
        for (std::size_t i = 0; i < succession.spans.size(); ++i) {
            const auto off = succession.off(i);
            if (!off || *off == 0 || *off == 1)
                continue;
            const auto& file = succession.spans[i].clip->file;
            Finding finding{FindingId::ClipPartsApart,
                            Severity::Caution,
                            {{"clip", file},
                             {"before", succession.before(i).clip->file},
                             {"frames", static_cast<int>(std::abs(*off))}}};
            finding.subject = file;
            all.push_back(std::move(finding));
        }
    return all;
}

} // namespace bslate
