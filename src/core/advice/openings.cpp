#include "core/advice/openings.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

Setup recordedAs(const LatticeCase& question, const ModeCell& cell) {
    Setup setup = *question.setup;
    setup.mode = cell.mode->id;
    setup.rate = cell.rate;
    return setup;
}

bool opens(const LatticeCase& question, const Setup& setup, const ModeCell& cell) {
    LatticeCase changed = question;
    changed.setup = &setup;
    return cellOf(changed, *cell.mode, cell.rate).available();
}

void tryPower(const LatticeCase& question, const ModeCell& cell, std::vector<Opening>& found) {
    Setup setup = recordedAs(question, cell);
    if (setup.externalPower)
        return;
    setup.externalPower = true;
    if (opens(question, setup, cell))
        found.push_back({OpeningKind::Power, {"open-power", {}}, setup});
}

void tryProfiles(const LatticeCase& question, const ModeCell& cell, std::vector<Opening>& found) {
    for (const auto& id : question.camera->profiles) {
        const auto* profile = findProfile(*question.kit, id);
        if (!profile || id == question.setup->profile)
            continue;
        Setup setup = recordedAs(question, cell);
        const auto dial = isoDial(*question.camera, *profile, cell.mode->codec);
        setup.profile = id;
        setup.base = nearestBase(*question.camera, *profile, setup.base).iso;
        setup.rating = std::clamp(setup.rating, dial.minimum, dial.maximum);
        if (!opens(question, setup, cell))
            continue;
        found.push_back(
            {OpeningKind::Profile, {"open-profile", {{"profile", profile->name}}}, setup});
        return;
    }
}

// A limit on the rating: the nearest end of what a constraint of the camera allows.
void tryRatings(const LatticeCase& question, const ModeCell& cell, std::vector<Opening>& found) {
    for (const auto& constraint : question.camera->constraints)
        for (const auto& condition : constraint.then) {
            if (condition.key != SettingKey::Rating)
                continue;
            for (const auto& end : {condition.atLeast, condition.atMost}) {
                const auto* iso = end ? std::get_if<double>(&*end) : nullptr;
                if (!iso)
                    continue;
                Setup setup = recordedAs(question, cell);
                setup.rating = ExposureIndex(*iso);
                if (!opens(question, setup, cell))
                    continue;
                found.push_back(
                    {OpeningKind::Rating,
                     {"open-setting",
                      {{"setting", std::string("ISO")}, {"value", ExposureIndex(*iso)}}},
                     setup});
                return;
            }
        }
}

// Without the proxy beside it.
void tryNoProxy(const LatticeCase& question, const ModeCell& cell, std::vector<Opening>& found) {
    Setup setup = recordedAs(question, cell);
    if (setup.secondSlot != SecondSlot::Proxy)
        return;
    setup.secondSlot = SecondSlot::Unused;
    if (opens(question, setup, cell))
        found.push_back({OpeningKind::NoProxy, {"open-no-proxy", {}}, setup});
}

// The slowest class that would hold it, in the first slot whose bus carries it.
void tryCards(const LatticeCase& question, const ModeCell& cell, std::vector<Opening>& found) {
    for (const auto& slot : question.camera->cardSlots) {
        if (!cell.mode->slotIds.empty() &&
            std::find(cell.mode->slotIds.begin(), cell.mode->slotIds.end(), slot.id) ==
                cell.mode->slotIds.end())
            continue;
        for (const auto& speed : speedClasses()) {
            const bool video = slot.form == CardForm::Sd
                                   ? speed.name.front() == 'V' && !speed.name.starts_with("VPG")
                                   : speed.name.starts_with("VPG");
            if (!video || speed.guaranteed < cell.peak)
                continue;
            Kit kit = *question.kit;
            MemoryCard bought;
            bought.form = slot.form;
            bought.bus = slot.bus;
            bought.speedClass = speed.name;
            kit.cards.push_back(bought);
            LatticeCase changed = question;
            changed.kit = &kit;
            if (!cellOf(changed, *cell.mode, cell.rate).available())
                break; // a faster class would meet the same bus or rule
            found.push_back(
                {OpeningKind::Card,
                 {"open-card", {{"class", std::string(speed.name)}, {"slot", slot.name}}},
                 std::nullopt});
            return;
        }
    }
}

// How far apart two cells are on the lattice: rows count more than rates, areas least.
double distance(const Lattice& lattice, const ModeCell& from, const ModeCell& to) {
    const auto rowOf = [&](const ModeCell& cell) {
        return std::find_if(lattice.rows.begin(), lattice.rows.end(),
                            [&](const auto& row) {
                                return row.codec && row.codec->id == cell.mode->codec &&
                                       row.frame == cell.mode->frame;
                            }) -
               lattice.rows.begin();
    };
    const double rates =
        std::abs(std::log2(from.rate.toDouble() / to.rate.toDouble())); // octaves of rate
    return 4.0 * rates + static_cast<double>(std::abs(rowOf(from) - rowOf(to))) +
           std::abs(from.crop.value() - to.crop.value());
}

void tryCells(const LatticeCase& question, const Lattice& lattice, const ModeCell& cell,
              std::vector<Opening>& found) {
    // The nearest at the rate that was wanted, then the nearest of all.
    const ModeCell* sameRate = nullptr;
    const ModeCell* nearest = nullptr;
    const auto take = [&](const ModeCell*& best, const ModeCell& other) {
        if (!best || distance(lattice, cell, other) < distance(lattice, cell, *best))
            best = &other;
    };
    for (const auto& row : lattice.rows)
        for (const auto& cells : row.cells)
            for (const auto& other : cells)
                if (other.available()) {
                    take(nearest, other);
                    if (other.rate == cell.rate)
                        take(sameRate, other);
                }
    for (const auto* best : {sameRate, nearest == sameRate ? nullptr : nearest})
        if (best)
            found.push_back({OpeningKind::Cell,
                             {"open-cell", {{"mode", best->mode->name}, {"rate", best->rate}}},
                             recordedAs(question, *best)});
}

} // namespace

std::vector<Opening> openingsOf(const LatticeCase& question, const Lattice& lattice,
                                const ModeCell& cell) {
    std::vector<Opening> found;
    if (cell.available())
        return found;
    if (cell.bitRate.value() > 0) {
        tryPower(question, cell, found);
        tryProfiles(question, cell, found);
        tryRatings(question, cell, found);
        tryNoProxy(question, cell, found);
        tryCards(question, cell, found);
    }
    tryCells(question, lattice, cell, found);
    return found;
}

} // namespace bslate
