#pragma once

#include "app/document/clip_reading.h"
#include "app/document/shoot_document.h"
#include "app/style/style.h"
#include "core/clip/clip_parts.h"
#include "core/judgement/finding.h"
#include "io/clips/clip_region.h"

#include <QDialog>

#include <functional>

class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;
class QTreeWidget;

namespace bslate::app {

class PatchDialog;

/// Recorded clips beside the setups they are of: each is matched, which a hand may change, and what
/// differs from the plan, in the file and in its pictures, is told, worst first.
class ClipsDialog : public QDialog {
    Q_OBJECT

public:
    ClipsDialog(ShootDocument& document, const Style& style, QWidget* parent = nullptr);

    /// Reads clips in the background, behind those that are read already.
    void addClips(const QStringList& paths);
    void settle(); ///< waits for the reading: for pictures and tests
    /// The clip of that name, as the one in view.
    void choose(const QString& file);
    /// Where a patch of the scene is in the chosen clip; its pictures are looked at anew.
    void mark(const QString& patch, const PictureArea& area);
    /// Asks for that on a picture of the clip.
    PatchDialog* askMark();
    /// The places that are marked on other clips of the chosen one's setup, and not yet on it.
    void markAsOnOthers();
    /// The chosen clip is no longer looked at; its file stays.
    void removeClip();
    /// Clips are of this day of the plan; 0: nobody told.
    void setDay(int number);
    /// Where clips are; tests put their own answer in.
    void setAskForClips(std::function<QStringList()> ask) { m_ask = std::move(ask); }

    /// A line for each finding, tabs between its columns, the first line names them.
    [[nodiscard]] QString table() const;

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    struct Entry {
        QString path, refused; ///< why there is no clip
        std::optional<ClipFacts> clip;
        QString setup; ///< id; empty: none
        bool byHand = false;
        std::vector<PatchArea> marks;
        std::optional<SeenPictures> seen;
        std::optional<PictureWish> wish; ///< it was, or is being, looked at so
        QString unseen;                  ///< why its pictures could not be looked at
        std::vector<Finding> findings;
        QString grounds;                  ///< what its setup rests on
        std::vector<const Setup*> others; ///< while it is checked: those it fits as well
    };

    void build();
    [[nodiscard]] QWidget* buildChosen();
    void lookAtPictures(Entry& entry, const SetupContext& context);
    [[nodiscard]] QString placesOf(const Entry& entry) const;
    void takeClip(const QString& path, const ClipReading::Clip& clip);
    void checkAll();
    void match(Entry& entry);
    void check(Entry& entry, const TakePart& part);
    void fillDays();
    [[nodiscard]] std::vector<PatchArea> marksOfOthers(const Entry& entry) const;
    void showList();
    void showChosen();
    void setByHand(int index);
    [[nodiscard]] Entry* chosen();
    [[nodiscard]] QString setupName(const QString& id) const;

    ShootDocument& m_document;
    const Style& m_style;
    QLabel *m_summary, *m_facts;
    QTreeWidget* m_list;
    QComboBox *m_setup, *m_day;
    QListWidget* m_findings;
    std::vector<Entry> m_entries;
    std::function<QStringList()> m_ask;
    QPushButton *m_mark = nullptr, *m_same = nullptr, *m_remove = nullptr;
    std::optional<int> m_ofDay;
    ReadingQueue m_looking; ///< at pictures
    ClipReading m_reading;
};

} // namespace bslate::app
