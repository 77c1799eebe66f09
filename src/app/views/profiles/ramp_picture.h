#pragma once

#include "app/style/style.h"
#include "core/facts/ramp.h"

#include <QImage>
#include <QWidget>

#include <array>

namespace bslate::app {

/// The same grey ramp as the grade would show it at 8, 10 and 12 bits of the setup's recording:
/// real quantisation and real noise, over the stop in which steps show first.
class RampPicture : public QWidget {
    Q_OBJECT

public:
    explicit RampPicture(const Style& style, QWidget* parent = nullptr);

    /// `value` keeps what the context points into alive until the picture has been made.
    void show(const SetupContext& context);
    void clear(const QString& why);
    [[nodiscard]] QString words() const;
    [[nodiscard]] const QImage& strip(std::size_t i) const { return m_strips[i]; }

    QSize sizeHint() const override { return {340, 220}; }
    QSize minimumSizeHint() const override { return {280, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    std::array<QImage, 3> m_strips;
    std::array<Precision, 3> m_precision;
    RampShape m_shape;
    int m_own = 10; ///< bits of the mode
    QString m_answer, m_why;
};

} // namespace bslate::app
