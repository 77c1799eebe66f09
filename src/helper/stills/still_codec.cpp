#include "helper/stills/still_codec.h"

#include <OpenImageIO/filesystem.h>
#include <OpenImageIO/imageio.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>
#include <string_view>
#include <vector>

namespace bslate::helper {
namespace {

Error refused(std::string got, std::string expected) {
    return {ErrorCode::WrongFormat, {}, {}, std::move(got), std::move(expected)};
}

// What of the channels is red, green and blue; nothing when there is no such thing.
std::optional<std::array<int, 3>> colourChannels(const OIIO::ImageSpec& spec) {
    std::array<int, 3> found = {-1, -1, -1};
    for (int c = 0; c < spec.nchannels; ++c) {
        const std::string name(spec.channel_name(c));
        for (int k = 0; k < 3; ++k) {
            const std::string letter(1, "RGB"[k]);
            if (name == letter || (name.ends_with("." + letter) && found[k] < 0))
                found[static_cast<std::size_t>(k)] = c;
        }
    }
    if (found[0] >= 0 && found[1] >= 0 && found[2] >= 0)
        return found;
    if (spec.nchannels <= 2 && spec.channel_name(0) != "C")
        return std::array{0, 0, 0};
    return std::nullopt;
}

std::optional<Error> problemWith(const OIIO::ImageSpec& spec) {
    const auto size = std::to_string(spec.width) + " x " + std::to_string(spec.height);
    if (spec.width < 1 || spec.height < 1)
        return refused(size, "a picture of at least one pixel");
    if (spec.width > io::kLongestSide || spec.height > io::kLongestSide ||
        static_cast<std::size_t>(spec.width) * static_cast<std::size_t>(spec.height) >
            io::kMostStillPixels)
        return refused(size, "a picture with no side over 16384 and at most 120 million pixels");
    if (spec.depth > 1 || spec.deep)
        return refused("a volume or deep picture", "a flat picture");
    for (const char* key : {"oiio:ColorSpace", "jpeg:ColorSpace", "tiff:ColorSpace"})
        if (spec.get_string_attribute(key) == "CMYK")
            return refused("inks, CMYK", "grey or RGB");
    // Names that the library gave, since the file has none: nobody knows which are colours.
    const bool unnamed = spec.nchannels > 4 && spec.channel_name(4) == "channel4";
    if (unnamed || (spec.nchannels > 4 && !colourChannels(spec)))
        return refused(std::to_string(spec.nchannels) + " channels", "grey or RGB");
    if (!colourChannels(spec))
        return refused("channels " + std::string(spec.channel_name(0)) + ", " +
                           std::string(spec.channel_name(1)) + " ...",
                       "grey or RGB");
    return std::nullopt;
}

int bitsOf(const OIIO::ImageSpec& spec) {
    if (spec.format.is_floating_point())
        return 0;
    if (spec.format.basesize() == 1)
        return 8;
    const int told = spec.get_int_attribute("oiio:BitsPerSample", 16);
    return told == 10 || told == 12 ? told : 16;
}

// How many pixels of the file stand behind one that is kept.
int stepFor(const OIIO::ImageSpec& spec) {
    int step = 1;
    const auto kept = [&](int side) { return static_cast<std::size_t>((side + step - 1) / step); };
    while (kept(spec.width) * kept(spec.height) > io::kMostKeptPixels)
        ++step;
    return step;
}

// Reads a picture in strips of lines and gives each line that is kept to `take`; of a tiled one
// strips are as high as its tiles.
template<class Value, class Take>
std::optional<Error> eachKeptLine(OIIO::ImageInput& file, const OIIO::ImageSpec& spec, int step,
                                  OIIO::TypeDesc type, const Take& take) {
    const int high = spec.tile_height > 0 ? spec.tile_height : 64;
    const auto line =
        static_cast<std::size_t>(spec.width) * static_cast<std::size_t>(spec.nchannels);
    std::vector<Value> strip(line * static_cast<std::size_t>(std::min(high, spec.height)));
    for (int top = 0; top < spec.height; top += high) {
        const int behind = std::min(spec.height, top + high);
        const bool read =
            spec.tile_width > 0
                ? file.read_tiles(0, 0, spec.x, spec.x + spec.width, spec.y + top, spec.y + behind,
                                  spec.z, spec.z + 1, 0, spec.nchannels, type, strip.data())
                : file.read_scanlines(0, 0, spec.y + top, spec.y + behind, 0, 0, spec.nchannels,
                                      type, strip.data());
        if (!read)
            return refused(file.geterror(), "a whole picture");
        for (int y = top + (step - top % step) % step; y < behind; y += step)
            if (auto problem =
                    take(y / step, strip.data() + static_cast<std::size_t>(y - top) * line))
                return problem;
    }
    return std::nullopt;
}

Result<io::Still> takeLight(OIIO::ImageInput& file, const OIIO::ImageSpec& spec,
                            const std::array<int, 3>& channels, io::Still still) {
    still.bits = 0;
    const int step = still.step;
    still.light = Image({(spec.width + step - 1) / step, (spec.height + step - 1) / step});
    const auto wide = static_cast<std::size_t>(spec.nchannels);
    auto problem = eachKeptLine<float>(
        file, spec, step, OIIO::TypeDesc::FLOAT,
        [&](int y, const float* line) -> std::optional<Error> {
            for (int x = 0; x < still.light.size.width; ++x)
                for (std::size_t c = 0; c < 3; ++c) {
                    const float value = line[static_cast<std::size_t>(x * step) * wide +
                                             static_cast<std::size_t>(channels[c])];
                    if (!std::isfinite(value))
                        return refused("NaN or infinity at " + std::to_string(x * step) + ", " +
                                           std::to_string(y * step),
                                       "numbers in every pixel");
                    still.light.plane[c][still.light.at(x, y)] = value;
                }
            return std::nullopt;
        });
    return problem ? Result<io::Still>(*std::move(problem)) : Result<io::Still>(std::move(still));
}

template<class Value>
Result<io::Still> takeCodes(OIIO::ImageInput& file, const OIIO::ImageSpec& spec,
                            const std::array<int, 3>& channels, io::Still still) {
    const int step = still.step;
    const int shift = still.bits == 8 ? 0 : 16 - still.bits; // the library fills 16 bits
    still.codes =
        Planes<std::uint16_t>({(spec.width + step - 1) / step, (spec.height + step - 1) / step});
    const auto wide = static_cast<std::size_t>(spec.nchannels);
    auto problem = eachKeptLine<Value>(
        file, spec, step, still.bits == 8 ? OIIO::TypeDesc::UINT8 : OIIO::TypeDesc::UINT16,
        [&](int y, const Value* line) -> std::optional<Error> {
            for (int x = 0; x < still.codes.size.width; ++x)
                for (std::size_t c = 0; c < 3; ++c)
                    still.codes.plane[c][still.codes.at(x, y)] =
                        static_cast<std::uint16_t>(line[static_cast<std::size_t>(x * step) * wide +
                                                        static_cast<std::size_t>(channels[c])] >>
                                                   shift);
            return std::nullopt;
        });
    return problem ? Result<io::Still>(*std::move(problem)) : Result<io::Still>(std::move(still));
}

} // namespace

Result<io::Still> decodedStill(const std::string& path) {
    OIIO::attribute("threads", 1);
    // What a camera's sensor gathered, in its own channels under its own white: not a picture that
    // was developed.
    OIIO::ImageSpec asked;
    asked.attribute("raw:ColorSpace", "raw");
    const auto file = OIIO::ImageInput::open(path, &asked);
    if (!file)
        return refused(OIIO::geterror(), "a picture that the image library reads");
    const auto& spec = file->spec();
    if (auto problem = problemWith(spec))
        return *std::move(problem);
    const auto channels = *colourChannels(spec);
    io::Still still;
    still.bits = bitsOf(spec);
    still.step = stepFor(spec);
    still.ofSensor = std::string_view(file->format_name()) == "raw";
    if (still.bits == 0 || still.ofSensor)
        return takeLight(*file, spec, channels, std::move(still));
    return still.bits == 8 ? takeCodes<std::uint8_t>(*file, spec, channels, std::move(still))
                           : takeCodes<std::uint16_t>(*file, spec, channels, std::move(still));
}

Result<std::string> encodedStill(const io::Still& still, const std::string& path) {
    OIIO::attribute("threads", 1);
    const auto out = OIIO::ImageOutput::create(path);
    const auto ending = path.substr(path.find_last_of('.') + 1);
    const bool numbers = ending == "exr", small = ending == "jpg" || ending == "jpeg";
    if (!out || !(numbers || small || ending == "png" || ending == "tif" || ending == "tiff") ||
        !out->supports("ioproxy"))
        return refused(ending, "a name ending in .png, .tif, .jpg or .exr");
    const auto type = numbers ? OIIO::TypeDesc::HALF
                      : small ? OIIO::TypeDesc::UINT8
                              : OIIO::TypeDesc::UINT16;
    OIIO::ImageSpec spec(still.light.size.width, still.light.size.height, 3, type);
    std::vector<unsigned char> bytes;
    OIIO::Filesystem::IOVecOutput memory(bytes);
    OIIO::Filesystem::IOProxy* proxy = &memory;
    spec.attribute("oiio:ioproxy", OIIO::TypeDesc::PTR, &proxy);
    std::vector<float> pixels(still.light.size.pixels() * 3);
    for (std::size_t i = 0; i < still.light.size.pixels(); ++i)
        for (std::size_t c = 0; c < 3; ++c)
            pixels[3 * i + c] = still.light.plane[c][i];
    if (!out->open(path, spec) || !out->write_image(OIIO::TypeDesc::FLOAT, pixels.data()) ||
        !out->close())
        return refused(out->geterror(), "a picture that can be written");
    return std::string(bytes.begin(), bytes.end());
}

} // namespace bslate::helper
