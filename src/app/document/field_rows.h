#pragma once

#include "app/document/field_label.h"
#include "app/document/text.h"
#include "core/quantity/field_text.h"

#include <functional>
#include <vector>

namespace bslate::app {

/// One of the values a line offers: what is taken over, and what a person reads.
struct RowChoice {
    QString id, words;
};

/// A line of a sheet, whatever struct it belongs to.
struct RowLook {
    std::string key; ///< of the field; the widget's name ends in it
    QString label;   ///< with its access key
    QString hint;    ///< one clause on what may be typed
    typed::How how = typed::How::Typed;
    std::vector<RowChoice> choices; ///< of one that is chosen
    int low = 0, high = 0;          ///< of one that is counted
    QString lowest;                 ///< what the lowest count is called, where it means none

    [[nodiscard]] QString name() const { return QString(label).remove(QLatin1Char('&')); }
};

/// A line of the sheet of a T, and how its text is read and written. A text is that of
/// core/quantity/field_text.h, the id of a choice, a count, or `yes` and `no`.
template<class T>
struct FieldRow : RowLook {
    std::function<std::string(const T&)> text;
    std::function<Outcome(T&, std::string_view)> put;
};

template<class T>
using FieldRows = std::vector<FieldRow<T>>;

template<class E>
[[nodiscard]] std::vector<RowChoice> choicesOf(std::span<const NamedValue<E>> names) {
    std::vector<RowChoice> choices;
    for (const auto& entry : names)
        choices.push_back({toQt(entry.name), QCoreApplication::translate(
                                                 "Fields", std::string(wordsOf(entry)).c_str())});
    return choices;
}

template<class T, class Access, class Form>
[[nodiscard]] FieldRow<T> rowOf(const Field<Access, Form>& field) {
    FieldRow<T> row;
    row.key = field.key;
    row.label = QCoreApplication::translate("Fields", field.name);
    row.hint = QCoreApplication::translate("Fields", field.help);
    if constexpr (typed::kOnALine<Form>) {
        row.how = typed::kHow<Form>;
        row.text = [field](const T& owner) { return textOf(field, owner); };
        row.put = [field](T& owner, std::string_view text) {
            return setFromText(field, owner, text);
        };
    }
    if constexpr (typed::kHow<Form> == typed::How::Counted) {
        row.low = field.form.low;
        row.high = field.form.high;
    }
    if constexpr (typed::kHow<Form> == typed::How::Chosen) {
        row.choices = choicesOf(field.form.names);
        row.text = [field](const T& owner) {
            return std::string(nameIn(field.form.names, valueOf(field, owner)));
        };
    }
    return row;
}

/// A line for each field of the table that has one form a line can hold, in the table's order: all
/// but the id, and but those that have a place elsewhere.
template<class T>
[[nodiscard]] FieldRows<T> fieldRows() {
    FieldRows<T> rows;
    const auto add = [&](const auto& field) {
        if constexpr (typed::kOnALine<std::decay_t<decltype(field.form)>>)
            if (field.onSheet && std::string_view(field.key) != "id")
                rows.push_back(rowOf<T>(field));
    };
    std::apply([&](const auto&... field) { (add(field), ...); }, Described<T>::kFields);
    return rows;
}

/// The row of one field, to be read and written by code of its own where no line can hold it.
template<class T>
[[nodiscard]] FieldRow<T> rowNamed(std::string_view key) {
    FieldRow<T> row;
    const auto look = [&](const auto& field) {
        if (field.key == key)
            row = rowOf<T>(field);
    };
    std::apply([&](const auto&... field) { (look(field), ...); }, Described<T>::kFields);
    return row;
}

/// The row of a key; ends the program where there is none: it is one of ours.
template<class T>
[[nodiscard]] FieldRow<T>& rowIn(FieldRows<T>& rows, std::string_view key) {
    for (auto& row : rows)
        if (row.key == key)
            return row;
    qFatal("no row %s", std::string(key).c_str());
}

} // namespace bslate::app
