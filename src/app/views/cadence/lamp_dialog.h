#pragma once

#include "app/widgets/footage_dialog.h"
#include "core/clip/footage_light.h"

class QComboBox;

namespace bslate::app {

class QuantityEdit;

/// A lamp measured with the camera: a place lit by it in a clip, and what makes it pulse so.
class LampDialog : public FootageDialog {
    Q_OBJECT

public:
    LampDialog(const QString& clip, const SetupContext& context, const Style& style,
               QWidget* parent = nullptr);

    /// Nothing until a lamp was found.
    [[nodiscard]] const std::optional<Lamp>& lamp() const { return m_lamp; }

protected:
    void found(const ClipFacts& clip, const io::ReadRegion& region) override;

private:
    void choose();

    Curve m_curve;
    Seconds m_readout;
    Hertz m_mains;
    Shutter m_shutter;
    FrameRate m_rate;
    QString m_name;
    std::optional<RegionPulse> m_pulse;
    std::optional<Lamp> m_lamp;
    QComboBox* m_lamps;
    QuantityEdit* m_shutterLine;
};

} // namespace bslate::app
