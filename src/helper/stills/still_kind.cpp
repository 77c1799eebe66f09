#include "helper/stills/still_kind.h"

#include "helper/stills/refusal.h"

#include <algorithm>
#include <cstddef>
#include <vector>

namespace bslate::helper {
namespace {

using namespace std::string_view_literals;

unsigned char byteAt(std::string_view bytes, std::size_t at) {
    return at < bytes.size() ? static_cast<unsigned char>(bytes[at]) : 0;
}

std::size_t numberAt(std::string_view bytes, std::size_t at, int count, bool little) {
    std::size_t number = 0;
    for (int i = 0; i < count; ++i)
        number =
            number << 8 | byteAt(bytes, at + static_cast<std::size_t>(little ? count - 1 - i : i));
    return number;
}

// Whether a JPEG's segments lead to its end.
bool hasEndOfImage(std::string_view bytes) {
    std::size_t at = 2;
    while (at + 2 <= bytes.size()) {
        if (byteAt(bytes, at) != 0xff) { // what a scan holds, and fill
            ++at;
            continue;
        }
        const auto marker = byteAt(bytes, at + 1);
        if (marker == 0xd9)
            return true;
        const bool alone = marker == 0 || marker == 0xff || (marker >= 0xd0 && marker <= 0xd8);
        if (marker == 0xff)
            ++at;
        else
            at += alone ? 2 : 2 + numberAt(bytes, at + 2, 2, false);
    }
    return false;
}

// Number of components in a JPEG's frame header, or 0.
unsigned componentsOf(std::string_view bytes) {
    for (std::size_t at = 2; at + 10 <= bytes.size() && byteAt(bytes, at) == 0xff;) {
        const auto marker = byteAt(bytes, at + 1);
        if (marker == 0xff) {
            ++at;
            continue;
        }
        if (marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc)
            return byteAt(bytes, at + 9);
        at += 2 + numberAt(bytes, at + 2, 2, false);
    }
    return 0;
}

// Whether the codestream's tile-parts lead to its end marker; boxes around it are passed over.
bool hasEndOfCodestream(std::string_view bytes) {
    std::size_t at = 0;
    while (byteAt(bytes, at) != 0xff) { // boxes of the file: ITU-T T.800 I.4
        const std::size_t length = numberAt(bytes, at, 4, false);
        const bool stream = bytes.substr(std::min(bytes.size(), at + 4)).starts_with("jp2c");
        const std::size_t head = length == 1 ? 16 : 8;
        if (at + head > bytes.size() || (!stream && length < 8 && length != 1))
            return false;
        at += stream ? head : length == 1 ? numberAt(bytes, at + 8, 8, false) : length;
        if (!stream && at >= bytes.size())
            return false;
        if (stream)
            break;
    }
    if (byteAt(bytes, at) != 0xff || byteAt(bytes, at + 1) != 0x4f)
        return false;
    at += 2;
    while (at + 2 <= bytes.size() && byteAt(bytes, at) == 0xff) {
        const auto marker = byteAt(bytes, at + 1);
        if (marker == 0xd9)
            return true;
        if (marker != 0x90) {
            at += 2 + numberAt(bytes, at + 2, 2, false);
            continue;
        }
        const auto part = numberAt(bytes, at + 6, 4, false); // Psot, 0: to the end
        if (part == 0)
            return bytes.ends_with("\xff\xd9"sv);
        if (part < 12)
            return false;
        at += part;
    }
    return false;
}

// Room that was kept for a copy and never filled: nothing that is packed ends so.
bool endsInNothing(std::string_view bytes) {
    constexpr std::size_t kLong = 256;
    const auto tail = bytes.substr(bytes.size() - std::min(bytes.size() / 4, kLong));
    return tail.find_first_not_of('\0') == std::string_view::npos;
}

std::vector<std::string> exrChannels(std::string_view bytes) {
    std::vector<std::string> names;
    const auto word = [&](std::size_t& at) {
        const auto end = bytes.find('\0', at);
        const auto text = end == std::string_view::npos ? ""sv : bytes.substr(at, end - at);
        at = end == std::string_view::npos ? bytes.size() : end + 1;
        return text;
    };
    for (std::size_t at = 8; at < bytes.size();) {
        if (word(at) == "channels"sv) {
            word(at);
            const auto behind = at + 4 + numberAt(bytes, at, 4, true);
            for (at += 4; at < std::min(behind, bytes.size()) && byteAt(bytes, at) != 0;) {
                names.emplace_back(word(at));
                at += 16; // its type, whether linear, its sampling
            }
            return names;
        }
        if (word(at).empty())
            break;
        at += 4 + numberAt(bytes, at, 4, true);
    }
    return names;
}

} // namespace

StillKind kindOf(std::string_view bytes) {
    constexpr std::pair<std::string_view, StillKind> kStarts[] = {
        {"\x89PNG\r\n\x1a\n"sv, StillKind::Png},
        {"\xff\xd8\xff"sv, StillKind::Jpeg},
        {"II*\0"sv, StillKind::Tiff},
        {"MM\0*"sv, StillKind::Tiff},
        {"SDPX"sv, StillKind::Dpx},
        {"XPDS"sv, StillKind::Dpx},
        {"\x76\x2f\x31\x01"sv, StillKind::Exr},
        {"\0\0\0\x0cjP  \r\n\x87\n"sv, StillKind::Jpeg2000},
        {"\xff\x4f\xff\x51"sv, StillKind::Jpeg2000}};
    for (const auto& [start, kind] : kStarts)
        if (bytes.starts_with(start))
            return kind;
    if (bytes.starts_with("RIFF"sv) && bytes.size() > 12 && bytes.substr(8, 4) == "WEBP"sv)
        return StillKind::WebP;
    if (bytes.size() > 8 && (bytes.starts_with("P5"sv) || bytes.starts_with("P6"sv)) &&
        " \t\r\n"sv.find(bytes[2]) != std::string_view::npos)
        return StillKind::Pnm;
    if (bytes.size() > 12 && bytes.substr(4, 4) == "ftyp"sv)
        for (const auto brand : {"heic"sv, "heix"sv, "heim"sv, "heis"sv, "mif1"sv, "msf1"sv,
                                 "hevc"sv, "hevx"sv, "avif"sv, "avis"sv})
            if (bytes.substr(8, 4) == brand)
                return StillKind::Heif;
    return StillKind::Other;
}

std::optional<Error> problemWithContent(StillKind kind, std::string_view bytes) {
    switch (kind) {
    case StillKind::Jpeg:
        if (!hasEndOfImage(bytes))
            return notWhole("a JPEG without its end");
        if (componentsOf(bytes) == 4)
            return refusedStill("inks, CMYK", "grey or RGB");
        break;
    case StillKind::Jpeg2000:
        if (!hasEndOfCodestream(bytes))
            return notWhole("a JPEG 2000 without its end");
        break;
    case StillKind::WebP:
        if (numberAt(bytes, 4, 4, true) + 8 > bytes.size() || endsInNothing(bytes))
            return notWhole("a WebP without its end");
        break;
    case StillKind::Heif:
        if (endsInNothing(bytes))
            return notWhole("a HEIF whose end is empty");
        break;
    case StillKind::Exr:
        if (!colourLayer(bytes))
            return refusedStill("channels " + channelNames(bytes), "grey or RGB");
        break;
    default:
        break;
    }
    return std::nullopt;
}

std::string channelNames(std::string_view exr) {
    std::string told;
    for (const auto& name : exrChannels(exr))
        told += (told.empty() ? "" : ", ") + name;
    return told;
}

std::optional<std::string> colourLayer(std::string_view exr) {
    const auto names = exrChannels(exr);
    const auto has = [&](const std::string& name) {
        return std::find(names.begin(), names.end(), name) != names.end();
    };
    if ((has("R") && has("G") && has("B")) || (names.size() <= 2 && has("Y")))
        return "";
    for (const auto& name : names)
        if (name.ends_with(".R")) {
            const auto layer = name.substr(0, name.size() - 2);
            if (has(layer + ".G") && has(layer + ".B"))
                return layer;
        }
    return std::nullopt;
}

} // namespace bslate::helper
