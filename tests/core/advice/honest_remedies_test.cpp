// What stands on a button is what happens, reasons and effects quote the same numbers, suggestions
// come out better, and no remedy undoes another: over many random setups.
#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "core/judgement/told_once.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"
#include "support/any_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

template<class Check>
void eachRemedy(Check check) {
    for (unsigned seed = 0; seed < 200; ++seed) {
        const Shoot shoot = sample::anyShoot(seed);
        for (const auto& finding : judge(shoot, shoot.setups[0]).findings)
            for (const auto& remedy : finding.remedies)
                check(shoot, finding, remedy);
    }
}

TEST(Remedies, SayAllTheyDo) {
    int paid = 0;
    eachRemedy([&](const Shoot& shoot, const Finding& finding, const Remedy& remedy) {
        const auto& before = shoot.setups[0];
        const auto& after = *remedy.edit.setup;
        const auto title = titleOf(remedy);
        const auto tells = [&](const std::string& text) {
            EXPECT_NE(title.find(text), std::string::npos)
                << finding.key() << ": \"" << title << "\" hides " << text;
        };
        if (after.rating != before.rating)
            tells(print(after.rating));
        if (after.iris != before.iris)
            tells(print(after.iris));
        if (after.shutter != before.shutter)
            tells(print(after.shutter));
        if (after.school != before.school)
            tells(nameOf(after.school));
        for (const auto& filter : shoot.kit.filters) {
            const auto in = [&](const bslate::Setup& setup) {
                return std::find(setup.filters.begin(), setup.filters.end(), filter.id) !=
                       setup.filters.end();
            };
            if (in(after) != in(before)) {
                tells(filter.name);
                ++paid;
            }
        }
    });
    EXPECT_GT(paid, 50);
}

// The first one's cure must not be the next one's fault: going round in a circle helps nobody.
TEST(Remedies, DoNotUndoEachOther) {
    eachRemedy([&](const Shoot& shoot, const Finding& finding, const Remedy& remedy) {
        const auto after = applied(shoot, remedy.edit);
        for (const auto& next : judge(after, after.setups[0]).findings)
            for (const auto& back : next.remedies) {
                const auto again = applied(after, back.edit);
                EXPECT_FALSE(again == shoot)
                    << finding.key() << " offers \"" << titleOf(remedy) << "\", then " << next.key()
                    << " offers \"" << titleOf(back) << "\"";
            }
    });
}

std::vector<std::string> faultsOf(const Shoot& shoot, const Setup& setup) {
    std::vector<std::string> keys;
    const auto add = [&](const Finding& finding, auto&& again) -> void {
        if (finding.severity == Severity::Fault && !finding.accepted) {
            const auto key = finding.key();
            keys.push_back(key.starts_with("pulsing") ? "pulsing" : key);
        }
        for (const auto& other : finding.follows)
            again(other, again);
    };
    for (const auto& finding : judge(shoot, setup).findings)
        add(finding, add);
    return keys;
}

