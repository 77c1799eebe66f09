// A judgement as a row: what it shows at once, what only when asked, and how it is let go.
#include "app/document/text.h"
#include "app/shell/finding_row.h"
#include "app/shell/remedy_button.h"
#include "app/views/kit/body_picture.h"
#include "app/views/kit/modes_picture.h"
#include "app/widgets/painted_access.h"
#include "app/window_fixture.h"
#include "support/sample_recording.h"

#include <QAccessible>
#include <QLabel>
#include <QSignalSpy>

namespace bslate::app {
namespace {

class Row : public ::testing::Test {
protected:
    Row()
        : row(style) {
        row.resize(300, 200);
        row.show(verdictOn("patch-clipped"));
    }
    // A real finding of the sample shoot, whose sky is lost.
    static Finding verdictOn(std::string_view key, double rating = 800) {
        Shoot shoot = sample::shoot();
        shoot.setups[0].rating = ExposureIndex(rating);
        for (const auto& finding : judge(shoot, shoot.setups[0]).findings)
            if (kindOf(finding.id).key == key)
                return finding;
        ADD_FAILURE() << key;
        return {};
    }
    QList<RemedyButton*> remedies() {
        QList<RemedyButton*> shown;
        for (auto* button : row.findChildren<RemedyButton*>())
            if (!button->isHidden())
                shown += button;
        return shown;
    }
    QPushButton* letGo() {
        for (auto* button : row.findChildren<QPushButton*>())
            if (!qobject_cast<RemedyButton*>(button))
                return button;
        return nullptr;
    }
    QLineEdit* why() { return row.findChild<QLineEdit*>(); }
    QString labels() {
        QString text;
        for (const auto* label : row.findChildren<QLabel*>())
            if (!label->isHidden())
                text += label->text() + QLatin1Char('\n');
        return text.remove(QChar(0x200b)); // where a long word may break
    }

