#include "core/clip/clip_check.h"
#include "cli/findings.h"
#include "cli/inputs.h"
#include "cli/region_option.h"
#include "cli/verb.h"
#include "core/base/find_by_id.h"
#include "core/clip/clip_match.h"
#include "core/clip/clip_print.h"
#include "core/facts/evaluate.h"
#include "io/clips/clip_file.h"
#include "io/clips/clip_region.h"
#include "io/json/clip_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ClipCheckOptions {
    ShootFile file;
    std::vector<std::string> clips;
    std::optional<std::string> setup, day;
    std::vector<std::string> patches;
    bool factsAlone = false;
};

void askClipCheck(ClipCheckOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.texts("CLIP", o.clips, "recorded clips").required();
    list.text("--setup", o.setup, "the setup all of them are of; else it is found for each");
    list.text("--day", o.day,
              "the plan's day they are of, 1; then the hour of a take tells as well");
    list.texts("--patch", o.patches,
               "where a patch of the scene is in the picture, grey=0.4,0.4,0.1,0.1");
    list.flag("--facts", o.factsAlone, "do not decode pictures");
}

struct Meant {
    const Setup* setup = nullptr; ///< null when none fits
    std::vector<std::string> grounds;
    std::vector<const Setup*> others;
};

// The setup that was told, else the likeliest.
Result<Meant> setupOf(const Shoot& shoot, const ClipCheckOptions& options, const ClipFacts& clip) {
    std::optional<int> day;
    for (const auto& planned : shoot.plan)
        if (options.day == std::to_string(planned.number))
            day = planned.number;
    if (options.day && !day)
        return usage("--day", *options.day, "the number of a day in the plan");
    if (options.setup) {
        const auto named = setupNamed(shoot, options.file.path, *options.setup);
        return named ? Result<Meant>(Meant{*named, {"told"}, {}}) : named.error();
    }
    const auto matches = matchesOf(shoot, clip, day);
    if (matches.empty())
        return Meant{};
    return Meant{matches.front().setup, groundsOf(matches.front()), guessedAmong(matches)};
}

// `id=x,y,w,h` of patches the scene has.
Result<std::vector<PatchArea>> patchesFrom(const ClipCheckOptions& options, const Scene& scene) {
    std::vector<PatchArea> patches;
    for (const auto& text : options.patches) {
        const auto at = text.find('=');
        const auto id = text.substr(0, at);
        if (!findById(scene.patches, id))
            return usage("--patch", text,
                         "the id of a patch of scene " + scene.name + ", =, x,y,w,h");
        const auto area =
            regionFrom("--patch", at == std::string::npos ? std::string() : text.substr(at + 1));
        if (!area)
            return area.error();
        patches.push_back({id, *area});
    }
    return patches;
}

// What the file says and what its pictures show beside the plan.
Result<std::vector<Finding>> checkedAll(const ClipCheckOptions& options,
                                        const SetupContext& context, const std::string& file,
                                        const ClipFacts& clip, const TakePart& part,
                                        Output& output) {
    auto findings = checkClip(context, clip, part);
    const auto patches = patchesFrom(options, *context.scene);
    if (!patches)
        return patches.error();
    if (options.factsAlone || !clip.picture || !clip.picture->readable)
        return findings;
    const auto seen = io::readPictures(file, pictureWish(context, clip.picture->rate, *patches));
    if (!seen)
        output.notes << "bslate: " << message(seen.error()) << "\n";
    else
        findings =
            withPictures(std::move(findings), checkPictures(context, evaluate(context), *seen));
    return findings;
}

Json checkedJson(const ClipFacts& clip, const Meant& meant, const std::vector<Finding>& findings) {
    Json others = Json::array();
    for (const auto* other : meant.others)
        others.push_back(other->number);
    return {{"file", clip.file},
            {"setup", meant.setup ? Json(meant.setup->number) : Json(nullptr)},
            {"rests_on", meant.grounds},
            {"fits_as_well", others},
            {"facts", Json::parse(io::clipText(clip))},
            {"findings", findingsJson(findings)}};
}

struct ReadClips {
    std::vector<std::string> files;
    std::vector<ClipFacts> clips;
    Json refused = Json::array();
};

ReadClips readAll(const std::vector<std::string>& files, Output& output) {
    ReadClips read;
    for (const auto& file : files) {
        const auto clip = io::readClip(file, io::ClipDepth::Listen);
        if (!clip) {
            read.refused.push_back({{"file", file}, {"message", message(clip.error())}});
            output.notes << "bslate: " << message(clip.error()) << "\n";
            continue;
        }
        read.files.push_back(file);
        read.clips.push_back(*clip);
    }
    return read;
}

std::string groundsText(const Meant& meant) {
    std::string text;
    for (const auto& ground : meant.grounds)
        text += (text.empty() ? " (by " : ", ") + ground;
    return text.empty() ? text : text + ")";
}

Result<int> checkClips(const ClipCheckOptions& options, Output& output) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    const auto read = readAll(options.clips, output);
    std::vector<Meant> meant;
    std::vector<std::string> cameras;
    for (const auto& clip : read.clips) {
        auto own = setupOf(*shoot, options, clip);
        if (!own)
            return own.error();
        cameras.push_back(own->setup ? own->setup->camera : std::string());
        meant.push_back(*std::move(own));
    }
    const auto takes = takePartsOf(read.clips, cameras);
    Json list = Json::array();
    bool faults = false;
    for (std::size_t i = 0; i < read.clips.size(); ++i) {
        const auto& clip = read.clips[i];
        const auto* setup = meant[i].setup;
        std::vector<Finding> findings;
        if (setup) {
            const auto context = resolve(*shoot, *setup);
            if (!context)
                return context.error();
            auto all = checkedAll(options, *context, read.files[i], clip, takes[i], output);
            if (!all)
                return all.error();
            findings = *std::move(all);
            if (!meant[i].others.empty())
                findings.push_back(guessedSetup(clip, *setup, meant[i].others));
        }
        faults = faults || countOf(findings, Severity::Fault) > 0;
        if (output.json) {
            list.push_back(checkedJson(clip, meant[i], findings));
            continue;
        }
        output.text << clip.file << "  " << (setup ? setup->number : "no setup fits")
                    << groundsText(meant[i]) << "  " << print(clip) << "\n";
        tellFindings(findings, output.text);
    }
    const auto parts = checkParts(read.clips, cameras);
    if (output.json)
        output.write(
            Json{{"clips", list}, {"parts", findingsJson(parts)}, {"refused", read.refused}});
    else
        tellFindings(parts, output.text);
    return !read.refused.empty() ? 2 : faults ? 1 : 0;
}

} // namespace

extern const Verb kClipCheckVerb;
const Verb kClipCheckVerb{"clip-check", "Recorded clips against the setups they are of",
                          "bslate clip-check slack-water.bslate A001.mov --json",
                          prepared<ClipCheckOptions, askClipCheck, checkClips>};

} // namespace bslate::cli
