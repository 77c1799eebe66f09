#include "app/views/kit/camera_rows.h"

#include "core/kit/camera_answer.h"
#include "core/kit/camera_fields.h"
#include "core/kit/sensor_line.h"
#include "core/kit/white_dial_line.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

namespace bslate::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("CameraRows", text);
}

FieldRow<Camera> line(const char* key, const QString& label, const QString& hint) {
    FieldRow<Camera> row;
    row.key = key;
    row.label = label;
    row.hint = hint;
    return row;
}

// A fact that was typed anew is known from then on.
FieldRow<Camera> factRow(const char* key, CameraFact fact, const QString& label,
                         const QString& hint) {
    auto row = line(key, label, hint);
    row.text = [fact](const Camera& camera) { return answerOf(camera, fact); };
    row.put = [fact](Camera& camera, std::string_view text) -> Outcome {
        auto next = withAnswer(camera, fact, text);
        if (!next)
            return next.error();
        camera = known(*std::move(next), fact);
        return Done{};
    };
    return row;
}

// The dials a list can name; a dial of its own stays under the last entry.
FieldRow<Camera> shutterRow() {
    auto row = factRow("shutter", CameraFact::Shutter, tr("Sh&utter"), {});
    row.how = typed::How::Chosen;
    row.choices = {{QStringLiteral("times"), tr("third-stop times")},
                   {QStringLiteral("half-stop times"), tr("half-stop times")},
                   {QStringLiteral("angles"), tr("angles, 0.1\u00b0")},
                   {QStringLiteral("whole angles"), tr("angles, 1\u00b0")},
                   {QStringLiteral("angles and times"), tr("angles and third-stop times")},
                   {QString(), tr("as it is")}};
    row.put = [put = row.put](Camera& camera, std::string_view text) -> Outcome {
        return text.empty() ? Outcome(Done{}) : put(camera, text);
    };
    return row;
}

// A member with a spelling of its own.
template<class V>
FieldRow<Camera> spelledRow(const char* key, const QString& label, const QString& hint,
                            V Camera::*member, Result<V> (*parse)(std::string_view)) {
    auto row = line(key, label, hint);
    row.text = [member](const Camera& camera) { return spell(camera.*member); };
    row.put = [member, parse](Camera& camera, std::string_view text) -> Outcome {
        auto value = parse(text);
        if (!value)
            return value.error();
        camera.*member = *std::move(value);
        return Done{};
    };
    return row;
}

FieldRow<Camera> fastestRow() {
    auto row = line("fastest", tr("Fastest full scan"), tr("60; empty: no limit"));
    row.text = [](const Camera& camera) {
        const auto& fastest = camera.areas.front().fastest;
        return fastest ? print(*fastest) : std::string();
    };
    row.put = [](Camera& camera, std::string_view text) -> Outcome {
        auto& fastest = camera.areas.front().fastest;
        const auto rate = text.empty() ? Result<FrameRate>(FrameRate{}) : parseFrameRate(text);
        if (!rate)
            return rate.error();
        fastest = text.empty() ? std::nullopt : std::optional(*rate);
        return Done{};
    };
    return row;
}

FieldRow<Camera> tapRow() {
    auto row = line("tap", tr("measured"), {});
    row.how = typed::How::Chosen;
    row.choices = choicesOf(std::span<const NamedValue<ZebraTap>>(kTapNames));
    row.text = [](const Camera& camera) {
        return std::string(nameIn<ZebraTap>(kTapNames, camera.zebra.tap));
    };
    row.put = [](Camera& camera, std::string_view name) -> Outcome {
        camera.zebra.tap = *valueIn<ZebraTap>(kTapNames, name);
        return Done{};
    };
    return row;
}

// "3", "3+4": inside the body, and on the card.
FieldRow<Camera> banksRow() {
    auto row = line("banks", tr("Ban&ks"), tr("3, or 3+4 with four on the card"));
    row.text = [](const Camera& camera) {
        const auto& banks = camera.banks;
        return std::to_string(banks.internal) +
               (banks.onCard > 0 ? "+" + std::to_string(banks.onCard) : "");
    };
    row.put = [](Camera& camera, std::string_view text) -> Outcome {
        const auto plus = text.find('+');
        const auto inside = typed::parsedWhole(kFew, text.substr(0, plus));
        const auto onCard = plus == std::string_view::npos
                                ? Result<int>(0)
                                : typed::parsedWhole(kFew, text.substr(plus + 1));
        if (!inside || !onCard)
            return Error{ErrorCode::NotANumber,
                         {},
                         {},
                         std::string(text),
                         "a number of banks such as 3, or 3+4 with four on the card"};
        camera.banks = {*inside, *onCard};
        return Done{};
    };
    return row;
}

FieldRow<Camera> nameRow() {
    auto row = rowNamed<Camera>("name");
    row.hint = tr("as you call it");
    return row;
}

} // namespace

FieldRows<Camera> cameraRows() {
    return {
        nameRow(),
        factRow("sensor", CameraFact::Sensor, tr("&Sensor"), tr("35.9 x 18.9 (mm)")),
        factRow("readout", CameraFact::Readout, tr("Readout, ms"),
                tr("one full scan; empty: unknown")),
        fastestRow(),
        factRow("bases", CameraFact::Bases, tr("&Base ISOs"), tr("800 or 800, 5000")),
        factRow("clip", CameraFact::OverGrey, tr("Stops over grey"),
                tr("6.1: grey to clip, at base")),
        factRow("range", CameraFact::Range, tr("Stops of range"), tr("12.6: clip to noise, SNR 2")),
        shutterRow(),
        spelledRow("white", tr("&White dial"), tr("100, or 50 2500-10000 tint 0.0013 to 9 M/G"),
                   &Camera::white, parseWhiteDial),
        spelledRow("primaries", tr("Primaries"),
                   tr("R 0.69 0.31 G 0.2 0.76 B 0.14 0.05; empty: unknown"), &Camera::primaries,
                   parsePrimaries),
        spelledRow("gains", tr("Gains found"), tr("3200 K R 0.6 B 2; 5600 K R 1.1 B 0.7"),
                   &Camera::whiteGains, parseGains),
        factRow("zebra", CameraFact::Zebra, tr("&Zebra step, %"), QStringLiteral("5")),
        tapRow(),
        factRow("slots", CameraFact::Slots, tr("Card s&lots"), tr("UHS-II, UHS-I or CFexpress B")),
        banksRow(),
        factRow("draw", CameraFact::Draw, tr("Power &draw"),
                tr("7.5 W, or 7.5 W / 4.5 W on standby; empty: unknown")),
        factRow("buffer", CameraFact::Buffer, tr("Buffer"), tr("0.6 GB; empty: unknown"))};
}

} // namespace bslate::app
