#include "app/views/kit/camera_text.h"

#include "app/document/text.h"
#include "core/kit/edit.h"
#include "core/kit/white_dial_line.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include <QLocale>
#include <QStringList>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kSnr = 2.0; // the practical floor, as everywhere

QString tr(const char* text) {
    return QCoreApplication::translate("CameraText", text);
}

QString number(double value, int places) {
    return toQt(trimmed(value, places));
}

Error wrong(const QString& place, const QString& got, const char* expected) {
    return {ErrorCode::OutOfRange, {}, fromQt(place), fromQt(got), expected};
}

// Collects the first field that cannot be read.
struct Fields {
    std::optional<Error> error;

    void fail(const QString& place, const QString& got, const char* expected) {
        if (!error)
            error = wrong(place, got, expected);
    }

    double in(const QString& place, const QString& text, double low, double high,
              const char* expected) {
        bool ok = false;
        const double value = QLocale::c().toDouble(text.trimmed(), &ok);
        if (!ok || !(value >= low && value <= high))
            fail(place, text, expected);
        return value;
    }

    template<class Q>
    Q parsed(const QString& place, const QString& text, Result<Q> (*parse)(std::string_view)) {
        const auto value = parse(fromQt(text));
        if (value)
            return *value;
        if (!error) {
            error = value.error();
            error->place = fromQt(place);
        }
        return Q{};
    }
};

void readSensor(Fields& fields, const CameraText& text, Camera& camera) {
    const auto sides = text.sensor.toLower().remove(QStringLiteral("mm")).split(QLatin1Char('x'));
    constexpr const char* expected = "width x height in mm, such as 35.9 x 18.9, from 0.5 to 200";
    const QString place = tr("Sensor");
    if (sides.size() != 2)
        return fields.fail(place, text.sensor, expected);
    const double width = fields.in(place, sides[0], 0.5, 200, expected);
    const double height = fields.in(place, sides[1], 0.5, 200, expected);
    if (fields.error)
        return;
    auto& whole = camera.areas.front();
    const double wider = width / whole.width.value();
    const double higher = height / whole.height.value();
    for (auto& area : camera.areas) {
        area.width = area.width * wider;
        area.height = area.height * higher;
    }
    whole.width = Millimetres(width);
    whole.height = Millimetres(height);
    whole.readout = Seconds(0);
    if (!text.readout.trimmed().isEmpty())
        whole.readout =
            Seconds(fields.in(tr("Readout"), text.readout, 0, 1000, "milliseconds from 0 to 1000") /
                    1000.0);
    whole.fastest.reset();
    if (!text.fastest.trimmed().isEmpty())
        whole.fastest = fields.parsed(tr("Fastest full scan"), text.fastest, parseFrameRate);
}

void readBases(Fields& fields, const CameraText& text, Camera& camera) {
    const auto before = camera.bases;
    const double clip =
        fields.in(tr("Stops over grey"), text.clip, -5, 20, "stops from grey to clip, such as 6.1");
    const double range = fields.in(tr("Stops of range"), text.range, 1, 25,
                                   "stops from clip to noise, such as 12.6");
    const auto old = textOf(camera);
    const bool sameSensor = old.clip == text.clip && old.range == text.range;
    camera.bases.clear();
    for (const auto& item : text.bases.split(QLatin1Char(','))) {
        BaseIso base;
        base.iso = fields.parsed(tr("Base ISOs"), item, parseExposureIndex);
        if (fields.error)
            return;
        for (const auto& known : before)
            if (known.iso == base.iso)
                base = known;
        if (!sameSensor) {
            base.sensor.clip = Stops(clip);
            base.sensor.readNoise = readNoiseFor(base.sensor.fullWell, Stops(range));
        }
        camera.bases.push_back(base);
    }
    std::sort(camera.bases.begin(), camera.bases.end(),
              [](const auto& a, const auto& b) { return a.iso < b.iso; });
}

void readSlots(Fields& fields, const QString& text, Camera& camera) {
    const auto before = camera.cardSlots;
    camera.cardSlots.clear();
    for (const auto& item : text.split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        QString word = item.trimmed();
        // "UHS-I at 150Mb/s": the body writes no more there.
        std::optional<DataRate> most;
        if (const auto at = word.indexOf(QStringLiteral(" at "), 0, Qt::CaseInsensitive); at > 0) {
            most = fields.parsed(tr("Card slots"), word.mid(at + 4), parseDataRate);
            word = word.left(at).trimmed();
        }
        const Bus* found = nullptr;
        for (const auto& bus : buses())
            if (toQt(bus.name).compare(word, Qt::CaseInsensitive) == 0)
                found = &bus;
        if (!found)
            return fields.fail(tr("Card slots"), word,
                               "UHS-I, UHS-II, UHS-III, CFast 2, CFexpress A, B or C");
        const std::size_t at = camera.cardSlots.size();
        Slot slot;
        slot.id = "slot-" + std::to_string(at + 1);
        slot.name = fromQt(tr("slot %1").arg(at + 1));
        if (at < before.size())
            slot = before[at];
        slot.bus = found->name;
        slot.form = found->form;
        slot.most = most;
        camera.cardSlots.push_back(slot);
    }
}

} // namespace

