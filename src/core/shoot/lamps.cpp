#include "core/shoot/lamps.h"

#include "core/base/enumerated.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"
#include "core/shoot/scene_words.h"

#include <algorithm>
#include <optional>

namespace bslate {
namespace {

constexpr const char* kExpected =
    "a lamp such as: old tubes 4100K duv+0.012 share70%, dimmed 400Hz duty25% or measured 100Hz "
    "h1:40% h2:8%";

// How a lamp of a kind pulses while nothing else is said of it.
struct LampPulse {
    Waveform waveform = Waveform::Steady;
    Fraction depth{0};
};
constexpr auto kPulses = tableOf<LampPulse, LampKind>({
    {LampKind::Filament, {Waveform::Sinusoid, Fraction(0.1)}},
    {LampKind::Ballast, {Waveform::Sinusoid, Fraction(0.8)}},
    {LampKind::Electronic, {Waveform::Sinusoid, Fraction(0.04)}},
    {LampKind::DimmedLed, {Waveform::Pwm, Fraction(1)}},
    {LampKind::Rectified, {Waveform::Rectified, Fraction(1)}},
    {LampKind::Measured, {Waveform::Harmonics, Fraction(1)}},
    {LampKind::Steady, {Waveform::Steady, Fraction(0)}},
});

struct LampReader {
    Lamp lamp;
    bool kindSeen = false;
    std::optional<std::string> x; // of a chromaticity, until its y follows

    // True when the word was understood; an error when it is one of ours and cannot be read.
    Result<bool> read(const std::string& word) {
        for (const auto& known : kLampWords)
            if (known.word == word && !kindSeen) {
                lamp.kind = known.kind;
                return kindSeen = true;
            }
        const bool number = !word.empty() && word.front() >= '0' && word.front() <= '9';
        if (number && word.ends_with("hz")) {
            const auto pulses = parseHertz(word);
            if (!pulses)
                return pulses.error();
            lamp.pulses = *pulses;
            return true;
        }
        if (number && word.ends_with('%'))
            return Error{
                ErrorCode::Usage, {}, {}, word, "depth, duty, share or behind before a percentage"};
        if (auto read = colour(word); !read || *read)
            return read;
        return word.starts_with('h') && word.find(':') != std::string::npos ? harmonic(word)
                                                                            : share(word);
    }

    // What tells the colour, the side and the gels.
    Result<bool> colour(const std::string& word) {
        for (const auto& known : kSideWords)
            if (known.word == word && lamp.side == LightSide::Unsaid) {
                lamp.side = known.side;
                return true;
            }
        if (word.starts_with("gel:") && word.size() > 4) {
            if (lamp.gels.size() == kMostGels)
                return Error{ErrorCode::OutOfRange, {}, {}, word, "at most 8 gels on a lamp"};
            lamp.gels.push_back(word.substr(4));
            return true;
        }
        const bool end = word.starts_with('>');
        auto& told = end || lamp.colourEnd ? lamp.colourEnd : lamp.colour;
        const std::string text = end ? word.substr(1) : word;
        const bool number = !text.empty() && isDigit(text.front());
        if (number && (text.ends_with('k') || text.ends_with("mired")))
            return put(told, text);
        if (text.starts_with("duv") && text.size() > 3) {
            if (!told)
                return Error{ErrorCode::Usage, {}, {}, word, "a colour before it, 4100K duv+0.012"};
            return put(told, spell(LightColour{told->cct, std::nullopt}) + " " + text);
        }
        if (text.size() > 2 && text.front() == 'x' && text[1] == '0') {
            x = word;
            return true;
        }
        if (x && text.size() > 2 && text.front() == 'y' && text[1] == '0') {
            const bool toEnd = x->starts_with('>');
            const auto first = toEnd ? x->substr(1) : *x;
            x.reset();
            return put(toEnd ? lamp.colourEnd : lamp.colour, first + " " + text);
        }
        return false;
    }

    Result<bool> put(std::optional<LightColour>& into, const std::string& text) {
        const auto read = parseLightColour(text);
        if (!read)
            return read.error();
        into = *read;
        return true;
    }

    Result<bool> share(const std::string& word) {
        for (const auto& [name, field] : {std::pair(std::string_view("depth"), &lamp.depth),
                                          std::pair(std::string_view("duty"), &lamp.duty),
                                          std::pair(std::string_view("behind"), &lamp.behind),
                                          std::pair(std::string_view("share"), &lamp.share)}) {
            const auto rest = word.starts_with(name) ? word.substr(name.size()) : std::string();
            if (rest.empty() || rest.find_first_of("0123456789") != 0)
                continue;
            const auto value = parseFraction(rest);
            if (!value)
                return value.error();
            if (field == &lamp.duty && value->value() <= 0)
                return Error{ErrorCode::OutOfRange, {}, {}, word, "a duty above 0"};
            *field = *value;
            return true;
        }
        return false;
    }

