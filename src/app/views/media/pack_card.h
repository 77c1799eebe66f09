#pragma once

#include "core/day/pack_list.h"
#include "core/words/card_text.h"

namespace bslate::app {

/// The pack list as a card to print: what to bring, the labels of the cards, and the cautions that
/// go with batteries.
[[nodiscard]] Card packCardOf(const Shoot& shoot, const PackList& list);

} // namespace bslate::app
