// The card as text: columns stand under each other, whatever is in them.
#include "core/words/card_text.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <sstream>

namespace bslate {
namespace {

std::vector<std::string> linesOf(const std::string& text) {
    std::istringstream in(text);
    std::vector<std::string> lines;
    for (std::string line; std::getline(in, line);)
        lines.push_back(line);
    return lines;
}

// Characters before a part of a line, not bytes.
std::size_t columnOf(const std::string& line, const std::string& part) {
    std::size_t characters = 0;
    for (const char c : line.substr(0, line.find(part)))
        characters += (static_cast<unsigned char>(c) & 0xC0) != 0x80;
    return characters;
}

TEST(CardText, ColumnsStandUnderEachOtherInAnyScript) {
    Card card;
    card.lists = {{"Cards",
                   {"S1\tSD V60 128 GB\tof 4", "\u00e9t\u00e9\tCF\tof 2\tmissing",
                    "a label that is long\t\tof 10", "no columns at all"}}};
    const auto lines = linesOf(cardText(card));
    std::vector<std::string> listed;
    for (const auto& line : lines) {
        EXPECT_EQ(line.find('\t'), std::string::npos);
        if (!line.empty())
            EXPECT_NE(line.back(), ' ') << "[" << line << "]";
        if (line.find(" of ") != std::string::npos)
            listed.push_back(line);
    }
    ASSERT_EQ(listed.size(), 3u);
    for (const auto& line : listed)
        EXPECT_EQ(columnOf(line, "of "), columnOf(listed[0], "of ")) << line;
    EXPECT_EQ(columnOf(listed[1], "CF"), columnOf(listed[0], "SD"));
}

TEST(CardText, SaysOfEveryPatchWhereItLandsAndWhatIsLost) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].iris = TStop(2.8); // the sky is far over
    const auto card = cardOf(shoot, shoot.setups[0]);
    ASSERT_EQ(card.patches.size(), shoot.scenes[0].patches.size());
    for (std::size_t i = 0; i < card.patches.size(); ++i) {
        const auto cells = cellsOf(card.patches[i]);
        ASSERT_EQ(cells.size(), 4u);
        EXPECT_EQ(cells[0], shoot.scenes[0].patches[i].name);
        EXPECT_EQ(cells[3].starts_with("lost"), cells[0] == "sky") << card.patches[i];
    }
    EXPECT_EQ(cellsOf(""), std::vector<std::string>{""});
    EXPECT_EQ(cellsOf("a\t"), (std::vector<std::string>{"a", ""}));
}

} // namespace
} // namespace bslate
