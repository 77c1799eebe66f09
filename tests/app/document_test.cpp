// The document without a window: edits, undo, verdict cache, files.
#include "app/document/actions.h"
#include "app/document/file_keeper.h"
#include "app/document/text.h"
#include "core/kit/kit_parts.h"
#include "io/json/kit_json.h"
#include "support/sample_shoot.h"

#include <QDir>
#include <QSettings>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

#include <gtest/gtest.h>

#include <random>

namespace bslate::app {
namespace {

class DocumentTest : public ::testing::Test {
public:
    DocumentTest() { document.reset(sample::shoot(), {}); }

    ShootDocument document;
    Actions actions{document};
};

struct Named {
    const char* name;
    std::function<void(Actions&)> act;
};

const Named kEverything[] = {
    {"turn iris", [](Actions& a) { a.turnControl("x", TurnIris{TStop(8)}); }},
    {"turn rating", [](Actions& a) { a.turnControl("x", TurnRating{ExposureIndex(400)}); }},
    {"turn base", [](Actions& a) { a.turnControl("x", TurnBase{ExposureIndex(5000)}); }},
    {"turn shutter", [](Actions& a) { a.turnControl("x", TurnShutter{ShutterAngle(90)}); }},
    {"turn rate", [](Actions& a) { a.turnControl("x", TurnRate{FrameRate{Rational(60, 1)}}); }},
    {"turn light", [](Actions& a) { a.turnControl("x", TurnLight{Stops(1)}); }},
    {"payer", [](Actions& a) { a.setPayer(Payer::Iris); }},
    {"school", [](Actions& a) { a.setSchool(School::Guard); }},
    {"add setup", [](Actions& a) { a.addSetup(); }},
    {"duplicate setup", [](Actions& a) { a.duplicateSetup(); }},
    {"delete setup", [](Actions& a) { a.deleteSetup(); }},
    {"add scene", [](Actions& a) { a.addScene(); }},
    {"add patch", [](Actions& a) { a.addPatch("scene"); }},
    {"duplicate patch", [](Actions& a) { a.duplicatePatch("scene", "sky"); }},
    {"delete patch", [](Actions& a) { a.deletePatch("scene", "sky"); }},
    {"accept", [](Actions& a) { a.accept({"patch-clipped:sky"}, "fine"); }},
};

// do, undo, redo, undo: the values are the very same, and the name is there for the menu.
TEST_F(DocumentTest, EveryEditUndoesAndRedoes) {
    for (const auto& step : kEverything) {
        document.reset(sample::shoot(), {});
        const Shoot before = document.shoot();
        step.act(actions);
        const Shoot after = document.shoot();
        EXPECT_NE(after, before) << step.name;
        EXPECT_EQ(document.undoStack().count(), 1) << step.name;
        EXPECT_FALSE(document.undoStack().undoText().isEmpty()) << step.name;
        document.undoStack().undo();
        EXPECT_EQ(document.shoot(), before) << step.name;
        document.undoStack().redo();
        EXPECT_EQ(document.shoot(), after) << step.name;
        document.undoStack().undo();
        EXPECT_FALSE(document.isModified()) << step.name;
        EXPECT_NE(document.setup(), nullptr) << step.name;
    }
}

// A shoot of 2 000 setups and a long history: every value comes back, and none of them is held
// whole.
TEST_F(DocumentTest, ALongHistoryOfALargeShootComesBackAndStaysSmall) {
    Shoot large = document.shoot();
    while (large.setups.size() < 2000) {
        large.setups.push_back(large.setups.front());
        large.setups.back().id = "more-" + std::to_string(large.setups.size());
    }
    document.reset(large, {});
    std::vector<std::weak_ptr<const Shoot>> values;
    std::mt19937 chance(5);
    for (int i = 0; i < 60; ++i) {
        values.push_back(document.value());
        kEverything[chance() % std::size(kEverything)].act(actions);
    }
    const Shoot last = document.shoot();
    const auto held = std::count_if(values.begin(), values.end(),
                                    [](const auto& value) { return !value.expired(); });
    EXPECT_LE(held, 3) << "the present one, the one before it, and what a debt is measured from";
    const int steps = document.undoStack().count();
    EXPECT_GT(steps, 30);
    document.undoStack().setIndex(0);
    EXPECT_EQ(document.shoot(), large);
    document.undoStack().setIndex(steps);
    EXPECT_EQ(document.shoot(), last);
}

TEST_F(DocumentTest, WhatNoFileCouldHoldIsRefusedAndToldAndNothingIsLost) {
    QSignalSpy told(&document, &ShootDocument::refused);
    actions.setSchool(School::Guard);
    const Shoot before = document.shoot();
    Shoot wordy = before;
    wordy.note.assign(5000, 'x');
    EXPECT_FALSE(document.edit("note", wordy));
    for (int i = 0; i < 600; ++i)
        actions.addPatch("scene");
    ASSERT_EQ(told.count(),
              1 + 600 - static_cast<int>(kMostPatches - before.scenes[0].patches.size()));
    EXPECT_TRUE(told.first().first().toString().contains(QStringLiteral("4000 bytes")));
    EXPECT_TRUE(told.last().first().toString().contains(QStringLiteral("500 patches")));
    EXPECT_EQ(document.shoot().scenes[0].patches.size(), kMostPatches);
    EXPECT_EQ(document.shoot().setups, before.setups);
}

// The change event names what is new and nothing else.
TEST_F(DocumentTest, AChangeSaysWhatItChanged) {
    std::vector<Revision> seen;
    QObject::connect(&document, &ShootDocument::revisedBy,
                     [&](const Revision& revision) { seen.push_back(revision); });
    actions.setSchool(School::Guard);
    document.undoStack().undo();
    ASSERT_EQ(seen.size(), 2u);
    for (const auto& revision : seen) {
        EXPECT_EQ(revision.setups.put.size(), 1u);
        EXPECT_TRUE(!revision.kit && !revision.brief && revision.scenes.empty());
    }
    EXPECT_EQ(seen[0].setups.put[0].school, School::Guard);
    EXPECT_EQ(seen[1].setups.put[0].school, document.setup()->school);
}

TEST_F(DocumentTest, AnEditThatChangesNothingIsNotRecorded) {
    document.edit("nothing", document.shoot());
    actions.setPayer(Payer::Nd);
    actions.deletePatch("scene", "no such patch");
    EXPECT_EQ(document.undoStack().count(), 0);
}

TEST_F(DocumentTest, ADragBackToItsStartLeavesNoStep) {
    const int drag = document.beginDrag();
    const auto start = document.value();
    actions.turnControl("drag", TurnIris{TStop(8)}, drag, start);
    EXPECT_EQ(document.undoStack().count(), 1);
    actions.turnControl("drag", TurnIris{TStop(4)}, drag, start);
    EXPECT_EQ(document.shoot(), *start);
    EXPECT_FALSE(document.undoStack().canUndo()) << "obsolete once it is back";
}

TEST_F(DocumentTest, TwoDragsStayTwoSteps) {
    for (const double iris : {8.0, 5.6}) {
        const int drag = document.beginDrag();
        const auto start = document.value();
        actions.turnControl("drag", TurnIris{TStop(iris + 0.1)}, drag, start);
        actions.turnControl("drag", TurnIris{TStop(iris)}, drag, start);
    }
    EXPECT_EQ(document.undoStack().count(), 2);
}

TEST_F(DocumentTest, DebtOfThePayerIsCarriedAndForgottenByUndo) {
    actions.turnControl("x", TurnIris{stepIris(TStop(4), 1)}); // a third: no filter that small
    EXPECT_TRUE(document.setup()->filters.empty());
    actions.turnControl("x", TurnIris{stepIris(TStop(4), 2)}); // two thirds owed: one stop nearer
    EXPECT_EQ(document.setup()->filters, (std::vector<std::string>{"nd3"}));
    document.undoStack().undo();
    document.undoStack().undo();
    actions.turnControl("x", TurnIris{stepIris(TStop(4), 1)});
    EXPECT_TRUE(document.setup()->filters.empty()) << "nothing is owed after undo";
}

TEST_F(DocumentTest, RefusalsAreToldAndChangeNothing) {
    QSignalSpy told(&actions, &Actions::refused);
    const Shoot before = document.shoot();
    actions.turnControl("x", TurnRating{ExposureIndex(1)});
    actions.turnControl("x", TurnIris{TStop(1)});
    actions.deleteScene("scene");
    actions.accept({"patch-clipped:sky"}, "   ");
    EXPECT_EQ(told.count(), 4);
    EXPECT_EQ(document.shoot(), before);
    Shoot bare = sample::shoot();
    bare.kit.cameras.clear();
    document.reset(bare, {});
    actions.addSetup();
    EXPECT_EQ(told.count(), 5);
    EXPECT_TRUE(told.last().at(0).toString().contains("kit"));
}

// The cache may never show an old verdict, whatever is edited, undone or selected.
TEST_F(DocumentTest, CachedVerdictsAreThoseOfTheValue) {
    std::mt19937 random(4);
    actions.duplicateSetup();
    for (int i = 0; i < 150; ++i) {
        const auto& step = kEverything[random() % std::size(kEverything)];
        if (random() % 4 == 0)
            document.undoStack().undo();
        else if (random() % 9 == 0) {
            Shoot meter = document.shoot();
            meter.snrFloor = 1 + static_cast<double>(random() % 3);
            document.edit("floor", meter);
        } else
            step.act(actions);
        for (const auto& setup : document.shoot().setups) {
            const auto fresh = judge(document.shoot(), setup);
            const auto& cached = document.verdicts().verdict(setup);
            ASSERT_EQ(cached.evaluation, fresh.evaluation) << step.name;
            ASSERT_EQ(cached.findings.size(), fresh.findings.size()) << step.name;
        }
    }
}

TEST_F(DocumentTest, SelectionFollowsWhatIsThere) {
    QSignalSpy selected(&document, &ShootDocument::selectionChanged);
    actions.duplicateSetup();
    EXPECT_EQ(document.setup()->number, "2B");
    actions.deleteSetup();
    EXPECT_EQ(document.setup()->number, "2A");
    document.select("no such setup");
    EXPECT_EQ(document.setup()->number, "2A");
    document.selectNeighbour(1);
    document.selectNeighbour(-1);
    EXPECT_EQ(document.setup()->number, "2A");
    EXPECT_GE(selected.count(), 2);
}

// ---- files

class KeeperTest : public DocumentTest {
public:
    KeeperTest()
        : settings(folder.filePath("s.ini"), QSettings::IniFormat)
        , keeper(document, settings, folder.filePath("scratch")) {}

