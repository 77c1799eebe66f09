#include "cli/verb.h"
#include "core/banks/bank_record.h"
#include "core/words/bank_cards.h"
#include "io/json/record_json.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"
#include "io/text/record_csv.h"

#include <filesystem>
#include <ostream>

namespace bslate::cli {
namespace {

struct RecordOptions {
    ShootFile file;
    std::string camera, output, from;
    bool force = false;
};

void askRecord(RecordOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--camera", o.camera, "camera id").required();
    list.text("-o,--output", o.output,
              "write the record there (*.csv, *.json), or with --from the shoot (*.bslate)");
    list.text("--from", o.from, "read the record of this camera from a file (*.csv, *.json)");
    list.force(o.force);
}

Json changesJson(const std::vector<BankChange>& changes) {
    Json list = Json::array();
    for (const auto& change : changes)
        list.push_back({{"setting", change.setting}, {"was", change.was}, {"now", change.now}});
    return list;
}

Json recordJson(const CameraPlan& plan, const BankPlan& now, const CameraRecord& record) {
    Json node = {{"camera", record.id}, {"banks", Json::array()}, {"earlier", Json::array()}};
    const auto valuesOf = [](const WrittenBank& written) {
        Json values = Json::object();
        for (const auto& line : written.values)
            values[line.setting] = line.value;
        return values;
    };
    for (const auto& written : record.earlier)
        node["earlier"].push_back({{"label", written.label},
                                   {"when", written.when},
                                   {"setup", written.setup},
                                   {"values", valuesOf(written)}});
    for (const auto& written : record.banks) {
        std::vector<BankChange> changes;
        for (std::size_t b = 0; b < plan.problem.banks.size(); ++b)
            if (plan.problem.banks[b].label == written.label)
                changes = changesOf(plan.problem, now, record, b);
        node["banks"].push_back({{"label", written.label},
                                 {"when", written.when},
                                 {"setup", written.setup},
                                 {"values", valuesOf(written)},
                                 {"changed", changesJson(changes)}});
    }
    node["settings"] = Json::object();
    for (const auto& line : record.settings)
        node["settings"][line.setting] = line.value;
    return node;
}

// The record out of a file, put into the shoot in place of an earlier one.
Result<CameraRecord> readInto(Shoot& shoot, const RecordOptions& options) {
    const auto text = io::readFile(options.from);
    if (!text)
        return text.error();
    auto record = io::readAnyRecord(*text, options.from, options.camera);
    if (!record)
        return record;
    for (auto& known : shoot.records)
        if (known.id == record->id) {
            known = *record;
            return record;
        }
    shoot.records.push_back(*record);
    return record;
}

Result<int> record(const RecordOptions& options, Output& output) {
    auto found = opened(options.file);
    if (!found)
        return found.error();
    Shoot shoot = *std::move(found);
    const auto camera = cameraNamed(shoot.kit, options.file.path, options.camera);
    if (!camera)
        return camera.error();
    const bool reading = !options.from.empty();
    if (reading)
        if (const auto read = readInto(shoot, options); !read)
            return read.error();
    const auto* known = findRecord(shoot, options.camera);
    if (!known)
        return Error{ErrorCode::UnknownId, options.file.path, "--camera", options.camera,
                     "a camera with something on record; the Banks step notes what is written"};
    if (!options.output.empty()) {
        if (reading && std::filesystem::path(options.output).parent_path() !=
                           std::filesystem::path(options.file.path).parent_path())
            shoot.kitFile.reset(); // the kit it named is not beside it there
        const auto text = reading                             ? io::writeShoot(shoot)
                          : options.output.ends_with(".json") ? io::writeRecord(*known)
                                                              : io::writeRecordCsv(*known);
        if (const auto written = writeOutput(options.output, text, options.force); !written)
            return written.error();
    }
    const auto plan = planCamera(shoot, **camera);
    if (output.json)
        output.write(
            recordJson(plan, planWith(plan.problem, threadsOf(plan.problem, shoot)), *known));
    else if (options.output.empty())
        output.text << cardText(recordCardOf(shoot, **camera, plan));
    return 0;
}

} // namespace

extern const Verb kRecordVerb;
const Verb kRecordVerb{"record", "What is really set on a camera, and what differs from the plan",
                       "bslate record slack-water.bslate --camera tarn-6",
                       prepared<RecordOptions, askRecord, record>};

} // namespace bslate::cli
