#pragma once

#include "support/sample_recording.h"

#include <string>
#include <utility>
#include <vector>

/// A day of two cameras built in code, for everything that plans and judges days: eight-minute
/// takes of the first one, which mirrors, a talk of seventy minutes on both that must not stop, and
/// two takes of the second. Invented, like its gear.
namespace bslate::sample {

inline Camera dayCamera(std::string id, std::vector<Slot> slots, double watts) {
    Camera body = camera(std::move(id), {0.1, {}});
    body.cardSlots = std::move(slots);
    body.draw = Watts(watts);
    body.standby = Watts(watts * 0.6);
    body.buffer = DataSize(0.6e9);
    body.codecs[0].peak = 1.3;
    body.modes.clear();
    return body;
}

inline RecordingMode& addMode(Camera& body, const std::string& id, double megabits) {
    RecordingMode mode;
    mode.id = mode.name = id;
    mode.area = "full";
    mode.codec = "intra";
    mode.rates = {{fps(24), DataRate(megabits * 1e6)}};
    body.modes.push_back(mode);
    return body.modes.back();
}

inline Take take(std::string id, std::vector<std::string> setups, double minutes, double gap) {
    Take take;
    take.id = take.name = std::move(id);
    take.setups = std::move(setups);
    take.length = Seconds(minutes * 60);
    take.gap = Seconds(gap * 60);
    return take;
}

struct DayBench {
    Shoot shoot = sample::shoot();

    DayBench() {
        auto& kit = shoot.kit;
        Camera first = dayCamera("first",
                                 {{"cf", "CF slot", CardForm::CfExpressB, "CFexpress B", {}, {}},
                                  {"sd", "SD slot", CardForm::Sd, "UHS-II", {}, {}}},
                                 21);
        addMode(first, "intra", 240);
        addMode(first, "long", 140);
        addMode(first, "raw", 1400).slotIds = {"cf"};
        Camera second = dayCamera("second",
                                  {{"sd-1", "slot 1", CardForm::Sd, "UHS-II", {}, {}},
                                   {"sd-2", "slot 2", CardForm::Sd, "UHS-II", DataRate(150e6), {}}},
                                  7.5);
        addMode(second, "lean", 100);
        addMode(second, "rich", 200).clipLimit = Seconds(1799);
        auto& hot = addMode(second, "hot", 230);
        hot.heat = {{Celsius(25), Seconds(55 * 60.0)}, {Celsius(35), Seconds(25 * 60.0)}};
        kit.cameras = {first, second};
        kit.gels = {{"gel", "Warm half", Mired(81), Duv(0), Fraction(0.73), {}}};
        kit.cards = {
            {"v60", "SD V60", CardForm::Sd, DataSize(128e9), "V60", "UHS-II", 1, {}, 4, {}},
            {"v30", "SD V30", CardForm::Sd, DataSize(64e9), "V30", "UHS-I", 1, {}, 2, {}},
            {"cf",
             "CF",
             CardForm::CfExpressB,
             DataSize(512e9),
             "VPG400",
             "CFexpress B",
             1,
             {},
             2,
             {}}};
        kit.batteries = {{"small", "Small", WattHours(16), 0.9, 0.85, 6, {}},
                         {"large", "Large", WattHours(98), 0.9, 1.0, 3, {}}};
        kit.cameras[0].batteries = {"large"};
        kit.cameras[1].batteries = {"small"};
        kit.readers = {
            {"reader", "Reader", {CardForm::Sd, CardForm::CfExpressB}, DataRate(10e9), 1, {}}};
        kit.drives = {{"one", "Drive", DataSize(2e12), DataRate(8e9), DataRate(12e9), 1, {}},
                      {"two", "Backup", DataSize(4e12), DataRate(3.2e9), DataRate(3.6e9), 1, {}}};
        kit.chargers = {{"charger", "Charger", 2, Watts(45), {}, 1, {}}};
        shoot.brief.copies = 2;
        shoot.brief.rate = fps(24);
        shoot.scenes[0].ambient = Celsius(26);
        shoot.scenes[0].footage = Seconds(200 * 60.0);
        shoot.setups.clear();
        addSetup("W", "first", "intra", SecondSlot::Mirror);
        addSetup("T", "first", "long", SecondSlot::Mirror);
        addSetup("S", "second", "lean", SecondSlot::Unused);
        ShootDay day;
        day.start = Seconds(8 * 3600.0);
        day.safeBy = Seconds(22.75 * 3600);
        day.takes = {take("t1", {"W"}, 8, 0),          take("t2", {"W"}, 8, 7),
                     take("t3", {"W"}, 8, 7),          take("t4", {"W"}, 5, 7),
                     take("talk", {"T", "S"}, 70, 30), take("t6", {"S"}, 12, 20),
                     take("t7", {"S"}, 8, 5)};
        day.takes[4].whole = true;
        day.takes[4].at = Seconds(13 * 3600.0);
        shoot.plan = {day};
    }

    void addSetup(const char* id, const char* camera, const char* mode, SecondSlot second) {
        Setup setup = sample::shoot().setups[0];
        setup.id = setup.number = id;
        setup.camera = camera;
        setup.mode = mode;
        setup.secondSlot = second;
        shoot.setups.push_back(setup);
    }
};

} // namespace bslate::sample
