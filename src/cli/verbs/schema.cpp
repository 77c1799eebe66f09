#include "cli/verb.h"
#include "core/words/judgement_pages.h"
#include "io/json/schemas.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct SchemaOptions {
    std::string of;
};

void askSchema(SchemaOptions& o, OptionList& list) {
    list.text("OF", o.of, "kit or shoot; keys or judgements for a list of every one").required();
}

Result<int> schema(const SchemaOptions& options, Output& output) {
    constexpr std::pair<std::string_view, std::string (*)()> kKinds[] = {
        {"kit", io::kitSchema},
        {"shoot", io::shootSchema},
        {"keys", io::keyTables},
        {"judgements", judgementPages}};
    for (const auto& [name, text] : kKinds) {
        if (name != options.of)
            continue;
        if (output.json && text().front() != '{')
            return usage("--json", options.of, "kit or shoot, which are JSON; lists are Markdown");
        output.text << text();
        return 0;
    }
    return usage("OF", options.of, "kit, shoot, keys or judgements");
}

} // namespace

extern const Verb kSchemaVerb;
const Verb kSchemaVerb{"schema", "Print what the files look like", "bslate schema shoot",
                       prepared<SchemaOptions, askSchema, schema>};

} // namespace bslate::cli
