#pragma once

#include "app/document/my_kit.h"
#include "app/style/style.h"

#include <QDialog>

class QLabel;
class QPushButton;
class QTreeWidget;

namespace bslate::app {

/// The shoot's kit beside the kit somebody keeps for every shoot: what differs, part by part, and
/// both ways for each. Nothing is changed by itself.
class MyKitDialog : public QDialog {
    Q_OBJECT

public:
    MyKitDialog(MyKit& mine, ShootDocument& document, const Style& style,
                QWidget* parent = nullptr);

    /// A part that is listed, as the one chosen.
    void choose(KitPart part, const QString& id);

private:
    struct Chosen {
        KitPart part;
        QString id;
        PartState state;
    };
    void build();
    void fill();
    [[nodiscard]] std::vector<Chosen> chosen() const;
    void showButtons();
    [[nodiscard]] std::vector<MyKit::Part> chosenBut(PartState other) const;

    MyKit& m_mine;
    const Style& m_style;
    QLabel* m_summary;
    QTreeWidget* m_list;
    QPushButton *m_keep, *m_take, *m_forget, *m_keepAll, *m_takeAll;
};

} // namespace bslate::app
