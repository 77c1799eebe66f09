#include "cli/verb.h"
#include "io/json/kit_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ValidateOptions {
    ShootFile file;
};

void askValidate(ValidateOptions& o, OptionList& list) {
    list.shoot(o.file, "kit or shoot (*.bskit.json, *.bslate)");
}

Result<int> validate(const ValidateOptions& options, Output& output) {
    const auto report = [&](const char* format, Json counts) {
        if (output.json)
            output.write(Json{{"valid", true}, {"format", format}, {"holds", counts}});
        else
            output.text << options.file.path << ": a sound " << format << " file\n";
        return 0;
    };
    const auto shoot = opened(options.file);
    if (shoot)
        return report("bright-slate-shoot",
                      {{"scenes", shoot->scenes.size()}, {"setups", shoot->setups.size()}});
    if (shoot.error().code != ErrorCode::WrongFormat)
        return shoot.error();
    const auto kit = io::loadKit(options.file.path);
    if (kit)
        return report("bright-slate-kit", {{"cameras", kit->cameras.size()},
                                           {"profiles", kit->profiles.size()},
                                           {"lenses", kit->lenses.size()},
                                           {"cards", kit->cards.size()}});
    return kit.error().code == ErrorCode::WrongFormat ? shoot.error() : kit.error();
}

} // namespace

extern const Verb kValidateVerb;
const Verb kValidateVerb{"validate", "Check a kit or shoot file",
                         "bslate validate slack-water.bslate",
                         prepared<ValidateOptions, askValidate, validate>};

} // namespace bslate::cli
