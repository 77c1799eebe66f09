#include "core/facts/targets.h"

#include "core/base/enumerated.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

bool has(const ZebraDial& dial, ZebraKind kind) {
    return std::find(dial.kinds.begin(), dial.kinds.end(), kind) != dial.kinds.end();
}

class Maker {
public:
    Maker(const SetupContext& context, const Evaluation& at, Stops grey, Stops tone)
        : m_context(context)
        , m_at(at)
        , m_grey(grey)
        , m_skin(grey + tone) {}

    [[nodiscard]] std::vector<ToolTarget> tools() const {
        std::vector<ToolTarget> list;
        for (const auto tap : {ZebraTap::Recorded, ZebraTap::ViewingLut}) {
            if (m_context.profile->ready && tap == ZebraTap::ViewingLut)
                continue;
            list.push_back(limit(tap));
            list.push_back(band(tap));
            list.push_back(clipZebra(tap));
        }
        list.push_back(line(TargetTool::GreyCard, m_grey));
        list.push_back(skinRange());
        list.push_back(line(TargetTool::WhiteCard,
                            m_grey + stopsBetween(kWhiteCard, Reflectance(kMidGrey.value()))));
        list.push_back(line(TargetTool::HighlightLimit, m_at.clip - kNearClip));
        list.push_back(histogramGap());
        list.push_back(line(TargetTool::BlackLine, m_at.noiseFloor));
        return list;
    }

    [[nodiscard]] std::vector<StopBand> bands() const {
        std::vector<StopBand> list;
        const Stops half(0.5);
        const double low = std::floor((m_at.noiseFloor - m_grey + half).value());
        const double high = std::ceil((m_at.clip - m_grey - half).value());
        for (double stop = low; stop <= high; stop += 1) {
            const Stops middle = m_grey + Stops(stop);
            list.push_back({Stops(stop), level(middle - half), level(middle + half),
                            middle + half > m_at.clip + Stops(1e-9),
                            middle - half < m_at.noiseFloor - Stops(1e-9)});
        }
        return list;
    }

private:
    [[nodiscard]] Level level(Stops stops) const {
        return levelAtTap(m_context, m_at, ZebraTap::Recorded, stops);
    }

    [[nodiscard]] ToolTarget line(TargetTool tool, Stops stops) const {
        ToolTarget target;
        target.tool = tool;
        target.at = stops;
        target.low = target.high = target.set = level(stops);
        target.reachable = stops <= m_at.clip;
        return target;
    }

    [[nodiscard]] ToolTarget skinRange() const {
        auto target = line(TargetTool::SkinRange, m_skin);
        target.low = level(m_skin - kSkinSpread);
        target.high = level(m_skin + kSkinSpread);
        target.reachable = m_skin + kSkinSpread <= m_at.clip;
        return target;
    }

    [[nodiscard]] ToolTarget zebra(TargetTool tool, ZebraTap tap, Stops stops,
                                   Rounding rounding) const {
        ToolTarget target;
        target.tool = tool;
        target.tap = tap;
        target.at = stops;
        target.low = target.high = levelAtTap(m_context, m_at, tap, stops);
        const auto dialled = onZebraDial(m_context.camera->zebra, target.low, rounding);
        target.set = dialled.set;
        target.reachable = dialled.reachable && stops <= m_at.clip;
        const auto kind = tool == TargetTool::ZebraBand ? ZebraKind::Band : ZebraKind::Limit;
        target.inUse = tap == zebraTapOf(m_context) && has(m_context.camera->zebra, kind);
        return target;
    }

    [[nodiscard]] ToolTarget limit(ZebraTap tap) const {
        return zebra(TargetTool::ZebraLimit, tap, m_skin, Rounding::Nearest);
    }
    [[nodiscard]] ToolTarget clipZebra(ZebraTap tap) const {
        auto target = zebra(TargetTool::ZebraClip, tap, m_at.clip - kNearClip, Rounding::Below);
        target.inUse = tap == zebraTapOf(m_context);
        return target;
    }

    // The narrowest range of the dial that holds the skin on both sides of the step.
    [[nodiscard]] ToolTarget band(ZebraTap tap) const {
        auto target = zebra(TargetTool::ZebraBand, tap, m_skin, Rounding::Nearest);
        target.low = levelAtTap(m_context, m_at, tap, m_skin - kSkinSpread);
        target.high = levelAtTap(m_context, m_at, tap, m_skin + kSkinSpread);
        const double step = m_context.camera->zebra.step;
        const double needed =
            std::max((target.set - target.low).value(), (target.high - target.set).value());
        target.range = Level(step * std::max(1.0, std::ceil(needed / step - 1e-9)));
        return target;
    }

    [[nodiscard]] ToolTarget histogramGap() const {
        ToolTarget target = line(TargetTool::HistogramGap, m_at.clip - kNearClip);
        const auto& curve = m_context.profile->curve;
        const double top = std::exp2(m_at.depth.bits) - 1;
        const double code = std::clamp(
            codeOf(encode(curve, linearAt(target.at)), curve.range, m_at.depth), 0.0, top);
        target.low = target.high = target.set = Level(100.0 * (top - code) / top);
        return target;
    }

    const SetupContext& m_context;
    const Evaluation& m_at;
    Stops m_grey, m_skin;
};

SchoolTargets make(const SetupContext& context, const Evaluation& at, School school, Stops shift,
                   Stops grey) {
    const auto* face = skin(at);
    // Where a school follows the highlight, the face lands wherever that leaves it.
    Stops tone = skinTone(face ? face->role : PatchRole::SkinLight);
    if (face && at.grey && (school == School::ToTheRight || school == School::Raw))
        tone = face->recorded - *at.grey;
    const Maker maker(context, at, grey, tone);
    return {school, shift, grey, maker.tools(), maker.bands()};
}

} // namespace

std::vector<SchoolTargets> targetsOf(const SetupContext& context, const Evaluation& at) {
    std::vector<SchoolTargets> list;
    if (!at.grey)
        return list;
    for (const auto school : kSchools)
        if (const auto target = targetOf(school, context, at))
            list.push_back(make(context, at, school, target->shift, *at.grey + target->shift));
    return list;
}

SchoolTargets targetsInUse(const SetupContext& context, const Evaluation& at) {
    const auto school = context.setup->school;
    const auto target = at.grey ? targetOf(school, context, at) : std::nullopt;
    return target ? make(context, at, school, target->shift, *at.grey + target->shift)
                  : make(context, at, School::Nominal, Stops(0), Stops(0));
}

std::string_view nameOf(TargetTool tool) {
    constexpr ByEnum<TargetTool, std::string_view> kNames{
        "zebra_limit", "zebra_band",      "zebra_clip",    "grey_card", "skin_range",
        "white_card",  "highlight_limit", "histogram_gap", "black_line"};
    return kNames[tool];
}

} // namespace bslate
