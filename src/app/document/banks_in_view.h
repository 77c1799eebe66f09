#pragma once

#include "core/banks/banks_verdict.h"
#include "core/banks/preroll.h"

#include <memory>
#include <unordered_map>

namespace bslate::app {

/// The banks of one camera as they stand in one value of the shoot, with everything a view of them
/// draws, worked out once. A value: workers make it, the window's thread only reads it.
struct BanksInView {
    std::shared_ptr<const Shoot> shoot; ///< null: nothing was worked out yet
    const Camera* camera = nullptr;     ///< in `shoot`; null when it has none
    CameraPlan plan;
    Threads threads;                                    ///< as the shoot has them
    BankPlan now;                                       ///< of these threads
    std::array<Seconds, kBankSchools.size()> schools{}; ///< what the banks of habit cost
    std::unordered_map<std::string, std::size_t> index; ///< into the work's setups, by their id

    std::string setup;          ///< id of the chosen one, perhaps of another camera
    std::vector<Seconds> costs; ///< with the chosen one in no bank, then in each; empty without
    std::vector<Check> checks;  ///< its pre-roll

    bool settled = false; ///< whether `plan.best`, the controls and what follows are of this value
    std::vector<Finding> findings;
    std::optional<DayPlan> day; ///< of the chosen setup where it has takes
};

/// What can be drawn at once: with the controls, findings and day of `before` where that is of the
/// same camera; all of it where it is of the same value too. `camera` and `setup` are ids; an
/// unknown camera gives a view without one.
[[nodiscard]] BanksInView lookedAt(std::shared_ptr<const Shoot> shoot, const std::string& camera,
                                   const std::string& setup, const BanksInView& before);

/// The same with the best banks, the judgements and the day's cards. A search that is not wanted
/// any more ends with what it has.
[[nodiscard]] BanksInView settledView(BanksInView view, const KeepGoing& keepGoing);

/// True when settledView() has nothing to add.
[[nodiscard]] bool isWhole(const BanksInView& view);

} // namespace bslate::app
