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
    out.push_back({now.at.curveEndsFirst ? FindingId::CurveEndsLow : FindingId::SensorEndsLow,
                   Severity::Note,
                   {{"level", now.at.clipLevel},
                    {"clip", now.at.clip},
                    {"profile", now.context.profile->name}}});
}

static void zebraToSet(const Case& now, Findings& out) {
    for (const auto& zebra : now.at.zebra) {
        Finding finding;
        const bool clip = zebra.use == ZebraUse::Clip;
        finding.id = !zebra.reachable ? FindingId::ZebraOutOfReach
                     : clip           ? FindingId::ZebraClip
                                      : FindingId::ZebraSkin;
        finding.severity = Severity::Note;
        finding.subject = clip ? "clip" : "skin";
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
    out.push_back({FindingId::NdInfrared, Severity::Caution, {{"density", density}}});
}

static void skinCodes(const Case& now, Findings& out) {
    const auto* face = skin(now.at);
    if (!face || face->state == PatchState::Clipped)
        return;
    const auto& curve = now.context.profile->curve;
    Finding finding{now.at.depth.bits == 8 ? FindingId::SkinCodes8 : FindingId::SkinCodes,
                    Severity::Note};
    finding.subject = face->id;
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
