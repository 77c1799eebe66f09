#include "cli/verb.h"
#include "core/clip/clip_print.h"
#include "io/clips/clip_file.h"
#include "io/json/clip_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ClipOptions {
    std::vector<std::string> files;
    bool deaf = false;
};

void askClip(ClipOptions& o, OptionList& list) {
    list.texts("FILE", o.files, "recorded clips").required();
    list.flag("--no-sound", o.deaf, "without listening to it, which is quicker");
}

// What cannot be read is told beside the others.
Result<int> tellClips(const ClipOptions& options, Output& output) {
    Json clips = Json::array(), refused = Json::array();
    for (const auto& file : options.files) {
        const auto clip =
            io::readClip(file, options.deaf ? io::ClipDepth::Facts : io::ClipDepth::Listen);
        if (!clip) {
            refused.push_back({{"file", file}, {"message", message(clip.error())}});
            output.notes << "bslate: " << message(clip.error()) << "\n";
            continue;
        }
        if (output.json) {
            clips.push_back(Json::parse(io::clipText(*clip)));
            continue;
        }
        output.text << clip->file << "  " << print(*clip) << "\n";
        for (const auto& sound : clip->sound)
            output.text << "  sound: " << print(sound) << "\n";
    }
    const int code = refused.empty() ? 0 : 2;
    if (output.json)
        output.write(Json{{"clips", clips}, {"refused", refused}});
    return code;
}

} // namespace

extern const Verb kClipVerb;
const Verb kClipVerb{"clip", "What recorded clips are", "bslate clip A001.mov --json",
                     prepared<ClipOptions, askClip, tellClips>};

} // namespace bslate::cli
