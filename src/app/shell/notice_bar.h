#pragma once

#include "app/style/style.h"

#include <QElapsedTimer>
#include <QWidget>

#include <functional>

class QHBoxLayout;
class QLabel;
class QPushButton;
class QTimer;

namespace bslate::app {

/// Lines that tell what happened without stopping anyone. Above, what was refused or done, which
/// leaves after ten seconds; below, what wants an answer, one question after the other, which stays
/// whatever is told meanwhile.
class NoticeBar : public QWidget {
    Q_OBJECT

public:
    struct Answer {
        QString text;
        std::function<void()> act;
    };

    explicit NoticeBar(const Style& style, QWidget* parent = nullptr);

    void tell(const QString& message, bool problem);
    /// Waits behind the questions before it; one with the same `about` takes its place.
    void ask(const QString& about, const QString& message, const QList<Answer>& answers,
             bool problem = false);
    /// It has become pointless.
    void withdraw(const QString& about);
    /// What was told last, else the question in front; empty when neither is shown.
    [[nodiscard]] QString message() const;
    [[nodiscard]] QString question() const;
    /// What was refused has been got over: another try succeeded. One told just now stays.
    void leaveProblem();

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    struct Question {
        QString about;
        QString message;
        QList<Answer> answers;
        bool problem = false;
    };
    void showQuestion();
    void showLines();
    void leaveLine();
    void announce(const QString& message);

    const Style& m_style;
    QWidget* m_tellLine;
    QWidget* m_askLine;
    QLabel* m_told;
    QLabel* m_asked;
    QHBoxLayout* m_answers;
    QList<QPushButton*> m_buttons;
    QList<Question> m_questions;
    QTimer* m_timer;
    QElapsedTimer m_since; ///< the last was told
    bool m_problem = false;
};

} // namespace bslate::app
