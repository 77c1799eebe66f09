#include "app/style/tokens.h"
#include "app/widgets/label_rows.h"

#include "app/document/text.h"
#include "app/views/cadence/cadence_view.h"
#include "app/window_fixture.h"

#include <QAccessible>
#include <QFontMetricsF>

#include <random>

namespace bslate::app {
namespace {

// WCAG 2.1 success criterion 1.4.3: 4.5 to 1 for text. Checked values of the formula: black on
// white is 21, #767676 on white is 4.54 (the usual worked example).
TEST(Tokens, ContrastFormula) {
    EXPECT_NEAR(contrast(Qt::black, Qt::white), 21.0, 1e-9);
    EXPECT_NEAR(contrast(QColor(0x767676), Qt::white), 4.54, 0.005);
}

TEST(Tokens, TextIsReadableOnEverySurfaceInBothThemes) {
    for (const auto theme : {Theme::Slate, Theme::Paper}) {
        const auto& t = tokens(theme);
        for (const auto& surface : {t.ground, t.deep, t.panel, t.raised}) {
            for (const auto& text : {t.ink, t.muted, t.marigold, t.coral, t.sea, t.sky, t.lilac})
                EXPECT_GE(contrast(text, surface), 4.5)
                    << text.name().toStdString() << " on " << surface.name().toStdString();
        }
    }
}

TEST(Labels, NeverCollideAndStayInside) {
    std::mt19937 random(9);
    for (int round = 0; round < 300; ++round) {
        std::vector<AxisLabel> labels(1 + random() % 20);
        for (auto& label : labels)
            label = {QStringLiteral("Patch %1 with a name").arg(random() % 1000),
                     static_cast<double>(random() % 700),
                     {},
                     {}};
        staggerLabels(labels, Style::font(TextRole::Secondary), 0, 700, 60, 16, 3);
        for (std::size_t i = 0; i < labels.size(); ++i) {
            if (labels[i].box.isEmpty())
                continue;
            EXPECT_GE(labels[i].box.left(), 0);
            EXPECT_LE(labels[i].box.right(), 700.01);
            for (std::size_t j = 0; j < i; ++j)
                EXPECT_FALSE(labels[i].box.intersects(labels[j].box)) << round;
        }
    }
}

TEST(Labels, BoxesSpreadApart) {
    std::vector<QRectF> boxes(6, QRectF(10, 50, 40, 16));
    spreadBoxes(boxes, QRectF(0, 0, 100, 200));
    for (std::size_t i = 0; i < boxes.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            EXPECT_FALSE(boxes[i].intersects(boxes[j]));
}

using Access = WindowTest;

TEST_F(Access, FontsShipWithTheApplication) {
    EXPECT_TRUE(m_style.loadFonts());
    const QFontMetricsF sans(Style::font(TextRole::Body));
    EXPECT_NE(sans.horizontalAdvance(QStringLiteral("iiii")),
              sans.horizontalAdvance(QStringLiteral("WWWW")))
        << "the proportional face must not turn out to be the mono one";
    const QFontMetricsF value(Style::font(TextRole::Value));
    for (const QChar digit : QStringLiteral("0123456789"))
        EXPECT_EQ(value.horizontalAdvance(digit), value.horizontalAdvance(QLatin1Char('0')))
            << "figures under each other stand in columns";
}

TEST_F(Access, EveryPaintedControlHasNameRoleAndValue) {
    window->showView("cadence");
    QTest::qWait(1);
    for (auto* widget : window->view<CadenceView>().findChildren<QWidget*>())
        if (widget->isVisible() && widget->property("bslateRole").isValid()) {
            auto* access = QAccessible::queryAccessibleInterface(widget);
            EXPECT_FALSE(access->text(QAccessible::Name).isEmpty());
            EXPECT_FALSE(access->text(QAccessible::Value).isEmpty())
                << widget->objectName().toStdString();
        }
    window->showView("light");
    QTest::qWait(1);
    int painted = 0;
    for (auto* widget : window->findChildren<QWidget*>()) {
        if (!widget->isVisible() || !widget->property("bslateRole").isValid())
            continue;
        auto* access = QAccessible::queryAccessibleInterface(widget);
        ASSERT_NE(access, nullptr);
        EXPECT_FALSE(access->text(QAccessible::Name).isEmpty())
            << widget->objectName().toStdString();
        EXPECT_FALSE(access->text(QAccessible::Value).isEmpty())
            << widget->objectName().toStdString();
        EXPECT_NE(access->role(), QAccessible::NoRole);
        ++painted;
    }
    EXPECT_GE(painted, 6 + 6 + 3) << "six blocks, six patches, canvas, rail, dial-in";
    auto* iris = QAccessible::queryAccessibleInterface(&block(LightTrain::Iris));
    EXPECT_EQ(iris->role(), QAccessible::SpinBox);
    EXPECT_TRUE(iris->text(QAccessible::Value).startsWith(QStringLiteral("T4")));
}

TEST_F(Access, EveryFocusableControlHasANameOrAText) {
    for (const auto& name : window->pageNames()) {
        const auto* page = window->showView(name);
        for (auto* widget : window->findChildren<QWidget*>()) {
            if (!widget->isVisible() || !(widget->focusPolicy() & Qt::TabFocus))
                continue;
            if (widget->objectName().startsWith(QStringLiteral("qt_")) ||
                widget->inherits("QScrollArea") || widget == page)
                continue;
            auto* access = QAccessible::queryAccessibleInterface(widget);
            EXPECT_FALSE(access->text(QAccessible::Name).isEmpty())
                << widget->metaObject()->className() << " " << widget->objectName().toStdString();
        }
    }
}

TEST_F(Access, TabReachesEveryBlockAndPatch) {
    window->view<LightView>().setFocus();
    QSet<QString> reached;
    for (int i = 0; i < 120; ++i) {
        QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : window.get(),
                        Qt::Key_Tab);
        if (auto* focus = QApplication::focusWidget())
            reached.insert(focus->objectName());
    }
    for (const char* name :
         {"train-light", "train-nd", "train-iris", "train-shutter", "train-base", "train-rated",
          "patch-hopper", "patch-sky", "school", "payer", "setup-rail"})
        EXPECT_TRUE(reached.contains(QString::fromLatin1(name))) << name;
}

TEST_F(Access, BothThemesAndLargeScreensPaint) {
    for (const auto theme : {Theme::Slate, Theme::Paper}) {
        m_style.setTheme(theme);
        for (const QSize size : {QSize(1280, 800), QSize(3840, 2160)}) {
            window->resize(size);
            QTest::qWait(1);
            const auto image = window->grab().toImage();
            QSet<QRgb> colours;
            for (int y = 0; y < image.height(); y += 7)
                for (int x = 0; x < image.width(); x += 7)
                    colours.insert(image.pixel(x, y));
            EXPECT_GT(colours.size(), 20);
            EXPECT_TRUE(colours.contains(tokens(theme).panel.rgb()));
        }
    }
    m_style.setTheme(Theme::Slate);
}

// "Labels never collide": the patch handles stay on the line whatever the window's width.
TEST_F(Access, AHugeShootStaysUsable) {
    Shoot shoot = window->document().shoot();
    const auto first = shoot.setups[1];
    while (shoot.setups.size() < 2000) {
        auto copy = first;
        copy.id = "n" + std::to_string(shoot.setups.size());
        copy.number = std::to_string(shoot.setups.size());
        shoot.setups.push_back(copy);
    }
    for (int i = 0; i < 60; ++i) {
        auto extra = shoot.scenes[1].patches[0];
        extra.id = "extra" + std::to_string(i);
        shoot.scenes[1].patches.push_back(extra);
    }
    window->document().reset(shoot, {});
    window->document().select(QStringLiteral("n1999"));
    window->grab();
    QTest::keyClick(window.get(), Qt::Key_Left, Qt::ControlModifier);
    EXPECT_EQ(setup().id, "n1998");
    key(Qt::Key_Right);
    EXPECT_EQ(window->document().undoStack().count(), 1);
}

} // namespace
} // namespace bslate::app
