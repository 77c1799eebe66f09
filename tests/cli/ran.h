#pragma once

#include "cli/cli.h"
#include "cli/verbs.h"
#include "support/temporary_folder.h"

#include <nlohmann/json.hpp>

#include <sstream>

/// The command line run in-process.
namespace bslate::cli {

using sample::root;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

struct Ran {
    int code;
    std::string out, err;
    [[nodiscard]] nlohmann::json json() const { return nlohmann::json::parse(out); }
};

inline Ran ran(const std::vector<std::string>& args) {
    std::ostringstream out, err;
    const int code = run(args, out, err);
    return {code, out.str(), err.str()};
}

inline const std::string kShoot = (root() / "data/demo/slack-water.bslate").string();
inline const std::string kKit = (root() / "data/demo/slack-water.bskit.json").string();

inline std::vector<std::string> expose(std::vector<std::string> more, const char* iris = "T4") {
    std::vector<std::string> args = {"expose",    "--kit",    kKit,   "--camera",  "tarn-6",
                                     "--profile", "tarn-log", "--ei", "400",       "--t-stop",
                                     iris,        "--rate",   "24",   "--shutter", "1/50"};
    args.insert(args.end(), more.begin(), more.end());
    return args;
}

} // namespace bslate::cli
