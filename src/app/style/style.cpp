#include "app/style/style.h"

#include "app/style/control_style.h"

#include <QApplication>
#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFontDatabase>
#include <QPalette>
#include <QResource>
#include <QToolTip>

namespace bslate::app {
namespace {

// B612 Mono, which may be installed, also calls its typographic family "B612", so asking for "B612"
// may give the mono face. Ours is loaded under a name of our own, of the same length.
const QString kSans = QStringLiteral("Bsl1");

bool loadFont(const char* file) {
    QFile font(QStringLiteral(":/fonts/%1.otf").arg(QString::fromLatin1(file)));
    if (!font.open(QIODevice::ReadOnly))
        return false;
    QByteArray bytes = font.readAll();
    const auto utf16 = [](const char* name) {
        QByteArray wide;
        for (; *name; ++name)
            wide.append('\0').append(*name);
        return wide;
    };
    bytes.replace(utf16("B612"), utf16("Bsl1"));
    bytes.replace("B612", "Bsl1");
    return QFontDatabase::addApplicationFontFromData(bytes) >= 0;
}

} // namespace

Style::Style(QObject* parent)
    : QObject(parent) {}

bool Style::loadFonts() {
    static const bool registered = [] {
        const QDir here(QCoreApplication::applicationDirPath());
        for (const char* place : {"fonts.rcc", "../src/app/fonts.rcc", "../app/fonts.rcc",
                                  "../../src/app/fonts.rcc", "../share/bright-slate/fonts.rcc"})
            if (QResource::registerResource(here.filePath(QString::fromLatin1(place))))
                return true;
        return false;
    }();
    bool loaded = registered;
    for (const char* file : {"B612-Regular", "B612-Bold"})
        loaded = loadFont(file) && loaded;
    return loaded;
}

void Style::setTheme(Theme theme) {
    if (theme == m_theme)
        return;
    m_theme = theme;
    if (qobject_cast<QApplication*>(QCoreApplication::instance()))
        apply();
    emit changed();
}

QFont Style::font(TextRole role) {
    QFont font(kSans);
    font.setHintingPreference(QFont::PreferNoHinting);
    switch (role) {
    case TextRole::Secondary:
        font.setPixelSize(12);
        break;
    case TextRole::Body:
    case TextRole::Value:
        font.setPixelSize(13);
        break;
    case TextRole::Title:
        font.setPixelSize(13);
        font.setBold(true);
        break;
    case TextRole::BigValue:
    case TextRole::Head:
        font.setPixelSize(17);
        font.setBold(true);
        break;
    }
    return font;
}

void Style::apply() const {
    const auto& t = colours();
    QPalette palette;
    palette.setColor(QPalette::Window, t.ground);
    palette.setColor(QPalette::WindowText, t.ink);
    palette.setColor(QPalette::Base, t.deep);
    palette.setColor(QPalette::AlternateBase, t.panel);
    palette.setColor(QPalette::Text, t.ink);
    palette.setColor(QPalette::PlaceholderText, t.muted);
    palette.setColor(QPalette::Button, t.raised);
    palette.setColor(QPalette::ButtonText, t.ink);
    palette.setColor(QPalette::BrightText, t.coral);
    palette.setColor(QPalette::Highlight, t.marigold);
    palette.setColor(QPalette::HighlightedText, t.deep);
    palette.setColor(QPalette::ToolTipBase, t.raised);
    palette.setColor(QPalette::ToolTipText, t.ink);
    palette.setColor(QPalette::Link, t.sky);
    palette.setColor(QPalette::Light, t.raised);
    palette.setColor(QPalette::Mid, t.line);
    palette.setColor(QPalette::Dark, t.deep);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        palette.setColor(QPalette::Disabled, role, t.faint);
    auto* drawn = qobject_cast<ControlStyle*>(QApplication::style());
    if (drawn) {
        drawn->setTokens(t);
    } else {
        QApplication::setStyle(new ControlStyle(t)); // which it owns from here on
        QApplication::setFont(font(TextRole::Body));
    }
    QApplication::setPalette(palette);
    QToolTip::setPalette(palette);
}

} // namespace bslate::app
