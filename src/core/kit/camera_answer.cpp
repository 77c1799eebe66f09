#include "core/kit/camera_answer.h"

#include "core/kit/camera_fields.h"
#include "core/kit/edit.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr double kPracticalSnr = 2.0; // the floor a range is told at

struct NamedDial {
    const char* name;
    ShutterDial dial;
};
std::vector<NamedDial> namedDials() {
    const auto thirds = thirdStopTimes();
    const auto halves = halfStopTimes();
    return {{"times", {0, {thirds.begin(), thirds.end()}}},
            {"half-stop times", {0, {halves.begin(), halves.end()}}},
            {"angles", {0.1, {}}},
            {"whole angles", {1.0, {}}},
            {"angles and times", {0.1, {thirds.begin(), thirds.end()}}}};
}

Error refuseAnswer(std::string_view got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, {}, std::string(got), std::move(expected)};
}

std::string trimmedWord(std::string_view text) {
    const auto first = text.find_first_not_of(" \t");
    if (first == std::string_view::npos)
        return {};
    return std::string(text.substr(first, text.find_last_not_of(" \t") - first + 1));
}

std::vector<std::string> parts(std::string_view text, char between) {
    std::vector<std::string> found;
    while (true) {
        const auto at = text.find(between);
        if (auto word = trimmedWord(text.substr(0, at)); !word.empty())
            found.push_back(std::move(word));
        if (at == std::string_view::npos)
            return found;
        text.remove_prefix(at + 1);
    }
}

// A bare number, or with this unit behind it.
Result<double> numberIn(std::string_view text, double low, double high, std::string_view unit,
                        const char* expected) {
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    if (!scanned->prefix.empty() || (!scanned->unit.empty() && scanned->unit != unit) ||
        !(scanned->value >= low && scanned->value <= high))
        return refuseAnswer(text, expected);
    return scanned->value;
}

Outcome readSensor(Camera& camera, std::string_view text) {
    constexpr const char* expected = "width x height in mm, such as 35.9 x 18.9, from 0.5 to 200";
    const auto sides = parts(lowered(text), 'x');
    if (sides.size() != 2)
        return refuseAnswer(text, expected);
    const auto width = numberIn(sides[0], 0.5, 200, "mm", expected);
    const auto height = numberIn(sides[1], 0.5, 200, "mm", expected);
    if (!width || !height)
        return refuseAnswer(text, expected);
    auto& whole = camera.areas.front();
    const double wider = *width / whole.width.value();
    const double higher = *height / whole.height.value();
    for (auto& area : camera.areas) {
        area.width = area.width * wider;
        area.height = area.height * higher;
    }
    whole.width = Millimetres(*width);
    whole.height = Millimetres(*height);
    return Done{};
}

Outcome readBases(Camera& camera, std::string_view text) {
    const auto before = camera.bases;
    std::vector<BaseIso> bases;
    for (const auto& word : parts(text, ',')) {
        const auto iso = parseExposureIndex(word);
        if (!iso)
            return iso.error();
        BaseIso base = before.front();
        base.iso = *iso;
        for (const auto& known : before)
            if (known.iso == *iso)
                base = known;
        bases.push_back(base);
    }
    if (bases.empty())
        return refuseAnswer(text, "one base ISO or more, such as 800, 5000");
    std::sort(bases.begin(), bases.end(),
              [](const BaseIso& a, const BaseIso& b) { return a.iso < b.iso; });
    camera.bases = std::move(bases);
    return Done{};
}

Outcome readOverGrey(Camera& camera, std::string_view text) {
    const auto clip = numberIn(text, -5, 20, "st", "stops from grey to clip, such as 6.1");
    if (!clip)
        return clip.error();
    for (auto& base : camera.bases)
        base.sensor.clip = Stops(*clip);
    return Done{};
}

Outcome readRange(Camera& camera, std::string_view text) {
    const auto range = numberIn(text, 1, 25, "st", "stops from clip to noise, such as 12.6");
    if (!range)
        return range.error();
    for (auto& base : camera.bases)
        base.sensor.readNoise = readNoiseFor(base.sensor.fullWell, Stops(*range));
    return Done{};
}

