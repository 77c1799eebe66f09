#pragma once

#include "app/document/shoot_document.h"
#include "app/widgets/footage_dialog.h"
#include "core/light/colour_chart.h"

class QComboBox;
class QLineEdit;
class QSpinBox;

namespace bslate::app {

/// The camera's sensor from a photograph or a clip of a chart whose colours a file tells.
class ChartDialog : public FootageDialog {
    Q_OBJECT

public:
    /// `picture` and `chart` are files.
    ChartDialog(const QString& picture, const QString& chart, const ShootDocument::Value& shoot,
                const QString& setup, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] const std::optional<SensorFit>& fit() const { return m_fit; }
    /// Channels came without gains: those of the light are the body's own.
    [[nodiscard]] bool tellsGains() const { return m_ofSensor; }
    [[nodiscard]] ColourPoint light() const { return m_light; }

protected:
    void read() override;
    void found(const ClipFacts& clip, const io::ReadRegion& region) override;

private:
    struct Seen;
    void fit(const Seen& seen);
    [[nodiscard]] QString wordsOf(const SensorFit& fit) const;
    [[nodiscard]] bool channelsAreOwn() const;

    QString m_picture;
    ColourChart m_chart;
    QString m_problem; ///< of its file; empty: none
    Curve m_curve;
    ColourPoint m_light;
    bool m_ofSensor = false;
    std::optional<SensorFit> m_fit;
    QSpinBox* m_columns;
    QLineEdit* m_lit;
    QComboBox* m_channels;
};

} // namespace bslate::app
