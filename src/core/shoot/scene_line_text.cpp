#include "core/shoot/scene_line_text.h"

#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "core/shoot/scene_words.h"

#include <algorithm>

namespace bslate {
namespace {

std::string wordOf(DescribedLight light) {
    for (const auto& known : kLightWords)
        if (known.light == light)
            return std::string(known.word);
    return {};
}
// What is not said has no word.
std::string wordOf(Support support) {
    for (const auto& known : kSupportWords)
        if (known.support == support)
            return std::string(known.word);
    return {};
}
std::string wordOf(FocusBy focus) {
    for (const auto& known : kFocusWords)
        if (known.focus == focus)
            return std::string(known.word);
    return {};
}
std::string soundWord(const Scene& scene) {
    for (const auto& known : kSoundWords)
        if (scene.sound && known.sound == scene.soundBy)
            return std::string(known.word);
    return scene.sound ? "talk" : "mute";
}

// The lamps of the line in place of those it can tell, which keep what it does not say when their
// kinds are unchanged; the others stay where they are.
std::vector<Lamp> keptLamps(const std::vector<Lamp>& before, std::vector<Lamp> typed) {
    std::vector<Lamp> told;
    for (const auto& lamp : before)
        if (isOnTheLine(lamp.kind))
            told.push_back(lamp);
    const bool same = std::equal(told.begin(), told.end(), typed.begin(), typed.end(),
                                 [](const auto& a, const auto& b) { return a.kind == b.kind; });
    for (std::size_t i = 0; same && i < told.size(); ++i) {
        told[i].pulses = typed[i].pulses;
        told[i].colour = typed[i].colour;
        typed[i] = told[i];
    }
    std::vector<Lamp> kept;
    auto next = typed.begin();
    for (const auto& lamp : before)
        if (!isOnTheLine(lamp.kind))
            kept.push_back(lamp);
        else if (next != typed.end())
            kept.push_back(*next++);
    kept.insert(kept.end(), next, typed.end());
    return kept;
}

} // namespace

namespace {

std::string numberWord(const std::string& number) {
    const bool spaced = number.find_first_of(" \t\"") != std::string::npos;
    const auto alone = parseSceneLine(number + " x");
    const bool read = alone && alone->scene.number == number && alone->scene.name == "x";
    return number.empty() || read ? number : spaced ? quoted("#" + number) : "#" + number;
}

std::string lineWith(const Scene& scene, const std::string& name) {
    std::string line;
    const auto add = [&](const std::string& piece) {
        if (!piece.empty())
            line += (line.empty() ? "" : " ") + piece;
    };
    add(numberWord(scene.number));
    add(name);
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
    if (scene.light)
        add(spell(*scene.light));
    for (const auto& lamp : scene.lamps) {
        if (!isOnTheLine(lamp.kind))
            continue;
        add(std::string(wordOf(lamp.kind)));
        if (lamp.pulses)
            add(compact(spell(*lamp.pulses)));
        if (lamp.colour)
            add(spell(*lamp.colour));
    }
    if (scene.depth)
        add(spell(scene.depth->widest) + "-" + spell(scene.depth->narrowest));
    if (scene.subjectSpeed.value() > 0)
        add(compact(spell(scene.subjectSpeed)));
    if (scene.pan)
        add("pan" + compact(spell(*scene.pan)));
    if (scene.slowMotion.value() != 1)
        add(spellFactor(scene.slowMotion));
    add(soundWord(scene));
    add(wordOf(scene.support));
    add(wordOf(scene.focusBy));
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

} // namespace

std::string lineOf(const Scene& scene) {
    const std::string plain = lineWith(scene, scene.name);
    const std::string safe = lineWith(scene, quoted(scene.name));
    const auto read = parseSceneLine(plain), meant = parseSceneLine(safe);
    return read && meant && read->scene == meant->scene ? plain : safe;
}

Scene rewritten(const Scene& scene, const SceneLine& line) {
    Scene result = line.scene;
    result.id = scene.id;
    result.note = scene.note;
    result.extra = scene.extra;
    const auto typed = line.scene.patches.front();
    result.patches = scene.patches;
    result.keyOverFill = scene.keyOverFill;
    result.keyOverKicker = scene.keyOverKicker;
    result.keyOverBack = scene.keyOverBack;
    result.lamps = keptLamps(scene.lamps, line.scene.lamps);
    for (auto& patch : result.patches)
        if (patch.role == PatchRole::Grey) {
            if (!typed.estimated || (result.described != scene.described && patch.estimated)) {
                patch.reading = typed.reading;
                patch.estimated = typed.estimated;
            }
            return result;
        }
    if (!typed.estimated || result.described != scene.described)
        result.patches.insert(result.patches.begin(), typed);
    return result;
}

} // namespace bslate
