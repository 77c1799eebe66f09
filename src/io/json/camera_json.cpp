#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"

namespace bslate::io {
namespace {

constexpr std::array kTapNames = {NamedValue<ZebraTap>{"recorded", ZebraTap::Recorded},
                                  NamedValue<ZebraTap>{"viewing-lut", ZebraTap::ViewingLut}};

constexpr std::array kZebraKinds = {NamedValue<ZebraKind>{"limit", ZebraKind::Limit},
                                    NamedValue<ZebraKind>{"band", ZebraKind::Band}};
constexpr std::string_view kThirdStops = "third-stops";
constexpr std::string_view kHalfStops = "half-stops";

BaseIso baseFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    BaseIso base;
    base.iso = node.quantity("iso", parseExposureIndex);
    base.sensor.fullWell = Electrons(node.number("full_well_e", 1, 1e9));
    base.sensor.readNoise = Electrons(node.number("read_noise_e", 0, 1e5));
    base.sensor.prnu = node.numberOr("prnu", 0, 0.1, 0);
    base.sensor.clip = Stops(node.number("clip_stops", -5, 20));
    base.extra = node.extra();
    return base;
}

Json baseJson(const BaseIso& base) {
    Json node = {{"iso", spell(base.iso)},
                 {"full_well_e", base.sensor.fullWell.value()},
                 {"read_noise_e", base.sensor.readNoise.value()},
                 {"prnu", base.sensor.prnu},
                 {"clip_stops", base.sensor.clip.value()}};
    appendExtra(node, base.extra);
    return node;
}

ShutterDial shutterFrom(ObjectReader& camera) {
    ObjectReader node(camera.child("shutter"), camera.pointer("shutter"), camera.state());
    ShutterDial dial;
    dial.angleStep = node.numberOr("angle_step_deg", 0, 90, 0);
    for (const auto& entry : node.texts("times")) {
        if (entry == kThirdStops || entry == kHalfStops) {
            const auto named = entry == kThirdStops ? thirdStopTimes() : halfStopTimes();
            dial.times.insert(dial.times.end(), named.begin(), named.end());
            continue;
        }
        const auto time = parseSeconds(entry);
        if (time)
            dial.times.push_back(*time);
        else
            node.fail(time.error().code, "times", entry,
                      "\"third-stops\", \"half-stops\" or " + time.error().expected);
    }
    camera.keep("shutter", node.extra());
    return dial;
}

Json shutterJson(const ShutterDial& dial) {
    Json times = Json::array();
    const auto is = [&](std::span<const Seconds> named) {
        return std::equal(dial.times.begin(), dial.times.end(), named.begin(), named.end());
    };
    if (is(thirdStopTimes()))
        times.push_back(kThirdStops);
    else if (is(halfStopTimes()))
        times.push_back(kHalfStops);
    else
        for (const auto time : dial.times)
            times.push_back(spell(Shutter(time)));
    return {{"angle_step_deg", dial.angleStep}, {"times", times}};
}

ZebraDial zebraFrom(ObjectReader& camera) {
    ObjectReader node(camera.child("zebra"), camera.pointer("zebra"), camera.state());
    ZebraDial dial;
    dial.step = node.number("step_percent", 0.1, 50);
    dial.lowest = Level(node.numberOr("lowest_percent", 0, 110, 0));
    dial.highest = Level(node.numberOr("highest_percent", 0, 110, 109));
    dial.tap = node.oneOf("tap", table(kTapNames));
    if (node.has("kinds")) {
        dial.kinds.clear();
        for (const auto& name : node.texts("kinds")) {
            if (name != "limit" && name != "band")
                node.fail(ErrorCode::WrongType, "kinds", name, "limit or band");
            dial.kinds.push_back(name == "band" ? ZebraKind::Band : ZebraKind::Limit);
        }
    }
    if (dial.highest < dial.lowest)
        node.fail(ErrorCode::OutOfRange, "highest_percent", {}, "no less than lowest_percent");
    camera.keep("zebra", node.extra());
    return dial;
}

Json zebraJson(const ZebraDial& zebra) {
    Json kinds = Json::array();
    for (const auto kind : zebra.kinds)
        kinds.push_back(nameIn(table(kZebraKinds), kind));
    return {{"step_percent", zebra.step},
            {"lowest_percent", zebra.lowest.value()},
            {"highest_percent", zebra.highest.value()},
            {"tap", nameIn(table(kTapNames), zebra.tap)},
            {"kinds", kinds}};
}

IsoRule isoRuleFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    IsoRule rule;
    rule.profile = node.textOr("profile", {});
    rule.codec = node.textOr("codec", {});
    rule.behaviour = node.oneOf("iso", table(kIsoNames));
    if (node.has("minimum_iso"))
        rule.minimum = node.quantity("minimum_iso", parseExposureIndex);
    if (node.has("maximum_iso"))
        rule.maximum = node.quantity("maximum_iso", parseExposureIndex);
    if (rule.minimum && rule.maximum && *rule.maximum < *rule.minimum)
        node.fail(ErrorCode::OutOfRange, "maximum_iso", {}, "no less than minimum_iso");
    rule.extra = node.extra();
    return rule;
}

Json isoRuleJson(const IsoRule& rule) {
    Json node = {{"profile", rule.profile},
                 {"codec", rule.codec},
                 {"iso", nameIn(table(kIsoNames), rule.behaviour)}};
    if (rule.minimum)
        node["minimum_iso"] = spell(*rule.minimum);
    if (rule.maximum)
        node["maximum_iso"] = spell(*rule.maximum);
    appendExtra(node, rule.extra);
    return node;
}

RateSet rateSetFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    RateSet set{node.text("id"), node.quantities("rates", parseFrameRate), {}};
    set.extra = node.extra();
    return set;
}

