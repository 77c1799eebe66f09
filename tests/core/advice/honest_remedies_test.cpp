// What stands on a button is what happens, reasons and effects quote the same numbers, suggestions
// come out better, and no remedy undoes another: over many random setups.
#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "core/judgement/told_once.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <random>

namespace bslate {
namespace {

// A random day: light, rating, filters, school and payer are anybody's.
Shoot anyShoot(unsigned seed) {
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> unit(0, 1);
    Shoot shoot = sample::shoot();
    Setup& setup = shoot.setups[0];
    setup.iris = TStop(std::exp2(1 + unit(random) * 3.4));
    setup.rating = nearestRating(ExposureIndex(200 * std::exp2(unit(random) * 5)));
    setup.profile = seed % 3 == 0 ? "recorded" : "index";
    setup.payer = static_cast<Payer>(seed % 5);
    setup.school = static_cast<School>(seed / 5 % 5);
    if (seed % 2)
        setup.filters = {"nd6", "nd9"};
    auto& kit = shoot.kit;
    for (std::size_t i = 0; i < kit.filters.size(); ++i)
        kit.filters[i].name = "filter " + std::to_string(i);
    for (auto& item : shoot.scenes[0].patches)
        item.reading.value *= std::exp2((unit(random) - 0.5) * 4);
    return shoot;
}

template<class Check>
void eachRemedy(Check check) {
    for (unsigned seed = 0; seed < 400; ++seed) {
        const Shoot shoot = anyShoot(seed);
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
    EXPECT_GT(paid, 100);
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

const FactValue* factOf(const Finding& finding, std::string_view name) {
    for (const auto& fact : finding.facts)
        if (fact.name == name)
            return &fact.value;
    return nullptr;
}

TEST(SchoolSuggestion, ComesOutBetterInTheNumbersItQuotes) {
    int suggested = 0;
    for (unsigned seed = 0; seed < 400; ++seed) {
        const Shoot shoot = anyShoot(seed);
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
