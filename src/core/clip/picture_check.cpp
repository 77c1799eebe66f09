#include "core/clip/picture_check.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr std::size_t kMostLamps = 4; // told of, the likeliest being the slowest

const PatchPlacement* placementOf(const Evaluation& at, const std::string& patch) {
    const auto found = std::find_if(at.patches.begin(), at.patches.end(),
                                    [&](const PatchPlacement& one) { return one.id == patch; });
    return found == at.patches.end() ? nullptr : &*found;
}

// The light behind its mean luma; none where there is none.
std::optional<Stops> recordedAt(const SetupContext& context, const SeenPatch& seen) {
    double light = 0;
    for (const auto& frame : seen.frames)
        light += decode(context.profile->curve, frame.luma).value() /
                 static_cast<double>(seen.frames.size());
    return light > 0 ? std::optional(stopsOf(SceneLinear(light))) : std::nullopt;
}

Stops plannedFor(const Evaluation& at, const PatchPlacement& patch) {
    return std::clamp(patch.recorded, at.noiseFloor, at.clip);
}

Finding told(FindingId id, Severity severity, const std::string& file, Facts facts) {
    facts.insert(facts.begin(), {"clip", file});
    Finding finding{id, severity, std::move(facts)};
    finding.subject = file;
    return finding;
}

void tellRepeats(const SeenPictures& seen, std::vector<Finding>& all) {
    if (seen.repeated > 0 && 2 * seen.repeated < seen.looked)
        all.push_back(told(FindingId::ClipFramesRepeat, Severity::Fault, seen.file,
                           {{"repeated", seen.repeated}, {"looked", seen.looked}}));
}

void tellPulse(const SetupContext& context, const SeenPictures& seen, std::vector<Finding>& all) {
    const auto& pulse = seen.pulse;
    if (!pulse || pulse->share < kPulseShare)
        return;
    ReasonList lamps;
    auto agreeing = agreeingLamps(*pulse, seen.rate, context.area->readout);
    if (agreeing.size() > kMostLamps)
        agreeing.resize(kMostLamps);
    ReasonList names;
    for (const auto lamp : agreeing)
        names.all.push_back({"clip-lamp", {{"lamp", lamp}}});
    if (!agreeing.empty())
        lamps.all.push_back({"clip-lamps", {{"lamps", names}, {"rate", seen.rate}}});
    if (pulse->bands)
        lamps.all.push_back(
            {"clip-bands",
             {{"bands", Magnification(std::round(std::abs(*pulse->bands) * 10) / 10)}}});
    all.push_back(told(FindingId::ClipPulses, Severity::Caution, seen.file,
                       {{"alias", pulse->alias}, {"stops", pulse->peakToPeak}, {"lamps", lamps}}));
}

void tellExposure(const SetupContext& context, const Evaluation& at, const std::string& file,
                  const SeenPatch& seen, std::vector<Finding>& all) {
    const auto off = offPlan(context, at, seen);
    if (!off)
        return;
    const Stops by(std::abs(off->value()));
    if (by <= kOffPlan)
        return;
    const auto& patch = *placementOf(at, seen.patch);
    const auto planned = plannedFor(at, patch);
    all.push_back(
        told(FindingId::ClipExposure, by >= Stops(1) ? Severity::Fault : Severity::Caution, file,
             {{"patch", patch.name}, {"by", by}, {"seen", planned + *off}, {"planned", planned}}));
}

// The signal a channel of the recording cannot be above.
Signal endOf(const SetupContext& context, const Evaluation& at, std::size_t channel) {
    const auto end = std::min(at.clip, at.white.channels[channel].well);
    return std::min(encode(context.profile->curve, linearAt(end)),
                    endSignal(context.profile->curve, at.depth));
}

void tellEnds(const SetupContext& context, const Evaluation& at, const std::string& file,
              const SeenPatch& seen, std::vector<Finding>& all) {
    const auto* patch = placementOf(at, seen.patch);
    if (!patch || patch->role == PatchRole::Spare)
        return;
    constexpr std::string_view kNames[] = {"channel-red", "channel-green", "channel-blue"};
    ReasonList channels;
    Fraction most{0};
    for (std::size_t c = 0; c < 3; ++c) {
        const auto share = shareAt(seen.counts, c, endOf(context, at, c));
        if (share < kEndsShare)
            continue;
        channels.all.push_back({kNames[c], {}});
        most = std::max(most, share);
    }
    if (!channels.all.empty())
        all.push_back(told(FindingId::ClipChannelEnds, Severity::Fault, file,
                           {{"patch", patch->name}, {"channels", channels}, {"share", most}}));
}

} // namespace

SeenPictures seenIn(std::span<const RegionFrame> whole, const Curve& curve, FrameRate rate) {
    SeenPictures seen;
    seen.rate = rate;
    seen.looked = static_cast<int>(whole.size());
    seen.repeated =
        static_cast<int>(std::count_if(whole.begin(), whole.end(), [](const RegionFrame& frame) {
            return frame.noise && !(*frame.noise > Signal(0));
        }));
    seen.pulse = pulseOf(whole, curve, rate, kSlowestPulse);
    return seen;
}

PictureWish pictureWish(const SetupContext& context, FrameRate file,
                        std::vector<PatchArea> patches) {
    const bool conformed =
        isOffSpeed(*context.mode, context.setup->rate) && file == context.shoot->brief.rate;
    return {context.profile->curve, conformed ? context.setup->rate : file, std::move(patches)};
}

std::optional<Stops> offPlan(const SetupContext& context, const Evaluation& at,
                             const SeenPatch& seen) {
    const auto* patch = placementOf(at, seen.patch);
    const auto recorded = recordedAt(context, seen);
    if (!patch || !recorded)
        return std::nullopt;
    return std::min(*recorded, at.clip) - plannedFor(at, *patch);
}

std::vector<Finding> withPictures(std::vector<Finding> file, std::vector<Finding> pictures) {
    if (!pictures.empty())
        std::erase_if(file, [](const Finding& one) { return one.id == FindingId::ClipAsPlanned; });
    file.insert(file.end(), std::make_move_iterator(pictures.begin()),
                std::make_move_iterator(pictures.end()));
    std::stable_sort(file.begin(), file.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return file;
}

std::vector<Finding> checkPictures(const SetupContext& context, const Evaluation& at,
                                   const SeenPictures& seen) {
    std::vector<Finding> all;
    tellRepeats(seen, all);
    tellPulse(context, seen, all);
    for (const auto& patch : seen.patches) {
        tellExposure(context, at, seen.file, patch, all);
        tellEnds(context, at, seen.file, patch, all);
    }
    std::stable_sort(all.begin(), all.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return all;
}

} // namespace bslate
