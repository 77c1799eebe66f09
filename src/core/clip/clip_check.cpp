#include "core/clip/clip_check.h"

#include "core/cadence/rates.h"
#include "core/clip/clip_print.h"
#include "core/facts/recording_facts.h"
#include "core/facts/sound_reference.h"
#include "core/kit/mode_fields.h"
#include "core/quantity/print.h"
#include "core/shoot/handling_of.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace bslate {
namespace {

constexpr Decibels kEnds{-0.1};     // dBFS: a sample at the top
constexpr Decibels kFarUnder{10};   // peaks this far under the tone are weak
constexpr Decibels kBarely{30};     // as good as silent
constexpr Decibels kDeadBeside{40}; // under the loudest channel of a track
constexpr double kIntraKept = 0.85; // of the mode's bit rate; long groups follow the scene
constexpr double kLongKept = 0.6;
constexpr Fraction kAsLong{0.9};
constexpr Seconds kAtLimit{2};
constexpr double kJitter = 1.2; // of the slowest pace: what a clock that runs unevenly makes

std::string sizeText(FrameSize size) {
    return std::to_string(size.width) + "x" + std::to_string(size.height);
}

// A standard that has a name goes by it.
std::string codecNameOf(const ClipPicture& picture) {
    const auto standard = standardOf(picture);
    return standard == CodecStandard::Other || standard == CodecStandard::Untold ? picture.standard
                                                                                 : print(standard);
}

// What is told of one clip, gathered in the order of the table.
struct ClipVerdict {
    const SetupContext& context;
    const ClipFacts& clip;
    const TakePart& part;
    std::vector<Finding> all;

    void tell(FindingId id, Severity severity, Facts facts) {
        facts.insert(facts.begin(), {"clip", clip.file});
        Finding finding{id, severity, std::move(facts)};
        finding.subject = clip.file;
        all.push_back(std::move(finding));
    }

    void rate(const ClipPicture& picture) {
        const auto planned = fileRate(context);
        if (picture.varies) {
            const auto& [slowest, fastest] = *picture.varies;
            const bool far = fastest.toDouble() > kJitter * slowest.toDouble();
            tell(FindingId::ClipVariable, far ? Severity::Fault : Severity::Caution,
                 {{"slowest", slowest}, {"fastest", fastest}, {"planned", planned}});
        } else if (picture.rate != planned) {
            ReasonList effect;
            if (isNearMiss(picture.rate, planned))
                effect.all.push_back(
                    {"clip-drifts", {{"drift", driftAnHour(picture.rate, planned)}}});
            else
                effect.all.push_back(
                    {"clip-speed", {{"speed", playbackSpeed(picture.rate, planned)}}});
            tell(FindingId::ClipRate, Severity::Fault,
                 {{"rate", picture.rate}, {"planned", planned}, {"effect", effect}});
        }
        if (picture.gaps > 0 || picture.doubled > 0)
            tell(FindingId::ClipFramesMissing, Severity::Fault,
                 {{"gaps", picture.gaps}, {"doubled", picture.doubled}});
    }

    void format(const ClipPicture& picture) {
        const auto& codec = *context.codec;
        if (picture.interlaced)
            tell(FindingId::ClipInterlaced, Severity::Fault, {{"rate", picture.rate}});
        if (picture.turned != 0)
            tell(FindingId::ClipTurned, Severity::Note,
                 {{"angle", Degrees(static_cast<double>(picture.turned))}});
        if (picture.size != context.mode->frame)
            tell(FindingId::ClipSize, Severity::Fault,
                 {{"size", sizeText(picture.size)}, {"planned", sizeText(context.mode->frame)}});
        if (codec.gop == Gop::Raw)
            return; // what a raw file holds, the media library does not know
        if (!picture.readable)
            tell(FindingId::ClipUnreadable, Severity::Note, {{"codec", codecNameOf(picture)}});
        if (!mayBeOne(standardOf(picture), codec.standard))
            tell(FindingId::ClipCodec, Severity::Caution,
                 {{"codec", codecNameOf(picture)}, {"planned", print(codec.standard)}});
        if (picture.depth && picture.chroma &&
            (*picture.depth != codec.depth || *picture.chroma != codec.chroma)) {
            const bool less =
                picture.depth->bits < codec.depth.bits || *picture.chroma < codec.chroma;
            tell(less ? FindingId::ClipDepth : FindingId::ClipDepthMore,
                 less ? Severity::Fault : Severity::Note,
                 {{"format", printFormat(picture.depth, picture.chroma)},
                  {"planned", printFormat(codec.depth, codec.chroma)}});
        }
        if (picture.gop != codec.gop)
            tell(FindingId::ClipGop, Severity::Caution,
                 {{"gop", std::string(nameIn<Gop>(kGopNames, picture.gop))},
                  {"planned", std::string(nameIn<Gop>(kGopNames, codec.gop))}});
    }

