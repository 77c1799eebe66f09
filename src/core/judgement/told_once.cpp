#include "core/judgement/told_once.h"

#include <algorithm>
#include <iterator>

namespace bslate {
namespace {

void moveUnder(Finding& cause, Finding&& finding) {
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
                 Belongs belongs) {
    const auto head = std::find_if(findings.begin(), findings.end(), [&](const Finding& finding) {
        return finding.id == cause && finding.subject == subject;
    });
    if (head == findings.end())
        return;
    std::vector<Finding> apart;
    for (auto& finding : findings)
        if (&finding != &*head && finding.accepted.has_value() == head->accepted.has_value() &&
            belongs(finding))
            moveUnder(*head, std::move(finding));
        else if (&finding != &*head)
            apart.push_back(std::move(finding));
    apart.insert(apart.begin() + std::min(head - findings.begin(), std::ssize(apart)),
                 std::move(*head));
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

} // namespace

void tellOnce(std::vector<Finding>& findings, const Evaluation& at) {
    const auto* top = brightest(at);
    const auto* bottom = darkest(at);
    if (!top || !bottom)
        return;
    gatherUnder(findings, FindingId::PatchClipped, top->id,
                [](const Finding& finding) { return finding.id == FindingId::PlaceOrHighlight; });
    gatherUnder(findings, FindingId::SceneWider, {},
                [&](const Finding& finding) { return isOfAnEnd(finding, *top, *bottom); });
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
