// What a screen reader walks through: every part of every step, tables included, without a
// complaint of the library's and with children that know their place.
#include "app/window_fixture.h"

#include "app/views/lut/lut_dialog.h"

#include <QAccessible>
#include <QDialog>

namespace bslate::app {
namespace {

QStringList complaints;

void complain(QtMsgType type, const QMessageLogContext&, const QString& text) {
    // The offscreen platform complains of what it is.
    if (type != QtDebugMsg && type != QtInfoMsg && !text.startsWith(QLatin1String("This plugin")))
        complaints.append(text);
}

class Heard : public WindowTest {
public:
    Heard() {
        complaints.clear();
        m_before = qInstallMessageHandler(complain);
    }
    ~Heard() override { qInstallMessageHandler(m_before); }

    void walk(); ///< every step and page
    void listen(QWidget& part) { listen(QAccessible::queryAccessibleInterface(&part), 0); }
    int cells = 0, parts = 0;

private:
    void listen(QAccessibleInterface* node, int depth) {
        ASSERT_LT(depth, 40);
        ++parts;
        node->text(QAccessible::Name);
        node->text(QAccessible::Value);
        if (auto* table = node->tableInterface())
            for (int row = 0; row < table->rowCount(); ++row)
                for (int column = 0; column < table->columnCount(); ++column, ++cells)
                    EXPECT_NE(table->cellAt(row, column), nullptr);
        for (int i = 0; i < node->childCount(); ++i) {
            auto* child = node->child(i);
            if (!child)
                continue;
            EXPECT_EQ(node->indexOfChild(child), i)
                << (node->object() ? qPrintable(node->object()->objectName()) : "") << ' '
                << (node->object() ? node->object()->metaObject()->className() : "") << ' '
                << qPrintable(node->text(QAccessible::Name)) << " / "
                << qPrintable(child->text(QAccessible::Name)) << ' ' << child->role();
            listen(child, depth + 1);
        }
    }
    QtMessageHandler m_before = nullptr;
};

void Heard::walk() {
    for (const auto& name : window->pageNames()) {
        window->showView(name);
        window->planner().settle();
        QCoreApplication::processEvents();
        listen(*window);
    }
}

TEST_F(Heard, EveryPartOfEveryStep) {
    walk();
    EXPECT_GT(parts, 500);
    EXPECT_EQ(complaints, QStringList());
}

// In a window of its own: without a platform that listens, the library's tables are not told of
// rows that go, and remember cells they were asked for.
TEST_F(Heard, AnEmptyShoot) {
    window->files().startNew();
    walk();
    EXPECT_EQ(complaints, QStringList());
}

TEST_F(Heard, TablesOfDialogs) {
    LutDialog lut(window->document().shoot(), setup());
    lut.show();
    listen(lut);
    window->compareSetups();
    for (auto* dialog : window->findChildren<QDialog*>())
        listen(*dialog);
    EXPECT_GT(cells, 10);
    EXPECT_EQ(complaints, QStringList());
}

} // namespace
} // namespace bslate::app
