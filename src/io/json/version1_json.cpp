// Version 1 of the kit: a mode had bits, a list of rates and one bit rate; a camera one sensor size
// and a number of banks.
#include "io/json/custom_json.h"

namespace bslate::io::custom {
namespace {

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

void readOlder(ObjectReader& node, Camera& camera) {
    if (node.state().version > 1)
        return;
    readVersion1(node, camera);
    camera.banks = {node.wholeOr("banks", 0, 100, 0), 0};
}

} // namespace bslate::io::custom
