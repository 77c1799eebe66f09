// The Record step in the real window: moving, choosing, opening what is closed, comparing.
#include "app/document/text.h"
#include "app/views/compare/compare_dialog.h"
#include "app/views/record/lattice_canvas.h"
#include "app/views/record/record_view.h"
#include "app/window_fixture.h"

#include <QAccessible>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

namespace bslate::app {
namespace {

class RecordStep : public WindowTest {
protected:
    void SetUp() override { window->showView("record"); }
    LatticeCanvas& lattice() { return window->view<RecordView>().lattice(); }
    void press(Qt::Key code) { QTest::keyClick(&lattice(), code); }
    void click(const char* mode, FrameRate rate) {
        QTest::mouseClick(&lattice(), Qt::LeftButton, {},
                          lattice().boxOf(mode, rate).center().toPoint());
    }
    QString text(const char* label) {
        return window->findChild<QLabel*>(QString::fromLatin1(label))->text();
    }
    QPushButton* button(const char* name) {
        return window->findChild<QPushButton*>(QString::fromLatin1(name));
    }
};

FrameRate fps(int n) {
    return {Rational(n, 1)};
}

TEST_F(RecordStep, TheCursorStartsAtWhatIsRecordedAndMovingChangesNothing) {
    ASSERT_NE(lattice().cursor(), nullptr);
    EXPECT_EQ(lattice().cursor()->mode->id, "uhd-intra");
    const auto before = window->document().value();
    press(Qt::Key_Right);
    press(Qt::Key_Down);
    EXPECT_EQ(lattice().cursor()->mode->id, "uhd-long");
    EXPECT_EQ(lattice().cursor()->rate, fps(25));
    EXPECT_EQ(window->document().value(), before);
    EXPECT_TRUE(text("cell-changes").contains(QStringLiteral("142 Mb/s")))
        << text("cell-changes").toStdString();
}

// At 1280 x 780 the words about a way with many consequences take a line from the lattice.
TEST_F(RecordStep, TheCursorStaysInViewWhenTheDetailGrows) {
    window->resize(1280, 780);
    for (int row = 0; row < 9; ++row) {
        press(Qt::Key_Down);
        press(row % 2 ? Qt::Key_Left : Qt::Key_Right);
        QApplication::processEvents();
        const auto* cell = lattice().cursor();
        ASSERT_NE(cell, nullptr);
        const QRect box = lattice().boxOf(cell->mode->id, cell->rate).toAlignedRect();
        EXPECT_TRUE(lattice().visibleRegion().boundingRect().contains(box))
            << cell->mode->id << ", row " << row;
    }
}

TEST_F(RecordStep, ReturnRecordsThisWayPaysAndIsUndone) {
    const auto before = *window->document().setup();
    click("uhd-intra", fps(48));
    EXPECT_TRUE(text("cell-changes").contains(QStringLiteral("480 Mb/s")));
    press(Qt::Key_Return);
    const auto& after = *window->document().setup();
    EXPECT_EQ(after.rate, fps(48));
    EXPECT_EQ(after.shutter, before.shutter) << "an angle stays an angle";
    EXPECT_EQ(window->document().undoStack().undoText(), QStringLiteral("Record UHD intra at 48"));
    window->document().undoStack().undo();
    EXPECT_EQ(*window->document().setup(), before);
}

TEST_F(RecordStep, AClosedCellSaysWhyAndReturnDoesNotTakeIt) {
    click("6k-raw", fps(120));
    EXPECT_EQ(text("cell-words"), QStringLiteral("Full sensor reads 59.94 a second at most."));
    const auto before = window->document().value();
    press(Qt::Key_Return);
    EXPECT_EQ(window->document().value(), before);
    EXPECT_FALSE(button("cell-choose")->isVisible());
    ASSERT_TRUE(button("opening-0")->isVisible());
    EXPECT_TRUE(button("opening-0")->text().startsWith(QStringLiteral("Nearest open")));
}

TEST_F(RecordStep, TheSmallestChangeOpensAClosedCell) {
    click("uhd-raw", fps(120));
    EXPECT_TRUE(text("cell-words").contains(QStringLiteral("draws more than the battery")));
    EXPECT_EQ(button("opening-0")->text(), QStringLiteral("Plug in external power"));
    QTest::keyClick(&window->view<RecordView>(), Qt::Key_W);
    const auto& setup = *window->document().setup();
    EXPECT_EQ(setup.mode, "uhd-raw");
    EXPECT_EQ(setup.rate, fps(120));
    EXPECT_TRUE(setup.externalPower);
    EXPECT_EQ(window->document().verdict()->find("mode-excluded"), nullptr);
}

TEST_F(RecordStep, LayersShowOneAreaAndOnlyOpenHidesTheRest) {
    EXPECT_FALSE(lattice().boxOf("uhd-intra", fps(24)).isEmpty());
    press(Qt::Key_L);
    EXPECT_EQ(lattice().layer(), "full");
    EXPECT_TRUE(lattice().boxOf("uhd-intra-centre", fps(120)).isEmpty());
    press(Qt::Key_L);
    EXPECT_EQ(lattice().layer(), "centre");
    EXPECT_TRUE(lattice().boxOf("uhd-intra", fps(24)).isEmpty());
    press(Qt::Key_L);
    EXPECT_TRUE(lattice().layer().empty());
    choose("6A");
    EXPECT_FALSE(lattice().boxOf("uhd", fps(25)).isEmpty());
    press(Qt::Key_F);
    EXPECT_TRUE(button("only-open")->isChecked());
    for (const auto* cell = lattice().cursor(); cell && !cell->available();)
        FAIL() << "a closed cell is shown";
}

TEST_F(RecordStep, TheCellIsReadOutInWords) {
    click("uhd-intra", fps(50));
    auto* access = QAccessible::queryAccessibleInterface(&lattice());
    const QString value = access->text(QAccessible::Value);
    EXPECT_TRUE(value.contains(QStringLiteral("UHD intra at 50"))) << value.toStdString();
    EXPECT_TRUE(value.contains(QStringLiteral("restarts the body")));
}

TEST_F(RecordStep, AnEmptyShootAndASetupWithoutACameraSaySo) {
    window->actionsOnShoot().changeSetup(QStringLiteral("x"),
                                         [](bslate::Setup& setup) { setup.camera = "gone"; });
    EXPECT_EQ(lattice().cursor(), nullptr);
    EXPECT_TRUE(text("cell-title").contains(QStringLiteral("Ctrl+E")));
    window->document().reset({}, {});
    press(Qt::Key_Return);
    EXPECT_EQ(lattice().cursor(), nullptr);
}

TEST_F(RecordStep, CompareListsDifferencesFirst) {
    choose("4A");
    QTest::keyClick(&window->view<RecordView>(), Qt::Key_C);
    auto* dialog = window->findChild<CompareDialog*>();
    ASSERT_NE(dialog, nullptr);
    auto* table = dialog->findChild<QTableWidget*>();
    ASSERT_GT(table->rowCount(), 20);
    bool same = false;
    for (int row = 0; row < table->rowCount(); ++row) {
        const bool differs = table->item(row, 1)->text() != table->item(row, 2)->text();
        EXPECT_FALSE(same && differs) << "row " << row;
        same = same || !differs;
    }
    EXPECT_EQ(table->horizontalHeaderItem(2)->text(), QStringLiteral("4B  Interview, B"));
    dialog->close();
}

} // namespace
} // namespace bslate::app
