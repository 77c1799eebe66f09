#include "app/views/media/take_fields.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "core/quantity/print.h"
#include "core/shoot/take_line.h"

#include <QHBoxLayout>
#include <QLabel>

namespace bslate::app {

TakeFields::TakeFields(DayActions& actions, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_line(quantityField("take-line", tr("Take"),
                           [this](const QString& text) {
                               return problemOf(
                                   parseTakeLine(m_actions.document().shoot(), fromQt(text)));
                           }))
    , m_really(quantityField("take-really", tr("Really ran"),
                             [](const QString& text) -> std::optional<QString> {
                                 return text.trimmed().isEmpty()
                                            ? std::nullopt
                                            : problemOf(parseHappened(fromQt(text)));
                             }))
    , m_card(quantityField(
          "take-card", tr("Card"), [this](const QString& text) -> std::optional<QString> {
              if (text.trimmed().isEmpty() || unitNamed(text) >= 0)
                  return std::nullopt;
              QStringList known;
              for (const auto& label : m_actions.planner().plan().cards.unitLabels)
                  known << toQt(label);
              return tr("No card is called %1; there are %2.")
                  .arg(text.trimmed(), known.mid(0, 24).join(QStringLiteral(", ")));
          })) {
    setObjectName(QStringLiteral("take-fields"));
    layOut();
    for (auto* edit : {m_line, m_really, m_card}) {
        connect(edit, &QuantityEdit::refused, this, [this](const QString& message) {
            m_fresh = false;
            show(m_take, m_lane);
            emit refused(message);
        });
        connect(edit, &QuantityEdit::leftUnchanged, this, [this] {
            m_fresh = false;
            show(m_take, m_lane);
        });
    }
    connect(m_line, &QuantityEdit::entered, this, &TakeFields::enterLine);
    connect(m_really, &QuantityEdit::entered, this, [this](const QString& text) {
        m_actions.happened(m_take, text);
        emit entered();
    });
    connect(m_card, &QuantityEdit::entered, this, &TakeFields::enterCard);
}

void TakeFields::layOut() {
    m_card->setFixedWidth(64);
    m_really->setFixedWidth(110);
    m_line->setPlaceholderText(tr("4A+4B 70min whole 13:00 interview"));
    m_really->setPlaceholderText(tr("13:04 75min"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    const std::pair<QString, QuantityEdit*> fields[] = {
        {tr("Take"), m_line}, {tr("really"), m_really}, {tr("card"), m_card}};
    for (const auto& [name, edit] : fields) {
        auto* label = new QLabel(name);
        label->setFont(Style::font(TextRole::Secondary));
        label->setForegroundRole(QPalette::PlaceholderText);
        row->addWidget(label);
        row->addWidget(edit, edit == m_line ? 1 : 0);
    }
}

void TakeFields::show(const QString& take, int lane) {
    if (take != m_take)
        m_fresh = false;
    m_take = take;
    m_lane = lane;
    const auto* own = findTake(m_actions.planner().day(), fromQt(take));
    if (!m_fresh)
        m_line->showValue(own ? toQt(lineOf(m_actions.document().shoot(), *own)) : QString());
    QString really;
    if (own && own->ran)
        really = (own->began ? toQt(spellTimeOfDay(*own->began)) + QLatin1Char(' ') : QString()) +
                 toQt(spellDuration(*own->ran)).remove(QLatin1Char(' '));
    m_really->showValue(really);
    m_really->setEnabled(own != nullptr);
    showCard();
}

void TakeFields::showCard() {
    const auto& cards = m_actions.planner().plan().cards;
    const auto where = place();
    QString card;
    if (where)
        for (const auto& use : cards.plan.uses)
            if (use.lane == where->lane && use.demand == where->demand && card.isEmpty())
                card = toQt(cards.unitLabels[static_cast<std::size_t>(use.unit)]);
    m_card->showValue(card);
    m_card->setEnabled(where.has_value());
}

void TakeFields::typeLine(bool fresh) {
    m_fresh = fresh;
    if (fresh)
        m_line->showValue({});
    m_line->setFocus();
    m_line->selectAll();
}

void TakeFields::typeReally() {
    m_really->setFocus();
    m_really->selectAll();
}

void TakeFields::typeCard() {
    m_card->setFocus();
    m_card->selectAll();
}

std::optional<CardPlace> TakeFields::place() const {
    const auto& plan = m_actions.planner().plan();
    std::optional<CardPlace> first;
    for (std::size_t l = 0; l < plan.cards.lanes.size(); ++l) {
        const auto& lane = plan.cards.lanes[l];
        for (std::size_t d = 0; d < lane.takes.size(); ++d) {
            if (toQt(plan.takes[static_cast<std::size_t>(lane.takes[d])].id) != m_take)
                continue;
            const CardPlace place{static_cast<int>(l), static_cast<int>(d)};
            if (place.lane == m_lane)
                return place;
            if (!first)
                first = place;
        }
    }
    return first;
}

int TakeFields::unitNamed(const QString& text) const {
    const auto& cards = m_actions.planner().plan().cards;
    for (std::size_t unit = 0; unit < cards.unitLabels.size(); ++unit)
        if (toQt(cards.unitLabels[unit]).compare(text.trimmed(), Qt::CaseInsensitive) == 0)
            return static_cast<int>(unit);
    return -1;
}

void TakeFields::enterCard(const QString& text) {
    if (const auto where = place())
        m_actions.putCard(*where, text.trimmed().isEmpty() ? -1 : unitNamed(text));
    showCard();
    emit entered();
}

void TakeFields::enterLine(const QString& line) {
    if (!m_fresh) {
        m_actions.rewriteTake(m_take, line);
    } else {
        m_fresh = false;
        const QString id = m_actions.addTake(line, m_take);
        if (!id.isEmpty())
            emit added(id);
    }
    emit entered();
}

} // namespace bslate::app
