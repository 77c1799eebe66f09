#include "app/shell/notice_bar.h"

#include "app/style/marks.h"

#include <QAccessible>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTimer>

#include <algorithm>

namespace bslate::app {

namespace {

constexpr int kStayMs = 10000;
constexpr int kJustNowMs = 500;

QLabel* lineLabel() {
    auto* label = new QLabel;
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(true);
    label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    return label;
}

} // namespace

NoticeBar::NoticeBar(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_tellLine(new QWidget)
    , m_askLine(new QWidget)
    , m_told(lineLabel())
    , m_asked(lineLabel())
    , m_answers(new QHBoxLayout(m_askLine))
    , m_timer(new QTimer(this)) {
    setObjectName(QStringLiteral("notice"));
    auto* lines = new QVBoxLayout(this);
    lines->setContentsMargins(36, 4, 8, 4);
    lines->setSpacing(4);
    auto* told = new QHBoxLayout(m_tellLine);
    told->setContentsMargins(0, 0, 0, 0);
    told->addWidget(m_told, 1);
    auto* close = new QPushButton(tr("Close"));
    told->addWidget(close);
    m_answers->setContentsMargins(0, 0, 0, 0);
    m_answers->addWidget(m_asked, 1);
    lines->addWidget(m_tellLine);
    lines->addWidget(m_askLine);
    m_tellLine->hide();
    m_askLine->hide();
    m_timer->setSingleShot(true);
    connect(m_timer, &QTimer::timeout, this, &NoticeBar::leaveLine);
    connect(close, &QPushButton::clicked, this, &NoticeBar::leaveLine);
    hide();
}

QString NoticeBar::message() const {
    return m_tellLine->isHidden() ? question() : m_told->text();
}

QString NoticeBar::question() const {
    return m_questions.isEmpty() ? QString() : m_questions.front().message;
}

void NoticeBar::showLines() {
    setVisible(!m_tellLine->isHidden() || !m_askLine->isHidden());
    update();
}

void NoticeBar::announce(const QString& message) {
    setAccessibleName(message);
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
}

void NoticeBar::leaveProblem() {
    if (m_problem && m_since.isValid() && m_since.elapsed() > kJustNowMs)
        leaveLine();
}

void NoticeBar::leaveLine() {
    m_timer->stop();
    m_tellLine->hide();
    showLines();
}

void NoticeBar::tell(const QString& message, bool problem) {
    m_problem = problem;
    m_told->setText(message);
    m_tellLine->show();
    showLines();
    m_timer->start(kStayMs);
    m_since.start();
    announce(message);
}

void NoticeBar::ask(const QString& about, const QString& message, const QList<Answer>& answers,
                    bool problem) {
    const Question question{about, message, answers, problem};
    const auto same = std::find_if(m_questions.begin(), m_questions.end(),
                                   [&](const Question& other) { return other.about == about; });
    if (same != m_questions.end())
        *same = question;
    else
        m_questions.append(question);
    showQuestion();
    announce(message);
}

void NoticeBar::withdraw(const QString& about) {
    const auto before = m_questions.size();
    m_questions.removeIf([&](const Question& question) { return question.about == about; });
    if (m_questions.size() != before)
        showQuestion();
}

void NoticeBar::showQuestion() {
    for (auto* button : m_buttons) {
        button->hide();
        button->deleteLater();
    }
    m_buttons.clear();
    m_askLine->setHidden(m_questions.isEmpty());
    if (!m_questions.isEmpty()) {
        const auto& question = m_questions.front();
        m_asked->setText(question.message);
        for (const auto& answer : question.answers) {
            auto* button = new QPushButton(answer.text, m_askLine);
            m_answers->addWidget(button);
            button->show();
            m_buttons.append(button);
            connect(button, &QPushButton::clicked, this,
                    [this, about = question.about, act = answer.act] {
                        withdraw(about);
                        if (act)
                            act();
                    });
        }
    }
    showLines();
}

void NoticeBar::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    const bool askProblem = !m_questions.isEmpty() && m_questions.front().problem;
    const bool toldProblem = !m_tellLine->isHidden() && m_problem;
    drawBlock(painter, rect(), t.raised, toldProblem || askProblem ? t.coral : t.sky, 1.5);
    const auto mark = [&](const QWidget* line, bool problem) {
        if (!line->isHidden())
            drawSeverity(painter, QRectF(11, line->geometry().center().y() - 7.5, 16, 16),
                         problem ? Severity::Fault : Severity::Note, false, t);
    };
    mark(m_tellLine, m_problem);
    mark(m_askLine, askProblem);
}

} // namespace bslate::app
