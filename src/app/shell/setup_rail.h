#pragma once

#include "app/document/shoot_document.h"
#include "app/widgets/pick_canvas.h"

#include <QStringList>

#include <utility>

namespace bslate::app {

/// One small slate per setup: number, name, the three settings that matter, and its state. Only
/// the slates in view are painted and judged, so a long shoot costs no more than a short one.
class SetupRail : public PickCanvas {
    Q_OBJECT

public:
    SetupRail(ShootDocument& document, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] int itemCount() const override;
    [[nodiscard]] QRectF itemBox(int setup) const override;
    [[nodiscard]] QString itemWords(int setup) const override;

    QSize sizeHint() const override { return {600, 58}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    [[nodiscard]] QString emptyWords() const override { return tr("no setups"); }
    void wheelEvent(QWheelEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void wantVerdicts();
    [[nodiscard]] Severity severityOf(const Setup& setup) const;
    void refresh();
    void showSelected();
    void drawSlate(QPainter& painter, const QRectF& box, const Setup& setup, bool selected);
    [[nodiscard]] int selectedIndex() const;
    void setOffset(int offset);
    /// First and last index in view; last < first when there is nothing.
    [[nodiscard]] std::pair<int, int> inView() const;
    /// What the slates in view show, to repaint only when that changed.
    [[nodiscard]] QStringList shownNow();

    ShootDocument& m_document;
    int m_offset = 0; ///< pixels scrolled
    QStringList m_shown;
};

} // namespace bslate::app
