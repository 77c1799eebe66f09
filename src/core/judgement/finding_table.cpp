#include "core/judgement/finding_table.h"

#include "core/judgement/kinds/kinds.h"

#include <array>

namespace bslate {

std::span<const std::span<const FindingKind>> findingKinds() {
    static const std::array parts = {kinds::light(), kinds::recording(), kinds::takes(),
                                     kinds::day(),   kinds::hands(),     kinds::banks(),
                                     kinds::white(), kinds::frame(),     kinds::clips()};
    return parts;
}

const FindingKind& kindOf(FindingId id) {
    auto index = static_cast<std::size_t>(id);
    for (const auto part : findingKinds()) {
        if (index < part.size())
            return part[index];
        index -= part.size();
    }
    return kinds::light().front();
}

std::optional<FindingId> findFinding(std::string_view key) {
    for (const auto part : findingKinds())
        for (const auto& kind : part)
            if (kind.key == key)
                return kind.id;
    return std::nullopt;
}

const char* titleOf(HelpPage page) {
    switch (page) {
    case HelpPage::Scene:
        return "The scene on the recording";
    case HelpPage::Rating:
        return "Rating, base and ISO";
    case HelpPage::Shutter:
        return "Shutter, rate and motion";
    case HelpPage::Lamps:
        return "Flicker";
    case HelpPage::Curve:
        return "Profile, curve and zebra";
    case HelpPage::Recording:
        return "The way of recording";
    case HelpPage::Cameras:
        return "Cameras beside each other";
    case HelpPage::Takes:
        return "What ends a take";
    case HelpPage::Safety:
        return "What can hurt someone";
    case HelpPage::Day:
        return "The day";
    case HelpPage::Hands:
        return "Held, focused, left to itself";
    case HelpPage::Banks:
        return "Banks and controls";
    case HelpPage::White:
        return "White and the colours of light";
    case HelpPage::Frame:
        return "The frame as it is recorded";
    case HelpPage::Clips:
        break;
    }
    return "Recorded clips";
}

} // namespace bslate
