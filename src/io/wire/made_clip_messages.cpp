#include "io/wire/made_clip_messages.h"

#include "io/wire/coding_messages.h"

#include <nlohmann/json.hpp>

namespace bslate::io {
namespace {

using MadeJson = nlohmann::json;

Error noMadeClip() {
    return {ErrorCode::WrongFormat, {}, {}, {}, "a message between the program and its encoder"};
}

} // namespace

std::string madeClipText(const MadeClipTask& task) {
    const auto& code = task.timecode;
    return codingText(task.coding) +
           MadeJson{{"tone", task.tone ? MadeJson(task.tone->value()) : MadeJson(nullptr)},
                    {"timecode", {code.hours, code.minutes, code.seconds, code.frames}},
                    {"drop", code.drop},
                    {"notes", task.notes}}
               .dump(-1, ' ', false, MadeJson::error_handler_t::replace) +
           "\n";
}

Result<MadeClipTask> readMadeClipText(const std::string& coding, const std::string& besides) {
    const auto task = readCodingText(coding);
    if (!task)
        return task.error();
    const auto json = MadeJson::parse(besides, nullptr, false);
    MadeClipTask made{*task, std::nullopt, {}, {}};
    if (!json.is_object() || !json.contains("tone") || !json.contains("timecode") ||
        !json.contains("drop") || !json.contains("notes"))
        return noMadeClip();
    const auto &tone = json["tone"], &code = json["timecode"], &notes = json["notes"];
    const bool numbers = code.is_array() && code.size() == 4 &&
                         std::all_of(code.begin(), code.end(), [](const MadeJson& part) {
                             return part.is_number_integer() && part >= 0 && part <= 999;
                         });
    if (!numbers || !json["drop"].is_boolean() || !notes.is_object() ||
        !(tone.is_null() || tone.is_number()))
        return noMadeClip();
    if (tone.is_number())
        made.tone = Decibels(std::min(0.0, tone.get<double>()));
    made.timecode = {code[0].get<int>(), code[1].get<int>(), code[2].get<int>(), code[3].get<int>(),
                     json["drop"].get<bool>()};
    for (const auto& [key, value] : notes.items())
        if (value.is_string())
            made.notes.emplace(key, value.get<std::string>());
    return made;
}

Result<std::string> readMadeClip(std::string answer) {
    if (answer.starts_with("F"))
        return std::move(answer.erase(0, 1));
    return noMadeClip();
}

} // namespace bslate::io
