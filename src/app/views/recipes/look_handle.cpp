#include "app/views/recipes/look_handle.h"

#include "app/document/text.h"
#include "core/base/enumerated.h"
#include "core/quantity/number_text.h"

#include <QCoreApplication>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

struct Scale {
    const char* name;
    double low, high, neutral;
    bool percent;
};

const Scale& scaleOf(LookHandle handle) {
    static constexpr auto kScales = tableOf<Scale, LookHandle>(
        {{LookHandle::Lift, {QT_TRANSLATE_NOOP("Recipes", "Lift of black"), -0.1, 0.2, 0, true}},
         {LookHandle::Toe, {QT_TRANSLATE_NOOP("Recipes", "Toe"), -0.5, 0.5, 0, false}},
         {LookHandle::Shoulder,
          {QT_TRANSLATE_NOOP("Recipes", "Shoulder from"), 0.5, 1.09, 1, true}},
         {LookHandle::ShoulderSlope,
          {QT_TRANSLATE_NOOP("Recipes", "Shoulder slope"), 0.01, 1, 1, false}},
         {LookHandle::Colourfulness,
          {QT_TRANSLATE_NOOP("Recipes", "Colourfulness"), 0, 2, 1, false}},
         {LookHandle::Reds, {QT_TRANSLATE_NOOP("Recipes", "Darkness of reds"), -1, 1, 0, false}},
         {LookHandle::Yellows,
          {QT_TRANSLATE_NOOP("Recipes", "Darkness of yellows"), -1, 1, 0, false}},
         {LookHandle::Greens,
          {QT_TRANSLATE_NOOP("Recipes", "Darkness of greens"), -1, 1, 0, false}},
         {LookHandle::Cyans, {QT_TRANSLATE_NOOP("Recipes", "Darkness of cyans"), -1, 1, 0, false}},
         {LookHandle::Blues, {QT_TRANSLATE_NOOP("Recipes", "Darkness of blues"), -1, 1, 0, false}},
         {LookHandle::Magentas,
          {QT_TRANSLATE_NOOP("Recipes", "Darkness of magentas"), -1, 1, 0, false}}});
    return kScales[handle];
}

double& partOf(Look& look, LookHandle handle) {
    switch (handle) {
    case LookHandle::Lift:
        return look.tone.blackLevel;
    case LookHandle::Toe:
        return look.tone.blackGamma;
    case LookHandle::Shoulder:
        return look.tone.kneePoint;
    case LookHandle::ShoulderSlope:
        return look.tone.kneeSlope;
    case LookHandle::Colourfulness:
        return look.colour.saturation;
    default:
        return look.colour
            .depth[static_cast<std::size_t>(handle) - static_cast<std::size_t>(LookHandle::Reds)];
    }
}

QString written(double value, bool percent) {
    return percent ? QStringLiteral("%1 %").arg(toQt(trimmed(100 * value, 1)))
                   : toQt(trimmed(value, 2));
}

} // namespace

QString nameOf(LookHandle handle) {
    return QCoreApplication::translate("Recipes", scaleOf(handle).name);
}

double valueOf(const Look& look, LookHandle handle) {
    Look own = look;
    return partOf(own, handle);
}

Look withValue(Look look, LookHandle handle, double value) {
    const auto& scale = scaleOf(handle);
    partOf(look, handle) = std::clamp(value, scale.low, scale.high);
    return look;
}

Look stepped(const Look& look, LookHandle handle, int steps) {
    // In whole hundredths, so that steps there and back meet.
    const double hundredths = std::round(valueOf(look, handle) * 100) + steps;
    return withValue(look, handle, hundredths / 100);
}

Look neutral(const Look& look, LookHandle handle) {
    return withValue(look, handle, scaleOf(handle).neutral);
}

QString textOf(const Look& look, LookHandle handle) {
    return written(valueOf(look, handle), scaleOf(handle).percent);
}

std::optional<double> parsed(LookHandle handle, const QString& text) {
    const auto& scale = scaleOf(handle);
    bool number = false;
    double value = QString(text).remove(QLatin1Char('%')).trimmed().toDouble(&number);
    if (scale.percent)
        value /= 100;
    if (!number || !(value >= scale.low && value <= scale.high))
        return std::nullopt;
    return value;
}

QString rangeOf(LookHandle handle) {
    const auto& scale = scaleOf(handle);
    return QCoreApplication::translate("Recipes", "%1: a number from %2 to %3")
        .arg(nameOf(handle), written(scale.low, scale.percent), written(scale.high, scale.percent));
}

} // namespace bslate::app
