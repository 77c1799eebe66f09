#pragma once

#include "app/style/style.h"

#include <QWidget>

#include <functional>

class QLabel;
class QPushButton;
class QTimer;

namespace bslate::app {

/// A line that tells what happened without stopping anyone: refused entries, failed files, an
/// offered recovery. Refusals leave after ten seconds, offers stay until answered.
class NoticeBar : public QWidget {
    Q_OBJECT

public:
    struct Answer {
        QString text;
        std::function<void()> act;
    };

    explicit NoticeBar(const Style& style, QWidget* parent = nullptr);

    void tell(const QString& message, bool problem);
    void ask(const QString& message, const QList<Answer>& answers);
    [[nodiscard]] QString message() const;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void clearAnswers();

    const Style& m_style;
    QLabel* m_label;
    QPushButton* m_close;
    QList<QPushButton*> m_answers;
    QTimer* m_timer;
    bool m_problem = false;
};

} // namespace bslate::app
