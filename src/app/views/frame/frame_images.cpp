#include "app/views/frame/frame_images.h"

#include "core/base/enumerated.h"

#include "core/base/wide.h"

#include "app/document/text.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"

#include <algorithm>
#include <cmath>

namespace bslate::app {
QImage imageOf(const Image& picture) {
    QImage image(picture.size.width, picture.size.height, QImage::Format_RGB32);
    const auto byte = [](float value) { return nearestWhole(std::clamp(value, 0.0f, 1.0f) * 255); };
    for (int y = 0; y < picture.size.height; ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < picture.size.width; ++x) {
            const auto at = picture.at(x, y);
            line[x] = qRgb(byte(picture.plane[0][at]), byte(picture.plane[1][at]),
                           byte(picture.plane[2][at]));
        }
    }
    return image;
}

namespace {

QImage maskOf(const PixelMask& mask, PictureSize size) {
    QImage image(size.width, size.height, QImage::Format_Grayscale8);
    for (int y = 0; y < size.height; ++y)
        std::transform(mask.begin() + static_cast<std::ptrdiff_t>(y) * size.width,
                       mask.begin() + static_cast<std::ptrdiff_t>(y + 1) * size.width,
                       image.scanLine(y),
                       [](std::uint8_t one) { return static_cast<uchar>(one ? 255 : 0); });
    return image;
}

// Of any channel, and of each.
std::array<QImage, 4> masksOf(const PixelMask& fates, PictureSize size) {
    std::array<QImage, 4> masks{maskOf(fates, size)};
    PixelMask one(fates.size());
    for (std::size_t c = 0; c < 3; ++c) {
        std::transform(fates.begin(), fates.end(), one.begin(),
                       [c](std::uint8_t fate) { return static_cast<std::uint8_t>(fate >> c & 1); });
        masks[c + 1] = maskOf(one, size);
    }
    return masks;
}

QImage stopsImage(const std::vector<std::int8_t>& stops, PictureSize size, Theme theme) {
    QImage image(size.width, size.height, QImage::Format_RGB32);
    for (int y = 0; y < size.height; ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < size.width; ++x)
            line[x] = stopColour(
                stops[static_cast<std::size_t>(y) * static_cast<std::size_t>(size.width) +
                      static_cast<std::size_t>(x)],
                theme);
    }
    return image;
}

std::array<Fraction, 3> channelShares(const PixelMask& mask) {
    std::array<Fraction, 3> shares;
    for (std::size_t c = 0; c < 3; ++c) {
        const auto ended = std::count_if(mask.begin(), mask.end(),
                                         [c](std::uint8_t one) { return (one >> c) & 1; });
        shares[c] = Fraction(static_cast<double>(ended) /
                             static_cast<double>(std::max<std::size_t>(1, mask.size())));
    }
    return shares;
}

// The camera's zebra on a frame, and what is the same for drawn frames and stills.
void addZebra(const SetupContext& context, const Evaluation& at, const CodeFrame& frame,
              const Image& shown, FrameImages& images) {
    images.depth = frame.depth;
    images.weights = lumaOf(context.profile->gamut);
    images.clipLevel = at.clipLevel;
    images.number = toQt(context.setup->number);
    for (const auto use : {ZebraUse::Skin, ZebraUse::Clip}) {
        const auto band = zebraBandOf(context, at, use);
        if (!band)
            continue;
        const auto index = static_cast<std::size_t>(use);
        const auto mask = context.camera->zebra.tap == ZebraTap::Recorded
                              ? zebraOn(frame, images.weights, *band)
                              : zebraOn(shown, *band);
        images.band[index] = band;
        images.zebra[index] = maskOf(mask, frame.codes.size);
        images.zebraShare[index] = shareOf(mask);
    }
}

} // namespace

QString nameOf(FrameLook look) {
    constexpr ByEnum<FrameLook, const char*> names{
        QT_TRANSLATE_NOOP("Frame", "Light"), QT_TRANSLATE_NOOP("Frame", "Sensor"),
        QT_TRANSLATE_NOOP("Frame", "Curve"), QT_TRANSLATE_NOOP("Frame", "Codec"),
        QT_TRANSLATE_NOOP("Frame", "Grade"), QT_TRANSLATE_NOOP("Frame", "Stops")};
    return QCoreApplication::translate("Frame", names[look]);
}

QString textOf(const Likeness& likeness) {
    return QStringLiteral("%1, SSIM %2")
        .arg(toQt(print(likeness.peakToNoise)), toQt(fixedText(likeness.structure, 3)));
}

SpotReading spotIn(const FrameImages& images, double x, double y) {
    return spotOf(*images.recording, images.curve, images.weights, spotAbout({x, y, 0, 0}),
                  images.light.get());
}

