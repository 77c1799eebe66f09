#include "core/quantity/aperture_marks.h"

#include <array>
#include <cmath>

namespace bslate {
namespace {

struct Entry {
    std::string_view label;
    double printed;
    int twelfths; // N = 2^(twelfths / 12): full stops are multiples of 6, halves 3, thirds 2
};

constexpr std::array<Entry, 53> kEntries = {{
    {"0.7", 0.7, -6}, {"0.8", 0.8, -4}, {"0.84", 0.84, -3}, {"0.9", 0.9, -2}, {"1", 1.0, 0},
    {"1.1", 1.1, 2},  {"1.2", 1.2, 3},  {"1.26", 1.26, 4},  {"1.4", 1.4, 6},  {"1.6", 1.6, 8},
    {"1.7", 1.7, 9},  {"1.8", 1.8, 10}, {"2", 2.0, 12},     {"2.2", 2.2, 14}, {"2.4", 2.4, 15},
    {"2.5", 2.5, 16}, {"2.8", 2.8, 18}, {"3.2", 3.2, 20},   {"3.3", 3.3, 21}, {"3.5", 3.5, 22},
    {"4", 4.0, 24},   {"4.5", 4.5, 26}, {"4.8", 4.8, 27},   {"5", 5.0, 28},   {"5.6", 5.6, 30},
    {"6.3", 6.3, 32}, {"6.7", 6.7, 33}, {"7.1", 7.1, 34},   {"8", 8.0, 36},   {"9", 9.0, 38},
    {"9.5", 9.5, 39}, {"10", 10.0, 40}, {"11", 11.0, 42},   {"13", 13.0, 44}, {"13.5", 13.5, 45},
    {"14", 14.0, 46}, {"16", 16.0, 48}, {"18", 18.0, 50},   {"19", 19.0, 51}, {"20", 20.0, 52},
    {"22", 22.0, 54}, {"25", 25.0, 56}, {"27", 27.0, 57},   {"29", 29.0, 58}, {"32", 32.0, 60},
    {"36", 36.0, 62}, {"38", 38.0, 63}, {"40", 40.0, 64},   {"45", 45.0, 66}, {"51", 51.0, 68},
    {"54", 54.0, 69}, {"57", 57.0, 70}, {"64", 64.0, 72},
}};

std::array<ApertureMark, kEntries.size()> makeMarks() {
    std::array<ApertureMark, kEntries.size()> marks{};
    for (std::size_t i = 0; i < marks.size(); ++i)
        marks[i] = {kEntries[i].label, std::exp2(kEntries[i].twelfths / 12.0)};
    return marks;
}

const std::array<ApertureMark, kEntries.size()> kMarks = makeMarks();

} // namespace

std::span<const ApertureMark> apertureMarks() {
    return kMarks;
}

double apertureMeant(double typed) {
    for (std::size_t i = 0; i < kEntries.size(); ++i)
        if (std::abs(kEntries[i].printed - typed) < 1e-9)
            return kMarks[i].exact;
    return typed;
}

std::string_view markOf(double exact) {
    for (const auto& mark : kMarks)
        if (std::abs(2.0 * std::log2(exact / mark.exact)) < 0.0005)
            return mark.label;
    return {};
}

} // namespace bslate
