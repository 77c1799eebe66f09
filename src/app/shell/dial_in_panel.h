#pragma once

#include "app/document/shoot_document.h"
#include "app/style/style.h"
#include "core/facts/dial_in.h"

#include <QWidget>

namespace bslate::app {

/// Exactly what to set on the camera, with changes since its last setup marked.
class DialInPanel : public QWidget {
    Q_OBJECT

public:
    DialInPanel(ShootDocument& document, const Style& style, QWidget* parent = nullptr);

    void refresh();
    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    ShootDocument& m_document;
    const Style& m_style;
    DialInCard m_card;
};

} // namespace bslate::app
