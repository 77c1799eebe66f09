// The Banks step in the real window: threads by keys and by dragging, banks written, checks ticked,
// the record there and back, the cards.
#include "app/document/text.h"
#include "app/shell/banks_panel.h"
#include "app/shell/finding_row.h"
#include "app/views/banks/banks_view.h"
#include "app/views/banks/record_sheet.h"
#include "app/views/card/card_dialog.h"
#include "app/window_fixture.h"

#include <QClipboard>
#include <QComboBox>
#include <QGuiApplication>
#include <QLabel>
#include <QMenu>
#include <QPlainTextEdit>

namespace bslate::app {
namespace {

class BanksStep : public WindowTest {
protected:
    void SetUp() override {
        window->bankActions().setClock([] { return QStringLiteral("2026-05-01 07:40"); });
        window->showView("banks");
        choose("3A");
        settle();
    }
    BanksView& view() { return window->view<BanksView>(); }
    BankPlanner& planner() { return window->bankActions().planner(); }
    void settle() { planner().settle(); }
    void press(Qt::Key code) {
        view().setFocus();
        QTest::keyClick(&view(), code);
        settle();
    }
    const CameraRecord* record() {
        return findRecord(window->document().shoot(), planner().camera()->id);
    }
    FindingRow* finding(std::string_view id) {
        for (auto* row : window->banksPanel().findings().rows())
            if (kindOf(row->finding().id).key == id)
                return row;
        return nullptr;
    }
    std::string label(const char* name) {
        return fromQt(view().findChild<QLabel*>(QLatin1String(name))->text());
    }
    const Check* check(std::string_view id) {
        for (const auto& one : planner().checks())
            if (one.id == id)
                return &one;
        return nullptr;
    }
    int indexOf(std::string_view id) {
        return static_cast<int>(check(id) - planner().checks().data());
    }
    CardDialog* card(const char* name) {
        window->showSheet(QLatin1String(name));
        auto* dialog = window->findChild<CardDialog*>(QLatin1String(name));
        EXPECT_TRUE(dialog) << name;
        return dialog;
    }
    std::string textOf(CardDialog* dialog) {
        dialog->copyText();
        dialog->close();
        return fromQt(QGuiApplication::clipboard()->text());
    }
};

TEST_F(BanksStep, KeysMoveASetupToAnotherBankAndBack) {
    EXPECT_EQ(label("banks-title"), "Banks of Tarn 6");
    EXPECT_EQ(setup().bank, 1);
    const Seconds before = planner().now().cost;
    press(Qt::Key_Down); // the slate beside: a cost is shown, nothing has moved
    EXPECT_EQ(view().board().target(), 1);
    EXPECT_EQ(setup().bank, 1);
    EXPECT_NE(
        fromQt(view().board().property("bslateValue").toString()).find("in bank 2 it would be"),
        std::string::npos);
    view().board().setTarget(4);
    EXPECT_LT(*planner().costWith(4), before);
    press(Qt::Key_Return);
    EXPECT_EQ(setup().bank, 5);
    EXPECT_LT(planner().now().cost, before);
    EXPECT_EQ(window->document().undoStack().undoText(), QStringLiteral("3A to bank 5"));
    press(Qt::Key_Delete);
    EXPECT_EQ(setup().bank, 0);
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    settle();
    EXPECT_EQ(planner().now().cost, before);
    // Left and right go along the day.
    press(Qt::Key_Left);
    EXPECT_EQ(setup().number, "2B");
    press(Qt::Key_PageDown);
    EXPECT_EQ(label("banks-title"), "Banks of Sedge 2");
    press(Qt::Key_PageUp);
    EXPECT_EQ(label("banks-title"), "Banks of Tarn 6");
}

TEST_F(BanksStep, ASetupIsDraggedOntoASlate) {
    auto& board = view().board();
    const QPoint from = board.setupBox(*planner().selected()).center().toPoint();
    const QPoint to = board.slateBox(4).center().toPoint();
    QTest::mousePress(&board, Qt::LeftButton, {}, from);
    for (int step = 1; step <= 4; ++step)
        QTest::mouseMove(&board, from + (to - from) * step / 4);
    EXPECT_EQ(board.target(), 4);
    EXPECT_EQ(setup().bank, 1) << "nothing drops before the hand lets go";
    QTest::mouseRelease(&board, Qt::LeftButton, {}, to);
    settle();
    EXPECT_EQ(setup().bank, 5);
    // Beside all of them: by hand.
    QTest::mousePress(&board, Qt::LeftButton, {}, from);
    QTest::mouseMove(&board, from + QPoint(30, 40));
    QTest::mouseMove(&board, from + QPoint(40, 60));
    QTest::mouseRelease(&board, Qt::LeftButton, {}, from + QPoint(40, 60));
    EXPECT_EQ(setup().bank, 0);
    // The thread itself is taken hold of, half way down.
    choose("4A");
    settle();
    const QPointF slate(board.slateBox(2).center().x(), board.slateBox(2).bottom());
    const QPointF end(board.setupBox(*planner().selected()).center().x(),
                      board.setupBox(*planner().selected()).top());
    const QPoint middle = ((slate + end) / 2).toPoint();
    QTest::mousePress(&board, Qt::LeftButton, {}, middle);
    QTest::mouseMove(&board, middle + QPoint(10, -4));
    QTest::mouseMove(&board, to);
    QTest::mouseRelease(&board, Qt::LeftButton, {}, to);
    EXPECT_EQ(setup().number, "4A");
    EXPECT_EQ(setup().bank, 5);
    // A click without a drag only chooses.
    const auto other = board.setupBox(0).center().toPoint();
    QTest::mouseClick(&board, Qt::LeftButton, {}, other);
    EXPECT_EQ(setup().number, "1A");
    EXPECT_EQ(setup().bank, 1);
}

TEST_F(BanksStep, TheBankIsTypedAndAWrongOneIsNamed) {
    enterLine("setup-bank", "5");
    settle();
    EXPECT_EQ(setup().bank, 5);
    enterLine("setup-bank", "9");
    EXPECT_EQ(setup().bank, 5);
    EXPECT_NE(said().find("there are 1, 2, 3, 4, 5"), std::string::npos) << said();
    EXPECT_EQ(view().findChild<QLineEdit*>(QStringLiteral("setup-bank"))->text(),
              QStringLiteral("5"));
    enterLine("setup-bank", "");
    EXPECT_EQ(setup().bank, 0);
    choose("4B");
    settle();
    enterLine("setup-bank", "3");
    EXPECT_NE(said().find("locked"), std::string::npos) << said();
}

TEST_F(BanksStep, TheVerdictLeadsToTheBestBanks) {
    auto* other = finding("banks-other");
    ASSERT_TRUE(other);
    const auto buttons = other->findChildren<QPushButton*>();
    QTest::mouseClick(buttons[0], Qt::LeftButton);
    settle();
    EXPECT_FALSE(finding("banks-other"));
    EXPECT_TRUE(finding("banks-best"));
    EXPECT_EQ(planner().now().cost, planner().plan().best.plan.cost);
    press(Qt::Key_B);
    EXPECT_NE(said().find("No threads cost less"), std::string::npos) << said();
    press(Qt::Key_2); // one bank a look: all of the camera's setups share one
    EXPECT_EQ(setup().bank, 1);
    EXPECT_TRUE(finding("banks-other"));
    press(Qt::Key_B);
    EXPECT_TRUE(finding("banks-best"));
    choose("4B");
    settle();
    ASSERT_TRUE(finding("bank-lost"));
    window->banksPanel().findings().accepted({QStringLiteral("bank-lost:4")},
                                             QStringLiteral("written again each morning"));
    settle();
    EXPECT_TRUE(finding("bank-lost")->finding().accepted);
    window->banksPanel().findings().withdrawn({QStringLiteral("bank-lost:4")});
    settle();
    EXPECT_FALSE(finding("bank-lost")->finding().accepted);
}

TEST_F(BanksStep, WhatIsWrittenGoesStaleWhenASetupChanges) {
    view().board().setTarget(0);
    press(Qt::Key_W);
    ASSERT_TRUE(record());
    ASSERT_TRUE(findWritten(*record(), "1"));
    EXPECT_EQ(findWritten(*record(), "1")->when, "2026-05-01 07:40");
    EXPECT_FALSE(check("bank-changed"));
    // The iris is ticked, and the bank; then both change.
    window->bankActions().tick(*check("hand-iris"));
    settle();
    EXPECT_EQ(stateOf(setup().ticks, *check("hand-iris")), TickState::Ticked);
    window->actionsOnShoot().changeSetup(QStringLiteral("iris"),
                                         [](bslate::Setup& own) { own.iris = TStop(4); });
    settle();
    EXPECT_EQ(stateOf(setup().ticks, *check("hand-iris")), TickState::Stale);
    choose("1A");
    window->actionsOnShoot().changeSetup(QStringLiteral("white"),
                                         [](bslate::Setup& own) { own.white = Kelvin(5000); });
    settle();
    auto* changed = finding("bank-changed");
    ASSERT_TRUE(changed);
    EXPECT_EQ(changed->finding().subject, "1");
    EXPECT_TRUE(check("bank-changed"));
    // Written again by the button of the finding, at the hour of the clock.
    const auto earlier = record()->earlier.size();
    window->bankActions().setClock([] { return QStringLiteral("2026-05-01 09:15"); });
    QTest::mouseClick(changed->findChildren<QPushButton*>()[0], Qt::LeftButton);
    settle();
    EXPECT_FALSE(check("bank-changed"));
    EXPECT_EQ(findWritten(*record(), "1")->when, "2026-05-01 09:15");
    EXPECT_EQ(record()->earlier.size(), earlier + 1);
    view().board().setTarget(4);
    press(Qt::Key_W);
    EXPECT_NE(said().find("nothing to write"), std::string::npos) << said();
}

TEST_F(BanksStep, ChecksAreTickedInPlaceByKeyAndByHand) {
    auto& list = view().checks();
    press(Qt::Key_Space);
    EXPECT_TRUE(list.hasFocus() || !window->isActiveWindow());
    list.setCurrent(indexOf("sound"));
    QTest::keyClick(&list, Qt::Key_Space);
    EXPECT_EQ(stateOf(setup().ticks, *check("sound")), TickState::Ticked);
    EXPECT_NE(fromQt(list.property("bslateValue").toString()).find("ticked 2026-05-01 07:40"),
              std::string::npos);
    QTest::mouseClick(&list, Qt::LeftButton, {}, list.itemBox(indexOf("sound")).center().toPoint());
    EXPECT_EQ(stateOf(setup().ticks, *check("sound")), TickState::Open);
    const int at = list.current();
    QTest::keyClick(&list, Qt::Key_Up);
    EXPECT_EQ(list.current(), at - 1);
    QTest::keyClick(&list, Qt::Key_Home);
    EXPECT_EQ(list.current(), 0);
    QTest::keyClick(&list, Qt::Key_Right);
    QTest::keyClick(&list, Qt::Key_End);
    EXPECT_EQ(list.current(), static_cast<int>(planner().checks().size()) - 1);
}

TEST_F(BanksStep, ABorrowedBodysListIsTickedInThePlaceOfThePreroll) {
    auto& list = view().checks();
    const auto preroll = list.content().checks;
    press(Qt::Key_S);
    ASSERT_NE(list.content().checks, preroll);
    EXPECT_EQ(list.content().checks.front().id, "start-record");
    const auto before = window->document().value();
    QTest::keyClick(&list, Qt::Key_Space);
    settle();
    ASSERT_TRUE(record());
    EXPECT_EQ(record()->ticks.at(0).when, "2026-05-01 07:40");
    EXPECT_EQ(stateOf(list.content().ticks, list.content().checks[0]), TickState::Ticked);
    EXPECT_NE(cardText(*view().startingCard()).find("[x] 2026-05-01 07:40"), std::string::npos);
    press(Qt::Key_N);
    EXPECT_TRUE(record()->ticks.empty());
    window->document().undoStack().undo();
    EXPECT_EQ(record()->ticks.size(), 1U);
    window->document().undoStack().undo();
    EXPECT_TRUE(*window->document().value() == *before);
    press(Qt::Key_N);
    EXPECT_NE(said().find("Nothing of the starting point"), std::string::npos) << said();
    press(Qt::Key_S);
    EXPECT_EQ(list.content().checks, preroll);
}

TEST_F(BanksStep, AControlIsGivenAnotherFunction) {
    auto& plates = view().plates();
    const auto before = planner().plan().controls;
    plates.setFocus();
    QTest::keyClick(&plates, Qt::Key_Right);
    EXPECT_EQ(plates.current(), 1);
    std::unique_ptr<QMenu> menu(view().functionMenu(0));
    QAction* white = nullptr;
    for (auto* action : menu->actions())
        if (action->text() == QStringLiteral("white"))
            white = action;
    ASSERT_TRUE(white);
    white->trigger();
    settle();
    EXPECT_EQ(planner().plan().controls.uses[0].function, Function::White);
    EXPECT_EQ(planner().plan().controls.uses[0].why, ControlWhy::Chosen);
    menu.reset(view().functionMenu(0));
    menu->actions().front()->trigger(); // as the plan says
    settle();
    EXPECT_TRUE(planner().plan().controls == before);
}

TEST_F(BanksStep, OtherSettingsAreNotedAndTheRecordTravels) {
    answerDialogs({[](QWidget& dialog) {
        auto* lines = dialog.findChild<QPlainTextEdit*>();
        ASSERT_TRUE(lines);
        lines->setPlainText(QStringLiteral("firmware = 2.10\nnonsense"));
        QTest::keyClick(&dialog, Qt::Key_Return, Qt::ControlModifier);
        auto* sheet = qobject_cast<RecordSheet*>(&dialog);
        ASSERT_TRUE(sheet);
        sheet->accept();
        EXPECT_TRUE(sheet->isVisible()) << "a line without a value keeps it open";
        EXPECT_NE(fromQt(dialog.findChild<QLabel*>(QStringLiteral("sheet-problem"))->text())
                      .find("line 2"),
                  std::string::npos);
        dialog.findChild<QPushButton*>(QStringLiteral("record-planned"))->click();
        lines->appendPlainText(QStringLiteral("auto power-off = 10 min"));
        sheet->accept();
    }});
    press(Qt::Key_E);
    ASSERT_TRUE(record());
    EXPECT_EQ(*lineValue(record()->settings, "auto power-off"), "10 min");
    EXPECT_EQ(*lineValue(record()->settings, "control Trigger"), "record");
    const auto kept = *record();
    for (const char* name : {"tarn.csv", "tarn.json"}) {
        window->bankActions().writeRecord(file(name));
        EXPECT_NE(said().find(name), std::string::npos) << said();
    }
    // What a bank really holds, as it was found on the body.
    answerDialogs({[](QWidget& dialog) {
        auto* part = dialog.findChild<QComboBox*>(QStringLiteral("record-part"));
        ASSERT_TRUE(part);
        ASSERT_GT(part->count(), 1);
        part->setCurrentIndex(1);
        dialog.findChild<QPlainTextEdit*>()->setPlainText(QStringLiteral("white 3200 K"));
        qobject_cast<RecordSheet*>(&dialog)->accept();
    }});
    press(Qt::Key_E);
    ASSERT_FALSE(record()->banks.empty());
    EXPECT_EQ(*lineValue(record()->banks.front().values, "white"), "3200 K");
    EXPECT_TRUE(record()->banks.front().setup.empty());
    EXPECT_TRUE(record()->settings == kept.settings) << "nothing else was noted";
    window->bankActions().writeRecord(file("held.csv"));
    const auto held = *record();
    window->bankActions().readRecord(file("held.csv"));
    EXPECT_TRUE(record()->banks == held.banks);
    window->bankActions().noteSettings(QStringLiteral("firmware = 3"));
    window->bankActions().readRecord(file("tarn.json"));
    EXPECT_TRUE(*record() == kept);
    choose("6A");
    settle();
    window->bankActions().readRecord(file("tarn.csv"));
    EXPECT_NE(said().find("another camera's"), std::string::npos) << said();
    window->bankActions().readRecord(file("nothing.csv"));
    EXPECT_NE(said().find("nothing.csv"), std::string::npos) << said();
}

TEST_F(BanksStep, TheCardsSayWhatTheStepShows) {
    const auto banks = textOf(card("bank-card"));
    EXPECT_NE(banks.find("Banks of Tarn 6"), std::string::npos);
    EXPECT_NE(banks.find("By hand after recall"), std::string::npos);
    EXPECT_NE(textOf(card("control-card")).find("Front dial"), std::string::npos);
    EXPECT_NE(textOf(card("preroll-card")).find("recall bank 1"), std::string::npos);
    EXPECT_NE(textOf(card("record-card")).find("On record: Tarn 6"), std::string::npos);
    EXPECT_NE(textOf(card("starting-card")).find("reset to the maker's settings"),
              std::string::npos);
    auto* dialog = card("preroll-card");
    dialog->savePdf(file("preroll.pdf"));
    QFile pdf(file("preroll.pdf"));
    ASSERT_TRUE(pdf.open(QIODevice::ReadOnly));
    EXPECT_TRUE(pdf.readAll().startsWith("%PDF"));
    dialog->close();
}

TEST_F(BanksStep, AnEmptyShootAndABodyWithoutBanksSaySo) {
    window->files().startNew();
    settle();
    EXPECT_TRUE(planner().checks().empty());
    for (const auto code : {Qt::Key_Left, Qt::Key_Return, Qt::Key_W, Qt::Key_B, Qt::Key_Space})
        press(code);
    EXPECT_FALSE(window->document().isModified());
    ASSERT_TRUE(window->files().openDemo().ok());
    choose("6A");
    Edit edit;
    edit.kit = window->document().shoot().kit;
    edit.kit->cameras[2].body = {};
    edit.kit->cameras[2].banks = {};
    window->bankActions().apply(QStringLiteral("no banks"), edit);
    settle();
    EXPECT_TRUE(finding("banks-none"));
    EXPECT_TRUE(check("hand-iris"));
    enterLine("setup-bank", "1");
    EXPECT_NE(said().find("no banks"), std::string::npos) << said();
}

// Only what is seen is painted, nothing is waited for, and what needs the plan waits for it itself.
TEST_F(BanksStep, HundredsOfSetupsAreNoHindrance) {
    Shoot shoot = window->document().shoot();
    const auto known = shoot.setups;
    while (shoot.setups.size() < 600) {
        auto copy = known[shoot.setups.size() % known.size()];
        copy.id = "n" + std::to_string(shoot.setups.size());
        copy.number = "N" + std::to_string(shoot.setups.size());
        shoot.setups.push_back(copy);
    }
    window->document().reset(shoot, {});
    window->document().select(QStringLiteral("n500"));
    settle();
    auto& board = view().board();
    board.grab();
    EXPECT_GT(board.paintedSetups(), 0);
    EXPECT_LE(board.paintedSetups(), 20);
    const QRectF chosen = board.setupBox(*planner().selected());
    EXPECT_TRUE(QRectF(board.rect()).contains(chosen)) << "the chosen one is in view";
    // Into a bank at once, whatever the plan is at, and the view follows.
    window->bankActions().put(2);
    EXPECT_EQ(setup().bank, 3);
    settle();
    EXPECT_EQ(planner().threads()[*planner().selected()], 2);
    // The best ones are put there when they are found, unless something else is done meanwhile.
    window->document().select(QStringLiteral("n501"));
    window->bankActions().put(1);
    window->bankActions().putBest();
    settle();
    QApplication::processEvents();
    EXPECT_EQ(window->document().undoStack().undoText(), QStringLiteral("Best banks"));
    window->document().undoStack().undo();
    settle();
    EXPECT_EQ(setup().bank, 2);
}

} // namespace
} // namespace bslate::app
