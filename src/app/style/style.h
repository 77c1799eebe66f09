#pragma once

#include "app/style/tokens.h"

#include <QFont>
#include <QObject>

namespace bslate::app {

enum class TextRole { Secondary, Body, Title, Value, BigValue, Head };

/// Holds the theme in use and tells the widgets when it changes. One is made in main() and
/// handed down.
class Style : public QObject {
    Q_OBJECT

public:
    explicit Style(QObject* parent = nullptr);

    /// Loads the fonts that ship with the application; false when they are missing, and the
    /// system font is used.
    bool loadFonts();

    [[nodiscard]] Theme theme() const { return m_theme; }
    void setTheme(Theme theme);
    [[nodiscard]] const Tokens& colours() const { return tokens(m_theme); }

    /// B612 in the role's pixel size, whose figures are all of one width.
    [[nodiscard]] static QFont font(TextRole role);

    /// Font, palette and drawing (control_style.h) of the standard widgets.
    void apply() const;

signals:
    void changed();

private:
    Theme m_theme = Theme::Slate;
};

} // namespace bslate::app
