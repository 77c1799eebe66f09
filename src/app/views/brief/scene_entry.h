#pragma once

#include "app/style/style.h"
#include "core/shoot/scene_line.h"

#include <QWidget>

class QLabel;
class QLineEdit;

namespace bslate::app {

/// One line of text that is a scene, with a preview of how every piece was understood. It adds a
/// scene, or rewrites the one it was opened for.
class SceneEntry : public QWidget {
    Q_OBJECT

public:
    explicit SceneEntry(const Style& style, QWidget* parent = nullptr);

    /// Empties the line for a new scene.
    void startNew();
    /// Puts an existing scene's line in, to be rewritten.
    void startEditing(const QString& sceneId, const QString& line);
    [[nodiscard]] const QString& editing() const { return m_editing; } ///< scene id, or empty

signals:
    /// `sceneId` is empty for a new scene.
    void entered(const QString& sceneId, const SceneLine& line);
    void refused(const QString& message);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void preview();
    void commit();

    const Style& m_style;
    QLabel* m_label;
    QLineEdit* m_edit;
    QLabel* m_preview;
    QString m_editing;
};

} // namespace bslate::app
