#pragma once

#include "core/banks/controls.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

/// Banks against setups: what each memory is written as, who recalls it, and what the hand does
/// after that.
namespace bslate {

struct BankProblem {
    CameraWork work;
    std::vector<Bank> banks;
    std::array<Seconds, kBodySettings> access{}; ///< to change a setting by hand
};

/// A thread from each setup of the work to its bank: an index into the banks, or -1.
using Threads = std::vector<int>;

/// Why a setting is set by hand, or looked at.
enum class HandWhy {
    First,   ///< nothing is known of the body before
    Differs, ///< the bank was written with another value
    NotHeld, ///< the bank does not bring it back, and the setup before had another
    Slipped, ///< it does not stay
    NoBank,  ///< nothing is recalled, and the setup before had another
    Stands   ///< nobody brings it: it should still be as for the setup before
};

/// A look at something that should still stand. Common practice, no source.
inline constexpr Seconds kLook{1};

struct HandSetting {
    BodySetting setting = BodySetting::Iris;
    std::string to;
    HandWhy why = HandWhy::NoBank;
    Seconds cost{0};
    friend bool operator==(const HandSetting&, const HandSetting&) = default;
};

struct BankUse {
    int bank = -1;                   ///< into the banks; -1: nothing is recalled
    std::vector<HandSetting> byHand; ///< at any of its visits, each setting once
    std::vector<HandSetting> stands; ///< looked at, at any of its visits, and not set at another
    Seconds cost{0};                 ///< of all visits, looks included
    int visits = 0;
    friend bool operator==(const BankUse&, const BankUse&) = default;
};

struct BankPlan {
    std::vector<std::optional<std::size_t>> writtenAs; ///< by bank: the setup it is written as
    std::vector<BankUse> uses;                         ///< by setup
    Turns turns;
    Seconds cost{0};    ///< sum over the days of what is set by hand or looked at after recall
    Seconds atLeast{0}; ///< no threads cost less
    bool proven = false;
    friend bool operator==(const BankPlan&, const BankPlan&) = default;
};

/// What one visit costs by hand after a bank written as `content` was recalled; without one, going
/// on from the setup before. What no bank brings and nobody sets costs a look, a region aside: that
/// is read once a day.
[[nodiscard]] Seconds visitCost(const BankProblem& problem, const Visit& visit, const Bank* bank,
                                std::optional<std::size_t> content);

/// The plan of these threads, each bank written as the setup that costs its setups least; of equal
/// ones the first of its own. A thread to a locked bank recalls nothing. `atLeast` is 0.
[[nodiscard]] BankPlan planWith(const BankProblem& problem, const Threads& threads);

/// As the shoot has them: Setup::bank, beyond the camera's banks none.
[[nodiscard]] Threads threadsOf(const BankProblem& problem, const Shoot& shoot);

/// The shoot with these threads.
[[nodiscard]] std::vector<Setup> rethreaded(const BankProblem& problem, const Shoot& shoot,
                                            const Threads& threads);

} // namespace bslate
