#pragma once

#include "app/style/style.h"

#include <QPushButton>

namespace bslate::app {

/// A remedy: what it does, and under it, quieter, what that leaves. Breaks lines instead of cutting
/// anything: nothing happens that the button does not say.
class RemedyButton : public QPushButton {
    Q_OBJECT

public:
    explicit RemedyButton(const Style& style, QWidget* parent = nullptr);

    void show(const QString& title, const QString& effect);

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] static QRectF asWideAs(QRectF box, double width);
    [[nodiscard]] QRectF titleBox(double width) const;
    [[nodiscard]] QRectF effectBox(double width, double top) const;

    const Style& m_style;
    QString m_title, m_effect;
};

} // namespace bslate::app
