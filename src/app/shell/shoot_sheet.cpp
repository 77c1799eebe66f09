#include "app/shell/shoot_sheet.h"

#include "app/document/text.h"
#include "app/widgets/field_form.h"
#include "core/shoot/revision.h"
#include "core/shoot/shoot_fields.h"

#include <QDialogButtonBox>
#include <QLabel>
#include <QVBoxLayout>

namespace bslate::app {

ShootSheet::ShootSheet(const Shoot& shoot, QWidget* parent)
    : QDialog(parent)
    , m_shoot(shoot)
    , m_rows(fieldRows<Shoot>())
    , m_form(new FieldForm(QStringLiteral("shoot")))
    , m_problem(new QLabel) {
    setObjectName(QStringLiteral("shoot-sheet"));
    setWindowTitle(tr("Shoot"));
    for (auto& row : m_rows)
        if (!row.hint.isEmpty()) // the usual constants stay in view beside the one that is typed
            row.label = tr("%1 (%2)").arg(row.label, row.hint);
    m_form->addAll(m_rows, m_shoot);
    m_problem->setWordWrap(true);
    m_problem->setObjectName(QStringLiteral("sheet-problem"));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    connect(buttons, &QDialogButtonBox::accepted, this, &ShootSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    m_form->setMinimumWidth(700); // a note is a sentence
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_form);
    column->addWidget(m_problem);
    column->addWidget(buttons);
}

void ShootSheet::accept() {
    const auto refuse = [&](const Error& error) { m_problem->setText(messageOf(error)); };
    auto after = typedIn(*m_form, m_rows, m_shoot);
    if (!after)
        return refuse(after.error());
    if (const auto sound = checkRevision(*after, revisionBetween(m_shoot, *after)); !sound)
        return refuse(sound.error());
    m_shoot = *std::move(after);
    QDialog::accept();
}

} // namespace bslate::app
