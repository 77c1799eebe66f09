#pragma once

#include "app/style/style.h"
#include "core/kit/kit.h"

#include <QDialog>

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QTabWidget;

namespace bslate::app {

class RuleBuilder;
class SensorPicture;

/// The guided description of a camera: the body field by field, its recording modes one a line as
/// they stand in the camera's menu, what it forbids one rule a line, the sensor drawn as it is
/// typed. A wrong entry is named with its place, OK puts the cursor there and the sheet stays
/// open.
class CameraSheet : public QDialog {
    Q_OBJECT

public:
    CameraSheet(const Kit& kit, const Camera& camera, const Style& style,
                QWidget* parent = nullptr);

    [[nodiscard]] const Camera& result() const { return m_camera; }

    void accept() override;

private:
    void buildBody(QFormLayout& form);
    [[nodiscard]] QWidget* buildLines(QPlainTextEdit& lines, const char* name, const QString& title,
                                      const QString& hint);
    [[nodiscard]] QWidget* buildRules(const QString& title);
    void fill();
    void preview();
    void focusOn(const QString& place);
    /// The camera as typed, or what is wrong and where.
    [[nodiscard]] Result<Camera> typed() const;
    [[nodiscard]] Result<Camera> typedBody() const;
    QLineEdit* line(QFormLayout& form, const QString& label, const char* name, const QString& hint);

    const Kit& m_kit;
    Camera m_camera;
    QLineEdit *m_name, *m_sensor, *m_readout, *m_fastest, *m_bases, *m_clip, *m_range;
    QLineEdit *m_slots, *m_white, *m_primaries, *m_gains, *m_zebra, *m_banks, *m_draw, *m_buffer;
    QComboBox *m_shutter, *m_tap;
    QListWidget* m_profiles;
    QPlainTextEdit *m_modes, *m_rules, *m_body;
    RuleBuilder* m_builder;
    QCheckBox* m_typed; ///< the rules as lines too
    QTabWidget* m_pages;
    QLabel* m_problem;
    SensorPicture* m_picture;
};

} // namespace bslate::app
