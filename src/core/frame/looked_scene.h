#pragma once

#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"
#include "core/frame/graded.h"
#include "core/signal/look.h"

namespace bslate {

/// How the light of paintScene() is shown beside a recording: exposed as the setup does it, its
/// white neutral.
[[nodiscard]] LightShown lightShownOf(const SetupContext& context, const Evaluation& at);

/// A scene as a camera with this look would show it, no sensor in between: lookSignal()
/// (signal/look.h) of each pixel's light in BT.709 primaries, tone within a tenth of an 8-bit code,
/// then detail (recipe_path.h). Values in [0, 1].
[[nodiscard]] Image lookedScene(const Image& light, const LightShown& how, const Look& look);

} // namespace bslate
