#include "core/frame/surface.h"

#include "core/frame/camera_luma.h"

#include "core/shoot/lamp_colours.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

using Tint = std::array<double, 3>;

// Tints of BT.2020 with luminance 1: nothing but looks, for pictures of invented places.
Tint tinted(double red, double green, double blue) {
    const double y = 0.2627 * red + 0.6780 * green + 0.0593 * blue;
    return {red / y, green / y, blue / y};
}

const Tint kNeutral{1, 1, 1};
const Tint kSkin = tinted(1.25, 0.95, 0.72);
const Tint kDarkSkin = tinted(1.3, 0.92, 0.66);
const Tint kWood = tinted(1.2, 0.97, 0.6);
const Tint kSky = tinted(0.86, 1.0, 1.22);
const Tint kWater = tinted(0.75, 1.02, 1.15);
const Tint kStone = tinted(1.02, 1.0, 0.95);
const Tint kCloth = tinted(0.8, 0.95, 1.3);

struct Placing {
    const Scene& scene;
    const Kit& kit;
    const MeterCalibration& meter;
    std::vector<SceneLight> lights = colouredLights(scene, kit);
    std::vector<const Patch*> bright{}, hollow{}, worn{}, timber{}, skin{}, spare{}, placed{};
    const Patch* grey = nullptr;
    const Patch* white = nullptr;

    [[nodiscard]] CandelaPerM2 luminance(const Patch& patch) const {
        return luminanceOf(patch.reading, patch.reflectance, meter);
    }

    [[nodiscard]] ColourPoint lightOn(const Patch* patch) const {
        const ColourPoint neutral{Kelvin(6504), usualDuv(Kelvin(6504))};
        if (patch)
            for (const auto& light : lights)
                if (light.lamp < scene.lamps.size() && scene.lamps[light.lamp].name == patch->lamp)
                    return light.colour;
        const bool back = patch && patch->side == LightSide::Background;
        const auto all = mixtureOf(lights, back ? &SceneLight::behind : &SceneLight::share);
        return all.value_or(neutral);
    }

    // By how dark they are: in a hollow, on somebody, or old wood.
    void sortDark(std::vector<const Patch*> dark) {
        std::stable_sort(dark.begin(), dark.end(), [&](const Patch* a, const Patch* b) {
            return luminance(*a) < luminance(*b);
        });
        for (const auto* patch : dark) {
            const Stops under = stopsBetween(middle(), luminance(*patch));
            auto& kind = under > Stops(6) ? hollow : under > Stops(3) ? worn : timber;
            (kind.empty()     ? kind
             : hollow.empty() ? hollow
             : worn.empty()   ? worn
                              : timber)
                .push_back(patch);
        }
    }
    [[nodiscard]] static const Patch* firstOf(const std::vector<const Patch*>& list) {
        return list.empty() ? nullptr : list.front();
    }

    void sort() {
        std::vector<const Patch*> dark;
        for (const auto& patch : scene.patches) {
            if (patch.place) {
                placed.push_back(&patch);
                continue;
            }
            switch (patch.role) {
            case PatchRole::Grey:
                grey = grey ? grey : &patch;
                break;
            case PatchRole::White:
                white = white ? white : &patch;
                break;
            case PatchRole::Highlight:
                bright.push_back(&patch);
                break;
            case PatchRole::Shadow:
                dark.push_back(&patch);
                break;
            case PatchRole::Spare:
                spare.push_back(&patch);
                break;
            default:
                skin.push_back(&patch);
            }
        }
        const auto brighter = [&](const Patch* a, const Patch* b) {
            return luminance(*a) > luminance(*b);
        };
        for (auto* list : {&bright, &spare})
            std::stable_sort(list->begin(), list->end(), brighter);
        sortDark(std::move(dark));
    }

    // A further patch of a face: skin that is not the first, or a fill side without a role.
    [[nodiscard]] const Patch* shadedSkin() const {
        if (skin.size() > 1)
            return skin[1];
        for (const auto* patch : spare)
            if (patch->side == LightSide::Fill && !skin.empty())
                return patch;
        return nullptr;
    }

