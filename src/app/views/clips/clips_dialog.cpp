#include "app/views/clips/clips_dialog.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/open_path.h"
#include "core/clip/clip_check.h"
#include "core/clip/clip_match.h"
#include "core/clip/clip_print.h"
#include "core/facts/evaluate.h"
#include "core/words/table_text.h"
#include "core/words/wording.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QHeaderView>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QSplitter>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QString sentence(const Finding& finding) {
    const auto reason = toQt(reasonOf(finding, translator()));
    const auto title = toQt(titleOf(finding, translator()));
    return reason.isEmpty() ? title : QStringLiteral("%1\n%2").arg(title, reason);
}

QString differences(int faults, int cautions) {
    QStringList parts;
    if (faults > 0)
        parts << (faults == 1 ? ClipsDialog::tr("1 fault")
                              : ClipsDialog::tr("%1 faults").arg(faults));
    if (cautions > 0)
        parts << (cautions == 1 ? ClipsDialog::tr("1 caution")
                                : ClipsDialog::tr("%1 cautions").arg(cautions));
    return parts.isEmpty() ? ClipsDialog::tr("as planned") : parts.join(QStringLiteral(", "));
}

QString groundsText(const ClipMatch& match) {
    QStringList grounds;
    if (match.byName)
        grounds << ClipsDialog::tr("its name or number");
    if (match.byCamera)
        grounds << ClipsDialog::tr("the camera");
    if (match.format > 0)
        grounds << ClipsDialog::tr("its format, %1 of 8").arg(match.format);
    if (match.byTime)
        grounds << ClipsDialog::tr("its hour");
    return grounds.join(QStringLiteral(", "));
}

} // namespace

