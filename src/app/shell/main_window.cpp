#include "app/shell/main_window.h"

#include "app/document/text.h"
#include "app/shell/day_panel.h"
#include "app/shell/dial_in_panel.h"
#include "app/shell/notice_bar.h"
#include "app/shell/setup_rail.h"
#include "app/shell/step_bar.h"
#include "app/shell/verdict_panel.h"
#include "app/views/body_test/body_test_view.h"
#include "app/views/brief/brief_view.h"
#include "app/views/cadence/cadence_view.h"
#include "app/views/card/card_dialog.h"
#include "app/views/compare/compare_dialog.h"
#include "app/views/kit/kit_pages.h"
#include "app/views/kit/kit_view.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_view.h"
#include "app/views/media/media_view.h"
#include "app/views/profiles/profiles_view.h"
#include "app/views/record/record_view.h"

#include <QApplication>
#include <QCloseEvent>
#include <QMessageBox>
#include <QMimeData>
#include <QSettings>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace bslate::app {

namespace {
const QString kGeometryKey = QStringLiteral("window/geometry");
const QString kStepKey = QStringLiteral("window/step");
const QString kThemeKey = QStringLiteral("window/theme");
const QString kNotKept = QStringLiteral("not-kept"); // what the question is about
} // namespace

MainWindow::MainWindow(Style& style, QSettings& settings, const QString& scratch)
    : m_style(style)
    , m_settings(settings)
    , m_actions(m_document)
    , m_kitActions(m_document)
    , m_profileActions(m_kitActions)
    , m_planner(m_document)
    , m_dayActions(m_document, m_planner)
    , m_files(m_document, settings, scratch)
    , m_steps(new StepBar(style))
    , m_rail(new SetupRail(m_document, style))
    , m_stack(new QStackedWidget)
    , m_brief(new BriefView(m_actions, style))
    , m_kit(new KitView(m_kitActions, style))
    , m_profiles(new ProfilesView(m_profileActions, style))
    , m_bodyTest(new BodyTestView(m_profileActions, style))
    , m_kitPages(new KitPages(style, m_kit, m_profiles, m_bodyTest))
    , m_cadence(new CadenceView(m_actions, style))
    , m_light(new LightView(m_actions, style))
    , m_record(new RecordView(m_actions, style))
    , m_media(new MediaView(m_dayActions, style))
    , m_verdict(new VerdictPanel(m_actions, style))
    , m_dialIn(new DialInPanel(m_document, style))
    , m_dayPanel(new DayPanel(m_dayActions, style))
    , m_side(new QStackedWidget)
    , m_notice(new NoticeBar(style)) {
    setObjectName(QStringLiteral("main-window"));
    setAcceptDrops(true);
    setMinimumSize(1080, 700);
    m_ask = [this] {
        QMessageBox box(QMessageBox::Question, tr("Unsaved changes"), {},
                        QMessageBox::Save | QMessageBox::Discard | QMessageBox::Cancel, this);
        box.setTextFormat(Qt::PlainText);
        box.setText(tr("Save the changes to \"%1\"?").arg(toQt(m_document.shoot().title)));
        const int answer = box.exec();
        return answer == QMessageBox::Save      ? Answer::Save
               : answer == QMessageBox::Discard ? Answer::Discard
                                                : Answer::Cancel;
    };
    m_askOver = [this](const QString& what) {
        QMessageBox box(QMessageBox::Warning, tr("The file has changed"), {}, QMessageBox::Cancel,
                        this);
        box.setTextFormat(Qt::PlainText);
        box.setText(what);
        auto* replace = box.addButton(tr("Save over it"), QMessageBox::DestructiveRole);
        auto* other = box.addButton(tr("Save as\u2026"), QMessageBox::AcceptRole);
        box.exec();
        return box.clickedButton() == replace ? Over::Replace
               : box.clickedButton() == other ? Over::SaveAs
                                              : Over::Cancel;
    };
    assemble();
    connectParts();
    buildMenus(*this);
    restoreState();
    updateTitle();
}

// The views look at parts of this window to their end.
MainWindow::~MainWindow() {
    delete takeCentralWidget();
}

void MainWindow::assemble() {
    const auto add = [&](Step step, const QString& name, QWidget* view) {
        m_steps->addStep(step, name);
        m_stack->addWidget(view);
        m_views[step] = view;
    };
    add(Brief, tr("Brief"), m_brief);
    add(Kit, tr("Kit"), m_kitPages);
    add(Cadence, tr("Cadence"), m_cadence);
    add(Light, tr("Light"), m_light);
    add(Record, tr("Record"), m_record);
    add(Media, tr("Media"), m_media);

    auto* ofSetup = new QWidget;
    auto* side = new QVBoxLayout(ofSetup);
    side->setContentsMargins(0, 0, 0, 0);
    side->setSpacing(8);
    side->addWidget(m_verdict, 1);
    side->addWidget(m_dialIn);
    m_side->addWidget(ofSetup);
    m_side->addWidget(m_dayPanel);
    m_side->setFixedWidth(328);

    auto* middle = new QHBoxLayout;
    middle->setSpacing(8);
    middle->addWidget(m_stack, 1);
    middle->addWidget(m_side);

    auto* column = new QVBoxLayout;
    column->setContentsMargins(8, 6, 8, 8);
    column->setSpacing(6);
    column->addWidget(m_rail);
    column->addLayout(middle, 1);
    column->addWidget(m_notice);

    auto* centre = new QWidget;
    auto* row = new QHBoxLayout(centre);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(m_steps);
    row->addLayout(column, 1);
    setCentralWidget(centre);
}

