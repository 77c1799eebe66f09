#pragma once

#include "app/document/clip_reading.h"
#include "app/document/my_kit.h"
#include "app/style/style.h"
#include "app/views/step_view.h"
#include "core/clip/own_camera.h"

#include <QStringList>
#include <QUndoStack>

class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QListWidgetItem;
class QMenu;
class QPlainTextEdit;
class QPushButton;
class QTabWidget;

namespace bslate::app {

class BodyQuestions;
class CellEditor;
class SeenLattice;

/// A camera of one's own brought into the kit, or one of the kit refined: from clips it recorded,
/// lines of its manual, a sort of body with questions, each with what is understood of it, on the
/// left; the lattice they make on the right, edited cell by cell, taken in one step.
class BringView : public StepView {
    Q_OBJECT

public:
    BringView(KitActions& actions, MyKit& mine, const Style& style, QWidget* parent = nullptr);

    void settle() override;

    /// Reads clips in the background, one after the other; text is added to the table.
    void addClips(const QStringList& paths);
    void setTable(const QString& text);
    /// Begins again with a camera of the kit, to be refined; a new one for an unknown id.
    void refine(const QString& camera);
    void beginWith(BodyKind kind);
    /// What was done on this page, one step after the other: clips, lines, answers, edits.
    [[nodiscard]] QUndoStack& steps() { return m_steps; }
    /// Where clips are; tests put their own answer in.
    void setAskForClips(std::function<QStringList()> ask) { m_ask = std::move(ask); }
    [[nodiscard]] const OwnCamera& own() const { return m_own; }
    [[nodiscard]] SeenLattice& lattice() { return *m_lattice; }
    [[nodiscard]] BodyQuestions& questions() { return *m_questions; }

signals:
    /// The id of the camera that is in the kit now.
    void brought(const QString& camera);

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void addKeys();
    QWidget* buildSources();
    [[nodiscard]] QWidget* buildLines();
    [[nodiscard]] QWidget* buildBody();
    QWidget* buildFound();
    void fillStarts(QMenu& menu);
    void startFrom(std::optional<BodyKind> kind, const QString& camera);
    void takeClip(const QString& path, const ClipReading::Clip& clip);
    void beginAgain();
    /// One step of what was changed since the last one; nothing where nothing was. Steps of one
    /// kind above 0 that follow each other are one.
    void commit(const QString& name, int kind = 0);
    void addRate(FrameRate rate);
    /// What stands behind the chosen line of what was understood: a clip, or a line of the table.
    void takeOut();
    void showAll();
    void showUsual();
    void showSources(const std::vector<TableRow>& rows);
    void chooseReading(QListWidgetItem* item);
    void showCell();
    void edit(const std::vector<LatticeEdit>& edits);
    void take();

    /// What stands behind an item of what was understood: a line's text, what it may be read as,
    /// and the places of clips and of files that gave nothing.
    static constexpr int kLineRole = Qt::UserRole, kReadingRole = kLineRole + 1,
                         kClipRole = kLineRole + 2, kRefusedRole = kLineRole + 3;

    KitActions& m_actions;
    MyKit& m_mine;
    const Style& m_style;
    QLabel *m_title, *m_subtitle;
    QPushButton* m_start;
    QTabWidget* m_sources;
    QPlainTextEdit* m_table;
    QListWidget* m_understood;
    BodyQuestions* m_questions;
    SeenLattice* m_lattice;
    CellEditor* m_cell;
    QLineEdit* m_name;
    QCheckBox* m_keep; ///< in My kit too
    QPushButton* m_take;
    OwnCamera m_own;
    struct State {
        OwnCamera own;
        QString name;
        QStringList refused;
        friend bool operator==(const State&, const State&) = default;
    };
    class Step;
    void put(const State& state);
    [[nodiscard]] State now() const;
    State m_last; ///< at the last step
    bool m_putting = false;
    QUndoStack m_steps;
    QStringList m_refused; ///< what is told of files that gave nothing
    std::function<QStringList()> m_ask;
    ClipReading m_reading;
};

} // namespace bslate::app
