#pragma once

#include "cli/inputs.h"

#include <sstream>
#include <string>
#include <vector>

namespace bslate::cli {

/// Numbers parted by commas, each within a range; fails as numberOf() does, for no number too.
[[nodiscard]] inline Result<std::vector<double>> numbersIn(const char* option,
                                                           const std::string& text, double least,
                                                           double most, const char* expected) {
    std::vector<double> numbers;
    std::istringstream list(text);
    for (std::string item; std::getline(list, item, ',');) {
        const auto number = numberOf(option, item, least, most, expected);
        if (!number)
            return number.error();
        numbers.push_back(*number);
    }
    if (numbers.empty())
        return usage(option, text, expected);
    return numbers;
}

} // namespace bslate::cli
