#include "core/clip/picture_check.h"

#include "core/shoot/lamps.h"

#include <algorithm>
#include <cmath>
#include <numbers>

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
    // All but a few alike is a picture that stands.
    if (seen.repeated > 0 && 4 * seen.repeated < 3 * seen.looked)
        all.push_back(told(FindingId::ClipFramesRepeat, Severity::Fault, seen.file,
                           {{"repeated", seen.repeated}, {"looked", seen.looked}}));
}

void tellPulse(const SetupContext& context, const SeenPictures& seen, std::vector<Finding>& all) {
    const auto& pulse = seen.pulse;
    if (!pulse || !isEnough(*pulse, isExplained(*pulse, *context.scene, context.shoot->brief.mains)
                                        ? kOfKnownLamp
                                        : kOfAnyLamp))
        return;
    ReasonList lamps;
    auto agreeing = agreeingLamps(*pulse, seen.rate, context.area->readout);
    if (agreeing.size() > kMostLamps)
        agreeing.resize(kMostLamps);
    ReasonList names;
    for (const auto lamp : agreeing)
        names.all.push_back({"clip-lamp", {{"lamp", lamp}, {"within", pulse->within}}});
    if (!agreeing.empty())
        lamps.all.push_back({"clip-lamps", {{"lamps", names}, {"rate", seen.rate}}});
    if (pulse->bands && std::abs(*pulse->bands) >= 0.1)
        lamps.all.push_back(
            {"clip-bands",
             {{"bands", Magnification(std::round(std::abs(*pulse->bands) * 10) / 10)}}});
    all.push_back(told(FindingId::ClipPulses, Severity::Caution, seen.file,
                       {{"alias", pulse->alias}, {"stops", pulse->peakToPeak}, {"lamps", lamps}}));
}

