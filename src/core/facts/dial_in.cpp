#include "core/facts/dial_in.h"

#include "core/facts/evaluate.h"

#include "core/facts/lattice.h"
#include "core/facts/neighbours.h"
#include "core/shoot/handling_of.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

using Rows = std::vector<DialInRow>;

Reason shutterOn(const SetupContext& context) {
    const auto& setup = *context.setup;
    const auto dial = nearestOnDial(context.camera->shutter, setup.shutter, setup.rate);
    Facts facts = {{"time", exposureTime(dial, setup.rate)},
                   {"angle", Shutter(shutterAngle(dial, setup.rate))}};
    return {std::holds_alternative<ShutterAngle>(dial) ? "dial-angle" : "dial-time",
            std::move(facts)};
}

Reason ratingOn(const Evaluation& at, const Setup& setup) {
    const std::string_view id = at.iso == IsoBehaviour::Recorded ? "dial-iso"
                                : at.iso == IsoBehaviour::Index  ? "dial-ei"
                                                                 : "dial-ei-note";
    return {id, {{"ei", setup.rating}}};
}

// What it is captured at and what it plays at.
Reason rateOn(const Shoot& shoot, const Setup& setup) {
    if (setup.rate == shoot.brief.rate)
        return {"dial-rate", {{"rate", setup.rate}}};
    return {"dial-rate-for", {{"rate", setup.rate}, {"delivery", shoot.brief.rate}}};
}

std::string gelNames(const Kit& kit, const Scene& scene, const SceneLight& light) {
    std::string names;
    for (const auto& id : scene.lamps[light.lamp].gels)
        if (const auto* gel = findGel(kit, id))
            names += (names.empty() ? "" : " + ") + gel->name;
    return names;
}

// The rate regions that have this rate; none when the camera knows none.
std::optional<Reason> regionOn(const SetupContext& context) {
    std::optional<Reason> told;
    const auto regions =
        regionsFor(*context.camera, *context.mode, context.setup->rate, context.shoot->brief.rate);
    for (auto id = regions.rbegin(); id != regions.rend(); ++id)
        told =
            told ? Reason{"dial-or", {{"name", *id}, {"other", ReasonList{{*told}}}}} : named(*id);
    return told;
}

// Where the recording goes: the best card at hand that holds it.
Reason cardIn(const RecordingFacts& facts) {
    if (facts.card.empty())
        return {"dial-no-card", {}};
    return {facts.cardHolds ? "dial-card" : "dial-card-slow",
            {{"card", facts.card}, {"slot", facts.slot}}};
}

Reason filtersOn(const SetupContext& context) {
    return context.setup->filters.empty() ? Reason{"dial-no-filter", {}}
                                          : named(filterNames(context));
}

Reason secondSlotOn(SecondSlot use) {
    constexpr std::string_view kIds[] = {"dial-unused", "dial-mirror", "dial-relay", "dial-proxy"};
    return {kIds[static_cast<int>(use)], {}};
}

Reason soundOn(SoundBy sound) {
    constexpr std::string_view kIds[] = {"", "dial-off", "dial-sound-camera", "dial-sound-wired",
                                         "dial-sound-radio"};
    return {kIds[static_cast<int>(sound)], {}};
}

Reason focusOn(FocusBy focus) {
    constexpr std::string_view kIds[] = {"", "dial-by-hand", "dial-continuous", "dial-faces"};
    return {kIds[static_cast<int>(focus)], {}};
}

Reason zebraOn(const ZebraValue& zebra) {
    if (!zebra.reachable)
        return {"dial-out-of-reach", {}};
    return {"dial-level", {{"level", zebra.set}}};
}

// In the order hands go over a body: what goes in, what it records, how it sees, then the lens and
// what warns.
Rows rowsOf(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    Rows rows = {{DialInField::Camera, named(context->camera->name)}};
    const auto add = [&](DialInField field, Reason value) {
        rows.push_back({field, std::move(value)});
    };
    if (!shoot.kit.cards.empty())
        add(DialInField::Card, cardIn(at.recording));
    if (setup.secondSlot != SecondSlot::Unused)
        add(DialInField::SecondSlot, secondSlotOn(setup.secondSlot));
    if (auto region = regionOn(*context))
        add(DialInField::Region, *std::move(region));
    add(DialInField::Rate, rateOn(shoot, setup));
    add(DialInField::Recording, named(context->mode->name));
    const auto handling = handlingOf(*context->scene, setup);
    if (at.cell.hasCost(CostKind::Sound))
        add(DialInField::Sound, {"dial-no-sound", {}});
    else if (handling.sound >= SoundBy::Camera || setup.soundBy == SoundBy::None)
        add(DialInField::Sound, soundOn(handling.sound));
    add(DialInField::Profile, named(context->profile->name));
    if (at.iso != IsoBehaviour::Recorded || context->camera->bases.size() > 1)
        add(DialInField::Base, {"dial-iso", {{"ei", at.base}}});
    add(DialInField::Rating, ratingOn(at, setup));
    add(DialInField::White, {setup.whiteBy == WhiteBy::Card ? "dial-white-card" : "dial-white",
                             {{"white", print(context->camera->white, at.white.set)}}});
    for (const auto& light : at.white.lights)
        if (light.loss > Stops(0))
            add(DialInField::Gel, {"dial-gel",
                                   {{"gels", gelNames(shoot.kit, *context->scene, light)},
                                    {"lamp", nameOf(*context->scene, light)}}});
    add(DialInField::Shutter, shutterOn(*context));
    add(DialInField::Nd, filtersOn(*context));
    add(DialInField::Iris, {"dial-iris", {{"iris", setup.iris}}});
    if (handling.focus != FocusBy::Unsaid)
        add(DialInField::Focus, focusOn(handling.focus));
    if (handling.stabiliser)
        add(DialInField::Stabiliser, {*handling.stabiliser ? "dial-on" : "dial-off", {}});
    for (const auto& zebra : at.zebra)
        add(zebra.use == ZebraUse::Skin ? DialInField::ZebraSkin : DialInField::ZebraClip,
            zebraOn(zebra));
    if (setup.bank > 0) {
        const auto banks = banksOf(*context->camera);
        const auto bank = static_cast<std::size_t>(setup.bank) - 1;
        add(DialInField::Bank, bank < banks.size() ? named(banks[bank].label)
                                                   : Reason{"dial-bank", {{"bank", setup.bank}}});
    }
    return rows;
}

} // namespace

int DialInCard::changes() const {
    return static_cast<int>(
        std::count_if(rows.begin(), rows.end(), [](const auto& row) { return row.changed; }));
}

DialInCard dialIn(const Shoot& shoot, const Setup& setup) {
    DialInCard card{setup.number, setup.name, rowsOf(shoot, setup), {}};
    const auto* earlier = earlierOnCamera(shoot, setup);
    if (!earlier)
        return card;
    card.after = earlier->number;
    const Rows before = rowsOf(shoot, *earlier);
    for (auto& row : card.rows) {
        const auto same = std::find_if(before.begin(), before.end(),
                                       [&](const auto& old) { return old.field == row.field; });
        row.changed = same == before.end() || !(same->value == row.value);
    }
    return card;
}

std::string filterNames(const SetupContext& context) {
    std::string names;
    for (const auto& id : context.setup->filters)
        for (const auto& filter : filtersFor(context.shoot->kit, *context.camera))
            if (filter.id == id)
                names += (names.empty() ? "" : " + ") + filter.name;
    return names.empty() ? "none" : names;
}

} // namespace bslate
