#include "core/judgement/rules/white_offers.h"

#include "core/advice/offer.h"
#include "core/quantity/print.h"

#include <cmath>

namespace bslate::rules {

Mired apart(ColourPoint a, ColourPoint b) {
    return Mired(std::abs((miredOf(a.cct) - miredOf(b.cct)).value()));
}
Duv offLocus(ColourPoint a, ColourPoint b) {
    return Duv(std::abs((a.duv - b.duv).value()));
}
bool looksAlike(ColourPoint a, ColourPoint b) {
    return apart(a, b) <= kSmallestGel && offLocus(a, b) <= kTinges;
}

bool isTinged(ColourPoint light) {
    return std::abs((light.duv - usualDuv(light.cct)).value()) > kTinges.value();
}

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

Edit withWhite(const Setup& setup, const WhiteSetting& white) {
    Edit edit{setup, std::nullopt};
    edit.setup->white = white.kelvin;
    edit.setup->tint = white.tint;
    return edit;
}

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

namespace {

// How far lights that count stand from the key, the farthest of them.
double farthestApart(const WhiteFacts& white) {
    const auto* other = farthestFromKey(white);
    return other ? contrastOf(other->colour, *white.key) : 0;
}

} // namespace

void offerGels(const Case& now, Finding& finding, const GelWish& wish) {
    const auto& scene = *now.context.scene;
    const auto& gels = now.context.shoot->kit.gels;
    const auto lamp = wish.light.lamp;
    if (lamp >= scene.lamps.size())
        return;
    const auto choice = gelsToward(gels, wish.light.colour, wish.wanted);
    if (!choice || scene.lamps[lamp].gels.size() + choice->picks.size() > kMostGels)
        return;
    Edit edit;
    edit.scene = scene;
    std::string names;
    for (const auto& id : idsOf(gels, *choice))
        edit.scene->lamps[lamp].gels.push_back(id);
    for (const auto pick : choice->picks)
        names += (names.empty() ? "" : " + ") + gels[pick].name;
    Remedy remedy{RemedyId::GelLamp,
                  {{"gels", names}, {"lamp", scene.lamps[lamp].name}, {"loss", choice->loss}},
                  std::move(edit)};
    remedy.effect = Reason{"effect-gel",
                           {{"mired", apart(choice->colour, wish.wanted)},
                            {"duv", offLocus(choice->colour, wish.wanted)},
                            {"loss", choice->loss}}};
    const double before = contrastOf(wish.light.colour, wish.wanted);
    const double farthest = farthestApart(now.at.white);
    const auto other = wish.with ? std::optional(wish.with->lamp) : std::nullopt;
    const auto wanted = wish.wanted;
    offer(now, finding.remedies, std::move(remedy), [=](const Evaluation& after) {
        const auto& lights = after.white.lights;
        if (lamp >= lights.size() || (other && *other >= lights.size()))
            return false;
        const auto to = other ? lights[*other].colour : wanted;
        return contrastOf(lights[lamp].colour, to) < before &&
               (!other || farthestApart(after.white) < farthest + 1e-9);
    });
}

} // namespace bslate::rules
