#pragma once

#include "app/document/field_rows.h"
#include "app/widgets/quantity_edit.h"

#include <QWidget>

#include <map>

class QComboBox;
class QFormLayout;

namespace bslate::app {

/// Lines of a sheet, by their looks: what is typed, chosen, counted or ticked, as text by key. It
/// remembers the text each began with, so that what nobody touched is not read again.
class FieldForm : public QWidget {
    Q_OBJECT

public:
    /// Widgets are named `prefix-key`, with `-` for `_`; lines go down one column, then the next.
    explicit FieldForm(const QString& prefix, int columns = 1, QWidget* parent = nullptr);

    /// A line with its text. One with a check is committed by itself (entered()); others are
    /// taken over together.
    void add(const RowLook& look, const QString& text, QuantityEdit::Check check = {});
    /// Something else in the same columns.
    void addOther(const QString& label, QWidget* widget);
    template<class T>
    void addAll(const FieldRows<T>& rows, const T& value) {
        m_perColumn = (static_cast<int>(rows.size()) + m_columns - 1) / m_columns;
        for (const auto& row : rows)
            add(row, toQt(row.text(value)));
    }

    [[nodiscard]] QString text(std::string_view key) const;
    [[nodiscard]] bool touched(std::string_view key) const;
    void setText(std::string_view key, const QString& text);
    /// Other choices; the chosen one stays where it is still offered, else the first is taken.
    void offer(std::string_view key, const std::vector<RowChoice>& choices);
    void setLocked(std::string_view key, bool locked);

    /// Puts the cursor into the line of that name; false when there is none.
    bool focusOn(const QString& name);
    void clear();

signals:
    void changed(const QString& key);                      ///< while it is typed
    void entered(const QString& key, const QString& text); ///< a line by itself, accepted
    void refused(const QString& message);                  ///< likewise, not understood

private:
    struct Line {
        QString name, began;
        QWidget* widget;
    };
    [[nodiscard]] QWidget* widgetFor(const RowLook& look, const QString& text,
                                     QuantityEdit::Check check);
    [[nodiscard]] QWidget* typedLine(const RowLook& look, const QString& text,
                                     QuantityEdit::Check check);
    [[nodiscard]] QWidget* widgetOf(std::string_view key) const;
    [[nodiscard]] QFormLayout& column();

    QString m_prefix;
    int m_columns, m_perColumn = 0, m_added = 0;
    std::vector<QFormLayout*> m_forms;
    std::map<std::string, Line, std::less<>> m_lines;
};

/// `before` with every line that was touched, in the order of the rows. The place of an error is
/// the line's name.
template<class T>
[[nodiscard]] Result<T> typedIn(const FieldForm& form, const FieldRows<T>& rows, T before) {
    for (const auto& row : rows) {
        if (!form.touched(row.key))
            continue;
        if (const auto done = row.put(before, fromQt(form.text(row.key).trimmed())); !done) {
            Error error = done.error();
            error.place = fromQt(row.name());
            return error;
        }
    }
    return before;
}

} // namespace bslate::app
