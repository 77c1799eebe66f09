#include "core/words/card_text.h"

#include "core/quantity/print.h"

#include <algorithm>

namespace bslate {
namespace {

std::string say(const Translator& translate, const char* english) {
    return translate ? translate(english) : std::string(english);
}

// Length in characters of UTF-8 text, for columns.
std::size_t characters(const std::string& text) {
    return static_cast<std::size_t>(std::count_if(text.begin(), text.end(), [](char c) {
        return (static_cast<unsigned char>(c) & 0xC0) != 0x80;
    }));
}

std::string stateText(const PatchPlacement& patch, const Translator& translate) {
    if (patch.state == PatchState::Clipped)
        return say(translate, "lost") + " " + printPlain(patch.headroom);
    if (patch.state == PatchState::Noise)
        return say(translate, "noise") + " " + printPlain(patch.aboveNoise);
    return {};
}

// `text` with spaces behind it, `width` characters wide at least, one space in any case.
std::string padded(const std::string& text, std::size_t width) {
    const auto length = characters(text);
    return length < width ? text + std::string(width - length, ' ') : text + " ";
}

// Columns as wide as the widest of their cells, and two spaces between them.
std::string aligned(const std::vector<std::string>& cells, const std::vector<std::size_t>& widths) {
    std::string text;
    for (std::size_t i = 0; i < cells.size(); ++i)
        text += i + 1 < cells.size() ? padded(cells[i], widths[i] + 2) : cells[i];
    return text.substr(0, text.find_last_not_of(' ') + 1);
}

void appendList(std::string& text, const std::string& heading,
                const std::vector<std::string>& lines) {
    if (lines.empty())
        return;
    std::vector<std::size_t> widths;
    for (const auto& line : lines) {
        const auto cells = cellsOf(line);
        widths.resize(std::max(widths.size(), cells.size()));
        for (std::size_t i = 0; i + 1 < cells.size(); ++i)
            widths[i] = std::max(widths[i], characters(cells[i]));
    }
    text += "\n" + heading + "\n";
    for (const auto& line : lines)
        text += "  " + aligned(cellsOf(line), widths) + "\n";
}

} // namespace

std::vector<std::string> cellsOf(const std::string& line) {
    std::vector<std::string> cells(1);
    for (const char c : line)
        if (c == '\t')
            cells.emplace_back();
        else
            cells.back() += c;
    return cells;
}

Card cardOf(const Shoot& shoot, const Setup& setup, const Translator& translate) {
    Card card;
    card.heading = setup.number + "  " + setup.name;
    card.place = shoot.title;
    if (const auto* scene = findScene(shoot, setup.scene))
        card.place += " \u00b7 " + scene->name + " \u00b7 " + say(translate, "day") + " " +
                      std::to_string(scene->day);
    card.dials = dialIn(shoot, setup);
    const auto verdict = judge(shoot, setup);
    if (verdict.evaluation)
        for (const auto& patch : verdict.evaluation->patches)
            card.patches.push_back(patch.name + "\t" + print(patch.viewed) + "\t" +
                                   print(patch.level) + "\t" + stateText(patch, translate));
    for (const auto& finding : verdict.findings) {
        const auto title = titleOf(finding, translate);
        if (finding.accepted)
            card.accepted.push_back(title + ": " + *finding.accepted);
        else if (finding.severity == Severity::Fault || finding.severity == Severity::Caution) {
            card.open.push_back(title);
            for (const auto& other : finding.follows)
                card.open.push_back(titleOf(other, translate));
        }
        const auto topic = kindOf(finding.id).topic;
        if (topic == Topic::Grading)
            card.grading.push_back(title + ". " + reasonOf(finding, translate));
        if (topic == Topic::Safety)
            card.safety.push_back(title + ". " + reasonOf(finding, translate));
    }
    return card;
}

std::string cardText(const Card& card, const Translator& translate) {
    std::string text = card.heading + "\n" + card.place + "\n\n";
    for (const auto& row : card.dials.rows)
        text += padded(nameOf(row.field, translate), 14) + (row.changed ? "* " : "  ") +
                reasonOf(row.value, translate) + "\n";
    if (!card.dials.after.empty())
        text += say(translate, "* changed since") + std::string(" ") + card.dials.after + "\n";
    appendList(text, say(translate, "Where the scene lands (stops viewed, level)"), card.patches);
    for (const auto& list : card.lists)
        appendList(text, list.heading, list.lines);
    appendList(text, say(translate, "Accepted on purpose"), card.accepted);
    appendList(text, say(translate, "Still open"), card.open);
    appendList(text, say(translate, "Tell grading"), card.grading);
    appendList(text, say(translate, "Take care"), card.safety);
    return text;
}

} // namespace bslate