    // What a wall or a ground is lit to where no patch says it.
    [[nodiscard]] CandelaPerM2 middle() const {
        if (grey)
            return luminance(*grey);
        if (!skin.empty())
            return luminance(*skin.front()) * 0.6;
        return scene.patches.empty() ? CandelaPerM2(26) : luminance(scene.patches.front());
    }

    [[nodiscard]] Surface of(const Patch* patch, PictureArea box, Tint tint,
                             SurfaceGrain grain = SurfaceGrain::Smooth, double depth = 0.0) const {
        Surface surface;
        surface.box = box;
        surface.tint = tint;
        surface.grain = grain;
        surface.depth = depth;
        surface.light = lightOn(patch);
        surface.luminance = patch ? luminance(*patch) : middle();
        if (patch)
            surface.patch = patch->id;
        surface.probe = {box.x + box.width * 0.4, box.y + box.height * 0.4, box.width * 0.2,
                         box.height * 0.2};
        return surface;
    }
};

// Something of the person that no patch stands for.
Surface partOf(const Placing& p, PictureArea box, Tint tint, CandelaPerM2 luminance,
               SurfaceGrain grain = SurfaceGrain::Smooth, double depth = 0.0) {
    auto part = p.of(nullptr, box, tint, grain, depth);
    part.shape = SurfaceShape::Oval;
    part.luminance = luminance;
    part.softEdge = 0.005;
    part.subject = true;
    return part;
}

// A person from the waist up: cloth, neck, hair, head, and what makes a face of it.
void addPerson(const Placing& p, double x, std::vector<Surface>& out) {
    if (p.skin.empty())
        return;
    const auto& face = *p.skin.front();
    const auto lit = p.luminance(face);
    const Tint skin = face.role == PatchRole::SkinDark ? kDarkSkin : kSkin;
    auto body =
        p.of(p.firstOf(p.worn), {x - 0.15, 0.62, 0.30, 0.62}, kCloth, SurfaceGrain::Cloth, 0.1);
    if (body.patch.empty())
        body.luminance = lit * 0.22;
    body.shape = SurfaceShape::Oval;
    body.subject = true;
    body.acrossFall = Stops(-1.2);
    body.probe = {x - 0.03, 0.82, 0.06, 0.06};
    out.push_back(body);
    auto neck = partOf(p, {x - 0.032, 0.55, 0.064, 0.17}, skin, lit * 0.5);
    neck.acrossFall = Stops(-1.4);
    out.push_back(neck);
    out.push_back(
        partOf(p, {x - 0.068, 0.255, 0.136, 0.28}, kWood, lit * 0.09, SurfaceGrain::Cloth, 0.25));
    auto head = p.of(&face, {x - 0.060, 0.295, 0.120, 0.33}, skin);
    head.shape = SurfaceShape::Oval;
    head.subject = true;
    head.softEdge = 0.008;
    head.acrossFall = Stops(-1.6);
    head.downFall = Stops(-0.3);
    out.push_back(head);
    if (const auto* fill = p.shadedSkin()) { // the side of the face the key does not reach
        auto cheek = p.of(fill, {x + 0.014, 0.33, 0.044, 0.25}, skin);
        cheek.shape = SurfaceShape::Oval;
        cheek.softEdge = 0.03;
        cheek.probe = {x + 0.028, 0.475, 0.014, 0.04}; // under the eye
        cheek.subject = true;
        out.push_back(cheek);
    }
    for (const double side : {-1.0, 1.0}) {
        const double shade = side < 0 ? 1.0 : 0.6;
        out.push_back(
            partOf(p, {x + side * 0.026 - 0.014, 0.405, 0.028, 0.012}, kWood, lit * 0.2 * shade));
        out.push_back(
            partOf(p, {x + side * 0.026 - 0.011, 0.432, 0.022, 0.02}, kWood, lit * 0.14 * shade));
    }
    out.push_back(partOf(p, {x - 0.020, 0.545, 0.040, 0.014}, tinted(1.5, 0.8, 0.7), lit * 0.45));
}

void addCards(const Placing& p, double x, std::vector<Surface>& out) {
    if (p.grey)
        out.push_back(p.of(p.grey, {x, 0.66, 0.085, 0.15}, kNeutral));
    if (p.white)
        out.push_back(p.of(p.white, {x + 0.02, 0.22, 0.12, 0.2}, kNeutral));
}

