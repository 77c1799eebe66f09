#include "app/views/record/record_view.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "app/style/cost_marks.h"
#include "app/style/marks.h"
#include "app/views/record/cell_detail.h"
#include "app/views/record/lattice_canvas.h"
#include "app/views/record/optics_picture.h"
#include "core/advice/openings.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

/// The marks and their words, so that nobody has to guess a shape.
class CostLegend : public QWidget {
public:
    explicit CostLegend(const Style& style)
        : m_style(style) {
        setFixedHeight(18);
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.setFont(Style::font(TextRole::Secondary));
        double x = 0;
        for (int i = 0; i <= static_cast<int>(CostKind::OffSpeed); ++i) {
            const auto kind = static_cast<CostKind>(i);
            const QString word = QCoreApplication::translate("Costs", costName(kind));
            const double width = QFontMetricsF(painter.font()).horizontalAdvance(word);
            if (x + width + 16 > this->width())
                return;
            drawCost(painter, QRectF(x, 3, 12, 12), kind, m_style.colours());
            painter.setPen(m_style.colours().muted);
            painter.drawText(QRectF(x + 16, 0, width + 2, 18), Qt::AlignVCenter, word);
            x += width + 30;
        }
    }

private:
    const Style& m_style;
};

} // namespace

RecordView::RecordView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_scroll(new QScrollArea)
    , m_canvas(new LatticeCanvas(style))
    , m_detail(new CellDetail(style))
    , m_optics(new OpticsPicture(style)) {
    setObjectName(QStringLiteral("record-view"));
    setFocusPolicy(Qt::StrongFocus);
    addKeys();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 12, 16, 10);
    column->setSpacing(6);
    buildHeader(*column);
    m_scroll->setWidget(m_canvas);
    m_scroll->setWidgetResizable(true);
    m_scroll->setFocusPolicy(Qt::NoFocus);
    m_scroll->viewport()->setAutoFillBackground(false);
    m_canvas->setAutoFillBackground(false);
    column->addWidget(m_scroll, 100);
    column->addWidget(new CostLegend(style));
    column->addWidget(m_detail);
    column->addWidget(m_optics, 1);
    column->addStretch(0);
    column->addWidget(hintLabel());
    connect(m_canvas, &PickCanvas::moved, this, &RecordView::showCursor);
    connect(m_canvas, &PickCanvas::picked, this, &RecordView::choose);
    // What the detail says of a cell takes room from the lattice: then it is looked for again.
    connect(m_canvas, &PickCanvas::currentAt, this, &RecordView::keepCursorInView);
    connect(m_scroll->verticalScrollBar(), &QScrollBar::rangeChanged, this,
            &RecordView::keepCursorInView);
    connect(m_detail, &CellDetail::chooseRequested, this, &RecordView::choose);
    connect(m_detail, &CellDetail::openingRequested, this, &RecordView::open);
    connect(&m_actions.document(), &ShootDocument::changed, this, &RecordView::refresh);
    connect(&m_actions.document(), &ShootDocument::selectionChanged, this, &RecordView::refresh);
    connect(&style, &Style::changed, this, [this] {
        update();
        showCursor();
    });
}

void RecordView::addKeys() {
    auto& keys = keyTable();
    keys.include(m_canvas->keys());
    keys.add({{Qt::Key_W, [this] { open(0); }}},
             QT_TRANSLATE_NOOP("Help", "open a closed cell by what is offered first"),
             QT_TRANSLATE_NOOP("Help", "open what is closed"));
    keys.add({{Qt::Key_L, [this] { m_canvas->nextLayer(); }}},
             QT_TRANSLATE_NOOP("Help", "next sensor area"),
             QT_TRANSLATE_NOOP("Help", "sensor area"));
    keys.add({{Qt::Key_F, [this] { m_only->toggle(); }}},
             QT_TRANSLATE_NOOP("Help", "only what can be used"),
             QT_TRANSLATE_NOOP("Help", "only what can be used"));
    keys.add({{Qt::Key_C, [this] { emit sheetRequested(QStringLiteral("compare")); }}},
             QT_TRANSLATE_NOOP("Help", "compare two setups"),
             QT_TRANSLATE_NOOP("Help", "compare two setups"));
}

void RecordView::buildHeader(QVBoxLayout& column) {
    m_title = new QLabel;
    m_title->setFont(Style::font(TextRole::Head));
    m_subtitle = new QLabel;
    m_subtitle->setForegroundRole(QPalette::PlaceholderText);
    m_layer = new QPushButton;
    m_layer->setObjectName(QStringLiteral("layer"));
    m_only = new QPushButton(tr("Only what can be used"));
    m_only->setCheckable(true);
    m_only->setObjectName(QStringLiteral("only-open"));
    m_compare = new QPushButton(tr("Compare\u2026"));
    m_compare->setObjectName(QStringLiteral("compare"));
    auto* row = new QHBoxLayout;
    row->addWidget(m_title, 1);
    row->addWidget(m_layer);
    row->addWidget(m_only);
    row->addWidget(m_compare);
    column.addLayout(row);
    column.addWidget(m_subtitle);
    connect(m_layer, &QPushButton::clicked, m_canvas, &LatticeCanvas::nextLayer);
    connect(m_only, &QPushButton::toggled, m_canvas, &LatticeCanvas::setOnlyOpen);
    connect(m_compare, &QPushButton::clicked, this,
            [this] { emit sheetRequested(QStringLiteral("compare")); });
}

void RecordView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void RecordView::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    m_canvas->setFocus();
}

