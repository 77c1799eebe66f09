#pragma once

#include <optional>
#include <string>
#include <string_view>

/// The standards pictures are coded by. Their numbers are of ITU-T, ISO/IEC, AOMedia and SMPTE; the
/// proprietary intra codecs between recording and editing go by what they are, mezzanine codecs.
namespace bslate {

enum class CodecStandard { Untold, H264, H265, H266, Av1, Mpeg2, Jpeg2000, Mezzanine, Other };

/// `H.264`, `AVC`, `HEVC`, `mezzanine`, `VC-3`, in any case, with or without points; as a media
/// library names them too (`hevc`, `mpeg2video`). None for a word that is none of them.
[[nodiscard]] std::optional<CodecStandard> codecStandard(std::string_view word);

/// `H.265`, `mezzanine codec`; `another codec` for Other, empty for Untold.
[[nodiscard]] std::string print(CodecStandard standard);
/// One word, that codecStandard() takes; empty for Untold.
[[nodiscard]] std::string wordOf(CodecStandard standard);

/// Two that may be one: the same, or one of them is not told.
[[nodiscard]] bool mayBeOne(CodecStandard a, CodecStandard b);

} // namespace bslate
