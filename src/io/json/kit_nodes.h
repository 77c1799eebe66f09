#pragma once

#include "io/json/json_reader.h"

#include <array>

/// The kit's JSON nodes, shared by kit files and shoots with an embedded kit. Private to io.
/// `version` is that of the kit being read.
namespace bslate::io {

[[nodiscard]] Kit kitFrom(ObjectReader& node);
[[nodiscard]] Json toJson(const Kit& kit);

// profile_json.cpp
[[nodiscard]] Profile profileFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json profileJson(const Profile& profile);

// camera_json.cpp
[[nodiscard]] Camera cameraFrom(const Json& json, const std::string& place, ReadState& state,
                                int version);
[[nodiscard]] Json cameraJson(const Camera& camera);

// mode_json.cpp: areas, codecs and recording modes of a camera
void readModes(ObjectReader& camera, Camera& result, int version);
void writeModes(Json& camera, const Camera& value);

// constraint_json.cpp
[[nodiscard]] Constraint constraintFrom(const Json& json, const std::string& place,
                                        ReadState& state);
[[nodiscard]] Json constraintJson(const Constraint& constraint);

// curve_json.cpp
[[nodiscard]] Curve curveFrom(ObjectReader& node);
[[nodiscard]] Json curveJson(const Curve& curve);

// recipe_json.cpp
[[nodiscard]] ColourLook colourLookFrom(const Json& json, const std::string& place,
                                        ReadState& state, ExtraKeys& extra);
[[nodiscard]] Json colourLookJson(const ColourLook& look);
[[nodiscard]] SoftHighlight softHighlightFrom(ObjectReader& node);
void putSoftHighlight(Json& node, const SoftHighlight& tone);
[[nodiscard]] Recipe recipeFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json recipeJson(const Recipe& recipe);

// measured_json.cpp
[[nodiscard]] Measurement measurementFrom(const Json& json, const std::string& place,
                                          ReadState& state, ExtraKeys& extra);
[[nodiscard]] Json measurementJson(const Measurement& measured);

// kit_json.cpp
[[nodiscard]] Filter filterFrom(const Json& json, const std::string& place, ReadState& state,
                                bool builtIn);
[[nodiscard]] Json filterJson(const Filter& filter);

// media_json.cpp: cards and batteries; readers, drives and chargers
[[nodiscard]] MemoryCard cardFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json cardJson(const MemoryCard& card);
[[nodiscard]] Battery batteryFrom(const Json& json, const std::string& place, ReadState& state);
[[nodiscard]] Json batteryJson(const Battery& battery);
void readStation(ObjectReader& kit, Kit& result);
void writeStation(Json& kit, const Kit& value);
/// The buses a card form has, for messages.
[[nodiscard]] std::string busesOf(CardForm form);

inline constexpr std::array kIsoNames = {
    NamedValue<IsoBehaviour>{keyOf(IsoBehaviour::Recorded), IsoBehaviour::Recorded},
    NamedValue<IsoBehaviour>{keyOf(IsoBehaviour::Index), IsoBehaviour::Index},
    NamedValue<IsoBehaviour>{keyOf(IsoBehaviour::Note), IsoBehaviour::Note}};
inline constexpr std::array kFormNames = {NamedValue<CardForm>{"sd", CardForm::Sd},
                                          NamedValue<CardForm>{"cfexpress-a", CardForm::CfExpressA},
                                          NamedValue<CardForm>{"cfexpress-b", CardForm::CfExpressB},
                                          NamedValue<CardForm>{"cfexpress-c", CardForm::CfExpressC},
                                          NamedValue<CardForm>{"cfast", CardForm::CFast}};

template<class E, std::size_t N>
std::span<const NamedValue<E>> table(const std::array<NamedValue<E>, N>& names) {
    return names;
}

/// Writes a list under `key`, one converted element each.
template<class Items, class Convert>
void putList(Json& node, const char* key, const Items& items, Convert convert) {
    node[key] = Json::array();
    for (const auto& item : items)
        node[key].push_back(convert(item));
}

} // namespace bslate::io
