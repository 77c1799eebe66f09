#include "core/facts/setting_table.h"

#include "core/facts/lattice.h"
#include "core/quantity/print.h"

namespace bslate {
namespace {

using Values = std::vector<Dialled>;

Reason shutterOn(const Shutter& dial, FrameRate rate) {
    Facts facts = {{"time", exposureTime(dial, rate)},
                   {"angle", Shutter(shutterAngle(dial, rate))}};
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
std::vector<std::string> regionsOf(const SetupContext& context) {
    return regionsFor(*context.camera, *context.mode, context.setup->rate,
                      context.shoot->brief.rate);
}

Reason eitherOf(const std::vector<std::string>& regions) {
    Reason told = named(regions.back());
    for (auto id = regions.rbegin() + 1; id != regions.rend(); ++id)
        told = {"dial-or", {{"name", *id}, {"other", ReasonList{{told}}}}};
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
    constexpr ByEnum<SecondSlot, std::string_view> kIds{"dial-unused", "dial-mirror", "dial-relay",
                                                        "dial-proxy"};
    return {kIds[use], {}};
}

Reason soundOn(SoundBy sound) {
    constexpr ByEnum<SoundBy, std::string_view> kIds{"", "dial-off", "dial-sound-camera",
                                                     "dial-sound-wired", "dial-sound-radio"};
    return {kIds[sound], {}};
}

std::string soundText(SoundBy sound) {
    constexpr ByEnum<SoundBy, const char*> kTexts{"", "off", "camera microphone",
                                                  "wired microphone", "radio microphone"};
    return kTexts[sound];
}

Reason focusOn(FocusBy focus) {
    constexpr ByEnum<FocusBy, std::string_view> kIds{"", "dial-by-hand", "dial-continuous",
                                                     "dial-faces"};
    return {kIds[focus], {}};
}

std::string focusText(FocusBy focus) {
    constexpr ByEnum<FocusBy, const char*> kTexts{"", "by hand", "continuous", "faces"};
    return kTexts[focus];
}

Values camera(const Dialling& of) {
    return {{named(of.context.camera->name), {}}};
}
Values card(const Dialling& of) {
    if (of.context.shoot->kit.cards.empty())
        return {};
    return {{cardIn(of.at.recording), {}}};
}
Values secondSlot(const Dialling& of) {
    const auto use = of.context.setup->secondSlot;
    return use == SecondSlot::Unused ? Values{} : Values{{secondSlotOn(use), {}}};
}
Values region(const Dialling& of) {
    const auto regions = regionsOf(of.context);
    return regions.empty() ? Values{} : Values{{eitherOf(regions), regions.front()}};
}
Values rate(const Dialling& of) {
    return {{rateOn(*of.context.shoot, *of.context.setup), print(of.context.setup->rate)}};
}
Values recording(const Dialling& of) {
    return {{named(of.context.mode->name), of.context.mode->name}};
}
// Where the mode records none it is off, whatever was wanted; that a scene needs none is said on
// the body alone.
Values sound(const Dialling& of) {
    const auto from = of.handling.sound;
    if (of.at.cell.hasCost(CostKind::Sound))
        return {{Reason{"dial-no-sound", {}},
                 from == SoundBy::Unsaid ? std::string() : soundText(SoundBy::None)}};
    if (from == SoundBy::Unsaid)
        return {};
    const bool onCard = from != SoundBy::None || of.context.setup->soundBy == SoundBy::None;
    return {{onCard ? std::optional(soundOn(from)) : std::nullopt, soundText(from)}};
}
Values profile(const Dialling& of) {
    return {{named(of.context.profile->name), of.context.profile->name}};
}
Values base(const Dialling& of) {
    if (of.at.iso == IsoBehaviour::Recorded && of.context.camera->bases.size() <= 1)
        return {};
    return {{Reason{"dial-iso", {{"ei", of.at.base}}}, print(of.at.base)}};
}
Values rating(const Dialling& of) {
    return {{ratingOn(of.at, *of.context.setup), print(of.context.setup->rating)}};
}
Values white(const Dialling& of) {
    const auto set = print(of.context.camera->white, of.at.white.set);
    const bool card = of.context.setup->whiteBy == WhiteBy::Card;
    return {{Reason{card ? "dial-white-card" : "dial-white", {{"white", set}}}, set}};
}
Values gel(const Dialling& of) {
    Values all;
    const auto& scene = *of.context.scene;
    for (const auto& light : of.at.white.lights)
        if (light.loss > Stops(0))
            all.push_back({Reason{"dial-gel",
                                  {{"gels", gelNames(of.context.shoot->kit, scene, light)},
                                   {"lamp", nameOf(scene, light)}}},
                           {}});
    return all;
}
Values shutter(const Dialling& of) {
    const auto& setup = *of.context.setup;
    const auto dial = nearestOnDial(of.context.camera->shutter, setup.shutter, setup.rate);
    return {{shutterOn(dial, setup.rate), print(dial)}};
}
Values nd(const Dialling& of) {
    return {{filtersOn(of.context), filterNames(of.context)}};
}
Values iris(const Dialling& of) {
    const auto set = of.context.setup->iris;
    return {{Reason{"dial-iris", {{"iris", set}}}, print(set)}};
}
Values focus(const Dialling& of) {
    const auto by = of.handling.focus;
    return by == FocusBy::Unsaid ? Values{} : Values{{focusOn(by), focusText(by)}};
}
Values stabiliser(const Dialling& of) {
    const auto on = of.handling.stabiliser;
    if (!on)
        return {};
    return {{Reason{*on ? "dial-on" : "dial-off", {}}, *on ? "on" : "off"}};
}
template<ZebraUse use>
Values zebra(const Dialling& of) {
    Values all;
    for (const auto& zebra : of.at.zebra) {
        if (zebra.use != use)
            continue;
        if (zebra.reachable)
            all.push_back({Reason{"dial-level", {{"level", zebra.set}}},
                           (use == ZebraUse::Skin ? "skin " : "clip ") + print(zebra.set)});
        else
            all.push_back({Reason{"dial-out-of-reach", {}}, {}});
    }
    return all;
}
Values bank(const Dialling& of) {
    const int chosen = of.context.setup->bank;
    if (chosen <= 0)
        return {};
    const auto banks = banksOf(*of.context.camera);
    const auto at = static_cast<std::size_t>(chosen) - 1;
    return {
        {at < banks.size() ? named(banks[at].label) : Reason{"dial-bank", {{"bank", chosen}}}, {}}};
}

constexpr ByEnum<DialInField, SettingRow> kTable = [] {
    using F = DialInField;
    using B = BodySetting;
    constexpr std::nullopt_t kNone = std::nullopt;
    return ByEnum<DialInField, SettingRow>{
        SettingRow{F::Camera, "camera", "Camera", kNone, camera},
        SettingRow{F::Card, "card", "Card", kNone, card},
        SettingRow{F::SecondSlot, "second_slot", "Second slot", kNone, secondSlot},
        SettingRow{F::Region, "region", "Region", B::Region, region},
        SettingRow{F::Rate, "rate", "Rate", B::Rate, rate},
        SettingRow{F::Recording, "recording", "Recording", B::Mode, recording},
        SettingRow{F::Sound, "sound", "Sound", B::Sound, sound},
        SettingRow{F::Profile, "profile", "Profile", B::Profile, profile},
        SettingRow{F::Base, "base", "Base", B::Base, base},
        SettingRow{F::Rating, "rating", "Rating", B::Rating, rating},
        SettingRow{F::White, "white", "White", B::White, white},
        SettingRow{F::Gel, "gel", "Gel", kNone, gel},
        SettingRow{F::Shutter, "shutter", "Shutter", B::Shutter, shutter},
        SettingRow{F::Nd, "nd", "ND", B::Nd, nd},
        SettingRow{F::Iris, "iris", "Iris", B::Iris, iris},
        SettingRow{F::Focus, "focus", "Focus", B::Focus, focus},
        SettingRow{F::Stabiliser, "stabiliser", "Stabiliser", B::Stabiliser, stabiliser},
        SettingRow{F::ZebraSkin, "zebra_skin", "Zebra, skin", B::Zebra, zebra<ZebraUse::Skin>},
        SettingRow{F::ZebraClip, "zebra_clip", "Zebra, clip", B::Zebra, zebra<ZebraUse::Clip>},
        SettingRow{F::Bank, "bank", "Bank", kNone, bank}};
}();
constexpr bool inOrder() {
    for (const auto field : kAllOf<DialInField>)
        if (kTable[field].field != field)
            return false;
    return true;
}
static_assert(inOrder());

} // namespace

const ByEnum<DialInField, SettingRow>& settingTable() {
    return kTable;
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
