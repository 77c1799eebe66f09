#include "core/words/judgement_pages.h"

#include "core/judgement/finding_table.h"

#include <optional>

namespace bslate {
namespace {

std::string_view nameOf(Topic topic) {
    switch (topic) {
    case Topic::Camera:
        return "camera";
    case Topic::Grading:
        return "grading";
    case Topic::Safety:
        break;
    }
    return "everybody";
}

// What is said as one cell of a table.
std::string cell(std::string_view english) {
    std::string text;
    for (const char c : english)
        text += c == '|' ? std::string("\\|") : std::string(1, c);
    return text;
}

} // namespace

std::string judgementPages() {
    std::string text = "# Judgements\n\n"
                       "What the program says of a setup or a day, by subject. Words in braces are "
                       "filled with the\nnumbers of the moment. Written by `tools/schemas`.\n";
    std::optional<HelpPage> page;
    for (const auto part : findingKinds())
        for (const auto& kind : part) {
            if (page != kind.page) {
                page = kind.page;
                text += std::string("\n## ") + titleOf(kind.page) +
                        "\n\n| key | says | for | source |\n|---|---|---|---|\n";
            }
            text += "| `" + std::string(kind.key) + "` | **" + cell(kind.title) + "** " +
                    cell(kind.text) + " | " + std::string(nameOf(kind.topic)) + " | " +
                    cell(kind.source) + " |\n";
        }
    return text;
}

} // namespace bslate
