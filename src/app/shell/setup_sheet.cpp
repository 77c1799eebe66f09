#include "app/shell/setup_sheet.h"

#include "app/document/field_label.h"
#include "app/document/text.h"
#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include "core/shoot/revision.h"
#include "core/shoot/shoot_fields.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSpinBox>

#include <algorithm>

namespace bslate::app {
namespace {

void choose(QComboBox& box, const std::string& id) {
    box.setCurrentIndex(std::max(0, box.findData(toQt(id))));
}

std::string chosen(const QComboBox& box) {
    return fromQt(box.currentData().toString());
}

// As it is typed: with tint in the camera's marks, and how it is set.
QString whiteText(const Shoot& shoot, const Setup& setup) {
    const auto* camera = findCamera(shoot.kit, setup.camera);
    const WhiteDial dial = camera ? camera->white : WhiteDial{};
    return toQt(print(dial, WhiteSetting{setup.white, dial.tint ? setup.tint : Tint(0)})) +
           (setup.whiteBy == WhiteBy::Card ? QStringLiteral(" card") : QString());
}

template<class Items>
void fill(QComboBox& box, const Items& items) {
    for (const auto& item : items)
        box.addItem(toQt(item.name), toQt(item.id));
}

} // namespace

SetupSheet::SetupSheet(const Shoot& shoot, const Setup& setup, QWidget* parent)
    : QDialog(parent)
    , m_shoot(shoot)
    , m_setup(setup)
    , m_result{setup}
    , m_number(new QLineEdit(toQt(setup.number)))
    , m_name(new QLineEdit(toQt(setup.name)))
    , m_rate(new QLineEdit(toQt(print(setup.rate))))
    , m_white(new QLineEdit(whiteText(shoot, setup)))
    , m_wanted(new QLineEdit(setup.wantedWhite ? toQt(print(*setup.wantedWhite)) : QString()))
    , m_focal(new QLineEdit(setup.focal.value() > 0 ? toQt(print(setup.focal)) : QString()))
    , m_focus(new QLineEdit(setup.focus ? toQt(print(*setup.focus)) : QString()))
    , m_scene(new QComboBox)
    , m_camera(new QComboBox)
    , m_profile(new QComboBox)
    , m_mode(new QComboBox)
    , m_lens(new QComboBox)
    , m_bank(new QSpinBox)
    , m_second(new QComboBox)
    , m_power(new QCheckBox(tr("runs on &external power")))
    , m_wireless(new QCheckBox(tr("w&ireless is on meanwhile")))
    , m_support(new QComboBox)
    , m_stabiliser(new QComboBox)
    , m_focusBy(new QComboBox)
    , m_sound(new QComboBox)
    , m_automatics(new QLineEdit(toQt(spell(setup.automatics))))
    , m_problem(new QLabel) {
    setObjectName(QStringLiteral("setup-sheet"));
    setWindowTitle(tr("Setup %1").arg(toQt(setup.number)));
    fill(*m_scene, shoot.scenes);
    fill(*m_camera, shoot.kit.cameras);
    m_lens->addItem(tr("none"), QString());
    fill(*m_lens, shoot.kit.lenses);
    choose(*m_scene, setup.scene);
    choose(*m_camera, setup.camera);
    choose(*m_lens, setup.lens);
    m_bank->setRange(0, 100);
    m_bank->setSpecialValueText(tr("none"));
    m_bank->setValue(setup.bank);
    auto* form = new QFormLayout(this);
    form->addRow(fieldLabel<Setup>("number"), m_number);
    form->addRow(fieldLabel<Setup>("name"), m_name);
    form->addRow(fieldLabel<Setup>("scene"), m_scene);
    form->addRow(fieldLabel<Setup>("camera"), m_camera);
    form->addRow(fieldLabel<Setup>("profile"), m_profile);
    form->addRow(fieldLabel<Setup>("mode"), m_mode);
    form->addRow(fieldLabel<Setup>("lens"), m_lens);
    m_focal->setPlaceholderText(tr("of a zoom, 35 mm; empty: its shortest"));
    m_focus->setPlaceholderText(tr("2 m; empty: not planned"));
    m_focus->setObjectName(QStringLiteral("sheet-focus"));
    form->addRow(fieldLabel<Setup>("focal"), m_focal);
    form->addRow(fieldLabel<Setup>("focus"), m_focus);
    form->addRow(fieldLabel<Setup>("rate"), m_rate);
    m_white->setObjectName(QStringLiteral("sheet-white"));
    m_white->setToolTip(tr("4300 K, with tint as the camera has it (4300 K M3), and card when it "
                           "is measured from one"));
    m_wanted->setObjectName(QStringLiteral("sheet-wanted-white"));
    m_wanted->setAccessibleName(fieldLabel<Setup>("wanted_white"));
    m_wanted->setPlaceholderText(tr("graded as shot, or to 5600 K"));
    auto* whites = new QHBoxLayout;
    whites->addWidget(m_white, 1);
    whites->addWidget(m_wanted, 1);
    auto* whiteLabel = new QLabel(fieldLabel<Setup>("white"));
    whiteLabel->setBuddy(m_white);
    form->addRow(whiteLabel, whites);
    form->addRow(fieldLabel<Setup>("bank"), m_bank);
    m_second->setObjectName(QStringLiteral("sheet-second-slot"));
    m_second->addItems({tr("not used"), tr("mirror: the same again"),
                        tr("relay: goes on when the first is full"), tr("proxy: a low-rate copy")});
    m_second->setCurrentIndex(static_cast<int>(setup.secondSlot));
    form->addRow(fieldLabel<Setup>("second_slot"), m_second);
    m_power->setChecked(setup.externalPower);
    buildHandling(*form);
    m_problem->setWordWrap(true);
    m_problem->setObjectName(QStringLiteral("sheet-problem"));
    form->addRow(m_problem);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &SetupSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_camera, &QComboBox::currentIndexChanged, this, &SetupSheet::fillCameraChoices);
    fillCameraChoices();
    choose(*m_profile, setup.profile);
    choose(*m_mode, setup.mode);
}

