#pragma once

#include "core/banks/function_needs.h"
#include "core/kit/body.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

/// Which control does what in this shoot: what is turned most goes where the hand is nearest.
namespace bslate {

enum class ControlWhy {
    Printed, ///< it stands on the body and stays
    Chosen,  ///< by the user
    Needed,  ///< most needed of what it can take
    Ready,   ///< nothing here needs it; for the day that goes another way
    Free     ///< nothing left that it could take
};

struct ControlUse {
    std::size_t control = 0; ///< into Body::controls
    std::optional<Function> function;
    ControlWhy why = ControlWhy::Free;
    FunctionNeed need; ///< of the function
    friend bool operator==(const ControlUse&, const ControlUse&) = default;
};

struct ControlPlan {
    std::vector<ControlUse> uses;                   ///< one a control, in their order
    std::vector<FunctionNeed> quickMenu;            ///< in order of need
    std::vector<std::vector<FunctionNeed>> ownMenu; ///< by page
    friend bool operator==(const ControlPlan&, const ControlPlan&) = default;
};

/// What is printed, chosen, or a record button stays; no function is anywhere twice; erase and
/// format are given to no control. The rest goes where the seconds saved against a menu page are
/// greatest, weighted by need and, between controls as quick, by the hand's reach: the best
/// assignment there is (schedule/assignment.h). What no control takes fills the quick menu, then
/// the own menu; its last page is for format alone where there are two pages or more.
[[nodiscard]] ControlPlan controlsOf(const Body& body, const std::vector<FunctionNeed>& needs);

/// The control, other than this one, that the user gave a function; none where nobody did.
[[nodiscard]] std::optional<std::size_t> chosenElsewhere(const Body& body, std::size_t control,
                                                         Function function);
/// The body with a function chosen for a control, or none. Another control that had it by choice
/// gets what this one did, where it takes that; else the plan says.
[[nodiscard]] Body withChosen(Body body, const ControlPlan& plan, std::size_t control,
                              std::optional<Function> function);

/// The body with every function in use taken off the controls beside one, at the same place: what
/// nobody needs here is chosen for them, so that the plan puts the used ones elsewhere. None where
/// one of them takes nothing else.
[[nodiscard]] std::optional<Body> withClear(Body body, const std::vector<FunctionNeed>& needs,
                                            std::size_t control);

/// To change a setting by a practised hand (common practice, no source): a dial, ring or lever 1 s,
/// a button, touch or quick menu 3 s, a menu page 10 s, a region that restarts the body 20 s.
inline constexpr Seconds kByDial{1}, kByButton{3}, kByMenu{10}, kByRestart{20};

[[nodiscard]] Seconds secondsOf(ControlKind kind);

/// A function that is given no place: the iris is on the lens (a dial), ND a filter put in by hand
/// (as quick as a button), everything else a menu page.
[[nodiscard]] Seconds withoutPlace(Function function);

/// Where a function is reached.
struct Reach {
    enum class Where { Control, QuickMenu, OwnMenu, Menu } where = Where::Menu;
    std::size_t at = 0; ///< the control, or the page of the own menu from 0
    Seconds cost = kByMenu;
};
[[nodiscard]] Reach reachOf(const Body& body, const ControlPlan& plan, Function function);

/// Seconds for each setting, where it is quickest.
[[nodiscard]] std::array<Seconds, kBodySettings> accessOf(const Body& body,
                                                          const ControlPlan& plan);

} // namespace bslate
