#include "cli/commands.h"

#include "cli/verdict_json.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"
#include "core/verdict/wording.h"
#include "io/files.h"
#include "io/kit_json.h"
#include "io/shoot_json.h"

#include <charconv>
#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

constexpr std::pair<std::string_view, School> kSchoolKeys[] = {{"nominal", School::Nominal},
                                                               {"rated", School::Rated},
                                                               {"to-the-right", School::ToTheRight},
                                                               {"guard", School::Guard},
                                                               {"raw", School::Raw}};

// Reads an option's text with its quantity's parser; the error names the option.
template<class Q>
Result<Q> option(const char* name, const std::string& text, Result<Q> (*parse)(std::string_view)) {
    auto value = parse(text);
    if (value)
        return value;
    Error error = value.error();
    error.place = name;
    return error;
}

void printFindings(const Verdict& verdict, std::ostream& out) {
    for (const auto& finding : verdict.findings) {
        out << "  " << severityName(finding.severity) << ": " << titleOf(finding) << "\n";
        out << "      " << reasonOf(finding) << "\n";
        if (finding.accepted)
            out << "      accepted: " << *finding.accepted << "\n";
        for (const auto& remedy : finding.remedies)
            out << "      - " << titleOf(remedy) << " (" << effectOf(remedy) << ")\n";
    }
}

} // namespace

Error usage(std::string place, std::string got, std::string expected) {
    return {ErrorCode::Usage, {}, std::move(place), std::move(got), std::move(expected)};
}

Outcome writeOutput(const std::string& path, std::string_view text, bool force) {
    const auto obstacles = io::obstaclesTo(path);
    if (!obstacles.empty() && !force && obstacles.back() != io::Obstacle::NotAFile)
        return Error{ErrorCode::FileUnwritable,
                     path,
                     "--output",
                     {},
                     "a name that is free, or --force: it " +
                         std::string(io::wordsFor(obstacles.back()))};
    return io::writeFileAtomically(path, text);
}

Result<double> numberOf(const char* option, const std::string& text, double low, double high,
                        std::string_view expected) {
    const auto scanned = scan(text, expected);
    if (!scanned || !scanned->prefix.empty() || !scanned->unit.empty() || scanned->value < low ||
        scanned->value > high)
        return usage(option, text, std::string(expected));
    return scanned->value;
}

Result<double> snrOf(const std::string& text) {
    return numberOf("--snr", text, 0.01, 100, "a signal-to-noise ratio from 0.01 to 100");
}

Result<std::int64_t> wholeOf(const char* option, const std::string& text, std::int64_t low,
                             std::int64_t high, std::string_view expected) {
    std::int64_t value = 0;
    const auto end = text.data() + text.size();
    const auto read = std::from_chars(text.data(), end, value);
    if (text.empty() || read.ec != std::errc() || read.ptr != end || value < low || value > high)
        return usage(option, text, std::string(expected));
    return value;
}

std::string_view keyOf(School school) {
    for (const auto& [name, value] : kSchoolKeys)
        if (value == school)
            return name;
    return {};
}

Result<School> schoolNamed(const std::string& text) {
    for (const auto& [name, school] : kSchoolKeys)
        if (text == name)
            return school;
    return usage("--school", text, "nominal, rated, to-the-right, guard or raw");
}

const Setup* setupNamed(const Shoot& shoot, const std::string& name) {
    for (const auto& setup : shoot.setups)
        if (setup.id == name || setup.number == name)
            return &setup;
    return nullptr;
}

Error noSetup(const Shoot& shoot, const std::string& file, const std::string& name) {
    return {ErrorCode::UnknownId, file, "--setup", name, "one of " + listIds(shoot.setups)};
}

Result<Shoot> opened(const ShootFile& file) {
    auto shoot = io::loadShoot(file.path, [&](const std::string&) { return file.kitElsewhere; });
    if (shoot || shoot.error().code != ErrorCode::FileElsewhere)
        return shoot;
    Error error = shoot.error();
    error.expected = "a kit beside or below the shoot; --kit-elsewhere reads it there";
    return error;
}

