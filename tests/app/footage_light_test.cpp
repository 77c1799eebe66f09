// A lamp and a white measured with the camera: clips made of the demo's own scenes, marked on their
// picture, taken as an undoable step.
#include "app/views/cadence/cadence_view.h"
#include "app/views/cadence/lamp_dialog.h"
#include "app/views/cadence/lamp_row.h"
#include "app/views/white/card_white_dialog.h"
#include "app/views/white/chart_dialog.h"
#include "app/views/white/white_view.h"
#include "app/widgets/area_picker.h"
#include "app/widgets/footage_picker.h"
#include "app/window_fixture.h"
#include "core/facts/evaluate.h"
#include "core/frame/surface.h"
#include "io/codec/clip_make.h"
#include "io/stills/still_file.h"
#include "support/sample_chart.h"
#include "support/temporary_folder.h"

#include <QComboBox>
#include <QLabel>

namespace bslate::app {
namespace {

class Footage : public WindowTest {
public:
    QString made(const char* name, double seconds) {
        const auto context = resolve(window->document().shoot(), setup());
        MadeClipWish wish;
        wish.size = {320, 180};
        wish.length = Seconds(seconds);
        const auto clip = io::makeClip(*context, evaluate(*context), wish);
        EXPECT_TRUE(clip);
        sample::spit(file(name).toStdString(), *clip);
        return file(name);
    }
    void markCard(FootagePicker& footage) {
        footage.settle();
        const auto context = resolve(window->document().shoot(), setup());
        auto& picker = footage.picker();
        for (const auto& surface :
             surfacesOf(*context->scene, context->shoot->kit, context->shoot->meter)) {
            if (surface.patch != "grey")
                continue;
            const auto from = picker.placeOf(surface.probe.x, surface.probe.y).toPoint();
            const auto to = picker
                                .placeOf(surface.probe.x + surface.probe.width,
                                         surface.probe.y + surface.probe.height)
                                .toPoint();
            QTest::mousePress(&picker, Qt::LeftButton, {}, from);
            QTest::mouseMove(&picker, to);
            QTest::mouseRelease(&picker, Qt::LeftButton, {}, to);
        }
    }
    QString told(QDialog& dialog) {
        return dialog.findChild<QLabel*>(QStringLiteral("footage-found"))->text();
    }
};

TEST_F(Footage, ALampIsFoundAndPutIntoTheScene) {
    choose("3A"); // tubes on a ballast
    window->showView("cadence");
    const auto before = window->document().scene()->lamps;
    auto& row = *window->findChild<LampRow*>();
    row.setAskForClip([&] { return made("tubes.mov", 4); });
    auto* dialog = row.measureLamp();
    ASSERT_TRUE(dialog);
    markCard(dialog->footage());
    dialog->settle();
    ASSERT_TRUE(dialog->lamp()) << told(*dialog).toStdString();
    // Another shutter than the clip's makes another lamp; a wrong one is told.
    auto* shutter = dialog->findChild<QLineEdit*>(QStringLiteral("lamp-shutter"));
    shutter->setFocus();
    shutter->selectAll();
    QTest::keyClicks(shutter, QStringLiteral("soon"));
    QTest::keyClick(shutter, Qt::Key_Return);
    EXPECT_FALSE(dialog->findChild<QPushButton*>(QStringLiteral("footage-take"))->isEnabled());
    // Two whole pulses: nothing can be told of how far it swings.
    shutter->selectAll();
    QTest::keyClicks(shutter, QStringLiteral("172.8"));
    QTest::keyClick(shutter, Qt::Key_Return);
    EXPECT_FALSE(dialog->lamp());
    EXPECT_TRUE(told(*dialog).contains(QStringLiteral("whole number of pulses")));
    shutter->selectAll();
    QTest::keyClicks(shutter, QStringLiteral("180"));
    QTest::keyClick(shutter, Qt::Key_Return);
    ASSERT_TRUE(dialog->lamp()) << told(*dialog).toStdString();
    dialog->accept();
    const auto& after = window->document().scene()->lamps;
    ASSERT_EQ(after.size(), before.size() + 1) << said();
    EXPECT_EQ(after.back().name, "tubes");
    window->document().undoStack().undo();
    EXPECT_EQ(window->document().scene()->lamps, before);
    row.setAskForClip([] { return QString(); });
    EXPECT_FALSE(row.measureLamp()) << "no clip was chosen";
}

TEST_F(Footage, WhiteIsMeasuredAndTakenEitherWay) {
    choose("4A");
    window->showView("white");
    auto& view = window->view<WhiteView>();
    view.setAskForClip([&] { return made("card.mov", 0.5); });
    view.setFocus();
    QTest::keyClick(&view, Qt::Key_F);
    auto* dialog = window->findChild<CardWhiteDialog*>();
    ASSERT_TRUE(dialog);
    markCard(dialog->footage());
    dialog->settle();
    ASSERT_TRUE(dialog->white()) << told(*dialog).toStdString();
    EXPECT_TRUE(told(*dialog).contains(QStringLiteral("makes it neutral")));
    const auto measured = *dialog->white();
    dialog->accept();
    EXPECT_EQ(setup().white, measured.set.kelvin);
    EXPECT_EQ(setup().whiteBy, WhiteBy::Card);
    window->document().undoStack().undo();
    QTest::qWait(1); // the first is gone
    auto* again = view.measureWhite();
    markCard(again->footage());
    again->settle();
    again->findChild<QComboBox*>(QStringLiteral("card-white-use"))->setCurrentIndex(1);
    again->accept();
    const auto& lamps = window->document().scene()->lamps;
    EXPECT_TRUE(std::any_of(lamps.begin(), lamps.end(), [&](const Lamp& lamp) {
        return lamp.colour && lamp.colour->cct == measured.light.cct;
    }));
    // The card in the light of the other side: a new light, undone as one step.
    window->document().undoStack().undo();
    QTest::qWait(1);
    auto* fill = view.measureWhite();
    markCard(fill->footage());
    fill->settle();
    auto* use = fill->findChild<QComboBox*>(QStringLiteral("card-white-use"));
    const int at = use->findText(QStringLiteral("fill"), Qt::MatchContains);
    ASSERT_GE(at, 0) << "no lamp stands on that side";
    use->setCurrentIndex(at);
    const auto before = window->document().scene()->lamps;
    fill->accept();
    ASSERT_EQ(window->document().scene()->lamps.size(), before.size() + 1) << said();
    EXPECT_EQ(window->document().scene()->lamps.back().side, LightSide::Fill);
    EXPECT_EQ(window->document().scene()->lamps.back().colour->cct, measured.light.cct);
    window->document().undoStack().undo();
    EXPECT_EQ(window->document().scene()->lamps, before);
    // A file that is no clip is told, and nothing can be taken.
    sample::spit(file("no.mov").toStdString(), "no clip");
    view.setAskForClip([&] { return file("no.mov"); });
    QTest::qWait(1);
    auto* broken = view.measureWhite();
    broken->settle();
    EXPECT_TRUE(told(*broken).contains(QStringLiteral("no.mov"))) << told(*broken).toStdString();
    EXPECT_FALSE(broken->findChild<QPushButton*>(QStringLiteral("footage-take"))->isEnabled());
    broken->reject();
}

TEST_F(Footage, TheSensorIsFoundOnAChart) {
    Random random(52);
    choose("2A");
    const Gamut sensor{{0.69, 0.31}, {0.22, 0.74}, {0.14, 0.05}, {0.34, 0.33}};
    const ColourPoint light{Kelvin(4300), usualDuv(Kelvin(4300))};
    const auto chart = sample::chart(6, 4, random);
    const auto picture = file("chart.exr"), colours = file("chart.txt");
    sample::spit(colours.toStdString(), sample::textOf(chart));
    ASSERT_TRUE(io::writePicture(sample::pictureOf(chart, sample::seen(chart, sensor, light, 0.5)),
                                 picture.toStdString(), false));
    window->showView("white");
    auto& view = window->view<WhiteView>();
    view.setAskForChart([&] { return std::array{picture, colours}; });
    view.setFocus();
    QTest::keyClick(&view, Qt::Key_S);
    auto* dialog = window->findChild<ChartDialog*>();
    ASSERT_TRUE(dialog);
    dialog->settle();
    auto* take = dialog->findChild<QPushButton*>(QStringLiteral("footage-take"));
    EXPECT_FALSE(take->isEnabled()) << "the place in the middle is not the chart";
    auto& picker = dialog->footage().picker();
    QTest::mousePress(&picker, Qt::LeftButton, {}, picker.placeOf(0.25, 0.25).toPoint());
    QTest::mouseRelease(&picker, Qt::LeftButton, {}, picker.placeOf(0.75, 0.75).toPoint());
    auto* lit = dialog->findChild<QLineEdit*>(QStringLiteral("chart-light"));
    lit->setText(QStringLiteral("soon"));
    emit lit->editingFinished();
    EXPECT_FALSE(take->isEnabled());
    lit->setText(QStringLiteral("4300K"));
    emit lit->editingFinished();
    dialog->settle();
    EXPECT_TRUE(told(*dialog).contains(QStringLiteral("colours of the profile")))
        << told(*dialog).toStdString();
    dialog->findChild<QComboBox*>(QStringLiteral("chart-channels"))->setCurrentIndex(1);
    dialog->settle();
    ASSERT_TRUE(take->isEnabled()) << told(*dialog).toStdString();
    ASSERT_EQ(picker.places().size(), 24U);
    EXPECT_EQ(picker.places()[0].severity, Severity::Good);
    const auto before = findCamera(window->document().shoot().kit, setup().camera)->primaries;
    dialog->accept();
    const auto& camera = *findCamera(window->document().shoot().kit, setup().camera);
    ASSERT_TRUE(camera.primaries) << said();
    EXPECT_NEAR(camera.primaries->green.y, 0.74, 0.004);
    window->document().undoStack().undo();
    EXPECT_EQ(findCamera(window->document().shoot().kit, setup().camera)->primaries, before);
}

} // namespace
} // namespace bslate::app
