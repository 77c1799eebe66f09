#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"
#include "io/json/shoot_nodes.h"

namespace bslate::io {
namespace {

constexpr std::array kRoleNames = {NamedValue<PatchRole>{"grey", PatchRole::Grey},
                                   NamedValue<PatchRole>{"skin-light", PatchRole::SkinLight},
                                   NamedValue<PatchRole>{"skin-medium", PatchRole::SkinMedium},
                                   NamedValue<PatchRole>{"skin-dark", PatchRole::SkinDark},
                                   NamedValue<PatchRole>{"highlight", PatchRole::Highlight},
                                   NamedValue<PatchRole>{"shadow", PatchRole::Shadow},
                                   NamedValue<PatchRole>{"white", PatchRole::White},
                                   NamedValue<PatchRole>{"spare", PatchRole::Spare}};
constexpr std::array kPlaceNames = {NamedValue<Place>{"unknown", Place::Unknown},
                                    NamedValue<Place>{"interior", Place::Interior},
                                    NamedValue<Place>{"exterior", Place::Exterior}};
constexpr std::array kLightNames = {
    NamedValue<DescribedLight>{"direct-sun", DescribedLight::DirectSun},
    NamedValue<DescribedLight>{"hazy-sun", DescribedLight::HazySun},
    NamedValue<DescribedLight>{"overcast", DescribedLight::Overcast},
    NamedValue<DescribedLight>{"open-shade", DescribedLight::OpenShade},
    NamedValue<DescribedLight>{"dusk", DescribedLight::Dusk},
    NamedValue<DescribedLight>{"night-street", DescribedLight::NightStreet},
    NamedValue<DescribedLight>{"office", DescribedLight::Office},
    NamedValue<DescribedLight>{"domestic", DescribedLight::Domestic},
    NamedValue<DescribedLight>{"candle", DescribedLight::Candle}};
constexpr std::array kSourceNames = {NamedValue<SourceKind>{"filament", SourceKind::Filament},
                                     NamedValue<SourceKind>{"ballast", SourceKind::Ballast},
                                     NamedValue<SourceKind>{"electronic", SourceKind::Electronic},
                                     NamedValue<SourceKind>{"dimmed-led", SourceKind::DimmedLed},
                                     NamedValue<SourceKind>{"rectified", SourceKind::Rectified},
                                     NamedValue<SourceKind>{"measured", SourceKind::Measured},
                                     NamedValue<SourceKind>{"steady", SourceKind::Steady}};

Patch patchFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Patch patch;
    patch.id = node.text("id");
    patch.name = node.text("name");
    patch.role = node.oneOf("role", table(kRoleNames));
    patch.reading = node.quantity("reading", parseLightReading);
    patch.reflectance = node.quantityOr("reflectance", parseReflectance, Reflectance(0.18));
    patch.estimated = node.flagOr("estimated", false);
    patch.extra = node.extra();
    return patch;
}

Json patchJson(const Patch& patch) {
    Json node = {{"id", patch.id},
                 {"name", patch.name},
                 {"role", nameIn(table(kRoleNames), patch.role)},
                 {"reading", spell(patch.reading)},
                 {"reflectance", spell(patch.reflectance)}};
    if (patch.estimated)
        node["estimated"] = true;
    appendExtra(node, patch.extra);
    return node;
}

Hazards hazardsFrom(ObjectReader& scene) {
    Hazards hazards;
    const auto names = scene.texts("hazards");
    for (const auto& name : names) {
        if (name == "sun")
            hazards.sun = true;
        else if (name == "water")
            hazards.water = true;
        else if (name == "mains")
            hazards.mains = true;
        else if (name == "heights")
            hazards.heights = true;
        else
            scene.fail(ErrorCode::WrongType, "hazards", name, "sun, water, mains or heights");
    }
    return hazards;
}

Json hazardsJson(const Hazards& hazards) {
    Json names = Json::array();
    if (hazards.sun)
        names.push_back("sun");
    if (hazards.water)
        names.push_back("water");
    if (hazards.mains)
        names.push_back("mains");
    if (hazards.heights)
        names.push_back("heights");
    return names;
}

Json harmonicJson(const Harmonic& harmonic) {
    return {{"order", harmonic.order}, {"depth", spell(harmonic.depth)}};
}

Source sourceFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Source source;
    source.name = node.text("name");
    source.kind = node.oneOf("kind", table(kSourceNames));
    if (node.has("pulses"))
        source.pulses = node.quantity("pulses", parseHertz);
    for (const auto& [key, field] :
         {std::pair("depth", &source.depth), std::pair("duty", &source.duty),
          std::pair("share", &source.share)})
        if (node.has(key))
            *field = node.quantity(key, parseFraction);
    if (source.duty && source.duty->value() <= 0)
        node.fail(ErrorCode::OutOfRange, "duty", {}, "above 0");
    source.harmonics = node.keptList<Harmonic>(
        "harmonics",
        [](ObjectReader& harmonic) {
            return Harmonic{harmonic.wholeOr("order", 1, kHighestHarmonic, 1),
                            harmonic.quantity("depth", parseFraction)};
        },
        harmonicJson);
    if (source.kind == SourceKind::Measured && source.harmonics.empty())
        node.fail(ErrorCode::MissingKey, "harmonics", {}, "at least one, of a measured lamp");
    source.extra = node.extra();
    return source;
}