Outcome readSlots(Camera& camera, std::string_view text) {
    const auto before = camera.cardSlots;
    std::vector<Slot> found;
    for (auto word : parts(text, ',')) {
        // "UHS-I at 150Mb/s": the body writes no more there.
        std::optional<DataRate> most;
        if (const auto at = lowered(word).find(" at "); at != std::string::npos) {
            const auto rate = parseDataRate(word.substr(at + 4));
            if (!rate)
                return rate.error();
            most = *rate;
            word = trimmedWord(word.substr(0, at));
        }
        const auto all = buses();
        const auto bus = std::find_if(all.begin(), all.end(), [&](const Bus& one) {
            return lowered(one.name) == lowered(word);
        });
        if (bus == all.end())
            return refuseAnswer(word, "UHS-I, UHS-II, UHS-III, CFast 2, CFexpress A, B or C");
        const auto at = found.size();
        Slot slot;
        slot.id = "slot-" + std::to_string(at + 1);
        slot.name = "slot " + std::to_string(at + 1);
        if (at < before.size())
            slot = before[at];
        slot.bus = bus->name;
        slot.form = bus->form;
        slot.most = most;
        found.push_back(slot);
    }
    camera.cardSlots = std::move(found);
    return Done{};
}

Outcome readDraw(Camera& camera, std::string_view text) {
    const auto words = parts(text, '/');
    Watts watts[] = {Watts(0), Watts(0)};
    for (std::size_t i = 0; i < words.size() && i < 2; ++i) {
        const auto value = parseWatts(words[i]);
        if (!value)
            return value.error();
        watts[i] = *value;
    }
    camera.draw = watts[0];
    camera.standby = watts[1];
    return Done{};
}

Outcome readHeat(Camera& camera, std::string_view text) {
    std::vector<HeatLimit> heat;
    if (lowered(text) != "none")
        for (const auto& word : parts(text, ',')) {
            const auto at = lowered(word).find(" at ");
            const auto time = parseDuration(word.substr(0, at));
            const auto air = at == std::string::npos ? Result<Celsius>(Celsius(25))
                                                     : parseCelsius(word.substr(at + 4));
            if (!time)
                return time.error();
            if (!air)
                return air.error();
            heat.push_back({*air, *time});
        }
    std::sort(heat.begin(), heat.end(),
              [](const HeatLimit& a, const HeatLimit& b) { return a.ambient < b.ambient; });
    for (auto& mode : camera.modes)
        mode.heat = heat;
    return Done{};
}

std::string heatText(const Camera& camera) {
    std::string text;
    for (const auto& heat : camera.modes.front().heat)
        text +=
            (text.empty() ? "" : ", ") + spellDuration(heat.time) + " at " + spell(heat.ambient);
    return text;
}

Outcome readShutter(Camera& camera, std::string_view text) {
    std::string names;
    for (const auto& [name, dial] : namedDials()) {
        if (lowered(text) == name) {
            camera.shutter = dial;
            return Done{};
        }
        names += (names.empty() ? "" : ", ") + std::string(name);
    }
    return refuseAnswer(text, "one of: " + names);
}

Outcome readNumber(Camera& camera, CameraFact fact, std::string_view text) {
    if (fact == CameraFact::Zebra) {
        const auto step = numberIn(text, 0.1, 50, "%", "percent from 0.1 to 50");
        if (!step)
            return step.error();
        camera.zebra.step = *step;
        return Done{};
    }
    if (fact == CameraFact::Buffer) {
        const auto size = text.empty() ? Result<DataSize>(DataSize(0)) : parseDataSize(text);
        if (!size)
            return size.error();
        camera.buffer = *size;
        return Done{};
    }
    const auto scan = text.empty() ? Result<double>(0.0)
                                   : numberIn(text, 0, 1000, "ms", "milliseconds from 0 to 1000");
    if (!scan)
        return scan.error();
    camera.areas.front().readout = Seconds(*scan / 1000.0);
    return Done{};
}

