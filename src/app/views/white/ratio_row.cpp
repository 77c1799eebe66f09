#include "app/views/white/ratio_row.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/light_ratios.h"
#include "core/quantity/print.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

#include <cmath>
#include <utility>

namespace bslate::app {
namespace {

QString told(const std::vector<LightRatio>& ratios, RatioKind kind, const QString& name,
             const QString& missing) {
    for (const auto& ratio : ratios) {
        if (ratio.kind != kind)
            continue;
        QString text =
            RatioRow::tr("%1 %2, %3")
                .arg(name, toQt(printRatio(ratio.measured)), toQt(print(ratio.measured)));
        if (ratio.wanted && std::abs(ratio.move.value()) >= 0.05)
            text += RatioRow::tr(" \u2192 %1 %2")
                        .arg(ratio.lamp.empty() ? RatioRow::tr("move it by") : toQt(ratio.lamp),
                             toQt(print(ratio.move)));
        return text;
    }
    return RatioRow::tr("%1: %2").arg(name, missing);
}

} // namespace

RatioRow::RatioRow(Actions& actions, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_fill(new QLabel)
    , m_kicker(new QLabel)
    , m_back(new QLabel)
    , m_wantedFill(
          field("ratio-fill", tr("Wanted key to fill"), tr("Key to fill"), &Scene::keyOverFill))
    , m_wantedKicker(field("ratio-kicker", tr("Wanted key to kicker"), tr("Key to kicker"),
                           &Scene::keyOverKicker))
    , m_wantedBack(field("ratio-back", tr("Wanted subject to background"),
                         tr("Subject to background"), &Scene::keyOverBack)) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 8, 0);
    row->setSpacing(12);
    // A ratio as metered over the one that is wanted.
    for (const auto& [label, edit] :
         {std::pair{m_fill, m_wantedFill}, std::pair{m_kicker, m_wantedKicker},
          std::pair{m_back, m_wantedBack}}) {
        label->setFont(Style::font(TextRole::Secondary));
        label->setMinimumWidth(40);
        label->setTextFormat(Qt::PlainText);
        label->setToolTip(tr("as metered, once a patch of each side is named in Brief"));
        auto* column = new QVBoxLayout;
        column->setSpacing(2);
        column->addWidget(label);
        column->addWidget(edit, 0, Qt::AlignLeft);
        row->addLayout(column, 1);
    }
}

QuantityEdit* RatioRow::field(const char* name, const QString& spoken, const QString& undo,
                              std::optional<Stops> Scene::*wish) {
    auto* edit = quantityField(
        name, spoken, [](const QString& text) { return problemOf(parseRatio(fromQt(text))); });
    edit->setPlaceholderText(tr("wanted"));
    edit->setToolTip(tr("2 stops, 4:1, or 2/3 of the key; empty: no wish"));
    edit->setFixedWidth(120);
    connect(edit, &QuantityEdit::entered, this, [this, undo, wish](const QString& text) {
        const auto* scene = m_actions.document().scene();
        const auto ratio = parseRatio(fromQt(text));
        if (scene && ratio)
            m_actions.changeScene(undo, toQt(scene->id),
                                  [&](Scene& changed) { changed.*wish = *ratio; });
    });
    connect(edit, &QuantityEdit::refused, this, &RatioRow::refused);
    return edit;
}

void RatioRow::refresh() {
    const auto* scene = m_actions.document().scene();
    setEnabled(scene != nullptr);
    if (!scene)
        return;
    const auto ratios = lightRatiosOf(*scene, m_actions.document().shoot().meter);
    m_fill->setText(told(ratios, RatioKind::KeyOverFill, tr("Key to fill"), tr("\u2013")));
    m_kicker->setText(told(ratios, RatioKind::KeyOverKicker, tr("Key to kicker"), tr("\u2013")));
    m_back->setText(
        told(ratios, RatioKind::SubjectOverBackground, tr("Subject to background"), tr("\u2013")));
    const auto wish = [](QuantityEdit& edit, const std::optional<Stops>& stops) {
        edit.showValue(stops ? toQt(printRatio(*stops)) : QString());
    };
    wish(*m_wantedFill, scene->keyOverFill);
    wish(*m_wantedKicker, scene->keyOverKicker);
    wish(*m_wantedBack, scene->keyOverBack);
}

void RatioRow::focusFirst() {
    m_wantedFill->setFocus();
    m_wantedFill->selectAll();
}

} // namespace bslate::app
