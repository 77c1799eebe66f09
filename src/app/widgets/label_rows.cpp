#include "app/widgets/label_rows.h"

#include <QFontMetricsF>

#include <algorithm>
#include <numeric>

namespace bslate::app {
namespace {

constexpr double kGap = 8.0;
constexpr double kLeastWidth = 28.0;

bool meets(const QRectF& box, const std::vector<AxisLabel>& labels) {
    return std::any_of(labels.begin(), labels.end(), [&](const AxisLabel& other) {
        return !other.box.isEmpty() &&
               other.box.adjusted(-kGap / 2, 0, kGap / 2, 0).intersects(box);
    });
}

} // namespace

void staggerLabels(std::vector<AxisLabel>& labels, const QFont& font, double left, double right,
                   double baseline, double rowHeight, int rows) {
    const QFontMetricsF metrics(font);
    std::vector<std::size_t> order(labels.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::sort(order.begin(), order.end(),
              [&](std::size_t a, std::size_t b) { return labels[a].x < labels[b].x; });
    for (auto& label : labels)
        label.box = {};
    for (const auto index : order) {
        auto& label = labels[index];
        for (const double share : {1.0, 0.6, 0.35}) {
            const double full = metrics.horizontalAdvance(label.text);
            const double width = std::max(kLeastWidth, full * share) + 2;
            for (int row = 0; row < rows && label.box.isEmpty(); ++row) {
                const double x =
                    std::clamp(label.x - width / 2, left, std::max(left, right - width));
                const QRectF box(x, baseline - (row + 1) * rowHeight, width, rowHeight);
                if (!meets(box, labels)) {
                    label.box = box;
                    label.shown = metrics.elidedText(label.text, Qt::ElideRight, width);
                }
            }
            if (!label.box.isEmpty())
                break;
        }
    }
}

void spreadBoxes(std::vector<QRectF>& boxes, const QRectF& area) {
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        const auto free = [&](const QRectF& box) {
            return area.contains(box) &&
                   std::none_of(boxes.begin(), boxes.begin() + static_cast<std::ptrdiff_t>(i),
                                [&](const QRectF& other) { return other.intersects(box); });
        };
        const QRectF wanted = boxes[i];
        for (double step = 0; step < area.height(); step += 4) {
            if (free(wanted.translated(0, step))) {
                boxes[i] = wanted.translated(0, step);
                break;
            }
            if (free(wanted.translated(0, -step))) {
                boxes[i] = wanted.translated(0, -step);
                break;
            }
        }
    }
}

} // namespace bslate::app
