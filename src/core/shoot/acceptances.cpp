#include "core/shoot/acceptances.h"

namespace bslate {

bool accept(std::vector<Acceptance>& accepted, std::string_view finding, std::string_view reason) {
    constexpr std::string_view kBlank = " \t\r\n";
    const auto first = reason.find_first_not_of(kBlank);
    if (first == std::string_view::npos)
        return false;
    withdraw(accepted, finding);
    const auto last = reason.find_last_not_of(kBlank);
    accepted.push_back(
        {std::string(finding), std::string(reason.substr(first, last - first + 1)), {}});
    return true;
}

void withdraw(std::vector<Acceptance>& accepted, std::string_view finding) {
    std::erase_if(accepted, [&](const Acceptance& own) { return own.finding == finding; });
}

} // namespace bslate
