// What is done on the page Bring in, step by step, undone and done again.
#include "app/document/text.h"
#include "app/views/bring/body_questions.h"
#include "app/views/bring/bring_view.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>

#include <algorithm>

namespace bslate::app {

class BringView::Step : public QUndoCommand {
public:
    Step(BringView& view, State before, State after, const QString& name, int kind)
        : QUndoCommand(name)
        , m_view(view)
        , m_before(std::move(before))
        , m_after(std::move(after))
        , m_kind(kind) {}

    [[nodiscard]] int id() const override { return m_kind > 0 ? m_kind : -1; }
    bool mergeWith(const QUndoCommand* next) override {
        m_after = static_cast<const Step*>(next)->m_after;
        return true;
    }
    void undo() override { m_view.put(m_before); }
    void redo() override {
        if (m_isDone) // it is there already when it is pushed
            m_view.put(m_after);
        m_isDone = true;
    }

private:
    BringView& m_view;
    State m_before, m_after;
    int m_kind;
    bool m_isDone = false;
};

BringView::State BringView::now() const {
    return {m_own, m_name->text(), m_refused};
}

void BringView::commit(const QString& name, int kind) {
    if (m_putting)
        return;
    const auto after = now();
    if (after == m_last)
        return;
    m_steps.push(new Step(*this, m_last, after, name, kind));
    m_last = after;
}

void BringView::put(const State& state) {
    m_putting = true;
    m_own = state.own;
    m_refused = state.refused;
    m_name->setText(state.name);
    m_table->setPlainText(toQt(state.own.table));
    m_questions->put(state.own.answers);
    showUsual();
    m_last = now();
    m_putting = false;
}

void BringView::addRate(FrameRate rate) {
    if (m_own.rates.end() == std::find(m_own.rates.begin(), m_own.rates.end(), rate))
        m_own.rates.push_back(rate);
    showAll();
    commit(tr("Add a rate"));
}

void BringView::takeOut() {
    const auto* item = m_understood->currentItem();
    if (!item)
        return;
    const auto clip = item->data(kClipRole), refused = item->data(kRefusedRole);
    const auto line = item->data(kLineRole).toString();
    const int row = m_understood->row(item);
    if (clip.isValid()) {
        m_own.clips.erase(m_own.clips.begin() + clip.toInt());
    } else if (refused.isValid()) {
        m_refused.removeAt(refused.toInt());
    } else {
        auto lines = m_table->toPlainText().split(QLatin1Char('\n'));
        const auto at = std::find_if(lines.begin(), lines.end(),
                                     [&](const QString& one) { return one.trimmed() == line; });
        if (at != lines.end())
            lines.erase(at);
        const QSignalBlocker quiet(m_table);
        m_table->setPlainText(lines.join(QLatin1Char('\n')));
        m_own.table = fromQt(m_table->toPlainText());
    }
    showAll();
    m_understood->setCurrentRow(std::min(row, m_understood->count() - 1));
    commit(tr("Take out"));
}

void BringView::showEvent(QShowEvent* event) {
    StepView::showEvent(event);
    m_steps.setActive(true);
}

void BringView::hideEvent(QHideEvent* event) {
    StepView::hideEvent(event);
    m_steps.setActive(false);
}

// The text's own undo would know nothing of the other steps.
bool BringView::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_table && event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->matches(QKeySequence::Undo) || key->matches(QKeySequence::Redo)) {
            event->ignore();
            return true;
        }
    }
    return StepView::eventFilter(watched, event);
}

} // namespace bslate::app
