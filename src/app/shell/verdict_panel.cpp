#include "app/shell/verdict_panel.h"

#include <QLabel>

#include <algorithm>

namespace bslate::app {

namespace {

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
    , m_actions(actions) {
    setObjectName(QStringLiteral("verdict"));
    line().setObjectName(QStringLiteral("curve-source"));
    connect(&actions.document().verdicts(), &Verdicts::judged, this, &VerdictPanel::refresh);
    connect(&actions.document(), &ShootDocument::selectionChanged, this, &VerdictPanel::refresh);
    connect(this, &FindingList::remedyChosen, &actions,
            [this](const QString& name, const Edit& edit) {
                // One of an earlier value would take back what was changed since: show the present
                // ones.
                if (m_shown == m_actions.document().value())
                    m_actions.apply(name, edit);
                else
                    refresh();
            });
    connect(this, &FindingList::accepted, &actions, &Actions::accept);
    connect(this, &FindingList::withdrawn, &actions, &Actions::withdrawAcceptance);
    refresh();
}

void VerdictPanel::refresh() {
    const auto* verdict = m_actions.document().verdict();
    if (m_shown != m_actions.document().value() || m_besideOf != m_actions.document().setupId())
        m_beside.clear(); // of something else; the page tells anew
    m_shown = m_actions.document().value();
    std::vector<Finding> all;
    if (verdict)
        all = verdict->findings;
    all.insert(all.begin(), m_beside.begin(), m_beside.end());
    std::stable_sort(all.begin(), all.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    show(verdict ? &all : nullptr,
         verdict && verdict->evaluation ? sourceText(verdict->evaluation->curveSource) : QString());
}

void VerdictPanel::showBeside(const std::vector<Finding>& findings) {
    m_shown = m_actions.document().value();
    m_besideOf = m_actions.document().setupId();
    m_beside = findings;
    refresh();
}

} // namespace bslate::app
