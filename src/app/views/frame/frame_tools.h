#pragma once

#include "app/widgets/key_table.h"

#include <QWidget>

#include <vector>

class QHBoxLayout;
class QPushButton;

namespace bslate::app {

/// What the keys of the Frame step do, as buttons that show what is on: pressing one is pressing
/// its key.
class FrameTools : public QWidget {
    Q_OBJECT

public:
    /// `keys` say what each does.
    explicit FrameTools(const KeyTable& keys, QWidget* parent = nullptr);

    /// What a tool shows; one that has no state is never on.
    struct State {
        int key = 0;
        bool on = false;
        bool there = true;  ///< else not shown: there is nothing to press it for
        QString which = {}; ///< of several, "skin"
    };
    void show(const std::vector<State>& states);

signals:
    void pressed(int key);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void arrange(); ///< in a second row where one is too narrow
    struct Tool {
        int key;
        QString text;
        QPushButton* button;
    };
    std::vector<Tool> m_tools;
    QHBoxLayout *m_first, *m_second;
};

} // namespace bslate::app