void addInterior(const Placing& p, std::vector<Surface>& out) {
    auto wall = p.of(nullptr, {0, 0, 1, 1}, kStone, SurfaceGrain::Stone, 0.05);
    wall.luminance = p.middle() * 0.8;
    wall.acrossFall = Stops(-2.2);
    wall.downFall = Stops(-0.8);
    out.push_back(wall);
    if (p.bright.size() > 1) { // the second brightest is the wall beside the opening
        auto plaster =
            p.of(p.bright[1], {0.30, 0.08, 0.16, 0.62}, kNeutral, SurfaceGrain::Stone, 0.03);
        plaster.softEdge = 0.01;
        plaster.acrossFall = Stops(-0.5);
        out.push_back(plaster);
    }
    if (!p.bright.empty()) {
        auto opening = p.of(p.bright[0], {0.06, 0.10, 0.20, 0.66}, kSky);
        opening.downFall = Stops(-0.4);
        opening.probe = {0.12, 0.28, 0.08, 0.12};
        auto frame = p.of(nullptr, {0.045, 0.07, 0.23, 0.72}, kWood, SurfaceGrain::Planks, 0.15);
        frame.luminance = p.middle() * 0.3;
        out.push_back(frame);
        out.push_back(opening);
        auto land = p.of(nullptr, {0.06, 0.58, 0.20, 0.18}, kWood, SurfaceGrain::Water, 0.2);
        land.luminance = p.luminance(*p.bright[0]) * 0.25;
        out.push_back(land);
    }
    auto beam = p.of(p.firstOf(p.timber), {0, 0, 1, 0.075}, kWood, SurfaceGrain::Planks, 0.12);
    if (beam.patch.empty())
        beam.luminance = p.middle() * 0.25;
    out.push_back(beam);
    auto floor = p.of(nullptr, {0, 0.86, 1, 0.14}, kWood, SurfaceGrain::Planks, 0.2);
    floor.luminance = p.middle() * 0.35;
    floor.acrossFall = Stops(-1.5);
    out.push_back(floor);
    if (!p.hollow.empty()) {
        auto under =
            p.of(p.hollow.front(), {0.70, 0.62, 0.26, 0.26}, kWood, SurfaceGrain::Planks, 0.15);
        under.softEdge = 0.03;
        out.push_back(under);
        auto table = p.of(nullptr, {0.66, 0.57, 0.34, 0.05}, kWood, SurfaceGrain::Planks, 0.15);
        table.luminance = p.middle() * 0.7;
        out.push_back(table);
    }
}

// Lights that burn in the dark are no sky.
bool isNight(const Placing& p) {
    return p.middle() < CandelaPerM2(2);
}

void addSky(const Placing& p, bool night, std::vector<Surface>& out) {
    auto sky = p.of(night || p.bright.empty() ? nullptr : p.bright[0], {0, 0, 1, 0.62}, kSky);
    if (sky.patch.empty())
        sky.luminance = p.middle() * (night ? 0.5 : 4);
    sky.downFall = Stops(0.8);
    sky.acrossFall = Stops(0.4);
    sky.probe = {0.14, 0.24, 0.12, 0.08};
    out.push_back(sky);
}

// The bright patches that are not the sky: lanterns at night, else what shines on the water.
void addShining(const Placing& p, bool night, std::vector<Surface>& out) {
    double x = 0.70;
    for (std::size_t i = night ? 0 : 1; i < p.bright.size() && x < 0.95; ++i, x += 0.09) {
        auto shine = p.of(p.bright[i], {x - 0.03, 0.40, 0.06, 0.14}, kNeutral);
        shine.shape = SurfaceShape::Oval;
        shine.softEdge = 0.01;
        shine.tint = night ? tinted(1.2, 0.97, 0.7) : kNeutral;
        out.push_back(shine);
    }
}

