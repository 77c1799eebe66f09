// The White page by hand: dial, lights, gels, ratios, and what is refused.
#include "app/views/white/white_picture.h"
#include "app/views/white/white_view.h"
#include "app/window_fixture.h"

#include "core/quantity/print.h"

#include <QComboBox>

namespace bslate::app {
namespace {

class WhitePage : public WindowTest {
public:
    WhitePage() {
        choose("3A");
        window->showView("white");
        QTest::qWait(1);
    }
    WhiteView& view() { return window->view<WhiteView>(); }
    void press(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        view().setFocus();
        QTest::keyClick(&view(), code, modifiers);
    }
    void typeIn(const char* block, const char* text) {
        auto* field = window->findChild<ValueBlock*>(QString::fromLatin1(block));
        ASSERT_TRUE(field) << block;
        QTest::keyClick(field, Qt::Key_Return);
        auto* edit = field->findChild<QLineEdit*>();
        edit->selectAll();
        QTest::keyClicks(edit, QString::fromUtf8(text));
        QTest::keyClick(edit, Qt::Key_Return);
    }
    [[nodiscard]] const Scene& scene() { return *window->document().scene(); }
    [[nodiscard]] const WhiteFacts& white() { return at().white; }
    [[nodiscard]] bool says(std::string_view key) {
        return window->document().verdict()->find(key) != nullptr;
    }
    void drag(QPointF from, QPointF to) {
        auto& picture = view().picture();
        QTest::mousePress(&picture, Qt::LeftButton, {}, from.toPoint());
        QTest::mouseMove(&picture, ((from + to) / 2).toPoint());
        QTest::mouseMove(&picture, to.toPoint());
        QTest::mouseRelease(&picture, Qt::LeftButton, {}, to.toPoint());
    }
};

TEST_F(WhitePage, KeysStepTheDialAndChooseAWhite) {
    press(Qt::Key_Right);
    EXPECT_EQ(setup().white, Kelvin(4150));
    press(Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_EQ(setup().white, Kelvin(3900));
    press(Qt::Key_Up);
    press(Qt::Key_Up);
    press(Qt::Key_Down);
    EXPECT_EQ(setup().tint, Tint(1));
    press(Qt::Key_K);
    EXPECT_EQ(setup().white, Kelvin(4100));
    EXPECT_EQ(setup().tint, Tint(8));
    EXPECT_TRUE(says("white-fits"));
    press(Qt::Key_B);
    EXPECT_EQ(setup().white, Kelvin(5050));
    press(Qt::Key_D);
    EXPECT_EQ(setup().white, Kelvin(4600));
    window->document().undoStack().undo();
    EXPECT_EQ(setup().white, Kelvin(5050)) << "each is a step of its own";
}

TEST_F(WhitePage, WhiteIsTypedWithTintAndHowItIsSet) {
    typeIn("white-block", "4300K M3 card");
    EXPECT_EQ(setup().white, Kelvin(4300));
    EXPECT_EQ(setup().tint, Tint(3));
    EXPECT_EQ(setup().whiteBy, WhiteBy::Card);
    EXPECT_EQ(setup().whiteNd, Stops(0));
    typeIn("wanted-white-block", "5600K");
    EXPECT_EQ(setup().wantedWhite, Kelvin(5600));
    EXPECT_TRUE(says("white-wanted-elsewhere"));
    const auto before = window->document().shoot();
    for (const auto& [block, text, says] : {std::tuple("white-block", "500K", "2000 K"),
                                            std::tuple("white-block", "90000K", "2000 K"),
                                            std::tuple("white-block", "4300K M40", "M15"),
                                            std::tuple("wanted-white-block", "warm", "5600K")}) {
        typeIn(block, text);
        EXPECT_NE(said().find(says), std::string::npos) << text << ": " << said();
        EXPECT_EQ(window->document().shoot(), before) << text;
    }
    press(Qt::Key_M);
    EXPECT_EQ(setup().whiteBy, WhiteBy::Preset);
    EXPECT_FALSE(setup().whiteNd);
    choose("6A"); // a pocket camera without tint
    press(Qt::Key_Up);
    EXPECT_NE(said().find("no tint"), std::string::npos) << said();
    typeIn("white-block", "5600K M2");
    EXPECT_NE(said().find("no tint"), std::string::npos) << said();
}

TEST_F(WhitePage, TheCrossAndTheDiscsAreDragged) {
    auto& picture = view().picture();
    const int steps = window->document().undoStack().count();
    drag(picture.place(white().point), picture.place({Kelvin(5000), Duv(0.010)}));
    EXPECT_NEAR(setup().white.value(), 5000, 60);
    EXPECT_GT(setup().tint, Tint(2));
    EXPECT_EQ(window->document().undoStack().count(), steps + 1) << "one gesture, one step";
    drag(picture.place(white().lights[1].colour), picture.place({Kelvin(5600), Duv(-0.004)}));
    EXPECT_NEAR(scene().lamps[1].colour->cct.value(), 5600, 80);
    EXPECT_NEAR(scene().lamps[1].colour->duv->value(), -0.004, 0.0015);
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    EXPECT_EQ(setup().white, Kelvin(4100));
    choose("2B"); // no lamps: the light as a whole, under the camera's cross
    typeIn("white-block", "3200K");
    drag(picture.place(white().lights[0].colour), picture.place({Kelvin(4500), Duv(0.003)}));
    EXPECT_NEAR(scene().light->cct.value(), 4500, 60);
}

TEST_F(WhitePage, LightsAreAddedTypedAndDeletedAndSharesAreHeldTogether) {
    press(Qt::Key_A);
    enterLine("white-lamp", "practical bulbs 2700K share0% back");
    ASSERT_EQ(scene().lamps.size(), 3u);
    EXPECT_EQ(scene().lamps[2].side, LightSide::Background);
    press(Qt::Key_Return);
    enterLine("white-lamp", "practical bulbs 2700K share20%");
    EXPECT_EQ(scene().lamps.size(), 3u) << "refused";
    EXPECT_NE(said().find("100 %"), std::string::npos) << said();
    EXPECT_EQ(scene().lamps[2].share, Fraction(0));
    auto* line = view().findChild<QLineEdit*>(QStringLiteral("white-lamp"));
    EXPECT_TRUE(line->isVisible()) << "to be mended";
    EXPECT_EQ(line->text(), QStringLiteral("practical bulbs 2700K share20%"));
    QTest::keyClick(line, Qt::Key_Escape);
    EXPECT_FALSE(line->isVisible());
    press(Qt::Key_Return);
    enterLine("white-lamp", "practical bulbs 500K");
    EXPECT_NE(said().find("1667K"), std::string::npos) << said();
    EXPECT_EQ(scene().lamps[2].colour->cct, Kelvin(2700));
    QTest::keyClick(line, Qt::Key_Escape);
    press(Qt::Key_Delete);
    EXPECT_EQ(scene().lamps.size(), 2u);
    press(Qt::Key_L);
    press(Qt::Key_L);
    press(Qt::Key_Return);
    enterLine("white-lamp", "skylight steady 6500K share30%");
    EXPECT_EQ(scene().lamps[1].name, "skylight");
    EXPECT_EQ(scene().patches[3].lamp, "skylight") << "what it lights follows its name";
}

TEST_F(WhitePage, GelsGoOnAndComeOff) {
    EXPECT_TRUE(says("lights-apart:window, overcast"));
    press(Qt::Key_G);
    EXPECT_EQ(scene().lamps[1].gels, (std::vector<std::string>{"warm-half", "moss-half"}));
    EXPECT_FALSE(says("lights-apart:window, overcast"));
    press(Qt::Key_G);
    EXPECT_NE(said().find("nearer"), std::string::npos) << said();
    press(Qt::Key_G, Qt::ShiftModifier);
    EXPECT_EQ(scene().lamps[1].gels, (std::vector<std::string>{"warm-half"}));
    press(Qt::Key_G, Qt::ShiftModifier);
    press(Qt::Key_G, Qt::ShiftModifier);
    EXPECT_NE(said().find("No gel"), std::string::npos) << said();
}

TEST_F(WhitePage, OneWhiteGoesToEverySetupOfTheScene) {
    choose("4A");
    typeIn("white-block", "3600K");
    EXPECT_TRUE(says("white-cameras-differ:4B"));
    press(Qt::Key_C);
    for (const auto& other : window->document().shoot().setups)
        if (other.number == "4B")
            EXPECT_EQ(other.white, Kelvin(3600));
    EXPECT_FALSE(says("white-cameras-differ:4B"));
    press(Qt::Key_C);
    EXPECT_NE(said().find("already"), std::string::npos) << said();
}

TEST_F(WhitePage, RatiosAreTypedAndOneLightMoves) {
    choose("4A");
    EXPECT_TRUE(says("ratio-met:ratio-key-fill"));
    press(Qt::Key_R);
    enterLine("ratio-fill", "4:1");
    EXPECT_NEAR(scene().keyOverFill->value(), 2, 1e-12);
    EXPECT_TRUE(says("ratio-off:ratio-key-fill"));
    enterLine("ratio-fill", "a lot");
    EXPECT_NE(said().find("4:1"), std::string::npos) << said();
    EXPECT_NEAR(scene().keyOverFill->value(), 2, 1e-12);
    enterLine("ratio-fill", "");
    EXPECT_FALSE(scene().keyOverFill);
}

TEST_F(WhitePage, APatchIsToldWhichLightIsOnIt) {
    window->showView("brief");
    auto* light = window->findChild<QComboBox*>(QStringLiteral("patch-light"));
    ASSERT_TRUE(light);
    ASSERT_GE(light->count(), 7) << "five sides and two lamps";
    light->setCurrentIndex(6);
    emit light->activated(6);
    EXPECT_TRUE(std::any_of(scene().patches.begin(), scene().patches.end(), [](const Patch& one) {
        return one.lamp == "window, overcast" && one.role != PatchRole::White;
    }));
}

} // namespace
} // namespace bslate::app
