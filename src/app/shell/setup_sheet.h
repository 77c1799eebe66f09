#pragma once

#include "core/shoot/edit.h"

#include <QDialog>

class QCheckBox;
class QFormLayout;
class QComboBox;
class QLineEdit;
class QSpinBox;
class QLabel;

namespace bslate::app {

/// Name, scene, camera, profile, mode, lens, rate and white of one setup. Wrong entries keep the
/// sheet open and say what is accepted.
class SetupSheet : public QDialog {
    Q_OBJECT

public:
    SetupSheet(const Shoot& shoot, const Setup& setup, QWidget* parent = nullptr);

    /// The setup as edited; the controls that depend on the camera are put within its reach.
    /// The setup, and its scene where Light pays for what was changed.
    [[nodiscard]] const Edit& result() const { return m_result; }

    void accept() override;

private:
    void fillCameraChoices();
    /// Takes the white over; false after saying what is wrong. Likewise the next two.
    bool takeWhite(Setup& after);
    /// Takes focal length, focus and power over; false after saying what is wrong.
    bool takeOptics(Setup& after);
    void buildHandling(QFormLayout& form);
    /// Takes over how it is held, focused and heard; false after saying what is wrong.
    bool takeHandling(Setup& after);

    const Shoot& m_shoot;
    Setup m_setup;
    Edit m_result;
    QLineEdit *m_number, *m_name, *m_rate, *m_white, *m_wanted, *m_focal, *m_focus;
    QComboBox *m_scene, *m_camera, *m_profile, *m_mode, *m_lens;
    QSpinBox* m_bank;
    QComboBox* m_second; ///< slot
    QCheckBox *m_power, *m_wireless;
    QComboBox *m_support, *m_stabiliser, *m_focusBy, *m_sound;
    QLineEdit* m_automatics;
    QLabel* m_problem;
};

} // namespace bslate::app
