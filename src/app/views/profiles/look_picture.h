#pragma once

#include "app/style/style.h"
#include "core/facts/look_compare.h"

#include <QWidget>

#include <vector>

namespace bslate::app {

/// Two looks on the same scene: every patch and six hues as each shows them, halves side by side,
/// with the level under each half.
class LookPicture : public QWidget {
    Q_OBJECT

public:
    explicit LookPicture(const Style& style, QWidget* parent = nullptr);

    void show(std::vector<LookSample> samples, const QString& first, const QString& second);
    [[nodiscard]] QString words() const;

    QSize sizeHint() const override { return {620, 190}; }
    QSize minimumSizeHint() const override { return {460, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    std::vector<LookSample> m_samples;
    QString m_first, m_second;
};

} // namespace bslate::app
