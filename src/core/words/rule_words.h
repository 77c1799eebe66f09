#pragma once

#include "core/kit/kit.h"
#include "core/words/translator.h"

#include <string>
#include <vector>

/// What a body forbids, as people say it. The typed form is rule_line.h.
namespace bslate {

/// "codec", "frame rate", "power" ...
[[nodiscard]] std::string settingName(SettingKey key, const Translator& translate = {});
/// A value by the name it has on the body: a mode, codec, profile or slot by its own, others as
/// they are spelled.
[[nodiscard]] std::string valueName(SettingKey key, const SettingValue& value, const Camera& camera,
                                    const Kit& kit, const Translator& translate = {});

/// `When the codec is Raw 12-bit and the frame rate is 100 or more, the power must be external: the
/// plate gives too little.`
[[nodiscard]] std::string sentenceOf(const Constraint& rule, const Camera& camera, const Kit& kit,
                                     const Translator& translate = {});

/// A sentence for each line of ruleLines(), in their order.
[[nodiscard]] std::vector<std::string> ruleSentences(const Camera& camera, const Kit& kit,
                                                     const Translator& translate = {});

/// What a setting can be on this body; empty where it is a number that is typed.
[[nodiscard]] std::vector<SettingValue> choicesOf(SettingKey key, const Camera& camera,
                                                  const Kit& kit);

} // namespace bslate
