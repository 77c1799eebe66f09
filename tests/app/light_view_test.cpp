#include "app/window_fixture.h"

#include "app/document/text.h"

#include "core/quantity/print.h"

#include <QLabel>

#include <cmath>

namespace bslate::app {
namespace {

using LightStep = WindowTest;

TEST_F(LightStep, KeysTurnTheControls) {
    key(Qt::Key_P); // payer ND to iris
    key(Qt::Key_P); // light
    key(Qt::Key_P); // rating
    key(Qt::Key_P); // nobody
    EXPECT_EQ(setup().payer, Payer::Nobody);
    const double before = patch("grey").recorded.value();
    key(Qt::Key_Right);
    EXPECT_NEAR(patch("grey").recorded.value() - before, 1.0 / 3, 1e-9) << "iris opens a third";
    key(Qt::Key_Left);
    key(Qt::Key_N);
    EXPECT_EQ(setup().filters, (std::vector<std::string>{"nd03"}));
    key(Qt::Key_N, Qt::ShiftModifier);
    EXPECT_TRUE(setup().filters.empty());
    key(Qt::Key_Up);
    EXPECT_EQ(setup().rating, ExposureIndex(500));
    key(Qt::Key_Down);
    EXPECT_EQ(setup().rating, ExposureIndex(400));
    key(Qt::Key_BracketLeft);
    EXPECT_NEAR(at().angle.value(), 172.8 * std::exp2(-1.0 / 3), 0.06);
    key(Qt::Key_B);
    EXPECT_EQ(setup().base, ExposureIndex(5000));
    key(Qt::Key_O);
    EXPECT_EQ(setup().school, School::ToTheRight);
    const double light = patch("grey").luminance.value();
    key(Qt::Key_L);
    EXPECT_NEAR(patch("grey").luminance.value() / light, std::exp2(1.0 / 3), 1e-9);
}

TEST_F(LightStep, NdPaysForTheIrisByDefault) {
    key(Qt::Key_Right);
    key(Qt::Key_Right);
    key(Qt::Key_Right); // T4 to T2.8: one stop
    EXPECT_EQ(toQt(print(setup().iris)), QStringLiteral("T2.8"));
    EXPECT_EQ(setup().filters, (std::vector<std::string>{"nd03"}));
}

TEST_F(LightStep, ADragIsOneUndoStepAndEveryStepHasAName) {
    auto* grey = handle("grey");
    const QPoint middle = grey->rect().center();
    const double before = patch("grey").luminance.value();
    const int steps = window->document().undoStack().count();
    QTest::mousePress(grey, Qt::LeftButton, {}, middle);
    for (int x = 4; x <= 80; x += 4) {
        QTest::mouseMove(grey, middle + QPoint(4, 0)); // the handle follows
        QTest::qWait(1);
    }
    QTest::mouseRelease(grey, Qt::LeftButton);
    EXPECT_GT(patch("grey").luminance.value(), before * 1.2);
    EXPECT_EQ(window->document().undoStack().count(), steps + 1);
    EXPECT_EQ(window->document().undoStack().undoText(), QStringLiteral("Move Grey card"));
    window->document().undoStack().undo();
    EXPECT_EQ(patch("grey").luminance.value(), before);
    window->document().undoStack().redo();
    EXPECT_GT(patch("grey").luminance.value(), before * 1.2);
}

TEST_F(LightStep, DraggingABlockMovesByStepsFromWhereItStarted) {
    auto& iris = block(LightTrain::Iris);
    const int undo = window->document().undoStack().count();
    QTest::mousePress(&iris, Qt::LeftButton, {}, QPoint(40, 20));
    QTest::mouseMove(&iris, QPoint(65, 20));
    QTest::mouseMove(&iris, QPoint(100, 20));
    QTest::mouseRelease(&iris, Qt::LeftButton, {}, QPoint(100, 20));
    EXPECT_NEAR(setup().iris.value(), std::exp2((12 - 5) / 6.0), 1e-9) << "60 pixels, five thirds";
    EXPECT_EQ(window->document().undoStack().count(), undo + 1);
}

TEST_F(LightStep, EveryBlockTakesTypedEntry) {
    typeInto(LightTrain::Iris, "T5.6");
    EXPECT_NEAR(setup().iris.value(), std::exp2(2.5), 1e-12);
    // An f-number goes through the lens: wide open it is f/1.5 and passes T1.6.
    typeInto(LightTrain::Iris, "f/5.6");
    EXPECT_NEAR(setup().iris.value(), std::exp2(2.5) * std::exp2(2.0 / 3) / 1.5, 1e-9);
    typeInto(LightTrain::ShutterLink, "1/100");
    EXPECT_NEAR(at().exposureTime.value(), 0.01, 1e-9);
    typeInto(LightTrain::Rated, "EI 640");
    EXPECT_EQ(setup().rating, ExposureIndex(640));
    typeInto(LightTrain::Nd, "ND8");
    EXPECT_EQ(setup().filters, (std::vector<std::string>{"nd09"}));
    typeInto(LightTrain::Nd, "none");
    EXPECT_TRUE(setup().filters.empty());
    typeInto(LightTrain::Base, "5000");
    EXPECT_EQ(setup().base, ExposureIndex(5000));
    const double ratioBefore = patch("sky").luminance.value() / patch("grey").luminance.value();
    typeInto(LightTrain::Key, "10 fc");
    const auto& grey = window->document().scene()->patches[2];
    EXPECT_EQ(grey.reading, (LightReading{10, LightUnit::FootCandle})) << "kept in its unit";
    EXPECT_NEAR(patch("sky").luminance.value() / patch("grey").luminance.value(), ratioBefore, 1e-6)
        << "the scene follows its key";
}

TEST_F(LightStep, WrongEntriesKeepTheOldValueAndSayWhatIsAccepted) {
    const struct {
        LightTrain::Link link;
        const char* text;
        const char* says;
    } table[] = {{LightTrain::Iris, "wide", "T2.8"},
                 {LightTrain::Iris, "T1", "Weir 32 mm"},
                 {LightTrain::ShutterLink, "0", "172.8"},
                 {LightTrain::ShutterLink, "1/10", "no longer than the frame"},
                 {LightTrain::Rated, "50", "from 200"},
                 {LightTrain::Rated, "nan", "EI 400"},
                 {LightTrain::Base, "640", "800, 5000"},
                 {LightTrain::Nd, "ND1", "ND1.0"},
                 {LightTrain::Key, "26", "cd/m2"},
                 {LightTrain::Key, "-5 lx", "above zero"}};
    const auto before = window->document().shoot();
    for (const auto& row : table) {
        typeInto(row.link, row.text);
        EXPECT_TRUE(window->notice().message().contains(QString::fromUtf8(row.says)))
            << row.text << ": " << window->notice().message().toStdString();
        EXPECT_EQ(window->document().shoot(), before) << row.text;
    }
}

TEST_F(LightStep, PatchesAreMovedTypedAndDeletedByKeyboard) {
    auto* sky = handle("sky");
    const double before = patch("sky").recorded.value();
    QTest::keyClick(sky, Qt::Key_Left);
    EXPECT_NEAR(patch("sky").recorded.value(), before - 0.1, 0.01);
    QTest::keyClick(sky, Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(patch("sky").recorded.value(), before - 0.1 + 1.0 / 3, 0.01);
    QTest::keyClick(sky, Qt::Key_Return);
    auto* edit = window->findChild<QLineEdit*>(QStringLiteral("patch-reading"));
    ASSERT_TRUE(edit->isVisible());
    edit->selectAll();
    QTest::keyClicks(edit, QStringLiteral("EV 12"));
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_DOUBLE_EQ(patch("sky").luminance.value(), 512); // 0.125 * 2^12
    QTest::keyClick(handle("sky"), Qt::Key_Delete);
    EXPECT_EQ(handle("sky")->isVisible(), false);
    EXPECT_EQ(at().patches.size(), 5u);
    window->document().undoStack().undo();
    EXPECT_EQ(at().patches.size(), 6u);
}

TEST_F(LightStep, GhostGoesThroughTheOtherSchoolsAndOff) {
    auto& canvas = window->view<LightView>().canvas();
    std::vector<School> seen;
    for (int i = 0; i < 5; ++i) {
        key(Qt::Key_Space);
        if (canvas.ghost())
            seen.push_back(*canvas.ghost());
    }
    EXPECT_EQ(seen, (std::vector{School::Nominal, School::ToTheRight, School::Guard, School::Raw}))
        << "the setup's own school, Rated, is not its ghost";
    EXPECT_EQ(canvas.ghost(), std::nullopt);
    EXPECT_FALSE(window->document().isModified()) << "comparing changes nothing";
}

TEST_F(LightStep, RefusesWhatTheCameraCannotDoWithoutAsking) {
    choose("6A"); // fixed lens, T11 at most
    key(Qt::Key_Left);
    EXPECT_NEAR(setup().iris.value(), std::exp2(3.5), 1e-9) << "stays at the lens's end";
}

TEST_F(LightStep, ShowsTheCautionsOfItsScene) {
    const auto shown = [&] {
        for (auto* label : window->view<LightView>().findChildren<QLabel*>())
            if (label->isVisible() && label->text().contains(QStringLiteral("Sun in or near")))
                return true;
        return false;
    };
    EXPECT_FALSE(shown());
    choose("1A");
    EXPECT_TRUE(shown());
}

} // namespace
} // namespace bslate::app
