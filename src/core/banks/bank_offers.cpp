#include "core/banks/bank_offers.h"

#include "core/banks/bank_record.h"

#include <algorithm>

namespace bslate::banks {
namespace {

constexpr std::size_t kMostOffers = 3;

std::size_t countSame(const Findings& findings, const Finding& finding) {
    return static_cast<std::size_t>(
        std::count_if(findings.begin(), findings.end(),
                      [&](const Finding& other) { return other.key() == finding.key(); }));
}

bool cures(const Findings& before, const Findings& after, const Finding& finding) {
    return countSame(after, finding) < countSame(before, finding) &&
           countOf(after, Severity::Fault) <= countOf(before, Severity::Fault);
}

// Faults and cautions that were not there before, by their titles.
ReasonList addedBy(const Findings& before, const Findings& after) {
    ReasonList added;
    for (const auto& own : after)
        if (own.severity <= Severity::Caution &&
            std::none_of(before.begin(), before.end(),
                         [&](const Finding& was) { return was.key() == own.key(); }))
            added.all.push_back({kindOf(own.id).key, own.facts});
    return added;
}

// What a remedy turns all into.
struct Outcome {
    Seconds cost;
    Findings then;
};

void keep(const Case& now, const Findings& all, Finding& finding, Remedy remedy,
          const Outcome& after) {
    remedy.effect =
        Reason{"banks-effect", {{"cost", Duration{after.cost}}, {"was", Duration{now.now.cost}}}};
    if (auto added = addedBy(all, after.then); !added.all.empty())
        remedy.effect = Reason{
            "effect-but", {{"effect", ReasonList{{*remedy.effect}}}, {"added", std::move(added)}}};
    finding.remedies.push_back(std::move(remedy));
}

void tryThreads(const Case& now, const Findings& all, Finding& finding, RemedyId id, Facts facts,
                const Threads& threads) {
    if (finding.remedies.size() >= kMostOffers || threads == now.threads)
        return;
    const auto then = caseOf(now.shoot, now.camera, now.plan, threads, now.formats);
    const auto findings = findingsOf(then);
    if (!cures(all, findings, finding))
        return;
    Edit edit;
    edit.setups = rethreaded(now.problem(), now.shoot, threads);
    keep(now, all, finding, {id, std::move(facts), std::move(edit)}, {then.now.cost, findings});
}

Threads moved(const Case& now, int from, int to) {
    auto threads = now.threads;
    std::replace(threads.begin(), threads.end(), from, to);
    return threads;
}

// The bank's setups to a bank nobody uses, the nearest label first; those inside before the card's.
void offerMoves(const Case& now, const Findings& all, Finding& finding, int from) {
    const auto setups = now.setupsOf(static_cast<std::size_t>(from));
    for (const auto place : {BankPlace::Inside, BankPlace::Card})
        for (std::size_t b = 0; b < now.problem().banks.size(); ++b) {
            const auto& bank = now.problem().banks[b];
            const int to = static_cast<int>(b);
            const bool free =
                std::find(now.threads.begin(), now.threads.end(), to) == now.threads.end();
            if (bank.locked || bank.place != place || !free || !finding.remedies.empty())
                continue;
            tryThreads(now, all, finding, RemedyId::MoveBank,
                       {{"setups", setups}, {"bank", bank.label}}, moved(now, from, to));
        }
}

// Kept where the plan of the camera with this body cures the finding.
void tryBody(const Case& now, const Findings& all, Finding& finding, RemedyId id, Facts facts,
             const Body& body) {
    Edit edit;
    edit.kit = now.shoot.kit;
    for (auto& camera : edit.kit->cameras)
        if (camera.id == now.camera.id)
            camera.body = body;
    const auto after = applied(now.shoot, edit);
    const auto& camera = *findCamera(after.kit, now.camera.id);
    const auto plan = planCamera(after, camera);
    const auto then = caseOf(after, camera, plan, now.threads, now.formats);
    const auto findings = findingsOf(then);
    if (cures(all, findings, finding))
        keep(now, all, finding, {id, std::move(facts), std::move(edit)}, {then.now.cost, findings});
}

std::optional<std::size_t> controlNamed(const Case& now, const std::string& label) {
    for (std::size_t c = 0; c < now.camera.body.controls.size(); ++c)
        if (now.camera.body.controls[c].label == label)
            return c;
    return std::nullopt;
}

void offerPutBack(const Case& now, const Findings& all, Finding& finding) {
    const auto at = controlNamed(now, finding.subject);
    if (!at || !now.camera.body.controls[*at].chosen)
        return;
    auto body = now.camera.body;
    const auto& control = now.camera.body.controls[*at];
    body.controls[*at].chosen.reset();
    tryBody(now, all, finding, RemedyId::PutBack,
            {{"function", control.printed.value_or(*control.chosen)}, {"control", control.label}},
            body);
}

// What each control beside does then, "zebra on M2": those of the body before are left out.
ReasonList givenInstead(const Body& before, const Body& after) {
    ReasonList list;
    for (std::size_t c = 0; c < after.controls.size(); ++c)
        if (after.controls[c].chosen != before.controls[c].chosen)
            list.all.push_back(
                {"function-on",
                 {{"function", *after.controls[c].chosen}, {"control", after.controls[c].label}}});
    return list;
}

void offerClear(const Case& now, const Findings& all, Finding& finding) {
    const auto at = controlNamed(now, finding.subject);
    auto body = at ? withClear(now.camera.body, now.plan.needs, *at) : std::nullopt;
    if (!body)
        return;
    Facts facts{{"given", givenInstead(now.camera.body, *body)}};
    tryBody(now, all, finding, RemedyId::KeepClear, std::move(facts), *body);
}

// Where nothing beside it can do something else: what is printed is overruled.
void offerOverrule(const Case& now, const Findings& all, Finding& finding) {
    const auto at = controlNamed(now, finding.subject);
    if (!at || !finding.remedies.empty())
        return;
    const auto& takes = now.camera.body.controls[*at].takes;
    for (const auto& need : now.plan.needs) {
        if (std::find(takes.begin(), takes.end(), need.function) == takes.end() ||
            need.function == Function::Erase || need.function == Function::Format)
            continue;
        const Reason given{"function-on",
                           {{"function", need.function}, {"control", finding.subject}}};
        return tryBody(now, all, finding, RemedyId::KeepClear, {{"given", ReasonList{{given}}}},
                       withChosen(now.camera.body, now.plan.controls, *at, need.function));
    }
}

// Written on the body now, as the plan has it, and noted.
void offerWriting(const Case& now, const Findings& all, Finding& finding, std::size_t bank) {
    CameraRecord record;
    if (now.record)
        record = *now.record;
    record.id = now.camera.id;
    Edit edit;
    edit.record = withWritten(std::move(record), now.problem(), now.now, bank, {});
    const auto after = applied(now.shoot, edit);
    const auto then = caseOf(after, now.camera, now.plan, now.threads, now.formats);
    if (!cures(all, findingsOf(then), finding))
        return;
    const auto& setup = now.setups()[*now.now.writtenAs[bank]];
    const auto lines = bankLines(now.problem(), bank, *now.now.writtenAs[bank]).size();
    const auto changes =
        now.record ? changesOf(now.problem(), now.now, *now.record, bank).size() : 0;
    Remedy remedy{
        RemedyId::WriteBank, {{"bank", finding.subject}, {"setup", setup.number}}, std::move(edit)};
    remedy.effect =
        Reason{"write-effect", {{"count", static_cast<int>(changes == 0 ? lines : changes)}}};
    finding.remedies.push_back(std::move(remedy));
}

int bankNamed(const Case& now, const std::string& label) {
    for (std::size_t b = 0; b < now.problem().banks.size(); ++b)
        if (now.problem().banks[b].label == label)
            return static_cast<int>(b);
    return -1;
}

} // namespace

void offerRemedies(const Case& now, const Findings& all, Finding& finding) {
    switch (finding.id) {
    case FindingId::BankLost:
    case FindingId::BankOnCard:
    case FindingId::BankLocked:
    case FindingId::BankForgetsShutter: {
        const int bank = bankNamed(now, finding.subject);
        offerMoves(now, all, finding, bank);
        tryThreads(now, all, finding, RemedyId::BestBanks, {}, now.plan.best.threads);
        tryThreads(now, all, finding, RemedyId::NoBank,
                   {{"setups", now.setupsOf(static_cast<std::size_t>(bank))}},
                   moved(now, bank, -1));
        break;
    }
    case FindingId::BankRelies: // without a bank still more would only stand
        offerMoves(now, all, finding, bankNamed(now, finding.subject));
        tryThreads(now, all, finding, RemedyId::BestBanks, {}, now.plan.best.threads);
        break;
    case FindingId::BanksOther:
    case FindingId::BanksTooFew:
    case FindingId::SettingSlips:
        tryThreads(now, all, finding, RemedyId::BestBanks, {}, now.plan.best.threads);
        break;
    case FindingId::BankChanged:
    case FindingId::BankUnwritten: {
        const int bank = bankNamed(now, finding.subject);
        offerWriting(now, all, finding, static_cast<std::size_t>(bank));
        if (finding.id == FindingId::BankChanged)
            tryThreads(now, all, finding, RemedyId::NoBank,
                       {{"setups", now.setupsOf(static_cast<std::size_t>(bank))}},
                       moved(now, bank, -1));
        break;
    }
    case FindingId::PrintedMoved:
        offerPutBack(now, all, finding);
        break;
    case FindingId::EraseNear:
        offerPutBack(now, all, finding);
        offerClear(now, all, finding);
        offerOverrule(now, all, finding);
        break;
    default:
        break;
    }
}

} // namespace bslate::banks
