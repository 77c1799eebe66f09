#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"

#include <QWidget>

namespace bslate::app {

class ValueBlock;

/// The arithmetic of the exposure as a row of controls: light, ND, iris, shutter, base, rating.
class LightTrain : public QWidget {
    Q_OBJECT

public:
    enum Link { Key, Nd, Iris, ShutterLink, Base, Rated, LinkCount };

    LightTrain(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    /// One step of a link, as its arrow keys do it.
    void step(Link link, int steps);
    void type(Link link);
    [[nodiscard]] ValueBlock* block(Link link) const { return m_blocks[link]; }

signals:
    void refused(const QString& message);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void build();
    void wire(Link link);
    void turnBy(Link link, int steps, const ShootDocument::Value& from, int drag);
    void enter(Link link, const QString& text);
    [[nodiscard]] std::optional<QString> problemWith(Link link, const QString& text) const;
    [[nodiscard]] const Lens* lensInUse() const;
    [[nodiscard]] static QString stepName(Link link);

    Actions& m_actions;
    const Style& m_style;
    ValueBlock* m_blocks[LinkCount] = {};
    ShootDocument::Value m_dragFrom;
    int m_drag = 0;
};

} // namespace bslate::app
