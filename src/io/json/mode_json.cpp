#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"

#include <cmath>

namespace bslate::io {
namespace {

constexpr std::array kGopNames = {NamedValue<Gop>{"raw", Gop::Raw},
                                  NamedValue<Gop>{"intra", Gop::Intra},
                                  NamedValue<Gop>{"long", Gop::Long}};
constexpr std::array kChromaNames = {
    NamedValue<Chroma>{"raw", Chroma::Raw}, NamedValue<Chroma>{"4:2:0", Chroma::C420},
    NamedValue<Chroma>{"4:2:2", Chroma::C422}, NamedValue<Chroma>{"4:4:4", Chroma::C444}};

SensorArea areaFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    SensorArea area;
    area.id = node.text("id");
    area.name = node.text("name");
    area.width = Millimetres(node.number("width_mm", 0.5, 200));
    area.height = Millimetres(node.number("height_mm", 0.5, 200));
    area.readout = Seconds(node.numberOr("readout_ms", 0, 1000, 0) / 1000.0);
    if (node.has("fastest"))
        area.fastest = node.quantity("fastest", parseFrameRate);
    area.extra = node.extra();
    return area;
}

// The number of milliseconds that reads back as this time to the last bit.
double millisecondsOf(Seconds time) {
    const double plain = std::round(time.value() * 1e12) / 1e9; // as somebody would have typed it
    return plain / 1000.0 == time.value() ? plain : time.value() * 1000.0;
}

Json areaJson(const SensorArea& area) {
    Json node = {{"id", area.id},
                 {"name", area.name},
                 {"width_mm", area.width.value()},
                 {"height_mm", area.height.value()},
                 {"readout_ms", millisecondsOf(area.readout)}};
    if (area.fastest)
        node["fastest"] = spell(*area.fastest);
    appendExtra(node, area.extra);
    return node;
}

Codec codecFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Codec codec;
    codec.id = node.text("id");
    codec.name = node.text("name");
    codec.container = node.textOr("container", {});
    codec.gop = node.oneOf("gop", table(kGopNames));
    codec.depth = BitDepth{node.whole("bits", 8, 16)};
    codec.chroma = node.oneOf("chroma", table(kChromaNames));
    codec.rates = node.quantities("rates", parseFrameRate);
    codec.peak = node.numberOr("peak", 1, 3, 1);
    if (node.has("segment"))
        codec.segment = node.quantity("segment", parseDataSize);
    codec.extra = node.extra();
    return codec;
}

Json codecJson(const Codec& codec) {
    Json node = {{"id", codec.id},
                 {"name", codec.name},
                 {"container", codec.container},
                 {"gop", nameIn(table(kGopNames), codec.gop)},
                 {"bits", codec.depth.bits},
                 {"chroma", nameIn(table(kChromaNames), codec.chroma)}};
    putList(node, "rates", codec.rates, [](FrameRate rate) { return spell(rate); });
    node["peak"] = codec.peak;
    if (codec.segment)
        node["segment"] = spell(*codec.segment);
    appendExtra(node, codec.extra);
    return node;
}

RateOption rateFrom(ObjectReader& node) {
    return {node.quantity("rate", parseFrameRate), node.quantity("bit_rate", parseDataRate)};
}

Json rateJson(const RateOption& option) {
    return {{"rate", spell(option.rate)}, {"bit_rate", spell(option.bitRate)}};
}

HeatLimit heatFrom(ObjectReader& node) {
    return {node.quantity("ambient", parseCelsius), node.quantity("time", parseDuration)};
}

Json heatJson(const HeatLimit& limit) {
    return {{"ambient", spell(limit.ambient)}, {"time", spellDuration(limit.time)}};
}

RecordingMode modeFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    RecordingMode mode;
    mode.id = node.text("id");
    mode.name = node.text("name");
    mode.area = node.text("area");
    mode.codec = node.text("codec");
    mode.frame = node.quantity("frame", parseFrameSize);
    mode.rates = node.keptList<RateOption>("rates", rateFrom, rateJson);
    mode.profiles = node.texts("profiles");
    mode.slotIds = node.texts("slots");
    mode.sound = node.flagOr("sound", true);
    mode.autofocus = node.flagOr("autofocus", true);
    mode.externalPower = node.flagOr("external_power", false);
    mode.proxy = node.flagOr("proxy", false);
    if (node.has("clip_limit"))
        mode.clipLimit = node.quantity("clip_limit", parseDuration);
    mode.heat = node.keptList<HeatLimit>("heat", heatFrom, heatJson);
    if (node.has("off_speed")) {
        ObjectReader range(node.child("off_speed"), node.pointer("off_speed"), state);
        mode.offSpeed = OffSpeed{
            range.quantity("slowest", parseFrameRate), range.quantity("fastest", parseFrameRate),
            range.flagOr("writes_at_sensor_rate", false), range.flagOr("sound", false)};
        node.keep("off_speed", range.extra());
    }
    mode.extra = node.extra();
    if (mode.rates.empty())
        node.fail(ErrorCode::OutOfRange, "rates", {}, "at least one rate with its bit rate");
    return mode;
}