// A remedy leaves no fault that was not there, in its own setup or another one of the scene, unless
// its button says so; and the finding it is for is gone, or weaker.
TEST(Remedies, AddNoFaultUnsaidAndCureWhatTheyAreFor) {
    int tried = 0, told = 0;
    for (unsigned seed = 0; seed < 60; ++seed) {
        const Shoot shoot = sample::anyWorkingDay(seed);
        std::vector<std::vector<std::string>> before;
        for (const auto& setup : shoot.setups)
            before.push_back(faultsOf(shoot, setup));
        for (const auto& finding : judge(shoot, shoot.setups[0]).findings)
            for (const auto& remedy : finding.remedies) {
                const auto after = applied(shoot, remedy.edit);
                int added = 0;
                for (std::size_t s = 0; s < shoot.setups.size(); ++s) {
                    const auto& was = before[s];
                    for (const auto& key : faultsOf(after, after.setups[s]))
                        added += std::find(was.begin(), was.end(), key) == was.end();
                }
                ++tried;
                told += remedy.faults > 0;
                EXPECT_EQ(added, remedy.faults)
                    << seed << " " << finding.key() << ": " << titleOf(remedy);
                if (added > 0) {
                    EXPECT_NE(titleOf(remedy).find("adds a fault: "), std::string::npos);
                    EXPECT_LT(finding.severity, Severity::Good) << titleOf(remedy);
                }
                // Told with its cause, a finding leaves its ways out there.
                const auto then = judge(after, after.setups[0]);
                const auto cured = [&](const Finding& one) {
                    const auto* left = then.find(one.key());
                    return one.id == FindingId::SceneWider || !left ||
                           left->severity > one.severity;
                };
                EXPECT_TRUE(cured(finding) ||
                            std::any_of(finding.follows.begin(), finding.follows.end(), cured))
                    << seed << " " << finding.key() << " stands after " << titleOf(remedy);
                const auto& wish = shoot.scenes[0].depth;
                if (wish && remedy.edit.setup && finding.id != FindingId::DepthDeep &&
                    finding.id != FindingId::DepthShallow) {
                    const auto inside = [&](TStop iris) {
                        return iris.value() > wish->widest.value() * 0.98 &&
                               iris.value() < wish->narrowest.value() * 1.02;
                    };
                    if (inside(shoot.setups[0].iris) && !inside(remedy.edit.setup->iris)) {
                        EXPECT_NE(titleOf(remedy).find("wished"), std::string::npos)
                            << titleOf(remedy);
                    }
                }
            }
    }
    EXPECT_GT(tried, 160);
    EXPECT_GT(told, 0) << "some are only to be had with one";
    EXPECT_LT(told, tried / 4);
}

// Worked by hand: at 24 a shutter of 144 degrees is 1/60 s, two pulses of lamps on 60 Hz mains.
TEST(Remedies, AShutterThatHoldsTheLampsIsNotMerelyOffTheRule) {
    Shoot shoot = sample::shoot();
    shoot.brief.mains = Hertz(60);
    Lamp lamp;
    lamp.kind = LampKind::Ballast;
    shoot.scenes[0].lamps = {lamp};
    shoot.setups[0].shutter = ShutterAngle(144);
    const auto verdict = judge(shoot, shoot.setups[0]);
    EXPECT_FALSE(verdict.find("shutter-short"));
    ASSERT_TRUE(verdict.find("shutter-locked-off"));
    EXPECT_EQ(verdict.find("shutter-locked-off")->severity, Severity::Note);
    shoot.scenes[0].lamps.clear();
    EXPECT_TRUE(judge(shoot, shoot.setups[0]).find("shutter-short"));
}

// The scene of the sample spans 11.9 stops; a window that lacks 0.03 lacks nothing, and a scene ten
// stops under has too little light, not too much width.
TEST(SceneWider, IsAFaultByWhatPrintsAndOnlyWhereWidthIsTheCause) {
    Shoot shoot = sample::shoot();
    const auto at = evaluate(shoot, shoot.setups[0]);
    const double window = (at->clip - at->noiseFloor).value();
    auto& patches = shoot.scenes[0].patches;
    const auto span = [&](double stops) {
        patches[5].reading.value = patches[0].reading.value * std::exp2(stops);
    };
    span(window + 0.03);
    EXPECT_FALSE(judge(shoot, shoot.setups[0]).find("scene-wider"));
    span(window + 0.4);
    EXPECT_TRUE(judge(shoot, shoot.setups[0]).find("scene-wider"));
    for (auto& patch : patches)
        patch.reading.value *= std::exp2(-20);
    EXPECT_FALSE(judge(shoot, shoot.setups[0]).find("scene-wider"));
}

const FactValue* factOf(const Finding& finding, std::string_view name) {
    for (const auto& fact : finding.facts)
        if (fact.name == name)
            return &fact.value;
    return nullptr;
}

