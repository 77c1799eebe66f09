#include "app/shell/notice_bar.h"

#include "app/style/marks.h"

#include <QAccessible>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTimer>

namespace bslate::app {

namespace {
constexpr int kStayMs = 10000;
}

NoticeBar::NoticeBar(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_label(new QLabel)
    , m_close(new QPushButton(tr("Close")))
    , m_timer(new QTimer(this)) {
    setObjectName(QStringLiteral("notice"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(36, 4, 8, 4);
    m_label->setWordWrap(true);
    m_label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    row->addWidget(m_label, 1);
    row->addWidget(m_close);
    m_timer->setSingleShot(true);
    connect(m_timer, &QTimer::timeout, this, &QWidget::hide);
    connect(m_close, &QPushButton::clicked, this, &QWidget::hide);
    hide();
}

QString NoticeBar::message() const {
    return isHidden() ? QString() : m_label->text();
}

void NoticeBar::clearAnswers() {
    for (auto* button : m_answers)
        button->deleteLater();
    m_answers.clear();
}

void NoticeBar::tell(const QString& message, bool problem) {
    clearAnswers();
    m_problem = problem;
    m_label->setText(message);
    setAccessibleName(message);
    show();
    update();
    m_timer->start(kStayMs);
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
}

void NoticeBar::ask(const QString& message, const QList<Answer>& answers) {
    tell(message, false);
    m_timer->stop();
    auto* row = static_cast<QHBoxLayout*>(layout());
    for (const auto& answer : answers) {
        auto* button = new QPushButton(answer.text, this);
        row->insertWidget(row->count() - 1, button);
        m_answers.append(button);
        connect(button, &QPushButton::clicked, this, [this, act = answer.act] {
            hide();
            act();
        });
    }
}

void NoticeBar::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    drawBlock(painter, rect(), t.raised, m_problem ? t.coral : t.sky, 1.5);
    drawSeverity(painter, QRectF(11, height() / 2.0 - 8, 16, 16),
                 m_problem ? Severity::Fault : Severity::Note, false, t);
}

} // namespace bslate::app
