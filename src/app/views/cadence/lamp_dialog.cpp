#include "app/views/cadence/lamp_dialog.h"

#include "app/document/text.h"
#include "app/widgets/footage_picker.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"

#include <QComboBox>
#include <QFileInfo>
#include <QFormLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {

LampDialog::LampDialog(const QString& clip, const SetupContext& context, const Style& style,
                       QWidget* parent)
    : FootageDialog(clip, context.profile->curve.range,
                    {tr("A lamp from footage"),
                     tr("Mark something the lamp lights, that does not move"),
                     tr("Take this lamp")},
                    style, parent)
    , m_curve(context.profile->curve)
    , m_readout(context.area->readout)
    , m_mains(context.shoot->brief.mains)
    , m_shutter(context.setup->shutter)
    , m_rate(context.setup->rate)
    , m_name(QFileInfo(clip).completeBaseName())
    , m_lamps(new QComboBox)
    , m_shutterLine(quantityField("lamp-shutter", tr("Shutter of the clip"),
                                  [](const QString& text) -> std::optional<QString> {
                                      const auto shutter = parseShutter(fromQt(text));
                                      return shutter ? std::nullopt
                                                     : std::optional(messageOf(shutter.error()));
                                  })) {
    setObjectName(QStringLiteral("lamp-dialog"));
    m_lamps->setObjectName(QStringLiteral("lamp-choices"));
    m_lamps->setAccessibleName(tr("Lamps that pulse so"));
    m_shutterLine->showValue(toQt(spell(m_shutter)));
    form().addRow(tr("&Shutter of the clip"), m_shutterLine);
    form().addRow(tr("&Lamp"), m_lamps);
    connect(m_lamps, &QComboBox::currentIndexChanged, this, &LampDialog::choose);
    connect(m_shutterLine, &QuantityEdit::entered, this, [this](const QString& text) {
        if (const auto shutter = parseShutter(fromQt(text)))
            m_shutter = *shutter;
        choose();
    });
    connect(m_shutterLine, &QuantityEdit::refused, this,
            [this](const QString& message) { tell(message, false); });
}

void LampDialog::found(const ClipFacts& clip, const io::ReadRegion& region) {
    if (clip.picture)
        m_rate = clip.picture->rate;
    m_pulse = pulseOf(region.frames, m_curve, m_rate, kSlowestPulse);
    const QSignalBlocker quiet(m_lamps);
    m_lamps->clear();
    if (m_pulse) {
        // Rows of the place are read over its share of the readout.
        const auto agreeing = agreeingLamps(*m_pulse, m_rate, m_readout * footage().area().height);
        std::vector<Hertz> all = agreeing;
        for (const auto lamp : m_pulse->lamps)
            if (std::find(all.begin(), all.end(), lamp) == all.end())
                all.push_back(lamp);
        for (const auto lamp : all)
            m_lamps->addItem(toQt(print(lamp)), lamp.value());
        // What the mains make is the likeliest, those that agree coming first.
        for (std::size_t i = all.size(); i-- > 0;)
            if (std::abs(all[i].value() - 2 * m_mains.value()) < 0.5)
                m_lamps->setCurrentIndex(static_cast<int>(i));
    }
    choose();
}

void LampDialog::choose() {
    m_lamp.reset();
    if (!m_pulse) {
        m_lamp = steadyLamp(fromQt(m_name));
        return tell(
            tr("Nothing flickers here by %1 stop or more: steady light, as far as this rate "
               "and shutter show it.")
                .arg(kVisible.value()),
            true);
    }
    const auto exposure = exposureTime(m_shutter, m_rate);
    const Hertz chosen(m_lamps->currentData().toDouble());
    const auto lamp = lampFrom(*m_pulse, chosen, exposure, m_mains, fromQt(m_name));
    const QString seen = tr("It flickers at %1 by %2 stop from frame to frame")
                             .arg(toQt(print(m_pulse->alias)))
                             .arg(m_pulse->peakToPeak.value(), 0, 'f', 2);
    if (!lamp)
        return tell(
            tr("%1; for a lamp at %2: %3").arg(seen, toQt(print(chosen)), messageOf(lamp.error())),
            false);
    m_lamp = *lamp;
    tell(tr("%1: a lamp at %2 that swings by %3.")
             .arg(seen, toQt(print(chosen)), toQt(print(lamp->harmonics.front().depth))),
         true);
}

} // namespace bslate::app
