#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::array kChannelNames = {"red", "green", "blue"};

std::optional<Stops> stopsOr(ObjectReader& node, const char* key) {
    if (!node.has(key))
        return std::nullopt;
    return Stops(node.number(key, -40, 40));
}

SeriesReading readingFrom(ObjectReader& node) {
    SeriesReading reading;
    reading.stops = Stops(node.number("stops", -40, 40));
    for (std::size_t c = 0; c < 3; ++c)
        reading.rgb[c] = Signal(node.number(kChannelNames[c], -1, 2));
    if (node.has("noise"))
        reading.noise = Signal(node.number("noise", 0, 1));
    return reading;
}

Json readingJson(const SeriesReading& reading) {
    Json node = {{"stops", reading.stops.value()}};
    for (std::size_t c = 0; c < 3; ++c)
        node[kChannelNames[c]] = reading.rgb[c].value();
    if (reading.noise)
        node["noise"] = reading.noise->value();
    return node;
}

} // namespace

Measurement measurementFrom(const Json& json, const std::string& place, ReadState& state,
                            ExtraKeys& extra) {
    ObjectReader node(json, place, state);
    Measurement measured;
    measured.camera = node.text("camera");
    measured.nominal = node.text("nominal");
    measured.base = node.quantity("base", parseExposureIndex);
    measured.note = node.textOr("note", {});
    if (node.has("clip_stops")) {
        ObjectReader clip(node.child("clip_stops"), node.pointer("clip_stops"), state);
        for (std::size_t c = 0; c < 3; ++c)
            measured.clip[c] = stopsOr(clip, kChannelNames[c]);
        node.keep("clip_stops", clip.extra());
    }
    measured.noiseFloor = stopsOr(node, "noise_floor_stops");
    measured.snr = node.numberOr("snr", 0.1, 100, 2);
    measured.shift = Stops(node.numberOr("shift_stops", -10, 10, 0));
    measured.flare = SceneLinear(node.numberOr("flare", 0, 1, 0));
    measured.rms = Signal(node.numberOr("rms", 0, 1, 0));
    measured.readings = node.keptList<SeriesReading>("readings", readingFrom, readingJson);
    if (measured.readings.size() > kMostReadings)
        node.fail(ErrorCode::OutOfRange, "readings", std::to_string(measured.readings.size()),
                  "at most " + std::to_string(kMostReadings) + " readings");
    extra = node.extra();
    return measured;
}

Json measurementJson(const Measurement& measured) {
    Json node = {{"camera", measured.camera},
                 {"nominal", measured.nominal},
                 {"base", spell(measured.base)},
                 {"note", measured.note}};
    node["clip_stops"] = Json::object();
    for (std::size_t c = 0; c < 3; ++c)
        if (measured.clip[c])
            node["clip_stops"][kChannelNames[c]] = measured.clip[c]->value();
    if (measured.noiseFloor)
        node["noise_floor_stops"] = measured.noiseFloor->value();
    node.update({{"snr", measured.snr},
                 {"shift_stops", measured.shift.value()},
                 {"flare", measured.flare.value()},
                 {"rms", measured.rms.value()}});
    putList(node, "readings", measured.readings, readingJson);
    return node;
}

} // namespace bslate::io
