#include "io/wire/error_message.h"

#include <nlohmann/json.hpp>

namespace bslate::io {
namespace {

constexpr std::string_view kBegins = "{\"error\":"; // as it is written below
constexpr std::size_t kLongest = 10'000;

} // namespace

std::string errorText(const Error& error) {
    return nlohmann::json{{"error",
                           {{"code", static_cast<int>(error.code)},
                            {"file", shortened(error.file, 1000)},
                            {"place", shortened(error.place, 1000)},
                            {"got", shortened(error.got, 1000)},
                            {"expected", shortened(error.expected, 2000)}}}}
               .dump(-1, ' ', false, nlohmann::json::error_handler_t::replace) +
           "\n";
}

std::optional<Error> errorIn(std::string_view answer) {
    if (!answer.starts_with(kBegins))
        return std::nullopt;
    const auto json = nlohmann::json::parse(answer.substr(0, kLongest), nullptr, false);
    const auto* said = json.is_object() && json["error"].is_object() ? &json["error"] : nullptr;
    const auto word = [&](const char* key) {
        return said && said->contains(key) && (*said)[key].is_string()
                   ? (*said)[key].get<std::string>()
                   : std::string();
    };
    Error error{ErrorCode::WrongFormat, word("file"), word("place"), word("got"), word("expected")};
    if (said && said->contains("code") && (*said)["code"].is_number_integer()) {
        const auto code = (*said)["code"].get<std::int64_t>();
        if (code >= 0 && code <= static_cast<int>(ErrorCode::Usage))
            error.code = static_cast<ErrorCode>(code);
    }
    if (error.expected.empty())
        error.expected = "an answer of the program's own helper";
    return error;
}

} // namespace bslate::io
