// The checks of the Banks step: the pre-roll, or the list for a borrowed body.
#include "app/document/text.h"
#include "app/views/banks/banks_view.h"
#include "core/banks/starting_point.h"

#include <QLabel>
#include <QPushButton>

#include <algorithm>
#include <utility>

namespace bslate::app {

void BanksView::refreshChecks() {
    const auto& planner = m_actions.planner();
    const auto& document = m_actions.document();
    const auto* camera = planner.inView().camera;
    CheckListContent content;
    QString listed;
    if (m_borrowed->isChecked() && camera) {
        const auto* record = findRecord(document.shoot(), camera->id);
        content.name = tr("A known starting point");
        content.checks = startingPoint(document.shoot(), *camera);
        content.ticks = record ? record->ticks : std::vector<Tick>{};
        listed = QStringLiteral("start ") + toQt(camera->id);
    } else {
        content.name = tr("Pre-roll");
        content.checks = planner.checks();
        content.ticks = document.setup() ? document.setup()->ticks : std::vector<Tick>{};
        listed = document.setup() ? toQt(document.setup()->id) : QString();
    }
    content.empty = camera ? tr("Choose a setup of this camera: its checks stand here.")
                           : tr("No camera in the kit: there is nothing to check.");
    content.restarts = std::exchange(m_listed, listed) != listed;
    m_checks->show(std::move(content));
    m_borrowed->setEnabled(camera != nullptr);
    m_prerollHead->setText(m_borrowed->isChecked() && camera ? startHeading() : prerollHeading());
    fitLower();
}

void BanksView::tick(int check) {
    const auto& checks = m_checks->content().checks;
    if (check >= static_cast<int>(checks.size()))
        return;
    const auto own = checks[static_cast<std::size_t>(check)]; // a tick makes them anew
    if (m_borrowed->isChecked())
        m_actions.tickStart(own);
    else
        m_actions.tick(own);
}

void BanksView::beginAgain() {
    if (m_borrowed->isChecked())
        m_actions.beginStartAgain();
    else
        m_actions.beginNextTake();
}

QString BanksView::startHeading() const {
    const auto& content = m_checks->content();
    const auto done =
        std::count_if(content.checks.begin(), content.checks.end(), [&](const Check& check) {
            return stateOf(content.ticks, check) == TickState::Ticked;
        });
    return tr("%1, borrowed: a known starting point \u00b7 %2 of %3")
        .arg(toQt(m_actions.planner().inView().camera->name))
        .arg(done)
        .arg(content.checks.size());
}

QString BanksView::prerollHeading() const {
    const auto& planner = m_actions.planner();
    const auto chosen = planner.selected();
    const auto& shoot = m_actions.document().shoot();
    const auto* setup =
        chosen ? findSetup(shoot, planner.plan().problem.work.setups[*chosen].id) : nullptr;
    return setup ? tr("Pre-roll of %1 \u00b7 %2")
                       .arg(toQt(setup->number),
                            toQt(reasonOf(takeAhead(shoot, *setup), translator())))
                 : tr("Pre-roll");
}

} // namespace bslate::app
