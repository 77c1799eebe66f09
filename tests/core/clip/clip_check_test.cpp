// A clip that is what its setup was to be, changed in one thing at a time.
#include "core/clip/clip_check.h"
#include "core/clip/clip_match.h"
#include "core/facts/evaluate.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <functional>
#include <limits>

namespace bslate {
namespace {

constexpr double kSilence = -std::numeric_limits<double>::infinity();

Shoot plannedShoot() {
    auto shoot = sample::shoot();
    shoot.setups[0].rate = FrameRate{Rational(24, 1)};
    shoot.setups[0].soundBy = SoundBy::Camera;
    return shoot;
}

ClipFacts plannedClip() {
    ClipFacts clip;
    clip.file = "A001.mov";
    clip.size = DataSize(300e6);
    clip.duration = Seconds(10);
    clip.average = DataRate(240e6);
    clip.peak = DataRate(240e6);
    ClipPicture picture;
    picture.size = {3840, 2160};
    picture.rate = FrameRate{Rational(24, 1)};
    picture.gop = Gop::Intra;
    picture.depth = BitDepth{10};
    picture.chroma = Chroma::C422;
    picture.range = CodeRange::Full;
    picture.frames = 240;
    picture.duration = Seconds(10);
    clip.picture = picture;
    clip.sound = {{2, 48000, "pcm",
                   SoundLevel{Decibels(-12), Decibels(-11.9), Decibels(-24), Decibels(-23), {}}}};
    clip.timecode = Timecode{1, 0, 0, 0, false};
    return clip;
}

struct Changed {
    const char* name;
    std::function<void(Shoot&, ClipFacts&)> change;
    FindingId id;
    Severity severity;
    const char* says; ///< a part of title and reason
    friend void PrintTo(const Changed& one, std::ostream* out) { *out << one.name; }
};
class ClipChange : public ::testing::TestWithParam<Changed> {};

TEST_P(ClipChange, IsFoundAndNothingElse) {
    const auto& changed = GetParam();
    auto shoot = plannedShoot();
    auto clip = plannedClip();
    changed.change(shoot, clip);
    const auto context = resolve(shoot, shoot.setups[0]);
    ASSERT_TRUE(context);
    const auto findings = checkClip(*context, clip);
    ASSERT_FALSE(findings.empty());
    EXPECT_EQ(findings[0].id, changed.id) << titleOf(findings[0]);
    EXPECT_EQ(findings[0].severity, changed.severity);
    EXPECT_EQ(findings[0].subject, "A001.mov");
    const auto told = titleOf(findings[0]) + ". " + reasonOf(findings[0]);
    EXPECT_NE(told.find(changed.says), std::string::npos) << told;
    EXPECT_EQ(told.find('{'), std::string::npos) << told;
    const auto worse = std::count_if(findings.begin(), findings.end(), [](const Finding& one) {
        return one.severity == Severity::Fault || one.severity == Severity::Caution;
    });
    EXPECT_LE(worse, 1);
}

SoundLevel& level(ClipFacts& clip) {
    return *clip.sound[0].level;
}

INSTANTIATE_TEST_SUITE_P(
    Clips, ClipChange,
    ::testing::Values(
        Changed{"nothing", [](Shoot&, ClipFacts&) {}, FindingId::ClipAsPlanned, Severity::Good,
                "what 2A was to be"},
        // 24 against 23.976: 3.6 s an hour (1001/1000).
        Changed{"near rate",
                [](Shoot&, ClipFacts& clip) {
                    clip.picture->rate = FrameRate{Rational(24000, 1001)};
                },
                FindingId::ClipRate, Severity::Fault, "3.6"},
        // 48 frames of each second shown at 24: half the speed.
        Changed{"double rate",
                [](Shoot&, ClipFacts& clip) { clip.picture->rate = FrameRate{Rational(48, 1)}; },
                FindingId::ClipRate, Severity::Fault, "50 %"},
        Changed{"conformed in camera",
                [](Shoot& shoot, ClipFacts&) {
                    shoot.setups[0].rate = FrameRate{Rational(96, 1)};
                    shoot.kit.cameras[0].modes[0].offSpeed = OffSpeed{};
                    shoot.brief.rate = FrameRate{Rational(24, 1)};
                },
                FindingId::ClipAsPlanned, Severity::Good, "2A"},
        Changed{"gaps",
                [](Shoot&, ClipFacts& clip) {
                    clip.picture->variable = true;
                    clip.picture->gaps = 3;
                },
                FindingId::ClipFramesMissing, Severity::Fault, "without a frame: 3"},
        Changed{"uneven",
                [](Shoot&, ClipFacts& clip) {
                    clip.picture->variable = true;
                    clip.picture->varies = RateSpan{FrameRate{Rational(23, 1)},
                                                    FrameRate{Rational(25, 1)}};
                },
                FindingId::ClipVariable, Severity::Caution, "drifts"},
        Changed{"varies on purpose",
                [](Shoot&, ClipFacts& clip) {
                    clip.picture->variable = true;
                    clip.picture->rate = FrameRate{Rational(75, 2)};
                    clip.picture->varies = RateSpan{FrameRate{Rational(25, 1)},
                                                    FrameRate{Rational(50, 1)}};
                },
                FindingId::ClipVariable, Severity::Fault, "from 25 to 50"},
        Changed{"another codec",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.kit.cameras[0].codecs[0].standard = CodecStandard::H265;
                    clip.picture->standard = "h264";
                },
                FindingId::ClipCodec, Severity::Caution, "H.264, planned was H.265"},
        Changed{"the same codec",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.kit.cameras[0].codecs[0].standard = CodecStandard::H265;
                    clip.picture->standard = "hevc";
                },
                FindingId::ClipAsPlanned, Severity::Good, "so does the codec, H.265"},
        Changed{"a codec nobody told",
                [](Shoot&, ClipFacts& clip) { clip.picture->standard = "hevc"; },
                FindingId::ClipAsPlanned, Severity::Good, "does not tell the codec"},
        Changed{"size", [](Shoot&, ClipFacts& clip) { clip.picture->size = {1920, 1080}; },
                FindingId::ClipSize, Severity::Fault, "1920x1080"},
        Changed{"depth", [](Shoot&, ClipFacts& clip) { clip.picture->depth = BitDepth{8}; },
                FindingId::ClipDepth, Severity::Fault, "8-bit 4:2:2"},
        Changed{"interlaced", [](Shoot&, ClipFacts& clip) { clip.picture->interlaced = true; },
                FindingId::ClipInterlaced, Severity::Fault, "part the fields"},
        Changed{"group", [](Shoot&, ClipFacts& clip) { clip.picture->gop = Gop::Long; },
                FindingId::ClipGop, Severity::Caution, "long"},
        Changed{"range",
                [](Shoot&, ClipFacts& clip) { clip.picture->range = CodeRange::Legal; },
                FindingId::ClipRange, Severity::Caution, "legal"},
        Changed{"tag",
                [](Shoot&, ClipFacts& clip) { clip.picture->colour.transfer = "arib-std-b67"; },
                FindingId::ClipCurveTag, Severity::Caution, "arib-std-b67"},
        Changed{"untagged",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.kit.profiles[0].curve = pq();
                    clip.picture->range = pq().range;
                },
                FindingId::ClipCurveTag, Severity::Caution, "none"},
        Changed{"slower slot",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.kit.cameras[0].cardSlots = {
                        {"two", "Slot 2", CardForm::Sd, "UHS-I", DataRate(160e6), {}}};
                    clip.average = clip.peak = DataRate(155e6);
                },
                FindingId::ClipBitRateLow, Severity::Caution, "Slot 2 writes no more than 160"},
        Changed{"no sound", [](Shoot&, ClipFacts& clip) { clip.sound.clear(); },
                FindingId::ClipNoSound, Severity::Fault, "no sound"},
        Changed{"no sound meant",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.setups[0].soundBy = SoundBy::None;
                    clip.sound.clear();
                },
                FindingId::ClipAsPlanned, Severity::Good, "2A"},
        Changed{"silence",
                [](Shoot&, ClipFacts& clip) { level(clip).peak = Decibels(kSilence); },
                FindingId::ClipSoundSilent, Severity::Fault, "Track 1"},
        Changed{"clipping", [](Shoot&, ClipFacts& clip) { level(clip).peak = Decibels(0); },
                FindingId::ClipSoundEnds, Severity::Fault, "0.0 dBFS"},
        Changed{"weak", [](Shoot&, ClipFacts& clip) { level(clip).peak = Decibels(-40); },
                FindingId::ClipSoundWeak, Severity::Caution, "-40.0 dBFS"},
        // 30 dB under the tone of -18 dBFS: what is there is the input's own noise.
        Changed{"as good as silent",
                [](Shoot&, ClipFacts& clip) { level(clip).peak = Decibels(-55); },
                FindingId::ClipSoundWeak, Severity::Fault, "-55.0 dBFS"},
        Changed{"a dead channel",
                [](Shoot&, ClipFacts& clip) {
                    level(clip).channels = {Decibels(-12), Decibels(-70)};
                },
                FindingId::ClipSoundDead, Severity::Fault, "Channel 2 of track 1"},
        // The setup says nothing of sound; its scene wants it.
        Changed{"sound of the scene",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.setups[0].soundBy = SoundBy::Unsaid;
                    clip.sound.clear();
                },
                FindingId::ClipNoSound, Severity::Fault, "no sound"},
        Changed{"a scene without sound",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.setups[0].soundBy = SoundBy::Unsaid;
                    shoot.scenes[0].sound = false;
                    clip.sound.clear();
                },
                FindingId::ClipAsPlanned, Severity::Good, "2A"},
        Changed{"cut off", [](Shoot&, ClipFacts& clip) { clip.cutOff = true; },
                FindingId::ClipCutOff, Severity::Fault, "copy it again"},
        Changed{"at its limit",
                [](Shoot& shoot, ClipFacts& clip) {
                    shoot.kit.cameras[0].modes[0].clipLimit = Seconds(1799);
                    clip.duration = Seconds(1798.5);
                },
                FindingId::ClipAtLimit, Severity::Caution, "29 min 59 s"},
        Changed{"short",
                [](Shoot& shoot, ClipFacts&) {
                    Take take;
                    take.setups = {"s"};
                    take.length = Seconds(600);
                    take.whole = true;
                    shoot.plan.resize(1);
                    shoot.plan[0].takes = {take};
                },
                FindingId::ClipShort, Severity::Caution, "10 min"},
        Changed{"no picture", [](Shoot&, ClipFacts& clip) { clip.picture.reset(); },
                FindingId::ClipNoPicture, Severity::Fault, "no pictures"}));

