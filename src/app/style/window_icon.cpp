#include "app/style/window_icon.h"

#include "app/style/tokens.h"

#include <QLinearGradient>
#include <QPainter>
#include <QPainterPath>

namespace bslate::app {

// On a grid of 16: the slate's board, its clapper open above it, and light falling across the board
// from noise to clip.
QPixmap windowPicture(int size) {
    const auto& t = tokens(Theme::Slate);
    QPixmap picture(size, size);
    picture.fill(Qt::transparent);
    QPainter painter(&picture);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.scale(size / 16.0, size / 16.0);
    painter.setPen(Qt::NoPen);

    QPainterPath board;
    board.addRoundedRect(QRectF(1, 5.5, 14, 9.5), 1.4, 1.4);
    painter.fillPath(board, t.raised);
    painter.save();
    painter.translate(1.2, 5.2);
    painter.rotate(-13);
    QPainterPath clapper;
    clapper.addRoundedRect(QRectF(0, -2.2, 13.6, 2.4), 0.8, 0.8);
    painter.fillPath(clapper, t.ink);
    if (size >= 24)
        for (const double x : {2.4, 6.2, 10.0}) {
            QPainterPath stripe;
            stripe.addPolygon(QPolygonF({QPointF(x, 0.2), QPointF(x + 1.8, 0.2),
                                         QPointF(x + 3.0, -2.2), QPointF(x + 1.2, -2.2)}));
            painter.fillPath(stripe.intersected(clapper), t.deep);
        }
    painter.restore();

    QLinearGradient light(QPointF(2.5, 0), QPointF(13.5, 0));
    light.setColorAt(0, t.deep);
    light.setColorAt(0.55, t.marigold);
    light.setColorAt(1, t.ink);
    QPainterPath bar;
    bar.addRoundedRect(QRectF(2.5, 8.8, 11, 3), 0.7, 0.7);
    painter.fillPath(bar, light);
    return picture;
}

QIcon windowIcon() {
    QIcon icon;
    for (const int size : {16, 22, 24, 32, 48, 64, 128, 256})
        icon.addPixmap(windowPicture(size));
    return icon;
}

} // namespace bslate::app
