#include "app/shell/shoot_sheet.h"

#include "app/document/field_label.h"
#include "app/document/text.h"
#include "core/quantity/print.h"

#include "core/shoot/revision.h"
#include "core/shoot/shoot_fields.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSpinBox>

namespace bslate::app {
namespace {

// An editable list of usual constants; any number in range may be typed.
QComboBox* constants(double now, std::initializer_list<const char*> usual, const char* name) {
    auto* box = new QComboBox;
    box->setEditable(true);
    box->setObjectName(QString::fromLatin1(name));
    for (const char* value : usual)
        box->addItem(QString::fromLatin1(value));
    box->setEditText(QLocale::c().toString(now));
    return box;
}

std::optional<double> numberIn(const QComboBox& box, double low, double high) {
    bool ok = false;
    const double value = QLocale::c().toDouble(box.currentText().trimmed(), &ok);
    return ok && value >= low && value <= high ? std::optional(value) : std::nullopt;
}

} // namespace

ShootSheet::ShootSheet(const Shoot& shoot, QWidget* parent)
    : QDialog(parent)
    , m_shoot(shoot)
    , m_title(new QLineEdit(toQt(shoot.title)))
    , m_note(new QLineEdit(toQt(shoot.note)))
    , m_days(new QSpinBox)
    , m_k(constants(shoot.meter.k, {"12.5", "14"}, "meter-k"))
    , m_c(constants(shoot.meter.c, {"250", "330", "340"}, "meter-c"))
    , m_snr(constants(shoot.snrFloor, {"2", "1"}, "snr-floor"))
    , m_problem(new QLabel) {
    setObjectName(QStringLiteral("shoot-sheet"));
    setWindowTitle(tr("Shoot"));
    m_title->setObjectName(QStringLiteral("shoot-title"));
    m_days->setRange(1, 10000);
    m_days->setValue(shoot.days);
    m_problem->setWordWrap(true);
    auto* form = new QFormLayout(this);
    form->addRow(fieldLabel<Shoot>("title"), m_title);
    form->addRow(fieldLabel<Shoot>("note"), m_note);
    form->addRow(fieldLabel<Shoot>("days"), m_days);
    form->addRow(tr("%1 (12.5 or 14)").arg(fieldLabel<Shoot>("meter_k")), m_k);
    form->addRow(tr("%1 (250 flat, 330 to 340 dome)").arg(fieldLabel<Shoot>("meter_c")), m_c);
    form->addRow(tr("%1 (2 practical, 1 engineering)").arg(fieldLabel<Shoot>("snr_floor")), m_snr);
    form->addRow(m_problem);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &ShootSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

void ShootSheet::accept() {
    const auto refuse = [&](const QString& message) { m_problem->setText(message); };
    const auto k = numberIn(*m_k, 5, 30);
    const auto c = numberIn(*m_c, 100, 600);
    const auto snr = numberIn(*m_snr, 0.1, 100);
    if (m_title->text().trimmed().isEmpty())
        return refuse(tr("A shoot needs a title."));
    if (!k)
        return refuse(tr("K is a number from 5 to 30; ISO 2720 meters use 12.5 or 14."));
    if (!c)
        return refuse(tr("C is a number from 100 to 600; 250 for a flat receptor."));
    if (!snr)
        return refuse(tr("The noise floor is a ratio from 0.1 to 100; 2 is practical."));
    Shoot after = m_shoot;
    after.title = fromQt(m_title->text().trimmed());
    after.note = fromQt(m_note->text());
    after.days = m_days->value();
    after.meter = {*k, *c};
    after.snrFloor = *snr;
    if (const auto sound = checkRevision(after, revisionBetween(m_shoot, after)); !sound)
        return refuse(messageOf(sound.error()));
    m_shoot = std::move(after);
    QDialog::accept();
}

} // namespace bslate::app
