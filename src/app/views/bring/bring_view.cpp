#include "app/views/bring/bring_view.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/bring/seen_lattice.h"
#include "app/views/bring/source_words.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/text/mode_text.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

// Megabits a second; `none` for a rate the camera does not have.
std::optional<std::optional<DataRate>> typedRate(const QString& text) {
    const auto word = fromQt(text.trimmed().toLower());
    if (word == "none" || word == "-" || word == fromQt(BringView::tr("none")))
        return std::optional<DataRate>();
    for (const std::string& whole : {fromQt(text.trimmed()), word + "Mb/s"})
        if (const auto rate = parseDataRate(whole))
            return *rate;
    return std::nullopt;
}

} // namespace

BringView::BringView(KitActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel(tr("Bring a camera in")))
    , m_subtitle(new QLabel)
    , m_cell(new QLabel)
    , m_ground(new QLabel)
    , m_table(new QPlainTextEdit)
    , m_understood(new QListWidget)
    , m_lattice(new SeenLattice(style))
    , m_number(quantityField("own-bit-rate", tr("Bit rate of the chosen cell"),
                             [](const QString& text) {
                                 return typedRate(text) ? std::nullopt
                                                        : std::optional(tr("a bit rate such as 100 "
                                                                           "or 1.2 Gb/s, or none"));
                             }))
    , m_name(new QLineEdit)
    , m_take(new QPushButton(tr("Ta&ke into the kit")))
    , m_reading(io::ClipDepth::Facts) {
    setObjectName(QStringLiteral("bring-view"));
    m_ask = [this] { return QFileDialog::getOpenFileNames(this, tr("Clips of the camera")); };
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
    showAll();
}

std::span<const KeyLine> BringView::keys() const {
    static constexpr KeyLine kKeys[] = {
        {"Alt+C, Alt+A", QT_TRANSLATE_NOOP("Help", "add clips; begin again")},
        {"Arrows, Return", QT_TRANSLATE_NOOP("Help", "choose a cell, type its bit rate")},
        {"Alt+K", QT_TRANSLATE_NOOP("Help", "take the camera into the kit")},
        {"Escape", QT_TRANSLATE_NOOP("Help", "stop reading clips")}};
    return kKeys;
}

QWidget* BringView::buildSources() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    auto* label = new QLabel(tr("Lines of its manual, one mode a line or a table"));
    label->setBuddy(m_table);
    label->setWordWrap(true);
    column->addWidget(label);
    m_table->setObjectName(QStringLiteral("mode-table"));
    m_table->setAccessibleName(tr("Lines of the camera's manual"));
    m_table->setPlaceholderText(QStringLiteral("UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP"));
    m_table->setTabChangesFocus(true);
    m_table->setLineWrapMode(QPlainTextEdit::NoWrap);
    column->addWidget(m_table, 2);
    connect(m_table, &QPlainTextEdit::textChanged, this, [this] {
        m_own.table = fromQt(m_table->toPlainText());
        showAll();
    });
    m_understood->setObjectName(QStringLiteral("understood"));
    m_understood->setAccessibleName(tr("What was understood"));
    m_understood->setWordWrap(true);
    m_understood->setIconSize({16, 16});
    m_understood->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    column->addWidget(m_understood, 3);
    auto* row = new QHBoxLayout;
    const auto button = [&](const QString& text, const char* name, auto work) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        connect(made, &QPushButton::clicked, this, work);
        row->addWidget(made);
    };
    button(tr("Add &clips or text\u2026"), "own-clips", [this] { addClips(m_ask()); });
    button(tr("Begin &again"), "own-again", [this] { beginAgain(); });
    row->addStretch(1);
    column->addLayout(row);
    return side;
}

QWidget* BringView::buildFound() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    auto* scroll = new QScrollArea;
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(m_lattice);
    m_lattice->setAutoFillBackground(false);
    scroll->viewport()->setAutoFillBackground(false);
    column->addWidget(scroll, 1);
    buildNumber(*column);
    auto* row = new QHBoxLayout;
    auto* label = new QLabel(tr("&Name"));
    label->setBuddy(m_name);
    m_name->setObjectName(QStringLiteral("own-name"));
    m_name->setAccessibleName(tr("Name of the camera"));
    m_name->setPlaceholderText(tr("My camera"));
    m_take->setObjectName(QStringLiteral("own-take"));
    row->addWidget(label);
    row->addWidget(m_name, 1);
    row->addWidget(m_take);
    column->addLayout(row);
    connect(m_take, &QPushButton::clicked, this, &BringView::take);
    connect(m_name, &QLineEdit::returnPressed, this, &BringView::take);
    return side;
}

