#include "app/widgets/footage_dialog.h"

#include "app/document/text.h"
#include "app/widgets/footage_picker.h"
#include "io/clips/clip_file.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

constexpr std::size_t kFrames = 500; // twenty seconds

struct Reading {
    Result<ClipFacts> clip{Error{}};
    Result<std::vector<io::ReadRegion>> region{Error{}};
};

} // namespace

FootageDialog::FootageDialog(const QString& clip, CodeRange range, const Words& words,
                             const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_clip(clip)
    , m_range(range)
    , m_footage(new FootagePicker(clip, words.hint, style))
    , m_found(new QLabel)
    , m_form(new QFormLayout)
    , m_take(nullptr) {
    setWindowTitle(words.title);
    setAttribute(Qt::WA_DeleteOnClose);
    resize(760, 640);
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_footage, 1);
    m_found->setObjectName(QStringLiteral("footage-found"));
    m_found->setWordWrap(true);
    m_found->setTextFormat(Qt::PlainText);
    column->addWidget(m_found);
    column->addLayout(m_form);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    m_take = buttons->addButton(words.take, QDialogButtonBox::AcceptRole);
    m_take->setObjectName(QStringLiteral("footage-take"));
    m_take->setEnabled(false);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_footage, &FootagePicker::shown, this, &FootageDialog::read);
    connect(m_footage, &FootagePicker::changed, this, &FootageDialog::read);
    connect(m_footage, &FootagePicker::failed, this,
            [this](const QString& message) { tell(message, false); });
}

void FootageDialog::tell(const QString& words, bool takeable) {
    m_found->setText(words);
    m_take->setEnabled(takeable);
}

void FootageDialog::read() {
    tell(tr("reading this place \u2026"), false);
    m_job.start([path = m_clip.toStdString(), area = m_footage->area(), range = m_range,
                 this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        io::RegionWish wish;
        wish.areas = {area};
        wish.frames = kFrames;
        wish.strips = true;
        wish.range = range;
        const auto reading = std::make_shared<Reading>();
        reading->clip = io::readClip(path, io::ClipDepth::Facts, control.keepGoing());
        reading->region = io::readRegions(path, wish, control.keepGoing());
        return [this, reading] {
            if (!reading->clip || !reading->region)
                return tell(
                    messageOf(reading->clip ? reading->region.error() : reading->clip.error()),
                    false);
            found(*reading->clip, reading->region->front());
        };
    });
}

void FootageDialog::settle() {
    m_footage->settle();
    while (m_job.isRunning())
        m_job.settle();
}

} // namespace bslate::app