QString textOf(const SpotReading& spot) {
    QStringList parts;
    if (spot.light)
        parts << toQt(print(*spot.light));
    parts << toQt(print(spot.stops)) << toQt(print(spot.level));
    return QStringLiteral("%1\nR %2  G %3  B %4")
        .arg(parts.join(QStringLiteral("  ")))
        .arg(spot.codes[0])
        .arg(spot.codes[1])
        .arg(spot.codes[2]);
}

QRgb stopColour(int stop, Theme theme) {
    const auto& t = tokens(theme);
    if (stop == 0) // the stop from grey up
        return t.sky.rgb();
    const double share = std::clamp((stop + 7) / 13.0, 0.0, 1.0);
    const auto grey = static_cast<int>(20 + share * 225);
    return qRgb(grey, grey, grey);
}

namespace {

constexpr auto kGradeAt = static_cast<std::size_t>(FrameLook::Grade);
constexpr auto kStopsAt = static_cast<std::size_t>(FrameLook::Stops);

// What instruments say of a picture for a BT.709 display.
Instruments measuredGrade(const Image& shown) {
    return measure(quantised(shown, BitDepth{10}, CodeRange::Legal), {{}, 256, std::nullopt});
}

} // namespace

FrameImages frameImages(const SetupContext& context, const Evaluation& at, const FrameMade& frame,
                        const FrameWish& wish, const FrameShown& how) {
    FrameImages images;
    std::array<Image, kFrameLooks - 1> stages;
    for (std::size_t i = 0; i < stages.size(); ++i) {
        stages[i] = shownStage(context, at, frame, static_cast<FrameStage>(i), how.push);
        images.look[i] = imageOf(stages[i]);
    }
    const Image& shown = stages[kGradeAt];
    images.toLight = likenessOf(shown, stages[0]);
    images.look[kStopsAt] =
        stopsImage(stopsOfPixels(frame.recorded.linear, frame.weights), wish.size, how.theme);
    images.clipped = masksOf(frame.recorded.fates.clipped, wish.size);
    images.drowned = masksOf(frame.recorded.fates.drowned, wish.size);
    images.recording = std::make_shared<const CodeFrame>(recordingOf(frame));
    images.light = std::make_shared<const Image>(frame.light);
    images.curve = context.profile->curve;
    images.bands = maskOf(bandingOf(shown, stages[0]).mask, wish.size);
    addZebra(context, at, recordingOf(frame), shown, images);
    images.instruments = frame.instruments;
    images.gradedInstruments = measuredGrade(shown);
    images.patches = frame.patches;
    images.meters = frame.meters;
    images.clippedShare = frame.clipped;
    images.drownedShare = frame.drowned;
    images.findings = judgeFrame(context, at, frame, wish, how.codec);
    images.push = toQt(print(how.push));
    if (frame.coded)
        images.coded = CodecResult{{},
                                   frame.coded->standard,
                                   frame.coded->planned,
                                   frame.coded->rate,
                                   frame.coded->noiseKept};
    return images;
}

FrameImages stillImages(const SetupContext& context, const Evaluation& at, const CodeFrame& frame,
                        std::span<const Probe> probes, const FrameShown& how) {
    constexpr int kLongest = 1920; // on a screen
    const auto& profile = *context.profile;
    const auto small = thinned(frame, kLongest);
    FrameImages images;
    const auto flat = imageOf(flatPicture(small));
    for (std::size_t i = 0; i < kGradeAt; ++i)
        images.look[i] = flat;
    const RatingLut way{profile.curve, profile.gamut, at.ratingOffset, std::nullopt, profile.ready};
    const auto change = changerOf(how.push);
    const auto shown = change ? graded(small, way, change) : graded(small, way);
    images.look[kGradeAt] = imageOf(shown);
    images.gradedInstruments = measuredGrade(shown);
    const auto weights = lumaOf(profile.gamut);
    images.look[kStopsAt] =
        stopsImage(stopsOfPixels(small, profile.curve, weights), small.codes.size, how.theme);
    images.push = toQt(print(how.push));
    images.clipped = masksOf(endedChannels(small, profile.curve), small.codes.size);
    images.recording = std::make_shared<const CodeFrame>(small);
    images.curve = profile.curve;
    addZebra(context, at, small, shown, images);
    images.instruments = measure(frame, {weights, 256, std::nullopt});
    images.clippedShare = channelShares(endedChannels(frame, profile.curve));
    images.patches = foundPatches(context, at, frame, probes);
    images.findings = judgeFound(context, at, images.patches);
    return images;
}

} // namespace bslate::app
