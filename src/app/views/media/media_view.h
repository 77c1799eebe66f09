#pragma once

#include "app/document/day_actions.h"
#include "app/style/style.h"
#include "app/views/media/day_timeline.h"
#include "app/views/media/take_fields.h"
#include "app/views/step_view.h"
#include "app/widgets/quantity_edit.h"
#include "core/words/card_text.h"

class QLabel;
class QPushButton;

namespace bslate::app {

/// The Media step: the day as a timeline with its typed fields, one day at a time.
class MediaView : public StepView {
    Q_OBJECT

public:
    MediaView(DayActions& actions, const Style& style, QWidget* parent = nullptr);

    /// Shows the day of the chosen setup, planned.
    void settle() override;

    [[nodiscard]] DayTimeline& timeline() { return *m_timeline; }
    [[nodiscard]] const QString& take() const { return m_timeline->chosenTake(); }
    void chooseTake(const QString& take, int lane = -1);
    void stepDay(int by);
    /// The pack list with the labels of the cards, to print; null when nothing is planned.
    [[nodiscard]] std::optional<Card> packCard() const;

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    void addKeys();
    void layOut();
    void wireFields();
    void wireTimeline();
    void refresh();
    void showFields();
    void showProgress();
    [[nodiscard]] QString summary() const;
    void stepTake(int by);
    void stepLane(int by);
    void nudge(int minutes);
    void dropTake(const QString& take, Seconds start);
    void failCard();
    void fill(); ///< an empty day, from the scenes

    DayActions& m_actions;
    const Style& m_style;
    QLabel* m_title;
    QLabel* m_summary;
    QLabel* m_caution;
    QPushButton* m_fill;
    QPushButton* m_pack;
    QuantityEdit* m_begins;
    QuantityEdit* m_safeBy;
    QuantityEdit* m_copies;
    QuantityEdit* m_finished;
    TakeFields* m_fields;
    DayTimeline* m_timeline;
    int m_drag = 0;
};

} // namespace bslate::app
