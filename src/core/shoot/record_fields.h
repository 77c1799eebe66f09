#pragma once

#include "core/shoot/setup_fields.h"

/// The fields of what is on record of a camera.
namespace bslate {

template<>
struct Described<RecordLine> {
    static constexpr auto kName = "record_line";
    static constexpr auto kFields =
        std::tuple{required("setting", &RecordLine::setting,
                            form::Text{200, "the name of a setting"}, "Setting"),
                   required("value", &RecordLine::value, form::Text{1000}, "Value")};
};

template<>
struct Described<WrittenBank> {
    static constexpr auto kName = "written_bank";
    static constexpr auto kFields = std::tuple{
        required("label", &WrittenBank::label, form::Text{100}, "Label"),
        required("when", &WrittenBank::when, form::Text{16}, "When", "2026-05-01 07:40"),
        written("setup", &WrittenBank::setup, form::Text{}, "Setup", "id, it was written as"),
        written("values", &WrittenBank::values,
                form::List{form::Object<RecordLine>{}, kMostRecordLines, "lines in a bank"},
                "Values")};
    static std::optional<FieldFault> check(const WrittenBank& bank) {
        if (!isMoment(bank.when))
            return FieldFault{"when", bank.when, "a moment such as 2026-05-01 07:40"};
        return std::nullopt;
    }
};

template<>
struct Described<CameraRecord> {
    static constexpr auto kName = "record";
    static constexpr auto kFields = std::tuple{
        required("id", &CameraRecord::id, form::Text{}, "Camera", "id"),
        spared("when", &CameraRecord::when, form::Text{16}, "When", "the settings were noted"),
        written("banks", &CameraRecord::banks,
                form::List{form::Object<WrittenBank>{}, kMostBanks, "banks"}, "Banks",
                "what was written into them"),
        spared("earlier", &CameraRecord::earlier,
               form::List{form::Object<WrittenBank>{}, kMostWritings, "earlier writings"},
               "Earlier", "what was written into banks before"),
        spared("settings", &CameraRecord::settings,
               form::List{form::Object<RecordLine>{}, kMostRecordLines, "settings of a body"},
               "Settings", "everything else"),
        spared("accepted", &CameraRecord::accepted, form::List{form::Object<Acceptance>{}},
               "Accepted", "findings on the banks taken on purpose"),
        spared("ticks", &CameraRecord::ticks, form::List{form::Object<Tick>{}}, "Ticks",
               "of the starting point of a borrowed body")};
    static std::optional<FieldFault> check(const CameraRecord& record) {
        if (!record.when.empty() && !isMoment(record.when))
            return FieldFault{"when", record.when, "a moment such as 2026-05-01 07:40"};
        return doubleLabel("banks", record.banks);
    }
};

} // namespace bslate
