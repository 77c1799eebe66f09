#include "core/advice/levers.h"
#include "core/advice/openings.h"
#include "core/facts/figures.h"
#include "core/facts/lattice.h"
#include "core/judgement/judge.h"
#include "core/words/figure_lines.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

using sample::Bench;

bool costs(const ModeCell& cell, CostKind kind) {
    return std::any_of(cell.costs.begin(), cell.costs.end(),
                       [&](const auto& cost) { return cost.first == kind; });
}

TEST(Lattice, AnOpenCellTellsWhatItWrites) {
    const Bench bench;
    const auto cell = bench.cell("main", 24);
    EXPECT_TRUE(cell.available());
    EXPECT_EQ(cell.bitRate, DataRate(240e6));
    EXPECT_NEAR(cell.bitsPerPixel.value(), 240e6 / (3840.0 * 2160 * 24), 1e-12);
    EXPECT_EQ(cell.card.card->id, "v30") << "the larger card that holds 30 MB/s lasts longer";
    EXPECT_NEAR(cell.recordTime->value(), 256e9 * 8 / 240e6, 1e-6);
    const auto peaky = bench.cell("lean", 60); // 150 * 1.3 = 195 Mb/s: V30 holds 240
    EXPECT_TRUE(peaky.available());
    EXPECT_TRUE(costs(peaky, CostKind::Card)) << "81 % of the guarantee is marginal";
}

TEST(Lattice, EveryClosedCellSaysWhyInWords) {
    Bench bench;
    EXPECT_EQ(bench.why("main", 120), "Whole reads 60 a second at most");
    EXPECT_EQ(bench.why("lean", 48), "MP4 has no 48");
    EXPECT_EQ(bench.why("main", 48), "main does not offer 48");
    EXPECT_EQ(bench.why("main", 60),
              "no slot holding a card as fast as 75 MB/s; the best guarantees 60 MB/s");
    bench.camera.modes[0].profiles = {"recorded"};
    EXPECT_EQ(bench.why("main", 24), "main does not record index");
    bench.camera.modes[0].profiles.clear();
    bench.camera.modes[0].externalPower = true;
    EXPECT_EQ(bench.why("main", 24), "does not start on the internal battery");
    bench.shoot.setups[0].externalPower = true;
    EXPECT_EQ(bench.why("main", 24), "");
    bench.shoot.kit.cards = {
        {"cf", "CF", CardForm::CfExpressB, DataSize(1e12), "VPG400", "CFexpress B", 1, {}, 1, {}}};
    EXPECT_EQ(bench.why("main", 24), "no card at hand fits SD slot");
    bench.shoot.kit.cards.clear();
    EXPECT_EQ(bench.why("main", 24), "") << "without any card in the kit cards are not judged";
}

TEST(Lattice, ConstraintsCloseCellsOrCostSound) {
    Bench bench;
    bench.camera.constraints = {{"mute",
                                 {{SettingKey::Rate, {}, SettingValue(sample::fps(60)), {}}},
                                 ConstraintKind::Requires,
                                 {{SettingKey::Sound, {"off"}, {}, {}}},
                                 "no sound above 50",
                                 {}},
                                {"iso",
                                 {{SettingKey::Profile, {"index"}, {}, {}}},
                                 ConstraintKind::Limits,
                                 {{SettingKey::Rating, {}, SettingValue(1600.0), {}}},
                                 "the log starts at 1600",
                                 {}}};
    EXPECT_EQ(bench.why("lean", 24), "the log starts at 1600");
    bench.shoot.setups[0].rating = ExposureIndex(1600);
    EXPECT_TRUE(bench.cell("lean", 60).available());
    EXPECT_TRUE(costs(bench.cell("lean", 60), CostKind::Sound));
    EXPECT_FALSE(costs(bench.cell("lean", 24), CostKind::Sound));
}

TEST(Lattice, RowsAreCodecsAndLayersAreAreas) {
    const Bench bench;
    const auto lattice = latticeOf(bench.question());
    ASSERT_EQ(lattice.rows.size(), 2u);
    ASSERT_EQ(lattice.rates,
              (std::vector<FrameRate>{sample::fps(24), sample::fps(60), sample::fps(120)}));
    const auto& intra = lattice.rows[0];
    EXPECT_EQ(intra.cells[0].size(), 2u);
    EXPECT_EQ(shownCell(intra, 0)->mode->id, "main");
    EXPECT_EQ(shownCell(intra, 2)->mode->id, "fast");
    EXPECT_EQ(shownCell(intra, 0, "crop")->mode->id, "fast");
    EXPECT_EQ(shownCell(lattice.rows[1], 0, "crop"), nullptr);
}

TEST(Openings, TheSmallestChangesComeFirstAndReallyOpenTheCell) {
    Bench bench;
    const auto openings = [&](const char* mode, int rate) {
        return openingsOf(bench.question(), latticeOf(bench.question()), bench.cell(mode, rate));
    };
    EXPECT_TRUE(openings("main", 24).empty());
    const auto card = openings("main", 60);
    ASSERT_EQ(card.size(), 2u);
    EXPECT_EQ(reasonOf(card[0].reason), "a V90 card in SD slot");
    EXPECT_FALSE(card[0].setup);
    EXPECT_EQ(reasonOf(card[1].reason), "nearest open: lean at 60");
    bench.camera.modes[0].profiles = {"recorded"};
    bench.camera.profiles = {"index", "recorded"};
    bench.camera.modes[0].externalPower = false;
    const auto profile = openings("main", 24);
    ASSERT_GE(profile.size(), 2u);
    EXPECT_EQ(reasonOf(profile[0].reason), "record recorded");
    Shoot opened = bench.shoot;
    opened.setups[0] = *profile[0].setup;
    EXPECT_EQ(judge(opened, opened.setups[0]).find("mode-excluded"), nullptr);
}

