#include "app/widgets/key_table.h"

#include <QAbstractButton>
#include <QCoreApplication>
#include <QKeyEvent>
#include <QKeySequence>
#include <QLabel>
#include <QShortcut>
#include <QTabBar>

namespace bslate::app {
namespace {

QString translated(const char* words) {
    return QCoreApplication::translate("Help", words);
}

enum class In { Sheet, Hint };

QString nameOf(Qt::Key key, In where) {
    struct Name {
        Qt::Key key;
        const char *sheet, *hint;
    };
    static constexpr Name kNames[] = {
        {Qt::Key_Left, "Left", "\u25c2"},  {Qt::Key_Right, "Right", "\u25b8"},
        {Qt::Key_Up, "Up", "\u25b4"},      {Qt::Key_Down, "Down", "\u25be"},
        {Qt::Key_Delete, "Delete", "Del"}, {Qt::Key_Insert, "Insert", "Ins"},
        {Qt::Key_Escape, "Escape", "Esc"}, {Qt::Key_PageDown, "PgDn", "PgDn"},
        {Qt::Key_Minus, "-", "\u2212"}};
    for (const auto& name : kNames)
        if (name.key == key)
            return QString::fromUtf8(where == In::Sheet ? name.sheet : name.hint);
    return QKeySequence(key).toString(QKeySequence::PortableText);
}

// "Shift+N"; in the hint what is held down is said once: "Alt+left right".
QString textOf(const std::vector<QKeyCombination>& all, In where) {
    static const std::vector<QKeyCombination> kArrows = {Qt::Key_Left, Qt::Key_Right, Qt::Key_Up,
                                                         Qt::Key_Down};
    if (all == kArrows)
        return translated(QT_TRANSLATE_NOOP("Help", "arrows"));
    QString text;
    Qt::KeyboardModifiers held;
    for (const auto& keys : all) {
        const auto now = keys.keyboardModifiers();
        const bool more = !text.isEmpty();
        if (more)
            text += where == In::Sheet ? QStringLiteral(", ") : QStringLiteral(" ");
        if (now && (where == In::Sheet || !more || now != held))
            text += QKeySequence(now | Qt::Key_A).toString(QKeySequence::PortableText).chopped(1);
        text += nameOf(keys.key(), where);
        held = now;
    }
    return text;
}

} // namespace

void KeyTable::add(std::vector<Binding> bindings, const char* what, const char* hint) {
    m_lines.push_back({std::move(bindings), what, hint});
}

void KeyTable::include(const KeyTable& part) {
    m_lines.push_back({{}, nullptr, nullptr, &part});
}

void KeyTable::makeShortcuts(QWidget& page) {
    for (const auto& line : m_lines)
        for (const auto& binding : line.bindings) {
            auto* shortcut = new QShortcut(QKeySequence(binding.keys), &page);
            shortcut->setContext(Qt::WidgetWithChildrenShortcut);
            QObject::connect(shortcut, &QShortcut::activated, &page,
                             [answer = binding.answer] { answer(false); });
        }
}

const KeyTable::Binding* KeyTable::find(QKeyCombination keys) const {
    for (const auto& line : m_lines)
        for (const auto& binding : line.bindings)
            if (binding.keys == keys)
                return &binding;
    return nullptr;
}

bool KeyTable::press(const QKeyEvent& event) const {
    auto key = static_cast<Qt::Key>(event.key());
    if (key == Qt::Key_Enter)
        key = Qt::Key_Return;
    if (key == Qt::Key_Equal)
        key = Qt::Key_Plus;
    return press((event.modifiers() & ~Qt::KeypadModifier) | key);
}

bool KeyTable::press(QKeyCombination keys) const {
    if (m_holds && !m_holds())
        return false;
    const auto held = keys.keyboardModifiers();
    const bool shift = held & Qt::ShiftModifier;
    if (const auto* exact = find(keys))
        return exact->answer(shift);
    const auto* plain = find((held & ~Qt::ShiftModifier) | keys.key());
    return plain && plain->answer(shift);
}

QString KeyTable::whatDoes(QKeyCombination keys) const {
    for (const auto& line : m_lines)
        for (const auto& binding : line.bindings)
            if (binding.keys == keys)
                return translated(line.what);
    return {};
}

std::vector<KeyLine> KeyTable::lines() const {
    std::vector<KeyLine> all;
    for (const auto& line : m_lines) {
        if (line.part) {
            for (auto& own : line.part->lines())
                all.push_back(std::move(own));
            continue;
        }
        std::vector<QKeyCombination> keys;
        for (const auto& binding : line.bindings)
            keys.push_back(binding.keys);
        all.push_back({textOf(keys, In::Sheet), translated(line.what)});
    }
    return all;
}

// Without the keys that need Shift: they are the other way of their neighbours.
void KeyTable::appendHints(QStringList& hints) const {
    for (const auto& line : m_lines) {
        if (line.part)
            line.part->appendHints(hints);
        if (!line.hint)
            continue;
        std::vector<QKeyCombination> keys;
        for (const auto& binding : line.bindings)
            if (!(binding.keys.keyboardModifiers() & Qt::ShiftModifier))
                keys.push_back(binding.keys);
        hints << textOf(keys, In::Hint) + QLatin1Char(' ') + translated(line.hint);
    }
}

QString KeyTable::hint() const {
    QStringList hints;
    appendHints(hints);
    return hints.join(QStringLiteral("   "));
}

std::vector<KeyLine> accessKeys(const QWidget& page) {
    std::vector<KeyLine> lines;
    const auto add = [&](QString text) {
        if (const auto keys = QKeySequence::mnemonic(text); !keys.isEmpty())
            lines.push_back({keys.toString(QKeySequence::PortableText),
                             text.remove(QLatin1Char('&')).remove(QChar(0x2026))});
    };
    for (const auto* part : page.findChildren<QWidget*>()) {
        if (const auto* button = qobject_cast<const QAbstractButton*>(part))
            add(button->text());
        if (const auto* label = qobject_cast<const QLabel*>(part); label && label->buddy())
            add(label->text());
        if (const auto* tabs = qobject_cast<const QTabBar*>(part))
            for (int i = 0; i < tabs->count(); ++i)
                add(tabs->tabText(i));
    }
    return lines;
}

} // namespace bslate::app
