#include "io/colour/transform_references.h"

#include "io/system/files.h"

#include <algorithm>
#include <cstring>
#include <string>
#include <string_view>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

bool isSpace(char c) {
    return c == ' ' || c == '\t' || c == '\n' || c == '\r';
}

// The value of `name="..."` inside a tag; empty without it.
std::string_view attributeIn(std::string_view tag, std::string_view name) {
    for (auto at = tag.find(name); at != std::string_view::npos; at = tag.find(name, at + 1)) {
        auto i = at + name.size();
        while (i < tag.size() && isSpace(tag[i]))
            ++i;
        if (at == 0 || !isSpace(tag[at - 1]) || i >= tag.size() || tag[i] != '=')
            continue;
        for (++i; i < tag.size() && isSpace(tag[i]);)
            ++i;
        if (i >= tag.size() || (tag[i] != '"' && tag[i] != '\''))
            continue;
        const auto end = tag.find(tag[i], i + 1);
        return end == std::string_view::npos ? std::string_view() : tag.substr(i + 1, end - i - 1);
    }
    return {};
}

class Walk {
public:
    Walk(fs::path folder, const Locate& locate, const ReferenceLimits& limits)
        : m_folder(std::move(folder))
        , m_locate(locate)
        , m_limits(limits) {}

    Outcome visit(const fs::path& named) {
        std::error_code problem;
        const auto file = fs::canonical(named, problem);
        if (problem)
            return Error{
                ErrorCode::FileUnreadable, named.string(), {}, problem.message(), "a file"};
        if (std::find(m_files.begin(), m_files.end(), file) != m_files.end())
            return Done{};
        if (!isWithin(file, m_folder))
            return Error{ErrorCode::FileUnreadable,
                         named.string(),
                         {},
                         {},
                         "a file beside or below the one that names it"};
        if (m_files.size() == m_limits.files)
            return Error{ErrorCode::OutOfRange,
                         named.string(),
                         {},
                         {},
                         "at most " + std::to_string(m_limits.files) + " files in one transform"};
        const auto text = readFile(file, kLargestTransform);
        if (!text)
            return text.error();
        m_files.push_back(file);
        m_bytes += text->size();
        if (m_bytes > m_limits.bytes)
            return Error{ErrorCode::FileTooLarge,
                         named.string(),
                         {},
                         {},
                         "at most " + std::to_string(m_limits.bytes >> 20) +
                             " MiB in all files of one transform"};
        return look(*text, file);
    }

    [[nodiscard]] std::vector<fs::path> files() { return std::move(m_files); }

private:
    // Whatever the suffix says: a library that does not know a file tries all its readers.
    Outcome look(std::string_view text, const fs::path& file) {
        if (text.find("<!ENTITY") != std::string_view::npos)
            return Error{ErrorCode::WrongFormat,
                         file.string(),
                         {},
                         "<!ENTITY",
                         "XML without entities of its own"};
        constexpr std::string_view kStep = "inBitDepth", kReference = "Reference";
        for (auto at = text.find(kStep); at != std::string_view::npos;
             at = text.find(kStep, at + kStep.size()))
            if (++m_steps > m_limits.steps)
                return Error{ErrorCode::OutOfRange,
                             file.string(),
                             {},
                             {},
                             "at most " + std::to_string(m_limits.steps) +
                                 " steps in one transform"};
        for (auto at = text.find(kReference); at != std::string_view::npos;
             at = text.find(kReference, at + kReference.size())) {
            if (at == 0 || (text[at - 1] != '<' && text[at - 1] != ':'))
                continue;
            const auto tag = text.substr(at, text.find('>', at) - at);
            if (const auto done = follow(tag, file); !done)
                return done;
        }
        return Done{};
    }

    Outcome follow(std::string_view tag, const fs::path& file) {
        const auto path = attributeIn(tag, "path");
        if (path.empty()) // names no file, such as an alias
            return Done{};
        if (path.find('&') != std::string_view::npos)
            return Error{ErrorCode::WrongFormat,
                         file.string(),
                         {},
                         shortened(path),
                         "the name of a file without entities"};
        const fs::path base(attributeIn(tag, "basePath"));
        return visit(m_locate((base / fs::path(path)).string()));
    }

    fs::path m_folder;
    const Locate& m_locate;
    ReferenceLimits m_limits;
    std::vector<fs::path> m_files;
    std::uintmax_t m_bytes = 0;
    std::size_t m_steps = 0;
};

} // namespace

Result<std::vector<fs::path>> filesBehind(const fs::path& file, const fs::path& folder,
                                          const Locate& locate, const ReferenceLimits& limits) {
    std::error_code problem;
    const auto root = fs::canonical(folder.empty() ? fs::path(".") : folder, problem);
    if (problem)
        return Error{ErrorCode::FileUnreadable, folder.string(), {}, problem.message(), "a folder"};
    Walk walk(root, locate, limits);
    if (const auto done = walk.visit(file); !done)
        return done.error();
    return walk.files();
}

} // namespace bslate::io
