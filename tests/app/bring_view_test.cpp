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
    QTest::qWait(30);
    EXPECT_LT(view().own().clips.size(), 40u);
    button("own-again").click();
    EXPECT_TRUE(view().lattice().modes().empty());
    EXPECT_TRUE(table()->toPlainText().isEmpty());
}

} // namespace
} // namespace bslate::app
