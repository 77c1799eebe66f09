// The keys of the Frame step.
#include "app/views/frame/found_rows.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_tools.h"
#include "app/views/frame/frame_view.h"
#include "app/widgets/quantity_edit.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QKeyEvent>

namespace bslate::app {

std::span<const KeyLine> FrameView::keys() const {
    static constexpr KeyLine kKeys[] = {
        {"Left, Right, Space",
         QT_TRANSLATE_NOOP("Help", "move the split (Shift: more); one side whole and back")},
        {"V, Shift+V", QT_TRANSLATE_NOOP("Help", "next stage on the right, on the left")},
        {"F", QT_TRANSLATE_NOOP("Help", "stops from grey as bands on the right, and back")},
        {"Z, C, B, P",
         QT_TRANSLATE_NOOP("Help", "zebra of skin, of the clip, none; what is lost, of any channel "
                                   "and of each; where the grade bands; patches")},
        {"X", QT_TRANSLATE_NOOP("Help", "a free spot that reads light, stops, percent and codes: "
                                        "drag it, or Alt and arrows while no patch is held")},
        {"R, G", QT_TRANSLATE_NOOP("Help", "instruments of luma, of the three channels; of the "
                                           "recording, of the grade")},
        {"E, N", QT_TRANSLATE_NOOP("Help", "with and without the encoder; noise")},
        {"U", QT_TRANSLATE_NOOP("Help", "next push on the grade: shadows up, highlights down, "
                                        "warmer, colder, none")},
        {"K, Shift+K", QT_TRANSLATE_NOOP("Help", "next and last thing beside this setup: another "
                                                 "school, depth, profile, recipe or setup")},
        {"J, Alt+arrows, Alt+Delete",
         QT_TRANSLATE_NOOP("Help", "next patch, none; move it in the picture (Shift: its size), or "
                                   "give it back its place")},
        {"O, T, Escape", QT_TRANSLATE_NOOP("Help", "open a still, take what its rings read over as "
                                                   "readings, close it")},
        {"Ctrl+C", QT_TRANSLATE_NOOP("Help", "copy planned and found")}};
    return kKeys;
}

void FrameView::step(QComboBox& look, int by) {
    look.setCurrentIndex((look.currentIndex() + by + look.count()) % look.count());
}

void FrameView::compareNext() {
    if (m_beside->count() < 2)
        return emit refused(tr("There is nothing to put beside this one."));
    step(*m_beside, 1);
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

// Keys that switch a mark or a part of the way on and off.
bool FrameView::pressMark(int key) {
    const std::pair<int, bool*> marks[] = {{Qt::Key_P, &m_probes},   {Qt::Key_B, &m_bands},
                                           {Qt::Key_R, &m_channels}, {Qt::Key_G, &m_ofGrade},
                                           {Qt::Key_E, &m_codec},    {Qt::Key_N, &m_noise}};
    for (const auto& [own, mark] : marks)
        if (own == key) {
            *mark = !*mark;
            if (key == Qt::Key_E || key == Qt::Key_N)
                make();
            else
                showImages();
            return true;
        }
    return false;
}

bool FrameView::press(int key, bool shift) {
    return pressMark(key) || pressChoice(key, shift);
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

bool FrameView::pressChoice(int key, bool shift) {
    switch (key) {
    case Qt::Key_V:
        step(shift ? *m_left : *m_right, 1);
        return true;
    case Qt::Key_F: {
        const bool stops = m_right->currentIndex() == static_cast<int>(FrameLook::Stops);
        m_right->setCurrentIndex(static_cast<int>(stops ? FrameLook::Grade : FrameLook::Stops));
        return true;
    }
    case Qt::Key_C:
        cycleLost();
        return true;
    case Qt::Key_X:
        toggleSpot();
        return true;
    case Qt::Key_Z:
        cycleZebra();
        return true;
    case Qt::Key_U:
        cyclePush();
        return true;
    case Qt::Key_J:
        nextPatch();
        return true;
    case Qt::Key_K:
        if (shift && m_beside->count() > 1) {
            step(*m_beside, -1);
            make();
        } else {
            compareNext();
        }
        return true;
    case Qt::Key_O:
        if (const auto path = m_ask(); !path.isEmpty())
            openStill(path);
        return true;
    case Qt::Key_T:
        takeReadings();
        return true;
    case Qt::Key_Escape:
        closeStill();
        return true;
    default:
        return false;
    }
}

void FrameView::keyPressEvent(QKeyEvent* event) {
    if (event->matches(QKeySequence::Copy)) {
        QApplication::clipboard()->setText(m_found->text());
        return emit told(tr("Planned and found are copied."));
    }
    if (event->modifiers() & Qt::AltModifier &&
        (event->modifiers() & Qt::ShiftModifier ? stretchPatch(event->key())
                                                : movePatch(event->key())))
        return;
    if (!m_actions.document().setup() ||
        event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) {
        QWidget::keyPressEvent(event);
        return;
    }
    const bool shift = event->modifiers() & Qt::ShiftModifier;
    const auto move = [&](double by) {
        m_picture->setSplit(m_picture->split() + (shift ? 5 : 1) * by);
        m_lastSplit = m_picture->split() > 0 ? m_picture->split() : m_lastSplit;
    };
    switch (event->key()) {
    case Qt::Key_Left:
        return move(-0.02);
    case Qt::Key_Right:
        return move(0.02);
    case Qt::Key_Space:
        return m_picture->setSplit(m_picture->split() > 0 ? 0.0 : m_lastSplit);
    default:
        if (!press(event->key(), shift))
            QWidget::keyPressEvent(event);
    }
    showTools();
}

} // namespace bslate::app