Json rateSetJson(const RateSet& set) {
    Json node = {{"id", set.id}};
    putList(node, "rates", set.rates, [](FrameRate rate) { return spell(rate); });
    appendExtra(node, set.extra);
    return node;
}

Slot slotFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Slot slot{node.text("id"),  node.text("name"), node.oneOf("form", table(kFormNames)),
              node.text("bus"), std::nullopt,      {}};
    if (node.has("most"))
        slot.most = node.quantity("most", parseDataRate);
    const auto bus = findBus(slot.bus);
    if (!state.error && (!bus || bus->form != slot.form))
        node.fail(ErrorCode::WrongType, "bus", slot.bus, busesOf(slot.form));
    slot.extra = node.extra();
    return slot;
}

Json slotJson(const Slot& slot) {
    Json node = {{"id", slot.id},
                 {"name", slot.name},
                 {"form", nameIn(table(kFormNames), slot.form)},
                 {"bus", slot.bus}};
    if (slot.most)
        node["most"] = spell(*slot.most);
    appendExtra(node, slot.extra);
    return node;
}

Banks banksFrom(ObjectReader& camera, int version) {
    if (version == 1)
        return {camera.wholeOr("banks", 0, 100, 0), 0};
    if (!camera.has("banks"))
        return {};
    ObjectReader node(camera.child("banks"), camera.pointer("banks"), camera.state());
    const Banks banks{node.wholeOr("internal", 0, 100, 0), node.wholeOr("on_card", 0, 100, 0)};
    camera.keep("banks", node.extra());
    return banks;
}

void readBody(ObjectReader& node, Camera& camera, int version) {
    auto& state = node.state();
    camera.shutter = shutterFrom(node);
    camera.zebra = zebraFrom(node);
    camera.whiteStepKelvin = node.numberOr("white_step_k", 1, 1000, 100);
    camera.banks = banksFrom(node, version);
    camera.cardSlots = node.list<Slot>("slots", [&](const Json& item, const std::string& at) {
        return slotFrom(item, at, state);
    });
    camera.batteries = node.texts("batteries");
    camera.draw = node.quantityOr("draw", parseWatts, Watts(0));
    camera.standby = node.quantityOr("standby", parseWatts, Watts(0));
    camera.buffer = node.quantityOr("buffer", parseDataSize, DataSize(0));
    camera.proxyRate = node.quantityOr("proxy_rate", parseDataRate, Camera{}.proxyRate);
    camera.fan = node.flagOr("fan", false);
    camera.fixedLens = node.textOr("fixed_lens", {});
    camera.builtInNd =
        node.list<Filter>("built_in_nd", [&](const Json& item, const std::string& at) {
            return filterFrom(item, at, state, true);
        });
}

} // namespace

Camera cameraFrom(const Json& json, const std::string& place, ReadState& state, int version) {
    ObjectReader node(json, place, state);
    Camera camera;
    camera.id = node.text("id");
    camera.name = node.text("name");
    camera.bases = node.list<BaseIso>("bases", [&](const Json& item, const std::string& at) {
        return baseFrom(item, at, state);
    });
    camera.profiles = node.texts("profiles");
    camera.isoRules = node.list<IsoRule>("iso_rules", [&](const Json& item, const std::string& at) {
        return isoRuleFrom(item, at, state);
    });
    readModes(node, camera, version);
    camera.rateSets = node.list<RateSet>("rate_sets", [&](const Json& item, const std::string& at) {
        return rateSetFrom(item, at, state);
    });
    camera.regionSwitch = node.textOr("region_switch", {});
    camera.constraints = node.list<Constraint>(
        "constraints",
        [&](const Json& item, const std::string& at) { return constraintFrom(item, at, state); },
        kMostConstraints);
    readBody(node, camera, version);
    camera.extra = node.extra();
    if (camera.bases.empty())
        node.fail(ErrorCode::OutOfRange, "bases", {}, "at least one base ISO");
    if (camera.modes.empty())
        node.fail(ErrorCode::OutOfRange, "modes", {}, "at least one recording mode");
    return camera;
}

Json cameraJson(const Camera& camera) {
    Json node = {{"id", camera.id}, {"name", camera.name}};
    putList(node, "bases", camera.bases, baseJson);
    node["profiles"] = camera.profiles;
    putList(node, "iso_rules", camera.isoRules, isoRuleJson);
    writeModes(node, camera);
    putList(node, "rate_sets", camera.rateSets, rateSetJson);
    node["region_switch"] = camera.regionSwitch;
    putList(node, "constraints", camera.constraints, constraintJson);
    node["shutter"] = shutterJson(camera.shutter);
    node["zebra"] = zebraJson(camera.zebra);
    node["white_step_k"] = camera.whiteStepKelvin;
    node["banks"] = {{"internal", camera.banks.internal}, {"on_card", camera.banks.onCard}};
    putList(node, "slots", camera.cardSlots, slotJson);
    node["batteries"] = camera.batteries;
    if (camera.draw.value() > 0)
        node["draw"] = spell(camera.draw);
    if (camera.standby.value() > 0)
        node["standby"] = spell(camera.standby);
    if (camera.buffer.value() > 0)
        node["buffer"] = spell(camera.buffer);
    if (camera.proxyRate != Camera{}.proxyRate)
        node["proxy_rate"] = spell(camera.proxyRate);
    node["fan"] = camera.fan;
    if (!camera.fixedLens.empty())
        node["fixed_lens"] = camera.fixedLens;
    putList(node, "built_in_nd", camera.builtInNd, filterJson);
    appendExtra(node, camera.extra);
    return node;
}

} // namespace bslate::io
