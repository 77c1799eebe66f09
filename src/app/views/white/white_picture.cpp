#include "app/views/white/white_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kNames = 78;   // left of the plot
constexpr double kKelvins = 24; // below it
constexpr double kCross = 12;
constexpr int kMarks[] = {1800, 2200, 2500, 2800, 3200,  3600,  4000, 4500,
                          5000, 5600, 6500, 8000, 10000, 15000, 25000};

} // namespace

WhitePicture::WhitePicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("white-picture"));
    setMouseTracking(true);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void WhitePicture::show(Shown shown) {
    m_shown.emplace(std::move(shown));
    if (m_held == Held::Nothing) // nothing rescales under the pointer
        m_range = rangeOf(*m_shown);
    QStringList told;
    for (const auto& light : m_shown->lights)
        told << tr("%1 at %2").arg(light.name, toQt(print(light.facts.colour)));
    describe(*this, QAccessible::Chart, tr("Lights and white"),
             tr("camera %1").arg(m_shown->whiteText), told.join(QStringLiteral("; ")));
    update();
}

void WhitePicture::clear() {
    m_shown.reset();
    update();
}

QRectF WhitePicture::plot() const {
    return QRectF(kNames, 6, width() - kNames - 8, height() - 6 - kKelvins);
}

WhitePicture::Range WhitePicture::rangeOf(const Shown& shown) const {
    Range range;
    const auto take = [&](ColourPoint point) {
        const double mired = miredOf(point.cct).value();
        range.warm = std::max(range.warm, mired + 35);
        range.cool = std::min(range.cool, std::max(15.0, mired - 35));
        range.green = std::max(range.green, std::abs(point.duv.value()) + 0.006);
    };
    take(shown.white);
    for (const auto& light : shown.lights) {
        take(light.facts.bare);
        take(light.facts.colour);
        if (light.facts.end)
            take(*light.facts.end);
    }
    return range;
}

QPointF WhitePicture::place(ColourPoint point) const {
    const QRectF area = plot();
    const double across =
        (m_range.warm - miredOf(point.cct).value()) / (m_range.warm - m_range.cool);
    const double up = point.duv.value() / m_range.green;
    return {area.left() + across * area.width(), area.center().y() - up * area.height() / 2};
}

ColourPoint WhitePicture::at(QPointF pixel) const {
    const QRectF area = plot();
    const double across = (pixel.x() - area.left()) / area.width();
    const double mired = m_range.warm - across * (m_range.warm - m_range.cool);
    const double duv = (area.center().y() - pixel.y()) / (area.height() / 2) * m_range.green;
    const double low = miredOf(kCoolest).value(), high = miredOf(kWarmest).value();
    return {kelvinOf(Mired(std::clamp(mired, low, high))),
            std::clamp(Duv(duv), -kFarthest, kFarthest)};
}

double WhitePicture::radius(const SceneLight& light) const {
    const double share = std::max(light.share.value(), light.behind.value());
    return 9 + 25 * std::sqrt(std::clamp(share, 0.0, 1.0));
}

std::optional<std::size_t> WhitePicture::lightAt(QPointF pixel) const {
    std::optional<std::size_t> found;
    for (std::size_t i = 0; i < m_shown->lights.size(); ++i) {
        const auto& facts = m_shown->lights[i].facts;
        const double r = radius(facts);
        if (QLineF(pixel, place(facts.colour)).length() <= r &&
            (!found || r < radius(m_shown->lights[*found].facts)))
            found = i; // the smaller one lies on top
    }
    return found;
}

void WhitePicture::paintAxes(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF area = plot();
    drawBlock(painter, area, t.deep, {}, 0);
    painter.setFont(Style::font(TextRole::Secondary));
    double last = -100;
    for (const int kelvin : kMarks) {
        const double mired = 1e6 / kelvin;
        if (mired > m_range.warm || mired < m_range.cool)
            continue;
        const double x = std::round(place({Kelvin(kelvin), Duv(0)}).x()) + 0.5;
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
        if (x - last < 46 || x > area.right() - 14)
            continue;
        last = x;
        painter.setPen(t.muted);
        painter.drawText(QRectF(x - 30, area.bottom() + 4, 60, 18), Qt::AlignCenter,
                         QString::number(kelvin));
    }
    painter.setPen(QPen(t.muted, 1.4 * t.stroke));
    painter.drawLine(QPointF(area.left(), area.center().y()),
                     QPointF(area.right(), area.center().y()));
    painter.setPen(t.muted);
    const auto side = [&](double y, const QString& text) {
        painter.drawText(QRectF(0, y - 9, kNames - 8, 18), Qt::AlignRight | Qt::AlignVCenter, text);
    };
    side(area.center().y(), tr("black body"));
    side(area.top() + 14, tr("green"));
    side(area.bottom() - 14, tr("magenta"));
    painter.drawText(QRectF(0, area.bottom() + 4, 46, 18), Qt::AlignLeft, tr("kelvin"));
}

