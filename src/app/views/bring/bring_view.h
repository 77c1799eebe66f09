#pragma once

#include "app/document/clip_reading.h"
#include "app/document/kit_actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"
#include "core/clip/own_camera.h"

#include <QStringList>

class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;
class QVBoxLayout;

namespace bslate::app {

class QuantityEdit;
class SeenLattice;

/// A camera of one's own brought into the kit: clips it recorded and lines of its manual on the
/// left with what is understood of each, the lattice they make on the right, taken in one step.
class BringView : public StepView {
    Q_OBJECT

public:
    BringView(KitActions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] std::span<const KeyLine> keys() const override;
    void settle() override;

    /// Reads clips in the background, one after the other; text is added to the table.
    void addClips(const QStringList& paths);
    void setTable(const QString& text);
    /// Where clips are; tests put their own answer in.
    void setAskForClips(std::function<QStringList()> ask) { m_ask = std::move(ask); }
    [[nodiscard]] const OwnCamera& own() const { return m_own; }
    [[nodiscard]] SeenLattice& lattice() { return *m_lattice; }

signals:
    /// The id of the camera that is in the kit now.
    void brought(const QString& camera);

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    QWidget* buildSources();
    QWidget* buildFound();
    void buildNumber(QVBoxLayout& column);
    void takeClip(const QString& path, const ClipReading::Clip& clip);
    void beginAgain();
    void showAll();
    void showSources(const std::vector<TableRow>& rows);
    void showCell();
    void typeCell(const QString& text);
    void take();

    KitActions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_subtitle, *m_cell, *m_ground;
    QPlainTextEdit* m_table;
    QListWidget* m_understood;
    SeenLattice* m_lattice;
    QuantityEdit* m_number;
    QLineEdit* m_name;
    QPushButton* m_take;
    OwnCamera m_own;
    QStringList m_refused; ///< what is told of files that gave nothing
    std::function<QStringList()> m_ask;
    ClipReading m_reading;
};

} // namespace bslate::app
