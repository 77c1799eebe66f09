#pragma once

#include "app/widgets/pick_canvas.h"
#include "core/shoot/shoot.h"

#include <memory>

namespace bslate::app {

/// The days of the shoot as bands of scenes: each scene a slate with its light drawn on a log
/// scale (sloping when it changes, dashed while it is only an estimate) and its needs in words.
class DaysBand : public PickCanvas {
    Q_OBJECT

public:
    explicit DaysBand(const Style& style, QWidget* parent = nullptr);

    void show(std::shared_ptr<const Shoot> shoot, const QString& selected);

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;

    [[nodiscard]] int itemCount() const override { return static_cast<int>(m_slates.size()); }
    [[nodiscard]] QRectF itemBox(int slate) const override;
    [[nodiscard]] QString itemWords(int slate) const override;
    /// Where a scene's slate is drawn, for tests; empty when it is not there.
    [[nodiscard]] QRectF boxOf(const QString& sceneId) const;

signals:
    void selected(const QString& sceneId);
    void editRequested(const QString& sceneId); ///< its line
    void deleteRequested(const QString& sceneId);

protected:
    [[nodiscard]] QString emptyWords() const override { return tr("no scene"); }
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    struct Slate {
        const Scene* scene;
        QRectF box;
    };
    void arrange();
    [[nodiscard]] QString idOf(int slate) const;
    void paintSlate(QPainter& painter, const Slate& slate) const;
    void paintLight(QPainter& painter, const QRectF& area, const Scene& scene) const;

    std::shared_ptr<const Shoot> m_shoot;
    QString m_selected;
    std::vector<Slate> m_slates; ///< by day, then start, then the shoot's order
    std::vector<int> m_days;     ///< the days that have scenes
};

/// What a scene needs, in a few words each: sound, slow motion, take, sources, depth, cautions.
[[nodiscard]] QStringList needsOf(const Scene& scene);

} // namespace bslate::app
