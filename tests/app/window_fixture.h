#pragma once

#include "app/shell/main_window.h"
#include "app/shell/notice_bar.h"
#include "app/shell/verdict_panel.h"
#include "app/style/style.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_train.h"
#include "app/views/light/light_view.h"
#include "app/widgets/value_block.h"

#include <QApplication>
#include <QFile>
#include <QLineEdit>
#include <QPointer>
#include <QPushButton>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

#include <gtest/gtest.h>

#include <functional>
#include <vector>

namespace bslate::app {

/// The real window on the demo shoot, offscreen, with throwaway settings.
class WindowTest : public ::testing::Test {
public:
    WindowTest()
        : m_settings(m_folder.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat) {
        m_style.loadFonts();
        m_style.apply();
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

    /// An empty shoot of somebody who keeps the demo's kit.
    void startWithDemoKit() {
        QFile::copy(QStringLiteral(BSLATE_ROOT "/data/demo/slack-water.bskit.json"),
                    window->mine().path());
        window->files().startNew();
        ASSERT_EQ(window->document().shoot().kit.cameras.size(), 3u);
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
    /// Types into the line of that name: all of it anew, and Return.
    void enterLine(const char* name, const char* text) {
        auto* edit = window->findChild<QLineEdit*>(QString::fromLatin1(name));
        ASSERT_TRUE(edit) << name;
        edit->setFocus();
        edit->selectAll();
        QTest::keyClick(edit, Qt::Key_Delete);
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

    /// The modal windows that come up are answered in this order; each once.
    void answerDialogs(std::vector<std::function<void(QWidget&)>> answers) {
        m_answers = std::move(answers);
        m_answered = nullptr;
        answerNext(0);
    }
    void answerNext(std::size_t at) {
        if (at == m_answers.size())
            return;
        QTimer::singleShot(1, window.get(), [this, at] {
            auto* modal = QApplication::activeModalWidget();
            if (!modal || modal == m_answered)
                return answerNext(at);
            m_answered = modal;
            const auto answer = m_answers[at];
            answerNext(at + 1); // an answer may bring up the next one before it returns
            answer(*modal);
        });
    }
    /// Types a name into a file dialog and presses Return.
    static std::function<void(QWidget&)> namesFile(const QString& path) {
        return [path](QWidget& dialog) {
            auto* name = dialog.findChild<QLineEdit*>(QStringLiteral("fileNameEdit"));
            ASSERT_TRUE(name) << dialog.metaObject()->className();
            QTest::qWait(60); // the folder is read meanwhile, and would be typed over what is here
            name->setText(path);
            QTest::keyClick(name, Qt::Key_Return);
        };
    }
    static void escapes(QWidget& dialog) { QTest::keyClick(&dialog, Qt::Key_Escape); }
    [[nodiscard]] std::string said() const { return window->notice().message().toStdString(); }

    QTemporaryDir m_folder;
    QSettings m_settings;
    Style m_style;
    std::unique_ptr<MainWindow> window;
    std::vector<std::function<void(QWidget&)>> m_answers;
    QPointer<QWidget> m_answered;
    MainWindow::Answer answer = MainWindow::Answer::Cancel;
    int asked = 0;
};

} // namespace bslate::app
