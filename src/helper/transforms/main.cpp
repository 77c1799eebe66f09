// bslate-transforms MEMORY SECONDS FILE: opens a colour transform somebody else wrote for the
// programs that ask on standard input, and ends when it takes too much.
#include "helper/process/helper_main.h"
#include "io/colour/transform_answer.h"
#include "io/doors/shut_doors.h"

#include <filesystem>
#include <iostream>
#include <iterator>

int main(int argc, char** argv) {
    bslate::helper::runHelper(argc, argv, 1, 1, [](std::ostream& out, const auto& words) {
        bslate::io::shutDoorsBut(std::filesystem::absolute(words[0]).parent_path());
        const std::string request((std::istreambuf_iterator<char>(std::cin)), {});
        out << bslate::io::answerRequest(request, words[0]);
    });
}
