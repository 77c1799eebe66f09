#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/advice/openings.h"
#include "core/facts/lattice.h"
#include "core/judgement/rules/profiles.h"
#include "core/judgement/rules/rules.h"
#include "core/media/recording.h"
#include "core/shoot/handling_of.h"
#include "core/signal/code_values.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr double kTighter = 0.8; // of the wanted angle: common practice, no source

// Offers to record another way; verified when the edited setup records at all.
void offerMode(const Case& now, Finding& finding, RemedyId id, Facts facts,
               const TurnMode& change) {
    if (!now.remedies)
        return;
    const auto turned = turn(*now.context.shoot, *now.context.setup, change);
    if (!turned)
        return;
    offer(now, finding.remedies, Remedy{id, std::move(facts), turned->edit},
          [](const Evaluation& after) { return after.recording.bitRate.has_value(); });
}

// None for gear that is not there.
std::optional<RemedyId> remedyFor(OpeningKind opening) {
    switch (opening) {
    case OpeningKind::Power:
        return RemedyId::SetPower;
    case OpeningKind::Profile:
        return RemedyId::SetProfile;
    case OpeningKind::Rating:
        return RemedyId::SetRating;
    case OpeningKind::NoProxy:
        return RemedyId::NoProxy;
    case OpeningKind::Cell:
        return RemedyId::SetMode;
    case OpeningKind::Card:
        break;
    }
    return std::nullopt;
}

Facts remedyFacts(const Opening& opening) {
    Facts facts = opening.reason.facts;
    for (auto& fact : facts)
        if (fact.name == "value")
            fact.name = "ei";
    return facts;
}

// The open cell nearest in rate whose mode satisfies `wanted`, at this setup's rate first.
template<class Wanted>
const RecordingMode* otherMode(const Case& now, Wanted wanted) {
    if (!now.remedies)
        return nullptr;
    const auto question = latticeCase(now.context);
    for (const auto& mode : now.context.camera->modes) {
        const auto* codec = findCodec(*now.context.camera, mode.codec);
        if (codec && wanted(mode, *codec) &&
            cellOf(question, mode, now.context.setup->rate).available())
            return &mode;
    }
    return nullptr;
}

int codesAt(const Case& now, Stops place, int bits) {
    return static_cast<int>(
        std::lround(codesInStop(now.context.profile->curve, place, BitDepth{bits})));
}

// Profiles of the camera that the mode records and that satisfy `wanted`.
template<class Wanted>
void offerProfile(const Case& now, Finding& finding, Wanted wanted) {
    for (const auto& id : now.context.camera->profiles) {
        const auto* profile = findProfile(now.context.shoot->kit, id);
        if (!profile || profile == now.context.profile || !allows(*now.context.mode, id) ||
            !wanted(*profile))
            continue;
        offerMode(now, finding, RemedyId::SetProfile, {{"profile", profile->name}},
                  {now.context.setup->mode, now.context.setup->rate, id});
        return;
    }
}

} // namespace

static void modeExcluded(const Case& now, Findings& out) {
    if (now.at.cell.available())
        return;
    Finding finding{
        FindingId::ModeExcluded, Severity::Fault, {{"reason", ReasonList{now.at.cell.reasons}}}};
    const auto& setup = *now.context.setup;
    if (!now.remedies)
        return out.push_back(std::move(finding));
    const auto question = latticeCase(now.context);
    const auto cell = cellOf(question, *now.context.mode, setup.rate);
    const auto always = [](const Evaluation&) { return true; };
    for (const auto& opening : openingsOf(question, latticeOf(question), cell)) {
        const auto id = remedyFor(opening.kind);
        if (!id || !opening.setup)
            continue;
        const auto& to = *opening.setup;
        if (opening.kind == OpeningKind::NoProxy) {
            offer(now, finding.remedies, Remedy{*id, {}, {to, std::nullopt}}, always);
        } else if (opening.kind == OpeningKind::Rating && to.rating != setup.rating) {
            if (auto turned = turn(*now.context.shoot, setup, TurnRating{to.rating}))
                offer(now, finding.remedies, Remedy{*id, remedyFacts(opening), turned->edit},
                      always);
        } else {
            offerMode(now, finding, *id, remedyFacts(opening),
                      {to.mode, to.rate, to.profile, to.externalPower});
        }
    }
    out.push_back(std::move(finding));
}

