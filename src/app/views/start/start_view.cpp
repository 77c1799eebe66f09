#include "app/views/start/start_view.h"

#include "app/views/start/start_card.h"

#include <QFileInfo>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

namespace bslate::app {

StartView::StartView(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_demo(new StartCard(StartCard::Sign::Look, style))
    , m_camera(new StartCard(StartCard::Sign::Camera, style))
    , m_file(new StartCard(StartCard::Sign::File, style))
    , m_recent(new QListWidget)
    , m_recentHost(new QWidget)
    , m_empty(new QPushButton) {
    setObjectName(QStringLiteral("start-view"));
    auto* title = new QLabel(tr("What will be shot, and with what?"));
    title->setFont(Style::font(TextRole::Head));
    auto* about = new QLabel(tr(
        "Bright Slate works out what a camera is set to, so that a scene is exposed and recorded "
        "as its grade needs it. Everything stays on this machine."));
    about->setWordWrap(true);
    about->setForegroundRole(QPalette::PlaceholderText);
    auto* cards = new QHBoxLayout;
    cards->setSpacing(14);
    m_demo->setObjectName(QStringLiteral("start-demo"));
    m_camera->setObjectName(QStringLiteral("start-camera"));
    m_file->setObjectName(QStringLiteral("start-file"));
    for (auto* card : {m_demo, m_camera, m_file})
        cards->addWidget(card, 1);
    m_demo->say(tr("Look &around"),
                tr("A finished shoot to turn and break: a ferry mill, three cameras, six scenes, "
                   "all of them invented."));
    m_file->say(tr("&Open a file"), tr("A shoot that was saved before. Clips and kits can be "
                                       "dropped anywhere on this window."));
    auto* recent = new QVBoxLayout(m_recentHost);
    recent->setContentsMargins(0, 0, 0, 0);
    auto* label = new QLabel(tr("O&pened before"));
    label->setBuddy(m_recent);
    m_recent->setObjectName(QStringLiteral("start-recent"));
    m_recent->setAccessibleName(tr("Opened before"));
    recent->addWidget(label);
    m_recent->setMaximumHeight(190);
    recent->addWidget(m_recent, 1);
    m_empty->setObjectName(QStringLiteral("start-empty"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(48, 40, 48, 28);
    column->setSpacing(14);
    column->addWidget(title);
    column->addWidget(about);
    column->addSpacing(10);
    column->addLayout(cards);
    column->addSpacing(6);
    column->addWidget(m_recentHost);
    column->addStretch(1);
    auto* last = new QHBoxLayout;
    last->addWidget(m_empty);
    last->addStretch(1);
    column->addLayout(last);
    setFocusProxy(m_demo);
    connect(m_demo, &StartCard::clicked, this, &StartView::demoWanted);
    connect(m_camera, &StartCard::clicked, this, &StartView::cameraWanted);
    connect(m_file, &StartCard::clicked, this, &StartView::fileWanted);
    connect(m_empty, &QPushButton::clicked, this, &StartView::emptyWanted);
    connect(m_recent, &QListWidget::itemActivated, this, [this](const QListWidgetItem* item) {
        emit recentWanted(item->data(Qt::UserRole).toString());
    });
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void StartView::show(const QStringList& recent, int cameras) {
    m_recent->clear();
    for (const auto& path : recent) {
        auto* item = new QListWidgetItem(QFileInfo(path).fileName() + QStringLiteral("   ") + path,
                                         m_recent);
        item->setData(Qt::UserRole, path);
    }
    m_recentHost->setVisible(!recent.isEmpty());
    m_camera->say(
        cameras > 0 ? tr("&Bring another camera") : tr("&Bring my camera"),
        tr("Drop clips it recorded, paste what its manual prints, or answer a few questions. "
           "Five minutes, and it is kept for every shoot."));
    m_empty->setText(cameras > 0 ? tr("&New shoot with My kit (cameras: %1)").arg(cameras)
                                 : tr("Begin with an empt&y shoot"));
    m_empty->setAccessibleDescription(tr("Escape does the same"));
}

void StartView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        return emit emptyWanted();
    QWidget::keyPressEvent(event);
}

void StartView::paintEvent(QPaintEvent*) {
    QPainter(this).fillRect(rect(), m_style.colours().panel);
}

} // namespace bslate::app
