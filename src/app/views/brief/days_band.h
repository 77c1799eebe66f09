#pragma once

#include "app/style/style.h"
#include "core/shoot/shoot.h"

#include <QWidget>

#include <memory>

namespace bslate::app {

/// The days of the shoot as bands of scenes: each scene a slate with its light drawn on a log
/// scale (sloping when it changes, dashed while it is only an estimate) and its needs in words.
class DaysBand : public QWidget {
    Q_OBJECT

public:
    explicit DaysBand(const Style& style, QWidget* parent = nullptr);

    void show(std::shared_ptr<const Shoot> shoot, const QString& selected);

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;

    /// Where a scene's slate is drawn, for tests; empty when it is not there.
    [[nodiscard]] QRectF boxOf(const QString& sceneId) const;

signals:
    void selected(const QString& sceneId);
    void editRequested(const QString& sceneId); ///< its line
    void deleteRequested(const QString& sceneId);
    void selectedAt(const QRect& slate);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    struct Slate {
        const Scene* scene;
        QRectF box;
    };
    void arrange();
    void choose(int index);
    [[nodiscard]] int indexAt(QPointF point) const;
    [[nodiscard]] int current() const;
    void paintSlate(QPainter& painter, const Slate& slate) const;
    void paintLight(QPainter& painter, const QRectF& area, const Scene& scene) const;

    const Style& m_style;
    std::shared_ptr<const Shoot> m_shoot;
    QString m_selected;
    std::vector<Slate> m_slates; ///< by day, then start, then the shoot's order
    std::vector<int> m_days;     ///< the days that have scenes
};

/// What a scene needs, in a few words each: sound, slow motion, take, sources, depth, cautions.
[[nodiscard]] QStringList needsOf(const Scene& scene);

} // namespace bslate::app
