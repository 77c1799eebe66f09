// Curves that come in and LUTs that go out, by their dialogs: every format and what is said when a
// file is not what it seems.
#include "app/document/text.h"
#include "app/views/lut/lut_dialog.h"
#include "app/views/profiles/import_dialog.h"
#include "app/window_fixture.h"
#include "core/facts/look_compare.h"
#include "io/system/files.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFile>
#include <QLabel>
#include <QTableWidget>

#include <cmath>
#include <set>

namespace bslate::app {
namespace {

class Import : public WindowTest {
protected:
    const bslate::Kit& kit() { return window->document().shoot().kit; }
    void put(const char* name, const std::string& text) {
        ASSERT_TRUE(io::writeFileAtomically(fromQt(file(name)), text).ok());
    }
    static QComboBox& box(QWidget& in, const char* name) {
        return *in.findChild<QComboBox*>(QString::fromLatin1(name));
    }
    static QPushButton* ok(QWidget& dialog) {
        return dialog.findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok);
    }
};

// A display curve as a table: 256 rows of a plain power.
std::string powerTable(double power) {
    std::string text = "LUT_1D_SIZE 1024\n";
    for (int i = 0; i < 1024; ++i) {
        const auto number = QByteArray::number(std::pow(i / 1023.0, power), 'g', 9).toStdString();
        text += number + " " + number + " " + number + "\n";
    }
    return text;
}

TEST_F(Import, TheLibrarysCurvesComeWithoutQuestionsAboutTheFile) {
    ImportDialog dialog(kit(), m_style);
    dialog.setVisible(true);
    dialog.useLibrary();
    auto& library = box(dialog, "import-library");
    ASSERT_GT(library.count(), 0);
    EXPECT_TRUE(library.isVisibleTo(&dialog));
    for (const char* asked : {"import-sense", "import-light"})
        EXPECT_FALSE(box(dialog, asked).isVisibleTo(&dialog)) << asked;
    for (int i = 0; i < std::min(library.count(), 4); ++i) {
        library.setCurrentIndex(i);
        ASSERT_TRUE(ok(dialog)->isEnabled()) << library.currentText().toStdString();
        const Profile profile = dialog.profile();
        EXPECT_EQ(toQt(profile.name), library.currentText());
        // Whatever curve it is, grey lies inside the signal and more light is more signal.
        const Signal grey = encode(profile.curve, SceneLinear(0.18));
        EXPECT_GT(grey.value(), 0.05);
        EXPECT_LT(grey.value(), 0.95);
        EXPECT_LT(encode(profile.curve, SceneLinear(0.09)), grey);
    }
}

TEST_F(Import, WhatIsKnownOfTheCamerasOtherLogIsTakenOver) {
    put("own.cube", powerTable(2.4));
    ImportDialog dialog(kit(), m_style);
    auto* grey = dialog.findChild<QLineEdit*>(QStringLiteral("import-grey"));
    grey->setText(QStringLiteral("40 %"));
    dialog.readFile(file("own.cube"));
    dialog.settle();
    ASSERT_TRUE(ok(dialog)->isEnabled()) << dialog.finding().toStdString();
    auto& cameras = box(dialog, "import-camera");
    cameras.setCurrentIndex(cameras.findData(QStringLiteral("tarn-6")));
    const auto* log = findProfile(kit(), "tarn-log");
    EXPECT_EQ(dialog.profile().iso, log->iso);
    EXPECT_EQ(dialog.profile().minimum, log->minimum);
    EXPECT_EQ(dialog.cameras(), std::vector<std::string>{"tarn-6"});
    cameras.setCurrentIndex(cameras.count() - 1);
    EXPECT_TRUE(dialog.cameras().empty()) << "for no camera yet";
    // A name of blanks is no name.
    dialog.findChild<QLineEdit*>(QStringLiteral("import-name"))->setText(QStringLiteral("  "));
    EXPECT_FALSE(dialog.profile().name.empty());
}

TEST_F(Import, AFileReadTheOtherWayRoundIsAnotherCurve) {
    put("own.cube", powerTable(2.0));
    ImportDialog dialog(kit(), m_style);
    dialog.findChild<QLineEdit*>(QStringLiteral("import-grey"))->setText(QStringLiteral("40 %"));
    dialog.readFile(file("own.cube"));
    dialog.settle();
    const auto found = dialog.profile().curve;
    box(dialog, "import-sense").setCurrentIndex(2);
    dialog.settle();
    EXPECT_NE(dialog.profile().curve, found) << dialog.finding().toStdString();
}

struct Wrong {
    const char* file;
    const char* text;
    const char* said;
};

TEST_F(Import, WhatCannotBeReadSaysWhatWasExpectedAndAddsNothing) {
    const auto before = kit();
    for (const auto& wrong :
         {Wrong{"empty.cube", "", "empty.cube"}, Wrong{"short.cube", "LUT_1D_SIZE 4\n0 0 0\n", "4"},
          Wrong{"notes.clf", "not XML at all", "notes.clf"},
          Wrong{"words.cube", "LUT_1D_SIZE 2\n0 0 0\none one one\n", "line (3)"}}) {
        put(wrong.file, wrong.text);
        ImportDialog dialog(kit(), m_style);
        dialog.readFile(file(wrong.file));
        dialog.settle();
        EXPECT_FALSE(ok(dialog)->isEnabled()) << wrong.file;
        EXPECT_TRUE(dialog.finding().contains(QString::fromLatin1(wrong.said)))
            << wrong.file << ": " << dialog.finding().toStdString();
    }
    EXPECT_EQ(kit(), before);
}

TEST_F(Import, AConfigurationThatNamesNothingIsSaid) {
    put("house.ocio", "ocio_profile_version: 2\nroles: {}\n");
    ImportDialog dialog(kit(), m_style);
    dialog.readFile(file("house.ocio"));
    dialog.settle();
    EXPECT_FALSE(ok(dialog)->isEnabled());
    EXPECT_TRUE(dialog.finding().contains(QStringLiteral("house.ocio")))
        << dialog.finding().toStdString();
}

class Lut : public Import {};

TEST_F(Lut, EveryFormatIsWrittenAndWhatCanBeReadBackAgrees) {
    LutDialog dialog(window->document().shoot(), setup());
    QObject::connect(&dialog, &LutDialog::writeRequested, window.get(), &MainWindow::writeLut);
    auto& formats = box(dialog, "lut-format");
    ASSERT_GE(formats.count(), 8);
    for (int i = 0; i < formats.count(); ++i) {
        formats.setCurrentIndex(i);
        // The ending is added where it was left out.
        const QString stem = file("out%1").arg(i);
        dialog.setAskForFile([&](bool) { return stem; });
        QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("lut-write")),
                          Qt::LeftButton);
        dialog.settle();
        const QString path = stem + toQt(io::suffixOf(dialog.format()));
        ASSERT_TRUE(QFile::exists(path)) << path.toStdString() << ": " << said();
        EXPECT_GT(QFileInfo(path).size(), 100);
        if (path.endsWith(QStringLiteral(".cube")) || path.endsWith(QStringLiteral(".clf")))
            EXPECT_TRUE(dialog.verdict().contains(QStringLiteral("agrees")) ||
                        dialog.verdict().contains(QStringLiteral("between its points")))
                << formats.currentText().toStdString() << ": " << dialog.verdict().toStdString();
    }
}

