#pragma once

#include "core/base/result.h"
#include "core/kit/body.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

/// How a camera is held, focused and what it hears, said of a scene and, where it differs, of a
/// setup.
namespace bslate {

enum class Support { Unsaid, Tripod, Gimbal, Shoulder, Hand };

/// Who focuses.
enum class FocusBy { Unsaid, Hand, Continuous, Faces };

enum class SoundBy {
    Unsaid,
    None,   ///< of a setup: not in this camera
    Camera, ///< its own microphone, or one on it
    Wired,
    Radio
};

enum class Stabiliser {
    AsSupport, ///< off on a tripod or a gimbal, on in the hand
    Off,
    On
};

/// An automatic left to the camera on purpose; with bounds it is a school of its own.
struct LeftAutomatic {
    AutomaticKind kind = AutomaticKind::Iso;
    std::optional<double> low, high; ///< ISO, or kelvin of the white; high is no less than low
    friend bool operator==(const LeftAutomatic&, const LeftAutomatic&) = default;
};

/// A check of the pre-roll that somebody ticked.
struct Tick {
    std::string check; ///< its id, "hand-iris"
    std::string about; ///< what it was about then: another value makes the tick stale
    std::string when;  ///< "2026-05-01 07:40"
    friend bool operator==(const Tick&, const Tick&) = default;
};

/// Automatics typed as one line: `iso 800-3200, white 3200-5600, eye-sensor`; empty: none. Fails
/// with UnknownId for another name, OutOfRange for bounds that are none or turned round; `got` is
/// the piece.
[[nodiscard]] Result<std::vector<LeftAutomatic>> parseAutomatics(std::string_view text);
/// The line that gives them back.
[[nodiscard]] std::string spell(const std::vector<LeftAutomatic>& automatics);

} // namespace bslate
