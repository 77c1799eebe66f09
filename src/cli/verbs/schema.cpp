#include "cli/verb.h"
#include "io/json/schemas.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct SchemaOptions {
    std::string of;
};

void askSchema(SchemaOptions& o, OptionList& list) {
    list.text("OF", o.of, "kit, shoot, or keys for a list of every key").required();
}

Result<int> schema(const SchemaOptions& options, Output& output) {
    constexpr std::pair<std::string_view, std::string (*)()> kKinds[] = {
        {"kit", io::kitSchema}, {"shoot", io::shootSchema}, {"keys", io::keyTables}};
    for (const auto& [name, text] : kKinds) {
        if (name != options.of)
            continue;
        if (output.json && name == "keys")
            return usage("--json", options.of, "kit or shoot, which are JSON; keys are Markdown");
        output.text << text();
        return 0;
    }
    return usage("OF", options.of, "kit, shoot or keys");
}

} // namespace

extern const Verb kSchemaVerb;
const Verb kSchemaVerb{"schema", "Print what the files look like", "bslate schema shoot",
                       prepared<SchemaOptions, askSchema, schema>};

} // namespace bslate::cli
