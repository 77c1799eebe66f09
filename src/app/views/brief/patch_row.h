#pragma once

#include "core/shoot/shoot.h"

#include <QWidget>

#include <functional>

class QComboBox;
class QLineEdit;
class QPushButton;

namespace bslate::app {

class QuantityEdit;

/// One patch as a line: name, what it is to the picture, reading in any unit, reflectance when
/// the reading is light falling on it.
class PatchRow : public QWidget {
    Q_OBJECT

public:
    explicit PatchRow(QWidget* parent = nullptr);

    /// `lamps`: what may light it.
    void show(const Patch& patch, const std::vector<Lamp>& lamps);
    [[nodiscard]] const QString& id() const { return m_id; }
    void focusReading();
    void focusName(); ///< for a new patch: typing replaces its name

signals:
    void changed(const QString& editName, const std::function<void(bslate::Patch&)>& change);
    void refused(const QString& message);
    void duplicateRequested();
    void deleteRequested();

private:
    void showLight(const Patch& patch, const std::vector<Lamp>& lamps);

    QString m_id;
    QLineEdit* m_name;
    QComboBox* m_role;
    QComboBox* m_light; ///< which side it is, or which lamp is on it
    QuantityEdit* m_reading;
    QuantityEdit* m_reflectance;
    QPushButton* m_duplicate;
    QPushButton* m_delete;
};

} // namespace bslate::app
