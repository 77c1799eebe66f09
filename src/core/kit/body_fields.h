#pragma once

#include "core/base/fields.h"
#include "core/kit/body.h"

/// The fields of a body: banks, slips, automatics, controls.
namespace bslate {

inline constexpr NamedValue<BodySetting> kSettingNames[] = {
    {"region", BodySetting::Region},
    {"mode", BodySetting::Mode, "recording"},
    {"rate", BodySetting::Rate},
    {"shutter", BodySetting::Shutter},
    {"profile", BodySetting::Profile},
    {"base", BodySetting::Base},
    {"rating", BodySetting::Rating},
    {"white", BodySetting::White},
    {"zebra", BodySetting::Zebra},
    {"focus", BodySetting::Focus},
    {"stabiliser", BodySetting::Stabiliser},
    {"sound", BodySetting::Sound},
    {"controls", BodySetting::Controls},
    {"nd", BodySetting::Nd, "ND"},
    {"iris", BodySetting::Iris},
    {"compensation", BodySetting::Compensation}};
/// Those of kBankSettings.
inline constexpr std::span<const NamedValue<BodySetting>> kBankSettingNames{kSettingNames + 1,
                                                                            kBankSettings.size()};
inline constexpr NamedValue<BankPlace> kBankPlaceNames[] = {{"inside", BankPlace::Inside},
                                                            {"card", BankPlace::Card}};
inline constexpr NamedValue<SlipCause> kSlipCauseNames[] = {{"power-on", SlipCause::PowerOn},
                                                            {"lens", SlipCause::Lens},
                                                            {"mode", SlipCause::Mode},
                                                            {"knock", SlipCause::Knock}};
inline constexpr NamedValue<AutomaticKind> kAutomaticNames[] = {
    {"exposure", AutomaticKind::Exposure, "automatic exposure"},
    {"iso", AutomaticKind::Iso, "automatic ISO"},
    {"white", AutomaticKind::White, "automatic white"},
    {"slow-shutter", AutomaticKind::SlowShutter, "slow shutter"},
    {"range-optimiser", AutomaticKind::RangeOptimiser, "range optimiser"},
    {"digital-zoom", AutomaticKind::DigitalZoom, "digital zoom"},
    {"eye-sensor", AutomaticKind::EyeSensor, "eye sensor"},
    {"power-off", AutomaticKind::PowerOff, "automatic power-off"},
    {"touch-focus", AutomaticKind::TouchFocus, "touch focus"},
    {"noise-reduction", AutomaticKind::NoiseReduction, "noise reduction"},
    {"sharpening", AutomaticKind::Sharpening}};
inline constexpr NamedValue<Function> kFunctionNames[] = {
    {"iris", Function::Iris},
    {"rating", Function::Rating},
    {"white", Function::White},
    {"nd", Function::Nd, "ND"},
    {"shutter", Function::Shutter},
    {"rate", Function::Rate},
    {"profile", Function::Profile},
    {"base", Function::Base},
    {"focus", Function::Focus, "focus mode"},
    {"magnify", Function::Magnify},
    {"peaking", Function::Peaking},
    {"zebra", Function::Zebra},
    {"waveform", Function::Waveform},
    {"view-lut", Function::ViewLut, "view LUT"},
    {"audio-level", Function::AudioLevel, "audio level"},
    {"stabiliser", Function::Stabiliser},
    {"level", Function::Level},
    {"recall", Function::Recall, "recall bank"},
    {"record", Function::Record},
    {"play", Function::Play},
    {"compensation", Function::Compensation},
    {"lock", Function::Lock},
    {"erase", Function::Erase},
    {"format", Function::Format}};
inline constexpr NamedValue<ControlKind> kControlKindNames[] = {{"dial", ControlKind::Dial},
                                                                {"ring", ControlKind::Ring},
                                                                {"lever", ControlKind::Lever},
                                                                {"button", ControlKind::Button},
                                                                {"touch", ControlKind::Touch}};
inline constexpr NamedValue<ControlPlace> kControlPlaceNames[] = {
    {"thumb", ControlPlace::Thumb}, {"finger", ControlPlace::Finger}, {"grip", ControlPlace::Grip},
    {"top", ControlPlace::Top},     {"lens", ControlPlace::Lens},     {"back", ControlPlace::Back},
    {"left", ControlPlace::Left},   {"screen", ControlPlace::Screen}};

/// More banks, and more controls, than this are refused.
inline constexpr std::size_t kMostBanks = 100;
inline constexpr std::size_t kMostControls = 100;

template<>
struct Described<Bank> {
    static constexpr auto kName = "bank";
    static constexpr auto kFields = std::tuple{
        required("label", &Bank::label, form::Text{100, "what the body calls the bank"}, "Label"),
        written("place", &Bank::place, form::Named<BankPlace>{kBankPlaceNames}, "Place",
                "a bank on the card goes when it is formatted"),
        written("holds", &Bank::holds, form::List{form::Named<BodySetting>{kBankSettingNames}},
                "Holds", "the settings that come back with it; missing: all of them"),
        spared("locked", &Bank::locked, form::Flag{}, "Locked", "somebody else's")};
    static std::optional<FieldFault> check(const Bank& bank) {
        if (bank.holds.empty())
            return FieldFault{"holds", bank.label, "at least one setting that the bank holds"};
        return std::nullopt;
    }
};

template<>
struct Described<Slip> {
    static constexpr auto kName = "slip";
    static constexpr auto kFields = std::tuple{
        required("setting", &Slip::setting, form::Named<BodySetting>{kSettingNames}, "Setting"),
        required("cause", &Slip::cause, form::Named<SlipCause>{kSlipCauseNames}, "Cause",
                 "what makes it slip"),
        written("to", &Slip::to, form::Text{200}, "To", "where it goes")};
};

template<>
struct Described<Automatic> {
    static constexpr auto kName = "automatic";
    static constexpr auto kFields = std::tuple{
        required("kind", &Automatic::kind, form::Named<AutomaticKind>{kAutomaticNames}, "Kind"),
        written("where", &Automatic::where, form::Text{200}, "Where", "it is switched off"),
        spared("effect", &Automatic::effect, form::Text{400}, "Effect",
               "on a take, where it differs from what is usual")};
};

template<>
struct Described<Control> {
    static constexpr auto kName = "control";
    static constexpr auto kFields = std::tuple{
        required("label", &Control::label, form::Text{100, "what the control is called"}, "Label"),
        required("place", &Control::place, form::Named<ControlPlace>{kControlPlaceNames}, "Place",
                 "by the hand that reaches it"),
        required("kind", &Control::kind, form::Named<ControlKind>{kControlKindNames}, "Kind"),
        spared("printed", &Control::printed, form::Named<Function>{kFunctionNames}, "Printed",
               "the function that stands on the body"),
        written("takes", &Control::takes, form::List{form::Named<Function>{kFunctionNames}},
                "Takes", "functions that can be given to it"),
        spared("chosen", &Control::chosen, form::Named<Function>{kFunctionNames}, "Chosen",
               "by the user; missing: as the plan says"),
        spared("per_mode", &Control::perMode, form::Flag{}, "Each mode",
               "it is assigned in every mode anew")};
    static std::optional<FieldFault> check(const Control& control) {
        if (!control.printed && control.takes.empty())
            return FieldFault{"takes", control.label,
                              "a function that is printed on it, or some that it can take"};
        return std::nullopt;
    }
};

/// The first label that stands twice.
template<class Items>
[[nodiscard]] std::optional<FieldFault> doubleLabel(const char* key, const Items& items) {
    for (auto at = items.begin(); at != items.end(); ++at)
        for (auto before = items.begin(); before != at; ++before)
            if (before->label == at->label)
                return FieldFault{key, at->label, "every label only once"};
    return std::nullopt;
}

} // namespace bslate
