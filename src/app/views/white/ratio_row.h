#pragma once

#include "app/document/actions.h"

#include <QWidget>

class QLabel;

namespace bslate::app {

class QuantityEdit;

/// Key over fill and subject over background as they were metered, and as they are wanted.
class RatioRow : public QWidget {
    Q_OBJECT

public:
    explicit RatioRow(Actions& actions, QWidget* parent = nullptr);

    void refresh();
    void focusFirst();

signals:
    void refused(const QString& message);

private:
    QuantityEdit* field(const char* name, const QString& spoken, const QString& undo,
                        std::optional<Stops> Scene::*wish);

    Actions& m_actions;
    QLabel *m_fill, *m_kicker, *m_back;
    QuantityEdit *m_wantedFill, *m_wantedKicker, *m_wantedBack;
};

} // namespace bslate::app
