#include "core/banks/card_formats.h"

#include "core/shoot/take_line.h"

#include <algorithm>

namespace bslate {
namespace {

// The latest tick of a formatting among the setups of a camera on a day.
std::string tickedOn(const Shoot& shoot, const CameraWork& work, int day) {
    std::string latest;
    for (const auto& own : work.setups) {
        const auto* setup = findSetup(shoot, own.id);
        const auto* scene = setup ? findScene(shoot, setup->scene) : nullptr;
        if (!scene || scene->day != day)
            continue;
        for (const auto& tick : setup->ticks)
            if (tick.check == kCardPrepared)
                latest = std::max(latest, tick.when);
    }
    return latest;
}

} // namespace

bool isRenewedFor(const DayPlan& plan, const std::string& setup) {
    const auto& cards = plan.cards;
    return std::any_of(cards.plan.uses.begin(), cards.plan.uses.end(), [&](const CarrierUse& use) {
        const auto& lane = cards.lanes[static_cast<std::size_t>(use.lane)];
        return !lane.second && lane.setups[static_cast<std::size_t>(use.demand)] == setup &&
               std::any_of(cards.plan.renewals.begin(), cards.plan.renewals.end(),
                           [&](const Renewal& renewal) {
                               return renewal.unit == use.unit && renewal.end <= use.start;
                           });
    });
}

CardFormats cardFormatsOf(const Shoot& shoot, const CameraWork& work, const DayPlan* plan) {
    CardFormats formats;
    if (work.visits.empty())
        return formats;
    const int first = dayNumbers(shoot).front();
    for (const auto& visit : work.visits) {
        const auto& id = work.setups[visit.setup].id;
        const bool inDay = visit.day == first;
        if (formats.contains(id) ||
            (inDay && !(plan && plan->day == first && isRenewedFor(*plan, id))))
            continue;
        formats[id] = {visit.day, inDay, tickedOn(shoot, work, visit.day)};
    }
    return formats;
}

bool isGone(const CardFormat& format, const WrittenBank* written) {
    return format.ticked.empty() || !written || written->when < format.ticked;
}

} // namespace bslate