TEST(SchoolSuggestion, ComesOutBetterInTheNumbersItQuotes) {
    int suggested = 0;
    for (unsigned seed = 0; seed < 400; ++seed) {
        const Shoot shoot = sample::anyShoot(seed);
        const auto verdict = judge(shoot, shoot.setups[0]);
        const auto* finding = verdict.find("school-suggested");
        if (!finding)
            continue;
        ++suggested;
        const auto stops = [&](const char* name) {
            return std::get<Stops>(*factOf(*finding, name)).value();
        };
        ASSERT_EQ(finding->remedies.size(), 1u);
        const auto& remedy = finding->remedies[0];
        EXPECT_NEAR(remedy.highlights.value(), stops("highlights"), 1e-9) << "the same numbers";
        EXPECT_NEAR(remedy.shadows.value(), stops("shadows"), 1e-9);
        const auto lost = [](double highlights, double shadows) {
            return std::max(0.0, -highlights) + std::max(0.0, -shadows);
        };
        const double mine = lost(stops("mineHighlights"), stops("mineShadows"));
        const double its = lost(stops("highlights"), stops("shadows"));
        EXPECT_LE(its, mine + 0.05) << seed << ": it loses more";
        EXPECT_FALSE(its > mine - 0.05 &&
                     std::abs(stops("highlights") - stops("mineHighlights")) < 0.05)
            << seed << ": it changes nothing";
        // And pressing it leaves the scene where it says.
        const auto after = applied(shoot, remedy.edit);
        const auto at = evaluate(after, after.setups[0]);
        ASSERT_TRUE(at.ok());
        EXPECT_NEAR(brightest(*at)->headroom.value(), stops("highlights"), 1e-9);
    }
    EXPECT_GT(suggested, 5);
}

// BT.709 ends 2.7 stops over mid-grey, long before a sensor that is full at 6.1: a stop under base
// costs no highlight, and nothing says so.
TEST(RatingBelowBase, CostsWhatTheClipMoves) {
    Shoot shoot = sample::shoot();
    shoot.kit.profiles[1].curve = bt709();
    auto& setup = shoot.setups[0];
    setup.profile = "recorded";
    setup.rating = ExposureIndex(400);
    auto verdict = judge(shoot, setup);
    EXPECT_FALSE(verdict.find("iso-below-base"));
    ASSERT_TRUE(verdict.find("iso-below-base-free"));
    EXPECT_EQ(verdict.find("iso-below-base-free")->severity, Severity::Note);
    // A sensor that is full at 3: the curve's end at 2.739 gives way after a quarter of a stop.
    shoot.kit.cameras[0].bases[0].sensor.clip = Stops(3);
    verdict = judge(shoot, setup);
    const auto* finding = verdict.find("iso-below-base");
    ASSERT_TRUE(finding);
    const double end = endStops(bt709(), BitDepth{10}).value();
    EXPECT_NEAR(std::get<Stops>(*factOf(*finding, "gain")).value(), end - 2.0, 1e-9);
}

// Skin at its place under the nominal school puts the window out: said once, both ways, and never
// again once one of them was chosen.
TEST(PlaceOrHighlight, IsSaidOnceWithBothWaysOut) {
    Shoot shoot = sample::shoot();
    for (auto& item : shoot.scenes[0].patches) {
        if (item.id == "sky")
            item.reading.value = 26 * std::exp2(6.9); // 0.8 over the clip with grey in its place
        if (item.id == "hopper")
            item.reading.value = 2; // the camera holds the scene, though not where it should be
    }
    shoot.setups[0].filters = {"nd3"};
    const auto verdict = judge(shoot, shoot.setups[0]);
    const auto* finding = verdict.find("patch-clipped:sky");
    ASSERT_TRUE(finding);
    ASSERT_EQ(finding->follows.size(), 1u);
    EXPECT_EQ(finding->follows[0].key(), "place-or-highlight");
    EXPECT_NE(reasonOf(*finding).find("as much under its place"), std::string::npos);
    bool keepsHighlight = false, keepsPlace = false;
    for (const auto& remedy : finding->remedies) {
        keepsPlace = keepsPlace || remedy.id == RemedyId::SaveSubject;
        keepsHighlight = keepsHighlight || remedy.id != RemedyId::SaveSubject;
        const auto after = applied(shoot, remedy.edit);
        const auto then = judge(after, after.setups[0]);
        EXPECT_FALSE(then.find("place-or-highlight")) << titleOf(remedy);
        for (const char* id : {"nd-left-over", "light-short"})
            EXPECT_FALSE(then.find(id)) << titleOf(remedy) << " brings back " << id;
    }
    EXPECT_TRUE(keepsHighlight && keepsPlace);
    EXPECT_TRUE(finding->follows[0].remedies.empty()) << "they are offered once";
    EXPECT_EQ(keysAccepted(*finding), std::vector<std::string>{"patch-clipped:sky"});
}

} // namespace
} // namespace bslate
