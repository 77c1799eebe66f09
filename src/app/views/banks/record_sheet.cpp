#include "app/views/banks/record_sheet.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "core/shoot/camera_record.h"

#include <QDialogButtonBox>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTextBlock>
#include <QVBoxLayout>

namespace bslate::app {

RecordSheet::RecordSheet(const QString& camera, const QString& lines, const QString& planned,
                         QWidget* parent)
    : QDialog(parent)
    , m_lines(new QPlainTextEdit(lines))
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
    connect(fill, &QPushButton::clicked, this, [this, planned] {
        m_lines->selectAll(); // in one step that can be taken back
        m_lines->insertPlainText(planned);
    });
    connect(buttons, &QDialogButtonBox::accepted, this, &RecordSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
}

QString RecordSheet::lines() const {
    return m_lines->toPlainText();
}

void RecordSheet::accept() {
    const auto parsed = parseRecordLines(fromQt(lines()));
    if (parsed)
        return QDialog::accept();
    m_problem->setText(messageOf(parsed.error()));
    const int line = toQt(parsed.error().place).section(QLatin1Char(' '), -1).toInt();
    m_lines->setFocus();
    m_lines->setTextCursor(QTextCursor(m_lines->document()->findBlockByNumber(line - 1)));
}

} // namespace bslate::app
