#pragma once

#include "cli/inputs.h"

#include <optional>
#include <string>
#include <vector>

namespace CLI {
class App;
class Option;
} // namespace CLI

namespace bslate::cli {

/// An option that was added, for what more there is to say of it.
class Asked {
public:
    explicit Asked(CLI::Option* option)
        : m_option(option) {}
    Asked& required();
    /// Its help shows the default.
    Asked& shown();
    /// It is refused without the other one.
    Asked& needs(const Asked& other);

private:
    CLI::Option* m_option;
};

/// The options of a verb. The library that reads command lines hides behind it. Names are
/// `--long`, `-o,--output`, or `FILE` for what stands without one; what is read stays in the
/// variables given, which must outlive the parsing.
class OptionList {
public:
    explicit OptionList(CLI::App& verb)
        : m_verb(verb) {}

    Asked text(const char* name, std::string& into, const char* help);
    /// None when it is not given; what is given may be empty.
    Asked text(const char* name, std::optional<std::string>& into, const char* help);
    /// May be given more than once.
    Asked texts(const char* name, std::vector<std::string>& into, const char* help);
    Asked flag(const char* name, bool& into, const char* help);
    /// The shoot a verb opens, and leave to read a kit from outside of its folder.
    void shoot(ShootFile& into, const char* help = "shoot (*.bslate)");
    /// Leave to replace a file that is there.
    void force(bool& into, const char* help = "replace a file that is there");
    /// Of the options added to the list it gives, exactly one must be there.
    [[nodiscard]] OptionList oneOf(const char* what);

private:
    CLI::App& m_verb;
};

} // namespace bslate::cli
