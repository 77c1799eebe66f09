#pragma once

#include "core/kit/camera.h"
#include "core/quantity/spelled.h"

/// The fields of what a camera records: areas of the sensor, codecs and modes.
namespace bslate {

inline constexpr NamedValue<Gop> kGopNames[] = {
    {"raw", Gop::Raw}, {"intra", Gop::Intra}, {"long", Gop::Long}};
inline constexpr NamedValue<Chroma> kChromaNames[] = {{"raw", Chroma::Raw},
                                                      {"4:2:0", Chroma::C420},
                                                      {"4:2:2", Chroma::C422},
                                                      {"4:4:4", Chroma::C444}};
inline constexpr NamedValue<WhiteKept> kWhiteKeptNames[] = {
    {"as-codec", WhiteKept::AsCodec}, {"baked", WhiteKept::Baked}, {"note", WhiteKept::Note}};
inline constexpr NamedValue<CodecStandard> kCodecStandardNames[] = {
    {"", CodecStandard::Untold},           {"h264", CodecStandard::H264},
    {"h265", CodecStandard::H265},         {"h266", CodecStandard::H266},
    {"av1", CodecStandard::Av1},           {"mpeg2", CodecStandard::Mpeg2},
    {"jpeg2000", CodecStandard::Jpeg2000}, {"mezzanine", CodecStandard::Mezzanine},
    {"other", CodecStandard::Other}};
template<>
struct Described<SensorArea> {
    static constexpr auto kName = "area";
    static constexpr auto kFields =
        std::tuple{required("id", &SensorArea::id, form::Text{}, "Id"),
                   required("name", &SensorArea::name, form::Text{}, "Name"),
                   required("width_mm", &SensorArea::width, form::Number{0.5, 200}, "Width"),
                   required("height_mm", &SensorArea::height, form::Number{0.5, 200}, "Height"),
                   written("readout_ms", &SensorArea::readout, form::Milliseconds{0, 1000},
                           "Readout", "one full scan; 0 when not known"),
                   spared("fastest", &SensorArea::fastest, as::kRate, "Fastest full scan")};
};

template<>
struct Described<Codec> {
    static constexpr auto kName = "codec";
    static constexpr auto kFields = std::tuple{
        required("id", &Codec::id, form::Text{}, "Id"),
        required("name", &Codec::name, form::Text{}, "Name"),
        written("container", &Codec::container, form::Text{}, "Container"),
        spared("standard", &Codec::standard, form::Named<CodecStandard>{kCodecStandardNames},
               "Standard", "the pictures are coded by; empty: not told"),
        required("gop", &Codec::gop, form::Named<Gop>{kGopNames}, "Group of pictures"),
        required(
            "bits", [](auto& codec) -> auto& { return codec.depth.bits; }, form::Whole{8, 16},
            "Bits"),
        required("chroma", &Codec::chroma, form::Named<Chroma>{kChromaNames}, "Chroma"),
        written("rates", &Codec::rates, form::List{as::kRate}, "Rates",
                "the container has; empty: all"),
        written("peak", &Codec::peak, form::Number{1, 3}, "Peak", "over nominal bit rate"),
        spared("segment", &Codec::segment, as::kSize, "Segment", "files are split at this size"),
        spared("white", &Codec::white, form::Named<WhiteKept>{kWhiteKeptNames}, "White",
               "baked into the picture or a note; as-codec: a note in raw", 6)};
};

template<>
struct Described<RateOption> {
    static constexpr auto kName = "rate";
    static constexpr auto kFields = std::tuple{
        required("rate", &RateOption::rate, as::kRate, "Frame rate"),
        required("bit_rate", &RateOption::bitRate, as::kBitRate, "Bit rate", "with sound")};
};

template<>
struct Described<HeatLimit> {
    static constexpr auto kName = "heat";
    static constexpr auto kFields =
        std::tuple{required("ambient", &HeatLimit::ambient, as::kCelsius, "Air"),
                   required("time", &HeatLimit::time, as::kDuration, "Time", "until it stops")};
};

template<>
struct Described<OffSpeed> {
    static constexpr auto kName = "off_speed";
    static constexpr auto kFields =
        std::tuple{required("slowest", &OffSpeed::slowest, as::kRate, "Slowest"),
                   required("fastest", &OffSpeed::fastest, as::kRate, "Fastest"),
                   written("writes_at_sensor_rate", &OffSpeed::writesAtSensorRate, form::Flag{},
                           "Writes at the sensor's rate", "else at that of the delivery rate"),
                   written("sound", &OffSpeed::sound, form::Flag{}, "Sound")};
};

template<>
struct Described<RecordingMode> {
    static constexpr auto kName = "mode";
    static constexpr auto kFields = std::tuple{
        required("id", &RecordingMode::id, form::Text{}, "Id"),
        required("name", &RecordingMode::name, form::Text{}, "Name"),
        required("area", &RecordingMode::area, form::Text{}, "Sensor area", "id"),
        required("codec", &RecordingMode::codec, form::Text{}, "Codec", "id"),
        required("frame", &RecordingMode::frame, as::kFrame, "Frame"),
        required("rates", &RecordingMode::rates, form::List{form::Object<RateOption>{}}, "Rates",
                 "at least one"),
        spared("profiles", &RecordingMode::profiles, form::List{form::Text{}}, "Profiles",
               "ids; empty: all of the camera"),
        spared("slots", &RecordingMode::slotIds, form::List{form::Text{}}, "Slots",
               "ids; empty: all"),
        written("sound", &RecordingMode::sound, form::Flag{}, "Sound"),
        written("autofocus", &RecordingMode::autofocus, form::Flag{}, "Autofocus"),
        spared("external_power", &RecordingMode::externalPower, form::Flag{}, "External power",
               "it refuses to start on the battery"),
        spared("proxy", &RecordingMode::proxy, form::Flag{}, "Proxy", "can be written beside it"),
        spared("clip_limit", &RecordingMode::clipLimit, as::kDuration, "Clip limit"),
        spared("heat", &RecordingMode::heat, form::List{form::Object<HeatLimit>{}}, "Heat",
               "rising in air temperature"),
        spared("off_speed", &RecordingMode::offSpeed, form::Object<OffSpeed>{}, "Off-speed")};
    static std::optional<FieldFault> check(const RecordingMode& mode) {
        if (mode.rates.empty())
            return FieldFault{"rates", {}, "at least one rate with its bit rate"};
        return std::nullopt;
    }
};

} // namespace bslate
