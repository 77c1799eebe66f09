#include "core/words/body_words.h"

#include "core/base/enumerated.h"
#include "core/kit/body_fields.h"

namespace bslate {
namespace {

std::string bodyWord(std::string_view english, const Translator& translate) {
    return translate ? translate(std::string(english).c_str()) : std::string(english);
}

} // namespace

std::string nameOf(BodySetting setting, const Translator& translate) {
    return bodyWord(wordsIn<BodySetting>(kSettingNames, setting), translate);
}

std::string nameOf(Function function, const Translator& translate) {
    return bodyWord(wordsIn<Function>(kFunctionNames, function), translate);
}

std::string nameOf(AutomaticKind kind, const Translator& translate) {
    return bodyWord(wordsIn<AutomaticKind>(kAutomaticNames, kind), translate);
}

std::string nameOf(BankSchool school, const Translator& translate) {
    constexpr ByEnum<BankSchool, const char*> names{"One bank a speed", "One bank a look",
                                                    "One bank a scene"};
    return bodyWord(names[school], translate);
}

std::string valueText(const std::string& value, const Translator& translate) {
    return bodyWord(value, translate);
}

} // namespace bslate
