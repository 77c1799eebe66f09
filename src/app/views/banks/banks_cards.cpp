// What the Banks step shows elsewhere: its cards, and the record in its sheet and in files.
#include "app/views/banks/banks_view.h"

#include "app/document/text.h"
#include "app/views/banks/record_sheet.h"
#include "app/widgets/open_path.h"
#include "app/widgets/save_path.h"
#include "core/words/bank_cards.h"

namespace bslate::app {

// What is in view, worked out to its end; none without a camera.
const BanksInView* BanksView::settled() const {
    m_actions.planner().settle();
    const auto& view = m_actions.planner().inView();
    return view.camera ? &view : nullptr;
}

std::optional<Card> BanksView::bankCard() const {
    const auto* view = settled();
    return view ? std::optional(bankCardOf(*view->shoot, *view->camera, view->plan, translator()))
                : std::nullopt;
}

std::optional<Card> BanksView::controlCard() const {
    const auto* view = settled();
    return view
               ? std::optional(controlCardOf(*view->shoot, *view->camera, view->plan, translator()))
               : std::nullopt;
}

std::optional<Card> BanksView::prerollCard() const {
    m_actions.planner().settle();
    const auto* setup = m_actions.document().setup();
    if (!setup || m_actions.planner().checks().empty())
        return std::nullopt;
    return prerollCardOf(m_actions.document().shoot(), *setup, m_actions.planner().checks(),
                         translator());
}

std::optional<Card> BanksView::recordCard() const {
    const auto* view = settled();
    return view ? std::optional(recordCardOf(*view->shoot, *view->camera, view->plan, translator()))
                : std::nullopt;
}

std::optional<Card> BanksView::startingCard() const {
    const auto* camera = m_actions.planner().camera();
    if (!camera)
        return std::nullopt;
    return startingCardOf(m_actions.document().shoot(), *camera, translator());
}

void BanksView::editRecord() {
    const auto* camera = m_actions.planner().camera();
    if (!camera)
        return emit refused(tr("The kit has no camera: there is nothing to note."));
    const auto* record = findRecord(m_actions.document().shoot(), camera->id);
    std::vector<RecordSheet::Part> parts;
    parts.push_back({tr("everything outside of the banks"),
                     {},
                     record ? toQt(spell(record->settings)) : QString(),
                     m_actions.plannedSettings()});
    const auto& banks = m_actions.planner().plan().problem.banks;
    for (std::size_t b = 0; b < banks.size(); ++b) {
        const auto* written = record ? findWritten(*record, banks[b].label) : nullptr;
        parts.push_back({tr("bank %1, as it was found").arg(toQt(banks[b].label)),
                         toQt(banks[b].label), written ? toQt(spell(written->values)) : QString(),
                         m_actions.plannedBank(b)});
    }
    RecordSheet sheet(toQt(camera->name), std::move(parts), this);
    if (sheet.exec() != QDialog::Accepted)
        return;
    for (const auto& part : sheet.changed())
        if (part.label.isEmpty())
            m_actions.noteSettings(part.lines);
        else
            m_actions.noteHeld(part.label, part.lines);
}

void BanksView::askReadRecord() {
    const QString path =
        askOpenPath(this, tr("Read the record of a camera"), tr("Record (*.csv *.json)"));
    if (!path.isEmpty())
        m_actions.readRecord(path);
}

void BanksView::askWriteRecord() {
    const auto* camera = m_actions.planner().camera();
    if (!camera || !findRecord(m_actions.document().shoot(), camera->id))
        return m_actions.writeRecord({}); // which says why there is none
    const QString path = askSavePath(this, {tr("Write the record of a camera"),
                                            QStringLiteral("%1.csv").arg(toQt(camera->name)),
                                            tr("Record (*.csv *.json)"), QStringLiteral("csv")});
    if (!path.isEmpty())
        m_actions.writeRecord(path);
}

} // namespace bslate::app
