// What the pages for newcomers point at is there.
#include "architecture/sources.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <regex>

namespace {

namespace fs = std::filesystem;
using architecture::textOf;

std::vector<fs::path> pages() {
    std::vector<fs::path> found = {"README.md", "CONTRIBUTING.md", "bench/README.md"};
    for (const auto& entry : fs::directory_iterator(fs::path(BSLATE_ROOT) / "docs"))
        if (entry.path().extension() == ".md")
            found.push_back(fs::relative(entry.path(), BSLATE_ROOT));
    return found;
}

std::vector<std::string> matchesOf(const std::string& text, const char* form) {
    const std::regex expression(form);
    std::vector<std::string> found;
    for (std::sregex_iterator at(text.begin(), text.end(), expression), end; at != end; ++at)
        found.push_back((*at)[1]);
    return found;
}

TEST(Pages, LinksLeadToFiles) {
    int seen = 0;
    for (const auto& page : pages())
        for (const auto& link :
             matchesOf(textOf(fs::path(BSLATE_ROOT) / page), "\\]\\(([^)#:]+)(#[^)]*)?\\)")) {
            ++seen;
            EXPECT_TRUE(fs::exists(fs::path(BSLATE_ROOT) / page.parent_path() / link))
                << page << " links " << link;
        }
    EXPECT_GT(seen, 20);
}

TEST(Pages, EveryPictureIsShownSomewhere) {
    std::string all;
    for (const auto& page : pages())
        all += textOf(fs::path(BSLATE_ROOT) / page);
    int pictures = 0;
    for (const auto& entry : fs::directory_iterator(fs::path(BSLATE_ROOT) / "docs/screenshots")) {
        ++pictures;
        EXPECT_NE(all.find("screenshots/" + entry.path().filename().string()), std::string::npos)
            << entry.path();
    }
    EXPECT_GT(pictures, 10);
    EXPECT_LT(pictures, 20);
}

// A row of "Where do I add": what, and the files to touch in backticks.
TEST(Pages, WhereToAddAThingNamesFilesThatExist) {
    const std::string page = textOf(fs::path(BSLATE_ROOT) / "docs/architecture.md");
    const auto begin = page.find("## Where do I add");
    ASSERT_NE(begin, std::string::npos);
    const std::string section = page.substr(begin, page.find("\n## ", begin + 1) - begin);
    for (const char* thing : {"judgement", "camera setting", "curve", "step", "verb"}) {
        std::smatch row;
        ASSERT_TRUE(std::regex_search(
            section, row, std::regex("\n\\| [^|\n]*" + std::string(thing) + "[^|\n]*\\|[^\n]*")))
            << thing;
        const auto files = matchesOf(row.str(), "`([\\w./]+/[\\w./]*)`");
        EXPECT_FALSE(files.empty()) << thing;
        for (const auto& file : files)
            EXPECT_TRUE(fs::exists(fs::path(BSLATE_ROOT) / file)) << thing << ": " << file;
    }
}

TEST(Pages, FoldersOfTheMapAreThoseThatExist) {
    const std::string map = textOf(fs::path(BSLATE_ROOT) / "CONTRIBUTING.md");
    for (const auto& folder : matchesOf(map, "\n\\| `(src/[\\w/]+)`"))
        EXPECT_TRUE(fs::is_directory(fs::path(BSLATE_ROOT) / folder)) << folder;
    for (const char* part : {"src/core", "src/io", "src/app"})
        for (const auto& entry : fs::directory_iterator(fs::path(BSLATE_ROOT) / part))
            if (entry.is_directory())
                EXPECT_NE(map.find("`" + fs::relative(entry.path(), BSLATE_ROOT).string() + "`"),
                          std::string::npos)
                    << entry.path() << " is not in the folder map";
}

} // namespace
