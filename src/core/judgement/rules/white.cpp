#include "core/advice/offer.h"
#include "core/facts/neighbours.h"
#include "core/judgement/rules/rules.h"
#include "core/kit/camera_colour.h"
#include "core/quantity/print.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

// Common practice, no source: differences that pass unseen, the smallest gel, and Duv that looks
// green or magenta on skin.
constexpr Mired kUnseen{10}, kSmallestGel{20};
constexpr Duv kTinges{0.005};

Mired apart(ColourPoint a, ColourPoint b) {
    return Mired(std::abs((miredOf(a.cct) - miredOf(b.cct)).value()));
}
Duv offLocus(ColourPoint a, ColourPoint b) {
    return Duv(std::abs((a.duv - b.duv).value()));
}
bool looksAlike(ColourPoint a, ColourPoint b) {
    return apart(a, b) <= kSmallestGel && offLocus(a, b) <= kTinges;
}

const Reason kChannelNames[] = {{"channel-red", {}}, {"channel-green", {}}, {"channel-blue", {}}};

ReasonList nameOfChannel(std::size_t channel) {
    return {{kChannelNames[channel]}};
}

// In the middle of a sentence.
ReasonList colourOfChannel(std::size_t channel) {
    constexpr std::string_view kIds[] = {"of-red", "of-green", "of-blue"};
    return {{{kIds[channel], {}}}};
}

bool isTinged(ColourPoint light) {
    return std::abs((light.duv - usualDuv(light.cct)).value()) > kTinges.value();
}

// What a light makes of skin when white is set for another one.
ReasonList tingeOf(ColourPoint light, ColourPoint white) {
    ReasonList list;
    const double warm = (miredOf(light.cct) - miredOf(white.cct)).value();
    if (std::abs(warm) > kUnseen.value())
        list.all.push_back({warm > 0 ? "turns-warm" : "turns-cool", {}});
    const double green = (light.duv - white.duv).value();
    if (std::abs(green) > kTinges.value())
        list.all.push_back({green > 0 ? "turns-green" : "turns-magenta", {}});
    if (list.all.empty())
        list.all.push_back({"turns-a-little", {}});
    return list;
}

ReasonList keptOf(const WhiteFacts& white) {
    return {{{white.baked ? "white-is-baked" : "white-is-note", {}}}};
}

Edit withWhite(const Setup& setup, const WhiteSetting& white) {
    Edit edit{setup, std::nullopt};
    edit.setup->white = white.kelvin;
    edit.setup->tint = white.tint;
    return edit;
}

// A white of the camera's own dial, and the light it shall come nearer to.
struct WhiteOffer {
    RemedyId id = RemedyId::SetWhite;
    WhiteSetting white;
    ColourPoint wanted;
    ColourPoint against; // what it is told against
    Facts facts = {};
};

void offerWhite(const Case& now, Finding& finding, WhiteOffer wish) {
    const auto& dial = now.context.camera->white;
    const double before = contrastOf(now.at.white.point, wish.wanted);
    wish.facts.insert(wish.facts.begin(), {"white", print(dial, wish.white)});
    Remedy remedy{wish.id, std::move(wish.facts), withWhite(*now.context.setup, wish.white)};
    const auto left = whitePoint(dial, wish.white);
    remedy.effect =
        Reason{"effect-white",
               {{"mired", apart(left, wish.against)}, {"duv", offLocus(left, wish.against)}}};
    offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
        return contrastOf(after.white.point, wish.wanted) < before - 1e-9;
    });
}

std::string lightName(const Case& now, const SceneLight& light) {
    return nameOf(*now.context.scene, light);
}

// The key by its lamp's name, or as "the light".
Reason keyName(const Case& now) {
    const auto& white = now.at.white;
    const auto name = lightName(now, white.lights[*white.keyLight]);
    return name.empty() ? Reason{"the-light", {}} : named(name);
}

