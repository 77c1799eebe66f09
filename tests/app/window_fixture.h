#pragma once

#include "app/shell/main_window.h"
#include "app/shell/notice_bar.h"
#include "app/shell/verdict_panel.h"
#include "app/style/style.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_train.h"
#include "app/views/light/light_view.h"
#include "app/widgets/value_block.h"

#include <QSettings>
#include <QTemporaryDir>
#include <QTest>

#include <gtest/gtest.h>

namespace bslate::app {

/// The real window on the demo shoot, offscreen, with throwaway settings.
class WindowTest : public ::testing::Test {
public:
    WindowTest()
        : m_settings(m_folder.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat) {
        m_style.loadFonts();
        m_style.applyTo(*qApp);
        makeWindow();
        EXPECT_TRUE(window->files().openDemo().ok());
        choose("2A");
        window->showView("light");
    }

    void makeWindow() {
        window = std::make_unique<MainWindow>(m_style, m_settings, m_folder.path());
        window->setAskToSave([this] {
            ++asked;
            return answer;
        });
        window->resize(1280, 800);
        window->show();
        QTest::qWait(1);
        window->activateWindow();
    }

    void choose(const std::string& number) {
        for (const auto& setup : window->document().shoot().setups)
            if (setup.number == number)
                window->document().select(QString::fromStdString(setup.id));
    }
    void key(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        window->view<LightView>().setFocus();
        QTest::keyClick(&window->view<LightView>(), code, modifiers);
    }
    [[nodiscard]] const bslate::Setup& setup() { return *window->document().setup(); }
    [[nodiscard]] const Evaluation& at() { return *window->document().verdict()->evaluation; }
    [[nodiscard]] const PatchPlacement& patch(const std::string& id) {
        for (const auto& placed : at().patches)
            if (placed.id == id)
                return placed;
        ADD_FAILURE() << id;
        return at().patches.front();
    }
    [[nodiscard]] QString file(const char* name) const {
        return m_folder.filePath(QString::fromLatin1(name));
    }
    [[nodiscard]] ValueBlock& block(LightTrain::Link link) {
        return *window->view<LightView>().train().block(link);
    }
    void typeInto(LightTrain::Link link, const char* text) {
        QTest::keyClick(&block(link), Qt::Key_Return);
        auto* edit = block(link).findChild<QLineEdit*>();
        edit->selectAll();
        QTest::keyClicks(edit, QString::fromUtf8(text));
        QTest::keyClick(edit, Qt::Key_Return);
    }
    PatchHandle* handle(const char* id) {
        for (auto* candidate : window->view<LightView>().canvas().handles())
            if (candidate->id() == QString::fromLatin1(id))
                return candidate;
        return nullptr;
    }
    void trigger(const char* text) {
        for (auto* action : window->findChildren<QAction*>()) {
            QString plain = action->text();
            if (plain.remove(QLatin1Char('&')) == QString::fromUtf8(text)) {
                action->trigger();
                return;
            }
        }
        ADD_FAILURE() << "no menu entry " << text;
    }

    QTemporaryDir m_folder;
    QSettings m_settings;
    Style m_style;
    std::unique_ptr<MainWindow> window;
    MainWindow::Answer answer = MainWindow::Answer::Cancel;
    int asked = 0;
};

} // namespace bslate::app
