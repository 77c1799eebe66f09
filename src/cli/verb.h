#pragma once

#include "cli/option_list.h"
#include "cli/output.h"
#include "core/base/result.h"

#include <functional>
#include <memory>
#include <string_view>

namespace bslate::cli {

/// What a verb does once its options are read: writes, and gives the exit code (cli.h). Errors are
/// worded by run().
using Run = std::function<Result<int>(Output&)>;

/// One verb of the command line, in a file of its own under verbs/. Every verb takes `--json`.
struct Verb {
    std::string_view name;
    std::string_view help;    ///< one line
    std::string_view example; ///< a command line that works beside the demo shoot and its kit
    Run (*prepare)(OptionList&);
};

/// For Verb::prepare: `ask` names the options and where they go, `run` does it.
template<class Options, void (*ask)(Options&, OptionList&),
         Result<int> (*run)(const Options&, Output&)>
[[nodiscard]] Run prepared(OptionList& list) {
    const auto options = std::make_shared<Options>();
    ask(*options, list);
    return [options](Output& output) { return run(*options, output); };
}

} // namespace bslate::cli
