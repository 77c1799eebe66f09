// The Kit step in the real window: adding, describing, refusing, importing and exporting.
#include "app/camera_sheet_fixture.h"
#include "app/document/text.h"
#include "app/views/kit/kit_view.h"
#include "app/widgets/quantity_edit.h"
#include "io/json/kit_json.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTabWidget>
#include <QTimer>

namespace bslate::app {
namespace {

class KitStep : public CameraSheetTest {
protected:
    void click(const char* name) {
        const auto wanted = QString::fromLatin1(name);
        if (auto* button = window->view<KitView>().findChild<QPushButton*>(wanted))
            return QTest::mouseClick(button, Qt::LeftButton);
        auto* entry = window->view<KitView>().findChild<QAction*>(wanted);
        ASSERT_TRUE(entry) << name;
        entry->trigger();
    }
    QLineEdit* field(const char* key) {
        return window->view<KitView>().findChild<QLineEdit*>(
            QStringLiteral("gear-field-%1").arg(QLatin1String(key)));
    }
    void enter(const char* key, const char* text) {
        field(key)->setFocus();
        field(key)->selectAll();
        QTest::keyClicks(field(key), QString::fromLatin1(text));
        QTest::keyClick(field(key), Qt::Key_Return);
        QTest::qWait(1);
    }
};

void type(CameraSheet& sheet, const char* name, const char* text) {
    auto* edit = sheet.findChild<QLineEdit*>(QString::fromLatin1(name));
    edit->setFocus();
    edit->selectAll();
    QTest::keyClicks(edit, QString::fromLatin1(text));
}

void typeModes(CameraSheet& sheet, const char* text) {
    sheet.findChild<QPlainTextEdit*>(QStringLiteral("camera-modes"))
        ->setPlainText(QString::fromLatin1(text));
}

TEST_F(KitStep, AnInventedCameraIsDescribedFromScratchAndPlannedWith) {
    window->view<KitView>().choose(KitPart::Camera, QStringLiteral("pip"));
    inSheet([](CameraSheet& sheet) {
        type(sheet, "camera-name", "Heron 4");
        type(sheet, "camera-sensor", "24.9 x 14");
        type(sheet, "camera-bases", "640, 3200");
        type(sheet, "camera-clip", "5.5");
        type(sheet, "camera-range", "12");
        type(sheet, "camera-slots", "UHS-II, UHS-I");
        auto* profiles = sheet.findChild<QListWidget*>();
        for (int i = 0; i < profiles->count(); ++i)
            profiles->item(i)->setCheckState(Qt::Checked);
        typeModes(sheet, "UHD long 10-bit 4:2:2 24/25@150 50@fast");
        EXPECT_TRUE(problem(sheet).contains(QStringLiteral("line 1")))
            << problem(sheet).toStdString();
        sheet.accept();
        EXPECT_TRUE(sheet.isVisible()) << "a wrong line keeps the sheet open";
        typeModes(sheet, "UHD long 10-bit 4:2:2 24/25@150 50@200\n"
                         "\"Slow\" HD long 10-bit 4:2:2 100@200 crop1.3 mute");
        sheet.accept();
        EXPECT_FALSE(sheet.isVisible()) << problem(sheet).toStdString();
    });
    click("gear-add");
    ASSERT_EQ(kit().cameras.size(), 4u);
    const auto& heron = kit().cameras.back();
    EXPECT_EQ(heron.name, "Heron 4");
    EXPECT_EQ(heron.modes.size(), 2u);
    EXPECT_NEAR(dynamicRange(heron.bases[0].sensor, 2).value(), 12, 0.01);
    window->actionsOnShoot().changeSetup(QStringLiteral("x"), [&](bslate::Setup& setup) {
        setup.camera = heron.id;
        setup.mode = heron.modes[0].id;
        setup.base = setup.rating = ExposureIndex(640);
    });
    ASSERT_TRUE(window->document().verdict()->evaluation.has_value());
    EXPECT_EQ(window->document().verdict()->find("mode-excluded"), nullptr);
    EXPECT_EQ(*at().recording.bitRate, DataRate(150e6));
    ASSERT_TRUE(window->saveTo(file("heron.bslate")));
    window->openPath(file("heron.bslate"));
    EXPECT_EQ(kit().cameras.back().name, "Heron 4") << "the edited kit is kept in the shoot";
}

TEST_F(KitStep, ACancelledDescriptionLeavesTheKitAsItWas) {
    const auto before = window->document().value();
    window->view<KitView>().choose(KitPart::Camera, QStringLiteral("pip"));
    inSheet([](CameraSheet& sheet) {
        type(sheet, "camera-name", "Never mind");
        sheet.reject();
    });
    click("gear-add");
    EXPECT_EQ(window->document().value(), before);
}

TEST_F(KitStep, TheSheetNamesTheFieldThatCannotBeRead) {
    const struct {
        const char* field;
        const char* text;
        const char* says;
    } wrong[] = {{"camera-name", "", "Name"},
                 {"camera-sensor", "24.9", "Sensor"},
                 {"camera-bases", "800; 5000", "Base"},
                 {"camera-clip", "5,5", "Stops over grey"},
                 {"camera-range", "many", "Stops of range"},
                 {"camera-slots", "UHS-9", "Card slots"},
                 {"camera-banks", "three", "Banks"},
                 {"camera-draw", "7 V", "Power draw"},
                 {"camera-zebra", "0", "Zebra step"}};
    inSheet([&](CameraSheet& sheet) {
        for (const auto& entry : wrong) {
            auto* edit = sheet.findChild<QLineEdit*>(QString::fromLatin1(entry.field));
            const QString good = edit->text();
            edit->setText(QString::fromLatin1(entry.text));
            EXPECT_TRUE(problem(sheet).startsWith(QString::fromLatin1(entry.says)))
                << entry.field << ": " << problem(sheet).toStdString();
            sheet.accept();
            EXPECT_TRUE(sheet.isVisible());
            EXPECT_EQ(sheet.focusWidget(), edit) << "the cursor goes to the wrong field";
            edit->setText(good);
        }
    });
    window->view<KitView>().describeCamera(QStringLiteral("sedge-2"));
}

TEST_F(KitStep, DescribingKeepsWhatTheSheetDoesNotAsk) {
    const auto before = *findCamera(kit(), "tarn-6");
    inSheet([](CameraSheet& sheet) {
        type(sheet, "camera-white", "20 tint 0.0013 to 15 M/G");
        sheet.accept();
    });
    window->view<KitView>().describeCamera(QStringLiteral("tarn-6"));
    auto after = *findCamera(kit(), "tarn-6");
    EXPECT_EQ(after.white.step, 20);
    after.white.step = before.white.step;
    EXPECT_EQ(after, before) << "modes, constraints, rate sets and sensor stay as they were";
}

TEST_F(KitStep, FieldsAreTypedInPlaceAndWrongOnesKeepTheOldValue) {
    const auto before = kit();
    window->view<KitView>().choose(KitPart::Card, QStringLiteral("sd-v60"));
    enter("capacity", "256 GB");
    EXPECT_EQ(findCard(kit(), "sd-v60")->capacity, DataSize(256e9));
    enter("speed-class", "V99");
    EXPECT_EQ(field("speed-class")->text(), QStringLiteral("V60"));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("V90")));
    enter("bus", "CFexpress B");
    EXPECT_EQ(findCard(kit(), "sd-v60")->form, CardForm::CfExpressB);
    for (int i = 0; i < 2; ++i)
        window->document().undoStack().undo();
    EXPECT_EQ(kit(), before);
}

