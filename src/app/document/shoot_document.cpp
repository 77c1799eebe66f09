#include "app/document/shoot_document.h"

#include "app/document/text.h"
#include "core/facts/neighbours.h"

#include <QUndoCommand>

namespace bslate::app {

/// Holds the values before and after; values are shared, so a long history stays small.
class ShootEdit : public QUndoCommand {
public:
    ShootEdit(ShootDocument& document, const QString& name, ShootDocument::Value after, int drag)
        : QUndoCommand(name)
        , m_document(document)
        , m_before(document.m_value)
        , m_after(std::move(after))
        , m_selectedBefore(document.m_setupId)
        , m_drag(drag) {}

    void undo() override { m_document.setValue(m_before, m_selectedBefore); }
    void redo() override { m_document.setValue(m_after); }
    int id() const override { return m_drag; }

    bool mergeWith(const QUndoCommand* later) override {
        const auto* other = static_cast<const ShootEdit*>(later);
        if (other->m_drag != m_drag || m_drag == 0)
            return false;
        m_after = other->m_after;
        if (*m_after == *m_before)
            setObsolete(true);
        return true;
    }

private:
    ShootDocument& m_document;
    ShootDocument::Value m_before;
    ShootDocument::Value m_after;
    QString m_selectedBefore;
    int m_drag;
};

ShootDocument::ShootDocument(QObject* parent)
    : QObject(parent)
    , m_value(std::make_shared<const Shoot>()) {
    connect(&m_undo, &QUndoStack::cleanChanged, this, &ShootDocument::fileChanged);
}

void ShootDocument::reset(Shoot shoot, const QString& path, bool recovered) {
    m_path = path;
    m_undo.clear();
    m_setupId = shoot.setups.empty() ? QString() : toQt(shoot.setups.front().id);
    m_verdicts.clear();
    setValue(std::make_shared<const Shoot>(std::move(shoot)));
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

void ShootDocument::edit(const QString& name, Shoot after, int drag) {
    if (after == *m_value)
        return;
    m_undo.push(new ShootEdit(*this, name, std::make_shared<const Shoot>(std::move(after)), drag));
}

void ShootDocument::setValue(Value value, const std::optional<QString>& selected) {
    m_value = std::move(value);
    const QString before = m_setupId;
    if (selected)
        m_setupId = *selected;
    keepSelectionValid();
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

namespace {

std::vector<Setup> neighboursOf(const Shoot& shoot, const Setup& setup) {
    std::vector<Setup> result;
    if (const auto* earlier = earlierOnCamera(shoot, setup))
        result.push_back(*earlier);
    for (const auto* other : otherCamerasOnScene(shoot, setup))
        result.push_back(*other);
    return result;
}

} // namespace

const Verdict& ShootDocument::verdict(const Setup& setup) {
    if (m_verdictsFor != m_value) {
        const bool sameGround = m_verdictsFor && m_verdictsFor->kit == m_value->kit &&
                                m_verdictsFor->brief == m_value->brief &&
                                m_verdictsFor->meter == m_value->meter &&
                                m_verdictsFor->snrFloor == m_value->snrFloor;
        if (!sameGround)
            m_verdicts.clear();
        m_verdictsFor = m_value;
    }
    const auto* scene = findScene(*m_value, setup.scene);
    const Scene empty;
    const Scene& now = scene ? *scene : empty;
    const auto neighbours = neighboursOf(*m_value, setup);
    const auto found = m_verdicts.find(setup.id);
    if (found != m_verdicts.end() && found->second.setup == setup && found->second.scene == now &&
        found->second.neighbours == neighbours)
        return found->second.verdict;
    auto& cached = m_verdicts[setup.id];
    cached = {setup, now, neighbours, judge(*m_value, setup)};
    return cached.verdict;
}

const Verdict* ShootDocument::verdict() {
    const auto* current = setup();
    return current ? &verdict(*current) : nullptr;
}

} // namespace bslate::app
