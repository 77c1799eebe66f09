// A canvas of items by itself: what arrows, mouse and assistive technology do with it, and what
// the keys of a table say and do.
#include "app/document/text.h"
#include "app/widgets/pick_canvas.h"
#include "app/window_fixture.h"

#include <QSignalSpy>

namespace bslate::app {
namespace {

// Five boxes in rows of three, 40 apart.
class Boxes : public PickCanvas {
public:
    Boxes(const Style& style, Order order, Click click)
        : PickCanvas(style, "boxes", order, click, {QT_TRANSLATE_NOOP("Help", "go"), "go"},
                     nullptr) {
        addPick({Qt::Key_Return}, "take it", "take");
        resize(120, 80);
        itemsChanged(0);
    }
    int count = 5;
    int itemCount() const override { return count; }
    QRectF itemBox(int item) const override { return QRect(item % 3 * 40, item / 3 * 40, 30, 30); }
    QString itemWords(int item) const override { return QStringLiteral("box %1").arg(item); }
    QString emptyWords() const override { return QStringLiteral("none"); }
    int columns() const override { return 3; }
    using PickCanvas::itemsChanged;
};

class PickCanvasTest : public testing::Test {
protected:
    Style style;
    int after(Boxes& boxes, Qt::Key key) {
        QTest::keyClick(&boxes, key);
        return boxes.current();
    }
};

TEST_F(PickCanvasTest, ArrowsGoAlongAndToTheNearest) {
    Boxes across(style, PickCanvas::Order::Across, PickCanvas::Click::Moves);
    EXPECT_EQ(after(across, Qt::Key_Up), 0); // there is none above
    EXPECT_EQ(after(across, Qt::Key_Right), 1);
    EXPECT_EQ(after(across, Qt::Key_Down), 4);
    EXPECT_EQ(after(across, Qt::Key_Right), 4);
    EXPECT_EQ(after(across, Qt::Key_Left), 3);
    EXPECT_EQ(after(across, Qt::Key_Left), 2); // the end of the row above
    EXPECT_EQ(after(across, Qt::Key_Down), 4); // nearest to what is not there
    EXPECT_EQ(after(across, Qt::Key_Home), 0);
    EXPECT_EQ(after(across, Qt::Key_End), 4);
    across.count = 2; // what was current is gone
    across.itemsChanged(across.current());
    EXPECT_EQ(across.current(), 1);
}

TEST_F(PickCanvasTest, AGridKeepsRowAndColumn) {
    Boxes grid(style, PickCanvas::Order::Grid, PickCanvas::Click::Moves);
    grid.count = 6;
    EXPECT_EQ(after(grid, Qt::Key_End), 2);
    EXPECT_EQ(after(grid, Qt::Key_Right), 2); // not into the next row
    EXPECT_EQ(after(grid, Qt::Key_PageDown), 5);
    EXPECT_EQ(after(grid, Qt::Key_Home), 3);
    EXPECT_EQ(after(grid, Qt::Key_Up), 0);
}

TEST_F(PickCanvasTest, WhatPicksAndWhatOnlyMoves) {
    Boxes moves(style, PickCanvas::Order::Across, PickCanvas::Click::Moves);
    Boxes picks(style, PickCanvas::Order::Across, PickCanvas::Click::Picks);
    for (auto* boxes : {&moves, &picks}) {
        QSignalSpy picked(boxes, &PickCanvas::picked);
        QTest::mouseClick(boxes, Qt::LeftButton, {}, QPoint(50, 10));
        EXPECT_EQ(boxes->current(), 1);
        EXPECT_EQ(picked.count(), boxes == &picks ? 1 : 0);
        QTest::mouseClick(boxes, Qt::LeftButton, {}, QPoint(35, 10)); // between two
        EXPECT_EQ(boxes->current(), 1);
        after(*boxes, Qt::Key_Enter);
        EXPECT_EQ(picked.count(), boxes == &picks ? 2 : 1);
        boxes->count = 0;
        boxes->itemsChanged(0);
        after(*boxes, Qt::Key_Return);
        EXPECT_EQ(picked.count(), boxes == &picks ? 2 : 1) << "nothing is there to pick";
    }
}

TEST_F(PickCanvasTest, ItemsAreChildrenForAssistiveTechnology) {
    Boxes boxes(style, PickCanvas::Order::Across, PickCanvas::Click::Moves);
    auto* access = QAccessible::queryAccessibleInterface(&boxes);
    ASSERT_NE(access, nullptr);
    ASSERT_EQ(access->childCount(), 5);
    boxes.setCurrent(3);
    EXPECT_EQ(access->text(QAccessible::Value), "box 3");
    auto* item = access->child(3);
    EXPECT_EQ(item->text(QAccessible::Name), "box 3");
    EXPECT_TRUE(item->state().selected);
    EXPECT_FALSE(access->child(2)->state().selected);
    EXPECT_EQ(item->rect().size(), QSize(30, 30));
    const QPoint inside = boxes.mapToGlobal(QPoint(10, 50));
    EXPECT_EQ(access->indexOfChild(access->childAt(inside.x(), inside.y())), 3);
    boxes.count = 3;
    EXPECT_FALSE(item->isValid());
    EXPECT_TRUE(item->text(QAccessible::Name).isEmpty());
}

TEST(KeyTableTest, OneTableAnswersAndIsRead) {
    QStringList done;
    const auto act = [&](const char* what) {
        return [&done, what] { done << QLatin1String(what); };
    };
    bool open = true;
    KeyTable part;
    part.add({{Qt::Key_Left, act("left")}, {Qt::Key_Right, act("right")}}, "move", "moves");
    KeyTable keys;
    keys.onlyWhile([&] { return open; });
    keys.include(part);
    keys.add({{Qt::Key_N, act("n")}, {Qt::SHIFT | Qt::Key_N, act("N")}}, "next", "next");
    keys.add({{Qt::Key_B, [&](bool shift) { done << (shift ? "B" : "b"); }}}, "back");
    keys.add({{Qt::ALT | Qt::Key_Up, act("up")}, {Qt::ALT | Qt::Key_Down, act("down")}}, "raise",
             "raise");
    keys.add({{Qt::Key_X, [] { return false; }}}, "does not answer");
    const auto press = [&](int key, Qt::KeyboardModifiers held = {}) {
        return keys.press(QKeyEvent(QEvent::KeyPress, key, held));
    };
    EXPECT_TRUE(press(Qt::Key_N));
    EXPECT_TRUE(press(Qt::Key_N, Qt::ShiftModifier));
    EXPECT_TRUE(press(Qt::Key_B, Qt::ShiftModifier));
    EXPECT_TRUE(press(Qt::Key_Up, Qt::AltModifier | Qt::KeypadModifier));
    EXPECT_FALSE(press(Qt::Key_N, Qt::ControlModifier));
    EXPECT_FALSE(press(Qt::Key_Left)) << "a part answers by itself";
    EXPECT_FALSE(press(Qt::Key_X));
    open = false;
    EXPECT_FALSE(press(Qt::Key_N));
    EXPECT_EQ(done, (QStringList{"n", "N", "B", "up"}));
    EXPECT_EQ(fromQt(keys.hint()), fromQt(QStringLiteral("\u25c2 \u25b8 moves   N next   "
                                                         "Alt+\u25b4 \u25be raise")));
    QStringList sheet;
    for (const auto& line : keys.lines())
        sheet << line.keys + QStringLiteral(": ") + line.what;
    EXPECT_EQ(sheet, (QStringList{"Left, Right: move", "N, Shift+N: next", "B: back",
                                  "Alt+Up, Alt+Down: raise", "X: does not answer"}));
}

} // namespace
} // namespace bslate::app
