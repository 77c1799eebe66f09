// The rules of docs/architecture.md, checked on the sources themselves: who includes whom.
#include "architecture/sources.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <map>
#include <regex>
#include <set>

namespace {

using architecture::Source;
using architecture::sourcesUnder;
namespace fs = std::filesystem;

std::vector<std::string> includesOf(const Source& source) {
    static const std::regex form("#include\\s*[<\"]([^>\"]+)[>\"]");
    std::vector<std::string> includes;
    for (std::sregex_iterator at(source.text.begin(), source.text.end(), form), end; at != end;
         ++at)
        includes.push_back((*at)[1]);
    return includes;
}

// The floor of a core path such as core/light/sensor.h, lowest first; -1 for unknown folders.
int floorOf(const std::string& folder) {
    const std::vector<std::string> floors = {
        "base",  "quantity", "signal",    "light", "cadence", "media", "schedule", "kit", "shoot",
        "facts", "advice",   "judgement", "day",   "banks",   "words", "frame",    "clip"};
    const auto found = std::find(floors.begin(), floors.end(), folder);
    return found == floors.end() ? -1 : static_cast<int>(found - floors.begin());
}

std::string folderAfter(const std::string& path, const std::string& part) {
    const auto at = path.find(part);
    const auto start = at + part.size();
    return at == std::string::npos ? std::string()
                                   : path.substr(start, path.find('/', start) - start);
}

TEST(Architecture, CoreFoldersIncludeOnlyFloorsBelow) {
    int seen = 0;
    for (const auto& source : sourcesUnder("src/core")) {
        const int own = floorOf(folderAfter(source.name(), "src/core/"));
        ASSERT_GE(own, 0) << source.name() << " is in a folder that has no floor";
        for (const auto& include : includesOf(source)) {
            if (!include.starts_with("core/"))
                continue;
            ++seen;
            const int other = floorOf(folderAfter(include, "core/"));
            EXPECT_LE(other, own) << source.name() << " includes " << include;
            EXPECT_GE(other, 0) << source.name() << " includes " << include;
        }
    }
    EXPECT_GT(seen, 50) << "the scan found too little to mean anything";
}

TEST(Architecture, CoreUsesTheStandardLibraryOnlyAndTouchesNothingOutside) {
    const std::regex forbidden(
        "std::(c(out|err|log)|ifstream|ofstream|fstream|filesystem|locale|getenv|exit|abort)"
        "|\\bprintf\\s*\\(|\\bqDebug|\\bQ[A-Z][a-z]+|nlohmann|system_clock|steady_clock"
        "|#include <(iostream|fstream|filesystem|chrono|locale|ctime)>");
    for (const auto& source : sourcesUnder("src/core")) {
        std::smatch hit;
        EXPECT_FALSE(std::regex_search(source.text, hit, forbidden))
            << source.name() << ": " << hit.str();
        for (const auto& include : includesOf(source))
            EXPECT_TRUE(include.starts_with("core/") || include.find('/') == std::string::npos)
                << source.name() << " includes " << include;
    }
}

TEST(Architecture, PartsIncludeOnlyWhatTheyMay) {
    const auto check = [](const char* part, const std::vector<std::string>& allowed) {
        const std::string folder = std::string("src/") + part;
        for (const auto& source : sourcesUnder(folder.c_str()))
            for (const auto& include : includesOf(source))
                for (const char* other : {"io/", "cli/", "app/"})
                    if (include.starts_with(other))
                        EXPECT_NE(std::find(allowed.begin(), allowed.end(), other), allowed.end())
                            << source.name() << " includes " << include;
    };
    check("io", {"io/"});
    check("cli", {"cli/", "io/"});
    check("app", {"app/", "io/"});
}

TEST(Architecture, CliAndIoKnowNoQt) {
    for (const char* part : {"src/io", "src/cli"})
        for (const auto& source : sourcesUnder(part))
            for (const auto& include : includesOf(source))
                EXPECT_FALSE(std::regex_match(include, std::regex("Q[A-Z].*")))
                    << source.name() << " includes " << include;
}

TEST(Architecture, EveryOutsideLibraryHasItsOwnFolder) {
    const std::pair<const char*, std::vector<const char*>> homes[] = {
        {"nlohmann/", {"src/io/json/", "src/io/wire/", "src/cli/output.h"}},
        {"OpenColorIO/", {"src/io/colour/"}},
        {"libraw/", {"src/helper/stills/"}},
        {"libheif/", {"src/helper/stills/"}},
        {"tiffio.h", {"src/helper/stills/"}},
        {"seccomp.h", {"src/io/doors/"}},
        {"libav", {"src/helper/codec/", "src/helper/clips/", "src/helper/stills/"}},
        {"ebur128", {"src/helper/clips/"}},
        {"CLI/", {"src/cli/cli.cpp", "src/cli/option_list.cpp"}}};
    for (const auto& source : sourcesUnder("src"))
        for (const auto& include : includesOf(source))
            for (const auto& [library, folders] : homes)
                if (include.starts_with(library))
                    EXPECT_TRUE(std::any_of(
                        folders.begin(), folders.end(),
                        [&](const char* home) { return source.name().starts_with(home); }))
                        << source.name() << " includes " << include;
}

TEST(Architecture, PublicIoHeadersHideTheirLibraries) {
    for (const char* part : {"src/cli", "src/app", "src/core"})
        for (const auto& source : sourcesUnder(part))
            for (const auto& include : includesOf(source))
                EXPECT_FALSE(include == "io/json/json_reader.h" || include.ends_with("_nodes.h") ||
                             include == "io/colour/ocio.h")
                    << source.name() << " includes " << include;
}

// A header and its source are one unit; which units include which, without the folders' own rules.
std::map<std::string, std::set<std::string>> unitsUnder(const char* folder) {
    std::map<std::string, std::set<std::string>> units;
    for (const auto& source : sourcesUnder(folder)) {
        const auto name = fs::path(source.name().substr(4)).replace_extension().string();
        for (const auto& include : includesOf(source))
            if (const auto other = fs::path(include).replace_extension().string();
                include.ends_with(".h") && other != name)
                units[name].insert(other);
    }
    return units;
}

TEST(Architecture, NoUnitOfCoreOrIoNeedsOneThatNeedsIt) {
    for (const char* folder : {"src/core", "src/io"}) {
        auto units = unitsUnder(folder);
        ASSERT_GT(units.size(), 10u);
        // What needs nothing that is left is taken away, until nothing goes any more.
        for (bool gone = true; gone;) {
            gone = false;
            for (auto at = units.begin(); at != units.end();) {
                std::erase_if(at->second,
                              [&](const auto& other) { return !units.contains(other); });
                gone = gone || at->second.empty();
                at = at->second.empty() ? units.erase(at) : std::next(at);
            }
        }
        std::string left;
        for (const auto& [name, needs] : units)
            left += name + " ";
        EXPECT_TRUE(units.empty()) << left;
    }
}

TEST(Architecture, SourcesOfTheCoreHaveAHeaderOfTheirName) {
    for (const auto& source : sourcesUnder("src/core"))
        if (source.path.extension() == ".cpp" &&
            source.path.parent_path().filename() != "rules" && // judgements, which rules.h lists
            source.path.parent_path().filename() != "kinds")   // and kinds.h
            EXPECT_TRUE(fs::exists(fs::path(source.path).replace_extension(".h"))) << source.name();
}

TEST(Architecture, WidgetsKnowNoDocuments) {
    for (const auto& source : sourcesUnder("src/app/widgets"))
        for (const auto& include : includesOf(source))
            EXPECT_FALSE(include.starts_with("app/views/") || include.starts_with("app/shell/") ||
                         include == "app/document/shoot_document.h")
                << source.name() << " includes " << include;
}

} // namespace
