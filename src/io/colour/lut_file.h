#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"
#include "core/signal/rating_lut.h"

#include <string>

/// The transforms handed to grading as files: a setup's rating undone and shown in BT.709, plain
/// or through a look.
namespace bslate::io {

enum class LutFormat {
    Cube17, ///< `.cube`, 3D, points a side
    Cube33,
    Cube65,
    Cube1d,          ///< `.cube`, neutral
    Clf,             ///< Academy/ASC Common LUT Format: curve and matrix exact, tables for the rest
    Cdl,             ///< ASC CDL, one correction: the rating alone, for scene-linear light
    CdlCollection,   ///< ASC CDL: the rating in linear light, and on the log signal where it holds
    CdlDecisionList, ///< the same as a decision list
};

/// `.cube`, `.clf`, `.cc`, `.ccc`, `.cdl`.
[[nodiscard]] std::string_view suffixOf(LutFormat format);
/// The 3D formats by points a side; the format of a suffix. Nothing for another.
[[nodiscard]] std::optional<LutFormat> cubeOfSize(int size);
[[nodiscard]] std::optional<LutFormat> formatOfSuffix(std::string_view suffix);

/// What a setup's LUT does: from its profile and rating, and a recipe of the kit as the look; an
/// empty recipe shows the documented BT.709 display. Fails with UnknownId.
[[nodiscard]] Result<RatingLut> lutOf(const Shoot& shoot, const Setup& setup,
                                      const std::string& recipe = {});

/// The text of the file. Its title and comments say setup, profile, gamut, rating and what it does;
/// a CDL says that it holds the rating (and a look's saturation) and no curve. Fails when the setup
/// or the recipe names something missing.
[[nodiscard]] Result<std::string> lutText(const Shoot& shoot, const Setup& setup, LutFormat format,
                                          const std::string& recipe = {});

} // namespace bslate::io
