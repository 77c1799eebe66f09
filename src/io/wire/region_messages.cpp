#include "io/wire/region_messages.h"

#include "core/quantity/scan.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <sstream>

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

namespace {

RegionJson jsonOf(const RegionCodes& codes) {
    auto frames = RegionJson::array();
    for (const auto& frame : codes.frames)
        frames.push_back({frame.seconds, frame.means[0], frame.means[1], frame.means[2],
                          frame.noise, frame.strips});
    return {{"bits", codes.depth.bits}, {"full", codes.full},     {"wide", codes.wide},
            {"whole", codes.whole},     {"counts", codes.counts}, {"frames", frames}};
}

bool areNumbers(const RegionJson& row, std::size_t count) {
    return std::all_of(
        row.begin(), row.begin() + static_cast<std::ptrdiff_t>(count),
        [](const RegionJson& one) { return one.is_number() && std::isfinite(one.get<double>()); });
}

bool readFrame(const RegionJson& row, RegionCodes& codes) {
    if (!row.is_array() || row.size() != 6 || !areNumbers(row, 5) || !row[5].is_array() ||
        row[5].size() > kRegionStrips * kRegionColumns || row[5].size() % kRegionColumns != 0 ||
        !areNumbers(row[5], row[5].size()))
        return false;
    codes.frames.push_back({row[0], {row[1], row[2], row[3]}, row[4], row[5]});
    return true;
}

bool readCounts(const RegionJson& json, RegionCodes& codes) {
    if (!json.is_array() || json.size() != 3)
        return false;
    for (std::size_t c = 0; c < 3; ++c) {
        if (!json[c].is_array() || (!json[c].empty() && json[c].size() != kCountSteps))
            return false;
        for (const auto& one : json[c]) {
            if (!one.is_number_unsigned() || one.get<std::uint64_t>() > 2000000000)
                return false;
            codes.counts[c].push_back(one.get<int>());
        }
    }
    return true;
}

std::optional<RegionCodes> codesFrom(const RegionJson& json) {
    if (!json.is_object() || !isFlag(json, "full") || !isFlag(json, "wide") ||
        !isFlag(json, "whole") || !json.contains("bits") || !json["bits"].is_number_integer() ||
        !json.contains("frames") || !json["frames"].is_array() ||
        json["frames"].size() > kMostRegionFrames || !json.contains("counts"))
        return std::nullopt;
    RegionCodes codes;
    codes.depth = BitDepth{json["bits"].get<int>()};
    codes.full = json["full"];
    codes.wide = json["wide"];
    codes.whole = json["whole"];
    if (codes.depth.bits < 8 || codes.depth.bits > 16 || !readCounts(json["counts"], codes))
        return std::nullopt;
    for (const auto& row : json["frames"])
        if (!readFrame(row, codes))
            return std::nullopt;
    return codes;
}

} // namespace

// Shares as whole billionths: the same in every locale.
std::string questionText(const RegionQuestion& question) {
    std::string text = std::to_string(question.frames) + (question.strips ? ",1" : ",0");
    for (const auto& area : question.areas)
        for (const double part : {area.x, area.y, area.width, area.height})
            text += "," + std::to_string(std::llround(part * 1e9));
    return text;
}

std::optional<RegionQuestion> readQuestion(const std::string& text) {
    std::vector<long long> numbers;
    std::istringstream list(text);
    for (std::string item; std::getline(list, item, ',');) {
        if (item.empty() || item.size() > 12 ||
            !std::all_of(item.begin(), item.end(), [](char c) { return isDigit(c); }))
            return std::nullopt;
        numbers.push_back(std::stoll(item));
    }
    if (numbers.size() < 6 || (numbers.size() - 2) % 4 != 0 ||
        (numbers.size() - 2) / 4 > kMostRegions)
        return std::nullopt;
    RegionQuestion question;
    question.frames = std::min(static_cast<std::size_t>(numbers[0]), kMostRegionFrames);
    question.strips = numbers[1] != 0;
    const auto share = [&](std::size_t at) {
        return std::clamp(static_cast<double>(numbers[at]) / 1e9, 0.0, 1.0);
    };
    for (std::size_t i = 2; i < numbers.size(); i += 4)
        question.areas.push_back({share(i), share(i + 1), share(i + 2), share(i + 3)});
    return question;
}

std::string regionText(const std::vector<RegionCodes>& regions) {
    auto list = RegionJson::array();
    for (const auto& codes : regions)
        list.push_back(jsonOf(codes));
    return RegionJson{{"regions", list}}.dump() + "\n";
}

Result<std::vector<RegionCodes>> readRegionText(const std::string& text) {
    const auto json = RegionJson::parse(text, nullptr, false);
    if (!json.is_object())
        return noRegionMessage();
    if (!json.contains("regions") || !json["regions"].is_array() || json["regions"].empty() ||
        json["regions"].size() > kMostRegions)
        return noRegionMessage();
    std::vector<RegionCodes> regions;
    for (const auto& one : json["regions"]) {
        auto codes = codesFrom(one);
        if (!codes)
            return noRegionMessage();
        regions.push_back(*std::move(codes));
    }
    return regions;
}

} // namespace bslate::io
