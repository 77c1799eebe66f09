#include "core/verdict/levers.h"
#include "core/verdict/rules/offer.h"
#include "core/verdict/rules/rules.h"
#include "core/verdict/schools.h"

#include <cmath>

namespace bslate::rules {
namespace {

constexpr double kOffPlace = 0.34; // just over a third of a stop: common practice, no source

bool schoolSatisfied(const Case& now, const Evaluation& after) {
    const auto target = targetOf(now.context.setup->school, now.context, after);
    return target && std::abs(target->shift.value()) <= kOffPlace;
}

} // namespace

void skinOffPlace(const Case& now, Findings& out) {
    const auto* face = skin(now.at);
    if (!face)
        return;
    const auto wanted = skinPlace(now.context, now.at, *face);
    if (!wanted)
        return;
    const Stops off = face->recorded - *wanted;
    const bool right = std::abs(off.value()) <= kOffPlace;
    Finding finding;
    finding.id = right ? "skin-in-place" : off > Stops(0.0) ? "skin-above" : "skin-below";
    finding.severity = right ? Severity::Good : Severity::Caution;
    finding.subject = face->id;
    finding.source = kCommonPractice;
    finding.facts = {{"patch", face->name},
                     {"level", face->level},
                     {"off", off},
                     {"wanted", levelAt(now.context.profile->curve, *wanted, now.at.depth)},
                     {"school", now.context.setup->school}};
    if (!right)
        for (auto& remedy : exposureRemedies(now, -off))
            offer(now, finding, std::move(remedy), [&](const Evaluation& after) {
                const auto* moved = skin(after);
                const auto place = skinPlace(now.context, after, *moved);
                return place && std::abs((moved->recorded - *place).value()) <= kOffPlace;
            });
    out.push_back(std::move(finding));
}

void lightToSpareOrShort(const Case& now, Findings& out) {
    const auto target = targetOf(now.context.setup->school, now.context, now.at);
    if (!target || std::abs(target->shift.value()) <= kOffPlace)
        return;
    const bool tooMuch = target->shift < Stops(0.0);
    const bool ndLeft = !tooMuch && now.context.ndLoss > Stops(0.1);
    Finding finding;
    finding.id = tooMuch ? "nd-needed" : ndLeft ? "nd-left-over" : "light-short";
    finding.severity = Severity::Caution;
    finding.source = "ISO 2720:1974 exposure equation";
    finding.facts = {{"by", target->shift},
                     {"nd", now.context.ndLoss},
                     {"school", now.context.setup->school},
                     {"stack", now.context.ndLoss - target->shift}};
    for (auto& remedy : exposureRemedies(now, target->shift))
        offer(now, finding, std::move(remedy),
              [&](const Evaluation& after) { return schoolSatisfied(now, after); });
    out.push_back(std::move(finding));
}

void schoolSuggestion(const Case& now, Findings& out) {
    const School chosen = now.context.setup->school;
    const School suggested = suggestedSchool(now.context, now.at);
    if (chosen == suggested)
        return;
    const auto mine = targetOf(chosen, now.context, now.at);
    const auto other = targetOf(suggested, now.context, now.at);
    if (!mine || !other)
        return;
    // Rated without a rating yet means the usual one stop, taken by the setup's payer.
    const bool newRating = suggested == School::Rated && std::abs(now.at.gain.value()) < 0.05 &&
                           now.at.iso == IsoBehaviour::Index;
    const Stops over(newRating ? 1.0 : 0.0);
    Finding finding;
    finding.id = "school-suggested";
    finding.severity = Severity::Note;
    finding.source = kCommonPractice;
    finding.facts = {{"school", suggested},
                     {"chosen", chosen},
                     {"highlights", other->highlights - over},
                     {"shadows", other->shadows + over},
                     {"mineHighlights", mine->highlights},
                     {"mineShadows", mine->shadows}};
    Edit edit{*now.context.setup, std::nullopt};
    if (newRating) {
        const auto rating = nearestRating(now.at.base.value() / 2.0);
        if (auto turned = turn(*now.context.shoot, *now.context.setup, TurnRating{rating}))
            edit = std::move(turned->edit);
    }
    edit.setup->school = suggested;
    offer(now, finding, Remedy{"set-school", {{"school", suggested}}, std::move(edit), {}, {}, 0},
          [](const Evaluation&) { return true; });
    out.push_back(std::move(finding));
}

void cardReadsDark(const Case& now, Findings& out) {
    const auto implied = impliedReflectance(now.context.shoot->meter);
    const Stops difference = stopsBetween(Reflectance(kMidGrey.value()), implied);
    bool incident = false;
    for (const auto& patch : now.context.scene->patches)
        incident = incident || patch.reading.unit == LightUnit::Lux ||
                   patch.reading.unit == LightUnit::FootCandle;
    if (!incident || std::abs(difference.value()) < 0.05)
        return;
    Finding finding;
    finding.id = "meter-calibration";
    finding.severity = Severity::Note;
    finding.source = "ISO 2720:1974";
    finding.facts = {{"difference", difference},
                     {"implied", static_cast<int>(std::lround(implied.value() * 1000))}};
    out.push_back(std::move(finding));
}

} // namespace bslate::rules
