#include "app/views/brief/days_band.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "core/light/metering.h"
#include "core/quantity/print.h"
#include "core/shoot/scene_words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kDayHead = 52;
constexpr double kRow = 96;
constexpr double kGap = 6;
constexpr double kWidest = 230;
constexpr double kNarrowest = 132;
constexpr double kDarkest = -7;   // log2 cd/m2 at the foot of the light scale, about 0.008
constexpr double kBrightest = 14; // and at its head, about 16 000

double lightHeight(const QRectF& area, CandelaPerM2 light) {
    const double share = (std::log2(light.value()) - kDarkest) / (kBrightest - kDarkest);
    return area.bottom() - std::clamp(share, 0.0, 1.0) * area.height();
}

} // namespace

QStringList needsOf(const Scene& scene) {
    QStringList needs;
    if (scene.slowMotion.value() > 1.001)
        needs << QStringLiteral("\u00d7%1").arg(toQt(print(scene.slowMotion)));
    if (scene.longestTake.value() > 0)
        needs << DaysBand::tr("take %1").arg(toQt(printDuration(scene.longestTake)));
    needs << (scene.sound ? DaysBand::tr("sound") : DaysBand::tr("mute"));
    for (const auto& source : scene.lamps)
        if (isOnTheLine(source.kind))
            needs << (source.pulses ? toQt(print(*source.pulses)) : toQt(wordOf(source.kind)));
    if (scene.depth)
        needs << toQt(print(scene.depth->widest)) + QStringLiteral("\u2013") +
                     toQt(print(scene.depth->narrowest)).mid(1);
    if (scene.footage.value() > 0)
        needs << DaysBand::tr("all %1").arg(toQt(printDuration(scene.footage)));
    return needs;
}

DaysBand::DaysBand(const Style& style, QWidget* parent)
    : PickCanvas(style, "days-band", Order::Across, Click::Moves,
                 {QT_TRANSLATE_NOOP("Help", "choose a scene")}, parent) {
    addPick({Qt::Key_Return, Qt::Key_F2}, QT_TRANSLATE_NOOP("Help", "rewrite the scene's line"));
    keyTable().add({{Qt::Key_Delete, [this] { emit deleteRequested(m_selected); }}},
                   QT_TRANSLATE_NOOP("Help", "delete the scene"));
    connect(this, &PickCanvas::moved, this, [this](int slate) { emit selected(idOf(slate)); });
    connect(this, &PickCanvas::picked, this, [this] { emit editRequested(m_selected); });
    setSpoken(QAccessible::List, tr("Days and scenes"),
              tr("Arrows choose a scene, Return edits its line, Delete removes it"));
}

void DaysBand::show(std::shared_ptr<const Shoot> shoot, const QString& selectedScene) {
    m_shoot = std::move(shoot);
    m_selected = selectedScene;
    arrange();
    int chosen = 0;
    for (int i = 0; i < itemCount(); ++i)
        if (idOf(i) == m_selected)
            chosen = i;
    itemsChanged(chosen);
}

QString DaysBand::idOf(int slate) const {
    return toQt(m_slates[static_cast<std::size_t>(slate)].scene->id);
}

QRectF DaysBand::itemBox(int slate) const {
    return m_slates[static_cast<std::size_t>(slate)].box;
}

QString DaysBand::itemWords(int slate) const {
    const auto& scene = *m_slates[static_cast<std::size_t>(slate)].scene;
    const auto* grey = greyCard(scene);
    return tr("Day %1, %2, %3, %4")
        .arg(scene.day)
        .arg(toQt(scene.name), grey ? toQt(print(grey->reading)) : QString(),
             needsOf(scene).join(QStringLiteral(", ")));
}

void DaysBand::arrange() {
    m_slates.clear();
    m_days.clear();
    if (!m_shoot)
        return;
    for (const auto& scene : m_shoot->scenes) {
        m_slates.push_back({&scene, {}});
        if (std::find(m_days.begin(), m_days.end(), scene.day) == m_days.end())
            m_days.push_back(scene.day);
    }
    std::sort(m_days.begin(), m_days.end());
    std::stable_sort(m_slates.begin(), m_slates.end(), [](const auto& a, const auto& b) {
        if (a.scene->day != b.scene->day)
            return a.scene->day < b.scene->day;
        return a.scene->start && b.scene->start && *a.scene->start < *b.scene->start;
    });
    for (std::size_t row = 0; row < m_days.size(); ++row) {
        const auto count = std::count_if(m_slates.begin(), m_slates.end(), [&](const auto& slate) {
            return slate.scene->day == m_days[row];
        });
        const double width = std::clamp((this->width() - kDayHead) / static_cast<double>(count),
                                        kNarrowest, kWidest);
        double x = kDayHead;
        for (auto& slate : m_slates) {
            if (slate.scene->day != m_days[row])
                continue;
            slate.box = QRectF(x, static_cast<double>(row) * kRow, width - kGap, kRow - kGap);
            x += width;
        }
    }
}

