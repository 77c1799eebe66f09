#include "core/kit/mode_print.h"

#include "core/quantity/scan.h"

#include <algorithm>
#include <charconv>
#include <regex>
#include <vector>

namespace bslate {
namespace {

void replaceAll(std::string& text, std::string_view from, std::string_view to) {
    for (auto at = text.find(from); at != std::string::npos; at = text.find(from, at + to.size()))
        text.replace(at, from.size(), to);
}

bool isPlausible(DataRate rate) {
    return rate >= kLeastPlausible && rate <= kMostPlausible;
}

// How many bits a second one of a unit is; the second where capitals leave it open.
std::vector<double> bitsOf(const std::string& unit) {
    const char scale = static_cast<char>(unit.front() | 0x20);
    const double factor = scale == 'k' ? 1e3 : scale == 'm' ? 1e6 : scale == 'g' ? 1e9 : 1e12;
    const auto lower = lowered(unit);
    const double over = lower.find("/min") != std::string::npos ? 60.0
                        : lower.find("/h") != std::string::npos ? 3600.0
                                                                : 1.0;
    if (unit.size() == 1 || lower.find("bit") != std::string::npos)
        return {factor / over};
    const bool bytes = unit[1] == 'B' || unit[1] == 'o' || unit[1] == 'O';
    const bool capitals =
        std::none_of(unit.begin(), unit.end(), [](char c) { return c >= 'a' && c <= 'z'; });
    if (bytes && capitals && over == 1.0 && unit.find('/') == std::string::npos)
        return {factor, 8 * factor};
    // "MB/S": whoever shouts the second shouts the bit.
    if (bytes && capitals && unit.back() == 'S')
        return {factor, 8 * factor};
    return {(bytes ? 8 * factor : factor) / over};
}

enum class Thousands { Yes, No };

// With the last sign parting thousands, or decimals.
double numberAs(const std::string& text, Thousands thousands) {
    const auto last = text.find_last_of(".,' ");
    std::string plain;
    for (std::size_t i = 0; i < text.size(); ++i)
        if (isDigit(text[i]))
            plain += text[i];
        else if (i == last && thousands == Thousands::No)
            plain += '.';
    double number = 0;
    std::from_chars(plain.data(), plain.data() + plain.size(), number);
    return number;
}

} // namespace

std::string plainPrint(std::string_view line) {
    std::string text(line);
    for (const auto& [from, to] : {std::pair{"\u00d7", "x"},
                                   {"\u2013", "-"},
                                   {"\u2014", "-"},
                                   {"\u2019", "'"},
                                   {"\u00a0", " "},
                                   {"\u2009", " "},
                                   {"\u202f", " "},
                                   {"\u2248", "~"}})
        replaceAll(text, from, to);
    static const std::regex comma("(^|[^0-9])(23|29|47|59|119),([0-9]{2,3})(?![0-9])");
    return std::regex_replace(text, comma, "$1$2.$3");
}

std::optional<PrintedBitRate> printedBitRate(const std::string& number, const std::string& unit) {
    const auto last = number.find_last_of(".,' ");
    std::vector<double> numbers;
    const auto behind = last == std::string::npos ? 0 : number.size() - last - 1;
    const bool parted = behind == 3 && last <= 3 + number.find_first_of(".,' ");
    const bool many = last != std::string::npos && number.find_first_of(".,' ") != last;
    if (last == std::string::npos || parted)
        numbers.push_back(numberAs(number, Thousands::Yes));
    const bool same = many && number[last] == number[number.find_first_of(".,' ")];
    // Three places that do not end in nothing are no decimals of a bit rate.
    const bool decimals = behind != 3 || number.back() == '0';
    if (last != std::string::npos && number[last] != '\'' && number[last] != ' ' && !same &&
        decimals)
        numbers.push_back(numberAs(number, Thousands::No));
    std::vector<DataRate> found;
    for (const double value : numbers)
        for (const double bits : bitsOf(unit))
            if (const DataRate rate(value * bits); isPlausible(rate))
                found.push_back(rate);
    if (found.empty())
        return std::nullopt;
    return PrintedBitRate{found.front(),
                          found.size() > 1 ? std::optional(found.back()) : std::nullopt};
}

PrintedBitRate bareBitRate(const std::string& number) {
    const double value = numberAs(number, Thousands::No);
    return {DataRate(value * 1e6), DataRate(value * 8e6)};
}

} // namespace bslate
