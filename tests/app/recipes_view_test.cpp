// Recipes as pictures: handles by hand and by key, a number typed, kept from a profile and put in.
#include "app/shell/notice_bar.h"
#include "app/views/recipes/hue_ring.h"
#include "app/views/recipes/look_scene.h"
#include "app/views/recipes/recipes_view.h"
#include "app/views/recipes/tone_picture.h"
#include "app/window_fixture.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace bslate::app {
namespace {

class RecipesPage : public WindowTest {
public:
    RecipesPage() {
        choose("6A");
        window->showView("recipes");
        QTest::qWait(1);
    }
    RecipesView& view() { return window->view<RecipesView>(); }
    [[nodiscard]] const Kit& kit() { return window->document().shoot().kit; }
    [[nodiscard]] const Look& look() { return findRecipe(kit(), fromQt(view().chosen()))->look; }
    void drag(HandlePicture& picture, LookHandle handle, QPoint by) {
        const QPoint from = picture.placeOf(handle).toPoint();
        QTest::mousePress(&picture, Qt::LeftButton, {}, from);
        QTest::mouseMove(&picture, from + by / 2);
        QTest::mouseMove(&picture, from + by);
        QTest::mouseRelease(&picture, Qt::LeftButton, {}, from + by);
    }
    void pick(const char* name, const QString& id) {
        auto* box = view().findChild<QComboBox*>(QString::fromLatin1(name));
        box->setCurrentIndex(box->findData(id));
        emit box->activated(box->currentIndex());
    }
    QString note() { return window->notice().findChild<QLabel*>()->text(); }
    void click(const char* name) {
        view().findChild<QPushButton*>(QString::fromLatin1(name))->click();
    }
};

TEST_F(RecipesPage, HandlesAreDraggedAndTheSceneFollows) {
    EXPECT_EQ(view().chosen(), QStringLiteral("ferry-evening")) << "the one in the setup's profile";
    const Look before = look();
    const auto words = view().scene().words();
    EXPECT_TRUE(words.contains(QStringLiteral("Grey card"))) << words.toStdString();
    const int steps = window->document().undoStack().count();
    drag(view().tone(), LookHandle::Shoulder, {0, 30});
    EXPECT_LT(look().tone.kneePoint, before.tone.kneePoint - 0.05);
    EXPECT_EQ(window->document().undoStack().count(), steps + 1) << "one step for the whole drag";
    EXPECT_NE(view().scene().words(), words) << "bright patches read less";
    drag(view().tone(), LookHandle::Lift, {0, -20});
    EXPECT_GT(look().tone.blackLevel, 0.03);
    // What stands where a handle is put, is where it stands: curve and hand agree.
    drag(view().tone(), LookHandle::Toe, {0, -4});
    EXPECT_NE(look().tone.blackGamma, before.tone.blackGamma);
    const QPointF blues = view().hues().placeOf(LookHandle::Blues);
    drag(view().hues(), LookHandle::Blues, {0, 12});
    EXPECT_LT(look().colour.depth[4], before.colour.depth[4]) << "outwards is lighter";
    EXPECT_NEAR(view().hues().placeOf(LookHandle::Blues).y(), blues.y() + 12, 1.0);
    drag(view().hues(), LookHandle::Colourfulness, {-30, 0});
    EXPECT_LT(look().colour.saturation, before.colour.saturation);
    for (int i = 0; i < 5; ++i)
        window->document().undoStack().undo();
    EXPECT_EQ(look(), before);
}

TEST_F(RecipesPage, KeysChooseMoveTypeAndPutBack) {
    auto& tone = view().tone();
    tone.setFocus();
    QTest::keyClick(&tone, Qt::Key_Right);
    EXPECT_EQ(tone.held(), LookHandle::ShoulderSlope);
    const double slope = look().tone.kneeSlope;
    QTest::keyClick(&tone, Qt::Key_Up, Qt::ShiftModifier);
    QTest::keyClick(&tone, Qt::Key_Down);
    EXPECT_NEAR(look().tone.kneeSlope, slope + 0.04, 1e-9);
    QTest::keyClick(&tone, Qt::Key_Right);
    EXPECT_EQ(tone.held(), LookHandle::Lift) << "round";
    QTest::keyClick(&tone, Qt::Key_Return);
    auto* number = view().findChild<QLineEdit*>(QStringLiteral("recipe-number"));
    ASSERT_TRUE(number->hasFocus());
    QTest::keyClicks(number, QStringLiteral("much"));
    QTest::keyClick(number, Qt::Key_Return);
    EXPECT_TRUE(note().contains(QStringLiteral("-10 % to 20 %"))) << note().toStdString();
    EXPECT_EQ(look().tone.blackLevel, 0) << "the old value stays";
    number->setFocus();
    number->selectAll();
    QTest::keyClicks(number, QStringLiteral("4.5"));
    QTest::keyClick(number, Qt::Key_Return);
    EXPECT_NEAR(look().tone.blackLevel, 0.045, 1e-9);
    tone.setFocus();
    QTest::keyClick(&tone, Qt::Key_Delete);
    EXPECT_EQ(look().tone.blackLevel, 0);
    // Every handle stays in its range however long a key is held.
    for (int i = 0; i < kLookHandles; ++i)
        for (const int steps : {400, -400}) {
            const auto far = stepped(look(), static_cast<LookHandle>(i), steps);
            EXPECT_TRUE(checkLook(far)) << i;
        }
}

TEST_F(RecipesPage, RecipesAreKeptAndPutWhereTheyFit) {
    const auto level = at().midGreyLevel;
    click("recipe-keep");
    ASSERT_EQ(kit().recipes.size(), 3u);
    EXPECT_EQ(look(), lookOf(*findProfile(kit(), "pip-soft")));
    auto& tone = view().tone();
    tone.setHeld(LookHandle::Toe);
    tone.setFocus();
    for (int i = 0; i < 10; ++i)
        QTest::keyClick(&tone, Qt::Key_Down, Qt::ShiftModifier);
    EXPECT_NEAR(look().tone.blackGamma, -0.3, 1e-9);
    click("recipe-put");
    EXPECT_LT(at().midGreyLevel, level) << "the slot the setup records in is darker now";
    pick("recipe-slot", QStringLiteral("tarn-log"));
    click("recipe-put");
    EXPECT_TRUE(note().contains(QStringLiteral("log profile"))) << note().toStdString();
    EXPECT_EQ(findProfile(kit(), "tarn-log")->recipe, "");
    while (!kit().recipes.empty())
        click("recipe-delete");
    EXPECT_FALSE(tone.isEnabled());
    click("recipe-put"); // nothing to put, nothing happens
    EXPECT_TRUE(kit().recipes.empty());
}

} // namespace
} // namespace bslate::app