Outcome read(Camera& camera, CameraFact fact, std::string_view text) {
    switch (fact) {
    case CameraFact::Sensor:
        return readSensor(camera, text);
    case CameraFact::Bases:
        return readBases(camera, text);
    case CameraFact::OverGrey:
        return readOverGrey(camera, text);
    case CameraFact::Range:
        return readRange(camera, text);
    case CameraFact::Shutter:
        return readShutter(camera, text);
    case CameraFact::Slots:
        return readSlots(camera, text);
    case CameraFact::Draw:
        return readDraw(camera, text);
    case CameraFact::Heat:
        return readHeat(camera, text);
    case CameraFact::Zebra:
    case CameraFact::Readout:
    case CameraFact::Buffer:
        break;
    }
    return readNumber(camera, fact, text);
}

std::string slotsText(const Camera& camera) {
    std::string text;
    for (const auto& slot : camera.cardSlots)
        text +=
            (text.empty() ? "" : ", ") + slot.bus + (slot.most ? " at " + spell(*slot.most) : "");
    return text;
}

std::string drawText(const Camera& camera) {
    if (camera.draw.value() <= 0)
        return {};
    return print(camera.draw) + (camera.standby.value() > 0 ? " / " + print(camera.standby) : "");
}

std::string basesText(const Camera& camera) {
    std::string text;
    for (const auto& base : camera.bases)
        text += (text.empty() ? "" : ", ") + print(base.iso);
    return text;
}

std::string shutterText(const Camera& camera) {
    for (const auto& [name, dial] : namedDials())
        if (dial == camera.shutter)
            return name;
    return {};
}

} // namespace

bool mayBeMissing(CameraFact fact) {
    return fact == CameraFact::Readout || fact == CameraFact::Draw || fact == CameraFact::Heat ||
           fact == CameraFact::Buffer;
}

std::string answerOf(const Camera& camera, CameraFact fact) {
    const auto& whole = camera.areas.front();
    const auto& sensor = camera.bases.front().sensor;
    switch (fact) {
    case CameraFact::Sensor:
        return trimmed(whole.width.value(), 3) + " x " + trimmed(whole.height.value(), 3);
    case CameraFact::Bases:
        return basesText(camera);
    case CameraFact::OverGrey:
        return trimmed(sensor.clip.value(), 2);
    case CameraFact::Range:
        return trimmed(dynamicRange(sensor, kPracticalSnr).value(), 2);
    case CameraFact::Shutter:
        return shutterText(camera);
    case CameraFact::Slots:
        return slotsText(camera);
    case CameraFact::Zebra:
        return trimmed(camera.zebra.step, 1);
    case CameraFact::Readout:
        return whole.readout.value() > 0 ? trimmed(whole.readout.value() * 1000, 3) : "";
    case CameraFact::Draw:
        return drawText(camera);
    case CameraFact::Heat:
        return heatText(camera);
    case CameraFact::Buffer:
        break;
    }
    return camera.buffer.value() > 0 ? spell(camera.buffer) : "";
}

Result<Camera> withAnswer(Camera camera, CameraFact fact, std::string_view text) {
    const auto word = trimmedWord(text);
    if (word == answerOf(camera, fact))
        return camera;
    if (word.empty() && !mayBeMissing(fact))
        return Error{
            ErrorCode::EmptyText, {}, {}, {}, "something such as " + answerOf(camera, fact)};
    if (const auto outcome = read(camera, fact, word); !outcome)
        return outcome.error();
    return camera;
}

std::string usualOf(const Camera& camera, CameraFact fact) {
    // Nobody knows the range of a body by its kind to the hundredth.
    if (fact != CameraFact::Range)
        return answerOf(camera, fact);
    const double stops = dynamicRange(camera.bases.front().sensor, kPracticalSnr).value();
    return trimmed(std::round(2 * stops) / 2, 1);
}

Result<Camera> answered(Camera camera, std::span<const CameraAnswer> answers) {
    camera.guessed.assign(std::begin(kCameraFacts), std::end(kCameraFacts));
    for (const auto& answer : answers) {
        auto next = withAnswer(std::move(camera), answer.fact, answer.text);
        if (!next) {
            Error error = next.error();
            error.place = keyOf(answer.fact);
            return error;
        }
        camera = known(*std::move(next), answer.fact);
    }
    return camera;
}

Camera known(Camera camera, CameraFact fact) {
    std::erase(camera.guessed, fact);
    return camera;
}

} // namespace bslate
