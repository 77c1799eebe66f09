#include "app/views/cadence/lamp_row.h"

#include "app/views/cadence/row_head.h"
#include "app/widgets/open_path.h"

#include "app/document/text.h"
#include "app/views/cadence/lamp_block.h"
#include "app/views/cadence/lamp_dialog.h"
#include "core/facts/evaluate.h"
#include "core/shoot/lamps.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kSlowest = 1, kFastest = 1e6; // hertz, as parseHertz takes

} // namespace

LampRow::LampRow(Actions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_style(style)
    , m_row(new QHBoxLayout(this))
    , m_add(new QPushButton(tr("+ lamp (L)")))
    , m_measure(new QPushButton(tr("from a clip\u2026")))
    , m_new(new QuantityEdit(
          [this](const QString& line) { return problemWith(line, std::nullopt); })) {
    setObjectName(QStringLiteral("lamp-row"));
    m_row->setContentsMargins(static_cast<int>(kRowHead), 0, 0, 0);
    m_row->setSpacing(8);
    m_new->setObjectName(QStringLiteral("new-lamp"));
    m_new->setAccessibleName(tr("New lamp"));
    m_new->setPlaceholderText(tr("tubes share70%, strips 400Hz duty25%, window steady"));
    m_new->setMinimumWidth(330);
    m_new->hide();
    m_add->setObjectName(QStringLiteral("add-lamp"));
    m_row->addWidget(m_new);
    m_row->addWidget(m_add);
    m_measure->setObjectName(QStringLiteral("measure-lamp"));
    m_measure->setToolTip(tr("a lamp measured with the camera: a clip in its light"));
    m_row->addWidget(m_measure);
    m_ask = [this] { return askOpenPath(this, tr("A clip in the lamp's light")); };
    connect(m_measure, &QPushButton::clicked, this, &LampRow::measureLamp);
    m_row->addStretch(1);
    connect(m_add, &QPushButton::clicked, this, &LampRow::addLamp);
    connect(m_new, &QuantityEdit::entered, this, &LampRow::enterNew);
    connect(m_new, &QuantityEdit::refused, this, &LampRow::refused);
    m_new->keepRefused();
    connect(m_new, &QuantityEdit::leftUnchanged, m_new, &QWidget::hide);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

std::optional<QString> LampRow::problemWith(const QString& line,
                                            std::optional<std::size_t> index) const {
    const auto lamp = parseLampLine(fromQt(line));
    const auto* scene = m_actions.document().scene();
    return lamp && scene ? problemOf(withLamp(*scene, index, *lamp)) : problemOf(lamp);
}

void LampRow::refresh() {
    const auto& document = m_actions.document();
    const auto* scene = document.scene();
    m_add->setEnabled(scene != nullptr);
    m_measure->setEnabled(scene && document.setup());
    const auto lights =
        scene ? lightsOf(*scene, document.shoot().brief.mains) : std::vector<PulsedLight>();
    while (m_blocks.size() < lights.size())
        m_blocks.push_back(makeBlock(m_blocks.size()));
    for (std::size_t i = 0; i < m_blocks.size(); ++i) {
        if (i < lights.size())
            m_blocks[i]->show(toQt(scene->lamps[i].name), toQt(lineOf(scene->lamps[i])), lights[i]);
        else
            m_blocks[i]->hide();
    }
}

LampBlock* LampRow::makeBlock(std::size_t index) {
    auto* block = new LampBlock(
        m_style, [this, index](const QString& line) { return problemWith(line, index); }, this);
    block->setObjectName(QStringLiteral("lamp-%1").arg(index));
    m_row->insertWidget(static_cast<int>(index), block);
    wire(*block, index);
    return block;
}

void LampRow::wire(LampBlock& block, std::size_t index) {
    const auto pulsesOf = [this, index] {
        const auto* scene = m_actions.document().scene();
        return lightOf(scene->lamps[index], m_actions.document().shoot().brief.mains)
            .frequency.value();
    };
    const auto setPulses = [this, index](double hertz, int drag) {
        changeLamp(
            tr("Lamp frequency"), index,
            [&](Lamp& lamp) {
                if (lamp.kind != LampKind::Steady)
                    lamp.pulses = Hertz(std::clamp(hertz, kSlowest, kFastest));
            },
            drag);
    };
    connect(&block, &LampBlock::frequencyStepped, this,
            [pulsesOf, setPulses](int hertz) { setPulses(pulsesOf() + hertz, 0); });
    connect(&block, &LampBlock::depthStepped, this, [this, index](int percent) {
        changeLamp(tr("Lamp depth"), index, [&](Lamp& lamp) {
            const double now = lamp.depth.value_or(usualDepth(lamp.kind)).value();
            if (lamp.kind != LampKind::Steady)
                lamp.depth = Fraction(std::clamp(std::round(now * 100 + percent) / 100, 0.0, 1.0));
        });
    });
    connect(&block, &LampBlock::dragStarted, this, [this, pulsesOf] {
        m_dragFrom = pulsesOf();
        m_drag = m_actions.document().beginDrag();
    });
    connect(&block, &LampBlock::draggedSteps, this,
            [this, setPulses](int hertz) { setPulses(m_dragFrom + hertz, m_drag); });
    connect(&block, &LampBlock::typed, this, [this, index](const QString& line) {
        const auto typed = parseLampLine(fromQt(line));
        const auto* scene = m_actions.document().scene();
        if (!typed || !scene || index >= scene->lamps.size())
            return;
        Lamp lamp = *typed;
        lamp.extra = scene->lamps[index].extra;
        if (const auto after = withLamp(*scene, index, lamp))
            m_actions.changeScene(tr("Change lamp"), toQt(scene->id),
                                  [&](Scene& changed) { changed = *after; });
        else
            emit refused(messageOf(after.error()));
    });
    connect(&block, &LampBlock::refused, this, &LampRow::refused);
    connect(&block, &LampBlock::deleteRequested, this, [this, index] {
        if (const auto* scene = m_actions.document().scene())
            m_actions.changeScene(tr("Delete lamp"), toQt(scene->id), [&](Scene& changed) {
                changed.lamps.erase(changed.lamps.begin() + static_cast<std::ptrdiff_t>(index));
            });
    });
}

void LampRow::changeLamp(const QString& name, std::size_t index,
                         const std::function<void(Lamp&)>& change, int drag) {
    const auto* scene = m_actions.document().scene();
    if (scene && index < scene->lamps.size())
        m_actions.changeScene(
            name, toQt(scene->id), [&](Scene& changed) { change(changed.lamps[index]); }, drag);
}

void LampRow::addLamp() {
    const auto* scene = m_actions.document().scene();
    if (!scene)
        return;
    if (scene->lamps.size() >= kMostLamps) {
        emit refused(tr("A scene takes at most %1 lamps.").arg(kMostLamps));
        return;
    }
    m_new->showValue({});
    m_new->show();
    m_new->setFocus();
}

void LampRow::enterNew(const QString& line) {
    m_new->hide();
    const auto lamp = parseLampLine(fromQt(line));
    const auto* scene = m_actions.document().scene();
    if (!lamp || !scene)
        return;
    putNew(tr("Add lamp"), *lamp);
}

void LampRow::putNew(const QString& name, const Lamp& lamp) {
    const auto* scene = m_actions.document().scene();
    if (!scene)
        return;
    const auto after = withLamp(*scene, std::nullopt, lamp);
    if (!after) {
        emit refused(messageOf(after.error()));
        return;
    }
    m_actions.changeScene(name, toQt(scene->id), [&](Scene& changed) { changed = *after; });
    m_blocks[m_actions.document().scene()->lamps.size() - 1]->setFocus();
}

LampDialog* LampRow::measureLamp() {
    const auto value = m_actions.document().value();
    const auto* setup = m_actions.document().setup();
    const auto context = setup ? resolve(*value, *setup) : Result<SetupContext>(Error{});
    const QString clip = context ? m_ask() : QString();
    if (clip.isEmpty())
        return nullptr;
    auto* dialog = new LampDialog(clip, *context, m_style, this);
    connect(dialog, &QDialog::accepted, this, [this, dialog] {
        if (dialog->lamp())
            putNew(tr("Measured lamp"), *dialog->lamp());
    });
    dialog->open();
    return dialog;
}

void LampRow::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(m_style.colours().muted);
    painter.drawText(QRectF(0, 4, kRowHead - 6, 18), Qt::AlignLeft, tr("Lamps"));
}

} // namespace bslate::app
