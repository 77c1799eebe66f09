#include "app/window_fixture.h"

#include "app/document/text.h"
#include "app/shell/finding_row.h"
#include "app/shell/setup_sheet.h"
#include "app/shell/window_place.h"
#include "app/views/brief/brief_view.h"
#include "app/views/card/card_dialog.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/print.h"
#include "io/json/shoot_json.h"

#include <QCheckBox>
#include <QClipboard>
#include <QCloseEvent>
#include <QComboBox>
#include <QDropEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMimeData>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QSet>
#include <QUrl>

namespace bslate::app {
namespace {

using Window = WindowTest;

void write(const QString& path, const QByteArray& bytes) {
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write(bytes);
}

FindingRow* rowOf(WindowTest& test, const char* key) {
    test.window->verdict().refresh();
    for (auto* row : test.window->verdict().rows())
        if (row->finding().key() == key)
            return row;
    return nullptr;
}

TEST_F(Window, ARemedyIsOneClickAndOneUndo) {
    auto* row = rowOf(*this, "patch-clipped:sky");
    ASSERT_NE(row, nullptr);
    QPushButton* cure = nullptr;
    for (auto* button : row->findChildren<QPushButton*>())
        if (button->accessibleName().startsWith(QStringLiteral("Rate EI 640")))
            cure = button;
    ASSERT_NE(cure, nullptr);
    cure->setFocus(); // scrolls it into view
    QTest::qWait(1);
    QTest::mouseClick(cure, Qt::LeftButton);
    EXPECT_EQ(setup().rating, ExposureIndex(640));
    EXPECT_EQ(rowOf(*this, "patch-clipped:sky"), nullptr);
    EXPECT_EQ(window->document().undoStack().undoText(), QStringLiteral("Rate EI 640, ND0.3 on"))
        << "all that it did";
    window->document().undoStack().undo();
    EXPECT_NE(rowOf(*this, "patch-clipped:sky"), nullptr);
}

// A remedy is a whole setup: one of an earlier value would take back what was changed since.
TEST_F(Window, ARemedyOfAnEarlierValueTakesNothingBack) {
    auto* row = rowOf(*this, "patch-clipped:sky");
    ASSERT_NE(row, nullptr);
    auto* cure = row->findChild<QPushButton*>();
    const auto before = setup().rating;
    window->actionsOnShoot().setSchool(School::Raw);
    const auto changed = window->document().shoot();
    cure->click(); // before anything was judged again
    EXPECT_EQ(window->document().shoot(), changed);
    EXPECT_EQ(setup().rating, before);
    window->document().undoStack().undo();
    rowOf(*this, "patch-clipped:sky")->findChild<QPushButton*>()->click();
    EXPECT_NE(window->document().shoot(), changed) << "the present one works";
}

TEST_F(Window, AcceptingNeedsAReasonIsRememberedAndCanBeTakenBack) {
    auto* row = rowOf(*this, "patch-clipped:sky");
    QPushButton* letGo = nullptr;
    for (auto* button : row->findChildren<QPushButton*>())
        if (button->text() == QStringLiteral("Let it go"))
            letGo = button;
    ASSERT_NE(letGo, nullptr);
    QTest::mouseClick(letGo, Qt::LeftButton);
    auto* why = row->findChild<QLineEdit*>();
    QTest::keyClick(why, Qt::Key_Return);
    EXPECT_TRUE(setup().accepted.empty()) << "no reason, no acceptance";
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("say why")));
    why->setText(QStringLiteral("only sky"));
    QTest::keyClick(why, Qt::Key_Return);
    ASSERT_EQ(setup().accepted.size(), 1u);
    EXPECT_EQ(window->document().verdict()->worst(), Severity::Good);
    EXPECT_TRUE(window->saveTo(file("accepted.bslate")));
    EXPECT_EQ(io::loadShoot(fromQt(file("accepted.bslate")))->setups[1].accepted[0].reason,
              "only sky");
    row = rowOf(*this, "patch-clipped:sky");
    QTest::mouseClick(letGo, Qt::LeftButton);
    EXPECT_TRUE(setup().accepted.empty());
}

