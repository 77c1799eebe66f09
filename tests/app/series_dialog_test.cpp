// A body test from footage: the card marked once, readings found, fitted and kept without a number
// typed.
#include "app/document/text.h"
#include "app/views/body_test/body_test_view.h"
#include "app/views/body_test/series_dialog.h"
#include "app/widgets/area_picker.h"
#include "app/window_fixture.h"
#include "core/facts/evaluate.h"
#include "io/codec/clip_make.h"
#include "io/stills/still_file.h"
#include "support/temporary_folder.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>

namespace bslate::app {
namespace {

class SeriesFromClips : public WindowTest {
public:
    SeriesFromClips() {
        choose("2A");
        window->showView("body-test");
        QTest::qWait(1);
        auto* cameras = view().findChild<QComboBox*>();
        cameras->setCurrentIndex(cameras->findData(toQt(setup().camera)));
    }
    BodyTestView& view() { return window->view<BodyTestView>(); }
    // The setup with nothing but a grey card before it, stepped over its range.
    QString steppedClip() {
        auto shoot = window->document().shoot();
        auto own = setup();
        own.support = Support::Tripod;
        for (auto& scene : shoot.scenes)
            if (scene.id == own.scene) {
                auto grey = scene.patches.front();
                grey.id = "grey";
                grey.role = PatchRole::Grey;
                grey.reading = {26, LightUnit::CandelaPerM2};
                grey.place = FramePlace{0.1, 0.1, 0.5, 0.8};
                scene.patches = {grey};
                scene.lamps.clear();
            }
        const auto context = resolve(shoot, own);
        const auto at = evaluate(*context);
        MadeClipWish wish;
        wish.size = {320, 180};
        wish.length = Seconds(5);
        for (int stop = -6; stop <= 8; ++stop)
            wish.steps.emplace_back(stop - at.patches[0].recorded.value());
        const auto file = io::makeClip(*context, at, wish);
        EXPECT_TRUE(file) << message(file.error());
        sample::spit(this->file("series.mov").toStdString(), *file);
        return this->file("series.mov");
    }
};

TEST_F(SeriesFromClips, TheCardIsMarkedAndTheCurveIsFitted) {
    auto* dialog = view().readClips({steppedClip()});
    ASSERT_TRUE(dialog);
    dialog->settle();
    auto& picker = dialog->picker();
    // Off the card at first: a frame is drawn on it with the mouse.
    const auto from = picker.placeOf(0.25, 0.35).toPoint(),
               to = picker.placeOf(0.45, 0.65).toPoint();
    QTest::mousePress(&picker, Qt::LeftButton, {}, from);
    QTest::mouseMove(&picker, to);
    QTest::mouseRelease(&picker, Qt::LeftButton, {}, to);
    dialog->settle();
    EXPECT_NEAR(picker.area().x, 0.25, 0.01);
    EXPECT_NEAR(picker.area().width, 0.2, 0.01);
    // By key: to the right, and wider.
    QTest::keyClick(&picker, Qt::Key_Right);
    QTest::keyClick(&picker, Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(picker.area().x, 0.26, 0.011);
    EXPECT_NEAR(picker.area().width, 0.21, 0.011);
    dialog->settle();
    ASSERT_EQ(dialog->readings().size(), 15u)
        << dialog->findChild<QLabel*>(QStringLiteral("series-found"))->text().toStdString();
    EXPECT_EQ(dialog->readings()[6].stops, Stops(0));
    dialog->findChild<QPushButton*>(QStringLiteral("series-take"))->click();
    ASSERT_TRUE(view().fitted()) << view().finding().toStdString();
    ASSERT_TRUE(view().fitted()->clip[1]);
    EXPECT_NEAR(view().fitted()->clip[1]->value(), at().sensorClip.value(), 0.5)
        << "whole stops do not tell it closer";
    EXPECT_LT(view().fitted()->rms.value(), 2.0 / 1023);
}

// A body a stop brighter than its curve says: known only where one exposure is.
TEST_F(SeriesFromClips, WhatNobodyToldIsRelativeAndWhatOneExposureWasTellsTheShift) {
    const auto& curve = findProfile(window->document().shoot().kit, setup().profile)->curve;
    QStringList stills;
    for (int i = 0; i < 13; ++i) { // 0.7 stop apart, from -5
        const double given = -5 + 0.7 * i;
        const double signal = encode(curve, linearAt(Stops(given + 1))).value();
        Image picture(PictureSize{64, 36});
        for (auto& plane : picture.plane)
            std::fill(plane.begin(), plane.end(), static_cast<float>(signal));
        const QString path = file(qPrintable(QStringLiteral("b%1.png").arg(i + 10)));
        ASSERT_TRUE(io::writePicture(picture, path.toStdString(), true));
        stills << path;
    }
    auto* dialog = view().readClips(stills);
    dialog->settle();
    auto* steps = dialog->findChild<QComboBox*>(QStringLiteral("series-steps"));
    steps->setCurrentIndex(steps->count() - 1);
    const auto type = [&](const char* name, const char* text) {
        auto* edit = dialog->findChild<QLineEdit*>(QString::fromLatin1(name));
        edit->setFocus();
        edit->selectAll();
        QTest::keyClicks(edit, QString::fromLatin1(text));
        QTest::keyClick(edit, Qt::Key_Return);
    };
    type("series-typed", "0.7");
    EXPECT_TRUE(dialog->isRelative());
    auto* found = dialog->findChild<QLabel*>(QStringLiteral("series-found"));
    EXPECT_TRUE(found->text().contains(QStringLiteral("Relative only")))
        << found->text().toStdString();
    ASSERT_EQ(dialog->readings().size(), 13u);
    dialog->findChild<QPushButton*>(QStringLiteral("series-take"))->click();
    ASSERT_TRUE(view().fitted()) << view().finding().toStdString();
    EXPECT_TRUE(view().finding().contains(QStringLiteral("Relative only")));
    EXPECT_FALSE(view().finding().contains(QStringLiteral("stop from nominal")));
    // The nominal place is kept: the fitted curve is the nominal one.
    for (const double stop : {-2.0, 0.0, 2.0})
        EXPECT_NEAR(encode(view().fitted()->curve, linearAt(Stops(stop))).value(),
                    encode(curve, linearAt(Stops(stop))).value(), 3.0 / 1023);
    QTest::qWait(1);
    // The eighth was -5 + 7 x 0.7 = -0.1 by the meter.
    auto* again = view().readClips(stills);
    again->settle();
    again->findChild<QComboBox*>(QStringLiteral("series-steps"))->setCurrentIndex(4);
    dialog = again;
    type("series-typed", "0.7");
    again->findChild<QSpinBox*>(QStringLiteral("series-which"))->setValue(8);
    type("series-known", "-0.1");
    EXPECT_FALSE(again->isRelative());
    again->findChild<QPushButton*>(QStringLiteral("series-take"))->click();
    ASSERT_TRUE(view().fitted()) << view().finding().toStdString();
    EXPECT_NEAR(view().fitted()->shift.value(), 1.0, 0.05) << view().finding().toStdString();
}

// Stills a stop apart, of even grey as the setup's own curve records it, ended where its sensor is
// full.
TEST_F(SeriesFromClips, StillsOfASeriesAreReadAsExposures) {
    const auto& curve = findProfile(window->document().shoot().kit, setup().profile)->curve;
    QStringList stills;
    for (int stop = -6; stop <= 8; ++stop) {
        const auto light = linearAt(std::min(Stops(stop), at().sensorClip));
        const double signal = encode(curve, light).value();
        Image picture(PictureSize{64, 36});
        for (auto& plane : picture.plane)
            std::fill(plane.begin(), plane.end(), static_cast<float>(signal));
        const QString path = file(qPrintable(QStringLiteral("e%1.png").arg(stop + 10)));
        ASSERT_TRUE(io::writePicture(picture, path.toStdString(), true));
        stills << path;
    }
    auto* dialog = view().readClips(stills);
    ASSERT_TRUE(dialog);
    dialog->settle();
    ASSERT_EQ(dialog->readings().size(), 15u)
        << dialog->findChild<QLabel*>(QStringLiteral("series-found"))->text().toStdString();
    for (const auto& reading : dialog->readings())
        if (reading.stops < Stops(5))
            EXPECT_NEAR(reading.rgb[1].value(), encode(curve, linearAt(reading.stops)).value(),
                        1.0 / 1023)
                << reading.stops.value();
    dialog->findChild<QPushButton*>(QStringLiteral("series-take"))->click();
    ASSERT_TRUE(view().fitted()) << view().finding().toStdString();
    EXPECT_LT(view().fitted()->rms.value(), 2.0 / 1023);
    // Light as numbers holds no codes.
    Image light(PictureSize{16, 16});
    ASSERT_TRUE(io::writePicture(light, file("light.exr").toStdString(), true));
    auto* refused = view().readClips({file("light.exr")});
    refused->settle();
    EXPECT_TRUE(refused->findChild<QLabel*>(QStringLiteral("series-found"))
                    ->text()
                    .contains(QStringLiteral("recorded codes")));
    refused->reject();
}

TEST_F(SeriesFromClips, WhatIsNoSeriesIsToldAndCannotBeTaken) {
    sample::spit(file("text.mov").toStdString(), "no clip");
    auto* dialog = view().readClips({file("text.mov")});
    ASSERT_TRUE(dialog);
    dialog->settle();
    const auto said = dialog->findChild<QLabel*>(QStringLiteral("series-found"))->text();
    EXPECT_TRUE(said.contains(QStringLiteral("text.mov"))) << said.toStdString();
    EXPECT_FALSE(dialog->findChild<QPushButton*>(QStringLiteral("series-take"))->isEnabled());
    QTest::keyClick(dialog, Qt::Key_Escape);
    EXPECT_FALSE(view().readClips({})) << "nothing was chosen";
}

} // namespace
} // namespace bslate::app
