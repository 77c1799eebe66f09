#pragma once

#include "core/facts/dial_in.h"
#include "core/facts/evaluation.h"
#include "core/judgement/judge.h"
#include "core/words/wording.h"

#include <string>
#include <vector>

/// What a printed card says, ready to be laid out or copied as text.
namespace bslate {

/// A list of its own heading, for cards that say something else than a setup. Tabs in a line part
/// it into columns.
struct CardList {
    std::string heading;
    std::vector<std::string> lines;
};

struct Card {
    std::string heading; ///< "2A  Doorway, miller"
    std::string place;   ///< shoot, scene and day
    DialInCard dials;
    std::vector<std::string> patches;  ///< in columns: name, stops, level, what is lost
    std::vector<std::string> accepted; ///< faults taken on purpose, with their reasons
    std::vector<std::string> open;     ///< faults and cautions nobody accepted
    std::vector<std::string> grading;  ///< what post has to undo
    std::vector<std::string> safety;
    std::vector<CardList> lists; ///< after the patches
};

[[nodiscard]] Card cardOf(const Shoot& shoot, const Setup& setup, const Translator& translate = {});

/// The columns of a line; one where it has no tab.
[[nodiscard]] std::vector<std::string> cellsOf(const std::string& line);

/// The card as plain text for the clipboard; changed settings are marked with `*`.
[[nodiscard]] std::string cardText(const Card& card, const Translator& translate = {});

} // namespace bslate
