// How long things may be, and what may cross an interface.
#include "architecture/sources.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <regex>
#include <set>

namespace {

using architecture::Source;
using architecture::sourcesUnder;

TEST(Shape, FilesStayShortEnoughToRead) {
    for (const auto& source : sourcesUnder("src")) {
        const auto lines = std::count(source.text.begin(), source.text.end(), '\n');
        EXPECT_LE(lines, 450) << source.name();
        if (source.path.extension() == ".h") {
            EXPECT_NE(source.text.find("#pragma once"), std::string::npos) << source.name();
            EXPECT_LE(lines, 250) << source.name();
        }
    }
}

// The text with comments, strings and characters blanked, line for line.
std::string codeOf(const std::string& text) {
    std::string code = text;
    const auto blank = [&](std::size_t from, std::size_t to) {
        for (auto at = from; at < std::min(to, code.size()); ++at)
            if (code[at] != '\n')
                code[at] = ' ';
        return to;
    };
    for (std::size_t at = 0; at < code.size();) {
        if (code.compare(at, 2, "//") == 0)
            at = blank(at, code.find('\n', at));
        else if (code.compare(at, 2, "/*") == 0)
            at = blank(at, code.find("*/", at) + 2);
        else if (code.compare(at, 3, "R\"(") == 0)
            at = blank(at, code.find(")\"", at) + 2);
        else if (code[at] == '"' ||
                 (code[at] == '\'' && (at == 0 || !std::isalnum(code[at - 1])))) {
            auto end = at + 1;
            while (end < code.size() && code[end] != code[at])
                end += code[end] == '\\' ? 2 : 1;
            at = blank(at, end + 1);
        } else
            ++at;
    }
    return code;
}

struct Function {
    std::string head;
    long lines = 0;
};

// Bodies that stand in a namespace or a class; what is nested in one belongs to it.
std::vector<Function> functionsOf(const Source& source) {
    const std::string code = codeOf(source.text);
    struct Open {
        char kind; // n: namespace or type, f: function, o: other
        std::size_t at;
        std::string head;
    };
    std::vector<Open> open;
    std::vector<Function> functions;
    std::size_t headBegins = 0;
    static const std::regex isScope("(^|\\s)(namespace|class|struct|union|extern)\\s[^()]*$");
    for (std::size_t at = 0; at < code.size(); ++at) {
        const char c = code[at];
        if (c == '{') {
            const std::string head = code.substr(headBegins, at - headBegins);
            const bool outside = open.empty() || open.back().kind == 'n';
            const bool scope = std::regex_search(head, isScope) ||
                               head.find_first_not_of(" \n") == std::string::npos;
            open.push_back({outside && scope ? 'n'
                            : outside && head.find('(') != std::string::npos &&
                                    head.find(" = ") == std::string::npos
                                ? 'f'
                                : 'o',
                            at, head});
        } else if (c == '}' && !open.empty()) {
            if (open.back().kind == 'f')
                functions.push_back(
                    {open.back().head, std::count(code.begin() + static_cast<long>(open.back().at),
                                                  code.begin() + static_cast<long>(at), '\n')});
            open.pop_back();
        }
        if (c == '{' || c == '}' || c == ';')
            headBegins = at + 1;
    }
    return functions;
}

TEST(Shape, FunctionsFitOnAScreen) {
    int seen = 0;
    for (const auto& source : sourcesUnder("src"))
        for (const auto& function : functionsOf(source)) {
            ++seen;
            // What returns a table is as long as that is.
            if (source.name().find("core/judgement/kinds/") == std::string::npos)
                EXPECT_LE(function.lines, 62) << source.name() << ": " << function.head;
        }
    EXPECT_GT(seen, 2000) << "the scan found too little to mean anything";
}

// What has no unit says so in its name; everything else has a type (core/quantity).
TEST(Shape, NoBareNumberCrossesAnInterfaceOfTheCore) {
    const std::set<std::string> unitless = {
        "done",        "factor",       "share",      "usable",      "transmittance", "snr",
        "code",        "mean",         "gathered",   "lightAt",     "snrAt",         "shareScale",
        "contrastOf",  "codeOf",       "uniform",    "exponential", "bell",          "toDouble",
        "codesInStop", "slopePerStop", "tenBitCodes"};
    static const std::regex bare("\\bdouble>?&? (\\w+)(\\(|,|\\)| =)");
    int seen = 0;
    for (const auto& source : sourcesUnder("src/core")) {
        const auto name = source.name();
        // Quantities are made of numbers, and what is used up on a schedule has no unit there.
        if (source.path.extension() != ".h" || name.find("core/quantity/") != std::string::npos ||
            name.find("core/schedule/") != std::string::npos ||
            name.find("core/base/field") != std::string::npos)
            continue;
        const std::string code = codeOf(source.text);
        for (std::sregex_iterator at(code.begin(), code.end(), bare), end; at != end; ++at) {
            const auto line = code.rfind('\n', at->position()) + 1;
            if ((*at)[2] != "(" && code.find('(', line) > static_cast<std::size_t>(at->position()))
                continue; // a member
            ++seen;
            EXPECT_TRUE(unitless.contains((*at)[1])) << name << ": " << at->str();
        }
    }
    EXPECT_GT(seen, 15);
}

} // namespace
