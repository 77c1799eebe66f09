#include "core/kit/setting_value.h"

#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include <algorithm>

namespace bslate {
namespace {

// The words a setting may take when it is not an id of the camera's; empty for ids.
std::vector<std::string_view> wordsOf(SettingKey key) {
    switch (key) {
    case SettingKey::Gop:
        return {"raw", "intra", "long"};
    case SettingKey::Sound:
    case SettingKey::Focus:
    case SettingKey::Proxy:
        return {"on", "off"};
    case SettingKey::Power:
        return {"internal", "external"};
    default:
        return {};
    }
}

} // namespace

Result<SettingValue> parseSettingValue(SettingKey key, std::string_view text) {
    const auto wrap = [](const auto& parsed) -> Result<SettingValue> {
        if (!parsed)
            return parsed.error();
        return SettingValue(parsed->value());
    };
    switch (key) {
    case SettingKey::Rate: {
        const auto rate = parseFrameRate(text);
        return rate ? Result<SettingValue>(SettingValue(*rate)) : rate.error();
    }
    case SettingKey::Bits:
        return wrap(parseFactor(text));
    case SettingKey::Rating:
    case SettingKey::Base:
        return wrap(parseExposureIndex(text));
    case SettingKey::Angle:
        return wrap(parseShutterAngle(text));
    case SettingKey::Ambient:
        return wrap(parseCelsius(text));
    default:
        break;
    }
    const auto words = wordsOf(key);
    if (words.empty() || std::find(words.begin(), words.end(), text) != words.end())
        return SettingValue(std::string(text));
    std::string expected;
    for (const auto word : words)
        expected += (expected.empty() ? "" : " or ") + std::string(word);
    return Error{ErrorCode::WrongType, {}, {}, std::string(text), expected};
}

std::string spell(SettingKey key, const SettingValue& value) {
    if (const auto* text = std::get_if<std::string>(&value))
        return *text;
    if (const auto* rate = std::get_if<FrameRate>(&value))
        return spell(*rate);
    const double number = std::get<double>(value);
    switch (key) {
    case SettingKey::Angle:
        return spell(Shutter(ShutterAngle(number)));
    case SettingKey::Ambient:
        return spell(Celsius(number));
    default:
        return spell(ExposureIndex(number));
    }
}

} // namespace bslate