TEST_F(Lut, AFileOfSomebodyElseIsToldApartOrRefused) {
    LutDialog dialog(window->document().shoot(), setup());
    const auto check = [&](const QString& path) {
        dialog.setAskForFile([&](bool) { return path; });
        QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("lut-check")),
                          Qt::LeftButton);
        dialog.settle();
        return dialog.verdict();
    };
    put("other.cube", powerTable(1.0));
    const QString differs = check(file("other.cube"));
    EXPECT_TRUE(differs.contains(QStringLiteral("differs by up to"))) << differs.toStdString();
    put("broken.cube", "LUT_3D_SIZE 2\n0 0 0\n");
    const QString broken = check(file("broken.cube"));
    EXPECT_TRUE(broken.contains(QStringLiteral("broken.cube"))) << broken.toStdString();
    check(QString()); // cancelled: what was said stays
    EXPECT_EQ(dialog.verdict(), broken);
}

TEST_F(Lut, OfAHalfEditedSetupSaysWhatIsMissing) {
    bslate::Setup half = setup();
    half.profile = "sold";
    LutDialog dialog(window->document().shoot(), half);
    EXPECT_EQ(dialog.findChild<QTableWidget*>()->rowCount(), 0);
    EXPECT_TRUE(dialog.verdict().contains(QStringLiteral("sold")))
        << dialog.verdict().toStdString();
}

} // namespace
} // namespace bslate::app
