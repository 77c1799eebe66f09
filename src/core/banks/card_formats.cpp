#include "core/banks/card_formats.h"

#include "core/base/index_by_id.h"
#include "core/shoot/take_line.h"

#include <algorithm>

namespace bslate {
namespace {

// By day: the latest tick of a formatting among the setups of a camera.
std::map<int, std::string> tickedByDay(const Shoot& shoot, const CameraWork& work) {
    std::map<int, std::string> latest;
    const auto setups = indexById(shoot.setups);
    const auto scenes = indexById(shoot.scenes);
    for (const auto& own : work.setups) {
        const auto* setup = findIn(setups, own.id);
        const auto* scene = setup ? findIn(scenes, setup->scene) : nullptr;
        if (!scene)
            continue;
        for (const auto& tick : setup->ticks)
            if (tick.check == kCardPrepared)
                latest[scene->day] = std::max(latest[scene->day], tick.when);
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
    auto ticked = tickedByDay(shoot, work);
    for (const auto& visit : work.visits) {
        const auto& id = work.setups[visit.setup].id;
        const bool inDay = visit.day == first;
        if (formats.contains(id) ||
            (inDay && !(plan && plan->day == first && isRenewedFor(*plan, id))))
            continue;
        formats[id] = {visit.day, inDay, ticked[visit.day]};
    }
    return formats;
}

bool isGone(const CardFormat& format, const WrittenBank* written) {
    return format.ticked.empty() || !written || written->when < format.ticked;
}

} // namespace bslate
