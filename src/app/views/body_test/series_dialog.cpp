#include "app/views/body_test/series_dialog.h"

#include "app/document/counting_order.h"
#include "app/document/text.h"
#include "app/views/body_test/series_trace.h"
#include "app/widgets/footage_picker.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/print.h"
#include "io/clips/exposures.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QPushButton>
#include <QRegularExpression>
#include <QSpinBox>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kApart[] = {1, 0.5, 1.0 / 3};
constexpr int kByCard = 0, kTyped = 4;

// Stops with spaces or semicolons between: one is a distance, more are those of each exposure.
std::vector<Stops> typedStops(const QString& text) {
    static const QRegularExpression between(QStringLiteral("[\\s;]+"));
    std::vector<Stops> stops;
    for (const auto& word : text.split(between, Qt::SkipEmptyParts)) {
        bool read = false;
        const double value =
            QString(word).replace(QLatin1Char(','), QLatin1Char('.')).toDouble(&read);
        if (!read || std::abs(value) > 40)
            return {};
        stops.emplace_back(value);
    }
    return stops;
}

QuantityEdit* stopsField(const char* name, const QString& spoken, std::size_t most) {
    return quantityField(name, spoken, [most](const QString& text) -> std::optional<QString> {
        const auto stops = typedStops(text);
        const bool none = text.trimmed().isEmpty();
        if (none || (!stops.empty() && stops.size() <= most))
            return std::nullopt;
        return most == 1
                   ? SeriesDialog::tr("stops from mid-grey as metered, such as -1.5, or nothing")
                   : SeriesDialog::tr("a distance such as 0.7, or the stops of each: -4 -3 -1 0 2");
    });
}

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
    , m_steps(new QComboBox)
    , m_typed(stopsField("series-typed", tr("Steps of the exposures"), kMostReadings))
    , m_known(stopsField("series-known", tr("What that exposure was"), 1))
    , m_which(new QSpinBox) {
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
    column->addLayout(buildSteps());
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

// How the exposures are apart, and what one of them was.
QLayout* SeriesDialog::buildSteps() {
    auto* row = new QHBoxLayout;
    auto* label = new QLabel(tr("&Exposures are"));
    label->setBuddy(m_steps);
    m_steps->setObjectName(QStringLiteral("series-steps"));
    m_steps->setAccessibleName(tr("How far exposures are apart"));
    m_steps->addItem(tr("as on the series card"));
    m_steps->addItem(tr("a stop apart"));
    m_steps->addItem(tr("half a stop apart"));
    m_steps->addItem(tr("a third of a stop apart"));
    m_steps->addItem(tr("typed:"));
    m_steps->setCurrentIndex(1);
    row->addWidget(label);
    row->addWidget(m_steps);
    m_typed->setPlaceholderText(tr("0.7, or -4 -3 -1 0 2"));
    m_typed->setEnabled(false);
    row->addWidget(m_typed, 1);
    auto* known = new QLabel(tr("exposure &number"));
    known->setBuddy(m_which);
    m_which->setObjectName(QStringLiteral("series-which"));
    m_which->setAccessibleName(tr("Exposure of which something is known"));
    m_which->setMinimum(1);
    auto* was = new QLabel(tr("&was"));
    was->setBuddy(m_known);
    m_known->setPlaceholderText(tr("not known"));
    m_known->setToolTip(
        tr("stops from mid-grey by the light meter; without it the test is relative "
           "and keeps the nominal place"));
    m_known->setMaximumWidth(90);
    for (QWidget* one : std::initializer_list<QWidget*>{known, m_which, was, m_known})
        row->addWidget(one);
    connect(m_typed, &QuantityEdit::entered, this, &SeriesDialog::makeReadings);
    connect(m_known, &QuantityEdit::entered, this, &SeriesDialog::makeReadings);
    connect(m_which, &QSpinBox::valueChanged, this, &SeriesDialog::makeReadings);
    for (auto* edit : {m_typed, m_known})
        connect(edit, &QuantityEdit::refused, m_found, &QLabel::setText);
    return row;
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
            if (!m_plateaus.empty()) {
                const QSignalBlocker quiet(m_which);
                m_which->setMaximum(static_cast<int>(m_plateaus.size()));
                m_which->setValue(static_cast<int>(nearestGrey()) + 1);
            }
            if (m_plateaus.size() == m_planned.size() && !m_planned.empty())
                m_steps->setCurrentIndex(0);
            makeReadings();
        };
    });
}

std::size_t SeriesDialog::nearestGrey() const {
    const double grey = encode(m_curve, linearAt(Stops(0))).value();
    const auto off = [&](const Plateau& one) { return std::abs(one.luma.value() - grey); };
    return static_cast<std::size_t>(
        std::min_element(m_plateaus.begin(), m_plateaus.end(),
                         [&](const Plateau& a, const Plateau& b) { return off(a) < off(b); }) -
        m_plateaus.begin());
}

std::optional<Stops> SeriesDialog::given() const {
    const auto stops = typedStops(m_known->text());
    return stops.size() == 1 ? std::optional(stops.front()) : std::nullopt;
}

// What each exposure was is told by the card, and by a list; by a distance only where one of them
// is known.
bool SeriesDialog::isRelative() const {
    const int how = m_steps->currentIndex();
    return how != kByCard && !(how == kTyped && typedStops(m_typed->text()).size() > 1) && !given();
}

// Rising or falling as the card does, from the exposure that is known; where none is, the one
// nearest to the curve's mid-grey is 0.
std::vector<Stops> SeriesDialog::stopsOf(std::size_t count) const {
    const int how = m_steps->currentIndex();
    auto typed = typedStops(m_typed->text());
    if (how == kByCard)
        return m_planned;
    if (how == kTyped && typed.size() != 1)
        return typed;
    const double apart = how == kTyped ? std::abs(typed.front().value()) : kApart[how - 1];
    const auto zero = given() ? static_cast<std::size_t>(m_which->value() - 1) : nearestGrey();
    const double sign = m_plateaus.front().luma <= m_plateaus.back().luma ? 1 : -1;
    std::vector<Stops> stops;
    stops.reserve(count);
    for (std::size_t i = 0; i < count; ++i)
        stops.push_back(given().value_or(Stops(0)) +
                        Stops(sign * apart * (static_cast<double>(i) - static_cast<double>(zero))));
    return stops;
}

void SeriesDialog::makeReadings() {
    m_readings.clear();
    const auto count = m_plateaus.size();
    m_typed->setEnabled(m_steps->currentIndex() == kTyped);
    QString words = tr("Exposures held: %1.").arg(count);
    if (count > 0) {
        const auto readings = readingsOf(m_plateaus, stopsOf(count));
        if (readings) {
            m_readings = *readings;
            words += QLatin1Char(' ') + tr("From %1 to %2 stops.")
                                            .arg(toQt(print(m_readings.front().stops)),
                                                 toQt(print(m_readings.back().stops)));
            if (isRelative())
                words += QLatin1Char(' ') +
                         tr("Relative only: say what one of them was, and how bright the body is "
                            "beside the nominal curve is found too.");
        } else {
            words += QLatin1Char(' ') +
                     tr("Steps that were told: %1. Choose how far they are apart, or add what is "
                        "missing.")
                         .arg(stopsOf(count).size());
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
