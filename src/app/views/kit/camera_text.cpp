#include "app/views/kit/camera_text.h"

#include "app/document/text.h"
#include "core/kit/camera_answer.h"
#include "core/kit/sensor_line.h"
#include "core/kit/white_dial_line.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <QStringList>

namespace bslate::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("CameraText", text);
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

    // A fact that was typed anew is known from then on.
    void answer(Camera& camera, CameraFact fact, const QString& place, const QString& text) {
        if (error || text.trimmed() == toQt(answerOf(camera, fact)))
            return;
        auto next = withAnswer(camera, fact, fromQt(text));
        if (next) {
            camera = known(*std::move(next), fact);
            return;
        }
        error = next.error();
        error->place = fromQt(place);
    }

    int banks(const QString& text) {
        bool ok = false;
        const int count = text.trimmed().toInt(&ok);
        if (!ok || count < 0 || count > 100)
            fail(tr("Banks"), text, "a number of banks such as 3, or 3+4 with four on the card");
        return count;
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

// Where the sheet names a fact.
struct SheetFact {
    CameraFact fact;
    QString place;
    QString CameraText::*text;
};
std::vector<SheetFact> sheetFacts() {
    return {{CameraFact::Sensor, tr("Sensor"), &CameraText::sensor},
            {CameraFact::Readout, tr("Readout"), &CameraText::readout},
            {CameraFact::Bases, tr("Base ISOs"), &CameraText::bases},
            {CameraFact::OverGrey, tr("Stops over grey"), &CameraText::clip},
            {CameraFact::Range, tr("Stops of range"), &CameraText::range},
            {CameraFact::Slots, tr("Card slots"), &CameraText::cardSlots},
            {CameraFact::Zebra, tr("Zebra step"), &CameraText::zebra},
            {CameraFact::Draw, tr("Power draw"), &CameraText::draw},
            {CameraFact::Buffer, tr("Buffer"), &CameraText::buffer}};
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
    text.name = toQt(camera.name);
    for (const auto& fact : sheetFacts())
        text.*fact.text = toQt(answerOf(camera, fact.fact));
    if (const auto& fastest = camera.areas.front().fastest)
        text.fastest = toQt(print(*fastest));
    text.white = toQt(spell(camera.white));
    text.primaries = toQt(spell(camera.primaries));
    text.gains = toQt(spell(camera.whiteGains));
    text.banks = QString::number(camera.banks.internal);
    if (camera.banks.onCard > 0)
        text.banks += QStringLiteral("+%1").arg(camera.banks.onCard);
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
    for (const auto& fact : sheetFacts())
        fields.answer(camera, fact.fact, fact.place, text.*fact.text);
    camera.areas.front().fastest.reset();
    if (!text.fastest.trimmed().isEmpty())
        camera.areas.front().fastest =
            fields.parsed(tr("Fastest full scan"), text.fastest, parseFrameRate);
    camera.white = fields.parsed(tr("White dial"), text.white, parseWhiteDial);
    camera.primaries = fields.parsed(tr("Primaries"), text.primaries, parsePrimaries);
    camera.whiteGains = fields.parsed(tr("Gains found"), text.gains, parseGains);
    const auto banks = text.banks.split(QLatin1Char('+'));
    camera.banks = {};
    camera.banks.internal = fields.banks(banks[0]);
    if (banks.size() > 1)
        camera.banks.onCard = fields.banks(banks[1]);
    const auto choices = shutterChoices();
    if (text.shutter >= 0 && text.shutter + 1 < static_cast<int>(choices.size()) &&
        !(camera.shutter == choices[static_cast<std::size_t>(text.shutter)].dial)) {
        camera.shutter = choices[static_cast<std::size_t>(text.shutter)].dial;
        camera = known(std::move(camera), CameraFact::Shutter);
    }
    if (fields.error)
        return *fields.error;
    return camera;
}

} // namespace bslate::app
