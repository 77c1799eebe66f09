#include "app/widgets/footage_picker.h"

#include "app/document/text.h"
#include "app/widgets/area_picker.h"
#include "io/clips/exposures.h"

#include <QLabel>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QImage imageOf(const io::Still& still) {
    QImage image(still.codes.size.width, still.codes.size.height, QImage::Format_RGB32);
    for (int y = 0; y < image.height(); ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < image.width(); ++x) {
            const auto at = still.codes.at(x, y);
            line[x] =
                qRgb(still.codes.plane[0][at], still.codes.plane[1][at], still.codes.plane[2][at]);
        }
    }
    return image;
}

} // namespace

FootagePicker::FootagePicker(const QString& clip, const QString& hint, const Style& style,
                             QWidget* parent)
    : QWidget(parent)
    , m_picker(new AreaPicker(style)) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    auto* say = new QLabel(
        tr("%1: draw a frame on it, or move it with the arrow keys (Shift: its size).").arg(hint));
    say->setWordWrap(true);
    column->addWidget(say);
    column->addWidget(m_picker, 1);
    setFocusProxy(m_picker);
    connect(m_picker, &AreaPicker::changed, this, &FootagePicker::changed);
    m_job.start([clip, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        const auto still = io::readFootagePicture(clip.toStdString(), control.keepGoing());
        if (!still) {
            const QString message = messageOf(still.error());
            return [this, message] {
                m_problem = message;
                emit failed(message);
            };
        }
        const QImage image = imageOf(*still);
        return [this, image] {
            m_picker->show(image);
            emit shown();
        };
    });
}

const PictureArea& FootagePicker::area() const {
    return m_picker->area();
}

void FootagePicker::settle() {
    while (m_job.isRunning())
        m_job.settle();
}

} // namespace bslate::app
