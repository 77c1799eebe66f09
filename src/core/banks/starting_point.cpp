#include "core/banks/starting_point.h"

#include "core/kit/body_fields.h"

#include <algorithm>

namespace bslate {
namespace {

// By the project's rate where the body has no setups yet; empty where no region offers any.
std::string regionFor(const Shoot& shoot, const Camera& camera) {
    std::vector<FrameRate> wanted;
    for (const auto& setup : shoot.setups)
        if (setup.camera == camera.id)
            wanted.push_back(setup.rate);
    if (wanted.empty())
        wanted.push_back(shoot.brief.rate);
    std::string best;
    std::ptrdiff_t most = 0;
    for (const auto& region : camera.rateSets) {
        const auto offered = std::count_if(wanted.begin(), wanted.end(), [&](FrameRate rate) {
            return std::find(region.rates.begin(), region.rates.end(), rate) != region.rates.end();
        });
        if (offered > most) {
            most = offered;
            best = region.id;
        }
    }
    return best;
}

} // namespace

std::vector<Check> startingPoint(const Shoot& shoot, const Camera& camera) {
    std::vector<Check> checks;
    const auto add = [&](std::string id, Reason text, Reason why, std::string about,
                         std::optional<Reason> where = std::nullopt) {
        checks.push_back(
            {std::move(id), std::move(text), std::move(why), std::move(where), std::move(about)});
    };
    const auto& facts = camera.body.facts;
    add("start-record", {"start-record", {}}, {"why-start-record", {}}, camera.name);
    add("start-reset", {"start-reset", {}}, {"why-start-reset", {}}, camera.name);
    add("start-firmware",
        {facts.firmware.empty() ? "start-firmware" : "start-firmware-known",
         {{"firmware", facts.firmware}}},
        {"why-start-firmware", {}}, facts.firmware);
    if (const auto region = regionFor(shoot, camera); !region.empty())
        add("start-region", {"check-region", {{"region", region}}}, {"why-region", {}}, region);
    add("start-clock", {"check-clock", {}}, {"why-clock", {}}, "clock");
    for (const auto& automatic : camera.body.automatics)
        add("start-" + std::string(nameIn<AutomaticKind>(kAutomaticNames, automatic.kind)),
            {"start-automatic", {{"automatic", automatic.kind}}}, {"why-automatics", {}}, "off",
            automatic.where.empty() ? std::nullopt : std::optional(named(automatic.where)));
    if (camera.body.automatics.empty())
        add("start-automatics", {"start-automatics", {}}, {"why-automatics", {}}, "off");
    for (const auto& bank : banksOf(camera))
        if (bank.locked)
            add("start-bank-" + bank.label, {"start-bank-locked", {{"bank", bank.label}}},
                {"why-start-bank", {}}, bank.label);
    return checks;
}

} // namespace bslate
