#pragma once

#include "core/banks/bank_plan.h"
#include "core/base/keep_going.h"

#include <array>
#include <string_view>
#include <vector>

/// The banks of a camera, planned.
namespace bslate {

/// The threads that cost least by hand, proven for the numbers people have (medians.h), with the
/// bound they were measured against. Locked banks stay. Banks on the card are used only when all
/// inside are and they save something. Of banks that are alike, one that was already written as a
/// setup keeps it (`record`, may be null); the others follow the order of the days. A search that
/// is not wanted any more ends with what it has.
struct BestBanks {
    Threads threads;
    BankPlan plan;
};
[[nodiscard]] BestBanks bestBanks(const BankProblem& problem, const CameraRecord* record = nullptr,
                                  const KeepGoing& keepGoing = {});

/// How people fill banks by habit.
enum class BankSchool {
    Speed, ///< one bank a rate
    Look,  ///< one bank a profile
    Scene  ///< one bank a scene
};
inline constexpr std::array kBankSchools = {BankSchool::Speed, BankSchool::Look, BankSchool::Scene};

/// `speed`, `look` or `scene`, as scripts read it.
[[nodiscard]] std::string_view keyOf(BankSchool school);

/// The threads of a school. With more groups than banks those that come up most often have one, the
/// rest is set by hand.
[[nodiscard]] Threads threadsOf(const BankProblem& problem, BankSchool school);

/// A camera in a shoot with its controls as they serve these banks best. First the controls serve
/// every difference between setups, and the banks are planned; then the controls serve what is
/// left by hand, and the banks are planned again: the cheaper of the two.
struct CameraPlan {
    BankProblem problem;
    std::vector<FunctionNeed> needs;
    ControlPlan controls;
    BestBanks best;
};
[[nodiscard]] CameraPlan planCamera(const Shoot& shoot, const Camera& camera,
                                    const KeepGoing& keepGoing = {});

} // namespace bslate
