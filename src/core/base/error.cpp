#include "core/base/error.h"

#include <utility>

namespace bslate {

BSLATE_COMPILED_HERE(Error);

Error::Error(ErrorCode why, std::string in, std::string at, std::string found, std::string wanted)
    : code(why)
    , file(std::move(in))
    , place(std::move(at))
    , got(std::move(found))
    , expected(std::move(wanted)) {}

std::string shortened(std::string_view text, std::size_t most) {
    if (text.size() <= most)
        return std::string(text);
    // Bytes 10xxxxxx go on with the character before them.
    while (most > 0 && (static_cast<unsigned char>(text[most]) & 0xC0) == 0x80)
        --most;
    return std::string(text.substr(0, most));
}

std::string_view summary(ErrorCode code) {
    switch (code) {
    case ErrorCode::EmptyText:
        return "nothing was entered";
    case ErrorCode::NotANumber:
        return "not a number";
    case ErrorCode::UnknownUnit:
        return "unit not understood";
    case ErrorCode::Ambiguous:
        return "this can be read in two ways";
    case ErrorCode::OutOfRange:
        return "outside the valid range";
    case ErrorCode::UnknownId:
        return "no such item";
    case ErrorCode::FileUnreadable:
        return "the file cannot be read";
    case ErrorCode::FileUnwritable:
        return "the file cannot be written";
    case ErrorCode::WrittenMeanwhile:
        return "another program has written this file meanwhile";
    case ErrorCode::FileTooLarge:
        return "the file is too large";
    case ErrorCode::BrokenJson:
        return "the JSON is broken";
    case ErrorCode::WrongType:
        return "wrong type of value";
    case ErrorCode::MissingKey:
        return "a required key is missing";
    case ErrorCode::WrongFormat:
        return "not a file of this kind";
    case ErrorCode::NewerVersion:
        return "written by a newer version";
    case ErrorCode::FileElsewhere:
        return "the file lies outside of the folder";
    case ErrorCode::Stopped:
        return "stopped before it was done";
    case ErrorCode::Usage:
        return "the command is not understood";
    }
    return "unknown failure";
}

std::string message(const Error& error) {
    std::string text;
    if (!error.file.empty())
        text += error.file + ": ";
    if (!error.place.empty())
        text += error.place + ": ";
    text += summary(error.code);
    if (!error.got.empty())
        text += " \"" + error.got + "\"";
    if (!error.expected.empty())
        text += "; expected " + error.expected;
    return text;
}

} // namespace bslate
