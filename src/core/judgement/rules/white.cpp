#include "core/advice/offer.h"
#include "core/facts/evaluate.h"
#include "core/facts/neighbours.h"
#include "core/judgement/rules/rules.h"
#include "core/judgement/rules/white_offers.h"
#include "core/kit/camera_colour.h"
#include "core/quantity/print.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

const Reason kChannelNames[] = {{"channel-red", {}}, {"channel-green", {}}, {"channel-blue", {}}};

ReasonList nameOfChannel(std::size_t channel) {
    return {{kChannelNames[channel]}};
}

// In the middle of a sentence.
ReasonList colourOfChannel(std::size_t channel) {
    constexpr std::string_view kIds[] = {"of-red", "of-green", "of-blue"};
    return {{{kIds[channel], {}}}};
}

ReasonList keptOf(const WhiteFacts& white) {
    return {{{white.baked ? "white-is-baked" : "white-is-note", {}}}};
}

// The key by its lamp's name, or as "the light".
Reason keyName(const Case& now) {
    const auto& white = now.at.white;
    const auto name = lightName(now, white.lights[*white.keyLight]);
    return name.empty() ? Reason{"the-light", {}} : named(name);
}

} // namespace

// White against the key, unless the grade is to have another one and white is set for that.
static void whiteAgainstKey(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    if (!white.key)
        return;
    const auto& wanted = now.context.setup->wantedWhite;
    const auto& dial = now.context.camera->white;
    if (wanted && looksAlike(white.point, whitePoint(dial, {*wanted, Tint(0)})))
        return;
    Facts facts = {{"white", print(dial, white.set)},
                   {"light", ReasonList{{keyName(now)}}},
                   {"colour", print(*white.key)},
                   {"mired", apart(white.point, *white.key)},
                   {"duv", offLocus(white.point, *white.key)},
                   {"kept", keptOf(white)}};
    if (looksAlike(white.point, *white.key)) {
        out.push_back({FindingId::WhiteFits, Severity::Good, std::move(facts)});
        return;
    }
    const auto choices = whiteChoices(now.context, white);
    const bool near = apart(white.point, *white.key) <= kSmallestGel;
    if (choices.between == white.set || (near && isTinged(onScene(white, *white.key))))
        return; // that the lights are apart, or that the key is tinged, is told
    facts.push_back({"off", ReasonList{{near ? Reason{"off-duv", {{"duv", facts[4].value}}}
                                             : Reason{"off-mired", {{"mired", facts[3].value}}}}}});
    facts.push_back({"turns", tingeOf(*white.key, white.point)});
    Finding finding{FindingId::WhiteOff, white.baked ? Severity::Caution : Severity::Note,
                    std::move(facts)};
    offerWhite(now, finding, {RemedyId::SetWhite, *choices.key, *white.key, *white.key});
    if (choices.between)
        offerWhite(now, finding,
                   {RemedyId::WhiteBetween, *choices.between, *white.key, *white.key});
    offerGels(now, finding, {white.lights[*white.keyLight], white.point});
    out.push_back(std::move(finding));
}

// Each light that counts and stands apart from the key.
static void lightsApart(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    const auto* farthest = farthestFromKey(white);
    if (!farthest)
        return;
    const auto& key = white.lights[*white.keyLight];
    const auto choices = whiteChoices(now.context, white);
    // Halfway is all that white can do about it.
    const bool shared = choices.between == white.set;
    for (const auto& other : white.lights) {
        if (&other == &key || !counts(other) || apart(other.colour, key.colour) <= kSmallestGel)
            continue;
        Finding finding{shared ? FindingId::LightsShared : FindingId::LightsApart,
                        shared ? Severity::Note : Severity::Caution,
                        {{"light", ReasonList{{keyName(now)}}},
                         {"other", lightName(now, other)},
                         {"mired", apart(other.colour, key.colour)},
                         {"white", print(now.context.camera->white, white.set)},
                         {"turns", tingeOf(other.colour, white.point)},
                         {"keyTurns", tingeOf(key.colour, white.point)}}};
        finding.subject = lightName(now, other);
        offerGels(now, finding, {other, key.colour, &key});
        offerGels(now, finding, {key, other.colour, &other});
        if (&other == farthest) {
            // Halfway is no nearer to either than they are to each other by half.
            const auto halfway = whitePoint(now.context.camera->white, *choices.between);
            offerWhite(now, finding,
                       {RemedyId::WhiteBetween, *choices.between, halfway, *white.key});
        }
        out.push_back(std::move(finding));
    }
}

// A colour nobody measured stands nowhere: it is taken as usual, with what it may be as well.
static Reason howKnown(const SceneLight& light) {
    return light.usual
               ? Reason{"light-usual", {{"warmest", light.warmest}, {"coolest", light.coolest}}}
               : Reason{"light-stands", {}};
}

