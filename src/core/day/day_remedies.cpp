#include "core/day/day_remedies.h"

#include "core/day/plan_day.h"

#include "core/advice/changes.h"
#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/facts/lattice.h"
#include "core/judgement/honest.h"

#include <algorithm>
#include <cmath>

namespace bslate::day {
namespace {

constexpr std::size_t kMostRemedies = 4;
constexpr long kTryLooks = 3000; // a try is a first plan and a little more
constexpr long kTryBesides = 50; // what judging costs besides, in looks
constexpr long kTryRoll = 30;    // for every camera in a take
constexpr int kMostLoans = 3;

class Offers {
public:
    Offers(const Case& now, const Findings& all, Finding& finding, Trials& trials)
        : m_now(now)
        , m_all(all)
        , m_finding(finding)
        , m_trials(trials)
        , m_take(finding.take ? static_cast<int>(*finding.take) : -1) {}

    /// What has happened cannot be helped.
    [[nodiscard]] bool isPast() const {
        return m_take >= 0 && m_now.plan.takes[static_cast<std::size_t>(m_take)].done;
    }
    /// Enough of them, or no more wanted.
    [[nodiscard]] bool full() const {
        return m_finding.remedies.size() >= kMostRemedies || !m_trials.goOn();
    }

    // How the edited day stands.
    struct Outcome {
        Findings findings;
        int changes = 0;
        std::optional<Seconds> safe;
        [[nodiscard]] std::pair<int, int> weight() const {
            return {countOf(findings, Severity::Fault), countOf(findings, Severity::Caution)};
        }
    };
    [[nodiscard]] Outcome outcomeOf(const Edit& edit) const {
        const Shoot after = applied(m_now.shoot, edit);
        const ShootDay day = edit.day ? *edit.day : m_now.day;
        const PlanEffort effort{kTryLooks, [this](double) { return m_trials.goOn(); }};
        const auto plan = planDay(after, day, effort, &m_now.plan);
        m_trials.looks -= plan.cards.plan.looks + plan.power.plan.looks + kTryBesides;
        for (const auto& take : plan.takes)
            m_trials.looks -= kTryRoll * static_cast<long>(take.setups.size());
        return {findingsOf({after, day, plan, rollsOf(after, day), m_now.chances}),
                plan.cards.plan.cost.changes + plan.power.plan.cost.changes, plan.safe};
    }

    [[nodiscard]] Remedy made(RemedyId id, Facts facts, Edit edit, const Outcome& outcome) const {
        Facts left = {{"changes", outcome.changes}, {"faults", outcome.weight().first}};
        if (outcome.safe)
            left.push_back({"safe", ClockTime{*outcome.safe, true}});
        Remedy remedy{id, std::move(facts), std::move(edit)};
        remedy.effect = Reason{outcome.safe ? "day-effect" : "day-effect-unsafe", std::move(left)};
        const auto* before =
            remedy.edit.setup ? findSetup(m_now.shoot, remedy.edit.setup->id) : nullptr;
        if (before)
            if (auto also = unnamedChanges(m_now.shoot, *before, remedy); !also.all.empty())
                remedy.facts.push_back({"also", std::move(also)});
        return remedy;
    }

    // Keeps what cures without a new fault; of the others the first, for want of anything better.
    bool keep(Remedy remedy, const Outcome& outcome) {
        auto added = addedFaults(m_all, outcome.findings);
        for (auto& fault : addedFaults(m_now.shoot, remedy.edit))
            added.push_back(std::move(fault));
        if (added.empty()) {
            m_finding.remedies.push_back(std::move(remedy));
            return true;
        }
        if (!m_adding && m_finding.severity < Severity::Good) {
            tellFaults(remedy, std::move(added));
            m_adding = std::move(remedy);
        }
        return false;
    }
    /// Where nothing cures without a new fault, what does says so.
    void finish() {
        if (m_finding.remedies.empty() && m_adding)
            m_finding.remedies.push_back(std::move(*m_adding));
    }

