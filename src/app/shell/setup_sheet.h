#pragma once

#include "app/document/field_rows.h"
#include "core/shoot/edit.h"

#include <QDialog>

class QLabel;

namespace bslate::app {

class FieldForm;

/// What a setup is planned with: scene, camera, recording, lens, rate, white, how it is held and
/// heard, what is left to the camera. Wrong entries keep the sheet open and say what is accepted.
class SetupSheet : public QDialog {
    Q_OBJECT

public:
    SetupSheet(const Shoot& shoot, const Setup& setup, QWidget* parent = nullptr);

    /// The setup as edited, the controls that depend on the camera put within its reach, and its
    /// scene where Light pays for what was changed.
    [[nodiscard]] const Edit& result() const { return m_result; }

    void accept() override;

private:
    [[nodiscard]] FieldRows<Setup> rows() const;
    /// As it is typed: with tint in the camera's marks, and how it is set.
    [[nodiscard]] std::string whiteText(const Setup& setup) const;
    [[nodiscard]] Outcome putWhite(Setup& after, std::string_view text) const;
    void offerWhatTheCameraHas();
    /// Base and rating of another camera, and what a changed rate costs.
    [[nodiscard]] Result<Edit> withinReach(Setup typed) const;

    const Shoot& m_shoot;
    Setup m_setup;
    Edit m_result;
    FieldRows<Setup> m_rows;
    FieldForm* m_form;
    QLabel* m_problem;
};

} // namespace bslate::app