static void lightsTinged(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    for (std::size_t i = 0; i < white.lights.size(); ++i) {
        const auto& light = white.lights[i];
        const auto lit = onScene(white, light.colour); // what filters do is told by itself
        if (!isTinged(lit))
            continue;
        const Duv off = lit.duv - usualDuv(lit.cct);
        const bool green = off > Duv(0), key = i == white.keyLight;
        // A tint that answers it is all there is to do, and what is like the key is told there.
        if (looksAlike(key ? white.point : *white.key, light.colour))
            continue;
        const auto name = lightName(now, light);
        Finding finding{
            green ? FindingId::LightGreen : FindingId::LightMagenta,
            Severity::Caution,
            {{"light", ReasonList{{name.empty() ? Reason{"the-light", {}} : named(name)}}},
             {"duv", lit.duv},
             {"off", Duv(std::abs(off.value()))},
             {"how", ReasonList{{howKnown(light)}}},
             {"colour", print(lit)}}};
        finding.subject = name;
        if (key)
            offerWhite(now, finding,
                       {RemedyId::SetWhite, whiteFor(now.context.camera->white, light.colour),
                        light.colour, light.colour});
        const ColourPoint clean{lit.cct, usualDuv(lit.cct)};
        offerGels(now, finding, {light, shifted(clean, white.filters)});
        out.push_back(std::move(finding));
    }
}

// What the filters do to every light, where that can be seen.
static void filtersShift(const Case& now, Findings& out) {
    const auto& shift = now.at.white.filters;
    const bool tinges = std::abs(shift.duv.value()) > kTinges.value();
    if (std::abs(shift.mired.value()) <= kUnseen.value() && !tinges)
        return;
    const bool answered = now.context.camera->white.tint || !tinges;
    ReasonList how;
    if (!answered)
        how.all.push_back({"filters-no-tint", {}});
    out.push_back(
        {FindingId::FiltersShift,
         answered ? Severity::Note : Severity::Caution,
         {{"turns", tingeOf(now.at.white.point, onScene(now.at.white, now.at.white.point))},
          {"mired", Mired(std::abs(shift.mired.value()))},
          {"duv", shift.duv},
          {"nd", now.context.ndLoss},
          {"how", how}}});
}

// White against what this cuts with, and against the other cameras.
static void whiteOfNeighbours(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    for (const auto* other : cutsWith(*now.context.shoot, setup)) {
        const auto* camera = findCamera(now.context.shoot->kit, other->camera);
        if (!camera)
            continue;
        const auto theirs = whiteOnDial(camera->white, WhiteSetting{other->white, other->tint});
        const auto behind = resolve(*now.context.shoot, *other);
        if (!behind)
            continue;
        // The light on the scene that theirs makes neutral, as it comes through these filters.
        const auto point = shifted(shifted(whitePoint(camera->white, theirs), -behind->filterShift),
                                   now.at.white.filters);
        if (apart(point, now.at.white.point) <= kUnseen &&
            offLocus(point, now.at.white.point) <= kTinges)
            continue;
        const bool cameras = other->camera != setup.camera;
        Finding finding{cameras ? FindingId::WhiteCamerasDiffer : FindingId::WhiteCutsDiffer,
                        now.at.white.baked ? Severity::Caution : Severity::Note,
                        {{"setup", other->number},
                         {"camera", camera->name},
                         {"mired", apart(point, now.at.white.point)},
                         {"duv", offLocus(point, now.at.white.point)},
                         {"other", print(camera->white, theirs)},
                         {"white", print(now.context.camera->white, now.at.white.set)}}};
        finding.subject = other->number;
        offerWhite(now, finding,
                   {RemedyId::WhiteAs,
                    whiteFor(now.context.camera->white, point),
                    point,
                    point,
                    {{"setup", other->number}}});
        out.push_back(std::move(finding));
    }
}

static void channelsFirst(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    for (std::size_t i = 0; i < white.patches.size(); ++i) {
        const auto& patch = now.at.patches[i];
        const auto& by = white.patches[i];
        const Stops room = by.room[by.clipsFirst], above = by.above[by.drownsFirst];
        if (patch.role == PatchRole::Spare || isLost(patch))
            continue;
        const auto finding = [&](FindingId id, std::size_t channel, Stops lost) {
            Finding one{id,
                        Severity::Caution,
                        {{"patch", patch.name},
                         {"channel", nameOfChannel(channel)},
                         {"ofChannel", colourOfChannel(channel)},
                         {"by", Stops(std::abs(lost.value()))},
                         {"left", patch.headroom},
                         {"above", patch.aboveNoise},
                         {"colour", print(by.light)}}};
            one.subject = patch.id;
            return one;
        };
        const auto kept = [i](const Evaluation& after) {
            const auto& then = after.white.patches[i];
            return then.room[then.clipsFirst] >= Stops(0) &&
                   then.above[then.drownsFirst] >= Stops(0);
        };
        const auto offerAll = [&](Finding& one, std::vector<Remedy> remedies) {
            for (auto& remedy : remedies)
                offer(now, one.remedies, std::move(remedy), [&](const Evaluation& after) {
                    return kept(after) && !bringsTrouble(now, after);
                });
        };
        if (room < -kTold) {
            auto one = finding(FindingId::ChannelClips, by.clipsFirst, room);
            offerAll(one, darkeningRemedies(now, -room));
            out.push_back(std::move(one));
        }
        if (isSkin(patch.role) && above < -kTold) {
            auto one = finding(FindingId::ChannelDrowns, by.drownsFirst, above);
            offerAll(one, exposureRemedies(now, -above + Stops(1.0 / 3)));
            out.push_back(std::move(one));
        }
    }
}

