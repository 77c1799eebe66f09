#include "app/views/clips/patch_dialog.h"

#include "app/document/text.h"
#include "app/widgets/footage_picker.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bslate::app {

PatchDialog::PatchDialog(const QString& clip, const Scene& scene, const Style& style,
                         QWidget* parent)
    : QDialog(parent)
    , m_patch(new QComboBox)
    , m_footage(new FootagePicker(clip, tr("Mark the patch"), style)) {
    setObjectName(QStringLiteral("patch-dialog"));
    setWindowTitle(tr("A patch in the picture"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(720, 560);
    m_patch->setObjectName(QStringLiteral("patch-which"));
    m_patch->setAccessibleName(tr("Which patch"));
    for (const auto& patch : scene.patches) {
        m_patch->addItem(toQt(patch.name.empty() ? patch.id : patch.name), toQt(patch.id));
        if (patch.role == PatchRole::Grey)
            m_patch->setCurrentIndex(m_patch->count() - 1);
    }
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    auto* label = new QLabel(tr("&Patch"));
    label->setBuddy(m_patch);
    row->addWidget(label);
    row->addWidget(m_patch, 1);
    column->addLayout(row);
    column->addWidget(m_footage, 1);
    auto* problem = new QLabel;
    problem->setWordWrap(true);
    problem->setTextFormat(Qt::PlainText);
    column->addWidget(problem);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    auto* take = buttons->button(QDialogButtonBox::Ok);
    take->setText(tr("Look there"));
    take->setEnabled(false);
    column->addWidget(buttons);
    connect(m_footage, &FootagePicker::shown, take, [take] { take->setEnabled(true); });
    connect(m_footage, &FootagePicker::failed, problem, &QLabel::setText);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

QString PatchDialog::patch() const {
    return m_patch->currentData().toString();
}

const PictureArea& PatchDialog::area() const {
    return m_footage->area();
}

} // namespace bslate::app
