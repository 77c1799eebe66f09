#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <cstdint>
#include <iosfwd>
#include <optional>
#include <string>
#include <vector>

/// One verb each: options in, output written, exit code out. Failures are returned as errors and
/// worded by run().
namespace bslate::cli {

/// What is wrong with an option.
[[nodiscard]] Error usage(std::string place, std::string got, std::string expected);

/// Writes a document, over another one only with `force`: what is there otherwise stays, and the
/// error says so.
[[nodiscard]] Outcome writeOutput(const std::string& path, std::string_view text, bool force);

/// A plain number of an option, in [low, high]; the error repeats what was typed.
[[nodiscard]] Result<double> numberOf(const char* option, const std::string& text, double low,
                                      double high, std::string_view expected);
[[nodiscard]] Result<double> snrOf(const std::string& text);
/// The bases of a body that a profile records at, for messages.
[[nodiscard]] std::string basesText(const Camera& camera, const Profile& profile);
/// Likewise a whole one.
[[nodiscard]] Result<std::int64_t> wholeOf(const char* option, const std::string& text,
                                           std::int64_t low, std::int64_t high,
                                           std::string_view expected);

/// The ids of a list, for messages.
[[nodiscard]] std::string listIds(const auto& items) {
    std::string ids;
    for (const auto& item : items)
        ids += (ids.empty() ? "" : ", ") + item.id;
    return ids;
}

/// A shoot to open, and whether its kit may be read from outside of its folder.
struct ShootFile {
    std::string path;
    bool kitElsewhere = false;
};
[[nodiscard]] Result<Shoot> opened(const ShootFile& file);

struct CheckOptions {
    ShootFile file;
    std::optional<std::string> setup; ///< id or number; none for all
    bool json = false;
};
[[nodiscard]] Result<int> check(const CheckOptions& options, std::ostream& out);

struct CurveOptions {
    std::string curve;            ///< a standard's name, builtin:INDEX, or a kit or transform file
    std::string profile;          ///< which one of the kit file
    std::string stops = "-8:8:1"; ///< FROM:TO:STEP
    std::string grey;  ///< level of mid-grey in a transform file, 40 %; empty: light is absolute
    std::string space; ///< of a configuration: which colour space
    std::string bits = "10";
    bool listBuiltIns = false;
    bool json = false;
};
[[nodiscard]] Result<int> curve(const CurveOptions& options, std::ostream& out);

struct FitOptions {
    std::string readings; ///< CSV
    std::string kit, camera, profile;
    std::string base;        ///< ISO; the profile's first when empty
    std::string nominal;     ///< a standard's name, instead of a kit's profile
    std::string note;        ///< kept with the measurement: when, how lit
    std::string output;      ///< kit to write, with the measured profile in it
    std::string bits = "10"; ///< of codes in the readings
    std::string snr = "2";
    bool force = false; ///< over a file that is there
    bool json = false;
};
/// Fits an exposure series; with a kit, its clip also gives the zebra that warns before it.
[[nodiscard]] Result<int> fit(const FitOptions& options, std::ostream& out, std::ostream& notes);

struct TargetsOptions {
    ShootFile file;
    std::string setup;
    std::string school; ///< only this one
    bool json = false;
};
/// What every exposure tool should read for a setup, school by school.
[[nodiscard]] Result<int> targets(const TargetsOptions& options, std::ostream& out);

struct ExposeOptions {
    std::string kit, camera, profile, mode;
    std::string ei, base, iris, rate, shutter;
    std::vector<std::string> nd;
    std::vector<std::string> patches; ///< NAME=READING, READING may end in "@ 36 %"
    std::string school = "nominal";
    std::string snr = "2";
    std::string meterK = "12.5";
    bool json = false;
};
/// What was taken for something else than it may have been meant is told on `notes`.
[[nodiscard]] Result<int> expose(const ExposeOptions& options, std::ostream& out,
                                 std::ostream& notes);

struct LutOptions {
    ShootFile file;
    std::string setup, output;
    std::string format;      ///< cube, clf or cdl; empty: what the output's suffix says
    std::string look;        ///< id of a recipe; empty: the plain BT.709 display
    std::string size = "33"; ///< of a cube: 17, 33 or 65; ignored for a 1D LUT
    bool oneDimensional = false;
    bool force = false; ///< over a file that is there
    bool json = false;
};
[[nodiscard]] Result<int> lut(const LutOptions& options, std::ostream& out);

struct ModesOptions {
    std::string kit, camera;
    std::string rate;    ///< only this one; empty for all
    std::string base;    ///< what footage plays at; 24 when empty
    std::string profile; ///< judged for this profile; empty: none chosen
    bool externalPower = false;
    bool json = false;
};
/// Lists every cell of a camera's mode lattice.
[[nodiscard]] Result<int> modes(const ModesOptions& options, std::ostream& out);

struct PrecisionOptions {
    ShootFile file;
    std::string setup;
    std::string bits; ///< 8 to 16; empty for the mode's own
    bool json = false;
};
/// Codes, display steps and noise of each stop of a setup's recording; exit code 1 when it bands.
[[nodiscard]] Result<int> precision(const PrecisionOptions& options, std::ostream& out);

struct ShutterOptions {
    std::string rate, angle, time;
    std::string steps;               ///< third, half, list:1/50,1/100 or angle:0.1; may be empty
    std::vector<std::string> lights; ///< HZ[:depth[:waveform]]; they share the light equally
    std::string readout;             ///< milliseconds; may be empty
    bool json = false;
};
/// What a shutter does to pulsed light; exit code 1 when the pulsing can be seen.
[[nodiscard]] Result<int> shutter(const ShutterOptions& options, std::ostream& out);

struct MediaOptions {
    std::string bitRate, capacity;
    std::string speedClass; ///< V60; may be empty
    std::string usable = "1";
    std::string peak = "1"; ///< codec peak factor
    bool json = false;
};
/// How long a card lasts and whether it holds; exit code 1 when it will drop.
[[nodiscard]] Result<int> media(const MediaOptions& options, std::ostream& out);

struct DayOptions {
    ShootFile file;
    std::string day; ///< only this one; empty: all
    bool json = false;
};
/// Plans the cards, batteries and copies of a shoot's days; exit code 1 when a fault stays.
[[nodiscard]] Result<int> day(const DayOptions& options, std::ostream& out);

struct CardBenchOptions {
    std::string simulated; ///< V60, V60:tired ...
    std::string folder;    ///< on a mounted card
    std::string size = "1GB";
    std::string rate; ///< of a camera writing to it; may be empty
    std::string buffer = "500MB";
    std::string simulate = "10h";
    std::string variation = "0.1";
    std::string seed = "1";
    bool yes = false; ///< leave to write into the folder
    bool json = false;
};
/// Times writing to a simulated card, or to a real one in a bounded test.
[[nodiscard]] Result<int> cardBench(const CardBenchOptions& options, std::ostream& out);

/// Reads a kit or a shoot and says whether it is sound, by its "format".
struct ValidateOptions {
    ShootFile file;
    bool json = false;
};
[[nodiscard]] Result<int> validate(const ValidateOptions& options, std::ostream& out);

/// The name of a school on the command line, and back; the error lists them.
[[nodiscard]] std::string_view keyOf(School school);
[[nodiscard]] Result<School> schoolNamed(const std::string& text);

/// The setup with this id or number, or null; and the error that lists what there is.
[[nodiscard]] const Setup* setupNamed(const Shoot& shoot, const std::string& name);
[[nodiscard]] Error noSetup(const Shoot& shoot, const std::string& file, const std::string& name);

} // namespace bslate::cli
