#include "io/json/clip_json.h"

#include "core/kit/mode_fields.h"

#include <nlohmann/json.hpp>

#include <cmath>
#include <limits>

namespace bslate::io {
namespace {

using ClipJson = nlohmann::ordered_json;

constexpr NamedValue<CodeRange> kRangeWords[] = {{"full", CodeRange::Full},
                                                 {"legal", CodeRange::Legal}};

ClipJson orNull(double value) {
    return std::isfinite(value) ? ClipJson(value) : ClipJson(nullptr);
}

ClipJson soundJson(const ClipSound& sound) {
    ClipJson json{{"channels", sound.channels},
                  {"sample_rate_hz", sound.samplesPerSecond},
                  {"codec", sound.standard},
                  {"heard", sound.level.has_value()},
                  {"peak_dbfs", nullptr},
                  {"true_peak_dbtp", nullptr},
                  {"mean_dbfs", nullptr},
                  {"loudness_lufs", nullptr},
                  {"channel_peaks_dbfs", ClipJson::array()}};
    if (const auto& level = sound.level) {
        json["peak_dbfs"] = orNull(level->peak.value());
        json["true_peak_dbtp"] = orNull(level->truePeak.value());
        json["mean_dbfs"] = orNull(level->mean.value());
        for (const auto peak : level->channels)
            json["channel_peaks_dbfs"].push_back(orNull(peak.value()));
        if (level->loudness)
            json["loudness_lufs"] = orNull(level->loudness->value());
    }
    return json;
}

void addPicture(ClipJson& json, const ClipPicture& picture) {
    json["width"] = picture.size.width;
    json["height"] = picture.size.height;
    json["turned"] = picture.turned;
    json["rate"] = spell(picture.rate);
    json["variable_rate"] = picture.variable;
    if (picture.varies)
        json["varies"] = {{"slowest", spell(picture.varies->slowest)},
                          {"fastest", spell(picture.varies->fastest)}};
    json["interlaced"] = picture.interlaced;
    json["codec"] = picture.standard;
    json["readable"] = picture.readable;
    json["gop"] = nameIn<Gop>(kGopNames, picture.gop);
    json["bit_depth"] = picture.depth ? ClipJson(picture.depth->bits) : ClipJson(nullptr);
    json["chroma"] = picture.chroma ? ClipJson(nameIn<Chroma>(kChromaNames, *picture.chroma))
                                    : ClipJson(nullptr);
    json["range"] = picture.range ? ClipJson(nameIn<CodeRange>(kRangeWords, *picture.range))
                                  : ClipJson(nullptr);
    json["colour"] = {{"primaries", picture.colour.primaries},
                      {"transfer", picture.colour.transfer},
                      {"matrix", picture.colour.matrix}};
    json["frames"] = picture.frames;
    json["picture_s"] = picture.duration.value();
    json["gaps"] = picture.gaps;
    json["doubled"] = picture.doubled;
}

Error noClipMessage() {
    return {
        ErrorCode::WrongFormat, {}, {}, {}, "a message between the program and its clip reader"};
}

// Takes what is there and of its kind, and notes when something is not.
class Taker {
public:
    explicit Taker(const ClipJson& object)
        : m_object(object) {}

