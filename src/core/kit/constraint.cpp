#include "core/kit/constraint.h"

#include "core/base/enumerated.h"

#include <algorithm>
#include <set>

namespace bslate {
namespace {

constexpr ByEnum<SettingKey, std::string_view> kNames{
    "mode",   "area", "codec", "gop",   "bits",  "rate",  "profile", "rating", "base",
    "region", "slot", "sound", "focus", "proxy", "power", "angle",   "ambient"};

// Values of one key always have the same type; a half-typed mix compares as unequal.
bool lessOrEqual(const SettingValue& a, const SettingValue& b) {
    if (const auto* rate = std::get_if<FrameRate>(&a))
        if (const auto* other = std::get_if<FrameRate>(&b))
            return *rate <= *other;
    if (const auto* number = std::get_if<double>(&a))
        if (const auto* other = std::get_if<double>(&b))
            return *number <= *other;
    return false;
}

bool admits(const Condition& condition, const SettingValue& value) {
    if (!condition.oneOf.empty())
        return std::find(condition.oneOf.begin(), condition.oneOf.end(), value) !=
               condition.oneOf.end();
    return (!condition.atLeast || lessOrEqual(*condition.atLeast, value)) &&
           (!condition.atMost || lessOrEqual(value, *condition.atMost));
}

// Could both hold at once? Exact for lists against lists or ranges, and for ranges.
bool compatible(const Condition& a, const Condition& b) {
    if (a.key != b.key)
        return true;
    const auto& listed = a.oneOf.empty() ? b : a;
    const auto& other = a.oneOf.empty() ? a : b;
    if (!listed.oneOf.empty())
        return std::any_of(listed.oneOf.begin(), listed.oneOf.end(),
                           [&](const auto& value) { return admits(other, value); });
    const auto apart = [](const auto& low, const auto& high) {
        return low && high && !lessOrEqual(*low, *high);
    };
    return !apart(a.atLeast, b.atMost) && !apart(b.atLeast, a.atMost);
}

// Does knowing `a` make `b` certain?
bool implies(const Condition& a, const Condition& b) {
    if (a.key != b.key)
        return false;
    if (!a.oneOf.empty())
        return std::all_of(a.oneOf.begin(), a.oneOf.end(),
                           [&](const auto& value) { return admits(b, value); });
    if (!b.oneOf.empty())
        return false;
    const bool low = !b.atLeast || (a.atLeast && lessOrEqual(*b.atLeast, *a.atLeast));
    const bool high = !b.atMost || (a.atMost && lessOrEqual(*a.atMost, *b.atMost));
    return low && high;
}

bool impliedBy(const std::vector<Condition>& known, const Condition& condition) {
    return std::any_of(known.begin(), known.end(),
                       [&](const auto& fact) { return implies(fact, condition); });
}

bool allImplied(const std::vector<Condition>& known, const std::vector<Condition>& wanted) {
    return std::all_of(wanted.begin(), wanted.end(),
                       [&](const auto& condition) { return impliedBy(known, condition); });
}

Error impossible(std::size_t index, std::string got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, std::to_string(index), std::move(got), std::move(expected)};
}

// True when meeting `from` brings about what `to` waits for.
bool leadsTo(const Constraint& from, const Constraint& to) {
    if (from.kind == ConstraintKind::Excludes || to.when.empty())
        return false;
    auto known = from.when;
    known.insert(known.end(), from.then.begin(), from.then.end());
    return allImplied(known, to.when) && !allImplied(from.when, to.when);
}

std::string idsOf(const std::vector<Constraint>& list, const std::vector<std::size_t>& which,
                  std::string_view between) {
    std::string ids;
    for (const auto index : which)
        ids += (ids.empty() ? "" : std::string(between)) + list[index].id;
    return ids;
}

// Follows what meeting one constraint brings about, until nothing more becomes certain.
Outcome checkContradiction(const std::vector<Constraint>& list, std::size_t start) {
    constexpr const char* expected = "constraints that can be met together";
    if (list[start].kind == ConstraintKind::Excludes)
        return Done{};
    auto known = list[start].when;
    std::vector<std::size_t> acted = {start};
    for (std::size_t step = 0; step < acted.size(); ++step) {
        for (const auto& condition : list[acted[step]].then) {
            for (const auto& fact : known)
                if (!compatible(fact, condition))
                    return impossible(acted[step], idsOf(list, acted, ", "), expected);
            known.push_back(condition);
        }
        for (std::size_t i = 0; i < list.size(); ++i)
            if (list[i].kind != ConstraintKind::Excludes && allImplied(known, list[i].when) &&
                std::find(acted.begin(), acted.end(), i) == acted.end())
                acted.push_back(i);
    }
    for (std::size_t i = 0; i < list.size(); ++i)
        if (list[i].kind == ConstraintKind::Excludes && allImplied(known, list[i].when) &&
            allImplied(known, list[i].then)) {
            acted.push_back(i);
            return impossible(i, idsOf(list, acted, ", "), expected);
        }
    return Done{};
}

// Depth-first walk along leadsTo; a constraint met again on the way is a circle.
bool findCircle(const std::vector<Constraint>& list, std::size_t at, std::vector<std::size_t>& path,
                std::set<std::size_t>& done) {
    if (std::find(path.begin(), path.end(), at) != path.end()) {
        path.push_back(at);
        return true;
    }
    if (!done.insert(at).second)
        return false;
    path.push_back(at);
    for (std::size_t next = 0; next < list.size(); ++next)
        if (next != at && leadsTo(list[at], list[next]) && findCircle(list, next, path, done))
            return true;
    path.pop_back();
    return false;
}

} // namespace