    void signal(const ClipPicture& picture) {
        const auto& curve = context.profile->curve;
        const auto name = [](CodeRange range) {
            return std::string(range == CodeRange::Full ? "full" : "legal");
        };
        if (picture.range && *picture.range != curve.range)
            tell(FindingId::ClipRange, Severity::Caution,
                 {{"range", name(*picture.range)},
                  {"planned", name(curve.range)},
                  {"profile", context.profile->name}});
        // Code points of ITU-T H.273; curves of cameras have none, and most are tagged as BT.709.
        const bool hlg = std::holds_alternative<Hlg>(curve.family);
        const bool pq = std::holds_alternative<Pq>(curve.family);
        const auto& tag = picture.colour.transfer;
        const bool taggedHdr = tag == "arib-std-b67" || tag == "smpte2084";
        const std::string wanted = hlg ? "arib-std-b67" : pq ? "smpte2084" : "";
        if (taggedHdr ? tag != wanted : hlg || pq)
            tell(FindingId::ClipCurveTag, Severity::Caution,
                 {{"tag", tag.empty() ? std::string("none") : tag},
                  {"profile", context.profile->name}});
    }

    void bitRate(const ClipPicture& picture) {
        const auto planned = recordingFacts(context).bitRate;
        if (!planned || picture.size != context.mode->frame)
            return; // smaller pictures write less
        const double kept = picture.gop == Gop::Long ? kLongKept : kIntraKept;
        if (clip.average < kept * *planned)
            tell(FindingId::ClipBitRateLow, Severity::Caution,
                 {{"rate", clip.average}, {"planned", *planned}, {"why", lowered()}});
        const auto most = std::max(1.0, context.codec->peak) * *planned;
        if (clip.peak > 1.05 * most)
            tell(FindingId::ClipPeakHigh, Severity::Note, {{"peak", clip.peak}, {"planned", most}});
    }

    // The slot that writes no more than was found.
    [[nodiscard]] ReasonList lowered() const {
        ReasonList why;
        for (const auto& slot : context.camera->cardSlots)
            if (slot.most && mayUse(*context.mode, slot) && clip.average <= 1.1 * *slot.most &&
                clip.average >= 0.6 * *slot.most)
                why.all.push_back(
                    {"clip-slot-lowers", {{"slot", slot.name}, {"most", *slot.most}}});
        return why;
    }

    void sound() {
        // What the setup comes to with its scene; a mode that is mute is told of in the plan.
        const bool meant = handlingOf(*context.scene, *context.setup).wantsSound() &&
                           context.mode->sound && !isOffSpeed(*context.mode, context.setup->rate);
        if (clip.sound.empty()) {
            if (meant)
                tell(FindingId::ClipNoSound, Severity::Fault, {});
            return;
        }
        const auto reference = soundReferenceFor(context.shoot->brief.mains);
        for (std::size_t i = 0; i < clip.sound.size(); ++i) {
            const auto& level = clip.sound[i].level;
            if (!level)
                continue;
            const int track = static_cast<int>(i) + 1;
            const auto peak = printDbfs(level->peak);
            if (!std::isfinite(level->peak.value()))
                tell(FindingId::ClipSoundSilent, meant ? Severity::Fault : Severity::Note,
                     {{"track", track}});
            else if (level->peak >= kEnds)
                tell(FindingId::ClipSoundEnds, Severity::Fault, {{"track", track}, {"peak", peak}});
            else if (meant && level->peak + kFarUnder < Decibels(reference.tone))
                tell(FindingId::ClipSoundWeak,
                     level->peak + kBarely < Decibels(reference.tone) ? Severity::Fault
                                                                      : Severity::Caution,
                     {{"track", track}, {"peak", peak}, {"tone", reference.tone}});
            deadChannels(*level, track, meant);
        }
    }

