#include "io/system/folder_card.h"

#include <cerrno>
#include <chrono>
#include <cstdlib>
#include <cstring>
#include <fcntl.h>
#include <string>
#include <system_error>
#include <unistd.h>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

constexpr std::string_view kTestFile = ".bright-slate-write-test-";

// Tests that ended before their file had lost its name.
void clearOwnTests(const fs::path& folder) {
    std::error_code problem;
    for (fs::directory_iterator at(folder, problem), end; !problem && at != end;
         at.increment(problem))
        if (at->path().filename().string().starts_with(kTestFile) &&
            at->symlink_status(problem).type() == fs::file_type::regular)
            ::unlink(at->path().c_str());
}

class FolderCard : public CardDevice {
public:
    FolderCard(int file, std::string name)
        : m_file(file)
        , m_name(std::move(name)) {}
    FolderCard(const FolderCard&) = delete;
    FolderCard& operator=(const FolderCard&) = delete;
    ~FolderCard() override { ::close(m_file); }

    Result<Seconds> write(std::span<const std::byte> block) override {
        const auto start = std::chrono::steady_clock::now();
        std::size_t done = 0;
        while (done < block.size()) {
            const auto count = ::write(m_file, block.data() + done, block.size() - done);
            if (count < 0 && errno == EINTR)
                continue;
            if (count <= 0)
                return Error{ErrorCode::FileUnwritable,
                             m_name,
                             {},
                             std::strerror(errno),
                             "a card that takes the block"};
            done += static_cast<std::size_t>(count);
        }
        if (::fdatasync(m_file) != 0)
            return Error{ErrorCode::FileUnwritable,
                         m_name,
                         {},
                         std::strerror(errno),
                         "a card that keeps it"};
        const std::chrono::duration<double> took = std::chrono::steady_clock::now() - start;
        return Seconds(took.count());
    }

private:
    int m_file;
    std::string m_name; // for messages: it has none any more
};

} // namespace

Result<std::unique_ptr<CardDevice>> openFolderCard(const fs::path& folder, ByteCount total) {
    std::error_code problem;
    if (!fs::is_directory(folder, problem))
        return Error{
            ErrorCode::FileUnwritable, folder.string(), {}, {}, "a folder on the mounted card"};
    const auto space = fs::space(folder, problem);
    if (problem)
        return Error{ErrorCode::FileUnwritable,
                     folder.string(),
                     {},
                     problem.message(),
                     "a folder whose free space can be asked"};
    const auto wanted =
        total.value + static_cast<std::uint64_t>(kLeaveFree * static_cast<double>(space.capacity));
    if (space.available < wanted)
        return Error{ErrorCode::FileUnwritable,
                     folder.string(),
                     {},
                     std::to_string(space.available / 1000000) + " MB free",
                     std::to_string(wanted / 1000000) + " MB free"};
    clearOwnTests(folder);
    std::string name = (folder / (std::string(kTestFile) + "XXXXXX")).string();
    const int file = ::mkostemp(name.data(), O_CLOEXEC);
    if (file < 0)
        return Error{ErrorCode::FileUnwritable,
                     folder.string(),
                     {},
                     std::strerror(errno),
                     "a folder that can be written to"};
    // Without a name, it goes away with this process however that ends.
    ::unlink(name.c_str());
    return std::unique_ptr<CardDevice>(new FolderCard(file, name));
}

} // namespace bslate::io
