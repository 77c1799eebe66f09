#include "core/judgement/told_once.h"

#include <algorithm>
#include <iterator>

namespace bslate {
namespace {

enum class WaysOut {
    OfAll,   ///< each of them is one
    OfCause, ///< what cures the cause cures what it does; theirs count where it has none
};

void moveUnder(Finding& cause, Finding&& finding, WaysOut ways) {
    if (ways == WaysOut::OfCause && !cause.remedies.empty())
        finding.remedies.clear();
    for (auto& remedy : finding.remedies)
        if (std::none_of(cause.remedies.begin(), cause.remedies.end(),
                         [&](const Remedy& own) { return own.edit == remedy.edit; }))
            cause.remedies.push_back(std::move(remedy));
    finding.remedies.clear();
    auto further = std::move(finding.follows);
    finding.follows.clear();
    cause.follows.push_back(std::move(finding));
    std::move(further.begin(), further.end(), std::back_inserter(cause.follows));
}

// Moves those that `belongs` names under the finding at `cause`, which may change its place.
template<class Belongs>
void gatherUnder(std::vector<Finding>& findings, FindingId cause, std::string_view subject,
                 WaysOut ways, Belongs belongs) {
    const auto head = std::find_if(findings.begin(), findings.end(), [&](const Finding& finding) {
        return finding.id == cause && finding.subject == subject;
    });
    if (head == findings.end())
        return;
    const auto follows = [&](const Finding& finding) {
        return &finding != &*head && finding.severity >= head->severity &&
               finding.accepted.has_value() == head->accepted.has_value() && belongs(finding);
    };
    std::vector<Finding> apart;
    std::ptrdiff_t place = 0;
    for (auto& finding : findings)
        if (&finding == &*head)
            place = std::ssize(apart);
        else if (follows(finding))
            moveUnder(*head, std::move(finding), ways);
        else
            apart.push_back(std::move(finding));
    apart.insert(apart.begin() + place, std::move(*head));
    findings = std::move(apart);
}

bool isOfAnEnd(const Finding& finding, const PatchPlacement& top, const PatchPlacement& bottom) {
    switch (finding.id) {
    case FindingId::PatchClipped:
    case FindingId::PatchNearClip:
        return finding.subject == top.id;
    case FindingId::PatchInNoise:
        return finding.subject == bottom.id;
    default:
        return finding.id == FindingId::PlaceOrHighlight;
    }
}

// What too much or too little light for the school does beside being that.
bool isOfTheLight(const Finding& finding, bool tooMuch, const PatchPlacement& top,
                  const PatchPlacement& bottom) {
    switch (finding.id) {
    case FindingId::SkinAbove:
    case FindingId::TooBrightAtMinimum:
        return tooMuch;
    case FindingId::SkinBelow:
        return !tooMuch;
    case FindingId::PatchNearClip:
        return tooMuch && finding.subject == top.id;
    case FindingId::PatchInNoise:
        return !tooMuch && finding.subject == bottom.id;
    default:
        return false;
    }
}

} // namespace

void tellOnce(std::vector<Finding>& findings, const Evaluation& at) {
    const auto* top = brightest(at);
    const auto* bottom = darkest(at);
    if (!top || !bottom)
        return;
    gatherUnder(findings, FindingId::PatchClipped, top->id, WaysOut::OfAll,
                [](const Finding& finding) { return finding.id == FindingId::PlaceOrHighlight; });
    gatherUnder(findings, FindingId::SceneWider, {}, WaysOut::OfAll,
                [&](const Finding& finding) { return isOfAnEnd(finding, *top, *bottom); });
    for (const auto light : {FindingId::NdNeeded, FindingId::NdLeftOver, FindingId::LightShort})
        gatherUnder(findings, light, {}, WaysOut::OfCause, [&](const Finding& finding) {
            return isOfTheLight(finding, light == FindingId::NdNeeded, *top, *bottom);
        });
}

std::vector<std::string> keysAccepted(const Finding& finding) {
    std::vector<std::string> keys = {finding.key()};
    for (const auto& other : finding.follows)
        if (other.id != FindingId::PlaceOrHighlight)
            keys.push_back(other.key());
    return keys;
}

const Finding* findTold(const std::vector<Finding>& findings, std::string_view key) {
    for (const auto& finding : findings) {
        if (finding.key() == key)
            return &finding;
        if (const auto* told = findTold(finding.follows, key))
            return told;
    }
    return nullptr;
}

} // namespace bslate