void tellStanding(const SetupContext& context, const Evaluation& at, const SeenPictures& seen,
                  std::vector<Finding>& all) {
    const auto& planned = at.cadence.pulsing;
    if (isMoving(planned) || planned.peakToPeak < kVisible || !planned.strongest)
        return;
    const auto shown = standingBands(seen.mean, context.profile->curve, planned.bands);
    if (shown)
        all.push_back(told(FindingId::ClipBandsStand, Severity::Caution, seen.file,
                           {{"stops", *shown},
                            {"bands", Magnification(planned.bands)},
                            {"frequency", at.cadence.lights[*planned.strongest].frequency},
                            {"rate", seen.rate}}));
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
    constexpr std::string_view kNames[] = {"of-red", "of-green", "of-blue"};
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

bool isEnough(const RegionPulse& pulse, const PulseEvidence& asked) {
    return pulse.share >= asked.share && pulse.together >= asked.together &&
           pulse.alone.value() >= asked.alone.value() && pulse.over.value() >= asked.over.value();
}

bool isExplained(const RegionPulse& pulse, const Scene& scene, Hertz mains) {
    const auto isLamp = [&](Hertz known, double tolerance) {
        return std::any_of(pulse.lamps.begin(), pulse.lamps.end(), [&](Hertz lamp) {
            return std::abs(lamp.value() - known.value()) <=
                   pulse.within.value() + tolerance * known.value();
        });
    };
    for (const auto network : {Hertz(50), Hertz(60), mains})
        if (isLamp(Hertz(2 * network.value()), kMainsTolerance))
            return true;
    const auto lamps = lightsOf(scene, mains);
    return std::any_of(lamps.begin(), lamps.end(), [&](const PulsedLight& lamp) {
        return isLamp(lamp.frequency, lamp.fromMains ? kMainsTolerance : 0.0);
    });
}

namespace {

constexpr std::size_t kAround = 6;

std::vector<Strip> meanStrips(std::span<const RegionFrame> frames) {
    std::vector<Strip> mean(frames.empty() ? 0 : frames.front().strips.size());
    for (const auto& frame : frames)
        for (std::size_t s = 0; s < std::min(mean.size(), frame.strips.size()); ++s)
            for (std::size_t c = 0; c < kStripColumns; ++c)
                mean[s][c] += frame.strips[s][c] * (1.0 / static_cast<double>(frames.size()));
    return mean;
}

// How light goes up and down a column by so many turns over the height, in stops, beside a straight
// slope; and how much of what is left beside the slope that is.
struct Down {
    double real = 0, imaginary = 0, share = 0;
};

Down downOf(std::span<const Strip> mean, const Curve& curve, std::size_t column, double turns) {
    const auto count = static_cast<double>(mean.size());
    std::vector<double> stops;
    double sum = 0, slope = 0, squares = 0;
    for (std::size_t s = 0; s < mean.size(); ++s) {
        const double at = static_cast<double>(s) - (count - 1) / 2;
        stops.push_back(std::log2(std::max(decode(curve, mean[s][column]).value(), 1e-6)));
        sum += stops.back();
        slope += stops.back() * at;
        squares += at * at;
    }
    slope /= squares;
    Down down;
    double whole = 0;
    for (std::size_t s = 0; s < mean.size(); ++s) {
        const double at = static_cast<double>(s) - (count - 1) / 2;
        const double off = stops[s] - sum / count - slope * at;
        const double angle = 2 * std::numbers::pi * turns * (static_cast<double>(s) + 0.5) / count;
        down.real += off * std::cos(angle) * 2 / count;
        down.imaginary += off * std::sin(angle) * 2 / count;
        whole += off * off;
    }
    const double own = std::hypot(down.real, down.imaginary);
    down.share = whole > 0 ? std::min(1.0, own * own / 2 * count / whole) : 0;
    return down;
}

// What is usual of the moving ones about a place: the upper quarter begins here, fewer may repeat.
double usualAround(std::span<const double> values, std::size_t at) {
    std::vector<double> around;
    for (std::size_t j = std::max<std::size_t>(1, at > kAround ? at - kAround : 0);
         j < std::min(values.size(), at + kAround + 1); ++j)
        if (j != at)
            around.push_back(values[j]);
    std::sort(around.begin(), around.end());
    return around.empty() ? 0 : around[around.size() * 3 / 4];
}

// How far the places of a picture went from those of the last: what moves, without noise.
double movedBetween(const RegionFrame& before, const RegionFrame& after) {
    double sum = 0, count = 0;
    for (std::size_t s = 0; s < std::min(before.strips.size(), after.strips.size()); ++s)
        for (std::size_t c = 0; c < kStripColumns; ++c, ++count) {
            const double by = (after.strips[s][c] - before.strips[s][c]).value();
            sum += by * by;
        }
    return count > 0 ? std::sqrt(sum / count) : 0;
}

// Pictures that hardly differ, between two that move as those around them do. What turns back moves
// less before and after as well, or comes back to where it was; a flash is no movement.
std::vector<std::size_t> likeTheLast(std::span<const RegionFrame> frames) {
    constexpr double kAbrupt = 0.7, kFlash = 4;
    std::vector<bool> low(frames.size());
    std::vector<double> differ(frames.size()), moved(frames.size()), usual(frames.size());
    for (std::size_t i = 1; i < frames.size(); ++i) {
        differ[i] = frames[i].noise.value_or(Signal(0)).value();
        moved[i] = movedBetween(frames[i - 1], frames[i]);
    }
    for (std::size_t i = 1; i < frames.size(); ++i) {
        usual[i] = usualAround(moved, i);
        low[i] = usual[i] >= kMoves.value() && moved[i] < kRepeats.value() * usual[i] &&
                 differ[i] < kRepeats.value() * usualAround(differ, i);
    }
    std::vector<std::size_t> found;
    for (std::size_t i = 1; i + 1 < frames.size(); ++i) {
        if (!low[i])
            continue;
        auto before = i, behind = i;
        while (before > 0 && low[before])
            --before;
        while (behind + 1 < frames.size() && low[behind])
            ++behind;
        const auto moves = [&](std::size_t at) {
            return moved[at] > kAbrupt * usual[i] && moved[at] < kFlash * usual[i];
        };
        if (before > 0 && !low[behind] && moves(before) && moves(behind) &&
            movedBetween(frames[before - 1], frames[behind]) > kAbrupt * usual[i])
            found.push_back(i);
    }
    return found;
}

// What a conversion leaves comes again and again, at one distance or at several of it.
bool isRegular(std::span<const std::size_t> places, std::size_t count) {
    constexpr std::size_t kFewest = 3;
    constexpr double kMost = 0.9, kHalf = 0.5;
    if (places.size() < kFewest)
        return false;
    std::vector<std::size_t> gaps;
    for (std::size_t i = 1; i < places.size(); ++i)
        gaps.push_back(places[i] - places[i - 1]);
    auto sorted = gaps;
    std::sort(sorted.begin(), sorted.end());
    const std::size_t usual = sorted[sorted.size() / 2];
    std::size_t kept = 0;
    for (const auto gap : gaps) {
        const auto times = std::max<std::size_t>(1, (gap + usual / 2) / usual);
        kept += gap + 1 >= times * usual && gap <= times * usual + 1;
    }
    return static_cast<double>(kept) >= kMost * static_cast<double>(gaps.size()) &&
           static_cast<double>(places.size() * usual) >= kHalf * static_cast<double>(count);
}

} // namespace

std::optional<Stops> standingBands(std::span<const Strip> mean, const Curve& curve, double bands) {
    constexpr double kLeast = 0.8, kMost = 8, kAlike = 0.9, kShare = 0.6;
    if (mean.size() < 8 || bands < kLeast || bands > kMost)
        return std::nullopt;
    double real = 0, imaginary = 0, each = 0;
    std::vector<double> shares;
    for (std::size_t c = 0; c < kStripColumns; ++c) {
        const auto down = downOf(mean, curve, c, bands);
        real += down.real / kStripColumns;
        imaginary += down.imaginary / kStripColumns;
        each += std::hypot(down.real, down.imaginary) / kStripColumns;
        shares.push_back(down.share);
    }
    std::sort(shares.begin(), shares.end());
    const double shown = std::hypot(real, imaginary);
    if (2 * shown < kVisible.value() || shown < kAlike * each || shares[kStripColumns / 2] < kShare)
        return std::nullopt;
    return Stops(2 * shown);
}

int repeatedIn(std::span<const RegionFrame> frames) {
    auto places = likeTheLast(frames);
    if (!isRegular(places, frames.size())) // one that differs in nothing is sure by itself
        std::erase_if(places, [&](std::size_t at) { return *frames[at].noise > Signal(0); });
    return static_cast<int>(places.size());
}

SeenPictures seenIn(std::span<const RegionFrame> whole, const Curve& curve, FrameRate rate) {
    SeenPictures seen;
    seen.rate = rate;
    seen.looked = static_cast<int>(whole.size());
    seen.repeated = repeatedIn(whole);
    seen.pulse = pulseOf(whole, curve, rate, kSlowestPulse);
    seen.mean = meanStrips(whole);
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
    tellStanding(context, at, seen, all);
    for (const auto& patch : seen.patches) {
        tellExposure(context, at, seen.file, patch, all);
        tellEnds(context, at, seen.file, patch, all);
    }
    std::stable_sort(all.begin(), all.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return all;
}

} // namespace bslate
