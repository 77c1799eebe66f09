#include "core/light/gel.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace bslate {

Stops lossOf(const Gel& gel) {
    return Stops(-std::log2(gel.transmission.value()));
}

ColourPoint gelled(ColourPoint light, const Gel& gel) {
    return shifted(light, {gel.shift, gel.duv});
}

double contrastOf(ColourPoint a, ColourPoint b) {
    constexpr double kMireds = 20, kDuvs = 0.005;
    return std::hypot((miredOf(a.cct) - miredOf(b.cct)).value() / kMireds,
                      (a.duv - b.duv).value() / kDuvs);
}

namespace {

// Stacks of a size, tried one after the other.
class Stacks {
public:
    Stacks(std::span<const Gel> gels, ColourPoint wanted)
        : m_gels(gels)
        , m_wanted(wanted) {}

    /// Adds `more` gels to a stack in every way, none before the place `from`.
    void grow(GelChoice& stack, std::size_t from, std::size_t more) {
        if (more == 0)
            return consider(stack);
        for (std::size_t i = from; i < m_gels.size(); ++i) {
            const auto colour = stack.colour;
            const auto loss = stack.loss;
            stack.picks.push_back(i);
            stack.colour = gelled(colour, m_gels[i]);
            stack.loss = loss + lossOf(m_gels[i]);
            grow(stack, i, more - 1);
            stack.picks.pop_back();
            stack.colour = colour;
            stack.loss = loss;
        }
    }

    std::optional<GelChoice> reaches; ///< loses least of those that do
    std::optional<GelChoice> nearest;
    double left = 0; ///< of the nearest

private:
    void consider(const GelChoice& stack) {
        const double rest = contrastOf(stack.colour, m_wanted);
        if (!nearest || rest < left) {
            nearest = stack;
            left = rest;
        }
        const std::pair cost(std::round(stack.loss.value() * 1e6), rest);
        if (rest < 1 && (!reaches || cost < m_cost)) {
            reaches = stack;
            m_cost = cost;
        }
    }

    std::span<const Gel> m_gels;
    ColourPoint m_wanted;
    std::pair<double, double> m_cost;
};

} // namespace

std::optional<GelChoice> gelsToward(std::span<const Gel> gels, ColourPoint light,
                                    ColourPoint wanted) {
    constexpr std::size_t kMost = 200, kMostOfMany = 40;
    const auto apart = contrastOf(light, wanted);
    if (apart < 1)
        return std::nullopt;
    std::optional<GelChoice> nearest;
    double left = apart / 2;
    for (std::size_t count = 1; count <= kMostStacked; ++count) {
        Stacks stacks(gels.first(std::min(gels.size(), count <= 2 ? kMost : kMostOfMany)), wanted);
        GelChoice none{{}, light, Stops(0)};
        stacks.grow(none, 0, count);
        if (stacks.reaches)
            return stacks.reaches;
        if (stacks.nearest && stacks.left < left) {
            nearest = stacks.nearest;
            left = stacks.left;
        }
    }
    return nearest;
}

std::vector<std::string> idsOf(std::span<const Gel> gels, const GelChoice& choice) {
    std::vector<std::string> ids;
    ids.reserve(choice.picks.size());
    for (const auto pick : choice.picks)
        ids.push_back(gels[pick].id);
    return ids;
}

} // namespace bslate
