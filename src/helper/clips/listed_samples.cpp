#include "helper/clips/listed_samples.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <string_view>
#include <utility>
#include <vector>

namespace bslate::helper {
namespace {

using namespace std::string_view_literals;

constexpr int kMostBoxes = 1'000'000, kDeepest = 8;

std::uint64_t numberAt(const InputFile& input, std::size_t at, std::size_t bytes) {
    std::array<unsigned char, 8> raw{};
    readAt(input, at, raw.data(), bytes);
    std::uint64_t number = 0;
    for (std::size_t i = 0; i < bytes; ++i)
        number = number << 8 | raw[i];
    return number;
}

// What the tables of one track say how many samples there are.
struct Told {
    double sizes = 0;                            // stsz or stz2
    double chunks = 0;                           // stco or co64
    std::vector<std::pair<double, double>> runs; // stsc: first chunk, samples in each

    [[nodiscard]] double samples() const {
        double all = 0;
        for (std::size_t i = 0; i < runs.size(); ++i) {
            const double behind = i + 1 < runs.size() ? runs[i + 1].first : chunks + 1;
            all += std::max(0.0, behind - runs[i].first) * runs[i].second;
        }
        return std::max(sizes, all);
    }
};

class Boxes {
public:
    explicit Boxes(const InputFile& input)
        : m_input(input) {}

    void walk(std::size_t at, std::size_t end, int depth, Told& told) {
        while (at + 8 <= end && ++m_boxes < kMostBoxes) {
            std::array<char, 4> name{};
            readAt(m_input, at + 4, name.data(), name.size());
            std::uint64_t size = numberAt(m_input, at, 4);
            std::size_t head = 8;
            if (size == 1) {
                size = numberAt(m_input, at + 8, 8);
                head = 16;
            }
            const std::uint64_t left = end - at;
            if (size == 0 || size > left)
                size = left;
            if (size < head)
                return;
            take({name.data(), 4}, at + head, at + static_cast<std::size_t>(size), depth, told);
            at += static_cast<std::size_t>(size);
        }
    }
    [[nodiscard]] double samples() const { return m_samples; }
    [[nodiscard]] int tracks() const { return m_tracks; }
    [[nodiscard]] bool packed() const { return m_packed; }

private:
    void take(std::string_view name, std::size_t from, std::size_t end, int depth, Told& told) {
        if (name == "trak"sv)
            ++m_tracks;
        if (name == "cmov"sv)
            m_packed = true;
        constexpr std::string_view kFolders[] = {"moov", "trak", "mdia", "minf",
                                                 "stbl", "moof", "traf"};
        if (std::find(std::begin(kFolders), std::end(kFolders), name) != std::end(kFolders)) {
            if (depth >= kDeepest)
                return;
            Told own;
            walk(from, end, depth + 1, name == "stbl"sv ? own : told);
            m_samples += own.samples();
        } else if (name == "stsz"sv || name == "stz2"sv) {
            told.sizes = static_cast<double>(numberAt(m_input, from + 8, 4));
        } else if (name == "stco"sv || name == "co64"sv) {
            told.chunks = static_cast<double>(numberAt(m_input, from + 4, 4));
        } else if (name == "trun"sv) {
            m_samples += static_cast<double>(numberAt(m_input, from + 4, 4));
        } else if (name == "stsc"sv) {
            takeRuns(from, end, told);
        }
    }
    void takeRuns(std::size_t from, std::size_t end, Told& told) {
        const auto count = numberAt(m_input, from + 4, 4);
        for (std::size_t i = 0; i < count && from + 8 + 12 * (i + 1) <= end; ++i)
            told.runs.emplace_back(static_cast<double>(numberAt(m_input, from + 8 + 12 * i, 4)),
                                   static_cast<double>(numberAt(m_input, from + 12 + 12 * i, 4)));
    }

    const InputFile& m_input;
    int m_boxes = 0, m_tracks = 0;
    double m_samples = 0;
    bool m_packed = false;
};

} // namespace

std::optional<Error> problemWithLists(const InputFile& input) {
    std::array<char, 4> name{};
    readAt(input, 4, name.data(), name.size());
    constexpr std::string_view kStarts[] = {"ftyp", "moov", "mdat", "wide", "free", "skip", "styp"};
    const std::string_view start(name.data(), name.size());
    if (std::find(std::begin(kStarts), std::end(kStarts), start) == std::end(kStarts))
        return std::nullopt;
    Boxes boxes(input);
    Told none;
    boxes.walk(0, input.size, 0, none);
    const auto refused = [](std::string got, std::string expected) {
        return Error{ErrorCode::WrongFormat, {}, {}, std::move(got), std::move(expected)};
    };
    if (boxes.packed())
        return refused("an index that is packed itself", "a recorded clip, whose index is not");
    if (boxes.tracks() > kMostTracks)
        return refused(std::to_string(boxes.tracks()) + " tracks",
                       "at most " + std::to_string(kMostTracks) + " tracks");
    if (boxes.samples() > static_cast<double>(input.size))
        return refused(std::to_string(std::llround(std::min(boxes.samples(), 1e15))) +
                           " samples in " + std::to_string(input.size) + " bytes",
                       "an index of what is in the file");
    return std::nullopt;
}

} // namespace bslate::helper
