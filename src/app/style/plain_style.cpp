#include "app/style/plain_style.h"

#include "app/style/marks.h"

#include <QIcon>

namespace bslate::app {
namespace {

constexpr double kGrid = 19; // a mark is drawn 15 large

QIcon markOf(Severity severity) {
    QIcon icon;
    for (const int size : {16, 24, 32, 48, 64, 96}) {
        QPixmap picture(size, size);
        picture.fill(Qt::transparent);
        QPainter painter(&picture);
        painter.setRenderHint(QPainter::Antialiasing);
        painter.scale(size / kGrid, size / kGrid);
        drawSeverity(painter, QRectF(2, 2, kGrid - 4, kGrid - 4), severity, false,
                     tokens(Theme::Slate));
        icon.addPixmap(picture);
    }
    return icon;
}

} // namespace

PlainStyle::PlainStyle()
    : QProxyStyle(QStringLiteral("Fusion")) {}

int PlainStyle::styleHint(StyleHint hint, const QStyleOption* option, const QWidget* widget,
                          QStyleHintReturn* returned) const {
    if (hint == SH_DialogButtonBox_ButtonsHaveIcons)
        return 0;
    return QProxyStyle::styleHint(hint, option, widget, returned);
}

QIcon PlainStyle::standardIcon(StandardPixmap icon, const QStyleOption* option,
                               const QWidget* widget) const {
    switch (icon) {
    case SP_MessageBoxQuestion:
    case SP_MessageBoxWarning:
        return markOf(Severity::Caution);
    case SP_MessageBoxCritical:
        return markOf(Severity::Fault);
    case SP_MessageBoxInformation:
        return markOf(Severity::Note);
    default:
        return QProxyStyle::standardIcon(icon, option, widget);
    }
}

} // namespace bslate::app
