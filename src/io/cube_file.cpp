#include "io/cube_file.h"

#include <charconv>

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

void appendTriple(std::string& text, float red, float green, float blue) {
    char buffer[64];
    char* at = buffer;
    for (const float value : {red, green, blue}) {
        at = std::to_chars(at, buffer + sizeof buffer, value, std::chars_format::fixed, 6).ptr;
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
