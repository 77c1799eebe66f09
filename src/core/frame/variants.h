#pragma once

#include "core/facts/setup_context.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// A setup in another way, to be seen beside it.
namespace bslate {

enum class VariantKind { School, Depth, Profile, Recipe };

/// `id` is a school as files name it, a number of bits, or the id of a profile or a recipe; the
/// empty recipe is none.
struct FrameVariant {
    VariantKind kind = VariantKind::Depth;
    std::string id;
    friend bool operator==(const FrameVariant&, const FrameVariant&) = default;
};

/// `school:guard`, `depth:8`, `profile:ID`, `recipe:ID`, `recipe:`; none for another text.
[[nodiscard]] std::optional<FrameVariant> variantNamed(std::string_view text);
[[nodiscard]] std::string spell(const FrameVariant& variant);

/// What a setup can be compared with: the other schools that want something of its scene, other
/// depths (8, 10 and 12 bits), the other profiles of its camera, and, in a ready profile, no
/// recipe and those of the kit.
[[nodiscard]] std::vector<FrameVariant> variantsOf(const SetupContext& context);

/// The shoot with that setup in the other way. A school moves the iris by what it wants (targetOf()
/// of facts/schools.h), so that nothing but brightness changes; a depth is the codec's, a recipe
/// the profile's. Fails with UnknownId for what is not there, OutOfRange where the school has
/// nothing to go by.
[[nodiscard]] Result<Shoot> varied(const SetupContext& context, const FrameVariant& variant);

} // namespace bslate
