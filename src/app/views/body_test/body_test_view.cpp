#include "app/views/body_test/body_test_view.h"

#include "app/document/text.h"
#include "app/views/body_test/fit_picture.h"
#include "app/views/body_test/series_card.h"
#include "app/views/body_test/series_dialog.h"
#include "app/views/card/card_dialog.h"
#include "app/widgets/open_path.h"
#include "core/base/find_by_id.h"
#include "core/facts/tested_zebra.h"
#include "core/kit/profile_edit.h"
#include "core/quantity/print.h"
#include "core/signal/series_place.h"
#include "io/system/files.h"
#include "io/text/readings_csv.h"

#include <QComboBox>
#include <QFileInfo>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {

BodyTestView::BodyTestView(ProfileActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_camera(new QComboBox)
    , m_profile(new QComboBox)
    , m_base(new QComboBox)
    , m_note(new QLineEdit)
    , m_readings(new QPlainTextEdit)
    , m_finding(new QLabel)
    , m_keep(new QPushButton(tr("Keep as the measured profile (Ctrl+K)")))
    , m_picture(new FitPicture(style)) {
    setObjectName(QStringLiteral("body-test-view"));
    m_askClips = [this] {
        return askOpenPaths(this, tr("Clips or stills of the exposure series"));
    };
    m_ask = [this] { return askOpenPath(this, tr("Readings"), tr("Tables (*.csv *.tsv *.txt)")); };
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 8, 16, 10);
    row->setSpacing(16);
    row->addWidget(buildSide());
    auto* page = new QVBoxLayout;
    page->addWidget(m_picture, 1);
    m_finding->setObjectName(QStringLiteral("fit-finding"));
    m_finding->setWordWrap(true);
    page->addWidget(m_finding);
    row->addLayout(page, 1);
    setFocusProxy(m_readings);
    keyTable().add({{Qt::CTRL | Qt::Key_Return, [this] { fit(); }}},
                   QT_TRANSLATE_NOOP("Help", "fit the readings"));
    keyTable().add({{Qt::CTRL | Qt::Key_K, [this] { keep(); }}},
                   QT_TRANSLATE_NOOP("Help", "keep the measured profile"));
    keyTable().makeShortcuts(*this);
    connect(&actions.document(), &ShootDocument::changed, this, &BodyTestView::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void BodyTestView::settle() {
    m_picture->settle();
}

QWidget* BodyTestView::buildSide() {
    auto* side = new QWidget;
    side->setFixedWidth(300);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    auto* form = new QFormLayout;
    const auto choice = [&](QComboBox* box, const QString& label, const char* name) {
        box->setObjectName(QString::fromLatin1(name));
        box->setAccessibleName(label);
        form->addRow(label, box);
    };
    choice(m_camera, tr("Body"), "test-camera");
    choice(m_profile, tr("Profile"), "test-profile");
    choice(m_base, tr("Base"), "test-base");
    m_note->setObjectName(QStringLiteral("test-note"));
    m_note->setAccessibleName(tr("Note"));
    m_note->setPlaceholderText(tr("when, how lit, which lens"));
    form->addRow(tr("Note"), m_note);
    column->addLayout(form);
    const auto button = [&](QPushButton* made, const char* name, auto act) {
        made->setObjectName(QString::fromLatin1(name));
        connect(made, &QPushButton::clicked, this, act);
        column->addWidget(made);
    };
    button(new QPushButton(tr("What to record\u2026")), "test-card", [this] { showCard(); });
    m_readings->setObjectName(QStringLiteral("readings"));
    m_readings->setAccessibleName(tr("Readings"));
    m_readings->setFont(Style::font(TextRole::Body)); // its figures are even, and show no holes
    m_readings->setTabChangesFocus(true);
    m_readings->setLineWrapMode(QPlainTextEdit::NoWrap);
    m_readings->setPlaceholderText(
        tr("Type or paste what the waveform read, a line a frame:\n\nstop, percent, noise\n"
           "-6, 8.2, 0.41\n-5, 11.0, 0.40\n\nor stop, red, green, blue, noise.\nCodes of 10 bits "
           "are understood too."));
    column->addWidget(m_readings, 1);
    button(new QPushButton(tr("From footage\u2026")), "test-clips",
           [this] { readClips(m_askClips()); });
    button(new QPushButton(tr("Open a table\u2026")), "test-open", [this] {
        if (const QString path = m_ask(); !path.isEmpty())
            openReadings(path);
    });
    button(new QPushButton(tr("Fit (Ctrl+Return)")), "test-fit", [this] { fit(); });
    button(m_keep, "test-keep", [this] { keep(); });
    m_keep->setEnabled(false);
    connect(m_camera, &QComboBox::currentIndexChanged, this, &BodyTestView::fillProfiles);
    for (auto* box : {m_profile, m_base})
        connect(box, &QComboBox::currentIndexChanged, this, &BodyTestView::recall);
    return side;
}

const Camera* BodyTestView::camera() const {
    return findCamera(m_actions.document().shoot().kit, fromQt(m_camera->currentData().toString()));
}

const Profile* BodyTestView::profile() const {
    return findProfile(m_actions.document().shoot().kit,
                       fromQt(m_profile->currentData().toString()));
}

const BaseIso* BodyTestView::base() const {
    const auto* body = camera();
    const int index = m_base->currentIndex();
    return body && index >= 0 && index < static_cast<int>(body->bases.size())
               ? &body->bases[static_cast<std::size_t>(index)]
               : nullptr;
}

void BodyTestView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void BodyTestView::refresh() {
    if (isVisible())
        fillCameras();
}

void BodyTestView::fillCameras() {
    const auto& kit = m_actions.document().shoot().kit;
    QString wanted = m_camera->currentData().toString();
    if (wanted.isEmpty()) {
        // A body that has been tested shows its test; else the setup's.
        for (const auto& known : kit.profiles)
            if (known.measured)
                m_first = *known.measured;
        if (m_first)
            wanted = toQt(m_first->camera);
        if (wanted.isEmpty() && m_actions.document().setup())
            wanted = toQt(m_actions.document().setup()->camera);
    }
    {
        const QSignalBlocker quiet(m_camera);
        m_camera->clear();
        for (const auto& body : kit.cameras)
            m_camera->addItem(toQt(body.name), toQt(body.id));
        m_camera->setCurrentIndex(std::max(0, m_camera->findData(wanted)));
    }
    fillProfiles();
}

void BodyTestView::fillProfiles() {
    const auto& kit = m_actions.document().shoot().kit;
    QString wanted = m_profile->currentData().toString();
    QString wantedBase = m_base->currentText();
    if (m_first && camera()) {
        wanted = toQt(m_first->nominal);
        wantedBase = tr("ISO %1").arg(toQt(print(m_first->base)));
        m_first.reset();
    }
    {
        const QSignalBlocker a(m_profile), b(m_base);
        m_profile->clear();
        m_base->clear();
        if (const auto* body = camera()) {
            for (const auto& id : body->profiles)
                if (const auto* known = findProfile(kit, id); known && !known->measured)
                    m_profile->addItem(toQt(known->name), toQt(known->id));
            for (const auto& iso : body->bases)
                m_base->addItem(tr("ISO %1").arg(toQt(print(iso.iso))));
        }
        m_profile->setCurrentIndex(std::max(0, m_profile->findData(wanted)));
        m_base->setCurrentIndex(std::max(0, m_base->findText(wantedBase)));
    }
    recall();
}

// What was measured before comes back, unless the person has typed something else meanwhile.
void BodyTestView::recall() {
    const auto& kit = m_actions.document().shoot().kit;
    const QString typed = m_readings->toPlainText();
    if (!typed.isEmpty() && typed != m_recalled)
        return;
    m_recalled.clear();
    const auto* nominal = profile();
    const auto* iso = base();
    for (const auto& known : kit.profiles)
        if (nominal && iso && known.measured && known.measured->nominal == nominal->id &&
            known.measured->camera == camera()->id && known.measured->base == iso->iso) {
            m_recalled = toQt(io::writeReadings(known.measured->readings, nominal->curve.range,
                                                known.measured->relative));
            m_note->setText(toQt(known.measured->note));
        }
    m_readings->setPlainText(m_recalled);
    if (!m_recalled.isEmpty())
        return fit();
    m_fit.reset();
    m_keep->setEnabled(false);
    m_finding->clear();
    m_picture->clear(camera()
                         ? tr("What to record\u2026 plans the frames; their readings go on the "
                              "left.")
                         : tr("A body is tested once it is in the kit: the Gear page adds one."));
}

void BodyTestView::setReadings(const QString& csv) {
    m_readings->setPlainText(csv);
}

void BodyTestView::openReadings(const QString& path) {
    const auto text = io::readFile(path.toStdString());
    if (!text)
        return refuse(messageOf(text.error()));
    m_readings->setPlainText(toQt(*text));
    fit();
}

void BodyTestView::refuse(const QString& message) {
    m_fit.reset();
    m_keep->setEnabled(false);
    m_finding->setText(message);
    m_picture->clear(tr("No curve yet."));
    emit refused(message);
}

void BodyTestView::fit() {
    const auto* nominal = profile();
    if (!nominal)
        return refuse(tr("Choose a body and a profile first."));
    const auto range = nominal->curve.range;
    const auto text = fromQt(m_readings->toPlainText());
    const auto read = io::readReadings(text, {io::ReadingUnit::Auto, BitDepth{10}, range});
    if (!read)
        return refuse(tr("Readings, %1").arg(messageOf(read.error())));
    auto fitted = fitPlaced(*read, io::areRelative(text), range, nominal->curve,
                            m_actions.document().shoot().snrFloor);
    if (!fitted)
        return refuse(tr("Readings: %1").arg(messageOf(fitted.error())));
    m_read = fitted->readings;
    m_fit = fitted->fit;
    m_keep->setEnabled(true);
    m_picture->show(m_read, *m_fit, nominal->curve, true);
    tell();
}

void BodyTestView::tell() {
    const auto& fit = *m_fit;
    QStringList parts;
    parts << (fit.sampled ? tr("Kept as a table: no log curve holds these readings.")
                          : tr("A log curve holds them to %1 codes rms.")
                                .arg(tenBitCodes(fit.rms), 0, 'f', 1));
    parts << (fit.relative ? tr("Relative only: no exposure was known, so how bright the body is "
                                "beside the nominal curve is not; that curve's place is kept.")
                           : tr("The body is %1 stop from nominal.").arg(toQt(print(fit.shift))));
    if (fit.flare.value() > 0)
        parts << tr("Flare lifts the darks by %1 % of white: shade the lens, mask the chart.")
                     .arg(100 * fit.flare.value(), 0, 'f', 2);
    const char* channels[] = {QT_TR_NOOP("red"), QT_TR_NOOP("green"), QT_TR_NOOP("blue")};
    QStringList clips;
    for (std::size_t c = 0; c < 3; ++c)
        if (fit.clip[c])
            clips << tr("%1 %2 \u00b1 %3")
                         .arg(tr(channels[c]), toQt(print(*fit.clip[c])),
                              toQt(fixedText(fit.clipUncertainty[c].value(), 2)));
    parts << (clips.isEmpty() ? tr("No channel clipped: go on until two frames read the same.")
                              : tr("Clips: %1.").arg(clips.join(QStringLiteral(", "))));
    if (camera() && profile() && base())
        if (const auto zebra = clipZebraAfterTest(m_actions.document().shoot().kit, *camera(),
                                                  *profile(), base()->iso, fit))
            parts << (zebra->tap == ZebraTap::Recorded
                          ? tr("Zebra at %1 on the recorded signal warns before it.")
                          : tr("Zebra at %1 on the viewing LUT warns before it."))
                         .arg(toQt(print(zebra->set)));
    if (fit.noiseFloor)
        parts << tr("Noise takes over at %1.").arg(toQt(print(*fit.noiseFloor)));
    QStringList out;
    for (std::size_t i = 0; i < fit.fates.size(); ++i)
        if (fit.fates[i] == ReadingFate::Outlier)
            out << toQt(print(m_read[i].stops));
    if (!out.isEmpty())
        parts << tr("Left out as wrong: the reading at %1.").arg(out.join(QStringLiteral(", ")));
    m_finding->setText(parts.join(QLatin1Char(' ')));
}

QString BodyTestView::finding() const {
    return m_finding->text();
}

void BodyTestView::keep() {
    const auto* nominal = profile();
    if (!m_fit || !nominal || !camera() || !base())
        return refuse(tr("Fit the readings first."));
    Measurement measured = measurementOf(*m_fit, m_read, m_actions.document().shoot().snrFloor);
    measured.camera = camera()->id;
    measured.nominal = nominal->id;
    measured.base = base()->iso;
    measured.note = fromQt(m_note->text().trimmed());
    const Curve curve = m_fit->curve;
    m_recalled = m_readings->toPlainText();
    const QString id = m_actions.addMeasured(measured, curve);
    if (const auto* kept = findProfile(m_actions.document().shoot().kit, fromQt(id)))
        emit told(tr("%1 stands beside %2 now; a setup chooses between them.")
                      .arg(toQt(kept->name), m_profile->currentText()));
}

std::optional<SeriesPlan> BodyTestView::plan() {
    if (!camera() || !profile() || !base()) {
        emit refused(tr("Choose a body and a profile first."));
        return std::nullopt;
    }
    const auto& shoot = m_actions.document().shoot();
    SeriesWish wish;
    wish.rate = shoot.brief.rate;
    wish.snr = shoot.snrFloor;
    wish.meter = shoot.meter;
    return planSeries(shoot.kit, *camera(), *profile(), *base(), wish);
}

SeriesDialog* BodyTestView::readClips(const QStringList& clips) {
    const auto planned = plan();
    if (!planned || clips.isEmpty())
        return nullptr;
    std::vector<Stops> steps;
    for (const auto& step : planned->steps)
        steps.push_back(step.given);
    const auto curve = profile()->curve;
    auto* dialog = new SeriesDialog(clips, curve, steps, m_style, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog, range = curve.range] {
        setReadings(toQt(io::writeReadings(dialog->readings(), range, dialog->isRelative())));
        fit();
    });
    dialog->open();
    return dialog;
}

CardDialog* BodyTestView::showCard() {
    const auto planned = plan();
    if (!planned)
        return nullptr;
    const auto& kit = m_actions.document().shoot().kit;
    auto* dialog = new CardDialog(seriesCard(*planned, kit, *camera(), *profile()), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &CardDialog::told, this, [this](const QString& message, bool problem) {
        if (problem)
            emit refused(message);
        else
            emit told(message);
    });
    dialog->show();
    return dialog;
}

} // namespace bslate::app
