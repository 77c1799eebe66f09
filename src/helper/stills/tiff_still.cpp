#include "helper/stills/tiff_still.h"

#include "helper/stills/refusal.h"
#include "helper/stills/still_size.h"

#include <algorithm>
#include <bit>
#include <climits>
#include <cmath>
#include <cstring>
#include <memory>
#include <optional>
#include <tiffio.h>
#include <vector>

namespace bslate::helper {
namespace {

// The bytes as the library's own kind of file.
struct Bytes {
    std::string_view all;
    std::size_t at = 0;
};

tmsize_t readBytes(thandle_t handle, void* into, tmsize_t count) {
    auto& bytes = *static_cast<Bytes*>(handle);
    const auto from = std::min(bytes.at, bytes.all.size());
    const auto got = std::min(static_cast<std::size_t>(count), bytes.all.size() - from);
    std::memcpy(into, bytes.all.data() + from, got);
    bytes.at = from + got;
    return static_cast<tmsize_t>(got);
}

toff_t seekBytes(thandle_t handle, toff_t to, int from) {
    auto& bytes = *static_cast<Bytes*>(handle);
    const toff_t start = from == SEEK_SET ? 0 : from == SEEK_CUR ? bytes.at : bytes.all.size();
    bytes.at = start + to;
    return bytes.at;
}

struct EndsTiff {
    void operator()(TIFF* file) const { TIFFClose(file); }
};
using Tiff = std::unique_ptr<TIFF, EndsTiff>;

// Kept to memory: a mapping would hand the library bytes beyond the end.
Tiff openedTiff(Bytes& bytes) {
    TIFFSetErrorHandler(nullptr);
    TIFFSetWarningHandler(nullptr);
    return Tiff(TIFFClientOpen(
        "still", "rmO", &bytes, readBytes, [](thandle_t, void*, tmsize_t) -> tmsize_t { return 0; },
        seekBytes, [](thandle_t) { return 0; },
        [](thandle_t handle) -> toff_t { return static_cast<Bytes*>(handle)->all.size(); },
        [](thandle_t, void**, toff_t*) { return 0; }, [](thandle_t, void*, toff_t) {}));
}

struct Layout {
    std::uint32_t width = 0, height = 0, tileWidth = 0, tileHeight = 0;
    std::uint16_t bits = 1, samples = 1, format = SAMPLEFORMAT_UINT, photometric = 0;
    std::uint16_t planar = PLANARCONFIG_CONTIG;
    bool tiled = false;
    [[nodiscard]] bool apart() const { return planar == PLANARCONFIG_SEPARATE && samples > 1; }
    [[nodiscard]] bool light() const { return format == SAMPLEFORMAT_IEEEFP; }
    // Samples that stand together in a line of the file.
    [[nodiscard]] std::size_t together() const { return apart() ? 1 : samples; }
};

Layout layoutOf(TIFF* file) {
    Layout found;
    TIFFGetField(file, TIFFTAG_IMAGEWIDTH, &found.width);
    TIFFGetField(file, TIFFTAG_IMAGELENGTH, &found.height);
    TIFFGetFieldDefaulted(file, TIFFTAG_BITSPERSAMPLE, &found.bits);
    TIFFGetFieldDefaulted(file, TIFFTAG_SAMPLESPERPIXEL, &found.samples);
    TIFFGetFieldDefaulted(file, TIFFTAG_SAMPLEFORMAT, &found.format);
    TIFFGetFieldDefaulted(file, TIFFTAG_PLANARCONFIG, &found.planar);
    TIFFGetField(file, TIFFTAG_PHOTOMETRIC, &found.photometric);
    found.tiled = TIFFIsTiled(file) != 0;
    if (found.tiled) {
        TIFFGetField(file, TIFFTAG_TILEWIDTH, &found.tileWidth);
        TIFFGetField(file, TIFFTAG_TILELENGTH, &found.tileHeight);
    }
    return found;
}

std::optional<Error> problemWith(const Layout& of, std::size_t fileBytes) {
    if (of.width > INT_MAX || of.height > INT_MAX)
        return refusedStill("sides over 2147483647", "a picture");
    const int width = static_cast<int>(of.width), height = static_cast<int>(of.height);
    if (auto problem = problemWithSize(width, height))
        return problem;
    if (of.photometric == PHOTOMETRIC_SEPARATED)
        return refusedStill("inks, CMYK", "grey or RGB");
    if (of.samples > 4)
        return refusedStill(std::to_string(of.samples) + " channels", "grey or RGB");
    const bool colours = of.photometric == PHOTOMETRIC_RGB && of.samples >= 3;
    const bool grey = of.photometric <= PHOTOMETRIC_MINISBLACK && of.samples <= 2;
    const bool palette = of.photometric == PHOTOMETRIC_PALETTE && of.samples == 1 && of.bits <= 8;
    if (!colours && !grey && !palette)
        return refusedStill("a TIFF of other colours", "grey or RGB");
    const bool codes = of.format == SAMPLEFORMAT_UINT && of.bits >= 1 && of.bits <= 16;
    if (!codes && !(of.light() && of.bits == 32 && !palette))
        return refusedStill(std::to_string(of.bits) + " bits of another kind",
                            "codes of up to 16 bits, or 32-bit numbers");
    if (static_cast<std::size_t>(of.width) * of.height * of.samples * of.bits / 8 >
        mostBytesFor(fileBytes))
        return moreThanItsFile(width, height);
    if (of.tiled && (of.tileWidth > 2 * of.width + 4096 || of.tileHeight > 2 * of.height + 4096))
        return refusedStill("tiles larger than the picture", "a picture");
    return std::nullopt;
}

// Lines of the file, one after another from the top.
class Lines {
public:
    Lines(TIFF* file, const Layout& layout, std::uint16_t plane)
        : m_file(file)
        , m_layout(layout)
        , m_plane(plane)
        , m_pixel(layout.together() * layout.bits) {
        m_line.resize((m_pixel * layout.width + 7) / 8 + 1);
        m_tile.resize(
            static_cast<std::size_t>(layout.tiled ? TIFFTileSize(file) : TIFFScanlineSize(file)));
        if (layout.tiled)
            m_row.resize(static_cast<std::size_t>(layout.tileHeight) * m_line.size());
        else
            m_line.resize(std::max(m_line.size(), m_tile.size()));
    }
    // Null when it is not there.
    const std::uint8_t* next() {
        const auto y = m_next++;
        if (!m_layout.tiled)
            return TIFFReadScanline(m_file, m_line.data(), y, m_plane) == 1 ? m_line.data()
                                                                            : nullptr;
        const auto below = y % m_layout.tileHeight;
        if (below == 0 && !readTiles(y))
            return nullptr;
        return m_row.data() + below * m_line.size();
    }

private:
    bool readTiles(std::uint32_t y) {
        const std::size_t wide = static_cast<std::size_t>(TIFFTileRowSize(m_file));
        for (std::uint32_t x = 0; x < m_layout.width; x += m_layout.tileWidth) {
            if (TIFFReadTile(m_file, m_tile.data(), x, y, 0, m_plane) < 0)
                return false;
            const std::size_t from = m_pixel * x / 8; // tiles are multiples of 16 wide
            const std::size_t many = std::min(wide, m_line.size() - from);
            for (std::size_t row = 0; row < m_layout.tileHeight; ++row)
                std::memcpy(m_row.data() + row * m_line.size() + from, m_tile.data() + row * wide,
                            many);
        }
        return true;
    }

