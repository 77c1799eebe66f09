#include "cli/commands.h"
#include "cli/verdict_json.h"
#include "core/media/card_fit.h"
#include "core/media/recording.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/folder_card.h"

#include <algorithm>
#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

template<class Q>
Result<Q> placed(Result<Q> value, const char* option, const std::string& text) {
    if (value)
        return value;
    return usage(option, text, value.error().expected);
}

Result<DataSize> sizeOf(const std::string& text, const char* option) {
    return placed(parseDataSize(text), option, text);
}

// Tells, and gives the exit code, of what was measured and of a camera writing to such a card.
int tellBench(const CardBench& bench, const std::optional<WriteOutcome>& outcome, bool json,
              std::ostream& out) {
    const bool drops = outcome && outcome->drops > 0;
    if (json) {
        Json node = {{"written_bytes", bench.written.value()},
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
        out << jsonText(node);
        return drops ? 1 : 0;
    }
    out << print(bench.written) << " in " << printDuration(bench.time) << ": "
        << printBytes(bench.sustained) << " sustained, " << printBytes(bench.worst)
        << " at worst\n";
    if (outcome) {
        out << "camera: " << outcome->drops << " drops in " << printDuration(outcome->simulated)
            << ", " << print(outcome->dropChance) << " chance in an hour, buffer up to "
            << print(outcome->worstFill) << "\n";
        if (outcome->firstDrop)
            out << "the first after " << printDuration(*outcome->firstDrop) << "; "
                << print(outcome->lostShare) << " of the picture lost\n";
    }
    return drops ? 1 : 0;
}

Result<std::optional<WriteOutcome>> cameraOn(const CardBenchOptions& options,
                                             const CardBehaviour& card, std::uint64_t seed) {
    if (options.rate.empty())
        return std::optional<WriteOutcome>();
    const auto rate = placed(parseDataRate(options.rate), "--rate", options.rate);
    if (!rate)
        return rate.error();
    const auto buffer = sizeOf(options.buffer, "--buffer");
    if (!buffer)
        return buffer.error();
    const auto hours = placed(parseDuration(options.simulate), "--simulate", options.simulate);
    if (!hours)
        return hours.error();
    const auto variation = numberOf("--variation", options.variation, 0, 1, "0 to 1");
    if (!variation)
        return variation.error();
    return std::optional(
        simulateWriting({*rate, Fraction(*variation), Seconds(0.5), *buffer}, card, *hours, seed));
}

} // namespace

Result<int> media(const MediaOptions& options, std::ostream& out) {
    const auto rate = placed(parseDataRate(options.bitRate), "--bit-rate", options.bitRate);
    if (!rate)
        return rate.error();
    const auto capacity = sizeOf(options.capacity, "--capacity");
    if (!capacity)
        return capacity.error();
    const auto usable = numberOf("--usable", options.usable, 0.001, 1, "a share from 0.001 to 1");
    if (!usable)
        return usable.error();
    const auto factor = numberOf("--peak", options.peak, 1, 3, "1 to 3");
    if (!factor)
        return factor.error();
    std::optional<SpeedClass> speed;
    if (!options.speedClass.empty()) {
        speed = findSpeedClass(options.speedClass);
        if (!speed)
            return usage("--class", options.speedClass,
                         "a class such as Class 10, U3, V60, V90 or VPG400");
    }
    const Seconds time = recordTime(*capacity, *usable, *rate);
    const DataRate peak = *rate * *factor;
    const auto fit = cardFit(peak, speed ? speed->guaranteed : peak);
    if (options.json) {
        Json node = {{"record_time_s", time.value()},
                     {"required_write_bytes_per_s", peak.value() / 8}};
        if (speed) {
            node["guaranteed_write_bytes_per_s"] = speed->guaranteed.value() / 8;
            node["fit"] = nameOf(fit);
        }
        out << jsonText(node);
    } else {
        out << printDuration(time) << " on " << print(*capacity) << ", writing up to "
            << printBytes(peak);
        if (speed)
            out << ": " << nameOf(fit) << " on " << speed->name << " ("
                << printBytes(speed->guaranteed) << ")";
        out << "\n";
    }
    return speed && fit == CardFit::Drops ? 1 : 0;
}

Result<int> cardBench(const CardBenchOptions& options, std::ostream& out) {
    if (options.simulated.empty() == options.folder.empty())
        return usage("--simulated, --folder", {}, "one of them");
    const auto size = sizeOf(options.size, "--size");
    if (!size)
        return size.error();
    if (size->value() > io::kMostWritten)
        return usage("--size", options.size, "at most 64 GB");
    const DataSize block(std::min(size->value(), 16e6));
    if (!options.simulated.empty()) {
        auto behaviour = parseCardBehaviour(options.simulated);
        if (!behaviour)
            return usage("--simulated", options.simulated, behaviour.error().expected);
        const auto seed = wholeOf("--seed", options.seed, 0, INT64_MAX, "a whole number from 0");
        if (!seed)
            return seed.error();
        const auto wear = static_cast<std::uint64_t>(*seed);
        SimulatedCard card(*behaviour, *size, wear);
        const auto bench = benchCard(card, *size, block);
        if (!bench)
            return bench.error();
        const auto camera = cameraOn(options, *behaviour, wear);
        if (!camera)
            return camera.error();
        return tellBench(*bench, *camera, options.json, out);
    }
    if (!options.yes)
        return usage("--yes", {},
                     "your leave to write " + print(*size) + " into " + options.folder +
                         ": one new file, removed afterwards; nothing else is touched");
    const auto card = io::openFolderCard(options.folder, *size);
    if (!card)
        return card.error();
    const auto bench = benchCard(**card, *size, block);
    if (!bench)
        return bench.error();
    return tellBench(*bench, std::nullopt, options.json, out);
}

} // namespace bslate::cli
