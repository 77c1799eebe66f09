#pragma once

#include "core/words/card_text.h"

#include <QDialog>

namespace bslate::app {

/// The dial-in card on screen, with PDF, print and copy as text.
class CardDialog : public QDialog {
    Q_OBJECT

public:
    explicit CardDialog(Card card, QWidget* parent = nullptr);

    /// Writes the PDF and says so; also used without the file dialog.
    void savePdf(const QString& path);
    void copyText();

signals:
    void told(const QString& message, bool problem);

private:
    void print();
    void askPdfPath();

    Card m_card;
};

} // namespace bslate::app