TEST(Lattice, OffSpeedWritesAtTheSensorsRateOrIsConformed) {
    Bench bench;
    auto& mode = bench.camera.modes[0];
    mode.offSpeed = OffSpeed{sample::fps(1), sample::fps(60), true, false};
    bench.shoot.kit.cards.clear();
    // 240 Mb/s * 50 / 24 = 500 Mb/s.
    EXPECT_NEAR(bench.cell("main", 50).bitRate.value(), 500e6, 1);
    EXPECT_TRUE(costs(bench.cell("main", 50), CostKind::OffSpeed));
    EXPECT_TRUE(costs(bench.cell("main", 50), CostKind::Sound));
    mode.offSpeed->writesAtSensorRate = false;
    EXPECT_EQ(bench.cell("main", 50).bitRate, DataRate(240e6));
    Scene slow = bench.shoot.scenes[0];
    slow.slowMotion = Magnification(4.17);
    EXPECT_EQ(wantedRate(slow, bench.shoot.brief), sample::fps(100)) << "4.17 times 24 means 100";
}

TEST(TurnMode, PaysForTheShutterItChangesAndNamesWhatIsOffered) {
    Bench bench;
    auto& setup = bench.shoot.setups[0];
    setup.shutter = ShutterAngle(180);
    setup.payer = Payer::Iris;
    bench.shoot.kit.cards.clear();
    const auto turned = turn(bench.shoot, setup, TurnMode{"fast", sample::fps(120), {}, false});
    ASSERT_TRUE(turned.ok());
    EXPECT_EQ(turned->edit.setup->rate, sample::fps(120));
    // 24 to 120 at 180 degrees: log2(5) = 2.32 stops less; the iris opens by 2 stops to T2, its
    // widest, and owes the rest.
    EXPECT_NEAR(turned->gained.value(), -2.3219, 1e-3);
    EXPECT_EQ(turned->edit.setup->iris, TStop(2));
    EXPECT_NEAR(turned->unpaid.value(), -0.3219, 1e-3);
    const auto refused = turn(bench.shoot, setup, TurnMode{"fast", sample::fps(24), {}, false});
    ASSERT_FALSE(refused.ok());
    EXPECT_NE(refused.error().expected.find("120"), std::string::npos);
}

TEST(Figures, ConsequencesAreOnlyWhatDiffersAndCompareListsItFirst) {
    Bench bench;
    bench.shoot.kit.lenses[0].shortest = bench.shoot.kit.lenses[0].longest = Millimetres(35);
    bench.shoot.scenes[0].subjectSpeed = WidthsPerSecond(0.5);
    Lamp tubes;
    tubes.kind = LampKind::Ballast;
    bench.shoot.scenes[0].lamps = {tubes};
    bench.shoot.setups[0].shutter = ShutterAngle(172.8);
    bslate::Setup after = bench.shoot.setups[0];
    after.mode = "fast";
    after.rate = sample::fps(120);
    const auto changes = consequences(bench.shoot, bench.shoot.setups[0], after);
    const auto of = [&](FigureId id) {
        return std::find_if(changes.begin(), changes.end(),
                            [&](const auto& change) { return change.id == id; });
    };
    ASSERT_NE(of(FigureId::Crop), changes.end());
    EXPECT_EQ(reasonOf(of(FigureId::Crop)->after), "1.5");
    EXPECT_EQ(reasonOf(of(FigureId::View)->before), "54\u00b0");
    EXPECT_EQ(reasonOf(of(FigureId::View)->after), "38\u00b0"); // 2 atan(24/70)
    EXPECT_EQ(reasonOf(of(FigureId::Sound)->after), "off");
    EXPECT_EQ(reasonOf(of(FigureId::Pulsing)->before), "\u2013") << "2 pulses at 24, none to see";
    // 0.4 pulses: r = 0.8 sin(0.4 pi) / (0.4 pi) = 0.6055, log2(1.6055 / 0.3945) = 2.02; 120 - 100
    EXPECT_EQ(reasonOf(of(FigureId::Pulsing)->after), "2.02 stops, 20 Hz");
    EXPECT_EQ(reasonOf(of(FigureId::Blur)->before), "1 %") << "0.5 widths a second for 1/50 s";
    EXPECT_EQ(reasonOf(of(FigureId::Blur)->after), "0.2 %");
    EXPECT_EQ(of(FigureId::Profile), changes.end());
    const auto all = figureLines(compare(bench.shoot, bench.shoot.setups[0], after));
    EXPECT_TRUE(std::is_partitioned(all.begin(), all.end(),
                                    [](const auto& line) { return line.differs(); }));
    EXPECT_GT(all.size(), changes.size());
}

} // namespace
} // namespace bslate
