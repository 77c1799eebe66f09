#include "core/day/day_power.h"

#include "core/media/recording.h"

#include <algorithm>

namespace bslate {
namespace {

bool accepts(const Camera& camera, const Battery& battery) {
    return camera.batteries.empty() || std::find(camera.batteries.begin(), camera.batteries.end(),
                                                 battery.id) != camera.batteries.end();
}

bool accepts(const Charger& charger, const Battery& battery) {
    return charger.batteries.empty() ||
           std::find(charger.batteries.begin(), charger.batteries.end(), battery.id) !=
               charger.batteries.end();
}

void addBatteries(const Kit& kit, DayCarriers& power, int most) {
    int number = 0;
    for (const auto& battery : kit.batteries) {
        if (power.problem.kinds.size() == kMostKinds)
            break;
        const WattHours full = energyAt(battery, Celsius(20));
        const int units = std::min(battery.count, most);
        power.problem.kinds.push_back({battery.id, Fill(full.value()), units, Seconds(0)});
        for (int i = 1; i <= units; ++i) {
            power.unitIds.push_back(battery.id + ":" + std::to_string(i));
            power.unitLabels.push_back("B" + std::to_string(number + i));
            power.unitNames.push_back(battery.name + " " + std::to_string(i));
        }
        number += battery.count;
    }
    for (const auto& charger : kit.chargers) {
        RenewServer server;
        for (std::size_t k = 0; k < power.problem.kinds.size(); ++k) {
            const WattHours full(power.problem.kinds[k].capacity.value());
            server.full.push_back(chargeTime(full, charger.power));
            if (accepts(charger, kit.batteries[k]))
                server.kinds |= KindSet{1} << k;
        }
        for (int bay = 1;
             bay <= charger.bays * charger.count && power.problem.servers.size() < kMostServers;
             ++bay) {
            power.problem.servers.push_back(server);
            power.servers.push_back(charger.name + " " + std::to_string(bay));
        }
    }
}

} // namespace

DayCarriers batteriesOf(const Shoot& shoot, const DayRolls& rolls) {
    DayCarriers power;
    power.problem.change = kChangeTime;
    power.problem.reserve = kTakeMargin;
    addBatteries(shoot.kit, power, mostUnits(rolls));
    for (const auto& camera : shoot.kit.cameras) {
        if (!(camera.draw.value() > 0))
            continue;
        CarrierLane lane{camera.id, 1, {}};
        DayLane about{camera.id, camera.name, "battery", false, {}, {}, {}};
        std::optional<Seconds> before; // end of the take ahead on this camera's battery
        for (const auto& roll : rolls.rolls) {
            if (roll.context.camera->id != camera.id)
                continue;
            if (roll.context.setup->externalPower) {
                before.reset();
                continue;
            }
            Demand demand;
            demand.start = roll.start;
            demand.end = roll.end;
            const double on = (roll.end - roll.start).value();
            const double waiting = before ? std::min(roll.start - *before, kStaysOn).value() : 0;
            const double idle =
                camera.standby.value() > 0 ? camera.standby.value() : camera.draw.value();
            // In the cold the same work takes more of what is printed on the battery.
            const double cold = coldFactor(ambientOf(roll.context)).value();
            demand.amount = Fill((on * camera.draw.value() + waiting * idle) / 3600 / cold);
            demand.whole = roll.whole;
            demand.event = roll.take;
            for (std::size_t k = 0; k < power.problem.kinds.size(); ++k)
                if (accepts(camera, shoot.kit.batteries[k]) && shoot.kit.batteries[k].count > 0)
                    demand.kinds[0] |= KindSet{1} << k;
            lane.demands.push_back(demand);
            about.takes.push_back(roll.take);
            about.setups.push_back(roll.context.setup->id);
            before = roll.end;
        }
        if (lane.demands.empty())
            continue;
        power.problem.lanes.push_back(std::move(lane));
        power.lanes.push_back(std::move(about));
    }
    return power;
}

} // namespace bslate