TEST_F(KitStep, EveryKindIsAddedDuplicatedAndDeletedUnlessUsed) {
    for (const auto kind : kGear) {
        if (kind == KitPart::Camera)
            continue; // it is described in its sheet
        window->view<KitView>().choose(kind, {});
        const auto before = kit();
        click("gear-add");
        click("gear-duplicate");
        EXPECT_NE(kit(), before);
        click("gear-delete");
        click("gear-delete");
        window->document().undoStack().undo();
        window->document().undoStack().undo();
        window->document().undoStack().undo();
        window->document().undoStack().undo();
        EXPECT_EQ(kit(), before) << nameOf(kind).toStdString();
    }
    window->view<KitView>().choose(KitPart::Camera, QStringLiteral("tarn-6"));
    click("gear-delete");
    EXPECT_NE(findCamera(kit(), "tarn-6"), nullptr);
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("1A")));
}

TEST_F(KitStep, ACameraTravelsByFile) {
    const QString path = file("tarn.bskit.json");
    window->view<KitView>().setAskForFile([&](bool) { return path; });
    window->view<KitView>().choose(KitPart::Camera, QStringLiteral("tarn-6"));
    click("gear-export");
    click("gear-import");
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("already")));
    EXPECT_EQ(kit().cameras.size(), 3u);
    window->document().reset({}, {});
    click("gear-import");
    ASSERT_EQ(kit().cameras.size(), 1u);
    EXPECT_EQ(kit().cameras[0].name, "Tarn 6");
    const QString cards = file("card.bskit.json");
    ASSERT_TRUE(window->files().openDemo().ok());
    window->view<KitView>().setAskForFile([&](bool) { return cards; });
    window->view<KitView>().choose(KitPart::Card, QStringLiteral("sd-v60"));
    click("gear-export");
    const auto one = io::loadKit(fromQt(cards));
    ASSERT_TRUE(one.ok());
    EXPECT_TRUE(one->cameras.empty() && one->lenses.empty());
    ASSERT_EQ(one->cards.size(), 1u);
    EXPECT_EQ(one->cards[0], *findCard(kit(), "sd-v60"));
    click("kit-export");
    EXPECT_EQ(io::loadKit(fromQt(cards))->cameras.size(), 3u);
    const QString missing = file("none.bskit.json");
    window->view<KitView>().setAskForFile([&](bool) { return missing; });
    click("gear-import");
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("none.bskit.json")));
    window->view<KitView>().setAskForFile([](bool) { return QString(); });
    const auto before = kit();
    click("gear-import");
    EXPECT_EQ(kit(), before) << "cancelled";
}

