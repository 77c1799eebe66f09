#include "wall.h"

#include <fcntl.h>
#include <linux/landlock.h>
#include <sys/prctl.h>
#include <sys/syscall.h>
#include <unistd.h>

namespace bslate::faults {
namespace {

constexpr __u64 kWriting = LANDLOCK_ACCESS_FS_WRITE_FILE | LANDLOCK_ACCESS_FS_REMOVE_DIR |
                           LANDLOCK_ACCESS_FS_REMOVE_FILE | LANDLOCK_ACCESS_FS_MAKE_CHAR |
                           LANDLOCK_ACCESS_FS_MAKE_DIR | LANDLOCK_ACCESS_FS_MAKE_REG |
                           LANDLOCK_ACCESS_FS_MAKE_SOCK | LANDLOCK_ACCESS_FS_MAKE_FIFO |
                           LANDLOCK_ACCESS_FS_MAKE_BLOCK | LANDLOCK_ACCESS_FS_MAKE_SYM;

bool allow(int rules, const char* place, __u64 access) {
    landlock_path_beneath_attr below = {};
    below.allowed_access = access;
    below.parent_fd = ::open(place, O_PATH | O_CLOEXEC);
    const bool added =
        below.parent_fd >= 0 &&
        ::syscall(SYS_landlock_add_rule, rules, LANDLOCK_RULE_PATH_BENEATH, &below, 0) == 0;
    ::close(below.parent_fd);
    return added;
}

} // namespace

bool buildWallAround(const std::string& folder) {
    landlock_ruleset_attr all = {};
    all.handled_access_fs = kWriting;
    const int rules = static_cast<int>(::syscall(SYS_landlock_create_ruleset, &all, sizeof all, 0));
    const bool built = rules >= 0 && allow(rules, folder.c_str(), kWriting) &&
                       allow(rules, "/dev/null", LANDLOCK_ACCESS_FS_WRITE_FILE) &&
                       ::prctl(PR_SET_NO_NEW_PRIVS, 1, 0, 0, 0) == 0 &&
                       ::syscall(SYS_landlock_restrict_self, rules, 0) == 0;
    ::close(rules);
    return built;
}

} // namespace bslate::faults
