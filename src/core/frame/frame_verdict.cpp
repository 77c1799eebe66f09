#include "core/frame/frame_verdict.h"

#include "core/facts/precision.h"
#include "core/quantity/number_text.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr Stops kOffPlan{1.0 / 3};
constexpr Fraction kWorthTelling{0.001}; // of the frame
constexpr Fraction kSeenBanding{0.005};  // of the frame
constexpr Fraction kLittleNoiseKept{0.5};
constexpr int kDeeper = 10; // bits
constexpr std::string_view kChannelIds[] = {"channel-red", "channel-green", "channel-blue"};

// The channels of which more than a thousandth of the frame is meant, and the most of it.
struct Shares {
    ReasonList channels;
    Fraction most{0};

    explicit Shares(const std::array<Fraction, 3>& of) {
        for (std::size_t c = 0; c < 3; ++c) {
            if (of[c] >= kWorthTelling)
                channels.all.push_back({kChannelIds[c], {}});
            most = std::max(most, of[c]);
        }
    }
};

Finding shareFinding(FindingId id, Severity severity, const std::array<Fraction, 3>& of,
                     const Shares& shares) {
    return {id,
            severity,
            {{"channels", shares.channels},
             {"share", shares.most},
             {"red", of[0]},
             {"green", of[1]},
             {"blue", of[2]}}};
}

void lostShares(const Evaluation& at, const FrameMade& frame, std::vector<Finding>& out) {
    const auto matters = [&](PatchState state) {
        return std::any_of(at.patches.begin(), at.patches.end(), [&](const PatchPlacement& one) {
            return one.state == state && one.role != PatchRole::Spare;
        });
    };
    const auto severity = [&](PatchState state) {
        return matters(state) ? Severity::Caution : Severity::Note;
    };
    if (const Shares shares(frame.clipped); shares.most >= kWorthTelling)
        out.push_back(shareFinding(FindingId::FrameClips, severity(PatchState::Clipped),
                                   frame.clipped, shares));
    if (const Shares shares(frame.drowned); shares.most >= kWorthTelling)
        out.push_back(shareFinding(FindingId::FrameDrowns, severity(PatchState::Noise),
                                   frame.drowned, shares));
}

// The share of a surface's own pixels that a mask has.
std::optional<Fraction> shareInside(const Surface& surface, const PixelMask& mask,
                                    PictureSize size) {
    const auto box = pixelsOf(surface.box, size);
    std::size_t inside = 0, meant = 0;
    for (int y = box.top; y < box.bottom; ++y)
        for (int x = box.left; x < box.right; ++x) {
            const double u = ((x + 0.5) / size.width - surface.box.x) / surface.box.width * 2 - 1;
            const double v = ((y + 0.5) / size.height - surface.box.y) / surface.box.height * 2 - 1;
            if (surface.shape == SurfaceShape::Oval && u * u + v * v > 1)
                continue;
            ++inside;
            meant += mask[static_cast<std::size_t>(y) * static_cast<std::size_t>(size.width) +
                          static_cast<std::size_t>(x)] != 0;
        }
    if (inside == 0)
        return std::nullopt;
    return Fraction(static_cast<double>(meant) / static_cast<double>(inside));
}

void skinZebra(const SetupContext& context, const Evaluation& at, const FrameMade& frame,
               const Image& shown, std::vector<Finding>& out) {
    const auto* face = skin(at);
    const auto band = zebraBandOf(context, at, ZebraUse::Skin);
    if (!face || !band)
        return;
    const auto mask = context.camera->zebra.tap == ZebraTap::Recorded
                          ? zebraOn(recordingOf(frame), frame.weights, *band)
                          : zebraOn(shown, *band);
    for (const auto& surface : surfacesOf(context)) {
        if (surface.patch != face->id)
            continue;
        const auto share = shareInside(surface, mask, shown.size);
        if (share)
            out.push_back({FindingId::FrameSkinZebra,
                           Severity::Note,
                           {{"share", *share},
                            {"patch", face->name},
                            {"from", band->from},
                            {"to", std::min(band->to, Level(110))}},
                           face->id});
        return;
    }
}

void codecTaken(const FrameMade& frame, const std::optional<Error>& codec,
                std::vector<Finding>& out) {
    if (codec)
        out.push_back({FindingId::FrameNotCoded, Severity::Note, {{"why", message(*codec)}}});
    if (!frame.coded || !frame.coded->noiseKept)
        return;
    const auto kept = *frame.coded->noiseKept;
    out.push_back(
        {FindingId::FrameNoiseEaten,
         kept < kLittleNoiseKept ? Severity::Caution : Severity::Note,
         {{"kept", kept}, {"standard", frame.coded->standard}, {"rate", frame.coded->rate}}});
}

