#include "io/wire/coding_messages.h"

#include <nlohmann/json.hpp>

#include <cstring>

namespace bslate::io {
namespace {

using CodingJson = nlohmann::json;

Error noCodingMessage() {
    return {ErrorCode::WrongFormat, {}, {}, {}, "a message between the program and its encoder"};
}

template<class Value>
bool taken(const CodingJson& object, const char* key, Value& into) {
    const auto at = object.find(key);
    if (at == object.end() || !at->is_number())
        return false;
    into = at->get<Value>();
    return true;
}

template<class Enum>
bool takenAs(const CodingJson& object, const char* key, Enum& into, int kinds) {
    int value = -1;
    if (!taken(object, key, value) || value < 0 || value >= kinds)
        return false;
    into = static_cast<Enum>(value);
    return true;
}

bool isSound(const CodingTask& task) {
    const auto side = [](int pixels) { return pixels >= 1 && pixels <= 16384; };
    return side(task.size.width) && side(task.size.height) && task.depth.bits >= 8 &&
           task.depth.bits <= 16 && task.frames >= 1 && task.frames <= 1000 && task.shown >= 0 &&
           task.shown < task.frames && task.bitRate > DataRate(0);
}

} // namespace

std::string codingText(const CodingTask& task) {
    return CodingJson{
               {"width", task.size.width},
               {"height", task.size.height},
               {"rate", {task.rate.perSecond.numerator(), task.rate.perSecond.denominator()}},
               {"bits", task.depth.bits},
               {"range", static_cast<int>(task.range)},
               {"chroma", static_cast<int>(task.chroma)},
               {"gop", static_cast<int>(task.gop)},
               {"standard", static_cast<int>(task.standard)},
               {"bit_rate", task.bitRate.value()},
               {"peak", task.peak},
               {"frames", task.frames},
               {"shown", task.shown}}
               .dump() +
           "\n";
}

Result<CodingTask> readCodingText(const std::string& line) {
    const auto object = CodingJson::parse(line, nullptr, false);
    CodingTask task;
    double bits = 0;
    const bool whole =
        object.is_object() && taken(object, "width", task.size.width) &&
        taken(object, "height", task.size.height) && taken(object, "bits", task.depth.bits) &&
        takenAs(object, "range", task.range, 2) && takenAs(object, "chroma", task.chroma, 4) &&
        takenAs(object, "gop", task.gop, 3) &&
        takenAs(object, "standard", task.standard, static_cast<int>(CodecStandard::Other) + 1) &&
        taken(object, "bit_rate", bits) && taken(object, "peak", task.peak) &&
        taken(object, "frames", task.frames) && taken(object, "shown", task.shown);
    const auto rate = whole ? object.find("rate") : object.end();
    if (!whole || rate == object.end() || !rate->is_array() || rate->size() != 2 ||
        !(*rate)[0].is_number_integer() || !(*rate)[1].is_number_integer() ||
        (*rate)[0].get<std::int64_t>() < 1 || (*rate)[1].get<std::int64_t>() < 1)
        return noCodingMessage();
    task.rate = FrameRate{Rational((*rate)[0].get<std::int64_t>(), (*rate)[1].get<std::int64_t>())};
    task.bitRate = DataRate(bits);
    return isSound(task) ? Result<CodingTask>(task) : Result<CodingTask>(noCodingMessage());
}

std::string codedText(const Coded& coded) {
    auto sizes = CodingJson::array();
    for (const auto size : coded.sizes)
        sizes.push_back(size.value());
    std::string text = CodingJson{{"standard", coded.standard}, {"sizes", sizes}}.dump() + "\n";
    for (const auto& plane : coded.shown.plane)
        text.append(reinterpret_cast<const char*>(plane.data()),
                    plane.size() * sizeof(std::uint16_t));
    return text;
}

Result<Coded> readCodedText(const std::string& text, const CodingTask& task) {
    const auto end = text.find('\n');
    if (end == std::string::npos || end > 90'000)
        return noCodingMessage();
    const auto head =
        CodingJson::parse(text.begin(), text.begin() + static_cast<long>(end), nullptr, false);
    if (!head.is_object())
        return noCodingMessage();
    const auto word = [&](const char* key) {
        const auto at = head.find(key);
        return at != head.end() && at->is_string() ? at->get<std::string>() : std::string();
    };
    Coded coded;
    coded.standard = word("standard");
    coded.shown = {task.size, task.depth, task.range, task.chroma, {}};
    const auto sizes = head.find("sizes");
    if (sizes == head.end() || !sizes->is_array())
        return noCodingMessage();
    for (const auto& size : *sizes)
        coded.sizes.emplace_back(size.is_number() ? size.get<double>() : 0);
    const std::string_view bytes = std::string_view(text).substr(end + 1);
    std::size_t at = 0;
    for (std::size_t p = 0; p < 3; ++p) {
        auto& plane = coded.shown.plane[p];
        plane.resize(p == 0 ? task.size.pixels() : chromaSize(task.size, task.chroma).pixels());
        const std::size_t size = plane.size() * sizeof(std::uint16_t);
        if (bytes.size() < at + size)
            return noCodingMessage();
        std::memcpy(plane.data(), bytes.data() + at, size);
        at += size;
    }
    return coded;
}

} // namespace bslate::io
