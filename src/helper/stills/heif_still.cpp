#include "helper/stills/heif_still.h"

#include "helper/stills/refusal.h"
#include "helper/stills/still_kind.h"
#include "helper/stills/still_size.h"

#include <libheif/heif.h>

#include <cstring>
#include <memory>

namespace bslate::helper {
namespace {

template<class Object, void (*End)(Object*)>
struct Ends {
    void operator()(Object* object) const { End(object); }
};
void endHandle(heif_image_handle* handle) {
    heif_image_handle_release(handle);
}
void endImage(heif_image* image) {
    heif_image_release(image);
}
using Context = std::unique_ptr<heif_context, Ends<heif_context, heif_context_free>>;
using Handle = std::unique_ptr<heif_image_handle, Ends<heif_image_handle, endHandle>>;
using Decoded = std::unique_ptr<heif_image, Ends<heif_image, endImage>>;

Error refusalOf(const heif_error& failed) {
    if (failed.code == heif_error_Unsupported_feature ||
        failed.code == heif_error_Unsupported_filetype ||
        failed.code == heif_error_Decoder_plugin_error)
        return refusedStill("a HEIF that this machine's library does not decode", "another kind");
    return notWhole("a HEIF that cannot be read to its end");
}

io::Still stillFrom(const heif_image& image, int bits, int step) {
    int stride = 0;
    const auto* data = heif_image_get_plane_readonly(&image, heif_channel_interleaved, &stride);
    const int width = heif_image_get_width(&image, heif_channel_interleaved);
    const int height = heif_image_get_height(&image, heif_channel_interleaved);
    io::Still still;
    still.bits = bits;
    still.step = step;
    still.codes = Planes<std::uint16_t>({(width + step - 1) / step, (height + step - 1) / step});
    const std::size_t each = bits > 8 ? 2 : 1;
    for (int y = 0; y < still.codes.size.height; ++y) {
        const auto* line = data + static_cast<std::ptrdiff_t>(stride) * y * step;
        for (int x = 0; x < still.codes.size.width; ++x)
            for (std::size_t c = 0; c < 3; ++c) {
                const auto* at = line + (3 * static_cast<std::size_t>(x * step) + c) * each;
                still.codes.plane[c][still.codes.at(x, y)] =
                    static_cast<std::uint16_t>(each == 2 ? at[0] | at[1] << 8 : at[0]);
            }
    }
    return still;
}

} // namespace

void prepareHeif() {
    heif_init(nullptr);
}

Result<io::Still> heifStill(std::string_view bytes) {
    if (auto problem = problemWithContent(StillKind::Heif, bytes))
        return *std::move(problem);
    const Context context(heif_context_alloc());
    auto failed = heif_context_read_from_memory_without_copy(context.get(), bytes.data(),
                                                             bytes.size(), nullptr);
    heif_image_handle* first = nullptr;
    if (failed.code == heif_error_Ok)
        failed = heif_context_get_primary_image_handle(context.get(), &first);
    const Handle handle(first);
    if (failed.code != heif_error_Ok)
        return refusalOf(failed);
    const int width = heif_image_handle_get_width(handle.get());
    const int height = heif_image_handle_get_height(handle.get());
    if (auto problem = problemWithSize(width, height))
        return *std::move(problem);
    const int told = heif_image_handle_get_luma_bits_per_pixel(handle.get());
    heif_image* made = nullptr;
    failed = heif_decode_image(
        handle.get(), &made, heif_colorspace_RGB,
        told > 8 ? heif_chroma_interleaved_RRGGBB_LE : heif_chroma_interleaved_RGB, nullptr);
    const Decoded image(made);
    if (failed.code != heif_error_Ok)
        return refusalOf(failed);
    const int bits = heif_image_get_bits_per_pixel_range(image.get(), heif_channel_interleaved);
    if (bits != 8 && bits != 10 && bits != 12 && bits != 16)
        return refusedStill(std::to_string(bits) + " bits", "8, 10, 12 or 16 bits");
    return stillFrom(*image, bits, stepFor(width, height));
}

} // namespace bslate::helper
