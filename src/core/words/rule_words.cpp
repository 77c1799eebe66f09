#include "core/words/rule_words.h"

#include "core/base/enumerated.h"

#include "core/base/find_by_id.h"
#include "core/kit/setting_value.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"
#include "core/words/wording.h"

#include <set>

namespace bslate {
namespace {

std::string put(const char* english, const Translator& translate,
                std::initializer_list<std::pair<std::string_view, std::string>> facts = {}) {
    std::string text = translate ? translate(english) : std::string(english);
    for (const auto& [name, value] : facts) {
        const std::string place = "{" + std::string(name) + "}";
        if (const auto at = text.find(place); at != std::string::npos)
            text.replace(at, place.size(), value);
    }
    return text;
}

std::string listed(const std::vector<std::string>& words, const char* last,
                   const Translator& translate) {
    std::string text;
    for (std::size_t i = 0; i < words.size(); ++i)
        text += (i == 0                 ? ""
                 : i + 1 < words.size() ? ", "
                                        : " " + put(last, translate) + " ") +
                words[i];
    return text;
}

struct Speaker {
    const Camera& camera;
    const Kit& kit;
    const Translator& translate;

    // `must` in place of `is`: "the power must be external".
    [[nodiscard]] std::string condition(const Condition& one, const char* is, const char* atLeast,
                                        const char* atMost, const char* between) const {
        const auto value = [&](const SettingValue& v) {
            return valueName(one.key, v, camera, kit, translate);
        };
        const std::string key = settingName(one.key, translate);
        if (one.atLeast && one.atMost)
            return put(
                between, translate,
                {{"setting", key}, {"low", value(*one.atLeast)}, {"high", value(*one.atMost)}});
        if (one.atLeast)
            return put(atLeast, translate, {{"setting", key}, {"value", value(*one.atLeast)}});
        if (one.atMost)
            return put(atMost, translate, {{"setting", key}, {"value", value(*one.atMost)}});
        std::vector<std::string> values;
        for (const auto& v : one.oneOf)
            values.push_back(value(v));
        return put(is, translate, {{"setting", key}, {"value", listed(values, "or", translate)}});
    }
    [[nodiscard]] std::string holding(const Condition& one) const {
        return condition(one, "the {setting} is {value}", "the {setting} is {value} or more",
                         "the {setting} is {value} or less",
                         "the {setting} is from {low} to {high}");
    }
    [[nodiscard]] std::string needed(const Condition& one) const {
        return condition(
            one, "the {setting} must be {value}", "the {setting} must be {value} or more",
            "the {setting} must be {value} or less", "the {setting} must be from {low} to {high}");
    }
    [[nodiscard]] std::string barred(const Condition& one) const {
        return condition(one, "the {setting} cannot be {value}",
                         "the {setting} cannot be {value} or more",
                         "the {setting} cannot be {value} or less",
                         "the {setting} cannot be from {low} to {high}");
    }
    // Of several each may hold, but not all of them.
    [[nodiscard]] std::string notTogether(const std::vector<Condition>& conditions) const {
        const std::string first = barred(conditions.front());
        if (conditions.size() == 1)
            return first;
        return put(
            "{this} while {others}", translate,
            {{"this", first},
             {"others", all({conditions.begin() + 1, conditions.end()}, &Speaker::holding)}});
    }
    template<class Say>
    [[nodiscard]] std::string all(const std::vector<Condition>& conditions, Say say) const {
        std::vector<std::string> clauses;
        for (const auto& one : conditions)
            clauses.push_back((this->*say)(one));
        return listed(clauses, "and", translate);
    }
};

std::string capital(std::string text) {
    if (!text.empty() && text[0] >= 'a' && text[0] <= 'z')
        text[0] = static_cast<char>(text[0] - 'a' + 'A');
    return text;
}

std::string sentenceOf(const RateSet& set, const Translator& translate) {
    std::vector<std::string> rates;
    for (const auto& rate : set.rates)
        rates.push_back(print(rate));
    return put("Set to {region} it offers {rates}.", translate,
               {{"region", set.id}, {"rates", listed(rates, "and", translate)}});
}

std::string sentenceOf(const IsoRule& rule, const Speaker& speaker) {
    std::vector<std::string> where;
    if (const auto* profile = findProfile(speaker.kit, rule.profile))
        where.push_back(profile->name);
    if (const auto* codec = findCodec(speaker.camera, rule.codec))
        where.push_back(codec->name);
    std::string text = where.empty() ? put("The ISO dial: {does}", speaker.translate,
                                           {{"does", nameOf(rule.behaviour, speaker.translate)}})
                                     : put("The ISO dial in {where}: {does}", speaker.translate,
                                           {{"where", listed(where, "and", speaker.translate)},
                                            {"does", nameOf(rule.behaviour, speaker.translate)}});
    if (rule.minimum)
        text += put(", from {iso}", speaker.translate, {{"iso", print(*rule.minimum)}});
    if (rule.maximum)
        text += put(", up to {iso}", speaker.translate, {{"iso", print(*rule.maximum)}});
    return text + ".";
}

template<class Items>
std::vector<SettingValue> idsOf(const Items& items) {
    std::vector<SettingValue> ids;
    for (const auto& item : items)
        ids.emplace_back(item.id);
    return ids;
}

} // namespace

std::string settingName(SettingKey key, const Translator& translate) {
    constexpr ByEnum<SettingKey, const char*> names{"recording mode",
                                                    "sensor area",
                                                    "codec",
                                                    "kind of recording",
                                                    "bit depth",
                                                    "frame rate",
                                                    "profile",
                                                    "rating",
                                                    "base",
                                                    "region",
                                                    "slot",
                                                    "sound",
                                                    "autofocus",
                                                    "proxy",
                                                    "power",
                                                    "shutter angle",
                                                    "air"};
    return put(names[key], translate);
}

std::string valueName(SettingKey key, const SettingValue& value, const Camera& camera,
                      const Kit& kit, const Translator& translate) {
    const auto* id = std::get_if<std::string>(&value);
    if (const auto* rate = std::get_if<FrameRate>(&value))
        return print(*rate);
    if (!id)
        return key == SettingKey::Ambient ? print(Celsius(std::get<double>(value)))
                                          : spell(key, value);
    const auto named = [&](const auto* item) { return item ? item->name : *id; };
    switch (key) {
    case SettingKey::Mode:
        return named(findMode(camera, *id));
    case SettingKey::Area:
        return named(findArea(camera, *id));
    case SettingKey::Codec:
        return named(findCodec(camera, *id));
    case SettingKey::Slot:
        return named(findSlot(camera, *id));
    case SettingKey::Profile:
        return named(findProfile(kit, *id));
    case SettingKey::Region:
        return *id;
    default:
        return put(id->c_str(), translate);
    }
}

std::string sentenceOf(const Constraint& rule, const Camera& camera, const Kit& kit,
                       const Translator& translate) {
    const Speaker speaker{camera, kit, translate};
    const auto then = rule.kind == ConstraintKind::Excludes
                          ? speaker.notTogether(rule.then)
                          : speaker.all(rule.then, &Speaker::needed);
    const std::string why = rule.reason;
    if (rule.when.empty())
        return capital(put("{then}: {why}.", translate, {{"then", then}, {"why", why}}));
    return put("When {when}, {then}: {why}.", translate,
               {{"when", speaker.all(rule.when, &Speaker::holding)}, {"then", then}, {"why", why}});
}

std::vector<std::string> ruleSentences(const Camera& camera, const Kit& kit,
                                       const Translator& translate) {
    std::vector<std::string> sentences;
    for (const auto& set : camera.rateSets)
        sentences.push_back(sentenceOf(set, translate));
    if (!camera.regionSwitch.empty())
        sentences.push_back(
            put("Changing the region {cost}.", translate, {{"cost", camera.regionSwitch}}));
    for (const auto& rule : camera.isoRules)
        sentences.push_back(sentenceOf(rule, Speaker{camera, kit, translate}));
    for (const auto& rule : camera.constraints)
        sentences.push_back(sentenceOf(rule, camera, kit, translate));
    return sentences;
}

std::vector<SettingValue> choicesOf(SettingKey key, const Camera& camera, const Kit& kit) {
    switch (key) {
    case SettingKey::Mode:
        return idsOf(camera.modes);
    case SettingKey::Area:
        return idsOf(camera.areas);
    case SettingKey::Codec:
        return idsOf(camera.codecs);
    case SettingKey::Slot:
        return idsOf(camera.cardSlots);
    case SettingKey::Region:
        return idsOf(camera.rateSets);
    case SettingKey::Profile: {
        std::vector<SettingValue> ids;
        for (const auto& id : camera.profiles)
            if (findProfile(kit, id))
                ids.emplace_back(id);
        return ids;
    }
    case SettingKey::Rate: {
        std::set<FrameRate> rates;
        for (const auto& mode : camera.modes)
            for (const auto& option : mode.rates)
                rates.insert(option.rate);
        return {rates.begin(), rates.end()};
    }
    case SettingKey::Base: {
        std::vector<SettingValue> bases;
        for (const auto& base : camera.bases)
            bases.emplace_back(base.iso.value());
        return bases;
    }
    default:
        break;
    }
    std::vector<SettingValue> words;
    for (const char* word : {"raw", "intra", "long", "on", "off", "internal", "external"})
        if (!isOrdered(key))
            if (const auto value = parseSettingValue(key, word))
                words.push_back(*value);
    return words;
}

} // namespace bslate
