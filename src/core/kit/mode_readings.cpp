#include "core/kit/mode_readings.h"

#include "core/cadence/rates.h"

#include <algorithm>

namespace bslate {
namespace {

// The rates of a line with their bit rates: one for all, one for each group, or one for each.
std::vector<RateOption> paired(const std::vector<std::vector<FrameRate>>& rates,
                               const std::vector<std::vector<DataRate>>& bits) {
    const auto count = [](const auto& groups) {
        std::size_t all = 0;
        for (const auto& group : groups)
            all += group.size();
        return all;
    };
    bool byGroup = bits.size() == rates.size();
    for (std::size_t i = 0; byGroup && i < bits.size(); ++i)
        byGroup = bits[i].size() == 1 || bits[i].size() == rates[i].size();
    std::vector<DataRate> flat;
    for (const auto& group : bits)
        flat.insert(flat.end(), group.begin(), group.end());
    if (!byGroup && flat.size() != 1 && flat.size() != count(rates))
        return {};
    std::vector<RateOption> options;
    std::size_t each = 0;
    for (std::size_t i = 0; i < rates.size(); ++i)
        for (std::size_t j = 0; j < rates[i].size(); ++j, ++each) {
            const auto bit = byGroup            ? bits[i][bits[i].size() == 1 ? 0 : j]
                             : flat.size() == 1 ? flat[0]
                                                : flat[each];
            if (std::none_of(options.begin(), options.end(),
                             [&](const RateOption& one) { return one.rate == rates[i][j]; }))
                options.push_back({rates[i][j], bit});
        }
    return options;
}

// What may be meant by a line: one thing for each place in which it can be read otherwise.
class Readings {
public:
    Readings(const ModeWords& words, const ModeLine& mode)
        : m_words(words)
        , m_mode(mode) {}

    /// The first is the plain one; none where rates and bit rates do not pair.
    std::vector<ModeLine> all() {
        read(m_mode, m_words.rates, bits(false));
        if (m_words.span)
            spans();
        if (bits(true) != bits(false))
            read(m_mode, m_words.rates, bits(true));
        if (!m_words.bareNumbers.empty())
            for (const bool bytes : {false, true}) {
                std::vector<DataRate> rates;
                for (const auto& number : m_words.bareNumbers)
                    rates.push_back(bytes ? *number.other : number.rate);
                read(m_mode, m_words.rates, {rates});
            }
        const auto plain = m_found;
        for (std::size_t i = 1; i < m_words.depths.size(); ++i)
            for (auto other : plain) {
                other.depth = m_words.depths[i];
                m_found.push_back(std::move(other));
            }
        for (std::size_t i = 1; i < m_words.sizes.size(); ++i)
            for (auto other : plain) {
                other.frame = m_words.sizes[i];
                m_found.push_back(std::move(other));
            }
        return std::move(m_found);
    }

private:
    using Bits = std::vector<std::vector<DataRate>>;
    [[nodiscard]] Bits bits(bool otherwise) const {
        Bits all;
        for (const auto& group : m_words.bitRates) {
            auto& rates = all.emplace_back();
            for (const auto& one : group)
                rates.push_back(otherwise ? one.other.value_or(one.rate) : one.rate);
        }
        return all;
    }
    void read(ModeLine mode, const std::vector<std::vector<FrameRate>>& rates, const Bits& bits) {
        mode.rates = bits.empty() ? std::vector<RateOption>() : paired(rates, bits);
        if (!mode.rates.empty())
            m_found.push_back(std::move(mode));
    }
    // All standard rates of a span, its two ends, or everything between as off-speed.
    void spans() {
        const auto [from, to] = *m_words.span;
        std::vector<FrameRate> standard;
        for (const auto rate : standardRates())
            if (!(rate < from) && !(to < rate))
                standard.push_back(rate);
        if (standard.size() > 2)
            read(m_mode, {standard}, bits(false));
        const auto isOne = [&](FrameRate end) {
            return std::find(standard.begin(), standard.end(), end) != standard.end();
        };
        if (isOne(from) && isOne(to))
            read(m_mode, {{from, to}}, bits(false));
        auto slowed = m_mode;
        slowed.offSpeed = OffSpeed{from, to, false, false};
        read(slowed, {{to}}, bits(false));
    }

    const ModeWords& m_words;
    const ModeLine& m_mode;
    std::vector<ModeLine> m_found;
};

} // namespace

std::vector<ModeLine> readingsOf(const ModeWords& words, const ModeLine& mode) {
    return Readings(words, mode).all();
}

} // namespace bslate
