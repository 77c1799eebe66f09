#include "core/kit/rule_line.h"

#include "core/base/find_by_id.h"
#include "core/kit/setting_value.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr const char* kRuleExpected =
    "region 50 25/50/100, switch and what it costs, iso codec=raw12 note 100-51200, or "
    "gop=raw rate>=100 requires power=external : why";

Error refuseRule(ErrorCode code, std::string got, std::string expected = kRuleExpected) {
    return {code, {}, {}, std::move(got), std::move(expected)};
}

// Splits where `isBreak` holds outside quotes; empty pieces are dropped, quotes stay.
template<class IsBreak>
std::vector<std::string> split(std::string_view text, IsBreak isBreak) {
    std::vector<std::string> pieces(1);
    bool quoted = false;
    for (const char c : text) {
        quoted ^= c == '"';
        if (!quoted && isBreak(c))
            pieces.emplace_back();
        else
            pieces.back() += c;
    }
    std::erase(pieces, std::string());
    return pieces;
}

std::vector<std::string> ruleWords(std::string_view line) {
    return split(line, [](char c) { return c == ' ' || c == '\t'; });
}

std::string unquoted(std::string text) {
    std::erase(text, '"');
    return text;
}

std::string quoted(const std::string& text) {
    return text.empty() || text.find_first_of(" \t,:=<>") != std::string::npos ? '"' + text + '"'
                                                                               : text;
}

Result<SettingValue> valueOf(SettingKey key, const std::string& text) {
    const std::string plain = unquoted(text);
    return plain.empty() ? refuseRule(ErrorCode::EmptyText, std::string(nameOf(key)))
                         : parseSettingValue(key, plain);
}

Outcome readRange(Condition& condition, const std::string& low, const std::string& high) {
    if (!isOrdered(condition.key))
        return refuseRule(ErrorCode::WrongType, std::string(nameOf(condition.key)),
                          "a value or a list: this setting has no order");
    for (const auto& [text, bound] :
         {std::pair(low, &condition.atLeast), std::pair(high, &condition.atMost)}) {
        if (text.empty())
            continue;
        auto value = valueOf(condition.key, text);
        if (!value)
            return value.error();
        *bound = *std::move(value);
    }
    return Done{};
}

Result<Condition> conditionFrom(const std::string& word) {
    const auto at = word.find_first_of("=<>");
    const auto key = findSettingKey(word.substr(0, at));
    if (at == std::string::npos || !key)
        return refuseRule(ErrorCode::WrongType, word);
    Condition condition;
    condition.key = *key;
    const bool bounded = word[at] != '=';
    if (bounded && word.substr(at + 1, 1) != "=")
        return refuseRule(ErrorCode::WrongType, word,
                          "= or >= or <= between a setting and its value");
    const std::string text = word.substr(at + (bounded ? 2 : 1));
    const auto dots = text.find("..");
    Outcome outcome = Done{};
    if (bounded && text.empty())
        outcome = refuseRule(ErrorCode::EmptyText, word);
    else if (bounded)
        outcome = readRange(condition, word[at] == '>' ? text : "", word[at] == '<' ? text : "");
    else if (dots != std::string::npos && isOrdered(*key))
        outcome = readRange(condition, text.substr(0, dots), text.substr(dots + 2));
    if (!outcome)
        return outcome.error();
    if (condition.atLeast || condition.atMost)
        return condition;
    for (const auto& piece : split(text, [](char c) { return c == ','; })) {
        auto value = valueOf(*key, piece);
        if (!value)
            return value.error();
        condition.oneOf.push_back(*std::move(value));
    }
    if (condition.oneOf.empty())
        return refuseRule(ErrorCode::EmptyText, word);
    return condition;
}

std::string textOf(const Condition& condition) {
    const std::string key(nameOf(condition.key));
    const auto value = [&](const SettingValue& v) {
        std::string text = spell(condition.key, v);
        if (isOrdered(condition.key)) // "35 C" reads the same without its space
            std::erase(text, ' ');
        return quoted(text);
    };
    if (condition.atLeast && condition.atMost)
        return key + "=" + value(*condition.atLeast) + ".." + value(*condition.atMost);
    if (condition.atLeast)
        return key + ">=" + value(*condition.atLeast);
    if (condition.atMost)
        return key + "<=" + value(*condition.atMost);
    std::string list;
    for (const auto& one : condition.oneOf)
        list += (list.empty() ? "" : ",") + value(one);
    return key + "=" + list;
}

