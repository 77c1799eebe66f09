#pragma once

#include "core/banks/camera_work.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <vector>

/// What a shoot turns and looks at, counted.
namespace bslate {

/// How often a shoot needs a function.
struct FunctionNeed {
    Function function = Function::Iris;
    int between = 0; ///< times between takes
    int inside = 0;  ///< takes inside which it is turned
    /// A time inside a take counts twice: nobody can look then. Common practice, no source.
    [[nodiscard]] int weight() const { return between + 2 * inside; }
    friend bool operator==(const FunctionNeed&, const FunctionNeed&) = default;
};

/// Every function, the most needed first. `turns` is what hands really do where banks bring the
/// rest back; null: everything that differs from the setup before is turned.
[[nodiscard]] std::vector<FunctionNeed> needsOf(const Shoot& shoot, const CameraWork& work,
                                                const Turns* turns = nullptr);

/// What turns a setting; none for mode, region and controls, which stand in menus.
[[nodiscard]] std::optional<Function> functionOf(BodySetting setting);

} // namespace bslate
