#include "core/media/write_simulation.h"

#include "core/base/random.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace bslate {

Result<CardBehaviour> parseCardBehaviour(std::string_view text) {
    const auto colon = text.find(':');
    const auto speed = findSpeedClass(text.substr(0, colon));
    const auto wear = colon == std::string_view::npos ? "steady" : text.substr(colon + 1);
    if (speed && wear == "steady")
        return CardBehaviour{speed->guaranteed, 0, Seconds(0), true};
    if (speed && wear == "tired")
        return CardBehaviour{speed->guaranteed, 20, Seconds(0.4), true};
    if (speed && wear == "failing")
        return CardBehaviour{speed->guaranteed * 0.9, 60, Seconds(2), true};
    return Error{ErrorCode::UnknownId,
                 {},
                 {},
                 shortened(text),
                 "a speed class such as V60 or VPG400, alone or with :steady, :tired or :failing"};
}

namespace {

// The buffer between two events, during which nothing changes.
class Buffer {
public:
    Buffer(double size, WriteOutcome& outcome)
        : m_size(size)
        , m_outcome(outcome) {}

    // `in` and `out` are bits a second.
    void run(double seconds, double in, double out) {
        const double net = in - out;
        if (net <= 0) {
            m_level = std::max(0.0, m_level + net * seconds);
            m_over = false;
            m_well += seconds;
            return;
        }
        const double until = std::max(0.0, (m_size - m_level) / net);
        if (seconds <= until) {
            m_level += net * seconds;
            m_well += seconds;
        } else {
            m_level = m_size;
            m_well += until;
            if (!m_over)
                begin();
            m_over = true;
            m_outcome.lost += Seconds((seconds - until) * net / in);
        }
        m_worst = std::max(m_worst, m_level);
    }
    [[nodiscard]] double worst() const { return m_worst; }
    [[nodiscard]] double well() const { return m_well; }

private:
    void begin() {
        // All time before the first drop went well.
        if (m_outcome.drops++ == 0)
            m_outcome.firstDrop = Seconds(m_well);
    }

    double m_size;
    double m_level = 0;
    double m_worst = 0;
    double m_well = 0; // seconds in which nothing was lost
    bool m_over = false;
    WriteOutcome& m_outcome;
};

} // namespace

WriteOutcome simulateWriting(const WriteLoad& load, const CardBehaviour& card, Seconds length,
                             std::uint64_t seed) {
    WriteOutcome outcome;
    outcome.simulated = length;
    Buffer buffer(load.buffer.value() * 8, outcome);
    Random scatter(seed), wear(seed ^ 0x5CA1AB1Eu);
    constexpr double kNever = std::numeric_limits<double>::infinity();
    const double between = card.stallsPerHour > 0 ? 3600 / card.stallsPerHour : kNever;
    const auto wait = [&] { return between < kNever ? wear.exponential(between) : kNever; };
    const auto stall = [&] {
        return card.stallsVary ? wear.exponential(card.stall.value()) : card.stall.value();
    };
    double now = 0, groupEnd = 0, rate = load.rate.value();
    bool stalled = false;
    double change = wait(); // when the card stops, or goes on
    while (now < length.value()) {
        if (now >= groupEnd) {
            groupEnd = now + load.group.value();
            rate = load.rate.value() * std::max(0.0, 1 + load.variation.value() * scatter.bell());
        }
        const double until = std::min({groupEnd, change, length.value()});
        buffer.run(until - now, rate, stalled ? 0 : card.sustained.value());
        now = until;
        if (now >= change) {
            stalled = !stalled;
            change = now + (stalled ? stall() : wait());
        }
    }
    outcome.worstFill = DataSize(buffer.worst() / 8);
    if (outcome.drops > 0)
        outcome.dropsPerHour = buffer.well() > 0 ? outcome.drops * 3600 / buffer.well() : kNever;
    outcome.lostShare = Fraction(outcome.lost.value() / length.value());
    outcome.dropChance = Fraction(1 - std::exp(-outcome.dropsPerHour));
    return outcome;
}

} // namespace bslate
