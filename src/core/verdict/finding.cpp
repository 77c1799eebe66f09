#include "core/verdict/finding.h"

#include "core/shoot/take_line.h"

namespace bslate {

std::string_view severityName(Severity severity) {
    switch (severity) {
    case Severity::Fault:
        return "fault";
    case Severity::Caution:
        return "caution";
    case Severity::Good:
        return "good";
    case Severity::Note:
        return "note";
    }
    return "note";
}

Shoot applied(const Shoot& shoot, const Edit& edit) {
    Shoot result = shoot;
    if (edit.setup)
        if (auto* setup = findSetup(result, edit.setup->id))
            *setup = *edit.setup;
    if (edit.scene)
        if (auto* scene = findScene(result, edit.scene->id))
            *scene = *edit.scene;
    if (edit.kit)
        result.kit = *edit.kit;
    if (edit.day)
        result = withDay(std::move(result), *edit.day);
    return result;
}

std::string Finding::key() const {
    return subject.empty() ? std::string(id) : std::string(id) + ":" + subject;
}

} // namespace bslate
