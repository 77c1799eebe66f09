#include "core/words/bank_cards.h"

#include "core/banks/bank_record.h"
#include "core/banks/starting_point.h"
#include "core/kit/body_fields.h"
#include "core/quantity/print.h"
#include "core/words/body_words.h"

#include <algorithm>

namespace bslate {
namespace {

std::string cardWord(const Translator& translate, const char* english) {
    return translate ? translate(english) : std::string(english);
}

// The name of a line of a record: that of a setting, or as it was typed.
std::string lineName(const std::string& setting, const Translator& translate) {
    const auto* known = valueIn<BodySetting>(kSettingNames, setting);
    return known ? nameOf(*known, translate) : setting;
}

// A box to tick, or when it was: the moment from a place on, 11 for the hour alone.
std::string tickBox(const std::vector<Tick>& ticks, const Check& check, std::size_t from) {
    for (const auto& tick : ticks)
        if (tick.check == check.id && tick.about == check.about)
            return "[x] " + tick.when.substr(std::min(tick.when.size(), from));
    return "[ ]";
}

std::vector<std::string> rowsOf(const std::vector<RecordLine>& lines, const Translator& translate) {
    std::vector<std::string> rows;
    rows.reserve(lines.size());
    for (const auto& line : lines)
        rows.push_back(lineName(line.setting, translate) + "\t" + valueText(line.value, translate));
    return rows;
}

std::string setupsWith(const CameraPlan& plan, const Threads& threads, int bank) {
    std::string numbers;
    for (std::size_t k = 0; k < threads.size(); ++k)
        if (threads[k] == bank)
            numbers += (numbers.empty() ? "" : ", ") + plan.problem.work.setups[k].number;
    return numbers;
}

constexpr std::size_t kBanksAcross = 3; // in a table that fits a card

std::string bankName(const Bank& bank, const Translator& translate) {
    return cardWord(translate, "Bank") + " " + bank.label +
           (bank.place == BankPlace::Card ? " (" + cardWord(translate, "on the card") + ")" : "");
}

// Some banks side by side: who recalls them, and setting by setting what they hold.
CardList bankTable(const CameraPlan& plan, const BankPlan& now, const Threads& threads,
                   const std::vector<std::size_t>& banks, const Translator& translate) {
    CardList table{{}, {cardWord(translate, "recalled for")}};
    for (const auto b : banks) {
        table.heading +=
            (table.heading.empty() ? "" : ", ") + bankName(plan.problem.banks[b], translate);
        table.lines[0] += "\t" + plan.problem.banks[b].label + ": " +
                          setupsWith(plan, threads, static_cast<int>(b));
    }
    for (const auto setting : kBankSettings) {
        std::string line = nameOf(setting, translate);
        bool any = false;
        for (const auto b : banks) {
            const auto& value = plan.problem.work.setups[*now.writtenAs[b]].settings[setting];
            const bool held = value && holds(plan.problem.banks[b], setting);
            line += "\t" + (held ? valueText(*value, translate) : std::string("\u2014"));
            any = any || held;
        }
        if (any)
            table.lines.push_back(std::move(line));
    }
    return table;
}

std::string menuText(const std::vector<FunctionNeed>& list, const Translator& translate) {
    std::string text;
    for (const auto& need : list)
        text += (text.empty() ? "" : ", ") + nameOf(need.function, translate);
    return text;
}

} // namespace

std::string reasonOf(const ControlUse& use, const Translator& translate) {
    switch (use.why) {
    case ControlWhy::Printed:
        return cardWord(translate, "printed on it");
    case ControlWhy::Chosen:
        return cardWord(translate, "chosen by hand");
    case ControlWhy::Ready:
        return cardWord(translate, "ready, nothing here needs it");
    case ControlWhy::Free:
        return cardWord(translate, "nothing needed that it could take");
    case ControlWhy::Needed:
        break;
    }
    return reasonOf(Reason{use.need.inside > 0 ? "control-inside" : "control-between",
                           {{"between", use.need.between}, {"inside", use.need.inside}}},
                    translate);
}

std::string handText(const std::vector<HandSetting>& byHand, const Translator& translate) {
    std::string text;
    for (const auto& hand : byHand)
        text += (text.empty() ? "" : ", ") + nameOf(hand.setting, translate) + " " +
                valueText(hand.to, translate);
    return text;
}

Card bankCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                const Translator& translate) {
    Card card;
    const auto threads = threadsOf(plan.problem, shoot);
    const auto now = planWith(plan.problem, threads);
    card.heading = cardWord(translate, "Banks of") + " " + camera.name;
    card.place = shoot.title + " \u00b7 " +
                 reasonOf(Reason{"card-hand-cost", {{"cost", Duration{now.cost}}}}, translate);
    std::vector<std::size_t> told;
    for (std::size_t b = 0; b < plan.problem.banks.size(); ++b)
        if (now.writtenAs[b])
            told.push_back(b);
    for (std::size_t from = 0; from < told.size(); from += kBanksAcross)
        card.lists.push_back(bankTable(plan, now, threads,
                                       {told.begin() + static_cast<std::ptrdiff_t>(from),
                                        told.begin() + static_cast<std::ptrdiff_t>(std::min(
                                                           told.size(), from + kBanksAcross))},
                                       translate));
    CardList hands{cardWord(translate, "By hand after recall"), {}};
    for (std::size_t k = 0; k < now.uses.size(); ++k) {
        const auto& use = now.uses[k];
        hands.lines.push_back(
            plan.problem.work.setups[k].number + "\t" +
            (use.bank < 0 ? cardWord(translate, "no bank")
                          : cardWord(translate, "bank") + " " +
                                plan.problem.banks[static_cast<std::size_t>(use.bank)].label) +
            "\t" + (use.byHand.empty() ? "\u2014" : handText(use.byHand, translate)));
    }
    card.lists.push_back(std::move(hands));
    return card;
}

