#include "io/json/region_messages.h"

#include <nlohmann/json.hpp>

#include <cmath>

namespace bslate::io {
namespace {

using RegionJson = nlohmann::json;

Error noRegionMessage() {
    return {
        ErrorCode::WrongFormat, {}, {}, {}, "a message between the program and its clip reader"};
}

bool isFlag(const RegionJson& json, const char* key) {
    return json.contains(key) && json[key].is_boolean();
}

} // namespace

std::string regionText(const RegionCodes& codes) {
    auto frames = RegionJson::array();
    for (const auto& frame : codes.frames)
        frames.push_back(
            {frame.seconds, frame.means[0], frame.means[1], frame.means[2], frame.noise});
    return RegionJson{{"bits", codes.depth.bits},
                      {"full", codes.full},
                      {"wide", codes.wide},
                      {"whole", codes.whole},
                      {"frames", frames}}
               .dump() +
           "\n";
}

Result<RegionCodes> readRegionText(const std::string& text) {
    const auto json = RegionJson::parse(text, nullptr, false);
    if (!json.is_object())
        return noRegionMessage();
    if (json.contains("expected")) {
        const auto word = [&](const char* key) {
            return json.contains(key) && json[key].is_string() ? json[key].get<std::string>()
                                                               : std::string();
        };
        return Error{ErrorCode::WrongFormat, {}, {}, word("got"), word("expected")};
    }
    if (!isFlag(json, "full") || !isFlag(json, "wide") || !isFlag(json, "whole") ||
        !json.contains("bits") || !json["bits"].is_number_integer() || !json.contains("frames") ||
        !json["frames"].is_array() || json["frames"].size() > kMostRegionFrames)
        return noRegionMessage();
    RegionCodes codes{
        BitDepth{json["bits"].get<int>()}, json["full"], json["wide"], json["whole"], {}};
    if (codes.depth.bits < 8 || codes.depth.bits > 16)
        return noRegionMessage();
    for (const auto& row : json["frames"]) {
        const bool numbers = row.is_array() && row.size() == 5 &&
                             std::all_of(row.begin(), row.end(), [](const RegionJson& one) {
                                 return one.is_number() && std::isfinite(one.get<double>());
                             });
        if (!numbers)
            return noRegionMessage();
        codes.frames.push_back({row[0], {row[1], row[2], row[3]}, row[4]});
    }
    return codes;
}

} // namespace bslate::io