Json modeJson(const RecordingMode& mode) {
    Json node = {{"id", mode.id},
                 {"name", mode.name},
                 {"area", mode.area},
                 {"codec", mode.codec},
                 {"frame", spell(mode.frame)}};
    putList(node, "rates", mode.rates, rateJson);
    if (!mode.profiles.empty())
        node["profiles"] = mode.profiles;
    if (!mode.slotIds.empty())
        node["slots"] = mode.slotIds;
    node["sound"] = mode.sound;
    node["autofocus"] = mode.autofocus;
    if (mode.externalPower)
        node["external_power"] = true;
    if (mode.proxy)
        node["proxy"] = true;
    if (mode.clipLimit)
        node["clip_limit"] = spellDuration(*mode.clipLimit);
    if (!mode.heat.empty())
        putList(node, "heat", mode.heat, heatJson);
    if (mode.offSpeed)
        node["off_speed"] = {{"slowest", spell(mode.offSpeed->slowest)},
                             {"fastest", spell(mode.offSpeed->fastest)},
                             {"writes_at_sensor_rate", mode.offSpeed->writesAtSensorRate},
                             {"sound", mode.offSpeed->sound}};
    appendExtra(node, mode.extra);
    return node;
}

// ---- version 1: a mode had bits, a list of rates and one bit rate; a camera one sensor size

constexpr FrameSize kVersion1Frame{3840, 2160};

RecordingMode modeFromVersion1(const Json& json, const std::string& place, ReadState& state,
                               Camera& camera) {
    ObjectReader node(json, place, state);
    RecordingMode mode;
    mode.id = node.text("id");
    mode.name = node.text("name");
    mode.area = "full";
    mode.codec = mode.id;
    mode.frame = kVersion1Frame;
    Codec codec;
    codec.id = mode.id;
    codec.name = mode.name;
    codec.depth = BitDepth{node.whole("bits", 8, 16)};
    const DataRate bitRate = node.quantityOr("bit_rate", parseDataRate, DataRate(100e6));
    for (const auto rate : node.quantities("rates", parseFrameRate))
        mode.rates.push_back({rate, bitRate});
    if (mode.rates.empty())
        mode.rates.push_back({FrameRate{}, bitRate});
    mode.profiles = node.texts("profiles");
    mode.extra = node.extra();
    camera.codecs.push_back(codec);
    return mode;
}

void readVersion1(ObjectReader& node, Camera& camera) {
    SensorArea whole;
    whole.id = "full";
    whole.name = "Whole sensor";
    whole.width = Millimetres(node.number("sensor_width_mm", 0.5, 200));
    whole.height = Millimetres(node.number("sensor_height_mm", 0.5, 200));
    camera.areas = {whole};
    camera.modes = node.list<RecordingMode>("modes", [&](const Json& item, const std::string& at) {
        return modeFromVersion1(item, at, node.state(), camera);
    });
}

} // namespace

void readModes(ObjectReader& node, Camera& camera, int version) {
    auto& state = node.state();
    if (version == 1)
        return readVersion1(node, camera);
    camera.areas = node.list<SensorArea>("areas", [&](const Json& item, const std::string& at) {
        return areaFrom(item, at, state);
    });
    camera.codecs = node.list<Codec>("codecs", [&](const Json& item, const std::string& at) {
        return codecFrom(item, at, state);
    });
    camera.modes = node.list<RecordingMode>("modes", [&](const Json& item, const std::string& at) {
        return modeFrom(item, at, state);
    });
    if (camera.areas.empty())
        node.fail(ErrorCode::OutOfRange, "areas", {}, "at least one sensor area");
}

void writeModes(Json& node, const Camera& camera) {
    putList(node, "areas", camera.areas, areaJson);
    putList(node, "codecs", camera.codecs, codecJson);
    putList(node, "modes", camera.modes, modeJson);
}

} // namespace bslate::io
