// bslate-transforms FILE MEMORY SECONDS: opens a colour transform somebody else wrote for the
// programs that ask on standard input, and ends when it takes too much.
#include "io/colour/transform_answer.h"
#include "io/doors/shut_doors.h"
#include "io/system/helper_process.h"

#include <cstdlib>
#include <filesystem>
#include <iostream>
#include <iterator>

int main(int argc, char** argv) {
    if (argc != 4) {
        std::cerr << "bslate-transforms: started by Bright Slate alone\n";
        return 2;
    }
    const auto memory = std::strtoull(argv[2], nullptr, 10);
    bslate::io::limitThisProcess(memory, static_cast<unsigned>(std::strtoul(argv[3], nullptr, 10)));
    bslate::io::shutDoorsBut(std::filesystem::absolute(argv[1]).parent_path());
    try {
        const std::string request((std::istreambuf_iterator<char>(std::cin)), {});
        std::cout << bslate::io::answerRequest(request, argv[1]) << std::flush;
    } catch (const std::exception&) {
        return 3;
    }
    return std::cout ? 0 : 3;
}
