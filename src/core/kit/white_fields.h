#pragma once

#include "core/kit/white_dial.h"
#include "core/quantity/spelled.h"

/// The fields of what a body does of white.
namespace bslate {

inline constexpr NamedValue<TintMarks> kTintMarkNames[] = {{"letters", TintMarks::Letters},
                                                           {"plus-magenta", TintMarks::PlusMagenta},
                                                           {"plus-green", TintMarks::PlusGreen}};

template<>
struct Described<TintDial> {
    static constexpr auto kName = "tint";
    static constexpr auto kFields = std::tuple{
        required("unit_duv", &TintDial::unit, form::Number{0.00001, 0.02}, "Unit", "Duv of one"),
        written("step", &TintDial::step, form::Number{0.01, 1000}, "Step", "units"),
        written("most", &TintDial::most, form::Number{0.01, 1000}, "Most", "units either way"),
        written("marks", &TintDial::marks, form::Named<TintMarks>{kTintMarkNames}, "Marks",
                "letters: M answers green light; plus-magenta: + does; plus-green: - does")};
    static std::optional<FieldFault> check(const TintDial& tint) {
        if (tint.most < tint.step)
            return FieldFault{"most", {}, "no less than step"};
        return std::nullopt;
    }
};

template<>
struct Described<FoundGains> {
    static constexpr auto kName = "found_gains";
    static constexpr auto kFields = std::tuple{
        required("white", &FoundGains::kelvin, as::kKelvin, "White"),
        required("red_stops", &FoundGains::red, form::Number{-8, 8}, "Red", "against green"),
        required("blue_stops", &FoundGains::blue, form::Number{-8, 8}, "Blue", "against green")};
};

} // namespace bslate
