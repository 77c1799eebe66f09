#pragma once

#include "core/shoot/shoot.h"
#include "io/json/json_reader.h"

#include <array>
#include <set>

/// The parts of a shoot's JSON. Private to io.
namespace bslate::io {

/// Ids must be unique: everything else refers to them.
template<class Item>
void checkIds(const std::vector<Item>& items, const char* key, ObjectReader& root) {
    std::set<std::string_view> seen;
    for (const auto& item : items)
        if (!seen.insert(item.id).second)
            root.fail(ErrorCode::OutOfRange, key, item.id, "every id only once");
}

// scene_json.cpp
[[nodiscard]] Scene sceneFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json sceneJson(const Scene& scene);

// day_json.cpp
[[nodiscard]] ShootDay dayFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json dayJson(const ShootDay& day);

/// The `accepted` list of a setup or a day.
[[nodiscard]] std::vector<Acceptance> acceptedFrom(ObjectReader& node);
[[nodiscard]] Json acceptedJson(const std::vector<Acceptance>& accepted);

// brief_json.cpp: the shoot's "brief" key
[[nodiscard]] Brief briefFrom(ObjectReader& shoot);
[[nodiscard]] Json briefJson(const Brief& brief);

inline constexpr std::array kShutterSchoolNames = {
    NamedValue<ShutterSchool>{"half-frame", ShutterSchool::HalfFrame},
    NamedValue<ShutterSchool>{"crisp", ShutterSchool::Crisp},
    NamedValue<ShutterSchool>{"mains-locked", ShutterSchool::MainsLocked},
    NamedValue<ShutterSchool>{"custom", ShutterSchool::Custom}};
inline constexpr std::array kSecondSlotNames = {
    NamedValue<SecondSlot>{"unused", SecondSlot::Unused},
    NamedValue<SecondSlot>{"mirror", SecondSlot::Mirror},
    NamedValue<SecondSlot>{"relay", SecondSlot::Relay},
    NamedValue<SecondSlot>{"proxy", SecondSlot::Proxy}};
inline constexpr std::array kSchoolNames = {
    NamedValue<School>{"nominal", School::Nominal}, NamedValue<School>{"rated", School::Rated},
    NamedValue<School>{"to-the-right", School::ToTheRight},
    NamedValue<School>{"guard", School::Guard}, NamedValue<School>{"raw", School::Raw}};

} // namespace bslate::io