TEST_F(Window, SetupsAreAddedDuplicatedAndDeleted) {
    trigger("Duplicate");
    EXPECT_EQ(setup().number, "2C") << "2B is taken";
    EXPECT_EQ(window->document().shoot().setups.size(), 9u);
    trigger("Delete");
    EXPECT_EQ(window->document().shoot().setups.size(), 8u);
    trigger("Add setup");
    EXPECT_TRUE(window->document().verdict()->evaluation.has_value())
        << "a new setup works at once";
    for (int i = 0; i < 12; ++i)
        trigger("Delete");
    EXPECT_EQ(window->document().setup(), nullptr);
    window->grab();
    trigger("Dial-in card\u2026");
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("add one first")));
    while (window->document().undoStack().canUndo())
        window->document().undoStack().undo();
    EXPECT_EQ(window->document().shoot().setups.size(), 8u);
    EXPECT_FALSE(window->document().isModified());
}

TEST_F(Window, CtrlArrowsMoveAlongTheRail) {
    QTest::keyClick(window.get(), Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(setup().number, "2B");
    QTest::keyClick(window.get(), Qt::Key_Left, Qt::ControlModifier);
    QTest::keyClick(window.get(), Qt::Key_Left, Qt::ControlModifier);
    QTest::keyClick(window.get(), Qt::Key_Left, Qt::ControlModifier);
    EXPECT_EQ(setup().number, "1A") << "stops at the end";
    QTest::keyClick(window.get(), Qt::Key_1, Qt::ControlModifier);
    EXPECT_EQ(window->step(), 1);
    QTest::keyClick(window.get(), Qt::Key_4, Qt::ControlModifier);
    EXPECT_EQ(window->step(), 4);
}

TEST_F(Window, SavesAndFindsEverythingAgain) {
    key(Qt::Key_Right);
    const auto before = window->document().shoot();
    ASSERT_TRUE(window->saveTo(file("mine.bslate")));
    EXPECT_FALSE(window->document().isModified());
    ASSERT_TRUE(window->files().recent().contains(file("mine.bslate")));
    window->files().startNew();
    EXPECT_TRUE(window->document().shoot().setups.empty());
    window->openPath(file("mine.bslate"));
    EXPECT_EQ(window->document().shoot(), before);
}

TEST_F(Window, BrokenFilesLeaveTheDocumentAndSayWhere) {
    key(Qt::Key_Right);
    const auto before = window->document().shoot();
    ASSERT_TRUE(window->saveTo(file("good.bslate")));
    QFile good(file("good.bslate"));
    ASSERT_TRUE(good.open(QIODevice::ReadOnly));
    const QByteArray bytes = good.readAll();
    write(file("cut.bslate"), bytes.left(bytes.size() / 2));
    write(file("unit.bslate"), QByteArray(bytes).replace("\"T", "\"K"));
    const auto version = [](int number) {
        return "\"version\": " + QByteArray::number(number) + ",\n  \"title\"";
    };
    write(file("newer.bslate"),
          QByteArray(bytes).replace(version(kShootVersion), version(kShootVersion + 1)));
    const std::pair<const char*, const char*> table[] = {{"cut.bslate", "line "},
                                                         {"unit.bslate", "/kit/lenses/0/widest"},
                                                         {"newer.bslate", "update Bright Slate"},
                                                         {"missing.bslate", "readable file"}};
    for (const auto& [name, says] : table) {
        window->openPath(file(name));
        EXPECT_TRUE(window->notice().message().contains(QString::fromLatin1(says)))
            << window->notice().message().toStdString();
        EXPECT_TRUE(window->notice().message().contains(QString::fromLatin1(name)));
        EXPECT_EQ(window->document().shoot(), before) << name;
        EXPECT_EQ(window->document().path(), file("good.bslate"));
    }
    EXPECT_FALSE(window->saveTo(file("nowhere/deep.bslate")));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("cannot be written")));
}

