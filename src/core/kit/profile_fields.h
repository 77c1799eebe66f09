#pragma once

#include "core/kit/profile.h"
#include "core/kit/recipe.h"
#include "core/quantity/spelled.h"

/// The fields of profiles: curve, gamut, look, and what a test of a body found.
namespace bslate {

inline constexpr NamedValue<CodeRange> kRangeNames[] = {{"full", CodeRange::Full},
                                                        {"legal", CodeRange::Legal}};
inline constexpr NamedValue<IsoBehaviour> kIsoNames[] = {
    {keyOf(IsoBehaviour::Recorded), IsoBehaviour::Recorded},
    {keyOf(IsoBehaviour::Index), IsoBehaviour::Index},
    {keyOf(IsoBehaviour::Note), IsoBehaviour::Note}};

inline constexpr form::Number kStopsNumber{-40, 40};
inline constexpr form::Number kSignalNumber{-1, 2};

template<>
struct Described<CameraLog> {
    static constexpr auto kName = "camera_log";
    static constexpr auto kFields = std::tuple{
        renamed(required("log_base", &CameraLog::base, form::Number{1.0001, 1e6}, "Log base"),
                "base"),
        required("log_side_slope", &CameraLog::logSideSlope, form::Number{1e-6, 100}, "Log slope"),
        required("log_side_offset", &CameraLog::logSideOffset, form::Number{-100, 100},
                 "Log offset"),
        required("lin_side_slope", &CameraLog::linSideSlope, form::Number{1e-6, 1e6},
                 "Light slope"),
        required("lin_side_offset", &CameraLog::linSideOffset, form::Number{-1e3, 1e3},
                 "Light offset"),
        required("lin_side_break", &CameraLog::linSideBreak, form::Number{-1e3, 1e3},
                 "Light at the break"),
        spared("linear_slope", &CameraLog::linearSlope, form::Number{1e-9, 1e6},
               "Slope below the break", "else that of the log side there")};
    static std::optional<FieldFault> check(const CameraLog& log) {
        if (log.linSideSlope * log.linSideBreak + log.linSideOffset > 0)
            return std::nullopt;
        return FieldFault{"lin_side_break",
                          {},
                          "a break where lin_side_slope * break + lin_side_offset is above 0"};
    }
};

template<>
struct Described<SoftHighlight> {
    static constexpr auto kName = "soft_highlight";
    static constexpr auto kFields = std::tuple{
        required("knee_point", &SoftHighlight::kneePoint, form::Number{0.5, 1.09}, "Shoulder from",
                 "signal"),
        required("knee_slope", &SoftHighlight::kneeSlope, form::Number{0.01, 1}, "Shoulder slope"),
        required("black_gamma", &SoftHighlight::blackGamma, form::Number{-0.5, 0.5}, "Toe"),
        spared("black_level", &SoftHighlight::blackLevel, form::Number{-0.1, 0.2}, "Lift")};
};

template<>
struct Described<CurvePoint> {
    static constexpr auto kName = "curve_point";
    static constexpr auto kFields =
        std::tuple{required("stops", &CurvePoint::stops, kStopsNumber, "Stops", "from mid-grey"),
                   required("signal", &CurvePoint::signal, kSignalNumber, "Signal")};
};

template<>
struct Described<Sampled> {
    static constexpr auto kName = "sampled";
    static constexpr auto kFields = std::tuple{
        written("points", &Sampled::points, form::List{form::Object<CurvePoint>{}, 65536, "points"},
                "Points", "rising in both")};
    static std::optional<FieldFault> check(const Sampled& curve) {
        if (const auto outcome = checkSampled(curve); !outcome)
            return FieldFault{"points", outcome.error().place, outcome.error().expected,
                              outcome.error().code};
        return std::nullopt;
    }
};

/// Families without parameters.
template<class Family>
concept WithoutParameters = std::is_empty_v<Family>;
template<WithoutParameters Family>
struct Described<Family> {
    static constexpr auto kName = "standard_curve";
    static constexpr auto kFields = std::tuple{};
};

/// The family of a curve with its own parameters, in the order of Curve::family's alternatives.
struct CurveFamilyTag {};
inline constexpr std::string_view kFamilyNames[] = {
    "camera-log", "bt709", "hlg", "soft-highlight", "bt2020", "srgb", "pq", "acescc", "sampled"};

template<>
struct Described<Curve> {
    static constexpr auto kName = "curve";
    static constexpr auto kFields =
        std::tuple{required("family", &Curve::family, form::Custom<CurveFamilyTag>{}, "Family",
                            "and the parameters of that family"),
                   required("range", &Curve::range, form::Named<CodeRange>{kRangeNames}, "Range"),
                   spared("end_signal", &Curve::end, form::Number{0.1, 1.1}, "End",
                          "nothing above this is recorded")};
};

template<>
struct Described<Chromaticity> {
    static constexpr auto kName = "chromaticity";
    static constexpr auto kFields =
        std::tuple{required("x", &Chromaticity::x, form::Number{-1, 2}, "x"),
                   required("y", &Chromaticity::y, form::Number{-1, 2}, "y")};
};

template<>
struct Described<Gamut> {
    static constexpr auto kName = "gamut";
    static constexpr auto kFields =
        std::tuple{required("red", &Gamut::red, form::Object<Chromaticity>{}, "Red"),
                   required("green", &Gamut::green, form::Object<Chromaticity>{}, "Green"),
                   required("blue", &Gamut::blue, form::Object<Chromaticity>{}, "Blue"),
                   required("white", &Gamut::white, form::Object<Chromaticity>{}, "White")};
};

/// One of the six hues of ColourLook::depth.
template<std::size_t hue>
inline constexpr auto kDepthOf = [](auto& look) -> auto& {
    return look.depth[hue];
};
inline constexpr form::Number kDepthNumber{-1, 1};

template<>
struct Described<ColourLook> {
    static constexpr auto kName = "colour_look";
    static constexpr auto kFields = std::tuple{
        written("saturation", &ColourLook::saturation, form::Number{0, 2}, "Colourfulness"),
        written("detail", &ColourLook::detail, form::Whole{-7, 7}, "Sharpening",
                "the camera's sharpening; changes no flat patch"),
        written(
            "depth", [](auto& look) -> auto& { return look; },
            form::Group{std::tuple{written("red", kDepthOf<0>, kDepthNumber, "Red"),
                                   written("yellow", kDepthOf<1>, kDepthNumber, "Yellow"),
                                   written("green", kDepthOf<2>, kDepthNumber, "Green"),
                                   written("cyan", kDepthOf<3>, kDepthNumber, "Cyan"),
                                   written("blue", kDepthOf<4>, kDepthNumber, "Blue"),
                                   written("magenta", kDepthOf<5>, kDepthNumber, "Magenta")}},
            "Lightness", "of six hues")};
};

template<>
struct Described<Recipe> {
    static constexpr auto kName = "recipe";
    static constexpr auto kFields =
        std::tuple{required("id", &Recipe::id, form::Text{}, "Id"),
                   required("name", &Recipe::name, form::Text{}, "&Name"),
                   required(
                       "tone", [](auto& recipe) -> auto& { return recipe.look.tone; },
                       form::Object<SoftHighlight>{}, "Tone"),
                   written(
                       "colour", [](auto& recipe) -> auto& { return recipe.look.colour; },
                       form::Object<ColourLook>{}, "Colour")};
};

template<std::size_t channel>
inline constexpr auto kReadingOf = [](auto& reading) -> auto& {
    return reading.rgb[channel];
};

template<>
struct Described<SeriesReading> {
    static constexpr auto kName = "reading";
    static constexpr auto kFields =
        std::tuple{required("stops", &SeriesReading::stops, kStopsNumber, "Stops",
                            "from the exposure that should put the card on mid-grey"),
                   required("red", kReadingOf<0>, kSignalNumber, "Red"),
                   required("green", kReadingOf<1>, kSignalNumber, "Green"),
                   required("blue", kReadingOf<2>, kSignalNumber, "Blue"),
                   renamed(spared("noise_signal", &SeriesReading::noise, form::Number{0, 1},
                                  "Noise", "standard deviation of the patch"),
                           "noise")};
};

template<std::size_t channel>
inline constexpr auto kClipOf = [](auto& measured) -> auto& {
    return measured.clip[channel];
};

template<>
struct Described<Measurement> {
    static constexpr auto kName = "measured";
    static constexpr auto kFields = std::tuple{
        required("camera", &Measurement::camera, form::Text{}, "Camera", "id of the body"),
        required("nominal", &Measurement::nominal, form::Text{}, "Nominal",
                 "id of the profile it was tested in"),
        required("base", &Measurement::base, as::kIso, "Base"),
        written("note", &Measurement::note, form::Text{}, "Note", "when, how lit, which lens"),
        written(
            "clip_stops", [](auto& measured) -> auto& { return measured; },
            form::Group{std::tuple{spared("red", kClipOf<0>, kStopsNumber, "Red"),
                                   spared("green", kClipOf<1>, kStopsNumber, "Green"),
                                   spared("blue", kClipOf<2>, kStopsNumber, "Blue")}},
            "Clip", "of each channel that reached its end"),
        spared("noise_floor_stops", &Measurement::noiseFloor, kStopsNumber, "Noise floor",
               "at `snr`"),
        written("snr", &Measurement::snr, form::Number{0.1, 100}, "Signal-to-noise"),
        spared("relative", &Measurement::relative, form::Flag{}, "Relative only",
               "no exposure of the test was known: the nominal place is kept"),
        written("shift_stops", &Measurement::shift, form::Number{-10, 10}, "Shift",
                "how much brighter the body is than its nominal curve"),
        renamed(written("flare_linear", &Measurement::flare, form::Number{0, 1}, "Flare",
                        "linear light"),
                "flare"),
        renamed(written("rms_signal", &Measurement::rms, form::Number{0, 1}, "Miss",
                        "rms of the signal"),
                "rms"),
        written("readings", &Measurement::readings,
                form::List{form::Object<SeriesReading>{}, kMostReadings, "readings"}, "Readings")};
};

template<>
struct Described<Profile> {
    static constexpr auto kName = "profile";
    static constexpr auto kFields = std::tuple{
        required("id", &Profile::id, form::Text{}, "Id"),
        required("name", &Profile::name, form::Text{}, "&Name"),
        required("curve", &Profile::curve, form::Object<Curve>{}, "Curve"),
        required("gamut_name", &Profile::gamutName, form::Text{}, "Gamut"),
        required("gamut", &Profile::gamut, form::Object<Gamut>{}, "Primaries"),
        required("iso", &Profile::iso, form::Named<IsoBehaviour>{kIsoNames}, "ISO dial",
                 "what it does: recorded, an index, or a note"),
        written("bases", &Profile::bases, form::List{as::kIso}, "Bases",
                "it records at; empty: all of the camera"),
        required("minimum_iso", &Profile::minimum, as::kIso, "Lowest"),
        required("maximum_iso", &Profile::maximum, as::kIso, "Highest"),
        written("ready", &Profile::ready, form::Flag{}, "Ready", "a look that needs no grade"),
        written("locks", &Profile::locks, form::List{form::Text{}}, "Locks",
                "what it switches off in camera, in words"),
        spared("colour", &Profile::colour, form::Object<ColourLook>{}, "Colour", "of a ready look"),
        spared("recipe", &Profile::recipe, form::Text{}, "Recipe", "name of the one in it"),
        spared("measured", &Profile::measured, form::Object<Measurement>{}, "Measured",
               "makes it the test of one body")};
    static std::optional<FieldFault> check(const Profile& profile) {
        if (!isValid(profile.gamut))
            return FieldFault{"gamut", {}, "three primaries that span a triangle, every y above 0"};
        if (profile.maximum < profile.minimum)
            return FieldFault{"maximum_iso", {}, "no less than minimum_iso"};
        return std::nullopt;
    }
};

} // namespace bslate
