#include "app/views/white/chart_dialog.h"

#include "app/document/text.h"
#include "app/widgets/area_picker.h"
#include "app/widgets/footage_picker.h"
#include "core/facts/evaluate.h"
#include "core/kit/sensor_line.h"
#include "core/light/light_colour.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "io/charts/chart_file.h"
#include "io/charts/chart_picture.h"
#include "io/system/files.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QSpinBox>

#include <algorithm>

namespace bslate::app {
namespace {

// From here on a patch is not what the chart says it is; half of that is what a matrix leaves
// (common practice, no source).
constexpr double kFarPatch = 10;

Result<ColourChart> chartIn(const QString& path) {
    const auto text = io::readFile(fromQt(path));
    return text ? io::readChart(*text, fromQt(path)) : Result<ColourChart>(text.error());
}

const Profile* profileOf(const Shoot& shoot, const QString& id) {
    const auto* setup = findSetup(shoot, fromQt(id));
    return setup ? findProfile(shoot.kit, setup->profile) : nullptr;
}

ColourPoint keyOf(const Shoot& shoot, const QString& id) {
    const auto* setup = findSetup(shoot, fromQt(id));
    const auto context = setup ? resolve(shoot, *setup) : Result<SetupContext>(Error{});
    if (!context)
        return {};
    const auto white = evaluate(*context).white;
    return white.key.value_or(white.point);
}

} // namespace

struct ChartDialog::Seen {
    Result<io::ReadChart> chart{Error{}};
    std::vector<PictureArea> places;
};

ChartDialog::ChartDialog(const QString& picture, const QString& chart,
                         const ShootDocument::Value& shoot, const QString& setup,
                         const Style& style, QWidget* parent)
    : FootageDialog(picture, CodeRange::Full,
                    {tr("Sensor from a chart"),
                     tr("Mark the chart from edge to edge of its patches"), tr("Take the sensor")},
                    style, parent)
    , m_picture(picture)
    , m_light(keyOf(*shoot, setup))
    , m_columns(new QSpinBox)
    , m_lit(new QLineEdit)
    , m_channels(new QComboBox) {
    setObjectName(QStringLiteral("chart-dialog"));
    const auto known = chartIn(chart);
    if (known)
        m_chart = *known;
    else
        m_problem = messageOf(known.error());
    if (const auto* profile = profileOf(*shoot, setup))
        m_curve = profile->curve;
    footage().picker().mark({0.1, 0.1, 0.8, 0.8}); // most charts fill the picture
    m_columns->setObjectName(QStringLiteral("chart-columns"));
    m_columns->setRange(1, static_cast<int>(io::kMostPatches));
    m_columns->setValue(m_chart.columns);
    m_lit->setObjectName(QStringLiteral("chart-light"));
    m_lit->setText(toQt(spell(LightColour{m_light.cct, m_light.duv})));
    m_channels->setObjectName(QStringLiteral("chart-channels"));
    m_channels->addItems({tr("of the profile: the camera turned its colours already"),
                          tr("the sensor's own, no more than brought to white")});
    form().addRow(tr("Patches &across"), m_columns);
    form().addRow(tr("&Light on it"), m_lit);
    form().addRow(tr("&Channels"), m_channels);
    connect(m_columns, &QSpinBox::valueChanged, this, &ChartDialog::read);
    connect(m_lit, &QLineEdit::editingFinished, this, &ChartDialog::read);
    connect(m_channels, &QComboBox::currentIndexChanged, this, &ChartDialog::read);
}

bool ChartDialog::channelsAreOwn() const {
    return m_channels->currentIndex() == 1;
}

void ChartDialog::read() {
    m_fit.reset();
    if (!m_problem.isEmpty())
        return tell(m_problem, false);
    const auto light = parseLightColour(fromQt(m_lit->text().trimmed()));
    if (!light)
        return tell(messageOf(light.error()), false);
    m_light = pointOf(*light);
    const int count = static_cast<int>(m_chart.patches.size());
    const int columns = m_columns->value();
    if (count % columns != 0)
        return tell(
            tr("The chart has %1 patches: they make no rows of %2.").arg(count).arg(columns),
            false);
    m_chart.columns = columns;
    m_chart.rows = count / columns;
    tell(tr("reading the chart \u2026"), false);
    const auto seen = std::make_shared<Seen>();
    seen->places = io::chartPlaces(footage().area(), m_chart.columns, m_chart.rows);
    job().start([seen, path = m_picture.toStdString(), curve = m_curve,
                 this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        seen->chart =
            io::readChartPicture(path, seen->places, curve, curve.range, control.keepGoing());
        return [this, seen] { fit(*seen); };
    });
}

void ChartDialog::found(const ClipFacts&, const io::ReadRegion&) {}

void ChartDialog::fit(const Seen& seen) {
    std::vector<MarkedPlace> marks;
    for (const auto& place : seen.places)
        marks.push_back({place, {}, Severity::Note});
    const auto done = [&](const QString& words, bool takeable) {
        footage().picker().showPlaces(marks);
        tell(words, takeable);
    };
    if (!seen.chart)
        return done(messageOf(seen.chart.error()), false);
    m_ofSensor = seen.chart->ofSensor;
    const auto fit = fitSensor(m_chart, seen.chart->places, m_light);
    if (!fit)
        return done(tr("This does not fit: %1; expected: %2.")
                        .arg(toQt(fit.error().got), toQt(fit.error().expected)),
                    false);
    for (std::size_t i = 0; i < marks.size(); ++i) {
        const auto& patch = fit->patches[i];
        marks[i].severity = patch.left                         ? Severity::Note
                            : patch.difference > kFarPatch     ? Severity::Fault
                            : patch.difference > kFarPatch / 2 ? Severity::Caution
                                                               : Severity::Good;
        marks[i].label =
            patch.left
                ? toQt(patch.id)
                : QStringLiteral("%1 %2").arg(toQt(patch.id), toQt(fixedText(patch.difference, 1)));
    }
    if (!m_ofSensor && !channelsAreOwn())
        return done(
            wordsOf(*fit) + QLatin1Char(' ') +
                tr("These are the colours of the profile, not of the sensor: photograph the "
                   "chart as camera raw, or say that the channels are the sensor's own."),
            false);
    m_fit = *fit;
    done(wordsOf(*fit), true);
}

QString ChartDialog::wordsOf(const SensorFit& fit) const {
    const auto left = std::count_if(fit.patches.begin(), fit.patches.end(),
                                    [](const FittedPatch& patch) { return patch.left; });
    QString words = tr("Primaries %1. Patches differ by %2 in the mean and %3 at most (L*a*b*).")
                        .arg(toQt(spell(std::optional(rounded(fit.primaries)))),
                             toQt(fixedText(fit.mean, 1)), toQt(fixedText(fit.most, 1)));
    if (left > 0)
        words += QLatin1Char(' ') + tr("%1 at the recording's end are left out.").arg(left);
    if (m_ofSensor)
        words += QLatin1Char(' ') + tr("Gains in this light: red %1, blue %2.")
                                        .arg(toQt(print(fit.gains[0])), toQt(print(fit.gains[2])));
    return words;
}

} // namespace bslate::app
