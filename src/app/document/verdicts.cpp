#include "app/document/verdicts.h"

#include "app/document/shoot_document.h"
#include "core/facts/evaluate.h"
#include "core/facts/neighbours.h"

namespace bslate::app {

namespace {
constexpr int kRestMs = 25; // a hand that moves something is faster
} // namespace

Verdicts::Verdicts(ShootDocument& document)
    : m_document(document) {
    m_rest.setSingleShot(true);
    connect(&m_rest, &QTimer::timeout, this, &Verdicts::judgeMissing);
}

// Kit, brief and meter are under every setup; what was known of another ground is only shown until
// the next is judged.
void Verdicts::checkGround() {
    const auto& now = m_document.value();
    if (m_ground == now)
        return;
    const bool same = m_ground && m_ground->kit == now->kit && m_ground->brief == now->brief &&
                      m_ground->meter == now->meter && m_ground->snrFloor == now->snrFloor;
    if (!same) {
        m_evaluated.clear();
        for (auto& [id, judged] : m_judged)
            judged.current = false;
    }
    m_ground = now;
}

Verdicts::Basis Verdicts::basisOf(const Setup& setup) const {
    const auto& shoot = m_document.shoot();
    const auto* scene = findScene(shoot, setup.scene);
    Basis basis{setup, scene ? *scene : Scene{}, {}};
    if (const auto* earlier = earlierOnCamera(shoot, setup))
        basis.neighbours.push_back(*earlier);
    for (const auto* other : otherCamerasOnScene(shoot, setup))
        basis.neighbours.push_back(*other);
    for (const auto* other : cutsWith(shoot, setup))
        basis.neighbours.push_back(*other);
    return basis;
}

const Verdicts::Judged* Verdicts::upToDate(const Setup& setup) const {
    const auto found = m_judged.find(setup.id);
    return found != m_judged.end() && found->second.current && found->second.basis == basisOf(setup)
               ? &found->second
               : nullptr;
}

const std::optional<Evaluation>& Verdicts::evaluation(const Setup& setup) {
    checkGround();
    auto& cached = m_evaluated[setup.id];
    const auto* scene = findScene(m_document.shoot(), setup.scene);
    if (scene && cached.evaluation && cached.setup == setup && cached.scene == *scene)
        return cached.evaluation;
    cached.setup = setup;
    cached.scene = scene ? *scene : Scene{};
    const auto at = evaluate(m_document.shoot(), setup);
    cached.evaluation = at ? std::optional(*at) : std::nullopt;
    return cached.evaluation;
}

const Verdict& Verdicts::verdict(const Setup& setup) {
    checkGround();
    if (const auto* judged = upToDate(setup))
        return judged->verdict;
    auto& cached = m_judged[setup.id];
    cached = {basisOf(setup), judge(m_document.shoot(), setup), true};
    return cached.verdict;
}

const Verdict* Verdicts::known(const Setup& setup) const {
    const auto found = m_judged.find(setup.id);
    return found == m_judged.end() ? nullptr : &found->second.verdict;
}

void Verdicts::want(std::vector<std::string> setupIds) {
    m_judging.stop();
    m_wanted = std::move(setupIds);
    m_rest.start(kRestMs);
}

void Verdicts::settle() {
    if (m_rest.isActive())
        judgeMissing();
    m_judging.settle();
}

void Verdicts::judgeMissing() {
    m_rest.stop();
    checkGround();
    std::vector<std::string> missing;
    for (const auto& id : m_wanted)
        if (const auto* setup = findSetup(m_document.shoot(), id); setup && !upToDate(*setup))
            missing.push_back(id);
    if (missing.empty()) {
        emit judged(); // by somebody else meanwhile
        return;
    }
    const auto value = m_document.value();
    m_judging.start([this, value, missing](const BackgroundJob::Control& control) {
        auto verdicts = std::make_shared<std::vector<Verdict>>();
        for (const auto& id : missing)
            if (control.goesOn())
                verdicts->push_back(judge(*value, *findSetup(*value, id)));
        return [this, value, missing, verdicts] {
            if (m_document.value() != value)
                return;
            checkGround();
            for (std::size_t i = 0; i < verdicts->size(); ++i)
                if (const auto* setup = findSetup(*value, missing[i]))
                    m_judged[missing[i]] = {basisOf(*setup), std::move((*verdicts)[i]), true};
            emit judged();
        };
    });
}

} // namespace bslate::app
