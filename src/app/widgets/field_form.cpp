#include "app/widgets/field_form.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QSpinBox>
#include <QStyle>

#include <algorithm>

namespace bslate::app {
namespace {

const QString kYes = QStringLiteral("yes"), kNo = QStringLiteral("no");

void fill(QComboBox& box, const std::vector<RowChoice>& choices, const QString& chosen) {
    box.clear();
    for (const auto& choice : choices)
        box.addItem(choice.words, choice.id);
    box.setCurrentIndex(std::max(0, box.findData(chosen)));
}

QString textIn(const QWidget& widget) {
    if (const auto* box = qobject_cast<const QComboBox*>(&widget))
        return box->currentData().toString();
    if (const auto* count = qobject_cast<const QSpinBox*>(&widget))
        return QString::number(count->value());
    if (const auto* tick = qobject_cast<const QCheckBox*>(&widget))
        return tick->isChecked() ? kYes : kNo;
    return static_cast<const QLineEdit&>(widget).text();
}

} // namespace

FieldForm::FieldForm(const QString& prefix, int columns, QWidget* parent)
    : QWidget(parent)
    , m_prefix(prefix)
    , m_columns(columns) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(24);
    for (int i = 0; i < columns; ++i) {
        auto* form = new QFormLayout;
        // Unsaid, a nested layout takes the gap between the columns for its rows too.
        form->setVerticalSpacing(style()->pixelMetric(QStyle::PM_LayoutVerticalSpacing));
        form->setHorizontalSpacing(style()->pixelMetric(QStyle::PM_LayoutHorizontalSpacing));
        m_forms.push_back(form);
        row->addLayout(form, 1);
    }
}

QFormLayout& FieldForm::column() {
    const int at = m_perColumn > 0 ? m_added / m_perColumn : 0;
    ++m_added;
    return *m_forms[static_cast<std::size_t>(std::min(at, m_columns - 1))];
}

void FieldForm::add(const RowLook& look, const QString& text, QuantityEdit::Check check) {
    auto* widget = widgetFor(look, text, std::move(check));
    widget->setObjectName(
        m_prefix + QLatin1Char('-') +
        QString::fromStdString(look.key).replace(QLatin1Char('_'), QLatin1Char('-')));
    widget->setAccessibleName(look.name());
    widget->setToolTip(look.hint);
    auto* label = new QLabel(look.label);
    label->setBuddy(widget);
    column().addRow(label, widget);
    m_lines[look.key] = {look.name(), text, widget};
}

QWidget* FieldForm::widgetFor(const RowLook& look, const QString& text, QuantityEdit::Check check) {
    const QString key = QString::fromStdString(look.key);
    const auto told = [this, key] { emit changed(key); };
    if (check && look.how != typed::How::Ticked)
        return typedLine(look, text, std::move(check));
    switch (look.how) {
    case typed::How::Typed:
        break;
    case typed::How::Chosen: {
        auto* box = new QComboBox;
        fill(*box, look.choices, text);
        connect(box, &QComboBox::currentIndexChanged, this, told);
        return box;
    }
    case typed::How::Counted: {
        auto* count = new QSpinBox;
        count->setRange(look.low, look.high);
        count->setSpecialValueText(look.lowest);
        count->setValue(text.toInt());
        connect(count, &QSpinBox::valueChanged, this, told);
        return count;
    }
    case typed::How::Ticked: {
        auto* tick = new QCheckBox;
        tick->setChecked(text == kYes);
        connect(tick, &QCheckBox::toggled, this, told);
        if (check)
            connect(
                tick, &QCheckBox::toggled, this,
                [this, key](bool on) { emit entered(key, on ? kYes : kNo); }, Qt::QueuedConnection);
        return tick;
    }
    }
    return typedLine(look, text, std::move(check));
}

QWidget* FieldForm::typedLine(const RowLook& look, const QString& text, QuantityEdit::Check check) {
    const QString key = QString::fromStdString(look.key);
    if (!check) {
        auto* line = new QLineEdit(text);
        line->setPlaceholderText(look.hint);
        connect(line, &QLineEdit::textChanged, this, [this, key] { emit changed(key); });
        return line;
    }
    auto* line = new QuantityEdit(std::move(check));
    line->setPlaceholderText(look.hint);
    line->showValue(text);
    connect(line, &QuantityEdit::refused, this, &FieldForm::refused);
    // Queued: the line itself is replaced when what it belongs to has changed.
    connect(
        line, &QuantityEdit::entered, this,
        [this, key](const QString& said) { emit entered(key, said); }, Qt::QueuedConnection);
    return line;
}

void FieldForm::addOther(const QString& label, QWidget* widget) {
    column().addRow(label, widget);
}

QWidget* FieldForm::widgetOf(std::string_view key) const {
    const auto line = m_lines.find(key);
    if (line == m_lines.end())
        qFatal("no line %s", std::string(key).c_str());
    return line->second.widget;
}

QString FieldForm::text(std::string_view key) const {
    return textIn(*widgetOf(key));
}

bool FieldForm::touched(std::string_view key) const {
    return text(key) != m_lines.find(key)->second.began;
}

void FieldForm::setText(std::string_view key, const QString& text) {
    auto* widget = widgetOf(key);
    if (auto* box = qobject_cast<QComboBox*>(widget))
        box->setCurrentIndex(box->findData(text));
    else if (auto* count = qobject_cast<QSpinBox*>(widget))
        count->setValue(text.toInt());
    else if (auto* tick = qobject_cast<QCheckBox*>(widget))
        tick->setChecked(text == kYes);
    else
        static_cast<QLineEdit*>(widget)->setText(text);
}

void FieldForm::offer(std::string_view key, const std::vector<RowChoice>& choices) {
    fill(*qobject_cast<QComboBox*>(widgetOf(key)), choices, text(key));
}

void FieldForm::setLocked(std::string_view key, bool locked) {
    static_cast<QLineEdit*>(widgetOf(key))->setReadOnly(locked);
}

bool FieldForm::focusOn(const QString& name) {
    for (const auto& [key, line] : m_lines) {
        if (line.name != name)
            continue;
        line.widget->setFocus();
        if (auto* edit = qobject_cast<QLineEdit*>(line.widget))
            edit->selectAll();
        return true;
    }
    return false;
}

void FieldForm::clear() {
    for (auto* form : m_forms)
        while (form->rowCount() > 0)
            form->removeRow(0);
    m_lines.clear();
    m_added = 0;
}

} // namespace bslate::app
