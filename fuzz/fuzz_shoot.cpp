// The shoot reader on arbitrary bytes: an error or a shoot that judges, plans its days
// and survives a save.
#include "core/day/day_verdict.h"
#include "core/day/plan_day.h"
#include "core/judgement/judge.h"
#include "io/json/shoot_json.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    const auto shoot = io::readShoot(text, "fuzz", "/nonexistent");
    if (!shoot)
        return 0;
    for (const auto& setup : shoot->setups)
        (void)judge(*shoot, setup).count(Severity::Fault);
    for (std::size_t i = 0; i < shoot->plan.size() && i < 2; ++i) {
        if (shoot->plan[i].takes.size() > 40)
            break;
        const auto plan = planDay(*shoot, shoot->plan[i], {200, {}});
        if (plan.cards.plan.cost < plan.cards.plan.bound)
            std::abort();
        (void)judgeDay(*shoot, shoot->plan[i], plan, {DayRemedies::None}).size();
    }
    const auto again = io::readShoot(io::writeShoot(*shoot), "again", "/nonexistent");
    if (!again && !shoot->kitFile)
        std::abort();
    return 0;
}
