#include "cli/cli.h"

#include "cli/commands.h"

#include <CLI/CLI.hpp>

#include <algorithm>
#include <functional>
#include <ostream>

namespace bslate::cli {
namespace {

using Command = std::function<Result<int>(std::ostream&)>;

void addShoot(CLI::App* verb, ShootFile& file, const char* what = "shoot (*.bslate)") {
    verb->add_option("FILE", file.path, what)->required();
    verb->add_flag("--kit-elsewhere", file.kitElsewhere,
                   "read the shoot's kit from outside of its folder too");
}

// Registers the verbs; `chosen` becomes the one that was typed.
void addCheck(CLI::App& app, CheckOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("check", "Judge the setups of a shoot");
    addShoot(verb, o.file);
    verb->add_option("--setup", o.setup, "only this setup, by id or number");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return check(o, out); }; });
}

void addCurve(CLI::App& app, CurveOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("curve", "Tabulate a recording curve");
    verb->add_option(
        "CURVE", o.curve,
        "acescc, acescct, bt2020, bt709, hlg, pq, srgb, builtin:INDEX, or a file: kit, "
        ".cube, .spi1d, .spi3d, .clf, .ctf, .ocio");
    verb->add_option("--profile", o.profile, "profile of the kit file");
    verb->add_option("--space", o.space, "colour space of a configuration (.ocio)");
    verb->add_option("--grey", o.grey, "level of mid-grey in a table without its own light, 40 %");
    verb->add_option("--stops", o.stops, "FROM:TO:STEP from mid-grey")->capture_default_str();
    verb->add_option("--bits", o.bits, "8, 10 or 12")->capture_default_str();
    verb->add_flag("--list-builtins", o.listBuiltIns,
                   "list the transforms of the installed colour library");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return curve(o, out); }; });
}

void addFit(CLI::App& app, FitOptions& o, std::ostream& err, Command& chosen) {
    auto* verb = app.add_subcommand("fit", "Fit the readings of an exposure series");
    verb->add_option("READINGS", o.readings, "CSV: stop, percent or code, noise")->required();
    auto* kit =
        verb->add_option("--kit", o.kit, "kit file (*.bskit.json) with the camera that was tested");
    auto* camera = verb->add_option("--camera", o.camera, "camera id")->needs(kit);
    auto* profile = verb->add_option("--profile", o.profile, "profile id it was tested in");
    profile->needs(kit);
    kit->needs(camera, profile);
    verb->add_option("--base", o.base, "base ISO; the profile's first when not given");
    verb->add_option("--nominal", o.nominal, "without a kit: the standard curve to start from");
    verb->add_option("--bits", o.bits, "depth of codes in the readings")->capture_default_str();
    verb->add_option("--snr", o.snr, "signal-to-noise ratio of the floor")->capture_default_str();
    verb->add_option("--note", o.note, "kept with it: when, how lit, which lens");
    verb->add_option("-o,--output", o.output, "write the kit with the measured profile in it");
    verb->add_flag("--force", o.force, "replace a file that is there, the kit itself included");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return fit(o, out, err); }; });
}

void addTargets(CLI::App& app, TargetsOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("targets", "What every exposure tool should read");
    addShoot(verb, o.file);
    verb->add_option("--setup", o.setup, "setup id or number")->required();
    verb->add_option("--school", o.school, "nominal, rated, to-the-right, guard or raw");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return targets(o, out); }; });
}

