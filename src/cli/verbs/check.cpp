#include "cli/findings.h"
#include "cli/verb.h"
#include "core/words/wording.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct CheckOptions {
    ShootFile file;
    std::optional<std::string> setup; ///< id or number; none for all
};

void askCheck(CheckOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "only this setup, by id or number");
}

Result<int> check(const CheckOptions& options, Output& output) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    std::vector<Setup> judged = shoot->setups;
    if (options.setup) {
        const auto one = setupNamed(*shoot, options.file.path, *options.setup);
        if (!one)
            return one.error();
        judged = {**one};
    }
    Json list = Json::array();
    bool faults = false;
    for (const auto& setup : judged) {
        const auto verdict = judge(*shoot, setup);
        faults = faults || verdict.count(Severity::Fault) > 0;
        if (output.json) {
            list.push_back({{"id", setup.id},
                            {"number", setup.number},
                            {"name", setup.name},
                            {"settings", settingsJson(dialIn(*shoot, setup))},
                            {"derived", derivedJson(verdict)},
                            {"findings", findingsJson(verdict.findings)}});
        } else {
            output.text << setup.number << "  " << setup.name << "\n";
            tellFindings(verdict.findings, output.text);
        }
    }
    if (output.json)
        output.write(Json{{"setups", list}});
    return faults ? 1 : 0;
}

} // namespace

extern const Verb kCheckVerb;
const Verb kCheckVerb{"check", "Judge the setups of a shoot",
                      "bslate check slack-water.bslate --setup 2A",
                      prepared<CheckOptions, askCheck, check>};

} // namespace bslate::cli
