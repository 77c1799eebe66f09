#include "app/shell/remedy_button.h"

#include "app/style/plain_text.h"

#include <QPainter>
#include <QStyleOptionButton>

namespace bslate::app {
namespace {

constexpr double kButtonSide = 10, kButtonTop = 5;
constexpr int kFlags = Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap;

} // namespace

RemedyButton::RemedyButton(const Style& style, QWidget* parent)
    : QPushButton(parent)
    , m_style(style) {
    QSizePolicy policy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void RemedyButton::show(const QString& title, const QString& effect) {
    m_title = breakable(title);
    m_effect = breakable(effect);
    setAccessibleName(title);
    setAccessibleDescription(effect);
    updateGeometry();
    update();
}

// What was measured is as wide as its longest line: drawn in no more than that it may break anew.
QRectF RemedyButton::asWideAs(QRectF box, double width) {
    box.setWidth(width - 2 * kButtonSide);
    return box;
}

QRectF RemedyButton::titleBox(double width) const {
    const QFontMetricsF metrics(Style::font(TextRole::Body));
    return asWideAs(
        metrics.boundingRect(QRectF(kButtonSide, kButtonTop, width - 2 * kButtonSide, 2000), kFlags,
                             m_title),
        width);
}

QRectF RemedyButton::effectBox(double width, double top) const {
    const QFontMetricsF metrics(Style::font(TextRole::Secondary));
    return asWideAs(
        metrics.boundingRect(QRectF(kButtonSide, top + 1, width - 2 * kButtonSide, 2000), kFlags,
                             m_effect),
        width);
}

int RemedyButton::heightForWidth(int width) const {
    const double bottom = titleBox(width).bottom();
    return qCeil((m_effect.isEmpty() ? bottom : effectBox(width, bottom).bottom()) + kButtonTop);
}

QSize RemedyButton::sizeHint() const {
    const int w = width() > 0 ? width() : 240;
    return {w, heightForWidth(w)};
}

QSize RemedyButton::minimumSizeHint() const {
    return {60, heightForWidth(std::max(60, width()))};
}

void RemedyButton::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    QStyleOptionButton option;
    initStyleOption(&option);
    option.text.clear();
    style()->drawControl(QStyle::CE_PushButtonBevel, &option, &painter, this);
    const auto& t = m_style.colours();
    const auto title = titleBox(width());
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(isEnabled() ? t.ink : t.faint);
    painter.drawText(title, kFlags, m_title);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(isEnabled() ? t.muted : t.faint);
    painter.drawText(effectBox(width(), title.bottom()), kFlags, m_effect);
}

} // namespace bslate::app
