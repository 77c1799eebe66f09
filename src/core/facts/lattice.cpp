#include "core/facts/lattice.h"

#include "core/facts/setup_context.h"
#include "core/media/card_fit.h"
#include "core/media/recording.h"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <numeric>

namespace bslate {
namespace {

// One card of the kit in one slot of the camera, looked up once for the whole lattice.
struct CardInSlot {
    const MemoryCard* card;
    const Slot* slot;
    DataRate guaranteed;
};

std::vector<CardInSlot> cardsInSlots(const LatticeCase& question) {
    std::vector<CardInSlot> result;
    for (const auto& slot : question.camera->cardSlots)
        for (const auto& card : question.kit->cards)
            if (const auto speed = guaranteedIn(card, slot); card.count > 0 && speed.value() > 0)
                result.push_back({&card, &slot, speed});
    return result;
}

bool slotAllowed(const RecordingMode& mode, const Slot& slot) {
    return mode.slotIds.empty() ||
           std::find(mode.slotIds.begin(), mode.slotIds.end(), slot.id) != mode.slotIds.end();
}

std::string slotNames(const Camera& camera, const RecordingMode& mode) {
    std::string names;
    for (const auto& slot : camera.cardSlots)
        if (slotAllowed(mode, slot))
            names += (names.empty() ? "" : ", ") + slot.name;
    return names;
}

std::string gopName(Gop gop) {
    return gop == Gop::Raw ? "raw" : gop == Gop::Intra ? "intra" : "long";
}

// Everything of a mode that does not change with the rate, prepared once.
struct ModeJudge {
    const LatticeCase& question;
    const RecordingMode& mode;
    const std::vector<CardInSlot>& cards;
    const Codec* codec = nullptr;
    const SensorArea* area = nullptr;
    Settings settings;
    Celsius ambient{20};
    std::vector<std::string> home; // rate sets of the delivery rate

    ModeJudge(const LatticeCase& asked, const RecordingMode& judged,
              const std::vector<CardInSlot>& atHand)
        : question(asked)
        , mode(judged)
        , cards(atHand)
        , codec(findCodec(*asked.camera, judged.codec))
        , area(findArea(*asked.camera, judged.area))
        , ambient(asked.brief->ambient) {
        const auto& setup = *question.setup;
        if (question.scene)
            ambient = question.scene->ambient.value_or(ambient);
        home = regionsFor(*question.camera, mode, question.brief->rate, question.brief->rate);
        settings.set(SettingKey::Mode, mode.id);
        settings.set(SettingKey::Area, mode.area);
        settings.set(SettingKey::Codec, mode.codec);
        if (codec) {
            settings.set(SettingKey::Gop, gopName(codec->gop));
            settings.set(SettingKey::Bits, static_cast<double>(codec->depth.bits));
        }
        if (!setup.profile.empty()) {
            settings.set(SettingKey::Profile, setup.profile);
            settings.set(SettingKey::Rating, setup.rating.value());
            settings.set(SettingKey::Base, setup.base.value());
        }
        settings.set(SettingKey::Power, setup.externalPower ? "external" : "internal");
        settings.set(SettingKey::Ambient, ambient.value());
        settings.set(SettingKey::Proxy, setup.secondSlot == SecondSlot::Proxy ? "on" : "off");
    }

