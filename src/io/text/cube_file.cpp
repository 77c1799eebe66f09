#include "io/text/cube_file.h"

#include <charconv>
#include <cmath>

namespace bslate::io {
namespace {

std::string oneLine(std::string text) {
    for (char& c : text)
        if (c == '"' || c == '\n' || c == '\r')
            c = ' ';
    return text;
}

std::string header(const LutNote& note, const char* kind, std::size_t size) {
    std::string text = "TITLE \"" + oneLine(note.title) + "\"\n";
    for (const auto& comment : note.comments)
        text += "# " + oneLine(comment) + "\n";
    return text + kind + " " + std::to_string(size) + "\nDOMAIN_MIN 0 0 0\nDOMAIN_MAX 1 1 1\n";
}

// Six places; display signals are small, so whole millionths are exact and quick to write.
char* putFixed(char* at, float value) {
    constexpr long long kMillion = 1'000'000;
    long long millionths = std::llround(static_cast<double>(value) * kMillion);
    if (millionths < 0) {
        *at++ = '-';
        millionths = -millionths;
    }
    at = std::to_chars(at, at + 20, millionths / kMillion).ptr;
    *at++ = '.';
    long long rest = millionths % kMillion;
    for (int place = 5; place >= 0; --place, rest /= 10)
        at[place] = static_cast<char>('0' + rest % 10);
    return at + 6;
}

void appendTriple(std::string& text, float red, float green, float blue) {
    char buffer[96];
    char* at = buffer;
    for (const float value : {red, green, blue}) {
        at = putFixed(at, value);
        *at++ = ' ';
    }
    at[-1] = '\n';
    text.append(buffer, at);
}

} // namespace

std::string cube1d(const RatingLut& lut, std::size_t size, const LutNote& note) {
    std::string text = header(note, "LUT_1D_SIZE", size);
    for (const float value : sampleNeutral(lut, size))
        appendTriple(text, value, value, value);
    return text;
}

std::string cube3d(const RatingLut& lut, std::size_t size, const LutNote& note) {
    std::string text = header(note, "LUT_3D_SIZE", size);
    text.reserve(text.size() + size * size * size * 27);
    for (const auto& rgb : sampleCube(lut, size))
        appendTriple(text, rgb[0], rgb[1], rgb[2]);
    return text;
}

} // namespace bslate::io