std::string lineOf(const Constraint& constraint) {
    std::string line;
    for (const auto& condition : constraint.when)
        line += textOf(condition) + " ";
    line += nameOf(constraint.kind);
    for (const auto& condition : constraint.then)
        line += " " + textOf(condition);
    return line + " : " + constraint.reason;
}

std::string lineOf(const RateSet& set) {
    std::string line = "region " + quoted(set.id);
    for (std::size_t i = 0; i < set.rates.size(); ++i)
        line += (i ? "/" : " ") + print(set.rates[i]);
    return line;
}

std::string lineOf(const IsoRule& rule) {
    std::string line = "iso";
    if (!rule.profile.empty())
        line += " profile=" + quoted(rule.profile);
    if (!rule.codec.empty())
        line += " codec=" + quoted(rule.codec);
    line += " " + std::string(keyOf(rule.behaviour));
    if (rule.minimum || rule.maximum)
        line += " " + (rule.minimum ? spell(*rule.minimum) : "") + "-" +
                (rule.maximum ? spell(*rule.maximum) : "");
    return line;
}

Result<RateSet> rateSetFrom(const std::string& line) {
    const auto words = ruleWords(line);
    if (words.size() != 3)
        return refuseRule(ErrorCode::EmptyText, line, "region, its name, and its rates: 25/50/100");
    RateSet set;
    set.id = unquoted(words[1]);
    for (const auto& text : split(words[2], [](char c) { return c == '/'; })) {
        const auto rate = parseFrameRate(text);
        if (!rate)
            return rate.error();
        set.rates.push_back(*rate);
    }
    return set;
}

Outcome readIsoRange(IsoRule& rule, const std::string& word) {
    const auto dash = word.find('-');
    for (const auto& [text, bound] : {std::pair(word.substr(0, dash), &rule.minimum),
                                      std::pair(word.substr(dash + 1), &rule.maximum)}) {
        if (text.empty())
            continue;
        const auto iso = parseExposureIndex(text);
        if (!iso)
            return iso.error();
        *bound = *iso;
    }
    if (rule.minimum && rule.maximum && *rule.maximum < *rule.minimum)
        return refuseRule(ErrorCode::OutOfRange, word, "the lower ISO first: 100-51200");
    return Done{};
}

std::optional<IsoBehaviour> behaviourNamed(const std::string& word) {
    for (const auto behaviour : {IsoBehaviour::Recorded, IsoBehaviour::Index, IsoBehaviour::Note})
        if (word == keyOf(behaviour))
            return behaviour;
    return std::nullopt;
}

Result<IsoRule> isoRuleFrom(const std::string& line) {
    IsoRule rule;
    bool behaves = false;
    const auto words = ruleWords(line);
    for (std::size_t i = 1; i < words.size(); ++i) {
        const auto& word = words[i];
        if (const auto behaviour = behaviourNamed(word)) {
            rule.behaviour = *behaviour;
            behaves = true;
            continue;
        }
        if (word.starts_with("profile="))
            rule.profile = unquoted(word.substr(8));
        else if (word.starts_with("codec="))
            rule.codec = unquoted(word.substr(6));
        else if (word.find('-') == std::string::npos)
            return refuseRule(ErrorCode::WrongType, word,
                              "profile=, codec=, recorded, index, note or a range 100-51200");
        else if (auto outcome = readIsoRange(rule, word); !outcome)
            return outcome.error();
    }
    if (!behaves)
        return refuseRule(ErrorCode::EmptyText, line, "recorded, index or note");
    return rule;
}

