#include "app/views/recipes/handle_picture.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QLineF>
#include <QMouseEvent>
#include <QPainter>

#include <optional>
#include <utility>

namespace bslate::app {

HandlePicture::HandlePicture(const Style& style, LookHandle first, int count, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_first(first)
    , m_held(first)
    , m_count(count) {
    setFocusPolicy(Qt::StrongFocus);
    addKeys();
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

LookHandle HandlePicture::handleAt(int index) const {
    return static_cast<LookHandle>(static_cast<int>(m_first) + (index + m_count) % m_count);
}

void HandlePicture::show(const Look& look, const Look& other) {
    m_look = look;
    m_other = other;
    tell();
    update();
}

void HandlePicture::setHeld(LookHandle handle) {
    m_held = handle;
    tell();
    update();
}

void HandlePicture::tell() {
    describe(*this, QAccessible::Slider, nameOf(m_held), textOf(m_look, m_held));
}

void HandlePicture::paintHandles(QPainter& painter) const {
    const auto& t = m_style.colours();
    for (int i = 0; i < m_count; ++i) {
        const auto handle = handleAt(i);
        const bool held = handle == m_held && hasFocus();
        drawDiamond(painter, placeOf(handle), held ? 9 : 7, t.marigold, held ? t.ink : t.ground);
    }
}

void HandlePicture::addKeys() {
    const auto go = [this](int by) {
        return [this, by] {
            emit chosen(handleAt(static_cast<int>(m_held) - static_cast<int>(m_first) + by));
        };
    };
    const auto move = [this](int way) {
        return [this, way](bool more) {
            emit changed(m_held, stepped(m_look, m_held, (more ? 5 : 1) * way * upIs(m_held)));
        };
    };
    m_keys.add({{Qt::Key_Left, go(-1)}, {Qt::Key_Right, go(1)}},
               QT_TRANSLATE_NOOP("Help", "next handle of the curve or of the hues"),
               QT_TRANSLATE_NOOP("Help", "handle"));
    m_keys.add({{Qt::Key_Up, move(1)}, {Qt::Key_Down, move(-1)}},
               QT_TRANSLATE_NOOP("Help", "move it by a hundredth (Shift: five)"),
               QT_TRANSLATE_NOOP("Help", "move"));
    m_keys.add({{Qt::Key_Return, [this] { emit numberWanted(); }}},
               QT_TRANSLATE_NOOP("Help", "type its number"), QT_TRANSLATE_NOOP("Help", "number"));
    m_keys.add({{Qt::Key_Delete, [this] { emit changed(m_held, neutral(m_look, m_held)); }}},
               QT_TRANSLATE_NOOP("Help", "put it back to neutral"),
               QT_TRANSLATE_NOOP("Help", "neutral"));
}

void HandlePicture::keyPressEvent(QKeyEvent* event) {
    if (!m_keys.press(*event))
        QWidget::keyPressEvent(event);
}

void HandlePicture::mousePressEvent(QMouseEvent* event) {
    constexpr double kReach = 16;
    if (event->button() != Qt::LeftButton)
        return;
    double nearest = kReach;
    std::optional<LookHandle> found;
    for (int i = 0; i < m_count; ++i) {
        const double away = QLineF(placeOf(handleAt(i)), event->position()).length();
        if (away < nearest) {
            nearest = away;
            found = handleAt(i);
        }
    }
    if (!found)
        return;
    m_dragging = true;
    m_before = m_look;
    emit chosen(*found);
}

void HandlePicture::mouseMoveEvent(QMouseEvent* event) {
    if (m_dragging)
        emit dragged(lookAt(m_held, event->position()));
}

void HandlePicture::mouseReleaseEvent(QMouseEvent*) {
    if (std::exchange(m_dragging, false) && !(m_look == m_before))
        emit changed(m_held, m_look);
}

void HandlePicture::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    emit chosen(m_held);
    update();
}

void HandlePicture::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

} // namespace bslate::app
