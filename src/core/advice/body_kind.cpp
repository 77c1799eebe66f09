#include "core/advice/body_kind.h"

#include "core/advice/starting.h"
#include "core/kit/camera_answer.h"
#include "core/kit/mode_line.h"

#include <span>

namespace bslate {
namespace {

struct UsualFact {
    CameraFact fact;
    const char* text;
};

// What is usual of a body. Readout, heat and buffer differ too much from one to the next.
struct UsualBody {
    std::span<const UsualFact> facts;
    std::span<const char* const> modes;
    bool fan = false;
};

constexpr UsualFact kPocketFacts[] = {
    {CameraFact::Sensor, "13.2 x 7.4"}, {CameraFact::Bases, "200"},
    {CameraFact::OverGrey, "4.5"},      {CameraFact::Range, "10"},
    {CameraFact::Shutter, "times"},     {CameraFact::Slots, "UHS-I"},
    {CameraFact::Zebra, "5"},           {CameraFact::Draw, "4 W"}};
constexpr const char* kPocketModes[] = {
    "UHD long 8-bit 4:2:0 23.976/24/25/29.97@100 50/59.94@150",
    "1920x1080 long 8-bit 4:2:0 23.976/24/25/29.97@50 50/59.94@60 100/119.88@100 mute mf"};

constexpr UsualFact kHybridFacts[] = {
    {CameraFact::Sensor, "36 x 20.25"}, {CameraFact::Bases, "800"},
    {CameraFact::OverGrey, "6"},        {CameraFact::Range, "12"},
    {CameraFact::Shutter, "times"},     {CameraFact::Slots, "UHS-II, UHS-II"},
    {CameraFact::Zebra, "5"},           {CameraFact::Draw, "7 W"}};
constexpr const char* kHybridModes[] = {
    "UHD long 10-bit 4:2:2 23.976/24/25/29.97@150 50/59.94@200",
    "UHD long 10-bit 4:2:0 100/119.88@280 crop1.5 mute",
    "1920x1080 long 10-bit 4:2:2 23.976/24/25/29.97@50 50/59.94@100 100/119.88@200",
    "UHD intra 10-bit 4:2:2 23.976/24/25@400 29.97@500"};

constexpr UsualFact kCinemaFacts[] = {
    {CameraFact::Sensor, "24.9 x 14"}, {CameraFact::Bases, "800, 3200"},
    {CameraFact::OverGrey, "6.3"},     {CameraFact::Range, "13"},
    {CameraFact::Shutter, "angles"},   {CameraFact::Slots, "CFexpress B, UHS-II"},
    {CameraFact::Zebra, "1"},          {CameraFact::Draw, "20 W"}};
constexpr const char* kCinemaModes[] = {
    "4096x2160 intra 10-bit 4:2:2 23.976/24/25@400 29.97@500 50@800 59.94@960",
    "UHD intra 10-bit 4:2:2 23.976/24/25@375 29.97@470 50@750 59.94@900",
    "4096x2160 raw 12-bit 23.976/24/25@1000 29.97@1250",
    "1920x1080 intra 10-bit 4:2:2 100@440 119.88@530 crop2 mute"};

UsualBody usual(BodyKind kind) {
    switch (kind) {
    case BodyKind::Pocket:
        return {kPocketFacts, kPocketModes};
    case BodyKind::Hybrid:
        return {kHybridFacts, kHybridModes};
    case BodyKind::SmallCinema:
        break;
    }
    return {kCinemaFacts, kCinemaModes, true};
}

} // namespace

Camera cameraOfKind(BodyKind kind, const Kit& kit) {
    auto camera = startingCamera(kit);
    const auto body = usual(kind);
    for (const auto& [fact, text] : body.facts)
        if (auto with = withAnswer(camera, fact, text))
            camera = *std::move(with);
    camera.fan = body.fan;
    camera.modes.clear();
    camera.codecs.clear();
    for (const char* text : body.modes)
        if (const auto line = parseModeLine(text))
            addMode(camera, *line);
    camera.guessed.assign(std::begin(kCameraFacts), std::end(kCameraFacts));
    return camera;
}

} // namespace bslate
