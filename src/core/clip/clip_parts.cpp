#include "core/clip/clip_parts.h"

#include <algorithm>
#include <cstdlib>

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

    explicit Succession(std::span<const ClipFacts> clips) {
        for (const auto& clip : clips) {
            if (!clip.picture || !clip.timecode)
                continue;
            if (const auto first = frameAt(*clip.timecode, clip.picture->rate))
                spans.push_back({&clip, *first, *first + clip.picture->frames});
        }
        std::stable_sort(spans.begin(), spans.end(),
                         [](const ClipSpan& a, const ClipSpan& b) { return a.first < b.first; });
    }
    [[nodiscard]] const ClipSpan& before(std::size_t i) const {
        return spans[i == 0 ? spans.size() - 1 : i - 1];
    }
    // None for clips of two rates, and for takes that are further apart than a second.
    [[nodiscard]] std::optional<std::int64_t> off(std::size_t i) const {
        const auto& last = before(i);
        const auto& next = spans[i];
        if (spans.size() < 2 || next.clip->picture->rate != last.clip->picture->rate)
            return std::nullopt;
        const auto frames = aroundTheClock(next.first - last.behind, next.clip->picture->rate,
                                           next.clip->timecode->drop);
        return std::abs(frames) > timecodeBase(next.clip->picture->rate) ? std::nullopt
                                                                         : std::optional(frames);
    }
};

} // namespace

std::vector<TakePart> takePartsOf(std::span<const ClipFacts> clips) {
    std::vector<TakePart> parts;
    parts.reserve(clips.size());
    for (const auto& clip : clips)
        parts.push_back({1, clip.duration, true, false});
    const Succession all(clips);
    const auto count = all.spans.size();
    const auto joins = [&](std::size_t i) { return all.off(i).has_value(); };
    std::size_t first = 0; // of a take: going round the clock begins behind a break
    while (first < count && joins(first))
        ++first;
    if (first == count)
        first = 0;
    const auto placeOf = [&](std::size_t i) {
        return static_cast<std::size_t>(all.spans[i % count].clip - clips.data());
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
    return parts;
}

std::vector<Finding> checkParts(std::span<const ClipFacts> clips) {
    const Succession succession(clips);
    std::vector<Finding> all;
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
