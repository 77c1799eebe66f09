// What ClipsDialog does with the pictures of clips: looked at in the background, once for each way.
#include "app/document/text.h"
#include "app/views/clips/clips_dialog.h"
#include "app/views/clips/patch_dialog.h"
#include "core/base/find_by_id.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QSignalBlocker>

#include <algorithm>

namespace bslate::app {

// Once for each way of looking: as the setup's curve spans its codes, and at these places.
void ClipsDialog::lookAtPictures(Entry& entry, const SetupContext& context) {
    if (!entry.clip->picture)
        return;
    const auto wish = pictureWish(context, entry.clip->picture->rate, entry.marks);
    if (entry.wish == wish)
        return;
    entry.wish = wish;
    m_looking.add(
        entry.path,
        [path = entry.path, wish, this](const KeepGoing& keepGoing) -> BackgroundJob::Then {
            const auto seen = std::make_shared<const Result<SeenPictures>>(
                io::readPictures(path.toStdString(), wish, keepGoing));
            return [this, seen, path, wish] {
                for (auto& one : m_entries)
                    if (one.path == path && one.wish == wish) {
                        one.seen = *seen ? std::optional(**seen) : std::nullopt;
                        one.unseen = *seen ? QString() : messageOf(seen->error());
                    }
                checkAll();
            };
        });
}

void ClipsDialog::mark(const QString& patch, const PictureArea& area) {
    auto* entry = chosen();
    if (!entry)
        return;
    std::erase_if(entry->marks, [&](const PatchArea& one) { return one.patch == fromQt(patch); });
    entry->marks.push_back({fromQt(patch), area});
    checkAll();
}

std::vector<PatchArea> ClipsDialog::marksOfOthers(const Entry& entry) const {
    std::vector<PatchArea> marks;
    const auto has = [](const std::vector<PatchArea>& some, const std::string& patch) {
        return std::any_of(some.begin(), some.end(),
                           [&](const PatchArea& one) { return one.patch == patch; });
    };
    for (const auto& other : m_entries)
        if (&other != &entry && other.setup == entry.setup)
            for (const auto& mark : other.marks)
                if (!has(entry.marks, mark.patch) && !has(marks, mark.patch))
                    marks.push_back(mark);
    return marks;
}

void ClipsDialog::markAsOnOthers() {
    auto* entry = chosen();
    if (!entry)
        return;
    const auto marks = marksOfOthers(*entry);
    entry->marks.insert(entry->marks.end(), marks.begin(), marks.end());
    checkAll();
}

void ClipsDialog::removeClip() {
    const auto* entry = chosen();
    if (!entry)
        return;
    m_entries.erase(m_entries.begin() + (entry - m_entries.data()));
    checkAll();
}

// Shown where there is a choice: of one day everything is of that one.
void ClipsDialog::fillDays() {
    const QSignalBlocker quiet(m_day);
    m_day->clear();
    m_day->addItem(tr("day not told"), 0);
    for (const auto& day : m_document.shoot().plan)
        m_day->addItem(tr("of day %1").arg(day.number), day.number);
    const int at = m_ofDay ? m_day->findData(*m_ofDay) : 0;
    m_day->setCurrentIndex(std::max(0, at));
    if (at < 0)
        m_ofDay.reset();
    m_day->setVisible(m_document.shoot().plan.size() > 1);
}

void ClipsDialog::setDay(int number) {
    m_ofDay = number > 0 ? std::optional(number) : std::nullopt;
    fillDays();
    checkAll();
}

PatchDialog* ClipsDialog::askMark() {
    const auto* entry = chosen();
    const auto* setup = entry ? findSetup(m_document.shoot(), fromQt(entry->setup)) : nullptr;
    const auto* scene = setup ? findScene(m_document.shoot(), setup->scene) : nullptr;
    if (!scene || scene->patches.empty())
        return nullptr;
    auto* dialog = new PatchDialog(entry->path, *scene, m_style, this);
    connect(dialog, &QDialog::accepted, this,
            [this, dialog] { mark(dialog->patch(), dialog->area()); });
    dialog->open();
    return dialog;
}

// What was measured at the places that are marked.
QString ClipsDialog::placesOf(const Entry& entry) const {
    const auto& shoot = m_document.shoot();
    const auto* setup = findSetup(shoot, fromQt(entry.setup));
    const auto context = setup ? resolve(shoot, *setup) : Result<SetupContext>(Error{});
    if (!entry.unseen.isEmpty())
        return tr("pictures: %1").arg(entry.unseen);
    if (!context || !entry.seen)
        return !entry.wish ? QString() : tr("pictures: not looked at yet");
    QStringList places;
    for (const auto& patch : entry.seen->patches) {
        const auto* own = findById(context->scene->patches, patch.patch);
        if (const auto off = offPlan(*context, evaluate(*context), patch); off && own)
            places << tr("%1 %2 stop from the plan").arg(toQt(own->name), toQt(print(*off)));
    }
    return tr("pictures: looked at %1; %2")
        .arg(entry.seen->looked)
        .arg(places.isEmpty() ? tr("no patch is marked") : places.join(QStringLiteral(", ")));
}

} // namespace bslate::app
