#include "core/day/day_rolls.h"

#include "core/facts/evaluate.h"

#include <algorithm>
#include <set>

namespace bslate {

DayRolls rollsOf(const Shoot& shoot, const ShootDay& day) {
    DayRolls result;
    const auto tell = [&](const std::string& number) {
        if (std::find(result.incomplete.begin(), result.incomplete.end(), number) ==
            result.incomplete.end())
            result.incomplete.push_back(number);
    };
    for (const auto& timed : timesOf(day)) {
        const int index = static_cast<int>(result.takes.size());
        DayTake take{timed.take->id, {},        timed.take->name,  {},
                     timed.start,    timed.end, timed.take->whole, timed.take->ran.has_value()};
        std::set<const Camera*> recording;
        for (const auto& id : timed.take->setups) {
            const auto* setup = findSetup(shoot, id);
            const std::string number = setup ? setup->number : id;
            take.title += (take.title.empty() ? "" : "+") + number;
            if (!setup) {
                tell(number);
                continue;
            }
            take.setups.push_back(id);
            const auto context = resolve(shoot, *setup);
            if (!context) {
                tell(number);
                continue;
            }
            // A camera records one setup at a time.
            if (!recording.insert(context->camera).second) {
                tell(number);
                continue;
            }
            const auto rate = bitRateAt(*context->mode, setup->rate, shoot.brief.rate);
            if (!rate) {
                tell(number);
                continue;
            }
            result.rolls.push_back({index, timed.start, timed.end, timed.take->whole, *context,
                                    *rate, *rate * context->codec->peak, timed.take});
        }
        result.takes.push_back(std::move(take));
    }
    return result;
}

std::vector<Drive> copyDrives(const Kit& kit, int copies) {
    std::vector<Drive> drives;
    for (const auto& drive : kit.drives)
        for (int i = 0; i < drive.count && static_cast<int>(drives.size()) < copies; ++i)
            drives.push_back(drive);
    return drives;
}

DayVolume volumeOf(const Shoot& shoot, const ShootDay& day) {
    DayVolume volume;
    for (const auto& roll : rollsOf(shoot, day).rolls) {
        const Seconds length = roll.end - roll.start;
        volume.footage += length;
        volume.recorded += DataSize(roll.rate.value() / 8 * length.value());
    }
    return volume;
}

} // namespace bslate
