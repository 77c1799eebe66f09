#include "core/facts/handling_reasons.h"

#include "core/base/enumerated.h"

namespace bslate {

Reason wordOf(Support support) {
    constexpr ByEnum<Support, std::string_view> kIds{"", "support-tripod", "support-gimbal",
                                                     "support-shoulder", "support-hand"};
    return {kIds[support], {}};
}

Reason effectOf(const Camera& camera, AutomaticKind kind) {
    for (const auto& automatic : camera.body.automatics)
        if (automatic.kind == kind && !automatic.effect.empty())
            return named(automatic.effect);
    constexpr ByEnum<AutomaticKind, std::string_view> kIds{
        "automatic-exposure", "automatic-iso",   "automatic-white",     "automatic-slow",
        "automatic-range",    "automatic-zoom",  "automatic-eye",       "automatic-power",
        "automatic-touch",    "automatic-noise", "automatic-sharpening"};
    return {kIds[kind], {}};
}

} // namespace bslate
