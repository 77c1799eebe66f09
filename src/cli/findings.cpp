#include "cli/findings.h"

#include "core/base/enumerated.h"
#include "core/facts/setting_table.h"

#include "core/words/wording.h"

#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

const char* stateName(PatchState state) {
    switch (state) {
    case PatchState::Good:
        return "good";
    case PatchState::NearClip:
        return "near_clip";
    case PatchState::Clipped:
        return "clipped";
    case PatchState::Noise:
        return "noise";
    }
    return "good";
}

Json patchJson(const PatchPlacement& patch) {
    return {{"id", patch.id},
            {"name", patch.name},
            {"luminance_cd_m2", patch.luminance.value()},
            {"sensor_stops", patch.sensor.value()},
            {"recorded_stops", patch.recorded.value()},
            {"viewed_stops", patch.viewed.value()},
            {"level_percent", patch.level.value()},
            {"viewed_level_percent", patch.viewedLevel.value()},
            {"code", patch.code},
            {"headroom_stops", patch.headroom.value()},
            {"above_noise_stops", patch.aboveNoise.value()},
            {"state", stateName(patch.state)}};
}

Json zebraJson(const ZebraValue& zebra) {
    return {{"use", zebra.use == ZebraUse::Skin ? "skin" : "clip"},
            {"level_percent", zebra.set.value()},
            {"exact_percent", zebra.exact.value()},
            {"margin_stops", zebra.margin.value()},
            {"measured_on", zebra.tap == ZebraTap::Recorded ? "recorded" : "viewing_lut"},
            {"reachable", zebra.reachable}};
}

Json recordingJson(const RecordingFacts& facts) {
    const auto optional = [](const std::optional<Seconds>& time) {
        return time ? Json(time->value()) : Json(nullptr);
    };
    Json node = {{"bit_rate_bps", facts.bitRate ? Json(facts.bitRate->value()) : Json(nullptr)},
                 {"peak_bps", facts.peak.value()},
                 {"bits_per_pixel", facts.bitsPerPixel.value()},
                 {"crop", facts.crop.value()},
                 {"slowdown", facts.slowdown.value()},
                 {"card", facts.card},
                 {"slot", facts.slot},
                 {"card_holds", facts.cardHolds},
                 {"record_time_s", optional(facts.recordTime)},
                 {"heat_time_s", facts.heat ? Json(facts.heat->time.value()) : Json(nullptr)}};
    if (facts.second)
        node["second_slot"] = {{"slot", facts.second->slot},
                               {"card", facts.second->card},
                               {"peak_bps", facts.second->peak.value()},
                               {"card_holds", facts.second->holds},
                               {"record_time_s", optional(facts.second->time)}};
    if (facts.focal) {
        node["focal_mm"] = facts.focal->value();
        node["view_deg"] = facts.view.value();
        node["equivalent_mm"] = facts.equivalent.value();
        node["hyperfocal_m"] = facts.hyperfocal.value();
    }
    return node;
}

Json cellJson(const CellState& cell) {
    Json reasons = Json::array(), costs = Json::array();
    for (const auto& reason : cell.reasons)
        reasons.push_back(reasonOf(reason));
    for (const auto& [kind, reason] : cell.costs)
        costs.push_back(reasonOf(reason));
    return {{"available", cell.available()}, {"reasons", reasons}, {"costs", costs}};
}

Json cadenceJson(const CadenceFacts& cadence) {
    Json node = {{"playback_share", cadence.playback.value()},
                 {"blur_share", cadence.blur.value()},
                 {"blur_px", cadence.blurPixels},
                 {"skew_deg", cadence.skew.value()},
                 {"shortest_crossing_s", cadence.shortestCrossing.value()}};
    node["fastest_pan_deg_s"] =
        cadence.fastestPan ? Json(cadence.fastestPan->value()) : Json(nullptr);
    return node;
}

Json whiteJson(const WhiteFacts& white) {
    constexpr std::array kChannels{"red", "green", "blue"};
    return {{"kelvin", white.set.kelvin.value()},
            {"tint", white.set.tint.value()},
            {"baked", white.baked},
            {"first_clip_stops", white.firstClip.value()},
            {"first_clip", kChannels[white.clipsFirst]},
            {"first_floor_stops", white.firstFloor.value()},
            {"first_floor", kChannels[white.drownsFirst]}};
}

} // namespace

Json derivedJson(const Verdict& verdict) {
    Json node = Json::object();
    if (!verdict.evaluation)
        return node;
    const auto& at = *verdict.evaluation;
    constexpr ByEnum<CurveSource, const char*> kSources{"nominal", "measured",
                                                        "measured_elsewhere"};
    node = {{"curve_source", kSources[at.curveSource]},
            {"exposure_time_s", at.exposureTime.value()},
            {"angle_deg", at.angle.value()},
            {"nd_stops", at.ndLoss.value()},
            {"gain_stops", at.gain.value()},
            {"rating_offset_stops", at.ratingOffset.value()},
            {"base_iso", at.base.value()},
            {"bits", at.depth.bits},
            {"sensor_clip_stops", at.sensorClip.value()},
            {"clip_stops", at.clip.value()},
            {"clip_level_percent", at.clipLevel.value()},
            {"noise_floor_stops", at.noiseFloor.value()},
            {"mid_grey_level_percent", at.midGreyLevel.value()}};
    node["grey_stops"] = at.grey ? Json(at.grey->value()) : Json(nullptr);
    node["recording"] = recordingJson(at.recording);
    node["cell"] = cellJson(at.cell);
    node["cadence"] = cadenceJson(at.cadence);
    node["white"] = whiteJson(at.white);
    node["patches"] = Json::array();
    for (const auto& patch : at.patches)
        node["patches"].push_back(patchJson(patch));
    node["zebra"] = Json::array();
    for (const auto& zebra : at.zebra)
        node["zebra"].push_back(zebraJson(zebra));
    return node;
}

Json settingsJson(const DialInCard& card) {
    Json list = Json::array();
    for (const auto& row : card.rows)
        list.push_back({{"setting", settingTable()[row.field].key},
                        {"value", reasonOf(row.value)},
                        {"changed", row.changed}});
    return list;
}

Json findingsJson(const std::vector<Finding>& findings) {
    Json list = Json::array();
    for (const auto& finding : findings) {
        const auto& kind = kindOf(finding.id);
        Json node = {{"id", kind.key},
                     {"severity", severityName(finding.severity)},
                     {"title", titleOf(finding)},
                     {"reason", reasonOf(finding)},
                     {"source", kind.source}};
        if (!finding.subject.empty())
            node["subject"] = finding.subject;
        if (finding.accepted)
            node["accepted"] = *finding.accepted;
        node["remedies"] = Json::array();
        for (const auto& remedy : finding.remedies)
            node["remedies"].push_back({{"title", titleOf(remedy)}, {"effect", effectOf(remedy)}});
        if (!finding.follows.empty())
            node["follows"] = findingsJson(finding.follows);
        list.push_back(std::move(node));
    }
    return list;
}

void tellFindings(const std::vector<Finding>& findings, std::ostream& out) {
    for (const auto& finding : findings) {
        out << "  " << severityName(finding.severity) << ": " << titleOf(finding) << "\n";
        out << "      " << reasonOf(finding) << "\n";
        if (finding.accepted)
            out << "      accepted: " << *finding.accepted << "\n";
        for (const auto& remedy : finding.remedies)
            out << "      - " << titleOf(remedy) << " (" << effectOf(remedy) << ")\n";
    }
}

} // namespace bslate::cli
