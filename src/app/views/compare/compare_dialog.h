#pragma once

#include "app/document/shoot_document.h"
#include "app/style/style.h"

#include <QDialog>

class QComboBox;
class QLabel;
class QTableWidget;

namespace bslate::app {

/// Two setups side by side in the same figures, what differs first and marked.
class CompareDialog : public QDialog {
    Q_OBJECT

public:
    CompareDialog(ShootDocument& document, const Style& style, QWidget* parent = nullptr);

private:
    void fillChoices();
    void refresh();
    void copy();
    [[nodiscard]] const Setup* chosen(const QComboBox& box) const;

    ShootDocument& m_document;
    const Style& m_style;
    QComboBox* m_left;
    QComboBox* m_right;
    QLabel* m_summary;
    QTableWidget* m_table;
};

} // namespace bslate::app
