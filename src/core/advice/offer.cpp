#include "core/advice/offer.h"

#include "core/facts/evaluate.h"

#include "core/advice/changes.h"
#include "core/advice/levers.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// A remedy with what it gives the sensor, in stops.
struct Exposure {
    Remedy remedy;
    Stops change;
};

std::optional<Exposure> filterRemedy(const Case& now, Stops wantedLoss) {
    const auto& setup = *now.context.setup;
    Edit edit{setup, std::nullopt};
    edit.setup->filters = stackFor(now.context, wantedLoss);
    if (edit.setup->filters == setup.filters)
        return std::nullopt;
    const auto context = resolve(*now.context.shoot, *edit.setup);
    if (!context)
        return std::nullopt;
    const Stops change = now.context.ndLoss - context->ndLoss;
    const auto& kit = now.context.shoot->kit;
    const auto told = filterChange(kit, *now.context.camera, setup.filters, edit.setup->filters);
    Facts facts = {{"nd", context->ndLoss}, {"change", change}, {"on", told.on}, {"out", told.out}};
    const bool in = !told.on.empty(), out = !told.out.empty();
    const auto id = in && out ? RemedyId::SwapNd : out ? RemedyId::RemoveNd : RemedyId::SetNd;
    return Exposure{{id, std::move(facts), std::move(edit)}, change};
}

std::optional<Remedy> irisRemedy(const Case& now, TStop iris) {
    const auto& setup = *now.context.setup;
    const auto* lens = now.context.lens;
    if (lens && (iris.value() < lens->widest.value() * 0.999 ||
                 iris.value() > lens->narrowest.value() * 1.001))
        return std::nullopt;
    const Stops change(2.0 * std::log2(setup.iris.value() / iris.value()));
    if (std::abs(change.value()) < 0.01)
        return std::nullopt;
    Edit edit{setup, std::nullopt};
    edit.setup->iris = iris;
    return Remedy{RemedyId::SetIris, {{"iris", iris}, {"change", change}}, std::move(edit)};
}

void add(std::vector<Remedy>& list, std::optional<Remedy> remedy) {
    if (remedy)
        list.push_back(std::move(*remedy));
}

} // namespace

std::optional<Tried> tried(const Case& now, const Edit& edit, const Setup* other) {
    const auto& setup = other ? *other : edit.setup ? *edit.setup : *now.context.setup;
    std::unique_ptr<const Shoot> copy;
    if (edit.kit)
        copy = std::make_unique<const Shoot>(applied(*now.context.shoot, edit));
    const auto resolved = resolve(copy ? *copy : *now.context.shoot, setup);
    if (!resolved)
        return std::nullopt;
    SetupContext context = *resolved;
    if (edit.scene)
        context.scene = &*edit.scene;
    auto at = evaluate(context);
    return Tried{std::move(copy), context, std::move(at)};
}

std::optional<Evaluation> tryOut(const Case& now, const Edit& edit) {
    auto after = tried(now, edit);
    return after ? std::optional(std::move(after->at)) : std::nullopt;
}

Stops outsideOf(const DepthWish& wish, TStop iris) {
    const auto stops = [](TStop narrow, TStop wide) {
        return Stops(2.0 * std::log2(narrow.value() / wide.value()));
    };
    return std::max({Stops(0), stops(wish.widest, iris), stops(iris, wish.narrowest)});
}

namespace {

// What a remedy gives up of the depth that the scene asks for.
std::optional<Reason> depthLeft(const Case& now, const Remedy& remedy) {
    const auto& wish = now.context.scene->depth;
    if (!wish || !remedy.edit.setup)
        return std::nullopt;
    const Stops left = outsideOf(*wish, remedy.edit.setup->iris);
    if (left < kTold || left < outsideOf(*wish, now.context.setup->iris) + kTold)
        return std::nullopt;
    return Reason{"leaves-depth",
                  {{"by", left}, {"widest", wish->widest}, {"narrowest", wish->narrowest}}};
}

} // namespace

bool bringsTrouble(const Case& now, const Evaluation& after) {
    for (std::size_t i = 0; i < after.patches.size() && i < now.at.patches.size(); ++i) {
        const auto was = now.at.patches[i].state, is = after.patches[i].state;
        if (after.patches[i].role != PatchRole::Spare && is != was && is != PatchState::Good &&
            !(was == PatchState::Clipped && is == PatchState::NearClip))
            return true;
    }
    return false;
}

void describeEffect(const Case& now, const Evaluation& after, Remedy& remedy) {
    if (const auto* top = brightest(after)) {
        remedy.highlights = top->headroom;
        remedy.top = top->name;
    }
    if (const auto* bottom = darkest(after)) {
        remedy.shadows = bottom->aboveNoise;
        remedy.bottom = bottom->name;
    }
    remedy.worse = 0;
    for (std::size_t i = 0; i < after.patches.size() && i < now.at.patches.size(); ++i)
        if (after.patches[i].role != PatchRole::Spare && isLost(after.patches[i]) &&
            !isLost(now.at.patches[i]))
            ++remedy.worse;
    auto also = unnamedChanges(*now.context.shoot, *now.context.setup, remedy);
    if (auto left = depthLeft(now, remedy))
        also.all.push_back(std::move(*left));
    if (!also.all.empty())
        remedy.facts.push_back({"also", std::move(also)});
}

std::vector<Remedy> exposureRemedies(const Case& now, Stops change) {
    std::vector<Remedy> list;
    if (!now.remedies)
        return list;
    if (auto filters = filterRemedy(now, now.context.ndLoss - change))
        list.push_back(std::move(filters->remedy));
    const double wanted = now.context.setup->iris.value() * std::exp2(-change.value() / 2.0);
    add(list, irisRemedy(now, nearestIris(TStop(wanted))));
    return list;
}

std::vector<Remedy> darkeningRemedies(const Case& now, Stops atLeast) {
    std::vector<Remedy> list;
    if (!now.remedies)
        return list;
    // The nearest stack may fall short; try slightly stronger wishes until one covers it.
    for (double more = 0.0; more <= 1.0; more += 0.25) {
        auto filters = filterRemedy(now, now.context.ndLoss + atLeast + Stops(more));
        if (filters && filters->change <= -atLeast) {
            list.push_back(std::move(filters->remedy));
            break;
        }
    }
    const double wanted = now.context.setup->iris.value() * std::exp2(atLeast.value() / 2.0);
    const double third = std::ceil(6.0 * std::log2(wanted) - 1e-6);
    add(list, irisRemedy(now, nearestIris(TStop(std::exp2(third / 6.0)))));
    return list;
}

} // namespace bslate
