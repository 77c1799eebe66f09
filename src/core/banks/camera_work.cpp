#include "core/banks/camera_work.h"

#include "core/base/index_by_id.h"
#include "core/facts/evaluate.h"
#include "core/shoot/take_line.h"

#include <algorithm>
#include <map>
#include <set>

namespace bslate {
namespace {

// Setups of the camera that no take plans, by the day of their scene and its hour.
std::map<int, std::vector<const Setup*>> unplannedByDay(const Shoot& shoot, const Camera& camera) {
    std::set<std::string_view> planned;
    for (const auto& day : shoot.plan)
        for (const auto& take : day.takes)
            planned.insert(take.setups.begin(), take.setups.end());
    const auto scenes = indexById(shoot.scenes);
    std::map<int, std::vector<std::pair<double, const Setup*>>> timed;
    for (const auto& setup : shoot.setups) {
        const auto* scene = findIn(scenes, setup.scene);
        if (setup.camera == camera.id && scene && !planned.contains(setup.id))
            timed[scene->day].emplace_back(scene->start ? scene->start->value() : 1e9, &setup);
    }
    std::map<int, std::vector<const Setup*>> byDay;
    for (auto& [day, setups] : timed) {
        std::stable_sort(setups.begin(), setups.end(),
                         [](const auto& a, const auto& b) { return a.first < b.first; });
        for (const auto& [start, setup] : setups)
            byDay[day].push_back(setup);
    }
    return byDay;
}

// Setups of the camera that roll on a day: those of its takes first, then those of its scenes.
std::vector<const Setup*> setupsOnDay(const Shoot& shoot, const Camera& camera, int number,
                                      const std::vector<const Setup*>& unplanned) {
    std::vector<const Setup*> order;
    const auto day = dayOf(shoot, number);
    for (const auto& timed : timesOf(day))
        for (const auto& id : timed.take->setups)
            if (const auto* setup = findSetup(shoot, id); setup && setup->camera == camera.id)
                order.push_back(setup);
    order.insert(order.end(), unplanned.begin(), unplanned.end());
    return order;
}

// What happens to the body before a visit.
struct Before {
    bool powerOn = false, lens = false, mode = false;
};

// What does not stay: a slip to a value that is wanted is one setting less for the hand.
void slip(const Camera& camera, const WorkSetup& now, Before before, Visit& visit) {
    if (before.lens) // its own ring, wherever it stands
        visit.slipped.set(static_cast<std::size_t>(BodySetting::Iris));
    for (const auto& slip : camera.body.slips) {
        const bool happens = slip.cause == SlipCause::PowerOn ? before.powerOn
                             : slip.cause == SlipCause::Lens  ? before.lens
                             : slip.cause == SlipCause::Mode  ? before.mode
                                                              : false;
        const auto& wanted = now.settings[slip.setting];
        const auto at = static_cast<std::size_t>(slip.setting);
        if (!happens || !wanted)
            continue;
        visit.slipped.set(at, *wanted != slip.to);
        visit.arrived.set(at, *wanted == slip.to);
    }
}

// A region that changes restarts the body.
bool restarts(const WorkSetup& before, const WorkSetup& now) {
    const auto& was = before.settings[BodySetting::Region];
    const auto& is = now.settings[BodySetting::Region];
    return was && is && *was != *is;
}

void number(CameraWork& work) {
    std::array<std::map<std::string, int>, kBodySettings> known;
    for (auto& setup : work.setups)
        for (std::size_t s = 0; s < kBodySettings; ++s) {
            const auto& text = setup.settings[static_cast<BodySetting>(s)];
            setup.values[s] =
                text ? known[s].emplace(*text, static_cast<int>(known[s].size())).first->second
                     : -1;
        }
}

} // namespace

CameraWork workOf(const Shoot& shoot, const Camera& camera) {
    CameraWork work;
    work.camera = camera.id;
    work.name = camera.name;
    std::map<std::string, std::size_t> index;
    std::vector<const Setup*> setups;
    for (const auto& setup : shoot.setups) {
        if (setup.camera != camera.id)
            continue;
        const auto context = resolve(shoot, setup);
        if (!context) {
            work.incomplete.push_back(setup.number);
            continue;
        }
        index[setup.id] = work.setups.size();
        setups.push_back(&setup);
        work.setups.push_back({setup.id,
                               setup.number,
                               setup.name,
                               setup.scene,
                               bodySettingsOf(*context, evaluate(*context)),
                               {}});
    }
    number(work);
    auto unplanned = unplannedByDay(shoot, camera);
    int before = 0; // the day of the visit before
    for (const int day : dayNumbers(shoot))
        for (const auto* setup : setupsOnDay(shoot, camera, day, unplanned[day])) {
            const auto found = index.find(setup->id);
            if (found == index.end())
                continue;
            Visit visit{day, found->second, {}, {}, {}, {}};
            const auto& own = work.setups[visit.setup];
            if (work.visits.empty()) {
                slip(camera, own, {true, false, false}, visit);
                visit.slipped.reset(); // nothing is known of it before
                const auto& region = own.settings[BodySetting::Region];
                visit.found[static_cast<std::size_t>(BodySetting::Region)] =
                    region && *region == camera.body.facts.region;
            } else {
                visit.after = work.visits.back().setup;
                if (visit.after == visit.setup && day == before)
                    continue;
                const auto* last = setups[*visit.after];
                const bool powerOn = day != before || restarts(work.setups[*visit.after], own);
                slip(camera, own, {powerOn, last->lens != setup->lens, last->mode != setup->mode},
                     visit);
            }
            before = day;
            work.visits.push_back(visit);
        }
    return work;
}

} // namespace bslate
