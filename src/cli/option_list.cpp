#include "cli/option_list.h"

#include <CLI/CLI.hpp>

namespace bslate::cli {

Asked& Asked::required() {
    m_option->required();
    return *this;
}

Asked& Asked::shown() {
    m_option->capture_default_str();
    return *this;
}

Asked& Asked::needs(const Asked& other) {
    m_option->needs(other.m_option);
    return *this;
}

Asked OptionList::text(const char* name, std::string& into, const char* help) {
    return Asked(m_verb.add_option(name, into, help));
}

Asked OptionList::text(const char* name, std::optional<std::string>& into, const char* help) {
    return Asked(m_verb.add_option(name, into, help));
}

Asked OptionList::texts(const char* name, std::vector<std::string>& into, const char* help) {
    return Asked(m_verb.add_option(name, into, help));
}

Asked OptionList::flag(const char* name, bool& into, const char* help) {
    return Asked(m_verb.add_flag(name, into, help));
}

void OptionList::shoot(ShootFile& into, const char* help) {
    text("FILE", into.path, help).required();
    flag("--kit-elsewhere", into.kitElsewhere,
         "read the shoot's kit from outside of its folder too");
}

void OptionList::force(bool& into, const char* help) {
    flag("--force", into, help);
}

OptionList OptionList::oneOf(const char* what) {
    auto* group = m_verb.add_option_group(what, "one of them");
    group->require_option(1);
    return OptionList(*group);
}

} // namespace bslate::cli
