#pragma once

#include "core/base/enumerated.h"
#include "core/base/extra_keys.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

/// What hands and memories do to a body: its banks, what slips, what it does by itself, and its
/// controls. All of it is optional in a kit; a body nobody described has none of it.
namespace bslate {

/// What is set on a body, in the order hands go over it.
enum class BodySetting {
    Region,
    Mode,
    Rate,
    Shutter,
    Profile,
    Base,
    Rating,
    White,
    Zebra,
    Focus,
    Stabiliser,
    Sound,
    Controls,    ///< what buttons and dials do
    Nd,          ///< never in a bank
    Iris,        ///< never in a bank
    Compensation ///< of the exposure dial; never in a bank
};
inline constexpr std::size_t kBodySettings = countOf<BodySetting>();

/// What a bank may hold, in the same order.
inline constexpr std::array kBankSettings = {
    BodySetting::Mode,  BodySetting::Rate,       BodySetting::Shutter, BodySetting::Profile,
    BodySetting::Base,  BodySetting::Rating,     BodySetting::White,   BodySetting::Zebra,
    BodySetting::Focus, BodySetting::Stabiliser, BodySetting::Sound,   BodySetting::Controls};

enum class BankPlace {
    Inside, ///< in the body
    Card    ///< lost when the card is formatted
};

/// A memory of the body.
struct Bank {
    std::string label; ///< as the body calls it, "1"; once in a camera
    BankPlace place = BankPlace::Inside;
    std::vector<BodySetting> holds{kBankSettings.begin(), kBankSettings.end()}; ///< never empty
    bool locked = false; ///< somebody else's: it is neither written nor recalled
    ExtraKeys extra;
    friend bool operator==(const Bank&, const Bank&) = default;
};

enum class SlipCause {
    PowerOn, ///< it falls back when the body is switched on
    Lens,    ///< when the lens is changed
    Mode,    ///< when the recording mode changes
    Knock    ///< a loose dial
};

/// A setting that does not stay where it was put.
struct Slip {
    BodySetting setting = BodySetting::White;
    SlipCause cause = SlipCause::PowerOn;
    std::string to; ///< where it goes, "5600 K"; may be empty
    ExtraKeys extra;
    friend bool operator==(const Slip&, const Slip&) = default;
};

/// What a body does by itself unless somebody stops it.
enum class AutomaticKind {
    Exposure,
    Iso,
    White,
    SlowShutter,
    RangeOptimiser,
    DigitalZoom,
    EyeSensor,
    PowerOff,
    TouchFocus,
    NoiseReduction,
    Sharpening
};

struct Automatic {
    AutomaticKind kind = AutomaticKind::Exposure;
    std::string where;  ///< it is switched off, "Picture 2"; may be empty
    std::string effect; ///< on a take where it differs from what is usual; may be empty
    ExtraKeys extra;
    friend bool operator==(const Automatic&, const Automatic&) = default;
};

/// What a control, a place of the quick menu or a line of the own menu can do.
enum class Function {
    Iris,
    Rating,
    White,
    Nd,
    Shutter,
    Rate,
    Profile,
    Base,
    Focus,   ///< by hand, continuous, faces
    Magnify, ///< the picture, to focus by
    Peaking,
    Zebra,
    Waveform,
    ViewLut,
    AudioLevel,
    Stabiliser,
    Level,  ///< the horizon
    Recall, ///< a bank
    Record,
    Play,
    Compensation,
    Lock,
    Erase,
    Format
};
inline constexpr std::size_t kFunctions = countOf<Function>();

enum class ControlKind { Dial, Ring, Lever, Button, Touch };

/// Where a control is, by the hand that reaches it; the first is the nearest.
enum class ControlPlace { Thumb, Finger, Grip, Top, Lens, Back, Left, Screen };

struct Control {
    std::string label; ///< as the body or its manual calls it; once in a camera
    ControlPlace place = ControlPlace::Back;
    ControlKind kind = ControlKind::Button;
    std::optional<Function> printed; ///< on the body
    std::vector<Function> takes;     ///< can be given to it; with printed never both empty
    std::optional<Function> chosen;  ///< by the user; none: as the plan says
    bool perMode = false;            ///< assigned in each mode anew, not once for all
    ExtraKeys extra;
    friend bool operator==(const Control&, const Control&) = default;
};

/// Facts of a body as it was found, to be recorded.
struct BodyFacts {
    std::string firmware;
    std::string region; ///< it is set to: a rate set, or free words
    std::string clock;  ///< when it was set, or how far it is off
    friend bool operator==(const BodyFacts&, const BodyFacts&) = default;
};

/// Lines of a page of the own menu.
inline constexpr int kMenuLines = 6;

struct Body {
    std::vector<Bank> banks;
    std::vector<Slip> slips;
    std::vector<Automatic> automatics;
    std::vector<Control> controls;
    int quickMenu = 0; ///< places, [0, 40]
    int ownMenu = 0;   ///< pages of kMenuLines lines, [0, 20]
    BodyFacts facts;
    friend bool operator==(const Body&, const Body&) = default;
};

[[nodiscard]] bool holds(const Bank& bank, BodySetting setting);

} // namespace bslate
