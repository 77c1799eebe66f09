#include "app/views/help/help_sheets.h"

#include <QCoreApplication>
#include <QDialog>
#include <QDialogButtonBox>
#include <QTextBrowser>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("Help", text);
}

void showSheet(QWidget* parent, const QString& name, const QString& title, const QString& html) {
    auto* dialog = new QDialog(parent);
    dialog->setObjectName(name);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(title);
    dialog->resize(680, 780);
    auto* column = new QVBoxLayout(dialog);
    auto* text = new QTextBrowser;
    text->setHtml(html);
    text->setAccessibleName(title);
    column->addWidget(text);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    QObject::connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::close);
    column->addWidget(buttons);
    dialog->show();
}

} // namespace

QString keysHtml() {
    const struct {
        const char* key;
        const char* what;
    } keys[] = {
        {"Ctrl+1, Ctrl+2, Ctrl+3, Ctrl+4, Ctrl+5, Ctrl+6",
         QT_TRANSLATE_NOOP("Help", "Brief, Kit, Cadence, Light, Record, Media")},
        {"Ctrl+Left, Ctrl+Right", QT_TRANSLATE_NOOP("Help", "previous, next setup")},
        {"Left, Right", QT_TRANSLATE_NOOP("Help", "iris a third of a stop down, up in light")},
        {"Up, Down", QT_TRANSLATE_NOOP("Help", "rating a third of a stop up, down")},
        {"N, Shift+N", QT_TRANSLATE_NOOP("Help", "next stronger, weaker ND of your own")},
        {"[ and ]", QT_TRANSLATE_NOOP("Help", "shutter shorter, longer")},
        {"K, L", QT_TRANSLATE_NOOP("Help", "less, more light on the scene")},
        {"B", QT_TRANSLATE_NOOP("Help", "other base ISO")},
        {"I, D, S, E, M",
         QT_TRANSLATE_NOOP("Help", "type iris, ND, shutter, rating, metered light")},
        {"P", QT_TRANSLATE_NOOP("Help", "who pays for a change: ND, iris, light, rating, nobody")},
        {"O", QT_TRANSLATE_NOOP("Help", "next school")},
        {"Space, G", QT_TRANSLATE_NOOP("Help", "ghost of the other schools: next, on and off")},
        {"Tab, then Left or Right",
         QT_TRANSLATE_NOOP("Help", "a patch: move it; Return types its reading")},
        {"Insert, Delete", QT_TRANSLATE_NOOP("Help", "add a patch, delete the focused one")},
        {"Brief: arrows, Return, Delete",
         QT_TRANSLATE_NOOP("Help", "choose a scene, rewrite its line, delete it")},
        {"Kit: Insert, Delete, Return",
         QT_TRANSLATE_NOOP("Help", "add, delete, describe a camera")},
        {"Kit: Ctrl+PgDown, Ctrl+PgUp", QT_TRANSLATE_NOOP("Help", "gear, profiles, body test")},
        {"Profiles: Return, Insert, R, L",
         QT_TRANSLATE_NOOP("Help", "use in the setup, import a curve, recipes, LUT")},
        {"Body test: Ctrl+Return, Ctrl+K",
         QT_TRANSLATE_NOOP("Help", "fit the readings, keep the measured profile")},
        {"Cadence: Left, Right, Up, Down",
         QT_TRANSLATE_NOOP("Help", "shutter by clicks (Shift: ten), capture rate")},
        {"Cadence: S, H, O",
         QT_TRANSLATE_NOOP("Help", "next safe shutter, the school's shutter, next school")},
        {"Cadence: A, R, L", QT_TRANSLATE_NOOP("Help", "type the shutter, the rate, a lamp")},
        {"Cadence: Space, Escape",
         QT_TRANSLATE_NOOP("Help", "play the motion after a caution, keep it still")},
        {"Record: arrows, Return, W",
         QT_TRANSLATE_NOOP("Help", "move, record this way, open a closed cell")},
        {"Record: L, F", QT_TRANSLATE_NOOP("Help", "next sensor area, only what can be used")},
        {"Media: arrows, Alt+Left, Alt+Right",
         QT_TRANSLATE_NOOP("Help", "choose take and camera, move the take five minutes")},
        {"Media: Insert, Return, Delete, S",
         QT_TRANSLATE_NOOP("Help", "type a new take, rewrite, delete, fill from the scenes")},
        {"Media: W, E, C, X",
         QT_TRANSLATE_NOOP("Help", "uninterruptible, really ran, type the card, card failed")},
        {"Media: +, -, F, PgUp, PgDn, Escape",
         QT_TRANSLATE_NOOP("Help", "zoom, whole day, other day, stop searching")},
        {"Ctrl+Shift+P", QT_TRANSLATE_NOOP("Help", "pack list: print, PDF, copy (P on Media)")},
        {"C, Ctrl+Shift+E", QT_TRANSLATE_NOOP("Help", "compare two setups")},
        {"F6, Shift+F6", QT_TRANSLATE_NOOP("Help", "next, previous part of the window")},
        {"Ctrl+E, F4",
         QT_TRANSLATE_NOOP("Help", "setup sheet: name, camera, profile, mode, lens, rate")},
        {"Ctrl+Shift+N, Ctrl+D, Ctrl+Delete",
         QT_TRANSLATE_NOOP("Help", "add, duplicate, delete a setup")},
        {"Ctrl+P", QT_TRANSLATE_NOOP("Help", "dial-in card: print, PDF, copy")},
        {"Ctrl+L", QT_TRANSLATE_NOOP("Help", "write the rating LUT")},
        {"Ctrl+Z, Ctrl+Shift+Z", QT_TRANSLATE_NOOP("Help", "undo, redo")},
        {"Ctrl+N, Ctrl+O, Ctrl+S, Ctrl+Shift+S",
         QT_TRANSLATE_NOOP("Help", "new, open, save, save as")},
        {"Ctrl+Shift+C", QT_TRANSLATE_NOOP("Help", "copy the picture")},
        {"Ctrl+T", QT_TRANSLATE_NOOP("Help", "Slate or Paper theme")},
        {"?", QT_TRANSLATE_NOOP("Help", "this sheet")},
    };
    QString html = QStringLiteral("<h2>%1</h2><table cellpadding=4>").arg(tr("Keys"));
    for (const auto& entry : keys)
        html += QStringLiteral("<tr><td><b>%1</b></td><td>%2</td></tr>")
                    .arg(QString::fromLatin1(entry.key).toHtmlEscaped(), tr(entry.what));
    return html + QStringLiteral("</table>");
}

