#pragma once

#include "app/widgets/pick_canvas.h"
#include "core/facts/lattice.h"

#include <string>
#include <vector>

namespace bslate::app {

/// The mode lattice as a picture: frame rates across, codec and size down, sensor areas as
/// layers. Each cell shows bit rate, record time and marks for what it costs; a cell that cannot
/// be used is hatched and says why in a word. Nothing changes until a cell is picked.
class LatticeCanvas : public PickCanvas {
    Q_OBJECT

public:
    explicit LatticeCanvas(const Style& style, QWidget* parent = nullptr);

    /// Shows a lattice whose pointers stay valid until the next call; `mode` and `rate` are what
    /// the setup records now, and the cursor goes there unless `keepCursor`.
    void show(const Lattice* lattice, const Camera* camera, const std::string& mode, FrameRate rate,
              bool keepCursor);

    /// The cell under the cursor; null when there is none.
    [[nodiscard]] const ModeCell* cursor() const { return cell(current()); }

    /// Shows one sensor area only, or all (empty id): the layers of the lattice.
    void setLayer(const std::string& area);
    [[nodiscard]] const std::string& layer() const { return m_layer; }
    void nextLayer();
    /// Hides rows and rates in which nothing can be used.
    void setOnlyOpen(bool on);
    [[nodiscard]] bool onlyOpen() const { return m_onlyOpen; }

    /// Where a cell is drawn, for tests and for keeping it in view; empty when it is hidden.
    [[nodiscard]] QRectF boxOf(const std::string& mode, FrameRate rate) const;

    [[nodiscard]] int itemCount() const override;
    [[nodiscard]] QRectF itemBox(int item) const override;
    [[nodiscard]] QString itemWords(int item) const override;

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;

protected:
    [[nodiscard]] QString emptyWords() const override;
    [[nodiscard]] int columns() const override { return static_cast<int>(m_columns.size()); }
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] const ModeCell* cell(int item) const;
    void arrange();
    /// The place of a cell, also of one that another layer hides it behind; the first for none.
    [[nodiscard]] int placeOf(const std::string& mode, FrameRate rate) const;
    void holdCursor();
    void paintHeader(QPainter& painter) const;
    void paintRowHead(QPainter& painter, int row) const;
    void paintCell(QPainter& painter, int item) const;
    void paintOpen(QPainter& painter, const QRectF& area, const ModeCell& shown, bool now) const;

    const Lattice* m_lattice = nullptr;
    const Camera* m_camera = nullptr;
    std::string m_mode; ///< recorded now
    FrameRate m_rate;
    std::string m_layer;
    bool m_onlyOpen = false;
    std::vector<std::size_t> m_rows;    ///< shown ones
    std::vector<std::size_t> m_columns; ///< shown ones
    std::string m_heldMode;             ///< of the cell under the cursor, for the next lattice
    FrameRate m_heldRate;
};

/// The words for a cell, as read by assistive technology and shown in its tip.
[[nodiscard]] QString cellText(const ModeCell& cell);

} // namespace bslate::app
