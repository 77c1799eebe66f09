// The Frame step by hand: stages, split, zebra, another setup beside this one.
#include "app/shell/finding_row.h"
#include "app/shell/verdict_panel.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"
#include "app/window_fixture.h"
#include "core/facts/evaluate.h"
#include "support/temporary_folder.h"

#include <QClipboard>
#include <QComboBox>
#include <QDropEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMimeData>
#include <QPushButton>
#include <QThread>

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
    const auto before = view().images()->look[4];
    choose("3A");
    settle();
    EXPECT_EQ(view().images()->number, QStringLiteral("3A"));
    EXPECT_NE(view().images()->look[4], before);
    // An edit draws it again.
    const auto bright = view().images()->instruments.lumaSum;
    auto shoot = window->document().shoot();
    findSetup(shoot, setup().id)->iris = TStop(4 * setup().iris.value());
    ASSERT_TRUE(window->document().edit(QStringLiteral("Test"), std::move(shoot)));
    settle();
    EXPECT_LT(view().images()->instruments.lumaSum, 0.9 * bright);
}

TEST_F(FrameStep, KeysTurnStagesMarksAndTheSplit) {
    EXPECT_EQ(chosen("frame-left"), 0);
    EXPECT_EQ(chosen("frame-right"), 4);
    press(Qt::Key_V, Qt::ShiftModifier);
    EXPECT_EQ(chosen("frame-left"), 1);
    press(Qt::Key_V);
    EXPECT_EQ(chosen("frame-right"), 5) << "stops";
    press(Qt::Key_F);
    EXPECT_EQ(chosen("frame-right"), 4);
    press(Qt::Key_F);
    EXPECT_EQ(chosen("frame-right"), 5);
    press(Qt::Key_V);
    EXPECT_EQ(chosen("frame-right"), 0) << "round";
    press(Qt::Key_V, Qt::ShiftModifier);
    const auto lost = shown();                    // of any channel
    for (int channel = 0; channel < 4; ++channel) // of each, then nothing is marked
        press(Qt::Key_C);
    EXPECT_NE(shown(), lost);
    for (const auto mark : {Qt::Key_P, Qt::Key_Z, Qt::Key_Z, Qt::Key_Z}) {
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
    EXPECT_TRUE(QApplication::clipboard()->text().contains(QStringLiteral("grade to light 4")))
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

TEST_F(FrameStep, AStillIsMeasuredAndItsReadingsAreTakenOver) {
    view().setAskForFile([] { return QStringLiteral(BSLATE_ROOT "/data/demo/step-wedge.png"); });
    press(Qt::Key_O);
    view().settle(); // it is read
    view().settle(); // and measured
    ASSERT_TRUE(view().images());
    EXPECT_EQ(view().images()->still, QStringLiteral("step-wedge.png")) << said();
    const auto reads = [&](const char* id) {
        for (const auto& patch : view().images()->patches)
            if (patch.id == id)
                return patch;
        ADD_FAILURE() << id;
        return FoundPatch{};
    };
    auto& picture = view().picture();
    const auto box = picture.frameBox();
    const auto pixel = [&](double x, double y) {
        return QPointF(box.left() + x * box.width(), box.top() + y * box.height()).toPoint();
    };
    const auto grey = reads("grey");
    const auto from = pixel(grey.area.x + grey.area.width / 2, grey.area.y + grey.area.height / 2);
    const auto to = pixel(0.5, 0.5); // the middle step, code 128 of 255
    QTest::mousePress(&picture, Qt::LeftButton, {}, from);
    QTest::mouseMove(&picture, to);
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, to);
    settle();
    // Full range of the log profile: 128 / 255 of its signal, which is 0.5020.
    const auto curve = findProfile(window->document().shoot().kit, "tarn-log")->curve;
    EXPECT_NEAR(reads("grey").foundStops.value(),
                stopsOf(decode(curve, Signal(128 / 255.0))).value(), 0.02);
    const auto planned = reads("grey");
    const auto before = patch("grey").luminance.value();
    press(Qt::Key_T);
    EXPECT_NEAR(std::log2(patch("grey").luminance.value() / before),
                (planned.foundStops - planned.plannedStops).value(), 0.02);
    press(Qt::Key_Escape);
    settle();
    EXPECT_TRUE(view().images()->still.isEmpty());
    press(Qt::Key_T);
    EXPECT_NE(said().find("O opens one"), std::string::npos) << said();
    view().setAskForFile([] { return QStringLiteral(BSLATE_ROOT "/README.md"); });
    press(Qt::Key_O);
    settle();
    EXPECT_NE(said().find("README.md"), std::string::npos) << said();
    EXPECT_TRUE(view().images()) << "the drawn picture is back";
}

// The reader has ended and its result is under way when Escape comes.
class FrameReader : public FrameStep {};

TEST_F(FrameReader, AStillThatIsClosedWhileItIsReadStaysClosed) {
    const QString wedge = QStringLiteral(BSLATE_ROOT "/data/demo/step-wedge.png");
    for (const int head : {0, 50}) {
        view().openStill(wedge);
        QThread::msleep(static_cast<unsigned long>(head));
        press(Qt::Key_Escape);
        view().openStill(wedge);
        QThread::msleep(static_cast<unsigned long>(head));
        view().closeStill();
        settle();
        ASSERT_TRUE(view().images());
        EXPECT_TRUE(view().images()->still.isEmpty());
        EXPECT_EQ(chosen("frame-left"), static_cast<int>(FrameLook::Light));
    }
}

// What keys do is done by mouse too, and shows what is on.
TEST_F(FrameStep, ToolsPressTheKeys) {
    const auto tool = [&](const char* name) {
        return view().findChild<QPushButton*>(QStringLiteral("frame-tool-") + QLatin1String(name));
    };
    EXPECT_TRUE(tool("lost")->isChecked());
    for (const auto* channel : {"red", "green", "blue"}) {
        const auto was = shown();
        tool("lost")->click();
        EXPECT_TRUE(tool("lost")->text().contains(QLatin1String(channel)));
        // Under the hopper it is blue alone that drowns.
        if (QLatin1String(channel) == QLatin1String("blue"))
            EXPECT_NE(shown(), was);
    }
    tool("lost")->click();
    EXPECT_FALSE(tool("lost")->isChecked());
    for (const auto* name :
         {"zebra", "bands", "patches", "channels", "grade", "encoder", "noise"}) {
        const bool was = tool(name)->isChecked();
        tool(name)->click();
        EXPECT_NE(tool(name)->isChecked(), was) << name;
        settle();
    }
    press(Qt::Key_N);
    EXPECT_TRUE(tool("noise")->isChecked()) << "the key shows there as well";
    // Where one row is too narrow the rest stands in a second one, each as wide as its text.
    auto* tools = view().findChild<QWidget*>(QStringLiteral("frame-tools"));
    tools->setFixedWidth(420);
    EXPECT_TRUE(QTest::qWaitFor([&] { return tool("still")->y() > tool("lost")->y(); }));
    EXPECT_GE(tool("lost")->width(), tool("lost")->sizeHint().width());
    EXPECT_FALSE(tool("readings")->isVisible()) << "there is no still";
}

TEST_F(FrameStep, ASpotReadsAnywhereAndPatchesAreStretched) {
    press(Qt::Key_X);
    auto& picture = view().picture();
    ASSERT_TRUE(picture.spot());
    // On the grey card it reads what the card's ring does.
    const auto& images = *view().images();
    const auto card = std::find_if(images.patches.begin(), images.patches.end(),
                                   [](const FoundPatch& one) { return one.id == "grey"; });
    ASSERT_NE(card, images.patches.end());
    const QPointF centre(card->area.x + card->area.width / 2, card->area.y + card->area.height / 2);
    picture.setSpot(centre);
    const auto read = spotIn(images, centre.x(), centre.y());
    EXPECT_NEAR(read.level.value(), card->found.value(), 1.5);
    EXPECT_NEAR(read.stops.value(), card->foundStops.value(), 0.1);
    ASSERT_TRUE(read.light);
    const auto* patch = findPatch(*window->document().scene(), "grey");
    const auto context = resolve(window->document().shoot(), setup());
    const auto placed = evaluate(*context);
    const auto at = std::find_if(placed.patches.begin(), placed.patches.end(),
                                 [](const auto& one) { return one.id == "grey"; });
    EXPECT_NEAR(read.light->value() / at->luminance.value(), 1, 0.05) << patch->name;
    EXPECT_TRUE(picture.spotText().contains(QStringLiteral("R ")))
        << picture.spotText().toStdString();
    press(Qt::Key_Right, Qt::AltModifier);
    EXPECT_NEAR(picture.spot()->x(), centre.x() + 0.01, 1e-9);
    // Dragged by mouse.
    const auto pointOf = [&](QPointF share) {
        const auto box = picture.frameBox();
        return QPoint(static_cast<int>(box.left() + share.x() * box.width()),
                      static_cast<int>(box.top() + share.y() * box.height()));
    };
    QTest::mousePress(&picture, Qt::LeftButton, {}, pointOf(*picture.spot()));
    QTest::mouseMove(&picture, pointOf({0.8, 0.2}));
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, pointOf({0.8, 0.2}));
    EXPECT_NEAR(picture.spot()->x(), 0.8, 0.02);
    press(Qt::Key_X);
    EXPECT_FALSE(picture.spot());
    // A patch that is held is stretched by key, and given its place back by undo.
    press(Qt::Key_J);
    press(Qt::Key_Right, Qt::AltModifier | Qt::ShiftModifier);
    settle();
    const auto& patches = window->document().scene()->patches;
    const auto stretched = std::find_if(patches.begin(), patches.end(),
                                        [](const Patch& one) { return one.place.has_value(); });
    ASSERT_NE(stretched, patches.end());
    const double wide = stretched->place->width;
    const auto id = stretched->id;
    // And by its corner.
    const QPointF corner(stretched->place->x + wide,
                         stretched->place->y + stretched->place->height);
    QTest::mousePress(&picture, Qt::LeftButton, {}, pointOf(corner));
    QTest::mouseMove(&picture, pointOf(corner - QPointF(0.05, 0.04)));
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, pointOf(corner - QPointF(0.05, 0.04)));
    EXPECT_NEAR(findPatch(*window->document().scene(), id)->place->width, wide - 0.05, 0.01);
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    EXPECT_FALSE(findPatch(*window->document().scene(), id)->place);
}