void addExpose(CLI::App& app, ExposeOptions& o, std::ostream& err, Command& chosen) {
    auto* verb = app.add_subcommand("expose", "Place readings on a recording without a shoot");
    verb->add_option("--kit", o.kit, "kit file (*.bskit.json)")->required();
    verb->add_option("--camera", o.camera, "camera id")->required();
    verb->add_option("--profile", o.profile, "profile id")->required();
    verb->add_option("--mode", o.mode, "recording mode id; the first when not given");
    verb->add_option("--ei", o.ei, "rating, EI 400")->required();
    verb->add_option("--base", o.base, "base ISO; the nearest to the rating when not given");
    verb->add_option("--t-stop", o.iris, "iris, T2.8")->required();
    verb->add_option("--rate", o.rate, "frame rate, 23.976")->required();
    verb->add_option("--shutter", o.shutter, "angle or time, 172.8 or 1/50")->required();
    verb->add_option("--nd", o.nd,
                     "filter: ND0.9 (density), ND8 (factor) or \"3 stops\"; repeatable");
    verb->add_option("--patch", o.patches,
                     "NAME=READING[@ REFLECTANCE]; repeatable. A name that begins with grey, skin, "
                     "skin-medium, skin-dark, shadow, white or spare has that role; others are "
                     "highlights to keep");
    verb->add_option("--school", o.school, "nominal, rated, to-the-right, guard or raw")
        ->capture_default_str();
    verb->add_option("--snr", o.snr, "signal-to-noise ratio of the floor")->capture_default_str();
    verb->add_option("--meter-k", o.meterK, "reflected-light meter constant K")
        ->capture_default_str();
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return expose(o, out, err); }; });
}

void addLut(CLI::App& app, LutOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("lut", "Write a setup's rating or look LUT");
    addShoot(verb, o.file);
    verb->add_option("--setup", o.setup, "setup id or number")->required();
    verb->add_option("-o,--output", o.output, "file to write (*.cube, *.clf, *.cc, *.ccc, *.cdl)")
        ->required();
    verb->add_option("--format", o.format, "cube, clf or cdl; else what the suffix says");
    verb->add_option("--look", o.look, "id of a recipe of the kit to show it through");
    verb->add_option("--size", o.size, "17, 33 or 65 points a side")->capture_default_str();
    verb->add_flag("--1d", o.oneDimensional, "a neutral 1D LUT");
    verb->add_flag("--force", o.force, "replace a file that is there");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return lut(o, out); }; });
}

void addModes(CLI::App& app, ModesOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("modes", "List what a camera can record, and why not");
    verb->add_option("--kit", o.kit, "kit file (*.bskit.json)")->required();
    verb->add_option("--camera", o.camera, "camera id")->required();
    verb->add_option("--rate", o.rate, "only this frame rate");
    verb->add_option("--base", o.base, "the rate it plays at; 24 when not given");
    verb->add_option("--profile", o.profile, "profile id");
    verb->add_flag("--external-power", o.externalPower, "the camera is plugged in");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return modes(o, out); }; });
}

void addValidate(CLI::App& app, ValidateOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("validate", "Check a kit or shoot file");
    addShoot(verb, o.file, "kit or shoot (*.bskit.json, *.bslate)");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return validate(o, out); }; });
}

void addPrecision(CLI::App& app, PrecisionOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("precision", "What a recording will bear in the grade");
    addShoot(verb, o.file);
    verb->add_option("--setup", o.setup, "setup id or number")->required();
    verb->add_option("--bits", o.bits, "at another depth, 8 to 16");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return precision(o, out); }; });
}

void addShutter(CLI::App& app, ShutterOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("shutter", "What a shutter does to pulsed light");
    verb->add_option("--rate", o.rate, "frame rate, 23.976")->required();
    auto* shutterAs = verb->add_option_group("shutter", "one of them");
    shutterAs->add_option("--angle", o.angle, "shutter angle, 172.8");
    shutterAs->add_option("--time", o.time, "shutter time, 1/50");
    shutterAs->require_option(1);
    verb->add_option("--steps", o.steps, "the dial: third, half, list:1/50,1/100 or angle:0.1");
    verb->add_option("--light", o.lights,
                     "HZ[:depth[:sine|rectified|pwm]], depth 0.8 or 80%; repeatable, equal shares");
    verb->add_option("--readout", o.readout, "sensor readout in milliseconds");
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return shutter(o, out); }; });
}

void addMedia(CLI::App& app, MediaOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("media", "How long a card lasts and whether it holds");
    verb->add_option("--bit-rate", o.bitRate, "with sound, as written, 240Mb/s")->required();
    verb->add_option("--capacity", o.capacity, "128GB")->required();
    verb->add_option("--usable", o.usable, "share of the capacity, 0.95")->capture_default_str();
    verb->add_option("--class", o.speedClass, "guaranteed class, V60");
    verb->add_option("--peak", o.peak, "peak over mean bit rate, 1.3")->capture_default_str();
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return media(o, out); }; });
}

