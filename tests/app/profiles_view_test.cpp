// The Profiles page and the body test in the real window: a curve on its way from a file to the
// LUT that undoes it, and a body from its series card to its measured profile.
#include "app/document/text.h"
#include "app/views/body_test/body_test_view.h"
#include "app/views/body_test/fit_picture.h"
#include "app/views/card/card_dialog.h"
#include "app/views/kit/kit_view.h"
#include "app/views/lut/lut_dialog.h"
#include "app/views/profiles/curve_picture.h"
#include "app/views/profiles/import_dialog.h"
#include "app/views/profiles/profiles_view.h"
#include "app/views/profiles/ramp_picture.h"
#include "app/window_fixture.h"
#include "io/system/files.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QTimer>

#include <set>

namespace bslate::app {
namespace {

class ProfilesPage : public WindowTest {
protected:
    void SetUp() override {
        window->showView("kit");
        window->showView("profiles");
    }
    const bslate::Kit& kit() { return window->document().shoot().kit; }
    QString file(const char* name) { return m_folder.filePath(QString::fromLatin1(name)); }

    // A curve nobody has the parameters of: a logarithm as a table of 4096.
    QString writeCurve(const char* name, double flaw = 1.0) {
        std::string text = "LUT_1D_SIZE 4096\n";
        const Curve curve{CameraLog{2, 0.068, 0.42, 6.5, 0.055, 0.01, {}}, CodeRange::Full, {}};
        for (int i = 0; i < 4096; ++i) {
            const double light =
                decode(curve, Signal(i / 4095.0)).value() * (i == 2000 ? flaw : 1.0);
            const auto number = QByteArray::number(light, 'g', 9).toStdString();
            text += number + " " + number + " " + number + "\n";
        }
        EXPECT_TRUE(io::writeFileAtomically(file(name).toStdString(), text).ok());
        return file(name);
    }