    // Whatever the others hear: a plug that is loose is heard by nobody.
    void deadChannels(const SoundLevel& level, int track, bool meant) {
        for (std::size_t c = 0; c < level.channels.size(); ++c)
            if (std::isfinite(level.peak.value()) &&
                !(level.channels[c] + kDeadBeside > level.peak))
                tell(FindingId::ClipSoundDead, meant ? Severity::Fault : Severity::Note,
                     {{"track", track},
                      {"channel", static_cast<int>(c) + 1},
                      {"peak", printDbfs(level.channels[c])},
                      {"loudest", printDbfs(level.peak)}});
    }

    void length() {
        if (clip.cutOff)
            tell(FindingId::ClipCutOff, Severity::Fault, {});
        const auto limit = context.mode->clipLimit;
        if (limit && !part.goesOn && std::abs((clip.duration - *limit).value()) <= kAtLimit.value())
            tell(FindingId::ClipAtLimit, Severity::Caution, {{"limit", Duration{*limit}}});
        std::optional<Seconds> shortest;
        for (const auto& day : context.shoot->plan)
            for (const auto& take : day.takes)
                if (take.whole && std::find(take.setups.begin(), take.setups.end(),
                                            context.setup->id) != take.setups.end())
                    shortest = std::min(shortest.value_or(take.length), take.length);
        if (shortest && part.first && part.whole < kAsLong.value() * *shortest) {
            ReasonList joined;
            if (part.parts > 1)
                joined.all.push_back({"clip-parts", {{"parts", static_cast<int>(part.parts - 1)}}});
            tell(FindingId::ClipShort, Severity::Caution,
                 {{"length", Duration{part.whole}},
                  {"planned", Duration{*shortest}},
                  {"joined", joined}});
        }
    }
};

// Of a clip whose codec is no other than the planned one, as far as that is known.
ReasonList codecsCompared(const SetupContext& context, const ClipFacts& clip) {
    if (!clip.picture || context.codec->gop == Gop::Raw)
        return {};
    if (context.codec->standard == CodecStandard::Untold)
        return {{{"clip-codec-untold", {}}}};
    return {{{"clip-codec-too", {{"codec", codecNameOf(*clip.picture)}}}}};
}

} // namespace

FrameRate fileRate(const SetupContext& context) {
    const auto& rates = context.mode->rates;
    const bool listed = std::any_of(rates.begin(), rates.end(), [&](const RateOption& one) {
        return one.rate == context.setup->rate;
    });
    return listed ? context.setup->rate : context.shoot->brief.rate;
}

std::vector<Finding> checkClip(const SetupContext& context, const ClipFacts& clip) {
    return checkClip(context, clip, {1, clip.duration, true, false});
}

std::vector<Finding> checkClip(const SetupContext& context, const ClipFacts& clip,
                               const TakePart& part) {
    ClipVerdict verdict{context, clip, part, {}};
    if (clip.picture) {
        verdict.rate(*clip.picture);
        verdict.format(*clip.picture);
        verdict.signal(*clip.picture);
        verdict.bitRate(*clip.picture);
    } else {
        verdict.tell(FindingId::ClipNoPicture, Severity::Fault, {});
    }
    verdict.sound();
    verdict.length();
    const auto worst = [](const Finding& one) {
        return one.severity == Severity::Fault || one.severity == Severity::Caution;
    };
    if (std::none_of(verdict.all.begin(), verdict.all.end(), worst))
        verdict.tell(FindingId::ClipAsPlanned, Severity::Good,
                     {{"setup", context.setup->number}, {"codec", codecsCompared(context, clip)}});
    std::stable_sort(verdict.all.begin(), verdict.all.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return verdict.all;
}

Finding guessedSetup(const ClipFacts& clip, const Setup& taken,
                     std::span<const Setup* const> others) {
    std::string names;
    for (const auto* other : others)
        names += (names.empty() ? "" : ", ") + other->number;
    Finding finding{FindingId::ClipGuessed,
                    Severity::Note,
                    {{"clip", clip.file}, {"setup", taken.number}, {"others", names}}};
    finding.subject = clip.file;
    return finding;
}

} // namespace bslate
