#pragma once

#include "app/document/background_job.h"
#include "app/style/style.h"
#include "core/clip/region_series.h"
#include "core/signal/curve.h"

#include <QDialog>
#include <QStringList>

class QComboBox;
class QLabel;
class QPushButton;
class QSpinBox;

namespace bslate::app {

class AreaPicker;
class FootagePicker;
class QuantityEdit;
class SeriesTrace;

/// A body test from footage: clips of an exposure series, or one in which it was stepped. The card
/// is marked once; what was held is found and becomes readings, without a number typed.
class SeriesDialog : public QDialog {
    Q_OBJECT

public:
    /// `planned` are the steps of the series card, in their order.
    SeriesDialog(const QStringList& clips, const Curve& curve, std::vector<Stops> planned,
                 const Style& style, QWidget* parent = nullptr);

    /// Empty until enough was found.
    [[nodiscard]] const std::vector<SeriesReading>& readings() const { return m_readings; }
    /// Nobody told what any of the exposures was.
    [[nodiscard]] bool isRelative() const;
    [[nodiscard]] AreaPicker& picker();
    void settle(); ///< waits for what is being read: for pictures and tests

private:
    void build();
    void readCard();
    void makeReadings();
    [[nodiscard]] QLayout* buildSteps();
    [[nodiscard]] std::vector<Stops> stopsOf(std::size_t count) const;
    [[nodiscard]] std::size_t nearestGrey() const;
    [[nodiscard]] std::optional<Stops> given() const;

    QStringList m_clips;
    Curve m_curve;
    std::vector<Stops> m_planned;
    QLabel* m_found;
    FootagePicker* m_footage;
    SeriesTrace* m_trace;
    QComboBox* m_steps;
    QuantityEdit *m_typed, *m_known;
    QSpinBox* m_which; ///< of the exposures that were found, from 1
    QPushButton* m_take = nullptr;
    std::vector<Plateau> m_plateaus;
    std::vector<SeriesReading> m_readings;
    BackgroundJob m_job;
};

} // namespace bslate::app
