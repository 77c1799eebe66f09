#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"

#include <QWidget>

#include <functional>
#include <vector>

class QHBoxLayout;
class QPushButton;

namespace bslate::app {

class LampBlock;
class LampDialog;
class QuantityEdit;

/// The lamps of the scene side by side, and a place to add one.
class LampRow : public QWidget {
    Q_OBJECT

public:
    LampRow(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    void addLamp(); ///< opens the field for a new lamp
    /// Measures one on a clip that is asked for; null when none is chosen, or there is no setup.
    LampDialog* measureLamp();
    /// Where the clip is; tests put their own answer in.
    void setAskForClip(std::function<QString()> ask) { m_ask = std::move(ask); }
    [[nodiscard]] const std::vector<LampBlock*>& blocks() const { return m_blocks; }

    QSize sizeHint() const override { return {760, 54}; }

signals:
    void refused(const QString& message);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    LampBlock* makeBlock(std::size_t index);
    void wire(LampBlock& block, std::size_t index);
    void changeLamp(const QString& name, std::size_t index,
                    const std::function<void(Lamp&)>& change, int drag = 0);
    void enterNew(const QString& line);
    void putNew(const QString& name, const Lamp& lamp);
    /// What is wrong with a line in the place of a lamp, or as one more.
    [[nodiscard]] std::optional<QString> problemWith(const QString& line,
                                                     std::optional<std::size_t> index) const;

    Actions& m_actions;
    const Style& m_style;
    QHBoxLayout* m_row;
    QPushButton *m_add, *m_measure;
    QuantityEdit* m_new;
    std::vector<LampBlock*> m_blocks;
    double m_dragFrom = 100; ///< hertz
    int m_drag = 0;
    std::function<QString()> m_ask;
};

} // namespace bslate::app