    Style style;
    FindingRow row;
};

TEST_F(Row, AFaultShowsItsReasonAndItsRemediesInTheirOrder) {
    const auto& finding = row.finding();
    ASSERT_GE(finding.remedies.size(), 2u);
    EXPECT_TRUE(labels().contains(toQt(titleOf(finding)))) << labels().toStdString();
    EXPECT_TRUE(labels().contains(toQt(reasonOf(finding)))) << labels().toStdString();
    const auto shown = remedies();
    ASSERT_EQ(shown.size(), std::min<qsizetype>(4, qsizetype(finding.remedies.size())));
    for (int i = 0; i < shown.size(); ++i) {
        const auto& remedy = finding.remedies[static_cast<std::size_t>(i)];
        EXPECT_TRUE(shown[i]->accessibleName().contains(toQt(titleOf(remedy))))
            << shown[i]->accessibleName().toStdString();
        EXPECT_EQ(shown[i]->accessibleDescription(), toQt(effectOf(remedy)));
    }
    // What makes other things worse never stands before what does not.
    for (std::size_t i = 1; i < finding.remedies.size(); ++i)
        EXPECT_LE(finding.remedies[i - 1].worse, finding.remedies[i].worse);
}

TEST_F(Row, AChosenRemedyIsTheOneWhoseButtonWasPressed) {
    std::vector<std::pair<QString, bslate::Edit>> chosen;
    QObject::connect(
        &row, &FindingRow::remedyChosen, &row,
        [&](const QString& name, const bslate::Edit& edit) { chosen.emplace_back(name, edit); });
    for (int i = 0; i < remedies().size(); ++i) {
        QTest::keyClick(remedies()[i], Qt::Key_Space);
        const auto& remedy = row.finding().remedies[static_cast<std::size_t>(i)];
        ASSERT_EQ(chosen.size(), static_cast<std::size_t>(i) + 1);
        EXPECT_EQ(chosen.back().first, toQt(titleOf(remedy)));
        EXPECT_EQ(chosen.back().second.setup, remedy.edit.setup);
        EXPECT_EQ(chosen.back().second.scene, remedy.edit.scene);
    }
}

TEST_F(Row, ARemedyNeedsAsMuchHeightAsItsWords) {
    for (auto* button : remedies()) {
        EXPECT_GE(button->heightForWidth(200), button->heightForWidth(400));
        EXPECT_GT(button->heightForWidth(200), 20);
    }
}

TEST_F(Row, LettingGoAsksForAReasonAndIsTakenBack) {
    QSignalSpy accepted(&row, &FindingRow::accepted);
    QSignalSpy withdrawn(&row, &FindingRow::withdrawn);
    EXPECT_TRUE(why()->isHidden());
    EXPECT_EQ(letGo()->text(), QStringLiteral("Let it go"));
    letGo()->click();
    ASSERT_FALSE(why()->isHidden());
    QTest::keyClicks(why(), QStringLiteral("it is a window"));
    QTest::keyClick(why(), Qt::Key_Return);
    ASSERT_EQ(accepted.size(), 1);
    EXPECT_EQ(accepted[0][0].toStringList(), QStringList{QStringLiteral("patch-clipped:sky")});
    EXPECT_EQ(accepted[0][1].toString(), QStringLiteral("it is a window"));
    EXPECT_TRUE(why()->isHidden());
    // Accepted, it says why, offers no remedy, and can be taken back.
    Finding taken = row.finding();
    taken.accepted = "it is a window";
    row.show(taken);
    EXPECT_TRUE(labels().contains(QStringLiteral("Accepted: it is a window")));
    EXPECT_TRUE(remedies().isEmpty());
    EXPECT_EQ(letGo()->text(), QStringLiteral("Take it back"));
    letGo()->click();
    ASSERT_EQ(withdrawn.size(), 1);
    EXPECT_EQ(withdrawn[0][0].toStringList(), QStringList{QStringLiteral("patch-clipped:sky")});
}

TEST_F(Row, AnotherJudgementTakesNoHalfTypedReasonAlong) {
    letGo()->click();
    QTest::keyClicks(why(), QStringLiteral("half"));
    row.show(row.finding()); // the same one, worked out again
    EXPECT_FALSE(why()->isHidden()) << "a hand is typing here";
    row.show(verdictOn("rated-over", 400));
    EXPECT_TRUE(why()->isHidden());
}

TEST_F(Row, ANoteIsOneLineUntilAskedByKeyOrClick) {
    Finding note = verdictOn("rated-over", 400);
    ASSERT_EQ(note.severity, Severity::Note);
    row.show(note, QStringLiteral("For grading"));
    const auto reason = toQt(reasonOf(note));
    EXPECT_TRUE(labels().contains(QStringLiteral("For grading")));
    EXPECT_FALSE(labels().contains(reason));
    EXPECT_TRUE(row.accessibleDescription().contains(reason)) << "it is heard all the same";
    QTest::keyClick(&row, Qt::Key_Return);
    EXPECT_TRUE(labels().contains(reason));
    QTest::keyClick(&row, Qt::Key_Space);
    EXPECT_FALSE(labels().contains(reason));
    QTest::mouseClick(&row, Qt::LeftButton, {}, QPoint(150, 20));
    EXPECT_TRUE(labels().contains(reason));
    EXPECT_TRUE(letGo()->isHidden()) << "nothing to let go";
}

TEST(KitPictures, SayEverythingTheyDraw) {
    const Style style;
    const sample::Bench bench;
    Camera camera = bench.camera;
    camera.banks = {3, 2};
    ModesPicture modes(style);
    modes.resize(560, 240);
    modes.show(camera, Millimetres(35));
    const auto heard = [](QWidget& picture) {
        return QAccessible::queryAccessibleInterface(&picture)->text(QAccessible::Value);
    };
    for (const auto& mode : camera.modes)
        EXPECT_TRUE(heard(modes).contains(toQt(mode.name))) << mode.name;
    EXPECT_TRUE(heard(modes).contains(QStringLiteral("120 at 1200 Mb/s")))
        << heard(modes).toStdString();
    BodyPicture body(style);
    body.resize(280, 190);
    body.show(camera, 2.0);
    EXPECT_TRUE(heard(body).contains(QStringLiteral("base 800: 6.1 stops over grey")))
        << heard(body).toStdString();
    EXPECT_TRUE(heard(body).contains(QStringLiteral("3 banks, 2 on the card")));
    // Both draw something, and a camera with nothing in it draws nothing that falls.
    EXPECT_GT(modes.grab().toImage().convertToFormat(QImage::Format_Indexed8).colorCount(), 2);
    modes.show(Camera{}, {});
    body.show(Camera{}, 2.0);
    EXPECT_FALSE(modes.grab().isNull());
    EXPECT_FALSE(body.grab().isNull());
}

} // namespace
} // namespace bslate::app
