#pragma once

#include "core/facts/setup_context.h"
#include "core/frame/image.h"
#include "core/kit/kit.h"
#include "core/light/light_colour.h"
#include "core/light/metering.h"
#include "core/shoot/scene.h"

#include <optional>
#include <string>
#include <vector>

/// A scene laid out as surfaces that can be painted: who stands where is by role and place.
namespace bslate {

enum class SurfaceShape {
    Block, ///< the whole box
    Oval,
    Slope, ///< a horizon: below a line that leans and waves
    Wheel, ///< a rim with spokes
    Tube   ///< a lamp: a bright line with a halo
};

/// What breaks a surface up; all of them keep its mean.
enum class SurfaceGrain { Smooth, Planks, Stone, Water, Cloth };

struct Surface {
    std::string patch; ///< id it stands for; empty: none
    SurfaceShape shape = SurfaceShape::Block;
    SurfaceGrain grain = SurfaceGrain::Smooth;
    PictureArea box;
    double softEdge = 0.0;               ///< of the picture's height
    CandelaPerM2 luminance{26};          ///< in the middle of its probe
    Magnification anchor{1};             ///< it is painted brighter by (camera_luma.h)
    std::array<double, 3> tint{1, 1, 1}; ///< reflectance against its luminance, BT.2020
    ColourPoint light;                   ///< that falls on it
    Stops acrossFall{0}, downFall{0};    ///< from the left to the right edge, from top to bottom
    double depth = 0.0;                  ///< of its grain, a share of the luminance
    bool subject = false;                ///< moves as the person does
    PictureArea probe;                   ///< where it is measured: even but for its grain
};

/// A sea of `surround` behind everything first; nearer surfaces follow. A patch without a place of
/// its own stands where its role belongs: the brightest to keep in the opening or the sky, skin as
/// a head, shadows low, a card held below it. Patches share their light as evaluated.
[[nodiscard]] std::vector<Surface> surfacesOf(const Scene& scene, const Kit& kit,
                                              const MeterCalibration& meter);

/// The same, anchored to what the setup's camera records as luminance.
[[nodiscard]] std::vector<Surface> surfacesOf(const SetupContext& context);

/// BT.2020 light of a surface, of luminance 1.
[[nodiscard]] std::array<double, 3> colourOf(const Surface& surface);

} // namespace bslate
