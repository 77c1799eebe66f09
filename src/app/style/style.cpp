#include "app/style/style.h"

#include "app/style/plain_style.h"

#include <QApplication>
#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFontDatabase>
#include <QPalette>
#include <QResource>

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
    if (auto* application = qobject_cast<QApplication*>(QCoreApplication::instance()))
        applyTo(*application);
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

void Style::applyTo(QApplication& application) const {
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
    application.setStyle(new PlainStyle);
    application.setPalette(palette);
    application.setFont(font(TextRole::Body));
    application.setStyleSheet(
        QStringLiteral(
            "QMenuBar,QMenu{background:%1;color:%2} QMenuBar::item{padding:4px 10px}"
            "QMenuBar::item:selected,QMenu::item:selected{background:%3;color:%2}"
            "QMenu{border:1px solid %4} QMenu::item{padding:5px 24px 5px 16px}"
            "QMenu::item:disabled{color:%6}"
            "QMenu::separator{height:1px;background:%4;margin:4px 8px}"
            "QPushButton,QToolButton{background:%3;color:%2;border:1px solid %4;"
            "border-radius:4px;padding:4px 10px}"
            "QPushButton:hover,QToolButton:hover{border-color:%5}"
            "QPushButton:focus,QToolButton:focus,QLineEdit:focus,QComboBox:focus{"
            "border:1px solid %5}"
            "QPushButton:disabled,QComboBox:disabled,QLineEdit:disabled{color:%6}"
            "QPushButton:checked{background:%7;border-color:%5;color:%5}"
            "QPushButton[quiet=\"true\"]{background:transparent;border-color:transparent;color:%9;"
            "padding:1px 2px}"
            "QPushButton[quiet=\"true\"]:hover{color:%2}"
            "QPushButton[quiet=\"true\"]:focus{border-color:%5}"
            "QLineEdit,QComboBox,QPlainTextEdit{background:%7;color:%2;border:1px solid %4;"
            "border-radius:4px;padding:3px 6px;selection-background-color:%5;"
            "selection-color:%7}"
            "QComboBox QAbstractItemView{background:%8;color:%2;border:1px solid %4}"
            "QScrollArea{border:none;background:transparent}"
            "QToolTip{background:%3;color:%2;border:1px solid %4;padding:4px}")
            .arg(t.ground.name(), t.ink.name(), t.raised.name(), t.line.name(), t.marigold.name(),
                 t.faint.name(), t.deep.name(), t.panel.name(), t.muted.name()));
}

} // namespace bslate::app
