#include "core/words/figure_lines.h"

#include <algorithm>

namespace bslate {

std::vector<FigureLine> figureLines(const std::vector<Difference>& differences,
                                    const Translator& translate) {
    std::vector<FigureLine> lines;
    for (const auto& one : differences)
        lines.push_back({one.id, nameOf(one.id, translate), reasonOf(one.before, translate),
                         reasonOf(one.after, translate)});
    std::stable_partition(lines.begin(), lines.end(),
                          [](const FigureLine& line) { return line.differs(); });
    return lines;
}

} // namespace bslate
