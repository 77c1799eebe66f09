#pragma once

#include "app/style/style.h"
#include "core/advice/next_thing.h"

#include <QWidget>

#include <functional>

class QLabel;
class QPushButton;

namespace bslate::app {

/// While a step has nothing to work on: one sentence that says what comes first, and the button
/// that does it. Not there otherwise.
class NextBar : public QWidget {
    Q_OBJECT

public:
    /// Nothing to say, or a sentence with its button.
    struct Advice {
        QString sentence, button;
        std::function<void()> act;
    };

    explicit NextBar(const Style& style, QWidget* parent = nullptr);

    void show(Advice advice);
    void clear() { setVisible(false); }
    [[nodiscard]] QString sentence() const;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    QLabel* m_sentence;
    QPushButton* m_button;
    std::function<void()> m_act;
};

} // namespace bslate::app
