#include "app/shell/setup_sheet.h"

#include "app/document/text.h"
#include "app/widgets/field_form.h"
#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/shoot/revision.h"
#include "core/shoot/setup_fields.h"

#include <QDialogButtonBox>
#include <QLabel>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

template<class Items>
std::vector<RowChoice> named(const Items& items) {
    std::vector<RowChoice> choices;
    choices.reserve(items.size());
    for (const auto& item : items)
        choices.push_back({toQt(item.id), toQt(item.name)});
    return choices;
}

std::vector<RowChoice> profilesOf(const Kit& kit, const Camera& camera) {
    std::vector<RowChoice> choices;
    const auto& own = camera.profiles;
    for (const auto& profile : kit.profiles)
        if (own.empty() || std::find(own.begin(), own.end(), profile.id) != own.end())
            choices.push_back({toQt(profile.id), toQt(profile.name)});
    return choices;
}

} // namespace

SetupSheet::SetupSheet(const Shoot& shoot, const Setup& setup, QWidget* parent)
    : QDialog(parent)
    , m_shoot(shoot)
    , m_setup(setup)
    , m_result{setup}
    , m_rows(rows())
    , m_form(new FieldForm(QStringLiteral("sheet"), 2))
    , m_problem(new QLabel) {
    setObjectName(QStringLiteral("setup-sheet"));
    setWindowTitle(tr("Setup %1").arg(toQt(setup.number)));
    m_form->addAll(m_rows, m_setup);
    m_problem->setWordWrap(true);
    m_problem->setObjectName(QStringLiteral("sheet-problem"));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    connect(buttons, &QDialogButtonBox::accepted, this, &SetupSheet::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    auto* column = new QVBoxLayout(this);
    m_form->setMinimumWidth(900); // what may be typed is told in the empty lines
    column->addWidget(m_form);
    column->addWidget(m_problem);
    column->addWidget(buttons);
    connect(m_form, &FieldForm::changed, this, [this](const QString& key) {
        if (key == QLatin1String("camera"))
            offerWhatTheCameraHas();
    });
}

// The table's lines, but that parts of the shoot are chosen by name and two lines hold what stands
// in several fields.
FieldRows<Setup> SetupSheet::rows() const {
    auto rows = fieldRows<Setup>();
    const auto choose = [&](const char* key, std::vector<RowChoice> choices) {
        auto& row = rowIn(rows, key);
        row.how = typed::How::Chosen;
        row.choices = std::move(choices);
    };
    choose("scene", named(m_shoot.scenes));
    choose("camera", named(m_shoot.kit.cameras));
    auto lenses = named(m_shoot.kit.lenses);
    lenses.insert(lenses.begin(), {QString(), tr("none")});
    choose("lens", std::move(lenses));
    const auto* camera = findCamera(m_shoot.kit, m_setup.camera);
    choose("profile", camera ? profilesOf(m_shoot.kit, *camera) : std::vector<RowChoice>{});
    choose("mode", camera ? named(camera->modes) : std::vector<RowChoice>{});
    rowIn(rows, "bank").lowest = tr("none");
    auto& white = rowIn(rows, "white");
    white.hint = tr("4300 K, with tint as the camera has it (4300 K M3), and card when it is "
                    "measured from one");
    white.text = [this](const Setup& setup) { return whiteText(setup); };
    white.put = [this](Setup& after, std::string_view text) { return putWhite(after, text); };
    auto left = rowNamed<Setup>("automatics");
    left.hint = tr("left on purpose: iso 800-3200, white 3200-5600");
    left.text = [](const Setup& setup) { return spell(setup.automatics); };
    left.put = [](Setup& after, std::string_view text) -> Outcome {
        auto automatics = parseAutomatics(text);
        if (!automatics)
            return automatics.error();
        after.automatics = *std::move(automatics);
        return Done{};
    };
    rows.push_back(std::move(left));
    return rows;
}

std::string SetupSheet::whiteText(const Setup& setup) const {
    const auto* camera = findCamera(m_shoot.kit, setup.camera);
    const WhiteDial dial = camera ? camera->white : WhiteDial{};
    return print(dial, WhiteSetting{setup.white, dial.tint ? setup.tint : Tint(0)}) +
           (setup.whiteBy == WhiteBy::Card ? " card" : "");
}

Outcome SetupSheet::putWhite(Setup& after, std::string_view text) const {
    const auto* camera = findCamera(m_shoot.kit, after.camera);
    const auto white = parseWhite(camera ? camera->white : WhiteDial{}, text);
    if (!white)
        return white.error();
    const bool measured = white->by == WhiteBy::Card && after.whiteBy != WhiteBy::Card;
    after.white = white->setting.kelvin;
    after.tint = white->setting.tint;
    after.whiteBy = white->by;
    if (white->by == WhiteBy::Preset)
        after.whiteNd.reset();
    else if (const auto context = resolve(m_shoot, after); context && measured)
        after.whiteNd = context->ndLoss;
    return Done{};
}

void SetupSheet::offerWhatTheCameraHas() {
    const auto* camera = findCamera(m_shoot.kit, fromQt(m_form->text("camera")));
    if (!camera)
        return;
    m_form->offer("profile", profilesOf(m_shoot.kit, *camera));
    m_form->offer("mode", named(camera->modes));
}

Result<Edit> SetupSheet::withinReach(Setup typed) const {
    Edit edit;
    if (const auto context = resolve(m_shoot, typed)) {
        if (context->base->iso != typed.base) { // another camera or profile: start at its base
            typed.base = context->base->iso;
            typed.rating = std::clamp(typed.base, context->iso.minimum, context->iso.maximum);
        }
        if (typed.rate != m_setup.rate) {
            Setup before = typed;
            before.rate = m_setup.rate;
            auto turned = turn(m_shoot, before, TurnRate{typed.rate});
            if (!turned)
                return turned.error();
            typed = *turned->edit.setup;
            edit.scene = turned->edit.scene;
        }
    }
    edit.setup = std::move(typed);
    return edit;
}

void SetupSheet::accept() {
    const auto refuse = [&](const Error& error) { m_problem->setText(messageOf(error)); };
    const auto typed = typedIn(*m_form, m_rows, m_setup);
    if (!typed)
        return refuse(typed.error());
    auto edit = withinReach(*typed);
    if (!edit)
        return refuse(edit.error());
    if (const auto sound = checkRevision(m_shoot, revisionOf(m_shoot, *edit)); !sound)
        return refuse(sound.error());
    m_result = *std::move(edit);
    QDialog::accept();
}

} // namespace bslate::app