// The whites the camera can be set to: ticks along its kelvin, and its tints at the one that is
// set.
void WhitePicture::paintDial(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto& dial = m_shown->dial;
    const double step = dial.step > 0 ? dial.step : 100;
    painter.setPen(QPen(t.sky, 1 * t.stroke));
    double last = -100;
    for (double k = std::ceil(dial.lowest.value() / step) * step; k <= dial.highest.value();
         k += step) {
        const QPointF at = place({Kelvin(k), usualDuv(Kelvin(k))});
        if (!plot().contains(at) || std::abs(at.x() - last) < 6)
            continue;
        last = at.x();
        painter.drawLine(at - QPointF(0, 3), at + QPointF(0, 3));
    }
    if (!dial.tint)
        return;
    const auto& white = m_shown->white;
    for (double units = -dial.tint->most; units <= dial.tint->most; units += dial.tint->step) {
        const ColourPoint point{white.cct,
                                usualDuv(white.cct) + Duv(units * dial.tint->unit.value())};
        const QPointF at = place(point);
        if (plot().contains(at))
            painter.drawLine(at - QPointF(3, 0), at + QPointF(3, 0));
    }
}

void WhitePicture::paintLights(QPainter& painter) const {
    const auto& t = m_style.colours();
    for (std::size_t i = 0; i < m_shown->lights.size(); ++i) {
        const auto& light = m_shown->lights[i];
        const QPointF centre = place(light.facts.colour);
        const double r = radius(light.facts);
        const bool chosen = m_shown->chosen == i;
        QColor fill = t.raised;
        fill.setAlphaF(0.75F);
        painter.setBrush(fill);
        painter.setPen(QPen(chosen ? t.marigold : t.ink, (chosen ? 2.2 : 1.4) * t.stroke,
                            light.facts.usual ? Qt::DashLine : Qt::SolidLine));
        painter.drawEllipse(centre, r, r);
        painter.setBrush(Qt::NoBrush);
        if (light.facts.usual) { // what it may as well have
            const double y = centre.y() + r + 4;
            const double warm = place({light.facts.warmest, Duv(0)}).x();
            const double cool = place({light.facts.coolest, Duv(0)}).x();
            painter.setPen(QPen(t.muted, 1.2 * t.stroke, Qt::DashLine));
            painter.drawLine(QPointF(warm, y), QPointF(cool, y));
            for (const double x : {warm, cool})
                painter.drawLine(QPointF(x, y - 3), QPointF(x, y + 3));
        }
        if (light.facts.end) {
            painter.setPen(QPen(t.coral, 1.6 * t.stroke));
            arrow(painter, centre, place(*light.facts.end));
        }
    }
}

void WhitePicture::arrow(QPainter& painter, QPointF from, QPointF to) const {
    const QLineF line(from, to);
    if (line.length() < 6)
        return;
    painter.drawLine(line);
    QLineF head(to, from);
    head.setLength(8);
    for (const double turn : {-25.0, 25.0}) {
        QLineF side = head;
        side.setAngle(head.angle() + turn);
        painter.drawLine(side);
    }
}

void WhitePicture::paintGels(QPainter& painter) const {
    const auto& t = m_style.colours();
    for (const auto& light : m_shown->lights) {
        if (light.gels.isEmpty())
            continue;
        painter.setPen(QPen(t.marigold, 1.6 * t.stroke));
        const QPointF from = place(light.facts.bare);
        painter.drawEllipse(from, 3, 3);
        arrow(painter, from, place(light.facts.colour));
    }
    if (m_shown->proposal) {
        const auto& light = m_shown->lights[m_shown->proposal->light];
        painter.setPen(QPen(t.lilac, 1.4 * t.stroke, Qt::DashLine));
        arrow(painter, place(light.facts.colour), place(m_shown->proposal->to));
    }
}

