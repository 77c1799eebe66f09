// The Frame step by hand: stages, split, zebra, another setup beside this one.
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"
#include "app/window_fixture.h"

#include <QClipboard>
#include <QComboBox>

namespace bslate::app {
namespace {

class FrameStep : public WindowTest {
public:
    FrameStep() {
        window->showStep(8);
        settle();
    }
    FrameView& view() { return window->view<FrameView>(); }
    void settle() {
        QTest::qWait(1);
        view().settle();
    }
    void press(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        view().setFocus();
        QTest::keyClick(&view(), code, modifiers);
    }
    [[nodiscard]] int chosen(const char* name) {
        return window->findChild<QComboBox*>(QString::fromLatin1(name))->currentIndex();
    }
    [[nodiscard]] QImage shown() { return view().picture().grab().toImage(); }
};

TEST_F(FrameStep, DrawsTheSetupAndFindsItsPatches) {
    ASSERT_TRUE(view().images());
    EXPECT_EQ(view().images()->number, QStringLiteral("2A"));
    EXPECT_EQ(view().images()->patches.size(), 6u);
    EXPECT_GT(view().images()->clippedShare[1].value(), 0.02) << "the sky in the doorway";
    const auto before = view().images()->look[3];
    choose("3A");
    settle();
    EXPECT_EQ(view().images()->number, QStringLiteral("3A"));
    EXPECT_NE(view().images()->look[3], before);
    // An edit draws it again.
    const auto dark = view().images()->instruments.lumaSum;
    window->showView("light");
    key(Qt::Key_Left);
    window->showStep(8);
    settle();
    EXPECT_NE(view().images()->instruments.lumaSum, dark);
}

TEST_F(FrameStep, KeysTurnStagesMarksAndTheSplit) {
    EXPECT_EQ(chosen("frame-left"), 0);
    EXPECT_EQ(chosen("frame-right"), 3);
    press(Qt::Key_V, Qt::ShiftModifier);
    EXPECT_EQ(chosen("frame-left"), 1);
    press(Qt::Key_V);
    EXPECT_EQ(chosen("frame-right"), 4) << "stops";
    press(Qt::Key_F);
    EXPECT_EQ(chosen("frame-right"), 3);
    press(Qt::Key_F);
    EXPECT_EQ(chosen("frame-right"), 4);
    press(Qt::Key_V);
    EXPECT_EQ(chosen("frame-right"), 0) << "round";
    press(Qt::Key_V, Qt::ShiftModifier);
    for (const auto mark : {Qt::Key_C, Qt::Key_P, Qt::Key_Z, Qt::Key_Z, Qt::Key_Z}) {
        const auto was = shown();
        press(mark);
        EXPECT_NE(shown(), was) << mark;
    }
    press(Qt::Key_R);
    press(Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(view().picture().split(), 0.6, 1e-9);
    press(Qt::Key_Space);
    EXPECT_EQ(view().picture().split(), 0);
    press(Qt::Key_Space);
    EXPECT_NEAR(view().picture().split(), 0.6, 1e-9);
    press(Qt::Key_C, Qt::ControlModifier);
    EXPECT_TRUE(QApplication::clipboard()->text().contains(QStringLiteral("Grey card: planned 50")))
        << QApplication::clipboard()->text().toStdString();
}

TEST_F(FrameStep, TheSplitIsDraggedAndAnotherSetupStandsBeside) {
    auto& picture = view().picture();
    const auto box = picture.frameBox();
    const QPoint at(static_cast<int>(box.left() + box.width() * 0.25), picture.height() / 4);
    QTest::mousePress(&picture, Qt::LeftButton, {}, at);
    EXPECT_NEAR(picture.split(), 0.25, 0.01);
    QTest::mouseMove(&picture, at + QPoint(static_cast<int>(box.width() * 0.5), 0));
    QTest::mouseRelease(&picture, Qt::LeftButton);
    EXPECT_NEAR(picture.split(), 0.75, 0.01);
    const auto alone = shown();
    press(Qt::Key_K);
    settle();
    EXPECT_EQ(chosen("frame-beside"), 1);
    EXPECT_NE(shown(), alone);
}

TEST_F(FrameStep, ASetupThatCannotBeWorkedOutShowsNothing) {
    auto shoot = window->document().shoot();
    findSetup(shoot, setup().id)->lens = "gone";
    ASSERT_TRUE(window->document().edit(QStringLiteral("Test"), std::move(shoot)));
    settle();
    EXPECT_FALSE(view().images());
    window->document().undoStack().undo();
    settle();
    EXPECT_TRUE(view().images());
}

} // namespace
} // namespace bslate::app
