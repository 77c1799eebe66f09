#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/facts/heat_reason.h"
#include "core/facts/lattice.h"
#include "core/judgement/rules/rules.h"
#include "core/light/described.h"
#include "core/media/card_fit.h"
#include "core/media/recording.h"

#include <cmath>

namespace bslate::rules {
namespace {

Finding limit(FindingId id, Severity severity, Facts facts) {
    return {id, severity, std::move(facts)};
}

// Takes run over: what a card must hold beyond a take that must not be interrupted.
Seconds withMargin(Seconds take) {
    return take * (1 + kTakeMargin);
}

// Offers the first mode at this rate in which clip, heat and card all outlast the take.
void offerLasting(const Case& now, Finding& finding) {
    if (!now.remedies)
        return;
    const auto& setup = *now.context.setup;
    const Seconds take = now.context.scene->longestTake;
    const auto lasts = [&](const RecordingMode& mode, const ModeCell& cell) {
        const auto heat = heatTime(mode, ambientOf(now.context));
        return (!mode.clipLimit || *mode.clipLimit >= take) && (!heat || heat->time >= take) &&
               (!cell.recordTime || *cell.recordTime >= withMargin(take));
    };
    for (const auto& mode : now.context.camera->modes) {
        if (&mode == now.context.mode)
            continue;
        const auto cell = cellOf(latticeCase(now.context), mode, setup.rate);
        if (!cell.available() || !lasts(mode, cell))
            continue;
        const auto turned = turn(*now.context.shoot, setup, TurnMode{mode.id, setup.rate, {}});
        if (!turned)
            continue;
        offer(now, finding.remedies,
              Remedy{RemedyId::SetMode, {{"mode", mode.name}, {"rate", setup.rate}}, turned->edit},
              [&](const Evaluation& after) {
                  const auto& facts = after.recording;
                  return facts.bitRate && facts.cardHolds && facts.recordTime &&
                         *facts.recordTime >= withMargin(take);
              });
        if (!finding.remedies.empty() && finding.remedies.back().id == RemedyId::SetMode)
            return;
    }
}

// Goes on in the second slot, when both cards together outlast the take.
void offerRelay(const Case& now, Finding& finding) {
    Edit edit{*now.context.setup, std::nullopt};
    if (edit.setup->secondSlot == SecondSlot::Relay)
        return;
    edit.setup->secondSlot = SecondSlot::Relay;
    const Seconds take = now.context.scene->longestTake;
    offer(now, finding.remedies,
          Remedy{RemedyId::DayRelay, {{"camera", now.context.camera->name}}, std::move(edit)},
          [&](const Evaluation& after) {
              return after.recording.recordTime && *after.recording.recordTime >= withMargin(take);
          });
}

// Gives the copy up for a proxy, or for nothing.
void offerWithoutMirror(const Case& now, Finding& finding) {
    const Seconds take = now.context.scene->longestTake;
    const auto cured = [&](const Evaluation& after) {
        const auto& facts = after.recording;
        return (!facts.second || facts.second->holds) && facts.cardHolds && facts.recordTime &&
               *facts.recordTime >= withMargin(take);
    };
    Edit edit{*now.context.setup, std::nullopt};
    const Facts facts = {{"camera", now.context.camera->name}};
    if (now.context.setup->secondSlot == SecondSlot::Mirror && now.context.mode->proxy) {
        edit.setup->secondSlot = SecondSlot::Proxy;
        offer(now, finding.remedies, Remedy{RemedyId::DayProxy, facts, edit}, cured);
    }
    edit.setup->secondSlot = SecondSlot::Unused;
    offer(now, finding.remedies, Remedy{RemedyId::DayMirrorOff, facts, std::move(edit)}, cured);
}

// The card that ends the take first, with what it is short or how little it has to spare.
void cardForTake(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    const Seconds take = now.context.scene->longestTake;
    if (!facts.recordTime || !facts.cardHolds || *facts.recordTime >= withMargin(take))
        return;
    const bool copy = facts.second && facts.second->endsFirst;
    const bool isShort = *facts.recordTime < take;
    auto finding = limit(!isShort ? FindingId::CardTight
                         : copy   ? FindingId::MirrorShort
                                  : FindingId::CardShort,
                         isShort ? Severity::Fault : Severity::Caution,
                         {{"card", copy ? facts.second->card : facts.card},
                          {"slot", copy ? facts.second->slot : facts.slot},
                          {"time", Duration{*facts.recordTime}},
                          {"take", Duration{take}},
                          {"spare", Duration{std::max(Seconds(0), *facts.recordTime - take)}},
                          {"bitRate", *facts.bitRate}});
    if (copy)
        offerWithoutMirror(now, finding);
    else
        offerRelay(now, finding);
    offerLasting(now, finding);
    out.push_back(std::move(finding));
}

} // namespace

static void takeLimits(const Case& now, Findings& out) {
    const auto& mode = *now.context.mode;
    const auto& facts = now.at.recording;
    const Seconds take = now.context.scene->longestTake;
    const auto ambient = ambientOf(now.context);
    if (take.value() <= 0)
        return;
    if (mode.clipLimit && *mode.clipLimit < take) {
        auto finding = limit(
            FindingId::ClipLimitShort, Severity::Fault,
            {{"limit", Duration{*mode.clipLimit}}, {"take", Duration{take}}, {"mode", mode.name}});
        offerLasting(now, finding);
        out.push_back(std::move(finding));
    }
    if (facts.heat && facts.heat->time < take) {
        auto finding = limit(FindingId::HeatShort, Severity::Fault,
                             {{"camera", now.context.camera->name},
                              {"limit", Duration{facts.heat->time}},
                              {"beyond", beyondHeat(*facts.heat)},
                              {"ambient", ambient},
                              {"take", Duration{take}}});
        offerLasting(now, finding);
        out.push_back(std::move(finding));
    }
    cardForTake(now, out);
}

static void secondSlot(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    const auto tell = [&](FindingId id, const std::string& slot, const std::string& card,
                          DataRate need, DataRate best) {
        auto finding = limit(id, Severity::Fault,
                             {{"camera", now.context.camera->name},
                              {"slot", slot},
                              {"need", CardSpeed{need}},
                              {"best", CardSpeed{best}},
                              {"card", card}});
        offerWithoutMirror(now, finding);
        out.push_back(std::move(finding));
    };
    if (!facts.second)
        return;
    const auto& second = *facts.second;
    if (!facts.card.empty() && !facts.cardHolds)
        tell(FindingId::FirstSlotSlow, facts.slot, facts.card, facts.peak, facts.guaranteed);
    if (!second.holds)
        tell(second.card.empty() ? FindingId::MirrorNoCard : FindingId::MirrorSlow, second.slot,
             second.card, second.peak, second.guaranteed);
}

static void classUnknown(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    const auto tell = [&](const std::string& card, const std::string& slot, DataRate peak,
                          DataRate guaranteed) {
        const bool easily = cardFit(peak, guaranteed) == CardFit::Fits;
        auto finding =
            limit(FindingId::CardClassUnknown, easily ? Severity::Note : Severity::Caution,
                  {{"card", card}, {"slot", slot}, {"best", CardSpeed{guaranteed}}});
        finding.subject = slot;
        out.push_back(std::move(finding));
    };
    if (facts.classUnknown)
        tell(facts.card, facts.slot, facts.peak, facts.guaranteed);
    if (facts.second && facts.second->classUnknown)
        tell(facts.second->card, facts.second->slot, facts.second->peak, facts.second->guaranteed);
}

static void slowMotion(const Case& now, Findings& out) {
    const auto& scene = *now.context.scene;
    const auto slowdown = now.at.recording.slowdown;
    const bool asked = scene.slowMotion.value() > 1.001;
    if (!asked && slowdown.value() <= 1.05)
        return;
    const auto need = wantedRate(scene, now.context.shoot->brief);
    const double off = slowdown.value() / scene.slowMotion.value();
    Finding finding;
    const bool matches = std::abs(std::log2(off)) < 0.05;
    finding.id = matches ? FindingId::SlowMotion
                 : asked ? FindingId::SlowMotionOff
                         : FindingId::SlowMotionUnasked;
    finding.severity = matches ? Severity::Good : Severity::Caution;
    finding.facts = {{"rate", now.context.setup->rate},
                     {"factor", slowdown},
                     {"wanted", scene.slowMotion},
                     {"need", need}};
    if (!matches)
        if (auto turned = turn(*now.context.shoot, *now.context.setup, TurnRate{need}))
            offer(now, finding.remedies, Remedy{RemedyId::SetRate, {{"rate", need}}, turned->edit},
                  [&](const Evaluation& after) {
                      return std::abs(std::log2(after.recording.slowdown.value() /
                                                scene.slowMotion.value())) < 0.05;
                  });
    out.push_back(std::move(finding));
}

static void lightAgainstMinimum(const Case& now, Findings& out) {
    if (!now.at.grey || now.context.ndLoss.value() > 0.05)
        return;
    const auto& setup = *now.context.setup;
    // As viewed at the present rating, then at the dial's lowest.
    const Stops viewed = *now.at.grey + now.at.ratingOffset;
    const Stops over = viewed + stopsBetween(now.context.iso.minimum, setup.rating);
    if (over.value() < 0.3)
        return;
    auto finding =
        limit(FindingId::TooBrightAtMinimum, Severity::Caution,
              {{"limit", now.context.iso.minimum}, {"iris", setup.iris}, {"over", over}});
    for (auto& remedy : exposureRemedies(now, -over))
        offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
            return after.grey &&
                   (*after.grey + after.ratingOffset) < viewed - Stops(0.5) * over.value();
        });
    out.push_back(std::move(finding));
}

static void lightEstimated(const Case& now, Findings& out) {
    const auto& scene = *now.context.scene;
    if (!scene.described || !isEstimated(scene))
        return;
    const auto range = luxOf(*scene.described);
    out.push_back({FindingId::LightEstimated,
                   Severity::Caution,
                   {{"low", range.low},
                    {"high", range.high},
                    {"off", uncertaintyOf(range)},
                    {"source", std::string(range.source)}}});
}

std::span<const Rule> takesRules() {
    static constexpr Rule kRules[] = {takeLimits, secondSlot,          classUnknown,
                                      slowMotion, lightAgainstMinimum, lightEstimated};
    return kRules;
}

} // namespace bslate::rules
