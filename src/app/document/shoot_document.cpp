#include "app/document/shoot_document.h"

#include "app/document/text.h"

#include <QUndoCommand>

namespace bslate::app {

/// One step of the history. The latest holds its two values, which a drag goes on from; once
/// another follows it keeps only what they differ in, so that a long history of a large shoot stays
/// small.
class ShootEdit : public QUndoCommand {
public:
    ShootEdit(ShootDocument& document, const QString& name, ShootDocument::Value after,
              Revision revision, int drag)
        : QUndoCommand(name)
        , m_document(document)
        , m_before(document.m_value)
        , m_after(std::move(after))
        , m_forth(std::move(revision))
        , m_selectedBefore(document.m_setupId)
        , m_drag(drag) {}

    void undo() override {
        settle();
        m_document.setValue(std::make_shared<const Shoot>(revised(m_document.shoot(), m_back)),
                            m_back, m_selectedBefore);
    }
    void redo() override {
        auto value =
            m_after ? m_after : std::make_shared<const Shoot>(revised(m_document.shoot(), m_forth));
        m_document.setValue(std::move(value), m_forth);
    }
    int id() const override { return m_drag; }

    bool mergeWith(const QUndoCommand* later) override {
        const auto* other = static_cast<const ShootEdit*>(later);
        if (other->m_drag != m_drag || m_drag == 0 || !m_before)
            return false;
        m_after = other->m_after;
        if (*m_after == *m_before)
            setObsolete(true);
        return true;
    }

    /// Another step follows, or this one is gone back from.
    void settle() const {
        if (!m_before)
            return;
        m_forth = revisionBetween(*m_before, *m_after);
        m_back = revisionBetween(*m_after, *m_before);
        m_before.reset();
        m_after.reset();
    }

private:
    ShootDocument& m_document;
    mutable ShootDocument::Value m_before, m_after; ///< none once settled
    mutable Revision m_forth, m_back;
    QString m_selectedBefore;
    int m_drag;
};

ShootDocument::ShootDocument(QObject* parent)
    : QObject(parent)
    , m_value(std::make_shared<const Shoot>())
    , m_verdicts(*this) {
    connect(&m_undo, &QUndoStack::cleanChanged, this, &ShootDocument::fileChanged);
}

void ShootDocument::reset(Shoot shoot, const QString& path, bool recovered) {
    m_path = path;
    m_undo.clear();
    m_setupId = shoot.setups.empty() ? QString() : toQt(shoot.setups.front().id);
    const auto revision = revisionBetween(*m_value, shoot);
    setValue(std::make_shared<const Shoot>(std::move(shoot)), revision);
    if (recovered)
        m_undo.resetClean();
    emit selectionChanged();
    emit fileChanged();
}

void ShootDocument::markSaved(const QString& path) {
    m_path = path;
    m_undo.setClean();
    emit fileChanged();
}

bool ShootDocument::edit(const QString& name, Shoot after, int drag) {
    auto revision = revisionBetween(*m_value, after);
    if (revision.empty())
        return true;
    if (const auto outcome = checkRevision(after, revision); !outcome) {
        emit refused(messageOf(outcome.error()));
        return false;
    }
    auto* step = new ShootEdit(*this, name, std::make_shared<const Shoot>(std::move(after)),
                               std::move(revision), drag);
    const auto* latest = static_cast<const ShootEdit*>(m_undo.command(m_undo.index() - 1));
    if (latest && (drag == 0 || latest->id() != drag))
        latest->settle();
    m_undo.push(step);
    return true;
}

void ShootDocument::setValue(Value value, const Revision& revision,
                             const std::optional<QString>& selected) {
    m_value = std::move(value);
    const QString before = m_setupId;
    if (selected)
        m_setupId = *selected;
    keepSelectionValid();
    emit revisedBy(revision);
    emit changed();
    if (before != m_setupId)
        emit selectionChanged();
}

void ShootDocument::keepSelectionValid() {
    if (setup() || m_value->setups.empty()) {
        if (m_value->setups.empty())
            m_setupId.clear();
        return;
    }
    m_setupId = toQt(m_value->setups.front().id);
}

const Setup* ShootDocument::setup() const {
    return findSetup(*m_value, fromQt(m_setupId));
}

const Scene* ShootDocument::scene() const {
    const auto* current = setup();
    return current ? findScene(*m_value, current->scene) : nullptr;
}

void ShootDocument::select(const QString& setupId) {
    if (setupId == m_setupId || !findSetup(*m_value, fromQt(setupId)))
        return;
    m_setupId = setupId;
    emit selectionChanged();
}

void ShootDocument::selectNeighbour(int step) {
    const auto& setups = m_value->setups;
    for (std::size_t i = 0; i < setups.size(); ++i) {
        if (toQt(setups[i].id) != m_setupId)
            continue;
        const auto next = static_cast<std::ptrdiff_t>(i) + step;
        if (next >= 0 && next < static_cast<std::ptrdiff_t>(setups.size()))
            select(toQt(setups[static_cast<std::size_t>(next)].id));
        return;
    }
}

const Verdict* ShootDocument::verdict() {
    const auto* current = setup();
    return current ? &m_verdicts.verdict(*current) : nullptr;
}

const Evaluation* ShootDocument::evaluation() {
    const auto* current = setup();
    if (!current)
        return nullptr;
    const auto& at = m_verdicts.evaluation(*current);
    return at ? &*at : nullptr;
}

} // namespace bslate::app
