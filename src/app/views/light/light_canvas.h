#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/widgets/patch_handle.h"
#include "app/widgets/stops_axis.h"
#include "core/facts/targets.h"

#include <QElapsedTimer>
#include <QPixmap>
#include <QWidget>

#include <optional>
#include <vector>

namespace bslate::app {

/// The picture of the Light step: scene patches, the sensor's window and the recording curve on
/// one stops axis, joined by threads. Zero is mid-grey as viewed (through the rating), so a
/// rating moves the sensor and the curve, and iris or ND move the scene.
class LightCanvas : public QWidget {
    Q_OBJECT

public:
    LightCanvas(Actions& actions, const Style& style, QWidget* parent = nullptr);

    /// Shows the selected setup as it is now.
    void refresh();

    /// Another school drawn in lilac for comparison; nothing for none.
    void setGhost(std::optional<School> school);
    [[nodiscard]] std::optional<School> ghost() const { return m_ghost; }

    [[nodiscard]] const std::vector<PatchHandle*>& handles() const { return m_handles; }
    /// Milliseconds of the last paint, for the benchmark.
    [[nodiscard]] double lastPaintMs() const { return m_lastPaintMs; }

    QSize minimumSizeHint() const override { return {520, 380}; }

signals:
    void typePatchRequested(const QString& patchId, QPoint at);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    struct Geometry {
        StopsAxis axis;
        QRectF scene, sensor, recording;
        QRectF instruments,
            bands; ///< columns beside the recording: what tools read, stops from grey
        double sceneLine = 0;
        double lowLevel = -7, highLevel = 110;
        [[nodiscard]] double y(Level level) const;
    };
    [[nodiscard]] Geometry geometry() const;
    void arrangeHandles();
    void findTargets();
    void wireHandle(PatchHandle* handle);
    void moveHeldPatch(Stops by);

    /// Grid, window and curve, which stay while patches move: drawn once into a pixmap.
    struct Backdrop {
        StopsAxis axis;
        QSize size;
        double scale = 0;
        Theme theme = Theme::Slate;
        Stops clip, floor, offset, firstClip, firstFloor;
        BitDepth depth;
        Curve curve;
        std::vector<ToolTarget> targets;
        bool ghost = false;
        friend bool operator==(const Backdrop&, const Backdrop&) = default;
    };
    void drawBackdrop(QPainter& painter, const Geometry& g);

    void drawEmpty(QPainter& painter) const;
    void drawGrid(QPainter& painter, const Geometry& g) const;
    void drawScene(QPainter& painter, const Geometry& g) const;
    void drawSensor(QPainter& painter, const Geometry& g) const;
    void drawFirstChannels(QPainter& painter, const Geometry& g) const;
    void drawRecording(QPainter& painter, const Geometry& g) const;
    void drawCurve(QPainter& painter, const Geometry& g, Stops offset, const QPen& pen) const;
    void drawDots(QPainter& painter, const Geometry& g) const;
    void drawGhost(QPainter& painter, const Geometry& g) const;
    [[nodiscard]] QString spoken() const;

    Actions& m_actions;
    const Style& m_style;
    std::optional<SetupContext> m_context;
    ShootDocument::Value m_value; ///< keeps what m_context points to alive
    std::optional<Evaluation> m_at;
    std::optional<SchoolTargets> m_targets; ///< of the ghost while there is one
    std::vector<PatchHandle*> m_handles;
    std::optional<School> m_ghost;
    std::optional<StopsAxis> m_frozenAxis; ///< while dragging, so that nothing rescales
    ShootDocument::Value m_dragFrom;
    QString m_dragId;
    int m_drag = 0;
    Backdrop m_backdropOf;
    QPixmap m_backdrop;
    double m_lastPaintMs = 0;
};

} // namespace bslate::app