void MainWindow::connectParts() {
    const auto tellProblem = [this](const QString& message) { m_notice->tell(message, true); };
    connect(m_steps, &StepBar::chosen, this, &MainWindow::showStep);
    connect(&m_actions, &Actions::refused, this, tellProblem);
    connect(m_light, &LightView::refused, this, tellProblem);
    connect(m_cadence, &CadenceView::refused, this, tellProblem);
    connect(m_brief, &BriefView::refused, this, tellProblem);
    connect(m_kit, &KitView::refused, this, tellProblem);
    connect(&m_kitActions, &KitActions::refused, this, tellProblem);
    connect(&m_profileActions, &ProfileActions::refused, this, tellProblem);
    connect(m_profiles, &ProfilesView::refused, this, tellProblem);
    connect(m_profiles, &ProfilesView::lutRequested, this, &MainWindow::askLut);
    connect(m_bodyTest, &BodyTestView::refused, this, tellProblem);
    const auto tell = [this](const QString& message) { m_notice->tell(message, false); };
    connect(&m_profileActions, &ProfileActions::told, this, tell);
    connect(m_bodyTest, &BodyTestView::told, this, tell);
    connect(&m_kitActions, &KitActions::told, this, tell);
    connect(m_media, &MediaView::refused, this, tellProblem);
    connect(m_media, &MediaView::packRequested, this, [this] {
        if (auto* list = makePackList())
            list->show();
    });
    connect(m_record, &RecordView::compareRequested, this, &MainWindow::compareSetups);
    connect(&m_files, &FileKeeper::autosaveFailed, this, [this](const QString& message) {
        m_notice->ask(kNotKept, message, {{tr("Understood"), {}}}, true);
    });
    connect(&m_files, &FileKeeper::waitingForDisk, this, &MainWindow::sayDiskIsSlow);
    connect(&m_files, &FileKeeper::autosaved, this, [this] { m_notice->withdraw(kNotKept); });
    connect(&m_document, &ShootDocument::fileChanged, this, &MainWindow::updateTitle);
    connect(&m_document, &ShootDocument::changed, this, &MainWindow::updateTitle);
}

void MainWindow::showStep(int step) {
    const int known = m_views.contains(step) ? step : Light;
    m_stack->setCurrentWidget(m_views[known]);
    m_steps->setCurrent(known);
    m_side->setCurrentIndex(known == Media ? 1 : 0);
    m_stack->currentWidget()->setFocus();
}

void MainWindow::compareSetups() {
    if (m_document.shoot().setups.size() < 2) {
        m_notice->tell(tr("There are not two setups yet: Ctrl+D makes a second one."), true);
        return;
    }
    (new CompareDialog(m_document, m_style, this))->show();
}

int MainWindow::step() const {
    return m_steps->current();
}

void MainWindow::updateTitle() {
    setWindowTitle(tr("%1[*] \u2013 Bright Slate").arg(toQt(m_document.shoot().title)));
    setWindowModified(m_document.isModified());
    setWindowFilePath(m_document.path());
}

void MainWindow::restoreState() {
    resize(1280, 800);
    restoreGeometry(m_settings.value(kGeometryKey).toByteArray());
    if (m_settings.value(kThemeKey).toString() == QStringLiteral("paper"))
        m_style.setTheme(Theme::Paper);
    showStep(m_settings.value(kStepKey, Light).toInt());
}

void MainWindow::focusNextPart(int direction) {
    QList<QWidget*> parts = {m_stack->currentWidget(),
                             step() == Media ? static_cast<QWidget*>(m_dayPanel) : m_verdict,
                             m_rail, m_steps};
    if (m_notice->isVisible())
        parts.append(m_notice);
    const int count = static_cast<int>(parts.size());
    int now = 0;
    for (int i = 0; i < count; ++i)
        if (parts[i]->hasFocus() || parts[i]->isAncestorOf(QApplication::focusWidget()))
            now = i;
    QWidget* next = parts[(now + direction + count) % count];
    if (next->focusPolicy() == Qt::NoFocus) {
        const auto inside = next->findChildren<QWidget*>();
        for (auto* child : inside) {
            if (child->isVisible() && child->isEnabled() && child->focusPolicy() & Qt::TabFocus) {
                next = child;
                break;
            }
        }
    }
    next->setFocus(Qt::TabFocusReason);
}

bool MainWindow::mayLeave() {
    if (!m_document.isModified())
        return true;
    switch (m_ask()) {
    case Answer::Save:
        return save();
    case Answer::Discard:
        return true;
    case Answer::Cancel:
        return false;
    }
    return false;
}

void MainWindow::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() == QEvent::ActivationChange && isActiveWindow())
        lookAtDisk();
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (!mayLeave()) {
        event->ignore();
        return;
    }
    m_files.forgetAutosave();
    m_files.waitForDisk(); // while there is a window to say so
    m_settings.setValue(kGeometryKey, saveGeometry());
    m_settings.setValue(kStepKey, step());
    m_settings.setValue(kThemeKey, m_style.theme() == Theme::Paper ? QStringLiteral("paper")
                                                                   : QStringLiteral("slate"));
    event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    const auto urls = event->mimeData()->urls();
    if (urls.isEmpty())
        return;
    const QString path = urls.front().toLocalFile();
    if (path.isEmpty()) {
        m_notice->tell(tr("Only files of this machine can be dropped here."), true);
        return;
    }
    event->acceptProposedAction();
    if (mayLeave())
        openPath(path);
}

} // namespace bslate::app
