#include "core/frame/scene_picture.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// A number of [0, 1) from a place, smooth between whole ones.
double hashed(int x, int y, std::uint32_t salt) {
    std::uint32_t h = static_cast<std::uint32_t>(x) * 0x9E3779B1u ^
                      static_cast<std::uint32_t>(y) * 0x85EBCA77u ^ salt * 0xC2B2AE3Du;
    h = (h ^ (h >> 15)) * 0x2C1B3C6Du;
    h = (h ^ (h >> 12)) * 0x297A2D39u;
    return static_cast<double>((h ^ (h >> 15)) >> 8) * 0x1p-24;
}

double smoothNoise(double x, double y, std::uint32_t salt) {
    const double fx = std::floor(x), fy = std::floor(y);
    const auto ease = [](double t) { return t * t * (3 - 2 * t); };
    const double u = ease(x - fx), v = ease(y - fy);
    const int ix = static_cast<int>(fx), iy = static_cast<int>(fy);
    const double top = hashed(ix, iy, salt) * (1 - u) + hashed(ix + 1, iy, salt) * u;
    const double low = hashed(ix, iy + 1, salt) * (1 - u) + hashed(ix + 1, iy + 1, salt) * u;
    return top * (1 - v) + low * v;
}

// Mean 1, swinging by about `depth`; x and y in heights of the picture.
double grainAt(SurfaceGrain grain, double depth, double x, double y, std::uint32_t salt) {
    const auto swing = [&](double noise) { return 1 + depth * 2 * (noise - 0.5); };
    switch (grain) {
    case SurfaceGrain::Smooth:
        return 1;
    case SurfaceGrain::Planks:
        return swing(0.6 * smoothNoise(x * 14, y * 220, salt) +
                     0.4 * hashed(static_cast<int>(std::floor(y * 18)), 7, salt));
    case SurfaceGrain::Stone:
        return swing(0.5 * smoothNoise(x * 18, y * 18, salt) +
                     0.5 * smoothNoise(x * 90, y * 90, salt + 1));
    case SurfaceGrain::Water:
        return swing(smoothNoise(x * 12 + 3 * y, y * 120, salt));
    case SurfaceGrain::Cloth:
        return swing(smoothNoise(x * 200, y * 260, salt));
    }
    return 1;
}

// A surface with all that does not change from pixel to pixel.
struct Paint {
    const Surface& of;
    std::array<double, 3> colour; // with its luminance
    std::uint32_t salt;
    double middleU, middleV; // of the probe, where it is as bright as it says
};

Paint paintOf(const Surface& surface, std::uint32_t salt) {
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
        channel *= surface.luminance.value() / y;
    const auto& box = surface.box;
    const auto& probe = surface.probe;
    return {surface, rgb, salt, (probe.x + probe.width / 2 - box.x) / box.width,
            (probe.y + probe.height / 2 - box.y) / box.height};
}

// How much of the pixel the surface covers, and how bright it is there beside its middle.
struct Touch {
    double cover = 0, light = 1;
};

double edge(double inside, double soft) {
    if (soft <= 0)
        return inside >= 0 ? 1 : 0;
    const double t = std::clamp(inside / soft * 0.5 + 0.5, 0.0, 1.0);
    return t * t * (3 - 2 * t);
}

// u and v from 0 to 1 over the box; x and y in heights.
Touch touchOf(const Paint& paint, double u, double v, double x, double y, double aspect) {
    const auto& s = paint.of;
    const double wide = s.box.width * aspect, high = s.box.height;
    const double soft = std::max(s.softEdge, 0.0015);
    Touch touch;
    switch (s.shape) {
    case SurfaceShape::Block:
        touch.cover = edge(std::min({u * wide, (1 - u) * wide, v * high, (1 - v) * high}) +
                               (s.box.width >= 1 ? 1 : 0),
                           soft);
        break;
    case SurfaceShape::Oval: {
        const double r = std::hypot(u * 2 - 1, v * 2 - 1);
        touch.cover = edge((1 - r) * std::min(wide, high) / 2, soft);
        break;
    }
    case SurfaceShape::Slope: {
        const double line =
            0.35 * smoothNoise(x * 5, 3, paint.salt) + 0.12 * smoothNoise(x * 23, 9, paint.salt);
        touch.cover = edge((v - line) * high, soft);
        break;
    }
    case SurfaceShape::Wheel: {
        const double r = std::hypot(u * 2 - 1, v * 2 - 1);
        const double turn = std::atan2(v * 2 - 1, u * 2 - 1) / 6.283185307179586 * 10;
        const double spoke = 0.035 - std::abs(turn - std::round(turn)) / 10 * 6.2832 * r;
        const double rim = std::min(1 - r, r - 0.84), hub = 0.14 - r;
        touch.cover = edge(std::max({rim, r < 0.9 ? spoke : -1.0, hub}) * high / 2, soft);
        break;
    }
    case SurfaceShape::Tube: {
        const double away = std::abs(v * 2 - 1);
        touch.cover = edge((1 - away) * high / 2, 0.002);
        break;
    }
    }
    const double fall =
        s.acrossFall.value() * (u - paint.middleU) + s.downFall.value() * (v - paint.middleV);
    touch.light = std::exp2(fall) * grainAt(s.grain, s.depth, x, y, paint.salt);
    return touch;
}

void paintRow(const std::vector<Paint>& paints, int y, Image& image) {
    const double aspect = static_cast<double>(image.size.width) / image.size.height;
    const double v01 = (y + 0.5) / image.size.height;
    for (const auto& paint : paints) {
        const auto& box = paint.of.box;
        if (v01 < box.y || v01 > box.y + box.height)
            continue;
        const double v = (v01 - box.y) / box.height;
        const int from = std::max(0, static_cast<int>(box.x * image.size.width));
        const int to = std::min(
            image.size.width, static_cast<int>(std::ceil((box.x + box.width) * image.size.width)));
        for (int x = from; x < to; ++x) {
            const double u01 = (x + 0.5) / image.size.width;
            const double u = std::clamp((u01 - box.x) / box.width, 0.0, 1.0);
            const auto touch = touchOf(paint, u, v, u01 * aspect, v01, aspect);
            if (touch.cover <= 0)
                continue;
            const auto at = image.at(x, y);
            for (std::size_t c = 0; c < 3; ++c) {
                auto& pixel = image.plane[c][at];
                pixel = static_cast<float>(pixel * (1 - touch.cover) +
                                           paint.colour[c] * touch.light * touch.cover);
            }
        }
    }
}

} // namespace

Image paintScene(std::span<const Surface> surfaces, PictureSize size) {
    std::vector<Paint> paints;
    for (const auto& surface : surfaces)
        paints.push_back(paintOf(surface, static_cast<std::uint32_t>(paints.size())));
    Image image(size);
    overRows(size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y)
            paintRow(paints, y, image);
    });
    return image;
}

} // namespace bslate
