#pragma once

#include "app/style/style.h"
#include "core/clip/own_camera.h"

#include <QWidget>

namespace bslate::app {

/// The modes of a camera that is being brought in: formats down, rates across, in each cell its bit
/// rate and what that rests on. Arrow keys or the mouse choose a cell; Return or a double click
/// asks for its number.
class SeenLattice : public QWidget {
    Q_OBJECT

public:
    explicit SeenLattice(const Style& style, QWidget* parent = nullptr);

    void show(OwnLattice lattice);
    /// The cell that is chosen when the lattice is shown next: where an edit moves it.
    void follow(const LatticeEdit& edit) { m_follow = edit; }
    /// The format of the chosen row; null while there is none.
    [[nodiscard]] const SeenMode* mode() const;
    [[nodiscard]] std::optional<FrameRate> rate() const;
    [[nodiscard]] const std::vector<SeenMode>& modes() const { return m_own.modes; }
    [[nodiscard]] QRectF boxOf(int row, int column) const;

    QSize sizeHint() const override { return {480, 300}; }
    QSize minimumSizeHint() const override { return {330, 160}; }

signals:
    void moved();
    void numberWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void moveTo(int row, int column);
    void tell();
    [[nodiscard]] QString groundText(const CellGround& ground) const;
    void paintCell(QPainter& painter, int row, int column) const;

    const Style& m_style;
    OwnLattice m_own;
    std::optional<LatticeEdit> m_follow;
    int m_row = 0, m_column = 0;
};

} // namespace bslate::app
