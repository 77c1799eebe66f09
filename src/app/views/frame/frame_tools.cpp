#include "app/views/frame/frame_tools.h"

#include "app/style/style.h"

#include <QHBoxLayout>
#include <QKeySequence>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {
constexpr int kBetween = 5;
} // namespace

FrameTools::FrameTools(const KeyTable& keys, QWidget* parent)
    : QWidget(parent)
    , m_first(new QHBoxLayout)
    , m_second(new QHBoxLayout) {
    setObjectName(QStringLiteral("frame-tools"));
    struct Line {
        Qt::Key key;
        const char* name;
        QString text;
    };
    const Line lines[] = {{Qt::Key_C, "lost", tr("Lost")},
                          {Qt::Key_Z, "zebra", tr("Zebra")},
                          {Qt::Key_B, "bands", tr("Bands")},
                          {Qt::Key_P, "patches", tr("Patches")},
                          {Qt::Key_X, "spot", tr("Spot")},
                          {Qt::Key_R, "channels", tr("R G B")},
                          {Qt::Key_G, "grade", tr("Of grade")},
                          {Qt::Key_E, "encoder", tr("Encoder")},
                          {Qt::Key_N, "noise", tr("Noise")},
                          {Qt::Key_U, "push", tr("Push")},
                          {Qt::Key_O, "still", tr("Still\u2026")},
                          {Qt::Key_T, "readings", tr("Readings")},
                          {Qt::Key_Escape, "close", tr("Close still")}};
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(kBetween);
    for (auto* row : {m_first, m_second}) {
        row->setSpacing(kBetween);
        rows->addLayout(row);
    }
    for (const auto& line : lines) {
        const QString says = keys.whatDoes(line.key);
        auto* button = new QPushButton(line.text);
        button->setObjectName(QStringLiteral("frame-tool-%1").arg(QLatin1String(line.name)));
        button->setFont(Style::font(TextRole::Secondary));
        button->setCheckable(true);
        button->setAutoDefault(false);
        button->setFocusPolicy(Qt::TabFocus);
        button->setToolTip(
            tr("%1: %2").arg(QKeySequence(line.key).toString(QKeySequence::NativeText), says));
        button->setAccessibleDescription(says);
        connect(button, &QPushButton::clicked, this, [this, key = line.key] { emit pressed(key); });
        m_first->addWidget(button);
        m_tools.push_back({line.key, line.text, button});
    }
    m_first->addStretch(1);
    m_second->addStretch(1);
}

void FrameTools::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    arrange();
}

void FrameTools::arrange() {
    int taken = 0, first = 0, second = 0;
    for (const auto& tool : m_tools) {
        if (!tool.button->isVisibleTo(this))
            continue;
        taken += tool.button->sizeHint().width() + kBetween;
        if (taken - kBetween <= width())
            m_first->insertWidget(first++, tool.button);
        else
            m_second->insertWidget(second++, tool.button);
    }
}

void FrameTools::show(const std::vector<State>& states) {
    for (const auto& state : states) {
        const auto tool = std::find_if(m_tools.begin(), m_tools.end(),
                                       [&](const Tool& one) { return one.key == state.key; });
        if (tool == m_tools.end())
            continue;
        tool->button->setChecked(state.on);
        tool->button->setVisible(state.there);
        tool->button->setText(state.which.isEmpty() ? tool->text
                                                    : tr("%1: %2").arg(tool->text, state.which));
    }
    arrange();
}

} // namespace bslate::app
