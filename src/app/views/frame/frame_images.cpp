#include "app/views/frame/frame_images.h"

#include "app/document/text.h"

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

QImage imageOf(const Image& picture) {
    QImage image(picture.size.width, picture.size.height, QImage::Format_RGB32);
    const auto byte = [](float value) {
        return static_cast<int>(std::lround(std::clamp(value, 0.0f, 1.0f) * 255));
    };
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

QImage maskOf(const PixelMask& mask, PictureSize size) {
    QImage image(size.width, size.height, QImage::Format_Grayscale8);
    for (int y = 0; y < size.height; ++y)
        std::transform(mask.begin() + static_cast<std::ptrdiff_t>(y) * size.width,
                       mask.begin() + static_cast<std::ptrdiff_t>(y + 1) * size.width,
                       image.scanLine(y),
                       [](std::uint8_t one) { return static_cast<uchar>(one ? 255 : 0); });
    return image;
}

QImage stopsImage(const Recorded& recorded, const LumaWeights& weights, Theme theme) {
    const auto size = recorded.linear.size;
    const auto stops = stopsOfPixels(recorded.linear, weights);
    QImage image(size.width, size.height, QImage::Format_RGB32);
    for (int y = 0; y < size.height; ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < size.width; ++x)
            line[x] = stopColour(stops[recorded.linear.at(x, y)], theme);
    }
    return image;
}

} // namespace

QString nameOf(FrameLook look) {
    constexpr const char* names[] = {
        QT_TRANSLATE_NOOP("Frame", "Light"), QT_TRANSLATE_NOOP("Frame", "Sensor"),
        QT_TRANSLATE_NOOP("Frame", "Curve"), QT_TRANSLATE_NOOP("Frame", "Grade"),
        QT_TRANSLATE_NOOP("Frame", "Stops")};
    return QCoreApplication::translate("Frame", names[static_cast<int>(look)]);
}

QRgb stopColour(int stop, Theme theme) {
    const auto& t = tokens(theme);
    if (stop == 0) // the stop from grey up
        return t.sky.rgb();
    const double share = std::clamp((stop + 7) / 13.0, 0.0, 1.0);
    const auto grey = static_cast<int>(20 + share * 225);
    return qRgb(grey, grey, grey);
}

FrameImages frameImages(const SetupContext& context, const Evaluation& at, PictureSize size,
                        Theme theme) {
    FrameWish wish;
    wish.size = size;
    const auto frame = makeFrame(context, at, wish);
    FrameImages images;
    Image shown;
    for (int i = 0; i < 4; ++i) {
        shown = shownStage(context, at, frame, static_cast<FrameStage>(i));
        images.look[static_cast<std::size_t>(i)] = imageOf(shown);
    }
    images.look[4] = stopsImage(frame.recorded, frame.weights, theme);
    images.clipped = maskOf(frame.recorded.fates.clipped, size);
    images.drowned = maskOf(frame.recorded.fates.drowned, size);
    for (const auto use : {ZebraUse::Skin, ZebraUse::Clip}) {
        const auto band = zebraBandOf(context, at, use);
        if (!band)
            continue;
        const auto index = static_cast<std::size_t>(use);
        const auto mask = context.camera->zebra.tap == ZebraTap::Recorded
                              ? zebraOn(frame.recorded.frame, frame.weights, *band)
                              : zebraOn(shown, *band); // the last stage: the grade
        images.band[index] = band;
        images.zebra[index] = maskOf(mask, size);
        images.zebraShare[index] = shareOf(mask);
    }
    images.instruments = frame.instruments;
    images.patches = frame.patches;
    images.clippedShare = frame.clipped;
    images.drownedShare = frame.drowned;
    images.depth = at.depth;
    images.weights = frame.weights;
    images.clipLevel = at.clipLevel;
    images.number = toQt(context.setup->number);
    return images;
}

} // namespace bslate::app
