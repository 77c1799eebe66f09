#pragma once

#include "app/style/style.h"

#include <QAbstractButton>

namespace bslate::app {

/// A way to begin, as a large button: a drawn sign, what it is, and a sentence about it.
class StartCard : public QAbstractButton {
    Q_OBJECT

public:
    enum class Sign { Look, Camera, File };

    StartCard(Sign sign, const Style& style, QWidget* parent = nullptr);

    /// The head may hold an access key.
    void say(const QString& head, const QString& sentence);

    QSize sizeHint() const override { return {300, 210}; }
    QSize minimumSizeHint() const override { return {240, 190}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void enterEvent(QEnterEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void paintSign(QPainter& painter, const QRectF& box) const;

    const Style& m_style;
    Sign m_sign;
    QString m_sentence;
};

} // namespace bslate::app
