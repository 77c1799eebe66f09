#include "helper/process/helper_main.h"

#include "io/system/helper_process.h"

#include <cstdlib>
#include <exception>
#include <filesystem>
#include <iostream>

namespace bslate::helper {

void runHelper(int argc, char** argv, std::size_t fewestWords, std::size_t mostWords,
               const std::function<void(std::ostream&, const std::vector<std::string>&)>& answer) {
    const std::vector<std::string> words(argv + std::min(argc, 3), argv + argc);
    if (argc < 3 || words.size() < fewestWords || words.size() > mostWords) {
        std::cerr << std::filesystem::path(argv[0]).filename().string()
                  << ": started by Bright Slate alone\n";
        std::_Exit(2);
    }
    io::limitThisProcess(std::strtoull(argv[1], nullptr, 10),
                         static_cast<unsigned>(std::strtoul(argv[2], nullptr, 10)));
    int ended = 3;
    try {
        std::ios::sync_with_stdio(false);
        answer(std::cout, words);
        ended = std::cout.flush() ? 0 : 3;
    } catch (const std::exception&) {
        ended = 3;
    }
    std::_Exit(ended);
}

} // namespace bslate::helper
