#include "app/views/banks/bank_board.h"

#include "app/document/text.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"
#include "core/words/body_words.h"

#include <QMouseEvent>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kGap = 8;
constexpr double kLeastSlate = 132, kMostSlate = 260;
constexpr double kUnusedSlate = 74; // where nothing is to be read but its label
constexpr double kSetupWidth = 78, kLeastPitch = 92, kMostPitch = 210;
constexpr double kDragStart = 6;
constexpr double kThreadGrip = 7; // a hand takes hold of a thread so near to it
constexpr int kThreadSteps = 40;

} // namespace

QString BankBoard::handNames(const BankUse& use) {
    QStringList names;
    for (const auto& hand : use.byHand)
        names << toQt(nameOf(hand.setting, translator()));
    return names.isEmpty() ? QStringLiteral("\u2014") : names.join(QStringLiteral(", "));
}

BankBoard::BankBoard(const BankPlanner& planner, const Style& style, QWidget* parent)
    : PickCanvas(style, "bank-board", Order::Across, Click::Moves, {nullptr}, parent)
    , m_planner(planner) {
    setFocusPolicy(Qt::NoFocus); // the page's keys move in it
    setMouseTracking(true);
}

void BankBoard::readOrder() {
    const auto& work = m_planner.plan().problem.work;
    m_order.clear();
    m_day.assign(work.setups.size(), 0);
    m_place.assign(work.setups.size(), 0);
    for (const auto& visit : work.visits)
        if (m_day[visit.setup] == 0) {
            m_day[visit.setup] = visit.day;
            m_place[visit.setup] = m_order.size();
            m_order.push_back(visit.setup);
        }
}

void BankBoard::readSlates() {
    const auto& problem = m_planner.plan().problem;
    m_slates.clear();
    for (std::size_t b = 0; b < problem.banks.size(); ++b) {
        const auto& own = problem.banks[b];
        const auto& as = m_planner.now().writtenAs[b];
        Slate slate;
        slate.title =
            own.locked ? tr("%1 locked").arg(toQt(own.label))
            : as       ? tr("%1 as %2").arg(toQt(own.label), toQt(problem.work.setups[*as].number))
                       : tr("%1 empty").arg(toQt(own.label));
        const auto value = [&](BodySetting setting) {
            return toQt(problem.work.setups[*as].settings[setting].value_or("\u2014"));
        };
        if (as)
            slate.lines = {QStringLiteral("%1 p \u00b7 %2 \u00b7 %3")
                               .arg(value(BodySetting::Rate), value(BodySetting::Shutter),
                                    value(BodySetting::Rating)),
                           QStringLiteral("%1 \u00b7 %2")
                               .arg(value(BodySetting::Profile), value(BodySetting::White)),
                           value(BodySetting::Mode)};
        slate.foot = footOf(own, as.has_value());
        m_slates.push_back(std::move(slate));
    }
}

void BankBoard::refresh() {
    readOrder();
    readSlates();
    const auto chosen = m_planner.selected();
    if (!m_dragging)
        m_target = chosen ? m_planner.threads()[*chosen] : -1;
    arrange();
    holdCurrent(chosen ? static_cast<int>(m_place[*chosen]) : 0);
    tellAll();
    update();
}

void BankBoard::setTarget(int bank) {
    const int count = static_cast<int>(m_planner.plan().problem.banks.size());
    m_target = std::clamp(bank, -1, count - 1);
    arrange();
    tellAll();
    update();
}

void BankBoard::stepTarget(int by) {
    setTarget(m_target + by);
}

