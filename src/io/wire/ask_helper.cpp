#include "io/wire/ask_helper.h"

#include "io/wire/error_message.h"

namespace bslate::io {

Error about(const std::filesystem::path& file, Error error) {
    if (error.file.empty() || error.file == file.string())
        error.file = file.filename().string();
    return error;
}

Result<std::string> askHelper(const HelperQuestion& question, const RequestParts& parts,
                              const KeepGoing& keepGoing) {
    const auto program = findHelper(question.helper);
    if (!program)
        return program.error();
    const auto seconds =
        std::chrono::duration_cast<std::chrono::seconds>(question.limits.time).count();
    std::vector<std::string> words = {std::to_string(question.limits.memory),
                                      std::to_string(seconds)};
    words.insert(words.end(), question.words.begin(), question.words.end());
    auto answer = runHelper(*program, words, parts, question.limits, keepGoing);
    if (!answer)
        return about(question.file, answer.error());
    if (auto error = errorIn(*answer))
        return about(question.file, *std::move(error));
    return answer;
}

Result<std::string> askHelper(const HelperQuestion& question, const std::string& request,
                              const KeepGoing& keepGoing) {
    bool given = false;
    return askHelper(
        question, [&] { return std::exchange(given, true) ? std::string() : request; }, keepGoing);
}

} // namespace bslate::io
