#include "core/kit/mode_words.h"

#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <functional>
#include <regex>

namespace bslate {
namespace {

constexpr std::size_t kLongestLine = 500;

void replaceAll(std::string& text, std::string_view from, std::string_view to) {
    for (auto at = text.find(from); at != std::string::npos; at = text.find(from, at + to.size()))
        text.replace(at, from.size(), to);
}

// Signs of print as those of a keyboard; a decimal comma in a rate as a point.
std::string plainSigns(std::string_view line) {
    std::string text(line.substr(0, kLongestLine));
    for (const auto& [from, to] : {std::pair{"\u00d7", "x"},
                                   {"\u2013", "-"},
                                   {"\u2014", "-"},
                                   {"\u00a0", " "},
                                   {"\u2009", " "},
                                   {"\u2248", "~"}})
        replaceAll(text, from, to);
    static const std::regex comma("\\b(23|29|47|59|119),([0-9]{2,3})(?![0-9])");
    return std::regex_replace(text, comma, "$1.$2");
}

// Takes pieces out of a line, one kind after the other, so that a later one does not see them.
class Taker {
public:
    explicit Taker(std::string text)
        : m_text(std::move(text)) {}

    /// Asks `take` for each match; what it takes is gone.
    void each(const std::regex& pattern, const std::function<bool(const std::smatch&)>& take) {
        std::smatch match;
        auto from = m_text.cbegin();
        while (std::regex_search(from, m_text.cend(), match, pattern)) {
            const auto start = match[0].first - m_text.cbegin();
            const auto size = match[0].length();
            if (take(match))
                std::fill_n(m_text.begin() + start, size, kTaken);
            from = m_text.cbegin() + start + std::max<std::ptrdiff_t>(1, size);
        }
    }
    /// What nobody took, without signs that only part it.
    [[nodiscard]] std::string rest() const {
        std::string words;
        std::string word;
        const auto end = [&] {
            if (std::any_of(word.begin(), word.end(), [](char c) {
                    return isDigit(c) || (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') ||
                           static_cast<unsigned char>(c) > 127;
                }))
                words += (words.empty() ? "" : " ") + word;
            word.clear();
        };
        for (const char c : m_text) {
            if (c == kTaken || isSpace(c) || c == ';' || c == '|' || c == ',')
                end();
            else
                word += c;
        }
        end();
        return words;
    }

private:
    static constexpr char kTaken = '\x01';
    std::string m_text;
};

std::regex pattern(const char* text) {
    return std::regex(text, std::regex::ECMAScript | std::regex::icase | std::regex::optimize);
}

// Digits, with the commas that part thousands left out.
std::string digits(const std::string& text) {
    std::string only;
    for (const char c : text)
        if (isDigit(c))
            only += c;
    return only;
}

bool takeSize(ModeWords& words, const std::string& text) {
    const auto size = parseFrameSize(text);
    if (size && !words.size)
        words.size = *size;
    return size.ok();
}

void takeSizes(Taker& line, ModeWords& words) {
    static const auto pixels = pattern(
        "\\b([0-9]{3,5}|[0-9]{1,2},[0-9]{3})\\s*[x*]\\s*([0-9]{3,5}|[0-9]{1,2},[0-9]{3})\\b");
    line.each(pixels, [&](const std::smatch& match) {
        return takeSize(words, digits(match[1]) + "x" + digits(match[2]));
    });
    static const auto lines = pattern("\\b(720|1080|2160|4320)(?:p\\b|p(?=[0-9])|/(?=[0-9])|\\b)");
    line.each(lines, [&](const std::smatch& match) {
        return takeSize(words, match[1] == "4320" ? std::string("uhd2") : std::string(match[1]));
    });
    struct Named {
        std::regex words;
        const char* size;
    };
    static const Named names[] = {
        {pattern("\\b(?:4K\\s*-?\\s*DCI|DCI\\s*-?\\s*4K|C4K)\\b"), "4kdci"},
        {pattern("\\b(?:2K\\s*-?\\s*DCI|DCI\\s*-?\\s*2K|2K)\\b"), "2kdci"},
        {pattern("\\b(?:8K\\s*-?\\s*UHD|UHD\\s*-?\\s*8K|UHD\\s*-?\\s*2|8K)\\b"), "uhd2"},
        {pattern("\\b(?:4K\\s*-?\\s*UHD|UHD\\s*-?\\s*4K|UHD|4K)\\b"), "uhd"},
        {pattern("\\b(?:full\\s*-?\\s*HD|FHD)\\b"), "fhd"},
        {pattern("\\bHD\\b"), "hd"}};
    for (const auto& named : names)
        line.each(named.words, [&](const std::smatch&) { return takeSize(words, named.size); });
}

void takeFormat(Taker& line, ModeWords& words) {
    static const auto chroma =
        pattern("\\b4\\s*[:.]\\s*([24])\\s*[:.]\\s*([024])\\b|\\b4([24])([024])\\b");
    line.each(chroma, [&](const std::smatch& match) {
        const std::string two =
            match[1].matched ? match[1].str() + match[2].str() : match[3].str() + match[4].str();
        if (two != "20" && two != "22" && two != "44")
            return false;
        words.chroma = two == "20" ? Chroma::C420 : two == "22" ? Chroma::C422 : Chroma::C444;
        return true;
    });
    static const auto bits = pattern("\\b(8|9|1[0-6])\\s*-?\\s*bits?\\b(?!\\s*(?:rate|/))");
    line.each(bits, [&](const std::smatch& match) {
        words.depth = BitDepth{std::stoi(match[1])};
        return true;
    });
    struct Group {
        std::regex words;
        Gop gop;
    };
    static const Group groups[] = {
        {pattern("\\b(?:all[\\s-]*intra|all[\\s-]*i|intra(?:[\\s-]*(?:frame|only|coded))?|"
                 "i[\\s-]*frames?(?:[\\s-]*only)?)\\b"),
         Gop::Intra},
        {pattern("\\b(?:long[\\s-]*gop|ipb|ibp|long|inter(?:[\\s-]*frame)?)\\b"), Gop::Long},
        {pattern("\\b[Rr]aw\\b"), Gop::Raw}};
    for (const auto& group : groups)
        line.each(group.words, [&](const std::smatch&) {
            words.gop = group.gop;
            return true;
        });
}

void takeBitRates(Taker& line, ModeWords& words) {
    static const auto rates = pattern("~?\\s*\\b([0-9]+(?:\\.[0-9]+)?)\\s*(Mbps|Mb/s|Mbits?/"
                                      "s|Mbits?|Gbps|Gb/s|Gbits?/s|M)(?![a-z/])");
    line.each(rates, [&](const std::smatch& match) {
        const std::string unit = match[2];
        const bool bytes = unit.find("B/s") != std::string::npos; // MB is not Mb
        const bool giga = unit.front() == 'G' || unit.front() == 'g';
        const auto rate =
            parseDataRate(match[1].str() + (giga ? "G" : "M") + (bytes ? "B/s" : "b/s"));
        if (rate)
            words.bitRates.push_back(*rate);
        return rate.ok();
    });
}

bool takeRateList(ModeWords& words, const std::string& list) {
    std::vector<FrameRate> rates;
    static const std::regex one("[0-9]+(?:\\.[0-9]+)?");
    for (std::sregex_iterator at(list.begin(), list.end(), one), end; at != end; ++at) {
        const auto rate = parseFrameRate(at->str());
        if (!rate || rate->perSecond.toDouble() > 2000)
            return false;
        rates.push_back(*rate);
    }
    words.rates.push_back(rates);
    return true;
}

void takeRates(Taker& line, ModeWords& words) {
    static const auto told =
        pattern("\\b([0-9]+(?:\\.[0-9]+)?p?(?:\\s*[/,&]\\s*[0-9]+(?:\\.[0-9]+)?p?)*)\\s*"
                "(?:p(?![a-z])|fps\\b|f/s|frames?\\s*(?:/|per)\\s*s(?:ec(?:ond)?)?\\b)");
    line.each(told, [&](const std::smatch& match) { return takeRateList(words, match[1]); });
    if (!words.rates.empty())
        return;
    // Numbers that can hardly be anything else.
    static const auto plain = pattern("\\b(?:23\\.976|23\\.98|24|25|29\\.97|30|47\\.95|48|50|59\\."
                                      "94|60|96|100|119\\.88|120)(?![.0-9a-z])"
                                      "(?:\\s*[/,&]\\s*[0-9]+(?:\\.[0-9]+)?(?![.0-9a-z]))*");
    line.each(plain, [&](const std::smatch& match) {
        return words.rates.empty() && takeRateList(words, match[0]);
    });
}

void takeCosts(Taker& line, ModeWords& words) {
    static const auto crop =
        pattern("\\bcrop\\s*([0-9]\\.[0-9]+)\\s*x?|\\b([0-9]\\.[0-9]+)\\s*x?\\s*crop\\b");
    line.each(crop, [&](const std::smatch& match) {
        const auto factor = parseFactor(match[1].matched ? match[1].str() : match[2].str());
        if (factor && *factor >= Magnification(1))
            words.crop = *factor;
        return words.crop.has_value();
    });
    static const auto mute = pattern("\\b(?:no|without)\\s+(?:sound|audio)\\b|\\bmute\\b");
    line.each(mute, [&](const std::smatch&) { return words.mute = true; });
    static const auto manual =
        pattern("\\b(?:no|without)\\s+(?:AF|autofocus)\\b|\\bmanual\\s+focus(?:\\s+only)?\\b");
    line.each(manual, [&](const std::smatch&) { return words.manualFocus = true; });
}

} // namespace

ModeWords readModeWords(std::string_view line) {
    ModeWords words;
    Taker taker(plainSigns(line));
    static const auto quoted = pattern("\"([^\"]*)\"");
    taker.each(quoted, [&](const std::smatch& match) {
        words.name = match[1];
        return true;
    });
    takeCosts(taker, words);
    takeFormat(taker, words);
    takeBitRates(taker, words);
    takeSizes(taker, words);
    takeRates(taker, words);
    words.rest = taker.rest();
    if (line.size() > kLongestLine)
        words.rest += std::string(line.substr(kLongestLine));
    return words;
}

} // namespace bslate
