#include "core/kit/mode_words.h"

#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <functional>
#include <regex>
#include <sstream>

namespace bslate {
namespace {

constexpr std::size_t kLongestLine = 500;

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
    void drop(const std::regex& pattern) {
        each(pattern, [](const std::smatch&) { return true; });
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

std::regex pattern(const std::string& text) {
    return std::regex(text, std::regex::ECMAScript | std::regex::icase | std::regex::optimize);
}
std::regex cased(const std::string& text) {
    return std::regex(text, std::regex::ECMAScript | std::regex::optimize);
}

// Digits, with the signs that part thousands left out.
std::string digits(const std::string& text) {
    std::string only;
    for (const char c : text)
        if (isDigit(c))
            only += c;
    return only;
}

void addSize(ModeWords& words, FrameSize size) {
    if (std::find(words.sizes.begin(), words.sizes.end(), size) == words.sizes.end())
        words.sizes.push_back(size);
}

bool takeSize(ModeWords& words, const std::string& text) {
    const auto size = parseFrameSize(text);
    if (size)
        addSize(words, *size);
    return size.ok();
}

void takeSizes(Taker& line, ModeWords& words) {
    static const auto pixels = pattern("\\b([0-9]{3,5}|[0-9]{1,2}[,.' ][0-9]{3})\\s*[x*]\\s*"
                                       "([0-9]{3,5}|[0-9]{1,2}[,.' ][0-9]{3})\\b");
    line.each(pixels, [&](const std::smatch& match) {
        return takeSize(words, digits(match[1]) + "x" + digits(match[2]));
    });
    const bool told = !words.sizes.empty(); // what a size is called beside its pixels
    static const auto lines = pattern("\\b(720|1080|2160|4320)(?:p\\b|p(?=[0-9])|/(?=[0-9])|\\b)");
    line.each(lines, [&](const std::smatch& match) {
        return told || takeSize(words, match[1] == "4320" ? std::string("uhd2") : match[1].str());
    });
    struct Named {
        std::regex words;
        FrameSize size;
    };
    static const std::string wide = "\\s*[-(]?\\s*17\\s*:\\s*9\\)?";
    static const std::string usual = "(?:\\s*[-(]?\\s*16\\s*:\\s*9\\)?)?";
    static const Named names[] = {
        {pattern("\\b8K" + wide), {8192, 4320}},
        {pattern("\\b(?:4K\\s*-?\\s*DCI|DCI\\s*-?\\s*4K|C4K|cine(?:ma)?\\s*-?\\s*4K|4K\\s*-?\\s*"
                 "cine(?:ma)?)\\b(?:" +
                 wide + ")?|\\b(?:UHD\\s*)?4K" + wide),
         {4096, 2160}},
        {pattern("\\b(?:2K\\s*-?\\s*DCI|DCI\\s*-?\\s*2K|cine(?:ma)?\\s*-?\\s*2K|2K\\s*-?\\s*"
                 "cine(?:ma)?|2K)\\b(?:" +
                 wide + ")?"),
         {2048, 1080}},
        {pattern("\\b(?:8K\\s*-?\\s*UHD|UHD\\s*-?\\s*8K|UHD\\s*-?\\s*2|8K)\\b(?!\\s*\\(?[0-9]+:)" +
                 usual),
         {7680, 4320}},
        {pattern("\\b(?:4K\\s*-?\\s*UHD|UHD\\s*-?\\s*4K|UHD|4K)\\b(?!\\s*\\(?(?!16)[0-9]+\\s*:"
                 "\\s*[0-9]\\b(?!\\s*:))" +
                 usual),
         {3840, 2160}},
        {pattern("\\b(?:full\\s*-?\\s*HD|FHD)\\b" + usual), {1920, 1080}},
        {pattern("\\bHD\\b" + usual), {1920, 1080}}};
    for (const auto& named : names)
        line.each(named.words, [&](const std::smatch&) {
            if (!told)
                addSize(words, named.size);
            return true;
        });
    // A number of K that is no size of pixels by itself.
    static const auto unknown = pattern("\\b[0-9]+(?:[.,][0-9]+)?K\\b(?!\\s*(?:Hz|bps|bit|b/s))");
    line.each(unknown, [&](const std::smatch&) {
        words.unknownSize = words.unknownSize || !told;
        return told;
    });
    static const auto aspect = pattern("\\(?\\b(?:16|17|3)\\s*:\\s*(?:9|2)\\b\\)?");
    if (told)
        line.drop(aspect);
}

void takeFormat(Taker& line, ModeWords& words) {
    static const auto chroma = pattern("\\b4\\s*[:.]\\s*([24])\\s*[:.]\\s*([024])\\b|"
                                       "(?:\\b|\\bY(?:CC|UV|CbCr)\\s*-?)4([24])([024])\\b");
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
        const BitDepth depth{std::stoi(match[1])};
        if (std::find(words.depths.begin(), words.depths.end(), depth) == words.depths.end())
            words.depths.push_back(depth);
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

constexpr const char* kNumber = "[0-9]+(?:[.,'][0-9]+)*";

void takeBitRates(Taker& line, ModeWords& words) {
    // A rate or a count of lines before a bit rate is no thousands of it.
    static const std::string number =
        "(?:(?!(?:23|24|25|29|30|47|48|50|59|60|90|96|100|119|120|180|200|240|720) )[0-9]{1,3}(?: "
        "[0-9]{3})+|" +
        std::string(kNumber) + ")";
    static const std::string unit =
        "(?:[kKmMgG][bB][pP][sS]|[kKmMgGtT][bBoO]\\s?/\\s?(?:sec|s|S|min|h|hour|hr)|"
        "[kKmMgG]bits?(?:\\s?/\\s?s(?:ec)?|ps)?|[kKmMgG]B(?:ytes?|yte)(?:\\s?/\\s?s(?:ec)?|ps)|"
        "[kKmMgG]Bit(?:\\s?/\\s?s(?:ec)?|ps)?|M)(?![A-Za-z/0-9])";
    // One number, or a list of which each may name its unit.
    static const auto rates = cased("~?\\s*(?:^|[^0-9.,A-Za-z])(" + number + "(?:\\s*(?:" + unit +
                                    ")?\\s*[/&+]\\s*" + number + ")*)\\s*(" + unit + ")");
    line.each(rates, [&](const std::smatch& match) {
        static const auto item = cased("(" + number + ")\\s*(" + unit + ")?");
        const std::string list = match[1], last = match[2];
        std::vector<PrintedBitRate> group;
        for (std::sregex_iterator at(list.begin(), list.end(), item), end; at != end; ++at) {
            const auto rate = printedBitRate((*at)[1], (*at)[2].matched ? (*at)[2].str() : last);
            if (!rate)
                return false;
            group.push_back(*rate);
        }
        words.bitRates.push_back(std::move(group));
        return true;
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
    static const std::string number = "[0-9]+(?:\\.[0-9]+)?p?";
    static const std::string unit =
        "(?:p(?![a-z])|fps\\b|f/s|frames?\\s*(?:/|per)\\s*s(?:ec(?:ond)?)?\\b)";
    static const auto span =
        pattern("\\b(" + number + ")\\s*(?:-|to|\\.\\.)\\s*(" + number + ")\\s*" + unit);
    line.each(span, [&](const std::smatch& match) {
        ModeWords ends;
        if (words.span || !takeRateList(ends, match[1]) || !takeRateList(ends, match[2]) ||
            !(ends.rates[0][0] < ends.rates[1][0]))
            return false;
        words.span = {ends.rates[0][0], ends.rates[1][0]};
        return true;
    });
    static const auto told =
        pattern("(?:^|[^0-9.,a-z:-])(" + number + "(?:\\s*[/,&+]\\s*" + number + ")*)\\s*" + unit);
    line.each(told, [&](const std::smatch& match) { return takeRateList(words, match[1]); });
    if (!words.rates.empty() || words.span)
        return;
    // Numbers that can hardly be anything else, and that are of nothing else.
    static const std::string other = "(?!\\s*(?:min|sec|s\\b|h\\b|hours?|GB|TB|MB|Mb|kHz|Hz|ch\\b|"
                                     "mm|x\\b|%|bit|-?bit|K\\b))";
    static const auto plain =
        pattern("(?:^|[\\s;|(/,\x01])(?=((?:23\\.976|23\\.98|24|25|29\\.97|30|47\\.95|48|50|59\\."
                "94|60|96|100|119\\.88|120)(?![.0-9a-z:-])" +
                other + "(?:\\s*[/,&]\\s*[0-9]+(?:\\.[0-9]+)?(?![.0-9a-z:])" + other + ")*))\\1");
    line.each(plain, [&](const std::smatch& match) {
        return words.rates.empty() && takeRateList(words, match[1]);
    });
}

// A list of bare numbers behind rates, one for each of them: bit rates, of whatever unit.
void takeBareList(Taker& line, ModeWords& words) {
    if (!words.bitRates.empty() || words.rates.size() != 1 || words.rates[0].size() < 2)
        return;
    static const auto list = pattern("[:\\s]([0-9]+(?:[.,][0-9]+)?(?:\\s*/\\s*[0-9]+(?:[.,][0-9]+)?"
                                     ")+)(?![.0-9a-z/])");
    line.each(list, [&](const std::smatch& match) {
        const std::string text = match[1];
        std::vector<PrintedBitRate> numbers;
        static const std::regex one("[0-9]+(?:[.,][0-9]+)?");
        for (std::sregex_iterator at(text.begin(), text.end(), one), end; at != end; ++at)
            numbers.push_back(bareBitRate(at->str()));
        if (!words.bareNumbers.empty() || numbers.size() != words.rates[0].size())
            return false;
        words.bareNumbers = std::move(numbers);
        return true;
    });
}

void takeCosts(Taker& line, ModeWords& words) {
    static const auto crop =
        pattern("\\bcrop(?:\\s*factor)?\\s*[:=]?\\s*x?\\s*([0-9][.,][0-9]+)\\s*x?|"
                "\\bx?\\s*([0-9][.,][0-9]+)\\s*x?\\s*crop(?:\\s*factor)?\\b");
    line.each(crop, [&](const std::smatch& match) {
        auto text = match[1].matched ? match[1].str() : match[2].str();
        std::replace(text.begin(), text.end(), ',', '.');
        const auto factor = parseFactor(text);
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

// What a recording is beside its picture: sound, the speed it is played at, the box it comes in.
void dropBesides(Taker& line) {
    static const std::string sound = "(?:audio|sound|L?PCM|AAC)";
    static const std::string of =
        "(?:[\\s:x,/-]*[0-9.,]+\\s*-?\\s*(?:bits?|ch(?:annels?)?|kHz|kbps|kb/s)\\b)";
    static const auto audio = pattern("\\b" + sound + "\\b" + of + "+|" + of + "+\\s*" + sound +
                                      "\\b|\\b[0-9]+\\s*ch(?:annels?)?\\b|\\b[0-9.,]+\\s*kHz\\b");
    line.drop(audio);
    static const auto slow = pattern(
        "\\(?\\s*(?:\\b[0-9]+(?:[.,][0-9]+)?\\s*x\\s*)?\\b(?:slow(?:er|ed)?(?:[\\s-]*motion)?|"
        "recorded|played|plays|playback|conformed)\\b(?:\\s+(?:at|as|to|in|back|for))*\\s*"
        "[0-9]+(?:[.,][0-9]+)?\\s*(?:p|fps|x)?\\b(?:\\s*\\))?");
    line.drop(slow);
    static const auto box =
        pattern("\\(?\\b(?:VP9|MPEG[\\s-]*4|MP4|MOV|MXF|MKV|JPEG\\s*XS|VC-?1)\\b\\)?");
    line.drop(box);
}

// What the pictures are coded by; two spellings of one standard, `H.264/AVC`, are one.
void takeStandards(Taker& line, ModeWords& words) {
    static const auto standard =
        pattern("\\(?\\b(H\\s*\\.?\\s*26[456]|HEVC|AVC|VVC|AV1|MPEG[\\s-]*2|JPEG\\s*2000|VC-?[235]|"
                "mezzanine)(?:\\s*codec)?\\b\\)?");
    line.each(standard, [&](const std::smatch& match) {
        const auto read = codecStandard(match[1].str());
        if (read && std::find(words.standards.begin(), words.standards.end(), *read) ==
                        words.standards.end())
            words.standards.push_back(*read);
        return true;
    });
}

// Words that carry nothing for a plan.
std::string withoutFillers(const std::string& words) {
    static const auto filler = pattern(
        "\\(?\\b(?:approx(?:imately)?|appr|about|ca|circa|roughly|max(?:imum)?|up to|standard|"
        "video|recording|mode|modes|movie|frame|frames|rate|rates|bit|bitrate|compression|"
        "compressed|quality|format|resolution|codec|colou?r|sampling|internal|with sound|sound|"
        "audio|and|at|the|in)\\b[.:]?\\)?");
    // What a filler leaves of itself are spaces and signs.
    const std::string left = std::regex_replace(words, filler, "");
    static const auto sign = cased("(?:^|\\s)[^0-9A-Za-z\x80-\xff]+(?=\\s|$)");
    std::string kept;
    std::istringstream each(std::regex_replace(left, sign, ""));
    for (std::string word; each >> word;)
        kept += (kept.empty() ? "" : " ") + word;
    return kept;
}

} // namespace

ModeWords readModeWords(std::string_view line) {
    ModeWords words;
    Taker taker(plainPrint(line.substr(0, kLongestLine)));
    static const auto quoted = pattern("\"([^\"]*)\"");
    taker.each(quoted, [&](const std::smatch& match) {
        words.name = match[1];
        return true;
    });
    takeCosts(taker, words);
    takeStandards(taker, words);
    dropBesides(taker);
    takeFormat(taker, words);
    takeBitRates(taker, words);
    takeSizes(taker, words);
    takeRates(taker, words);
    takeBareList(taker, words);
    words.label = withoutFillers(taker.rest());
    if (!words.label.empty())
        words.rest = taker.rest();
    if (line.size() > kLongestLine)
        words.rest += std::string(line.substr(kLongestLine));
    return words;
}

} // namespace bslate
