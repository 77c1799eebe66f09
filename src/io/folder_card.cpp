#include "io/folder_card.h"

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

class FolderCard : public CardDevice {
public:
    FolderCard(int file, std::string path)
        : m_file(file)
        , m_path(std::move(path)) {}
    FolderCard(const FolderCard&) = delete;
    FolderCard& operator=(const FolderCard&) = delete;
    ~FolderCard() override {
        ::close(m_file);
        ::unlink(m_path.c_str());
    }

    Result<Seconds> write(std::span<const std::byte> block) override {
        const auto start = std::chrono::steady_clock::now();
        std::size_t done = 0;
        while (done < block.size()) {
            const auto count = ::write(m_file, block.data() + done, block.size() - done);
            if (count < 0 && errno == EINTR)
                continue;
            if (count <= 0)
                return Error{ErrorCode::FileUnwritable,
                             m_path,
                             {},
                             std::strerror(errno),
                             "a card that takes the block"};
            done += static_cast<std::size_t>(count);
        }
        if (::fdatasync(m_file) != 0)
            return Error{ErrorCode::FileUnwritable,
                         m_path,
                         {},
                         std::strerror(errno),
                         "a card that keeps it"};
        const std::chrono::duration<double> took = std::chrono::steady_clock::now() - start;
        return Seconds(took.count());
    }

private:
    int m_file;
    std::string m_path;
};

} // namespace

Result<std::unique_ptr<CardDevice>> openFolderCard(const fs::path& folder, DataSize total) {
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
    const double wanted = total.value() + kLeaveFree * static_cast<double>(space.capacity);
    if (static_cast<double>(space.available) < wanted)
        return Error{ErrorCode::FileUnwritable,
                     folder.string(),
                     {},
                     std::to_string(space.available / 1000000) + " MB free",
                     std::to_string(static_cast<long long>(wanted / 1e6)) + " MB free"};
    std::string name = (folder / ".bright-slate-write-test-XXXXXX").string();
    const int file = ::mkstemp(name.data());
    if (file < 0)
        return Error{ErrorCode::FileUnwritable,
                     folder.string(),
                     {},
                     std::strerror(errno),
                     "a folder that can be written to"};
    return std::unique_ptr<CardDevice>(new FolderCard(file, name));
}

} // namespace bslate::io
