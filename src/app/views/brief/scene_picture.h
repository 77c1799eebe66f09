#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/widgets/patch_handle.h"
#include "app/widgets/stops_axis.h"

#include <QWidget>

namespace bslate::app {

/// The light of one scene, before any camera: its patches on an axis of luminance, with EV above
/// and the spread between brightest and darkest drawn. Patches are dragged here as they are on
/// the Light picture.
class ScenePicture : public QWidget {
    Q_OBJECT

public:
    ScenePicture(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void showScene(const QString& sceneId);
    QSize sizeHint() const override { return {600, 196}; }
    QSize minimumSizeHint() const override { return {420, 190}; }

signals:
    void typeRequested(const QString& patchId);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    [[nodiscard]] const Scene* scene() const;
    [[nodiscard]] StopsAxis axis() const;
    void arrange();
    void wire(PatchHandle* handle);

    Actions& m_actions;
    const Style& m_style;
    QString m_sceneId;
    std::vector<PatchHandle*> m_handles;
    ShootDocument::Value m_dragFrom;
    std::optional<StopsAxis> m_frozen;
    int m_drag = 0;
};

} // namespace bslate::app