Result<int> check(const CheckOptions& options, std::ostream& out) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    if (options.setup && !setupNamed(*shoot, *options.setup))
        return noSetup(*shoot, options.file.path, *options.setup);
    Json list = Json::array();
    bool faults = false;
    for (const auto& setup : shoot->setups) {
        if (options.setup && &setup != setupNamed(*shoot, *options.setup))
            continue;
        const auto verdict = judge(*shoot, setup);
        faults = faults || verdict.count(Severity::Fault) > 0;
        if (options.json) {
            list.push_back({{"id", setup.id},
                            {"number", setup.number},
                            {"name", setup.name},
                            {"derived", derivedJson(verdict)},
                            {"findings", findingsJson(verdict.findings)}});
        } else {
            out << setup.number << "  " << setup.name << "\n";
            printFindings(verdict, out);
        }
    }
    if (options.json)
        out << jsonText(Json{{"setups", list}});
    return faults ? 1 : 0;
}

namespace {

constexpr const char* kPatchExpected = "NAME=READING, such as \"skin=52 cd/m2\" or "
                                       "\"wall=108 lx @ 36 %\"";

// The role that a patch's name begins with; anything else is a highlight to keep.
PatchRole roleNamed(const std::string& name) {
    constexpr std::pair<std::string_view, PatchRole> kRoles[] = {
        {"grey", PatchRole::Grey},          {"gray", PatchRole::Grey},
        {"skin-dark", PatchRole::SkinDark}, {"skin-medium", PatchRole::SkinMedium},
        {"skin", PatchRole::SkinLight},     {"shadow", PatchRole::Shadow},
        {"white", PatchRole::White},        {"spare", PatchRole::Spare}};
    for (const auto& [word, role] : kRoles)
        if (name.starts_with(word))
            return role;
    return PatchRole::Highlight;
}

Result<Patch> patchFrom(const std::string& text) {
    const auto equals = text.find('=');
    if (equals == std::string::npos || equals == 0)
        return usage("--patch", text, kPatchExpected);
    Patch patch;
    patch.id = patch.name = text.substr(0, equals);
    std::string reading = text.substr(equals + 1);
    if (const auto at = reading.find('@'); at != std::string::npos) {
        const auto share = option("--patch", reading.substr(at + 1), parseReflectance);
        if (!share)
            return share.error();
        patch.reflectance = *share;
        reading.resize(at);
    }
    const auto read = option("--patch", reading, parseLightReading);
    if (!read)
        return read.error();
    patch.reading = *read;
    patch.role = roleNamed(lowered(patch.name));
    return patch;
}

// The dials of an unsaved setup; the first bad option is returned.
Result<Setup> dialsFrom(const ExposeOptions& options) {
    Setup setup;
    setup.number = setup.id = "expose";
    setup.scene = "expose";
    const auto ei = option("--ei", options.ei, parseExposureIndex);
    const auto iris = option("--t-stop", options.iris, parseTStop);
    const auto rate = option("--rate", options.rate, parseFrameRate);
    const auto shutter = option("--shutter", options.shutter, parseShutter);
    const auto school = schoolNamed(options.school);
    if (!ei)
        return ei.error();
    if (!iris)
        return iris.error();
    if (!rate)
        return rate.error();
    if (!shutter)
        return shutter.error();
    if (!school)
        return school.error();
    setup.rating = *ei;
    setup.iris = *iris;
    setup.rate = *rate;
    setup.shutter = *shutter;
    setup.school = *school;
    setup.base = *ei;
    if (!options.base.empty()) {
        const auto base = option("--base", options.base, parseExposureIndex);
        if (!base)
            return base.error();
        setup.base = *base;
    }
    return setup;
}

Result<Done> addPatches(const ExposeOptions& options, Scene& scene) {
    for (const auto& text : options.patches) {
        auto patch = patchFrom(text);
        if (!patch)
            return patch.error();
        if (findPatch(scene, patch->id))
            return usage("--patch", text, "every patch name only once");
        scene.patches.push_back(*std::move(patch));
    }
    return Done{};
}

} // namespace

