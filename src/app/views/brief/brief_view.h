#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"

class QCheckBox;
class QLabel;
class QPushButton;
class QScrollArea;
class QSpinBox;
class QVBoxLayout;

namespace bslate::app {

class BriefBar;
class DaysBand;
class PatchRow;
class QuantityEdit;
class SceneEntry;
class ScenePicture;

/// The Brief step: what the shoot is for, its days as a band of scenes, scenes typed as one line,
/// and what was metered in the selected one.
class BriefView : public StepView {
    Q_OBJECT

public:
    BriefView(Actions& actions, const Style& style, QWidget* parent = nullptr);
    /// Puts the cursor where a scene is typed; what stands there already stays.
    void beginScene();

    void refresh();
    [[nodiscard]] const QString& sceneId() const { return m_sceneId; }

protected:
    void focusInEvent(QFocusEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildDays();
    QWidget* buildScenePage();
    void buildHazards(QVBoxLayout& column);
    void addPatch();
    void select(const QString& sceneId);
    void enterLine(const QString& sceneId, const SceneLine& line);
    void refreshRows(const Scene* scene);
    PatchRow* row(std::size_t index);
    [[nodiscard]] const Scene* scene() const;
    void changeScene(const QString& name, const std::function<void(Scene&)>& change);

    Actions& m_actions;
    const Style& m_style;
    QString m_sceneId;
    BriefBar* m_bar;
    SceneEntry* m_entry;
    DaysBand* m_days;
    QScrollArea* m_daysScroll = nullptr;
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
