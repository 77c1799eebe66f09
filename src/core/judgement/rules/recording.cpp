#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr double kCurveLow = 90.0; // percent

} // namespace

static void curveEndsLow(const Case& now, Findings& out) {
    if (now.at.clipLevel.value() >= kCurveLow)
        return;
    Finding finding;
    finding.id = now.at.curveEndsFirst ? "curve-ends-low" : "sensor-ends-low";
    finding.severity = Severity::Note;
    finding.source = now.at.curveEndsFirst ? "the profile's curve" : "the sensor's full well";
    finding.facts = {
        {"level", now.at.clipLevel}, {"clip", now.at.clip}, {"profile", now.context.profile->name}};
    out.push_back(std::move(finding));
}

static void zebraToSet(const Case& now, Findings& out) {
    for (const auto& zebra : now.at.zebra) {
        Finding finding;
        const bool guard = zebra.use == ZebraUse::Guard;
        finding.id = !zebra.reachable ? "zebra-out-of-reach" : guard ? "zebra-guard" : "zebra-skin";
        finding.severity = Severity::Note;
        finding.subject = guard ? "guard" : "skin";
        finding.source = "this curve and the camera's zebra steps";
        finding.facts = {{"level", zebra.set},
                         {"exact", zebra.exact},
                         {"margin", zebra.margin},
                         {"tap", zebra.tap}};
        out.push_back(std::move(finding));
    }
}

static void strongNd(const Case& now, Findings& out) {
    const Density density = densityOf(now.context.ndLoss);
    if (density < kInfraredDensity - Density(1e-6))
        return;
    for (const auto& filter : filtersFor(now.context.shoot->kit, *now.context.camera))
        if (filter.irCut &&
            std::find(now.context.setup->filters.begin(), now.context.setup->filters.end(),
                      filter.id) != now.context.setup->filters.end())
            return;
    Finding finding;
    finding.id = "nd-infrared";
    finding.severity = Severity::Caution;
    finding.source = kCommonPractice;
    finding.facts = {{"density", density}};
    out.push_back(std::move(finding));
}

static void skinCodes(const Case& now, Findings& out) {
    const auto* face = skin(now.at);
    if (!face || face->state == PatchState::Clipped)
        return;
    const auto& curve = now.context.profile->curve;
    Finding finding;
    finding.id = now.at.depth.bits == 8 ? "skin-codes-8" : "skin-codes";
    finding.severity = Severity::Note;
    finding.subject = face->id;
    finding.source = "this curve at the mode's bit depth";
    const auto codes = [&](int bits) {
        return static_cast<int>(std::lround(codesInStop(curve, face->recorded, BitDepth{bits})));
    };
    finding.facts = {{"bits", now.at.depth.bits},
                     {"codes", codes(now.at.depth.bits)},
                     {"eight", codes(8)},
                     {"ten", codes(10)},
                     {"patch", face->name}};
    out.push_back(std::move(finding));
}

std::span<const Rule> recordingRules() {
    static constexpr Rule kRules[] = {curveEndsLow, zebraToSet, strongNd, skinCodes};
    return kRules;
}

} // namespace bslate::rules
