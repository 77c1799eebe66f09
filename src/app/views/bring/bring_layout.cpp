// How the page is put together: sources on the left, what they make on the right.
#include "app/document/text.h"
#include "app/views/bring/body_questions.h"
#include "app/views/bring/bring_view.h"
#include "app/views/bring/cell_editor.h"
#include "app/views/bring/seen_lattice.h"

#include <QCheckBox>
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

QWidget* BringView::buildSources() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    auto* start = new QHBoxLayout;
    auto* label = new QLabel(tr("Start &from"));
    label->setBuddy(m_start);
    m_start->setObjectName(QStringLiteral("own-start"));
    auto* menu = new QMenu(m_start);
    m_start->setMenu(menu);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] { fillStarts(*menu); });
    start->addWidget(label);
    start->addWidget(m_start, 1);
    column->addLayout(start);
    m_sources->setObjectName(QStringLiteral("own-sources"));
    m_sources->setDocumentMode(true);
    m_sources->setFocusPolicy(Qt::NoFocus); // its bar takes it
    m_sources->addTab(buildLines(), tr("&Its modes"));
    m_sources->addTab(buildBody(), tr("Its &body"));
    column->addWidget(m_sources, 1);
    auto* row = new QHBoxLayout;
    const auto button = [&](const QString& text, const char* name, auto work) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        connect(made, &QPushButton::clicked, this, work);
        row->addWidget(made);
        return made;
    };
    button(tr("Add &clips\u2026"), "own-clips", [this] {
        addClips(m_ask());
    })->setToolTip(tr("or text files of its modes"));
    button(tr("Begin &again"), "own-again", [this] {
        commit(tr("Name")); // where it is still being typed
        beginAgain();
        commit(tr("Begin again"));
    });
    auto* out = button(tr("Take ou&t"), "own-out", [this] { takeOut(); });
    out->setToolTip(tr("Delete: the chosen clip or line counts no more"));
    out->setEnabled(false);
    connect(m_understood, &QListWidget::currentItemChanged, out,
            [out](QListWidgetItem* item) { out->setEnabled(item != nullptr); });
    auto* back = button(tr("Undo"), "own-back", [this] { m_steps.undo(); });
    back->setToolTip(tr("Ctrl+Z, or Backspace on the lattice"));
    back->setEnabled(false);
    connect(&m_steps, &QUndoStack::canUndoChanged, back, &QWidget::setEnabled);
    row->addStretch(1);
    column->addLayout(row);
    return side;
}

QWidget* BringView::buildBody() {
    auto* scroll = new QScrollArea;
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(m_questions);
    m_questions->setAutoFillBackground(false);
    scroll->viewport()->setAutoFillBackground(false);
    connect(m_questions, &BodyQuestions::refused, this, &BringView::refused);
    connect(m_questions, &BodyQuestions::changed, this, [this] {
        m_own.answers = m_questions->answers();
        commit(tr("Answer"));
    });
    return scroll;
}

QWidget* BringView::buildLines() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 4, 0, 0);
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
        if (m_putting)
            return;
        m_own.table = fromQt(m_table->toPlainText());
        showAll();
        commit(tr("Type lines"), 1 + m_table->blockCount());
    });
    m_table->setUndoRedoEnabled(false); // its text is a part of the page's steps
    m_table->installEventFilter(this);

    m_understood->setObjectName(QStringLiteral("understood"));
    m_understood->setAccessibleName(tr("What was understood"));
    m_understood->setWordWrap(true);
    m_understood->setIconSize({16, 16});
    m_understood->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    column->addWidget(m_understood, 3);
    connect(m_understood, &QListWidget::itemActivated, this, &BringView::chooseReading);
    return page;
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
    column->addWidget(m_cell);
    auto* row = new QHBoxLayout;
    auto* label = new QLabel(tr("&Name"));
    label->setBuddy(m_name);
    m_name->setObjectName(QStringLiteral("own-name"));
    m_name->setAccessibleName(tr("Name of the camera"));
    m_name->setPlaceholderText(tr("My camera"));
    m_take->setObjectName(QStringLiteral("own-take"));
    row->addWidget(label);
    row->addWidget(m_name, 1);
    row->addWidget(m_keep);
    row->addWidget(m_take);
    m_keep->setObjectName(QStringLiteral("own-keep"));
    m_keep->setToolTip(tr("so that every new shoot begins with it"));
    m_keep->setChecked(true);
    column->addLayout(row);
    connect(m_lattice, &PickCanvas::moved, this, &BringView::showCell);
    connect(m_lattice, &PickCanvas::picked, m_cell, &CellEditor::typeNumber);
    connect(m_cell, &CellEditor::edited, this, &BringView::edit);
    connect(m_cell, &CellEditor::rateAdded, this, &BringView::addRate);
    connect(m_name, &QLineEdit::editingFinished, this, [this] { commit(tr("Name")); });
    connect(m_cell, &CellEditor::refused, this, &BringView::refused);
    connect(m_cell, &CellEditor::left, m_lattice, [this] { m_lattice->setFocus(); });
    connect(m_take, &QPushButton::clicked, this, &BringView::take);
    connect(m_name, &QLineEdit::returnPressed, this, &BringView::take);
    return side;
}

} // namespace bslate::app
