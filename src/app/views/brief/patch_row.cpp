#include "app/views/brief/patch_row.h"

#include "app/document/text.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QPushButton>

namespace bslate::app {
namespace {

QuantityEdit::Check checkWith(auto parse) {
    return [parse](const QString& text) -> std::optional<QString> {
        const auto value = parse(fromQt(text));
        return value ? std::nullopt : std::optional(messageOf(value.error()));
    };
}

std::optional<QString> patchNameCheck(const QString& text) {
    return text.trimmed().isEmpty()
               ? std::optional(QObject::tr("A patch needs a name, such as Skin or Window."))
               : std::nullopt;
}

constexpr int kSides = 5; // first in the list of lights, lamps after them

bool isIncident(LightUnit unit) {
    return unit == LightUnit::Lux || unit == LightUnit::FootCandle;
}

} // namespace

PatchRow::PatchRow(QWidget* parent)
    : QWidget(parent)
    , m_role(new QComboBox)
    , m_light(new QComboBox)
    , m_reading(new QuantityEdit(checkWith(parseLightReading)))
    , m_reflectance(new QuantityEdit(checkWith(parseReflectance)))
    , m_duplicate(new QPushButton(tr("Copy")))
    , m_delete(new QPushButton(tr("Delete"))) {
    auto* name = new QuantityEdit(patchNameCheck);
    m_name = name;
    for (int i = 0; i <= static_cast<int>(PatchRole::Spare); ++i)
        m_role->addItem(toQt(nameOf(static_cast<PatchRole>(i), translator())));
    m_reading->setFixedWidth(116);
    m_reflectance->setFixedWidth(64);
    m_role->setFixedWidth(150);
    m_light->setFixedWidth(112);
    m_light->setObjectName(QStringLiteral("patch-light"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_name, 1);
    row->addWidget(m_role);
    row->addWidget(m_light);
    row->addWidget(m_reading);
    row->addWidget(m_reflectance);
    row->addWidget(m_duplicate);
    row->addWidget(m_delete);
    connect(name, &QuantityEdit::entered, this, [this](const QString& text) {
        emit changed(tr("Rename patch"),
                     [text](Patch& patch) { patch.name = fromQt(text.trimmed()); });
    });
    connect(m_role, &QComboBox::activated, this, [this](int index) {
        emit changed(tr("Change role"),
                     [index](Patch& patch) { patch.role = static_cast<PatchRole>(index); });
    });
    connect(m_light, &QComboBox::activated, this, [this](int index) {
        const QString lamp = index < kSides ? QString() : m_light->itemData(index).toString();
        emit changed(tr("Light on the patch"), [index, lamp](Patch& patch) {
            patch.lamp = fromQt(lamp);
            if (index < kSides)
                patch.side = static_cast<LightSide>(index);
        });
    });
    connect(m_reading, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto reading = parseLightReading(fromQt(text)).valueOr({});
        emit changed(tr("Enter reading"),
                     [reading](Patch& patch) { patch = metered(patch, reading); });
    });
    connect(m_reflectance, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto share = parseReflectance(fromQt(text)).valueOr(Reflectance(0.18));
        emit changed(tr("Enter reflectance"), [share](Patch& patch) { patch.reflectance = share; });
    });
    for (auto* edit : {name, m_reading, m_reflectance})
        connect(edit, &QuantityEdit::refused, this, &PatchRow::refused);
    connect(m_duplicate, &QPushButton::clicked, this, &PatchRow::duplicateRequested);
    connect(m_delete, &QPushButton::clicked, this, &PatchRow::deleteRequested);
}

// Sides as the light on them is called, then the lamps one by one.
void PatchRow::showLight(const Patch& patch, const std::vector<Lamp>& lamps) {
    m_light->clear();
    m_light->addItems({tr("any light"), tr("key"), tr("fill"), tr("kicker"), tr("background")});
    m_light->setCurrentIndex(static_cast<int>(patch.side));
    for (const auto& lamp : lamps) {
        m_light->addItem(tr("by %1").arg(toQt(lamp.name)), toQt(lamp.name));
        if (lamp.name == patch.lamp)
            m_light->setCurrentIndex(m_light->count() - 1);
    }
    m_light->setAccessibleName(tr("Light on %1").arg(toQt(patch.name)));
}

void PatchRow::show(const Patch& patch, const std::vector<Lamp>& lamps) {
    showLight(patch, lamps);
    m_id = toQt(patch.id);
    setObjectName(QStringLiteral("row-") + m_id);
    const QString name = toQt(patch.name);
    static_cast<QuantityEdit*>(m_name)->showValue(name);
    m_role->setCurrentIndex(static_cast<int>(patch.role));
    m_reading->showValue((patch.estimated ? QStringLiteral("\u2248 ") : QString()) +
                         toQt(print(patch.reading)));
    m_reflectance->showValue(toQt(print(patch.reflectance)));
    m_reflectance->setVisible(isIncident(patch.reading.unit));
    m_name->setAccessibleName(tr("Name of %1").arg(name));
    m_role->setAccessibleName(tr("What %1 is to the picture").arg(name));
    m_reading->setAccessibleName(tr("Reading of %1").arg(name));
    m_reflectance->setAccessibleName(tr("Reflectance of %1").arg(name));
    m_duplicate->setAccessibleName(tr("Copy %1").arg(name));
    m_delete->setAccessibleName(tr("Delete %1").arg(name));
    setVisible(true);
}

void PatchRow::focusName() {
    m_name->setFocus();
    m_name->selectAll();
}

void PatchRow::focusReading() {
    m_reading->setFocus();
    m_reading->selectAll();
}

} // namespace bslate::app
