#pragma once

#include <QKeyCombination>
#include <QStringList>

#include <functional>
#include <initializer_list>
#include <type_traits>
#include <vector>

class QKeyEvent;
class QWidget;

namespace bslate::app {

/// A line of the key sheet: keys as they are printed on them, and what they do.
struct KeyLine {
    QString keys, what;
};

/// What the keys of a page or a canvas do, said once: presses are answered from it, and the key
/// sheet and the hint under the page are read off it. Words are of the context "Help".
class KeyTable {
public:
    /// A key and its act: with or without being told of Shift; one that gives false has not
    /// answered, and the press goes on to who comes next.
    struct Binding {
        template<class Act>
        Binding(QKeyCombination on, Act act)
            : keys(on)
            , answer([act = std::move(act)](bool shift) {
                if constexpr (std::is_invocable_v<Act, bool>)
                    return done([&] { return act(shift); });
                else
                    return done(act);
            }) {}

        QKeyCombination keys;
        std::function<bool(bool shift)> answer;

    private:
        template<class Act>
        [[nodiscard]] static bool done(const Act& act) {
            if constexpr (std::is_same_v<std::invoke_result_t<Act>, bool>)
                return act();
            else
                return act(), true;
        }
    };

    /// One line: `hint` is its word or two under the page, none where there is no room for it. A
    /// key without Shift answers with Shift too, unless that is another line's.
    void add(std::vector<Binding> bindings, const char* what, const char* hint = nullptr);
    /// The lines of a part of the page, which answers by itself.
    void include(const KeyTable& part);
    /// Keys answer only while this holds.
    void onlyWhile(std::function<bool()> holds) { m_holds = std::move(holds); }
    /// Keys act even while a part of `page` has the focus that would take them otherwise.
    void makeShortcuts(QWidget& page);

    /// Whether the press was answered. Enter is Return, and the key of plus needs no Shift.
    bool press(const QKeyEvent& event) const;
    bool press(QKeyCombination keys) const;

    [[nodiscard]] QString whatDoes(QKeyCombination keys) const;
    [[nodiscard]] std::vector<KeyLine> lines() const;
    [[nodiscard]] QString hint() const;

private:
    struct Line {
        std::vector<Binding> bindings;
        const char* what = nullptr;
        const char* hint = nullptr;
        const KeyTable* part = nullptr; ///< instead of all that
    };
    [[nodiscard]] const Binding* find(QKeyCombination keys) const;
    void appendHints(QStringList& hints) const;

    std::vector<Line> m_lines;
    std::function<bool()> m_holds;
};

/// The access keys of a page: those of its buttons, tabs and labelled fields, with their words.
[[nodiscard]] std::vector<KeyLine> accessKeys(const QWidget& page);

} // namespace bslate::app
