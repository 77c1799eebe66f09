// The kit that is kept outside of every shoot: both ways, taken back, never forced, and a file that
// is broken or written by another window meanwhile.
#include "app/document/my_kit.h"
#include "app/document/text.h"
#include "app/views/kit/kit_view.h"
#include "app/views/my_kit/my_kit_dialog.h"
#include "app/window_fixture.h"
#include "io/system/files.h"
#include "support/temporary_folder.h"

#include <QLabel>
#include <QTreeWidget>

namespace bslate::app {
namespace {

class OwnKit : public WindowTest {
public:
    OwnKit() { window->showView("kit"); }
    MyKit& mine() { return window->mine(); }
    [[nodiscard]] Kit kept() { return *mine().kit(); }
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
    window->view<KitView>().choose(GearKind::Camera, "sedge-2");
    EXPECT_TRUE(beside().contains(QStringLiteral("only"))) << beside().toStdString();
    button(window->view<KitView>(), "gear-keep").click();
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
    ASSERT_TRUE(mine().keepAll());
    rename("tarn-6", 44);
    window->view<KitView>().choose(GearKind::Camera, "tarn-6");
    EXPECT_EQ(beside(), QStringLiteral("Differs from My kit: Power draw."));
    EXPECT_NE(findCamera(kept(), "tarn-6")->draw, Watts(44)) << "nothing goes by itself";
    button(window->view<KitView>(), "gear-take").click();
    EXPECT_EQ(*findCamera(kit(), "tarn-6"), *findCamera(kept(), "tarn-6"));
    window->document().undoStack().undo();
    EXPECT_EQ(findCamera(kit(), "tarn-6")->draw, Watts(44));
    button(window->view<KitView>(), "gear-keep").click();
    EXPECT_EQ(findCamera(kept(), "tarn-6")->draw, Watts(44));
    // What was kept is taken back from the line that tells of it.
    for (auto* answer : window->notice().findChildren<QPushButton*>())
        if (answer->text() == QStringLiteral("Take it back"))
            answer->click();
    EXPECT_NE(findCamera(kept(), "tarn-6")->draw, Watts(44));
}

TEST_F(OwnKit, TheTwoKitsStandBesideEachOtherPartByPart) {
    ASSERT_TRUE(mine().keepAll());
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
    EXPECT_TRUE(findLens(kept(), "pip-lens")) << said();
    dialog.choose(KitPart::Camera, "pip");
    button(dialog, "mine-forget").click();
    EXPECT_FALSE(findCamera(kept(), "pip"));
    EXPECT_TRUE(findCamera(kit(), "pip")) << "the shoot keeps its own";
    button(dialog, "mine-take-all").click();
    EXPECT_EQ(kit().recipes.size(), 2u);
    EXPECT_EQ(kit().cameras.size(), 3u);
}

TEST_F(OwnKit, AnotherWindowsChangesAreNotLost) {
    KitActions actions(window->document());
    MyKit other(actions, mine().path());
    ASSERT_TRUE(mine().keep({{KitPart::Camera, "tarn-6"}}));
    ASSERT_TRUE(other.keep({{KitPart::Camera, "pip"}}));
    ASSERT_TRUE(mine().keep({{KitPart::Card, "sd-v60"}}));
    EXPECT_EQ(kept().cameras.size(), 2u);
    EXPECT_EQ(kept().cards.size(), 1u);
}

TEST_F(OwnKit, ABrokenFileIsToldAndNeverWrittenOver) {
    sample::spit(fromQt(mine().path()), "{ \"format\": \"bright-slate-kit\", ");
    EXPECT_FALSE(mine().keep({{KitPart::Camera, "tarn-6"}}));
    EXPECT_NE(said().find("My kit is not written over"), std::string::npos) << said();
    EXPECT_NE(said().find("line 1"), std::string::npos) << said();
    EXPECT_EQ(io::readFile(fromQt(mine().path()))->size(), 32u);
    window->files().startNew();
    EXPECT_EQ(kit(), plainKit());
    EXPECT_NE(said().find("begins without it"), std::string::npos) << said();
}

} // namespace
} // namespace bslate::app
