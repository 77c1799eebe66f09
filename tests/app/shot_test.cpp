// Rendering the views without a display, as ./demo --shot does.
#include "app/shell/shot.h"
#include "app/shell/timing.h"
#include "app/views/brief/scene_picture.h"
#include "app/window_fixture.h"

#include <QImage>

#include <sstream>

namespace bslate::app {
namespace {

using Shots = WindowTest;

TEST_F(Shots, EveryPageAndSheetIsWritten) {
    const auto pages = window->pageNames();
    ASSERT_GE(pages.size(), 8);
    QImage last;
    for (const auto& view : viewNames(*window)) {
        const auto path = file(qPrintable(view)) + ".png";
        ASSERT_TRUE(takeShot(*window, {path, view, QSize(1280, 800)})) << view.toStdString();
        const QImage image(path);
        if (pages.contains(view))
            EXPECT_EQ(image.size(), QSize(1280, 800)) << view.toStdString();
        EXPECT_GT(image.height(), 300) << view.toStdString();
        EXPECT_NE(image, last) << view.toStdString();
        last = image;
    }
    std::ostringstream list;
    listShots(*window, list);
    for (const auto& page : pages)
        EXPECT_NE(list.str().find("\t" + page.toStdString() + "\t"), std::string::npos)
            << page.toStdString() << " has no picture in the documentation";
}

TEST_F(Shots, UnknownViewsAndPlacesAreRefused) {
    EXPECT_FALSE(takeShot(*window, {file("a.png"), "sky", QSize(1280, 800)}));
    EXPECT_FALSE(takeShot(*window, {file("nowhere/a.png"), "light", QSize(1280, 800)}));
}

TEST_F(Shots, TimingADragLeavesOneUndoStep) {
    timeDrag(*window, 20);
    EXPECT_LE(window->document().undoStack().count(), 1);
}

TEST_F(Shots, PatchesMoveOnTheScenePictureToo) {
    window->showView("brief");
    auto* picture = window->findChild<ScenePicture*>();
    PatchHandle* sky = nullptr;
    for (auto* candidate : picture->findChildren<PatchHandle*>())
        if (candidate->id() == "sky" && candidate->isVisible())
            sky = candidate;
    ASSERT_NE(sky, nullptr);
    const double before = patch("sky").luminance.value();
    QTest::keyClick(sky, Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(patch("sky").luminance.value() / before, std::exp2(1.0 / 3), 0.01);
    EXPECT_EQ(window->document().undoStack().undoText(), "Move Sky in the doorway");
    QTest::mousePress(sky, Qt::LeftButton, {}, sky->rect().center());
    for (int i = 0; i < 8; ++i)
        QTest::mouseMove(sky, sky->rect().center() - QPoint(6, 0));
    QTest::mouseRelease(sky, Qt::LeftButton);
    EXPECT_LT(patch("sky").luminance.value(), before);
    EXPECT_EQ(window->document().undoStack().count(), 2);
}

} // namespace
} // namespace bslate::app
