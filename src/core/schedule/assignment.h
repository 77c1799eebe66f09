#pragma once

#include <vector>

namespace bslate {

/// Which worker does which job so that the sum of the gains is greatest; each does one at most, and
/// none where that gains nothing.
/// `gains[w][j]` is what worker w gains with job j; 0 or less: they do not fit. Rows are of one
/// length. The answer holds for each worker its job, or -1. Hungarian method (Kuhn 1955), in
/// O(n^3) for n workers and jobs together; of several best ones always the same.
[[nodiscard]] std::vector<int> bestAssignment(const std::vector<std::vector<double>>& gains);

} // namespace bslate
