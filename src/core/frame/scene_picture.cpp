#include "core/frame/scene_picture.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kFullTurn = 6.283185307179586;
constexpr double kTurnsPerSecond = 0.2; // of wheels

// A number of [0, 1) from a place, smooth between whole ones.
double hashed(int x, int y, std::uint32_t salt) {
    std::uint32_t h = static_cast<std::uint32_t>(x) * 0x9E3779B1u ^
                      static_cast<std::uint32_t>(y) * 0x85EBCA77u ^ salt * 0xC2B2AE3Du;
    h = (h ^ (h >> 15)) * 0x2C1B3C6Du;
    h = (h ^ (h >> 12)) * 0x297A2D39u;
    return static_cast<double>((h ^ (h >> 15)) >> 8) * 0x1p-24;
}

double eased(double t) {
    return t * t * (3 - 2 * t);
}

// Smooth noise along one row: what two of its columns share is worked out once.
class NoiseRow {
public:
    NoiseRow(double y, std::uint32_t salt)
        : m_y(static_cast<int>(std::floor(y)))
        , m_v(eased(y - std::floor(y)))
        , m_salt(salt) {}
    double operator()(double x) {
        const double whole = std::floor(x);
        const int column = static_cast<int>(whole);
        if (column != m_column) {
            m_left = column == m_column + 1 && m_known ? m_right : valueAt(column);
            m_right = valueAt(column + 1);
            m_column = column;
            m_known = true;
        }
        const double u = eased(x - whole);
        return m_left + (m_right - m_left) * u;
    }

private:
    [[nodiscard]] double valueAt(int x) const {
        return hashed(x, m_y, m_salt) * (1 - m_v) + hashed(x, m_y + 1, m_salt) * m_v;
    }
    int m_y;
    double m_v;
    std::uint32_t m_salt;
    int m_column = -1'000'000;
    bool m_known = false;
    double m_left = 0, m_right = 0;
};

// The grain of a surface along one row. Mean 1, swinging by about `depth`; x and y in heights of
// the picture.
class GrainRow {
public:
    GrainRow(SurfaceGrain grain, double depth, double y, double time, std::uint32_t salt)
        : m_grain(grain)
        , m_depth(depth)
        , m_y(y)
        , m_time(time)
        , m_board(hashed(static_cast<int>(std::floor(y * 18)), 7, salt))
        , m_first(y * kRows[static_cast<int>(grain)] +
                      (grain == SurfaceGrain::Water ? 5 * time : 0),
                  salt)
        , m_second(y * 90, salt + 1) {}
    double operator()(double x) {
        const auto swing = [&](double noise) { return 1 + m_depth * 2 * (noise - 0.5); };
        switch (m_grain) {
        case SurfaceGrain::Smooth:
            return 1;
        case SurfaceGrain::Planks:
            return swing(0.6 * m_first(x * 14) + 0.4 * m_board);
        case SurfaceGrain::Stone:
            return swing(0.5 * m_first(x * 18) + 0.5 * m_second(x * 90));
        case SurfaceGrain::Water:
            return swing(m_first(x * 12 + 3 * m_y + m_time));
        case SurfaceGrain::Cloth:
            return swing(m_first(x * 200));
        }
        return 1;
    }

private:
    static constexpr double kRows[] = {1, 220, 18, 120, 260}; // by SurfaceGrain
    SurfaceGrain m_grain;
    double m_depth, m_y, m_time, m_board;
    NoiseRow m_first, m_second;
};

// A surface with all that does not change from pixel to pixel.
struct Paint {
    const Surface& of;
    std::array<double, 3> colour; // with its luminance
    std::uint32_t salt;
    double middleU, middleV; // of the probe, where it is as bright as it says
};

Paint paintOf(const Surface& surface, std::uint32_t salt) {
    auto rgb = colourOf(surface);
    for (auto& channel : rgb)
        channel *= surface.luminance.value() * surface.anchor.value();
    const auto& box = surface.box;
    const auto& probe = surface.probe;
    return {surface, rgb, salt, (probe.x + probe.width / 2 - box.x) / box.width,
            (probe.y + probe.height / 2 - box.y) / box.height};
}

double edge(double inside, double soft) {
    if (soft <= 0)
        return inside >= 0 ? 1 : 0;
    return eased(std::clamp(inside / soft * 0.5 + 0.5, 0.0, 1.0));
}

double spokesOf(double u, double v, double time) {
    const double across = u * 2 - 1, down = v * 2 - 1;
    const double r = std::sqrt(across * across + down * down);
    const double turn = (std::atan2(down, across) / kFullTurn + kTurnsPerSecond * time) * 10;
    const double spoke = 0.035 - std::abs(turn - std::round(turn)) / 10 * kFullTurn * r;
    const double rim = std::min(1 - r, r - 0.84), hub = 0.14 - r;
    return std::max({rim, r < 0.9 ? spoke : -1.0, hub});
}

