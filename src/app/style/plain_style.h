#pragma once

#include <QProxyStyle>

namespace bslate::app {

/// The toolkit's drawn style without its stock icons: buttons of dialogs carry words only, and
/// boxes that ask or warn carry this application's own marks.
class PlainStyle : public QProxyStyle {
    Q_OBJECT

public:
    PlainStyle();

    int styleHint(StyleHint hint, const QStyleOption* option, const QWidget* widget,
                  QStyleHintReturn* returned) const override;
    QIcon standardIcon(StandardPixmap icon, const QStyleOption* option,
                       const QWidget* widget) const override;
};

} // namespace bslate::app
