#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"
#include "io/json/shoot_nodes.h"

#include <algorithm>

namespace bslate::io {
namespace {

Seconds timeFrom(ObjectReader& node, const char* key) {
    return node.quantity(key, parseTimeOfDay);
}

CardPin pinFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    CardPin pin{node.text("setup"), node.text("slot"), node.text("card"), {}};
    pin.extra = node.extra();
    return pin;
}

Json pinJson(const CardPin& pin) {
    Json node = {{"setup", pin.setup}, {"slot", pin.slot}, {"card", pin.card}};
    appendExtra(node, pin.extra);
    return node;
}

Take takeFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Take take;
    take.id = node.text("id");
    take.name = node.textOr("name", {});
    take.setups = node.texts("setups");
    if (take.setups.empty() || take.setups.size() > kMostCameras)
        node.fail(ErrorCode::OutOfRange, "setups", std::to_string(take.setups.size()),
                  "1 to " + std::to_string(kMostCameras) + " setups that roll");
    for (std::size_t i = 0; i < take.setups.size(); ++i)
        if (std::find(take.setups.begin(), take.setups.begin() + static_cast<std::ptrdiff_t>(i),
                      take.setups[i]) != take.setups.begin() + static_cast<std::ptrdiff_t>(i))
            node.fail(ErrorCode::OutOfRange, "setups", take.setups[i], "every setup only once");
    take.length = node.quantity("length", parseDuration);
    if (node.has("at"))
        take.at = timeFrom(node, "at");
    take.gap = Seconds(node.numberOr("gap_s", 0, 86400, 300));
    take.whole = node.flagOr("whole", false);
    if (node.has("began"))
        take.began = timeFrom(node, "began");
    if (node.has("ran"))
        take.ran = node.quantity("ran", parseDuration);
    if (node.has("cards"))
        take.cards = node.list<CardPin>("cards", [&](const Json& item, const std::string& at) {
            return pinFrom(item, at, state);
        });
    take.extra = node.extra();
    return take;
}

Json takeJson(const Take& take) {
    Json node = {{"id", take.id},
                 {"name", take.name},
                 {"setups", take.setups},
                 {"length", spellDuration(take.length)}};
    if (take.at)
        node["at"] = spellTimeOfDay(*take.at);
    node["gap_s"] = take.gap.value();
    node["whole"] = take.whole;
    if (take.began)
        node["began"] = spellTimeOfDay(*take.began);
    if (take.ran)
        node["ran"] = spellDuration(*take.ran);
    if (!take.cards.empty())
        putList(node, "cards", take.cards, pinJson);
    appendExtra(node, take.extra);
    return node;
}

CardFailure failureFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    CardFailure failure{node.text("card"), timeFrom(node, "at"), {}};
    failure.extra = node.extra();
    return failure;
}

Json failureJson(const CardFailure& failure) {
    Json node = {{"card", failure.card}, {"at", spellTimeOfDay(failure.at)}};
    appendExtra(node, failure.extra);
    return node;
}

Acceptance acceptanceFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Acceptance acceptance{node.text("finding"), node.text("reason"), {}};
    acceptance.extra = node.extra();
    if (acceptance.reason.empty())
        node.fail(ErrorCode::EmptyText, "reason", {}, "why this is accepted");
    return acceptance;
}

} // namespace

std::vector<Acceptance> acceptedFrom(ObjectReader& node) {
    auto& state = node.state();
    return node.list<Acceptance>("accepted", [&](const Json& item, const std::string& at) {
        return acceptanceFrom(item, at, state);
    });
}

Json acceptedJson(const std::vector<Acceptance>& accepted) {
    Json list = Json::array();
    for (const auto& item : accepted) {
        list.push_back({{"finding", item.finding}, {"reason", item.reason}});
        appendExtra(list.back(), item.extra);
    }
    return list;
}

ShootDay dayFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    ShootDay day;
    day.number = node.whole("number", 1, 10000);
    day.start = timeFrom(node, "start");
    if (node.has("safe_by"))
        day.safeBy = timeFrom(node, "safe_by");
    day.takes = node.list<Take>("takes", [&](const Json& item, const std::string& at) {
        return takeFrom(item, at, state);
    });
    if (day.takes.size() > kMostTakes)
        node.fail(ErrorCode::OutOfRange, "takes", std::to_string(day.takes.size()),
                  "at most " + std::to_string(kMostTakes) + " takes a day");
    std::size_t rolls = 0;
    for (const auto& take : day.takes)
        rolls += take.setups.size();
    if (rolls > kMostRolls)
        node.fail(ErrorCode::OutOfRange, "takes", std::to_string(rolls),
                  "at most " + std::to_string(kMostRolls) + " setups in all takes of a day");
    checkIds(day.takes, "takes", node);
    if (node.has("failures"))
        day.failures =
            node.list<CardFailure>("failures", [&](const Json& item, const std::string& at) {
                return failureFrom(item, at, state);
            });
    if (day.failures.size() > kMostFailures)
        node.fail(ErrorCode::OutOfRange, "failures", std::to_string(day.failures.size()),
                  "at most " + std::to_string(kMostFailures) + " cards that failed in a day");
    if (node.has("accepted"))
        day.accepted = acceptedFrom(node);
    day.extra = node.extra();
    return day;
}

Json dayJson(const ShootDay& day) {
    Json node = {{"number", day.number}, {"start", spellTimeOfDay(day.start)}};
    if (day.safeBy)
        node["safe_by"] = spellTimeOfDay(*day.safeBy);
    putList(node, "takes", day.takes, takeJson);
    if (!day.failures.empty())
        putList(node, "failures", day.failures, failureJson);
    if (!day.accepted.empty())
        node["accepted"] = acceptedJson(day.accepted);
    appendExtra(node, day.extra);
    return node;
}

} // namespace bslate::io
