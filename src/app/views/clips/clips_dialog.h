#pragma once

#include "app/document/clip_reading.h"
#include "app/document/shoot_document.h"
#include "app/style/style.h"
#include "core/judgement/finding.h"

#include <QDialog>

#include <functional>

class QComboBox;
class QLabel;
class QListWidget;
class QTreeWidget;

namespace bslate::app {

/// Recorded clips beside the setups they are of: each is matched, which a hand may change, and what
/// differs from the plan is told, worst first.
class ClipsDialog : public QDialog {
    Q_OBJECT

public:
    ClipsDialog(ShootDocument& document, const Style& style, QWidget* parent = nullptr);

    /// Reads clips in the background, behind those that are read already.
    void addClips(const QStringList& paths);
    void settle() { m_reading.settle(); } ///< waits for the reading: for pictures and tests
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
        std::vector<Finding> findings;
    };

    void build();
    void takeClip(const QString& path, const ClipReading::Clip& clip);
    void checkAll();
    void check(Entry& entry);
    void showList();
    void showChosen();
    void setByHand(int index);
    [[nodiscard]] Entry* chosen();
    [[nodiscard]] QString setupName(const QString& id) const;

    ShootDocument& m_document;
    const Style& m_style;
    QLabel *m_summary, *m_facts;
    QTreeWidget* m_list;
    QComboBox* m_setup;
    QListWidget* m_findings;
    std::vector<Entry> m_entries;
    std::function<QStringList()> m_ask;
    ClipReading m_reading;
};

} // namespace bslate::app
