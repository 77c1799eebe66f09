#include "io/json/record_json.h"

#include "io/json/fields_read.h"
#include "io/text/record_csv.h"

namespace bslate::io {

namespace {
constexpr const char* kRecordFormat = "bright-slate-record";

// The library that writes JSON knows.
bool isUtf8(std::string_view text) {
    try {
        (void)Json(text).dump(-1, ' ', false, Json::error_handler_t::strict);
        return true;
    } catch (const Json::exception&) {
        return false;
    }
}
} // namespace

Result<CameraRecord> readRecord(std::string_view text, const std::string& file,
                                std::string_view camera) {
    const auto json = parseJson(text, file);
    if (!json)
        return json.error();
    ReadState state;
    ObjectReader root(*json, "", state);
    state.version = checkFormat(root, kRecordFormat, kRecordVersion);
    // Its fields came with the shoot's own; the file has versions of its own.
    state.version = kShootVersion;
    auto record = readObject<CameraRecord>(root);
    if (!state.error && !camera.empty() && record.id != camera)
        state.fail(ErrorCode::UnknownId, "/id", record.id,
                   "the record of " + std::string(camera) + ", not another camera's");
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return record;
}

std::string writeRecord(const CameraRecord& record) {
    Json node = {{"format", kRecordFormat}, {"version", kRecordVersion}};
    writeFields(node, record);
    appendExtra(node, record.extra);
    return node.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

Result<CameraRecord> readAnyRecord(std::string_view text, const std::string& file,
                                   std::string_view camera) {
    const auto first = text.find_first_not_of(" \t\r\n\xEF\xBB\xBF");
    if (first != std::string_view::npos && text[first] == '{')
        return readRecord(text, file, camera);
    if (!isUtf8(text))
        return Error{ErrorCode::WrongFormat, file, {}, {}, "text in UTF-8"};
    auto record = readRecordCsv(text, camera);
    if (record)
        return record;
    Error error = record.error();
    error.file = file;
    return error;
}

} // namespace bslate::io
