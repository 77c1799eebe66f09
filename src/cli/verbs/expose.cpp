#include "cli/findings.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"
#include "io/json/kit_json.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct ExposeOptions {
    std::string kit, camera, profile, mode;
    std::string ei, base, iris, rate, shutter;
    std::vector<std::string> nd;
    std::vector<std::string> patches; ///< NAME=READING, READING may end in "@ 36 %"
    std::string school = "nominal";
    std::string snr = "2";
    std::string meterK = "12.5";
};

void askExpose(ExposeOptions& o, OptionList& list) {
    list.text("--kit", o.kit, "kit file (*.bskit.json)").required();
    list.text("--camera", o.camera, "camera id").required();
    list.text("--profile", o.profile, "profile id").required();
    list.text("--mode", o.mode, "recording mode id; the first when not given");
    list.text("--ei", o.ei, "rating, EI 400").required();
    list.text("--base", o.base, "base ISO; the nearest to the rating when not given");
    list.text("--t-stop", o.iris, "iris, T2.8").required();
    list.text("--rate", o.rate, "frame rate, 23.976").required();
    list.text("--shutter", o.shutter, "angle or time, 172.8 or 1/50").required();
    list.texts("--nd", o.nd, "filter: ND0.9 (density), ND8 (factor) or \"3 stops\"; repeatable");
    list.texts("--patch", o.patches,
               "NAME=READING[@ REFLECTANCE]; repeatable. A name that begins with grey, skin, "
               "skin-medium, skin-dark, shadow, white or spare has that role; others are "
               "highlights to keep");
    list.text("--school", o.school, "nominal, rated, to-the-right, guard or raw").shown();
    list.text("--snr", o.snr, "signal-to-noise ratio of the floor").shown();
    list.text("--meter-k", o.meterK, "reflected-light meter constant K").shown();
}

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
        const auto share = placed(parseReflectance(reading.substr(at + 1)), "--patch");
        if (!share)
            return share.error();
        patch.reflectance = *share;
        reading.resize(at);
    }
    const auto read = placed(parseLightReading(reading), "--patch");
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
    const auto ei = placed(parseExposureIndex(options.ei), "--ei");
    const auto iris = placed(parseTStop(options.iris), "--t-stop");
    const auto rate = placed(parseFrameRate(options.rate), "--rate");
    const auto shutter = placed(parseShutter(options.shutter), "--shutter");
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
        const auto base = placed(parseExposureIndex(options.base), "--base");
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
        const auto label = placed(parseNdLabel(options.nd[i]), "--nd");
        if (!label)
            return label.error();
        if (isUnusualFactor(*label))
            notes << "bslate: --nd: " << options.nd[i] << " is taken as a factor, "
                  << fixedText(lossOf(*label).value(), 2)
                  << " stops; for a density write a point, for stops their unit\n";
        Filter filter{"option-" + std::to_string(i), options.nd[i], *label, false, false, {}, {}};
        dials.filters.push_back(filter.id);
        kit.filters.push_back(std::move(filter));
    }
    return Done{};
}

Result<int> expose(const ExposeOptions& options, Output& output) {
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
    const auto camera = cameraNamed(shoot.kit, options.kit, options.camera);
    if (!camera)
        return camera.error();
    const auto profile = profileNamed(shoot.kit, options.kit, options.profile);
    if (!profile)
        return profile.error();
    dials.mode = options.mode.empty() ? (*camera)->modes.front().id : options.mode;
    if (auto refused = baseRefused(options, **camera, **profile, dials.base))
        return *std::move(refused);
    dials.base = nearestBase(**camera, **profile, dials.base).iso;
    if (const auto added = addFilters(options, shoot.kit, dials, output.notes); !added)
        return added.error();
    Scene scene;
    scene.id = "expose";
    if (const auto added = addPatches(options, scene); !added)
        return added.error();
    shoot.scenes.push_back(std::move(scene));
    if (const auto resolved = resolve(shoot, dials); !resolved)
        return resolved.error();
    const auto verdict = judge(shoot, dials);
    if (output.json)
        output.write(
            Json{{"derived", derivedJson(verdict)}, {"findings", findingsJson(verdict.findings)}});
    else
        tellFindings(verdict.findings, output.text);
    return verdict.count(Severity::Fault) > 0 ? 1 : 0;
}

} // namespace

extern const Verb kExposeVerb;
const Verb kExposeVerb{"expose", "Place readings on a recording without a shoot",
                       "bslate expose --kit slack-water.bskit.json --camera tarn-6 --profile "
                       "tarn-log --ei 800 --t-stop "
                       "T2.8 --rate 24 --shutter 180 --patch grey=26cd/m2",
                       prepared<ExposeOptions, askExpose, expose>};

} // namespace bslate::cli