void addDay(CLI::App& app, DayOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("day", "Plan cards, batteries and copies of a shoot's days");
    addShoot(verb, o.file);
    verb->add_option("--day", o.day, "only this day");
    verb->add_flag("--json,!--text", o.json, "JSON on standard output, or text");
    verb->callback([&] { chosen = [&](std::ostream& out) { return day(o, out); }; });
}

void addCardBench(CLI::App& app, CardBenchOptions& o, Command& chosen) {
    auto* verb = app.add_subcommand("card-bench", "Time writing to a card, simulated or real");
    auto* card = verb->add_option_group("card", "one of them");
    card->add_option("--simulated", o.simulated, "V60, VPG400:tired, V30:failing");
    card->add_option("--folder", o.folder, "a folder on a mounted card");
    card->require_option(1);
    verb->add_option("--size", o.size, "how much to write, 1GB")->capture_default_str();
    verb->add_flag("--yes", o.yes, "leave to write one file into the folder and remove it");
    verb->add_option("--rate", o.rate, "simulated: bit rate of a camera writing to it");
    verb->add_option("--buffer", o.buffer, "simulated: of that camera")->capture_default_str();
    verb->add_option("--variation", o.variation, "simulated: of its bit rate, 0 to 1")
        ->capture_default_str();
    verb->add_option("--simulate", o.simulate, "simulated: how long, 10h")->capture_default_str();
    verb->add_option("--seed", o.seed, "simulated: another one gives other stalls")
        ->capture_default_str();
    verb->add_flag("--json", o.json, "JSON on standard output");
    verb->callback([&] { chosen = [&](std::ostream& out) { return cardBench(o, out); }; });
}

// Runs what was asked for; nothing that was not written counts as done.
int finished(const Command& command, std::ostream& out, std::ostream& err) {
    try {
        const auto code = command(out);
        if (!code) {
            err << "bslate: " << message(code.error()) << "\n";
            return kBadInput;
        }
        if (out.flush())
            return *code;
        err << "bslate: the output could not be written: disk full, or nobody reads it\n";
    } catch (const std::exception& fault) {
        err << "bslate: could not go on: " << fault.what() << "\n";
    }
    return kBadInput;
}

} // namespace

int run(const std::vector<std::string>& args, std::ostream& out, std::ostream& err) {
    CLI::App app{"Bright Slate: plans recording settings", "bslate"};
    app.require_subcommand(1);
    app.set_version_flag("--version", "bslate " BSLATE_VERSION);
    CardBenchOptions cardBenchOptions;
    CheckOptions checkOptions;
    CurveOptions curveOptions;
    DayOptions dayOptions;
    ExposeOptions exposeOptions;
    FitOptions fitOptions;
    LutOptions lutOptions;
    MediaOptions mediaOptions;
    ModesOptions modesOptions;
    PrecisionOptions precisionOptions;
    ShutterOptions shutterOptions;
    TargetsOptions targetsOptions;
    ValidateOptions validateOptions;
    Command command;
    addCardBench(app, cardBenchOptions, command);
    addCheck(app, checkOptions, command);
    addCurve(app, curveOptions, command);
    addDay(app, dayOptions, command);
    addExpose(app, exposeOptions, err, command);
    addFit(app, fitOptions, err, command);
    addLut(app, lutOptions, command);
    addMedia(app, mediaOptions, command);
    addModes(app, modesOptions, command);
    addPrecision(app, precisionOptions, command);
    addShutter(app, shutterOptions, command);
    addTargets(app, targetsOptions, command);
    addValidate(app, validateOptions, command);
    const auto verbs = app.get_subcommands([](const CLI::App*) { return true; });
    const bool known = args.empty() || args.front().starts_with("-") ||
                       std::any_of(verbs.begin(), verbs.end(), [&](const CLI::App* verb) {
                           return verb->get_name() == args.front();
                       });
    if (!known) {
        err << "bslate: no such verb \"" << args.front()
            << "\"; expected card-bench, check, curve, day, expose, fit, lut, media, modes, "
               "precision, "
               "shutter, targets or validate\n";
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
    return finished(command, out, err);
}

} // namespace bslate::cli
