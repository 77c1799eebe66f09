#include "core/frame/motion.h"

#include "core/shoot/handling_of.h"

#include <cmath>

namespace bslate {
namespace {

constexpr double kTurn = 6.283185307179586;

double swing(double perSecond, Seconds time) {
    return std::sin(kTurn * perSecond * time.value());
}

} // namespace

SceneMoment momentOf(const SetupContext& context, const Evaluation& at, Seconds time) {
    SceneMoment moment{time, 0, 0, 0};
    const double held = [&] {
        switch (handlingOf(*context.scene, *context.setup).support) {
        case Support::Hand:
            return 0.008;
        case Support::Shoulder:
            return 0.004;
        default:
            return 0.0;
        }
    }();
    moment.across = held * swing(0.9, time);
    moment.down = held * swing(1.3, time);
    if (handlingOf(*context.scene, *context.setup).support == Support::Gimbal)
        moment.across = 0.01 * time.value();
    if (context.scene->pan && at.recording.view > Degrees(0))
        moment.across += context.scene->pan->value() * time.value() / at.recording.view.value();
    const double speed = context.scene->subjectSpeed.value();
    moment.subject = speed > 0 ? speed * time.value() : 0.005 * swing(0.4, time);
    return moment;
}

} // namespace bslate
