#pragma once

#include "core/kit/kit.h"

#include <QWidget>

class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace bslate::app {

/// What a body forbids, read as sentences and built from choices: when these hold, that must be, or
/// cannot be, because of this. Lines of the typed form go in and out (core/kit/rule_line.h).
class RuleBuilder : public QWidget {
    Q_OBJECT

public:
    RuleBuilder(const Kit& kit, QWidget* parent = nullptr);

    /// The sentences of a camera's rules, and what its settings can be.
    void show(const Camera& camera);

signals:
    void added(const QString& line);
    void removed(int rule); ///< its place in ruleLines()

private:
    // A setting, how it is compared, and with what.
    struct Part {
        QComboBox *key = nullptr, *how = nullptr, *value = nullptr;
    };
    [[nodiscard]] Part addPart(QFormLayout& form, const QString& label, const char* name,
                               bool optional);
    void fillHow(const Part& part, bool ordered) const;
    void fillValues(const Part& part);
    [[nodiscard]] std::optional<SettingKey> keyOf(const Part& part) const;
    [[nodiscard]] Result<Condition> conditionOf(const Part& part) const;
    void add();

    const Kit& m_kit;
    Camera m_camera;
    QListWidget* m_list;
    Part m_when, m_and, m_then;
    QLineEdit* m_why;
    QLabel* m_problem;
    QPushButton* m_remove;
};

} // namespace bslate::app
