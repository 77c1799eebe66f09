#include "core/words/sentences_day.h"

namespace bslate {
namespace {

constexpr Sentence kSentences[] = {
    {"day-no-card", "{take}: no card at hand holds {camera}",
     "It writes up to {need}; no card that fits guarantees as much. Frames drop or it stops."},
    {"day-card-none-left", "{take}: no card is left for {camera}",
     "Every card that could hold it is full or still being copied at {from}."},
    {"day-card-too-small", "{take}: no card that is free holds it in {camera}",
     "It is {amount} at {bitRate}; the largest that is free has room for {most}."},
    {"day-card-tight", "{take}: the card in {camera} has {spare} to spare",
     "The take is {length} and must not be interrupted: takes run over. No plan leaves more."},
    {"day-battery-tight", "{take}: the battery of {camera} has {spare} to spare",
     "The take is {length} and must not be interrupted: takes run over. No plan leaves more."},
    {"day-card-full-whole", "{take}: the card in {camera} is full at {from}",
     "{lost} of {length} are lost, and it must not be interrupted. {amount} at {bitRate}: a card "
     "that "
     "holds as much, or a second slot that goes on."},
    {"day-card-full", "{take}: {camera} runs out of cards at {from}",
     "{lost} of {length} cannot be recorded at {bitRate}."},
    {"day-change-inside", "{take}: {camera} stops for a card at {at}",
     "It does not fit on one card; {card} goes in while the recording stands still."},
    {"day-card-marginal", "{card} is marginal in {camera}",
     "{take} writes up to {need}, the card guarantees {best}: under a fifth to spare."},
    {"day-card-marginal-buffer", "{card} is marginal in {camera}",
     "{take} writes up to {need}, the card guarantees {best}. Simulated with a buffer of {buffer} "
     "and a card that pauses now and then: {chance} to lose a frame in an hour."},
    {"day-mirror-slow", "{camera} cannot mirror in {slot}",
     "It writes up to {need}; the best card there guarantees {best}."},
    {"day-mirror-full", "{take}: the copy in {slot} ends at {from}",
     "No card is left for the second slot of {camera}."},
    {"day-rate-lowered", "{camera} lowers the bit rate in {slot}",
     "It takes {most} at most and does not say so; the mode is {rate}."},
    {"day-files", "{take} is cut into {files} files on {camera}",
     "The camera begins another one every {each}: copy and name them together."},
    {"day-files-more", "{take} is cut into {files} files on {camera}",
     "The camera begins another one every {each}, in other takes of this setup too ({others}): "
     "copy "
     "and name them together."},
    {"day-bus-slower", "{slot} of {camera} holds {card} back", "Its bus is {bus}: {most} at most."},
    {"day-card-failed", "{card} failed at {at} with {takes} on it",
     "Not copied by then. Do not write to it or format it: recovery is a specialist's work."},
    {"day-card-failed-empty", "{card} failed at {at}", "Nothing uncopied was on it."},
    {"day-light-climbs", "{take}: {patch} is lost on {camera} from {from}",
     "The light climbs on; by the end of the take {by} more ND is needed than the setup has."},
    {"day-light-moved", "{take}: dial {camera} anew before it, the light has moved {+moved}",
     "As the setup stands, {patch} is lost by {by} at its end. Meter again and let the ND follow."},
    {"day-light-falls", "{take}: {patch} drowns on {camera} from {from}",
     "The light falls on; by the end of the take {by} more light is needed than the setup has."},
    {"day-clip-limit", "{take} outlasts the clip limit of {camera}",
     "{mode} stops by itself after {limit}; the take runs {length} and must not be interrupted."},
    {"day-clip-split", "{take}: {camera} restarts every {limit}",
     "{mode} ends its clips there; the take runs {length}."},
    {"day-heat", "{take}: heat stops {camera} after {limit}",
     "At {ambient} in this mode{beyond}; the take runs {length}. Let a hot body cool, do not cover "
     "it."},
    {"day-battery-empty-whole", "{take}: the battery of {camera} is empty at {from}",
     "{missing} are missing for the last {lost}, and it must not be interrupted."},
    {"day-battery-empty", "{take}: no battery is left for {camera} at {from}",
     "{missing} are missing for the last {lost}."},
    {"day-battery-inside", "{take}: {camera} stops for a battery at {at}",
     "One battery does not last the take."},
    {"day-power-needed", "{take}: {camera} needs external power",
     "{mode} does not start on the internal battery. Mains supplies near water: a licensed "
     "electrician."},
    {"day-no-second-copy", "{copies} copies are wanted, {drives} drives are there",
     "No card may be used again before its copies are checked."},
    {"day-no-reader", "No reader for these cards",
     "Nothing can be copied; every card is used once."},
    {"day-card-back-tight", "{card} is back {spare} before it is needed",
     "Copied and checked at {back}; {take} starts at {start}."},
    {"day-never-safe", "Not everything recorded today gets its copies",
     "Some cards fit no reader, or one failed."},
    {"day-safe-late", "Safe only at {safe}, {late} too late",
     "{copies} checked copies of everything are wanted by {by}."},
    {"day-safe", "Everything in {copies} checked copies at {safe}",
     "Format cards in the camera tomorrow morning, not tonight."},
    {"day-storage-short", "The drives are {short} short for the project",
     "{footage} of footage are {total}, each on {copies} drives."},
    {"day-storage", "The project is {total}, {copies} times",
     "{footage} of footage over all days; the drives hold it."},
    {"day-storage-ratio", "The project is {total}, {copies} times",
     "{footage} of footage over all days, {ratio} to one of what is delivered."},
    {"day-take-late", "{take} begins {late} late, at {start}", "The takes before it run longer."},
    {"day-whole", "No change inside a take that must not stop",
     "Such takes: {count}; the longest is {take}, {length}."},
    {"day-setup-incomplete", "Setup {setup} cannot be planned",
     "Its camera, mode, rate or scene is missing, or its camera is in the take twice: see its own "
     "verdict."},
    {"day-changes", "Changes: {cards} of cards, {batteries} of batteries",
     "No plan has fewer that loses as little and leaves as much to spare."},
    {"day-changes-gap", "Changes: {cards} of cards, {batteries} of batteries",
     "The search stopped early; {least} at least are needed."},
    {"day-lost-gap", "Changes: {cards} of cards, {batteries} of batteries",
     "The search stopped early: of what is lost up to {saved} might still be saved by another "
     "order."},
    {"day-relay", "Relay to the second slot, {camera}", ""},
    {"day-proxy", "Proxy instead of mirror, {camera}", ""},
    {"day-mirror-off", "No mirror on {camera}", ""},
    {"day-lend-card", "One more {name}", ""},
    {"day-lend-cards", "{count} more {name}", ""},
    {"day-lend-battery", "One more {name}", ""},
    {"day-lend-batteries", "{count} more of {name}", ""},
    {"day-lend-reader", "One more {reader}", ""},
    {"day-lend-charger", "One more {charger}", ""},
    {"day-lend-drive", "One more {drive}, {size}", ""},
    {"day-larger-drives", "Drives of {size}", ""},
    {"day-external", "External power for {camera}", ""},
    {"day-mode", "{camera}: {mode}, {bitRate}", ""},
    {"day-wait", "Begin at {start}, {by} later", ""},
    {"day-let-stop", "Let {take} be interrupted", ""},
    {"card-no-setup", "the setup of this take is not complete", ""},
    {"card-form", "{card} fits no slot of {camera} that this mode records to", ""},
    {"card-too-slow", "{card} guarantees {best} there, the mode writes up to {need}", ""},
    {"card-too-small", "it holds {size}, the take needs {need} without a break", ""},
    {"card-busy", "{card} is in {camera} then", ""},
    {"card-copying", "{card} is being copied and checked until {back}", ""},
    {"card-no-room", "{card} is full by then, or there is no time to put it into {camera}", ""},
    {"day-effect", "faults {faults}, changes {changes}, safe {safe}", ""},
    {"day-effect-unsafe", "faults {faults}, changes {changes}", ""},
};

} // namespace

const Sentence* findDaySentence(std::string_view id) {
    for (const auto& sentence : kSentences)
        if (sentence.id == id)
            return &sentence;
    return nullptr;
}

} // namespace bslate
