#pragma once

#include "core/banks/best_banks.h"
#include "core/facts/reason.h"

#include <string>
#include <vector>

/// The record of a camera against its plan: what was written, and what differs by now.
namespace bslate {

/// What a bank holds when it is written as a setup, one line a setting.
[[nodiscard]] std::vector<RecordLine> bankLines(const BankProblem& problem, std::size_t bank,
                                                std::size_t setup);

/// The record with one more writing of a bank, now and as the plan has it. Without a setup that
/// recalls the bank nothing changes.
[[nodiscard]] CameraRecord withWritten(CameraRecord record, const BankProblem& problem,
                                       const BankPlan& plan, std::size_t bank, std::string when);

/// Everything outside of the banks as it should be on the body: its facts, automatics, controls and
/// menus. For the record of a camera that is set up by this plan.
[[nodiscard]] std::vector<RecordLine> settingLines(const Camera& camera,
                                                   const ControlPlan& controls);

struct BankChange {
    std::string setting, was, now; ///< `now` is empty where the plan says nothing of it any more
    friend bool operator==(const BankChange&, const BankChange&) = default;
};
/// What a bank would be written as now, against what was written or found in it; nothing when
/// neither was, or nobody recalls it any more. Settings that the plan says nothing of are left out,
/// and of a bank that was read by hand those that were not noted.
[[nodiscard]] std::vector<BankChange> changesOf(const BankProblem& problem, const BankPlan& plan,
                                                const CameraRecord& record, std::size_t bank);
/// The same of two lists of lines.
[[nodiscard]] std::vector<BankChange> changesBetween(const std::vector<RecordLine>& was,
                                                     const std::vector<RecordLine>& now);
/// Only of what both tell: a setting that nobody planned is nobody's business, and one that a hand
/// did not note is not known to differ.
[[nodiscard]] std::vector<BankChange> toldByBoth(std::vector<BankChange> changes);

/// The record with what a bank was found to hold on the body, whatever was written into it: a
/// writing of no setup.
[[nodiscard]] CameraRecord withHeld(CameraRecord record, const std::string& label,
                                    std::vector<RecordLine> values, std::string when);

/// "white 4100 K was 4300 K" for each.
[[nodiscard]] ReasonList toldChanges(const std::vector<BankChange>& changes);

} // namespace bslate
