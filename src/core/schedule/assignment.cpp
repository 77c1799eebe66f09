#include "core/schedule/assignment.h"

#include <cstddef>
#include <limits>

namespace bslate {

// Shortest augmenting paths with potentials, on costs that are the gains turned round. Every
// worker has a job of its own that gains nothing, behind the real ones.
std::vector<int> bestAssignment(const std::vector<std::vector<double>>& gains) {
    const std::size_t workers = gains.size();
    const std::size_t real = workers ? gains.front().size() : 0;
    const std::size_t jobs = real + workers;
    const auto cost = [&](std::size_t w, std::size_t j) {
        return j < real && gains[w][j] > 0 ? -gains[w][j] : 0.0;
    };
    // Counted from 1; job 0 stands for the worker that is being placed.
    std::vector<double> ofWorker(workers + 1), ofJob(jobs + 1);
    std::vector<std::size_t> doneBy(jobs + 1), from(jobs + 1);
    for (std::size_t placed = 1; placed <= workers; ++placed) {
        doneBy[0] = placed;
        std::vector<double> least(jobs + 1, std::numeric_limits<double>::infinity());
        std::vector<bool> seen(jobs + 1);
        std::size_t at = 0;
        do {
            seen[at] = true;
            const std::size_t worker = doneBy[at];
            double step = std::numeric_limits<double>::infinity();
            std::size_t next = 0;
            for (std::size_t j = 1; j <= jobs; ++j) {
                if (seen[j])
                    continue;
                const double reduced = cost(worker - 1, j - 1) - ofWorker[worker] - ofJob[j];
                if (reduced < least[j]) {
                    least[j] = reduced;
                    from[j] = at;
                }
                if (least[j] < step) {
                    step = least[j];
                    next = j;
                }
            }
            for (std::size_t j = 0; j <= jobs; ++j)
                if (seen[j]) {
                    ofWorker[doneBy[j]] += step;
                    ofJob[j] -= step;
                } else {
                    least[j] -= step;
                }
            at = next;
        } while (doneBy[at] != 0);
        for (; at != 0; at = from[at])
            doneBy[at] = doneBy[from[at]];
    }
    std::vector<int> jobOf(workers, -1);
    for (std::size_t j = 1; j <= real; ++j)
        if (doneBy[j] != 0 && gains[doneBy[j] - 1][j - 1] > 0)
            jobOf[doneBy[j] - 1] = static_cast<int>(j - 1);
    return jobOf;
}

} // namespace bslate
