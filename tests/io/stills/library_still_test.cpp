// Stills as the formats' own libraries write them: TIFF in tiles, of 12 bits and of numbers
// (LibTIFF), HEIF (libheif).
#include "io/stills/still_file.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <libheif/heif.h>
#include <memory>
#include <sys/wait.h>
#include <tiffio.h>
#include <unistd.h>

namespace bslate::io {
namespace {

using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

constexpr int kWide = 70, kHigh = 50, kTile = 32;

// A code of 0 to 4095 that is another one in every pixel of a neighbourhood and in every channel.
int codeAt(int x, int y, int c) {
    return (x * 37 + y * 101 + c * 1000) % 4096;
}

struct Closes {
    void operator()(TIFF* file) const { TIFFClose(file); }
};
using Tiff = std::unique_ptr<TIFF, Closes>;

Tiff newTiff(const std::string& path, int bits, int format) {
    Tiff file(TIFFOpen(path.c_str(), "w"));
    TIFFSetField(file.get(), TIFFTAG_IMAGEWIDTH, kWide);
    TIFFSetField(file.get(), TIFFTAG_IMAGELENGTH, kHigh);
    TIFFSetField(file.get(), TIFFTAG_BITSPERSAMPLE, bits);
    TIFFSetField(file.get(), TIFFTAG_SAMPLESPERPIXEL, 3);
    TIFFSetField(file.get(), TIFFTAG_SAMPLEFORMAT, format);
    TIFFSetField(file.get(), TIFFTAG_PHOTOMETRIC, PHOTOMETRIC_RGB);
    TIFFSetField(file.get(), TIFFTAG_PLANARCONFIG, PLANARCONFIG_CONTIG);
    return file;
}

void tiled(const std::string& path) {
    auto file = newTiff(path, 16, SAMPLEFORMAT_UINT);
    TIFFSetField(file.get(), TIFFTAG_TILEWIDTH, kTile);
    TIFFSetField(file.get(), TIFFTAG_TILELENGTH, kTile);
    TIFFSetField(file.get(), TIFFTAG_COMPRESSION, COMPRESSION_ADOBE_DEFLATE);
    std::vector<std::uint16_t> tile(kTile * kTile * 3);
    for (int top = 0; top < kHigh; top += kTile)
        for (int left = 0; left < kWide; left += kTile) {
            for (int y = 0; y < kTile; ++y)
                for (int x = 0; x < kTile; ++x)
                    for (int c = 0; c < 3; ++c)
                        tile[static_cast<std::size_t>((y * kTile + x) * 3 + c)] =
                            static_cast<std::uint16_t>(codeAt(left + x, top + y, c));
            ASSERT_GT(TIFFWriteTile(file.get(), tile.data(), static_cast<std::uint32_t>(left),
                                    static_cast<std::uint32_t>(top), 0, 0),
                      0);
        }
}

// Two codes in three bytes, the first one's high bits first (TIFF 6.0, section 8).
void twelveBits(const std::string& path) {
    auto file = newTiff(path, 12, SAMPLEFORMAT_UINT);
    TIFFSetField(file.get(), TIFFTAG_ROWSPERSTRIP, 7);
    for (int y = 0; y < kHigh; ++y) {
        std::vector<std::uint8_t> line(kWide * 3 * 12 / 8);
        for (int i = 0; i < kWide * 3; i += 2) {
            const int a = codeAt(i / 3, y, i % 3), b = codeAt((i + 1) / 3, y, (i + 1) % 3);
            auto* at = &line[static_cast<std::size_t>(i / 2 * 3)];
            at[0] = static_cast<std::uint8_t>(a >> 4);
            at[1] = static_cast<std::uint8_t>((a & 15) << 4 | b >> 8);
            at[2] = static_cast<std::uint8_t>(b & 255);
        }
        ASSERT_GT(TIFFWriteScanline(file.get(), line.data(), static_cast<std::uint32_t>(y)), 0);
    }
}

void numbers(const std::string& path) {
    auto file = newTiff(path, 32, SAMPLEFORMAT_IEEEFP);
    TIFFSetField(file.get(), TIFFTAG_COMPRESSION, COMPRESSION_LZW);
    TIFFSetField(file.get(), TIFFTAG_PREDICTOR, PREDICTOR_FLOATINGPOINT);
    for (int y = 0; y < kHigh; ++y) {
        std::vector<float> line(kWide * 3);
        for (int i = 0; i < kWide * 3; ++i)
            line[static_cast<std::size_t>(i)] = static_cast<float>(codeAt(i / 3, y, i % 3)) / 512;
        ASSERT_GT(TIFFWriteScanline(file.get(), line.data(), static_cast<std::uint32_t>(y)), 0);
    }
}

void halvesAreRefused(const TemporaryFolder& folder, const std::string& name) {
    const auto whole = slurp(folder / name);
    for (const double share : {0.3, 0.6, 0.95}) {
        spit(folder / ("cut-" + name),
             whole.substr(0, static_cast<std::size_t>(share * double(whole.size()))));
        EXPECT_FALSE(readStill(folder / ("cut-" + name))) << name << " cut at " << share;
    }
}

TEST(LibraryStills, TiffInTilesOfTwelveBitsAndOfNumbersIsReadToACode) {
    const TemporaryFolder folder;
    tiled((folder / "tiled.tif").string());
    twelveBits((folder / "twelve.tif").string());
    numbers((folder / "numbers.tif").string());
    const std::pair<const char*, int> kinds[] = {
        {"tiled.tif", 16}, {"twelve.tif", 12}, {"numbers.tif", 0}};
    for (const auto& [name, bits] : kinds) {
        const auto still = readStill(folder / name);
        ASSERT_TRUE(still) << name << ": " << message(still.error());
        ASSERT_EQ(still->bits, bits) << name;
        ASSERT_EQ(still->size(), (PictureSize{kWide, kHigh})) << name;
        for (int y = 0; y < kHigh; ++y)
            for (int x = 0; x < kWide; ++x)
                for (int c = 0; c < 3; ++c) {
                    const auto plane = static_cast<std::size_t>(c);
                    const int code = codeAt(x, y, c);
                    if (bits > 0)
                        ASSERT_EQ(still->codes.plane[plane][still->codes.at(x, y)], code) << name;
                    else // a power of two: exact
                        ASSERT_EQ(still->light.plane[plane][still->light.at(x, y)],
                                  static_cast<float>(code) / 512)
                            << name;
                }
        halvesAreRefused(folder, name);
    }
}

constexpr int kSteps[] = {20, 90, 160, 230};

// Four greys, written as well as the encoder can; false where the library has none.
bool writeHeif(const std::string& path) {
    heif_context* context = heif_context_alloc();
    heif_encoder* encoder = nullptr;
    if (heif_context_get_encoder_for_format(context, heif_compression_HEVC, &encoder).code !=
        heif_error_Ok)
        return false;
    heif_encoder_set_lossy_quality(encoder, 100);
    heif_image* image = nullptr;
    heif_image_create(256, 64, heif_colorspace_RGB, heif_chroma_interleaved_RGB, &image);
    heif_image_add_plane(image, heif_channel_interleaved, 256, 64, 8);
    int stride = 0;
    auto* data = heif_image_get_plane(image, heif_channel_interleaved, &stride);
    for (int y = 0; y < 64; ++y)
        for (int x = 0; x < 256; ++x)
            for (int c = 0; c < 3; ++c)
                data[y * stride + 3 * x + c] = static_cast<std::uint8_t>(kSteps[x / 64]);
    heif_image_handle* handle = nullptr;
    return heif_context_encode_image(context, image, encoder, nullptr, &handle).code ==
               heif_error_Ok &&
           heif_context_write_to_file(context, path.c_str()).code == heif_error_Ok;
}

// Areas of one colour come back within what a lossy codec and its luma and chroma cost.
TEST(LibraryStills, HeifIsReadWithinWhatItsCodecLoses) {
    const TemporaryFolder folder;
    const auto path = (folder / "a.heif").string();
    const pid_t child = ::fork(); // the encoder leaves memory behind
    if (child == 0)
        ::_exit(writeHeif(path) ? 0 : 1);
    int status = 0;
    ::waitpid(child, &status, 0);
    if (!WIFEXITED(status) || WEXITSTATUS(status) != 0)
        GTEST_SKIP() << "this library has no encoder";
    const auto still = readStill(path);
    ASSERT_TRUE(still) << message(still.error());
    ASSERT_EQ(still->bits, 8);
    ASSERT_EQ(still->size(), (PictureSize{256, 64}));
    for (int step = 0; step < 4; ++step)
        for (const auto& plane : still->codes.plane)
            EXPECT_NEAR(plane[still->codes.at(32 + 64 * step, 32)], kSteps[step], 3);
    halvesAreRefused(folder, "a.heif");
}

} // namespace
} // namespace bslate::io