std::vector<ShutterChoice> shutterChoices() {
    const auto thirds = thirdStopTimes();
    const auto halves = halfStopTimes();
    return {{tr("third-stop times"), {0, {thirds.begin(), thirds.end()}}},
            {tr("half-stop times"), {0, {halves.begin(), halves.end()}}},
            {tr("angles, 0.1\u00b0"), {0.1, {}}},
            {tr("angles, 1\u00b0"), {1.0, {}}},
            {tr("angles and third-stop times"), {0.1, {thirds.begin(), thirds.end()}}},
            {tr("as it is"), {}}};
}

CameraText textOf(const Camera& camera) {
    CameraText text;
    const auto& whole = camera.areas.front();
    const auto& sensor = camera.bases.front().sensor;
    text.name = toQt(camera.name);
    text.sensor = QStringLiteral("%1 x %2").arg(number(whole.width.value(), 3),
                                                number(whole.height.value(), 3));
    if (whole.readout.value() > 0)
        text.readout = number(whole.readout.value() * 1000, 3);
    if (whole.fastest)
        text.fastest = toQt(print(*whole.fastest));
    QStringList bases, slotNames;
    for (const auto& base : camera.bases)
        bases << toQt(print(base.iso));
    for (const auto& slot : camera.cardSlots)
        slotNames << toQt(slot.bus) +
                         (slot.most ? QStringLiteral(" at ") + toQt(spell(*slot.most)) : QString());
    text.bases = bases.join(QStringLiteral(", "));
    text.cardSlots = slotNames.join(QStringLiteral(", "));
    text.clip = number(sensor.clip.value(), 2);
    text.range = number(dynamicRange(sensor, kSnr).value(), 2);
    text.white = toQt(spell(camera.white));
    text.zebra = number(camera.zebra.step, 1);
    text.banks = QString::number(camera.banks.internal);
    if (camera.banks.onCard > 0)
        text.banks += QStringLiteral("+%1").arg(camera.banks.onCard);
    if (camera.draw.value() > 0)
        text.draw = toQt(print(camera.draw));
    if (camera.draw.value() > 0 && camera.standby.value() > 0)
        text.draw += QStringLiteral(" / ") + toQt(print(camera.standby));
    if (camera.buffer.value() > 0)
        text.buffer = toQt(spell(camera.buffer));
    const auto choices = shutterChoices();
    text.shutter = static_cast<int>(choices.size()) - 1;
    for (std::size_t i = choices.size() - 1; i-- > 0;)
        if (choices[i].dial == camera.shutter)
            text.shutter = static_cast<int>(i);
    return text;
}

Result<Camera> cameraFrom(const Camera& before, const CameraText& text) {
    Camera camera = before;
    Fields fields;
    camera.name = fromQt(text.name.trimmed());
    if (camera.name.empty())
        fields.fail(tr("Name"), {}, "a name to know the camera by");
    readSensor(fields, text, camera);
    readBases(fields, text, camera);
    readSlots(fields, text.cardSlots, camera);
    camera.white = fields.parsed(tr("White dial"), text.white, parseWhiteDial);
    camera.zebra.step = fields.in(tr("Zebra step"), text.zebra, 0.1, 50, "percent from 0.1 to 50");
    const auto banks = text.banks.split(QLatin1Char('+'));
    constexpr const char* bankWords = "a number of banks such as 3, or 3+4 with four on the card";
    camera.banks = {};
    camera.banks.internal = static_cast<int>(fields.in(tr("Banks"), banks[0], 0, 100, bankWords));
    if (banks.size() > 1)
        camera.banks.onCard = static_cast<int>(fields.in(tr("Banks"), banks[1], 0, 100, bankWords));
    const auto watts = text.draw.split(QLatin1Char('/'));
    const auto wattsOf = [&](qsizetype at) {
        return at >= watts.size() || watts[at].trimmed().isEmpty()
                   ? Watts(0)
                   : fields.parsed(tr("Power draw"), watts[at], parseWatts);
    };
    camera.draw = wattsOf(0);
    camera.standby = wattsOf(1);
    camera.buffer = text.buffer.trimmed().isEmpty()
                        ? DataSize(0)
                        : fields.parsed(tr("Buffer"), text.buffer, parseDataSize);
    const auto choices = shutterChoices();
    if (text.shutter >= 0 && text.shutter + 1 < static_cast<int>(choices.size()))
        camera.shutter = choices[static_cast<std::size_t>(text.shutter)].dial;
    if (fields.error)
        return *fields.error;
    return camera;
}

} // namespace bslate::app
