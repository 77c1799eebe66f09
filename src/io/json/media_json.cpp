#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/schedule/carriers.h"
#include "io/json/kit_nodes.h"

namespace bslate::io {

std::string busesOf(CardForm form) {
    std::string names;
    for (const auto& bus : buses())
        if (bus.form == form)
            names += (names.empty() ? "one of " : ", ") + std::string(bus.name);
    return names + " for " + std::string(nameOf(form));
}

MemoryCard cardFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    MemoryCard card;
    card.id = node.text("id");
    card.name = node.text("name");
    card.form = node.oneOf("form", table(kFormNames));
    card.capacity = node.quantity("capacity", parseDataSize);
    card.speedClass = node.text("speed_class");
    card.bus = node.text("bus");
    card.usable = node.numberOr("usable", 0.01, 1, 1);
    if (node.has("read"))
        card.read = node.quantity("read", parseDataRate);
    card.count = node.wholeOr("count", 0, kMostUnits, 1);
    card.extra = node.extra();
    const auto known = findSpeedClass(card.speedClass);
    if (!state.error && (!known || known->name != card.speedClass))
        node.fail(ErrorCode::WrongType, "speed_class", card.speedClass,
                  "a class such as C10, U3, V60, V90 or VPG400");
    const auto bus = findBus(card.bus);
    if (!state.error && (!bus || bus->form != card.form))
        node.fail(ErrorCode::WrongType, "bus", card.bus, busesOf(card.form));
    return card;
}

Json cardJson(const MemoryCard& card) {
    Json node = {{"id", card.id},
                 {"name", card.name},
                 {"form", nameIn(table(kFormNames), card.form)},
                 {"capacity", spell(card.capacity)},
                 {"speed_class", card.speedClass},
                 {"bus", card.bus},
                 {"usable", card.usable},
                 {"count", card.count}};
    if (card.read)
        node["read"] = spell(*card.read);
    appendExtra(node, card.extra);
    return node;
}

Battery batteryFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Battery battery;
    battery.id = node.text("id");
    battery.name = node.text("name");
    battery.energy = node.quantity("energy", parseWattHours);
    battery.usable = node.numberOr("usable", 0.01, 1, 1);
    battery.health = node.numberOr("health", 0.01, 1, 1);
    battery.count = node.wholeOr("count", 0, kMostUnits, 1);
    battery.extra = node.extra();
    return battery;
}

Json batteryJson(const Battery& battery) {
    Json node = {{"id", battery.id}, {"name", battery.name}, {"energy", spell(battery.energy)}};
    if (battery.usable != 1)
        node["usable"] = battery.usable;
    if (battery.health != 1)
        node["health"] = battery.health;
    node["count"] = battery.count;
    appendExtra(node, battery.extra);
    return node;
}

namespace {

CardReader readerFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    CardReader reader;
    reader.id = node.text("id");
    reader.name = node.text("name");
    for (const auto& name : node.texts("forms")) {
        const auto known = std::find_if(kFormNames.begin(), kFormNames.end(),
                                        [&](const auto& form) { return form.name == name; });
        if (known != kFormNames.end())
            reader.forms.push_back(known->value);
        else
            node.fail(ErrorCode::WrongType, "forms", name,
                      "sd, cfexpress-a, cfexpress-b, cfexpress-c or cfast");
    }
    reader.bus = node.quantity("bus", parseDataRate);
    reader.count = node.wholeOr("count", 0, 100, 1);
    reader.extra = node.extra();
    return reader;
}

Json readerJson(const CardReader& reader) {
    Json node = {{"id", reader.id}, {"name", reader.name}};
    putList(node, "forms", reader.forms,
            [](CardForm form) { return nameIn(table(kFormNames), form); });
    node["bus"] = spell(reader.bus);
    node["count"] = reader.count;
    appendExtra(node, reader.extra);
    return node;
}

Drive driveFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Drive drive;
    drive.id = node.text("id");
    drive.name = node.text("name");
    drive.capacity = node.quantity("capacity", parseDataSize);
    drive.write = node.quantity("write", parseDataRate);
    drive.read = node.quantity("read", parseDataRate);
    drive.count = node.wholeOr("count", 0, 100, 1);
    drive.extra = node.extra();
    return drive;
}

Json driveJson(const Drive& drive) {
    Json node = {{"id", drive.id},
                 {"name", drive.name},
                 {"capacity", spell(drive.capacity)},
                 {"write", spell(drive.write)},
                 {"read", spell(drive.read)},
                 {"count", drive.count}};
    appendExtra(node, drive.extra);
    return node;
}

Charger chargerFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Charger charger;
    charger.id = node.text("id");
    charger.name = node.text("name");
    charger.bays = node.whole("bays", 1, 100);
    charger.power = node.quantity("power", parseWatts);
    charger.batteries = node.texts("batteries");
    charger.count = node.wholeOr("count", 0, 100, 1);
    charger.extra = node.extra();
    if (!state.error && !(charger.power.value() > 0))
        node.fail(ErrorCode::OutOfRange, "power", spell(charger.power), "more than 0 W a bay");
    return charger;
}

Json chargerJson(const Charger& charger) {
    Json node = {{"id", charger.id},
                 {"name", charger.name},
                 {"bays", charger.bays},
                 {"power", spell(charger.power)},
                 {"batteries", charger.batteries},
                 {"count", charger.count}};
    appendExtra(node, charger.extra);
    return node;
}

} // namespace

void readStation(ObjectReader& node, Kit& kit) {
    auto& state = node.state();
    if (node.has("readers"))
        kit.readers =
            node.list<CardReader>("readers", [&](const Json& item, const std::string& at) {
                return readerFrom(item, at, state);
            });
    if (node.has("drives"))
        kit.drives = node.list<Drive>("drives", [&](const Json& item, const std::string& at) {
            return driveFrom(item, at, state);
        });
    if (node.has("chargers"))
        kit.chargers = node.list<Charger>("chargers", [&](const Json& item, const std::string& at) {
            return chargerFrom(item, at, state);
        });
}

void writeStation(Json& node, const Kit& kit) {
    putList(node, "readers", kit.readers, readerJson);
    putList(node, "drives", kit.drives, driveJson);
    putList(node, "chargers", kit.chargers, chargerJson);
}

} // namespace bslate::io
