#pragma once

#include "core/base/enumerated.h"
#include "core/base/extra_keys.h"
#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// What a camera forbids, as data: "when these settings hold, those are required, excluded or
/// limited, because ...". One small engine evaluates them; no camera has code.
namespace bslate {

/// The settings a constraint may speak of. Values are the ids of the kit file for Mode, Area,
/// Codec, Profile, Region and Slot; `raw`, `intra` or `long` for Gop; `on` or `off` for Sound,
/// Focus and Proxy; `internal` or `external` for Power; frame rates for Rate; numbers for Bits,
/// Rating, Base, Angle (degrees) and Ambient (degrees Celsius).
enum class SettingKey {
    Mode,
    Area,
    Codec,
    Gop,
    Bits,
    Rate,
    Profile,
    Rating,
    Base,
    Region,
    Slot,
    Sound,
    Focus,
    Proxy,
    Power,
    Angle,
    Ambient
};
inline constexpr std::size_t kSettingKeys = countOf<SettingKey>();

/// The name in a kit file: `mode`, `area`, ...
[[nodiscard]] std::string_view nameOf(SettingKey key);
[[nodiscard]] std::optional<SettingKey> findSettingKey(std::string_view name);

using SettingValue = std::variant<std::string, FrameRate, double>;

/// True for keys whose values are ordered, so that at_least and at_most make sense.
[[nodiscard]] bool isOrdered(SettingKey key);

/// What is set; empty where nothing is known yet.
class Settings {
public:
    void set(SettingKey key, SettingValue value) { m_values[index(key)] = std::move(value); }
    void clear(SettingKey key) { m_values[index(key)].reset(); }
    [[nodiscard]] const std::optional<SettingValue>& get(SettingKey key) const {
        return m_values[index(key)];
    }

private:
    static std::size_t index(SettingKey key) { return static_cast<std::size_t>(key); }
    std::array<std::optional<SettingValue>, kSettingKeys> m_values;
};

/// One setting being one of some values, or inside a closed range; never both.
struct Condition {
    SettingKey key = SettingKey::Mode;
    std::vector<SettingValue> oneOf;
    std::optional<SettingValue> atLeast;
    std::optional<SettingValue> atMost;
    friend bool operator==(const Condition&, const Condition&) = default;
};

enum class Holds { No, Yes, Unknown };
/// Unknown when the setting is not set.
[[nodiscard]] Holds holds(const Condition& condition, const Settings& settings);

enum class ConstraintKind {
    Requires, ///< every `then` must hold
    Excludes, ///< not all of `then` may hold together
    Limits    ///< as Requires, on ordered settings
};

/// The name in a kit file: `requires`, `excludes` or `limits`.
[[nodiscard]] std::string_view nameOf(ConstraintKind kind);

/// More of them than this on a body are refused: each is weighed against the others.
inline constexpr std::size_t kMostConstraints = 200;

struct Constraint {
    std::string id;
    std::vector<Condition> when; ///< all must hold; empty: always
    ConstraintKind kind = ConstraintKind::Requires;
    std::vector<Condition> then; ///< at least one
    std::string reason;          ///< what to tell a person; never empty
    ExtraKeys extra;
    friend bool operator==(const Constraint&, const Constraint&) = default;
};

/// True when the settings certainly break it; what is not set breaks nothing.
[[nodiscard]] bool isBroken(const Constraint& constraint, const Settings& settings);

/// True when a condition of the constraint is about this setting.
[[nodiscard]] bool mentions(const Constraint& constraint, SettingKey key);

/// Constraints that can never be met together, or lead round to themselves. `place` of the error
/// is the position in the list ("3/requires"), `got` the ids involved in order.
[[nodiscard]] Outcome checkConstraints(const std::vector<Constraint>& constraints);

} // namespace bslate
