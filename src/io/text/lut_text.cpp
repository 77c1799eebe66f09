#include "io/text/lut_text.h"

#include <array>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <optional>
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

// A number as from_chars reads it; one of at most 15 digits without an exponent, which nearly all
// tables hold, as a whole number over a power of ten: both are exact, so their quotient is rounded
// once, as it should be.
const char* readNumber(const char* at, const char* end, double& value) {
    constexpr double kTens[] = {1e0, 1e1, 1e2,  1e3,  1e4,  1e5,  1e6,  1e7,
                                1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15};
    const char* digit = at != end && *at == '-' ? at + 1 : at;
    const char* first = digit;
    std::uint64_t whole = 0; // wraps only where there are too many digits anyway
    const auto run = [&] {
        for (; digit != end && static_cast<unsigned char>(*digit - '0') < 10; ++digit)
            whole = 10 * whole + static_cast<unsigned char>(*digit - '0');
    };
    run();
    std::ptrdiff_t digits = digit - first, places = 0;
    if (digit != end && *digit == '.') {
        first = ++digit;
        run();
        places = digit - first;
        digits += places;
    }
    const bool more = digit != end && *digit != ' ' && *digit != '\t' && *digit != '\r';
    if (digits == 0 || digits > 15 || more) {
        const auto [after, error] = std::from_chars(at, end, value);
        return error == std::errc() ? after : nullptr;
    }
    value = static_cast<double>(whole) / kTens[places];
    if (*at == '-')
        value = -value;
    return digit;
}

// Three finite numbers and nothing else: what nearly every line of a cube is, read at once.
bool plainTriple(std::string_view line, std::array<double, 3>& values) {
    const char* at = line.data();
    const char* end = at + line.size();
    const auto skip = [&] {
        while (at != end && (*at == ' ' || *at == '\t' || *at == '\r'))
            ++at;
    };
    for (double& value : values) {
        skip();
        const char* after = readNumber(at, end, value);
        if (!after || !std::isfinite(value) ||
            (after != end && *after != ' ' && *after != '\t' && *after != '\r'))
            return false;
        at = after;
    }
    skip();
    return at == end;
}

class Checker {
public:
    explicit Checker(LutTextKind kind)
        : m_kind(kind)
        , m_rising(kind != LutTextKind::Spi3d) {}

    Outcome line(std::string_view text, int number) {
        m_number = number;
        std::array<double, 3> values{};
        if (m_table && !m_rising && plainTriple(text, values)) {
            keep(values);
            return Done{};
        }
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

    /// Keeps the numbers of a cube from here on.
    void keepInto(CubeTable& table) { m_table = &table; }

    /// Nothing but a cube over [0, 1].
    [[nodiscard]] bool isPlain() const { return m_plain && !m_rising; }

    [[nodiscard]] Outcome finish() const {
        if (m_kind != LutTextKind::Spi3d && m_size == 0)
            return Error{ErrorCode::WrongFormat, {}, {}, {}, "a line that says how large it is"};
        if (const long wanted = m_size * m_size * m_size;
            m_table && !m_rising && m_entries != wanted)
            return Error{ErrorCode::OutOfRange,
                         {},
                         {},
                         std::to_string(m_entries) + " entries",
                         std::to_string(wanted) + " for a cube of " + std::to_string(m_size)};
        return Done{};
    }

private:
    Outcome wrong(ErrorCode code, std::string_view got, std::string expected) const {
        return Error{
            code, {}, "line " + std::to_string(m_number), shortened(got), std::move(expected)};
    }

    Outcome size(std::string_view word, long most) {
        const auto value = numberIn(word);
        if (!value || !(*value >= 2) || !(*value <= static_cast<double>(most)))
            return wrong(ErrorCode::OutOfRange, word, "a size from 2 to " + std::to_string(most));
        m_size = static_cast<long>(*value);
        return Done{};
    }

    Outcome keyword(const std::vector<std::string_view>& words) {
        // No keyword begins like a number: this one was meant as one, with a comma perhaps.
        if (words[0].find_first_of("0123456789") <= 1 && words[0].find(',') != std::string::npos)
            return wrong(ErrorCode::NotANumber, words[0], "numbers with a decimal point");
        if (words.size() < 2)
            return Done{};
        if (words[0] == "LUT_3D_SIZE") {
            m_rising = false;
            auto outcome = size(words[1], kLargestLut3d);
            if (outcome && m_table) {
                m_table->side = m_size;
                m_table->values.reserve(static_cast<std::size_t>(3 * m_size * m_size * m_size));
            }
            return outcome;
        }
        if (words[0] == "LUT_1D_SIZE" || words[0] == "Length") {
            m_plain = false;
            return size(words[1], kLargestLut1d);
        }
        const bool low = words[0] == "DOMAIN_MIN";
        if (words[0] == "TITLE")
            return Done{};
        if (low || words[0] == "DOMAIN_MAX" || words[0] == "From")
            for (std::size_t i = 1; i < words.size(); ++i) {
                const auto value = numberIn(words[i]);
                if (!value || !std::isfinite(*value))
                    return wrong(ErrorCode::NotANumber, words[i], "finite numbers");
                m_plain = m_plain && *value == (low ? 0 : 1);
            }
        else
            m_plain = false; // something a general reader may know
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
        if (words.size() != 3)
            m_plain = false;
        keep(values);
        return Done{};
    }

    void keep(const std::array<double, 3>& values) {
        ++m_entries;
        if (m_table && m_plain)
            for (const double value : values)
                m_table->values.push_back(static_cast<float>(value));
    }

    LutTextKind m_kind;
    CubeTable* m_table = nullptr;
    bool m_plain = true;
    bool m_rising;
    int m_number = 0;
    long m_size = 0;
    long m_entries = 0;
    std::array<double, 3> m_last{};
};

Outcome checkLines(Checker& checker, std::string_view text) {
    for (int number = 1; !text.empty(); ++number) {
        const auto end = text.find('\n');
        const auto line = text.substr(0, end);
        if (auto outcome = checker.line(line, number); !outcome)
            return outcome;
        text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    }
    return checker.finish();
}

} // namespace

Outcome checkLutText(std::string_view text, LutTextKind kind) {
    Checker checker(kind);
    return checkLines(checker, text);
}

Result<CubeTable> readCubeText(std::string_view text) {
    Checker checker(LutTextKind::Cube);
    CubeTable table;
    checker.keepInto(table);
    if (auto outcome = checkLines(checker, text); !outcome)
        return outcome.error();
    return checker.isPlain() ? std::move(table) : CubeTable{};
}

} // namespace bslate::io
