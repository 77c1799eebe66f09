#include "app/document/bank_planner.h"

#include "app/document/text.h"

#include <QTimer>

namespace bslate::app {
namespace {

constexpr int kBanksRestMs = 60;
constexpr int kAtOnceMs = 10; // most shoots take less

} // namespace

BankPlanner::BankPlanner(ShootDocument& document, QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_view(std::make_shared<BanksInView>())
    , m_later(new QTimer(this)) {
    m_later->setSingleShot(true);
    m_later->setInterval(kBanksRestMs);
    connect(m_later, &QTimer::timeout, this, &BankPlanner::begin);
    connect(&document, &ShootDocument::changed, this, &BankPlanner::follow);
    connect(&document, &ShootDocument::selectionChanged, this, [this] {
        m_camera.clear();
        follow();
    });
}

void BankPlanner::follow() {
    m_stale = true;
    if (m_active)
        refresh();
}

void BankPlanner::setActive(bool active) {
    m_active = active;
    if (active && m_stale)
        refresh();
}

void BankPlanner::chooseCamera(const QString& id) {
    m_camera = id;
    follow();
}

const Camera* BankPlanner::camera() const {
    const auto& shoot = m_document.shoot();
    if (const auto* chosen = findCamera(shoot.kit, fromQt(m_camera)))
        return chosen;
    const auto* setup = m_document.setup();
    if (const auto* own = setup ? findCamera(shoot.kit, setup->camera) : nullptr)
        return own;
    return shoot.kit.cameras.empty() ? nullptr : &shoot.kit.cameras.front();
}

std::optional<std::size_t> BankPlanner::selected() const {
    const auto at = m_view->index.find(fromQt(m_document.setupId()));
    return at == m_view->index.end() ? std::nullopt : std::optional(at->second);
}

bool BankPlanner::isOfSelected() const {
    return m_view->setup == fromQt(m_document.setupId());
}

const std::vector<Check>& BankPlanner::checks() const {
    static const std::vector<Check> kNone;
    return isOfSelected() ? m_view->checks : kNone;
}

std::optional<Seconds> BankPlanner::costWith(int bank) const {
    const auto at = static_cast<std::size_t>(bank + 1);
    return isOfSelected() && at < m_view->costs.size() ? std::optional(m_view->costs[at])
                                                       : std::nullopt;
}

void BankPlanner::refresh() {
    m_later->stop();
    m_thorough.stop();
    m_stale = false;
    const auto* shown = camera();
    m_quick.start([this, value = m_document.value(), id = shown ? shown->id : std::string(),
                   setup = fromQt(m_document.setupId()), before = m_view](const auto&) {
        auto view = std::make_shared<const BanksInView>(lookedAt(value, id, setup, *before));
        return [this, view = std::move(view)] {
            take(view);
            if (!isWhole(*view))
                m_later->start();
        };
    });
    m_quick.settleWithin(kAtOnceMs);
}

void BankPlanner::begin() {
    m_thorough.start([this, before = m_view](const auto& control) {
        auto view = std::make_shared<const BanksInView>(settledView(*before, control.keepGoing()));
        return [this, view = std::move(view)] { take(view); };
    });
}

void BankPlanner::take(std::shared_ptr<const BanksInView> view) {
    m_view = std::move(view);
    emit changed();
}

bool BankPlanner::catchUp(int mostMs) {
    if (m_stale)
        refresh();
    return m_quick.settleWithin(mostMs);
}

bool BankPlanner::settleWithin(int mostMs) {
    if (!catchUp(mostMs))
        return false;
    if (m_later->isActive()) {
        m_later->stop();
        begin();
    }
    return m_thorough.settleWithin(mostMs);
}

void BankPlanner::settle() {
    settleWithin(-1);
}

} // namespace bslate::app
