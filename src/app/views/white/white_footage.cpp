// White measured with the camera, on the White page.
#include "app/document/text.h"
#include "app/views/white/card_white_dialog.h"
#include "app/views/white/chart_dialog.h"
#include "app/views/white/white_view.h"
#include "core/kit/camera_colour.h"
#include "core/shoot/edit.h"

namespace bslate::app {

CardWhiteDialog* WhiteView::measureWhite() {
    const auto& document = m_actions.document();
    if (!context()) {
        emit refused(tr("White is measured for a setup: add one first."));
        return nullptr;
    }
    const QString clip = m_ask();
    if (clip.isEmpty())
        return nullptr;
    auto* dialog = new CardWhiteDialog(clip, document.value(), document.setupId(), m_style, this);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeMeasured(*dialog); });
    dialog->open();
    return dialog;
}

void WhiteView::takeMeasured(const CardWhiteDialog& dialog) {
    const auto now = context();
    const auto& white = dialog.white();
    if (!now || !white)
        return;
    if (dialog.use() == CardWhiteDialog::Use::White) {
        const Stops nd = now->ndLoss;
        m_actions.changeSetup(tr("White from footage"), [&](Setup& setup) {
            setup.white = white->set.kelvin;
            setup.tint = white->set.tint;
            setup.whiteBy = WhiteBy::Card;
            setup.whiteNd = nd;
        });
        return;
    }
    const auto lit = shifted(white->light, -now->filterShift); // before the filters
    const LightColour colour{lit.cct, lit.duv};
    const auto after = withMeasured(*now->scene, dialog.light(), colour);
    if (!after)
        return emit refused(messageOf(after.error()));
    m_actions.changeScene(tr("Light from footage"), toQt(now->scene->id),
                          [&](Scene& scene) { scene = *after; });
}

ChartDialog* WhiteView::findSensor() {
    const auto& document = m_actions.document();
    if (!context()) {
        emit refused(tr("The chart is taken with the camera of a setup: add one first."));
        return nullptr;
    }
    const auto [picture, chart] = m_askChart();
    if (picture.isEmpty() || chart.isEmpty())
        return nullptr;
    auto* dialog =
        new ChartDialog(picture, chart, document.value(), document.setupId(), m_style, this);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeSensor(*dialog); });
    dialog->open();
    return dialog;
}

void WhiteView::takeSensor(const ChartDialog& dialog) {
    const auto now = context();
    if (!now || !dialog.fit())
        return;
    const auto camera =
        withSensor(*now->camera, *dialog.fit(), dialog.light(), dialog.tellsGains());
    Edit edit;
    edit.kit = now->shoot->kit;
    for (auto& own : edit.kit->cameras)
        if (own.id == camera.id)
            own = camera;
    m_actions.document().edit(tr("Sensor from a chart"),
                              applied(m_actions.document().shoot(), edit));
}

} // namespace bslate::app
