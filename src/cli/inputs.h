#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <cstdint>
#include <string>
#include <string_view>

/// What is typed on a command line, read: one place for every verb.
namespace bslate::cli {

/// What is wrong with an option.
[[nodiscard]] Error usage(std::string place, std::string got, std::string expected);

/// The value that was read, or its error told of the option.
template<class Q>
[[nodiscard]] Result<Q> placed(Result<Q> value, const char* option) {
    if (value)
        return value;
    Error error = value.error();
    error.place = option;
    return error;
}

/// A plain number of an option, in [low, high]; the error repeats what was typed.
[[nodiscard]] Result<double> numberOf(const char* option, const std::string& text, double low,
                                      double high, std::string_view expected);
/// Likewise a whole one.
[[nodiscard]] Result<std::int64_t> wholeOf(const char* option, const std::string& text,
                                           std::int64_t low, std::int64_t high,
                                           std::string_view expected);
[[nodiscard]] Result<double> snrOf(const std::string& text);

/// The name of a school on the command line, and back; the error lists them.
[[nodiscard]] std::string_view keyOf(School school);
[[nodiscard]] Result<School> schoolNamed(const std::string& text);

/// A shoot to open, and whether its kit may be read from outside of its folder.
struct ShootFile {
    std::string path;
    bool kitElsewhere = false;
};
[[nodiscard]] Result<Shoot> opened(const ShootFile& file);

/// A setup by id or number; the error lists what there is. It lives as long as the shoot.
[[nodiscard]] Result<const Setup*> setupNamed(const Shoot& shoot, const std::string& file,
                                              const std::string& name);

/// A shoot and one setup of it.
struct OpenedSetup {
    Shoot shoot;
    std::size_t index = 0;
    [[nodiscard]] const Setup& setup() const { return shoot.setups[index]; }
};
/// Fails as opened() and setupNamed() do.
[[nodiscard]] Result<OpenedSetup> openedSetup(const ShootFile& file, const std::string& name);

/// Parts of a kit that options name; the error lists what there is. They live as long as the kit.
[[nodiscard]] Result<const Camera*> cameraNamed(const Kit& kit, const std::string& file,
                                                const std::string& id);
[[nodiscard]] Result<const Profile*> profileNamed(const Kit& kit, const std::string& file,
                                                  const std::string& id);
/// The bases of a body that a profile records at, for messages.
[[nodiscard]] std::string basesText(const Camera& camera, const Profile& profile);

/// Writes a document, over another one only with `force`: what is there otherwise stays, and the
/// error says so.
[[nodiscard]] Outcome writeOutput(const std::string& path, std::string_view text, bool force);

} // namespace bslate::cli
