#include "app/document/bank_actions.h"

#include "app/document/actions.h"
#include "app/document/text.h"
#include "core/banks/bank_record.h"
#include "core/shoot/acceptances.h"
#include "core/words/body_words.h"
#include "io/json/record_json.h"
#include "io/system/files.h"
#include "io/text/record_csv.h"

#include <QDateTime>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kUnnoticedWaitMs = 90; // waited for what was asked for, unnoticed

} // namespace

BankActions::BankActions(ShootDocument& document, BankPlanner& planner, QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_planner(planner)
    , m_clock([] {
        return QDateTime::currentDateTime().toString(QStringLiteral("yyyy-MM-dd HH:mm"));
    }) {
    connect(&document, &ShootDocument::changed, this, [this] { m_bestWanted = false; });
    connect(&planner, &BankPlanner::changed, this, [this] {
        if (m_bestWanted && m_planner.isSettled())
            putBest();
    });
}

const Camera* BankActions::cameraOrTell() {
    const auto* camera = m_planner.camera();
    if (!camera)
        emit refused(tr("The kit has no camera: open a kit file first (Shoot, Use kit file)."));
    return camera;
}

void BankActions::putThreads(const QString& name, const Threads& threads) {
    Edit edit;
    edit.setups = rethreaded(m_planner.plan().problem, m_document.shoot(), threads);
    m_document.edit(name, applied(m_document.shoot(), edit));
}

bool BankActions::isReady() {
    if (m_planner.catchUp(kUnnoticedWaitMs))
        return true;
    emit refused(tr("The banks are being worked out: once more in a moment."));
    return false;
}

// The one setup alone, so that it need not wait for the plan of all.
void BankActions::put(int bank) {
    const auto* camera = m_planner.camera();
    const auto* setup = m_document.setup();
    if (!setup || !camera || setup->camera != camera->id) {
        emit refused(tr("Choose a setup of this camera first."));
        return;
    }
    const auto banks = banksOf(*camera);
    if (bank >= static_cast<int>(banks.size()))
        return;
    const Bank* own = bank < 0 ? nullptr : &banks[static_cast<std::size_t>(bank)];
    if (own && own->locked) {
        emit refused(tr("Bank %1 is locked: it is somebody else's.").arg(toQt(own->label)));
        return;
    }
    Edit edit;
    edit.setup = *setup;
    edit.setup->bank = bank + 1;
    const QString number = toQt(setup->number);
    m_document.edit(own ? tr("%1 to bank %2").arg(number, toQt(own->label))
                        : tr("No bank for %1").arg(number),
                    applied(m_document.shoot(), edit));
}

void BankActions::putNamed(const QString& label) {
    const QString wanted = label.trimmed();
    if (wanted.isEmpty())
        return put(-1);
    QStringList labels;
    const auto* camera = m_planner.camera();
    const auto banks = camera ? banksOf(*camera) : std::vector<Bank>{};
    for (std::size_t b = 0; b < banks.size(); ++b) {
        if (toQt(banks[b].label).compare(wanted, Qt::CaseInsensitive) == 0)
            return put(static_cast<int>(b));
        labels << toQt(banks[b].label);
    }
    emit refused(labels.isEmpty()
                     ? tr("This camera has no banks: everything is set by hand.")
                     : tr("No bank %1: there are %2.").arg(wanted, labels.join(tr(", "))));
}

void BankActions::putBest() {
    if (!cameraOrTell())
        return;
    m_bestWanted = !m_planner.settleWithin(kUnnoticedWaitMs);
    if (m_bestWanted) {
        emit told(tr("The best banks are being searched, and put there once they are found."));
        return;
    }
    const auto& best = m_planner.plan().best;
    if (best.threads.empty())
        return;
    if (best.plan.cost >= m_planner.now().cost) {
        emit told(tr("No threads cost less than these."));
        return;
    }
    putThreads(tr("Best banks"), best.threads);
}

void BankActions::putSchool(BankSchool school) {
    if (isReady())
        putThreads(toQt(nameOf(school, translator())), threadsOf(m_planner.plan().problem, school));
}

template<class Change>
bool BankActions::changeRecord(const QString& name, Change change) {
    const auto* camera = cameraOrTell();
    if (!camera)
        return false;
    Shoot after = m_document.shoot();
    auto known = std::find_if(after.records.begin(), after.records.end(),
                              [&](const CameraRecord& record) { return record.id == camera->id; });
    if (known == after.records.end()) {
        after.records.emplace_back();
        known = after.records.end() - 1;
        known->id = camera->id;
    }
    change(*known);
    return m_document.edit(name, std::move(after));
}

void BankActions::noteWritten(int bank) {
    if (!isReady())
        return;
    const auto at = static_cast<std::size_t>(bank);
    const auto& plan = m_planner.now();
    if (bank < 0 || at >= plan.writtenAs.size() || !plan.writtenAs[at]) {
        emit refused(tr("No setup recalls this bank: there is nothing to write into it."));
        return;
    }
    const auto& problem = m_planner.plan().problem;
    const QString label = toQt(problem.banks[at].label);
    changeRecord(tr("Bank %1 written").arg(label), [&](CameraRecord& record) {
        record = withWritten(record, problem, plan, at, fromQt(m_clock()));
    });
}

bool BankActions::noteSettings(const QString& lines) {
    auto parsed = parseRecordLines(fromQt(lines));
    if (!parsed) {
        emit refused(messageOf(parsed.error()));
        return false;
    }
    return changeRecord(tr("Settings noted"), [&](CameraRecord& record) {
        record.settings = *parsed;
        record.when = fromQt(m_clock());
    });
}

bool BankActions::noteHeld(const QString& label, const QString& lines) {
    auto parsed = parseRecordLines(fromQt(lines));
    if (!parsed) {
        emit refused(messageOf(parsed.error()));
        return false;
    }
    return changeRecord(tr("Bank %1 noted").arg(label), [&](CameraRecord& record) {
        record = withHeld(record, fromQt(label), *parsed, fromQt(m_clock()));
    });
}

QString BankActions::plannedBank(std::size_t bank) const {
    const auto& now = m_planner.now();
    const bool recalled = bank < now.writtenAs.size() && now.writtenAs[bank];
    return recalled ? toQt(spell(bankLines(m_planner.plan().problem, bank, *now.writtenAs[bank])))
                    : QString();
}

QString BankActions::plannedSettings() const {
    const auto* camera = m_planner.camera();
    return camera ? toQt(spell(settingLines(*camera, m_planner.plan().controls))) : QString();
}

void BankActions::tick(const Check& check) {
    const auto* setup = m_document.setup();
    if (!setup)
        return;
    Edit edit;
    edit.setup = *setup;
    edit.setup->ticks = ticked(setup->ticks, check, fromQt(m_clock()));
    m_document.edit(tr("Tick"), applied(m_document.shoot(), edit));
}

void BankActions::tickStart(const Check& check) {
    changeRecord(tr("Tick"), [&](CameraRecord& record) {
        record.ticks = ticked(std::move(record.ticks), check, fromQt(m_clock()));
    });
}

void BankActions::beginStartAgain() {
    const auto* camera = m_planner.camera();
    const auto* record = camera ? findRecord(m_document.shoot(), camera->id) : nullptr;
    if (!record || record->ticks.empty())
        return emit told(tr("Nothing of the starting point is ticked."));
    changeRecord(tr("Begin the starting point again"),
                 [](CameraRecord& own) { own.ticks.clear(); });
}

void BankActions::beginNextTake() {
    const auto* setup = m_document.setup();
    if (!setup)
        return emit refused(tr("Choose a setup of this camera first."));
    Edit edit;
    edit.setup = forNextTake(*setup);
    if (*edit.setup == *setup)
        return emit told(tr("Nothing is ticked that was for one take."));
    m_document.edit(tr("Next take"), applied(m_document.shoot(), edit));
}

void BankActions::choose(std::size_t control, std::optional<Function> function) {
    const auto* camera = cameraOrTell();
    if (!camera || !isReady())
        return;
    Edit edit;
    edit.kit = m_document.shoot().kit;
    for (auto& own : edit.kit->cameras)
        if (own.id == camera->id)
            own.body =
                withChosen(std::move(own.body), m_planner.plan().controls, control, function);
    m_document.edit(tr("Choose what a control does"), applied(m_document.shoot(), edit));
}

void BankActions::readRecord(const QString& path) {
    const auto* camera = cameraOrTell();
    if (!camera)
        return;
    const auto text = io::readFile(fromQt(path));
    auto record = text ? io::readAnyRecord(*text, fromQt(path), camera->id)
                       : Result<CameraRecord>(text.error());
    if (!record) {
        emit refused(messageOf(record.error()));
        return;
    }
    if (changeRecord(tr("Read record"), [&](CameraRecord& known) { known = *record; }))
        emit told(tr("Record read from %1").arg(path));
}

void BankActions::writeRecord(const QString& path) {
    const auto* camera = cameraOrTell();
    const auto* record = camera ? findRecord(m_document.shoot(), camera->id) : nullptr;
    if (!record) {
        emit refused(tr("Nothing is on record of this camera yet: W notes a written bank."));
        return;
    }
    const auto text = path.endsWith(QStringLiteral(".json"), Qt::CaseInsensitive)
                          ? io::writeRecord(*record)
                          : io::writeRecordCsv(*record);
    const auto done = io::writeFileAtomically(fromQt(path), text);
    if (done)
        emit told(tr("Record written to %1").arg(path));
    else
        emit refused(messageOf(done.error()));
}

void BankActions::apply(const QString& name, const Edit& edit) {
    m_document.edit(name, applied(m_document.shoot(), stamped(edit, fromQt(m_clock()))));
}

void BankActions::accept(const QStringList& findings, const QString& reason) {
    if (reason.trimmed().isEmpty()) {
        emit refused(needsReason());
        return;
    }
    changeRecord(tr("Accept"), [&](CameraRecord& record) {
        for (const auto& key : findings)
            (void)bslate::accept(record.accepted, fromQt(key), fromQt(reason));
    });
}

void BankActions::withdraw(const QStringList& findings) {
    changeRecord(tr("Take acceptance back"), [&](CameraRecord& record) {
        for (const auto& key : findings)
            bslate::withdraw(record.accepted, fromQt(key));
    });
}

} // namespace bslate::app
