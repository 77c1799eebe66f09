#pragma once

#include "app/style/style.h"
#include "core/facts/white_facts.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// Red, green and blue after white as three windows between noise, dotted, and clip, hatched, with
/// the gain of each and where its photosites are full.
class ChannelPicture : public QWidget {
    Q_OBJECT

public:
    explicit ChannelPicture(const Style& style, QWidget* parent = nullptr);

    /// `note`: what the first channel takes from a patch, in words.
    void show(const WhiteFacts& white, const QString& note);
    void clear();

    QSize sizeHint() const override { return {760, 112}; }
    QSize minimumSizeHint() const override { return {480, 112}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintChannel(QPainter& painter, const QRectF& row, std::size_t channel) const;
    [[nodiscard]] double x(Stops stops) const;

    const Style& m_style;
    std::optional<WhiteFacts> m_white;
    QString m_note;
    double m_low = -9, m_high = 8;
};

/// A channel's name, translated.
[[nodiscard]] QString nameOfChannel(std::size_t channel);

} // namespace bslate::app