    Result<bool> harmonic(const std::string& word) {
        const auto colon = word.find(':');
        const auto order = parseFactor(word.substr(1, colon - 1));
        const auto depth = parseFraction(word.substr(colon + 1));
        if (!order || order->value() > kHighestHarmonic ||
            order->value() != static_cast<int>(order->value()) || !depth)
            return Error{
                ErrorCode::OutOfRange, {}, {}, word, "a harmonic such as h2:8%, h1 to h64"};
        lamp.harmonics.push_back({static_cast<int>(order->value()), *depth});
        return true;
    }
};

} // namespace

Fraction usualDepth(LampKind kind) {
    return kPulses[kind].depth;
}

PulsedLight lightOf(const Lamp& lamp, Hertz mains) {
    PulsedLight light;
    light.waveform = kPulses[lamp.kind].waveform;
    light.fromMains = !lamp.pulses && lamp.kind != LampKind::Steady;
    light.frequency = lamp.pulses.value_or(Hertz(2 * mains.value()));
    light.depth = lamp.depth.value_or(usualDepth(lamp.kind));
    light.duty = lamp.duty.value_or(light.duty);
    light.harmonics = lamp.harmonics;
    light.share = lamp.share.value_or(Fraction(1));
    return light;
}

std::vector<PulsedLight> lightsOf(const Scene& scene, Hertz mains) {
    double told = 0;
    int silent = 0;
    for (const auto& lamp : scene.lamps)
        if (lamp.share)
            told += lamp.share->value();
        else
            ++silent;
    std::vector<PulsedLight> lights;
    for (const auto& lamp : scene.lamps) {
        lights.push_back(lightOf(lamp, mains));
        if (!lamp.share)
            lights.back().share = Fraction(std::max(0.0, 1 - told) / silent);
    }
    return lights;
}

// The kind of a lamp by what else its line tells; none for a line that tells nothing of light.
static std::optional<LampKind> kindWithoutWord(const Lamp& lamp) {
    if (!lamp.harmonics.empty())
        return LampKind::Measured;
    for (const auto& [typed, isName] : lineWords(lamp.name))
        for (const auto& known : kLampNouns)
            if (!isName && known.word == lowered(typed))
                return known.kind;
    if (lamp.pulses)
        return LampKind::DimmedLed;
    return lamp.colour && !lamp.name.empty() ? std::optional(LampKind::Steady) : std::nullopt;
}

Result<Lamp> parseLampLine(std::string_view text) {
    LampReader reader;
    for (const auto& [typed, isName] : lineWords(text.substr(0, 400))) {
        const auto known = isName ? Result<bool>(false) : reader.read(lowered(typed));
        if (!known)
            return Error{known.error().code, {}, {}, typed, known.error().expected};
        if (!*known)
            reader.lamp.name += (reader.lamp.name.empty() ? "" : " ") + typed;
    }
    Lamp& lamp = reader.lamp;
    if (reader.x)
        return Error{ErrorCode::Usage, {}, {}, *reader.x, "its y after it, such as x0.38 y0.377"};
    const auto kind = reader.kindSeen ? std::optional(lamp.kind) : kindWithoutWord(lamp);
    if (!kind)
        return Error{ErrorCode::EmptyText, {}, {}, shortened(text), kExpected};
    lamp.kind = *kind;
    if (lamp.kind == LampKind::Measured && lamp.harmonics.empty())
        return Error{ErrorCode::EmptyText,
                     {},
                     {},
                     shortened(text),
                     "at least one harmonic of the measured light, such as h1:40%"};
    if (lamp.name.empty())
        lamp.name = std::string(wordOf(lamp.kind));
    return lamp;
}

namespace {

// In percent as people write it, else the number itself.
std::string shareWord(Fraction share) {
    const std::string percent = trimmed(share.value() * 100, 6) + "%";
    const auto read = parseFraction(percent);
    return read && *read == share ? percent : spell(share);
}

std::string sideWord(LightSide side) {
    for (const auto& known : kSideWords)
        if (known.side == side)
            return std::string(known.word);
    return {};
}

std::string lineWith(const Lamp& lamp, const std::string& name) {
    const std::string word(wordOf(lamp.kind));
    std::string line = lamp.name == word ? word : name + " " + word;
    const auto add = [&](const std::string& piece) { line += " " + compact(piece); };
    if (lamp.pulses)
        add(spell(*lamp.pulses));
    if (lamp.depth)
        add("depth" + shareWord(*lamp.depth));
    if (lamp.duty)
        add("duty" + shareWord(*lamp.duty));
    if (lamp.side != LightSide::Unsaid)
        add(sideWord(lamp.side));
    if (lamp.colour)
        line += " " + spell(*lamp.colour);
    if (lamp.colourEnd)
        line += " >" + spell(*lamp.colourEnd);
    for (const auto& gel : lamp.gels)
        add("gel:" + gel);
    if (lamp.share)
        add("share" + shareWord(*lamp.share));
    if (lamp.behind)
        add("behind" + shareWord(*lamp.behind));
    for (const auto& harmonic : lamp.harmonics)
        add("h" + std::to_string(harmonic.order) + ":" + shareWord(harmonic.depth));
    return line;
}

} // namespace

Result<Scene> withLamp(Scene scene, std::optional<std::size_t> at, const Lamp& lamp) {
    if (at && *at < scene.lamps.size()) {
        const std::string before = scene.lamps[*at].name;
        for (auto& patch : scene.patches)
            if (patch.lamp == before)
                patch.lamp = lamp.name;
        scene.lamps[*at] = lamp;
    } else {
        if (scene.lamps.size() >= kMostLamps)
            return Error{ErrorCode::OutOfRange, {}, {}, lamp.name, "at most 64 lamps in a scene"};
        scene.lamps.push_back(lamp);
    }
    if (const auto over = overlit(scene.lamps))
        return Error{ErrorCode::OutOfRange, {}, {}, print(over->sum), expectedInsteadOf(*over)};
    return scene;
}

std::string lineOf(const Lamp& lamp) {
    const std::string plain = lineWith(lamp, lamp.name);
    const std::string safe = lineWith(lamp, quoted(lamp.name));
    const auto read = parseLampLine(plain), meant = parseLampLine(safe);
    return read && meant && *read == *meant ? plain : safe;
}

} // namespace bslate