static void eightBitLog(const Case& now, Findings& out) {
    if (now.at.depth.bits > 8 || !isLog(*now.context.profile))
        return;
    const auto* face = skin(now.at);
    const Stops place = face ? std::min(face->recorded, now.at.clip) : Stops(0.0);
    Finding finding{FindingId::EightBitLog,
                    Severity::Caution,
                    {{"codes", codesAt(now, place, 8)},
                     {"ten", codesAt(now, place, 10)},
                     {"answer", ReasonList{{eightBitReason(now)}}}}};
    offerProfile(now, finding, [](const Profile& p) { return p.ready; });
    offerProfile(now, finding,
                 [](const Profile& p) { return isLog(p) && p.gamut == gamutBt709(); });
    if (const auto* ten = otherMode(
            now, [](const RecordingMode&, const Codec& codec) { return codec.depth.bits > 8; }))
        offerMode(now, finding, RemedyId::SetMode,
                  {{"mode", ten->name}, {"rate", now.context.setup->rate}},
                  {ten->id, now.context.setup->rate, {}});
    out.push_back(std::move(finding));
}

static void profileLocks(const Case& now, Findings& out) {
    const auto& profile = *now.context.profile;
    if (profile.locks.empty())
        return;
    std::string list;
    for (const auto& lock : profile.locks)
        list += (list.empty() ? "" : ", ") + lock;
    out.push_back(
        {FindingId::ProfileLocks, Severity::Note, {{"profile", profile.name}, {"list", list}}});
}

static void bitsForGrade(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    if (!facts.bitRate)
        return;
    const auto& codec = *now.context.codec;
    const auto least = leastForHeavyGrade(codec.gop == Gop::Intra, codec.depth.bits);
    const bool heavy = now.context.shoot->brief.grade == GradeWeight::Full && codec.gop != Gop::Raw;
    const bool thin = heavy && facts.bitsPerPixel < least;
    Finding finding;
    finding.facts = {{"bits", facts.bitsPerPixel},
                     {"least", least},
                     {"mode", now.context.mode->name},
                     {"rate", now.context.setup->rate},
                     {"bitRate", *facts.bitRate}};
    if (thin) {
        finding.id = FindingId::BitsLow;
        finding.severity = Severity::Caution;
        if (const auto* better = otherMode(now, [&](const RecordingMode& mode, const Codec& other) {
                const auto rate =
                    bitRateAt(mode, now.context.setup->rate, now.context.shoot->brief.rate);
                return rate && other.gop != Gop::Raw && mode.area == now.context.mode->area &&
                       bitsPerPixel(*rate, mode.frame, now.context.setup->rate) >=
                           leastForHeavyGrade(other.gop == Gop::Intra, other.depth.bits);
            }))
            offerMode(now, finding, RemedyId::SetMode,
                      {{"mode", better->name}, {"rate", now.context.setup->rate}},
                      {better->id, now.context.setup->rate, {}});
    } else if (facts.recordTime && facts.cardHolds) {
        finding.id = FindingId::RecordsWell;
        finding.severity = Severity::Note;
        const bool copy = facts.second && facts.second->endsFirst;
        finding.facts.push_back({"card", copy ? facts.second->card : facts.card});
        finding.facts.push_back({"time", Duration{*facts.recordTime}});
    } else {
        return;
    }
    out.push_back(std::move(finding));
}