TEST_F(Window, QuitAsksOnlyWhenSomethingWouldBeLost) {
    const auto closes = [&] {
        QCloseEvent event;
        QCoreApplication::sendEvent(window.get(), &event);
        return event.isAccepted();
    };
    EXPECT_TRUE(closes());
    EXPECT_EQ(asked, 0);
    key(Qt::Key_Right);
    answer = MainWindow::Answer::Cancel;
    EXPECT_FALSE(closes());
    EXPECT_EQ(asked, 1);
    answer = MainWindow::Answer::Discard;
    EXPECT_TRUE(closes());
    window->document().undoStack().undo();
    EXPECT_TRUE(closes());
    EXPECT_EQ(asked, 2) << "undone to the saved state: nothing to lose";
}

TEST_F(Window, StateIsKeptBetweenRuns) {
    window->resize(1400, 900);
    window->showView("brief");
    m_style.setTheme(Theme::Paper);
    QCloseEvent event;
    QCoreApplication::sendEvent(window.get(), &event);
    m_style.setTheme(Theme::Slate);
    MainWindow again(m_style, m_settings, m_folder.path());
    EXPECT_EQ(again.step(), 1);
    EXPECT_EQ(m_style.theme(), Theme::Paper);
    EXPECT_EQ(again.width(), window->width());
    m_style.setTheme(Theme::Slate);
}

TEST_F(Window, AFileCanBeDropped) {
    ASSERT_TRUE(window->saveTo(file("drop.bslate")));
    window->files().startNew();
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(file("drop.bslate"))});
    QDragEnterEvent enter(QPoint(10, 10), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QCoreApplication::sendEvent(window.get(), &enter);
    EXPECT_TRUE(enter.isAccepted());
    QDropEvent drop(QPointF(10, 10), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QCoreApplication::sendEvent(window.get(), &drop);
    EXPECT_EQ(window->document().shoot().title, "Slack Water");
}

TEST_F(Window, TheCardIsPrintedCopiedAndCarriesWhatWasAccepted) {
    choose("5A");
    std::unique_ptr<CardDialog> card(window->makeCard());
    card->setAttribute(Qt::WA_DeleteOnClose, false);
    card->copyText();
    const QString text = QGuiApplication::clipboard()->text();
    for (const char* part : {"5A  Lantern dusk", "EI 5000", "Accepted on purpose",
                             "it frames the lanterns", "Take care"})
        EXPECT_TRUE(text.contains(QString::fromLatin1(part))) << part << "\n" << text.toStdString();
    card->savePdf(file("card.pdf"));
    QFile pdf(file("card.pdf"));
    ASSERT_TRUE(pdf.open(QIODevice::ReadOnly));
    EXPECT_TRUE(pdf.read(5) == "%PDF-");
    EXPECT_GT(pdf.size(), 4000);
    card->savePdf(file("nowhere/card.pdf"));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("cannot be written")));
}

TEST_F(Window, TheRatingLutIsWrittenFromTheWindow) {
    window->writeLut(file("2a.cube"), io::LutFormat::Cube33);
    QFile cube(file("2a.cube"));
    ASSERT_TRUE(cube.open(QIODevice::ReadOnly));
    EXPECT_TRUE(cube.readLine().startsWith("TITLE \"Slack Water 2A"));
    window->writeLut(file("nowhere/2a.cube"), io::LutFormat::Cube33);
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("cannot be written")));
}

TEST_F(Window, TheSetupSheetChecksWhatIsTyped) {
    SetupSheet sheet(window->document().shoot(), setup());
    EXPECT_LE(sheet.minimumSizeHint().height(), 740) << "OK is in view on a small screen";
    auto* rate = sheet.findChild<QLineEdit*>(QStringLiteral("sheet-rate"));
    auto* problem = sheet.findChild<QLabel*>(QStringLiteral("sheet-problem"));
    rate->setText(QStringLiteral("fast"));
    sheet.accept();
    EXPECT_TRUE(problem->text().contains(QStringLiteral("23.976"))) << "says what is accepted";
    rate->setText(QStringLiteral("31"));
    sheet.accept();
    EXPECT_TRUE(problem->text().contains(QStringLiteral("24, 25, 29.97")))
        << "says what the mode has";
    rate->setText(QStringLiteral("50"));
    sheet.accept();
    EXPECT_EQ(sheet.result().setup->rate.perSecond, Rational(50, 1));
    EXPECT_EQ(sheet.result().setup->shutter, setup().shutter) << "an angle stays an angle";
    EXPECT_TRUE(sheet.result().setup->filters.empty()) << "ND cannot pay for light that is missing";
}

