#include "io/wire/still_messages.h"

#include <nlohmann/json.hpp>

#include <cstring>
#include <sstream>

namespace bslate::io {
namespace {

using StillJson = nlohmann::json;

template<class Value>
void put(std::ostream& out, const Planes<Value>& planes) {
    for (const auto& plane : planes.plane)
        out.write(reinterpret_cast<const char*>(plane.data()),
                  static_cast<std::streamsize>(plane.size() * sizeof(Value)));
}

template<class Value>
bool take(std::string_view bytes, Planes<Value>& planes) {
    const std::size_t each = planes.size.pixels() * sizeof(Value);
    if (bytes.size() != 3 * each)
        return false;
    for (std::size_t c = 0; c < 3; ++c)
        std::memcpy(planes.plane[c].data(), bytes.data() + c * each, each);
    return true;
}

Error notOurs() {
    return {ErrorCode::WrongFormat, {}, {}, {}, "an answer of the helper that opens stills"};
}

} // namespace

void putStill(std::ostream& out, const Still& still) {
    out << StillJson{{"width", still.size().width},
                     {"height", still.size().height},
                     {"bits", still.bits},
                     {"step", still.step},
                     {"of_sensor", still.ofSensor}}
               .dump()
        << "\n";
    if (still.bits > 0)
        put(out, still.codes);
    else
        put(out, still.light);
}

std::string stillText(const Still& still) {
    std::ostringstream text;
    putStill(text, still);
    return std::move(text).str();
}

Result<Still> readStillText(const std::string& text) {
    const auto end = text.find('\n');
    if (end == std::string::npos || end > 4000)
        return notOurs();
    const auto head =
        StillJson::parse(text.begin(), text.begin() + static_cast<long>(end), nullptr, false);
    if (!head.is_object())
        return notOurs();
    const auto number = [&](const char* key) {
        return head.contains(key) && head[key].is_number_integer() ? head[key].get<int>() : -1;
    };
    const PictureSize size{number("width"), number("height")};
    const int bits = number("bits");
    const bool known = bits == 0 || bits == 8 || bits == 10 || bits == 12 || bits == 16;
    if (size.width < 1 || size.height < 1 || size.width > kLongestSide ||
        size.height > kLongestSide || size.pixels() > kMostKeptPixels || number("step") < 1 ||
        !known)
        return notOurs();
    Still still;
    still.bits = bits;
    still.step = number("step");
    still.ofSensor = head.contains("of_sensor") && head["of_sensor"] == true;
    const std::string_view bytes = std::string_view(text).substr(end + 1);
    if (bits > 0)
        still.codes = Planes<std::uint16_t>(size);
    else
        still.light = Image(size);
    const bool whole = bits > 0 ? take(bytes, still.codes) : take(bytes, still.light);
    return whole ? Result<Still>(std::move(still)) : Result<Still>(notOurs());
}

} // namespace bslate::io