    // Lets `act` work in the dialog that the next step opens.
    template<class Dialog>
    void inDialog(const std::function<void(Dialog&)>& act) {
        QTimer::singleShot(0, window.get(), [this, act] {
            auto* dialog = window->findChild<Dialog*>();
            ASSERT_NE(dialog, nullptr);
            if constexpr (requires { dialog->settle(); })
                dialog->settle();
            act(*dialog);
            if (dialog->isVisible())
                dialog->reject();
        });
    }
    void pick(QWidget& in, const char* name, const QString& id) {
        auto* box = in.findChild<QComboBox*>(QString::fromLatin1(name));
        ASSERT_GE(box->findData(id), 0) << name;
        box->setCurrentIndex(box->findData(id));
        emit box->activated(box->currentIndex());
    }
    QString note() { return window->notice().findChild<QLabel*>()->text(); }
};

TEST_F(ProfilesPage, ACurveFromAFileIsPlacedOnAndItsLutShowsTheSameValues) {
    choose("2A");
    const auto before = kit().profiles.size();
    inDialog<ImportDialog>([this](ImportDialog& dialog) {
        EXPECT_TRUE(dialog.finding().contains(QStringLiteral("camera-log curve")))
            << dialog.finding().toStdString();
        pick(dialog, "import-camera", QStringLiteral("tarn-6"));
        dialog.findChild<QLineEdit*>(QStringLiteral("import-name"))
            ->setText(QStringLiteral("House"));
        dialog.accept();
    });
    window->view<ProfilesView>().importFile(writeCurve("house.cube"));
    ASSERT_EQ(kit().profiles.size(), before + 1);
    EXPECT_EQ(kit().profiles.back().name, "House");
    EXPECT_EQ(window->view<ProfilesView>().chosen(), toQt(kit().profiles.back().id));
    // By key: Return gives it to the setup, whose zebra is that of this curve now.
    const auto zebra = at().zebra;
    window->view<ProfilesView>().findChild<QListWidget*>()->setFocus();
    QTest::keyClick(window->view<ProfilesView>().findChild<QListWidget*>(), Qt::Key_Return);
    EXPECT_EQ(setup().profile, kit().profiles.back().id);
    EXPECT_NE(at().zebra, zebra);
    EXPECT_FALSE(window->document().verdict()->find("mode-excluded")) << "the mode records it";
    // Grey at -1 of rating is recorded at +1: 0.068 log2(6.5 * 0.36 + 0.055) + 0.42 = 0.5055.
    EXPECT_NEAR(at().midGreyLevel.value(),
                (1023 * (0.068 * std::log2(6.5 * 0.18 + 0.055) + 0.42) - 64) / 8.76, 0.05);
    LutDialog lut(window->document().shoot(), setup());
    const QString path = file("house-rating.cube");
    lut.setAskForFile([&](bool) { return path; });
    QObject::connect(&lut, &LutDialog::writeRequested, window.get(), &MainWindow::writeLut);
    QTest::mouseClick(lut.findChild<QPushButton*>(QStringLiteral("lut-write")), Qt::LeftButton);
    EXPECT_TRUE(QFile::exists(path)) << note().toStdString();
    lut.settle();
    EXPECT_TRUE(lut.verdict().contains(QStringLiteral("agrees"))) << lut.verdict().toStdString();
    auto* table = lut.findChild<QTableWidget*>();
    ASSERT_EQ(table->rowCount(), 6);
    for (int row = 0; row < table->rowCount(); ++row) {
        const double computed = table->item(row, 2)->text().split(u' ')[0].toDouble();
        const double read = table->item(row, 3)->text().split(u' ')[0].toDouble();
        EXPECT_NEAR(computed, read, 1.0) << row;
    }
    // Through another look the same file differs, and the dialog says so.
    pick(lut, "lut-look", QStringLiteral("ferry-evening"));
    lut.settle();
    EXPECT_TRUE(lut.verdict().contains(QStringLiteral("differs"))) << lut.verdict().toStdString();
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    EXPECT_EQ(kit().profiles.size(), before);
}

TEST_F(ProfilesPage, ABrokenOrCancelledImportLeavesTheKitAsItWas) {
    const auto before = kit();
    inDialog<ImportDialog>([](ImportDialog& dialog) {
        EXPECT_TRUE(dialog.finding().contains(QStringLiteral("line 2002")))
            << dialog.finding().toStdString();
        auto* ok = dialog.findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok);
        EXPECT_FALSE(ok->isEnabled());
    });
    window->view<ProfilesView>().importFile(writeCurve("bent.cube", 0.5));
    inDialog<ImportDialog>([](ImportDialog& dialog) {
        auto* grey = dialog.findChild<QLineEdit*>(QStringLiteral("import-grey"));
        grey->setText(QStringLiteral("grey"));
        emit grey->editingFinished();
        EXPECT_TRUE(dialog.finding().startsWith(QStringLiteral("Mid-grey")))
            << dialog.finding().toStdString();
    });
    window->view<ProfilesView>().importFile(writeCurve("fine.cube"));
    window->view<ProfilesView>().setAskForFile([] { return QString(); });
    QTest::keyClick(&window->view<ProfilesView>(), Qt::Key_Insert);
    EXPECT_EQ(kit(), before);
    EXPECT_TRUE(window->document().undoStack().isClean());
}

TEST_F(ProfilesPage, CurvesAreReadByKeyAndCompared) {
    window->view<ProfilesView>().choose(QStringLiteral("tarn-log"));
    window->view<ProfilesView>().compareWith(QStringLiteral("sedge-flat"));
    auto* picture = window->view<ProfilesView>().findChild<CurvePicture*>();
    picture->setFocus();
    for (int i = 0; i < 3; ++i)
        QTest::keyClick(picture, Qt::Key_Right);
    // A stop over grey: 0.0735 log2(2.21) + 0.4 = 0.48409 is code 495, 49 %.
    const QString reading = picture->readingAt(Stops(1));
    EXPECT_TRUE(reading.contains(QStringLiteral("Tarn Log: 49 %, code 495")))
        << reading.toStdString();
    EXPECT_TRUE(reading.contains(QStringLiteral("Sedge Flat"))) << reading.toStdString();
    EXPECT_EQ(QAccessible::queryAccessibleInterface(picture)->text(QAccessible::Value), reading);
    QTest::mouseMove(picture, QPoint(int(picture->axis().x(Stops(2))), 60));
    EXPECT_NE(QAccessible::queryAccessibleInterface(picture)->text(QAccessible::Value), reading);
    // The ramp at 8 bits has fewer shades than at 12.
    auto* ramps = window->view<ProfilesView>().findChild<RampPicture*>();
    const auto shades = [&](std::size_t strip) {
        std::set<int> found;
        for (int x = 0; x < ramps->strip(strip).width(); ++x)
            found.insert(qGray(ramps->strip(strip).pixel(x, 0)));
        return found.size();
    };
    EXPECT_LT(shades(0), shades(2));
    EXPECT_TRUE(ramps->words().contains(QStringLiteral("8 bits"))) << ramps->words().toStdString();
}

TEST_F(ProfilesPage, AProfileInUseIsNotDeletedAndWrongCamerasAreNamed) {
    choose("2A");
    window->view<ProfilesView>().choose(QStringLiteral("tarn-log"));
    QTest::keyClick(&window->view<ProfilesView>(), Qt::Key_Delete);
    EXPECT_TRUE(findProfile(kit(), "tarn-log"));
    EXPECT_TRUE(note().contains(QStringLiteral("records in this profile"))) << note().toStdString();
    window->view<ProfilesView>().choose(QStringLiteral("pip-soft"));
    QTest::keyClick(&window->view<ProfilesView>(), Qt::Key_Return);
    EXPECT_EQ(setup().profile, "tarn-log");
    EXPECT_TRUE(note().contains(QStringLiteral("does not have Pip Soft"))) << note().toStdString();
}

TEST_F(ProfilesPage, AProfileIsRenamedInItsListAndNeverToNothing) {
    auto* list = window->findChild<QListWidget*>(QStringLiteral("profiles"));
    window->view<ProfilesView>().choose(QStringLiteral("pip-soft"));
    const auto before = kit();
    const auto rename = [&](const char* name) {
        list->setFocus();
        QTest::keyClick(list, Qt::Key_F2);
        auto* edit = list->findChild<QLineEdit*>();
        ASSERT_TRUE(edit);
        edit->selectAll();
        QTest::keyClick(edit, Qt::Key_Delete);
        QTest::keyClicks(edit, QString::fromUtf8(name));
        QTest::keyClick(edit, Qt::Key_Return); // the list takes it in its own time
        EXPECT_TRUE(QTest::qWaitFor(
            [&] {
                return !list->findChild<QLineEdit*>() &&
                       list->currentItem()->text() == QStringLiteral("Pip, evening") &&
                       findProfile(kit(), "pip-soft")->name == "Pip, evening";
            },
            3000))
            << name;
    };
    rename("Pip, evening");
    EXPECT_EQ(findProfile(kit(), "pip-soft")->name, "Pip, evening");
    EXPECT_EQ(list->currentItem()->text(), QStringLiteral("Pip, evening"));
    rename("   ");
    EXPECT_EQ(findProfile(kit(), "pip-soft")->name, "Pip, evening");
    EXPECT_EQ(list->currentItem()->text(), QStringLiteral("Pip, evening")) << "the old one is back";
    window->document().undoStack().undo();
    EXPECT_EQ(kit(), before);
}

class BodyTest : public ProfilesPage {
protected:
    void SetUp() override {
        window->showView("kit");
        window->showView("body-test");
    }
    BodyTestView& view() { return window->view<BodyTestView>(); }
    QPlainTextEdit* readings() { return view().findChild<QPlainTextEdit*>(); }
};

TEST_F(BodyTest, FromSeriesCardToTheVerdictOnTheMeasuredCurve) {
    EXPECT_TRUE(view().fitted()) << "what the demo's body was found to do is shown";
    pick(view(), "test-camera", QStringLiteral("tarn-6"));
    // A new body: nothing recalled, nothing fitted until its readings are there.
    readings()->clear();
    pick(view(), "test-camera", QStringLiteral("tarn-6"));
    auto* card = view().showCard();
    ASSERT_NE(card, nullptr);
    card->copyText();
    const QString planned = QGuiApplication::clipboard()->text();
    EXPECT_TRUE(planned.contains(QStringLiteral("reference"))) << planned.toStdString();
    EXPECT_TRUE(planned.contains(QStringLiteral("lx")));
    card->close();
    // The readings, pasted: a body 0.3 stop brighter than nominal whose channels end at 85 %.
    const auto curve = findProfile(kit(), "tarn-log")->curve;
    QString csv = QStringLiteral("stop;percent\n");
    for (double stops = -8; stops <= 7.01; stops += 0.5) {
        const Level level = std::min(levelAt(curve, Stops(stops + 0.3), BitDepth{10}), Level(85));
        csv += QStringLiteral("%1;%2\n").arg(stops).arg(level.value(), 0, 'f', 3);
    }
    QGuiApplication::clipboard()->setText(csv);
    readings()->setFocus();
    readings()->selectAll();
    QTest::keyClick(readings(), Qt::Key_V, Qt::ControlModifier);
    QTest::keyClick(readings(), Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(view().fitted()) << view().finding().toStdString();
    EXPECT_NEAR(view().fitted()->shift.value(), 0.3, 0.01);
    EXPECT_TRUE(view().finding().contains(QStringLiteral("Zebra at")))
        << view().finding().toStdString();
    QTest::keyClick(readings(), Qt::Key_K, Qt::ControlModifier);
    const auto& kept = kit().profiles.back();
    ASSERT_TRUE(kept.measured) << note().toStdString();
    EXPECT_EQ(kept.measured->camera, "tarn-6");
    // The setup that records nominally is told, and takes the measured one by its remedy.
    choose("2A");
    const auto nominalClip = at().clip;
    auto* source = window->findChild<QLabel*>(QStringLiteral("curve-source"));
    EXPECT_TRUE(source->text().contains(QStringLiteral("printed"))) << source->text().toStdString();
    bslate::Setup measured = setup();
    measured.profile = kept.id;
    window->showView("profiles");
    window->view<ProfilesView>().choose(toQt(kept.id));
    QTest::keyClick(&window->view<ProfilesView>(), Qt::Key_Return);
    EXPECT_EQ(setup().profile, kept.id);
    EXPECT_LT(at().clip, nominalClip) << "85 % is reached below +6.1";
    window->verdict().refresh();
    EXPECT_TRUE(source->text().contains(QStringLiteral("measured on this body")))
        << source->text().toStdString();
}

TEST_F(BodyTest, WrongReadingsAreNamedAndStay) {
    const auto before = kit();
    const QString wrong = QStringLiteral("0,40\none,50\n");
    view().setReadings(wrong);
    view().fit();
    EXPECT_FALSE(view().fitted());
    EXPECT_TRUE(view().finding().contains(QStringLiteral("line 2")))
        << view().finding().toStdString();
    EXPECT_EQ(readings()->toPlainText(), wrong) << "what was typed is not lost";
    EXPECT_FALSE(view().findChild<QPushButton*>(QStringLiteral("test-keep"))->isEnabled());
    QTest::keyClick(readings(), Qt::Key_K, Qt::ControlModifier);
    view().openReadings(file("nowhere.csv"));
    EXPECT_TRUE(view().finding().contains(QStringLiteral("nowhere.csv")));
    EXPECT_EQ(kit(), before);
    // Another body is looked at meanwhile: the typed readings wait.
    pick(view(), "test-camera", QStringLiteral("tarn-6"));
    EXPECT_EQ(readings()->toPlainText(), wrong);
}

TEST_F(BodyTest, PagesTurnByKeyAndAnEmptyKitTeaches) {
    QTest::keyClick(readings(), Qt::Key_PageDown, Qt::ControlModifier);
    EXPECT_EQ(window->page(), &window->view<KitView>());
    QTest::keyClick(&window->view<KitView>(), Qt::Key_PageUp, Qt::ControlModifier);
    EXPECT_EQ(window->page(), &window->view<BodyTestView>());
    window->document().reset(Shoot{}, {});
    EXPECT_EQ(view().showCard(), nullptr);
    view().fit();
    EXPECT_TRUE(note().contains(QStringLiteral("body"))) << note().toStdString();
    window->showView("profiles");
    EXPECT_TRUE(window->view<ProfilesView>().summary().contains(QStringLiteral("Insert imports")));
    EXPECT_TRUE(window->grab().toImage().isGrayscale() == false);
}

} // namespace
} // namespace bslate::app
