#include "app/views/banks/record_sheet.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "core/shoot/camera_record.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTextBlock>
#include <QVBoxLayout>

namespace bslate::app {

RecordSheet::RecordSheet(const QString& camera, std::vector<Part> parts, QWidget* parent)
    : QDialog(parent)
    , m_parts(std::move(parts))
    , m_before(m_parts)
    , m_part(new QComboBox)
    , m_lines(new QPlainTextEdit)
    , m_problem(new QLabel) {
    setObjectName(QStringLiteral("record-sheet"));
    setWindowTitle(tr("What is set on %1").arg(camera));
    resize(560, 520);
    auto* column = new QVBoxLayout(this);
    auto* hint = new QLabel(tr("One setting a line, as you find it on the body: white 4100 K, or "
                               "auto power-off = 10 min."));
    hint->setWordWrap(true);
    hint->setFont(Style::font(TextRole::Secondary));
    hint->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(hint);
    auto* of = new QHBoxLayout;
    auto* label = new QLabel(tr("&Of"));
    label->setBuddy(m_part);
    m_part->setObjectName(QStringLiteral("record-part"));
    m_part->setAccessibleName(tr("What is noted"));
    for (const auto& part : m_parts)
        m_part->addItem(part.name);
    of->addWidget(label);
    of->addWidget(m_part, 1);
    column->addLayout(of);
    m_lines->setObjectName(QStringLiteral("record-lines"));
    m_lines->setAccessibleName(tr("Settings, one a line"));
    m_lines->setTabChangesFocus(true);
    column->addWidget(m_lines, 1);
    m_problem->setObjectName(QStringLiteral("sheet-problem"));
    m_problem->setWordWrap(true);
    column->addWidget(m_problem);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    auto* fill = buttons->addButton(tr("As the &plan has them"), QDialogButtonBox::ActionRole);
    fill->setObjectName(QStringLiteral("record-planned"));
    connect(fill, &QPushButton::clicked, this, [this] {
        m_lines->selectAll(); // in one step that can be taken back
        m_lines->insertPlainText(m_parts[static_cast<std::size_t>(m_shown)].planned);
    });
    connect(m_part, &QComboBox::currentIndexChanged, this, &RecordSheet::showPart);
    connect(buttons, &QDialogButtonBox::accepted, this, &RecordSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    showPart(0);
}

void RecordSheet::keepShown() {
    if (m_shown >= 0)
        m_parts[static_cast<std::size_t>(m_shown)].lines = m_lines->toPlainText();
}

void RecordSheet::showPart(int part) {
    keepShown();
    m_shown = part;
    m_lines->setPlainText(m_parts[static_cast<std::size_t>(part)].lines);
    m_problem->clear();
}

std::vector<RecordSheet::Part> RecordSheet::changed() const {
    std::vector<Part> some;
    for (std::size_t i = 0; i < m_parts.size(); ++i)
        if (m_parts[i].lines != m_before[i].lines)
            some.push_back(m_parts[i]);
    return some;
}

void RecordSheet::accept() {
    keepShown();
    for (std::size_t i = 0; i < m_parts.size(); ++i) {
        const auto parsed = parseRecordLines(fromQt(m_parts[i].lines));
        if (parsed)
            continue;
        m_part->setCurrentIndex(static_cast<int>(i));
        m_problem->setText(messageOf(parsed.error()));
        const int line = toQt(parsed.error().place).section(QLatin1Char(' '), -1).toInt();
        m_lines->setFocus();
        m_lines->setTextCursor(QTextCursor(m_lines->document()->findBlockByNumber(line - 1)));
        return;
    }
    QDialog::accept();
}

} // namespace bslate::app
