// The Cadence step in the real window: setups 2B, 3A and 5A solved by dragging and by keyboard.
#include "app/views/cadence/angle_scale.h"
#include "app/views/cadence/cadence_view.h"
#include "app/views/cadence/lamp_block.h"
#include "app/views/cadence/lamp_row.h"
#include "app/views/cadence/motion_picture.h"
#include "app/views/cadence/speed_ruler.h"
#include "app/views/cadence/time_strip.h"
#include "app/window_fixture.h"

#include <QComboBox>

#include <cmath>

namespace bslate::app {
namespace {

class CadenceStep : public WindowTest {
protected:
    void SetUp() override {
        choose("3A");
        window->showView("cadence");
        QTest::qWait(1);
    }
    CadenceView& view() { return window->view<CadenceView>(); }
    void press(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        view().setFocus();
        QTest::keyClick(&view(), code, modifiers);
    }
    void drag(QWidget& widget, QPoint from, QPoint to) {
        QTest::mousePress(&widget, Qt::LeftButton, Qt::NoModifier, from);
        QTest::mouseMove(&widget, (from + to) / 2);
        QTest::mouseMove(&widget, to);
        QTest::mouseRelease(&widget, Qt::LeftButton, Qt::NoModifier, to);
    }
    [[nodiscard]] const Finding* finding(const char* key) {
        return window->document().verdict()->find(key);
    }
    [[nodiscard]] double angle() { return shutterAngle(setup().shutter, setup().rate).value(); }
    // The brightness of the view: what a payer must keep.
    [[nodiscard]] Stops grey() { return at().patches.front().viewed; }
};

TEST_F(CadenceStep, OldTubesAreSolvedByDraggingTheBar) {
    ASSERT_NE(finding("pulsing-visible"), nullptr);
    const Stops before = grey();
    auto& strip = view().strip();
    EXPECT_FALSE(strip.now()->still);
    ASSERT_TRUE(strip.other().has_value());
    EXPECT_TRUE(strip.other()->still) << "the way out is shown under it";
    const int frame = static_cast<int>(strip.handle().x() - 74) * 2; // 180 degrees is half of it
    const QPoint to(74 + static_cast<int>(std::lround(frame * 172.8 / 360)), strip.handle().y());
    drag(strip, strip.handle(), to);
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(172.8)))
        << "a pixel is two degrees; near a safe angle the drag lands on it";
    EXPECT_EQ(finding("pulsing-visible"), nullptr);
    EXPECT_TRUE(strip.now()->still);
    EXPECT_NEAR(grey().value(), before.value(), 1e-9) << "light pays";
    window->document().undoStack().undo();
    EXPECT_EQ(angle(), 180) << "one drag is one step";
}

TEST_F(CadenceStep, OldTubesAreSolvedByKeyboard) {
    press(Qt::Key_O);
    press(Qt::Key_O);
    EXPECT_EQ(setup().shutterSchool, ShutterSchool::MainsLocked);
    press(Qt::Key_H);
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(172.8)));
    ASSERT_NE(finding("pulsing-still"), nullptr);
    EXPECT_EQ(finding("pulsing-still")->severity, Severity::Good);
    const auto stops = view().strip().gatheredStops(*view().strip().now());
    for (const auto frame : stops)
        EXPECT_NEAR(frame.value(), 0, 1e-12);
    press(Qt::Key_S);
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(259.2)));
    press(Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(258.2))) << "ten clicks of 0.1";
}

TEST_F(CadenceStep, DimmedStripsAreSolvedOnTheScaleAndByTheRemedy) {
    choose("5A");
    ASSERT_NE(finding("pulsing-visible"), nullptr);
    auto& scale = view().scale();
    const auto point = [&](double degrees) {
        return QPoint(static_cast<int>(std::lround(scale.x(ShutterAngle(degrees)))), scale.axisY());
    };
    drag(scale, point(180), point(172.8));
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(172.8)));
    drag(scale, point(172.8), point(100));
    EXPECT_NEAR(angle(), 100, 0.5) << "away from safe angles it goes where it is dragged";
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    const auto* pulses = finding("pulsing-visible");
    ASSERT_NE(pulses, nullptr);
    ASSERT_FALSE(pulses->remedies.empty());
    window->actionsOnShoot().apply(QStringLiteral("remedy"), pulses->remedies[0].edit);
    EXPECT_EQ(setup().shutter, Shutter(ShutterAngle(172.8)));
    EXPECT_NE(finding("pulsing-still-own"), nullptr);
}