// Types into the field of that name; false when there is none.
bool typeField(KitView& view, const char* label, const char* text) {
    for (auto* edit : view.findChildren<QuantityEdit*>())
        if (edit->accessibleName() == QString::fromUtf8(label)) {
            edit->setFocus();
            edit->selectAll();
            QTest::keyClick(edit, Qt::Key_Delete);
            QTest::keyClicks(edit, QString::fromUtf8(text));
            QTest::keyClick(edit, Qt::Key_Return);
            QCoreApplication::processEvents();
            return true;
        }
    return false;
}

// Two ends of one range: where one is moved past the other, the other comes along.
TEST_F(KitStep, ALensStaysWholeWhicheverEndIsTyped) {
    auto& view = window->view<KitView>();
    const auto zoom = std::find_if(kit().lenses.begin(), kit().lenses.end(),
                                   [](const Lens& lens) { return lens.shortest < lens.longest; });
    ASSERT_NE(zoom, kit().lenses.end());
    const auto id = zoom->id;
    const auto lens = [&]() -> const Lens& { return *findLens(kit(), id); };
    view.choose(KitPart::Lens, toQt(id));
    const auto before = kit();
    ASSERT_TRUE(typeField(view, "Shortest focal length", "135 mm")) << "the field's name";
    EXPECT_EQ(lens().shortest, Millimetres(135));
    EXPECT_EQ(lens().longest, Millimetres(135)) << "never shorter than the shortest";
    ASSERT_TRUE(typeField(view, "Longest focal length", "20mm"));
    EXPECT_EQ(lens().shortest, Millimetres(20)) << "never longer than the longest";
    ASSERT_TRUE(typeField(view, "Widest T-stop", "T22"));
    EXPECT_GE(lens().narrowest, lens().widest);
    ASSERT_TRUE(typeField(view, "Narrowest T-stop", "T8"));
    EXPECT_LE(lens().widest, lens().narrowest);
    ASSERT_TRUE(typeField(view, "Closest focus", "0.45 m"));
    EXPECT_EQ(lens().closest, Metres(0.45));
    const auto sound = kit();
    for (const auto& [field, text] :
         {std::pair("Shortest focal length", "wide"), std::pair("Closest focus", "-1 m"),
          std::pair("Narrowest T-stop", "T0"), std::pair("Name", "  ")}) {
        EXPECT_TRUE(typeField(view, field, text)) << field;
        EXPECT_FALSE(said().empty());
        EXPECT_EQ(kit(), sound) << field << " kept the old value";
    }
    while (window->document().undoStack().canUndo())
        window->document().undoStack().undo();
    EXPECT_EQ(kit(), before);
}

TEST_F(KitStep, FiltersTakeEveryTraditionOfNdAndATick) {
    auto& view = window->view<KitView>();
    const auto id = kit().filters[0].id;
    const auto filter = [&]() -> const Filter& { return kit().filters[0]; };
    view.choose(KitPart::Filter, toQt(id));
    for (const auto& [typed, stops] :
         {std::pair("ND1.2", 1.2 / std::log10(2.0)), std::pair("ND8", 3.0),
          std::pair("2 stops", 2.0), std::pair("0.3", 0.3 / std::log10(2.0))}) {
        ASSERT_TRUE(typeField(view, "Loss", typed)) << typed;
        EXPECT_NEAR(lossOf(filter().label).value(), stops, 1e-9) << typed;
    }
    for (const bool cuts : {true, false}) {
        auto* tick = view.findChild<QCheckBox*>(QStringLiteral("gear-field-ir-cut"));
        ASSERT_TRUE(tick);
        tick->setFocus();
        QTest::keyClick(tick, Qt::Key_Space);
        QCoreApplication::processEvents();
        EXPECT_EQ(filter().irCut, cuts);
    }
}

