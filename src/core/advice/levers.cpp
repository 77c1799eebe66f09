#include "core/advice/levers.h"

#include "core/facts/evaluate.h"

#include "core/facts/light_change.h"
#include "core/quantity/print.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace bslate {
namespace {

constexpr int kFirstIrisThird = -3; // T0.7
constexpr int kLastIrisThird = 36;  // T64

// Standard third-stop ISO numbers (ISO 12232 preferred numbers); literal values.
constexpr std::array<double, 37> kRatings = {
    25,    32,    40,    50,    64,    80,    100,   125,   160,   200,   250,   320,  400,
    500,   640,   800,   1000,  1250,  1600,  2000,  2500,  3200,  4000,  5000,  6400, 8000,
    10000, 12800, 16000, 20000, 25600, 32000, 40000, 51200, 64000, 80000, 102400};

double irisAtThird(int third) {
    return std::exp2(third / 6.0);
}

std::size_t nearestRatingIndex(double iso) {
    const auto miss = [&](double candidate) { return std::abs(std::log2(candidate / iso)); };
    const auto best = std::min_element(kRatings.begin(), kRatings.end(),
                                       [&](double a, double b) { return miss(a) < miss(b); });
    return static_cast<std::size_t>(best - kRatings.begin());
}

Error outside(std::string place, std::string expected) {
    return {ErrorCode::OutOfRange, {}, std::move(place), {}, std::move(expected)};
}

// Brightness of the view that does not come from the scene, in stops.
Stops viewOf(const Setup& setup, Stops ndLoss) {
    const double exposure = setup.rating.value() * exposureTime(setup.shutter, setup.rate).value() /
                            (setup.iris.value() * setup.iris.value());
    return Stops(std::log2(exposure)) - ndLoss;
}

struct Worker {
    const SetupContext& context;
    Setup setup;
    std::optional<Scene> scene;
    Payer own = Payer::Nobody; // the lever that was turned by hand
    Stops light{0.0};

    Outcome operator()(const TurnIris& change) {
        own = Payer::Iris;
        const double low = context.lens ? context.lens->widest.value() : 0.5;
        const double high = context.lens ? context.lens->narrowest.value() : 128.0;
        if (change.to.value() < low * (1 - 1e-9) || change.to.value() > high * (1 + 1e-9))
            return outside("iris", "an iris from " + print(TStop(low)) + " to " +
                                       print(TStop(high)) +
                                       (context.lens ? " on " + context.lens->name : ""));
        setup.iris = change.to;
        return Done{};
    }

    Outcome operator()(const TurnFilters& change) {
        own = Payer::Nd;
        setup.filters = change.to;
        return Done{};
    }

    Outcome operator()(const TurnShutter& change) {
        if (!fitsFrame(change.to, setup.rate))
            return outside("shutter",
                           "a time no longer than the frame, 1/" + print(setup.rate) + " s");
        setup.shutter = nearestOnDial(context.camera->shutter, change.to, setup.rate);
        return Done{};
    }

    Outcome operator()(const TurnRate& change) { return record(*context.mode, change.to); }

    Outcome operator()(const TurnRating& change) {
        own = Payer::Rating;
        const auto& dial = context.iso;
        if (change.to < dial.minimum || change.to > dial.maximum)
            return outside("rating", "a rating from " + print(dial.minimum) + " to " +
                                         print(dial.maximum) + " in " + context.profile->name);
        setup.rating = change.to;
        return Done{};
    }

    Outcome operator()(const TurnBase& change) {
        std::string offered;
        for (const auto& base : context.camera->bases) {
            if (nearestBase(*context.camera, *context.profile, base.iso).iso != base.iso)
                continue; // not in this profile
            if (base.iso == change.to) {
                const double distance = setup.rating.value() / context.base->iso.value();
                setup.base = change.to;
                const auto dial = isoDial(*context.camera, *context.profile, context.codec->id);
                setup.rating =
                    std::clamp(nearestRating(ExposureIndex(change.to.value() * distance)),
                               dial.minimum, dial.maximum);
                return Done{};
            }
            offered += (offered.empty() ? "" : ", ") + print(base.iso);
        }
        return outside("base", "one of the bases " + offered + " of " + context.camera->name +
                                   " in " + context.profile->name);
    }

    Outcome operator()(const TurnLight& change) {
        own = Payer::Light;
        light = change.by;
        scene = brightened(*context.scene, change.by);
        return Done{};
    }

    Outcome operator()(const TurnMode& change) {
        const auto* mode = findMode(*context.camera, change.mode);
        if (!mode)
            return outside("mode", "a recording mode of " + context.camera->name);
        setup.mode = change.mode;
        if (!change.profile.empty() && change.profile != setup.profile) {
            const auto* profile = findProfile(context.shoot->kit, change.profile);
            if (!profile)
                return outside("profile", "a profile in the kit");
            setup.profile = change.profile;
            const auto dial = isoDial(*context.camera, *profile, mode->codec);
            setup.base = nearestBase(*context.camera, *profile, setup.base).iso;
            setup.rating = std::clamp(setup.base, dial.minimum, dial.maximum);
        }
        setup.externalPower = setup.externalPower || change.externalPower;
        return record(*mode, change.rate);
    }

    Outcome record(const RecordingMode& mode, FrameRate rate) {
        if (!bitRateAt(mode, rate, context.shoot->brief.rate)) {
            std::string offered;
            for (const auto& option : mode.rates)
                offered += (offered.empty() ? "" : ", ") + print(option.rate);
            if (mode.offSpeed)
                offered += " or " + print(mode.offSpeed->slowest) + " to " +
                           print(mode.offSpeed->fastest) + " off-speed";
            return outside("rate", "one of " + offered + " in " + mode.name);
        }
        setup.rate = rate;
        if (!fitsFrame(setup.shutter, setup.rate))
            setup.shutter = ShutterAngle(180.0);
        setup.shutter = nearestOnDial(context.camera->shutter, setup.shutter, setup.rate);
        return Done{};
    }