TEST(ClipCheck, ACodecThatCannotBeReadIsSaidSo) {
    const auto shoot = plannedShoot();
    auto clip = plannedClip();
    clip.picture->standard = "somewhat";
    clip.picture->readable = false;
    clip.picture->depth.reset();
    const auto findings = checkClip(*resolve(shoot, shoot.setups[0]), clip);
    ASSERT_EQ(findings.size(), 2u) << "and as planned in what the file tells";
    const auto& unread = findings[findings[0].id == FindingId::ClipUnreadable ? 0 : 1];
    EXPECT_EQ(unread.id, FindingId::ClipUnreadable);
    EXPECT_NE(reasonOf(unread).find("no decoder for somewhat"), std::string::npos);
}

TEST(ClipParts, JoinWithinAFrameOrAreTold) {
    std::vector<ClipFacts> parts(4, plannedClip());
    parts[0].file = "last.mov";
    parts[0].timecode = Timecode{1, 0, 20, 12, false}; // 11 frames late
    parts[1].file = "first.mov";
    parts[2].file = "second.mov";
    parts[2].timecode = Timecode{1, 0, 10, 1, false}; // one frame: joins
    parts[3].file = "another-take.mov";
    parts[3].timecode = Timecode{2, 0, 0, 0, false};
    const auto found = checkParts(parts);
    ASSERT_EQ(found.size(), 1u);
    EXPECT_EQ(found[0].subject, "last.mov");
    EXPECT_NE(reasonOf(found[0]).find("11 frames"), std::string::npos) << reasonOf(found[0]);
}