    [[nodiscard]] bool fine() const { return m_fine; }
    template<class Number>
    void number(const char* key, Number& into, double least, double most) {
        const auto* found = find(key);
        if (!found || !found->is_number() || found->get<double>() < least ||
            found->get<double>() > most)
            m_fine = false;
        else
            into = found->get<Number>();
    }
    void flag(const char* key, bool& into) {
        const auto* found = find(key);
        if (!found || !found->is_boolean())
            m_fine = false;
        else
            into = found->get<bool>();
    }
    void word(const char* key, std::string& into) {
        const auto* found = find(key);
        if (!found || !found->is_string())
            m_fine = false;
        else
            into = found->get<std::string>();
    }
    template<class E>
    void named(const char* key, std::span<const NamedValue<E>> names, E& into) {
        std::string name;
        word(key, name);
        if (const auto* value = valueIn<E>(names, name))
            into = *value;
        else
            m_fine = false;
    }
    [[nodiscard]] bool isThere(const char* key) const {
        const auto* found = find(key);
        return found && !found->is_null();
    }
    /// Minus infinity for null.
    Decibels level(const char* key) {
        const auto* found = find(key);
        m_fine = m_fine && found && (found->is_null() || found->is_number());
        return Decibels(m_fine && found->is_number() ? found->get<double>()
                                                     : -std::numeric_limits<double>::infinity());
    }
    [[nodiscard]] const ClipJson* find(const char* key) const {
        const auto at = m_object.find(key);
        return at == m_object.end() ? nullptr : &*at;
    }

private:
    const ClipJson& m_object;
    bool m_fine = true;
};

// `24000/1001`.
std::optional<FrameRate> rateIn(const std::string& text) {
    const auto slash = text.find('/');
    const auto over = std::atoll(text.c_str());
    const auto under = slash == std::string::npos ? 1 : std::atoll(text.c_str() + slash + 1);
    constexpr long long kEnd = 1LL << 31;
    if (over < 1 || over >= kEnd || under < 1 || under >= kEnd)
        return std::nullopt;
    return FrameRate{Rational(over, under)};
}

bool takeVaries(const ClipJson& json, ClipPicture& picture) {
    if (!json.is_object())
        return false;
    Taker take(json);
    std::string slow, fast;
    take.word("slowest", slow);
    take.word("fastest", fast);
    const auto slowest = rateIn(slow), fastest = rateIn(fast);
    if (!slowest || !fastest)
        return false;
    picture.varies = RateSpan{*slowest, *fastest};
    return take.fine();
}

bool takePicture(const ClipJson& json, ClipPicture& picture) {
    Taker take(json);
    constexpr double kMost = 1e15;
    take.number("width", picture.size.width, 1, 1e6);
    take.number("height", picture.size.height, 1, 1e6);
    take.number("turned", picture.turned, 0, 270);
    std::string rate;
    take.word("rate", rate);
    take.flag("variable_rate", picture.variable);
    take.flag("interlaced", picture.interlaced);
    take.word("codec", picture.standard);
    take.flag("readable", picture.readable);
    take.named<Gop>("gop", kGopNames, picture.gop);
    if (take.isThere("bit_depth"))
        take.number("bit_depth", picture.depth.emplace().bits, 1, 64);
    if (take.isThere("chroma"))
        take.named<Chroma>("chroma", kChromaNames, picture.chroma.emplace());
    take.number("frames", picture.frames, 0, kMost);
    double seconds = 0;
    take.number("picture_s", seconds, 0, kMost);
    picture.duration = Seconds(seconds);
    take.number("gaps", picture.gaps, 0, kMost);
    take.number("doubled", picture.doubled, 0, kMost);
    if (const auto* range = take.find("range"); range && range->is_string())
        if (const auto* value =
                valueIn<CodeRange>(kRangeWords, range->get_ref<const std::string&>()))
            picture.range = *value;
    if (const auto* colour = take.find("colour"); colour && colour->is_object()) {
        Taker tags(*colour);
        tags.word("primaries", picture.colour.primaries);
        tags.word("transfer", picture.colour.transfer);
        tags.word("matrix", picture.colour.matrix);
    }
    const auto own = rateIn(rate);
    if (!own)
        return false;
    picture.rate = *own;
    const auto* varies = take.find("varies");
    return take.fine() && (!varies || takeVaries(*varies, picture));
}

bool takeSound(const ClipJson& json, ClipSound& sound) {
    Taker take(json);
    bool heard = false;
    take.number("channels", sound.channels, 0, kMostChannels);
    take.number("sample_rate_hz", sound.samplesPerSecond, 0, 1e9);
    take.word("codec", sound.standard);
    take.flag("heard", heard);
    if (heard) {
        SoundLevel level{take.level("peak_dbfs"),
                         take.level("true_peak_dbtp"),
                         take.level("mean_dbfs"),
                         std::nullopt,
                         {}};
        if (const auto loudness = take.level("loudness_lufs"); std::isfinite(loudness.value()))
            level.loudness = loudness;
        const auto* peaks = take.find("channel_peaks_dbfs");
        if (!peaks || !peaks->is_array())
            return false;
        for (const auto& peak : *peaks)
            level.channels.emplace_back(
                peak.is_number() ? peak.get<double>() : -std::numeric_limits<double>::infinity());
        sound.level = level;
    }
    return take.fine();
}

std::optional<Timecode> timecodeOf(const ClipJson& json) {
    Timecode code;
    Taker take(json);
    take.number("hours", code.hours, 0, 1e6);
    take.number("minutes", code.minutes, 0, 59);
    take.number("seconds", code.seconds, 0, 59);
    take.number("frames", code.frames, 0, 1e6);
    take.flag("drop", code.drop);
    return take.fine() ? std::optional(code) : std::nullopt;
}

} // namespace

std::string clipText(const ClipFacts& clip) {
    ClipJson json{{"file", clip.file},
                  {"container", clip.container},
                  {"size_bytes", std::llround(clip.size.value())},
                  {"duration_s", clip.duration.value()},
                  {"average_bit_rate_bps", clip.average.value()},
                  {"peak_bit_rate_bps", clip.peak.value()}};
    if (clip.picture)
        addPicture(json, *clip.picture);
    json["timecode"] = clip.timecode ? ClipJson(print(*clip.timecode)) : ClipJson(nullptr);
    if (clip.timecode)
        json["timecode_parts"] = {{"hours", clip.timecode->hours},
                                  {"minutes", clip.timecode->minutes},
                                  {"seconds", clip.timecode->seconds},
                                  {"frames", clip.timecode->frames},
                                  {"drop", clip.timecode->drop}};
    json["audio"] = ClipJson::array();
    for (const auto& sound : clip.sound)
        json["audio"].push_back(soundJson(sound));
    json["recorded_at"] = clip.recordedAt;
    json["notes"] = clip.notes;
    json["sampled"] = clip.sampled;
    json["cut_off"] = clip.cutOff;
    return json.dump(-1, ' ', false, ClipJson::error_handler_t::replace) + "\n";
}

Result<ClipFacts> readClipText(const std::string& text) {
    const auto json = ClipJson::parse(text, nullptr, false);
    if (!json.is_object())
        return noClipMessage();
    Taker take(json);
    ClipFacts clip;
    double size = 0, seconds = 0, average = 0, peak = 0;
    constexpr double kMost = 1e18;
    take.word("file", clip.file);
    take.word("container", clip.container);
    take.number("size_bytes", size, 0, kMost);
    take.number("duration_s", seconds, 0, kMost);
    take.number("average_bit_rate_bps", average, 0, kMost);
    take.number("peak_bit_rate_bps", peak, 0, kMost);
    take.word("recorded_at", clip.recordedAt);
    take.flag("sampled", clip.sampled);
    take.flag("cut_off", clip.cutOff);
    clip.size = DataSize(size);
    clip.duration = Seconds(seconds);
    clip.average = DataRate(average);
    clip.peak = DataRate(peak);
    if (const auto* parts = take.find("timecode_parts"))
        clip.timecode = timecodeOf(*parts);
    if (json.contains("width")) {
        clip.picture.emplace();
        if (!takePicture(json, *clip.picture))
            return noClipMessage();
    }
    const auto* audio = take.find("audio");
    const auto* notes = take.find("notes");
    if (!take.fine() || !audio || !audio->is_array() || !notes || !notes->is_object())
        return noClipMessage();
    for (const auto& one : *audio)
        if (!one.is_object() || !takeSound(one, clip.sound.emplace_back()))
            return noClipMessage();
    for (const auto& [key, value] : notes->items())
        if (value.is_string())
            clip.notes.emplace(key, value.get<std::string>());
    return clip;
}

} // namespace bslate::io