    ModeCell judge(FrameRate rate);

private:
    void judgeRate(ModeCell& cell) const;
    void judgeProfile(ModeCell& cell) const;
    void judgePower(ModeCell& cell) const;
    void judgeCards(ModeCell& cell) const;
    void judgeConstraints(ModeCell& cell);
    void settleRegion(FrameRate rate);
    void addCosts(ModeCell& cell);
    [[nodiscard]] const Constraint* brokenBy(SettingKey key, const char* value);
};

void ModeJudge::judgeRate(ModeCell& cell) const {
    const auto rate = bitRateAt(mode, cell.rate, question.brief->rate);
    if (rate && codec && area) {
        const bool conformed = isOffSpeed(mode, cell.rate) && !mode.offSpeed->writesAtSensorRate;
        cell.bitRate = *rate;
        cell.peak = *rate * codec->peak;
        cell.bitsPerPixel =
            bitsPerPixel(*rate, mode.frame, conformed ? question.brief->rate : cell.rate);
        return;
    }
    const bool inContainer =
        !codec || codec->rates.empty() ||
        std::find(codec->rates.begin(), codec->rates.end(), cell.rate) != codec->rates.end();
    if (!inContainer)
        cell.reasons.push_back(
            {"rate-not-in-container",
             {{"container", codec->container.empty() ? codec->name : codec->container},
              {"rate", cell.rate}}});
    else if (area && area->fastest && cell.rate > *area->fastest)
        cell.reasons.push_back(
            {"rate-over-sensor", {{"area", area->name}, {"fastest", *area->fastest}}});
    else
        cell.reasons.push_back({"rate-not-in-mode", {{"mode", mode.name}, {"rate", cell.rate}}});
}

void ModeJudge::judgeProfile(ModeCell& cell) const {
    const auto& wanted = question.setup->profile;
    if (wanted.empty() || allows(mode, wanted))
        return;
    const auto* profile = findProfile(*question.kit, wanted);
    cell.reasons.push_back({"profile-not-in-mode",
                            {{"mode", mode.name}, {"profile", profile ? profile->name : wanted}}});
}

void ModeJudge::judgePower(ModeCell& cell) const {
    if (mode.externalPower && !question.setup->externalPower)
        cell.reasons.push_back({"power", {}});
}

// The card that lasts longest among those that hold the peak; when none does, the fastest.
void ModeJudge::judgeCards(ModeCell& cell) const {
    const CardInSlot* best = nullptr;
    const CardInSlot* tooSlow = nullptr;
    const auto size = [](const CardInSlot& c) { return c.card->capacity.value() * c.card->usable; };
    for (const auto& candidate : cards) {
        if (!slotAllowed(mode, *candidate.slot))
            continue;
        const bool holds = candidate.guaranteed >= cell.peak;
        if (!holds && (!tooSlow || candidate.guaranteed > tooSlow->guaranteed))
            tooSlow = &candidate;
        if (!best) {
            best = &candidate;
            continue;
        }
        const bool held = best->guaranteed >= cell.peak;
        if (holds != held ? holds
            : holds       ? size(candidate) > size(*best)
                          : candidate.guaranteed > best->guaranteed)
            best = &candidate;
    }
    if (!best) {
        if (!question.kit->cards.empty())
            cell.reasons.push_back(
                {"no-card-fits", {{"slots", slotNames(*question.camera, mode)}}});
        return;
    }
    cell.card = {best->card, best->slot, best->guaranteed};
    if (best->guaranteed < cell.peak) {
        cell.reasons.push_back({"no-card",
                                {{"need", CardSpeed{cell.peak}},
                                 {"best", CardSpeed{best->guaranteed}},
                                 {"slots", slotNames(*question.camera, mode)}}});
        return;
    }
    cell.recordTime = recordTime(best->card->capacity, best->card->usable, cell.bitRate);
    if (tooSlow)
        cell.costs.push_back({CostKind::Card, {"cost-card", {{"card", tooSlow->card->name}}}});
    else if (cardFit(cell.peak, best->guaranteed) == CardFit::Marginal)
        cell.costs.push_back({CostKind::Card, {"cost-marginal", {{"card", best->card->name}}}});
}

void ModeJudge::judgeConstraints(ModeCell& cell) {
    settings.set(SettingKey::Rate, cell.rate);
    settings.set(SettingKey::Angle, shutterAngle(question.setup->shutter, cell.rate).value());
    if (cell.card.slot)
        settings.set(SettingKey::Slot, cell.card.slot->id);
    else
        settings.clear(SettingKey::Slot); // of the rate before
    settleRegion(cell.rate);
    for (const auto& constraint : question.camera->constraints)
        if (isBroken(constraint, settings))
            cell.reasons.push_back({"constraint", {{"reason", constraint.reason}}});
}

// The body must stand in one of the regions that have the rate: the one that forbids least.
void ModeJudge::settleRegion(FrameRate rate) {
    const auto broken = [&] {
        return std::count_if(question.camera->constraints.begin(),
                             question.camera->constraints.end(),
                             [&](const auto& one) { return isBroken(one, settings); });
    };
    settings.clear(SettingKey::Region);
    std::optional<std::pair<std::ptrdiff_t, std::string>> best;
    for (const auto& id : regionsFor(*question.camera, mode, rate, question.brief->rate)) {
        settings.set(SettingKey::Region, id);
        const std::pair candidate(broken(), id);
        if (!best || candidate.first < best->first)
            best = candidate;
    }
    if (best)
        settings.set(SettingKey::Region, best->second);
}

// The constraint that forbids one more setting, on top of what is set already.
const Constraint* ModeJudge::brokenBy(SettingKey key, const char* value) {
    const Constraint* found = nullptr;
    for (const auto& constraint : question.camera->constraints) {
        if (found || !mentions(constraint, key) || isBroken(constraint, settings))
            continue;
        settings.set(key, std::string(value));
        if (isBroken(constraint, settings))
            found = &constraint;
        settings.clear(key);
    }
    return found;
}

void ModeJudge::addCosts(ModeCell& cell) {
    auto& costs = cell.costs;
    const auto add = [&](CostKind kind, Reason reason) {
        costs.push_back({kind, std::move(reason)});
    };
    const auto told = [](const Constraint* rule, std::string_view plain) {
        return rule ? Reason{"constraint", {{"reason", rule->reason}}} : Reason{plain, {}};
    };
    const bool offSpeed = isOffSpeed(mode, cell.rate);
    if (cell.crop.value() > 1.005)
        add(CostKind::Crop, {"cost-crop", {{"crop", cell.crop}}});
    const auto* mute = brokenBy(SettingKey::Sound, "on");
    if (!mode.sound || mute || (offSpeed && !mode.offSpeed->sound))
        add(CostKind::Sound, told(mute, "cost-sound"));
    const auto* manual = brokenBy(SettingKey::Focus, "on");
    if (!mode.autofocus || manual)
        add(CostKind::Focus, told(manual, "cost-focus"));
    if (mode.clipLimit)
        add(CostKind::ClipLimit, {"cost-clip", {{"time", Duration{*mode.clipLimit}}}});
    if (const auto heat = heatTime(mode, ambient))
        add(CostKind::Heat, {"cost-heat", {{"time", Duration{heat->time}}, {"ambient", ambient}}});
    if (mode.externalPower)
        add(CostKind::Power, {"cost-power", {}});
    const auto regions = regionsFor(*question.camera, mode, cell.rate, question.brief->rate);
    const bool shared = std::any_of(regions.begin(), regions.end(), [&](const auto& id) {
        return std::find(home.begin(), home.end(), id) != home.end();
    });
    if (!regions.empty() && !home.empty() && !shared)
        add(CostKind::Region, {"cost-region", {{"cost", question.camera->regionSwitch}}});
    if (offSpeed)
        add(CostKind::OffSpeed,
            {mode.offSpeed->writesAtSensorRate ? "cost-sensor-rate" : "cost-off-speed", {}});
    std::sort(costs.begin(), costs.end(), // each kind is there once
              [](const auto& a, const auto& b) { return a.first < b.first; });
}

ModeCell ModeJudge::judge(FrameRate rate) {
    ModeCell cell;
    cell.mode = &mode;
    cell.rate = rate;
    if (area)
        cell.crop = frameCrop(*question.camera, *area, mode.frame);
    judgeRate(cell);
    if (cell.bitRate.value() <= 0)
        return cell;
    judgeProfile(cell);
    judgePower(cell);
    judgeCards(cell);
    judgeConstraints(cell);
    addCosts(cell);
    return cell;
}

std::vector<FrameRate> ratesOf(const LatticeCase& question) {
    std::vector<FrameRate> rates;
    std::vector<FrameRate> wanted = {question.brief->rate, question.setup->rate};
    if (question.scene)
        wanted.push_back(wantedRate(*question.scene, *question.brief));
    for (const auto& mode : question.camera->modes) {
        for (const auto& option : mode.rates)
            rates.push_back(option.rate);
        for (const auto rate : wanted)
            if (isOffSpeed(mode, rate))
                rates.push_back(rate);
    }
    std::sort(rates.begin(), rates.end());
    rates.erase(std::unique(rates.begin(), rates.end()), rates.end());
    return rates;
}

} // namespace

FrameRate wantedRate(const Scene& scene, const Brief& brief) {
    const auto base = brief.rate.perSecond;
    const double factor = scene.slowMotion.value();
    const double product = brief.rate.toDouble() * factor;
    // People round the factor, not the rate: 4.17 times 24 means 100.
    const bool roundedFactor = std::abs(factor - std::round(factor)) > 1e-9;
    const double whole = std::clamp(std::round(product), 1.0, 1e6);
    if (roundedFactor && std::abs(product / whole - 1.0) < 0.002)
        return FrameRate{Rational(static_cast<std::int64_t>(whole), 1)};
    const std::int64_t over = base.numerator() * std::llround(factor * 1000);
    const std::int64_t under = base.denominator() * 1000;
    const std::int64_t common = std::gcd(over, under);
    constexpr std::int64_t limit = std::int64_t{1} << 31; // what a Rational holds
    if (over / common >= limit || under / common >= limit)
        return FrameRate{Rational(static_cast<std::int64_t>(whole), 1)};
    return FrameRate{Rational(over, under)};
}

LatticeCase latticeCase(const SetupContext& context) {
    return {&context.shoot->kit, context.camera, context.setup, context.scene,
            &context.shoot->brief};
}

ModeCell cellOf(const LatticeCase& question, const RecordingMode& mode, FrameRate rate) {
    const auto cards = cardsInSlots(question);
    return ModeJudge(question, mode, cards).judge(rate);
}

Lattice latticeOf(const LatticeCase& question) {
    Lattice lattice;
    lattice.rates = ratesOf(question);
    const auto cards = cardsInSlots(question);
    for (const auto& mode : question.camera->modes) {
        const auto same = [&](const LatticeRow& row) {
            return row.frame == mode.frame && row.codec && row.codec->id == mode.codec;
        };
        auto row = std::find_if(lattice.rows.begin(), lattice.rows.end(), same);
        if (row == lattice.rows.end()) {
            const auto* codec = findCodec(*question.camera, mode.codec);
            lattice.rows.push_back({codec ? codec->name : mode.name, codec, mode.frame, {}});
            row = lattice.rows.end() - 1;
            row->cells.resize(lattice.rates.size());
        }
        ModeJudge judge(question, mode, cards);
        for (std::size_t i = 0; i < lattice.rates.size(); ++i)
            row->cells[i].push_back(judge.judge(lattice.rates[i]));
    }
    for (auto& row : lattice.rows)
        for (auto& cells : row.cells)
            if (cells.size() > 1)
                std::stable_sort(cells.begin(), cells.end(), [](const auto& a, const auto& b) {
                    return a.crop.value() < b.crop.value();
                });
    return lattice;
}

const ModeCell* shownCell(const LatticeRow& row, std::size_t rate, std::string_view area) {
    const ModeCell* first = nullptr;
    for (const auto& cell : row.cells[rate]) {
        if (!area.empty() && cell.mode->area != area)
            continue;
        if (cell.available())
            return &cell;
        // Say the most telling reason: a mode that has the rate but lacks something else.
        if (!first || (first->bitRate.value() <= 0 && cell.bitRate.value() > 0))
            first = &cell;
    }
    return first;
}

} // namespace bslate
