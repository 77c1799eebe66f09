#include "app/shell/verdict_panel.h"

#include <QLabel>
#include <QTimer>

namespace bslate::app {

namespace {
constexpr int kSettleMs = 25;

// Whose numbers the verdict rests on.
QString sourceText(CurveSource source) {
    switch (source) {
    case CurveSource::Nominal:
        return VerdictPanel::tr("by the printed numbers of this profile");
    case CurveSource::Measured:
        return VerdictPanel::tr("by the numbers measured on this body");
    case CurveSource::MeasuredElsewhere:
        break;
    }
    return VerdictPanel::tr("by a curve measured elsewhere, printed clip and noise");
}
} // namespace

VerdictPanel::VerdictPanel(Actions& actions, const Style& style, QWidget* parent)
    : FindingList(style, tr("Verdict"), parent)
    , m_actions(actions)
    , m_later(new QTimer(this)) {
    setObjectName(QStringLiteral("verdict"));
    line().setObjectName(QStringLiteral("curve-source"));
    m_later->setSingleShot(true);
    connect(m_later, &QTimer::timeout, this, &VerdictPanel::refresh);
    connect(&actions.document(), &ShootDocument::changed, this,
            [this] { m_later->start(kSettleMs); });
    connect(&actions.document(), &ShootDocument::selectionChanged, this, &VerdictPanel::refresh);
    connect(this, &FindingList::remedyChosen, &actions,
            [this](const QString& name, const Edit& edit) { m_actions.apply(name, edit); });
    connect(this, &FindingList::accepted, &actions, &Actions::accept);
    connect(this, &FindingList::withdrawn, &actions, &Actions::withdrawAcceptance);
    refresh();
}

void VerdictPanel::refresh() {
    m_later->stop();
    const auto* verdict = m_actions.document().verdict();
    show(verdict ? &verdict->findings : nullptr,
         verdict && verdict->evaluation ? sourceText(verdict->evaluation->curveSource) : QString());
}

} // namespace bslate::app