// Three parts of a take of ten minutes, given in another order, and another take.
TEST(ClipParts, ThatJoinAreOneTake) {
    auto shoot = plannedShoot();
    Take take;
    take.setups = {"s"};
    take.length = Seconds(30);
    take.whole = true;
    shoot.plan.resize(1);
    shoot.plan[0].takes = {take};
    std::vector<ClipFacts> clips(4, plannedClip()); // ten seconds each
    clips[0].timecode = Timecode{1, 0, 20, 0, false};
    clips[2].timecode = Timecode{1, 0, 10, 1, false};
    clips[3].timecode = Timecode{5, 0, 0, 0, false};
    const auto parts = takePartsOf(clips);
    EXPECT_EQ(parts[1].parts, 3u);
    EXPECT_TRUE(parts[1].first && parts[1].goesOn && !parts[0].goesOn && !parts[2].first);
    EXPECT_EQ(parts[0].whole, Seconds(30));
    EXPECT_EQ(parts[3].whole, Seconds(10));
    const auto shortOnes = [&](const std::vector<TakePart>& of) {
        int count = 0;
        for (std::size_t i = 0; i < clips.size(); ++i)
            for (const auto& one : checkClip(*resolve(shoot, shoot.setups[0]), clips[i], of[i]))
                count += one.id == FindingId::ClipShort;
        return count;
    };
    EXPECT_EQ(shortOnes(parts), 1) << "the take that stands alone";
    // With a part too few the take is short, and that is told once.
    clips[0].timecode = Timecode{3, 0, 0, 0, false};
    EXPECT_EQ(shortOnes(takePartsOf(clips)), 3) << "two alone, and the two that join once";
    // One that goes on did not stop at the camera's limit.
    shoot.kit.cameras[0].modes[0].clipLimit = Seconds(10);
    const auto atLimit = [&](const TakePart& part) {
        const auto all = checkClip(*resolve(shoot, shoot.setups[0]), clips[1], part);
        return std::any_of(all.begin(), all.end(),
                           [](const Finding& one) { return one.id == FindingId::ClipAtLimit; });
    };
    EXPECT_FALSE(atLimit({2, Seconds(20), true, true}));
    EXPECT_TRUE(atLimit({1, Seconds(10), true, false}));
    EXPECT_TRUE(takePartsOf({}).empty());
    // Two cameras on one timecode are two takes; so are clips that begin together, however short.
    clips[0].timecode = Timecode{1, 0, 20, 1, false};
    EXPECT_EQ(takePartsOf(clips)[0].parts, 3u);
    const std::vector<std::string> cameras = {"b", "a", "a", "a"};
    EXPECT_EQ(takePartsOf(clips, cameras)[0].parts, 1u);
    EXPECT_EQ(takePartsOf(clips, cameras)[1].parts, 2u);
    clips[2].picture->size = {1280, 720};
    EXPECT_EQ(takePartsOf(clips, cameras)[1].parts, 1u);
    for (auto& clip : clips) {
        clip = clips[1];
        clip.picture->frames = 20;
        clip.duration = Seconds(20 / 24.0);
    }
    for (const auto& part : takePartsOf(clips))
        EXPECT_EQ(part.parts, 1u);
    EXPECT_TRUE(checkParts(clips).empty());
}

