// Clips dropped on the window: matched, judged, changed by hand, copied as a table.
#include "app/views/bring/bring_view.h"
#include "app/views/clips/clips_dialog.h"
#include "app/views/clips/patch_dialog.h"
#include "app/widgets/area_picker.h"
#include "app/widgets/footage_picker.h"
#include "app/window_fixture.h"
#include "core/facts/evaluate.h"
#include "core/frame/surface.h"
#include "io/codec/clip_make.h"
#include "support/media_tool.h"

#include <QClipboard>
#include <QComboBox>
#include <QDropEvent>
#include <QListWidget>
#include <QMimeData>
#include <QTreeWidget>

namespace bslate::app {
namespace {

class ClipsSheet : public WindowTest {
public:
    QString clip(const char* name, const std::string& how) {
        const QString path = file(name);
        sample::mediaTool("-v error -f lavfi -i testsrc2=s=320x180:" + how + " " +
                          path.toStdString());
        return path;
    }
    void drop(const QStringList& paths) {
        QMimeData data;
        QList<QUrl> urls;
        for (const auto& path : paths)
            urls << QUrl::fromLocalFile(path);
        data.setUrls(urls);
        QDragEnterEvent entering(QPoint(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
        QApplication::sendEvent(window.get(), &entering);
        QDropEvent event(QPointF(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
        QApplication::sendEvent(window.get(), &event);
    }
    [[nodiscard]] ClipsDialog* dialog() { return window->findChild<ClipsDialog*>(); }
    [[nodiscard]] QTreeWidget& list() { return *dialog()->findChild<QTreeWidget*>(); }
    [[nodiscard]] QString told(int row) {
        list().setCurrentItem(list().topLevelItem(row));
        QStringList lines;
        const auto& findings = *dialog()->findChild<QListWidget*>();
        for (int i = 0; i < findings.count(); ++i)
            lines << findings.item(i)->text();
        return lines.join(QLatin1Char('\n'));
    }
};

TEST_F(ClipsSheet, ClipsThatAreDroppedAreMatchedAndJudged) {
    const auto wrong = clip("2A_take1.mov", "r=25:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p");
    const auto stranger = clip("other.mov", "r=30:d=1 -c:v libx264 -pix_fmt yuv420p");
    sample::spit(file("empty.mov").toStdString(), "");
    const auto before = window->document().shoot();
    drop({wrong, stranger, file("empty.mov")});
    ASSERT_TRUE(dialog());
    dialog()->settle();
    ASSERT_EQ(list().topLevelItemCount(), 3);
    EXPECT_EQ(list().topLevelItem(0)->text(1), QStringLiteral("2A"));
    EXPECT_TRUE(told(0).contains(QStringLiteral("runs at 25, planned was 24")));
    EXPECT_TRUE(told(1).contains(QStringLiteral("No setup fits"))) << told(1).toStdString();
    EXPECT_EQ(list().topLevelItem(2)->text(2), QStringLiteral("not read"));
    // By hand: the stranger is 4A, and is judged at once.
    list().setCurrentItem(list().topLevelItem(1));
    auto* setups = dialog()->findChild<QComboBox*>(QStringLiteral("clips-setup"));
    setups->setCurrentIndex(setups->findText(QStringLiteral("4A"), Qt::MatchStartsWith));
    emit setups->activated(setups->currentIndex());
    EXPECT_EQ(list().topLevelItem(1)->text(1), QStringLiteral("4A"));
    EXPECT_TRUE(told(1).contains(QStringLiteral("runs at 30")));
    dialog()->findChild<QPushButton*>(QStringLiteral("clips-copy"))->click();
    const auto lines = QApplication::clipboard()->text().split(QLatin1Char('\n'));
    EXPECT_EQ(lines[0].count(QLatin1Char('\t')), 4);
    EXPECT_TRUE(lines[1].startsWith(QStringLiteral("2A_take1.mov\t2A\tfault\t")))
        << lines[1].toStdString();
    EXPECT_TRUE(lines.join(QString()).contains(QStringLiteral("empty.mov\t\tfault")));
    EXPECT_EQ(window->document().shoot(), before) << "nothing was touched";
    QTest::keyClick(dialog(), Qt::Key_Escape);
    QTest::qWait(1);
    EXPECT_TRUE(dialog()) << "the first Escape stops looking at its pictures";
    QTest::keyClick(dialog(), Qt::Key_Escape);
    QTest::qWait(1);
    EXPECT_FALSE(dialog()) << "the next closes it";
}

TEST_F(ClipsSheet, APatchIsMarkedOnThePictureAndItsExposureToldBesideThePlan) {
    choose("2A");
    const auto context = resolve(window->document().shoot(), setup());
    ASSERT_TRUE(context);
    MadeClipWish wish;
    wish.size = {320, 180};
    wish.length = Seconds(0.5);
    wish.steps = {Stops(2)};
    const auto made = io::makeClip(*context, evaluate(*context), wish);
    ASSERT_TRUE(made);
    sample::spit(file("2A_t1.mov").toStdString(), *made);
    drop({file("2A_t1.mov")});
    dialog()->settle();
    EXPECT_FALSE(told(0).contains(QStringLiteral("from the plan")));
    auto* asked = dialog()->askMark();
    ASSERT_TRUE(asked);
    asked->footage().settle();
    EXPECT_EQ(asked->patch(), QStringLiteral("grey")) << "the card is what is asked for first";
    // Moved onto the card by key, a hundredth at a time.
    auto& picker = asked->footage().picker();
    const auto surfaces = surfacesOf(*context->scene, context->shoot->kit, context->shoot->meter);
    const auto card = std::find_if(surfaces.begin(), surfaces.end(),
                                   [](const Surface& one) { return one.patch == "grey"; });
    ASSERT_NE(card, surfaces.end());
    for (int i = 0; i < 100 && picker.area().x < card->probe.x; ++i)
        QTest::keyClick(&picker, Qt::Key_Right);
    for (int i = 0; i < 100 && picker.area().x > card->probe.x + 0.01; ++i)
        QTest::keyClick(&picker, Qt::Key_Left);
    for (int i = 0; i < 100 && picker.area().y < card->probe.y; ++i)
        QTest::keyClick(&picker, Qt::Key_Down);
    for (int i = 0; i < 100 && picker.area().width > card->probe.width - 0.01; ++i)
        QTest::keyClick(&picker, Qt::Key_Left, Qt::ShiftModifier);
    for (int i = 0; i < 100 && picker.area().height > card->probe.height - 0.01; ++i)
        QTest::keyClick(&picker, Qt::Key_Up, Qt::ShiftModifier);
    asked->accept();
    dialog()->settle();
    EXPECT_TRUE(told(0).contains(QStringLiteral("Grey card in 2A_t1.mov lies")))
        << told(0).toStdString();
    EXPECT_TRUE(dialog()->table().contains(QStringLiteral("Grey card in 2A_t1.mov lies")));
    // Another clip of the setup is offered the same place.
    sample::spit(file("2A_t2.mov").toStdString(), *made);
    dialog()->addClips({file("2A_t2.mov")});
    dialog()->settle();
    EXPECT_FALSE(told(1).contains(QStringLiteral("from the plan")));
    auto* same = dialog()->findChild<QPushButton*>(QStringLiteral("clips-same"));
    ASSERT_TRUE(same->isEnabled());
    same->click();
    dialog()->settle();
    EXPECT_TRUE(told(1).contains(QStringLiteral("Grey card in 2A_t2.mov lies")));
    EXPECT_FALSE(same->isEnabled()) << "it has them";
    // The first is not wanted: it goes by key, its file stays.
    list().setCurrentItem(list().topLevelItem(0));
    QTest::keyClick(&list(), Qt::Key_Delete);
    ASSERT_EQ(list().topLevelItemCount(), 1);
    EXPECT_EQ(list().topLevelItem(0)->text(0), QStringLiteral("2A_t2.mov"));
    EXPECT_TRUE(QFile::exists(file("2A_t1.mov")));
}

TEST_F(ClipsSheet, TheDayLetsTheHourTellAndWhatAMatchRestsOnIsShown) {
    auto shoot = window->document().shoot();
    shoot.plan.resize(2);
    shoot.plan[0].number = 1;
    shoot.plan[1].number = 2;
    Take take;
    take.id = "t1";
    take.setups = {findSetup(shoot, "s4a") ? "s4a" : shoot.setups.back().id};
    take.at = Seconds(9 * 3600.0);
    shoot.plan[1].takes = {take};
    ASSERT_TRUE(window->document().edit(QStringLiteral("Test"), shoot));
    const auto number = toQt(findSetup(shoot, take.setups[0])->number);
    const auto one = clip("clip.mov", "r=24:d=1 -c:v libx264 -pix_fmt yuv420p -metadata "
                                      "creation_time=2026-05-13T09:04:00Z");
    drop({one});
    dialog()->settle();
    auto* day = dialog()->findChild<QComboBox*>(QStringLiteral("clips-day"));
    EXPECT_TRUE(day->isVisibleTo(dialog()));
    const auto facts = [&] {
        QString all;
        for (auto* label : dialog()->findChildren<QLabel*>())
            all += label->text() + QLatin1Char('\n');
        return all;
    };
    EXPECT_FALSE(facts().contains(QStringLiteral("its hour")));
    day->setCurrentIndex(2);
    emit day->activated(2);
    EXPECT_EQ(list().topLevelItem(0)->text(1), number);
    (void)told(0);
    EXPECT_TRUE(facts().contains(QStringLiteral("its hour"))) << facts().toStdString();
}

TEST_F(ClipsSheet, OnThePageBringInTheyAreForTheCamera) {
    const auto own = clip("a.mov", "r=25:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p");
    window->showView("bring");
    drop({own});
    EXPECT_FALSE(dialog());
    window->view<BringView>().settle();
    EXPECT_EQ(window->view<BringView>().own().clips.size(), 1u);
}

} // namespace
} // namespace bslate::app