TEST_F(KitStep, CardsAndDrivesTakeSpeedsInBothSpellings) {
    auto& view = window->view<KitView>();
    view.choose(KitPart::Card, QStringLiteral("sd-v60"));
    ASSERT_TRUE(typeField(view, "Usable share", "90 %"));
    EXPECT_EQ(findCard(kit(), "sd-v60")->usable, 0.9);
    ASSERT_TRUE(typeField(view, "Reads at", "250 MB/s"));
    EXPECT_EQ(findCard(kit(), "sd-v60")->read, DataRate(2000e6));
    view.choose(KitPart::Reader, toQt(kit().readers[0].id));
    ASSERT_TRUE(typeField(view, "To the computer", "10 Gb/s"));
    EXPECT_EQ(kit().readers[0].bus, DataRate(10e9));
    view.choose(KitPart::Drive, toQt(kit().drives[0].id));
    ASSERT_TRUE(typeField(view, "Capacity", "4 TB"));
    EXPECT_EQ(kit().drives[0].capacity, DataSize(4e12));
    ASSERT_TRUE(typeField(view, "Reads at", "1 GB/s"));
    EXPECT_EQ(kit().drives[0].read, DataRate(8e9));
    view.choose(KitPart::Battery, toQt(kit().batteries[0].id));
    ASSERT_TRUE(typeField(view, "Energy", "72 Wh"));
    EXPECT_EQ(kit().batteries[0].energy, WattHours(72));
    ASSERT_TRUE(typeField(view, "Usable until the camera stops", "101 %"));
    EXPECT_LE(kit().batteries[0].usable, 1.0) << "no battery gives more than it has";
}

// The sheet draws the sensor areas and modes it describes, with the angles of the lens at hand.
TEST_F(KitStep, TheSheetDrawsTheCameraItDescribes) {
    window->view<KitView>().choose(KitPart::Camera, QStringLiteral("tarn-6"));
    inSheet([](CameraSheet& sheet) {
        auto* picture = sheet.findChild<QWidget*>(QStringLiteral("sensor-picture"));
        ASSERT_TRUE(picture);
        EXPECT_FALSE(picture->accessibleName().isEmpty());
        EXPECT_LE(sheet.minimumSizeHint().height(), 740) << "OK is in view on a small screen";
        const auto drawn = picture->grab().toImage();
        typeModes(sheet, "UHD intra 10-bit 4:2:2 24@240");
        QTest::qWait(1);
        EXPECT_NE(picture->grab().toImage(), drawn) << "one mode instead of nine";
    });
    click("gear-describe");
}

TEST_F(KitStep, ReadersDrivesChargersAndBatteriesAreEdited) {
    const auto enter = [&](const char* label, const char* text) {
        return typeField(window->view<KitView>(), label, text);
    };
    window->view<KitView>().choose(KitPart::Reader, QStringLiteral("reader"));
    EXPECT_TRUE(enter("Takes", "SD, cfexpress b, CFast"));
    EXPECT_EQ(kit().readers[0].forms.size(), 3u);
    EXPECT_TRUE(enter("Takes", "floppy"));
    EXPECT_EQ(kit().readers[0].forms.size(), 3u) << "the old value stays";
    window->view<KitView>().choose(KitPart::Drive, QStringLiteral("backup"));
    EXPECT_TRUE(enter("Writes at", "200MB/s"));
    EXPECT_EQ(kit().drives[1].write, DataRate(1600e6));
    window->view<KitView>().choose(KitPart::Charger, QStringLiteral("charger"));
    EXPECT_TRUE(enter("Bays", "0"));
    EXPECT_EQ(kit().chargers[0].bays, 2);
    EXPECT_TRUE(enter("Power of a bay", "60 W"));
    EXPECT_EQ(kit().chargers[0].power, Watts(60));
    window->view<KitView>().choose(KitPart::Battery, QStringLiteral("large"));
    EXPECT_TRUE(enter("Health left by age", "80 %"));
    EXPECT_EQ(kit().batteries[1].health, 0.8);
}

} // namespace
} // namespace bslate::app