    // Plans the edited day; true when it was kept.
    bool tryOut(RemedyId id, Facts facts, Edit edit) {
        if (full())
            return false;
        const auto outcome = outcomeOf(edit);
        if (!cures(outcome))
            return false;
        return keep(made(id, std::move(facts), std::move(edit), outcome), outcome);
    }

    void relay() {
        eachSetup([&](const Setup& setup, const Camera& camera) {
            if (setup.secondSlot != SecondSlot::Unused || camera.cardSlots.size() < 2)
                return;
            Edit edit;
            edit.setup = setup;
            edit.setup->secondSlot = SecondSlot::Relay;
            tryOut(RemedyId::DayRelay, {{"camera", camera.name}}, edit);
        });
    }

    void mirrorOff() {
        eachSetup([&](const Setup& setup, const Camera& camera) {
            if (setup.secondSlot != SecondSlot::Mirror)
                return;
            const auto* mode = findMode(camera, setup.mode);
            Edit edit;
            edit.setup = setup;
            if (mode && mode->proxy) {
                edit.setup->secondSlot = SecondSlot::Proxy;
                tryOut(RemedyId::DayProxy, {{"camera", camera.name}}, edit);
            }
            edit.setup->secondSlot = SecondSlot::Unused;
            tryOut(RemedyId::DayMirrorOff, {{"camera", camera.name}}, edit);
        });
    }

    // The fewest more of a kind that help; of kinds that need as many, the smallest one.
    void lendCards() {
        auto cards = m_now.shoot.kit.cards;
        std::stable_sort(cards.begin(), cards.end(), [](const MemoryCard& a, const MemoryCard& b) {
            return a.capacity < b.capacity;
        });
        lend(cards, &Kit::cards, RemedyId::DayLendCard, RemedyId::DayLendCards);
    }
    void lendBatteries() {
        auto batteries = m_now.shoot.kit.batteries;
        std::stable_sort(batteries.begin(), batteries.end(),
                         [](const Battery& a, const Battery& b) { return a.energy < b.energy; });
        lend(batteries, &Kit::batteries, RemedyId::DayLendBattery, RemedyId::DayLendBatteries);
    }
    void lendReader() {
        Edit edit;
        edit.kit = m_now.shoot.kit;
        if (edit.kit->readers.empty()) {
            CardReader reader;
            reader.id = "reader";
            reader.name = "card reader";
            for (const auto& card : edit.kit->cards)
                if (!takes(reader, card.form))
                    reader.forms.push_back(card.form);
            edit.kit->readers.push_back(reader);
        } else {
            ++edit.kit->readers.front().count;
        }
        tryOut(RemedyId::DayLendReader, {{"reader", edit.kit->readers.front().name}}, edit);
    }
    void lendCharger() {
        for (std::size_t i = 0; i < m_now.shoot.kit.chargers.size(); ++i) {
            Edit edit;
            edit.kit = m_now.shoot.kit;
            ++edit.kit->chargers[i].count;
            if (tryOut(RemedyId::DayLendCharger, {{"charger", edit.kit->chargers[i].name}}, edit))
                return;
        }
    }
    void lendDrive() {
        Edit edit;
        edit.kit = m_now.shoot.kit;
        if (edit.kit->drives.empty())
            edit.kit->drives.push_back({"drive", "drive", DataSize(2e12), {}, {}, 0, {}});
        auto& drive = edit.kit->drives.back();
        drive.write = drive.write.value() > 0 ? drive.write : Drive{}.write;
        drive.read = drive.read.value() > 0 ? drive.read : Drive{}.read;
        drive.count += m_now.plan.copies - m_now.plan.copiesPossible;
        tryOut(RemedyId::DayLendDrive, {{"drive", drive.name}, {"size", drive.capacity}}, edit);
    }
    void largerDrives() {
        Edit edit;
        edit.kit = m_now.shoot.kit;
        const DataSize size(std::ceil(m_now.plan.projectBytes.value() / 1e12) * 1e12);
        for (auto& drive : edit.kit->drives)
            drive.capacity = std::max(drive.capacity, size);
        tryOut(RemedyId::DayLargerDrives, {{"size", size}}, edit);
    }

