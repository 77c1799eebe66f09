#pragma once

#include "core/clip/own_camera.h"

#include <QWidget>

#include <functional>

class QCheckBox;
class QLabel;

namespace bslate::app {

class QuantityEdit;

/// The chosen cell of a lattice, to be edited: its bit rate, and what recording at that rate costs
/// besides - crop, sound, autofocus, a limit to the length - for it alone or its whole row.
class CellEditor : public QWidget {
    Q_OBJECT

public:
    explicit CellEditor(QWidget* parent = nullptr);

    void show(const SeenMode* mode, std::optional<FrameRate> rate);
    void typeNumber(); ///< puts the cursor into the bit rate

signals:
    void edited(const std::vector<bslate::LatticeEdit>& edits);
    void rateAdded(bslate::FrameRate rate);
    void refused(const QString& message);
    void left(); ///< nothing was changed

private:
    [[nodiscard]] bool hasCell() const;
    void enableMarks();
    void enterBits(const QString& text);
    void add(const QString& text);
    void mark(const std::function<void(CellMarks&)>& change);

    std::optional<SeenMode> m_mode;
    std::optional<FrameRate> m_rate;
    QLabel *m_cell, *m_ground;
    QuantityEdit *m_bits, *m_crop, *m_limit, *m_add;
    QCheckBox *m_sound, *m_focus, *m_row;
};

} // namespace bslate::app
