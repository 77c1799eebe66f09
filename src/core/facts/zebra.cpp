#include "core/facts/zebra.h"

#include "core/kit/edit.h"
#include "core/signal/rating_lut.h"

#include <algorithm>
#include <cmath>

namespace bslate {

ZebraTap zebraTapOf(const SetupContext& context) {
    return context.profile->ready ? ZebraTap::Recorded : context.camera->zebra.tap;
}

Level levelAtTap(const SetupContext& context, const Evaluation& at, ZebraTap tap, Stops recorded) {
    const Stops held = std::min(recorded, at.clip);
    if (tap == ZebraTap::ViewingLut)
        return shownLevel(context.profile->curve, context.profile->ready, held + at.ratingOffset);
    return levelAt(context.profile->curve, held, at.depth);
}

Stops stopsAtTap(const SetupContext& context, const Evaluation& at, ZebraTap tap, Level level) {
    if (tap == ZebraTap::Recorded) {
        const auto& curve = context.profile->curve;
        const Signal signal = signalAt(level, curve.range, at.depth);
        return std::clamp(stopsOf(decode(curve, signal)), std::min(Stops(-20.0), at.clip), at.clip);
    }
    // The display has no inverse near its end; bisection to 1e-6 stop, since it is monotone.
    double low = -20.0;
    double high = at.clip.value();
    for (int i = 0; i < 26; ++i) {
        const double middle = 0.5 * (low + high);
        (levelAtTap(context, at, tap, Stops(middle)) < level ? low : high) = middle;
    }
    return Stops(0.5 * (low + high));
}

ZebraSetting onZebraDial(const ZebraDial& dial, Level exact, Rounding rounding) {
    const double steps = exact.value() / dial.step;
    const double whole = rounding == Rounding::Below ? std::floor(steps + 1e-9) : std::round(steps);
    const Level set(whole * dial.step);
    return {std::clamp(set, dial.lowest, dial.highest), set >= dial.lowest && set <= dial.highest};
}

ZebraValue zebraAt(const SetupContext& context, const Evaluation& at, ZebraUse use, Stops place) {
    ZebraValue zebra;
    zebra.use = use;
    zebra.tap = zebraTapOf(context);
    zebra.exact = levelAtTap(context, at, zebra.tap, place);
    const auto dialled = onZebraDial(context.camera->zebra, zebra.exact,
                                     use == ZebraUse::Clip ? Rounding::Below : Rounding::Nearest);
    zebra.set = dialled.set;
    zebra.reachable = dialled.reachable;
    const Stops reached = stopsAtTap(context, at, zebra.tap, zebra.set);
    zebra.margin = use == ZebraUse::Clip ? at.clip - reached : reached - place;
    return zebra;
}

} // namespace bslate
