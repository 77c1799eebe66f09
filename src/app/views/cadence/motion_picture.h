#pragma once

#include "app/style/style.h"
#include "core/cadence/pulse.h"

#include <QElapsedTimer>
#include <QTimer>
#include <QWidget>

#include <vector>

namespace bslate::app {

/// A bar crossing the frame as the camera records it: its real blur, its lean from the readout,
/// and the flicker of the lamps. Drawn still until asked twice, since flashing light can harm
/// photosensitive people; then played in real time.
class MotionPicture : public QWidget {
    Q_OBJECT

public:
    struct Shown {
        std::vector<PulsedLight> lights;
        FrameRate capture;
        FrameRate base;
        Seconds exposure;
        Seconds readout;
        WidthsPerSecond speed{0.25};
        FrameSize frame;
        bool assumedSpeed = false; ///< the scene names none
        bool still = true;         ///< the pulsing cannot be seen
        QString facts;             ///< "blur 19 px, 0.5 % of width"
    };
    enum class State {
        Still,
        Caution, ///< the warning is shown; nothing moves
        Playing
    };

    explicit MotionPicture(const Style& style, QWidget* parent = nullptr);

    void show(Shown shown);
    void clear();
    /// Still to caution, caution to playing, playing to still.
    void advance();
    void stop();
    [[nodiscard]] State state() const { return m_state; }
    [[nodiscard]] int paints() const { return m_paints; } ///< for measuring

    QSize sizeHint() const override { return {760, 104}; }
    QSize minimumSizeHint() const override { return {480, 84}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    [[nodiscard]] QRectF frameArea() const;
    /// What frame `n` gathers of the light, 1 on average.
    [[nodiscard]] double brightness(std::int64_t n) const;
    void paintBar(QPainter& painter, const QRectF& area, double centre, double light) const;
    void paintStill(QPainter& painter, const QRectF& area) const;
    void paintPlaying(QPainter& painter, const QRectF& area) const;
    void paintCaution(QPainter& painter, const QRectF& area) const;
    void paintWords(QPainter& painter) const;
    void enter(State state);

    const Style& m_style;
    std::optional<Shown> m_shown;
    State m_state = State::Still;
    bool m_warned = false;
    QTimer m_timer;
    QElapsedTimer m_clock;
    int m_paints = 0;
};

} // namespace bslate::app
