#pragma once

#include <filesystem>
#include <fstream>
#include <sstream>
#include <string>
#include <vector>

namespace architecture {

struct Source {
    std::filesystem::path path;
    std::string text;
    [[nodiscard]] std::string name() const {
        return std::filesystem::relative(path, BSLATE_ROOT).string();
    }
};

inline std::string textOf(const std::filesystem::path& path) {
    std::ifstream file(path);
    std::stringstream text;
    text << file.rdbuf();
    return text.str();
}

inline std::vector<Source> sourcesUnder(const char* folder) {
    std::vector<Source> sources;
    for (const auto& entry : std::filesystem::recursive_directory_iterator(
             std::filesystem::path(BSLATE_ROOT) / folder)) {
        const auto extension = entry.path().extension();
        if (extension == ".cpp" || extension == ".h")
            sources.push_back({entry.path(), textOf(entry.path())});
    }
    return sources;
}

} // namespace architecture