TEST_F(CadenceStep, SlowMotionIsFoundOnTheRulerAndByKeys) {
    choose("2B");
    view().rateBlock().setFocus();
    press(Qt::Key_Up);
    EXPECT_EQ(setup().rate, (FrameRate{Rational(120, 1)}));
    EXPECT_NE(finding("slow-motion-off"), nullptr) << "five times is not 4.17 times";
    auto& ruler = view().ruler();
    EXPECT_TRUE(ruler.words().contains(QStringLiteral(": 20 %"))) << ruler.words().toStdString();
    const double perRate = (ruler.handle().x() - 74) / 120.0;
    drag(ruler, ruler.handle(), QPoint(74 + static_cast<int>(std::lround(perRate * 101.5)), 23));
    EXPECT_EQ(setup().rate, (FrameRate{Rational(100, 1)})) << "4.17 times slower draws the drag";
    EXPECT_EQ(finding("slow-motion-off"), nullptr);
    EXPECT_TRUE(ruler.words().contains(QStringLiteral("8.33 s"))) << ruler.words().toStdString();
    press(Qt::Key_R);
    auto* edit = view().rateBlock().findChild<QLineEdit*>();
    edit->selectAll();
    QTest::keyClicks(edit, QStringLiteral("-3"));
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_EQ(setup().rate, (FrameRate{Rational(100, 1)})) << "refused, the old value stays";
    EXPECT_FALSE(window->notice().message().isEmpty());
    press(Qt::Key_R);
    edit->selectAll();
    QTest::keyClicks(edit, QStringLiteral("500"));
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_EQ(setup().rate, (FrameRate{Rational(100, 1)}));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("one of")));
}

TEST_F(CadenceStep, ShuttersThatCannotBeAreRefused) {
    for (const char* text : {"0", "361", "nan", "1/10", "-90", "", "half"}) {
        press(Qt::Key_A);
        auto* edit = view().shutterBlock().findChild<QLineEdit*>();
        edit->selectAll();
        QTest::keyClick(edit, Qt::Key_Delete);
        QTest::keyClicks(edit, QString::fromLatin1(text));
        QTest::keyClick(edit, Qt::Key_Return);
        EXPECT_EQ(angle(), 180) << text;
    }
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("a shutter such as")))
        << window->notice().message().toStdString();
}

TEST_F(CadenceStep, LampsAreAddedDraggedSteppedTypedAndDeleted) {
    const auto lamps = [&] { return window->document().scene()->lamps; };
    const auto before = lamps();
    press(Qt::Key_L);
    auto* line = view().lamps().findChild<QLineEdit*>(QStringLiteral("new-lamp"));
    ASSERT_TRUE(line->isVisible());
    QTest::keyClicks(line, QStringLiteral("strip 250Hz duty20% share0%"));
    QTest::keyClick(line, Qt::Key_Return);
    ASSERT_EQ(lamps().size(), 3u);
    EXPECT_EQ(lamps()[2].pulses, Hertz(250));
    auto& block = *view().lamps().blocks()[2];
    EXPECT_TRUE(block.hasFocus());
    QTest::keyClick(&block, Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_EQ(lamps()[2].pulses, Hertz(260));
    QTest::keyClick(&block, Qt::Key_Down);
    EXPECT_EQ(lamps()[2].depth, Fraction(0.95));
    const QPoint middle = block.rect().center();
    drag(block, middle, middle + QPoint(-30, 0));
    EXPECT_EQ(lamps()[2].pulses, Hertz(250));
    QTest::keyClick(&block, Qt::Key_Return);
    auto* edit = block.findChild<QLineEdit*>();
    edit->selectAll();
    QTest::keyClicks(edit, QStringLiteral("strip 250Hz duty0%"));
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_EQ(lamps()[2].duty, Fraction(0.2)) << "refused";
    EXPECT_EQ(edit->text(), QStringLiteral("strip 250Hz duty0%")) << "to be mended";
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("duty")));
    block.setFocus();
    QTest::keyClick(&block, Qt::Key_Delete);
    EXPECT_EQ(lamps(), before);
}

TEST_F(CadenceStep, NothingFlashesBeforeTheCautionIsAnswered) {
    auto& motion = view().motion();
    EXPECT_EQ(motion.state(), MotionPicture::State::Still);
    const int drawn = motion.paints();
    QTest::qWait(80);
    EXPECT_LE(motion.paints() - drawn, 1) << "a still picture is not repainted";
    press(Qt::Key_Space);
    EXPECT_EQ(motion.state(), MotionPicture::State::Caution);
    press(Qt::Key_Escape);
    EXPECT_EQ(motion.state(), MotionPicture::State::Still);
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    EXPECT_EQ(motion.state(), MotionPicture::State::Playing);
    press(Qt::Key_S); // 259.2: steady
    EXPECT_EQ(motion.state(), MotionPicture::State::Playing);
    press(Qt::Key_Left, Qt::ShiftModifier);
    for (int i = 0; i < 3; ++i)
        press(Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_EQ(finding("pulsing-visible"), nullptr);
    window->document().undoStack().setIndex(0); // back to 180, where it pulses
    EXPECT_EQ(motion.state(), MotionPicture::State::Caution) << "it would begin to flash";
    press(Qt::Key_Space);
    window->showView("light");
    EXPECT_EQ(motion.state(), MotionPicture::State::Still) << "out of sight it stops";
}

TEST_F(CadenceStep, AnEmptyShootTeachesTheNextStep) {
    window->document().reset({}, {});
    press(Qt::Key_S);
    press(Qt::Key_L);
    press(Qt::Key_Space);
    EXPECT_FALSE(view().strip().now().has_value());
    EXPECT_EQ(view().motion().state(), MotionPicture::State::Still);
    EXPECT_TRUE(view().ruler().words().isEmpty());
}

} // namespace
} // namespace bslate::app
