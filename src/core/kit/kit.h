#pragma once

#include "core/base/compiled_once.h"
#include "core/kit/camera.h"
#include "core/kit/recipe.h"
#include "core/light/gel.h"
#include "core/media/offload.h"
#include "core/media/power.h"

#include <string>
#include <vector>

/// The user's equipment as data: cameras, profiles, lenses, filters, cards,
/// batteries and recipes.
namespace bslate {

struct Lens {
    std::string id;
    std::string name;
    TStop widest{2.8};
    TStop narrowest{22};
    Millimetres shortest{0};      ///< focal length; 0 when not known
    Millimetres longest{0};       ///< equal to shortest for a prime
    std::optional<FNumber> wideF; ///< the f-number at the widest mark, for depth of field
    std::optional<Metres> closest;
    ExtraKeys extra;
    friend bool operator==(const Lens&, const Lens&) = default;
};

[[nodiscard]] inline bool isZoom(const Lens& lens) {
    return lens.longest > lens.shortest;
}

/// `N = T * wideF / wideT`; the T-stop's own number when the lens gives no f-number.
[[nodiscard]] FNumber fNumberOf(const Lens& lens, TStop iris);

/// `T = N * wideT / wideF`; none when the lens gives no f-number.
[[nodiscard]] std::optional<TStop> tStopOf(const Lens& lens, FNumber iris);
/// An iris typed for a lens: a T-stop, or an f-number where the lens says how much it passes. Fails
/// as parseTStop() does.
[[nodiscard]] Result<TStop> irisOn(const Lens* lens, std::string_view text);

struct Kit {
    std::string name;
    std::vector<Camera> cameras;
    std::vector<Profile> profiles;
    std::vector<Lens> lenses;
    std::vector<Filter> filters;
    int filterStages = 2; ///< external filters the holder takes at once
    std::vector<Gel> gels;
    std::vector<MemoryCard> cards;
    std::vector<Battery> batteries;
    std::vector<CardReader> readers;
    std::vector<Drive> drives; ///< in the order copies are made to them
    std::vector<Charger> chargers;
    std::vector<Recipe> recipes;
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Kit);
};

/// The item with this id, or null.
[[nodiscard]] const Camera* findCamera(const Kit& kit, std::string_view id);
[[nodiscard]] const Profile* findProfile(const Kit& kit, std::string_view id);
[[nodiscard]] const Lens* findLens(const Kit& kit, std::string_view id);
[[nodiscard]] const Recipe* findRecipe(const Kit& kit, std::string_view id);
[[nodiscard]] const Gel* findGel(const Kit& kit, std::string_view id);
[[nodiscard]] const MemoryCard* findCard(const Kit& kit, std::string_view id);

/// The camera's built-in filters first, then the user's own.
[[nodiscard]] std::vector<Filter> filtersFor(const Kit& kit, const Camera& camera);

/// A card in a slot; all null when there is none.
struct CardChoice {
    const MemoryCard* card = nullptr;
    const Slot* slot = nullptr;
    DataRate guaranteed{0};
};
/// The fitting card with the longest record time among those that guarantee `wanted`; when none
/// does, the one that guarantees most. Null when no card fits any slot of the mode.
[[nodiscard]] CardChoice bestCard(const Kit& kit, const Camera& camera, const RecordingMode& mode,
                                  DataRate wanted);

} // namespace bslate
