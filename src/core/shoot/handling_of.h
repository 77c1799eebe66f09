#pragma once

#include "core/shoot/shoot.h"

#include <optional>

namespace bslate {

/// How a setup is held, focused and heard: its own word, else its scene's.
struct Handling {
    Support support = Support::Unsaid;
    FocusBy focus = FocusBy::Unsaid;
    SoundBy sound = SoundBy::Unsaid;
    /// On or off; none while neither is said and nothing is known of the support.
    std::optional<bool> stabiliser;
    friend bool operator==(const Handling&, const Handling&) = default;

    [[nodiscard]] bool wantsSound() const { return sound != SoundBy::None; }
};
[[nodiscard]] Handling handlingOf(const Scene& scene, const Setup& setup);

/// What a support asks of a stabiliser (common practice, no source); none for an unsaid one.
[[nodiscard]] std::optional<bool> stabiliserFor(Support support);

} // namespace bslate
