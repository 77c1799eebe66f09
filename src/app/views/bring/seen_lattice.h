#pragma once

#include "app/widgets/pick_canvas.h"
#include "core/clip/own_camera.h"

namespace bslate::app {

/// The modes of a camera that is being brought in: formats down, rates across, in each cell its bit
/// rate and what that rests on. Picking a cell asks for its number.
class SeenLattice : public PickCanvas {
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

    [[nodiscard]] int itemCount() const override;
    [[nodiscard]] QRectF itemBox(int item) const override;
    [[nodiscard]] QString itemWords(int item) const override;

    QSize sizeHint() const override { return {480, 300}; }
    QSize minimumSizeHint() const override { return {330, 160}; }

protected:
    [[nodiscard]] QString emptyWords() const override { return tr("none yet"); }
    [[nodiscard]] int columns() const override { return static_cast<int>(m_own.rates.size()); }
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QString groundText(const CellGround& ground) const;
    void paintRow(QPainter& painter, std::size_t row) const;
    void paintCell(QPainter& painter, int item) const;

    OwnLattice m_own;
    std::optional<LatticeEdit> m_follow;
};

} // namespace bslate::app