TEST_F(FrameStep, ADroppedStillOpensHereInTheRangeThatIsChosen) {
    window->showView("light");
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(
        QString::fromStdString((sample::root() / "data/demo/step-wedge.png").string()))});
    QDragEnterEvent entering(QPoint(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
    QApplication::sendEvent(window.get(), &entering);
    QDropEvent event(QPointF(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
    QApplication::sendEvent(window.get(), &event);
    settle();
    settle();
    ASSERT_TRUE(view().images());
    EXPECT_EQ(view().images()->still, QStringLiteral("step-wedge.png")) << said();
    auto* range = view().findChild<QComboBox*>(QStringLiteral("frame-range"));
    EXPECT_TRUE(range->isVisible());
    const auto full = view().images()->patches;
    range->setCurrentIndex(1);
    emit range->activated(1);
    settle();
    EXPECT_NE(view().images()->patches, full);
    EXPECT_FALSE(window->document().undoStack().canUndo()) << "nothing was opened in its place";
    view().findChild<QPushButton*>(QStringLiteral("frame-tool-close"))->click();
    settle();
    EXPECT_TRUE(view().images()->still.isEmpty());
    EXPECT_FALSE(range->isVisible());
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

TEST_F(FrameStep, TheEncoderComesAfterAndCanBeLeftOut) {
    ASSERT_TRUE(view().images()->coded) << "2A records with a codec";
    EXPECT_EQ(view().images()->coded->standard, "mezzanine codec");
    // By share of its pixels the mode's 240 Mb/s, which an intra codec keeps to.
    EXPECT_NEAR(view().images()->coded->rate.value(), 240e6, 24e6);
    EXPECT_NE(view().images()->look[3], view().images()->look[2]) << "it takes something";
    press(Qt::Key_E);
    settle();
    EXPECT_FALSE(view().images()->coded);
    press(Qt::Key_N);
    settle();
    const auto quiet = view().images()->look[2];
    press(Qt::Key_N);
    settle();
    EXPECT_NE(view().images()->look[2], quiet);
    press(Qt::Key_E);
    settle();
    EXPECT_TRUE(view().images()->coded);
}

TEST_F(FrameStep, WhatTheFrameSaysStandsInTheVerdictWhileItIsInView) {
    const auto& found = view().images()->findings;
    const auto clips = std::find_if(found.begin(), found.end(), [](const Finding& one) {
        return one.id == FindingId::FrameClips;
    });
    ASSERT_NE(clips, found.end()) << "the sky in the doorway";
    const auto tells = [this] {
        const auto rows = window->verdict().rows();
        return std::any_of(rows.begin(), rows.end(), [](const FindingRow* row) {
            const auto labels = row->findChildren<QLabel*>();
            return std::any_of(labels.begin(), labels.end(), [](const QLabel* label) {
                return label->text().contains(QStringLiteral("of the frame"));
            });
        });
    };
    EXPECT_TRUE(tells());
    window->showStep(4);
    EXPECT_FALSE(tells());
    window->showStep(8);
    settle();
    EXPECT_TRUE(tells());
    choose("1A");
    EXPECT_FALSE(tells()) << "of another setup";
}

TEST_F(FrameStep, APushAndAnotherWayAreSeenBesideIt) {
    view().setCodec(false);
    settle();
    const auto plain = view().images()->look[4];
    press(Qt::Key_U);
    settle();
    EXPECT_EQ(view().images()->push, QStringLiteral("lift 3"));
    EXPECT_NE(view().images()->look[4], plain);
    auto* push = view().findChild<QLineEdit*>(QStringLiteral("frame-push"));
    const auto type = [&](const char* text) {
        push->setFocus();
        push->selectAll();
        QTest::keyClick(push, Qt::Key_Delete);
        QTest::keyClicks(push, QString::fromLatin1(text));
        QTest::keyClick(push, Qt::Key_Return);
        settle();
    };
    type("pull 2 cool 50");
    EXPECT_EQ(view().images()->push, QStringLiteral("pull 2 cool 50"));
    type("lift lots");
    EXPECT_EQ(view().images()->push, QStringLiteral("pull 2 cool 50")) << "the old one stays";
    type("");
    EXPECT_EQ(view().images()->look[4], plain);
    auto* beside = window->findChild<QComboBox*>(QStringLiteral("frame-beside"));
    for (const char* way : {"school:guard", "depth:8", "profile:hlg", "setup:s1a"})
        EXPECT_GE(beside->findData(QString::fromLatin1(way)), 1) << way;
    const auto alone = shown();
    for (int i = 1; i <= 2; ++i) {
        press(Qt::Key_K);
        settle();
        EXPECT_EQ(beside->currentIndex(), i);
        EXPECT_NE(shown(), alone);
    }
    press(Qt::Key_K, Qt::ShiftModifier);
    EXPECT_EQ(beside->currentIndex(), 1);
}

TEST_F(FrameStep, PatchesAreGivenAPlaceByHandAndByKey) {
    view().setCodec(false);
    settle();
    const auto area = [this](const char* name) {
        for (const auto& patch : view().images()->patches)
            if (patch.name == name)
                return patch.area;
        return PictureArea{};
    };
    const auto place = [this] { return findPatch(*window->document().scene(), "grey")->place; };
    ASSERT_FALSE(place());
    const QRectF box = view().picture().frameBox();
    const auto at = [&](double x, double y) {
        return QPointF(box.left() + x * box.width(), box.top() + y * box.height()).toPoint();
    };
    const auto card = area("Grey card");
    const QPoint from = at(card.x + card.width / 2, card.y + card.height / 2);
    QTest::mousePress(&view().picture(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&view().picture(), at(0.9, 0.3));
    EXPECT_FALSE(place()) << "not before it is let go";
    QTest::mouseRelease(&view().picture(), Qt::LeftButton, {}, at(0.9, 0.3));
    ASSERT_TRUE(place());
    EXPECT_NEAR(place()->x + place()->width / 2, 0.9, 0.01);
    settle();
    EXPECT_NEAR(area("Grey card").y + area("Grey card").height / 2, 0.3, 0.02);
    press(Qt::Key_Right, Qt::AltModifier); // it is held since it was dragged
    ASSERT_TRUE(place());
    EXPECT_NEAR(place()->x + place()->width / 2, 0.92, 0.01);
    press(Qt::Key_Delete, Qt::AltModifier);
    EXPECT_FALSE(place()) << "where its role belongs";
}

// On Light the scene is seen while something is moved, and not before.
TEST_F(FrameStep, ASmallPictureIsThereWhileLightIsMoved) {
    window->showView("light");
    auto* live = window->findChild<QWidget*>(QStringLiteral("live-picture"));
    ASSERT_TRUE(live);
    EXPECT_FALSE(live->isVisible());
    choose("1A");
    EXPECT_FALSE(live->isVisible()) << "another setup is no move";
    key(Qt::Key_Left);
    ASSERT_TRUE(QTest::qWaitFor([&] { return live->isVisible(); }, 3000));
    const auto darker = live->grab().toImage();
    key(Qt::Key_Right);
    key(Qt::Key_Right);
    EXPECT_TRUE(QTest::qWaitFor([&] { return live->grab().toImage() != darker; }, 3000));
    EXPECT_TRUE(QTest::qWaitFor([&] { return !live->isVisible(); }, 3000)) << "gone again";
}

} // namespace
} // namespace bslate::app
