#include "io/system/helper_process.h"

#include "core/quantity/print.h"
#include "io/system/descriptor.h"

#include <array>
#include <cerrno>
#include <csignal>
#include <cstdlib>
#include <fcntl.h>
#include <memory>
#include <poll.h>
#include <spawn.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <sys/socket.h>
#include <sys/wait.h>
#include <unistd.h>
#include <utility>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;
using Clock = std::chrono::steady_clock;
constexpr int kLookEveryMs = 50;
constexpr const char* kParent = "BSLATE_PARENT"; // tells a helper whose it is
constexpr unsigned kWallSpare = 10;              // seconds over its own limit, for one that waits
#if defined(__SANITIZE_ADDRESS__)
constexpr bool kUnderSanitizer = true;
#elif defined(__has_feature)
constexpr bool kUnderSanitizer = __has_feature(address_sanitizer);
#else
constexpr bool kUnderSanitizer = false;
#endif

Error notRun(std::string why) {
    return {ErrorCode::OutOfRange, {}, {}, {}, std::move(why)};
}

Error tooLong(const HelperLimits& limits) {
    return notRun("a file that is read within " +
                  fixedText(std::chrono::duration<double>(limits.time).count(), 1) + " s");
}

// A child that is killed and waited for, whichever way the call is left.
class Child {
public:
    explicit Child(pid_t pid)
        : m_pid(pid) {}
    ~Child() {
        if (m_pid > 0) {
            ::kill(m_pid, SIGKILL);
            wait();
        }
    }
    Child(const Child&) = delete;
    Child& operator=(const Child&) = delete;
    int wait() {
        int status = 0;
        while (::waitpid(m_pid, &status, 0) < 0 && errno == EINTR) {
        }
        m_pid = -1;
        return status;
    }

private:
    pid_t m_pid;
};

Result<pid_t> spawned(const fs::path& program, const std::vector<std::string>& arguments, int end) {
    std::vector<char*> argv;
    std::string name = program.string();
    argv.push_back(name.data());
    auto words = arguments;
    for (auto& word : words)
        argv.push_back(word.data());
    argv.push_back(nullptr);
    posix_spawn_file_actions_t actions;
    posix_spawn_file_actions_init(&actions);
    posix_spawn_file_actions_adddup2(&actions, end, STDIN_FILENO);
    posix_spawn_file_actions_adddup2(&actions, end, STDOUT_FILENO);
    posix_spawn_file_actions_addopen(&actions, STDERR_FILENO, "/dev/null", O_WRONLY, 0);
    std::string parent = std::string(kParent) + "=" + std::to_string(::getpid());
    std::vector<char*> environment{parent.data()};
    for (char** one = environ; *one; ++one)
        environment.push_back(*one);
    environment.push_back(nullptr);
    pid_t pid = -1;
    const int failed =
        ::posix_spawn(&pid, program.c_str(), &actions, nullptr, argv.data(), environment.data());
    posix_spawn_file_actions_destroy(&actions);
    if (failed != 0)
        return notRun("a helper program that can be started (" + program.string() + ")");
    return pid;
}

// Sends the request and gathers the answer until the other side closes.
class Talk {
public:
    Talk(int socket, const RequestParts& parts, const HelperLimits& limits,
         const KeepGoing& keepGoing)
        : m_socket(socket)
        , m_parts(parts)
        , m_limits(limits)
        , m_keepGoing(keepGoing)
        , m_end(Clock::now() + limits.time) {}

