#pragma once

#include <QDialog>

class QLabel;
class QPlainTextEdit;

namespace bslate::app {

/// What is set on a camera outside of its banks, one setting a line. A line that cannot be read is
/// named, and the sheet stays open.
class RecordSheet : public QDialog {
    Q_OBJECT

public:
    RecordSheet(const QString& camera, const QString& lines, const QString& planned,
                QWidget* parent = nullptr);

    [[nodiscard]] QString lines() const;
    void accept() override;

private:
    QPlainTextEdit* m_lines;
    QLabel* m_problem;
};

} // namespace bslate::app
