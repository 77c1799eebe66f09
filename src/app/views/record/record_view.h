#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"
#include "core/advice/openings.h"
#include "core/facts/lattice.h"

class QLabel;
class QPushButton;
class QScrollArea;
class QVBoxLayout;

namespace bslate::app {

class CellDetail;
class LatticeCanvas;
class OpticsPicture;

/// The Record step: the camera's mode lattice for this scene, what the cell under the cursor
/// would change, and what the lens sees with it.
class RecordView : public StepView {
    Q_OBJECT

public:
    RecordView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] LatticeCanvas& lattice() { return *m_canvas; }
    void refresh();

protected:
    void showEvent(QShowEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;

private:
    void addKeys();
    void buildHeader(QVBoxLayout& column);
    void showCursor();
    void keepCursorInView();
    void showOptics(const Evaluation* now, const Setup& setup, const ModeCell* cell);
    void choose();
    void open(int index);
    void applyMode(const Setup& to);
    [[nodiscard]] QString subtitle(const SetupContext& context) const;

    Actions& m_actions;
    const Style& m_style;
    QLabel* m_title;
    QLabel* m_subtitle;
    QPushButton* m_layer;
    QPushButton* m_only;
    QPushButton* m_compare;
    QScrollArea* m_scroll;
    LatticeCanvas* m_canvas;
    CellDetail* m_detail;
    OpticsPicture* m_optics;

    ShootDocument::Value m_value; ///< keeps what the lattice points into alive
    QString m_setupId;
    Lattice m_lattice;
    std::vector<Opening> m_openings;
};

} // namespace bslate::app