Json sourceJson(const Source& source) {
    Json node = {{"name", source.name}, {"kind", nameIn(table(kSourceNames), source.kind)}};
    if (source.pulses)
        node["pulses"] = spell(*source.pulses);
    if (source.depth)
        node["depth"] = spell(*source.depth);
    if (source.duty)
        node["duty"] = spell(*source.duty);
    if (source.share)
        node["share"] = spell(*source.share);
    for (const auto& harmonic : source.harmonics)
        node["harmonics"].push_back(harmonicJson(harmonic));
    appendExtra(node, source.extra);
    return node;
}

void readLight(ObjectReader& node, Scene& scene) {
    auto& state = node.state();
    if (node.has("described"))
        scene.described = node.oneOf("described", table(kLightNames));
    if (node.has("light_change")) {
        ObjectReader change(node.child("light_change"), node.pointer("light_change"), state);
        scene.change = LightChange{change.quantity("to", parseLightReading),
                                   change.quantity("over", parseDuration)};
        node.keep("light_change", change.extra());
    }
    scene.sources = node.list<Source>("sources", [&](const Json& item, const std::string& at) {
        return sourceFrom(item, at, state);
    });
    if (scene.sources.size() > kMostSources)
        node.fail(ErrorCode::OutOfRange, "sources", std::to_string(scene.sources.size()),
                  "at most " + std::to_string(kMostSources) + " lamps in a scene");
}

void readWishes(ObjectReader& node, Scene& scene) {
    if (node.has("depth")) {
        ObjectReader depth(node.child("depth"), node.pointer("depth"), node.state());
        scene.depth = DepthWish{depth.quantity("widest", parseTStop),
                                depth.quantity("narrowest", parseTStop)};
        if (scene.depth->narrowest < scene.depth->widest)
            depth.fail(ErrorCode::OutOfRange, "narrowest", {}, "no wider than widest");
        node.keep("depth", depth.extra());
    }
    scene.subjectSpeed = WidthsPerSecond(node.numberOr("subject_speed", 0, 1000, 0));
    if (node.has("pan"))
        scene.pan = node.quantity("pan", parseDegreesPerSecond);
    scene.slowMotion = node.quantityOr("slow_motion", parseFactor, Magnification(1));
    scene.sound = node.flagOr("sound", true);
    scene.longestTake = node.quantityOr("longest_take", parseDuration, Seconds(0));
    scene.footage = node.quantityOr("footage", parseDuration, Seconds(0));
    if (node.has("view"))
        scene.view = node.quantity("view", parseDegrees);
    if (node.has("ambient"))
        scene.ambient = node.quantity("ambient", parseCelsius);
}

void writeWishes(Json& node, const Scene& scene) {
    if (scene.depth)
        node["depth"] = {{"widest", spell(scene.depth->widest)},
                         {"narrowest", spell(scene.depth->narrowest)}};
    if (scene.subjectSpeed.value() > 0)
        node["subject_speed"] = scene.subjectSpeed.value();
    if (scene.pan)
        node["pan"] = spell(*scene.pan);
    if (scene.slowMotion.value() != 1)
        node["slow_motion"] = spellFactor(scene.slowMotion);
    node["sound"] = scene.sound;
    if (scene.longestTake.value() > 0)
        node["longest_take"] = spellDuration(scene.longestTake);
    if (scene.footage.value() > 0)
        node["footage"] = spellDuration(scene.footage);
    if (scene.view)
        node["view"] = spell(*scene.view);
    if (scene.ambient)
        node["ambient"] = spell(*scene.ambient);
}

} // namespace

Scene sceneFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Scene scene;
    scene.id = node.text("id");
    scene.number = node.textOr("number", {});
    scene.name = node.text("name");
    scene.day = node.wholeOr("day", 1, 10000, 1);
    if (node.has("start"))
        scene.start = node.quantity("start", parseTimeOfDay);
    scene.place = node.has("place") ? node.oneOf("place", table(kPlaceNames)) : Place::Unknown;
    scene.note = node.textOr("note", {});
    scene.hazards = hazardsFrom(node);
    readLight(node, scene);
    readWishes(node, scene);
    scene.patches = node.list<Patch>("patches", [&](const Json& item, const std::string& at) {
        return patchFrom(item, at, state);
    });
    if (scene.patches.size() > kMostPatches)
        node.fail(ErrorCode::OutOfRange, "patches", std::to_string(scene.patches.size()),
                  "at most " + std::to_string(kMostPatches) + " patches in a scene");
    scene.extra = node.extra();
    return scene;
}

Json sceneJson(const Scene& scene) {
    Json node = {
        {"id", scene.id}, {"number", scene.number}, {"name", scene.name}, {"day", scene.day}};
    if (scene.start)
        node["start"] = spellTimeOfDay(*scene.start);
    if (scene.place != Place::Unknown)
        node["place"] = nameIn(table(kPlaceNames), scene.place);
    node["note"] = scene.note;
    node["hazards"] = hazardsJson(scene.hazards);
    if (scene.described)
        node["described"] = nameIn(table(kLightNames), *scene.described);
    if (scene.change)
        node["light_change"] = {{"to", spell(scene.change->to)},
                                {"over", spellDuration(scene.change->over)}};
    if (!scene.sources.empty())
        putList(node, "sources", scene.sources, sourceJson);
    writeWishes(node, scene);
    putList(node, "patches", scene.patches, patchJson);
    appendExtra(node, scene.extra);
    return node;
}

} // namespace bslate::io
