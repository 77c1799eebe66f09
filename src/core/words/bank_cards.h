#pragma once

#include "core/banks/preroll.h"
#include "core/words/card_text.h"

/// Banks, controls, the pre-roll and the record of a camera as cards: on screen, printed, as text.
namespace bslate {

/// What is written into each bank, and what the hand does before each setup after recall.
[[nodiscard]] Card bankCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                              const Translator& translate = {});

/// What each control does and why, and what stands in the menus.
[[nodiscard]] Card controlCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                                 const Translator& translate = {});

/// The checks of a setup, to tick with a pen; those ticked already with their time.
[[nodiscard]] Card prerollCardOf(const Shoot& shoot, const Setup& setup,
                                 const std::vector<Check>& checks,
                                 const Translator& translate = {});

/// A borrowed body brought to a known starting point.
[[nodiscard]] Card startingCardOf(const Shoot& shoot, const Camera& camera,
                                  const Translator& translate = {});

/// What is on record of a camera, and what differs from the plan.
[[nodiscard]] Card recordCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                                const Translator& translate = {});

/// Why a control does what it does, "needed inside 3 takes, 2 times between".
[[nodiscard]] std::string reasonOf(const ControlUse& use, const Translator& translate = {});

/// "iris T2.8, white 4100 K": what the hand sets, with its values.
[[nodiscard]] std::string handText(const std::vector<HandSetting>& byHand,
                                   const Translator& translate = {});

} // namespace bslate
