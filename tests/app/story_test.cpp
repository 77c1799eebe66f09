// The whole day of one setup in the running window: metered light to saved shoot, card and LUT,
// once by keyboard only and once by mouse.
#include "app/window_fixture.h"

#include "app/document/text.h"
#include "app/shell/finding_row.h"
#include "app/views/brief/brief_view.h"
#include "app/views/brief/patch_row.h"
#include "app/views/card/card_dialog.h"
#include "core/judgement/judge.h"
#include "core/quantity/print.h"
#include "io/json/shoot_json.h"

#include <QComboBox>
#include <QLineEdit>
#include <QPushButton>

namespace bslate::app {
namespace {

class Story : public WindowTest {
public:
    QWidget* focus() const {
        auto* widget = QApplication::focusWidget();
        return widget ? widget : window.get();
    }
    void press(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        QTest::keyClick(focus(), code, modifiers);
    }
    void type(const char* text) { QTest::keyClicks(focus(), QString::fromUtf8(text)); }
    void tabTo(const QString& accessibleName) {
        for (int i = 0; i < 200; ++i) {
            if (focus()->accessibleName() == accessibleName)
                return;
            press(Qt::Key_Tab);
        }
        ADD_FAILURE() << "Tab never reaches " << accessibleName.toStdString();
    }
    void replace(const char* text) {
        press(Qt::Key_A, Qt::ControlModifier);
        type(text);
        press(Qt::Key_Return);
    }
    const Scene& scene() { return window->document().shoot().scenes.front(); }
    QPushButton* remedyStarting(const QString& text) {
        window->verdict().refresh();
        QTest::qWait(1); // laid out before anybody can click
        for (auto* row : window->verdict().rows())
            for (auto* button : row->findChildren<QPushButton*>())
                if (button->isVisibleTo(row) && button->accessibleName().startsWith(text))
                    return button;
        return nullptr;
    }
};

TEST_F(Story, ByKeyboardOnly) {
    startWithDemoKit();
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_TRUE(window->document().shoot().setups.empty());
    press(Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_NE(window->document().setup(), nullptr);

    // What was metered, in three units; one slip of the tongue on the way.
    press(Qt::Key_1, Qt::ControlModifier);
    tabTo("Reading of Grey card");
    replace("108 lx");
    EXPECT_EQ(scene().patches[0].reading, (LightReading{108, LightUnit::Lux}));
    press(Qt::Key_Insert);
    type("Window");
    press(Qt::Key_Return);
    ASSERT_EQ(scene().patches.size(), 2u);
    EXPECT_EQ(scene().patches[1].name, "Window");
    tabTo("Reading of Window");
    replace("bright");
    EXPECT_FALSE(window->notice().message().isEmpty());
    EXPECT_EQ(scene().patches[1].reading, scene().patches[0].reading) << "the old value is kept";
    replace("EV 13.4");
    EXPECT_EQ(scene().patches[1].reading, (LightReading{13.4, LightUnit::EvReflected}));

    // The picture says the window is lost; turn and look.
    press(Qt::Key_4, Qt::ControlModifier);
    EXPECT_EQ(patch("patch-2").state, PatchState::Clipped);
    press(Qt::Key_Left);
    press(Qt::Key_Space);
    EXPECT_TRUE(window->view<LightView>().canvas().ghost().has_value());

    // A remedy from the verdict, reached by F6 and Tab.
    window->verdict().refresh();
    press(Qt::Key_F6);
    const auto isRemedy = [this] {
        const auto* button = qobject_cast<QPushButton*>(focus());
        return button && button->property("quiet").isNull();
    };
    for (int i = 0; i < 20 && !isRemedy(); ++i)
        press(Qt::Key_Tab);
    auto* remedy = qobject_cast<QPushButton*>(focus());
    ASSERT_NE(remedy, nullptr);
    const QString what = remedy->accessibleName();
    press(Qt::Key_Space);
    EXPECT_NE(patch("patch-2").state, PatchState::Clipped) << what.toStdString();

    // Saved, and all there tomorrow.
    ASSERT_TRUE(window->saveTo(file("story.bslate")));
    const auto tonight = window->document().shoot();
    makeWindow();
    window->openPath(file("story.bslate"));
    EXPECT_EQ(window->document().shoot(), tonight);

    // Everything can be taken back to nothing.
    press(Qt::Key_Delete, Qt::ControlModifier);
    EXPECT_TRUE(window->document().shoot().setups.empty());
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(window->document().shoot(), tonight);
}

TEST_F(Story, ByMouse) {
    // Drag the rating down two thirds; ND pays.
    auto& rated = block(LightTrain::Rated);
    QTest::mousePress(&rated, Qt::LeftButton, {}, QPoint(60, 20));
    QTest::mouseMove(&rated, QPoint(85, 20));
    QTest::mouseRelease(&rated, Qt::LeftButton, {}, QPoint(85, 20));
    EXPECT_EQ(setup().rating, ExposureIndex(640)) << "25 pixels, two steps";
    // Another payer and school from their lists.
    for (const auto& [name, index] : {std::pair{"payer", 4}, {"school", 3}}) {
        auto* box = window->findChild<QComboBox*>(QString::fromLatin1(name));
        box->setCurrentIndex(index);
        emit box->activated(index);
    }
    EXPECT_EQ(setup().payer, Payer::Nobody);
    EXPECT_EQ(setup().school, School::Guard);
    // Double-click types.
    QTest::mouseDClick(&block(LightTrain::Iris), Qt::LeftButton, {}, QPoint(40, 20));
    auto* edit = block(LightTrain::Iris).findChild<QLineEdit*>();
    ASSERT_TRUE(edit->isVisible());
    edit->selectAll();
    QTest::keyClicks(edit, "T2.8");
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_EQ(print(setup().iris), "T2.8");
    EXPECT_FALSE(edit->isVisible());
    // The remedy for what that lost.
    EXPECT_EQ(patch("sky").state, PatchState::Clipped);
    auto* iris = remedyStarting("Iris T");
    ASSERT_NE(iris, nullptr);
    QTest::mouseClick(iris, Qt::LeftButton);
    EXPECT_NE(patch("sky").state, PatchState::Clipped);
    // The card for the camera assistant.
    std::unique_ptr<CardDialog> card(window->makeCard());
    card->setAttribute(Qt::WA_DeleteOnClose, false);
    card->savePdf(file("2A.pdf"));
    EXPECT_TRUE(QFile::exists(file("2A.pdf")));
    window->writeLut(file("2A.cube"), io::LutFormat::Cube65);
    EXPECT_GT(QFile(file("2A.cube")).size(), 5'000'000);
}

TEST_F(Story, EscapeLeavesATypedFieldUnchanged) {
    const auto before = window->document().shoot();
    for (int link = 0; link < LightTrain::LinkCount; ++link) {
        auto& shown = block(static_cast<LightTrain::Link>(link));
        QTest::keyClick(&shown, Qt::Key_Return);
        auto* edit = shown.findChild<QLineEdit*>();
        ASSERT_TRUE(edit->isVisible());
        QTest::keyClicks(edit, "17");
        QTest::keyClick(edit, Qt::Key_Escape);
        EXPECT_FALSE(edit->isVisible());
    }
    EXPECT_EQ(window->document().shoot(), before);
}

TEST_F(Story, AnEmptyShootNeverBreaksAKey) {
    window->files().startNew();
    const std::vector<Qt::Key> keys = {Qt::Key_Left, Qt::Key_Right,  Qt::Key_Up,    Qt::Key_Down,
                                       Qt::Key_N,    Qt::Key_B,      Qt::Key_K,     Qt::Key_L,
                                       Qt::Key_P,    Qt::Key_O,      Qt::Key_Space, Qt::Key_G,
                                       Qt::Key_I,    Qt::Key_D,      Qt::Key_S,     Qt::Key_E,
                                       Qt::Key_M,    Qt::Key_Insert, Qt::Key_Delete};
    for (const auto code : keys)
        key(code);
    window->grab();
    window->showView("brief");
    for (const auto code : keys)
        QTest::keyClick(window->findChild<BriefView*>(), code);
    window->grab();
    EXPECT_FALSE(window->document().isModified());
}

// What README tells people to try, done as it says: the words and the window stand or fall
// together.
TEST_F(Story, ReadmesThingsToTryAreTrue) {
    QFile file(QStringLiteral(BSLATE_ROOT "/README.md"));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const auto readme = QString::fromUtf8(file.readAll()).simplified();
    const auto says = [&](const char* words) {
        EXPECT_TRUE(readme.contains(QString::fromUtf8(words))) << words;
    };
    says("In **Light**, press `Ctrl+Right` for setup 2A, whose sky leaves the sensor's window at "
         "T4, and "
         "drag the marigold iris to T2.8");
    choose("1A");
    press(Qt::Key_Right, Qt::ControlModifier);
    ASSERT_EQ(setup().number, "2A");
    EXPECT_EQ(setup().iris, TStop(4));
    const auto lost = [&] {
        const auto verdict = judge(window->document().shoot(), setup());
        const auto* sky = verdict.find("patch-clipped:sky");
        return sky ? *sky : Finding{};
    };
    const auto at4 = lost();
    ASSERT_EQ(at4.id, FindingId::PatchClipped);
    auto opened = setup();
    opened.iris = TStop(std::exp2(1.5));
    window->document().edit(QStringLiteral("Iris"),
                            applied(window->document().shoot(), Edit{opened, std::nullopt}));
    const auto at28 = lost();
    ASSERT_EQ(at28.id, FindingId::PatchClipped);
    ASSERT_FALSE(at28.remedies.empty());
    const auto saved = applied(window->document().shoot(), at28.remedies[0].edit);
    EXPECT_FALSE(judge(saved, *findSetup(saved, opened.id)).find("patch-clipped:sky"));
    says("`P` is its pre-roll to print");
    says("drag 3A onto the fifth slate");
    EXPECT_GE(window->document().shoot().kit.cameras[0].body.banks.size(), 5u);
    says("`build/release/src/cli/bslate check data/demo/slack-water.bslate`");
    EXPECT_TRUE(QFile::exists(QStringLiteral(BSLATE_ROOT "/data/demo/slack-water.bslate")));
}

} // namespace
} // namespace bslate::app
