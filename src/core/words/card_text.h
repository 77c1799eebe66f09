#pragma once

#include "core/facts/dial_in.h"
#include "core/facts/evaluation.h"
#include "core/judgement/judge.h"
#include "core/words/wording.h"

#include <string>
#include <vector>

/// What a printed card says, ready to be laid out or copied as text.
namespace bslate {

/// A list of its own heading, for cards that say something else than a setup.
struct CardList {
    std::string heading;
    std::vector<std::string> lines;
    bool columns = false; ///< lines are padded to columns
};

struct Card {
    std::string heading; ///< "2A  Doorway, miller"
    std::string place;   ///< shoot, scene and day
    DialInCard dials;
    std::vector<std::string> patches;  ///< "Skin, key side   +1.1   58 %"
    std::vector<std::string> accepted; ///< faults taken on purpose, with their reasons
    std::vector<std::string> open;     ///< faults and cautions nobody accepted
    std::vector<std::string> grading;  ///< what post has to undo
    std::vector<std::string> safety;
    std::vector<CardList> lists; ///< after the patches
};

[[nodiscard]] Card cardOf(const Shoot& shoot, const Setup& setup, const Translator& translate = {});

/// `text` with spaces behind it, `width` characters wide at least, one space in any case.
[[nodiscard]] std::string padded(const std::string& text, std::size_t width);

/// The card as plain text for the clipboard; changed settings are marked with `*`.
[[nodiscard]] std::string cardText(const Card& card, const Translator& translate = {});

} // namespace bslate
