#include "app/views/body_test/series_dialog.h"

#include "app/document/counting_order.h"
#include "app/document/text.h"
#include "app/views/body_test/series_trace.h"
#include "app/widgets/footage_picker.h"
#include "core/quantity/print.h"
#include "io/clips/exposures.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kApart[] = {1, 0.5, 1.0 / 3};

} // namespace

SeriesDialog::SeriesDialog(const QStringList& clips, const Curve& curve, std::vector<Stops> planned,
                           const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_clips(clips)
    , m_curve(curve)
    , m_planned(std::move(planned))
    , m_found(new QLabel)
    , m_footage(nullptr)
    , m_trace(new SeriesTrace(style))
    , m_steps(new QComboBox) {
    setObjectName(QStringLiteral("series-dialog"));
    setWindowTitle(tr("Body test from footage"));
    resize(760, 680);
    std::sort(m_clips.begin(), m_clips.end(), countsBefore);
    // Of the clip in the middle, which is neither black nor white.
    m_footage =
        new FootagePicker(m_clips.value(m_clips.size() / 2), tr("Mark the grey card"), style);
    build();
}

void SeriesDialog::build() {
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_footage, 3);
    column->addWidget(m_trace, 1);
    m_found->setObjectName(QStringLiteral("series-found"));
    m_found->setWordWrap(true);
    m_found->setTextFormat(Qt::PlainText);
    column->addWidget(m_found);
    auto* row = new QHBoxLayout;
    auto* label = new QLabel(tr("&Exposures are"));
    label->setBuddy(m_steps);
    m_steps->setObjectName(QStringLiteral("series-steps"));
    m_steps->setAccessibleName(tr("How far exposures are apart"));
    m_steps->addItem(tr("as on the series card"));
    m_steps->addItem(tr("a stop apart"));
    m_steps->addItem(tr("half a stop apart"));
    m_steps->addItem(tr("a third of a stop apart"));
    m_steps->setCurrentIndex(1);
    row->addWidget(label);
    row->addWidget(m_steps);
    row->addStretch(1);
    column->addLayout(row);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    m_take = buttons->addButton(tr("Take the readings"), QDialogButtonBox::AcceptRole);
    m_take->setObjectName(QStringLiteral("series-take"));
    m_take->setEnabled(false);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_footage, &FootagePicker::shown, this, &SeriesDialog::readCard);
    connect(m_footage, &FootagePicker::changed, this, &SeriesDialog::readCard);
    connect(m_footage, &FootagePicker::failed, m_found, &QLabel::setText);
    connect(m_steps, &QComboBox::currentIndexChanged, this, &SeriesDialog::makeReadings);
}

void SeriesDialog::readCard() {
    m_found->setText(
        tr("reading the card in %1 \u2026")
            .arg(m_clips.size() == 1 ? tr("the clip") : tr("%1 files").arg(m_clips.size())));
    m_take->setEnabled(false);
    std::vector<std::filesystem::path> files;
    for (const auto& clip : m_clips)
        files.emplace_back(clip.toStdString());
    m_job.start([files, card = m_footage->area(), range = m_curve.range,
                 this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        const auto all = std::make_shared<const Result<io::ReadExposures>>(
            io::readExposures(files, card, range, control.keepGoing()));
        return [this, all] {
            if (!*all)
                return m_found->setText(messageOf(all->error()));
            m_plateaus = (*all)->plateaus;
            m_trace->show((*all)->frames, (*all)->plateaus);
            if (m_plateaus.size() == m_planned.size() && !m_planned.empty())
                m_steps->setCurrentIndex(0);
            makeReadings();
        };
    });
}

// Rising or falling as the card does; the exposure nearest to the curve's mid-grey is 0, and what
// the body differs from the curve by is found by the fit.
std::vector<Stops> SeriesDialog::stopsOf(std::size_t count) const {
    if (m_steps->currentIndex() == 0)
        return m_planned;
    const double apart = kApart[m_steps->currentIndex() - 1];
    const double grey = encode(m_curve, linearAt(Stops(0))).value();
    std::size_t zero = 0;
    for (std::size_t i = 0; i < count; ++i)
        if (std::abs(m_plateaus[i].luma.value() - grey) <
            std::abs(m_plateaus[zero].luma.value() - grey))
            zero = i;
    const double sign = m_plateaus.front().luma <= m_plateaus.back().luma ? 1 : -1;
    std::vector<Stops> stops;
    for (std::size_t i = 0; i < count; ++i)
        stops.emplace_back(sign * apart * (static_cast<double>(i) - static_cast<double>(zero)));
    return stops;
}

void SeriesDialog::makeReadings() {
    m_readings.clear();
    const auto count = m_plateaus.size();
    QString words = tr("Exposures held: %1.").arg(count);
    if (count > 0) {
        const auto readings = readingsOf(m_plateaus, stopsOf(count));
        if (readings) {
            m_readings = *readings;
            words += QLatin1Char(' ') + tr("From %1 to %2 stops.")
                                            .arg(toQt(print(m_readings.front().stops)),
                                                 toQt(print(m_readings.back().stops)));
        } else {
            words +=
                QLatin1Char(' ') +
                tr("The series card has %1 steps: choose how far they are apart, or add what is "
                   "missing.")
                    .arg(m_planned.size());
        }
    } else {
        words =
            tr("No exposure is held for three frames here: mark the card, or choose other clips.");
    }
    if (const auto gaps = gapsBetween(m_plateaus); gaps > 0 && m_clips.size() == 1)
        words +=
            QLatin1Char(' ') +
            tr("Places where an exposure may have been missed: %1. The card may have moved out "
               "of its frame there.")
                .arg(gaps);
    m_found->setText(words);
    m_take->setEnabled(m_readings.size() >= kLeastReadings);
}

AreaPicker& SeriesDialog::picker() {
    return m_footage->picker();
}

void SeriesDialog::settle() {
    m_footage->settle();
    while (m_job.isRunning())
        m_job.settle();
}

} // namespace bslate::app
