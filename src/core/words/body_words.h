#pragma once

#include "core/banks/best_banks.h"
#include "core/words/translator.h"

#include <string>

/// The words of what is set and turned on a body.
namespace bslate {

[[nodiscard]] std::string nameOf(BodySetting setting, const Translator& translate = {});
[[nodiscard]] std::string nameOf(Function function, const Translator& translate = {});
[[nodiscard]] std::string nameOf(AutomaticKind kind, const Translator& translate = {});
[[nodiscard]] std::string nameOf(BankSchool school, const Translator& translate = {});

/// A value as BodySettings holds it: words are translated, quantities and names stay.
[[nodiscard]] std::string valueText(const std::string& value, const Translator& translate = {});

} // namespace bslate
