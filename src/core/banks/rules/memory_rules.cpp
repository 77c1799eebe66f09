#include "core/banks/bank_record.h"
#include "core/banks/rules/rules.h"
#include "core/shoot/take_line.h"

#include <algorithm>
#include <set>

namespace bslate::banks {
namespace {

Finding aboutBank(const Case& now, std::size_t bank, FindingId id, Severity severity,
                  Facts facts = {}) {
    Finding finding{id, severity, std::move(facts)};
    finding.subject = now.problem().banks[bank].label;
    finding.facts.push_back({"bank", now.problem().banks[bank].label});
    finding.facts.push_back({"setups", now.setupsOf(bank)});
    return finding;
}

// The first setup that recalls the bank after its card was formatted, and before it is written
// anew.
const WorkSetup* lostAt(const Case& now, std::size_t bank) {
    const auto* written =
        now.record ? findWritten(*now.record, now.problem().banks[bank].label) : nullptr;
    for (const auto& visit : now.problem().work.visits) {
        const auto& setup = now.setups()[visit.setup];
        const auto format = now.formats.find(setup.id);
        if (now.threads[visit.setup] == static_cast<int>(bank) && format != now.formats.end() &&
            isGone(format->second, written))
            return &setup;
    }
    return nullptr;
}

bool isUsed(const Case& now, std::size_t bank) {
    return std::find(now.threads.begin(), now.threads.end(), static_cast<int>(bank)) !=
           now.threads.end();
}

std::size_t usableBanks(const Case& now) {
    return static_cast<std::size_t>(std::count_if(now.problem().banks.begin(),
                                                  now.problem().banks.end(),
                                                  [](const Bank& bank) { return !bank.locked; }));
}

// Setups that differ in something a bank of the camera could bring back.
std::size_t differentSetups(const Case& now) {
    std::set<std::vector<int>> different;
    for (const auto& setup : now.setups()) {
        std::vector<int> values;
        for (const auto setting : kBankSettings)
            values.push_back(setup.values[static_cast<std::size_t>(setting)]);
        different.insert(values);
    }
    return different.size();
}

int bankChangesByHand(const Case& now, ReasonList& settings) {
    int count = 0;
    std::set<BodySetting> told;
    for (const auto& use : now.now.uses)
        for (const auto& hand : use.byHand) {
            const bool could = std::find(kBankSettings.begin(), kBankSettings.end(),
                                         hand.setting) != kBankSettings.end();
            if (!could || (hand.why != HandWhy::Differs && hand.why != HandWhy::NoBank))
                continue;
            ++count;
            if (told.insert(hand.setting).second)
                settings.all.push_back({"setting", {{"setting", hand.setting}}});
        }
    return count;
}

} // namespace

static void noBanks(const Case& now, Findings& out) {
    if (!now.problem().banks.empty() || now.setups().empty())
        return;
    int changes = 0;
    for (const int times : now.now.turns.byHand)
        changes += times;
    out.push_back(
        {FindingId::BanksNone,
         Severity::Note,
         {{"camera", now.camera.name}, {"changes", changes}, {"cost", Duration{now.now.cost}}}});
}

static void banksOnCard(const Case& now, Findings& out) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b) {
        if (now.problem().banks[b].place != BankPlace::Card || now.problem().banks[b].locked ||
            !isUsed(now, b))
            continue;
        const auto* lost = lostAt(now, b);
        auto finding = aboutBank(now, b, lost ? FindingId::BankLost : FindingId::BankOnCard,
                                 lost ? Severity::Fault : Severity::Caution);
        if (lost) {
            for (auto& fact : finding.facts)
                if (fact.name == "setups")
                    fact.value = lost->number;
            const auto& format = now.formats.at(lost->id);
            finding.facts.push_back({"day", format.day});
            finding.facts.push_back(
                {"formatted",
                 ReasonList{{{format.inDay ? "format-between" : "format-morning", {}}}}});
        }
        out.push_back(std::move(finding));
    }
}

static void lockedBanks(const Case& now, Findings& out) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b)
        if (now.problem().banks[b].locked && isUsed(now, b))
            out.push_back(aboutBank(now, b, FindingId::BankLocked, Severity::Fault));
}

