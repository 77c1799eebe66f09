#pragma once

#include "app/document/background_job.h"
#include "app/style/style.h"
#include "core/frame/image.h"

#include <QWidget>

class QLabel;

namespace bslate::app {

class AreaPicker;

/// The middle of a clip as a picture, on which a place is marked; read in the background.
class FootagePicker : public QWidget {
    Q_OBJECT

public:
    FootagePicker(const QString& clip, const QString& hint, const Style& style,
                  QWidget* parent = nullptr);

    [[nodiscard]] const PictureArea& area() const;
    [[nodiscard]] AreaPicker& picker() { return *m_picker; }
    [[nodiscard]] const QString& problem() const { return m_problem; }
    void settle(); ///< waits for the picture: for pictures and tests

signals:
    void shown();   ///< the picture is there, with a place in its middle
    void changed(); ///< the place is another
    void failed(const QString& message);

private:
    AreaPicker* m_picker;
    QString m_problem;
    BackgroundJob m_job;
};

} // namespace bslate::app
