#pragma once

#include "core/verdict/dial_in.h"
#include "core/verdict/wording.h"

#include <string>
#include <vector>

/// What the printed dial-in card says, ready to be laid out or copied as text.
namespace bslate {

struct Card {
    std::string heading; ///< "2A  Doorway, miller"
    std::string place;   ///< shoot, scene and day
    DialInCard dials;
    std::vector<std::string> patches;  ///< "Skin, key side   +1.1   58 %"
    std::vector<std::string> accepted; ///< faults taken on purpose, with their reasons
    std::vector<std::string> open;     ///< faults and cautions nobody accepted
    std::vector<std::string> grading;  ///< what post has to undo
    std::vector<std::string> safety;
};

[[nodiscard]] Card cardOf(const Shoot& shoot, const Setup& setup, const Translator& translate = {});

/// The card as plain text for the clipboard; changed settings are marked with `*`.
[[nodiscard]] std::string cardText(const Card& card, const Translator& translate = {});

} // namespace bslate
