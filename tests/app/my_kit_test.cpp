// The kit that is kept outside of every shoot: both ways, taken back, never forced, and a file that
// is broken or written by another window meanwhile.
#include "app/document/my_kit.h"
#include "app/document/text.h"
#include "app/views/kit/kit_view.h"
#include "app/views/my_kit/my_kit_dialog.h"
#include "app/window_fixture.h"
#include "io/system/file_lock.h"
#include "io/system/files.h"
#include "support/temporary_folder.h"

#include <QDir>
#include <QElapsedTimer>
#include <QFileInfo>
#include <QLabel>
#include <QTreeWidget>

namespace bslate::app {
namespace {

class OwnKit : public WindowTest {
public:
    OwnKit() { window->showView("kit"); }
    MyKit& mine() { return window->mine(); }
    [[nodiscard]] Kit kept() {
        mine().look();
        mine().settle();
        return *mine().kit();
    }
    // Carried out on the worker, and what came of it.
    static bool isDone(MyKit& own, const std::function<void()>& change) {
        bool done = false;
        const auto heard = QObject::connect(&own, &MyKit::kept, &own, [&] { done = true; });
        change();
        own.settle();
        QObject::disconnect(heard);
        return done;
    }
    static bool keep(MyKit& own, const std::vector<MyKit::Part>& parts) {
        return isDone(own, [&] { own.keep(parts); });
    }
    bool keepAll() {
        return isDone(mine(), [&] { mine().keepAll(); });
    }
    [[nodiscard]] const Kit& kit() { return window->document().shoot().kit; }
    QPushButton& button(const QWidget& where, const char* name) {
        return *where.findChild<QPushButton*>(QString::fromLatin1(name));
    }
    [[nodiscard]] QString beside() {
        return window->findChild<QLabel*>(QStringLiteral("gear-beside"))->text();
    }
    void rename(const char* camera, double watts) {
        auto shoot = window->document().shoot();
        findById(shoot.kit.cameras, camera)->draw = Watts(watts);
        ASSERT_TRUE(window->document().edit(QStringLiteral("draw"), shoot));
    }
};

TEST_F(OwnKit, ACameraIsKeptWithWhatItNeedsAndEveryNewShootHasIt) {
    ASSERT_TRUE(mine().isEmpty());
    window->view<KitView>().choose(KitPart::Camera, "sedge-2");
    EXPECT_TRUE(beside().contains(QStringLiteral("only"))) << beside().toStdString();
    button(window->view<KitView>(), "gear-keep").click();
    mine().settle();
    ASSERT_EQ(kept().cameras.size(), 1u);
    EXPECT_EQ(kept().cameras[0], *findCamera(kit(), "sedge-2"));
    EXPECT_TRUE(findProfile(kept(), "sedge-flat-sedge-2")) << "its body test came along";
    EXPECT_EQ(beside(), QStringLiteral("As in My kit."));
    EXPECT_FALSE(window->document().isModified()) << "the shoot is as it was";
    window->files().startNew();
    for (const auto& part : mine().besides())
        EXPECT_TRUE(part.state == PartState::Same || part.state == PartState::OnlyHere)
            << part.name;
    EXPECT_FALSE(kit().filters.empty()) << "the standards are there as well";
    EXPECT_FALSE(kit().cards.empty());
}

TEST_F(OwnKit, WhatDiffersIsSaidAndGoesEitherWayWhenAsked) {
    ASSERT_TRUE(keepAll());
    rename("tarn-6", 44);
    window->view<KitView>().choose(KitPart::Camera, "tarn-6");
    EXPECT_EQ(beside(), QStringLiteral("Differs from My kit: Power draw."));
    EXPECT_NE(findCamera(kept(), "tarn-6")->draw, Watts(44)) << "nothing goes by itself";
    button(window->view<KitView>(), "gear-take").click();
    EXPECT_EQ(*findCamera(kit(), "tarn-6"), *findCamera(kept(), "tarn-6"));
    window->document().undoStack().undo();
    EXPECT_EQ(findCamera(kit(), "tarn-6")->draw, Watts(44));
    button(window->view<KitView>(), "gear-keep").click();
    mine().settle();
    EXPECT_EQ(findCamera(kept(), "tarn-6")->draw, Watts(44));
    // What was kept is taken back from the line that tells of it.
    for (auto* answer : window->notice().findChildren<QPushButton*>())
        if (answer->text() == QStringLiteral("Take it back"))
            answer->click();
    mine().settle();
    EXPECT_NE(findCamera(kept(), "tarn-6")->draw, Watts(44));
}

TEST_F(OwnKit, TheTwoKitsStandBesideEachOtherPartByPart) {
    ASSERT_TRUE(keepAll());
    window->files().startNew();
    auto bare = window->document().shoot();
    bare.kit = plainKit();
    ASSERT_TRUE(window->document().edit(QStringLiteral("bare"), bare));
    window->showSheet(QStringLiteral("my-kit"));
    auto& dialog = *window->findChild<MyKitDialog*>();
    dialog.choose(KitPart::Recipe, "ferry-evening");
    EXPECT_FALSE(button(dialog, "mine-keep").isEnabled());
    button(dialog, "mine-take").click();
    EXPECT_EQ(kit().recipes.size(), 1u);
    dialog.choose(KitPart::Camera, "pip");
    button(dialog, "mine-take").click();
    EXPECT_TRUE(findLens(kit(), "pip-lens")) << "its lens came along";
    // A lens that a camera has built in stays; the camera may go.
    dialog.choose(KitPart::Lens, "pip-lens");
    button(dialog, "mine-forget").click();
    mine().settle();
    EXPECT_TRUE(findLens(kept(), "pip-lens")) << said();
    dialog.choose(KitPart::Camera, "pip");
    button(dialog, "mine-forget").click();
    mine().settle();
    EXPECT_FALSE(findCamera(kept(), "pip"));
    EXPECT_TRUE(findCamera(kit(), "pip")) << "the shoot keeps its own";
    button(dialog, "mine-take-all").click();
    EXPECT_EQ(kit().recipes.size(), 2u);
    EXPECT_EQ(kit().cameras.size(), 3u);
}

TEST_F(OwnKit, AnotherWindowsChangesAreNotLost) {
    KitActions actions(window->document());
    MyKit other(actions, mine().path());
    ASSERT_TRUE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    ASSERT_TRUE(keep(other, {{KitPart::Camera, "pip"}}));
    ASSERT_TRUE(keep(mine(), {{KitPart::Card, "sd-v60"}}));
    EXPECT_EQ(kept().cameras.size(), 2u);
    EXPECT_EQ(kept().cards.size(), 1u);
}

TEST_F(OwnKit, ABrokenFileIsToldAndNeverWrittenOver) {
    sample::spit(fromQt(mine().path()), "{ \"format\": \"bright-slate-kit\", ");
    EXPECT_FALSE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    EXPECT_NE(said().find("My kit is not written over"), std::string::npos) << said();
    EXPECT_NE(said().find("line 1"), std::string::npos) << said();
    EXPECT_EQ(io::readFile(fromQt(mine().path()))->size(), 32u);
    window->files().startNew();
    EXPECT_EQ(kit(), plainKit());
    EXPECT_NE(said().find("begins without it"), std::string::npos) << said();
}

// Broken by another program after something was kept: neither way writes over it.
TEST_F(OwnKit, TakingBackDoesNotWriteOverABrokenFile) {
    ASSERT_TRUE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    sample::spit(fromQt(mine().path()), "{ broken");
    mine().takeBack();
    mine().settle();
    EXPECT_NE(said().find("not written over"), std::string::npos) << said();
    EXPECT_EQ(sample::slurp(fromQt(mine().path())), "{ broken");
}

TEST_F(OwnKit, TakingBackLeavesWhatAnotherWindowKept) {
    KitActions actions(window->document());
    MyKit other(actions, mine().path());
    ASSERT_TRUE(keep(mine(), {{KitPart::Camera, "sedge-2"}}));
    ASSERT_TRUE(keep(other, {{KitPart::Camera, "pip"}}));
    mine().takeBack();
    mine().settle();
    EXPECT_FALSE(findCamera(kept(), "sedge-2")) << said();
    EXPECT_FALSE(findProfile(kept(), "sedge-flat-sedge-2")) << "what came along goes as well";
    EXPECT_TRUE(findCamera(kept(), "pip"));
    // The same part, changed since by the other one, stays.
    ASSERT_TRUE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    rename("tarn-6", 44);
    ASSERT_TRUE(keep(other, {{KitPart::Camera, "tarn-6"}}));
    mine().takeBack();
    mine().settle();
    EXPECT_EQ(findCamera(kept(), "tarn-6")->draw, Watts(44));
}

// A link onto a drive that is away is no empty kit, and nothing is begun in its place.
TEST_F(OwnKit, ALinkToWhatIsAwayIsNotNothing) {
    const QString away = file("away/kit.json");
    QFile::remove(mine().path());
    ASSERT_TRUE(QFile::link(away, mine().path()));
    EXPECT_FALSE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    EXPECT_NE(said().find("leads to what is not there"), std::string::npos) << said();
    EXPECT_FALSE(QFileInfo::exists(away));
    EXPECT_TRUE(QFileInfo(mine().path()).isSymLink());
    ASSERT_TRUE(QDir().mkpath(file("away"))); // the place where the drive was
    EXPECT_FALSE(keep(mine(), {{KitPart::Camera, "tarn-6"}}));
    EXPECT_FALSE(QFileInfo::exists(away));
}

// Without the lock nothing is written, and the window does not wait.
TEST_F(OwnKit, WhileAnotherProgramHoldsItsLockNothingIsWritten) {
    ASSERT_TRUE(keep(mine(), {{KitPart::Camera, "pip"}}));
    const auto before = sample::slurp(fromQt(mine().path()));
    auto lock = io::FileLock::onFile(fromQt(mine().path() + QStringLiteral(".lock")), 0);
    ASSERT_TRUE(lock);
    auto held = *std::move(lock);
    QElapsedTimer since;
    since.start();
    mine().keep({{KitPart::Camera, "tarn-6"}});
    mine().keep({{KitPart::Card, "sd-v60"}});
    EXPECT_LT(since.elapsed(), 1000);
    EXPECT_TRUE(QTest::qWaitFor([&] { return said().find("waiting") != std::string::npos; }))
        << said();
    EXPECT_EQ(sample::slurp(fromQt(mine().path())), before);
    { const auto letGo = std::move(held); }
    mine().settle();
    EXPECT_TRUE(findCamera(kept(), "tarn-6")) << "both, one after the other";
    EXPECT_EQ(kept().cards.size(), 1u);
}

} // namespace
} // namespace bslate::app
