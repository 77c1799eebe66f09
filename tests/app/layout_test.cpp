// Every page in both themes and three sizes, the window's smallest among them: no text is cut,
// nothing stands on anything else, and every control can be reached by key.
#include "app/views/step_view.h"
#include "app/window_fixture.h"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAbstractSpinBox>
#include <QComboBox>
#include <QLabel>
#include <QLayout>
#include <QLineEdit>

#include <set>

namespace bslate::app {
namespace {

const QSize kSizes[] = {{1200, 700}, {1280, 800}, {1920, 1080}};

std::string nameOf(const QWidget& widget) {
    return std::string(widget.metaObject()->className()) + " " + widget.objectName().toStdString();
}

// The text of a widget and the width it needs; none for what wraps, scrolls or elides on purpose.
struct Worded {
    QString text;
    int needs = 0;
};
std::optional<Worded> wordsOf(const QWidget& widget) {
    if (const auto* label = qobject_cast<const QLabel*>(&widget)) {
        if (label->wordWrap() || label->text().isEmpty() || label->textFormat() == Qt::RichText)
            return std::nullopt;
        return Worded{label->text(), label->sizeHint().width()};
    }
    if (const auto* button = qobject_cast<const QAbstractButton*>(&widget))
        return Worded{button->text(), button->minimumSizeHint().width()};
    return std::nullopt;
}

class Layout : public WindowTest {
protected:
    // Calls `look(page)` for every page in every theme and size, settled.
    template<class Look>
    void everywhere(Look look) {
        for (const auto theme : {Theme::Slate, Theme::Paper})
            for (const auto& size : kSizes) {
                m_style.setTheme(theme);
                window->resize(size);
                for (const auto& name : window->pageNames()) {
                    auto* page = window->showView(name);
                    page->settle();
                    window->document().verdicts().settle();
                    QTest::qWait(1);
                    where = name.toStdString() + " at " + std::to_string(size.width()) +
                            (theme == Theme::Paper ? ", paper" : "") + ": ";
                    look(*page);
                }
            }
    }
    std::string where;
};

TEST_F(Layout, NoTextIsCut) {
    std::set<std::string> told;
    int seen = 0;
    everywhere([&](StepView&) {
        for (auto* widget : window->findChildren<QWidget*>()) {
            if (!widget->isVisible())
                continue;
            const auto words = wordsOf(*widget);
            if (!words)
                continue;
            ++seen;
            if (words->needs > widget->width() &&
                told.insert(nameOf(*widget) + words->text.toStdString()).second)
                ADD_FAILURE() << where << nameOf(*widget) << ": \"" << words->text.toStdString()
                              << "\" needs " << words->needs << " of " << widget->width();
        }
    });
    EXPECT_GT(seen, 500);
}

TEST_F(Layout, NothingStandsOnAnythingElseOrOutsideOfItsParent) {
    std::set<std::string> told;
    everywhere([&](StepView&) {
        for (auto* parent : window->findChildren<QWidget*>()) {
            if (!parent->isVisible() || !parent->layout())
                continue;
            QList<QWidget*> placed;
            for (int i = 0; i < parent->layout()->count(); ++i)
                if (auto* widget = parent->layout()->itemAt(i)->widget();
                    widget && widget->isVisible())
                    placed.append(widget);
            for (int i = 0; i < placed.size(); ++i) {
                if (!parent->rect().contains(placed[i]->geometry()) &&
                    told.insert("out" + nameOf(*placed[i])).second)
                    ADD_FAILURE() << where << nameOf(*placed[i]) << " reaches out of "
                                  << nameOf(*parent);
                for (int j = i + 1; j < placed.size(); ++j)
                    if (placed[i]->geometry().intersects(placed[j]->geometry()) &&
                        told.insert(nameOf(*placed[i]) + nameOf(*placed[j])).second)
                        ADD_FAILURE()
                            << where << nameOf(*placed[i]) << " stands on " << nameOf(*placed[j]);
            }
        }
    });
}

// Tab goes round through everything that can be used; none is for the mouse alone.
TEST_F(Layout, EveryControlIsReachedByKey) {
    for (const auto& name : window->pageNames()) {
        auto* page = window->showView(name);
        page->settle();
        QTest::qWait(1);
        for (auto* control : page->findChildren<QWidget*>()) {
            const bool used =
                qobject_cast<QAbstractButton*>(control) || qobject_cast<QLineEdit*>(control) ||
                qobject_cast<QComboBox*>(control) || qobject_cast<QAbstractItemView*>(control);
            // Parts of a control are reached through it.
            const bool part = control->parentWidget()->focusProxy() || control->focusProxy() ||
                              qobject_cast<QComboBox*>(control->parentWidget()) ||
                              qobject_cast<QAbstractSpinBox*>(control->parentWidget()) ||
                              control->objectName().startsWith(QStringLiteral("qt_"));
            if (!used || part || !control->isVisible() || !control->isEnabled())
                continue;
            EXPECT_TRUE(control->focusPolicy() & Qt::TabFocus)
                << name.toStdString() << ": " << nameOf(*control);
        }
    }
}

} // namespace
} // namespace bslate::app