void addExterior(const Placing& p, std::vector<Surface>& out) {
    const bool night = isNight(p), wheel = p.skin.empty();
    addSky(p, night, out);
    auto hills = p.of(nullptr, {0, 0.50, 1, 0.14}, kWater, SurfaceGrain::Stone, 0.1);
    hills.shape = SurfaceShape::Slope;
    hills.luminance = p.middle() * 0.45;
    out.push_back(hills);
    auto water = p.of(nullptr, {0, 0.62, 1, 0.38}, kWater, SurfaceGrain::Water, 0.45);
    water.luminance = p.middle() * 0.9;
    water.downFall = Stops(-1.5);
    out.push_back(water);
    addShining(p, night, out);
    const auto* shade = !p.hollow.empty()                                 ? p.hollow.front()
                        : !p.worn.empty() && (wheel || p.worn.size() > 1) ? p.worn.back()
                                                                          : p.firstOf(p.timber);
    if (!shade)
        return;
    auto dark = p.of(shade, {0.0, 0.78, 0.36, 0.22}, kStone, SurfaceGrain::Stone, 0.2);
    dark.shape = SurfaceShape::Slope;
    dark.probe = {0.10, 0.92, 0.10, 0.05};
    if (wheel) { // in the middle of the picture, and of wood
        dark = p.of(shade, {0.22, 0.08, 0.50, 0.89}, kWood, SurfaceGrain::Planks, 0.15);
        dark.subject = true;
        dark.shape = SurfaceShape::Wheel;
        dark.probe = {0.455, 0.105, 0.03, 0.02};
    }
    out.push_back(dark);
}

void addSpare(const Placing& p, std::vector<Surface>& out) {
    double x = 0.86;
    for (std::size_t i = 0; i < p.spare.size() && i < 4; ++i, x -= 0.1) {
        const auto& patch = *p.spare[i];
        if (&patch == p.shadedSkin())
            continue;
        const bool shines = p.luminance(patch) > p.middle() * 8;
        auto part =
            p.of(&patch,
                 shines ? PictureArea{x - 0.05, 0.12, 0.12, 0.035} : PictureArea{x, 0.5, 0.07, 0.1},
                 kNeutral, SurfaceGrain::Smooth);
        part.shape = shines ? SurfaceShape::Tube : SurfaceShape::Oval;
        part.softEdge = shines ? 0.02 : 0.004;
        out.push_back(part);
    }
}

// What the shoot says the place of.
void addPlaced(const Placing& p, std::vector<Surface>& out) {
    for (const auto* patch : p.placed) {
        const auto& place = *patch->place;
        const bool skin = isSkin(patch->role);
        auto part = p.of(patch, {place.x, place.y, place.width, place.height},
                         patch->role == PatchRole::SkinDark ? kDarkSkin
                         : skin                             ? kSkin
                                                            : kNeutral);
        part.shape = skin ? SurfaceShape::Oval : SurfaceShape::Block;
        part.softEdge = 0.004;
        out.push_back(part);
    }
}

} // namespace

std::vector<Surface> surfacesOf(const Scene& scene, const Kit& kit, const MeterCalibration& meter) {
    Placing p{scene, kit, meter};
    p.sort();
    std::vector<Surface> out;
    const bool outside = scene.place == Place::Exterior;
    if (outside)
        addExterior(p, out);
    else
        addInterior(p, out);
    addSpare(p, out);
    addPerson(p, outside ? 0.46 : 0.55, out);
    addCards(p, outside ? 0.60 : 0.655, out);
    addPlaced(p, out);
    return out;
}

std::vector<Surface> surfacesOf(const SetupContext& context) {
    auto surfaces = surfacesOf(*context.scene, context.shoot->kit, context.shoot->meter);
    const CameraLuma luma(context);
    for (auto& surface : surfaces)
        surface.anchor = luma.anchor(colourOf(surface), surface.light);
    return surfaces;
}

std::array<double, 3> colourOf(const Surface& surface) {
    const auto gamut = gamutBt2020();
    const auto lit =
        product(xyzToRgb(gamut),
                product(bradford(gamut.white, chromaticityOf(surface.light)), rgbToXyz(gamut)));
    std::array<double, 3> rgb{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            rgb[row] += lit[row][k] * surface.tint[k];
    const double y = 0.2627 * rgb[0] + 0.6780 * rgb[1] + 0.0593 * rgb[2];
    for (auto& channel : rgb)
        channel /= y;
    return rgb;
}

} // namespace bslate