TEST_F(Window, TheSetupSheetKeepsWhatLightPays) {
    auto lit = setup();
    lit.payer = Payer::Light;
    SetupSheet sheet(window->document().shoot(), lit);
    sheet.findChild<QLineEdit*>(QStringLiteral("sheet-rate"))->setText(QStringLiteral("50"));
    sheet.accept();
    const auto& scene = sheet.result().scene;
    ASSERT_TRUE(scene) << "50 frames take half the light of 24, and more of it pays";
    const auto* before = findScene(window->document().shoot(), lit.scene);
    const auto& now = scene->patches[0].reading;
    EXPECT_NEAR(
        stopsBetween(luminanceOf(now, scene->patches[0].reflectance, {}),
                     luminanceOf(before->patches[0].reading, before->patches[0].reflectance, {}))
            .value(),
        std::log2(50.0 / window->document().shoot().brief.rate.toDouble()), 0.1);
}

TEST_F(Window, TheSetupSheetSaysHowItIsHeldAndWhatIsLeftToTheCamera) {
    SetupSheet sheet(window->document().shoot(), setup());
    const auto choose = [&](const char* name, const char* words) {
        auto* box = sheet.findChild<QComboBox*>(QLatin1String(name));
        ASSERT_TRUE(box) << name;
        box->setCurrentText(QLatin1String(words));
    };
    choose("sheet-support", "hand");
    choose("sheet-stabiliser", "off");
    choose("sheet-focus-by", "faces");
    choose("sheet-sound-by", "wired microphone");
    sheet.findChild<QCheckBox*>(QStringLiteral("sheet-wireless"))->setChecked(true);
    auto* automatics = sheet.findChild<QLineEdit*>(QStringLiteral("sheet-automatics"));
    auto* problem = sheet.findChild<QLabel*>(QStringLiteral("sheet-problem"));
    automatics->setText(QStringLiteral("iso 3200-800"));
    sheet.accept();
    EXPECT_TRUE(problem->text().contains(QStringLiteral("iso 800-3200"))) << "as it is typed";
    EXPECT_EQ(sheet.result().setup->support, Support::Unsaid) << "nothing is taken over half";
    automatics->setText(QStringLiteral("iso 800-3200"));
    sheet.accept();
    const auto after = *sheet.result().setup;
    EXPECT_EQ(after.support, Support::Hand);
    EXPECT_EQ(after.stabiliser, Stabiliser::Off);
    EXPECT_EQ(after.focusBy, FocusBy::Faces);
    EXPECT_EQ(after.soundBy, SoundBy::Wired);
    EXPECT_TRUE(after.wireless);
    EXPECT_EQ(after.automatics, (std::vector<LeftAutomatic>{{AutomaticKind::Iso, 800.0, 3200.0}}));
    // No two fields of the sheet listen to the same access key.
    QSet<QChar> keys;
    for (auto* label : sheet.findChildren<QLabel*>()) {
        const auto at = label->text().indexOf(QLatin1Char('&'));
        if (at < 0 || !label->buddy())
            continue;
        const QChar letter = label->text().at(at + 1).toLower();
        EXPECT_FALSE(keys.contains(letter)) << label->text().toStdString();
        keys.insert(letter);
    }
    EXPECT_GT(keys.size(), 10);
}

// ---- Brief

