#include "core/frame/push.h"

#include "core/light/light_colour.h"
#include "core/light/white_gains.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kDaylightMired = 1e6 / 6504;
constexpr double kFullAt = 4, kFromAt = 1; // stops from mid-grey

// 0 up to a stop away, 1 from four on.
double share(double stops) {
    const double t = std::clamp((stops - kFromAt) / (kFullAt - kFromAt), 0.0, 1.0);
    return t * t * (3 - 2 * t);
}

// Gains of luminance by stops from mid-grey, in fine steps: 64 a stop from -16 to 16.
class PushTable {
public:
    explicit PushTable(const Push& push) {
        for (std::size_t i = 0; i < m_gains.size(); ++i)
            m_gains[i] = static_cast<float>(
                ratio(pushedBy(push, Stops(static_cast<double>(i) / kSteps - kReach))));
    }
    [[nodiscard]] float operator()(float luminance) const {
        if (!(luminance > 0))
            return m_gains.front();
        const float place =
            (std::log2(luminance / static_cast<float>(kMidGrey.value())) + kReach) * kSteps;
        const float held = std::clamp(place, 0.0f, static_cast<float>(m_gains.size() - 1));
        return m_gains[static_cast<std::size_t>(held)];
    }

private:
    static constexpr int kReach = 16, kSteps = 64;
    std::array<float, 2 * kReach * kSteps + 1> m_gains{};
};

Error unclear(std::string_view text) {
    return {ErrorCode::OutOfRange,
            {},
            {},
            std::string(text),
            "lift 0 to 6, pull 0 to 6, warm or cool 0 to 200, such as \"lift 3 pull 1 warm 60\""};
}

} // namespace

Stops pushedBy(const Push& push, Stops stops) {
    return push.lift * share(-stops.value()) - push.pull * share(stops.value());
}

std::array<double, 3> rewhitened(Mired warmer) {
    const Kelvin from(6504), to(1e6 / (kDaylightMired + warmer.value()));
    const auto matrix = xyzToRgb(gamutBt709());
    const auto before = whiteGains(matrix, chromaticityOf({from, usualDuv(from)}));
    const auto after = whiteGains(matrix, chromaticityOf({to, usualDuv(to)}));
    std::array<double, 3> gains{};
    for (std::size_t c = 0; c < 3; ++c)
        gains[c] = ratio(before[c] - after[c]);
    return gains;
}

LightChanger changerOf(const Push& push) {
    if (push == Push{})
        return {};
    const auto white = rewhitened(push.warmer);
    std::array<float, 3> gains{};
    for (std::size_t c = 0; c < 3; ++c)
        gains[c] = static_cast<float>(white[c]);
    return [table = PushTable(push), gains](std::array<float, 3>& light) {
        for (std::size_t c = 0; c < 3; ++c)
            light[c] *= gains[c];
        const float moved = table(0.2126f * light[0] + 0.7152f * light[1] + 0.0722f * light[2]);
        for (float& channel : light)
            channel *= moved;
    };
}

Result<Push> parsePush(std::string_view text) {
    Push push;
    std::vector<std::string> seen;
    const auto words = lineWords(text);
    for (std::size_t i = 0; i < words.size(); ++i) {
        std::string part = words[i].text;
        if (std::none_of(part.begin(), part.end(), isDigit) && i + 1 < words.size())
            part += words[++i].text;
        const auto scanned = scan(part, "a push such as \"lift 3 pull 1 warm 60\"");
        if (!scanned)
            return scanned.error();
        const auto& [name, value] = std::pair(scanned->prefix, scanned->value);
        const bool colour = name == "warm" || name == "cool";
        const bool known = colour || name == "lift" || name == "pull";
        const bool again =
            std::find(seen.begin(), seen.end(), colour ? "warm" : name) != seen.end();
        if (!known || again || !scanned->unit.empty() || value < 0 || value > (colour ? 200 : 6))
            return unclear(part);
        seen.push_back(colour ? "warm" : name);
        if (colour)
            push.warmer = Mired(name == "warm" ? value : -value);
        else
            (name == "lift" ? push.lift : push.pull) = Stops(value);
    }
    return push;
}

std::string print(const Push& push) {
    std::string text;
    const auto add = [&](const char* name, double value) {
        if (value > 0)
            text += (text.empty() ? "" : " ") + std::string(name) + " " + trimmed(value, 2);
    };
    add("lift", push.lift.value());
    add("pull", push.pull.value());
    add("warm", push.warmer.value());
    add("cool", -push.warmer.value());
    return text;
}

} // namespace bslate
