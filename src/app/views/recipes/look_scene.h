#pragma once

#include "app/style/style.h"
#include "core/frame/frame_made.h"
#include "core/signal/look.h"

#include <QImage>
#include <QPixmap>
#include <QWidget>

namespace bslate::app {

/// The selected setup's scene under two looks, with a split that is dragged, and what its patches
/// read under each.
class LookScene : public QWidget {
    Q_OBJECT

public:
    explicit LookScene(const Style& style, QWidget* parent = nullptr);

    /// A scene and how the setup exposes it; nothing when there is none.
    void setScene(const SetupContext* context, const Evaluation* at);
    /// `moving`: the right look is being dragged, and is drawn with a quarter of the pixels until
    /// it rests.
    void showLooks(const Look& left, const QString& leftName, const Look& right,
                   const QString& rightName, bool moving = false);
    void setSplit(double share);
    [[nodiscard]] double split() const { return m_split; }
    /// "Grey card 41 and 38", a line each.
    [[nodiscard]] QString words() const;

    QSize sizeHint() const override { return {560, 300}; }
    QSize minimumSizeHint() const override { return {320, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    struct Side {
        Look look;
        QString name;
        Image shown;
        QImage picture;
        QPixmap scaled; ///< to the box it is painted in; null: to be made
    };
    struct Reading {
        QString name;
        PictureArea area;
        std::array<Level, 2> level; ///< luma, percent
    };
    void makeSide(Side& side, const Look& look, const QString& name, const Image& light) const;
    void read();
    [[nodiscard]] QRectF box() const;

    const Style& m_style;
    Image m_light, m_small; ///< empty: no scene
    LightShown m_how;
    std::vector<Probe> m_probes; ///< by id of the patch
    std::vector<QString> m_names;
    std::array<Side, 2> m_sides;
    std::vector<Reading> m_readings;
    double m_split = 0.5;
};

} // namespace bslate::app