    Result<std::string> run() {
        next();
        while (true) {
            if (m_keepGoing && !m_keepGoing(0))
                return Error{ErrorCode::Stopped, {}, {}, {}, {}};
            if (Clock::now() >= m_end)
                return tooLong(m_limits);
            pollfd wait{m_socket, static_cast<short>(POLLIN | (sending() ? POLLOUT : 0)), 0};
            if (::poll(&wait, 1, kLookEveryMs) <= 0)
                continue;
            if ((wait.revents & POLLOUT) != 0)
                send();
            if ((wait.revents & (POLLIN | POLLHUP | POLLERR)) == 0)
                continue;
            if (!receive())
                return std::move(m_answer);
            if (m_answer.size() > m_limits.answer)
                return notRun("an answer of at most " + std::to_string(m_limits.answer) + " bytes");
        }
    }

private:
    [[nodiscard]] bool sending() const { return m_sent < m_part.size(); }
    void send() {
        const auto done = ::send(m_socket, m_part.data() + m_sent, m_part.size() - m_sent,
                                 MSG_NOSIGNAL | MSG_DONTWAIT);
        if (done < 0 && errno != EAGAIN && errno != EINTR)
            return end(); // it reads no more; how it ended says why
        m_sent += done > 0 ? static_cast<std::size_t>(done) : 0;
        if (!sending())
            next();
    }
    void next() {
        m_part = m_parts();
        m_sent = 0;
        if (m_part.empty())
            end();
    }
    void end() {
        m_part.clear();
        m_sent = 0;
        ::shutdown(m_socket, SHUT_WR);
    }
    bool receive() {
        std::array<char, 65536> buffer;
        const auto got = ::recv(m_socket, buffer.data(), buffer.size(), MSG_DONTWAIT);
        if (got > 0)
            m_answer.append(buffer.data(), static_cast<std::size_t>(got));
        return got > 0 || (got < 0 && (errno == EAGAIN || errno == EINTR));
    }

    int m_socket;
    const RequestParts& m_parts;
    const HelperLimits& m_limits;
    const KeepGoing& m_keepGoing;
    Clock::time_point m_end;
    std::string m_part;
    std::size_t m_sent = 0;
    std::string m_answer;
};

} // namespace

Result<fs::path> findHelper(const std::string& name) {
    std::error_code failed;
    const auto folder = fs::read_symlink("/proc/self/exe", failed).parent_path();
    for (const char* way : {".", "../libexec/bright-slate", "../helper", "../src/helper"})
        if (const auto path = folder / way / name; ::access(path.c_str(), X_OK) == 0)
            return path;
    return Error{ErrorCode::FileUnreadable, name, {}, {}, "this helper program beside the program"};
}

Result<std::string> runHelper(const fs::path& program, const std::vector<std::string>& arguments,
                              const std::string& request, const HelperLimits& limits,
                              const KeepGoing& keepGoing) {
    bool given = false;
    return runHelper(
        program, arguments, [&] { return std::exchange(given, true) ? std::string() : request; },
        limits, keepGoing);
}

Result<std::string> runHelper(const fs::path& program, const std::vector<std::string>& arguments,
                              const RequestParts& parts, const HelperLimits& limits,
                              const KeepGoing& keepGoing) {
    int ends[2];
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) != 0)
        return notRun("a free file descriptor");
    const Descriptor ours(ends[0]);
    auto theirs = std::make_unique<Descriptor>(ends[1]);
    const auto pid = spawned(program, arguments, theirs->get());
    if (!pid)
        return pid.error();
    Child child(*pid);
    theirs.reset();
    auto answer = Talk(ours.get(), parts, limits, keepGoing).run();
    if (!answer)
        return answer;
    const int status = child.wait();
    if (WIFEXITED(status) && WEXITSTATUS(status) == 0)
        return answer;
    const int signal = WIFSIGNALED(status) ? WTERMSIG(status) : 0;
    if (signal == SIGXCPU || signal == SIGALRM)
        return tooLong(limits);
    if (signal == SIGKILL || signal == SIGTERM)
        return notRun("a reader that goes on: it was killed, by somebody or for want of memory");
    return notRun("a file whose reading does not end the reader; it fails, or takes over " +
                  std::to_string(limits.memory >> 20) + " MiB of memory");
}

bool memoryCanBeLimited() {
    return !kUnderSanitizer;
}

void limitThisProcess(std::size_t memory, unsigned seconds) {
    const auto limit = [](auto what, rlim_t most) {
        const rlimit both{most, most};
        ::setrlimit(what, &both);
    };
    ::prctl(PR_SET_PDEATHSIG, SIGKILL);
    // Gone before that was set: nobody would tell it any more.
    const char* parent = std::getenv(kParent);
    if (parent && std::to_string(::getppid()) != parent)
        std::_Exit(3);
    ::alarm(seconds + kWallSpare); // what waits for a pipe takes no time of the processor
    limit(RLIMIT_CORE, 0);
    limit(RLIMIT_FSIZE, 0);
    const rlimit processor{seconds, seconds + 1}; // a signal of its own before the kernel's kill
    ::setrlimit(RLIMIT_CPU, &processor);
    if (memoryCanBeLimited())
        limit(RLIMIT_AS, memory);
}

} // namespace bslate::io