    void externalPower() {
        eachSetup([&](const Setup& setup, const Camera& camera) {
            if (setup.externalPower)
                return;
            Edit edit;
            edit.setup = setup;
            edit.setup->externalPower = true;
            tryOut(RemedyId::DayExternal, {{"camera", camera.name}}, edit);
        });
    }

    // The mode at the same rate that leaves least to complain of, and of those the richest one.
    void otherMode() {
        eachSetup([&](const Setup& setup, const Camera& camera) {
            const auto context = resolve(m_now.shoot, setup);
            if (!context || full())
                return;
            std::optional<std::pair<Remedy, Outcome>> best;
            DataRate bestRate(0);
            for (const auto& mode : camera.modes) {
                const auto cell = cellOf(latticeCase(*context), mode, setup.rate);
                if (mode.id == setup.mode || !cell.available() || full())
                    continue;
                const auto turned =
                    turn(m_now.shoot, setup, TurnMode{mode.id, setup.rate, {}, false});
                if (!turned)
                    continue;
                auto outcome = outcomeOf(turned->edit);
                const bool better =
                    !best || std::pair(outcome.weight(), -cell.bitRate.value()) <
                                 std::pair(best->second.weight(), -bestRate.value());
                if (!cures(outcome) || !better || !addedFaults(m_now.shoot, turned->edit).empty())
                    continue;
                bestRate = cell.bitRate;
                auto remedy =
                    made(RemedyId::DayMode,
                         {{"camera", camera.name}, {"mode", mode.name}, {"bitRate", cell.bitRate}},
                         turned->edit, outcome);
                best = {std::move(remedy), std::move(outcome)};
            }
            if (best)
                keep(std::move(best->first), best->second);
        });
    }

    // Begins as soon as a card or battery that is on its way is back.
    void wait() {
        if (m_take < 0)
            return;
        const auto& take = m_now.plan.takes[static_cast<std::size_t>(m_take)];
        std::vector<double> back;
        for (const auto* carriers : {&m_now.plan.cards, &m_now.plan.power})
            for (const auto& renewal : carriers->plan.renewals)
                if (renewal.end > take.start && renewal.out <= take.start)
                    back.push_back(renewal.end.value());
        std::sort(back.begin(), back.end());
        for (const double time : back) {
            Edit edit;
            edit.day = m_now.day;
            auto& planned = edit.day->takes[static_cast<std::size_t>(m_take)];
            if (planned.began)
                return;
            const double start = std::ceil(time / 60) * 60;
            if (start >= 24 * 3600)
                return;
            planned.at = Seconds(start);
            if (tryOut(RemedyId::DayWait,
                       {{"start", ClockTime{Seconds(start)}},
                        {"by", Duration{Seconds(start) - take.start}}},
                       edit))
                return;
        }
    }

    void letStop() {
        if (m_take < 0)
            return;
        Edit edit;
        edit.day = m_now.day;
        auto& take = edit.day->takes[static_cast<std::size_t>(m_take)];
        if (!take.whole)
            return;
        take.whole = false;
        tryOut(RemedyId::DayLetStop,
               {{"take", m_now.plan.takes[static_cast<std::size_t>(m_take)].title}}, edit);
    }

private:
    template<class Item>
    void lend(const std::vector<Item>& items, std::vector<Item> Kit::*list, RemedyId one,
              RemedyId many) {
        for (int count = 1; count <= kMostLoans && !full(); ++count)
            for (const auto& item : items) {
                Edit edit;
                edit.kit = m_now.shoot.kit;
                for (auto& own : (*edit.kit).*list)
                    if (own.id == item.id)
                        own.count += count;
                if (tryOut(count == 1 ? one : many, {{"name", item.name}, {"count", count}}, edit))
                    return;
            }
    }

