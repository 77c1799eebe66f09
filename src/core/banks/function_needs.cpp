#include "core/banks/function_needs.h"

#include "core/base/index_by_id.h"
#include "core/shoot/handling_of.h"

#include <algorithm>

namespace bslate {
namespace {

class Needs {
public:
    Needs() {
        for (std::size_t f = 0; f < kFunctions; ++f)
            m_all[f].function = static_cast<Function>(f);
    }
    void between(Function function, int times = 1) { at(function).between += times; }
    void inside(Function function) { ++at(function).inside; }
    void forget(Function function) { at(function) = {function, 0, 0}; }
    [[nodiscard]] std::vector<FunctionNeed> sorted() const {
        std::vector<FunctionNeed> needs(m_all.begin(), m_all.end());
        std::stable_sort(needs.begin(), needs.end(),
                         [](const auto& a, const auto& b) { return a.weight() > b.weight(); });
        return needs;
    }

private:
    FunctionNeed& at(Function function) { return m_all[static_cast<std::size_t>(function)]; }
    std::array<FunctionNeed, kFunctions> m_all;
};

// The lever that follows light which changes while a take runs.
Function riddenLever(Payer payer) {
    return payer == Payer::Nd       ? Function::Nd
           : payer == Payer::Rating ? Function::Rating
                                    : Function::Iris;
}

// What is looked at or turned at every take of a setup, whatever the banks bring back.
void addTakes(const Shoot& shoot, const Setup& setup, const Scene& scene, Needs& needs) {
    const auto handling = handlingOf(scene, setup);
    const auto* profile = findProfile(shoot.kit, setup.profile);
    needs.between(Function::Record);
    needs.between(Function::Zebra);
    if (profile && isLog(*profile))
        needs.between(Function::ViewLut);
    if (handling.focus == FocusBy::Continuous || handling.focus == FocusBy::Faces)
        needs.between(Function::Focus);
    else
        needs.between(Function::Magnify);
    if (handling.support == Support::Shoulder || handling.support == Support::Hand)
        needs.between(Function::Level);
    if (handling.wantsSound())
        needs.inside(Function::AudioLevel);
    if (scene.change)
        needs.inside(riddenLever(setup.payer));
}

// Everything that is not as it was at the setup before.
std::array<int, kBodySettings> differences(const CameraWork& work) {
    std::array<int, kBodySettings> turned{};
    for (const auto& visit : work.visits)
        for (std::size_t s = 0; s < kBodySettings; ++s) {
            const int wanted = work.setups[visit.setup].values[s];
            const bool stays =
                visit.after && !visit.slipped[s] && work.setups[*visit.after].values[s] == wanted;
            turned[s] += wanted >= 0 && !stays ? 1 : 0;
        }
    return turned;
}

} // namespace

std::optional<Function> functionOf(BodySetting setting) {
    switch (setting) {
    case BodySetting::Rate:
        return Function::Rate;
    case BodySetting::Shutter:
        return Function::Shutter;
    case BodySetting::Profile:
        return Function::Profile;
    case BodySetting::Base:
        return Function::Base;
    case BodySetting::Rating:
        return Function::Rating;
    case BodySetting::White:
        return Function::White;
    case BodySetting::Zebra:
        return Function::Zebra;
    case BodySetting::Focus:
        return Function::Focus;
    case BodySetting::Stabiliser:
        return Function::Stabiliser;
    case BodySetting::Nd:
        return Function::Nd;
    case BodySetting::Iris:
        return Function::Iris;
    case BodySetting::Compensation:
        return Function::Compensation;
    case BodySetting::Sound: // where it comes from, no level
    case BodySetting::Region:
    case BodySetting::Mode:
    case BodySetting::Controls:
        break;
    }
    return std::nullopt;
}

std::vector<FunctionNeed> needsOf(const Shoot& shoot, const CameraWork& work, const Turns* turns) {
    Needs needs;
    const auto turned = turns ? turns->byHand : differences(work);
    for (std::size_t s = 0; s < kBodySettings; ++s)
        if (const auto function = functionOf(static_cast<BodySetting>(s)))
            needs.between(*function, turned[s]);
    needs.between(Function::Recall, turns ? turns->recalls : 0);
    const auto setups = indexById(shoot.setups);
    for (const auto& visit : work.visits) {
        const auto* setup = findIn(setups, work.setups[visit.setup].id);
        const auto* scene = setup ? findScene(shoot, setup->scene) : nullptr;
        if (scene)
            addTakes(shoot, *setup, *scene, needs);
    }
    if (const auto* camera = findCamera(shoot.kit, work.camera);
        camera && camera->builtInNd.empty())
        needs.forget(Function::Nd); // a filter is put in by hand
    return needs.sorted();
}

} // namespace bslate
