#include "helper/stills/sensor_still.h"

#include "helper/stills/refusal.h"
#include "helper/stills/still_size.h"

#include <libraw/libraw.h>

#include <cstring>
#include <memory>

namespace bslate::helper {
namespace {

struct EndsMemory {
    void operator()(libraw_processed_image_t* picture) const { LibRaw::dcraw_clear_mem(picture); }
};

// Opened as far as its headers; nothing when it is of no sensor.
std::unique_ptr<LibRaw> openedSensor(std::string_view bytes) {
    auto raw = std::make_unique<LibRaw>();
    const bool open =
        raw->open_buffer(const_cast<char*>(bytes.data()), bytes.size()) == LIBRAW_SUCCESS;
    const auto& told = raw->imgdata.idata;
    const bool known = open && told.raw_count > 0 && (told.filters != 0 || told.dng_version != 0);
    return known ? std::move(raw) : nullptr;
}

} // namespace

bool isOfSensor(std::string_view bytes) {
    return openedSensor(bytes) != nullptr;
}

Result<io::Still> sensorStill(std::string_view bytes) {
    const auto raw = openedSensor(bytes);
    if (!raw)
        return refusedStill("no picture that is known here",
                            "PNG, JPEG, TIFF, DPX, OpenEXR, JPEG 2000, WebP, HEIF or camera raw");
    const auto& size = raw->imgdata.sizes;
    if (auto problem = problemWithSize(size.iwidth, size.iheight))
        return *std::move(problem);
    int broken = 0;
    // Where it stands is a number of one kind or another, by the library's version.
    raw->set_dataerror_handler(
        [](void* counted, const char*, auto) { ++*static_cast<int*>(counted); }, &broken);
    auto& wanted = raw->imgdata.params;
    wanted.output_bps = 16;
    wanted.output_color = 0; // its own channels
    wanted.gamm[0] = wanted.gamm[1] = 1;
    wanted.no_auto_bright = 1;
    wanted.adjust_maximum_thr = 0;
    wanted.use_camera_wb = 1;
    wanted.user_qual = 3;
    wanted.highlight = 0;
    const int cells = stepFor(size.iwidth, size.iheight);
    wanted.half_size = cells > 1;
    if (raw->unpack() != LIBRAW_SUCCESS || raw->dcraw_process() != LIBRAW_SUCCESS || broken > 0)
        return notWhole("camera raw that cannot be read to its end");
    int failed = 0;
    const std::unique_ptr<libraw_processed_image_t, EndsMemory> picture(
        raw->dcraw_make_mem_image(&failed));
    if (!picture || picture->bits != 16 || (picture->colors != 3 && picture->colors != 1))
        return refusedStill("a sensor of other colours", "red, green and blue, or grey");
    io::Still still;
    still.bits = 0;
    still.ofSensor = true;
    still.step = cells > 1 ? 2 : 1;
    still.light = Image({picture->width, picture->height});
    for (std::size_t i = 0; i < still.light.size.pixels(); ++i)
        for (std::size_t c = 0; c < 3; ++c) {
            std::uint16_t code = 0;
            const auto colour = picture->colors == 1 ? 0 : c;
            std::memcpy(&code, picture->data + 2 * (picture->colors * i + colour), 2);
            still.light.plane[c][i] = static_cast<float>(code) / 65535.0F;
        }
    return still;
}

} // namespace bslate::helper
