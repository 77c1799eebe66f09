// The entry of every test program without a window. It takes the locale of its environment, as the
// application does: the tests run once in the plain one and once in one with decimal commas.
#include <gtest/gtest.h>

#include <clocale>
#include <cstdlib>

int main(int argc, char** argv) {
    ::testing::InitGoogleTest(&argc, argv);
    std::setlocale(LC_ALL, "");
    const char* wanted = std::getenv("BSLATE_DECIMAL_POINT");
    if (wanted && std::localeconv()->decimal_point != std::string_view(wanted)) {
        std::fprintf(stderr, "this locale has no decimal \"%s\"\n", wanted);
        return 2;
    }
    return RUN_ALL_TESTS();
}
