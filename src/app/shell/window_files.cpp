// The file and export commands of MainWindow: dialogs here, work in FileKeeper and io.
#include "app/shell/main_window.h"

#include "app/document/text.h"
#include "app/shell/notice_bar.h"
#include "app/shell/setup_sheet.h"
#include "app/shell/shoot_sheet.h"
#include "app/views/banks/banks_view.h"
#include "app/views/card/card_dialog.h"
#include "app/views/lut/lut_dialog.h"
#include "app/views/media/media_view.h"
#include "app/widgets/open_path.h"
#include "app/widgets/save_path.h"
#include "io/colour/lut_file.h"
#include "io/system/files.h"

#include <QClipboard>
#include <QDir>
#include <QFileInfo>
#include <QGuiApplication>
#include <QLayout>
#include <QSettings>
#include <QStackedWidget>

namespace bslate::app {
namespace {
// What questions are about.
const QString kOnDisk = QStringLiteral("on-disk");
const QString kKitElsewhere = QStringLiteral("kit-elsewhere");
} // namespace

void MainWindow::openPath(const QString& path) {
    m_notice->withdraw(kKitElsewhere);
    const auto opened = m_files.open(path);
    if (!opened && opened.error().code == ErrorCode::FileElsewhere)
        return askAboutKit(path, toQt(opened.error().got));
    if (!opened) {
        m_notice->tell(messageOf(opened.error()), true);
        return;
    }
    m_notice->withdraw(kOnDisk);
    if (!m_files.isAlone())
        m_notice->tell(tr("This shoot is open in another window too: what is saved there will be "
                          "asked about here."),
                       true);
    offerRecovery(m_document.path());
}

// A shoot of somebody else decides which file its kit is read from: nothing is read unasked.
void MainWindow::askAboutKit(const QString& path, const QString& named) {
    const QFileInfo shoot(path);
    const QString kit = QDir::cleanPath(shoot.absoluteDir().absoluteFilePath(named));
    m_notice->ask(kKitElsewhere,
                  tr("%1 takes its kit from outside of its folder: %2. Nothing was read yet.")
                      .arg(shoot.fileName(), kit),
                  {{tr("Read it there"),
                    [this, shoot, named] {
                        m_files.agreeToKit(shoot.absoluteFilePath(), named);
                        if (mayLeave())
                            openPath(shoot.absoluteFilePath());
                    }},
                   {tr("Leave it"), {}}},
                  true);
}

void MainWindow::offerRecovery(const QString& path) {
    const auto left = m_files.leftovers(path);
    for (const auto& autosave : left) {
        const QString when =
            QFileInfo(autosave).lastModified().toString(QStringLiteral("yyyy-MM-dd HH:mm"));
        const QString name =
            path.isEmpty() ? tr("a shoot without a file") : QFileInfo(path).fileName();
        m_notice->ask(autosave,
                      tr("Unsaved changes to %1 from %2 were kept when Bright Slate last stopped.")
                          .arg(name, when),
                      {{tr("Recover them"), [this, autosave, path] { recover(autosave, path); }},
                       {tr("Throw them away"), [this, autosave] { m_files.discard(autosave); }},
                       {tr("Later"), {}}});
    }
}

void MainWindow::recover(const QString& autosave, const QString& path) {
    const auto done = m_files.recover(autosave, path);
    if (!done) {
        m_notice->tell(messageOf(done.error()), true);
        offerRecovery(path);
        return;
    }
    m_notice->withdraw(kOnDisk);
    offerRecovery(path); // what was open before is offered in turn
}

namespace {

QString shortList(const DiskCopy::Change& change) {
    constexpr int kMost = 4;
    if (!change.problem.isEmpty())
        return change.problem;
    QString text = change.differences.mid(0, kMost).join(QStringLiteral(", "));
    if (change.differences.size() > kMost)
        text += MainWindow::tr(" and %1 more").arg(change.differences.size() - kMost);
    return text;
}

} // namespace

void MainWindow::lookAtDisk() {
    const auto change = m_files.changeOnDisk();
    if (!change) {
        m_notice->withdraw(kOnDisk);
        return;
    }
    QList<NoticeBar::Answer> answers;
    if (change->problem.isEmpty())
        answers.append({tr("Load it"), [this] { loadTheirs(); }});
    answers.append({tr("Keep what is here"), [this] { m_files.keepMine(); }});
    m_notice->ask(kOnDisk,
                  tr("%1 was written by another program or window: %2.")
                      .arg(QFileInfo(m_document.path()).fileName(), shortList(*change)),
                  answers, true);
}

void MainWindow::loadTheirs() {
    const auto done = m_files.loadTheirs();
    if (!done)
        m_notice->tell(messageOf(done.error()), true);
    offerRecovery(m_document.path());
}

// Nothing else is painted until the disk is done, so this is painted now.
void MainWindow::sayDiskIsSlow() {
    m_notice->tell(tr("The disk has not finished writing yet: waiting for it ..."), false);
    m_notice->parentWidget()->layout()->activate();
    repaint();
}

bool MainWindow::saveTo(const QString& path) {
    const auto saved = m_files.save(path);
    if (!saved && saved.error().code == ErrorCode::WrittenMeanwhile && path == m_document.path())
        return save(); // what was written between the question and now is asked about in its turn
    if (!saved) {
        m_notice->tell(messageOf(saved.error()), true);
        return false;
    }
    m_notice->withdraw(kOnDisk);
    m_notice->tell(tr("Saved %1").arg(path), false);
    return true;
}

bool MainWindow::save() {
    const QString path = m_document.path();
    if (path.isEmpty())
        return saveAs();
    if (const auto change = m_files.changeOnDisk()) {
        switch (m_askOver(tr("%1 was written by another program or window since it was opened: %2.")
                              .arg(QFileInfo(path).fileName(), shortList(*change)))) {
        case Over::Replace:
            m_files.keepMine();
            break;
        case Over::SaveAs:
            return saveAs();
        case Over::Cancel:
            return false;
        }
    }
    return mayReplace(this, path) && saveTo(path);
}

bool MainWindow::saveAs() {
    const QFileInfo now(m_document.path());
    SaveWish wish{tr("Save the shoot"), toQt(m_document.shoot().title) + QStringLiteral(".bslate"),
                  tr("Shoots (*.bslate)"), QStringLiteral("bslate")};
    if (!m_document.path().isEmpty()) {
        wish.name = now.fileName();
        wish.folder = now.absolutePath();
    }
    const QString path = askSavePath(this, wish);
    return !path.isEmpty() && saveTo(path);
}

void MainWindow::askOpen() {
    if (!mayLeave())
        return;
    const QString path =
        askOpenPath(this, tr("Open a shoot"), tr("Shoots (*.bslate);;All files (*)"),
                    QFileInfo(m_document.path()).absolutePath());
    if (!path.isEmpty())
        openPath(path);
}

void MainWindow::askKit() {
    const QString path =
        askOpenPath(this, tr("Use a kit file"), tr("Kits (*.bskit.json);;All files (*)"));
    if (path.isEmpty())
        return;
    const auto used = m_files.useKit(path);
    if (!used)
        m_notice->tell(messageOf(used.error()), true);
}

QDialog* MainWindow::askLut() {
    const auto* setup = m_document.setup();
    if (!setup) {
        m_notice->tell(tr("A rating LUT belongs to a setup: add one first."), true);
        return nullptr;
    }
    auto* dialog = new LutDialog(m_document.shoot(), *setup, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &LutDialog::writeRequested, this, &MainWindow::writeLut);
    dialog->open();
    return dialog;
}

void MainWindow::writeLut(const QString& path, io::LutFormat format, const QString& look) {
    const auto* setup = m_document.setup();
    if (!setup)
        return;
    const auto text = io::lutText(m_document.shoot(), *setup, format, fromQt(look));
    const auto done = text ? io::writeFileAtomically(fromQt(path), *text) : Outcome(text.error());
    m_notice->tell(done ? tr("LUT written to %1").arg(path) : messageOf(done.error()), !done);
}

CardDialog* MainWindow::openCard(Card card, const QString& name) {
    auto* dialog = new CardDialog(std::move(card), this);
    dialog->setObjectName(name);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &CardDialog::told, m_notice, &NoticeBar::tell);
    return dialog;
}

