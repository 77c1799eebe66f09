#include "core/banks/bank_offers.h"

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

void keep(Finding& finding, RemedyId id, Facts facts, Edit edit, Seconds cost, Seconds before) {
    Remedy remedy{id, std::move(facts), std::move(edit)};
    remedy.effect = Reason{"banks-effect", {{"cost", Duration{cost}}, {"was", Duration{before}}}};
    finding.remedies.push_back(std::move(remedy));
}

void tryThreads(const Case& now, const Findings& all, Finding& finding, RemedyId id, Facts facts,
                const Threads& threads) {
    if (finding.remedies.size() >= kMostOffers || threads == now.threads)
        return;
    const auto then = caseOf(now.shoot, now.camera, now.plan, threads, now.formats);
    if (!cures(all, findingsOf(then), finding))
        return;
    Edit edit;
    edit.setups = rethreaded(now.problem(), now.shoot, threads);
    keep(finding, id, std::move(facts), std::move(edit), then.now.cost, now.now.cost);
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

void offerPutBack(const Case& now, const Findings& all, Finding& finding) {
    for (std::size_t c = 0; c < now.camera.body.controls.size(); ++c) {
        const auto& control = now.camera.body.controls[c];
        if (control.label != finding.subject || !control.chosen)
            continue;
        Edit edit;
        edit.kit = now.shoot.kit;
        for (auto& camera : edit.kit->cameras)
            if (camera.id == now.camera.id)
                camera.body.controls[c].chosen.reset();
        const auto after = applied(now.shoot, edit);
        const auto plan = planCamera(after, *findCamera(after.kit, now.camera.id));
        const auto then =
            caseOf(after, *findCamera(after.kit, now.camera.id), plan, now.threads, now.formats);
        if (!cures(all, findingsOf(then), finding))
            return;
        const auto function = control.printed.value_or(*control.chosen);
        keep(finding, RemedyId::PutBack, {{"function", function}, {"control", control.label}},
             std::move(edit), then.now.cost, now.now.cost);
    }
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
    case FindingId::PrintedMoved:
    case FindingId::EraseNear:
        offerPutBack(now, all, finding);
        break;
    default:
        break;
    }
}

} // namespace bslate::banks
