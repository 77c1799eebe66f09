// A camera of one's own brought in: lines typed and pasted, clips read, a cell typed, taken in one
// step and undone.
#include "app/views/bring/bring_view.h"
#include "app/views/bring/seen_lattice.h"
#include "app/window_fixture.h"
#include "support/media_tool.h"

#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>

namespace bslate::app {
namespace {

class BringPage : public WindowTest {
public:
    BringPage() {
        window->showView("bring");
        QTest::qWait(1);
    }
    BringView& view() { return window->view<BringView>(); }
    [[nodiscard]] const Kit& kit() { return window->document().shoot().kit; }
    [[nodiscard]] QPlainTextEdit* table() {
        return view().findChild<QPlainTextEdit*>(QStringLiteral("mode-table"));
    }
    [[nodiscard]] QString understood(int row) {
        const auto* item = view().findChild<QListWidget*>()->item(row);
        return item ? item->text() : QString();
    }
    QPushButton& button(const char* name) {
        return *view().findChild<QPushButton*>(QString::fromLatin1(name));
    }
    QString clip(const char* name, const std::string& how) {
        const QString path = file(name);
        sample::mediaTool("-v error -f lavfi -i testsrc2=s=320x180:" + how + " " +
                          path.toStdString());
        return path;
    }
};

// Row, rate, cell, line and clip: each undone by the program's own keys, in order, and done again.
TEST_F(BringPage, EveryStepIsUndoneAndDoneAgainInOrder) {
    enterLine("own-add", "UHD H.265 long 10-bit 4:2:0 25@100");
    ASSERT_EQ(view().lattice().modes().size(), 1u) << "without a clip or a line";
    EXPECT_EQ(view().lattice().modes()[0].line.standard, CodecStandard::H265);
    enterLine("own-add", "50");
    view().lattice().setFocus();
    QTest::keyClick(&view().lattice(), Qt::Key_Right);
    ASSERT_EQ(view().lattice().rate(), (FrameRate{Rational(50, 1)}));
    enterLine("own-bit-rate", "150");
    EXPECT_EQ(view().lattice().modes()[0].line.rates.size(), 2u);
    QTest::keyClicks(table(), QStringLiteral("FHD 25p 50 Mbps 8 bit 4:2:0 Long GOP"));
    EXPECT_EQ(view().lattice().modes().size(), 2u);
    view().addClips({clip("a.mov", "r=24:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p")});
    view().settle();
    QTest::qWait(1);
    EXPECT_EQ(view().own().clips.size(), 1u);
    const auto whole = view().own();
    const int documentSteps = window->document().undoStack().count();
    const auto undo = [&](QWidget* from) { QTest::keyClick(from, Qt::Key_Z, Qt::ControlModifier); };
    table()->setFocus();
    undo(table());
    EXPECT_TRUE(view().own().clips.empty()) << "the clip, though the table has the cursor";
    undo(table());
    EXPECT_TRUE(table()->toPlainText().isEmpty()) << "a line is one step";
    undo(&view().lattice());
    EXPECT_EQ(view().lattice().modes()[0].line.rates.size(), 1u);
    EXPECT_EQ(view().own().rates.size(), 1u);
    undo(&view().lattice());
    EXPECT_TRUE(view().own().rates.empty());
    undo(&view().lattice());
    EXPECT_TRUE(view().lattice().modes().empty());
    undo(&view().lattice());
    EXPECT_EQ(view().own(), OwnCamera{}) << "nothing before that";
    for (int i = 0; i < 5; ++i)
        QTest::keyClick(&view().lattice(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(view().own(), whole);
    EXPECT_EQ(window->document().undoStack().count(), documentSteps) << "the shoot is untouched";
    // A clip and a line are taken out singly, by key and by button.
    auto* understood = view().findChild<QListWidget*>(QStringLiteral("understood"));
    understood->setCurrentRow(0);
    QTest::keyClick(understood, Qt::Key_Delete);
    EXPECT_TRUE(view().own().clips.empty());
    EXPECT_FALSE(view().own().table.empty());
    understood->setCurrentRow(0);
    button("own-out").click();
    EXPECT_TRUE(view().own().table.empty());
    undo(&view().lattice());
    undo(&view().lattice());
    EXPECT_EQ(view().own(), whole);
    // Elsewhere the same keys are the document's again.
    window->showView("light");
    EXPECT_EQ(window->undoSteps().activeStack(), &window->document().undoStack());
}

TEST_F(BringPage, LinesBecomeALatticeThatIsTakenInOneStep) {
    EXPECT_FALSE(button("own-take").isEnabled()) << "nothing is there yet";
    QTest::keyClicks(table(), QStringLiteral("UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP"));
    QTest::keyClick(table(), Qt::Key_Return);
    QTest::keyClicks(table(), QStringLiteral("Super UHD 50i 200 Mbps"));
    ASSERT_EQ(view().lattice().modes().size(), 1u);
    EXPECT_EQ(understood(0), QStringLiteral("3840x2160 long 10-bit 4:2:2 25@100"));
    EXPECT_TRUE(understood(1).contains(QStringLiteral("no mode without frame rate")))
        << understood(1).toStdString();
    EXPECT_TRUE(understood(1).contains(QStringLiteral("not understood: Super 50i")));
    // A cell by key: Return asks for its number, a wrong one is refused and the old one stays.
    view().lattice().setFocus();
    QTest::keyClick(&view().lattice(), Qt::Key_Return);
    enterLine("own-bit-rate", "many");
    EXPECT_EQ(view().lattice().modes()[0].line.rates[0].bitRate, DataRate(100e6));
    enterLine("own-bit-rate", "120");
    EXPECT_EQ(view().lattice().modes()[0].line.rates[0].bitRate, DataRate(120e6));
    const auto before = kit();
    const int steps = window->document().undoStack().count();
    enterLine("own-name", "Heron 3");
    ASSERT_EQ(kit().cameras.size(), before.cameras.size() + 1);
    EXPECT_EQ(kit().cameras.back().name, "Heron 3");
    EXPECT_EQ(lineOf(kit().cameras.back(), kit().cameras.back().modes[0]),
              "3840x2160 long 10-bit 4:2:2 25@120");
    EXPECT_EQ(window->document().undoStack().count(), steps + 1);
    EXPECT_TRUE(view().own() == OwnCamera{}) << "the page is ready for the next one";
    window->document().undoStack().undo();
    EXPECT_EQ(kit(), before);
}

TEST_F(BringPage, ALineThatCanMeanTwoThingsIsAskedAboutAndReturnTakesOne) {
    table()->setPlainText(QStringLiteral("UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP\n"
                                         "UHD 50p 100 MBPS 10 bit 4:2:2 all intra\n"));
    ASSERT_EQ(view().lattice().modes().size(), 1u) << "neither reading is taken unasked";
    auto& list = *view().findChild<QListWidget*>();
    int readings = 0, wanted = -1;
    for (int row = 0; row < list.count(); ++row)
        if (understood(row).startsWith(QStringLiteral("Return takes it as "))) {
            ++readings;
            if (understood(row).endsWith(QStringLiteral("50@800")))
                wanted = row;
        }
    EXPECT_EQ(readings, 2);
    ASSERT_GE(wanted, 0);
    list.setCurrentRow(wanted);
    QTest::keyClick(&list, Qt::Key_Return);
    ASSERT_EQ(view().lattice().modes().size(), 2u);
    EXPECT_EQ(view().lattice().modes()[1].line.rates[0].bitRate, DataRate(800e6));
    EXPECT_EQ(table()->toPlainText().section(QLatin1Char('\n'), 1, 1),
              QStringLiteral("3840x2160 intra 10-bit 4:2:2 50@800"));
    for (int row = 0; row < list.count(); ++row)
        EXPECT_FALSE(understood(row).startsWith(QStringLiteral("Return takes"))) << row;
    button("own-back").click();
    EXPECT_EQ(view().lattice().modes().size(), 1u) << "the choice is a step of its own";
}

TEST_F(BringPage, ClipsAndTextAreAddedAndWhatIsNeitherIsTold) {
    const auto slow = clip("slow.mov", "r=25:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p");
    const auto fast = clip("fast.mov", "r=50:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p "
                                       "-metadata model=Heron");
    sample::spit(file("modes.txt").toStdString(), "FHD 25p 60 Mbps 8 bit 4:2:0 IPB\n");
    sample::spit(file("empty.mov").toStdString(), "");
    view().setAskForClips([&] {
        return QStringList{slow, fast, file("modes.txt"), file("empty.mov"), file("gone.mov")};
    });
    button("own-clips").click();
    view().settle();
    ASSERT_EQ(view().lattice().modes().size(), 2u);
    EXPECT_EQ(view().lattice().modes()[0].line.rates.size(), 2u);
    EXPECT_EQ(view().lattice().modes()[0].files.size(), 2u);
    EXPECT_TRUE(understood(0).contains(QStringLiteral("empty.mov"))) << understood(0).toStdString();
    EXPECT_TRUE(understood(1).contains(QStringLiteral("gone.mov")));
    EXPECT_EQ(view().findChild<QLineEdit*>(QStringLiteral("own-name"))->text(),
              QStringLiteral("Heron"));
    view().lattice().setFocus();
    QTest::keyClick(&view().lattice(), Qt::Key_Right);
    enterLine("own-bit-rate", "none");
    EXPECT_EQ(view().lattice().modes()[0].line.rates.size(), 1u) << "the camera lost its 50 p";
    // Escape stops what is being read; what was read stays.
    view().addClips(QStringList(40, slow));
    QTest::keyClick(&view(), Qt::Key_Escape);
    EXPECT_EQ(view().lattice().modes().size(), 2u);
    view().settle();
    EXPECT_LT(view().own().clips.size(), 40u);
    button("own-again").click();
    EXPECT_TRUE(view().lattice().modes().empty());
    EXPECT_TRUE(table()->toPlainText().isEmpty());
}

} // namespace
} // namespace bslate::app