// Everything that fits side by side, else so that what is chosen is in view.
void BankBoard::arrange() {
    const double room = width() - 2 * kLeft;
    const auto& written = m_planner.now().writtenAs;
    const auto used = static_cast<double>(std::count_if(
        written.begin(), written.end(), [](const auto& as) { return as.has_value(); }));
    const double unused = static_cast<double>(written.size()) - used;
    const double wide =
        std::clamp((room + kGap - unused * (kUnusedSlate + kGap)) / std::max(1.0, used) - kGap,
                   kLeastSlate, kMostSlate);
    // An unused bank is as wide as the others where there is room for all of them.
    const double even =
        (room + kGap) / std::max<double>(1, static_cast<double>(written.size())) - kGap;
    double left = 0;
    for (std::size_t b = 0; b < m_slates.size(); ++b) {
        m_slates[b].left = left;
        m_slates[b].width = even >= kLeastSlate ? std::min(even, kMostSlate)
                            : written[b]        ? wide
                                                : kUnusedSlate;
        left += m_slates[b].width + kGap;
    }
    const double setups = std::max<double>(1, static_cast<double>(m_order.size()));
    m_pitch = std::clamp(room / setups, kLeastPitch, kMostPitch);
    const auto shifted = [&](double wanted, double all) {
        return std::clamp(wanted - room / 2, 0.0, std::max(0.0, all - room));
    };
    const auto target = static_cast<std::size_t>(std::max(0, m_target));
    m_slateShift = target < m_slates.size()
                       ? shifted(m_slates[target].left + m_slates[target].width / 2, left - kGap)
                       : 0;
    const auto chosen = m_planner.selected();
    const double index = chosen ? static_cast<double>(m_place[*chosen]) : 0;
    m_setupShift = shifted((index + 0.5) * m_pitch, setups * m_pitch);
}

QRectF BankBoard::slateBox(int bank) const {
    const auto at = static_cast<std::size_t>(bank);
    if (at >= m_slates.size())
        return {kLeft - m_slateShift, kSlateTop, 0, kSlateHeight};
    return {kLeft + m_slates[at].left - m_slateShift, kSlateTop, m_slates[at].width, kSlateHeight};
}

QRectF BankBoard::setupBox(std::size_t setup) const {
    const double index = static_cast<double>(m_place[setup]);
    return {kLeft + index * m_pitch + (m_pitch - kSetupWidth) / 2 - m_setupShift,
            height() - kBelow - kSetupHeight, kSetupWidth, kSetupHeight};
}

std::pair<std::size_t, std::size_t> BankBoard::seen(double left, double right) const {
    const auto place = [&](double x) {
        const double index = std::floor((x - kLeft + m_setupShift) / m_pitch);
        return static_cast<std::size_t>(
            std::clamp(index, 0.0, static_cast<double>(m_order.size())));
    };
    return {place(left), std::min(m_order.size(), place(right) + 1)};
}

std::optional<std::size_t> BankBoard::beside(int by) const {
    if (m_order.empty())
        return std::nullopt;
    const auto chosen = m_planner.selected();
    const auto last = static_cast<std::ptrdiff_t>(m_order.size()) - 1;
    const auto at = chosen ? static_cast<std::ptrdiff_t>(m_place[*chosen]) + by : 0;
    return m_order[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(at, 0, last))];
}

int BankBoard::bankAt(QPointF point) const {
    for (int b = 0; b < static_cast<int>(m_planner.plan().problem.banks.size()); ++b)
        if (slateBox(b).contains(point))
            return b;
    return -1;
}

QRectF BankBoard::itemBox(int item) const {
    return setupBox(m_order[static_cast<std::size_t>(item)]);
}

QString BankBoard::itemWords(int item) const {
    const auto setup = m_order[static_cast<std::size_t>(item)];
    return tr("%1 recalls %2, by hand %3")
        .arg(toQt(m_planner.plan().problem.work.setups[setup].number),
             bankName(m_planner.threads()[setup]), handNames(m_planner.now().uses[setup]));
}

QString BankBoard::bankName(int bank) const {
    return bank < 0 ? tr("nothing")
                    : tr("bank %1").arg(toQt(
                          m_planner.plan().problem.banks[static_cast<std::size_t>(bank)].label));
}

// Of all, of the chosen setup, and of what the move that is shown would come to.
void BankBoard::tellAll() {
    const auto& plan = m_planner.plan();
    const auto chosen = m_planner.selected();
    QString what = tr("%1 banks, %2 setups")
                       .arg(plan.problem.banks.size())
                       .arg(plan.problem.work.setups.size());
    if (chosen) {
        what += QStringLiteral("; ") + itemWords(static_cast<int>(m_place[*chosen]));
        const auto then = m_planner.costWith(m_target);
        if (m_target != m_planner.threads()[*chosen] && then)
            what += tr("; in %1 it would be %2 by hand, not %3")
                        .arg(m_target < 0 ? tr("no bank") : bankName(m_target),
                             toQt(printDuration(*then)), toQt(printDuration(m_planner.now().cost)));
    }
    describe(*this, QAccessible::Graphic, tr("Banks and setups"), what,
             tr("Left and right choose a setup, up and down a bank, Return puts it there"));
}

