#pragma once

#include <QDialog>

#include <vector>

class QComboBox;
class QLabel;
class QPlainTextEdit;

namespace bslate::app {

/// What is really set on a camera and held by its banks, one setting a line, typed by hand. A line
/// that cannot be read is named, and the sheet stays open.
class RecordSheet : public QDialog {
    Q_OBJECT

public:
    /// One list that is noted: everything outside of the banks, or a bank.
    struct Part {
        QString name;    ///< as it is chosen
        QString label;   ///< of the bank; empty: outside of them
        QString lines;   ///< as they are on record
        QString planned; ///< as the plan has them
    };
    RecordSheet(const QString& camera, std::vector<Part> parts, QWidget* parent = nullptr);

    /// Those that were changed.
    [[nodiscard]] std::vector<Part> changed() const;
    void accept() override;

private:
    void showPart(int part);
    void keepShown();

    std::vector<Part> m_parts, m_before;
    int m_shown = -1;
    QComboBox* m_part;
    QPlainTextEdit* m_lines;
    QLabel* m_problem;
};

} // namespace bslate::app
