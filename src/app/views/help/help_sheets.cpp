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

QDialog* showSheet(QWidget* parent, const QString& name, const QString& title,
                   const QString& html) {
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
    return dialog;
}

} // namespace

namespace {

QString rowsOf(const KeyGroup& group) {
    QString html =
        QStringLiteral("<tr><td colspan=2><h3>%1</h3></td></tr>").arg(group.name.toHtmlEscaped());
    for (const auto& line : group.keys)
        html += QStringLiteral("<tr><td><b>%1</b></td><td>%2</td></tr>")
                    .arg(line.keys.toHtmlEscaped(), line.what.toHtmlEscaped());
    return html;
}

} // namespace

QString keysHtml(const std::vector<KeyGroup>& pages) {
    QString html = QStringLiteral("<table cellpadding=4>");
    for (const auto& page : pages)
        html += rowsOf(page);
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

QDialog* showKeysSheet(QWidget* parent, const std::vector<KeyGroup>& pages) {
    return showSheet(parent, QStringLiteral("keys-sheet"), tr("Keys"), keysHtml(pages));
}

QDialog* showCautionsSheet(QWidget* parent) {
    return showSheet(parent, QStringLiteral("cautions-sheet"), tr("Cautions"), cautionsHtml());
}

} // namespace bslate::app