    // Lets the payer take back `gained`; returns what it covered.
    Stops pay(Payer payer, Stops gained) {
        switch (payer) {
        case Payer::Nd:
            setup.filters = stackFor(context, context.ndLoss + gained);
            break;
        case Payer::Iris: {
            const double low = context.lens ? context.lens->widest.value() : 0.5;
            const double high = context.lens ? context.lens->narrowest.value() : 128.0;
            const double wanted = setup.iris.value() * std::exp2(gained.value() / 2.0);
            setup.iris = irisWithin(TStop(low), TStop(high), TStop(wanted));
            break;
        }
        case Payer::Rating: {
            const double wanted = setup.rating.value() * ratio(-gained);
            setup.rating = std::clamp(nearestRating(ExposureIndex(wanted)), context.iso.minimum,
                                      context.iso.maximum);
            break;
        }
        case Payer::Light:
            scene = brightened(*context.scene, -gained);
            return gained;
        case Payer::Nobody:
            break;
        }
        return Stops(0.0);
    }
};

Stops lossOfSetup(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    return context ? context->ndLoss : Stops(0.0);
}

} // namespace

Result<Turned> turn(const Shoot& shoot, const Setup& setup, const Turn& change, Stops owed) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    Worker worker{*context, setup, std::nullopt, Payer::Nobody, Stops(0.0)};
    if (const auto done = std::visit(worker, change); !done)
        return done.error();
    const Stops before = viewOf(setup, context->ndLoss);
    const auto turnedContext = resolve(shoot, worker.setup); // a filter may not exist
    if (!turnedContext)
        return turnedContext.error();
    const Stops turnedLoss = turnedContext->ndLoss;
    const Stops gained = viewOf(worker.setup, turnedLoss) - before + worker.light;

    Turned result;
    result.gained = gained;
    const Stops due = gained + owed;
    const bool pays =
        setup.payer != worker.own && setup.payer != Payer::Nobody && std::abs(due.value()) > 1e-9;
    result.payer = pays ? setup.payer : Payer::Nobody;
    const Stops byLight = pays ? worker.pay(setup.payer, due) : Stops(0.0);
    result.unpaid = viewOf(worker.setup, lossOfSetup(shoot, worker.setup)) - before + worker.light -
                    byLight + owed;
    result.edit = {worker.setup, worker.scene};
    return result;
}

TStop nearestIris(TStop wanted) {
    const double third = std::round(6.0 * std::log2(wanted.value()));
    return TStop(irisAtThird(std::clamp(static_cast<int>(third), kFirstIrisThird, kLastIrisThird)));
}

TStop irisWithin(TStop widest, TStop narrowest, TStop wanted) {
    wanted = std::clamp(wanted, widest, narrowest);
    TStop nearest = std::clamp(nearestIris(wanted), widest, narrowest);
    const auto away = [&](TStop iris) {
        return std::abs(std::log2(iris.value() / wanted.value()));
    };
    for (const TStop end : {widest, narrowest})
        if (away(end) < away(nearest) - 1e-9)
            nearest = end;
    return nearest;
}

TStop stepIris(TStop from, int steps) {
    const double third = 6.0 * std::log2(from.value());
    const double start = steps > 0 ? std::ceil(third - 1e-6) : std::floor(third + 1e-6);
    const int wanted = static_cast<int>(start) - steps;
    return TStop(irisAtThird(std::clamp(wanted, kFirstIrisThird, kLastIrisThird)));
}

ExposureIndex nearestRating(ExposureIndex wanted) {
    return ExposureIndex(kRatings[nearestRatingIndex(wanted.value())]);
}

ExposureIndex stepRating(ExposureIndex from, int steps) {
    const auto index = static_cast<int>(nearestRatingIndex(from.value())) + steps;
    const auto last = static_cast<int>(kRatings.size()) - 1;
    return ExposureIndex(kRatings[static_cast<std::size_t>(std::clamp(index, 0, last))]);
}

namespace {
std::vector<std::string> idsOf(const std::vector<Filter>& filters, const FilterStack& stack) {
    std::vector<std::string> ids;
    for (const auto pick : stack.picks)
        ids.push_back(filters[pick].id);
    return ids;
}
} // namespace

std::vector<std::string> stackFor(const SetupContext& context, Stops wanted) {
    const auto filters = filtersFor(context.shoot->kit, *context.camera);
    return idsOf(filters, nearestStack(filters, wanted, context.shoot->kit.filterStages));
}

std::vector<std::string> nextStack(const SetupContext& context, int direction) {
    const auto filters = filtersFor(context.shoot->kit, *context.camera);
    const int slots = context.shoot->kit.filterStages;
    const Stops most = largestLoss(filters, slots);
    // Walk in tenths of a stop until the nearest stack really is stronger or weaker.
    for (double step = 0.1; step <= 20.0; step += 0.1) {
        const Stops wanted = context.ndLoss + Stops(direction > 0 ? step : -step);
        if (wanted < Stops(-0.1) || wanted > most + Stops(0.1))
            break;
        const auto stack = nearestStack(filters, wanted, slots);
        const double moved = (stack.loss - context.ndLoss).value() * direction;
        if (moved > 0.05)
            return idsOf(filters, stack);
    }
    return context.setup->filters;
}

} // namespace bslate
