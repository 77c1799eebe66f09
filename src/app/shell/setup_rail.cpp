#include "app/shell/setup_rail.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QWheelEvent>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kSlate = 186;
constexpr int kGap = 8;
constexpr int kNumber = 36;

QString settings(const Shoot& shoot, const Setup& setup) {
    const auto* profile = findProfile(shoot.kit, setup.profile);
    const bool recorded = profile && profile->iso == IsoBehaviour::Recorded;
    return QStringLiteral("%1 \u00b7 %2 \u00b7 %3 %4")
        .arg(toQt(print(setup.rate)), toQt(print(setup.shutter)).remove(QStringLiteral(" s")),
             recorded ? QStringLiteral("ISO") : QStringLiteral("EI"), toQt(print(setup.rating)));
}

} // namespace

SetupRail::SetupRail(ShootDocument& document, const Style& style, QWidget* parent)
    : PickCanvas(style, "setup-rail", Order::Across, Click::Moves,
                 {QT_TRANSLATE_NOOP("Help", "choose a setup")}, parent)
    , m_document(document) {
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setSpoken(QAccessible::PageTabList, tr("Setups"),
              tr("Ctrl+Left and Ctrl+Right move along the rail"));
    connect(this, &PickCanvas::moved, this, [this](int setup) {
        if (setup < itemCount())
            m_document.select(toQt(m_document.shoot().setups[static_cast<std::size_t>(setup)].id));
    });
    connect(&document, &ShootDocument::changed, this, &SetupRail::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, &SetupRail::showSelected);
    connect(&document.verdicts(), &Verdicts::judged, this, &SetupRail::refresh);
    refresh();
}

int SetupRail::itemCount() const {
    return static_cast<int>(m_document.shoot().setups.size());
}

QRectF SetupRail::itemBox(int setup) const {
    return QRectF(setup * (kSlate + kGap) - m_offset, 2, kSlate, height() - 6);
}

QString SetupRail::itemWords(int setup) const {
    const auto& own = m_document.shoot().setups[static_cast<std::size_t>(setup)];
    return tr("%1 of %2: %3 %4, %5")
        .arg(setup + 1)
        .arg(itemCount())
        .arg(toQt(own.number), toQt(own.name), toQt(severityName(severityOf(own))));
}

int SetupRail::selectedIndex() const {
    const auto& setups = m_document.shoot().setups;
    for (std::size_t i = 0; i < setups.size(); ++i)
        if (toQt(setups[i].id) == m_document.setupId())
            return static_cast<int>(i);
    return -1;
}

void SetupRail::refresh() {
    holdCurrent(selectedIndex());
    setOffset(m_offset);
    wantVerdicts();
    if (auto shown = shownNow(); shown != m_shown) {
        m_shown = std::move(shown);
        update();
    }
}

std::pair<int, int> SetupRail::inView() const {
    const int count = static_cast<int>(m_document.shoot().setups.size());
    return {m_offset / (kSlate + kGap),
            std::min(count - 1, (m_offset + width()) / (kSlate + kGap))};
}

QStringList SetupRail::shownNow() {
    QStringList shown{m_document.setupId(), QString::number(m_offset)};
    const auto [first, last] = inView();
    for (int i = first; i <= last; ++i) {
        const auto& setup = m_document.shoot().setups[static_cast<std::size_t>(i)];
        shown << toQt(setup.number) << toQt(setup.name) << settings(m_document.shoot(), setup)
              << QString::number(static_cast<int>(severityOf(setup)));
    }
    return shown;
}

// Of the selected setup first, which the panel shows, then of what is in view.
void SetupRail::wantVerdicts() {
    std::vector<std::string> wanted;
    if (const auto* setup = m_document.setup())
        wanted.push_back(setup->id);
    const auto [first, last] = inView();
    for (int i = first; i <= last; ++i)
        if (const auto& id = m_document.shoot().setups[static_cast<std::size_t>(i)].id;
            wanted.empty() || id != wanted.front())
            wanted.push_back(id);
    m_document.verdicts().want(wanted);
}

Severity SetupRail::severityOf(const Setup& setup) const {
    const auto* verdict = m_document.verdicts().known(setup);
    return verdict ? verdict->worst() : Severity::Good;
}

void SetupRail::showSelected() {
    const int index = selectedIndex();
    if (index >= 0) {
        const int left = index * (kSlate + kGap);
        if (left < m_offset)
            setOffset(left);
        else if (left + kSlate > m_offset + width())
            setOffset(left + kSlate - width());
    }
    refresh();
}

void SetupRail::setOffset(int offset) {
    const int total = static_cast<int>(m_document.shoot().setups.size()) * (kSlate + kGap) - kGap;
    const int clamped = std::clamp(offset, 0, std::max(0, total - width()));
    if (clamped == m_offset)
        return;
    m_offset = clamped;
    update();
}

void SetupRail::resizeEvent(QResizeEvent*) {
    showSelected();
}

void SetupRail::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& setups = m_document.shoot().setups;
    const int selected = selectedIndex();
    const auto [first, last] = inView();
    for (int i = first; i <= last; ++i) {
        drawSlate(painter, itemBox(i), setups[static_cast<std::size_t>(i)], i == selected);
    }
    if (setups.empty()) {
        painter.setPen(style().colours().muted);
        painter.drawText(rect(), Qt::AlignVCenter | Qt::AlignLeft, tr("  No setups yet"));
    }
}

void SetupRail::drawSlate(QPainter& painter, const QRectF& box, const Setup& setup, bool selected) {
    const auto& t = style().colours();
    drawBlock(painter, box, selected ? t.raised : t.panel, t.marigold,
              selected && hasFocus() ? 2.0 : 0.0);
    painter.fillRect(QRectF(box.left() + 2, box.top() + 2, kNumber, box.height() - 4), t.deep);
    const auto title = Style::font(TextRole::Title);
    painter.setFont(title);
    painter.setPen(selected ? t.marigold : t.ink);
    painter.drawText(QRectF(box.left(), box.top(), kNumber + 4, box.height()), Qt::AlignCenter,
                     elided(toQt(setup.number), title, kNumber));
    const double x = box.left() + kNumber + 8;
    const double room = box.right() - x - 26;
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.ink);
    painter.drawText(QRectF(x, box.top() + 6, room, 18), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(toQt(setup.name), Style::font(TextRole::Body), room));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(x, box.top() + 28, box.right() - x - 4, 18),
                     Qt::AlignLeft | Qt::AlignVCenter,
                     elided(settings(m_document.shoot(), setup), Style::font(TextRole::Secondary),
                            box.right() - x - 4));
    drawSeverity(painter, QRectF(box.right() - 22, box.top() + 8, 14, 14), severityOf(setup), false,
                 t);
    if (selected)
        painter.fillRect(QRectF(box.left() + 2, box.bottom() - 1, box.width() - 4, 3), t.marigold);
}

void SetupRail::wheelEvent(QWheelEvent* event) {
    const int delta =
        event->angleDelta().y() != 0 ? event->angleDelta().y() : event->angleDelta().x();
    setOffset(m_offset - delta);
}

} // namespace bslate::app
