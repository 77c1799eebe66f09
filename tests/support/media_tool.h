#pragma once

#include "support/temporary_folder.h"

#include <array>
#include <charconv>
#include <cmath>
#include <cstdio>
#include <fstream>
#include <string>

namespace bslate::sample {

/// What a command says, standard error included.
inline std::string saidBy(const std::string& command) {
    std::string said;
    std::FILE* pipe = ::popen((command + " 2>&1").c_str(), "r");
    if (!pipe)
        return said;
    std::array<char, 4096> buffer{};
    while (const auto got = std::fread(buffer.data(), 1, buffer.size(), pipe))
        said.append(buffer.data(), got);
    ::pclose(pipe);
    return said;
}

/// Of the media library's command line tool.
inline std::string mediaTool(const std::string& arguments) {
    return saidBy("ffmpeg -hide_banner -nostdin -y " + arguments);
}

template<class Values>
void writeRaw(const std::filesystem::path& path, const Values& planes) {
    std::ofstream out(path, std::ios::binary);
    for (const auto& plane : planes)
        out.write(reinterpret_cast<const char*>(plane.data()),
                  static_cast<std::streamsize>(plane.size() * sizeof(plane[0])));
}

inline std::string readRaw(const std::filesystem::path& path) {
    std::ifstream in(path, std::ios::binary);
    return {std::istreambuf_iterator<char>(in), {}};
}

/// The number behind a word, such as `average:` in what a filter tells; NaN when it is not there.
inline double numberAfter(const std::string& said, const std::string& word) {
    const auto at = said.rfind(word);
    double number = std::nan("");
    if (at != std::string::npos) // in no locale
        std::from_chars(said.data() + at + word.size(), said.data() + said.size(), number);
    return number;
}

} // namespace bslate::sample
