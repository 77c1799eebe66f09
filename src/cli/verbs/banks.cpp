#include "cli/findings.h"
#include "cli/verb.h"
#include "core/banks/banks_verdict.h"
#include "core/kit/body_fields.h"
#include "core/quantity/print.h"
#include "core/words/bank_cards.h"
#include "core/words/body_words.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct BanksOptions {
    ShootFile file;
    std::string camera; ///< only this one; empty: all with setups
    bool asIs = false;
};

void askBanks(BanksOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--camera", o.camera, "only this camera id");
    list.flag("--as-is", o.asIs, "the threads the shoot has, not the best ones");
}

std::string_view settingKey(BodySetting setting) {
    return nameIn<BodySetting>(kSettingNames, setting);
}

// The camera's plan with the threads that are asked about.
struct Asked {
    const Camera& camera;
    CameraPlan plan;
    Threads threads;
    BankPlan now;
};

Json bankJson(const Asked& asked, std::size_t b) {
    const auto& bank = asked.plan.problem.banks[b];
    Json setups = Json::array(), values = Json::object();
    for (std::size_t k = 0; k < asked.threads.size(); ++k)
        if (asked.threads[k] == static_cast<int>(b))
            setups.push_back(asked.plan.problem.work.setups[k].id);
    if (const auto as = asked.now.writtenAs[b])
        for (const auto setting : kBankSettings)
            if (const auto& value = asked.plan.problem.work.setups[*as].settings[setting];
                value && holds(bank, setting))
                values[std::string(settingKey(setting))] = *value;
    Json holds = Json::array();
    for (const auto setting : bank.holds)
        holds.push_back(settingKey(setting));
    return {{"label", bank.label},
            {"holds", holds},
            {"place", nameIn<BankPlace>(kBankPlaceNames, bank.place)},
            {"locked", bank.locked},
            {"setups", setups},
            {"values", values}};
}

Json handsJson(const Asked& asked, std::size_t k) {
    const auto& use = asked.now.uses[k];
    Json settings = Json::array(), values = Json::object(), stands = Json::object();
    for (const auto& hand : use.byHand) {
        settings.push_back(settingKey(hand.setting));
        values[std::string(settingKey(hand.setting))] = hand.to;
    }
    for (const auto& one : use.stands)
        stands[std::string(settingKey(one.setting))] = one.to;
    return {{"setup", asked.plan.problem.work.setups[k].id},
            {"settings", settings},
            {"values", values},
            {"stands", stands},
            {"cost_s", use.cost.value()}};
}

// What comes up in which order with which settings, and what each takes by hand.
Json workJson(const BankProblem& problem) {
    Json visits = Json::array(), access = Json::object();
    for (const auto& visit : problem.work.visits) {
        const auto& setup = problem.work.setups[visit.setup];
        Json wanted = Json::object();
        for (std::size_t s = 0; s < kBodySettings; ++s) {
            const auto setting = static_cast<BodySetting>(s);
            if (const auto& value = setup.settings[setting])
                wanted[std::string(settingKey(setting))] = *value;
            access[std::string(settingKey(setting))] = problem.access[s].value();
        }
        visits.push_back({{"day", visit.day}, {"setup", setup.id}, {"wanted", wanted}});
    }
    return {{"visits", visits}, {"by_hand_s", access}, {"look_s", kLook.value()}};
}

Json controlJson(const Asked& asked, const ControlUse& use) {
    return {{"control", asked.camera.body.controls[use.control].label},
            {"function",
             use.function ? Json(nameIn<Function>(kFunctionNames, *use.function)) : Json(nullptr)},
            {"reason", reasonOf(use)},
            {"between", use.need.between},
            {"inside", use.need.inside}};
}

Json menuJson(const std::vector<FunctionNeed>& menu) {
    Json list = Json::array();
    for (const auto& need : menu)
        list.push_back(nameIn<Function>(kFunctionNames, need.function));
    return list;
}

Json cameraJson(const Shoot& shoot, const Asked& asked) {
    Json node = {{"camera", asked.camera.id}, {"banks", Json::array()}, {"by_hand", Json::array()}};
    for (std::size_t b = 0; b < asked.plan.problem.banks.size(); ++b)
        node["banks"].push_back(bankJson(asked, b));
    for (std::size_t k = 0; k < asked.now.uses.size(); ++k)
        node["by_hand"].push_back(handsJson(asked, k));
    node["work"] = workJson(asked.plan.problem);
    node["cost_s"] = asked.now.cost.value();
    node["at_least_s"] = asked.plan.best.plan.atLeast.value();
    node["proven"] = asked.plan.best.plan.proven;
    node["alternatives"] = Json::array();
    for (const auto school : kBankSchools)
        node["alternatives"].push_back(
            {{"school", keyOf(school)},
             {"cost_s",
              planWith(asked.plan.problem, threadsOf(asked.plan.problem, school)).cost.value()}});
    node["controls"] = Json::array();
    for (const auto& use : asked.plan.controls.uses)
        node["controls"].push_back(controlJson(asked, use));
    node["quick_menu"] = menuJson(asked.plan.controls.quickMenu);
    node["own_menu"] = Json::array();
    for (const auto& page : asked.plan.controls.ownMenu)
        node["own_menu"].push_back(menuJson(page));
    node["incomplete"] = asked.plan.problem.work.incomplete;
    node["findings"] = findingsJson(judgeBanks(shoot, asked.camera, asked.plan));
    return node;
}

Result<int> banks(const BanksOptions& options, Output& output) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    if (!options.camera.empty())
        if (const auto named = cameraNamed(shoot->kit, options.file.path, options.camera); !named)
            return named.error();
    Json cameras = Json::array();
    for (const auto& camera : shoot->kit.cameras) {
        if (!options.camera.empty() && camera.id != options.camera)
            continue;
        auto plan = planCamera(*shoot, camera);
        if (options.camera.empty() && plan.problem.work.setups.empty())
            continue;
        const auto threads = options.asIs ? threadsOf(plan.problem, *shoot) : plan.best.threads;
        Shoot asked = *shoot;
        for (const auto& setup : rethreaded(plan.problem, asked, threads))
            *findSetup(asked, setup.id) = setup;
        if (output.json) {
            auto now = planWith(plan.problem, threads);
            cameras.push_back(
                cameraJson(asked, {camera, std::move(plan), threads, std::move(now)}));
            continue;
        }
        output.text << cardText(bankCardOf(asked, camera, plan)) << "\n";
        tellFindings(judgeBanks(asked, camera, plan), output.text);
        if (plan.problem.banks.empty())
            output.text << "\n"
                        << camera.name
                        << " has no banks: every setup goes on from the one before.\n";
        output.text << "\nBest " << printDuration(plan.best.plan.cost) << ", at least "
                    << printDuration(plan.best.plan.atLeast) << "\n";
        for (const auto school : kBankSchools)
            output.text << nameOf(school) << ": "
                        << printDuration(
                               planWith(plan.problem, threadsOf(plan.problem, school)).cost)
                        << "\n";
        output.text << "\n" << cardText(controlCardOf(asked, camera, plan)) << "\n";
    }
    if (output.json)
        output.write(Json{{"cameras", cameras}});
    return 0;
}

} // namespace

extern const Verb kBanksVerb;
const Verb kBanksVerb{"banks", "Plan what the cameras' banks hold and their controls do",
                      "bslate banks slack-water.bslate --camera tarn-6",
                      prepared<BanksOptions, askBanks, banks>};

} // namespace bslate::cli
