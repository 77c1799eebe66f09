#include "core/frame/camera_path.h"

#include "core/base/random.h"
#include "core/base/wide.h"
#include "core/frame/recipe_path.h"
#include "core/frame/ycbcr.h"
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

// Photons are counted one by one up to this mean; above, they are the bell it comes to.
constexpr float kFewPhotons = 20;

// A count with this mean.
float photons(Random& random, float mean) {
    double product = random.uniform();
    const double end = std::exp(-static_cast<double>(mean));
    int count = 0;
    for (; product > end; ++count)
        product *= random.uniform();
    return static_cast<float>(count);
}

// A row through a matrix.
BSLATE_WIDE void throughMatrix(const std::array<float, 3>& m, const float* red, const float* green,
                               const float* blue, float* __restrict out, std::size_t count) {
    const float r = m[0], g = m[1], b = m[2];
    for (std::size_t i = 0; i < count; ++i)
        out[i] = r * red[i] + g * green[i] + b * blue[i];
}

BSLATE_WIDE void heldAtZero(float* values, std::size_t count) {
    for (std::size_t i = 0; i < count; ++i)
        values[i] = std::max(0.0f, values[i]);
}

// Counts of electrons with noise: photons and reading in one bell, since their variances add.
BSLATE_WIDE void addNoise(float* counts, const float* bells, float read, float prnu,
                          std::size_t count) {
    const float read2 = read * read, prnu2 = prnu * prnu;
    for (std::size_t i = 0; i < count; ++i) {
        const float mean = counts[i];
        counts[i] = mean + std::sqrt(mean + read2 + prnu2 * mean * mean) * bells[i];
    }
}

BSLATE_WIDE void bellsOf(const std::uint64_t* __restrict numbers, float* __restrict bells,
                         std::size_t count) {
    for (std::size_t i = 0; i < count; ++i)
        bells[i] = Random::quickBell(numbers[i]);
}

// Under the floor a channel drowns.
BSLATE_WIDE void markUnder(const float* values, float floor, std::uint8_t bit,
                           std::uint8_t* __restrict marks, std::size_t count) {
    for (std::size_t i = 0; i < count; ++i)
        marks[i] = static_cast<std::uint8_t>(marks[i] | (values[i] < floor ? bit : 0));
}

// Gain, and an end that is marked.
BSLATE_WIDE void endAt(float* __restrict values, float gain, float most, std::uint8_t bit,
                       std::uint8_t* __restrict marks, std::size_t count) {
    for (std::size_t i = 0; i < count; ++i) {
        const float value = values[i] * gain;
        marks[i] = static_cast<std::uint8_t>(marks[i] | (value >= most ? bit : 0));
        values[i] = std::min(value, most);
    }
}

struct Path {
    Matrix toElectrons;        // of light, before they are counted
    std::array<float, 3> gain; // electrons to recorded light, white in it
    Matrix toProfile;          // of camera RGB
    float well, read, prnu, floor;
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
        well = static_cast<float>(sensor.fullWell.value());
        read = static_cast<float>(sensor.readNoise.value());
        prnu = static_cast<float>(sensor.prnu);
        floor = static_cast<float>(signalAt(sensor, at.sensorFloor).value());
        const Stops one = exposureStops(CandelaPerM2(1), at.base, at.exposureTime, setup.iris,
                                        at.ndLoss, context.shoot->meter);
        // Green of the camera's response to the light of D65 stands for luminance; scenes are
        // painted so that it does under every light (camera_luma.h).
        const double electrons = sensor.fullWell.value() * ratio(one - sensor.clip);
        toElectrons = inFloats(product(camera.matrix(), rgbToXyz(gamutBt2020())), electrons);
        // What gains found on the body say its channels are off by at this white.
        const auto plain = whiteGains(camera.matrix(), chromaticityOf(at.white.point));
        for (std::size_t c = 0; c < 3; ++c)
            for (auto& factor : toElectrons[c])
                factor *= static_cast<float>(ratio(plain[c] - at.white.channels[c].gain));
        const double recorded = kMidGrey.value() * ratio(sensor.clip) / sensor.fullWell.value() *
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
        const auto start = light.at(0, y);
        const auto width = static_cast<std::size_t>(light.size.width);
        std::array<std::vector<float>, 3> counts;
        for (std::size_t c = 0; c < 3; ++c) {
            counts[c].resize(width);
            throughMatrix(toElectrons[c], light.plane[0].data() + start,
                          light.plane[1].data() + start, light.plane[2].data() + start,
                          counts[c].data(), width);
            const auto bit = static_cast<std::uint8_t>(1u << c);
            heldAtZero(counts[c].data(), width);
            markUnder(counts[c].data(), floor, bit, fates.drowned.data() + start, width);
            if (noise)
                noiseOn(counts[c], static_cast<std::uint64_t>(y) * 3 + c);
            const float full = well * gain[c];
            endAt(counts[c].data(), gain[c], baked ? std::min(full, clip) : full, bit,
                  fates.clipped.data() + start, width);
        }
        for (std::size_t c = 0; c < 3; ++c)
            throughMatrix(toProfile[c], counts[0].data(), counts[1].data(), counts[2].data(),
                          linear.plane[c].data() + start, width);
    }

