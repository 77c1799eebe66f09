#pragma once

#include "core/kit/constraint.h"

/// Setting values as text: in kit files and in typed rules alike.
namespace bslate {

/// Rates, exposure indices, angles and temperatures in their usual spelling (core/quantity), the
/// words a setting has (`raw`, `on`, `external`), ids as they stand. Fails as the quantity's own
/// reader does, or with WrongType for another word; `got` is the text.
[[nodiscard]] Result<SettingValue> parseSettingValue(SettingKey key, std::string_view text);

/// The exact text parseSettingValue reads back.
[[nodiscard]] std::string spell(SettingKey key, const SettingValue& value);

} // namespace bslate
