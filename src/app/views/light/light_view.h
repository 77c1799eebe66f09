#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"

class QVBoxLayout;
class QComboBox;
class QLabel;
class QTimer;

namespace bslate::app {

class LightCanvas;
class LightTrain;
class LivePicture;
class QuantityEdit;

/// The Light step: the train of controls over the picture.
class LightView : public StepView {
    Q_OBJECT

public:
    LightView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] LightCanvas& canvas() { return *m_canvas; }
    [[nodiscard]] LightTrain& train() { return *m_train; }
    void refresh();

protected:
    void showEvent(QShowEvent* event) override;

private:
    void addKeys();
    void buildHeader(QVBoxLayout& column);
    void typePatch(const QString& patchId, QPoint at);
    void cycleGhost();
    void showLive();
    void makeLive();
    [[nodiscard]] QString subtitle() const;

    Actions& m_actions;
    const Style& m_style;
    QLabel* m_title;
    QLabel* m_subtitle;
    QLabel* m_safety;
    QComboBox* m_school;
    QComboBox* m_payer;
    LightTrain* m_train;
    LightCanvas* m_canvas;
    QuantityEdit* m_patchEdit;
    QString m_typedPatch;
    LivePicture* m_live;
    QTimer* m_liveLater;
    ShootDocument::Value m_shown; ///< and of which setup
    QString m_shownSetup;
};

} // namespace bslate::app