Result<Constraint> constraintFrom(const std::string& line) {
    Constraint constraint;
    bool open = false;
    const auto colon = static_cast<std::size_t>(
        std::find_if(line.begin(), line.end(),
                     [&](char c) { return (open ^= c == '"'), !open && c == ':'; }) -
        line.begin());
    const std::string why = colon < line.size() ? line.substr(colon + 1) : std::string();
    const auto start = why.find_first_not_of(" \t");
    if (start == std::string::npos)
        return refuseRule(ErrorCode::EmptyText, line,
                          "a colon and why, in words a person understands");
    constraint.reason = why.substr(start, why.find_last_not_of(" \t") - start + 1);
    bool after = false;
    for (const auto& word : ruleWords(line.substr(0, colon))) {
        const auto kinds = {ConstraintKind::Requires, ConstraintKind::Excludes,
                            ConstraintKind::Limits};
        const auto kind = std::find_if(kinds.begin(), kinds.end(),
                                       [&](ConstraintKind k) { return word == nameOf(k); });
        if (kind != kinds.end() && after)
            return refuseRule(ErrorCode::WrongType, word, "one of requires, excludes and limits");
        if (kind != kinds.end()) {
            constraint.kind = *kind;
            after = true;
            continue;
        }
        auto condition = conditionFrom(word);
        if (!condition)
            return condition.error();
        (after ? constraint.then : constraint.when).push_back(*std::move(condition));
    }
    if (constraint.then.empty())
        return refuseRule(ErrorCode::EmptyText, line,
                          "requires, excludes or limits, and a setting");
    return constraint;
}

// The rule of `before` whose own line this is, or null.
template<class Rule>
const Rule* own(const std::vector<Rule>& before, const std::string& line) {
    const auto found = std::find_if(before.begin(), before.end(),
                                    [&](const Rule& rule) { return lineOf(rule) == line; });
    return found == before.end() ? nullptr : &*found;
}

// Adds the kept rule, or the one read from the line.
template<class Rule>
Outcome take(std::vector<Rule>& rules, const std::vector<Rule>& before, const std::string& line,
             Result<Rule> (*read)(const std::string&)) {
    if (const auto* kept = own(before, line)) {
        rules.push_back(*kept);
        return Done{};
    }
    auto rule = read(line);
    if (!rule)
        return rule.error();
    rules.push_back(*std::move(rule));
    return Done{};
}

Outcome readLine(Camera& camera, const Camera& before, const std::string& line) {
    const auto words = ruleWords(line);
    if (words.front() == "region")
        return take(camera.rateSets, before.rateSets, line, rateSetFrom);
    if (words.front() == "iso")
        return take(camera.isoRules, before.isoRules, line, isoRuleFrom);
    if (words.front() != "switch")
        return take(camera.constraints, before.constraints, line, constraintFrom);
    const auto cost = line.find_first_not_of(" \t", line.find("switch") + 6);
    camera.regionSwitch = cost == std::string::npos ? std::string() : line.substr(cost);
    return Done{};
}

} // namespace

std::string ruleLine(const Constraint& constraint) {
    return lineOf(constraint);
}

std::vector<std::string> ruleLines(const Camera& camera) {
    std::vector<std::string> lines;
    for (const auto& set : camera.rateSets)
        lines.push_back(lineOf(set));
    if (!camera.regionSwitch.empty())
        lines.push_back("switch " + camera.regionSwitch);
    for (const auto& rule : camera.isoRules)
        lines.push_back(lineOf(rule));
    for (const auto& constraint : camera.constraints)
        lines.push_back(lineOf(constraint));
    return lines;
}

Result<Camera> withRuleLines(Camera camera, const std::vector<std::string>& lines) {
    const Camera before = camera;
    camera.rateSets.clear();
    camera.regionSwitch.clear();
    camera.isoRules.clear();
    camera.constraints.clear();
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (ruleWords(lines[i]).empty())
            continue;
        if (const auto outcome = readLine(camera, before, lines[i]); !outcome) {
            Error error = outcome.error();
            error.place = "line " + std::to_string(i + 1);
            return error;
        }
    }
    int number = 1;
    for (auto& constraint : camera.constraints)
        while (constraint.id.empty()) {
            const std::string id = "rule-" + std::to_string(number++);
            if (!findById(camera.constraints, id))
                constraint.id = id;
        }
    return camera;
}

} // namespace bslate
