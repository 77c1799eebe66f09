#include "cli/cli.h"

#include "cli/plain_stream.h"
#include "cli/verbs.h"

#include <CLI/CLI.hpp>

#include <algorithm>
#include <ostream>

namespace bslate::cli {
namespace {

std::string verbNames() {
    std::string names;
    for (const auto* verb : verbs())
        names += (names.empty()            ? ""
                  : verb == verbs().back() ? " or "
                                           : ", ") +
                 std::string(verb->name);
    return names;
}

// Adds a verb to the command line; `chosen` becomes what it runs when it was typed.
void add(const Verb& verb, CLI::App& app, Run& chosen, bool& json) {
    auto* typed = app.add_subcommand(std::string(verb.name), std::string(verb.help));
    typed->footer("Example: " + std::string(verb.example));
    OptionList options(*typed);
    Run run = verb.prepare(options);
    typed->add_flag("--json,!--text", json, "JSON on standard output, or text as without it");
    typed->callback([&chosen, run] { chosen = run; });
}

// Runs what was asked for; nothing that was not written counts as done.
int finished(const Run& run, Output output) {
    try {
        const auto code = run(output);
        if (!code) {
            output.notes << "bslate: " << message(code.error()) << "\n";
            return kBadInput;
        }
        if (output.text.flush())
            return *code;
        output.notes << "bslate: the output could not be written: disk full, or nobody reads it\n";
    } catch (const std::exception& fault) {
        output.notes << "bslate: could not go on: " << fault.what() << "\n";
    }
    return kBadInput;
}

} // namespace

int run(const std::vector<std::string>& args, std::ostream& plainOut, std::ostream& plainErr) {
    PlainStream out(plainOut), err(plainErr);
    CLI::App app{"Bright Slate: plans recording settings", "bslate"};
    app.require_subcommand(1);
    app.set_version_flag("--version", "bslate " BSLATE_VERSION);
    Run chosen;
    bool json = false;
    for (const auto* verb : verbs())
        add(*verb, app, chosen, json);
    const auto isVerb = [&](const Verb* verb) { return verb->name == args.front(); };
    if (!args.empty() && !args.front().starts_with("-") &&
        std::none_of(verbs().begin(), verbs().end(), isVerb)) {
        err << "bslate: no such verb \"" << args.front() << "\"; expected " << verbNames() << "\n";
        return kBadInput;
    }
    try {
        std::vector<std::string> reversed(args.rbegin(), args.rend());
        app.parse(reversed);
    } catch (const CLI::CallForHelp&) {
        out << app.help("", args.size() > 1 ? CLI::AppFormatMode::All : CLI::AppFormatMode::Normal);
        return kGood;
    } catch (const CLI::CallForVersion& version) {
        out << version.what() << "\n";
        return kGood;
    } catch (const CLI::ParseError& fault) {
        err << "bslate: " << fault.what() << "\n";
        return kBadInput;
    }
    return finished(chosen, {out, err, json});
}

} // namespace bslate::cli
