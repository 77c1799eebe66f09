#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"

#include <QWidget>

class QCheckBox;
class QLabel;
class QListWidget;
class QPushButton;
class QSpinBox;
class QVBoxLayout;

namespace bslate::app {

class PatchRow;
class QuantityEdit;
class ScenePicture;

/// The Brief step, reduced to scenes and what was metered in them.
class BriefView : public QWidget {
    Q_OBJECT

public:
    BriefView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    [[nodiscard]] const QString& sceneId() const { return m_sceneId; }

signals:
    void refused(const QString& message);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildSceneList();
    QWidget* buildScenePage();
    void buildHazards(QVBoxLayout& column);
    void addPatch();
    void refreshList();
    void refreshRows(const Scene* scene);
    PatchRow* row(std::size_t index);
    [[nodiscard]] const Scene* scene() const;
    void changeScene(const QString& name, const std::function<void(Scene&)>& change);

    Actions& m_actions;
    const Style& m_style;
    QString m_sceneId;
    QListWidget* m_scenes;
    QPushButton* m_deleteScene = nullptr;
    QWidget* m_page = nullptr;
    QuantityEdit* m_name = nullptr;
    QuantityEdit* m_note = nullptr;
    QSpinBox* m_day = nullptr;
    QCheckBox* m_hazards[4] = {};
    ScenePicture* m_picture;
    QVBoxLayout* m_rowColumn = nullptr;
    QList<PatchRow*> m_rows;
    QLabel* m_empty;
};

} // namespace bslate::app