void SetupSheet::fillCameraChoices() {
    m_profile->clear();
    m_mode->clear();
    const auto* camera = findCamera(m_shoot.kit, chosen(*m_camera));
    if (!camera)
        return;
    for (const auto& profile : m_shoot.kit.profiles)
        if (camera->profiles.empty() || std::find(camera->profiles.begin(), camera->profiles.end(),
                                                  profile.id) != camera->profiles.end())
            m_profile->addItem(toQt(profile.name), toQt(profile.id));
    fill(*m_mode, camera->modes);
}

// Two short choices a row: the sheet has to fit a laptop's screen.
void SetupSheet::buildHandling(QFormLayout& form) {
    const auto pair = [&](const char* key, QWidget* first, QWidget* second) {
        auto* row = new QHBoxLayout;
        row->addWidget(first, 1);
        row->addWidget(second, 1);
        if (!key)
            return form.addRow(row);
        auto* label = new QLabel(fieldLabel<Setup>(key));
        label->setBuddy(first);
        form.addRow(label, row);
    };
    const auto choice = [](QComboBox* box, const char* name, const QString& spoken,
                           const QStringList& items, int current) {
        box->setObjectName(QString::fromLatin1(name));
        box->setAccessibleName(spoken);
        box->addItems(items);
        box->setCurrentIndex(current);
    };
    pair(nullptr, m_power, m_wireless);
    m_wireless->setChecked(m_setup.wireless);
    m_wireless->setObjectName(QStringLiteral("sheet-wireless"));
    choice(m_support, "sheet-support", tr("Support"),
           {tr("as the scene"), tr("tripod"), tr("gimbal"), tr("shoulder"), tr("hand")},
           static_cast<int>(m_setup.support));
    choice(m_stabiliser, "sheet-stabiliser", tr("Stabiliser"),
           {tr("stabiliser as the support asks"), tr("stabiliser off"), tr("stabiliser on")},
           static_cast<int>(m_setup.stabiliser));
    pair("support", m_support, m_stabiliser);
    choice(m_focusBy, "sheet-focus-by", tr("Focus by"),
           {tr("as the scene"), tr("hand"), tr("continuous"), tr("faces")},
           static_cast<int>(m_setup.focusBy));
    choice(m_sound, "sheet-sound", tr("Sound from"),
           {tr("sound as the scene"), tr("no sound here"), tr("camera microphone"),
            tr("wired microphone"), tr("radio microphone")},
           static_cast<int>(m_setup.soundBy));
    pair("focus_by", m_focusBy, m_sound);
    m_automatics->setObjectName(QStringLiteral("sheet-automatics"));
    m_automatics->setPlaceholderText(tr("left on purpose: iso 800-3200, white 3200-5600"));
    form.addRow(fieldLabel<Setup>("automatics"), m_automatics);
}