ClipsDialog::ClipsDialog(ShootDocument& document, const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_document(document)
    , m_style(style)
    , m_summary(new QLabel)
    , m_facts(new QLabel)
    , m_list(new QTreeWidget)
    , m_setup(new QComboBox)
    , m_day(new QComboBox)
    , m_findings(new QListWidget)
    , m_reading(io::ClipDepth::Listen) {
    setObjectName(QStringLiteral("clips-dialog"));
    setWindowTitle(tr("Clips against the plan"));
    setAttribute(Qt::WA_DeleteOnClose);
    setAcceptDrops(true);
    resize(1040, 640);
    m_ask = [this] { return askOpenPaths(this, tr("Recorded clips")); };
    build();
    fillDays();
    connect(&m_reading, &ClipReading::read, this, &ClipsDialog::takeClip);
    connect(&m_reading, &ClipReading::moved, this, &ClipsDialog::showList);
    connect(&m_looking, &ReadingQueue::moved, this, &ClipsDialog::showList);
    connect(&document, &ShootDocument::changed, this, [this] {
        fillDays();
        checkAll();
    });
    connect(&style, &Style::changed, this, &ClipsDialog::showList);
    showList();
    showChosen();
}

void ClipsDialog::build() {
    m_list->setObjectName(QStringLiteral("clips-list"));
    m_list->setAccessibleName(tr("Clips"));
    m_list->setRootIsDecorated(false);
    m_list->setHeaderLabels({tr("Clip"), tr("Setup"), tr("Differs")});
    m_list->header()->setStretchLastSection(false);
    m_list->header()->setSectionResizeMode(0, QHeaderView::Stretch);
    m_list->header()->setSectionResizeMode(2, QHeaderView::ResizeToContents);
    m_list->setIconSize({16, 16});
    m_findings->setObjectName(QStringLiteral("clips-findings"));
    m_findings->setAccessibleName(tr("What differs from the plan"));
    m_findings->setWordWrap(true);
    m_findings->setIconSize({16, 16});
    m_setup->setObjectName(QStringLiteral("clips-setup"));
    m_setup->setAccessibleName(tr("Setup the clip is of"));
    m_facts->setWordWrap(true);
    m_facts->setTextFormat(Qt::PlainText);
    m_summary->setTextFormat(Qt::PlainText);
    m_summary->setWordWrap(true);
    auto* halves = new QSplitter;
    halves->addWidget(m_list);
    halves->addWidget(buildChosen());
    halves->setSizes({460, 560});
    auto* column = new QVBoxLayout(this);
    auto* above = new QHBoxLayout;
    above->addWidget(m_summary, 1);
    m_day->setObjectName(QStringLiteral("clips-day"));
    m_day->setAccessibleName(tr("Day of the plan the clips are of"));
    m_day->setToolTip(tr("With the day, the hour a clip was recorded at tells its setup as well."));
    above->addWidget(m_day);
    column->addLayout(above);
    column->addWidget(halves, 1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    const auto button = [&](const QString& text, const char* name, auto work) {
        auto* made = buttons->addButton(text, QDialogButtonBox::ActionRole);
        made->setObjectName(QString::fromLatin1(name));
        made->setAutoDefault(false);
        connect(made, &QPushButton::clicked, this, work);
        return made;
    };
    button(tr("&Add clips\u2026"), "clips-add", [this] { addClips(m_ask()); });
    m_remove = button(tr("&Remove"), "clips-remove", [this] { removeClip(); });
    m_remove->setToolTip(tr("Delete: the clip is no longer looked at, its file stays"));
    button(tr("&Copy table"), "clips-copy",
           [this] { QApplication::clipboard()->setText(table()); });
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(m_list, &QTreeWidget::currentItemChanged, this, &ClipsDialog::showChosen);
    connect(m_setup, &QComboBox::activated, this, &ClipsDialog::setByHand);
    connect(m_day, &QComboBox::activated, this, [this] { setDay(m_day->currentData().toInt()); });
}

// What is said of the clip in view.
QWidget* ClipsDialog::buildChosen() {
    auto* right = new QWidget;
    auto* side = new QVBoxLayout(right);
    side->setContentsMargins(8, 0, 0, 0);
    auto* of = new QHBoxLayout;
    auto* label = new QLabel(tr("&Of setup"));
    label->setBuddy(m_setup);
    of->addWidget(label);
    of->addWidget(m_setup, 1);
    m_mark = new QPushButton(tr("&Mark a patch\u2026"));
    m_mark->setObjectName(QStringLiteral("clips-mark"));
    m_mark->setAutoDefault(false);
    m_mark->setToolTip(tr("where the grey card, or what had to be kept, is in the picture"));
    of->addWidget(m_mark);
    connect(m_mark, &QPushButton::clicked, this, &ClipsDialog::askMark);
    m_same = new QPushButton(tr("As on o&thers"));
    m_same->setObjectName(QStringLiteral("clips-same"));
    m_same->setAutoDefault(false);
    m_same->setToolTip(tr("the places that are marked on other clips of this setup"));
    of->addWidget(m_same);
    connect(m_same, &QPushButton::clicked, this, &ClipsDialog::markAsOnOthers);
    side->addLayout(of);
    side->addWidget(m_facts);
    side->addWidget(m_findings, 1);
    return right;
}

void ClipsDialog::addClips(const QStringList& paths) {
    m_reading.addClips(paths);
}

void ClipsDialog::settle() {
    while (m_reading.isRunning() || m_looking.isRunning()) {
        m_reading.settle();
        m_looking.settle();
    }
}

void ClipsDialog::takeClip(const QString& path, const ClipReading::Clip& clip) {
    Entry entry;
    entry.path = path;
    if (*clip)
        entry.clip = **clip;
    else
        entry.refused = messageOf(clip->error());
    m_entries.push_back(std::move(entry));
    checkAll();
}

// Parts of a take are judged together.
void ClipsDialog::checkAll() {
    std::vector<ClipFacts> clips;
    std::vector<std::string> cameras;
    for (auto& entry : m_entries) {
        if (!entry.clip)
            continue;
        match(entry);
        const auto* setup = findSetup(m_document.shoot(), fromQt(entry.setup));
        clips.push_back(*entry.clip);
        cameras.push_back(setup ? setup->camera : std::string());
    }
    const auto parts = takePartsOf(clips, cameras);
    std::size_t at = 0;
    for (auto& entry : m_entries)
        check(entry, entry.clip ? parts[at++] : TakePart{});
    for (const auto& part : checkParts(clips, cameras))
        for (auto& entry : m_entries)
            if (entry.clip && entry.clip->file == part.subject)
                entry.findings.push_back(part);
    for (auto& entry : m_entries)
        std::stable_sort(
            entry.findings.begin(), entry.findings.end(),
            [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    showList();
}

void ClipsDialog::match(Entry& entry) {
    entry.grounds.clear();
    entry.others.clear();
    if (entry.byHand)
        return;
    const auto matches = matchesOf(m_document.shoot(), *entry.clip, m_ofDay);
    entry.setup = matches.empty() ? QString() : toQt(matches.front().setup->id);
    if (!matches.empty())
        entry.grounds = groundsText(matches.front());
    entry.others = guessedAmong(matches);
}

void ClipsDialog::check(Entry& entry, const TakePart& part) {
    entry.findings.clear();
    if (!entry.clip)
        return;
    const auto& shoot = m_document.shoot();
    const auto* setup = findSetup(shoot, fromQt(entry.setup));
    if (!setup)
        return;
    const auto context = resolve(shoot, *setup);
    if (!context)
        return;
    entry.findings = checkClip(*context, *entry.clip, part);
    if (!entry.others.empty())
        entry.findings.push_back(guessedSetup(*entry.clip, *setup, entry.others));
    entry.others.clear(); // they are of the shoot as it is now
    lookAtPictures(entry, *context);
    if (entry.seen)
        entry.findings = withPictures(std::move(entry.findings),
                                      checkPictures(*context, evaluate(*context), *entry.seen));
}

QString ClipsDialog::setupName(const QString& id) const {
    const auto* setup = findSetup(m_document.shoot(), fromQt(id));
    return setup ? toQt(setup->number) : QString();
}

void ClipsDialog::showList() {
    const QSignalBlocker quiet(m_list);
    const int at = m_list->indexOfTopLevelItem(m_list->currentItem());
    m_list->clear();
    int faults = 0;
    for (const auto& entry : m_entries) {
        const int bad = countOf(entry.findings, Severity::Fault);
        const int care = countOf(entry.findings, Severity::Caution);
        faults += bad > 0 || !entry.refused.isEmpty();
        auto* item = new QTreeWidgetItem(m_list);
        const auto worst = !entry.refused.isEmpty() ? Severity::Fault
                           : entry.findings.empty() ? Severity::Note
                                                    : entry.findings.front().severity;
        item->setIcon(0, severityIcon(worst, m_style.colours()));
        item->setText(0, QFileInfo(entry.path).fileName());
        const bool guessed =
            std::any_of(entry.findings.begin(), entry.findings.end(),
                        [](const Finding& one) { return one.id == FindingId::ClipGuessed; });
        item->setText(1, entry.setup.isEmpty() ? tr("none fits")
                         : guessed             ? tr("%1?").arg(setupName(entry.setup))
                                               : setupName(entry.setup));
        item->setText(2, !entry.refused.isEmpty() ? tr("not read")
                         : entry.setup.isEmpty()  ? QString()
                                                  : differences(bad, care));
    }
    m_list->setCurrentItem(m_list->topLevelItem(std::max(0, at)));
    m_summary->setText(
        m_reading.isRunning()   ? m_reading.where()
        : m_looking.isRunning() ? tr("pictures, %1").arg(m_looking.where())
        : m_entries.empty()
            ? tr("Drop recorded clips here: each is matched to its setup, and what differs from "
                 "the plan is told. The files are only read.")
            : tr("Clips: %1. With a fault: %2.").arg(m_entries.size()).arg(faults));
    showChosen();
}

void ClipsDialog::choose(const QString& file) {
    for (auto* item : m_list->findItems(file, Qt::MatchExactly))
        m_list->setCurrentItem(item);
}

ClipsDialog::Entry* ClipsDialog::chosen() {
    const int at = m_list->indexOfTopLevelItem(m_list->currentItem());
    return at < 0 || at >= static_cast<int>(m_entries.size())
               ? nullptr
               : &m_entries[static_cast<std::size_t>(at)];
}

void ClipsDialog::showChosen() {
    const auto* entry = chosen();
    m_setup->clear();
    m_setup->addItem(tr("none"), QString());
    for (const auto& setup : m_document.shoot().setups)
        m_setup->addItem(QStringLiteral("%1  %2").arg(toQt(setup.number), toQt(setup.name)),
                         toQt(setup.id));
    m_setup->setEnabled(entry && entry->clip);
    m_mark->setEnabled(entry && entry->clip && entry->clip->picture && !entry->setup.isEmpty());
    m_same->setEnabled(m_mark->isEnabled() && !marksOfOthers(*entry).empty());
    m_remove->setEnabled(entry != nullptr);
    m_findings->clear();
    m_facts->setText({});
    if (!entry)
        return;
    m_setup->setCurrentIndex(std::max(0, m_setup->findData(entry->setup)));
    if (!entry->clip)
        return m_facts->setText(entry->refused);
    QStringList facts{toQt(print(*entry->clip))};
    if (!entry->grounds.isEmpty())
        facts << tr("taken for %1 by %2").arg(setupName(entry->setup), entry->grounds);
    for (const auto& sound : entry->clip->sound)
        facts << tr("sound: %1").arg(toQt(print(sound)));
    if (const QString places = placesOf(*entry); !places.isEmpty())
        facts << places;
    m_facts->setText(facts.join(QLatin1Char('\n')));
    for (const auto& finding : entry->findings)
        m_findings->addItem(new QListWidgetItem(severityIcon(finding.severity, m_style.colours()),
                                                sentence(finding)));
    if (entry->setup.isEmpty())
        m_findings->addItem(
            tr("No setup fits its name, camera, format or time: choose one above."));
}

void ClipsDialog::setByHand(int index) {
    if (auto* entry = chosen()) {
        entry->setup = m_setup->itemData(index).toString();
        entry->byHand = true;
        checkAll();
    }
}

QString ClipsDialog::table() const {
    const auto row = [](const QStringList& fields) {
        std::vector<std::string> texts;
        for (const auto& field : fields)
            texts.push_back(fromQt(field));
        return toQt(tableRow(texts, TableKind::Tabs));
    };
    QString text = row({tr("clip"), tr("setup"), tr("severity"), tr("what"), tr("why")});
    const auto add = [&](const Entry& entry, const QString& severity, const QString& what,
                         const QString& why) {
        text +=
            row({QFileInfo(entry.path).fileName(), setupName(entry.setup), severity, what, why});
    };
    for (const auto& entry : m_entries) {
        if (!entry.refused.isEmpty())
            add(entry, toQt(severityName(Severity::Fault)), entry.refused, {});
        for (const auto& finding : entry.findings)
            add(entry, toQt(severityName(finding.severity)), toQt(titleOf(finding, translator())),
                toQt(reasonOf(finding, translator())));
    }
    return text;
}

void ClipsDialog::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void ClipsDialog::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    addClips(droppedFiles(*event->mimeData()));
}

// The first Escape stops the reading, the next closes.
void ClipsDialog::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Delete && chosen())
        return removeClip();
    if (event->key() == Qt::Key_Escape && (m_reading.isRunning() || m_looking.isRunning())) {
        m_reading.stop();
        return m_looking.stop();
    }
    QDialog::keyPressEvent(event);
}

} // namespace bslate::app
