// What a file of others may do to the program that opens it: fail, and nothing worse.
#include "io/colour/transform_file.h"
#include "io/colour/transform_reader.h"
#include "io/system/files.h"
#include "io/system/helper_process.h"
#include "io/wire/error_message.h"
#include "io/wire/transform_messages.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <chrono>
#include <csignal>
#include <cstdlib>
#include <sys/stat.h>
#include <sys/wait.h>
#include <thread>

namespace bslate::io {
namespace {

using Clock = std::chrono::steady_clock;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;
using namespace std::chrono_literals;

double secondsSince(Clock::time_point start) {
    return std::chrono::duration<double>(Clock::now() - start).count();
}

Result<std::string> shell(const std::string& script, const HelperLimits& limits = {},
                          const std::string& request = {}, const KeepGoing& keepGoing = {}) {
    return runHelper("/bin/sh", {"-c", script}, request, limits, keepGoing);
}

TEST(Helper, SaysWhatItWasAskedHoweverMuchItIs) {
    const std::string much(3'000'000, 'x');
    EXPECT_EQ(shell("cat", {}, much).valueOr("nothing"), much);
    EXPECT_EQ(shell("echo quiet >&2").valueOr("nothing"), "");
}

TEST(Helper, OneThatDiesHangsOrNeverStopsTalkingIsAnErrorAndGone) {
    EXPECT_FALSE(shell("kill -SEGV $$").ok());
    EXPECT_FALSE(shell("echo half; exit 3").ok()) << "half an answer is none";
    HelperLimits limits;
    limits.time = 300ms;
    limits.answer = 100'000;
    auto start = Clock::now();
    const auto hung = shell("sleep 30", limits);
    ASSERT_FALSE(hung.ok());
    EXPECT_NE(hung.error().expected.find("0.3 s"), std::string::npos) << hung.error().expected;
    EXPECT_LT(secondsSince(start), 5);
    start = Clock::now();
    EXPECT_FALSE(shell("yes", limits).ok());
    EXPECT_LT(secondsSince(start), 5);
    EXPECT_FALSE(runHelper("/nowhere/helper", {}, std::string(), limits).ok());
}

// Killed by somebody is not "too slow".
TEST(Helper, OneThatIsKilledIsSaidToBeKilled) {
    const auto killed = shell("kill -KILL $$");
    ASSERT_FALSE(killed.ok());
    EXPECT_NE(killed.error().expected.find("killed"), std::string::npos);
    EXPECT_EQ(killed.error().expected.find(" s"), killed.error().expected.find(" somebody"));
}

// A helper whose program is killed goes with it, even while it waits on a pipe that nobody writes
// into, and also one whose program was gone before it began.
TEST(Helper, GoesWithItsProgram) {
    const auto helper = findHelper("bslate-clips");
    ASSERT_TRUE(helper.ok()) << message(helper.error());
    const TemporaryFolder folder;
    const auto fifo = folder / "a.mov";
    ASSERT_EQ(::mkfifo(fifo.c_str(), 0600), 0);
    const auto runs = [&] {
        for (const auto& process : std::filesystem::directory_iterator("/proc")) {
            const auto line = slurp(process.path() / "cmdline");
            if (line.starts_with(helper->string()) && line.find(fifo.string()) != line.npos)
                return true;
        }
        return false;
    };
    const pid_t program = ::fork();
    if (program == 0) {
        (void)runHelper(*helper, {"2000000000", "20", "facts", fifo.string()}, std::string(), {});
        std::_Exit(0);
    }
    for (int i = 0; i < 200 && !runs(); ++i)
        std::this_thread::sleep_for(10ms);
    ::kill(program, SIGKILL);
    ::waitpid(program, nullptr, 0);
    for (int i = 0; i < 300 && runs(); ++i)
        std::this_thread::sleep_for(10ms);
    EXPECT_FALSE(runs());
    const std::string orphan = "BSLATE_PARENT=1 timeout 5 '" + helper->string() +
                               "' 2000000000 20 facts '" + fifo.string() + "' >/dev/null 2>&1";
    EXPECT_EQ(WEXITSTATUS(std::system(orphan.c_str())), 3) << "whose program is another process";
}

TEST(Helper, IsStoppedAsSoonAsNobodyWantsItsAnswer) {
    const auto start = Clock::now();
    const auto stopped =
        shell("sleep 30", {}, {}, [&](double) { return secondsSince(start) < 0.2; });
    ASSERT_FALSE(stopped.ok());
    EXPECT_EQ(stopped.error().code, ErrorCode::Stopped);
    EXPECT_LT(secondsSince(start), 5);
}

// The real one, with less memory than it needs to start, and files that are none.
TEST(Helper, ATransformOverItsMemoryIsToldAsThat) {
    const auto helper = findHelper("bslate-transforms");
    ASSERT_TRUE(helper.ok()) << message(helper.error());
    const TemporaryFolder folder;
    std::string cube = "LUT_3D_SIZE 129\n";
    for (int i = 0; i < 129 * 129 * 129; ++i)
        cube += "0 0 0\n";
    spit(folder / "a.cube", cube);
    const auto request = requestText(AskTransform{});
    const auto answer = [&](const char* memory) {
        return runHelper(*helper, {memory, "20", (folder / "a.cube").string()}, request, {});
    };
    EXPECT_EQ(answer("1000000").ok(), !memoryCanBeLimited()) << "it cannot even start";
    ASSERT_TRUE(answer("2000000000").ok());
    EXPECT_TRUE(errorIn(*answer("2000000000"))) << "black is no curve";
    EXPECT_FALSE(findHelper("no-such-helper").ok());
}

// The same numbers arrive as the library gave them inside this process.
TEST(Helper, GivesBitForBitWhatTheReaderGives) {
    const TemporaryFolder folder;
    std::string table = "Version 1\nFrom 0.0 1.0\nLength 33\nComponents 1\n{\n";
    for (int i = 0; i <= 32; ++i)
        table += std::to_string(i * i + i) + "e-3\n";
    spit(folder / "a.spi1d", table + "}\n");
    const Colours colours = {{0.1, 0.2, 0.3}, {1.0 / 3, 0.7, 0.9}};
    EXPECT_EQ(*throughTransform(folder / "a.spi1d", colours),
              *readThrough(folder / "a.spi1d", colours));
    const auto near = readTransform(folder / "a.spi1d");
    const auto far = importTransform(folder / "a.spi1d");
    ASSERT_TRUE(near.ok() && far.ok()) << message(far.error());
    EXPECT_EQ(far->curve.curve, near->curve.curve);
    EXPECT_EQ(far->curve.worst, near->curve.worst);
    EXPECT_EQ(far->colourMiss, near->colourMiss);
    EXPECT_EQ(far->gamut, near->gamut);
    EXPECT_EQ(far->name, near->name);
    // A name that is not UTF-8 is opened all the same.
    std::filesystem::copy_file(folder / "a.spi1d", folder / "\xff.spi1d");
    EXPECT_TRUE(importTransform(folder / "\xff.spi1d").ok());
}

TEST(Helper, AnswersThatAreNoneOfOursAreRefused) {
    for (const char* text :
         {"", "{}", "[]", "{\"colours\":[1,2]}", "{\"colours\":[1,2,\"x\"]}", "{\"error\":{}}",
          "{\"error\":{\"code\":99,\"file\":\"\",\"place\":\"\",\"got\":\"\",\"expected\":\"\"}}",
          "{\"curve\":{\"family\":\"sampled\",\"points\":[]}}"}) {
        EXPECT_FALSE(readColoursAnswer(text).ok()) << text;
        EXPECT_FALSE(readTransformAnswer(text).ok()) << text;
    }
    const Error error{ErrorCode::FileTooLarge, "a", "b", "c", "d"};
    EXPECT_EQ(errorIn(errorText(error)), error);
}

} // namespace
} // namespace bslate::io