TEST(ClipMatch, TheHourTellsOnlyOnItsDay) {
    auto shoot = plannedShoot();
    auto other = shoot.setups[0];
    other.id = "other";
    other.number = "9Z";
    shoot.setups.push_back(other);
    Take take;
    take.setups = {"other"};
    take.at = Seconds(9 * 3600.0);
    shoot.plan.resize(2);
    shoot.plan[0].number = 1;
    shoot.plan[1].number = 2;
    shoot.plan[1].takes = {take};
    auto clip = plannedClip();
    clip.recordedAt = "2026-05-13T09:03:00";
    EXPECT_FALSE(matchesOf(shoot, clip)[0].byTime) << "of which day is not told";
    EXPECT_FALSE(matchesOf(shoot, clip, 1)[0].byTime);
    const auto found = matchesOf(shoot, clip, 2);
    EXPECT_EQ(found[0].setup->id, "other");
    EXPECT_EQ(groundsOf(found[0]), (std::vector<std::string>{"format 7 of 8", "time"}));
    shoot.plan.erase(shoot.plan.begin());
    EXPECT_TRUE(matchesOf(shoot, clip)[0].byTime) << "the only day there is";
}

TEST(ClipParts, GoOnPastMidnight) {
    std::vector<ClipFacts> parts(2, plannedClip()); // ten seconds of 24 frames each
    parts[0].file = "before.mov";
    parts[0].timecode = Timecode{23, 59, 55, 0, false}; // to 00:00:05:00
    parts[1].file = "after.mov";
    parts[1].timecode = Timecode{0, 0, 5, 0, false};
    EXPECT_TRUE(checkParts(parts).empty()) << "they join";
    parts[1].timecode = Timecode{0, 0, 5, 7, false};
    const auto found = checkParts(parts);
    ASSERT_EQ(found.size(), 1u);
    EXPECT_EQ(found[0].subject, "after.mov");
    EXPECT_NE(reasonOf(found[0]).find("7 frames"), std::string::npos) << reasonOf(found[0]);
}

