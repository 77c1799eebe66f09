#include "app/views/white/card_white_dialog.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"
#include "core/shoot/lamps.h"

#include <QComboBox>
#include <QFormLayout>

#include <algorithm>

namespace bslate::app {
namespace {

CodeRange rangeOf(const Shoot& shoot, const QString& id) {
    const auto* setup = findSetup(shoot, fromQt(id));
    const auto* profile = setup ? findProfile(shoot.kit, setup->profile) : nullptr;
    return profile ? profile->curve.range : CodeRange::Legal;
}

std::string newName(const Scene& scene, LightSide side) {
    const ByEnum<LightSide, QString> names{
        CardWhiteDialog::tr("light"), CardWhiteDialog::tr("key light"),
        CardWhiteDialog::tr("fill light"), CardWhiteDialog::tr("kicker"),
        CardWhiteDialog::tr("background light")};
    const auto wanted = fromQt(names[side]);
    auto name = wanted;
    for (int i = 2; std::any_of(scene.lamps.begin(), scene.lamps.end(),
                                [&](const Lamp& lamp) { return lamp.name == name; });
         ++i)
        name = wanted + " " + std::to_string(i);
    return name;
}

Result<Scene> withNew(const Scene& scene, LightSide side, const LightColour& colour) {
    auto lamp = steadyLamp(newName(scene, side));
    lamp.side = side;
    lamp.colour = colour;
    return withLamp(scene, std::nullopt, lamp);
}

} // namespace

Result<Scene> withMeasured(Scene scene, const MeasuredLight& light, const LightColour& colour) {
    if (light.lamp && *light.lamp < scene.lamps.size()) {
        scene.lamps[*light.lamp].colour = colour;
        return scene;
    }
    if (light.side == LightSide::Unsaid) {
        scene.light = colour;
        return scene;
    }
    if (scene.lamps.empty() && scene.light && light.side != LightSide::Key) {
        auto key = withNew(scene, LightSide::Key, *scene.light);
        if (!key)
            return key.error();
        scene = *std::move(key);
    }
    return withNew(scene, light.side, colour);
}

CardWhiteDialog::CardWhiteDialog(const QString& clip, ShootDocument::Value shoot,
                                 const QString& setup, const Style& style, QWidget* parent)
    : FootageDialog(clip, rangeOf(*shoot, setup),
                    {tr("White from footage"), tr("Mark the grey card"), tr("Take it")}, style,
                    parent)
    , m_shoot(std::move(shoot))
    , m_setup(setup)
    , m_use(new QComboBox) {
    setObjectName(QStringLiteral("card-white-dialog"));
    m_use->setObjectName(QStringLiteral("card-white-use"));
    m_use->addItem(tr("the white of this setup"));
    const auto* own = findSetup(*m_shoot, fromQt(setup));
    if (const auto* scene = own ? findScene(*m_shoot, own->scene) : nullptr)
        fillLights(*scene);
    m_use->setAccessibleName(tr("What it is taken as"));
    form().addRow(tr("Take it &as"), m_use);
}

void CardWhiteDialog::fillLights(const Scene& scene) {
    const auto onSide = [&](LightSide side) {
        return std::any_of(scene.lamps.begin(), scene.lamps.end(),
                           [side](const Lamp& lamp) { return lamp.side == side; });
    };
    if (scene.lamps.empty()) {
        m_use->addItem(tr("the colour of the scene's light"));
        m_lights.push_back({});
    }
    for (std::size_t i = 0; i < scene.lamps.size(); ++i) {
        m_use->addItem(tr("the colour of %1").arg(toQt(scene.lamps[i].name)));
        m_lights.push_back({i, scene.lamps[i].side});
    }
    const std::pair<LightSide, QString> sides[] = {
        {LightSide::Key, tr("the colour of a new light, key")},
        {LightSide::Fill, tr("the colour of a new light, fill")},
        {LightSide::Kicker, tr("the colour of a new light, kicker")},
        {LightSide::Background, tr("the colour of a new light, background")}};
    for (const auto& [side, name] : sides)
        if (!onSide(side)) {
            m_use->addItem(name);
            m_lights.push_back({std::nullopt, side});
        }
}

CardWhiteDialog::Use CardWhiteDialog::use() const {
    return m_use->currentIndex() == 0 ? Use::White : Use::Light;
}

MeasuredLight CardWhiteDialog::light() const {
    return use() == Use::Light ? m_lights[static_cast<std::size_t>(m_use->currentIndex() - 1)]
                               : MeasuredLight{};
}

void CardWhiteDialog::found(const ClipFacts&, const io::ReadRegion& region) {
    m_white.reset();
    const auto* setup = findSetup(*m_shoot, fromQt(m_setup));
    const auto context = setup ? resolve(*m_shoot, *setup) : Result<SetupContext>(Error{});
    const auto plateaus = plateausOf(region.frames);
    const auto longest = longestOf(plateaus);
    if (!context || !longest)
        return tell(tr("The card's light is not held for three frames here."), false);
    const auto white = whiteFromCard(*context, evaluate(*context), longest->channels);
    if (!white)
        return tell(messageOf(white.error()), false);
    m_white = *white;
    tell(tr("The light on it is %1. Recorded at the white of setup %2 its red stands %3 and its "
            "blue %4 stop off its green; %5 makes it neutral.")
             .arg(toQt(print(white->light)), toQt(setup->number), toQt(print(white->off[0])),
                  toQt(print(white->off[2])), toQt(print(context->camera->white, white->set))),
         true);
}

} // namespace bslate::app
