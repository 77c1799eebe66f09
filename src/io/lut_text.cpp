#include "io/lut_text.h"

#include <array>
#include <charconv>
#include <cmath>
#include <vector>

namespace bslate::io {
namespace {

std::vector<std::string_view> wordsOf(std::string_view line) {
    std::vector<std::string_view> words;
    constexpr std::string_view kSpace = " \t\r";
    for (auto at = line.find_first_not_of(kSpace); at != std::string_view::npos && words.size() < 8;
         at = line.find_first_not_of(kSpace, at)) {
        const auto end = std::min(line.find_first_of(kSpace, at), line.size());
        words.push_back(line.substr(at, end - at));
        at = end;
    }
    return words;
}

// Nothing for a word that is not a number at all; NaN and infinity are numbers here.
std::optional<double> numberIn(std::string_view word) {
    if (!word.empty() && word.front() == '+')
        word.remove_prefix(1);
    double value = 0;
    const auto [end, error] = std::from_chars(word.data(), word.data() + word.size(), value);
    if (end != word.data() + word.size())
        return std::nullopt;
    if (error == std::errc::result_out_of_range)
        return HUGE_VAL;
    return error == std::errc() ? std::optional(value) : std::nullopt;
}

class Checker {
public:
    explicit Checker(LutTextKind kind)
        : m_kind(kind)
        , m_rising(kind != LutTextKind::Spi3d) {}

    Outcome line(std::string_view text, int number) {
        m_number = number;
        const auto words = wordsOf(text);
        if (words.empty() || words[0].front() == '#' || words[0] == "{" || words[0] == "}")
            return Done{};
        if (m_kind == LutTextKind::Spi3d)
            return numberIn(words[0]) ? spi3d(words) : Outcome(Done{});
        const auto first = numberIn(words[0]);
        if (!first)
            return keyword(words);
        return entry(words);
    }

    [[nodiscard]] Outcome finish() const {
        if (m_kind != LutTextKind::Spi3d && m_size == 0)
            return Error{ErrorCode::WrongFormat, {}, {}, {}, "a line that says how large it is"};
        return Done{};
    }

private:
    Outcome wrong(ErrorCode code, std::string_view got, std::string expected) const {
        return Error{code,
                     {},
                     "line " + std::to_string(m_number),
                     std::string(got.substr(0, 40)),
                     std::move(expected)};
    }

    Outcome size(std::string_view word, long most) {
        const auto value = numberIn(word);
        if (!value || !(*value >= 2) || !(*value <= static_cast<double>(most)))
            return wrong(ErrorCode::OutOfRange, word, "a size from 2 to " + std::to_string(most));
        m_size = static_cast<long>(*value);
        return Done{};
    }

    Outcome keyword(const std::vector<std::string_view>& words) {
        if (words.size() < 2)
            return Done{};
        if (words[0] == "LUT_3D_SIZE") {
            m_rising = false;
            return size(words[1], kLargestLut3d);
        }
        if (words[0] == "LUT_1D_SIZE" || words[0] == "Length")
            return size(words[1], kLargestLut1d);
        if (words[0] == "DOMAIN_MIN" || words[0] == "DOMAIN_MAX" || words[0] == "From")
            for (std::size_t i = 1; i < words.size(); ++i)
                if (const auto value = numberIn(words[i]); !value || !std::isfinite(*value))
                    return wrong(ErrorCode::NotANumber, words[i], "finite numbers");
        return Done{};
    }

    Outcome spi3d(const std::vector<std::string_view>& words) {
        if (words.size() == 3 && m_size == 0)
            return size(words[0], kLargestLut3d);
        for (const auto word : words)
            if (const auto value = numberIn(word); !value || !std::isfinite(*value))
                return wrong(ErrorCode::NotANumber, word, "finite numbers");
        return Done{};
    }

    Outcome entry(const std::vector<std::string_view>& words) {
        std::array<double, 3> values{};
        for (std::size_t i = 0; i < std::min<std::size_t>(3, words.size()); ++i) {
            const auto value = numberIn(words[i]);
            if (!value || !std::isfinite(*value))
                return wrong(ErrorCode::NotANumber, words[i], "finite numbers");
            values[i] = *value;
            if (m_rising && m_entries > 0 && values[i] < m_last[i])
                return wrong(ErrorCode::OutOfRange, words[i],
                             "entries that rise from line to line");
        }
        m_last = values;
        ++m_entries;
        return Done{};
    }

    LutTextKind m_kind;
    bool m_rising;
    int m_number = 0;
    long m_size = 0;
    long m_entries = 0;
    std::array<double, 3> m_last{};
};

} // namespace

Outcome checkLutText(std::string_view text, LutTextKind kind) {
    Checker checker(kind);
    for (int number = 1; !text.empty(); ++number) {
        const auto end = text.find('\n');
        const auto line = text.substr(0, end);
        if (auto outcome = checker.line(line, number); !outcome)
            return outcome;
        text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    }
    return checker.finish();
}

} // namespace bslate::io
