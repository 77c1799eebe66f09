#pragma once

#include "core/frame/code_frame.h"
#include "core/kit/camera.h"

namespace bslate {

/// A picture as luma and colour differences, as encoders take it. A colour difference has the
/// middle code where there is no colour; its rows and columns are fewer as the chroma says, rounded
/// up, each sited in the middle of the pixels it stands for.
struct YcbcrFrame {
    PictureSize size;
    BitDepth depth;
    CodeRange range = CodeRange::Legal;
    Chroma chroma = Chroma::C444;                    ///< Raw counts as 4:4:4
    std::array<std::vector<std::uint16_t>, 3> plane; ///< Y, Cb, Cr, row by row
    friend bool operator==(const YcbcrFrame&, const YcbcrFrame&) = default;
};

/// Of the two colour differences of a picture.
[[nodiscard]] PictureSize chromaSize(PictureSize size, Chroma chroma);

/// `Y = wr R + wg G + wb B`, `Cb = (B - Y) / (2 (1 - wb))`, `Cr = (R - Y) / (2 (1 - wr))` of codes,
/// differences of neighbours averaged, in legal range by 224/219 (ITU-R BT.709-6 items 3 and 4,
/// BT.2020-2 table 4); rounded to codes and held to what the depth has.
[[nodiscard]] YcbcrFrame ycbcrOf(const CodeFrame& frame, Chroma chroma, const LumaWeights& weights);

/// And back, each difference repeated over its pixels.
[[nodiscard]] CodeFrame rgbOf(const YcbcrFrame& frame, const LumaWeights& weights);

/// What a chroma leaves of a picture: there and back. 4:4:4 and raw come back as they are.
[[nodiscard]] CodeFrame subsampled(CodeFrame frame, Chroma chroma, const LumaWeights& weights);

} // namespace bslate