// Gels of the kit that bring a lamp to `wanted`, on it.
void offerGels(const Case& now, Finding& finding, const SceneLight& light, ColourPoint wanted) {
    const auto& scene = *now.context.scene;
    const auto& gels = now.context.shoot->kit.gels;
    const auto choice = gelsToward(gels, light.colour, wanted);
    if (!choice || light.lamp >= scene.lamps.size() ||
        scene.lamps[light.lamp].gels.size() + choice->picks.size() > kMostGels)
        return;
    Edit edit;
    edit.scene = scene;
    std::string names;
    for (const auto pick : choice->picks) {
        edit.scene->lamps[light.lamp].gels.push_back(gels[pick].id);
        names += (names.empty() ? "" : " + ") + gels[pick].name;
    }
    Remedy remedy{RemedyId::GelLamp,
                  {{"gels", names}, {"lamp", scene.lamps[light.lamp].name}, {"loss", choice->loss}},
                  std::move(edit)};
    remedy.effect = Reason{"effect-gel",
                           {{"mired", apart(choice->colour, wanted)},
                            {"duv", offLocus(choice->colour, wanted)},
                            {"loss", choice->loss}}};
    const double before = contrastOf(light.colour, wanted);
    const auto lamp = light.lamp;
    offer(now, finding.remedies, std::move(remedy), [&, lamp](const Evaluation& after) {
        return lamp < after.white.lights.size() &&
               contrastOf(after.white.lights[lamp].colour, wanted) < before;
    });
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
    if (choices.between == white.set || (near && isTinged(*white.key)))
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
    offerGels(now, finding, white.lights[*white.keyLight], white.point);
    out.push_back(std::move(finding));
}

static void lightsApart(const Case& now, Findings& out) {
    const auto& white = now.at.white;
    const auto* other = farthestFromKey(white);
    if (!other || apart(other->colour, *white.key) <= kSmallestGel)
        return;
    const auto& key = white.lights[*white.keyLight];
    const auto choices = whiteChoices(now.context, white);
    // Halfway is all that white can do about it.
    const bool shared = choices.between == white.set;
    Finding finding{shared ? FindingId::LightsShared : FindingId::LightsApart,
                    shared ? Severity::Note : Severity::Caution,
                    {{"light", ReasonList{{keyName(now)}}},
                     {"other", lightName(now, *other)},
                     {"mired", apart(other->colour, key.colour)},
                     {"white", print(now.context.camera->white, white.set)},
                     {"turns", tingeOf(other->colour, white.point)},
                     {"keyTurns", tingeOf(key.colour, white.point)}}};
    finding.subject = lightName(now, *other);
    offerGels(now, finding, *other, key.colour);
    // Halfway is no nearer to either than they are to each other by half.
    const auto halfway = whitePoint(now.context.camera->white, *choices.between);
    offerWhite(now, finding, {RemedyId::WhiteBetween, *choices.between, halfway, *white.key});
    out.push_back(std::move(finding));
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
        if (!isTinged(light.colour))
            continue;
        const Duv off = light.colour.duv - usualDuv(light.colour.cct);
        const bool green = off > Duv(0), key = i == white.keyLight;
        // A tint that answers it is all there is to do, and what is like the key is told there.
        if (looksAlike(key ? white.point : *white.key, light.colour))
            continue;
        const auto name = lightName(now, light);
        Finding finding{
            green ? FindingId::LightGreen : FindingId::LightMagenta,
            Severity::Caution,
            {{"light", ReasonList{{name.empty() ? Reason{"the-light", {}} : named(name)}}},
             {"duv", light.colour.duv},
             {"off", Duv(std::abs(off.value()))},
             {"how", ReasonList{{howKnown(light)}}},
             {"colour", print(light.colour)}}};
        finding.subject = name;
        if (key)
            offerWhite(now, finding,
                       {RemedyId::SetWhite, whiteFor(now.context.camera->white, light.colour),
                        light.colour, light.colour});
        offerGels(now, finding, light, {light.colour.cct, usualDuv(light.colour.cct)});
        out.push_back(std::move(finding));
    }
}

// White against what this cuts with, and against the other cameras.
static void whiteOfNeighbours(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    for (const auto* other : cutsWith(*now.context.shoot, setup)) {
        const auto* camera = findCamera(now.context.shoot->kit, other->camera);
        if (!camera)
            continue;
        const auto theirs = whiteOnDial(camera->white, WhiteSetting{other->white, other->tint});
        const auto point = whitePoint(camera->white, theirs);
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
    if (setup.whiteBy != WhiteBy::Card || !setup.whiteNd || now.context.ndLoss < strong ||
        now.context.ndLoss - *setup.whiteNd < Stops(1))
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
    static constexpr Rule kRules[] = {whiteAgainstKey,   lightsApart,    lightsTinged,
                                      whiteOfNeighbours, channelsFirst,  whiteWantedElsewhere,
                                      whiteBeforeNd,     whiteInTheTake, whiteOffTheDial};
    return kRules;
}

} // namespace bslate::rules
