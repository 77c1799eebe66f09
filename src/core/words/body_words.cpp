#include "core/words/body_words.h"

namespace bslate {
namespace {

std::string bodyWord(const char* english, const Translator& translate) {
    return translate ? translate(english) : std::string(english);
}

} // namespace

std::string nameOf(BodySetting setting, const Translator& translate) {
    constexpr const char* names[] = {"region",   "recording", "rate",       "shutter",
                                     "profile",  "base",      "rating",     "white",
                                     "zebra",    "focus",     "stabiliser", "sound",
                                     "controls", "ND",        "iris",       "compensation"};
    return bodyWord(names[static_cast<int>(setting)], translate);
}

std::string nameOf(Function function, const Translator& translate) {
    constexpr const char* names[] = {
        "iris",     "rating",   "white",        "ND",         "shutter", "rate",
        "profile",  "base",     "focus mode",   "magnify",    "peaking", "zebra",
        "waveform", "view LUT", "audio level",  "stabiliser", "level",   "recall bank",
        "record",   "play",     "compensation", "lock",       "erase",   "format"};
    return bodyWord(names[static_cast<int>(function)], translate);
}

std::string nameOf(AutomaticKind kind, const Translator& translate) {
    constexpr const char* names[] = {"automatic exposure", "automatic ISO",       "automatic white",
                                     "slow shutter",       "range optimiser",     "digital zoom",
                                     "eye sensor",         "automatic power-off", "touch focus",
                                     "noise reduction",    "sharpening"};
    return bodyWord(names[static_cast<int>(kind)], translate);
}

std::string nameOf(BankSchool school, const Translator& translate) {
    constexpr const char* names[] = {"One bank a speed", "One bank a look", "One bank a scene"};
    return bodyWord(names[static_cast<int>(school)], translate);
}

std::string valueText(const std::string& value, const Translator& translate) {
    return bodyWord(value.c_str(), translate);
}

} // namespace bslate
