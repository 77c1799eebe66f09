#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "core/shoot/scene_line.h"
#include "core/shoot/scene_words.h"

namespace bslate {
namespace {

std::string wordOf(DescribedLight light) {
    for (const auto& known : kLightWords)
        if (known.light == light)
            return std::string(known.word);
    return {};
}

std::string compact(std::string text) {
    std::erase(text, ' ');
    return text;
}

} // namespace

std::string lineOf(const Scene& scene) {
    std::string line;
    const auto add = [&](const std::string& piece) {
        if (!piece.empty())
            line += (line.empty() ? "" : " ") + piece;
    };
    add(scene.number);
    add(scene.name);
    if (scene.day > 1)
        add("day" + std::to_string(scene.day));
    if (scene.start)
        add(spellTimeOfDay(*scene.start));
    add(scene.place == Place::Interior ? "int" : scene.place == Place::Exterior ? "ext" : "");
    const auto* grey = greyCard(scene);
    if (grey && !grey->estimated)
        add(compact(spell(grey->reading)));
    if (scene.described)
        add(wordOf(*scene.described));
    if (scene.change)
        add(">" + compact(spell(scene.change->to)) + "/" +
            compact(spellDuration(scene.change->over)));
    for (const auto& source : scene.sources) {
        add(std::string(wordOf(source.kind)));
        if (source.pulses)
            add(compact(spell(*source.pulses)));
    }
    if (scene.depth)
        add(spell(scene.depth->widest) + "-" + spell(scene.depth->narrowest));
    if (scene.subjectSpeed.value() > 0)
        add(compact(spell(scene.subjectSpeed)));
    if (scene.pan)
        add("pan" + compact(spell(*scene.pan)));
    if (scene.slowMotion.value() != 1)
        add(spellFactor(scene.slowMotion));
    add(scene.sound ? "talk" : "mute");
    if (scene.longestTake.value() > 0)
        add(compact(spellDuration(scene.longestTake)));
    if (scene.footage.value() > 0)
        add("all " + compact(spellDuration(scene.footage)));
    if (scene.view)
        add(compact(spell(*scene.view)));
    if (scene.ambient)
        add(compact(spell(*scene.ambient)));
    add(scene.hazards.water ? "water" : "");
    add(scene.hazards.heights ? "heights" : "");
    add(scene.hazards.mains ? "mains" : "");
    add(scene.hazards.sun ? "sunshot" : "");
    return line;
}

Scene rewritten(const Scene& scene, const SceneLine& line) {
    Scene result = line.scene;
    result.id = scene.id;
    result.note = scene.note;
    result.extra = scene.extra;
    const auto typed = line.scene.patches.front();
    result.patches = scene.patches;
    // Sources keep what the line does not say when their kinds are unchanged.
    if (result.sources.size() == scene.sources.size())
        for (std::size_t i = 0; i < result.sources.size(); ++i)
            if (result.sources[i].kind == scene.sources[i].kind) {
                const auto pulses = result.sources[i].pulses;
                result.sources[i] = scene.sources[i];
                result.sources[i].pulses = pulses;
            }
    for (auto& patch : result.patches)
        if (patch.role == PatchRole::Grey) {
            if (!typed.estimated || (result.described != scene.described && patch.estimated)) {
                patch.reading = typed.reading;
                patch.estimated = typed.estimated;
            }
            return result;
        }
    result.patches.insert(result.patches.begin(), typed);
    return result;
}

} // namespace bslate
