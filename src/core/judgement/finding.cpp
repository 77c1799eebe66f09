#include "core/judgement/finding.h"

#include <algorithm>

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

std::string keyOf(FindingId id, std::string_view subject) {
    std::string key(kindOf(id).key);
    if (!subject.empty())
        key.append(":").append(subject);
    return key;
}

std::string Finding::key() const {
    return keyOf(id, subject);
}

int countOf(const std::vector<Finding>& findings, Severity severity) {
    return static_cast<int>(std::count_if(findings.begin(), findings.end(), [&](const Finding& f) {
        return f.severity == severity && !f.accepted;
    }));
}

} // namespace bslate