bool SetupSheet::takeHandling(Setup& after) {
    const auto automatics = parseAutomatics(fromQt(m_automatics->text()));
    if (!automatics) {
        m_problem->setText(messageOf(automatics.error()));
        return false;
    }
    after.automatics = *automatics;
    after.wireless = m_wireless->isChecked();
    after.support = static_cast<Support>(m_support->currentIndex());
    after.stabiliser = static_cast<Stabiliser>(m_stabiliser->currentIndex());
    after.focusBy = static_cast<FocusBy>(m_focusBy->currentIndex());
    after.soundBy = static_cast<SoundBy>(m_sound->currentIndex());
    return true;
}

bool SetupSheet::takeWhite(Setup& after) {
    const auto* camera = findCamera(m_shoot.kit, after.camera);
    const auto white =
        parseWhite(camera ? camera->white : WhiteDial{}, fromQt(m_white->text().trimmed()));
    if (!white) {
        m_problem->setText(messageOf(white.error()));
        return false;
    }
    after.wantedWhite.reset();
    if (const auto text = m_wanted->text().trimmed(); !text.isEmpty()) {
        const auto wanted = parseKelvin(fromQt(text));
        if (!wanted) {
            m_problem->setText(messageOf(wanted.error()));
            return false;
        }
        after.wantedWhite = *wanted;
    }
    const bool measured = white->by == WhiteBy::Card && after.whiteBy != WhiteBy::Card;
    after.white = white->setting.kelvin;
    after.tint = white->setting.tint;
    after.whiteBy = white->by;
    if (white->by == WhiteBy::Preset)
        after.whiteNd.reset();
    else if (const auto context = resolve(m_shoot, after); context && measured)
        after.whiteNd = context->ndLoss;
    return true;
}

bool SetupSheet::takeOptics(Setup& after) {
    after.externalPower = m_power->isChecked();
    after.secondSlot = static_cast<SecondSlot>(m_second->currentIndex());
    after.focal = Millimetres(0);
    after.focus.reset();
    if (const auto text = m_focal->text().trimmed(); !text.isEmpty()) {
        const auto focal = parseMillimetres(fromQt(text));
        if (!focal) {
            m_problem->setText(messageOf(focal.error()));
            return false;
        }
        after.focal = *focal;
    }
    if (const auto text = m_focus->text().trimmed(); !text.isEmpty()) {
        const auto focus = parseMetres(fromQt(text));
        if (!focus) {
            m_problem->setText(messageOf(focus.error()));
            return false;
        }
        after.focus = *focus;
    }
    return true;
}

void SetupSheet::accept() {
    const auto rate = parseFrameRate(fromQt(m_rate->text()));
    const auto refuse = [&](const QString& message) { m_problem->setText(message); };
    if (m_number->text().trimmed().isEmpty())
        return refuse(tr("A setup needs a number for its slate, such as 2A."));
    if (!rate)
        return refuse(messageOf(rate.error()));
    Setup after = m_setup;
    after.number = fromQt(m_number->text().trimmed());
    after.name = fromQt(m_name->text().trimmed());
    after.scene = chosen(*m_scene);
    after.camera = chosen(*m_camera);
    after.profile = chosen(*m_profile);
    after.mode = chosen(*m_mode);
    after.lens = chosen(*m_lens);
    after.bank = m_bank->value();
    if (!takeWhite(after) || !takeOptics(after) || !takeHandling(after))
        return;
    Edit edit;
    const auto context = resolve(m_shoot, after);
    if (context) {
        if (context->base->iso != after.base) { // another camera or profile: start at its base
            after.base = context->base->iso;
            after.rating = std::clamp(after.base, context->iso.minimum, context->iso.maximum);
        }
        if (*rate != after.rate) {
            const auto turned = turn(m_shoot, after, TurnRate{*rate});
            if (!turned)
                return refuse(messageOf(turned.error()));
            after = *turned->edit.setup;
            edit.scene = turned->edit.scene;
        }
    } else {
        after.rate = *rate;
    }
    edit.setup = after;
    if (const auto sound = checkRevision(m_shoot, revisionOf(m_shoot, edit)); !sound)
        return refuse(messageOf(sound.error()));
    m_result = std::move(edit);
    QDialog::accept();
}

} // namespace bslate::app
