#include "core/banks/preroll.h"
#include "core/base/enumerated.h"

#include "core/banks/bank_record.h"
#include "core/banks/card_formats.h"
#include "core/banks/preroll_media.h"
#include "core/facts/evaluate.h"
#include "core/facts/focus_limits.h"
#include "core/facts/handling_reasons.h"
#include "core/facts/sound_reference.h"
#include "core/kit/body_fields.h"
#include "core/quantity/print.h"
#include "core/shoot/handling_of.h"

#include <algorithm>

namespace bslate {
namespace {

using Checks = std::vector<Check>;

constexpr std::string_view kForTake = "take-";

// The next take that has not run, with its day; what tells it from others.
std::pair<const Take*, std::string> aheadOf(const Shoot& shoot, const Setup& setup) {
    for (const auto& day : shoot.plan)
        for (const auto& take : day.takes)
            if (!take.ran &&
                std::find(take.setups.begin(), take.setups.end(), setup.id) != take.setups.end())
                return {&take, take.id + " of day " + std::to_string(day.number)};
    const auto* scene = findScene(shoot, setup.scene);
    return {nullptr, "day " + std::to_string(scene ? scene->day : 1)};
}

// Everything the checks of one setup look at.
struct Preroll {
    const Shoot& shoot;
    const SetupContext& context;
    const Evaluation& at;
    const CameraPlan& camera;
    const BankPlan& now;
    std::size_t index; ///< of the setup in the camera's work
    Handling handling;
    std::optional<CardFormat> format{}; ///< of its card, before it rolls
    Checks checks{};