    TIFF* m_file;
    const Layout& m_layout;
    std::uint16_t m_plane;
    std::size_t m_pixel; // bits
    std::uint32_t m_next = 0;
    std::vector<std::uint8_t> m_line, m_tile, m_row;
};

// The sample at an index of a line: of 8, 16 and 32 bits as the machine has them, others from the
// highest bit on.
std::uint32_t sampleAt(const std::uint8_t* line, std::size_t index, int bits) {
    if (bits == 8)
        return line[index];
    if (bits == 16) {
        std::uint16_t code = 0;
        std::memcpy(&code, line + 2 * index, 2);
        return code;
    }
    if (bits == 32) {
        std::uint32_t code = 0;
        std::memcpy(&code, line + 4 * index, 4);
        return code;
    }
    const std::size_t first = index * static_cast<std::size_t>(bits);
    std::uint32_t code = 0;
    for (std::size_t bit = first; bit < first + static_cast<std::size_t>(bits); ++bit)
        code = code << 1 | (line[bit / 8] >> (7 - bit % 8) & 1U);
    return code;
}

// From a sample to a code of the still.
class Codes {
public:
    Codes(TIFF* file, const Layout& layout)
        : m_palette(layout.photometric == PHOTOMETRIC_PALETTE)
        , m_turned(layout.photometric == PHOTOMETRIC_MINISWHITE)
        , m_top((1U << layout.bits) - 1) {
        const int found = layout.bits;
        const bool known = found == 8 || found == 10 || found == 12 || found == 16;
        m_bits = m_palette ? 8 : known ? found : found < 8 ? 8 : 16;
        m_scale = ((1U << m_bits) - 1) / static_cast<double>(m_top);
        if (m_palette &&
            TIFFGetField(file, TIFFTAG_COLORMAP, &m_maps[0], &m_maps[1], &m_maps[2]) != 1)
            m_palette = false;
    }
    [[nodiscard]] int bits() const { return m_bits; }
    [[nodiscard]] std::uint16_t of(std::uint32_t code, std::size_t c) const {
        if (m_palette)
            return static_cast<std::uint16_t>(m_maps[c][code] >> 8);
        const auto upright = m_turned ? m_top - code : code;
        return static_cast<std::uint16_t>(m_scale == 1 ? upright : std::lround(upright * m_scale));
    }

private:
    bool m_palette, m_turned;
    std::uint32_t m_top;
    int m_bits = 8;
    double m_scale = 1;
    std::uint16_t* m_maps[3] = {};
};

// Every line of the file through `take(channel, x, y, sample)`, as far as it is kept.
template<class Take>
std::optional<Error> eachSample(TIFF* file, const Layout& layout, int step, const Take& take) {
    const bool grey = layout.samples < 3;
    const std::uint16_t planes = layout.apart() && !grey ? 3 : 1;
    for (std::uint16_t plane = 0; plane < planes; ++plane) {
        Lines lines(file, layout, plane);
        for (std::uint32_t y = 0; y < layout.height; ++y) {
            const auto* line = lines.next();
            if (!line)
                return notWhole("a TIFF whose lines end at " + std::to_string(y) + " of " +
                                std::to_string(layout.height));
            if (y % static_cast<std::uint32_t>(step) != 0)
                continue;
            const std::size_t first = layout.apart() && !grey ? plane : 0;
            const std::size_t behind = layout.apart() && !grey ? plane + 1U : 3U;
            for (std::uint32_t x = 0; x < layout.width; x += static_cast<std::uint32_t>(step))
                for (std::size_t c = first; c < behind; ++c) {
                    const std::size_t at = x * layout.together() + (grey || layout.apart() ? 0 : c);
                    if (!take(c, static_cast<int>(x) / step, static_cast<int>(y) / step,
                              sampleAt(line, at, layout.bits)))
                        return refusedStill("NaN or infinity at " + std::to_string(x) + ", " +
                                                std::to_string(y),
                                            "numbers in every pixel");
                }
        }
    }
    return std::nullopt;
}

} // namespace

Result<io::Still> tiffStill(std::string_view all) {
    Bytes bytes{all, 0};
    const auto file = openedTiff(bytes);
    if (!file)
        return notWhole("a TIFF whose directory cannot be read");
    std::uint16_t packed = COMPRESSION_NONE;
    TIFFGetFieldDefaulted(file.get(), TIFFTAG_COMPRESSION, &packed);
    auto layout = layoutOf(file.get());
    if (packed == COMPRESSION_JPEG && layout.photometric == PHOTOMETRIC_YCBCR) {
        TIFFSetField(file.get(), TIFFTAG_JPEGCOLORMODE, JPEGCOLORMODE_RGB);
        layout.photometric = PHOTOMETRIC_RGB;
    }
    if (auto problem = problemWith(layout, all.size()))
        return *std::move(problem);
    if (TIFFIsCODECConfigured(packed) == 0)
        return refusedStill("a TIFF whose packing this machine's library does not know",
                            "one that is packed otherwise, or not");
    io::Still still;
    const int width = static_cast<int>(layout.width), height = static_cast<int>(layout.height);
    still.step = stepFor(width, height);
    const PictureSize size{(width + still.step - 1) / still.step,
                           (height + still.step - 1) / still.step};
    std::optional<Error> problem;
    if (layout.light()) {
        still.bits = 0;
        still.light = Image(size);
        problem = eachSample(file.get(), layout, still.step,
                             [&](std::size_t c, int x, int y, std::uint32_t sample) {
                                 const auto value = std::bit_cast<float>(sample);
                                 still.light.plane[c][still.light.at(x, y)] = value;
                                 return std::isfinite(value);
                             });
    } else {
        const Codes codes(file.get(), layout);
        still.bits = codes.bits();
        still.codes = Planes<std::uint16_t>(size);
        problem = eachSample(file.get(), layout, still.step,
                             [&](std::size_t c, int x, int y, std::uint32_t sample) {
                                 still.codes.plane[c][still.codes.at(x, y)] = codes.of(sample, c);
                                 return true;
                             });
    }
    return problem ? Result<io::Still>(*std::move(problem)) : Result<io::Still>(std::move(still));
}

} // namespace bslate::helper
