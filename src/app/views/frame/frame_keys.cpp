// The keys of the Frame step.
#include "app/views/frame/found_rows.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_tools.h"
#include "app/views/frame/frame_view.h"
#include "app/widgets/quantity_edit.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>

namespace bslate::app {

// Keys that stand as a button under the picture say in its tip what they say in the key sheet.
void FrameView::addKeys() {
    auto& keys = keyTable();
    keys.onlyWhile([this] { return m_actions.document().setup() != nullptr; });
    const auto split = [this](double by) {
        return [this, by](bool more) { moveSplit(more ? 5 * by : by); };
    };
    keys.add({{Qt::Key_Left, split(-0.02)}, {Qt::Key_Right, split(0.02)}},
             QT_TRANSLATE_NOOP("Help", "move the split (Shift: more)"));
    keys.add({{Qt::Key_Space,
               [this] { m_picture->setSplit(m_picture->split() > 0 ? 0.0 : m_lastSplit); }}},
             QT_TRANSLATE_NOOP("Help", "one side whole and back"));
    keys.add({{Qt::Key_V, [this] { step(*m_right, 1); }},
              {Qt::SHIFT | Qt::Key_V, [this] { step(*m_left, 1); }}},
             QT_TRANSLATE_NOOP("Help", "next stage on the right, on the left"));
    keys.add({{Qt::Key_F, [this] { toggleStops(); }}},
             QT_TRANSLATE_NOOP("Help", "stops from grey as bands on the right, and back"));
    keys.add({{Qt::Key_K, [this] { compareNext(1); }},
              {Qt::SHIFT | Qt::Key_K, [this] { compareNext(-1); }}},
             QT_TRANSLATE_NOOP("Help", "next and last thing beside this setup: another school, "
                                       "depth, profile, recipe or setup"));
    addMarkKeys();
    addStillKeys();
    addPlaceKeys();
}

void FrameView::addMarkKeys() {
    auto& keys = keyTable();
    const auto toggle = [this](bool& mark, void (FrameView::*then)()) {
        return [this, &mark, then] {
            mark = !mark;
            (this->*then)();
        };
    };
    keys.add({{Qt::Key_C, [this] { cycleLost(); }}},
             QT_TRANSLATE_NOOP("Help", "what clips and what is in noise: of any channel, of one"));
    keys.add({{Qt::Key_Z, [this] { cycleZebra(); }}},
             QT_TRANSLATE_NOOP("Help", "the camera's zebra: for skin, for the clip"));
    keys.add({{Qt::Key_B, toggle(m_bands, &FrameView::showImages)}},
             QT_TRANSLATE_NOOP("Help", "where the grade bands"));
    keys.add({{Qt::Key_P, toggle(m_probes, &FrameView::showImages)}},
             QT_TRANSLATE_NOOP("Help", "patches with what they read"));
    keys.add({{Qt::Key_X, [this] { toggleSpot(); }}},
             QT_TRANSLATE_NOOP("Help", "a free spot: light, stops, percent and codes anywhere"));
    keys.add({{Qt::Key_R, toggle(m_channels, &FrameView::showImages)}},
             QT_TRANSLATE_NOOP("Help", "instruments of the three channels"));
    keys.add({{Qt::Key_G, toggle(m_ofGrade, &FrameView::showImages)}},
             QT_TRANSLATE_NOOP("Help", "instruments of the grade"));
    keys.add({{Qt::Key_E, toggle(m_codec, &FrameView::make)}},
             QT_TRANSLATE_NOOP("Help", "through the mode's codec"));
    keys.add({{Qt::Key_N, toggle(m_noise, &FrameView::make)}},
             QT_TRANSLATE_NOOP("Help", "the sensor's noise"));
    keys.add({{Qt::Key_U, [this] { cyclePush(); }}},
             QT_TRANSLATE_NOOP("Help", "next push on the grade"));
}

void FrameView::addStillKeys() {
    auto& keys = keyTable();
    keys.add({{Qt::Key_O,
               [this] {
                   if (const auto path = m_ask(); !path.isEmpty())
                       openStill(path);
               }}},
             QT_TRANSLATE_NOOP("Help", "open a still of your own in this picture's place"));
    keys.add({{Qt::Key_T, [this] { takeReadings(); }}},
             QT_TRANSLATE_NOOP("Help", "take what the still's rings read over as readings"));
    keys.add({{Qt::Key_Escape, [this] { closeStill(); }}},
             QT_TRANSLATE_NOOP("Help", "back to the drawn picture"));
    keys.add({{Qt::CTRL | Qt::Key_C,
               [this] {
                   QApplication::clipboard()->setText(m_found->text());
                   emit told(tr("Planned and found are copied."));
               }}},
             QT_TRANSLATE_NOOP("Help", "copy planned and found"));
}

void FrameView::addPlaceKeys() {
    auto& keys = keyTable();
    const auto way = [this](Qt::Key arrow) {
        return [this, arrow](bool size) { return size ? stretchPatch(arrow) : movePatch(arrow); };
    };
    keys.add({{Qt::Key_J, [this] { nextPatch(); }}}, QT_TRANSLATE_NOOP("Help", "next patch, none"));
    keys.add({{Qt::ALT | Qt::Key_Left, way(Qt::Key_Left)},
              {Qt::ALT | Qt::Key_Right, way(Qt::Key_Right)},
              {Qt::ALT | Qt::Key_Up, way(Qt::Key_Up)},
              {Qt::ALT | Qt::Key_Down, way(Qt::Key_Down)}},
             QT_TRANSLATE_NOOP("Help", "move the patch in the picture (Shift: its size), or the "
                                       "free spot while no patch is held"));
    keys.add({{Qt::ALT | Qt::Key_Delete, way(Qt::Key_Delete)}},
             QT_TRANSLATE_NOOP("Help", "give the patch back its place"));
}

void FrameView::moveSplit(double by) {
    m_picture->setSplit(m_picture->split() + by);
    m_lastSplit = m_picture->split() > 0 ? m_picture->split() : m_lastSplit;
}

void FrameView::toggleStops() {
    const bool stops = m_right->currentIndex() == static_cast<int>(FrameLook::Stops);
    m_right->setCurrentIndex(static_cast<int>(stops ? FrameLook::Grade : FrameLook::Stops));
}

void FrameView::step(QComboBox& look, int by) {
    look.setCurrentIndex((look.currentIndex() + by + look.count()) % look.count());
}

void FrameView::compareNext(int by) {
    if (m_beside->count() < 2)
        return emit refused(tr("There is nothing to put beside this one."));
    step(*m_beside, by);
    make();
}

void FrameView::cycleZebra() {
    const auto* shown = images();
    const auto has = [&](ZebraUse use) {
        return shown && shown->band[static_cast<std::size_t>(use)];
    };
    if (!m_zebra && has(ZebraUse::Skin))
        m_zebra = ZebraUse::Skin;
    else if (m_zebra != ZebraUse::Clip && has(ZebraUse::Clip))
        m_zebra = ZebraUse::Clip;
    else if (m_zebra)
        m_zebra.reset();
    else
        emit refused(tr("The camera's zebra does not reach where it would be needed."));
    showImages();
}

void FrameView::cyclePush() {
    const Push pushes[] = {{},
                           {Stops(3), Stops(0), Mired(0)},
                           {Stops(0), Stops(3), Mired(0)},
                           {Stops(0), Stops(0), Mired(80)},
                           {Stops(0), Stops(0), Mired(-80)}};
    const auto* at = std::find(std::begin(pushes), std::end(pushes), m_push);
    const bool last = at == std::end(pushes) || at + 1 == std::end(pushes);
    setPush(last ? pushes[0] : at[1]);
}

void FrameView::cycleLost() {
    if (!m_fates)
        m_fates = 0;
    else if (*m_fates < 3)
        ++*m_fates;
    else
        m_fates.reset();
    showImages();
}

void FrameView::showTools() {
    const QString channels[] = {{}, tr("red"), tr("green"), tr("blue")};
    const bool still = m_still.has_value();
    m_range->setVisible(still);
    m_tools->show({{Qt::Key_C, m_fates.has_value(), true,
                    m_fates ? channels[static_cast<std::size_t>(*m_fates)] : QString()},
                   {Qt::Key_Z, m_zebra.has_value(), true,
                    !m_zebra                     ? QString()
                    : *m_zebra == ZebraUse::Skin ? tr("skin")
                                                 : tr("clip")},
                   {Qt::Key_B, m_bands},
                   {Qt::Key_P, m_probes},
                   {Qt::Key_X, m_picture->spot().has_value()},
                   {Qt::Key_R, m_channels},
                   {Qt::Key_G, m_ofGrade},
                   {Qt::Key_E, m_codec && !still, !still},
                   {Qt::Key_N, m_noise && !still, !still},
                   {Qt::Key_U, !(m_push == Push{})},
                   {Qt::Key_O, still},
                   {Qt::Key_T, false, still},
                   {Qt::Key_Escape, false, still}});
}

void FrameView::keyPressEvent(QKeyEvent* event) {
    StepView::keyPressEvent(event);
    showTools();
}

} // namespace bslate::app
