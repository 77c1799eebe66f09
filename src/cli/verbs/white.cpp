#include "cli/findings.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/facts/light_ratios.h"
#include "core/judgement/judge.h"
#include "core/kit/camera_colour.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"
#include "io/json/kit_json.h"

#include <cmath>
#include <ostream>

namespace bslate::cli {
namespace {

struct WhiteOptions {
    std::string xy, from, to;
    std::string kit, camera, profile, bits;
    ShootFile file;
    std::string setup;
};

void askWhite(WhiteOptions& o, OptionList& list) {
    list.text("FILE", o.file.path, "shoot (*.bslate), with --setup");
    list.flag("--kit-elsewhere", o.file.kitElsewhere,
              "read the shoot's kit from outside of its folder too");
    list.text("--setup", o.setup, "setup id or number: its lights, setting and channels");
    list.text("--xy", o.xy, "a chromaticity, 0.3721,0.3751: its colour temperature and Duv");
    const auto from =
        list.text("--from", o.from, "white as shot, 3300K or 3300K,0.002 with its Duv");
    list.text("--to", o.to, "white wanted later").needs(from);
    const auto kit = list.text("--kit", o.kit, "kit (*.bskit.json) of the camera");
    list.text("--camera", o.camera, "camera id in the kit; else a generic sensor").needs(kit);
    list.text("--profile", o.profile, "profile id in the kit, for the codes that are left")
        .needs(kit);
    list.text("--bits", o.bits, "bits recorded, 8 to 16; 10 when not told");
}

constexpr const char* kChannels[] = {"red", "green", "blue"};

Result<Chromaticity> chromaticityFrom(const std::string& text) {
    const auto comma = text.find(',');
    constexpr const char* expected = "x and y, such as 0.3721,0.3751";
    if (comma == std::string::npos)
        return usage("--xy", text, expected);
    const auto x = numberOf("--xy", text.substr(0, comma), -10, 10, expected);
    const auto y = numberOf("--xy", text.substr(comma + 1), -10, 10, expected);
    if (!x || !y)
        return x ? y.error() : x.error();
    return Chromaticity{*x, *y};
}

Result<ColourPoint> whiteFrom(const char* option, const std::string& text) {
    const auto comma = text.find(',');
    std::string typed = text.substr(0, comma);
    if (comma != std::string::npos)
        typed += " duv" + text.substr(comma + 1);
    const auto read = placed(parseLightColour(typed), option);
    return read ? Result<ColourPoint>(pointOf(*read)) : read.error();
}

Result<int> tellChromaticity(const WhiteOptions& options, Output& output) {
    const auto xy = chromaticityFrom(options.xy);
    if (!xy)
        return xy.error();
    const auto colour = placed(colourOf(*xy), "--xy");
    if (!colour)
        return colour.error();
    if (output.json)
        output.write(Json{{"cct_k", colour->cct.value()}, {"duv", colour->duv.value()}});
    else
        output.text << fixedText(colour->cct.value(), 0) << " K, Duv "
                    << (colour->duv < Duv(0) ? "" : "+") << fixedText(colour->duv.value(), 4)
                    << "\n";
    return 0;
}

/// The body and the codes of its recording, as far as options name them.
struct Response {
    Camera camera; ///< an empty one is the generic sensor
    std::optional<RecordedIn> recorded;
    [[nodiscard]] int codes() const { return recorded ? codesInMiddle(*recorded) : 0; }
};

Result<Response> responseFrom(const WhiteOptions& options) {
    Response response;
    const auto bits = options.bits.empty() ? Result<std::int64_t>(10)
                                           : wholeOf("--bits", options.bits, 8, 16, "8 to 16");
    if (!bits)
        return bits.error();
    const bool asksForCodes = !options.bits.empty() || !options.profile.empty();
    if (asksForCodes && (options.kit.empty() || options.profile.empty()))
        return usage(options.bits.empty() ? "--profile" : "--bits",
                     options.bits.empty() ? options.profile : options.bits,
                     "the profile whose codes are counted, and its kit: --kit FILE --profile ID");
    if (options.kit.empty())
        return response;
    const auto kit = io::loadKit(options.kit);
    if (!kit)
        return kit.error();
    if (!options.camera.empty()) {
        const auto camera = cameraNamed(*kit, options.kit, options.camera);
        if (!camera)
            return camera.error();
        response.camera = **camera;
    }
    if (!options.profile.empty()) {
        const auto profile = profileNamed(*kit, options.kit, options.profile);
        if (!profile)
            return profile.error();
        response.recorded = RecordedIn{(*profile)->curve, BitDepth{static_cast<int>(*bits)}};
    }
    return response;
}

Result<int> tellLater(const WhiteOptions& options, Output& output) {
    if (options.to.empty())
        return usage("--to", {}, "the white wanted later, such as 5500K");
    const auto from = whiteFrom("--from", options.from);
    const auto to = whiteFrom("--to", options.to);
    const auto response = responseFrom(options);
    if (!from || !to)
        return from ? to.error() : from.error();
    if (!response)
        return response.error();
    const CameraColour camera(response->camera);
    const auto later =
        laterWhite(*from, camera.gains(*from), *to, camera.gains(*to), response->recorded);
    Json gains, noise, codes;
    for (std::size_t c = 0; c < 3; ++c) {
        gains[kChannels[c]] = later.channels[c].gain.value();
        noise[kChannels[c]] = later.channels[c].noise.value();
        codes[kChannels[c]] = later.channels[c].codes;
    }
    if (output.json) {
        output.write(Json{{"mired_shift", later.shift.value()},
                          {"duv_shift", later.duv.value()},
                          {"gains_stops", gains},
                          {"noise_stops", noise},
                          {"codes_in_stop", response->codes() > 0 ? codes : Json(nullptr)},
                          {"stays_clipped_stops", later.staysClipped.value()},
                          {"generic_sensor", camera.isGeneric()}});
        return 0;
    }
    output.text << trimmed(later.shift.value(), 1) << " mired, Duv " << print(later.duv) << "\n";
    for (std::size_t c = 0; c < 3; ++c) {
        const auto& channel = later.channels[c];
        output.text << kChannels[c] << "  " << print(channel.gain) << " stop, grain "
                    << print(channel.noise);
        if (response->codes() > 0)
            output.text << ", " << channel.codes << " codes in the stop around mid-grey";
        output.text << "\n";
    }
    output.text << "highlights of a baked recording lose " << printPlain(later.staysClipped)
                << "; raw pays with grain alone\n";
    if (camera.isGeneric())
        output.text << "(a generic sensor: primaries of BT.2020 balanced at D65)\n";
    return 0;
}

Json settingJson(const WhiteDial& dial, const WhiteSetting& setting) {
    return {{"kelvin", setting.kelvin.value()},
            {"tint", setting.tint.value()},
            {"text", print(dial, setting)},
            {"duv", whitePoint(dial, setting).duv.value()}};
}

Json lightsJson(const Scene& scene, const WhiteFacts& white) {
    Json list = Json::array();
    for (const auto& light : white.lights) {
        const auto lit = onScene(white, light.colour);
        list.push_back({{"name", nameOf(scene, light)},
                        {"cct_k", lit.cct.value()},
                        {"duv", lit.duv.value()},
                        {"through_filters_cct_k", light.colour.cct.value()},
                        {"through_filters_duv", light.colour.duv.value()},
                        {"share", light.share.value()},
                        {"behind", light.behind.value()},
                        {"usual", light.usual},
                        {"between_k", Json::array({light.warmest.value(), light.coolest.value()})},
                        {"gel_loss_stops", light.loss.value()}});
    }
    return list;
}

Json channelsJson(const WhiteFacts& white) {
    Json node;
    for (std::size_t c = 0; c < 3; ++c) {
        const auto& channel = white.channels[c];
        node[kChannels[c]] = {{"gain_stops", channel.gain.value()},
                              {"clip_stops", channel.clip.value()},
                              {"floor_stops", channel.floor.value()},
                              {"well_stops", channel.well.value()},
                              {"end_stops", channel.end.value()}};
    }
    return node;
}

Json patchesJson(const Evaluation& at) {
    constexpr ByEnum<ColourKept, const char*> kKept{"all", "loses", "lost"};
    Json list = Json::array();
    for (std::size_t i = 0; i < at.white.patches.size(); ++i) {
        const auto& patch = at.white.patches[i];
        list.push_back({{"id", at.patches[i].id},
                        {"cct_k", patch.light.cct.value()},
                        {"duv", patch.light.duv.value()},
                        {"colour", kKept[patch.kept]},
                        {"clips_first", kChannels[patch.clipsFirst]},
                        {"room_stops", patch.room[patch.clipsFirst].value()},
                        {"drowns_first", kChannels[patch.drownsFirst]},
                        {"above_stops", patch.above[patch.drownsFirst].value()}});
    }
    return list;
}

Json ratiosJson(const Shoot& shoot, const Scene& scene) {
    constexpr ByEnum<RatioKind, const char*> kKinds{"key-over-fill", "key-over-kicker",
                                                    "subject-over-background"};
    Json list = Json::array();
    for (const auto& ratio : lightRatiosOf(scene, shoot.meter))
        list.push_back(
            {{"ratio", kKinds[ratio.kind]},
             {"stops", ratio.measured.value()},
             {"wanted_stops", ratio.wanted ? Json(ratio.wanted->value()) : Json(nullptr)},
             {"lamp", ratio.lamp},
             {"move_stops", ratio.move.value()}});
    return list;
}

std::vector<Finding> aboutWhite(const Verdict& verdict) {
    std::vector<Finding> some;
    for (const auto& finding : verdict.findings)
        if (kindOf(finding.id).page == HelpPage::White)
            some.push_back(finding);
    return some;
}

// What the camera is left to do to it; none where it stays as it is set.
std::optional<LeftAutomatic> automaticWhite(const Setup& setup) {
    for (const auto& left : setup.automatics)
        if (left.kind == AutomaticKind::White)
            return left;
    return std::nullopt;
}

void tellSetup(const WhiteDial& dial, const Setup& setup, const Scene& scene,
               const WhiteFacts& white, const WhiteChoices& choices, std::ostream& out) {
    out << "white " << print(dial, white.set) << (white.baked ? ", baked" : ", a note") << "\n";
    if (const auto left = automaticWhite(setup))
        out << "left to the camera: " << spell({*left})
            << "; what is said of the white above holds while it stands there\n";
    if (white.filters != ColourShift{})
        out << "filters shift all light by " << trimmed(white.filters.mired.value(), 1)
            << " mired, Duv " << print(white.filters.duv) << "\n";
    for (const auto& light : white.lights) {
        const auto name = nameOf(scene, light);
        out << (name.empty() ? "the light" : name) << "  " << print(onScene(white, light.colour))
            << (light.usual
                    ? " (usual, " + print(light.warmest) + " to " + print(light.coolest) + ")"
                    : "")
            << ", " << print(light.share) << " of the subject, " << print(light.behind)
            << " of the background\n";
    }
    const auto choice = [&](const char* what, const std::optional<WhiteSetting>& setting) {
        if (setting)
            out << what << print(dial, *setting) << "\n";
    };
    choice("for the key        ", choices.key);
    choice("between            ", choices.between);
    choice("for the background ", choices.background);
    for (std::size_t c = 0; c < 3; ++c)
        out << kChannels[c] << "  gain " << print(white.channels[c].gain)
            << "; in the light this white is for: noise at " << print(white.channels[c].floor)
            << ", ends at " << print(white.channels[c].end) << ", photosites full at "
            << print(white.channels[c].well) << "\n";
    if (white.generic)
        out << "(a generic sensor: primaries of BT.2020 balanced at D65)\n";
}

Result<int> tellOfSetup(const WhiteOptions& options, Output& output) {
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto context = resolve(found->shoot, found->setup());
    if (!context)
        return context.error();
    const auto verdict = judge(found->shoot, found->setup());
    const auto& at = *verdict.evaluation;
    const auto& dial = context->camera->white;
    const auto choices = whiteChoices(*context, at.white);
    const auto findings = aboutWhite(verdict);
    if (!output.json) {
        tellSetup(dial, found->setup(), *context->scene, at.white, choices, output.text);
        tellFindings(findings, output.text);
        return 0;
    }
    const auto choice = [&](const std::optional<WhiteSetting>& setting) {
        return setting ? settingJson(dial, *setting) : Json(nullptr);
    };
    output.write(Json{{"setup", found->setup().number},
                      {"white", settingJson(dial, at.white.set)},
                      {"baked", at.white.baked},
                      {"automatic", automaticWhite(found->setup()).has_value()},
                      {"generic_sensor", at.white.generic},
                      {"lights", lightsJson(*context->scene, at.white)},
                      {"setting", Json{{"key", choice(choices.key)},
                                       {"between", choice(choices.between)},
                                       {"background", choice(choices.background)}}},
                      {"channels", channelsJson(at.white)},
                      {"patches", patchesJson(at)},
                      {"ratios", ratiosJson(found->shoot, *context->scene)},
                      {"findings", findingsJson(findings)}});
    return 0;
}

Result<int> white(const WhiteOptions& options, Output& output) {
    const int forms = !options.xy.empty() + !options.from.empty() + !options.file.path.empty();
    if (forms != 1)
        return usage("white", {}, "one of --xy X,Y, --from with --to, or a shoot with --setup");
    if (!options.xy.empty())
        return tellChromaticity(options, output);
    return options.from.empty() ? tellOfSetup(options, output) : tellLater(options, output);
}

} // namespace

extern const Verb kWhiteVerb;
const Verb kWhiteVerb{"white", "Colour of light, the white to set, and what moving it later costs",
                      "bslate white slack-water.bslate --setup 3A",
                      prepared<WhiteOptions, askWhite, white>};

} // namespace bslate::cli