QString cautionsHtml() {
    const char* lines[] = {
        QT_TRANSLATE_NOOP("Help",
                          "Bright Slate plans settings. It never replaces a risk assessment, "
                          "local codes or licensed practice."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Sun.</b> Never look at it through optics or point a long lens at "
                          "it unattended: eyes, sensors and shutters burn."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Batteries.</b> Stop using swollen or dropped lithium cells; do "
                          "not charge unattended; airlines limit what may fly."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Hot bodies.</b> Long takes heat cameras and lamps; let them cool "
                          "before touching or packing."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Mains.</b> Distribution, generators, and lamps in or near water "
                          "belong to a licensed electrician."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Flicker.</b> Strobing and flicker tests can trigger seizures in "
                          "photosensitive people: warn everyone first."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Lasers.</b> Never into a lens or toward people; scanners burn "
                          "sensors too."),
        QT_TRANSLATE_NOOP("Help",
                          "<b>Overhead and underfoot.</b> Secure stands, cages and cables; keep "
                          "walkways clear."),
        QT_TRANSLATE_NOOP("Help", "<b>Vehicles, water, heights.</b> Do not frame and move alone: a "
                                  "second person watches."),
    };
    QString html = QStringLiteral("<h2>%1</h2>").arg(tr("Cautions"));
    for (const char* line : lines)
        html += QStringLiteral("<p>%1</p>").arg(tr(line));
    return html;
}

void showKeysSheet(QWidget* parent) {
    showSheet(parent, QStringLiteral("keys-sheet"), tr("Keys"), keysHtml());
}

void showCautionsSheet(QWidget* parent) {
    showSheet(parent, QStringLiteral("cautions-sheet"), tr("Cautions"), cautionsHtml());
}

} // namespace bslate::app