std::vector<WhitePicture::Label> WhitePicture::labels() const {
    const auto& t = m_style.colours();
    const QFontMetricsF body(Style::font(TextRole::Body)), small(Style::font(TextRole::Secondary));
    std::vector<Label> all;
    const auto add = [&](QPointF middle, const QString& text, const QFontMetricsF& metrics,
                         const QColor& ink, TextRole role) {
        const double wide = std::min(240.0, metrics.horizontalAdvance(text) + 8);
        const double left =
            std::clamp(middle.x() - wide / 2, plot().left() + 4, plot().right() - wide - 4);
        all.push_back({QRectF(left, middle.y() - 9, wide, 18), text, ink, role});
    };
    for (std::size_t i = 0; i < m_shown->lights.size(); ++i) {
        const auto& light = m_shown->lights[i];
        const QPointF centre = place(light.facts.colour);
        const double r = radius(light.facts) + 11;
        const bool above = centre.y() - r - 9 > plot().top();
        const auto share = std::max(light.facts.share, light.facts.behind);
        add({centre.x(), centre.y() + (above ? -r : r)},
            QStringLiteral("%1 %2").arg(light.name, toQt(print(share))), body,
            m_shown->chosen == i ? t.marigold : t.ink, TextRole::Body);
    }
    for (const auto& light : m_shown->lights)
        if (!light.gels.isEmpty())
            add((place(light.facts.bare) + place(light.facts.colour)) / 2 + QPointF(0, 14),
                light.gels, small, t.marigold, TextRole::Secondary);
    if (const auto& proposal = m_shown->proposal)
        add((place(m_shown->lights[proposal->light].facts.colour) + place(proposal->to)) / 2 +
                QPointF(0, 14),
            tr("G: %1").arg(proposal->gels), small, t.lilac, TextRole::Secondary);
    return all;
}

// What keeps words readable over lines.
QColor WhitePicture::behind() const {
    QColor ground = m_style.colours().deep;
    ground.setAlphaF(0.85F);
    return ground;
}

void WhitePicture::paintNames(QPainter& painter) const {
    const auto all = labels();
    std::vector<QRectF> boxes;
    // The camera's own words stay free.
    const QPointF cross = place(m_shown->white);
    boxes.emplace_back(cross.x() - kCross, cross.y() - kCross, 160, 2 * kCross);
    for (const auto& label : all)
        boxes.push_back(label.box);
    spreadBoxes(boxes, plot());
    for (std::size_t i = 0; i < all.size(); ++i) {
        painter.setFont(Style::font(all[i].role));
        painter.fillRect(boxes[i + 1], behind());
        painter.setPen(all[i].ink);
        painter.drawText(boxes[i + 1], Qt::AlignCenter,
                         elided(all[i].text, painter.font(), boxes[i + 1].width()));
    }
}

void WhitePicture::paintWhite(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QPointF at = place(m_shown->white);
    painter.setPen(QPen(t.marigold, 2.2 * t.stroke));
    painter.drawLine(at - QPointF(kCross, 0), at + QPointF(kCross, 0));
    painter.drawLine(at - QPointF(0, kCross), at + QPointF(0, kCross));
    QFont bold = Style::font(TextRole::Body);
    bold.setBold(true);
    painter.setFont(bold);
    const QString text = tr("camera %1").arg(m_shown->whiteText);
    const double wide = QFontMetricsF(bold).horizontalAdvance(text) + 4;
    const bool left = at.x() + kCross + 6 + wide > plot().right();
    const QRectF box(left ? at.x() - kCross - 6 - wide : at.x() + kCross + 6, at.y() - 9, wide, 18);
    painter.fillRect(box, behind());
    painter.drawText(box, Qt::AlignLeft | Qt::AlignVCenter, text);
}

void WhitePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_shown)
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    paintAxes(painter);
    painter.save();
    painter.setClipRect(plot());
    paintDial(painter);
    paintLights(painter);
    paintGels(painter);
    paintNames(painter);
    paintWhite(painter);
    painter.restore();
}

void WhitePicture::mousePressEvent(QMouseEvent* event) {
    if (!m_shown || event->button() != Qt::LeftButton)
        return;
    const QPointF at = event->position(), cross = place(m_shown->white);
    const auto light = lightAt(at);
    if (QLineF(at, cross).length() <= kCross + 2) {
        m_held = Held::White;
        m_offset = cross - at;
    } else if (light) {
        m_held = Held::Light;
        m_heldLight = *light;
        m_offset = place(m_shown->lights[*light].facts.colour) - at;
        emit lightChosen(*light);
    } else {
        return;
    }
    emit dragStarted();
}

void WhitePicture::mouseMoveEvent(QMouseEvent* event) {
    if (!m_shown)
        return;
    const QPointF to = event->position() + m_offset;
    if (m_held == Held::White)
        emit whiteDragged(at(to));
    else if (m_held == Held::Light)
        emit lightDragged(m_heldLight, at(to));
    else
        setCursor(QLineF(event->position(), place(m_shown->white)).length() <= kCross + 2 ||
                          lightAt(event->position())
                      ? Qt::SizeAllCursor
                      : Qt::ArrowCursor);
}

void WhitePicture::mouseReleaseEvent(QMouseEvent*) {
    if (m_held == Held::Nothing)
        return;
    m_held = Held::Nothing;
    m_offset = {};
    if (m_shown)
        m_range = rangeOf(*m_shown);
    emit dragEnded();
    update();
}

void WhitePicture::mouseDoubleClickEvent(QMouseEvent* event) {
    if (!m_shown)
        return;
    if (const auto light = lightAt(event->position()))
        emit lightTyped(*light);
}

} // namespace bslate::app
