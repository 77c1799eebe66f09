#include "core/shoot/lamps.h"

#include "core/quantity/number_text.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"
#include "core/shoot/line_words.h"
#include "core/shoot/scene_words.h"

#include <algorithm>
#include <optional>

namespace bslate {
namespace {

constexpr const char* kExpected =
    "a lamp such as: old tubes 100Hz depth80% share70%, dimmed 400Hz duty25% or measured 100Hz "
    "h1:40% h2:8%";

Waveform waveformOf(SourceKind kind) {
    switch (kind) {
    case SourceKind::DimmedLed:
        return Waveform::Pwm;
    case SourceKind::Rectified:
        return Waveform::Rectified;
    case SourceKind::Measured:
        return Waveform::Harmonics;
    case SourceKind::Steady:
        return Waveform::Steady;
    default:
        return Waveform::Sinusoid;
    }
}

struct LampReader {
    Source source;
    bool kindSeen = false;

    // True when the word was understood; an error when it is one of ours and cannot be read.
    Result<bool> read(const std::string& word) {
        for (const auto& known : kSourceWords)
            if (known.word == word && !kindSeen) {
                source.kind = known.kind;
                return kindSeen = true;
            }
        const bool number = !word.empty() && word.front() >= '0' && word.front() <= '9';
        if (number && word.ends_with("hz")) {
            const auto pulses = parseHertz(word);
            if (!pulses)
                return pulses.error();
            source.pulses = *pulses;
            return true;
        }
        if (number && word.ends_with('%'))
            return Error{
                ErrorCode::Usage, {}, {}, word, "depth, duty or share before a percentage"};
        return word.starts_with('h') && word.find(':') != std::string::npos ? harmonic(word)
                                                                            : share(word);
    }

    Result<bool> share(const std::string& word) {
        for (const auto& [name, field] : {std::pair(std::string_view("depth"), &source.depth),
                                          std::pair(std::string_view("duty"), &source.duty),
                                          std::pair(std::string_view("share"), &source.share)}) {
            const auto rest = word.starts_with(name) ? word.substr(name.size()) : std::string();
            if (rest.empty() || rest.find_first_of("0123456789") != 0)
                continue;
            const auto value = parseFraction(rest);
            if (!value)
                return value.error();
            if (field == &source.duty && value->value() <= 0)
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
        source.harmonics.push_back({static_cast<int>(order->value()), *depth});
        return true;
    }
};

} // namespace

Fraction usualDepth(SourceKind kind) {
    switch (kind) {
    case SourceKind::Filament:
        return Fraction(0.1);
    case SourceKind::Ballast:
        return Fraction(0.8);
    case SourceKind::Electronic:
        return Fraction(0.04);
    case SourceKind::Steady:
        return Fraction(0);
    default:
        return Fraction(1);
    }
}

PulsedLight lightOf(const Source& source, Hertz mains) {
    PulsedLight light;
    light.waveform = waveformOf(source.kind);
    light.fromMains = !source.pulses && source.kind != SourceKind::Steady;
    light.frequency = source.pulses.value_or(Hertz(2 * mains.value()));
    light.depth = source.depth.value_or(usualDepth(source.kind));
    light.duty = source.duty.value_or(light.duty);
    light.harmonics = source.harmonics;
    light.share = source.share.value_or(Fraction(1));
    return light;
}

std::vector<PulsedLight> lightsOf(const Scene& scene, Hertz mains) {
    double told = 0;
    int silent = 0;
    for (const auto& source : scene.sources)
        if (source.share)
            told += source.share->value();
        else
            ++silent;
    std::vector<PulsedLight> lights;
    for (const auto& source : scene.sources) {
        lights.push_back(lightOf(source, mains));
        if (!source.share)
            lights.back().share = Fraction(std::max(0.0, 1 - told) / silent);
    }
    return lights;
}

Result<Source> parseLampLine(std::string_view text) {
    LampReader reader;
    for (const auto& [typed, isName] : lineWords(text.substr(0, 400))) {
        const auto known = isName ? Result<bool>(false) : reader.read(lowered(typed));
        if (!known)
            return Error{known.error().code, {}, {}, typed, known.error().expected};
        if (!*known)
            reader.source.name += (reader.source.name.empty() ? "" : " ") + typed;
    }
    Source& source = reader.source;
    if (!reader.kindSeen && !source.harmonics.empty())
        source.kind = SourceKind::Measured;
    else if (!reader.kindSeen && source.pulses)
        source.kind = SourceKind::DimmedLed;
    else if (!reader.kindSeen)
        return Error{ErrorCode::EmptyText, {}, {}, shortened(text), kExpected};
    if (source.kind == SourceKind::Measured && source.harmonics.empty())
        return Error{ErrorCode::EmptyText,
                     {},
                     {},
                     shortened(text),
                     "at least one harmonic of the measured light, such as h1:40%"};
    if (source.name.empty())
        source.name = std::string(wordOf(source.kind));
    return source;
}

namespace {

// In percent as people write it, else the number itself.
std::string shareWord(Fraction share) {
    const std::string percent = trimmed(share.value() * 100, 6) + "%";
    const auto read = parseFraction(percent);
    return read && *read == share ? percent : spell(share);
}

std::string lineWith(const Source& source, const std::string& name) {
    const std::string word(wordOf(source.kind));
    std::string line = source.name == word ? word : name + " " + word;
    const auto add = [&](const std::string& piece) { line += " " + compact(piece); };
    if (source.pulses)
        add(spell(*source.pulses));
    if (source.depth)
        add("depth" + shareWord(*source.depth));
    if (source.duty)
        add("duty" + shareWord(*source.duty));
    if (source.share)
        add("share" + shareWord(*source.share));
    for (const auto& harmonic : source.harmonics)
        add("h" + std::to_string(harmonic.order) + ":" + shareWord(harmonic.depth));
    return line;
}

} // namespace

std::string lineOf(const Source& source) {
    const std::string plain = lineWith(source, source.name);
    const std::string safe = lineWith(source, quoted(source.name));
    const auto read = parseLampLine(plain), meant = parseLampLine(safe);
    return read && meant && *read == *meant ? plain : safe;
}

} // namespace bslate
