#include "core/kit/mode_line.h"

#include "core/base/enumerated.h"

#include "core/base/fresh_id.h"
#include "core/light/optics.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>
#include <sstream>

namespace bslate {
namespace {

constexpr const char* kExpected =
    "a mode such as: UHD long 10-bit 4:2:2 24/25@100 50@150 crop1.5 mute clip29:59 heat20min@35C";

Error refuse(ErrorCode code, std::string got) {
    return {code, {}, {}, std::move(got), kExpected};
}

// A rate that people's decimals do not say is written as a fraction, "2997:125": the slash parts
// rates.
std::string rateWord(FrameRate rate) {
    auto word = print(rate);
    const auto back = parseFrameRate(word);
    if (back && *back == rate)
        return word;
    const auto exact = rate.perSecond;
    return std::to_string(exact.numerator()) + ":" + std::to_string(exact.denominator());
}

Result<FrameRate> rateFrom(std::string word) {
    if (const auto colon = word.find(':'); colon != std::string::npos)
        word[colon] = '/';
    return parseFrameRate(word);
}

struct ModeLineReader {
    ModeLine line;
    bool framed = false;
    bool sensorRate = false;

    bool read(const std::string& word) {
        return flag(word) || format(word) || size(word) || rates(word) || limits(word);
    }

    bool flag(const std::string& word) {
        if (word == "mute")
            line.sound = false;
        else if (word == "mf")
            line.autofocus = false;
        else if (word == "external")
            line.externalPower = true;
        else if (word == "sensorrate")
            sensorRate = true;
        else
            return false;
        return true;
    }

    bool format(const std::string& word) {
        if (const auto standard = codecStandard(word)) {
            line.standard = *standard;
            return true;
        }
        if (word == "raw" || word == "intra" || word == "long") {
            line.gop = word == "raw" ? Gop::Raw : word == "intra" ? Gop::Intra : Gop::Long;
            if (line.gop == Gop::Raw)
                line.chroma = Chroma::Raw;
            return true;
        }
        if (word == "4:2:0" || word == "4:2:2" || word == "4:4:4") {
            line.chroma = word == "4:2:0"   ? Chroma::C420
                          : word == "4:2:2" ? Chroma::C422
                                            : Chroma::C444;
            return true;
        }
        const auto bit = word.find("-bit");
        if (bit == std::string::npos || bit + 4 != word.size())
            return false;
        const auto depth = parseFactor(word.substr(0, bit));
        if (!depth || depth->value() < 8 || depth->value() > 16 ||
            depth->value() != std::floor(depth->value()))
            return false;
        line.depth = BitDepth{static_cast<int>(depth->value())};
        return true;
    }

    bool size(const std::string& word) {
        if (framed)
            return false;
        const auto frame = parseFrameSize(word);
        if (!frame)
            return false;
        line.frame = *frame;
        framed = true;
        return true;
    }

    // "24/25/29.97@100": rates, then megabits a second.
    bool rates(const std::string& word) {
        const auto at = word.find('@');
        if (at == std::string::npos || word.starts_with("heat"))
            return false;
        const auto bits = parseDataRate(word.substr(at + 1) + "Mb/s");
        if (!bits)
            return false;
        std::vector<RateOption> found;
        std::istringstream list(word.substr(0, at));
        for (std::string item; std::getline(list, item, '/');) {
            const auto rate = rateFrom(item);
            const auto same = [&](const RateOption& other) { return other.rate == *rate; };
            if (!rate || std::any_of(line.rates.begin(), line.rates.end(), same) ||
                std::any_of(found.begin(), found.end(), same))
                return false;
            found.push_back({*rate, *bits});
        }
        line.rates.insert(line.rates.end(), found.begin(), found.end());
        return !found.empty();
    }

    bool limits(const std::string& word) {
        if (word.starts_with("crop")) {
            const auto crop = parseFactor(word.substr(4));
            if (crop && crop->value() <= 20)
                line.crop = *crop;
            return crop && crop->value() <= 20;
        }
        if (word.starts_with("clip")) {
            const auto time = parseDuration(word.substr(4));
            if (time)
                line.clipLimit = *time;
            return time.ok();
        }
        if (word.starts_with("heat")) {
            const auto at = word.find('@');
            const auto time = parseDuration(word.substr(4, at == std::string::npos ? at : at - 4));
            const auto air = at == std::string::npos ? Result<Celsius>(Celsius(25))
                                                     : parseCelsius(word.substr(at + 1));
            if (!time || !air)
                return false;
            line.heat.push_back({*air, *time});
            return true;
        }
        return offSpeed(word);
    }

