// What hands do on the White page.
#include "app/document/text.h"
#include "app/views/white/ratio_row.h"
#include "app/views/white/white_picture.h"
#include "app/views/white/white_view.h"
#include "app/widgets/quantity_edit.h"
#include "app/widgets/value_block.h"
#include "core/base/enumerated.h"
#include "core/facts/evaluate.h"
#include "core/quantity/parse.h"
#include "core/shoot/lamps.h"

#include <cmath>

namespace bslate::app {

void WhiteView::setWhite(const QString& name, const WhiteSetting& white, int drag) {
    m_actions.changeSetup(
        name,
        [&](Setup& setup) {
            setup.white = white.kelvin;
            setup.tint = white.tint;
        },
        drag);
}

void WhiteView::stepWhite(int kelvins, int tints) {
    const auto now = context();
    const auto* at = m_actions.document().evaluation();
    if (!now || !at)
        return;
    if (tints != 0 && !now->camera->white.tint) {
        emit refused(tr("%1 has no tint: kelvin alone.").arg(toQt(now->camera->name)));
        return;
    }
    setWhite(tr("Change white"), stepped(now->camera->white, at->white.set, kelvins, tints));
}

void WhiteView::typeWhite(const QString& text) {
    const auto now = context();
    const auto typed = now ? parseWhite(now->camera->white, fromQt(text)) : Error{};
    if (!typed)
        return;
    const Stops nd = now->ndLoss;
    m_actions.changeSetup(tr("Change white"), [&](Setup& setup) {
        setup.white = typed->setting.kelvin;
        setup.tint = typed->setting.tint;
        setup.whiteBy = typed->by;
        setup.whiteNd = typed->by == WhiteBy::Card ? std::optional(nd) : std::nullopt;
    });
}

void WhiteView::typeWanted(const QString& text) {
    const auto kelvin = parseKelvin(fromQt(text));
    m_actions.changeSetup(tr("White the grade wants"), [&](Setup& setup) {
        setup.wantedWhite = kelvin ? std::optional(*kelvin) : std::nullopt;
    });
}

void WhiteView::setBy(WhiteBy by) {
    const auto now = context();
    if (!now)
        return;
    const Stops nd = now->ndLoss;
    m_actions.changeSetup(by == WhiteBy::Card ? tr("White from the card") : tr("White dialled in"),
                          [&](Setup& setup) {
                              setup.whiteBy = by;
                              setup.whiteNd =
                                  by == WhiteBy::Card ? std::optional(nd) : std::nullopt;
                          });
    if (by == WhiteBy::Card)
        emit told(tr("Card in the key, filling the frame, through the lens and filters of the "
                     "take; again after a strong ND."));
}

void WhiteView::choose(const std::optional<WhiteSetting>& white, const QString& name) {
    if (white)
        setWhite(name, *white);
    else
        emit refused(tr("The colours of this scene's lights are not told yet: A adds one."));
}

void WhiteView::sameForAll() {
    const auto now = context();
    const auto* at = m_actions.document().evaluation();
    if (!now || !at)
        return;
    Edit edit;
    for (const auto& other : now->shoot->setups) {
        const auto* camera = findCamera(now->shoot->kit, other.camera);
        if (other.scene != now->setup->scene || other.id == now->setup->id || !camera)
            continue;
        const auto theirs = resolve(*now->shoot, other);
        if (!theirs)
            continue;
        const auto lit = onScene(at->white, at->white.point);
        const auto white = whiteFor(camera->white, shifted(lit, theirs->filterShift));
        Setup changed = other;
        changed.white = white.kelvin;
        changed.tint = white.tint;
        if (!(changed == other))
            edit.setups.push_back(std::move(changed));
    }
    if (edit.setups.empty()) {
        emit told(tr("Every setup of this scene has this white already."));
        return;
    }
    const auto count = edit.setups.size();
    m_actions.apply(tr("One white for the scene"), edit);
    emit told(tr("White of %n more setup(s) of this scene.", nullptr, static_cast<int>(count)));
}

void WhiteView::chooseLight(int by) {
    const auto* at = m_actions.document().evaluation();
    const int count = at ? static_cast<int>(at->white.lights.size()) : 0;
    if (count == 0)
        return;
    const int now = m_chosen ? static_cast<int>(*m_chosen) : by > 0 ? -1 : count;
    m_chosen = static_cast<std::size_t>((now + by + count) % count);
    refresh();
}

void WhiteView::typeLight(std::optional<std::size_t> lamp) {
    const auto* scene = m_actions.document().scene();
    if (!scene)
        return;
    const bool known = lamp && *lamp < scene->lamps.size();
    m_typed = known ? lamp : std::nullopt;
    QString text;
    if (known)
        text = toQt(lineOf(scene->lamps[*lamp]));
    else if (const auto* at = m_actions.document().evaluation();
             lamp && at && !at->white.lights.empty())
        text =
            tr("light steady %1").arg(toQt(spell(LightColour{at->white.lights[0].bare.cct, {}})));
    const QRect area = m_picture->geometry();
    m_line->setGeometry(area.left() + 90, area.top() + 12, area.width() - 180, 30);
    m_line->showValue(known ? text : QString());
    m_line->setText(text);
    m_line->setModified(false);
    m_line->show();
    m_line->raise();
    m_line->setFocus();
    m_line->selectAll();
}

std::optional<QString> WhiteView::problemWithLight(const QString& line) const {
    const auto lamp = parseLampLine(fromQt(line));
    const auto* scene = m_actions.document().scene();
    return lamp && scene ? problemOf(withLamp(*scene, m_typed, *lamp)) : problemOf(lamp);
}

void WhiteView::enterLight(const QString& line) {
    m_line->hide();
    setFocus();
    const auto lamp = parseLampLine(fromQt(line));
    const auto* scene = m_actions.document().scene();
    if (!lamp || !scene)
        return;
    Lamp put = *lamp;
    if (m_typed && *m_typed < scene->lamps.size())
        put.extra = scene->lamps[*m_typed].extra;
    const auto after = withLamp(*scene, m_typed, put);
    if (!after) {
        emit refused(messageOf(after.error()));
        return;
    }
    const bool known = m_typed.has_value();
    m_chosen = known ? m_typed : std::optional(after->lamps.size() - 1);
    m_actions.changeScene(known ? tr("Change light") : tr("Add light"), toQt(scene->id),
                          [&](Scene& changed) { changed = *after; });
}

void WhiteView::changeLamp(const QString& name, std::size_t lamp,
                           const std::function<void(Lamp&)>& edit, int drag) {
    const auto* scene = m_actions.document().scene();
    if (scene && lamp < scene->lamps.size())
        m_actions.changeScene(
            name, toQt(scene->id), [&](Scene& changed) { edit(changed.lamps[lamp]); }, drag);
}

// The colour before its gels, so that what is seen lands where the pointer is; whole kelvins and
// thousandths of Duv.
void WhiteView::moveLight(std::size_t light, ColourPoint to) {
    const auto* at = m_actions.document().evaluation();
    if (!at || light >= at->white.lights.size())
        return;
    const auto facts = at->white.lights[light];
    const Mired bare = miredOf(to.cct) + miredOf(facts.bare.cct) - miredOf(facts.colour.cct);
    const double kelvin = std::clamp(kelvinOf(bare).value(), kWarmest.value(), kCoolest.value());
    const LightColour colour{
        Kelvin(std::round(kelvin / 10) * 10),
        Duv(std::round((to.duv + facts.bare.duv - facts.colour.duv).value() * 1000) / 1000)};
    if (facts.lamp != SceneLight::kNoLamp)
        return changeLamp(
            tr("Colour of a light"), facts.lamp, [&](Lamp& lamp) { lamp.colour = colour; }, m_drag);
    if (const auto* scene = m_actions.document().scene())
        m_actions.changeScene(
            tr("Colour of the light"), toQt(scene->id),
            [&](Scene& changed) { changed.light = colour; }, m_drag);
}

void WhiteView::deleteLight() {
    const auto* scene = m_actions.document().scene();
    if (!scene || !m_chosen)
        return;
    const auto chosen = *m_chosen;
    m_chosen.reset();
    m_actions.changeScene(tr("Delete light"), toQt(scene->id), [&](Scene& changed) {
        if (chosen < changed.lamps.size())
            changed.lamps.erase(changed.lamps.begin() + static_cast<std::ptrdiff_t>(chosen));
        else
            changed.light.reset();
    });
}

void WhiteView::putGel() {
    const auto now = context();
    const auto* at = m_actions.document().evaluation();
    const auto wish = now && at ? gelAim(at->white, m_chosen) : std::nullopt;
    if (!wish)
        return emit refused(tr("There is no second light to bring to the key."));
    const auto& kit = now->shoot->kit;
    const auto& light = at->white.lights[wish->light];
    const auto choice = gelsToward(kit.gels, light.colour, wish->wanted);
    if (!choice)
        return emit refused(kit.gels.empty()
                                ? tr("The kit has no gels: Kit, Gear takes them.")
                                : tr("No gels of the kit bring the lights nearer together."));
    const auto ids = idsOf(kit.gels, *choice);
    if (now->scene->lamps[light.lamp].gels.size() + ids.size() > kMostGels)
        return emit refused(tr("A lamp takes at most %1 gels.").arg(kMostGels));
    changeLamp(tr("Put gel on"), light.lamp,
               [&](Lamp& lamp) { lamp.gels.insert(lamp.gels.end(), ids.begin(), ids.end()); });
}

void WhiteView::takeGel() {
    const auto* scene = m_actions.document().scene();
    if (!scene)
        return;
    for (std::size_t i = scene->lamps.size(); i-- > 0;)
        if (!scene->lamps[i].gels.empty() && (!m_chosen || *m_chosen == i))
            return changeLamp(tr("Take gel off"), i, [](Lamp& lamp) { lamp.gels.pop_back(); });
    emit refused(tr("No gel is on."));
}

void WhiteView::addKeys() {
    auto& keys = keyTable();
    const auto step = [this](int kelvin, int tint) {
        return [this, kelvin, tint](bool five) {
            stepWhite(five ? 5 * kelvin : kelvin, five ? 5 * tint : tint);
        };
    };
    keys.onlyWhile([this] { return m_actions.document().setup() != nullptr; });
    keys.add({{Qt::Key_Left, step(-1, 0)}, {Qt::Key_Right, step(1, 0)}},
             QT_TRANSLATE_NOOP("Help", "kelvin by the camera's steps (Shift: five)"),
             QT_TRANSLATE_NOOP("Help", "kelvin"));
    keys.add({{Qt::Key_Up, step(0, 1)}, {Qt::Key_Down, step(0, -1)}},
             QT_TRANSLATE_NOOP("Help", "tint by the camera's steps (Shift: five)"),
             QT_TRANSLATE_NOOP("Help", "tint"));
    keys.add({{Qt::Key_K, [this] { choose(choices().key, tr("White for the key")); }}},
             QT_TRANSLATE_NOOP("Help", "white for the key"), QT_TRANSLATE_NOOP("Help", "key"));
    keys.add({{Qt::Key_B, [this] { choose(choices().between, tr("White between")); }}},
             QT_TRANSLATE_NOOP("Help", "white between key and background"),
             QT_TRANSLATE_NOOP("Help", "between"));
    keys.add(
        {{Qt::Key_D, [this] { choose(choices().background, tr("White for the background")); }}},
        QT_TRANSLATE_NOOP("Help", "white for the background"));
    keys.add({{Qt::Key_M, [this] { setBy(nextOf(m_actions.document().setup()->whiteBy)); }}},
             QT_TRANSLATE_NOOP("Help", "measured from the card, or a preset"),
             QT_TRANSLATE_NOOP("Help", "card"));
    keys.add({{Qt::Key_F, [this] { measureWhite(); }}},
             QT_TRANSLATE_NOOP("Help", "white from a grey card in a clip"),
             QT_TRANSLATE_NOOP("Help", "clip"));
    keys.add({{Qt::Key_C, [this] { sameForAll(); }}},
             QT_TRANSLATE_NOOP("Help", "this white for every setup of the scene"),
             QT_TRANSLATE_NOOP("Help", "for all"));
    keys.add({{Qt::Key_L, [this] { chooseLight(1); }},
              {Qt::SHIFT | Qt::Key_L, [this] { chooseLight(-1); }}},
             QT_TRANSLATE_NOOP("Help", "next light, the one before"),
             QT_TRANSLATE_NOOP("Help", "next light"));
    keys.add({{Qt::Key_Return, [this] { return m_chosen && (typeLight(m_chosen), true); }}},
             QT_TRANSLATE_NOOP("Help", "type the chosen light"));
    keys.add({{Qt::Key_A, [this] { typeLight(std::nullopt); }}},
             QT_TRANSLATE_NOOP("Help", "add a light"), QT_TRANSLATE_NOOP("Help", "new"));
    keys.add({{Qt::Key_Delete, [this] { deleteLight(); }}},
             QT_TRANSLATE_NOOP("Help", "delete the chosen light"));
    keys.add({{Qt::Key_G, [this] { putGel(); }}, {Qt::SHIFT | Qt::Key_G, [this] { takeGel(); }}},
             QT_TRANSLATE_NOOP("Help", "put the proposed gels on, take the last one off"),
             QT_TRANSLATE_NOOP("Help", "gel"));
    keys.add({{Qt::Key_R, [this] { m_ratios->focusFirst(); }}},
             QT_TRANSLATE_NOOP("Help", "type the ratios that are wanted"),
             QT_TRANSLATE_NOOP("Help", "ratios"));
    keys.add({{Qt::Key_E, [this] { m_wanted->type(); }}},
             QT_TRANSLATE_NOOP("Help", "type the white the grade is to have"),
             QT_TRANSLATE_NOOP("Help", "grade"));
    keys.add({{Qt::Key_W, [this] { m_white->type(); }}},
             QT_TRANSLATE_NOOP("Help", "type the white"));
    keys.add({{Qt::Key_S, [this] { findSensor(); }}},
             QT_TRANSLATE_NOOP("Help", "the camera's primaries and gains from a chart"));
}

} // namespace bslate::app
