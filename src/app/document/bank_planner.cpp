#include "app/document/bank_planner.h"

#include "app/document/text.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

#include <QTimer>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kBanksRestMs = 60;
constexpr long kDayLooks = 150'000; // as the Media step plans it

// The day of a setup when it has takes.
std::optional<ShootDay> plannedDay(const Shoot& shoot, const Setup* setup) {
    const auto* scene = setup ? findScene(shoot, setup->scene) : nullptr;
    if (!scene)
        return std::nullopt;
    auto day = dayOf(shoot, scene->day);
    return day.takes.empty() ? std::nullopt : std::optional(std::move(day));
}

} // namespace

BankPlanner::BankPlanner(ShootDocument& document, QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_later(new QTimer(this)) {
    m_later->setSingleShot(true);
    m_later->setInterval(kBanksRestMs);
    connect(m_later, &QTimer::timeout, this, &BankPlanner::begin);
    const auto follow = [this] {
        m_stale = true;
        if (m_active)
            refresh();
    };
    connect(&document, &ShootDocument::changed, this, follow);
    connect(&document, &ShootDocument::selectionChanged, this, [this, follow] {
        m_camera.clear();
        follow();
    });
}

void BankPlanner::setActive(bool active) {
    m_active = active;
    if (active && m_stale)
        refresh();
}

void BankPlanner::chooseCamera(const QString& id) {
    m_camera = id;
    m_stale = true;
    if (m_active)
        refresh();
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
    const auto& setups = m_plan.problem.work.setups;
    for (std::size_t k = 0; k < setups.size(); ++k)
        if (toQt(setups[k].id) == m_document.setupId())
            return k;
    return std::nullopt;
}

Seconds BankPlanner::costWith(std::size_t setup, int bank) const {
    auto threads = m_threads;
    threads[setup] = bank;
    return planWith(m_plan.problem, threads).cost;
}

void BankPlanner::refresh() {
    m_thorough.stop();
    m_stale = false;
    m_settled = false;
    const auto& shoot = m_document.shoot();
    const auto* camera = this->camera();
    if (!camera) {
        m_plan = {};
        m_threads.clear();
        m_now = {};
        m_findings.clear();
        m_checks.clear();
        emit changed();
        return;
    }
    auto& problem = m_plan.problem;
    const bool same = problem.work.camera == camera->id &&
                      m_plan.controls.uses.size() == camera->body.controls.size();
    problem.work = workOf(shoot, *camera);
    problem.banks = banksOf(*camera);
    if (!same) { // of another camera the hands' way is not known yet
        m_plan.needs = needsOf(shoot, problem.work);
        m_plan.controls = controlsOf(camera->body, m_plan.needs);
        m_plan.best = {};
        m_findings.clear();
        m_day.reset();
    }
    problem.access = accessOf(camera->body, m_plan.controls);
    m_threads = threadsOf(problem, shoot);
    m_now = planWith(problem, m_threads);
    readChecks();
    m_later->start();
    emit changed();
}

void BankPlanner::readChecks() {
    const auto* setup = m_document.setup();
    const auto* scene = setup ? findScene(m_document.shoot(), setup->scene) : nullptr;
    const bool fits = m_day && scene && m_day->day == scene->day;
    m_checks = setup && setup->camera == m_plan.problem.work.camera
                   ? prerollOf(m_document.shoot(), *setup, m_plan, m_now, fits ? &*m_day : nullptr)
                   : std::vector<Check>{};
}

void BankPlanner::begin() {
    const auto* shown = camera();
    if (!shown)
        return;
    m_thorough.start([this, value = m_document.value(), id = shown->id,
                      setup = fromQt(m_document.setupId())](const auto& control) {
        Settled settled;
        const auto* camera = findCamera(value->kit, id);
        if (camera) {
            settled.plan = planCamera(*value, *camera, control.keepGoing());
            settled.findings = judgeBanks(*value, *camera, settled.plan, control.keepGoing());
        }
        if (const auto day = plannedDay(*value, findSetup(*value, setup)); day && control.goesOn())
            settled.day = planDay(*value, *day, {kDayLooks, control.keepGoing()});
        return [this, settled = std::move(settled)] { take(settled); };
    });
}

void BankPlanner::take(Settled settled) {
    m_plan = std::move(settled.plan);
    m_findings = std::move(settled.findings);
    m_day = std::move(settled.day);
    m_threads = threadsOf(m_plan.problem, m_document.shoot());
    m_now = planWith(m_plan.problem, m_threads);
    m_settled = true;
    readChecks();
    emit changed();
}

void BankPlanner::settle() {
    if (m_stale)
        refresh();
    if (m_later->isActive()) {
        m_later->stop();
        begin();
    }
    m_thorough.settle();
}

} // namespace bslate::app
