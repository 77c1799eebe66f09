#include "helper/stills/still_size.h"

#include "helper/stills/refusal.h"
#include "io/wire/still.h"

namespace bslate::helper {

std::string sizeText(int width, int height) {
    return std::to_string(width) + " x " + std::to_string(height);
}

std::optional<Error> problemWithSize(int width, int height) {
    if (width < 1 || height < 1)
        return refusedStill(sizeText(width, height), "a picture of at least one pixel");
    if (width > io::kLongestSide || height > io::kLongestSide ||
        static_cast<std::size_t>(width) * static_cast<std::size_t>(height) > io::kMostStillPixels)
        return refusedStill(sizeText(width, height),
                            "a picture with no side over 16384 and at most 120 million pixels");
    return std::nullopt;
}

int stepFor(int width, int height) {
    int step = 1;
    const auto kept = [&](int side) { return static_cast<std::size_t>((side + step - 1) / step); };
    while (kept(width) * kept(height) > io::kMostKeptPixels)
        ++step;
    return step;
}

std::size_t mostBytesFor(std::size_t fileBytes) {
    constexpr std::size_t kMega = 1'000'000, kSmall = 192 * kMega, kTimes = 64;
    return kSmall + kTimes * (fileBytes > kMega ? fileBytes - kMega : 0);
}

Error moreThanItsFile(int width, int height) {
    return refusedStill(sizeText(width, height), "as many pixels as a file of this length holds");
}

} // namespace bslate::helper
