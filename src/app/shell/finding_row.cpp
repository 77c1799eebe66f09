#include "app/shell/finding_row.h"

#include "app/document/text.h"
#include "app/shell/remedy_button.h"
#include "app/style/marks.h"
#include "app/style/plain_text.h"
#include "core/judgement/told_once.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPushButton>

namespace bslate::app {

namespace {

QStringList keysOf(const Finding& finding) {
    QStringList keys;
    for (const auto& key : keysAccepted(finding))
        keys.append(toQt(key));
    return keys;
}

} // namespace

FindingRow::FindingRow(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_group(new QLabel)
    , m_title(new QLabel)
    , m_reason(new QLabel)
    , m_letGo(new QPushButton)
    , m_why(new QLineEdit) {
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(28, 4, 4, 6);
    grid->setHorizontalSpacing(6);
    grid->setVerticalSpacing(3);
    m_title->setFont(Style::font(TextRole::Title));
    m_reason->setFont(Style::font(TextRole::Secondary));
    m_reason->setForegroundRole(QPalette::PlaceholderText);
    m_group->setFont(Style::font(TextRole::Secondary));
    m_group->setForegroundRole(QPalette::PlaceholderText);
    m_group->setIndent(0);
    for (auto* label : {m_group, m_title, m_reason}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
    }
    grid->addWidget(m_group, 0, 0, 1, 2);
    grid->addWidget(m_title, 1, 0, 1, 2);
    grid->addWidget(m_reason, 2, 0, 1, 2);
    constexpr int kButtons = kMostRemedies;
    for (int i = 0; i < kButtons; ++i) {
        m_buttons[i] = new RemedyButton(style);
        grid->addWidget(m_buttons[i], 3 + i, 0, 1, 2);
        connect(m_buttons[i], &QPushButton::clicked, this, [this, i] {
            // Applying rebuilds the verdict and with it this row: keep what is needed.
            const auto remedy = m_finding.remedies[static_cast<std::size_t>(i)];
            emit remedyChosen(toQt(titleOf(remedy, translator())), remedy.edit);
        });
    }
    grid->addWidget(m_letGo, 3 + kButtons, 0, Qt::AlignLeft);
    m_letGo->setProperty("quiet", true);
    grid->addWidget(m_why, 4 + kButtons, 0, 1, 2);
    grid->setColumnStretch(1, 1);
    m_why->setPlaceholderText(tr("Why? Return accepts it, and the card prints it"));
    m_why->setAccessibleName(tr("Reason for accepting"));
    m_why->hide();
    connect(m_letGo, &QPushButton::clicked, this, [this] {
        if (m_finding.accepted) {
            emit withdrawn(keysOf(m_finding));
            return;
        }
        m_why->show();
        m_why->setFocus();
    });
    connect(m_why, &QLineEdit::returnPressed, this, [this] {
        const QString reason = m_why->text();
        m_why->clear();
        m_why->hide();
        emit accepted(keysOf(m_finding), reason);
    });
}

QWidget* FindingRow::lastControl() const {
    return m_why;
}

bool FindingRow::isBrief() const {
    return m_finding.severity == Severity::Good || m_finding.severity == Severity::Note;
}

void FindingRow::show(const Finding& finding, const QString& group) {
    const bool another = finding.key() != m_finding.key();
    if (another)
        m_why->hide();
    m_finding = finding;
    m_group->setText(group);
    m_group->setVisible(!group.isEmpty());
    const auto say = translator();
    const QString title = toQt(titleOf(finding, say));
    m_title->setText(breakable(title));
    QString reason = toQt(reasonOf(finding, say));
    if (finding.accepted)
        reason += QStringLiteral("\n") + tr("Accepted: %1").arg(toQt(*finding.accepted));
    m_reason->setText(breakable(reason));
    if (another || !isBrief())
        m_reason->setVisible(!isBrief());
    setFocusPolicy(isBrief() ? Qt::StrongFocus : Qt::NoFocus);
    setCursor(isBrief() ? Qt::PointingHandCursor : Qt::ArrowCursor);
    setToolTip(tr("Source: %1").arg(toQt(kindOf(finding.id).source)));
    setAccessibleName(QStringLiteral("%1: %2").arg(toQt(severityName(finding.severity)), title));
    setAccessibleDescription(reason);
    showRemedies();
    const bool acceptable =
        finding.severity == Severity::Fault || finding.severity == Severity::Caution;
    m_letGo->setVisible(acceptable && finding.id != FindingId::SetupIncomplete);
    m_letGo->setText(finding.accepted ? tr("Take it back") : tr("Let it go"));
    m_letGo->setAccessibleName(m_letGo->text() + QStringLiteral(": ") + title);
    QWidget::setVisible(true);
    update();
}

void FindingRow::showRemedies() {
    const auto say = translator();
    for (std::size_t i = 0; i < kMostRemedies; ++i) {
        const bool there = i < m_finding.remedies.size() && !m_finding.accepted;
        m_buttons[i]->setVisible(there);
        if (!there)
            continue;
        const auto& remedy = m_finding.remedies[i];
        m_buttons[i]->show(toQt(titleOf(remedy, say)), toQt(effectOf(remedy, say)));
    }
}

void FindingRow::toggle() {
    m_reason->setVisible(m_reason->isHidden());
}

void FindingRow::keyPressEvent(QKeyEvent* event) {
    const bool asks = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter ||
                      event->key() == Qt::Key_Space;
    if (asks && isBrief())
        toggle();
    else
        QWidget::keyPressEvent(event);
}

void FindingRow::mouseReleaseEvent(QMouseEvent* event) {
    if (isBrief() && rect().contains(event->pos()))
        toggle();
    QWidget::mouseReleaseEvent(event);
}

void FindingRow::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void FindingRow::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

void FindingRow::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (hasFocus())
        drawBlock(painter, QRectF(rect()).adjusted(1, 1, -1, -1), {}, m_style.colours().marigold,
                  1);
    drawSeverity(painter, QRectF(4, m_title->geometry().top() + 1.0, 15, 15), m_finding.severity,
                 m_finding.accepted.has_value(), m_style.colours());
}

} // namespace bslate::app