private:
    void noiseOn(std::vector<float>& counts, std::uint64_t row) const {
        Random random(seed * 0x9E3779B97F4A7C15u + row);
        std::vector<std::uint64_t> numbers(counts.size());
        for (auto& number : numbers)
            number = random.next();
        std::vector<float> bells(counts.size());
        bellsOf(numbers.data(), bells.data(), bells.size());
        std::vector<std::pair<std::size_t, float>> few; // and their means
        for (std::size_t x = 0; x < counts.size(); ++x)
            if (counts[x] < kFewPhotons)
                few.emplace_back(x, counts[x]);
        addNoise(counts.data(), bells.data(), read, prnu, counts.size());
        for (const auto& [x, mean] : few)
            counts[x] = photons(random, mean) + read * bells[x];
    }
};

// Curve, what a recipe does to colour, and codes, a row at a time.
struct Encoding {
    const Profile& profile;
    BitDepth depth;
    CurveEncoder encoder;
    Quantiser quantiser;
    float end;

    Encoding(const Profile& of, BitDepth at)
        : profile(of)
        , depth(at)
        , encoder(of.curve)
        , quantiser(at, of.curve.range)
        , end(static_cast<float>(endSignal(of.curve, at).value())) {}

    void row(const Image& linear, int y, CodeFrame& frame, SignalRow& signal) const {
        const auto start = linear.at(0, y);
        const auto width = static_cast<std::size_t>(linear.size.width);
        for (std::size_t c = 0; c < 3; ++c) {
            const auto* from = linear.plane[c].data() + start;
            signal[c].assign(from, from + width);
            encoder(signal[c]);
            for (float& value : signal[c])
                value = std::min(value, end);
        }
        if (profile.ready)
            bakeColour(profile.colour, signal);
        for (std::size_t c = 0; c < 3; ++c)
            quantiser(signal[c], frame.codes.plane[c].data() + start);
    }
};

} // namespace

Recorded recordScene(const SetupContext& context, const Evaluation& at, const Image& light,
                     const CameraPathWish& wish) {
    const Path path(context, at, wish);
    Recorded result;
    result.linear = Image(light.size);
    result.fates.clipped.resize(light.size.pixels());
    result.fates.drowned.resize(light.size.pixels());
    const auto& profile = *context.profile;
    const auto weights = lumaOf(profile.gamut);
    const Encoding encoding(profile, at.depth);
    CodeFrame frame{at.depth, profile.curve.range, Planes<std::uint16_t>(light.size)};
    overRows(light.size.height, [&](int first, int behind) {
        SignalRow signal;
        for (int y = first; y < behind; ++y) {
            path.row(light, y, result.linear, result.fates);
            encoding.row(result.linear, y, frame, signal);
        }
    });
    if (profile.ready && profile.colour.detail != 0)
        bakeDetail(profile.colour.detail, weights, frame);
    result.frame = subsampled(std::move(frame), context.codec->chroma, weights);
    return result;
}

} // namespace bslate
