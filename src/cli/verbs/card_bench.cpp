#include "cli/verb.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/system/folder_card.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct CardBenchOptions {
    std::string simulated; ///< V60, V60:tired ...
    std::string folder;    ///< on a mounted card
    std::string size = "1GB";
    std::string rate; ///< of a camera writing to it; may be empty
    std::string buffer = "500MB";
    std::string simulate = "10h";
    std::string variation = "0.1";
    std::string seed = "1";
    bool yes = false; ///< leave to write into the folder
};

void askCardBench(CardBenchOptions& o, OptionList& list) {
    auto card = list.oneOf("card");
    card.text("--simulated", o.simulated, "V60, VPG400:tired, V30:failing");
    card.text("--folder", o.folder, "a folder on a mounted card");
    list.text("--size", o.size, "how much to write, 1GB").shown();
    list.flag("--yes", o.yes, "leave to write one file into the folder and remove it");
    list.text("--rate", o.rate, "simulated: bit rate of a camera writing to it");
    list.text("--buffer", o.buffer, "simulated: of that camera").shown();
    list.text("--variation", o.variation, "simulated: of its bit rate, 0 to 1").shown();
    list.text("--simulate", o.simulate, "simulated: how long, 10h").shown();
    list.text("--seed", o.seed, "simulated: another one gives other stalls").shown();
}

// Tells, and gives the exit code, of what was measured and of a camera writing to such a card.
int tellBench(const CardBench& bench, const std::optional<WriteOutcome>& outcome, Output& output) {
    const bool drops = outcome && outcome->drops > 0;
    if (output.json) {
        Json node = {{"written_bytes", bench.written.value},
                     {"time_s", bench.time.value()},
                     {"sustained_bytes_per_s", bench.sustained.value() / 8},
                     {"worst_bytes_per_s", bench.worst.value() / 8},
                     {"slowest_block_s", bench.slowest.value()},
                     {"blocks", bench.blocks}};
        if (outcome) {
            node["camera"] = {{"simulated_s", outcome->simulated.value()},
                              {"drops", outcome->drops},
                              {"drops_per_hour", nullptr},
                              {"drop_chance_per_hour", outcome->dropChance.value()},
                              {"first_drop_s", nullptr},
                              {"lost_s", outcome->lost.value()},
                              {"lost_share", outcome->lostShare.value()},
                              {"worst_buffer_bytes", outcome->worstFill.value()}};
            if (std::isfinite(outcome->dropsPerHour))
                node["camera"]["drops_per_hour"] = outcome->dropsPerHour;
            if (outcome->firstDrop)
                node["camera"]["first_drop_s"] = outcome->firstDrop->value();
        }
        output.write(node);
        return drops ? 1 : 0;
    }
    output.text << print(sizeOf(bench.written)) << " in " << printDuration(bench.time) << ": "
                << printBytes(bench.sustained) << " sustained, " << printBytes(bench.worst)
                << " at worst\n";
    if (outcome) {
        output.text << "camera: " << outcome->drops << " drops in "
                    << printDuration(outcome->simulated) << ", " << print(outcome->dropChance)
                    << " chance in an hour, buffer up to " << print(outcome->worstFill) << "\n";
        if (outcome->firstDrop)
            output.text << "the first after " << printDuration(*outcome->firstDrop) << "; "
                        << print(outcome->lostShare) << " of the picture lost\n";
    }
    return drops ? 1 : 0;
}

Result<std::optional<WriteOutcome>> cameraOn(const CardBenchOptions& options,
                                             const CardBehaviour& card, std::uint64_t seed) {
    if (options.rate.empty())
        return std::optional<WriteOutcome>();
    const auto rate = placed(parseDataRate(options.rate), "--rate");
    if (!rate)
        return rate.error();
    const auto buffer = placed(parseDataSize(options.buffer), "--buffer");
    if (!buffer)
        return buffer.error();
    const auto hours = placed(parseDuration(options.simulate), "--simulate");
    if (!hours)
        return hours.error();
    const auto variation = numberOf("--variation", options.variation, 0, 1, "0 to 1");
    if (!variation)
        return variation.error();
    return std::optional(
        simulateWriting({*rate, Fraction(*variation), Seconds(0.5), *buffer}, card, *hours, seed));
}

Result<int> cardBench(const CardBenchOptions& options, Output& output) {
    if (options.simulated.empty() == options.folder.empty())
        return usage("--simulated, --folder", {}, "one of them");
    const auto size = placed(parseDataSize(options.size), "--size");
    if (!size)
        return size.error();
    const ByteCount total = wholeBytes(*size);
    if (total > io::kMostWritten)
        return usage("--size", options.size, "at most 64 GB");
    const ByteCount block = std::min(total, ByteCount{16'000'000});
    if (!options.simulated.empty()) {
        auto behaviour = parseCardBehaviour(options.simulated);
        if (!behaviour)
            return usage("--simulated", options.simulated, behaviour.error().expected);
        const auto seed = wholeOf("--seed", options.seed, 0, INT64_MAX, "a whole number from 0");
        if (!seed)
            return seed.error();
        const auto wear = static_cast<std::uint64_t>(*seed);
        SimulatedCard card(*behaviour, total, wear);
        const auto bench = benchCard(card, total, block);
        if (!bench)
            return bench.error();
        const auto camera = cameraOn(options, *behaviour, wear);
        if (!camera)
            return camera.error();
        return tellBench(*bench, *camera, output);
    }
    if (!options.yes)
        return usage("--yes", {},
                     "your leave to write " + print(*size) + " into " + options.folder +
                         ": one new file, removed afterwards; nothing else is touched");
    const auto card = io::openFolderCard(options.folder, total);
    if (!card)
        return card.error();
    const auto bench = benchCard(**card, total, block);
    if (!bench)
        return bench.error();
    return tellBench(*bench, std::nullopt, output);
}

} // namespace

extern const Verb kCardBenchVerb;
const Verb kCardBenchVerb{"card-bench", "Time writing to a card, simulated or real",
                          "bslate card-bench --simulated V60 --size 100MB",
                          prepared<CardBenchOptions, askCardBench, cardBench>};

} // namespace bslate::cli
