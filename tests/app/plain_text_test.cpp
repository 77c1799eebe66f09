// Names come from files of others: every one is shown as it stands, nowhere as something to load.
#include "app/window_fixture.h"

#include "app/document/text.h"
#include "app/style/plain_text.h"
#include "app/views/card/card_dialog.h"
#include "app/widgets/save_path.h"

#include <QFileDialog>
#include <QLabel>
#include <QLineEdit>
#include <QMessageBox>
#include <QPushButton>
#include <QTextEdit>
#include <QTimer>
#include <QToolTip>

namespace bslate::app {
namespace {

const char* const kHostile = "<img src=\"/dev/zero\">";

class Hostile : public WindowTest {
public:
    Hostile() {
        Shoot shoot = window->document().shoot();
        const std::string name = kHostile;
        shoot.title = name;
        for (auto& scene : shoot.scenes) {
            scene.name = name;
            for (auto& patch : scene.patches)
                patch.name = name;
            for (auto& lamp : scene.lamps)
                lamp.name = name;
        }
        for (auto& setup : shoot.setups) {
            setup.number = name;
            setup.name = name;
        }
        for (auto& camera : shoot.kit.cameras) {
            camera.name = name;
            for (auto& mode : camera.modes)
                mode.name = name;
            for (auto& codec : camera.codecs)
                codec.name = name;
        }
        for (auto& profile : shoot.kit.profiles)
            profile.name = name;
        for (auto& lens : shoot.kit.lenses)
            lens.name = name;
        for (auto& card : shoot.kit.cards)
            card.name = name;
        for (auto& day : shoot.plan)
            for (auto& take : day.takes)
                take.name = name;
        window->document().edit(QStringLiteral("hostile"), std::move(shoot));
    }

    // Every label that can be seen, wherever it is; how many of them show a name.
    static int labelsOf(QWidget& parent) {
        int shown = 0;
        for (auto* label : parent.findChildren<QLabel*>()) {
            if (!label->isVisible())
                continue;
            const bool names = label->text().contains(QStringLiteral("/dev/zero"));
            shown += names;
            EXPECT_NE(label->textFormat(), Qt::AutoText)
                << label->objectName().toStdString() << label->text().toStdString();
            if (label->textFormat() == Qt::RichText)
                EXPECT_FALSE(label->text().contains(QStringLiteral("<img")))
                    << label->text().toStdString();
        }
        for (auto* text : parent.findChildren<QTextEdit*>())
            EXPECT_FALSE(text->toHtml().contains(QStringLiteral("<img")));
        return shown;
    }
};

TEST_F(Hostile, NamesAreShownAsTheyStandOnEveryStep) {
    int shown = 0;
    for (const auto& name : window->pageNames()) {
        window->showView(name);
        window->planner().settle();
        QCoreApplication::processEvents();
        shown += labelsOf(*window);
    }
    EXPECT_GT(shown, 5) << "the names must be there for this to mean anything";
    window->compareSetups();
    QCoreApplication::processEvents();
    for (auto* dialog : window->findChildren<QDialog*>())
        labelsOf(*dialog);
}

TEST(Breakable, LongNamesMayBreakAndNothingElseChanges) {
    const auto shown = [](const QString& text) {
        return breakable(text).replace(QChar(0x200B), QLatin1Char('|'));
    };
    EXPECT_EQ(shown(QStringLiteral("4A+4B runs long")), QStringLiteral("4A+|4B runs long"));
    EXPECT_EQ(shown(QString(30, u'x')), QString(24, u'x') + QLatin1Char('|') + QString(6, u'x'));
    const QString pairs = QString::fromUcs4(U"\U0001F39E").repeated(20);
    for (const auto& part : shown(pairs).split(QLatin1Char('|')))
        EXPECT_TRUE(part.isEmpty() || part.isValidUtf16());
    EXPECT_EQ(shown(pairs).remove(QLatin1Char('|')), pairs);
}

TEST_F(Hostile, SoAreMessagesTooltipsAndNotices) {
    window->notice().tell(toQt(kHostile), true);
    window->notice().ask(QStringLiteral("x"), toQt(kHostile), {{toQt(kHostile), {}}});
    EXPECT_GE(labelsOf(window->notice()), 2);
    QMessageBox box(QMessageBox::Question, toQt(kHostile), toQt(kHostile), QMessageBox::Ok,
                    window.get());
    box.show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(&box));
    EXPECT_GE(labelsOf(box), 1);
    QToolTip::showText(window->mapToGlobal(QPoint(50, 50)), toQt(kHostile), window.get());
    ASSERT_TRUE(QTest::qWaitFor([] { return QToolTip::isVisible(); }));
    int tips = 0;
    for (auto* widget : QApplication::topLevelWidgets())
        if (auto* tip = qobject_cast<QLabel*>(widget); tip && tip->isVisible()) {
            ++tips;
            EXPECT_EQ(tip->textFormat(), Qt::PlainText);
        }
    EXPECT_EQ(tips, 1);
    QToolTip::hideText();
}

TEST_F(Hostile, TheCardTooAndItsProposedNameIsPlain) {
    auto* card = window->makeCard();
    ASSERT_NE(card, nullptr);
    card->show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(card));
    labelsOf(*card);
    QTimer::singleShot(50, [] {
        auto* dialog = qobject_cast<QFileDialog*>(QApplication::activeModalWidget());
        ASSERT_NE(dialog, nullptr);
        const auto* name = dialog->findChild<QLineEdit*>(QStringLiteral("fileNameEdit"));
        ASSERT_NE(name, nullptr);
        EXPECT_EQ(name->text(), QStringLiteral("mine"));
        dialog->reject();
    });
    EXPECT_TRUE(askSavePath(card, {QStringLiteral("Save"), QStringLiteral("../../mine"),
                                   QStringLiteral("*.pdf"), QStringLiteral("pdf")})
                    .isEmpty());
    delete card;
}

TEST_F(Hostile, TheSuffixIsThereBeforeAnybodyIsAsked) {
    QFile there(file("mine.pdf"));
    ASSERT_TRUE(there.open(QIODevice::WriteOnly));
    there.close();
    bool asked = false;
    QTimer::singleShot(50, [&] {
        auto* dialog = qobject_cast<QFileDialog*>(QApplication::activeModalWidget());
        ASSERT_NE(dialog, nullptr);
        dialog->setDirectory(m_folder.path());
        dialog->findChild<QLineEdit*>(QStringLiteral("fileNameEdit"))
            ->setText(QStringLiteral("mine"));
        QTimer::singleShot(50, [&asked, dialog] {
            auto* box = qobject_cast<QMessageBox*>(QApplication::activeModalWidget());
            asked = box && box->text().contains(QStringLiteral("mine.pdf"));
            if (box)
                box->button(QMessageBox::No)->click();
            QTimer::singleShot(0, dialog, &QDialog::reject);
        });
        QMetaObject::invokeMethod(dialog, "accept");
    });
    EXPECT_TRUE(askSavePath(window.get(), {QStringLiteral("Save"), QStringLiteral("x"),
                                           QStringLiteral("*.pdf"), QStringLiteral("pdf")})
                    .isEmpty());
    EXPECT_TRUE(asked);
}

} // namespace
} // namespace bslate::app