std::string_view nameOf(SettingKey key) {
    return kNames[key];
}

std::string_view nameOf(ConstraintKind kind) {
    return kind == ConstraintKind::Requires   ? "requires"
           : kind == ConstraintKind::Excludes ? "excludes"
                                              : "limits";
}

std::optional<SettingKey> findSettingKey(std::string_view name) {
    for (const auto key : kAllOf<SettingKey>)
        if (kNames[key] == name)
            return key;
    return std::nullopt;
}

bool isOrdered(SettingKey key) {
    switch (key) {
    case SettingKey::Rate:
    case SettingKey::Bits:
    case SettingKey::Rating:
    case SettingKey::Base:
    case SettingKey::Angle:
    case SettingKey::Ambient:
        return true;
    default:
        return false;
    }
}

Holds holds(const Condition& condition, const Settings& settings) {
    const auto& value = settings.get(condition.key);
    if (!value)
        return Holds::Unknown;
    return admits(condition, *value) ? Holds::Yes : Holds::No;
}

bool isBroken(const Constraint& constraint, const Settings& settings) {
    const auto is = [&](Holds wanted) {
        return [&settings, wanted](const Condition& c) { return holds(c, settings) == wanted; };
    };
    if (!std::all_of(constraint.when.begin(), constraint.when.end(), is(Holds::Yes)))
        return false;
    if (constraint.kind == ConstraintKind::Excludes)
        return std::all_of(constraint.then.begin(), constraint.then.end(), is(Holds::Yes));
    return std::any_of(constraint.then.begin(), constraint.then.end(), is(Holds::No));
}

bool mentions(const Constraint& constraint, SettingKey key) {
    const auto about = [&](const Condition& condition) { return condition.key == key; };
    return std::any_of(constraint.when.begin(), constraint.when.end(), about) ||
           std::any_of(constraint.then.begin(), constraint.then.end(), about);
}

Outcome checkConstraints(const std::vector<Constraint>& constraints) {
    for (std::size_t i = 0; i < constraints.size(); ++i)
        if (auto outcome = checkContradiction(constraints, i); !outcome)
            return outcome;
    std::set<std::size_t> done;
    for (std::size_t i = 0; i < constraints.size(); ++i) {
        std::vector<std::size_t> path;
        if (!findCircle(constraints, i, path, done))
            continue;
        path.erase(path.begin(), std::find(path.begin(), path.end(), path.back()));
        return impossible(path.front(), idsOf(constraints, path, " > "),
                          "constraints that do not lead round to themselves");
    }
    return Done{};
}

} // namespace bslate