// One row of a surface: how much of a pixel it covers, and how bright it is there beside the
// middle of its probe. u and v go from 0 to 1 over the box; x and y are in heights.
class SurfaceRow {
public:
    SurfaceRow(const Paint& paint, double v, double y, double time, double aspect)
        : m_surface(paint.of)
        , m_v(v)
        , m_time(time)
        , m_wide(m_surface.box.width * aspect)
        , m_high(m_surface.box.height)
        , m_soft(std::max(m_surface.softEdge, 0.0015))
        , m_middleU(paint.middleU)
        , m_fallDown(std::exp2(m_surface.downFall.value() * (v - paint.middleV)))
        , m_grain(m_surface.grain, m_surface.depth, y, time, paint.salt)
        , m_hills(3, paint.salt)
        , m_trees(9, paint.salt) {}

    [[nodiscard]] double cover(double u, double x) {
        const double high = m_high, wide = m_wide;
        switch (m_surface.shape) {
        case SurfaceShape::Block:
            return edge(std::min({u * wide, (1 - u) * wide, m_v * high, (1 - m_v) * high}) +
                            (m_surface.box.width >= 1 ? 1 : 0),
                        m_soft);
        case SurfaceShape::Oval: {
            const double across = u * 2 - 1, down = m_v * 2 - 1;
            const double r = std::sqrt(across * across + down * down);
            return edge((1 - r) * std::min(wide, high) / 2, m_soft);
        }
        case SurfaceShape::Slope:
            return edge((m_v - 0.35 * m_hills(x * 5) - 0.12 * m_trees(x * 23)) * high, m_soft);
        case SurfaceShape::Wheel:
            return edge(spokesOf(u, m_v, m_time) * high / 2, m_soft);
        case SurfaceShape::Tube:
            return edge((1 - std::abs(m_v * 2 - 1)) * high / 2, 0.002);
        }
        return 0;
    }
    [[nodiscard]] double light(double u, double x) {
        const double across = m_surface.acrossFall.value();
        const double fall = across != 0 ? std::exp2(across * (u - m_middleU)) : 1;
        return fall * m_fallDown * m_grain(x);
    }

private:
    const Surface& m_surface;
    double m_v, m_time, m_wide, m_high, m_soft, m_middleU, m_fallDown;
    GrainRow m_grain;
    NoiseRow m_hills, m_trees;
};

// A box as it lies at a moment; what reaches an edge of the picture goes on beyond it.
struct Reach {
    double left, right, top, bottom; // shares of the picture
    double across, down;             // from a place in the picture to one in the box as drawn

    Reach(const Surface& surface, const SceneMoment& moment)
        : across(moment.across - (surface.subject ? moment.subject : 0))
        , down(moment.down) {
        const auto& box = surface.box;
        left = box.x <= 0 ? 0 : box.x - across;
        right = box.x + box.width >= 1 ? 1 : box.x + box.width - across;
        top = box.y <= 0 ? 0 : box.y - down;
        bottom = box.y + box.height >= 1 ? 1 : box.y + box.height - down;
    }
};

void paintRow(const std::vector<Paint>& paints, int y, const SceneMoment& moment, Image& image) {
    const double aspect = static_cast<double>(image.size.width) / image.size.height;
    const double down = (y + 0.5) / image.size.height;
    for (const auto& paint : paints) {
        const auto& box = paint.of.box;
        const Reach reach(paint.of, moment);
        if (down < reach.top || down > reach.bottom)
            continue;
        const double v01 = down + reach.down;
        const double v = std::clamp((v01 - box.y) / box.height, 0.0, 1.0);
        const int from = std::max(0, static_cast<int>(reach.left * image.size.width));
        const int to =
            std::min(image.size.width, static_cast<int>(std::ceil(reach.right * image.size.width)));
        SurfaceRow row(paint, v, v01, moment.time.value(), aspect);
        for (int x = from; x < to; ++x) {
            const double u01 = (x + 0.5) / image.size.width + reach.across;
            const double u = std::clamp((u01 - box.x) / box.width, 0.0, 1.0);
            const double cover = row.cover(u, u01 * aspect);
            if (cover <= 0)
                continue;
            const double light = row.light(u, u01 * aspect) * cover;
            const auto at = image.at(x, y);
            for (std::size_t c = 0; c < 3; ++c) {
                auto& pixel = image.plane[c][at];
                pixel = static_cast<float>(pixel * (1 - cover) + paint.colour[c] * light);
            }
        }
    }
}

} // namespace

Image paintScene(std::span<const Surface> surfaces, PictureSize size, const SceneMoment& moment) {
    std::vector<Paint> paints;
    for (const auto& surface : surfaces)
        paints.push_back(paintOf(surface, static_cast<std::uint32_t>(paints.size())));
    Image image(size);
    overRows(size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y)
            paintRow(paints, y, moment, image);
    });
    return image;
}

} // namespace bslate
