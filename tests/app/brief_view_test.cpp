// The Brief step in the real window: scenes typed as lines, the days, what holds for the shoot.
#include "app/document/text.h"
#include "app/views/brief/brief_view.h"
#include "app/views/brief/days_band.h"
#include "app/window_fixture.h"

#include <QAccessible>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>

namespace bslate::app {
namespace {

class BriefStep : public WindowTest {
protected:
    void SetUp() override { window->showView("brief"); }
    QLineEdit* line() { return window->findChild<QLineEdit*>(QStringLiteral("scene-line")); }
    QString preview() {
        return window->findChild<QLabel*>(QStringLiteral("scene-line-preview"))->text();
    }
    DaysBand& days() { return *window->findChild<DaysBand*>(); }
    BriefView& view() { return *window->findChild<BriefView*>(); }
    void type(const char* text) {
        line()->setFocus();
        QTest::keyClicks(line(), QString::fromLatin1(text));
        QTest::keyClick(line(), Qt::Key_Return);
    }
};

TEST_F(BriefStep, ALineBecomesASceneWithItsSetupInOneUndoableStep) {
    line()->setFocus();
    QTest::keyClicks(line(), QStringLiteral("7A net loft int 300lx talk 12min"));
    EXPECT_TRUE(preview().contains(QStringLiteral("net loft")));
    EXPECT_TRUE(preview().contains(QStringLiteral("uninterrupted take")));
    QTest::keyClick(line(), Qt::Key_Return);
    const auto& shoot = window->document().shoot();
    EXPECT_EQ(shoot.scenes.back().name, "net loft");
    ASSERT_EQ(shoot.setups.back().number, "7A");
    EXPECT_EQ(window->document().setup()->scene, shoot.scenes.back().id);
    EXPECT_EQ(window->document().verdict()->find("setup-incomplete"), nullptr);
    EXPECT_EQ(view().sceneId(), toQt(shoot.scenes.back().id));
    EXPECT_TRUE(line()->text().isEmpty());
    window->document().undoStack().undo();
    EXPECT_EQ(window->document().shoot().scenes.size(), 7u);
    EXPECT_EQ(window->document().shoot().setups.size(), 8u);
}

TEST_F(BriefStep, AWrongLineStaysAndSaysWhatIsAccepted) {
    type("7A net loft 26cdm");
    EXPECT_EQ(window->document().shoot().scenes.size(), 7u);
    EXPECT_EQ(line()->text(), QStringLiteral("7A net loft 26cdm"));
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("26cd/m2")));
    QTest::keyClick(line(), Qt::Key_Escape);
    EXPECT_TRUE(line()->text().isEmpty());
}

TEST_F(BriefStep, ASceneIsRewrittenThroughItsLineAndKeepsItsPatches) {
    days().setFocus();
    const QString id = view().sceneId();
    QTest::keyClick(&days(), Qt::Key_Return);
    ASSERT_FALSE(line()->text().isEmpty());
    line()->selectAll();
    type("2A doorway day1 10:20 int EV 9 talk 8min");
    const auto* scene = findScene(window->document().shoot(), fromQt(id));
    ASSERT_NE(scene, nullptr);
    EXPECT_EQ(scene->name, "doorway");
    EXPECT_EQ(scene->patches.size(), 6u);
    EXPECT_EQ(greyCard(*scene)->reading.value, 9);
}

TEST_F(BriefStep, ArrowsWalkTheDaysAndTheSetupFollows) {
    days().setFocus();
    const auto first = view().sceneId();
    QTest::keyClick(&days(), Qt::Key_Right);
    EXPECT_NE(view().sceneId(), first);
    EXPECT_EQ(toQt(window->document().setup()->scene), view().sceneId());
    QTest::keyClick(&days(), Qt::Key_Down);
    EXPECT_EQ(findScene(window->document().shoot(), fromQt(view().sceneId()))->day, 2);
    const auto box = days().boxOf(first);
    QTest::mouseClick(&days(), Qt::LeftButton, {}, box.center().toPoint());
    EXPECT_EQ(view().sceneId(), first);
}

TEST_F(BriefStep, DescribedLightIsMarkedUntilItIsMetered) {
    type("7A yard ext overcast");
    const auto id = window->document().shoot().scenes.back().id;
    const auto estimated = [&] { return isEstimated(*findScene(window->document().shoot(), id)); };
    EXPECT_TRUE(estimated());
    EXPECT_NE(window->document().verdict()->find("light-estimated"), nullptr);
    window->actionsOnShoot().changeScene(QStringLiteral("meter"), toQt(id), [](Scene& scene) {
        scene.patches[0] = metered(scene.patches[0], {9000, LightUnit::Lux});
    });
    EXPECT_FALSE(estimated());
    EXPECT_EQ(window->document().verdict()->find("light-estimated"), nullptr);
}

TEST_F(BriefStep, ShootWideDecisionsReachTheVerdictsAndAreUndone) {
    auto* rate = window->findChild<QLineEdit*>(QStringLiteral("brief-rate"));
    rate->setFocus();
    rate->selectAll();
    QTest::keyClicks(rate, QStringLiteral("25"));
    QTest::keyClick(rate, Qt::Key_Return);
    EXPECT_EQ(window->document().shoot().brief.rate, (FrameRate{Rational(25, 1)}));
    rate->selectAll();
    QTest::keyClicks(rate, QStringLiteral("fast"));
    QTest::keyClick(rate, Qt::Key_Return);
    EXPECT_EQ(rate->text(), QStringLiteral("25")) << "the old value is kept";
    auto* grade = window->findChild<QComboBox*>(QStringLiteral("brief-grade"));
    grade->setCurrentIndex(0);
    emit grade->activated(0);
    EXPECT_EQ(window->document().shoot().brief.grade, GradeWeight::None);
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    EXPECT_EQ(window->document().shoot().brief.rate, FrameRate{});
}

} // namespace
} // namespace bslate::app
