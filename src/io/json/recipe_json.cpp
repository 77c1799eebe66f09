#include "io/json/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::array kHueNames = {"red", "yellow", "green", "cyan", "blue", "magenta"};

} // namespace

ColourLook colourLookFrom(const Json& json, const std::string& place, ReadState& state,
                          ExtraKeys& extra) {
    ObjectReader node(json, place, state);
    ColourLook look;
    look.saturation = node.numberOr("saturation", 0, 2, 1);
    look.detail = node.wholeOr("detail", -7, 7, 0);
    if (node.has("depth")) {
        ObjectReader depth(node.child("depth"), node.pointer("depth"), state);
        for (std::size_t i = 0; i < kHueNames.size(); ++i)
            look.depth[i] = depth.numberOr(kHueNames[i], -1, 1, 0);
        node.keep("depth", depth.extra());
    }
    extra = node.extra();
    return look;
}

Json colourLookJson(const ColourLook& look) {
    Json node = {{"saturation", look.saturation}, {"detail", look.detail}};
    node["depth"] = Json::object();
    for (std::size_t i = 0; i < kHueNames.size(); ++i)
        node["depth"][kHueNames[i]] = look.depth[i];
    return node;
}

SoftHighlight softHighlightFrom(ObjectReader& node) {
    return {node.number("knee_point", 0.5, 1.09), node.number("knee_slope", 0.01, 1),
            node.number("black_gamma", -0.5, 0.5), node.numberOr("black_level", -0.1, 0.2, 0)};
}

void putSoftHighlight(Json& node, const SoftHighlight& tone) {
    node.update({{"knee_point", tone.kneePoint},
                 {"knee_slope", tone.kneeSlope},
                 {"black_gamma", tone.blackGamma}});
    if (tone.blackLevel != 0)
        node["black_level"] = tone.blackLevel;
}

Recipe recipeFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Recipe recipe;
    recipe.id = node.text("id");
    recipe.name = node.text("name");
    ObjectReader tone(node.child("tone"), node.pointer("tone"), state);
    recipe.look.tone = softHighlightFrom(tone);
    node.keep("tone", tone.extra());
    if (node.has("colour")) {
        ExtraKeys extra;
        recipe.look.colour =
            colourLookFrom(node.child("colour"), node.pointer("colour"), state, extra);
        node.keep("colour", extra);
    }
    recipe.extra = node.extra();
    return recipe;
}

Json recipeJson(const Recipe& recipe) {
    Json node = {{"id", recipe.id}, {"name", recipe.name}};
    node["tone"] = Json::object();
    putSoftHighlight(node["tone"], recipe.look.tone);
    node["colour"] = colourLookJson(recipe.look.colour);
    appendExtra(node, recipe.extra);
    return node;
}

} // namespace bslate::io