static void soundAndFocus(const Case& now, Findings& out) {
    const auto handling = handlingOf(*now.context.scene, *now.context.setup);
    const bool wantsSound = handling.wantsSound();
    const bool focuses = handling.focus == FocusBy::Continuous || handling.focus == FocusBy::Faces;
    for (const auto& [kind, reason] : now.at.cell.costs) {
        const bool sound = kind == CostKind::Sound && wantsSound;
        if (!sound && (kind != CostKind::Focus || focuses)) // hands.cpp says more
            continue;
        Finding finding{sound ? FindingId::SoundLost : FindingId::FocusLost,
                        sound ? Severity::Fault : Severity::Note,
                        {{"mode", now.context.mode->name}, {"rate", now.context.setup->rate}}};
        if (sound)
            if (const auto* other = otherMode(now, [&](const RecordingMode& mode, const Codec&) {
                    return mode.sound && !isOffSpeed(mode, now.context.setup->rate);
                }))
                offerMode(now, finding, RemedyId::SetMode,
                          {{"mode", other->name}, {"rate", now.context.setup->rate}},
                          {other->id, now.context.setup->rate, {}});
        out.push_back(std::move(finding));
    }
}

static void soundSlowed(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    if (now.at.cell.hasCost(CostKind::Sound) || !facts.bitRate || facts.slowdown.value() <= 1.01)
        return;
    out.push_back({FindingId::SoundSlowed,
                   Severity::Note,
                   {{"rate", now.context.setup->rate}, {"slower", facts.slowdown}}});
}

namespace {

// Zooms and lenses that see the wanted angle, the nearest to it first.
void offerLenses(const Case& now, Finding& finding, Degrees wanted) {
    if (!now.remedies)
        return;
    constexpr std::size_t most = 2;
    const auto& mine = *now.context.lens;
    const auto wide = focalFor(now.at.recording.areaWidth, wanted);
    std::vector<Remedy> found;
    for (const auto& lens : now.context.shoot->kit.lenses) {
        const bool own = lens.id == mine.id;
        if (lens.shortest.value() <= 0 || (!own && !now.context.camera->fixedLens.empty()))
            continue;
        Edit edit{*now.context.setup, std::nullopt};
        edit.setup->lens = lens.id;
        edit.setup->focal = std::clamp(wide, lens.shortest, lens.longest);
        edit.setup->iris = std::clamp(edit.setup->iris, lens.widest, lens.narrowest);
        found.push_back({own ? RemedyId::SetFocal : RemedyId::SetLens,
                         {{"lens", lens.name}, {"focal", edit.setup->focal}},
                         edit});
    }
    const auto away = [&](const Remedy& remedy) {
        const double stops = std::log2(remedy.edit.setup->focal.value() / wide.value());
        return std::pair(std::abs(stops) > 0.02 ? std::abs(stops) : 0.0,
                         remedy.id == RemedyId::SetLens);
    };
    std::stable_sort(found.begin(), found.end(),
                     [&](const Remedy& a, const Remedy& b) { return away(a) < away(b); });
    for (auto& remedy : found)
        if (finding.remedies.size() < most)
            offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
                return after.recording.view.value() >= wanted.value() * kTighter &&
                       after.recording.view.value() <= wanted.value() / kTighter;
            });
}

} // namespace

static void cropTooTight(const Case& now, Findings& out) {
    const auto& facts = now.at.recording;
    if (!facts.focal)
        return;
    const auto& lens = *now.context.lens;
    const auto whole = now.context.camera->areas.front().width;
    const bool asked = now.context.scene->view.has_value();
    const Degrees wanted = now.context.scene->view.value_or(angleOfView(whole, *facts.focal));
    const bool tight = facts.view.value() < wanted.value() * kTighter;
    if (asked ? !tight : facts.crop.value() <= 1.005)
        return;
    Finding finding{asked ? FindingId::CropTooTight : FindingId::CropFrames,
                    asked ? Severity::Caution : Severity::Note,
                    {{"crop", facts.crop},
                     {"focal", *facts.focal},
                     {"equivalent", facts.equivalent},
                     {"view", facts.view},
                     {"wanted", wanted},
                     {"lens", lens.name}}};
    if (!asked) {
        out.push_back(std::move(finding));
        return;
    }
    offerLenses(now, finding, wanted);
    out.push_back(std::move(finding));
}

std::span<const Rule> modesRules() {
    static constexpr Rule kRules[] = {modeExcluded,  eightBitLog, profileLocks, bitsForGrade,
                                      soundAndFocus, soundSlowed, cropTooTight};
    return kRules;
}

} // namespace bslate::rules
