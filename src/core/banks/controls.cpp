#include "core/banks/controls.h"

#include "core/schedule/assignment.h"

#include <algorithm>

namespace bslate {
namespace {

// How far the hand goes, in tenths of a second: never as much as the next kind of control.
constexpr double kReachStep = 0.1;
// What is good to have at hand although nothing in a shoot turns it; counts less than any need.
constexpr double kReadyWeight = 0.02;
constexpr std::array kReady = {Function::Magnify,  Function::Zebra,   Function::ViewLut,
                               Function::White,    Function::Rating,  Function::Shutter,
                               Function::Waveform, Function::Peaking, Function::Level};

bool isReady(Function function) {
    return std::find(kReady.begin(), kReady.end(), function) != kReady.end();
}
// Nobody wants these under a finger while shooting, and no plan puts them there.
bool isDangerous(Function function) {
    return function == Function::Erase || function == Function::Format;
}

struct Placing {
    const Body& body;
    const std::vector<FunctionNeed>& needs;
    std::vector<bool> placed = std::vector<bool>(kFunctions);

    [[nodiscard]] bool take(Function function) {
        const auto at = static_cast<std::size_t>(function);
        const bool free = !placed[at];
        placed[at] = true;
        return free;
    }
    [[nodiscard]] FunctionNeed needOf(Function function) const {
        for (const auto& need : needs)
            if (need.function == function)
                return need;
        return {function, 0, 0};
    }
    [[nodiscard]] double gain(const Control& control, const FunctionNeed& need) const {
        if (placed[static_cast<std::size_t>(need.function)] || isDangerous(need.function) ||
            std::find(control.takes.begin(), control.takes.end(), need.function) ==
                control.takes.end())
            return 0;
        const double weight = need.weight() > 0        ? need.weight()
                              : isReady(need.function) ? kReadyWeight
                                                       : 0;
        return weight * (kByMenu.value() - secondsOf(control.kind).value() -
                         kReachStep * static_cast<double>(control.place));
    }
};

// What stands fast: the user's choice before what is printed, each function once.
std::vector<std::size_t> placeFixed(Placing& placing, ControlPlan& plan) {
    std::vector<std::size_t> open;
    const auto& controls = placing.body.controls;
    plan.uses.resize(controls.size());
    for (std::size_t i = 0; i < controls.size(); ++i)
        plan.uses[i].control = i;
    const auto fix = [&](std::size_t i, Function function, ControlWhy why) {
        plan.uses[i] = {i, function, why, placing.needOf(function)};
    };
    for (std::size_t i = 0; i < controls.size(); ++i)
        if (controls[i].chosen && placing.take(*controls[i].chosen))
            fix(i, *controls[i].chosen, ControlWhy::Chosen);
    for (std::size_t i = 0; i < controls.size(); ++i) {
        if (plan.uses[i].function)
            continue;
        if (controls[i].printed && placing.take(*controls[i].printed))
            fix(i, *controls[i].printed, ControlWhy::Printed);
        else
            open.push_back(i);
    }
    return open;
}

void fillMenus(Placing& placing, ControlPlan& plan) {
    const int pages = placing.body.ownMenu;
    const bool apart = pages >= 2; // the dangerous one has the last page for itself
    const auto room = static_cast<std::size_t>(std::max(0, pages - (apart ? 1 : 0)) * kMenuLines);
    std::size_t lines = 0;
    for (const auto& need : placing.needs) {
        // What is as quick where it is already needs no line.
        if (isDangerous(need.function) || need.function == Function::Record ||
            withoutPlace(need.function) <= kByButton ||
            (need.weight() == 0 && !isReady(need.function)))
            continue;
        const bool quick = static_cast<int>(plan.quickMenu.size()) < placing.body.quickMenu;
        if ((!quick && lines == room) || !placing.take(need.function))
            continue;
        if (quick) {
            plan.quickMenu.push_back(need);
            continue;
        }
        if (lines++ % kMenuLines == 0)
            plan.ownMenu.emplace_back();
        plan.ownMenu.back().push_back(need);
    }
    if (apart && placing.take(Function::Format)) {
        plan.ownMenu.resize(static_cast<std::size_t>(pages));
        plan.ownMenu.back().push_back(placing.needOf(Function::Format));
    }
}

} // namespace

ControlPlan controlsOf(const Body& body, const std::vector<FunctionNeed>& needs) {
    ControlPlan plan;
    Placing placing{body, needs};
    const auto open = placeFixed(placing, plan);
    std::vector<std::vector<double>> gains;
    for (const auto i : open) {
        gains.emplace_back();
        for (const auto& need : needs)
            gains.back().push_back(placing.gain(body.controls[i], need));
    }
    const auto jobs = bestAssignment(gains);
    for (std::size_t at = 0; at < open.size(); ++at) {
        if (jobs[at] < 0)
            continue;
        const auto& need = needs[static_cast<std::size_t>(jobs[at])];
        if (placing.take(need.function))
            plan.uses[open[at]] = {open[at], need.function,
                                   need.weight() > 0 ? ControlWhy::Needed : ControlWhy::Ready,
                                   need};
    }
    fillMenus(placing, plan);
    return plan;
}

std::optional<std::size_t> chosenElsewhere(const Body& body, std::size_t control,
                                           Function function) {
    for (std::size_t i = 0; i < body.controls.size(); ++i)
        if (i != control && body.controls[i].chosen == function)
            return i;
    return std::nullopt;
}

Body withChosen(Body body, const ControlPlan& plan, std::size_t control,
                std::optional<Function> function) {
    if (control >= body.controls.size())
        return body;
    const auto other = function ? chosenElsewhere(body, control, *function) : std::nullopt;
    body.controls[control].chosen = function;
    if (!other)
        return body;
    const auto given = control < plan.uses.size() ? plan.uses[control].function : std::nullopt;
    auto& taker = body.controls[*other];
    const bool takes =
        given && std::find(taker.takes.begin(), taker.takes.end(), *given) != taker.takes.end();
    taker.chosen = takes ? given : std::nullopt;
    return body;
}

namespace {

// The control beside one that a used function was given to; none where the place is clear.
std::optional<std::size_t> usedBeside(const Body& body, const ControlPlan& plan,
                                      std::size_t control) {
    for (const auto& use : plan.uses)
        if (use.control != control && use.function && use.need.weight() > 0 &&
            !isDangerous(*use.function) &&
            body.controls[use.control].place == body.controls[control].place)
            return use.control;
    return std::nullopt;
}

} // namespace

std::optional<Body> withClear(Body body, const std::vector<FunctionNeed>& needs,
                              std::size_t control) {
    const auto idle = [&](Function function) {
        return !isDangerous(function) &&
               std::none_of(needs.begin(), needs.end(), [&](const FunctionNeed& need) {
                   return need.function == function && need.weight() > 0;
               });
    };
    for (;;) {
        const auto beside = usedBeside(body, controlsOf(body, needs), control);
        if (!beside)
            return body;
        auto& own = body.controls[*beside];
        const auto other = std::find_if(own.takes.begin(), own.takes.end(), [&](Function one) {
            return idle(one) && !chosenElsewhere(body, *beside, one);
        });
        if (other == own.takes.end())
            return std::nullopt;
        own.chosen = *other;
    }
}

Seconds withoutPlace(Function function) {
    return function == Function::Iris ? kByDial : function == Function::Nd ? kByButton : kByMenu;
}

Seconds secondsOf(ControlKind kind) {
    return kind == ControlKind::Button || kind == ControlKind::Touch ? kByButton : kByDial;
}

Reach reachOf(const Body& body, const ControlPlan& plan, Function function) {
    for (const auto& use : plan.uses)
        if (use.function == function)
            return {Reach::Where::Control, use.control, secondsOf(body.controls[use.control].kind)};
    const auto among = [&](const std::vector<FunctionNeed>& list) {
        return std::any_of(list.begin(), list.end(),
                           [&](const auto& need) { return need.function == function; });
    };
    if (among(plan.quickMenu))
        return {Reach::Where::QuickMenu, 0, kByButton};
    for (std::size_t page = 0; page < plan.ownMenu.size(); ++page)
        if (among(plan.ownMenu[page]))
            return {Reach::Where::OwnMenu, page, kByMenu};
    return {};
}

std::array<Seconds, kBodySettings> accessOf(const Body& body, const ControlPlan& plan) {
    std::array<Seconds, kBodySettings> access;
    for (std::size_t s = 0; s < kBodySettings; ++s) {
        const auto setting = static_cast<BodySetting>(s);
        const auto function = functionOf(setting);
        access[s] = setting == BodySetting::Region ? kByRestart : kByMenu;
        if (!function)
            continue;
        const auto reach = reachOf(body, plan, *function);
        access[s] = withoutPlace(*function);
        if (reach.where != Reach::Where::Menu)
            access[s] = std::min(access[s], reach.cost);
    }
    return access;
}

} // namespace bslate
