#include "core/frame/camera_path.h"

#include "core/base/random.h"
#include "core/kit/camera_colour.h"
#include "core/signal/frame_encode.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

using Matrix = std::array<std::array<float, 3>, 3>;

Matrix inFloats(const Matrix3& m, double scale = 1) {
    Matrix result{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            result[row][k] = static_cast<float>(m[row][k] * scale);
    return result;
}

// A count with this mean: exact where it is small, else the bell it comes to.
double photons(Random& random, double mean) {
    if (mean > 40)
        return std::max(0.0, mean + std::sqrt(mean) * random.bell());
    double product = random.uniform();
    const double end = std::exp(-mean);
    int count = 0;
    for (; product > end; ++count)
        product *= random.uniform();
    return count;
}

struct Path {
    Matrix toElectrons;        // of light, before they are counted
    std::array<float, 3> gain; // electrons to recorded light, white in it
    Matrix toProfile;          // of camera RGB
    double well, read, prnu, floor;
    float clip; // recorded light where a channel ends
    bool baked, noise;
    std::uint64_t seed;

    Path(const SetupContext& context, const Evaluation& at, const CameraPathWish& wish)
        : noise(wish.noise)
        , seed(wish.seed) {
        const auto& setup = *context.setup;
        const CameraColour camera(*context.camera);
        SensorModel sensor = context.base->sensor;
        sensor.clip = at.sensorClip;
        well = sensor.fullWell.value();
        read = sensor.readNoise.value();
        prnu = sensor.prnu;
        floor = signalAt(sensor, at.sensorFloor).value();
        const Stops one = exposureStops(CandelaPerM2(1), at.base, at.exposureTime, setup.iris,
                                        at.ndLoss, context.shoot->meter);
        // Green of the camera's response to the light of D65 stands for luminance, as in
        // facts/white_facts.h.
        const double electrons = well * ratio(one - sensor.clip);
        toElectrons = inFloats(product(camera.matrix(), rgbToXyz(gamutBt2020())), electrons);
        // What gains found on the body say its channels are off by at this white.
        const auto plain = whiteGains(camera.matrix(), chromaticityOf(at.white.point));
        for (std::size_t c = 0; c < 3; ++c)
            for (auto& factor : toElectrons[c])
                factor *= static_cast<float>(ratio(plain[c] - at.white.channels[c].gain));
        const double recorded = kMidGrey.value() * ratio(sensor.clip) / well *
                                ratio(at.iso == IsoBehaviour::Recorded ? at.gain : Stops(0));
        baked = at.white.baked;
        for (std::size_t c = 0; c < 3; ++c)
            gain[c] = static_cast<float>(recorded * ratio(at.white.channels[c].gain));
        clip = static_cast<float>(linearAt(at.clip).value());
        const auto own = context.camera->primaries.value_or(genericPrimaries());
        toProfile = inFloats(convert(own, context.profile->gamut));
    }

    // One row from light to the profile's linear light.
    void row(const Image& light, int y, Image& linear, PixelFates& fates) const {
        Random random(seed * 0x9E3779B97F4A7C15u + static_cast<std::uint64_t>(y));
        for (int x = 0; x < light.size.width; ++x) {
            const auto at = light.at(x, y);
            std::array<float, 3> rgb{};
            std::uint8_t clipped = 0, drowned = 0;
            for (std::size_t c = 0; c < 3; ++c) {
                const auto bit = static_cast<std::uint8_t>(1u << c);
                const auto& m = toElectrons[c];
                const double mean =
                    std::max(0.0f, m[0] * light.plane[0][at] + m[1] * light.plane[1][at] +
                                       m[2] * light.plane[2][at]);
                double n = noise ? photons(random, mean) + read * random.bell() : mean;
                if (noise && prnu > 0)
                    n *= 1 + prnu * random.bell();
                if (mean < floor)
                    drowned |= bit;
                if (n >= well) {
                    n = well;
                    clipped |= bit;
                }
                float value = static_cast<float>(n) * gain[c];
                if (baked && value >= clip) {
                    clipped |= bit;
                    value = clip;
                }
                rgb[c] = value;
            }
            for (std::size_t c = 0; c < 3; ++c)
                linear.plane[c][at] =
                    toProfile[c][0] * rgb[0] + toProfile[c][1] * rgb[1] + toProfile[c][2] * rgb[2];
            fates.clipped[at] = clipped;
            fates.drowned[at] = drowned;
        }
    }
};

// Curve row by row; encodeFrame() takes interleaved colours.
Image encoded(const Curve& curve, const Image& linear) {
    constexpr Matrix3 kSame{{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}};
    Image signal(linear.size);
    const auto wide = static_cast<std::size_t>(linear.size.width);
    overRows(linear.size.height, [&](int first, int behind) {
        std::vector<float> row(3 * wide);
        for (int y = first; y < behind; ++y) {
            const auto start = linear.at(0, y);
            for (std::size_t x = 0; x < wide; ++x)
                for (std::size_t c = 0; c < 3; ++c)
                    row[3 * x + c] = linear.plane[c][start + x];
            encodeFrame(curve, kSame, row, row);
            for (std::size_t x = 0; x < wide; ++x)
                for (std::size_t c = 0; c < 3; ++c)
                    signal.plane[c][start + x] = row[3 * x + c];
        }
    });
    return signal;
}

} // namespace

Recorded recordScene(const SetupContext& context, const Evaluation& at, const Image& light,
                     const CameraPathWish& wish) {
    const Path path(context, at, wish);
    Recorded result;
    result.linear = Image(light.size);
    result.fates.clipped.resize(light.size.pixels());
    result.fates.drowned.resize(light.size.pixels());
    overRows(light.size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y)
            path.row(light, y, result.linear, result.fates);
    });
    const auto& curve = context.profile->curve;
    Image signal = encoded(curve, result.linear);
    const auto end = static_cast<float>(endSignal(curve, at.depth).value());
    for (auto& plane : signal.plane)
        for (auto& value : plane)
            value = std::min(value, end);
    result.frame = subsampled(quantised(signal, at.depth, curve.range), context.codec->chroma,
                              lumaOf(context.profile->gamut));
    return result;
}

} // namespace bslate