void BringView::buildNumber(QVBoxLayout& column) {
    auto* row = new QHBoxLayout;
    m_cell->setTextFormat(Qt::PlainText);
    m_number->setMaximumWidth(110);
    row->addWidget(m_cell);
    row->addWidget(m_number);
    row->addStretch(1);
    column.addLayout(row);
    m_ground->setTextFormat(Qt::PlainText);
    m_ground->setWordWrap(true);
    m_ground->setForegroundRole(QPalette::PlaceholderText);
    column.addWidget(m_ground);
    connect(m_lattice, &SeenLattice::moved, this, &BringView::showCell);
    connect(m_lattice, &SeenLattice::numberWanted, this, [this] {
        m_number->setFocus();
        m_number->selectAll();
    });
    connect(m_number, &QuantityEdit::entered, this, &BringView::typeCell);
    connect(m_number, &QuantityEdit::leftUnchanged, m_lattice, [this] { m_lattice->setFocus(); });
    connect(m_number, &QuantityEdit::refused, this, &BringView::refused);
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
    m_reading.add(clips);
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
    showAll();
}

void BringView::showAll() {
    const auto lattice = latticeOf(m_own);
    m_lattice->show(lattice);
    showSources(lattice.rows);
    m_subtitle->setText(
        m_reading.isRunning() ? m_reading.where()
        : m_lattice->modes().empty()
            ? tr("Clips that it recorded, or lines of its manual, become its recording modes.")
            : tr("Recording modes found: %1. More clips refine them.")
                  .arg(m_lattice->modes().size()));
    m_take->setEnabled(!m_lattice->modes().empty());
}

void BringView::showSources(const std::vector<TableRow>& rows) {
    m_understood->clear();
    const auto tell = [this](Severity severity, const QString& words) {
        if (!words.isEmpty())
            m_understood->addItem(
                new QListWidgetItem(severityIcon(severity, m_style.colours()), words));
    };
    for (const auto& refused : m_refused)
        tell(Severity::Caution, refused);
    for (const auto& clip : m_own.clips)
        tell(Severity::Good, wordsOf(clip));
    for (const auto& row : rows) {
        const bool whole = row.rest.empty() && row.assumed.empty();
        tell(row.isMode() && whole          ? Severity::Good
             : row.isMode() || !row.heading ? Severity::Caution
                                            : Severity::Note,
             wordsOf(row));
    }
}

void BringView::showCell() {
    const auto* mode = m_lattice->mode();
    m_number->setEnabled(mode != nullptr);
    if (!mode) {
        m_cell->setText({});
        m_ground->setText({});
        return m_number->showValue({});
    }
    const auto rate = *m_lattice->rate();
    m_cell->setText(tr("%1 p writes").arg(toQt(print(rate))));
    QString bits = tr("none");
    for (const auto& option : mode->line.rates)
        if (option.rate == rate)
            bits = toQt(print(option.bitRate));
    m_number->showValue(bits);
    m_ground->setText(wordsOf(*mode));
}

void BringView::typeCell(const QString& text) {
    const auto* mode = m_lattice->mode();
    const auto bits = typedRate(text);
    if (mode && bits)
        m_own.typed.push_back({mode->line, *m_lattice->rate(), *bits});
    showAll();
    m_lattice->setFocus();
}

void BringView::take() {
    if (m_lattice->modes().empty())
        return emit refused(tr("There is no recording mode to take yet."));
    const QString name =
        m_name->text().trimmed().isEmpty() ? m_name->placeholderText() : m_name->text().trimmed();
    const auto camera = cameraOf(m_own, m_actions.document().shoot().kit, fromQt(name));
    if (!m_actions.putCamera(camera))
        return;
    emit told(tr("%1 is in the kit. Its sensor, base and shutter are those of a plain camera until "
                 "they are described; a body test measures them.")
                  .arg(name));
    beginAgain();
    emit brought(toQt(camera.id));
}

void BringView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && m_reading.isRunning())
        return m_reading.stop();
    StepView::keyPressEvent(event);
}

} // namespace bslate::app
