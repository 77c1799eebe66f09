#pragma once

#include "app/document/field_rows.h"
#include "app/style/style.h"
#include "core/kit/kit.h"

#include <QDialog>

class QCheckBox;
class QLabel;
class QListWidget;
class QPlainTextEdit;
class QTabWidget;

namespace bslate::app {

class FieldForm;
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
    [[nodiscard]] QWidget* buildLines(QPlainTextEdit& lines, const char* name, const QString& title,
                                      const QString& hint);
    [[nodiscard]] QWidget* buildRules(const QString& title);
    void fill();
    void preview();
    void focusOn(const QString& place);
    /// The camera as typed, or what is wrong and where.
    [[nodiscard]] Result<Camera> typed() const;
    [[nodiscard]] Result<Camera> typedBody() const;

    const Kit& m_kit;
    Camera m_camera;
    FieldRows<Camera> m_rows;
    FieldForm* m_form;
    QListWidget* m_profiles;
    QPlainTextEdit *m_modes, *m_rules, *m_body;
    RuleBuilder* m_builder;
    QCheckBox* m_typed; ///< the rules as lines too
    QTabWidget* m_pages;
    QLabel* m_problem;
    SensorPicture* m_picture;
};

} // namespace bslate::app
