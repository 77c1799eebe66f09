#include "core/shoot/handling_of.h"

namespace bslate {

std::optional<bool> stabiliserFor(Support support) {
    switch (support) {
    case Support::Tripod:
    case Support::Gimbal:
        return false;
    case Support::Shoulder:
    case Support::Hand:
        return true;
    case Support::Unsaid:
        break;
    }
    return std::nullopt;
}

Handling handlingOf(const Scene& scene, const Setup& setup) {
    Handling handling;
    handling.support = setup.support != Support::Unsaid ? setup.support : scene.support;
    handling.focus = setup.focusBy != FocusBy::Unsaid ? setup.focusBy : scene.focusBy;
    handling.sound = setup.soundBy != SoundBy::Unsaid ? setup.soundBy
                     : scene.sound                    ? scene.soundBy
                                                      : SoundBy::None;
    handling.stabiliser = setup.stabiliser == Stabiliser::AsSupport
                              ? stabiliserFor(handling.support)
                              : std::optional(setup.stabiliser == Stabiliser::On);
    return handling;
}

} // namespace bslate
