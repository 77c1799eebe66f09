#include "cli/verbs.h"

#include <array>

namespace bslate::cli {

extern const Verb kBanksVerb;
extern const Verb kCameraFromVerb;
extern const Verb kCardBenchVerb;
extern const Verb kCheckVerb;
extern const Verb kClipVerb;
extern const Verb kClipCheckVerb;
extern const Verb kCurveVerb;
extern const Verb kDayVerb;
extern const Verb kExposeVerb;
extern const Verb kFitVerb;
extern const Verb kFrameVerb;
extern const Verb kLutVerb;
extern const Verb kMakeClipVerb;
extern const Verb kMeasureVerb;
extern const Verb kMediaVerb;
extern const Verb kModesVerb;
extern const Verb kPrecisionVerb;
extern const Verb kPrerollVerb;
extern const Verb kRecordVerb;
extern const Verb kSensorVerb;
extern const Verb kSchemaVerb;
extern const Verb kSeriesVerb;
extern const Verb kShutterVerb;
extern const Verb kTargetsVerb;
extern const Verb kValidateVerb;
extern const Verb kWhiteVerb;

std::span<const Verb* const> verbs() {
    static constexpr std::array kVerbs = {
        &kBanksVerb,     &kCameraFromVerb, &kCardBenchVerb, &kCheckVerb,   &kClipVerb,
        &kClipCheckVerb, &kCurveVerb,      &kDayVerb,       &kExposeVerb,  &kFitVerb,
        &kFrameVerb,     &kLutVerb,        &kMakeClipVerb,  &kMeasureVerb, &kMediaVerb,
        &kModesVerb,     &kPrecisionVerb,  &kPrerollVerb,   &kRecordVerb,  &kSchemaVerb,
        &kSensorVerb,    &kSeriesVerb,     &kShutterVerb,   &kTargetsVerb, &kValidateVerb,
        &kWhiteVerb};
    return kVerbs;
}

} // namespace bslate::cli
