#pragma once

#include <QLineEdit>

#include <functional>
#include <optional>

namespace bslate::app {

/// A line for one typed value. Return commits, Escape gives the old text back. The check says
/// what is wrong with a text (an empty answer accepts it); a refused text is replaced by the old
/// one and refused() tells why.
class QuantityEdit : public QLineEdit {
    Q_OBJECT

public:
    /// The message for a text that cannot be accepted, or nothing.
    using Check = std::function<std::optional<QString>(const QString&)>;

    explicit QuantityEdit(Check check, QWidget* parent = nullptr);

    /// Shows a value without committing anything.
    void showValue(const QString& text);

    /// A refused text stays to be mended, as a whole line should; Escape gives the old one back.
    void keepRefused() { m_keepsRefused = true; }
    [[nodiscard]] bool keepsRefused() const { return m_keepsRefused; }

signals:
    void entered(const QString& text);
    void refused(const QString& message);
    void leftUnchanged(); ///< committed or cancelled without a change

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void commit();

    Check m_check;
    QString m_shown;
    bool m_keepsRefused = false;
};

/// One with the names by which tests and assistive technology know it.
[[nodiscard]] QuantityEdit* quantityField(const char* name, const QString& spoken,
                                          QuantityEdit::Check check);

} // namespace bslate::app
