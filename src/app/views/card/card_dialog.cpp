#include "app/views/card/card_dialog.h"

#include "app/document/text.h"
#include "app/views/card/card_painter.h"
#include "app/widgets/save_path.h"

#include <QClipboard>
#include <QFileDialog>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QPainter>
#include <QPrintDialog>
#include <QPrinter>
#include <QPushButton>

namespace bslate::app {
namespace {

class CardPreview : public QWidget {
public:
    CardPreview(const Card& card, QWidget* parent)
        : QWidget(parent)
        , m_card(card) {
        setMinimumSize((kCardSize * 1.05).toSize());
        setAccessibleName(QObject::tr("Dial-in card"));
        setAccessibleDescription(toQt(cardText(card, translator())));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        const double scale = std::min(width() / kCardSize.width(), height() / kCardSize.height());
        painter.translate((width() - kCardSize.width() * scale) / 2, 0);
        painter.scale(scale, scale);
        paintCard(painter, m_card);
    }

private:
    const Card& m_card;
};

} // namespace

CardDialog::CardDialog(Card card, QWidget* parent)
    : QDialog(parent)
    , m_card(std::move(card)) {
    setObjectName(QStringLiteral("card-dialog"));
    setWindowTitle(m_card.dials.number.empty() ? toQt(m_card.heading)
                                               : tr("Dial-in card %1").arg(toQt(m_card.heading)));
    auto* column = new QVBoxLayout(this);
    column->addWidget(new CardPreview(m_card, this), 1);
    auto* row = new QHBoxLayout;
    const auto add = [&](const QString& text, auto slot) {
        auto* button = new QPushButton(text, this);
        row->addWidget(button);
        connect(button, &QPushButton::clicked, this, slot);
    };
    add(tr("&Save as PDF\u2026"), &CardDialog::askPdfPath);
    add(tr("&Print\u2026"), &CardDialog::print);
    add(tr("&Copy as text"), &CardDialog::copyText);
    row->addStretch(1);
    add(tr("Close"), &QDialog::accept);
    column->addLayout(row);
}

void CardDialog::askPdfPath() {
    const QString path =
        askSavePath(this, {tr("Save the card"),
                           QStringLiteral("%1.pdf").arg(toQt(
                               m_card.dials.number.empty() ? m_card.heading : m_card.dials.number)),
                           tr("PDF (*.pdf)"), QStringLiteral("pdf")});
    if (!path.isEmpty())
        savePdf(path);
}

void CardDialog::savePdf(const QString& path) {
    const auto done = writeCardPdf(m_card, path);
    emit told(done ? tr("Card saved as %1").arg(path) : messageOf(done.error()), !done);
}

void CardDialog::copyText() {
    QGuiApplication::clipboard()->setText(toQt(cardText(m_card, translator())));
    emit told(tr("Card copied as text"), false);
}

void CardDialog::print() {
    QPrinter printer(QPrinter::HighResolution);
    printer.setPageSize(QPageSize(QPageSize::A5));
    QPrintDialog dialog(&printer, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    QPainter painter(&printer);
    const auto page = printer.pageRect(QPrinter::DevicePixel);
    const double scale =
        std::min(page.width() / kCardSize.width(), page.height() / kCardSize.height());
    painter.scale(scale, scale);
    paintCard(painter, m_card);
}

} // namespace bslate::app
