#pragma once

#include "app/document/day_actions.h"
#include "app/widgets/quantity_edit.h"

#include <QWidget>

namespace bslate::app {

/// The typed fields of the chosen take: its line, how it really went, and the card of one camera.
class TakeFields : public QWidget {
    Q_OBJECT

public:
    explicit TakeFields(DayActions& actions, QWidget* parent = nullptr);

    /// Shows a take of the plan with the card in a lane, or its first one.
    void show(const QString& take, int lane);
    /// Puts the cursor into the take's line, or into an empty one for a new take.
    void typeLine(bool fresh);
    void typeReally();
    void typeCard();
    /// The place of the chosen take in the chosen lane, or its first one.
    [[nodiscard]] std::optional<CardPlace> place() const;
    [[nodiscard]] bool isFresh() const { return m_fresh; }

signals:
    void added(const QString& take);
    void entered();
    void refused(const QString& message);

private:
    void layOut();
    void enterLine(const QString& line);
    void enterCard(const QString& text);
    void showCard();
    [[nodiscard]] int unitNamed(const QString& text) const;

    DayActions& m_actions;
    QuantityEdit* m_line;
    QuantityEdit* m_really;
    QuantityEdit* m_card;
    QString m_take;
    int m_lane = -1;
    bool m_fresh = false; ///< the line is a new take
};

} // namespace bslate::app
