// Stills as the window toolkit's own readers (libpng, libjpeg) have them: PNG to a code; JPEG
// within what two decoders' rounding and their reading between samples of colour differ.
#include "io/stills/still_file.h"
#include "support/temporary_folder.h"

#include <QImage>

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

QImage picture() {
    QImage image(97, 61, QImage::Format_RGB32);
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x)
            image.setPixelColor(x, y,
                                QColor(128 + int(100 * std::sin(x / 9.0)), 2 * x + y,
                                       128 + int(90 * std::cos((x + y) / 14.0))));
    return image;
}

int furthest(const io::Still& still, const QImage& image) {
    int most = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x) {
            const auto colour = image.pixelColor(x, y);
            const int wanted[] = {colour.red(), colour.green(), colour.blue()};
            for (std::size_t c = 0; c < 3; ++c)
                most = std::max(most,
                                std::abs(still.codes.plane[c][still.codes.at(x, y)] - wanted[c]));
        }
    return most;
}

TEST(StillReader, AgreesWithTheToolkitsOwn) {
    const sample::TemporaryFolder folder;
    const auto image = picture();
    const std::pair<const char*, QImage> saved[] = {
        {"a.png", image},
        {"grey.png", image.convertToFormat(QImage::Format_Grayscale8)},
        {"palette.png", image.convertToFormat(QImage::Format_Indexed8)},
        {"bits.png", image.convertToFormat(QImage::Format_Mono)},
        {"a.jpg", image},
        {"grey.jpg", image.convertToFormat(QImage::Format_Grayscale8)}};
    for (const auto& [name, as] : saved) {
        const auto path = folder / name;
        ASSERT_TRUE(as.save(QString::fromStdString(path.string()), nullptr, 95)) << name;
        const QImage again(QString::fromStdString(path.string()));
        const auto still = io::readStill(path);
        ASSERT_TRUE(still) << message(still.error());
        EXPECT_EQ(still->bits, 8) << name;
        EXPECT_LE(furthest(*still, again), std::string(name).ends_with("jpg") ? 3 : 0) << name;
    }
}

} // namespace
} // namespace bslate