    [[nodiscard]] QStringList kept() const {
        return QDir(folder.filePath("scratch")).entryList({"untitled.bslate.autosave*"});
    }

    QTemporaryDir folder;
    QSettings settings;
    FileKeeper keeper;
};

TEST_F(KeeperTest, StartsWithTheKitThatIsKept) {
    keeper.startNew();
    EXPECT_EQ(document.shoot().kit, plainKit()) << "nobody's camera";
    const auto kit = io::loadKit(BSLATE_ROOT "/data/demo/slack-water.bskit.json");
    keeper.setKitForNew([&] { return *kit; });
    keeper.startNew();
    EXPECT_FALSE(document.isModified());
    actions.addSetup();
    ASSERT_NE(document.setup(), nullptr);
    EXPECT_TRUE(document.verdict()->evaluation.has_value());
    EXPECT_TRUE(document.verdict()->evaluation->grey.has_value()) << "a grey card to start from";
}

TEST_F(KeeperTest, RecentFilesAreTheLastEightNewestFirst) {
    for (int i = 0; i < 10; ++i)
        ASSERT_TRUE(keeper.save(folder.filePath(QString("%1.bslate").arg(i))).ok());
    ASSERT_TRUE(keeper.open(folder.filePath("5.bslate")).ok());
    EXPECT_EQ(keeper.recent().size(), 8);
    EXPECT_TRUE(keeper.recent().front().endsWith("5.bslate"));
    EXPECT_FALSE(keeper.recent().contains(folder.filePath("0.bslate")));
}

TEST_F(KeeperTest, SavingElsewhereTakesTheReferencedKitAlong) {
    QDir(folder.path()).mkdir("a");
    QDir(folder.path()).mkdir("b");
    const QString demo = QString::fromUtf8(BSLATE_ROOT "/data/demo/");
    QFile::copy(demo + "slack-water.bslate", folder.filePath("a/s.bslate"));
    QFile::copy(demo + "slack-water.bskit.json", folder.filePath("a/slack-water.bskit.json"));
    ASSERT_TRUE(keeper.open(folder.filePath("a/s.bslate")).ok());
    ASSERT_TRUE(keeper.save(folder.filePath("a/t.bslate")).ok());
    EXPECT_TRUE(document.shoot().kitFile.has_value()) << "beside its kit it stays a reference";
    ASSERT_TRUE(keeper.save(folder.filePath("b/s.bslate")).ok());
    EXPECT_FALSE(document.shoot().kitFile.has_value());
    EXPECT_FALSE(document.isModified());
    ASSERT_TRUE(keeper.open(folder.filePath("b/s.bslate")).ok());
    EXPECT_EQ(document.shoot().kit.cameras.size(), 3u);
}

TEST_F(KeeperTest, AnotherKitIsTakenWholeOrNotAtAll) {
    QFile broken(folder.filePath("broken.bskit.json"));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("{\"format\": \"bright-slate-kit\", \"version\": 1, \"cameras\": [{}]}");
    broken.close();
    const Shoot before = document.shoot();
    const auto failed = keeper.useKit(broken.fileName());
    ASSERT_FALSE(failed.ok());
    EXPECT_EQ(failed.error().place, "/cameras/0/id");
    EXPECT_EQ(document.shoot(), before);
    ASSERT_TRUE(
        keeper.useKit(QString::fromUtf8(BSLATE_ROOT "/data/demo/slack-water.bskit.json")).ok());
    EXPECT_EQ(document.shoot().kit.cameras.size(), 3u);
    EXPECT_EQ(document.verdict()->findings.front().id, FindingId::SetupIncomplete)
        << "the old camera is gone, and the verdict says so";
    document.undoStack().undo();
    EXPECT_EQ(document.shoot(), before);
}

TEST_F(KeeperTest, AutosavesOnlyWhatIsUnsavedAndClearsItself) {
    keeper.autosaveNow();
    EXPECT_TRUE(keeper.leftovers({}).isEmpty());
    actions.setPayer(Payer::Iris);
    keeper.autosaveNow();
    EXPECT_EQ(kept().size(), 1);
    EXPECT_TRUE(keeper.leftovers({}).isEmpty()) << "its own autosave is no leftover";
    document.undoStack().undo();
    EXPECT_TRUE(kept().isEmpty()) << "undone to what is saved: nothing newer is kept";
    document.undoStack().redo();
    keeper.autosaveNow();
    keeper.forgetAutosave();
    EXPECT_TRUE(kept().isEmpty());
}

TEST_F(KeeperTest, AnAutosaveThatCannotBeWrittenIsTold) {
    QSignalSpy told(&keeper, &FileKeeper::autosaveFailed);
    ASSERT_TRUE(QDir(folder.filePath("scratch")).removeRecursively());
    QFile inTheWay(folder.filePath("scratch"));
    ASSERT_TRUE(inTheWay.open(QIODevice::WriteOnly));
    inTheWay.close();
    actions.setPayer(Payer::Iris);
    keeper.autosaveNow();
    ASSERT_TRUE(QTest::qWaitFor([&] { return told.count() > 0; }));
    ASSERT_EQ(told.count(), 1);
    EXPECT_TRUE(told.front().at(0).toString().contains("cannot be written"));
}

} // namespace
} // namespace bslate::app
