#include "cli/verb.h"
#include "core/base/enumerated.h"
#include "core/clip/clip_print.h"
#include "core/clip/own_camera.h"
#include "core/kit/check.h"
#include "core/kit/kit_parts.h"
#include "core/quantity/print.h"
#include "io/clips/clip_file.h"
#include "io/json/kit_json.h"
#include "io/text/mode_text.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct CameraFromOptions {
    std::vector<std::string> files;
    std::string output, name;
    bool force = false;
};

void askCameraFrom(CameraFromOptions& o, OptionList& list) {
    list.texts("FILE", o.files,
               "clips the camera recorded, or tables of its recording modes as text")
        .required();
    list.text("-o,--output", o.output, "kit to write (*.bskit.json)").required();
    list.text("--name", o.name, "of the camera; else as its clips' notes have it");
    list.force(o.force);
}

const char* nameOf(ModePart part) {
    constexpr ByEnum<ModePart, const char*> kNames{"size",      "rate",   "bit_rate",
                                                   "bit_depth", "chroma", "gop"};
    return kNames[part];
}
const char* nameOf(ClipUnfit why) {
    constexpr ByEnum<ClipUnfit, const char*> kNames{
        "it has no pictures",
        "its rate varies",
        "its depth is not known",
        "it was cut off",
        "it is interlaced, and modes are of whole frames",
        "it is in a codec that cannot be read here"};
    return kNames[why];
}

Json partsJson(const std::vector<ModePart>& parts) {
    Json list = Json::array();
    for (const auto part : parts)
        list.push_back(nameOf(part));
    return list;
}

Json readingsJson(const TableRow& row) {
    Json list = Json::array();
    for (const auto& reading : row.readings)
        list.push_back(lineOf(reading));
    return list;
}

// What the files gave, and what they did not.
struct Gathered {
    OwnCamera own;
    std::vector<TableRow> rows;
    Json refused = Json::array();
};

void refuse(Gathered& all, Output& output, const std::string& file, const std::string& why) {
    all.refused.push_back({{"file", file}, {"message", why}});
    output.notes << "bslate: " << why << "\n";
}

Gathered gathered(const std::vector<std::string>& files, Output& output) {
    Gathered all;
    for (const auto& file : files) {
        if (const auto table = io::modeTextIn(file)) {
            all.own.table += *table + "\n";
            continue;
        }
        const auto clip = io::readClip(file, io::ClipDepth::Facts);
        if (!clip)
            refuse(all, output, file, message(clip.error()));
        else if (const auto unfit = unfitForModes(*clip))
            refuse(all, output, file,
                   clip->file + ": no recording mode can be made of it, " + nameOf(*unfit));
        else
            all.own.clips.push_back(*clip);
    }
    return all;
}

Json modesJson(const Camera& camera, const std::vector<SeenMode>& seen) {
    Json list = Json::array();
    for (std::size_t i = 0; i < seen.size(); ++i)
        list.push_back({{"name", camera.modes[i].name},
                        {"line", lineOf(camera, camera.modes[i])},
                        {"peak_factor", seen[i].peakFactor},
                        {"rests_on", seen[i].files}});
    return list;
}

void tell(const Camera& camera, const Gathered& all, const std::vector<SeenMode>& seen,
          Output& output) {
    if (output.json) {
        Json rows = Json::array();
        for (const auto& row : all.rows)
            rows.push_back({{"text", row.text},
                            {"mode", row.isMode()},
                            {"line", row.isMode() ? Json(lineOf(row.mode)) : Json(nullptr)},
                            {"heading", row.heading},
                            {"rest", row.rest},
                            {"readings", readingsJson(row)},
                            {"missing", partsJson(row.missing)},
                            {"assumed", partsJson(row.assumed)}});
        output.write(Json{{"camera", camera.name},
                          {"modes", modesJson(camera, seen)},
                          {"rows", rows},
                          {"refused", all.refused}});
        return;
    }
    for (std::size_t i = 0; i < seen.size(); ++i)
        output.text << lineOf(camera, camera.modes[i])
                    << (seen[i].files.empty() ? std::string()
                                              : "  clips: " + std::to_string(seen[i].files.size()))
                    << "\n";
    for (const auto& row : all.rows) {
        if (!row.rest.empty())
            output.text << "not understood: " << row.rest << "  in: " << row.text << "\n";
        if (!row.readings.empty()) {
            output.text << "not taken, write what is meant: " << row.text << "\n";
            for (const auto& reading : row.readings)
                output.text << "  " << lineOf(reading) << "\n";
        }
        for (const auto part : row.missing)
            output.text << "no " << nameOf(part) << ": " << row.text << "\n";
        for (const auto part : row.assumed)
            output.text << nameOf(part) << " is assumed: " << row.text << "\n";
    }
}

Result<int> cameraFrom(const CameraFromOptions& options, Output& output) {
    auto all = gathered(options.files, output);
    const auto lattice = latticeOf(all.own);
    all.rows = lattice.rows;
    const auto& seen = lattice.modes;
    if (seen.empty())
        return Error{
            ErrorCode::EmptyText,
            {},
            {},
            "no recording mode in these files",
            "clips of the camera, or lines such as: UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP"};
    Kit kit;
    kit.name = options.name.empty() ? cameraNameIn(all.own.clips) : options.name;
    if (kit.name.empty())
        kit.name = "My camera";
    kit.profiles = plainKit().profiles;
    const auto camera = cameraOf(all.own, kit, kit.name);
    if (!camera)
        return camera.error();
    kit.cameras = {*camera};
    if (const auto sound = checkKit(kit); !sound)
        return sound.error();
    if (const auto written = writeOutput(options.output, io::writeKit(kit), options.force);
        !written)
        return written.error();
    tell(*camera, all, seen, output);
    return all.refused.empty() ? 0 : 2;
}

} // namespace

extern const Verb kCameraFromVerb;
const Verb kCameraFromVerb{"camera-from", "A camera from its own clips, or a table of its modes",
                           "bslate camera-from A001.mov heron-modes.txt -o mine.bskit.json",
                           prepared<CameraFromOptions, askCameraFrom, cameraFrom>};

} // namespace bslate::cli
