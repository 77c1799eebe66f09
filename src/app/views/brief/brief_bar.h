#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"

#include <QWidget>

class QComboBox;
class QMenu;
class QPushButton;

namespace bslate::app {

class QuantityEdit;

/// What is decided once for the whole shoot: what it is delivered as, the mains, the grade and
/// who does it, the turnaround, the schools preferred and the air.
class BriefBar : public QWidget {
    Q_OBJECT

public:
    BriefBar(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();

signals:
    void refused(const QString& message);

private:
    void change(const QString& name, const std::function<void(Brief&)>& edit);
    QComboBox* choice(const char* name, const QString& accessible, const QStringList& texts);
    void buildChoices();
    void buildSchools();

    Actions& m_actions;
    QuantityEdit *m_size, *m_rate, *m_by, *m_ambient;
    QComboBox *m_colour, *m_mains, *m_grade, *m_turnaround;
    QPushButton* m_schools;
    QMenu* m_schoolMenu;
};

} // namespace bslate::app