static void whiteWantedElsewhere(const Case& now, Findings& out) {
    const auto& wanted = now.context.setup->wantedWhite;
    const auto& white = now.at.white;
    if (!wanted || !white.baked)
        return;
    const auto& dial = now.context.camera->white;
    const auto aim = whitePoint(dial, {*wanted, Tint(0)});
    if (looksAlike(white.point, aim))
        return;
    const CameraColour camera(*now.context.camera);
    const auto later =
        laterWhite(white.point, camera.gains(white.point), aim, camera.gains(aim), std::nullopt);
    std::size_t most = 0;
    for (std::size_t c = 0; c < later.channels.size(); ++c)
        if (later.channels[c].gain > later.channels[most].gain)
            most = c;
    Finding finding{FindingId::WhiteWantedElsewhere,
                    Severity::Caution,
                    {{"white", print(dial, white.set)},
                     {"wanted", *wanted},
                     {"channel", nameOfChannel(most)},
                     {"ofChannel", colourOfChannel(most)},
                     {"gain", later.channels[most].gain},
                     {"lost", later.staysClipped}}};
    offerWhite(now, finding, {RemedyId::SetWhite, whiteFor(dial, aim), aim, aim});
    out.push_back(std::move(finding));
}

static void whiteBeforeNd(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    const Stops strong(kInfraredDensity.value() / std::log10(2.0) - 0.01);
    const bool shifts = now.at.white.filters != ColourShift{};
    if (setup.whiteBy != WhiteBy::Card || !setup.whiteNd ||
        (now.context.ndLoss < strong && !shifts) || now.context.ndLoss - *setup.whiteNd < Stops(1))
        return;
    Finding finding{FindingId::WhiteBeforeNd,
                    Severity::Caution,
                    {{"nd", now.context.ndLoss}, {"then", *setup.whiteNd}}};
    Edit edit{setup, std::nullopt};
    edit.setup->whiteNd = now.context.ndLoss;
    offer(now, finding.remedies, Remedy{RemedyId::MeasureWhite, {}, std::move(edit)},
          [](const Evaluation&) { return true; });
    out.push_back(std::move(finding));
}

static void whiteInTheTake(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    for (const auto& light : white.lights) {
        if (!light.end || looksAlike(*light.end, light.colour))
            continue;
        const Mired middle = (miredOf(light.colour.cct) + miredOf(light.end->cct)) * 0.5;
        const ColourPoint halfway{kelvinOf(middle), (light.colour.duv + light.end->duv) * 0.5};
        const auto between = whiteFor(now.context.camera->white, halfway);
        const bool shared = between == white.set;
        Finding finding{shared ? FindingId::WhiteMidway : FindingId::WhiteWanders,
                        shared ? Severity::Note : Severity::Caution,
                        {{"light", lightName(now, light)},
                         {"from", print(light.colour)},
                         {"to", print(*light.end)},
                         {"mired", apart(*light.end, light.colour)},
                         {"turns", tingeOf(*light.end, white.point)}}};
        finding.subject = lightName(now, light);
        offerWhite(now, finding, {RemedyId::WhiteBetween, between, halfway, light.colour});
        out.push_back(std::move(finding));
    }
}

static void whiteOffTheDial(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    const auto& dial = now.context.camera->white;
    const WhiteSetting wanted{setup.white, setup.tint};
    if (wanted == now.at.white.set)
        return;
    std::string text = print(wanted.kelvin);
    if (setup.tint != Tint(0))
        text += " " + printTint(WhiteDial{0, kWarmest, kCoolest, dial.tint.value_or(TintDial{})},
                                setup.tint);
    Finding finding{FindingId::WhiteOffDial,
                    Severity::Note,
                    {{"wanted", text}, {"white", print(dial, now.at.white.set)}}};
    Remedy remedy{RemedyId::SetWhite,
                  {{"white", print(dial, now.at.white.set)}},
                  withWhite(setup, now.at.white.set)};
    offer(now, finding.remedies, std::move(remedy),
          [&](const Evaluation& after) { return after.white.set == now.at.white.set; });
    out.push_back(std::move(finding));
}

std::span<const Rule> whiteRules() {
    static constexpr Rule kRules[] = {
        whiteAgainstKey, lightsApart,          lightsTinged,  filtersShift,   whiteOfNeighbours,
        channelsFirst,   whiteWantedElsewhere, whiteBeforeNd, whiteInTheTake, whiteOffTheDial};
    return kRules;
}

} // namespace bslate::rules
