#include "app/shell/main_window.h"

#include "app/document/text.h"
#include "app/shell/application.h"
#include "app/shell/banks_panel.h"
#include "app/shell/day_panel.h"
#include "app/shell/dial_in_panel.h"
#include "app/shell/next_bar.h"
#include "app/shell/notice_bar.h"
#include "app/shell/setup_rail.h"
#include "app/shell/sheets.h"
#include "app/shell/step_bar.h"
#include "app/shell/step_pages.h"
#include "app/shell/verdict_panel.h"
#include "app/shell/window_place.h"
#include "app/views/bring/bring_view.h"
#include "app/views/clips/clips_dialog.h"
#include "app/views/compare/compare_dialog.h"
#include "app/views/frame/frame_view.h"
#include "app/views/kit/kit_view.h"
#include "app/views/my_kit/my_kit_dialog.h"
#include "app/views/start/start_view.h"
#include "app/widgets/dropped_files.h"
#include "io/stills/still_region.h"

#include <QApplication>
#include <QCloseEvent>
#include <QMessageBox>
#include <QMimeData>
#include <QPushButton>
#include <QSettings>
#include <QStackedWidget>
#include <QTimer>
#include <QVBoxLayout>

#include <algorithm>
#include <utility>

namespace bslate::app {

namespace {
const QString kGeometryKey = QStringLiteral("window/geometry");
const QString kStepKey = QStringLiteral("window/step");
const QString kThemeKey = QStringLiteral("window/theme");
constexpr int kFirstStep = 4; // Light
// What questions are about.
const QString kNotKept = QStringLiteral("not-kept");
const QString kMyKit = QStringLiteral("my-kit");
const QString kHomeLost = QStringLiteral("home-lost");
} // namespace

MainWindow::MainWindow(Style& style, QSettings& settings, const QString& scratch)
    : m_style(style)
    , m_settings(settings)
    , m_actions(m_document)
    , m_kitActions(m_document)
    , m_mine(m_kitActions, scratch + QStringLiteral("/my-kit.bskit.json"))
    , m_profileActions(m_kitActions)
    , m_planner(m_document)
    , m_dayActions(m_document, m_planner)
    , m_bankPlanner(m_document)
    , m_bankActions(m_document, m_bankPlanner)
    , m_files(m_document, settings, scratch)
    , m_steps(makeSteps(
          {m_actions, m_kitActions, m_mine, m_profileActions, m_dayActions, m_bankActions, style}))
    , m_bar(new StepBar(style))
    , m_rail(new SetupRail(m_document, style))
    , m_stack(new QStackedWidget)
    , m_verdict(new VerdictPanel(m_actions, style))
    , m_dialIn(new DialInPanel(m_document, style))
    , m_dayPanel(new DayPanel(m_dayActions, style))
    , m_banksPanel(new BanksPanel(m_bankActions, style))
    , m_side(new QStackedWidget)
    , m_next(new NextBar(style))
    , m_notice(new NoticeBar(style))
    , m_start(new StartView(style))
    , m_face(new QStackedWidget) {
    setObjectName(QStringLiteral("main-window"));
    setAcceptDrops(true);
    setMinimumSize(kWholeWindow / 3);
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
    m_files.setKitForNew([this] { return m_mine.forNewShoot(); });
    assemble();
    connectParts();
    connectStart();
    buildMenus(*this);
    restoreState();
    updateTitle();
}

// The views look at parts of this window to their end.
MainWindow::~MainWindow() {
    delete takeCentralWidget();
}

void MainWindow::assemble() {
    for (const auto& step : m_steps) {
        m_bar->addStep(step.number, step.plainName(), step.help);
        if (step.pages.size() == 1) {
            m_stack->addWidget(step.pages.front().place);
            continue;
        }
        auto* pages = new StepPages(step.plainName(), m_style);
        for (const auto& page : step.pages)
            pages->addPage(page.name, page.place);
        connect(pages, &StepPages::turned, this, &MainWindow::showNext);
        m_stack->addWidget(pages);
    }

    auto* ofSetup = new QWidget;
    auto* side = new QVBoxLayout(ofSetup);
    side->setContentsMargins(0, 0, 0, 0);
    side->setSpacing(8);
    side->addWidget(m_verdict, 1);
    side->addWidget(m_dialIn);
    m_side->addWidget(ofSetup);
    m_side->addWidget(m_dayPanel);
    m_side->addWidget(m_banksPanel);
    m_side->setFixedWidth(328);

    m_face->addWidget(m_start);
    m_face->addWidget(buildWork());
    m_face->setCurrentIndex(1);
    auto* column = new QVBoxLayout;
    column->setContentsMargins(8, 6, 8, 8);
    column->setSpacing(6);
    column->addWidget(m_face, 1);
    column->addWidget(m_notice);

    auto* centre = new QWidget;
    auto* row = new QHBoxLayout(centre);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(m_bar);
    row->addLayout(column, 1);
    setCentralWidget(scrolledWhole(centre));
}

QWidget* MainWindow::buildWork() {
    auto* middle = new QHBoxLayout;
    middle->setSpacing(8);
    middle->addWidget(m_stack, 1);
    middle->addWidget(m_side);
    auto* work = new QWidget;
    auto* column = new QVBoxLayout(work);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(m_rail);
    column->addWidget(m_next);
    column->addLayout(middle, 1);
    return work;
}

void MainWindow::connectParts() {
    const auto tellProblem = [this](const QString& message) { m_notice->tell(message, true); };
    const auto tell = [this](const QString& message) { m_notice->tell(message, false); };
    connect(m_bar, &StepBar::chosen, this, &MainWindow::showStep);
    if (auto* application = qobject_cast<Application*>(QCoreApplication::instance()))
        connect(application, &Application::wentWrong, this, tellProblem);
    m_undoSteps.addStack(&m_document.undoStack());
    m_document.undoStack().setActive();
    connect(&m_undoSteps, &QUndoGroup::activeStackChanged, this, [this](QUndoStack* active) {
        if (!active)
            m_document.undoStack().setActive();
    });
    for (const auto& step : m_steps)
        for (const auto& page : step.pages)
            connect(page.place, &PageHolder::made, this, &MainWindow::connectPage);
    connect(&m_document, &ShootDocument::refused, this, tellProblem);
    connect(&m_actions, &Actions::refused, this, tellProblem);
    connect(&m_kitActions, &KitActions::refused, this, tellProblem);
    connect(&m_kitActions, &KitActions::told, this, tell);
    connect(&m_mine, &MyKit::refused, this, tellProblem);
    connect(&m_mine, &MyKit::told, this, tell);
    connect(&m_mine, &MyKit::kept, this, [this](const QString& message) {
        m_notice->ask(kMyKit, message, {{tr("Understood"), {}}, {tr("Take it back"), [this] {
                                                                     m_mine.takeBack();
                                                                 }}});
    });
    connect(&m_mine, &MyKit::waiting, this, tell);
    connect(&m_mine, &MyKit::changed, this, [this] {
        if (isAtStart())
            showStart(); // it counts the cameras that are kept
    });
    connect(&m_profileActions, &ProfileActions::refused, this, tellProblem);
    connect(&m_profileActions, &ProfileActions::told, this, tell);
    connect(&m_files, &FileKeeper::autosaveFailed, this, [this](const QString& message) {
        m_notice->ask(kNotKept, message, {{tr("Understood"), {}}}, true);
    });
    connect(&m_files, &FileKeeper::homeLost, this, [this](const QString& message) {
        m_notice->ask(kHomeLost, message,
                      {{tr("Save as\u2026"), [this] { saveAs(); }}, {tr("Later"), {}}}, true);
    });
    connect(&m_files, &FileKeeper::livesUntold, this, tellProblem);
    connect(&m_files, &FileKeeper::waitingForDisk, this, &MainWindow::sayDiskIsSlow);
    connect(&m_files, &FileKeeper::autosaved, this, [this] { m_notice->withdraw(kNotKept); });
    connect(&m_document, &ShootDocument::fileChanged, this, &MainWindow::updateTitle);
    connect(&m_document, &ShootDocument::changed, this, &MainWindow::updateTitle);
    connect(&m_document, &ShootDocument::changed, this, &MainWindow::showNext);
    connect(&m_document, &ShootDocument::changed, m_notice, &NoticeBar::leaveProblem);
}

void MainWindow::connectPage(StepView& page) {
    connect(&page, &StepView::refused, this,
            [this](const QString& message) { m_notice->tell(message, true); });
    connect(&page, &StepView::told, this,
            [this](const QString& message) { m_notice->tell(message, false); });
    connect(&page, &StepView::sheetRequested, this, &MainWindow::showSheet);
    connect(&page, &StepView::found, m_verdict, &VerdictPanel::showBeside);
    if (auto* gear = qobject_cast<KitView*>(&page))
        connect(gear, &KitView::latticeWanted, this, [this](const QString& camera) {
            showView(QStringLiteral("bring"));
            view<BringView>().refine(camera);
        });
    if (auto* bring = qobject_cast<BringView*>(&page)) {
        m_undoSteps.addStack(&bring->steps());
        connect(bring, &BringView::brought, this, [this](const QString& camera) {
            view<KitView>().choose(KitPart::Camera, camera);
            showView(QStringLiteral("kit"));
        });
    }
}

void MainWindow::showStep(int number) {
    const auto numbered = [&](int wanted) {
        return std::find_if(m_steps.begin(), m_steps.end(),
                            [&](const Step& step) { return step.number == wanted; });
    };
    auto step = numbered(number);
    if (step == m_steps.end())
        step = numbered(kFirstStep);
    m_face->setCurrentIndex(1);
    m_stack->setCurrentIndex(static_cast<int>(step - m_steps.begin()));
    m_bar->setCurrent(step->number);
    m_side->setCurrentIndex(static_cast<int>(step->side));
    m_stack->currentWidget()->setFocus();
    showNext();
}

StepView* MainWindow::showView(const QString& name) {
    for (const auto& step : m_steps)
        for (std::size_t i = 0; i < step.pages.size(); ++i) {
            if (step.pages[i].view != name)
                continue;
            showStep(step.number);
            if (auto* pages = qobject_cast<StepPages*>(m_stack->currentWidget()))
                pages->showPage(static_cast<int>(i));
            return &step.pages[i].place->page();
        }
    return nullptr;
}

QStringList MainWindow::pageNames() const {
    QStringList names;
    for (const auto& step : m_steps)
        for (const auto& page : step.pages)
            names += page.view;
    return names;
}

StepView* MainWindow::page() const {
    return &placeInView().page();
}

PageHolder& MainWindow::placeInView() const {
    const auto& pages = m_steps[static_cast<std::size_t>(m_stack->currentIndex())].pages;
    const auto* many = qobject_cast<StepPages*>(m_stack->currentWidget());
    return *pages[many ? static_cast<std::size_t>(many->page()) : 0].place;
}

void MainWindow::showSheet(const QString& name) {
    if (const auto* sheet = findSheet(name))
        sheet->show(*this);
}

QDialog* MainWindow::compareSetups() {
    if (m_document.shoot().setups.size() < 2) {
        m_notice->tell(tr("There are not two setups yet: Ctrl+D makes a second one."), true);
        return nullptr;
    }
    auto* dialog = new CompareDialog(m_document, m_style, this);
    dialog->show();
    return dialog;
}

ClipsDialog* MainWindow::checkClips(const QStringList& paths) {
    auto* dialog = findChild<ClipsDialog*>();
    if (!dialog)
        dialog = new ClipsDialog(m_document, m_style, this);
    dialog->show();
    dialog->raise();
    dialog->addClips(paths);
    return dialog;
}

void MainWindow::showStill(const QString& path) {
    showView(QStringLiteral("frame"));
    view<FrameView>().openStill(path);
}

int MainWindow::step() const {
    return m_bar->current();
}

void MainWindow::updateTitle() {
    setWindowTitle(tr("%1[*] \u2013 Bright Slate").arg(toQt(m_document.shoot().title)));
    setWindowModified(m_document.isModified());
    setWindowFilePath(m_document.path());
}

void MainWindow::restoreState() {
    resize(1280, 800);
    m_placed = restoreGeometry(m_settings.value(kGeometryKey).toByteArray());
    if (m_settings.value(kThemeKey).toString() == QStringLiteral("paper"))
        m_style.setTheme(Theme::Paper);
    showStep(m_settings.value(kStepKey, kFirstStep).toInt());
}

void MainWindow::focusNextPart(int direction) {
    QList<QWidget*> parts = {m_stack->currentWidget(), m_side->currentWidget(), m_rail, m_bar};
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
    if (event->type() != QEvent::ActivationChange || !isActiveWindow())
        return;
    lookAtDisk();
    m_mine.look();
}

// Its frame is known once it is shown.
void MainWindow::showEvent(QShowEvent* event) {
    QMainWindow::showEvent(event);
    QTimer::singleShot(0, this, [this] { keepOnScreen(*this, std::exchange(m_placed, true)); });
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
    if (event->mimeData()->urls().isEmpty())
        return;
    const auto paths = droppedFiles(*event->mimeData());
    if (paths.isEmpty()) {
        m_notice->tell(tr("Only files of this machine can be dropped here."), true);
        return;
    }
    event->acceptProposedAction();
    if (paths.front().endsWith(QStringLiteral(".bskit.json")))
        importKit(paths.front());
    else if (auto* bring = qobject_cast<BringView*>(page());
             bring && !isAtStart() && !paths.front().endsWith(QStringLiteral(".bslate")))
        bring->addClips(paths);
    else if (isClipName(paths.front()) && m_document.shoot().setups.empty())
        bringClips(paths); // there is no plan to hold them against
    else if (isClipName(paths.front()))
        checkClips(paths);
    else if (io::isStillName(paths.front().toStdString()) && !m_document.shoot().setups.empty())
        showStill(paths.front());
    else if (mayLeave())
        openPath(paths.front());
}

} // namespace bslate::app
