#pragma once

#include <QPushButton>

#include <functional>

namespace bslate::app {

/// "More": the menu behind the buttons that begin something, for what follows from them.
class MoreButton : public QPushButton {
    Q_OBJECT

public:
    explicit MoreButton(const char* name, QWidget* parent = nullptr);

    /// `name` is the object's, for scripts and tests.
    void entry(const QString& text, const char* name, std::function<void()> act);
};

} // namespace bslate::app
