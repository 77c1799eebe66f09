#include "app/shell/window_place.h"

#include <QGuiApplication>
#include <QScreen>
#include <QScrollArea>
#include <QTimer>
#include <QWidget>
#include <QWindow>

#include <algorithm>

namespace bslate::app {

namespace {

// Gives the inside all of its own size. Not by a layout: the height that its texts would like for a
// width would make it scroll where it fits.
class Whole : public QWidget {
public:
    explicit Whole(QWidget* inside)
        : m_inside(inside) {
        inside->setParent(this);
        setMinimumSize(kWholeWindow);
    }

protected:
    void resizeEvent(QResizeEvent*) override { m_inside->setGeometry(rect()); }

private:
    QWidget* m_inside;
};

} // namespace

QWidget* scrolledWhole(QWidget* inside) {
    auto* all = new QScrollArea;
    all->setObjectName(QStringLiteral("whole-window"));
    all->setFrameShape(QFrame::NoFrame);
    all->setFocusPolicy(Qt::NoFocus);
    all->setWidgetResizable(true);
    all->setWidget(new Whole(inside));
    return all;
}

QRect placedWithin(const QRect& available, const QRect& wanted, const QMargins& frame) {
    const QRect inside = available.marginsRemoved(frame);
    const QSize size = wanted.size().boundedTo(inside.size()).expandedTo(kWholeWindow / 3);
    const int left = std::clamp(wanted.left(), inside.left(),
                                std::max(inside.left(), inside.right() - size.width() + 1));
    const int top = std::clamp(wanted.top(), inside.top(),
                               std::max(inside.top(), inside.bottom() - size.height() + 1));
    return {QPoint(left, top), size};
}

namespace {

// Frames come from another program, some time after the window is there.
constexpr int kLookMs = 100, kLooks = 20;

void keepWithFrame(QWidget& window, bool placed, int looks) {
    // Without a monitor there is nothing to keep to.
    if (QGuiApplication::platformName() == QStringLiteral("offscreen") || window.isMaximized() ||
        window.isFullScreen() || !window.isVisible() || !window.windowHandle())
        return;
    if (window.windowHandle()->frameMargins().isNull() && looks > 0)
        QTimer::singleShot(kLookMs, &window,
                           [&window, placed, looks] { keepWithFrame(window, placed, looks - 1); });
    const QRect available = window.screen()->availableGeometry();
    QRect wanted = window.geometry();
    if (!placed)
        wanted.moveCenter(available.center());
    const QRect within = placedWithin(available, wanted, window.windowHandle()->frameMargins());
    if (within != window.geometry())
        window.setGeometry(within);
}

} // namespace

void keepOnScreen(QWidget& window, bool placed) {
    keepWithFrame(window, placed, kLooks);
}

} // namespace bslate::app
