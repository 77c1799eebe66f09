#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"

namespace bslate::io {
namespace {

Chromaticity chromaticityFrom(ObjectReader& node, const char* key) {
    ObjectReader point(node.child(key), node.pointer(key), node.state());
    const Chromaticity xy{point.number("x", -1, 2), point.number("y", -1, 2)};
    node.keep(key, point.extra());
    return xy;
}

Gamut gamutFrom(ObjectReader& profile) {
    ObjectReader node(profile.child("gamut"), profile.pointer("gamut"), profile.state());
    const Gamut gamut{chromaticityFrom(node, "red"), chromaticityFrom(node, "green"),
                      chromaticityFrom(node, "blue"), chromaticityFrom(node, "white")};
    profile.keep("gamut", node.extra());
    if (!node.state().error && !isValid(gamut))
        profile.fail(ErrorCode::OutOfRange, "gamut", {},
                     "three primaries that span a triangle, every y above 0");
    return gamut;
}

Json pointJson(Chromaticity point) {
    return {{"x", point.x}, {"y", point.y}};
}

} // namespace

Profile profileFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Profile profile;
    profile.id = node.text("id");
    profile.name = node.text("name");
    ObjectReader curve(node.child("curve"), node.pointer("curve"), state);
    profile.curve = curveFrom(curve);
    node.keep("curve", curve.extra());
    profile.gamutName = node.text("gamut_name");
    profile.gamut = gamutFrom(node);
    profile.iso = node.oneOf("iso", table(kIsoNames));
    profile.bases = node.quantities("bases", parseExposureIndex);
    profile.minimum = node.quantity("minimum_iso", parseExposureIndex);
    profile.maximum = node.quantity("maximum_iso", parseExposureIndex);
    profile.ready = node.flagOr("ready", false);
    profile.locks = node.texts("locks");
    if (node.has("colour")) {
        ExtraKeys extra;
        profile.colour = colourLookFrom(node.child("colour"), node.pointer("colour"), state, extra);
        node.keep("colour", extra);
    }
    profile.recipe = node.textOr("recipe", {});
    if (node.has("measured")) {
        ExtraKeys extra;
        profile.measured =
            measurementFrom(node.child("measured"), node.pointer("measured"), state, extra);
        node.keep("measured", extra);
    }
    profile.extra = node.extra();
    if (profile.maximum < profile.minimum)
        node.fail(ErrorCode::OutOfRange, "maximum_iso", {}, "no less than minimum_iso");
    return profile;
}

Json profileJson(const Profile& profile) {
    Json bases = Json::array();
    for (const auto base : profile.bases)
        bases.push_back(spell(base));
    Json node = {{"id", profile.id},
                 {"name", profile.name},
                 {"curve", curveJson(profile.curve)},
                 {"gamut_name", profile.gamutName},
                 {"gamut",
                  {{"red", pointJson(profile.gamut.red)},
                   {"green", pointJson(profile.gamut.green)},
                   {"blue", pointJson(profile.gamut.blue)},
                   {"white", pointJson(profile.gamut.white)}}},
                 {"iso", nameIn(table(kIsoNames), profile.iso)},
                 {"bases", bases},
                 {"minimum_iso", spell(profile.minimum)},
                 {"maximum_iso", spell(profile.maximum)},
                 {"ready", profile.ready},
                 {"locks", profile.locks}};
    if (!(profile.colour == ColourLook{}))
        node["colour"] = colourLookJson(profile.colour);
    if (!profile.recipe.empty())
        node["recipe"] = profile.recipe;
    if (profile.measured)
        node["measured"] = measurementJson(*profile.measured);
    appendExtra(node, profile.extra);
    return node;
}

} // namespace bslate::io