namespace {

// The base that was asked for, which body and profile must have.
std::optional<Error> baseRefused(const ExposeOptions& options, const Camera& camera,
                                 const Profile& profile, ExposureIndex asked) {
    if (options.base.empty() || nearestBase(camera, profile, asked).iso == asked)
        return std::nullopt;
    return usage("--base", options.base,
                 "a base of " + camera.name + " in " + profile.name + ": " +
                     basesText(camera, profile));
}

Result<Done> addFilters(const ExposeOptions& options, Kit& kit, Setup& dials, std::ostream& notes) {
    for (std::size_t i = 0; i < options.nd.size(); ++i) {
        const auto label = option("--nd", options.nd[i], parseNdLabel);
        if (!label)
            return label.error();
        if (isUnusualFactor(*label))
            notes << "bslate: --nd: " << options.nd[i] << " is taken as a factor, "
                  << fixedText(lossOf(*label).value(), 2)
                  << " stops; for a density write a point, for stops their unit\n";
        Filter filter{"option-" + std::to_string(i), options.nd[i], *label, false, false, {}};
        dials.filters.push_back(filter.id);
        kit.filters.push_back(std::move(filter));
    }
    return Done{};
}

} // namespace

std::string basesText(const Camera& camera, const Profile& profile) {
    std::string text;
    for (const auto& base : camera.bases)
        if (nearestBase(camera, profile, base.iso).iso == base.iso)
            text += (text.empty() ? "" : ", ") + print(base.iso);
    return text;
}

Result<int> expose(const ExposeOptions& options, std::ostream& out, std::ostream& notes) {
    auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    auto setup = dialsFrom(options);
    if (!setup)
        return setup.error();
    Shoot shoot;
    shoot.kit = *std::move(kit);
    const auto snr = snrOf(options.snr);
    if (!snr)
        return snr.error();
    const auto meterK = numberOf("--meter-k", options.meterK, 5, 30, "a constant from 5 to 30");
    if (!meterK)
        return meterK.error();
    shoot.snrFloor = *snr;
    shoot.meter.k = *meterK;
    Setup dials = *std::move(setup);
    dials.camera = options.camera;
    dials.profile = options.profile;
    const auto* camera = findCamera(shoot.kit, options.camera);
    if (!camera)
        return Error{ErrorCode::UnknownId, options.kit, "--camera", options.camera,
                     "one of " + listIds(shoot.kit.cameras)};
    const auto* profile = findProfile(shoot.kit, options.profile);
    if (!profile)
        return Error{ErrorCode::UnknownId, options.kit, "--profile", options.profile,
                     "one of " + listIds(shoot.kit.profiles)};
    dials.mode = options.mode.empty() ? camera->modes.front().id : options.mode;
    if (auto refused = baseRefused(options, *camera, *profile, dials.base))
        return *std::move(refused);
    dials.base = nearestBase(*camera, *profile, dials.base).iso;
    if (const auto added = addFilters(options, shoot.kit, dials, notes); !added)
        return added.error();
    Scene scene;
    scene.id = "expose";
    if (const auto added = addPatches(options, scene); !added)
        return added.error();
    shoot.scenes.push_back(std::move(scene));
    if (const auto resolved = resolve(shoot, dials); !resolved)
        return resolved.error();
    const auto verdict = judge(shoot, dials);
    if (options.json)
        out << jsonText(
            Json{{"derived", derivedJson(verdict)}, {"findings", findingsJson(verdict.findings)}});
    else
        printFindings(verdict, out);
    return verdict.count(Severity::Fault) > 0 ? 1 : 0;
}

} // namespace bslate::cli