void DaysBand::resizeEvent(QResizeEvent*) {
    arrange();
}

QSize DaysBand::sizeHint() const {
    return {700,
            static_cast<int>(kRow * static_cast<double>(std::max<std::size_t>(1, m_days.size())))};
}

QSize DaysBand::minimumSizeHint() const {
    double right = 300;
    for (std::size_t row = 0; row < m_days.size(); ++row) {
        const auto count = std::count_if(m_slates.begin(), m_slates.end(), [&](const auto& slate) {
            return slate.scene->day == m_days[row];
        });
        right = std::max(right, kDayHead + kNarrowest * static_cast<double>(count));
    }
    return {static_cast<int>(right), sizeHint().height()};
}

QRectF DaysBand::boxOf(const QString& sceneId) const {
    for (const auto& slate : m_slates)
        if (toQt(slate.scene->id) == sceneId)
            return slate.box;
    return {};
}

void DaysBand::paintLight(QPainter& painter, const QRectF& area, const Scene& scene) const {
    const auto& t = style().colours();
    const auto* grey = greyCard(scene);
    if (!grey)
        return;
    const auto& meter = m_shoot->meter;
    const auto from = luminanceOf(grey->reading, grey->reflectance, meter);
    const auto to = scene.change ? luminanceOf(scene.change->to, grey->reflectance, meter) : from;
    const double y1 = lightHeight(area, from);
    const double y2 = lightHeight(area, to);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    QColor under = t.sky;
    under.setAlpha(36);
    painter.setPen(Qt::NoPen);
    painter.setBrush(under);
    painter.drawPolygon(
        QPolygonF{area.bottomLeft(), {area.left(), y1}, {area.right(), y2}, area.bottomRight()});
    painter.setPen(QPen(t.sky, 1.8 * t.stroke, grey->estimated ? Qt::DashLine : Qt::SolidLine));
    painter.drawLine(QPointF(area.left(), y1), QPointF(area.right(), y2));
    painter.restore();
}

void DaysBand::paintSlate(QPainter& painter, const Slate& slate) const {
    const auto& t = style().colours();
    const auto& scene = *slate.scene;
    const bool chosen = toQt(scene.id) == m_selected;
    drawBlock(painter, slate.box, chosen ? t.raised : t.deep, chosen ? t.marigold : t.line,
              chosen ? (hasFocus() ? 2.4 : 1.4) : 0);
    const QRectF text = slate.box.adjusted(8, 5, -8, -5);
    paintLight(painter, text.adjusted(0, 38, 0, -20), scene);
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(chosen ? t.marigold : t.ink);
    const QString name = scene.number.empty()
                             ? toQt(scene.name)
                             : QStringLiteral("%1  %2").arg(toQt(scene.number), toQt(scene.name));
    painter.drawText(text, Qt::AlignLeft | Qt::AlignTop,
                     elided(name, painter.font(), text.width()));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    QStringList facts;
    if (scene.start)
        facts << toQt(spellTimeOfDay(*scene.start));
    if (scene.place != Place::Unknown)
        facts << (scene.place == Place::Interior ? tr("int") : tr("ext"));
    if (const auto* grey = greyCard(scene)) {
        QString light = toQt(print(grey->reading));
        if (grey->estimated)
            light.prepend(QStringLiteral("\u2248 "));
        if (scene.change)
            light += QStringLiteral(" \u2192 ") + toQt(print(scene.change->to));
        facts << light;
    }
    painter.drawText(text.adjusted(0, 18, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                     elided(facts.join(QStringLiteral(" \u00b7 ")), painter.font(), text.width()));
    painter.setPen(t.ink);
    const auto& hazards = scene.hazards;
    const bool care = hazards.sun || hazards.water || hazards.mains || hazards.heights;
    const double room = text.width() - (care ? 20 : 0);
    painter.drawText(text, Qt::AlignLeft | Qt::AlignBottom,
                     elided(needsOf(scene).join(QStringLiteral(" \u00b7 ")), painter.font(), room));
    if (care)
        drawSeverity(painter, QRectF(text.right() - 14, text.bottom() - 15, 14, 14),
                     Severity::Caution, false, t);
}

void DaysBand::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = style().colours();
    for (std::size_t row = 0; row < m_days.size(); ++row) {
        const QRectF head(0, static_cast<double>(row) * kRow, kDayHead - 8, kRow - kGap);
        painter.setFont(Style::font(TextRole::Head));
        painter.setPen(t.ink);
        painter.drawText(head.adjusted(0, 22, 0, 0), Qt::AlignHCenter | Qt::AlignTop,
                         QString::number(m_days[row]));
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(head.adjusted(0, 6, 0, 0), Qt::AlignHCenter | Qt::AlignTop, tr("Day"));
    }
    for (const auto& slate : m_slates)
        paintSlate(painter, slate);
}

} // namespace bslate::app
