#include "cli/region_option.h"

#include "cli/inputs.h"
#include "cli/number_list.h"

namespace bslate::cli {

Result<PictureArea> regionFrom(const char* option, const std::string& text) {
    constexpr const char* expected = "x,y,w,h inside of the picture, such as 0.4,0.4,0.2,0.2";
    const auto parts = numbersIn(option, text, 0, 1, expected);
    if (!parts)
        return parts.error();
    if (parts->size() != 4 || !((*parts)[2] > 0) || !((*parts)[3] > 0) ||
        (*parts)[0] + (*parts)[2] > 1 + 1e-9 || (*parts)[1] + (*parts)[3] > 1 + 1e-9)
        return usage(option, text, expected);
    return PictureArea{(*parts)[0], (*parts)[1], (*parts)[2], (*parts)[3]};
}

} // namespace bslate::cli
