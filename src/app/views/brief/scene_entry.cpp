#include "app/views/brief/scene_entry.h"

#include "app/document/text.h"
#include "core/quantity/print.h"

#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QString nameOf(LinePart part) {
    switch (part) {
    case LinePart::Number:
        return SceneEntry::tr("number");
    case LinePart::Day:
        return SceneEntry::tr("day");
    case LinePart::Start:
        return SceneEntry::tr("starts");
    case LinePart::Place:
        return SceneEntry::tr("place");
    case LinePart::Reading:
        return SceneEntry::tr("grey card");
    case LinePart::Described:
        return SceneEntry::tr("light, estimated");
    case LinePart::Change:
        return SceneEntry::tr("light goes");
    case LinePart::Colour:
        return SceneEntry::tr("colour of light");
    case LinePart::Lamp:
        return SceneEntry::tr("lamp");
    case LinePart::Depth:
        return SceneEntry::tr("depth");
    case LinePart::Speed:
        return SceneEntry::tr("subject speed");
    case LinePart::Pan:
        return SceneEntry::tr("pan");
    case LinePart::SlowMotion:
        return SceneEntry::tr("slow motion");
    case LinePart::Sound:
        return SceneEntry::tr("sound");
    case LinePart::Support:
        return SceneEntry::tr("support");
    case LinePart::Focus:
        return SceneEntry::tr("focus");
    case LinePart::LongestTake:
        return SceneEntry::tr("uninterrupted take");
    case LinePart::Footage:
        return SceneEntry::tr("footage");
    case LinePart::View:
        return SceneEntry::tr("angle of view");
    case LinePart::Ambient:
        return SceneEntry::tr("air");
    case LinePart::Hazard:
        return SceneEntry::tr("take care");
    case LinePart::Name:
        return SceneEntry::tr("name");
    }
    return {};
}

// Words of the name are told as one piece.
QString piecesHtml(const SceneLine& line, const Tokens& t) {
    QStringList pieces;
    bool named = false;
    for (const auto& piece : line.pieces) {
        QString text = toQt(piece.text);
        if (piece.part == LinePart::Name) {
            if (named)
                continue;
            named = true;
            text = toQt(line.scene.name);
        }
        if (piece.part == LinePart::Described && !line.scene.patches.empty())
            text = QStringLiteral("\u2248 ") + toQt(print(line.scene.patches.front().reading));
        pieces << QStringLiteral("<span style='color:%1'>%2</span>&nbsp;%3")
                      .arg(t.muted.name(), nameOf(piece.part), text.toHtmlEscaped());
    }
    return pieces.join(QStringLiteral(" &nbsp;\u00b7&nbsp; "));
}

} // namespace

SceneEntry::SceneEntry(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_label(new QLabel)
    , m_edit(new QLineEdit)
    , m_preview(new QLabel) {
    m_edit->setObjectName(QStringLiteral("scene-line"));
    m_edit->setAccessibleName(tr("A scene as one line"));
    m_edit->setPlaceholderText(tr("Add a scene: 2A doorway int 26cd/m2 talk 12min"));
    m_edit->setMaxLength(400);
    m_preview->setObjectName(QStringLiteral("scene-line-preview"));
    m_preview->setTextFormat(Qt::RichText);
    m_preview->setWordWrap(true);
    m_preview->setFont(Style::font(TextRole::Secondary));
    auto* row = new QHBoxLayout;
    row->addWidget(m_label);
    row->addWidget(m_edit, 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    column->addLayout(row);
    column->addWidget(m_preview);
    setFocusProxy(m_edit);
    m_edit->installEventFilter(this);
    connect(m_edit, &QLineEdit::textChanged, this, &SceneEntry::preview);
    connect(m_edit, &QLineEdit::returnPressed, this, &SceneEntry::commit);
    connect(&style, &Style::changed, this, &SceneEntry::preview);
    startNew();
}

void SceneEntry::startNew() {
    m_editing.clear();
    m_label->setText(tr("New scene"));
    m_edit->clear();
    preview();
}

void SceneEntry::startEditing(const QString& sceneId, const QString& line) {
    m_editing = sceneId;
    m_label->setText(tr("Change scene"));
    m_edit->setText(line);
    m_edit->setFocus();
    m_edit->end(false);
}

bool SceneEntry::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_edit && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        startNew();
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

void SceneEntry::preview() {
    const QString text = m_edit->text();
    const auto& t = m_style.colours();
    if (text.trimmed().isEmpty()) {
        m_preview->setText(QStringLiteral("<span style='color:%1'>%2</span>")
                               .arg(t.muted.name(),
                                    tr("108lx, EV10.6 or overcast, dusk, office\u2026 \u00b7 day2 "
                                       "05:40 \u00b7 mute "
                                       "\u00b7 x4 \u00b7 T2.8-T4 \u00b7 tubes, dimmed 400Hz \u00b7 "
                                       "&gt;EV14/40min \u00b7 tripod, radio, facefocus")));
        return;
    }
    const auto line = parseSceneLine(fromQt(text));
    if (line)
        m_preview->setText(piecesHtml(*line, t));
    else
        m_preview->setText(QStringLiteral("<span style='color:%1'>%2</span>")
                               .arg(t.coral.name(), messageOf(line.error()).toHtmlEscaped()));
}

void SceneEntry::commit() {
    if (m_edit->text().trimmed().isEmpty())
        return;
    const auto line = parseSceneLine(fromQt(m_edit->text()));
    if (!line) {
        emit refused(messageOf(line.error())); // the line stays to be mended
        return;
    }
    const QString id = m_editing;
    startNew();
    emit entered(id, *line);
}

} // namespace bslate::app
