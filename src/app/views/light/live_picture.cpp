#include "app/views/light/live_picture.h"

#include "app/style/marks.h"
#include "app/views/frame/frame_images.h"

#include <QPainter>
#include <QTimer>

namespace bslate::app {
namespace {

constexpr PictureSize kLiveSize{240, 135};
constexpr int kStaysMs = 1200, kEdge = 4;

} // namespace

LivePicture::LivePicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_gone(new QTimer(this)) {
    setObjectName(QStringLiteral("live-picture"));
    setAttribute(Qt::WA_TransparentForMouseEvents);
    setFixedSize(sizeHint());
    hide();
    m_gone->setSingleShot(true);
    m_gone->setInterval(kStaysMs);
    connect(m_gone, &QTimer::timeout, this, &QWidget::hide);
}

QSize LivePicture::sizeHint() const {
    return {kLiveSize.width + 2 * kEdge, kLiveSize.height + 2 * kEdge};
}

void LivePicture::showFor(const SetupContext& context, const Evaluation& at) {
    FrameWish wish;
    wish.size = kLiveSize;
    wish.camera.noise = false;
    wish.instruments.columns = 1;
    m_picture = imageOf(shownStage(context, at, makeFrame(context, at, wish), FrameStage::Grade));
    show();
    raise();
    update();
    m_gone->start();
}

void LivePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().raised, m_style.colours().line, 1);
    painter.drawImage(QPoint(kEdge, kEdge), m_picture);
}

} // namespace bslate::app
