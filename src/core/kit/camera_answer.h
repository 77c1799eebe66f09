#pragma once

#include "core/kit/camera.h"

#include <span>
#include <string>
#include <string_view>

/// What a person tells of a body, fact by fact, as text: the sheet of a camera, and the questions
/// somebody answers who brings one in and may not know everything.
namespace bslate {

/// Empty text of each but the last four is refused; theirs says that it is not known.
inline constexpr CameraFact kCameraFacts[] = {
    CameraFact::Sensor,  CameraFact::Bases, CameraFact::OverGrey, CameraFact::Range,
    CameraFact::Shutter, CameraFact::Slots, CameraFact::Zebra,    CameraFact::Readout,
    CameraFact::Draw,    CameraFact::Heat,  CameraFact::Buffer};

/// True for what a camera is judged by as far as it is known; the others always have a value.
[[nodiscard]] bool mayBeMissing(CameraFact fact);

/// The text that gives the fact back: `35.9 x 18.9`, `800, 5000`, `6.1`, `12.6`, `times`,
/// `UHS-II, UHS-I at 150 Mb/s`, `5`, `22` (milliseconds), `7.5 W / 4.5 W`,
/// `20min at 35 C, 5min at 45 C`, `0.6 GB`. Shutter: `angles`, `whole angles`, `times`, `half-stop
/// times`, `angles and times`, or empty for a dial of its own. Heat is that of the first mode.
[[nodiscard]] std::string answerOf(const Camera& camera, CameraFact fact);

/// What is usual of such a body, told no more exactly than anybody knows it.
[[nodiscard]] std::string usualOf(const Camera& camera, CameraFact fact);

/// The camera with what the text says; answerOf()'s own text changes nothing. A sensor size keeps
/// the crops of the other areas; stops and range hold at every base; heat holds in every mode, and
/// `none` says that it never stops. Fails with OutOfRange or as the quantity's own parser, naming
/// what was expected.
[[nodiscard]] Result<Camera> withAnswer(Camera camera, CameraFact fact, std::string_view text);

/// An answer of somebody who knows.
struct CameraAnswer {
    CameraFact fact = CameraFact::Sensor;
    std::string text;
    friend bool operator==(const CameraAnswer&, const CameraAnswer&) = default;
};

/// The camera with the answers; every other fact stands as guessed. Fails as withAnswer() does, the
/// fact's key as place.
[[nodiscard]] Result<Camera> answered(Camera camera, std::span<const CameraAnswer> answers);

/// The same camera, this fact being known from now on.
[[nodiscard]] Camera known(Camera camera, CameraFact fact);

} // namespace bslate
