#include "io/doors/shut_doors.h"

#include "io/system/descriptor.h"
#include "io/system/helper_process.h"

#include <array>
#include <cerrno>
#include <cstdint>
#include <fcntl.h>
#include <linux/landlock.h>
#include <memory>
#include <sched.h>
#include <seccomp.h>
#include <sys/prctl.h>
#include <sys/syscall.h>
#include <unistd.h>

namespace bslate::io {
namespace {

struct EndsFilter {
    void operator()(void* filter) const { seccomp_release(filter); }
};
using Filter = std::unique_ptr<void, EndsFilter>;

// What arithmetic on open files, memory and threads takes, and the ways in which a process ends.
constexpr std::array kKept = {SCMP_SYS(read),
                              SCMP_SYS(readv),
                              SCMP_SYS(pread64),
                              SCMP_SYS(write),
                              SCMP_SYS(writev),
                              SCMP_SYS(lseek),
                              SCMP_SYS(close),
                              SCMP_SYS(fstat),
                              SCMP_SYS(poll),
                              SCMP_SYS(ppoll),
                              SCMP_SYS(dup),
                              SCMP_SYS(mmap),
                              SCMP_SYS(munmap),
                              SCMP_SYS(mremap),
                              SCMP_SYS(mprotect),
                              SCMP_SYS(madvise),
                              SCMP_SYS(brk),
                              SCMP_SYS(futex),
                              SCMP_SYS(clock_gettime),
                              SCMP_SYS(clock_getres),
                              SCMP_SYS(clock_nanosleep),
                              SCMP_SYS(nanosleep),
                              SCMP_SYS(gettimeofday),
                              SCMP_SYS(sched_yield),
                              SCMP_SYS(getpid),
                              SCMP_SYS(gettid),
                              SCMP_SYS(getppid),
                              SCMP_SYS(exit),
                              SCMP_SYS(exit_group),
                              SCMP_SYS(rt_sigreturn),
                              SCMP_SYS(rt_sigaction),
                              SCMP_SYS(rt_sigprocmask),
                              SCMP_SYS(sigaltstack),
                              SCMP_SYS(tgkill),
                              SCMP_SYS(restart_syscall),
                              SCMP_SYS(getrandom),
                              SCMP_SYS(rseq),
                              SCMP_SYS(set_robust_list),
                              SCMP_SYS(getrusage),
                              SCMP_SYS(sysinfo),
                              SCMP_SYS(uname),
                              SCMP_SYS(sched_getaffinity),
                              SCMP_SYS(membarrier),
                              SCMP_SYS(set_tid_address),
                              SCMP_SYS(times)};

// What looks at files by name or opens them to be read: where a folder stays open.
constexpr std::array kReads = {SCMP_SYS(newfstatat), SCMP_SYS(statx),      SCMP_SYS(access),
                               SCMP_SYS(faccessat),  SCMP_SYS(faccessat2), SCMP_SYS(readlink),
                               SCMP_SYS(readlinkat), SCMP_SYS(getdents64), SCMP_SYS(getcwd),
                               SCMP_SYS(stat),       SCMP_SYS(lstat)};

// An argument of a call that is just this.
scmp_arg_cmp equal(unsigned argument, scmp_datum_t value) {
    return {argument, SCMP_CMP_EQ, value, 0};
}

// An argument whose bits under a mask are these.
scmp_arg_cmp masked(unsigned argument, scmp_datum_t mask, scmp_datum_t value) {
    return {argument, SCMP_CMP_MASKED_EQ, mask, value};
}

// Other processes' way of asking is answered with "no such call", as an older kernel does: the
// libraries know what to do then.
Filter filterOf(bool reading) {
    Filter filter(seccomp_init(SCMP_ACT_ERRNO(ENOSYS)));
    if (!filter)
        return filter;
    // With other systems' names of calls in the same process nothing is done at all.
    seccomp_attr_set(filter.get(), SCMP_FLTATR_CTL_TSYNC, 1);
    bool whole = true;
    const auto add = [&](std::uint32_t what, int call, std::initializer_list<scmp_arg_cmp> when) {
        const int failed = seccomp_rule_add_array(filter.get(), what, call,
                                                  static_cast<unsigned>(when.size()), when.begin());
        whole = whole && (failed == 0 || failed == -EDOM); // a call this machine has not
    };
    for (const int call : kKept)
        add(SCMP_ACT_ALLOW, call, {});
    // Threads alone; clone3 hides what is asked for behind a pointer.
    add(SCMP_ACT_ALLOW, SCMP_SYS(clone), {masked(0, CLONE_THREAD, CLONE_THREAD)});
    // Only limits of its own are looked at, none is set.
    add(SCMP_ACT_ALLOW, SCMP_SYS(prlimit64), {equal(2, 0)});
    add(SCMP_ACT_ALLOW, SCMP_SYS(prctl), {equal(0, PR_SET_NAME)});
    // fstat() of newer C libraries: a descriptor, and a name that is empty.
    add(SCMP_ACT_ALLOW, SCMP_SYS(newfstatat), {masked(3, AT_EMPTY_PATH, AT_EMPTY_PATH)});
    add(SCMP_ACT_ALLOW, SCMP_SYS(fcntl), {equal(1, F_GETFL)});
    constexpr std::uint64_t kWriting = O_ACCMODE | O_CREAT | O_TRUNC | O_TMPFILE;
    for (const int call : {SCMP_SYS(open), SCMP_SYS(creat), SCMP_SYS(openat2), SCMP_SYS(socket)})
        add(SCMP_ACT_ERRNO(EACCES), call, {});
    if (!reading) {
        add(SCMP_ACT_ERRNO(EACCES), SCMP_SYS(openat), {});
        return whole ? std::move(filter) : Filter();
    }
    for (const int call : kReads)
        add(SCMP_ACT_ALLOW, call, {});
    add(SCMP_ACT_ALLOW, SCMP_SYS(openat), {masked(2, kWriting & ~O_DIRECTORY, 0)});
    return whole ? std::move(filter) : Filter();
}

// Files may be read in and below the folder alone; false where the kernel has no Landlock.
bool keepTo(const std::filesystem::path& folder) {
    landlock_ruleset_attr all = {};
    all.handled_access_fs =
        LANDLOCK_ACCESS_FS_EXECUTE | LANDLOCK_ACCESS_FS_WRITE_FILE | LANDLOCK_ACCESS_FS_READ_FILE |
        LANDLOCK_ACCESS_FS_READ_DIR | LANDLOCK_ACCESS_FS_REMOVE_DIR |
        LANDLOCK_ACCESS_FS_REMOVE_FILE | LANDLOCK_ACCESS_FS_MAKE_CHAR |
        LANDLOCK_ACCESS_FS_MAKE_DIR | LANDLOCK_ACCESS_FS_MAKE_REG | LANDLOCK_ACCESS_FS_MAKE_SOCK |
        LANDLOCK_ACCESS_FS_MAKE_FIFO | LANDLOCK_ACCESS_FS_MAKE_BLOCK | LANDLOCK_ACCESS_FS_MAKE_SYM;
    const Descriptor rules(
        static_cast<int>(::syscall(SYS_landlock_create_ruleset, &all, sizeof all, 0)));
    const Descriptor place(::open(folder.c_str(), O_PATH | O_CLOEXEC));
    if (!rules.open() || !place.open())
        return false;
    landlock_path_beneath_attr below = {};
    below.allowed_access = LANDLOCK_ACCESS_FS_READ_FILE | LANDLOCK_ACCESS_FS_READ_DIR;
    below.parent_fd = place.get();
    return ::syscall(SYS_landlock_add_rule, rules.get(), LANDLOCK_RULE_PATH_BENEATH, &below, 0) ==
               0 &&
           ::prctl(PR_SET_NO_NEW_PRIVS, 1, 0, 0, 0) == 0 &&
           ::syscall(SYS_landlock_restrict_self, rules.get(), 0) == 0;
}

bool load(bool reading) {
    const auto filter = filterOf(reading);
    return filter && seccomp_load(filter.get()) == 0;
}

} // namespace

bool shutDoors() {
    return memoryCanBeLimited() && load(false);
}

bool shutDoorsBut(const std::filesystem::path& folder) {
    if (!memoryCanBeLimited())
        return false;
    const bool kept = keepTo(folder);
    return load(true) && kept;
}

} // namespace bslate::io