TEST(ClipCheck, MoreThanPlannedIsNoFaultAndSaysWhatItIs) {
    auto shoot = plannedShoot();
    auto clip = plannedClip();
    clip.picture->depth = BitDepth{12};
    clip.picture->turned = 90;
    const auto findings = checkClip(*resolve(shoot, shoot.setups[0]), clip);
    const auto said = [&](FindingId id) {
        for (const auto& finding : findings)
            if (finding.id == id)
                return titleOf(finding) + " " + reasonOf(finding);
        return std::string();
    };
    EXPECT_FALSE(said(FindingId::ClipAsPlanned).empty());
    EXPECT_NE(said(FindingId::ClipDepthMore).find("keeps more"), std::string::npos);
    EXPECT_NE(said(FindingId::ClipTurned).find("90"), std::string::npos);
}

TEST(ClipMatches, ByFormatAloneAmongSeveralAreAGuess) {
    auto shoot = plannedShoot();
    shoot.setups.push_back(shoot.setups[0]);
    shoot.setups[1].id = "t";
    shoot.setups[1].number = "2B";
    auto clip = plannedClip();
    const auto others = guessedAmong(matchesOf(shoot, clip));
    ASSERT_EQ(others.size(), 1u);
    EXPECT_EQ(others[0]->number, "2B");
    EXPECT_NE(reasonOf(guessedSetup(clip, shoot.setups[0], others)).find("fits 2B as well"),
              std::string::npos);
    clip.file = "2A_take1.mov";
    EXPECT_TRUE(guessedAmong(matchesOf(shoot, clip)).empty()) << "its name tells";
    shoot.setups.pop_back();
    clip.file = "A001.mov";
    EXPECT_TRUE(guessedAmong(matchesOf(shoot, clip)).empty()) << "nothing else fits";
}

TEST(ClipMatches, GoByNameCameraTimeAndFormat) {
    auto shoot = plannedShoot();
    auto other = shoot.setups[0];
    other.id = "t";
    other.number = "2B";
    other.camera = "times";
    shoot.setups.push_back(other);
    auto clip = plannedClip();
    const auto best = [&] {
        const auto matches = matchesOf(shoot, clip);
        return matches.empty() ? std::string("none") : matches[0].setup->number;
    };
    EXPECT_EQ(best(), "2A") << "equal by format: the first";
    clip.notes["camera"] = "Times";
    EXPECT_EQ(best(), "2B");
    clip.file = "day1_2A_take3.mov";
    EXPECT_EQ(best(), "2A") << "the slate's number says most";
    clip.file = "x2AB.mov";
    EXPECT_EQ(best(), "2B") << "only as a word of its own";
    clip.notes.clear();
    Take take;
    take.setups = {"t"};
    take.at = Seconds(6 * 3600 + 12 * 60);
    shoot.plan.resize(1);
    shoot.plan[0].takes = {take};
    clip.recordedAt = "2026-05-13T06:15:00.000000Z";
    EXPECT_EQ(best(), "2B");
    clip.picture->rate = FrameRate{Rational(25, 1)};
    clip.picture->size = {720, 576};
    clip.recordedAt.clear();
    EXPECT_EQ(best(), "none");
}

} // namespace
} // namespace bslate