    // The setups of the take the finding is about, of the camera it names.
    template<class Visit>
    void eachSetup(Visit visit) {
        if (m_take < 0)
            return;
        for (const auto& fact : m_finding.facts)
            if (fact.name == "camera")
                m_camera = std::get<std::string>(fact.value);
        for (const auto& id : m_now.plan.takes[static_cast<std::size_t>(m_take)].setups) {
            const auto* setup = findSetup(m_now.shoot, id);
            const auto* camera = setup ? findCamera(m_now.shoot.kit, setup->camera) : nullptr;
            if (camera && (m_camera.empty() || camera->name == m_camera))
                visit(*setup, *camera);
        }
    }

    // A fault is cured when there are fewer of it and of all; a caution when it is gone and neither
    // a fault nor another caution has come for it.
    [[nodiscard]] bool cures(const Outcome& after) const {
        if (m_finding.severity == Severity::Fault)
            return after.weight().first < countOf(m_all, Severity::Fault) &&
                   countSame(after.findings) < countSame(m_all);
        return after.weight().first <= countOf(m_all, Severity::Fault) &&
               after.weight().second < countOf(m_all, Severity::Caution) &&
               countSame(after.findings) < countSame(m_all);
    }
    [[nodiscard]] int countSame(const Findings& findings) const {
        return static_cast<int>(
            std::count_if(findings.begin(), findings.end(),
                          [&](const Finding& other) { return other.id == m_finding.id; }));
    }

    const Case& m_now;
    const Findings& m_all;
    Finding& m_finding;
    Trials& m_trials;
    int m_take; ///< -1: about the day
    std::string m_camera;
    std::optional<Remedy> m_adding; ///< cures, and adds a fault
};

// What is tried against what, in this order.
struct Cure {
    std::vector<FindingId> of;
    std::vector<void (Offers::*)()> ways;
};

const std::vector<Cure>& cures() {
    using enum FindingId;
    static const std::vector<Cure> all = {
        {{DayCardFull, DayCardFullWhole, DayCardNoneLeft, DayCardTooSmall, DayCardTight,
          DayChangeInside},
         {&Offers::relay, &Offers::lendCards, &Offers::otherMode, &Offers::wait,
          &Offers::lendReader, &Offers::letStop}},
        {{DayNoCard, DayCardMarginal, DayCardMarginalBuffer, DayRateLowered}, {&Offers::otherMode}},
        {{DayMirrorSlow, DayMirrorFull},
         {&Offers::lendCards, &Offers::mirrorOff, &Offers::otherMode}},
        {{DayCardBackTight}, {&Offers::lendCards, &Offers::lendReader}},
        {{DayClipLimit, DayClipSplit, DayHeat}, {&Offers::otherMode, &Offers::letStop}},
        {{DayBatteryEmpty, DayBatteryEmptyWhole, DayBatteryTight, DayBatteryInside},
         {&Offers::externalPower, &Offers::lendBatteries, &Offers::lendCharger, &Offers::wait,
          &Offers::letStop}},
        {{DayPowerNeeded}, {&Offers::externalPower, &Offers::otherMode}},
        {{DayNoSecondCopy}, {&Offers::lendDrive}},
        {{DayNoReader, DaySafeLate, DayNeverSafe}, {&Offers::lendReader}},
        {{DayStorageShort}, {&Offers::largerDrives}}};
    return all;
}

} // namespace

void offerRemedies(const Case& now, const Findings& all, Finding& finding, Trials& trials) {
    Offers offers(now, all, finding, trials);
    if (offers.isPast() || offers.full())
        return;
    for (const auto& cure : cures())
        if (std::find(cure.of.begin(), cure.of.end(), finding.id) != cure.of.end())
            for (const auto way : cure.ways)
                (offers.*way)();
    offers.finish();
}

} // namespace bslate::day