TEST_F(Window, BriefAddsScenesAndPatchesInAnyUnit) {
    window->showView("brief");
    auto* brief = window->findChild<BriefView*>();
    auto* line = brief->findChild<QLineEdit*>(QStringLiteral("scene-line"));
    QTest::keyClicks(line, QStringLiteral("7A loft int 300lx mute"));
    QTest::keyClick(line, Qt::Key_Return);
    const auto& scenes = window->document().shoot().scenes;
    ASSERT_EQ(scenes.size(), 8u);
    EXPECT_EQ(brief->sceneId(), toQt(scenes.back().id));
    auto* name = brief->findChild<QLineEdit*>(QStringLiteral("scene-name"));
    name->setFocus();
    name->selectAll();
    QTest::keyClicks(name, QStringLiteral("Net loft"));
    QTest::keyClick(name, Qt::Key_Return);
    EXPECT_EQ(window->document().shoot().scenes.back().name, "Net loft");
    QTest::mouseClick(brief->findChild<QPushButton*>(QStringLiteral("add-patch")), Qt::LeftButton);
    ASSERT_EQ(window->document().shoot().scenes.back().patches.size(), 2u);
    auto* row = brief->findChild<QWidget*>(QStringLiteral("row-patch-2"));
    ASSERT_NE(row, nullptr);
    QuantityEdit* reading = nullptr;
    for (auto* edit : row->findChildren<QuantityEdit*>())
        if (edit->accessibleName().startsWith(QStringLiteral("Reading")))
            reading = edit;
    for (const char* text : {"10 fc", "108 lx", "EV 7.7", "7.6 fL"}) {
        reading->setFocus();
        reading->selectAll();
        QTest::keyClicks(reading, QString::fromLatin1(text));
        QTest::keyClick(reading, Qt::Key_Return);
        EXPECT_EQ(print(window->document().shoot().scenes.back().patches[1].reading), text);
    }
    reading->selectAll();
    QTest::keyClicks(reading, QStringLiteral("bright"));
    QTest::keyClick(reading, Qt::Key_Return);
    EXPECT_EQ(reading->text(), QStringLiteral("7.6 fL")) << "the old value is kept";
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("cd/m2")));
}

TEST_F(Window, ASceneInUseIsNotDeleted) {
    auto& actions = window->actionsOnShoot();
    actions.deleteScene(QStringLiteral("hopper"));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("2A")));
    EXPECT_EQ(window->document().shoot().scenes.size(), 7u);
    actions.addScene();
    actions.deleteScene(toQt(window->document().shoot().scenes.back().id));
    EXPECT_EQ(window->document().shoot().scenes.size(), 7u);
}

// Screens of laptops, a title bar about the window: all of it stays on the screen, and a place that
// fits is left alone.
TEST(WindowPlace, IsInsideWhatTheScreenLeaves) {
    const QMargins frame(2, 30, 2, 2);
    for (const QRect screen :
         {QRect(0, 0, 1366, 768), QRect(0, 24, 1280, 776), QRect(0, 0, 1024, 600)}) {
        const auto placed = placedWithin(screen, {200, 100, 1280, 800}, frame);
        EXPECT_TRUE(screen.contains(placed.marginsAdded(frame))) << screen.width();
    }
    EXPECT_EQ(placedWithin({0, 0, 2560, 1440}, {300, 200, 1280, 800}, frame),
              QRect(300, 200, 1280, 800));
    EXPECT_EQ(placedWithin({0, 0, 2560, 1440}, {9000, 200, 1280, 800}, frame).size(),
              QSize(1280, 800));
}

TEST_F(Window, ScrollsWhereItIsSmallerThanItsTextsNeed) {
    auto* area = window->findChild<QScrollArea*>(QStringLiteral("whole-window"));
    ASSERT_TRUE(area);
    window->resize(1280, 800);
    QTest::qWait(1);
    EXPECT_FALSE(area->verticalScrollBar()->isVisible());
    EXPECT_FALSE(area->horizontalScrollBar()->isVisible());
    window->resize(900, 500);
    QTest::qWait(1);
    EXPECT_EQ(window->size(), QSize(900, 500));
    EXPECT_TRUE(area->verticalScrollBar()->isVisible());
    EXPECT_TRUE(area->horizontalScrollBar()->isVisible());
}

} // namespace
} // namespace bslate::app
