#pragma once

#include "app/style/style.h"
#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"

#include <QImage>
#include <QWidget>

class QTimer;

namespace bslate::app {

/// The scene as the grade shows it, small and without noise or codec: there while something is
/// moved, and gone a moment after.
class LivePicture : public QWidget {
    Q_OBJECT

public:
    explicit LivePicture(const Style& style, QWidget* parent);

    /// Takes a few milliseconds.
    void showFor(const SetupContext& context, const Evaluation& at);

    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    QTimer* m_gone;
    QImage m_picture;
};

} // namespace bslate::app
