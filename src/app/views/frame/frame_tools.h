#pragma once

#include "app/style/style.h"

#include <QWidget>

#include <vector>

class QPushButton;

namespace bslate::app {

/// What the keys of the Frame step do, as buttons that show what is on: pressing one is pressing
/// its key.
class FrameTools : public QWidget {
    Q_OBJECT

public:
    explicit FrameTools(const Style& style, QWidget* parent = nullptr);

    /// What a tool shows; one that has no state is never on.
    struct State {
        int key = 0;
        bool on = false;
        bool able = true;
        QString which = {}; ///< of several, "skin"
    };
    void show(const std::vector<State>& states);

signals:
    void pressed(int key);

private:
    struct Tool {
        int key;
        QString text;
        QPushButton* button;
    };
    std::vector<Tool> m_tools;
};

} // namespace bslate::app
