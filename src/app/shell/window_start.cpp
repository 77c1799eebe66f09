// How a session begins: the page that asks, and what its answers do.
#include "app/shell/main_window.h"

#include "app/document/text.h"
#include "app/shell/notice_bar.h"
#include "app/shell/step_bar.h"
#include "app/views/bring/bring_view.h"
#include "app/views/my_kit/my_kit_dialog.h"
#include "app/views/start/start_view.h"

#include <QStackedWidget>

namespace bslate::app {

void MainWindow::connectStart() {
    connect(m_start, &StartView::demoWanted, this, [this] {
        if (!mayLeave())
            return;
        if (const auto done = m_files.openDemo(); !done)
            return m_notice->tell(messageOf(done.error()), true);
        showView(QStringLiteral("light"));
    });
    connect(m_start, &StartView::cameraWanted, this, [this] { showView(QStringLiteral("bring")); });
    connect(m_start, &StartView::fileWanted, this, &MainWindow::askOpen);
    connect(m_start, &StartView::recentWanted, this, [this](const QString& path) {
        if (mayLeave())
            openPath(path);
    });
    connect(m_start, &StartView::emptyWanted, this, [this] { showView(QStringLiteral("brief")); });
    // A file that was opened is worked on.
    connect(&m_document, &ShootDocument::fileChanged, m_start, [this] {
        if (isAtStart() && (!m_document.path().isEmpty() || m_document.isModified()))
            showStep(step());
    });
}

void MainWindow::showStart() {
    const auto mine = m_mine.kit();
    m_start->show(m_files.recent(), mine ? static_cast<int>(mine->cameras.size()) : 0);
    m_face->setCurrentWidget(m_start);
    m_bar->leave();
    m_start->setFocus();
}

bool MainWindow::isAtStart() const {
    return m_face->currentWidget() == m_start;
}

void MainWindow::importKit(const QString& path) {
    showView(QStringLiteral("kit"));
    m_kitActions.importFile(path);
}

void MainWindow::bringClips(const QStringList& paths) {
    showView(QStringLiteral("bring"));
    view<BringView>().addClips(paths);
}

MyKitDialog* MainWindow::compareWithMine() {
    auto* dialog = findChild<MyKitDialog*>();
    if (!dialog)
        dialog = new MyKitDialog(m_mine, m_document, m_style, this);
    dialog->show();
    dialog->raise();
    return dialog;
}

} // namespace bslate::app
