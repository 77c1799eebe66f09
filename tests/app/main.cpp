#include "app/shell/application.h"
#include "app/style/plain_text.h"
#include "app/widgets/painted_access.h"
#include "app/widgets/pick_access.h"

#include <QApplication>
#include <QLocale>
#include <QStandardPaths>

#include <gtest/gtest.h>

#include <clocale>
#include <cstdlib>

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", qEnvironmentVariable("QT_QPA_PLATFORM", "offscreen").toUtf8());
    ::testing::InitGoogleTest(&argc, argv);
    QStandardPaths::setTestModeEnabled(true);
    bslate::app::Application application(argc, argv);
    QLocale::setDefault(QLocale::c());
    const char* wanted = std::getenv("BSLATE_DECIMAL_POINT");
    if (wanted && std::localeconv()->decimal_point != std::string_view(wanted))
        qFatal("this locale has no decimal \"%s\"", wanted);
    bslate::app::installPaintedAccess();
    bslate::app::installPickAccess();
    bslate::app::installPlainText(application);
    return RUN_ALL_TESTS();
}