    bool offSpeed(const std::string& word) {
        const auto dash = word.find('-');
        if (!word.starts_with("off") || dash == std::string::npos)
            return false;
        const auto slow = parseFrameRate(word.substr(3, dash - 3));
        const auto fast = parseFrameRate(word.substr(dash + 1));
        if (!slow || !fast || *fast < *slow)
            return false;
        line.offSpeed = OffSpeed{*slow, *fast, false, false};
        return true;
    }
};

bool looksLikeAQuantity(const std::string& word) {
    return word.find('@') != std::string::npos || word.find('/') != std::string::npos ||
           word.starts_with("crop") || word.starts_with("clip") || word.starts_with("heat") ||
           word.starts_with("off") || word.ends_with("-bit");
}

std::string gopWord(Gop gop) {
    return gop == Gop::Raw ? "raw" : gop == Gop::Intra ? "intra" : "long";
}

std::string chromaWord(Chroma chroma) {
    constexpr ByEnum<Chroma, const char*> words{"", "4:2:0", "4:2:2", "4:4:4"};
    return words[chroma];
}

std::string formatName(CodecStandard standard, Gop gop, BitDepth depth, Chroma chroma) {
    std::string name = gopWord(gop);
    if (name.front() >= 'a' && name.front() <= 'z')
        name.front() = static_cast<char>(name.front() - 'a' + 'A');
    name += " " + std::to_string(depth.bits) + "-bit";
    for (const auto& word : {chromaWord(chroma), wordOf(standard)})
        if (!word.empty())
            name += " " + word;
    return name;
}

std::string codecName(const ModeLine& line) {
    return formatName(line.standard, line.gop, line.depth, line.chroma);
}

std::string nameOf(const Codec& codec) {
    return formatName(codec.standard, codec.gop, codec.depth, codec.chroma);
}

std::string areaFor(Camera& camera, Magnification crop) {
    const auto& whole = camera.areas.front();
    for (const auto& area : camera.areas)
        if (std::abs(cropFactor(whole.width, area.width).value() - crop.value()) < 0.005)
            return area.id;
    SensorArea area;
    area.id = freeId(camera.areas, "crop-" + trimmed(crop.value(), 2));
    area.name = print(crop) + " crop";
    area.width = whole.width * (1.0 / crop.value());
    area.height = whole.height * (1.0 / crop.value());
    camera.areas.push_back(area);
    return area.id;
}

std::string codecFor(Camera& camera, const ModeLine& line) {
    for (const auto& codec : camera.codecs)
        if (codec.standard == line.standard && codec.gop == line.gop && codec.depth == line.depth &&
            codec.chroma == line.chroma)
            return codec.id;
    Codec codec;
    codec.name = codecName(line);
    codec.id = freeId(camera.codecs, idFrom(codec.name, "mode"));
    codec.standard = line.standard;
    codec.gop = line.gop;
    codec.depth = line.depth;
    codec.chroma = line.chroma;
    codec.peak = line.gop == Gop::Long ? 1.3 : 1.05; // common practice, no source
    camera.codecs.push_back(codec);
    return camera.codecs.back().id;
}

} // namespace

namespace {

// Takes the name in quotes out of a line; an unclosed quote runs to its end.
std::string takeQuoted(std::string& text) {
    const auto open = text.find('"');
    if (open == std::string::npos)
        return {};
    const auto close = text.find('"', open + 1);
    const auto end = close == std::string::npos ? text.size() : close;
    std::string name = text.substr(open + 1, end - open - 1);
    text.erase(open, end - open + 1);
    return name;
}

// What a mode without a name is called.
std::string plainName(FrameSize frame, const std::string& codec, Magnification crop) {
    std::string name = print(frame) + " " + codec;
    return crop.value() > 1.005 ? name + ", " + print(crop) + " crop" : name;
}

} // namespace

Result<ModeLine> parseModeLine(std::string_view text) {
    ModeLineReader reader;
    std::string rest(text);
    reader.line.name = takeQuoted(rest);
    std::istringstream words{rest};
    for (std::string typed; words >> typed;) {
        const std::string word = lowered(typed);
        if (reader.read(word))
            continue;
        if (looksLikeAQuantity(word))
            return refuse(ErrorCode::OutOfRange, typed);
        reader.line.name += (reader.line.name.empty() ? "" : " ") + typed;
    }
    if (!reader.framed)
        return refuse(ErrorCode::EmptyText, "no frame size");
    if (reader.line.rates.empty())
        return refuse(ErrorCode::EmptyText, "no rate with its bit rate");
    if (reader.sensorRate && !reader.line.offSpeed)
        return refuse(ErrorCode::OutOfRange, "sensorrate without off1-120");
    if (reader.line.offSpeed)
        reader.line.offSpeed->writesAtSensorRate = reader.sensorRate;
    std::sort(reader.line.heat.begin(), reader.line.heat.end(),
              [](const auto& a, const auto& b) { return a.ambient < b.ambient; });
    return reader.line;
}

std::string idFrom(const std::string& name, const std::string& fallback) {
    std::string id;
    for (const char c : lowered(name))
        if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9'))
            id += c;
        else if (!id.empty() && id.back() != '-')
            id += '-';
    while (!id.empty() && id.back() == '-')
        id.pop_back();
    return id.empty() ? fallback : id;
}

ModeLine modeLineOf(const Camera& camera, const RecordingMode& mode) {
    ModeLine line;
    line.frame = mode.frame;
    if (const auto* area = findArea(camera, mode.area))
        line.crop = cropFactor(camera.areas.front().width, area->width);
    if (const auto* codec = findCodec(camera, mode.codec)) {
        line.standard = codec->standard;
        line.gop = codec->gop;
        line.depth = codec->depth;
        line.chroma = codec->chroma;
    }
    if (mode.name != plainName(line.frame, codecName(line), line.crop))
        line.name = mode.name;
    line.rates = mode.rates;
    line.sound = mode.sound;
    line.autofocus = mode.autofocus;
    line.externalPower = mode.externalPower;
    line.clipLimit = mode.clipLimit;
    line.heat = mode.heat;
    line.offSpeed = mode.offSpeed;
    return line;
}

void addMode(Camera& camera, const ModeLine& line) {
    RecordingMode mode;
    mode.area = areaFor(camera, line.crop);
    mode.codec = codecFor(camera, line);
    mode.name = line.name.empty() ? plainName(line.frame, codecName(line), line.crop) : line.name;
    mode.id = freeId(camera.modes, idFrom(mode.name, "mode"));
    mode.frame = line.frame;
    mode.rates = line.rates;
    mode.sound = line.sound;
    mode.autofocus = line.autofocus;
    mode.externalPower = line.externalPower;
    mode.clipLimit = line.clipLimit;
    mode.heat = line.heat;
    mode.offSpeed = line.offSpeed;
    camera.modes.push_back(std::move(mode));
}

std::string lineOf(const Camera& camera, const RecordingMode& mode) {
    const auto* codec = findCodec(camera, mode.codec);
    const auto* area = findArea(camera, mode.area);
    const auto crop = area ? cropFactor(camera.areas.front().width, area->width) : Magnification(1);
    std::string line = spell(mode.frame);
    if (!codec || mode.name != plainName(mode.frame, nameOf(*codec), crop))
        line = "\"" + mode.name + "\" " + line;
    const auto add = [&](const std::string& word) {
        if (!word.empty())
            line += " " + word;
    };
    if (codec) {
        add(wordOf(codec->standard));
        add(gopWord(codec->gop));
        add(std::to_string(codec->depth.bits) + "-bit");
        add(chromaWord(codec->chroma));
    }
    for (std::size_t i = 0; i < mode.rates.size(); ++i) {
        std::string rates = rateWord(mode.rates[i].rate);
        while (i + 1 < mode.rates.size() && mode.rates[i + 1].bitRate == mode.rates[i].bitRate)
            rates += "/" + rateWord(mode.rates[++i].rate);
        add(rates + "@" + exact(mode.rates[i].bitRate.value() / 1e6));
    }
    if (crop.value() > 1.005)
        add("crop" + trimmed(crop.value(), 3));
    add(mode.sound ? "" : "mute");
    add(mode.autofocus ? "" : "mf");
    add(mode.externalPower ? "external" : "");
    const auto packed = [](std::string text) {
        std::erase(text, ' ');
        return text;
    };
    if (mode.clipLimit)
        add("clip" + packed(spellDuration(*mode.clipLimit)));
    for (const auto& heat : mode.heat)
        add("heat" + packed(spellDuration(heat.time)) + "@" + packed(spell(heat.ambient)));
    if (mode.offSpeed) {
        add("off" + print(mode.offSpeed->slowest) + "-" + print(mode.offSpeed->fastest));
        add(mode.offSpeed->writesAtSensorRate ? "sensorrate" : "");
    }
    return line;
}

std::string lineOf(const ModeLine& line) {
    Camera camera;
    camera.areas = {{"full", "", Millimetres(36), Millimetres(20.25), Seconds(0), {}, {}}};
    addMode(camera, line);
    return lineOf(camera, camera.modes.front());
}

} // namespace bslate