void bands(const SetupContext& context, const Evaluation& at, const FrameMade& frame,
           const FrameWish& wish, const Image& shown, std::vector<Finding>& out) {
    const auto light = shownStage(context, at, frame, FrameStage::Light);
    const double contrast = contrastOf(context.shoot->brief.grade);
    const auto banding = bandingOf(shown, light, contrast);
    if (banding.area < kSeenBanding)
        return;
    // What it would be of another recording of the same light.
    const auto areaOf = [&](const Evaluation& other, const Recorded& recorded) {
        FrameMade bare = frame;
        bare.coded.reset();
        bare.recorded = recorded;
        return bandingOf(shownStage(context, other, bare, FrameStage::Grade), light, contrast).area;
    };
    ReasonList instead;
    if (at.depth.bits < kDeeper) {
        Evaluation deeper = at;
        deeper.depth = BitDepth{kDeeper};
        const auto recorded = recordScene(context, deeper, frame.light, wish.camera);
        instead.all.push_back(
            {"frame-deeper", {{"bits", kDeeper}, {"area", areaOf(deeper, recorded)}}});
    }
    if (frame.coded)
        instead.all.push_back({"frame-uncoded", {{"area", areaOf(at, frame.recorded)}}});
    if (instead.all.empty())
        instead.all.push_back({"frame-exposed-more", {}});
    out.push_back(
        {FindingId::FrameBands,
         Severity::Caution,
         {{"area", banding.area}, {"step", fixedText(banding.step, 1)}, {"instead", instead}}});
}

void lookEnds(const SetupContext& context, const Evaluation& at, const FrameMade& frame,
              std::vector<Finding>& out) {
    const Stops room =
        at.sensorClip + (at.iso == IsoBehaviour::Recorded ? at.gain : Stops(0)) - at.clip;
    const Fraction lost = std::max({frame.clipped[0], frame.clipped[1], frame.clipped[2]});
    if (context.profile->ready && at.curveEndsFirst && room > Stops(0) && lost >= kWorthTelling)
        out.push_back({FindingId::FrameLookEnds,
                       Severity::Caution,
                       {{"profile", context.profile->name}, {"share", lost}, {"room", room}}});
}

} // namespace

std::vector<Finding> judgeFound(const SetupContext& context, const Evaluation& at,
                                const std::vector<FoundPatch>& patches) {
    std::vector<Finding> out;
    int fit = 0;
    for (const auto& patch : patches) {
        const auto placed = std::find_if(at.patches.begin(), at.patches.end(),
                                         [&](const auto& one) { return one.id == patch.id; });
        if (placed == at.patches.end() || isLost(*placed))
            continue;
        const Stops off = patch.foundStops - patch.plannedStops;
        if (std::abs(off.value()) <= kOffPlan.value()) {
            ++fit;
            continue;
        }
        out.push_back({FindingId::FrameOffPlan,
                       Severity::Caution,
                       {{"patch", patch.name},
                        {"by", off},
                        {"planned", patch.planned},
                        {"found", patch.found}},
                       patch.id});
    }
    if (out.empty() && fit > 0)
        out.push_back({FindingId::FrameAsPlanned, Severity::Good, {{"count", fit}}});
    for (auto& finding : out)
        for (const auto& accepted : context.setup->accepted)
            if (accepted.finding == finding.key())
                finding.accepted = accepted.reason;
    return out;
}

std::vector<Finding> judgeFrame(const SetupContext& context, const Evaluation& at,
                                const FrameMade& frame, const FrameWish& wish,
                                const std::optional<Error>& codec) {
    auto out = judgeFound(context, at, frame.patches);
    const auto shown = shownStage(context, at, frame, FrameStage::Grade);
    lostShares(at, frame, out);
    lookEnds(context, at, frame, out);
    bands(context, at, frame, wish, shown, out);
    codecTaken(frame, codec, out);
    skinZebra(context, at, frame, shown, out);
    for (auto& finding : out)
        for (const auto& accepted : context.setup->accepted)
            if (accepted.finding == finding.key())
                finding.accepted = accepted.reason;
    std::stable_sort(out.begin(), out.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return out;
}

} // namespace bslate
