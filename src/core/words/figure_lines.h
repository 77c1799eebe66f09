#pragma once

#include "core/words/wording.h"

#include <string>
#include <vector>

namespace bslate {

/// One figure of two setups as it reads.
struct FigureLine {
    FigureId id = FigureId::Recording;
    std::string name, before, after;
    [[nodiscard]] bool differs() const { return before != after; }
};

/// In words, what differs first. Values that read alike do not differ for whoever reads them.
[[nodiscard]] std::vector<FigureLine> figureLines(const std::vector<Difference>& differences,
                                                  const Translator& translate = {});

} // namespace bslate
