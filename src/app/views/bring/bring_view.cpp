#include "app/views/bring/bring_view.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/bring/body_questions.h"
#include "app/views/bring/cell_editor.h"
#include "app/views/bring/seen_lattice.h"
#include "app/views/bring/source_words.h"
#include "app/widgets/open_path.h"
#include "core/advice/starting.h"
#include "io/text/mode_text.h"

#include <QCheckBox>
#include <QFileInfo>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QString nameOf(BodyKind kind) {
    switch (kind) {
    case BodyKind::Pocket:
        return BringView::tr("a pocket camera");
    case BodyKind::Hybrid:
        return BringView::tr("a hybrid of stills and video");
    case BodyKind::SmallCinema:
        break;
    }
    return BringView::tr("a small cinema camera");
}

} // namespace

BringView::BringView(KitActions& actions, MyKit& mine, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_mine(mine)
    , m_style(style)
    , m_title(new QLabel(tr("Bring a camera in")))
    , m_subtitle(new QLabel)
    , m_start(new QPushButton)
    , m_sources(new QTabWidget)
    , m_table(new QPlainTextEdit)
    , m_understood(new QListWidget)
    , m_questions(new BodyQuestions)
    , m_lattice(new SeenLattice(style))
    , m_cell(new CellEditor)
    , m_name(new QLineEdit)
    , m_keep(new QCheckBox(tr("and into M&y kit")))
    , m_take(new QPushButton(tr("Ta&ke into the kit")))
    , m_reading(io::ClipDepth::Facts) {
    setObjectName(QStringLiteral("bring-view"));
    addKeys();
    m_ask = [this] { return askOpenPaths(this, tr("Clips of the camera")); };
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(10);
    column->addLayout(pageHead(*m_title, *m_subtitle));
    auto* row = new QHBoxLayout;
    row->setSpacing(16);
    row->addWidget(buildSources(), 2);
    row->addWidget(buildFound(), 3);
    column->addLayout(row, 1);
    setFocusPolicy(Qt::StrongFocus);
    setFocusProxy(m_table);
    connect(&m_reading, &ClipReading::read, this, &BringView::takeClip);
    connect(&m_reading, &ClipReading::moved, this, &BringView::showAll);
    connect(&style, &Style::changed, this, &BringView::showAll);
    showUsual();
}

void BringView::addKeys() {
    auto& keys = keyTable();
    keys.include(m_lattice->keys());
    keys.add({{Qt::Key_Delete, [this] { return !m_lattice->hasFocus() && (takeOut(), true); }}},
             QT_TRANSLATE_NOOP("Help", "the chosen clip or line of what was understood goes out"));
    keys.add({{Qt::Key_Backspace,
               [this] {
                   m_steps.canUndo()
                       ? m_steps.undo()
                       : refused(tr("There is nothing to step back to on this page."));
               }}},
             QT_TRANSLATE_NOOP("Help", "undo, while the lattice has the focus"));
    keys.add(
        {{Qt::Key_Escape, [this] { return m_reading.isRunning() && (m_reading.stop(), true); }}},
        QT_TRANSLATE_NOOP("Help", "stop reading clips"));
}

// What is usual of a body, and the cameras there are.
void BringView::fillStarts(QMenu& menu) {
    menu.clear();
    const auto entry = [&](const QString& name, auto... start) {
        menu.addAction(name, this, [this, start...] { startFrom(start...); });
    };
    entry(tr("nothing: a new camera"), std::nullopt, QString());
    for (const auto kind : kBodyKinds)
        entry(nameOf(kind), std::optional(kind), QString());
    menu.addSeparator();
    for (const auto& camera : m_actions.document().shoot().kit.cameras)
        entry(toQt(camera.name), std::nullopt, toQt(camera.id));
}

// Clips, lines, answers and edits stay: they say what they say whatever the start is.
void BringView::startFrom(std::optional<BodyKind> kind, const QString& id) {
    const auto* camera = findCamera(m_actions.document().shoot().kit, fromQt(id));
    m_own.kind = kind;
    m_own.start = camera ? std::optional(*camera) : std::nullopt;
    if (camera)
        m_name->setText(toQt(camera->name));
    showUsual();
    commit(tr("Start"));
}

void BringView::refine(const QString& camera) {
    beginAgain();
    startFrom(std::nullopt, camera);
}

void BringView::beginWith(BodyKind kind) {
    beginAgain();
    startFrom(kind, {});
    m_sources->setCurrentIndex(1);
}

void BringView::showUsual() {
    m_start->setText(m_own.start  ? toQt(m_own.start->name)
                     : m_own.kind ? nameOf(*m_own.kind)
                                  : tr("nothing: a new camera"));
    m_start->setAccessibleName(tr("Starts from %1").arg(m_start->text()));
    const auto& kit = m_actions.document().shoot().kit;
    m_questions->showUsual(m_own.start  ? *m_own.start
                           : m_own.kind ? cameraOfKind(*m_own.kind, kit)
                                        : startingCamera(kit),
                           m_own.start.has_value());
    showAll();
}

void BringView::setTable(const QString& text) {
    m_table->setPlainText(text);
}

void BringView::addClips(const QStringList& paths) {
    QStringList clips;
    for (const QString& path : paths) {
        if (const auto table = io::modeTextIn(path.toStdString()))
            m_table->appendPlainText(toQt(*table));
        else
            clips << path;
    }
    m_reading.addClips(clips);
}

void BringView::takeClip(const QString& path, const ClipReading::Clip& clip) {
    if (!*clip)
        m_refused << tr("Not used: %1").arg(messageOf(clip->error()));
    else if (const auto unfit = unfitForModes(**clip))
        m_refused << tr("%1: not used. %2").arg(QFileInfo(path).fileName(), whyUnfit(*unfit));
    else
        m_own.clips.push_back(**clip);
    if (m_name->text().isEmpty())
        m_name->setText(toQt(cameraNameIn(m_own.clips)));
    showAll();
    commit(tr("Add %1").arg(QFileInfo(path).fileName()));
}

void BringView::settle() {
    m_reading.settle();
}

void BringView::beginAgain() {
    m_reading.stop();
    m_own = {};
    m_refused.clear();
    m_name->clear();
    m_table->clear();
    m_questions->clear();
    showUsual();
}

void BringView::showAll() {
    const auto lattice = latticeOf(m_own);
    m_lattice->show(lattice);
    showSources(lattice.rows);
    m_subtitle->setText(
        m_reading.isRunning() ? m_reading.where()
        : m_lattice->modes().empty()
            ? tr("Clips that it recorded, lines of its manual, or a kind of body become its "
                 "recording modes.")
            : tr("Recording modes found: %1. More clips refine them.")
                  .arg(m_lattice->modes().size()));
    m_take->setEnabled(!m_lattice->modes().empty());
}

void BringView::showSources(const std::vector<TableRow>& rows) {
    m_understood->clear();
    const auto tell = [this](Severity severity, const QString& words, int role,
                             const QVariant& what) {
        if (words.isEmpty())
            return;
        auto* item = new QListWidgetItem(severityIcon(severity, m_style.colours()), words);
        item->setData(role, what);
        m_understood->addItem(item);
    };
    for (int i = 0; i < m_refused.size(); ++i)
        tell(Severity::Caution, m_refused[i], kRefusedRole, i);
    for (std::size_t i = 0; i < m_own.clips.size(); ++i)
        tell(Severity::Good, wordsOf(m_own.clips[i]), kClipRole, static_cast<int>(i));
    for (const auto& row : rows) {
        const bool whole = row.rest.empty() && row.assumed.empty();
        tell(row.isMode() && whole          ? Severity::Good
             : row.isMode() || !row.heading ? Severity::Caution
                                            : Severity::Note,
             wordsOf(row), kLineRole, toQt(row.text));
        for (const auto& reading : row.readings) {
            const auto line = toQt(lineOf(reading));
            auto* item = new QListWidgetItem(tr("Return takes it as %1").arg(line));
            item->setData(kLineRole, toQt(row.text));
            item->setData(kReadingRole, line);
            m_understood->addItem(item);
        }
    }
}

// The line as it is meant stands where it stood.
void BringView::chooseReading(QListWidgetItem* item) {
    const auto reading = item->data(kReadingRole).toString();
    if (reading.isEmpty())
        return;
    auto lines = m_table->toPlainText().split(QLatin1Char('\n'));
    for (auto& line : lines)
        if (line.trimmed() == item->data(kLineRole).toString()) {
            line = reading;
            const QSignalBlocker quiet(m_table);
            m_table->setPlainText(lines.join(QLatin1Char('\n')));
            m_own.table = fromQt(m_table->toPlainText());
            showAll();
            return commit(tr("Choose a reading"));
        }
}

void BringView::showCell() {
    m_cell->show(m_lattice->mode(), m_lattice->rate());
}

void BringView::edit(const std::vector<LatticeEdit>& edits) {
    m_own.edits.insert(m_own.edits.end(), edits.begin(), edits.end());
    const bool typed = std::holds_alternative<TypedCell>(edits.front());
    m_lattice->follow(edits.back());
    showAll();
    if (typed)
        m_lattice->setFocus();
    commit(std::holds_alternative<AddedRow>(edits.front()) ? tr("Add a row")
           : typed                                         ? tr("Type a bit rate")
                                                           : tr("Mark a cell"));
}

void BringView::take() {
    if (m_lattice->modes().empty())
        return emit refused(tr("There is no recording mode to take yet."));
    const QString name =
        m_name->text().trimmed().isEmpty() ? m_name->placeholderText() : m_name->text().trimmed();
    const auto camera = cameraOf(m_own, m_actions.document().shoot().kit, fromQt(name));
    if (!camera)
        return emit refused(messageOf(camera.error()));
    if (!m_actions.putCamera(*camera))
        return;
    const QString unknown = m_questions->unknown();
    emit told(unknown.isEmpty() ? tr("%1 is in the kit.").arg(name)
                                : tr("%1 is in the kit. Not known of it: %2.").arg(name, unknown));
    commit(tr("Name"));
    beginAgain();
    commit(tr("Take into the kit"));
    if (m_keep->isChecked())
        m_mine.keep({{KitPart::Camera, toQt(camera->id)}});
    emit brought(toQt(camera->id));
}

} // namespace bslate::app