CardDialog* MainWindow::makePackList() {
    auto card = view<MediaView>().packCard();
    if (!card) {
        m_notice->tell(tr("No day has takes yet: the Media step plans them."), true);
        return nullptr;
    }
    return openCard(*std::move(card), QStringLiteral("pack-list"));
}

CardDialog* MainWindow::makeBankCard(const char* sheet) {
    auto& banks = view<BanksView>();
    const QString name = QLatin1String(sheet);
    auto card = name == QStringLiteral("bank-card")      ? banks.bankCard()
                : name == QStringLiteral("control-card") ? banks.controlCard()
                : name == QStringLiteral("record-card")  ? banks.recordCard()
                : name == QStringLiteral("preroll-card") ? banks.prerollCard()
                                                         : banks.startingCard();
    if (!card) {
        m_notice->tell(tr("There is no camera or no setup for this card yet."), true);
        return nullptr;
    }
    return openCard(*std::move(card), name);
}

CardDialog* MainWindow::makeCard() {
    const auto* setup = m_document.setup();
    if (!setup) {
        m_notice->tell(tr("A dial-in card belongs to a setup: add one first."), true);
        return nullptr;
    }
    return openCard(cardOf(m_document.shoot(), *setup, translator()),
                    QStringLiteral("card-dialog"));
}

void MainWindow::editShoot() {
    ShootSheet sheet(m_document.shoot(), this);
    if (sheet.exec() == QDialog::Accepted)
        m_document.edit(tr("Edit shoot"), sheet.result());
}

void MainWindow::copyPicture() {
    QGuiApplication::clipboard()->setPixmap(m_stack->currentWidget()->grab());
    m_notice->tell(tr("Picture copied"), false);
}

void MainWindow::editSetup() {
    const auto* setup = m_document.setup();
    if (!setup)
        return m_notice->tell(tr("No setup to edit: add one first (Ctrl+Shift+N)."), true);
    const auto value = m_document.value(); // keeps the sheet's shoot alive
    SetupSheet sheet(*value, *setup, this);
    if (sheet.exec() == QDialog::Accepted)
        m_actions.apply(tr("Edit setup %1").arg(toQt(sheet.result().setup->number)),
                        sheet.result());
}

} // namespace bslate::app
