#include "core/shoot/revision.h"

#include "core/base/field_check.h"
#include "core/kit/camera_fields.h"
#include "core/shoot/shoot_fields.h"

#include <unordered_map>

namespace bslate {
namespace {

const std::string& keyOf(const Scene& scene) {
    return scene.id;
}
const std::string& keyOf(const Setup& setup) {
    return setup.id;
}
const std::string& keyOf(const CameraRecord& record) {
    return record.id;
}
std::string keyOf(const ShootDay& day) {
    return std::to_string(day.number);
}

template<class Part>
std::unordered_map<std::string, const Part*> byKey(const std::vector<Part>& parts) {
    std::unordered_map<std::string, const Part*> found;
    found.reserve(parts.size());
    for (const auto& part : parts)
        found.emplace(keyOf(part), &part);
    return found;
}

template<class Part>
PartsRevision<Part> between(const std::vector<Part>& before, const std::vector<Part>& after) {
    PartsRevision<Part> revision;
    const bool same = before.size() == after.size() &&
                      std::equal(before.begin(), before.end(), after.begin(),
                                 [](const Part& a, const Part& b) { return keyOf(a) == keyOf(b); });
    if (same) {
        for (std::size_t i = 0; i < after.size(); ++i)
            if (!(before[i] == after[i]))
                revision.put.push_back(after[i]);
        return revision;
    }
    const auto old = byKey(before);
    revision.order.emplace();
    for (const auto& part : after) {
        revision.order->push_back(keyOf(part));
        const auto found = old.find(keyOf(part));
        if (found == old.end() || !(*found->second == part))
            revision.put.push_back(part);
    }
    return revision;
}

template<class Part>
void revise(std::vector<Part>& parts, const PartsRevision<Part>& revision) {
    if (revision.empty())
        return;
    const auto put = byKey(revision.put);
    if (!revision.order) {
        for (auto& part : parts)
            if (const auto found = put.find(keyOf(part)); found != put.end())
                part = *found->second;
        return;
    }
    const auto old = byKey(parts);
    std::vector<Part> after;
    after.reserve(revision.order->size());
    for (const auto& key : *revision.order) {
        if (const auto changed = put.find(key); changed != put.end())
            after.push_back(*changed->second);
        else if (const auto kept = old.find(key); kept != old.end())
            after.push_back(*kept->second);
    }
    parts = std::move(after);
}

// The head is checked as what it is of a shoot.
std::optional<PlacedFault> faultIn(const ShootHead& head) {
    Shoot shoot;
    shoot.title = head.title;
    shoot.note = head.note;
    shoot.days = head.days;
    shoot.snrFloor = head.snrFloor;
    shoot.meter = head.meter;
    return bslate::faultIn(shoot);
}

template<class Part>
std::optional<Error> faultOf(const Part& part, const std::string& name) {
    auto fault = faultIn(part);
    if (!fault)
        return std::nullopt;
    return Error{fault->code, {}, name + ", " + fault->place, fault->got, fault->expected};
}

Error tooMany(const char* what, std::size_t count) {
    return {ErrorCode::OutOfRange,
            {},
            what,
            std::to_string(count),
            "at most " + std::to_string(kMostItems) + " of them"};
}

} // namespace

ShootHead headOf(const Shoot& shoot) {
    return {shoot.title, shoot.note,    shoot.days, shoot.snrFloor,
            shoot.meter, shoot.kitFile, shoot.extra};
}

bool Revision::empty() const {
    return !head && !brief && !kit && scenes.empty() && setups.empty() && plan.empty() &&
           records.empty();
}

Revision revisionBetween(const Shoot& before, const Shoot& after) {
    Revision revision;
    if (auto head = headOf(after); !(head == headOf(before)))
        revision.head = std::move(head);
    if (!(before.brief == after.brief))
        revision.brief = after.brief;
    if (!(before.kit == after.kit))
        revision.kit = after.kit;
    revision.scenes = between(before.scenes, after.scenes);
    revision.setups = between(before.setups, after.setups);
    revision.plan = between(before.plan, after.plan);
    revision.records = between(before.records, after.records);
    return revision;
}

Shoot revised(const Shoot& before, const Revision& revision) {
    Shoot after = before;
    if (const auto& head = revision.head) {
        after.title = head->title;
        after.note = head->note;
        after.days = head->days;
        after.snrFloor = head->snrFloor;
        after.meter = head->meter;
        after.kitFile = head->kitFile;
        after.extra = head->extra;
    }
    if (revision.brief)
        after.brief = *revision.brief;
    if (revision.kit)
        after.kit = *revision.kit;
    revise(after.scenes, revision.scenes);
    revise(after.setups, revision.setups);
    revise(after.plan, revision.plan);
    revise(after.records, revision.records);
    return after;
}

Outcome checkRevision(const Shoot& after, const Revision& revision) {
    std::optional<Error> fault;
    const auto note = [&](std::optional<Error> found) {
        if (!fault)
            fault = std::move(found);
    };
    if (revision.head)
        note(faultOf(*revision.head, "shoot"));
    if (revision.brief)
        note(faultOf(*revision.brief, "brief"));
    if (revision.kit)
        note(faultOf(*revision.kit, "kit"));
    for (const auto& scene : revision.scenes.put)
        note(faultOf(scene, "scene " + scene.name));
    for (const auto& setup : revision.setups.put)
        note(faultOf(setup, "setup " + setup.number));
    for (const auto& day : revision.plan.put)
        note(faultOf(day, "day " + std::to_string(day.number)));
    for (const auto& record : revision.records.put)
        note(faultOf(record, "record of " + record.id));
    if (after.scenes.size() > kMostItems)
        note(tooMany("scenes", after.scenes.size()));
    if (after.setups.size() > kMostItems)
        note(tooMany("setups", after.setups.size()));
    return fault ? Outcome(*std::move(fault)) : Outcome(Done{});
}

} // namespace bslate
