#pragma once

#include "core/advice/remedy.h"

/// What an edit changes in a setup and its scene, told field by field, so that a button can say all
/// that it does.
namespace bslate {

/// Every change of `edit` to this setup that the remedy's own title does not name: one clause each,
/// in the order of the light's way. Light is told when every patch moved by the same stops.
[[nodiscard]] ReasonList unnamedChanges(const Shoot& shoot, const Setup& before,
                                        const Remedy& remedy);

/// The names of the filters that were put on and taken out; empty where none were.
struct FilterChange {
    std::string on, out;
    /// For a title: "ND0.9 in place of ND0.3", "ND0.3 out".
    [[nodiscard]] Reason told() const;
};
[[nodiscard]] FilterChange filterChange(const Kit& kit, const Camera& camera,
                                        const std::vector<std::string>& before,
                                        const std::vector<std::string>& after);

} // namespace bslate
