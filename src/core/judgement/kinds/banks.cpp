#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

namespace {
constexpr std::string_view kSums = "sum of the seconds by hand, after every recall of the days";
} // namespace

std::span<const FindingKind> banks() {
    static constexpr FindingKind kKinds[] = {
        {FindingId::BanksNone, "banks-none", HelpPage::Banks, Topic::Camera, kKitEntry,
         "{camera} has no banks",
         "Every setup goes on from the one before: {changes:setting|settings} by hand in all, "
         "{cost}."},
        {FindingId::BankLost, "bank-lost", HelpPage::Banks, Topic::Camera, kCommonPractice,
         "Bank {bank} lies on the card",
         "Formatting erases it. {setups} needs it on day {day}, and {formatted}."},
        {FindingId::BankOnCard, "bank-on-card", HelpPage::Banks, Topic::Camera, kCommonPractice,
         "Bank {bank} lies on the card",
         "{setups} has it before any card is formatted; after that it is gone."},
        {FindingId::BankLocked, "bank-locked", HelpPage::Banks, Topic::Camera, kKitEntry,
         "Bank {bank} is locked", "It is somebody else's: {setups} cannot be put there."},
        {FindingId::BankForgetsShutter, "bank-forgets-shutter", HelpPage::Banks, Topic::Camera,
         kKitEntry, "The rate comes back, the shutter does not",
         "Bank {bank} brings {rate} for {setups} and leaves the shutter where it was: set "
         "{shutter} after recall."},
        {FindingId::BankRelies, "bank-relies", HelpPage::Banks, Topic::Camera, kKitEntry,
         "Bank {bank} relies on what stands",
         "For {setups} it leaves {,settings} as the setup before had it: a look before it rolls, "
         "or "
         "it is wrong when the order changes."},
        {FindingId::BankChanged, "bank-changed", HelpPage::Banks, Topic::Camera,
         "the record of the camera", "Bank {bank} has changed since it was written",
         "Written {when}; now {,changes}. Write it again, or set them after recall."},
        {FindingId::BankUnwritten, "bank-unwritten", HelpPage::Banks, Topic::Camera,
         "the record of the camera", "Bank {bank} is not written yet",
         "It is for {setups}; nothing of it is on record."},
        {FindingId::BanksTooFew, "banks-too-few", HelpPage::Banks, Topic::Camera, kSums,
         "{wanted} different setups, {banks:bank|banks}",
         "Not every one comes back as it is: {,settings} stay by hand, {cost} over the days."},
        {FindingId::BanksOther, "banks-other", HelpPage::Banks, Topic::Camera, kSums,
         "Other threads save {saved} by hand", "These cost {cost}, the best {best}."},
        {FindingId::BanksBest, "banks-best", HelpPage::Banks, Topic::Camera, kSums,
         "Banks in use: {banks}, setups: {setups}",
         "At most {most:setting|settings} by hand after a recall, {cost} over the days; no other "
         "threads "
         "cost less."},
        {FindingId::BanksGap, "banks-gap", HelpPage::Banks, Topic::Camera, kSums,
         "Banks in use: {banks}, setups: {setups}",
         "{cost} by hand over the days; none were found that cost less, and {least} is the least "
         "it could be."},
        {FindingId::SettingSlips, "setting-slips", HelpPage::Banks, Topic::Camera, kKitEntry,
         "Does not stay: {setting}", "{cause} it goes{to}; before {setups} it is set again."},
        {FindingId::SettingKnocked, "setting-knocked", HelpPage::Banks, Topic::Camera, kKitEntry,
         "Easily knocked: {setting}", "A loose dial: it is looked at before every take."},
        {FindingId::PrintedMoved, "printed-moved", HelpPage::Banks, Topic::Camera, kCommonPractice,
         "{control} does not do what is printed on it",
         "It says {printed} and does {function}: a hand in a hurry believes the print."},
        {FindingId::EraseNear, "erase-near", HelpPage::Banks, Topic::Camera, kCommonPractice,
         "Within reach: {function}", "{control} sits beside {other}, used for {used}."},
    };
    return kKinds;
}

} // namespace bslate::kinds
