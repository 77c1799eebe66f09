#pragma once

#include "app/document/field_rows.h"
#include "core/shoot/shoot.h"

#include <QDialog>

class QLabel;

namespace bslate::app {

class FieldForm;

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
    FieldRows<Shoot> m_rows;
    FieldForm* m_form;
    QLabel* m_problem;
};

} // namespace bslate::app