Card controlCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                   const Translator& translate) {
    Card card;
    card.heading = cardWord(translate, "Controls of") + " " + camera.name;
    card.place = shoot.title;
    CardList controls{cardWord(translate, "Controls"), {}};
    for (const auto& use : plan.controls.uses) {
        const auto& control = camera.body.controls[use.control];
        controls.lines.push_back(
            control.label + "\t" +
            (use.function ? nameOf(*use.function, translate) : std::string("\u2014")) + "\t" +
            reasonOf(use, translate) +
            (control.perMode ? ", " + cardWord(translate, "in each mode anew") : std::string()));
    }
    card.lists.push_back(std::move(controls));
    if (!plan.controls.quickMenu.empty())
        card.lists.push_back(
            {cardWord(translate, "Quick menu"), {menuText(plan.controls.quickMenu, translate)}});
    CardList own{cardWord(translate, "Own menu"), {}};
    for (std::size_t page = 0; page < plan.controls.ownMenu.size(); ++page)
        own.lines.push_back(std::to_string(page + 1) + "\t" +
                            (plan.controls.ownMenu[page].empty()
                                 ? std::string("\u2014")
                                 : menuText(plan.controls.ownMenu[page], translate)));
    if (!own.lines.empty())
        card.lists.push_back(std::move(own));
    return card;
}

Card prerollCardOf(const Shoot& shoot, const Setup& setup, const std::vector<Check>& checks,
                   const Translator& translate) {
    Card card;
    card.heading = cardWord(translate, "Pre-roll") + " " + setup.number + "  " + setup.name;
    card.place = shoot.title + " \u00b7 " + reasonOf(takeAhead(shoot, setup), translate);
    CardList list{cardWord(translate, "In this order"), {}};
    for (const auto& check : checks) {
        list.lines.push_back(tickBox(setup.ticks, check, 11) + "\t" +
                             reasonOf(check.text, translate) + "\t" +
                             (check.where ? reasonOf(*check.where, translate) : std::string()) +
                             "\t" + reasonOf(check.reason, translate));
    }
    card.lists.push_back(std::move(list));
    return card;
}

Card startingCardOf(const Shoot& shoot, const Camera& camera, const Translator& translate) {
    Card card;
    card.heading = cardWord(translate, "A known starting point:") + " " + camera.name;
    card.place = shoot.title;
    CardList list{cardWord(translate, "For a body that comes from somebody else"), {}};
    std::string last;
    const auto* record = findRecord(shoot, camera.id);
    const auto ticks = record ? record->ticks : std::vector<Tick>{};
    for (const auto& check : startingPoint(shoot, camera)) {
        auto line = tickBox(ticks, check, 0) + "\t" + reasonOf(check.text, translate);
        if (check.where)
            line += " (" + reasonOf(*check.where, translate) + ")";
        const auto why = reasonOf(check.reason, translate);
        if (why != last) // said once for all of them
            line += "\t" + why;
        list.lines.push_back(std::move(line));
        last = why;
    }
    card.lists.push_back(std::move(list));
    return card;
}

Card recordCardOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                  const Translator& translate) {
    Card card;
    card.heading = cardWord(translate, "On record:") + " " + camera.name;
    card.place = shoot.title;
    const auto* record = findRecord(shoot, camera.id);
    if (!record) {
        card.lists.push_back({cardWord(translate, "Nothing is on record yet"),
                              {cardWord(translate, "W notes what is written into a bank.")}});
        return card;
    }
    const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
    const auto differing = [&](const std::string& heading, const std::vector<BankChange>& changes) {
        CardList list{heading + ": " + cardWord(translate, "now differs"), {}};
        for (const auto& change : toldChanges(changes).all)
            list.lines.push_back(reasonOf(change, translate));
        if (!list.lines.empty())
            card.lists.push_back(std::move(list));
    };
    for (const auto& written : record->banks) {
        const std::string heading = cardWord(translate, "Bank") + " " + written.label;
        card.lists.push_back({heading + ", " + written.when, rowsOf(written.values, translate)});
        for (std::size_t b = 0; b < plan.problem.banks.size(); ++b)
            if (plan.problem.banks[b].label == written.label)
                differing(heading, changesOf(plan.problem, now, *record, b));
    }
    CardList before{cardWord(translate, "Written before"), {}};
    for (auto at = record->earlier.rbegin(); at != record->earlier.rend(); ++at) {
        std::string values;
        for (const auto& line : at->values)
            values += (values.empty() ? "" : ", ") + line.setting + " " + line.value;
        before.lines.push_back(at->when + "\t" + cardWord(translate, "bank") + " " + at->label +
                               "\t" + values);
    }
    if (!before.lines.empty())
        card.lists.push_back(std::move(before));
    if (!record->settings.empty()) {
        const std::string heading = cardWord(translate, "Everything else");
        card.lists.push_back({heading + ", " + record->when, rowsOf(record->settings, translate)});
        differing(heading, toldByBoth(changesBetween(record->settings,
                                                     settingLines(camera, plan.controls))));
    }
    return card;
}

} // namespace bslate