    [[nodiscard]] const Body& body() const { return context.camera->body; }
    [[nodiscard]] const WorkSetup& own() const { return camera.problem.work.setups[index]; }
    [[nodiscard]] const BankUse& use() const { return now.uses[index]; }
    [[nodiscard]] bool isFirstOfDay() const {
        for (const auto& visit : camera.problem.work.visits)
            if (visit.day == context.scene->day)
                return visit.setup == index;
        return true;
    }
    [[nodiscard]] const Bank* bank() const {
        return use().bank < 0 ? nullptr
                              : &camera.problem.banks[static_cast<std::size_t>(use().bank)];
    }
    [[nodiscard]] std::optional<Reason> where(std::optional<Function> function) const {
        if (!function)
            return Reason{"where-menu", {}};
        const auto reach = reachOf(body(), camera.controls, *function);
        if (reach.where != Reach::Where::Control && withoutPlace(*function) < kByMenu)
            return Reason{"where-lens", {}};
        return whereOf(body(), reach);
    }
    [[nodiscard]] bool byHand(BodySetting setting) const {
        return std::any_of(use().byHand.begin(), use().byHand.end(),
                           [&](const HandSetting& hand) { return hand.setting == setting; });
    }
    // Bound to one take: another one begins again.
    void addForTake(std::string id, Reason text, Reason why, std::optional<Reason> place,
                    const std::string& about) {
        add(std::string(kForTake) + std::move(id), std::move(text), std::move(why),
            std::move(place), about + " for " + aheadOf(shoot, *context.setup).second);
    }
    void add(std::string id, Reason text, Reason why, std::optional<Reason> place,
             std::string about) {
        checks.push_back(
            {std::move(id), std::move(text), std::move(why), std::move(place), std::move(about)});
    }
};

// Looked at when the camera is taken out on a day, and where the region changes.
void regionAndClock(Preroll& p) {
    const bool first = p.isFirstOfDay();
    const auto& region = p.own().settings[BodySetting::Region];
    if (region && (first || p.byHand(BodySetting::Region)))
        p.add("region", {"check-region", {{"region", *region}}},
              p.byHand(BodySetting::Region)
                  ? Reason{"why-region-changes", {{"cost", p.context.camera->regionSwitch}}}
                  : Reason{"why-region", {}},
              Reason{"where-menu", {}}, *region);
    if (first)
        p.add("clock", {"check-clock", {}}, {"why-clock", {}}, Reason{"where-menu", {}},
              "day " + std::to_string(p.context.scene->day));
}

void recall(Preroll& p) {
    const auto* bank = p.bank();
    if (!bank) {
        if (!p.camera.problem.banks.empty())
            p.add("recall", {"check-no-recall", {}}, {"why-no-recall", {}}, {}, "none");
        return;
    }
    const auto at = static_cast<std::size_t>(p.use().bank);
    const auto& as = p.camera.problem.work.setups[*p.now.writtenAs[at]];
    const auto* record = findRecord(p.shoot, p.context.camera->id);
    const auto* written = record ? findWritten(*record, bank->label) : nullptr;
    const auto about = bank->label + " as " + as.number;
    const bool gone = bank->place == BankPlace::Card && p.format && isGone(*p.format, written);
    if (gone)
        p.add("bank-gone", {"check-bank-gone", {{"bank", bank->label}, {"setup", as.number}}},
              {"why-bank-gone", {}}, Reason{"where-menu", {}},
              about + " day " + std::to_string(p.format->day));
    p.add("recall", {"check-recall", {{"bank", bank->label}}},
          {"why-recall", {{"setup", as.number}}}, p.where(Function::Recall), about);
    if (gone)
        return; // what it was written as before does not matter any more
    const auto changes =
        record ? changesOf(p.camera.problem, p.now, *record, at) : std::vector<BankChange>{};
    if (changes.empty())
        return;
    std::string told;
    for (const auto& change : changes)
        told += change.setting + " " + change.now + ";";
    p.add("bank-changed", {"check-bank-changed", {{"bank", bank->label}}},
          {"why-bank-changed", {{"changes", toldChanges(changes)}}}, {}, told);
}

void handSettings(Preroll& p) {
    constexpr ByEnum<HandWhy, std::string_view> kWhy{"why-first",   "why-differs", "why-not-held",
                                                     "why-slipped", "why-no-bank", "why-no-recall"};
    for (const auto& hand : p.use().byHand) {
        if (hand.setting == BodySetting::Region)
            continue; // told first
        p.add("hand-" + std::string(nameIn<BodySetting>(kSettingNames, hand.setting)),
              {"check-hand", {{"setting", hand.setting}, {"value", hand.to}}},
              {kWhy[hand.why], {{"bank", p.bank() ? p.bank()->label : std::string()}}},
              p.where(functionOf(hand.setting)), hand.to);
    }
}

// What another line looks at: a value that may slip, the stabiliser, focus and zebra.
bool isLookedAt(const Preroll& p, const HandSetting& standing) {
    const auto setting = standing.setting;
    const auto& all = p.body().slips;
    return setting == BodySetting::Stabiliser || setting == BodySetting::Focus ||
           setting == BodySetting::Zebra ||
           std::any_of(all.begin(), all.end(), [&](const Slip& slip) {
               return slip.setting == setting && slip.to != standing.to;
           });
}

// What neither a bank nor a hand brings: a line each after a recall, one for all without.
void standing(Preroll& p) {
    ReasonList all;
    std::string about;
    for (const auto& one : p.use().stands) {
        if (isLookedAt(p, one))
            continue;
        const auto name = std::string(nameIn<BodySetting>(kSettingNames, one.setting));
        const Facts facts = {{"setting", one.setting}, {"value", one.to}};
        if (const auto* bank = p.bank()) {
            p.add("stands-" + name, {"check-stands", facts},
                  {"why-stands", {{"bank", bank->label}}}, p.where(functionOf(one.setting)),
                  one.to);
        } else {
            all.all.push_back({"check-hand", facts});
            about += name + " " + one.to + ";";
        }
    }
    if (!all.all.empty())
        p.add("stands", {"check-all-stand", {{"list", all}}}, {"why-no-recall", {}}, {}, about);
}

void slips(Preroll& p) {
    constexpr ByEnum<SlipCause, std::string_view> kWhy{"why-slips-power", "why-slips-lens",
                                                       "why-slips-mode", "why-knocked"};
    for (const auto& slip : p.body().slips) {
        const auto name = std::string(nameIn<BodySetting>(kSettingNames, slip.setting));
        if (slip.setting == BodySetting::Compensation || p.byHand(slip.setting))
            continue;
        const auto& wanted = p.own().settings[slip.setting];
        if (!wanted || *wanted == slip.to)
            continue;
        p.add("slip-" + name, {"check-still", {{"setting", slip.setting}, {"value", *wanted}}},
              {kWhy[slip.cause], {{"to", slip.to.empty() ? std::string() : " to " + slip.to}}},
              p.where(functionOf(slip.setting)), *wanted);
    }
    const bool dial =
        p.body().controls.empty() ||
        std::any_of(p.body().controls.begin(), p.body().controls.end(),
                    [](const auto& control) { return control.printed == Function::Compensation; });
    const bool loose =
        std::any_of(p.body().slips.begin(), p.body().slips.end(),
                    [](const Slip& slip) { return slip.setting == BodySetting::Compensation; });
    if (dial || loose)
        p.addForTake("compensation", {"check-compensation", {}},
                     {loose ? "why-knocked" : "why-compensation", {{"to", std::string()}}},
                     p.body().controls.empty() ? std::nullopt : p.where(Function::Compensation),
                     "0");
}

void automatics(Preroll& p) {
    const auto& left = p.context.setup->automatics;
    const auto isLeft = [&](AutomaticKind kind) {
        return std::any_of(left.begin(), left.end(),
                           [&](const auto& one) { return one.kind == kind; });
    };
    const auto off = [&](AutomaticKind kind, std::optional<Reason> where) {
        const auto name = std::string(nameIn<AutomaticKind>(kAutomaticNames, kind));
        p.addForTake("automatic-" + name, {"start-automatic", {{"automatic", kind}}},
                     effectOf(*p.context.camera, kind), std::move(where), "off");
    };
    for (const auto& automatic : p.body().automatics)
        if (!isLeft(automatic.kind))
            off(automatic.kind,
                automatic.where.empty() ? std::nullopt : std::optional(named(automatic.where)));
    if (p.body().automatics.empty())
        for (const auto kind : {AutomaticKind::Exposure, AutomaticKind::Iso, AutomaticKind::White})
            if (!isLeft(kind))
                off(kind, std::nullopt);
    for (const auto& one : left)
        p.addForTake("left-" + std::string(nameIn<AutomaticKind>(kAutomaticNames, one.kind)),
                     {"check-left", {{"automatic", one.kind}, {"bounds", spell({one})}}},
                     {one.low || one.high ? "why-left" : "why-left-unbounded", {}}, {},
                     spell({one}));
}

// What focuses, and what weakens it here.
void focusMode(Preroll& p) {
    const auto& focus = p.own().settings[BodySetting::Focus];
    const bool none = p.at.cell.hasCost(CostKind::Focus);
    const auto limits = focusLimitsOf(p.context, p.at);
    if ((!focus || (p.byHand(BodySetting::Focus) && limits.empty())) && !none)
        return;
    constexpr ByEnum<FocusLimit, std::string_view> kWhy{"why-focus-rate", "why-focus-bright",
                                                        "why-focus-nd", "why-focus-wireless"};
    const bool hand = none || *focus == "by hand";
    p.add("focus", {none ? "check-focus-hand" : "check-focus", {{"focus", focus.value_or("")}}},
          {none              ? kWhy[FocusLimit::Rate]
           : !limits.empty() ? kWhy[limits.front()]
           : hand            ? "why-focus-hand"
                             : "why-focus",
           {{"rate", p.context.setup->rate}}},
          p.where(Function::Focus), hand ? "by hand" : *focus);
}

// Controls that are assigned in each mode anew, where no bank brings them.
void controlsOfTheMode(Preroll& p) {
    const auto* bank = p.bank();
    if (bank && holds(*bank, BodySetting::Controls))
        return;
    std::string labels;
    ReasonList functions;
    for (const auto& use : p.camera.controls.uses) {
        const auto& control = p.body().controls[use.control];
        if (!control.perMode || !use.function || use.why == ControlWhy::Printed)
            continue;
        labels += (labels.empty() ? "" : ", ") + control.label;
        functions.all.push_back({"function", {{"function", *use.function}}});
    }
    if (!labels.empty())
        p.add("controls", {"check-controls", {{"labels", labels}, {"functions", functions}}},
              {"why-controls", {{"mode", p.context.mode->name}}}, Reason{"where-menu", {}},
              p.context.mode->id + " " + labels);
}

// By what holds the camera: a setup may ask for the other.
Reason whyStabiliser(const Handling& handling) {
    if (stabiliserFor(handling.support) == handling.stabiliser)
        return {*handling.stabiliser ? "why-stabiliser-on" : "why-stabiliser-off", {}};
    if (handling.support == Support::Unsaid)
        return {"why-stabiliser-asked", {}};
    return {"why-stabiliser-although", {{"support", ReasonList{{wordOf(handling.support)}}}}};
}

void optics(Preroll& p) {
    const auto& setup = *p.context.setup;
    if (p.context.lens) {
        std::string set = p.context.lens->name;
        if (p.at.recording.focal && isZoom(*p.context.lens))
            set += ", " + print(*p.at.recording.focal);
        if (setup.focus)
            set += ", " + print(*setup.focus);
        p.add("lens", {"check-lens", {{"lens", set}}}, {"why-lens", {}}, {}, set);
    }
    if (p.handling.stabiliser && !p.byHand(BodySetting::Stabiliser))
        p.add("stabiliser",
              {*p.handling.stabiliser ? "check-stabiliser-on" : "check-stabiliser-off", {}},
              whyStabiliser(p.handling), p.where(Function::Stabiliser),
              *p.handling.stabiliser ? "on" : "off");
    focusMode(p);
}

void picture(Preroll& p) {
    const auto& zebra = p.own().settings[BodySetting::Zebra];
    if (zebra && !p.byHand(BodySetting::Zebra))
        p.add("zebra", {"check-zebra", {{"zebra", *zebra}}},
              {"why-zebra", {{"profile", p.context.profile->name}}}, p.where(Function::Zebra),
              *zebra);
    if (isLog(*p.context.profile))
        p.add("view-lut", {"check-view-lut", {{"ei", p.context.setup->rating}}},
              {p.at.iso == IsoBehaviour::Recorded ? "why-view-lut" : "why-view-lut-rated", {}},
              p.where(Function::ViewLut),
              p.context.profile->name + " " + print(p.context.setup->rating));
}

void sound(Preroll& p) {
    if (!p.handling.wantsSound())
        return;
    if (p.at.cell.hasCost(CostKind::Sound)) {
        p.add("sound", {"check-sound-apart", {}}, {"why-sound-apart", {}}, {}, "apart");
        return;
    }
    const auto reference = soundReferenceFor(p.shoot.brief.mains);
    p.add("sound", {"check-sound", {{"tone", reference.tone}, {"peaks", reference.peaks}}},
          {"why-sound", {{"source", std::string(reference.source)}}}, p.where(Function::AudioLevel),
          std::to_string(reference.tone));
    if (p.handling.sound == SoundBy::Radio || p.context.setup->wireless)
        p.add("wireless",
              {p.context.setup->wireless ? "check-wireless-on" : "check-wireless-off", {}},
              {p.handling.sound == SoundBy::Radio ? "why-wireless-radio" : "why-wireless", {}},
              Reason{"where-menu", {}}, p.context.setup->wireless ? "on" : "off");
}

} // namespace

Reason whereOf(const Body& body, const Reach& reach) {
    switch (reach.where) {
    case Reach::Where::Control:
        return named(body.controls[reach.at].label);
    case Reach::Where::QuickMenu:
        return {"where-quick", {}};
    case Reach::Where::OwnMenu:
        return {"where-own", {{"page", static_cast<int>(reach.at) + 1}}};
    case Reach::Where::Menu:
        break;
    }
    return {"where-menu", {}};
}

std::vector<Check> prerollOf(const Shoot& shoot, const Setup& setup, const CameraPlan& camera,
                             const BankPlan& now, const DayPlan* day) {
    const auto& setups = camera.problem.work.setups;
    const auto own = std::find_if(setups.begin(), setups.end(),
                                  [&](const WorkSetup& one) { return one.id == setup.id; });
    const auto context = resolve(shoot, setup);
    if (!context || own == setups.end())
        return {};
    const auto at = evaluate(*context);
    Preroll p{shoot,
              *context,
              at,
              camera,
              now,
              static_cast<std::size_t>(own - setups.begin()),
              handlingOf(*context->scene, setup)};
    const auto formats = cardFormatsOf(shoot, camera.problem.work, day);
    if (const auto format = formats.find(setup.id); format != formats.end())
        p.format = format->second;
    p.checks = mediaChecks(*context, at, p.format.has_value(), day);
    for (const auto part : {regionAndClock, recall, handSettings, standing, controlsOfTheMode,
                            slips, automatics, optics, picture, sound})
        part(p);
    return std::move(p.checks);
}

Reason takeAhead(const Shoot& shoot, const Setup& setup) {
    const auto [take, told] = aheadOf(shoot, setup);
    if (!take)
        return named(told);
    return {"take-ahead", {{"take", take->name.empty() ? take->id : take->name}, {"of", told}}};
}

Setup forNextTake(Setup setup) {
    std::erase_if(setup.ticks, [](const Tick& tick) { return tick.check.starts_with(kForTake); });
    return setup;
}

TickState stateOf(const std::vector<Tick>& ticks, const Check& check) {
    if (check.fails)
        return TickState::Failing;
    for (const auto& tick : ticks)
        if (tick.check == check.id)
            return tick.about == check.about ? TickState::Ticked : TickState::Stale;
    return TickState::Open;
}

std::vector<Tick> ticked(std::vector<Tick> ticks, const Check& check, std::string when) {
    if (check.fails)
        return ticks;
    const bool fresh = stateOf(ticks, check) == TickState::Ticked;
    std::erase_if(ticks, [&](const Tick& tick) { return tick.check == check.id; });
    if (!fresh)
        ticks.push_back({check.id, check.about, std::move(when)});
    return ticks;
}

} // namespace bslate
