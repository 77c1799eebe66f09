#pragma once

#include "core/shoot/shoot.h"

#include <QDialog>

class QComboBox;
class QLabel;
class QLineEdit;
class QSpinBox;

namespace bslate::app {

/// What holds for the whole shoot: title, days, the meter's constants and which signal-to-noise
/// ratio counts as the noise floor. Wrong entries keep the sheet open and say what is accepted.
class ShootSheet : public QDialog {
    Q_OBJECT

public:
    explicit ShootSheet(const Shoot& shoot, QWidget* parent = nullptr);

    [[nodiscard]] const Shoot& result() const { return m_shoot; }

    void accept() override;

private:
    Shoot m_shoot;
    QLineEdit *m_title, *m_note;
    QSpinBox* m_days;
    QComboBox *m_k, *m_c, *m_snr;
    QLabel* m_problem;
};

} // namespace bslate::app
