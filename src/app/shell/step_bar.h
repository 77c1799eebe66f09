#pragma once

#include "app/style/style.h"

#include <QAbstractButton>
#include <QWidget>

namespace bslate::app {

/// The steps down the left edge, in the order of the work. Steps that do not work yet are not
/// there; the numbers stay those of the full order, so that keys never change.
class StepBar : public QWidget {
    Q_OBJECT

public:
    explicit StepBar(const Style& style, QWidget* parent = nullptr);

    void addStep(int number, const QString& name, const QString& help);
    void setCurrent(int number);
    /// Something that is no step is shown: none is highlighted, the current one stays.
    void leave();
    [[nodiscard]] int current() const { return m_current; }

    QSize sizeHint() const override { return {76, 400}; }

signals:
    void chosen(int number);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    QList<QAbstractButton*> m_buttons;
    int m_current = 0;
};

} // namespace bslate::app