// Where it lies, and how it stands against what was written.
BankBoard::Foot BankBoard::footOf(const Bank& bank, bool recalled) const {
    for (const auto& finding : m_planner.findings()) {
        if (finding.subject != bank.label || bank.locked)
            continue;
        if (finding.id == FindingId::BankChanged)
            return {tr("changed since written"), Mark::Changed};
        if (finding.id == FindingId::BankUnwritten)
            return {tr("not written yet"), Mark::None};
        if (finding.id == FindingId::BankLost)
            return {tr("card: lost by then"), Mark::Lost};
    }
    const auto& view = m_planner.inView();
    const auto* record = view.camera ? findRecord(*view.shoot, view.camera->id) : nullptr;
    const auto* written = record ? findWritten(*record, bank.label) : nullptr;
    if (written && recalled)
        return {tr("written %1").arg(toQt(written->when).mid(5)), Mark::None};
    return {bank.place == BankPlace::Card ? tr("card") : QString(), Mark::None};
}

QPointF BankBoard::threadEnd(std::size_t setup) const {
    return {setupBox(setup).center().x(), setupBox(setup).top()};
}

QPainterPath BankBoard::threadOf(std::size_t setup, int bank) const {
    const QRectF slate = slateBox(bank);
    const QPointF from(slate.center().x(), slate.bottom()), to = threadEnd(setup);
    const double middle = (from.y() + to.y()) / 2;
    QPainterPath path(from);
    path.cubicTo(QPointF(from.x(), middle), QPointF(to.x(), middle), to);
    return path;
}

std::optional<std::size_t> BankBoard::threadAt(QPointF point) const {
    std::optional<std::size_t> found;
    double nearest = kThreadGrip;
    const auto [first, behind] = seen(0, width());
    for (std::size_t i = first; i < behind; ++i) {
        const auto setup = m_order[i];
        const int bank = m_planner.threads()[setup];
        if (bank < 0)
            continue;
        const auto path = threadOf(setup, bank);
        for (int step = 0; step <= kThreadSteps; ++step) {
            const QPointF away = path.pointAtPercent(step / double(kThreadSteps)) - point;
            if (const double distance = std::hypot(away.x(), away.y()); distance < nearest) {
                nearest = distance;
                found = setup;
            }
        }
    }
    return found;
}

void BankBoard::mousePressEvent(QMouseEvent* event) {
    m_held.reset();
    m_dragging = false;
    m_pressed = m_at = event->position();
    const auto [first, behind] = seen(m_pressed.x(), m_pressed.x());
    for (std::size_t i = first; i < behind; ++i)
        if (setupBox(m_order[i]).contains(m_pressed))
            m_held = m_order[i];
    if (!m_held && bankAt(m_pressed) < 0)
        m_held = threadAt(m_pressed);
    if (m_held)
        emit setupChosen(toQt(m_planner.plan().problem.work.setups[*m_held].id));
    else if (const int bank = bankAt(m_pressed); bank >= 0)
        setTarget(bank);
}

void BankBoard::mouseMoveEvent(QMouseEvent* event) {
    m_at = event->position();
    if (!m_held || !(event->buttons() & Qt::LeftButton))
        return;
    m_dragging = m_dragging || (m_at - m_pressed).manhattanLength() > kDragStart;
    if (!m_dragging)
        return;
    const int bank = bankAt(m_at);
    if (bank != m_target)
        setTarget(bank);
    update();
}

void BankBoard::mouseReleaseEvent(QMouseEvent*) {
    const bool drop = m_dragging && m_held;
    m_dragging = false;
    m_held.reset();
    if (drop)
        emit dropped(m_target);
    update();
}

void BankBoard::resizeEvent(QResizeEvent*) {
    arrange();
}

} // namespace bslate::app