QString RecordView::subtitle(const SetupContext& context) const {
    const auto& scene = *context.scene;
    QStringList parts;
    parts << tr("Day %1").arg(scene.day) << toQt(context.camera->name);
    if (scene.slowMotion.value() > 1.001)
        parts << tr("%1 times slower wanted: %2 for %3")
                     .arg(toQt(print(scene.slowMotion)),
                          toQt(print(wantedRate(scene, context.shoot->brief))),
                          toQt(print(context.shoot->brief.rate)));
    parts << (scene.sound ? tr("sound wanted") : tr("no sound wanted"));
    if (scene.longestTake.value() > 0)
        parts << tr("takes of %1").arg(toQt(printDuration(scene.longestTake)));
    ByEnum<GradeWeight, const char*> grades{QT_TR_NOOP("no grade"), QT_TR_NOOP("light grade"),
                                            QT_TR_NOOP("full grade")};
    parts << tr(grades[context.shoot->brief.grade]);
    return parts.join(QStringLiteral(" \u00b7 "));
}

void RecordView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    auto& document = m_actions.document();
    const bool sameSetup = document.setupId() == m_setupId;
    m_value = document.value();
    m_setupId = document.setupId();
    const auto* setup = document.setup();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("Record"));
    const auto context = setup ? resolve(*m_value, *setup) : Result<SetupContext>(Error{});
    if (!context) {
        m_lattice = {};
        m_canvas->show(nullptr, nullptr, {}, {}, false);
        m_subtitle->setText(setup ? messageOf(context.error()) : tr("no setup yet"));
        m_detail->showNothing(setup ? tr("Choose camera, profile and recording with Ctrl+E.")
                                    : QString());
        m_optics->show(std::nullopt, std::nullopt);
        return;
    }
    m_subtitle->setText(subtitle(*context));
    m_lattice = latticeOf(latticeCase(*context));
    m_canvas->show(&m_lattice, context->camera, setup->mode, setup->rate, sameSetup);
    m_scroll->setMaximumHeight(m_canvas->sizeHint().height() + 2); // the optics take the rest
}

void RecordView::keepCursorInView() {
    if (!m_canvas->cursor())
        return;
    const QRectF cell = m_canvas->itemBox(m_canvas->current());
    const QPoint middle = cell.center().toPoint() - QPoint(0, 11); // with what stands around it
    m_scroll->ensureVisible(middle.x(), middle.y(), qRound(cell.width() / 2),
                            qRound(cell.height() / 2) + 27);
}

void RecordView::showCursor() {
    const auto* setup =
        findSetup(*(m_value ? m_value : m_actions.document().value()), fromQt(m_setupId));
    const auto context = setup ? resolve(*m_value, *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    const auto* area = findArea(*context->camera, m_canvas->layer());
    m_layer->setText(area ? tr("Area: %1").arg(toQt(area->name)) : tr("All areas"));
    const auto* now = m_actions.document().evaluation();
    const auto* cell = m_canvas->cursor();
    m_openings.clear();
    if (!cell) {
        m_detail->showNothing(tr("Nothing here can be used: L shows another area, F all cells."));
        showOptics(now, *setup, nullptr);
        return;
    }
    const bool recordedNow = cell->mode->id == setup->mode && cell->rate == setup->rate;
    std::vector<Difference> changes;
    QString problem;
    if (cell->available() && !recordedNow) {
        const auto turned = turn(*m_value, *setup, TurnMode{cell->mode->id, cell->rate, {}, false});
        if (turned)
            changes = consequences(*m_value, *setup, *turned->edit.setup);
        else
            problem = messageOf(turned.error());
    }
    if (!cell->available())
        m_openings = openingsOf(latticeCase(*context), m_lattice, *cell);
    m_detail->show(*cell, recordedNow, changes, m_openings, problem);
    showOptics(now, *setup, recordedNow ? nullptr : cell);
}

void RecordView::showOptics(const Evaluation* now, const Setup& setup, const ModeCell* cell) {
    if (!now)
        return m_optics->show(std::nullopt, std::nullopt);
    const auto* camera = findCamera(m_value->kit, setup.camera);
    const auto* lens = findLens(m_value->kit, setup.lens);
    OpticsPicture::Shown shown{now->recording, camera->areas, lens ? toQt(lens->name) : QString(),
                               setup.iris, setup.focus};
    std::optional<RecordingFacts> other;
    if (cell) {
        Setup changed = setup;
        changed.mode = cell->mode->id;
        changed.rate = cell->rate;
        if (const auto context = resolve(*m_value, changed))
            other = recordingFacts(*context);
    }
    m_optics->show(std::move(shown), std::move(other));
}

void RecordView::applyMode(const Setup& to) {
    const auto* mode = findMode(*findCamera(m_value->kit, to.camera), to.mode);
    m_actions.turnControl(
        tr("Record %1 at %2").arg(mode ? toQt(mode->name) : QString(), toQt(print(to.rate))),
        TurnMode{to.mode, to.rate, to.profile, to.externalPower});
}

void RecordView::choose() {
    const auto* setup = m_actions.document().setup();
    const auto* cell = m_canvas->cursor();
    if (!setup || !cell)
        return;
    if (!cell->available())
        return; // the detail says why, and what opens it
    Setup to = *setup;
    to.mode = cell->mode->id;
    to.rate = cell->rate;
    applyMode(to);
}

void RecordView::open(int index) {
    if (index < 0 || index >= static_cast<int>(m_openings.size()))
        return;
    const auto opening = m_openings[static_cast<std::size_t>(index)];
    if (!opening.setup)
        return;
    const Setup to = *opening.setup;
    if (opening.kind == OpeningKind::Rating)
        m_actions.turnControl(tr("Rating"), TurnRating{to.rating});
    applyMode(to);
    m_canvas->setFocus();
}

} // namespace bslate::app
