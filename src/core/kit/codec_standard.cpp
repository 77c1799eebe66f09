#include "core/kit/codec_standard.h"

#include "core/base/enumerated.h"

#include "core/quantity/scan.h"

#include <algorithm>
#include <array>

namespace bslate {
namespace {

// VC-2 is the intra part of a codec whose name the media library gives it.
constexpr std::pair<std::string_view, CodecStandard> kWords[] = {
    {"h264", CodecStandard::H264},
    {"avc", CodecStandard::H264},
    {"h265", CodecStandard::H265},
    {"hevc", CodecStandard::H265},
    {"h266", CodecStandard::H266},
    {"vvc", CodecStandard::H266},
    {"av1", CodecStandard::Av1},
    {"mpeg2", CodecStandard::Mpeg2},
    {"mpeg2video", CodecStandard::Mpeg2},
    {"jpeg2000", CodecStandard::Jpeg2000},
    {"mezzanine", CodecStandard::Mezzanine},
    {"vc2", CodecStandard::Mezzanine},
    {"dirac", CodecStandard::Mezzanine},
    {"vc3", CodecStandard::Mezzanine},
    {"vc5", CodecStandard::Mezzanine},
    {"other", CodecStandard::Other}};

constexpr ByEnum<CodecStandard, std::string_view> kPrinted{
    "",       "H.264",     "H.265",           "H.266",        "AV1",
    "MPEG-2", "JPEG 2000", "mezzanine codec", "another codec"};
constexpr ByEnum<CodecStandard, std::string_view> kWritten{
    "", "H.264", "H.265", "H.266", "AV1", "MPEG-2", "JPEG-2000", "mezzanine", "other"};

} // namespace

std::optional<CodecStandard> codecStandard(std::string_view word) {
    auto plain = lowered(word);
    std::erase_if(plain, [](char c) { return c == '.' || c == '-' || c == ' ' || c == '_'; });
    for (const auto& [known, standard] : kWords)
        if (plain == known)
            return standard;
    return std::nullopt;
}

std::string print(CodecStandard standard) {
    return std::string(kPrinted[standard]);
}

std::string wordOf(CodecStandard standard) {
    return std::string(kWritten[standard]);
}

bool mayBeOne(CodecStandard a, CodecStandard b) {
    return a == b || a == CodecStandard::Untold || b == CodecStandard::Untold;
}

} // namespace bslate
