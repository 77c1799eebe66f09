// Painted controls and sheets on their own.
#include "app/shell/sheets.h"
#include "app/shell/shoot_sheet.h"
#include "app/views/card/card_painter.h"
#include "app/widgets/quantity_edit.h"
#include "app/window_fixture.h"
#include "support/sample_shoot.h"

#include <QClipboard>
#include <QComboBox>
#include <QImage>
#include <QPainter>
#include <QSignalSpy>

namespace bslate::app {
namespace {

TEST(FindingList, OfVeryManyTheFirstAreShownAndMoreWhenAskedFor) {
    const Style style;
    FindingList list(style, QStringLiteral("Verdict"));
    std::vector<Finding> findings(150);
    for (auto& finding : findings)
        finding.id = FindingId::DayClipLimit;
    list.show(&findings);
    EXPECT_EQ(list.rows().size(), 60);
    QPushButton* more = nullptr;
    for (auto* button : list.findChildren<QPushButton*>())
        if (button->text().startsWith(QStringLiteral("90 more")))
            more = button;
    ASSERT_NE(more, nullptr);
    more->click();
    EXPECT_EQ(list.rows().size(), 120);
    more->click();
    EXPECT_EQ(list.rows().size(), 150);
    EXPECT_TRUE(more->isHidden());
    findings.resize(3);
    list.show(&findings);
    EXPECT_EQ(list.rows().size(), 3);
}

TEST(QuantityField, CommitsRefusesAndGivesBack) {
    QuantityEdit edit([](const QString& text) {
        return text == "bad" ? std::optional(QString("expected good")) : std::nullopt;
    });
    QSignalSpy entered(&edit, &QuantityEdit::entered);
    QSignalSpy refused(&edit, &QuantityEdit::refused);
    QSignalSpy unchanged(&edit, &QuantityEdit::leftUnchanged);
    edit.showValue("old");
    QTest::keyClick(&edit, Qt::Key_Return);
    EXPECT_EQ(unchanged.count(), 1);
    edit.setText("bad");
    QTest::keyClick(&edit, Qt::Key_Return);
    EXPECT_EQ(refused.count(), 1);
    EXPECT_EQ(edit.text(), "old");
    edit.setText("half-typed");
    QTest::keyClick(&edit, Qt::Key_Escape);
    EXPECT_EQ(edit.text(), "old");
    EXPECT_EQ(entered.count(), 0);
    edit.setText("new");
    QTest::keyClick(&edit, Qt::Key_Enter);
    ASSERT_EQ(entered.count(), 1);
    EXPECT_EQ(entered.front().at(0).toString(), "new");
}

TEST(PatchDiamond, SpeaksInSignals) {
    Style style;
    QWidget parent;
    PatchHandle handle(style, &parent);
    handle.show("sky", "Sky", "+5.6", PatchState::Clipped);
    QSignalSpy nudged(&handle, &PatchHandle::nudged);
    QSignalSpy typed(&handle, &PatchHandle::typeRequested);
    QSignalSpy removed(&handle, &PatchHandle::deleteRequested);
    QSignalSpy dragged(&handle, &PatchHandle::dragged);
    QTest::keyClick(&handle, Qt::Key_Right);
    QTest::keyClick(&handle, Qt::Key_Left, Qt::ShiftModifier);
    ASSERT_EQ(nudged.count(), 2);
    EXPECT_DOUBLE_EQ(nudged[0][0].toDouble(), 0.1);
    EXPECT_DOUBLE_EQ(nudged[1][0].toDouble(), -1.0 / 3);
    QTest::keyClick(&handle, Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(nudged.count(), 2) << "Ctrl+Right belongs to the rail";
    QTest::keyClick(&handle, Qt::Key_F2);
    QTest::keyClick(&handle, Qt::Key_Delete);
    EXPECT_EQ(typed.count(), 1);
    EXPECT_EQ(removed.count(), 1);
    QTest::mouseMove(&handle, QPoint(3, 3));
    EXPECT_EQ(dragged.count(), 0) << "moving without the button is no drag";
}

TEST(ShootSettings, RefuseWhatNoMeterHas) {
    ShootSheet sheet(sample::shoot());
    const auto type = [&](const char* name, const char* text) {
        sheet.findChild<QLineEdit*>(QLatin1String(name))->setText(QLatin1String(text));
    };
    for (const auto& [name, bad, good] : {std::tuple{"shoot-meter-k", "nan", "14"},
                                          {"shoot-meter-c", "20", "330"},
                                          {"shoot-snr-floor", "0", "1"}}) {
        type(name, bad);
        sheet.accept();
        EXPECT_EQ(sheet.result(), sample::shoot()) << name;
        type(name, good);
    }
    // What no file could hold stays in the sheet, and the reason stands below it.
    auto* title = sheet.findChild<QLineEdit*>(QStringLiteral("shoot-title"));
    const QString before = title->text();
    title->setText(QString(4001, QLatin1Char('x')));
    sheet.accept();
    EXPECT_EQ(sheet.result(), sample::shoot());
    bool told = false;
    for (auto* label : sheet.findChildren<QLabel*>())
        told = told || label->text().contains(QStringLiteral("4000 bytes"));
    EXPECT_TRUE(told);
    EXPECT_EQ(title->text().size(), 4001);
    title->setText(before);
    sheet.accept();
    EXPECT_EQ(sheet.result().meter, (MeterCalibration{14, 330}));
    EXPECT_EQ(sheet.result().snrFloor, 1);
    EXPECT_EQ(QDialog::Accepted, sheet.QDialog::result());
}

// A card with more lines than a page is printed smaller, never cut: ink stays inside the page
// and the last line is there.
TEST(CardPage, NeverDropsALine) {
    Shoot shoot = sample::shoot();
    for (int i = 0; i < 40; ++i)
        shoot.scenes[0].patches.push_back(
            sample::patch("extra" + std::to_string(i), PatchRole::Highlight, 5000));
    shoot.scenes[0].hazards = {true, true, true, true};
    const auto card = cardOf(shoot, shoot.setups[0]);
    const auto inkAt = [](const Card& shown) {
        QImage page((kCardSize * 2).toSize(), QImage::Format_RGB32);
        page.fill(Qt::white);
        QPainter painter(&page);
        painter.scale(2, 2);
        paintCard(painter, shown);
        painter.end();
        int last = 0;
        for (int y = 0; y < page.height(); ++y)
            for (int x = 0; x < page.width(); ++x)
                if (qGray(page.pixel(x, y)) < 120)
                    last = y;
        return std::pair(last, page.height());
    };
    const auto [last, height] = inkAt(card);
    EXPECT_GT(last, height * 8 / 10);
    EXPECT_LT(last, height - 4);
    Card shorter = card;
    shorter.safety.pop_back();
    EXPECT_NE(inkAt(card), inkAt(shorter)) << "the last caution is drawn";
}

using Pieces = WindowTest;

TEST_F(Pieces, RailTakesTheMouseAndTheWheel) {
    auto* rail = window->findChild<QWidget*>("setup-rail");
    QTest::mouseClick(rail, Qt::LeftButton, {}, QPoint(30, 20));
    EXPECT_EQ(setup().number, "1A");
    QTest::mouseClick(rail, Qt::LeftButton, {}, QPoint(30 + 2 * 194, 20));
    EXPECT_EQ(setup().number, "2B");
    rail->setFocus();
    QTest::keyClick(rail, Qt::Key_Right);
    EXPECT_EQ(setup().number, "3A");
}

TEST_F(Pieces, F6GoesRoundTheParts) {
    QStringList seen;
    for (int i = 0; i < 4; ++i) {
        QTest::keyClick(window.get(), Qt::Key_F6);
        seen << (QApplication::focusWidget() ? QApplication::focusWidget()->objectName() : "none");
    }
    EXPECT_TRUE(seen.contains("setup-rail")) << seen.join(',').toStdString();
    EXPECT_EQ(QSet<QString>(seen.begin(), seen.end()).size(), 4) << seen.join(',').toStdString();
}

TEST_F(Pieces, PictureIsCopied) {
    trigger("Copy picture");
    const auto picture = QGuiApplication::clipboard()->image();
    EXPECT_GT(picture.width(), 700);
}

TEST_F(Pieces, HelpListsEveryShortcutOfTheMenus) {
    const QString keys = keysHtml(keyGroups(*window));
    for (auto* action : window->findChildren<QAction*>()) {
        if (action->shortcut().isEmpty() || action->text().contains("Quit"))
            continue;
        const QString key = action->shortcut().toString();
        EXPECT_TRUE(keys.contains(key.toHtmlEscaped()) || key == "Ctrl+Del" || key == "F1" ||
                    key == "Shift+F6")
            << key.toStdString() << " of " << action->text().toStdString();
    }
    EXPECT_TRUE(cautionsHtml().contains("licensed electrician"));
    EXPECT_TRUE(cautionsHtml().contains("risk assessment"));
}

TEST_F(Pieces, WhoPaysIsMarkedOnTheTrain) {
    const auto paying = [&] {
        QStringList names;
        for (int link = 0; link < LightTrain::LinkCount; ++link) {
            auto& shown = block(static_cast<LightTrain::Link>(link));
            if (shown.property("bslateValue").toString().contains("pays"))
                names << shown.objectName();
        }
        return names;
    };
    EXPECT_EQ(paying(), QStringList{"train-nd"});
    window->actionsOnShoot().setPayer(Payer::Rating);
    EXPECT_EQ(paying(), QStringList{"train-rated"});
    window->actionsOnShoot().setPayer(Payer::Nobody);
    EXPECT_EQ(paying(), QStringList{});
}

} // namespace
} // namespace bslate::app