static void rateWithoutShutter(const Case& now, Findings& out) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b) {
        const auto& bank = now.problem().banks[b];
        if (!holds(bank, BodySetting::Rate) || holds(bank, BodySetting::Shutter))
            continue;
        for (std::size_t k = 0; k < now.now.uses.size(); ++k) {
            const auto& hands = now.now.uses[k].byHand;
            const auto left = std::find_if(hands.begin(), hands.end(), [](const auto& hand) {
                return hand.setting == BodySetting::Shutter && hand.why == HandWhy::NotHeld;
            });
            if (now.now.uses[k].bank != static_cast<int>(b) || left == hands.end())
                continue;
            auto finding = aboutBank(now, b, FindingId::BankForgetsShutter, Severity::Caution);
            for (auto& fact : finding.facts)
                if (fact.name == "setups")
                    fact.value = now.setups()[k].number;
            finding.facts.push_back({"shutter", left->to});
            finding.facts.push_back(
                {"rate", now.setups()[k].settings[BodySetting::Rate].value_or("")});
            out.push_back(std::move(finding));
            break;
        }
    }
}

// What banks of other bodies bring back and this one does not, where it happens to be right.
static void banksThatRely(const Case& now, Findings& out) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b) {
        std::string numbers;
        ReasonList settings;
        std::set<BodySetting> told;
        for (std::size_t k = 0; k < now.now.uses.size(); ++k) {
            if (now.now.uses[k].bank != static_cast<int>(b))
                continue;
            bool relies = false;
            for (const auto& one : now.now.uses[k].stands) {
                if (std::find(kBankSettings.begin(), kBankSettings.end(), one.setting) ==
                    kBankSettings.end())
                    continue;
                relies = true;
                if (told.insert(one.setting).second)
                    settings.all.push_back({"setting", {{"setting", one.setting}}});
            }
            if (relies)
                numbers += (numbers.empty() ? "" : ", ") + now.setups()[k].number;
        }
        if (told.empty())
            continue;
        auto finding = aboutBank(now, b, FindingId::BankRelies, Severity::Note);
        for (auto& fact : finding.facts)
            if (fact.name == "setups")
                fact.value = numbers;
        finding.facts.push_back({"settings", settings});
        out.push_back(std::move(finding));
    }
}

static void changedBanks(const Case& now, Findings& out) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b) {
        if (!now.now.writtenAs[b])
            continue;
        const auto* written =
            now.record ? findWritten(*now.record, now.problem().banks[b].label) : nullptr;
        if (!written) {
            out.push_back(aboutBank(now, b, FindingId::BankUnwritten, Severity::Note));
            continue;
        }
        const auto changes = changesOf(now.problem(), now.now, *now.record, b);
        if (!changes.empty())
            out.push_back(aboutBank(now, b, FindingId::BankChanged, Severity::Caution,
                                    {{"when", written->when}, {"changes", toldChanges(changes)}}));
    }
}

static void tooFewBanks(const Case& now, Findings& out) {
    const auto wanted = differentSetups(now), banks = usableBanks(now);
    ReasonList settings;
    if (banks == 0 || wanted <= banks || bankChangesByHand(now, settings) == 0)
        return;
    out.push_back({FindingId::BanksTooFew,
                   Severity::Note,
                   {{"wanted", static_cast<int>(wanted)},
                    {"banks", static_cast<int>(banks)},
                    {"settings", settings},
                    {"cost", Duration{now.now.cost}}}});
}

static void againstTheBest(const Case& now, Findings& out) {
    if (now.problem().banks.empty() || now.setups().empty())
        return;
    const auto& best = now.plan.best.plan;
    if (best.cost < now.now.cost) {
        out.push_back({FindingId::BanksOther,
                       Severity::Caution,
                       {{"saved", Duration{now.now.cost - best.cost}},
                        {"cost", Duration{now.now.cost}},
                        {"best", Duration{best.cost}}}});
        return;
    }
    std::size_t most = 0;
    int banks = 0;
    for (const auto& use : now.now.uses)
        most = std::max(most, use.byHand.size());
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b)
        banks += isUsed(now, b) ? 1 : 0;
    const bool proven = best.proven || best.atLeast >= now.now.cost;
    out.push_back({proven ? FindingId::BanksBest : FindingId::BanksGap,
                   Severity::Good,
                   {{"banks", banks},
                    {"setups", static_cast<int>(now.setups().size())},
                    {"most", static_cast<int>(most)},
                    {"cost", Duration{now.now.cost}},
                    {"least", Duration{best.atLeast}}}});
}

std::span<const Rule> memoryRules() {
    static constexpr Rule kRules[] = {noBanks,       banksOnCard,  lockedBanks, rateWithoutShutter,
                                      banksThatRely, changedBanks, tooFewBanks, againstTheBest};
    return kRules;
}

} // namespace bslate::banks
