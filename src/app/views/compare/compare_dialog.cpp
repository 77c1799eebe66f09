#include "app/views/compare/compare_dialog.h"

#include "app/document/text.h"
#include "core/words/figure_lines.h"
#include "core/words/table_text.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {

CompareDialog::CompareDialog(ShootDocument& document, const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_document(document)
    , m_style(style)
    , m_left(new QComboBox)
    , m_right(new QComboBox)
    , m_summary(new QLabel)
    , m_table(new QTableWidget(0, 3)) {
    setObjectName(QStringLiteral("compare-dialog"));
    setWindowTitle(tr("Compare two setups"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(720, 760);
    m_left->setAccessibleName(tr("First setup"));
    m_right->setAccessibleName(tr("Second setup"));
    m_left->setObjectName(QStringLiteral("compare-left"));
    m_right->setObjectName(QStringLiteral("compare-right"));
    m_table->setObjectName(QStringLiteral("compare-table"));
    m_table->setAccessibleName(tr("Figures of both setups, differences first"));
    m_table->verticalHeader()->hide();
    m_table->setShowGrid(false);
    m_table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    m_table->setSelectionMode(QAbstractItemView::NoSelection);
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    auto* choices = new QHBoxLayout;
    choices->addWidget(m_left, 1);
    choices->addWidget(m_right, 1);
    auto* column = new QVBoxLayout(this);
    column->addLayout(choices);
    column->addWidget(m_summary);
    column->addWidget(m_table, 1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    auto* copyButton = buttons->addButton(tr("Copy table"), QDialogButtonBox::ActionRole);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(copyButton, &QPushButton::clicked, this, &CompareDialog::copy);
    fillChoices();
    for (auto* box : {m_left, m_right})
        connect(box, &QComboBox::currentIndexChanged, this, &CompareDialog::refresh);
    connect(&document, &ShootDocument::changed, this, [this] {
        fillChoices();
        refresh();
    });
    refresh();
}

// Keeps what was chosen; at first the selected setup and another on its scene, or the next.
void CompareDialog::fillChoices() {
    const auto& shoot = m_document.shoot();
    QString left = m_left->currentData().toString();
    QString right = m_right->currentData().toString();
    if (left.isEmpty() && m_document.setup()) {
        left = m_document.setupId();
        for (const auto& setup : shoot.setups)
            if (toQt(setup.id) != left &&
                (right.isEmpty() || setup.scene == m_document.setup()->scene))
                right = toQt(setup.id);
    }
    for (auto* box : {m_left, m_right}) {
        const QSignalBlocker quiet(box);
        box->clear();
        for (const auto& setup : shoot.setups)
            box->addItem(QStringLiteral("%1  %2").arg(toQt(setup.number), toQt(setup.name)),
                         toQt(setup.id));
        box->setCurrentIndex(std::max(0, box->findData(box == m_left ? left : right)));
    }
}

const Setup* CompareDialog::chosen(const QComboBox& box) const {
    return findSetup(m_document.shoot(), fromQt(box.currentData().toString()));
}

void CompareDialog::refresh() {
    const auto* left = chosen(*m_left);
    const auto* right = chosen(*m_right);
    const auto lines = left && right
                           ? figureLines(compare(m_document.shoot(), *left, *right), translator())
                           : std::vector<FigureLine>{};
    const auto different =
        std::count_if(lines.begin(), lines.end(), [](const auto& line) { return line.differs(); });
    m_summary->setText(
        lines.empty()
            ? tr("One of the two cannot be worked out yet.")
            : tr("%1 of %2 figures differ").arg(different).arg(static_cast<int>(lines.size())));
    m_table->setHorizontalHeaderLabels(
        {tr("Figure"), m_left->currentText(), m_right->currentText()});
    m_table->setRowCount(static_cast<int>(lines.size()));
    for (int row = 0; row < static_cast<int>(lines.size()); ++row) {
        const auto& line = lines[static_cast<std::size_t>(row)];
        const QString name = toQt(line.name);
        const QString texts[] = {line.differs() ? QStringLiteral("\u2260  ") + name : name,
                                 toQt(line.before), toQt(line.after)};
        for (int i = 0; i < 3; ++i) {
            auto* item = new QTableWidgetItem(texts[i]);
            QFont font = Style::font(i == 0 ? TextRole::Body : TextRole::Value);
            font.setBold(line.differs());
            item->setFont(font);
            item->setForeground(line.differs()
                                    ? (i == 2 ? m_style.colours().lilac : m_style.colours().ink)
                                    : m_style.colours().muted);
            m_table->setItem(row, i, item);
        }
    }
}

void CompareDialog::copy() {
    QString text;
    for (int row = 0; row < m_table->rowCount(); ++row)
        text += toQt(
            tableRow({fromQt(m_table->item(row, 0)->text()), fromQt(m_table->item(row, 1)->text()),
                      fromQt(m_table->item(row, 2)->text())},
                     TableKind::Tabs));
    QApplication::clipboard()->setText(text);
}

} // namespace bslate::app
