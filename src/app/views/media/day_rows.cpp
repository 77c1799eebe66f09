#include "app/views/media/day_rows.h"

#include "app/document/text.h"

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kHead = 118;
constexpr double kHours = 18; // over the rows
constexpr double kGap = 6;
constexpr double kChip = 40, kChipHeight = 20;
constexpr double kShortest = 60; // seconds across

double wanted(DayRowKind kind) {
    switch (kind) {
    case DayRowKind::Takes:
        return 44;
    case DayRowKind::Cards:
        return 46;
    case DayRowKind::Power:
        return 38;
    case DayRowKind::Copy:
        return 28;
    case DayRowKind::Safe:
    case DayRowKind::Light:
        return 34;
    case DayRowKind::AtHand:
        break;
    }
    return 46;
}

QString tr(const char* text) {
    return QCoreApplication::translate("DayTimeline", text);
}

void addLanes(std::vector<DayRow>& rows, DayRowKind kind, const DayCarriers& carriers) {
    for (std::size_t i = 0; i < carriers.lanes.size(); ++i) {
        const auto& lane = carriers.lanes[i];
        rows.push_back({kind, toQt(lane.title),
                        QCoreApplication::translate("DayTimeline", lane.place.c_str()),
                        static_cast<int>(i), 0, 0});
    }
}

} // namespace

void DayGeometry::arrange(const DayPlan& plan, const QRectF& area) {
    m_rows.clear();
    m_rows.push_back({DayRowKind::Takes, tr("Takes"), tr("as planned"), -1, 0, 0});
    addLanes(m_rows, DayRowKind::Cards, plan.cards);
    addLanes(m_rows, DayRowKind::Power, plan.power);
    for (std::size_t i = 0; i < plan.cards.servers.size(); ++i)
        m_rows.push_back({DayRowKind::Copy, toQt(plan.cards.servers[i]), tr("copy and check"),
                          static_cast<int>(i), 0, 0});
    m_rows.push_back({DayRowKind::Safe, tr("Safe"), tr("in %1 copies").arg(plan.copies), -1, 0, 0});
    m_rows.push_back({DayRowKind::Light, tr("Light"), tr("from the brief"), -1, 0, 0});
    m_rows.push_back({DayRowKind::AtHand, tr("Cards"), tr("drag onto a take"), -1, 0, 0});
    m_area = area.adjusted(kHead, kHours, 0, 0);
    m_units = static_cast<int>(plan.cards.unitIds.size());
    double sum = 0;
    for (const auto& row : m_rows)
        sum += wanted(row.kind) + kGap;
    const double scale = std::clamp(m_area.height() / sum, 0.55, 1.7);
    double y = m_area.top();
    for (auto& row : m_rows) {
        row.top = y;
        row.height =
            wanted(row.kind) * (row.kind == DayRowKind::AtHand ? std::min(scale, 1.0) : scale);
        y += row.height + kGap * scale;
    }
    Seconds from = plan.start, to = plan.start + Seconds(3600);
    for (const auto& take : plan.takes)
        to = std::max(to, take.end);
    for (const auto& renewal : plan.cards.plan.renewals)
        to = std::max(to, renewal.end);
    m_dayFrom = from - Seconds(900);
    m_dayTo = to + Seconds(900);
    if (m_fitted)
        fit();
    keepInside();
}

double DayGeometry::x(Seconds time) const {
    return m_area.left() + (time - m_from).value() / (m_to - m_from).value() * m_area.width();
}

Seconds DayGeometry::timeAt(double x) const {
    return m_from + (m_to - m_from) * ((x - m_area.left()) / std::max(1.0, m_area.width()));
}

QRectF DayGeometry::box(const DayRow& row, Seconds from, Seconds to) const {
    return {QPointF(x(from), row.top), QPointF(x(to), row.top + row.height)};
}

const DayRow* DayGeometry::rowAt(double y) const {
    for (const auto& row : m_rows)
        if (y >= row.top && y <= row.top + row.height)
            return &row;
    return nullptr;
}

double DayGeometry::bottom() const {
    return m_rows.empty() ? m_area.top() : m_rows.back().top + m_rows.back().height;
}

void DayGeometry::zoom(double factor, Seconds about) {
    const double length =
        std::clamp((m_to - m_from).value() / factor, kShortest, (m_dayTo - m_dayFrom).value());
    const double share = (about - m_from).value() / (m_to - m_from).value();
    m_from = about - Seconds(length * share);
    m_to = m_from + Seconds(length);
    m_fitted = length >= (m_dayTo - m_dayFrom).value() - 1;
    keepInside();
}

void DayGeometry::pan(Seconds by) {
    m_from += by;
    m_to += by;
    keepInside();
}

void DayGeometry::fit() {
    m_from = m_dayFrom;
    m_to = m_dayTo;
    m_fitted = true;
}

void DayGeometry::reveal(Seconds time) {
    const Seconds margin = (m_to - m_from) * 0.1;
    if (time < m_from + margin)
        pan(time - m_from - margin);
    else if (time > m_to - margin)
        pan(time - m_to + margin);
}

void DayGeometry::keepInside() {
    const Seconds length = std::min(m_to - m_from, m_dayTo - m_dayFrom);
    m_from = std::clamp(m_from, m_dayFrom, m_dayTo - length);
    m_to = m_from + length;
}

QRectF DayGeometry::chip(int unit) const {
    const auto& row = m_rows.back();
    const int perLine = std::max(1, static_cast<int>(m_area.width() / (kChip + 4)));
    const int lines = std::max(1, (m_units + perLine - 1) / perLine);
    const double height = std::min(kChipHeight, row.height / lines - 2);
    return {m_area.left() + unit % perLine * (kChip + 4), row.top + unit / perLine * (height + 2),
            kChip, height};
}

} // namespace bslate::app
