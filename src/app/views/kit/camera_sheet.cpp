#include "app/views/kit/camera_sheet.h"

#include "app/document/text.h"
#include "app/views/kit/camera_rows.h"
#include "app/views/kit/rule_builder.h"
#include "app/views/kit/sensor_picture.h"
#include "app/widgets/field_form.h"
#include "core/base/find_by_id.h"
#include "core/kit/body_line.h"
#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "core/kit/mode_line.h"
#include "core/kit/rule_line.h"

#include <QCheckBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QTabWidget>
#include <QTextBlock>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

std::vector<std::string> linesOf(const QPlainTextEdit& edit) {
    std::vector<std::string> lines;
    for (const auto& line : edit.toPlainText().split(QLatin1Char('\n')))
        lines.push_back(fromQt(line));
    return lines;
}

} // namespace

CameraSheet::CameraSheet(const Kit& kit, const Camera& camera, const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_kit(kit)
    , m_camera(camera)
    , m_rows(cameraRows())
    , m_form(new FieldForm(QStringLiteral("camera")))
    , m_profiles(new QListWidget)
    , m_modes(new QPlainTextEdit)
    , m_rules(new QPlainTextEdit)
    , m_body(new QPlainTextEdit)
    , m_builder(new RuleBuilder(kit))
    , m_typed(new QCheckBox(tr("as t&yped lines too")))
    , m_pages(new QTabWidget)
    , m_problem(new QLabel)
    , m_picture(new SensorPicture(style)) {
    setObjectName(QStringLiteral("camera-sheet"));
    setWindowTitle(tr("Describe %1").arg(toQt(camera.name)));
    resize(1180, 760);
    m_form->addAll(m_rows, m_camera);
    m_profiles->setObjectName(QStringLiteral("camera-profiles"));
    m_profiles->setAccessibleName(tr("Profiles of the camera"));
    m_profiles->setMaximumHeight(110);
    m_form->addOther(tr("&Profiles"), m_profiles);
    auto* right = new QVBoxLayout;
    const QString modes = tr("Recording modes"), rules = tr("Rules");
    const QString body = tr("Banks and controls");
    m_pages->addTab(buildLines(*m_modes, "camera-modes", modes,
                               tr("One a line, bit rates in Mb/s: UHD long 10-bit 4:2:2 "
                                  "24/25@100 50@150 crop1.5 mute mf clip29:59 heat20min@35C "
                                  "external off1-120 sensorrate \"its name\"")),
                    modes);
    m_pages->addTab(buildRules(rules), rules);
    m_pages->addTab(buildLines(*m_body, "camera-body", body,
                               tr("One a line. bank 1 inside without shutter | slips white "
                                  "power-on to 5600 K | auto eye-sensor in Setup 3 | control "
                                  "\"front dial\" dial finger printed iris takes rating, white | "
                                  "quick 8 | own 2 | firmware 2.10 | region 50 Hz | clock set")),
                    body);
    m_pages->setDocumentMode(true);
    connect(m_pages, &QTabWidget::currentChanged, this,
            [this](int page) { m_picture->setVisible(page == 0); });
    right->addWidget(m_pages, 1);
    right->addWidget(m_picture, 1);
    auto* row = new QHBoxLayout;
    row->addWidget(m_form, 2);
    row->addLayout(right, 3);
    auto* column = new QVBoxLayout(this);
    column->addLayout(row, 1);
    m_problem->setWordWrap(true);
    m_problem->setObjectName(QStringLiteral("sheet-problem"));
    column->addWidget(m_problem);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    connect(buttons, &QDialogButtonBox::accepted, this, &CameraSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    fill();
    connect(m_form, &FieldForm::changed, this, &CameraSheet::preview);
    for (auto* lines : {m_modes, m_rules, m_body})
        connect(lines, &QPlainTextEdit::textChanged, this, &CameraSheet::preview);
    preview();
}

QWidget* CameraSheet::buildLines(QPlainTextEdit& lines, const char* name, const QString& title,
                                 const QString& hint) {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    auto* label = new QLabel(hint);
    label->setForegroundRole(QPalette::PlaceholderText);
    label->setFont(Style::font(TextRole::Secondary));
    label->setWordWrap(true);
    column->addWidget(label);
    lines.setObjectName(QString::fromLatin1(name));
    lines.setAccessibleName(title);
    lines.setTabChangesFocus(true);
    lines.setLineWrapMode(QPlainTextEdit::NoWrap);
    column->addWidget(&lines, 1);
    return page;
}

// Sentences and choices; the lines themselves for who likes to type.
QWidget* CameraSheet::buildRules(const QString& title) {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->addWidget(m_builder, 3);
    m_typed->setObjectName(QStringLiteral("rules-typed"));
    column->addWidget(m_typed);
    auto* lines = buildLines(*m_rules, "camera-rules", title,
                             tr("One a line. region 50 25/50/100 | switch restarts the body | "
                                "iso codec=raw12 note 100-51200 | gop=raw rate>=100 requires "
                                "power=external : why; also excludes and limits"));
    lines->hide();
    column->addWidget(lines, 2);
    connect(m_typed, &QCheckBox::toggled, lines, &QWidget::setVisible);
    connect(m_builder, &RuleBuilder::added, m_rules, &QPlainTextEdit::appendPlainText);
    connect(m_builder, &RuleBuilder::removed, this, [this](int rule) {
        QStringList kept;
        int at = 0;
        for (const auto& line : m_rules->toPlainText().split(QLatin1Char('\n')))
            if (line.trimmed().isEmpty() || at++ != rule)
                kept << line;
        m_rules->setPlainText(kept.join(QLatin1Char('\n')));
    });
    return page;
}

void CameraSheet::fill() {
    for (const auto& profile : m_kit.profiles) {
        auto* item = new QListWidgetItem(toQt(profile.name), m_profiles);
        item->setData(Qt::UserRole, toQt(profile.id));
        const auto& has = m_camera.profiles;
        item->setCheckState(std::find(has.begin(), has.end(), profile.id) != has.end()
                                ? Qt::Checked
                                : Qt::Unchecked);
    }
    QStringList lines;
    for (const auto& mode : m_camera.modes)
        lines << toQt(lineOf(m_camera, mode));
    m_modes->setPlainText(lines.join(QLatin1Char('\n')));
    lines.clear();
    for (const auto& rule : ruleLines(m_camera))
        lines << toQt(rule);
    m_rules->setPlainText(lines.join(QLatin1Char('\n')));
    lines.clear();
    for (const auto& own : bodyLines(m_camera.body))
        lines << toQt(own);
    m_body->setPlainText(lines.join(QLatin1Char('\n')));
}

Result<Camera> CameraSheet::typedBody() const {
    auto camera = typedIn(*m_form, m_rows, m_camera);
    if (!camera)
        return camera;
    Camera result = *std::move(camera);
    result.profiles.clear();
    for (int i = 0; i < m_profiles->count(); ++i)
        if (m_profiles->item(i)->checkState() == Qt::Checked)
            result.profiles.push_back(fromQt(m_profiles->item(i)->data(Qt::UserRole).toString()));
    if (result.profiles.empty())
        return Error{
            ErrorCode::EmptyText, {}, fromQt(tr("Profiles")), {}, "at least one profile ticked"};
    return result;
}

Result<Camera> CameraSheet::typed() const {
    const auto placed = [](Result<Camera> camera, const QString& page) {
        if (camera)
            return camera;
        Error error = camera.error();
        error.place = fromQt(page) + ", " + error.place;
        return Result<Camera>(error);
    };
    auto body = typedBody();
    if (!body)
        return body;
    auto modes = placed(withModeLines(*body, linesOf(*m_modes)), m_pages->tabText(0));
    if (!modes)
        return modes;
    auto ruled = placed(withRuleLines(*modes, linesOf(*m_rules)), m_pages->tabText(1));
    if (!ruled)
        return ruled;
    auto camera = placed(withBodyLines(*ruled, linesOf(*m_body)), m_pages->tabText(2));
    if (!camera)
        return camera;
    Kit kit = m_kit;
    if (auto* there = findById(kit.cameras, camera->id))
        *there = *camera;
    else
        kit.cameras.push_back(*camera);
    // Everything else was read field by field: a reference that leads nowhere is in the rules.
    if (const auto outcome = checkKit(kit); !outcome) {
        Error error = outcome.error();
        error.place = fromQt(m_pages->tabText(1));
        return error;
    }
    return camera;
}

void CameraSheet::preview() {
    const auto camera = typed();
    if (!camera) {
        m_problem->setText(messageOf(camera.error()));
        return;
    }
    m_builder->show(*camera);
    // Where each bank is described they are counted, not typed.
    const bool each = !camera->body.banks.empty();
    m_form->setLocked("banks", each);
    if (each)
        m_form->setText("banks", toQt(rowIn(m_rows, "banks").text(*camera)));
    m_problem->setText(tr("modes: %1, sensor areas: %2, codecs: %3")
                           .arg(camera->modes.size())
                           .arg(camera->areas.size())
                           .arg(camera->codecs.size()));
    const Lens* lens = nullptr;
    for (const auto& candidate : m_kit.lenses)
        if (!lens && candidate.shortest.value() > 0)
            lens = &candidate;
    m_picture->show(*camera, lens ? toQt(lens->name) : QString(),
                    lens ? std::optional(lens->shortest) : std::nullopt);
}

void CameraSheet::accept() {
    const auto camera = typed();
    if (!camera)
        return focusOn(toQt(camera.error().place));
    m_camera = *camera;
    QDialog::accept();
}

// The field or the line a fault is in; a fault in a reference is in the rules.
void CameraSheet::focusOn(const QString& place) {
    if (m_form->focusOn(place))
        return;
    if (m_profiles->accessibleName().startsWith(place))
        return m_profiles->setFocus();
    const int page = place.startsWith(m_pages->tabText(0))   ? 0
                     : place.startsWith(m_pages->tabText(2)) ? 2
                                                             : 1;
    auto* lines = page == 0 ? m_modes : page == 1 ? m_rules : m_body;
    m_pages->setCurrentIndex(page);
    m_typed->setChecked(m_typed->isChecked() || page == 1);
    lines->setFocus();
    const int line = place.section(QLatin1Char(' '), -1).toInt();
    if (line > 0)
        lines->setTextCursor(QTextCursor(lines->document()->findBlockByNumber(line - 1)));
}

} // namespace bslate::app
