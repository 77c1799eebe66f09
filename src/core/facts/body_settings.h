#pragma once

#include "core/base/enumerated.h"
#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"

#include <optional>
#include <string>

/// What is set on the body for a setup, one text a setting: what banks hold, records note and hands
/// turn.
namespace bslate {

/// Texts as they are read on the body, "172.8°", "4100 K", "by hand"; none where the setup leaves
/// the setting open or the body has no such thing.
struct BodySettings {
    ByEnum<BodySetting, std::optional<std::string>> values;

    [[nodiscard]] const std::optional<std::string>& operator[](BodySetting setting) const {
        return values[setting];
    }
    friend bool operator==(const BodySettings&, const BodySettings&) = default;
};

/// In the camera's own increments, like the dial-in card. Region is given where the camera has
/// regions, the first one that offers the rate; Focus, Stabiliser and Sound where they are said.
[[nodiscard]] BodySettings bodySettingsOf(const SetupContext& context, const Evaluation& at);

} // namespace bslate
