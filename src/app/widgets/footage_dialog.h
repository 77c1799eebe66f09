#pragma once

#include "app/document/background_job.h"
#include "app/style/style.h"
#include "core/clip/clip_facts.h"
#include "io/clips/clip_region.h"

#include <QDialog>

class QFormLayout;
class QLabel;
class QPushButton;

namespace bslate::app {

class FootagePicker;

/// A place marked on a clip and read in the background; what it tells is for the dialog that is
/// made of this.
class FootageDialog : public QDialog {
    Q_OBJECT

public:
    struct Words {
        QString title, hint, take;
    };
    FootageDialog(const QString& clip, CodeRange range, const Words& words, const Style& style,
                  QWidget* parent = nullptr);

    [[nodiscard]] FootagePicker& footage() { return *m_footage; }
    void settle(); ///< waits for what is being read: for pictures and tests

protected:
    /// What was read of the place.
    virtual void found(const ClipFacts& clip, const io::ReadRegion& region) = 0;
    [[nodiscard]] QFormLayout& form() { return *m_form; }
    void tell(const QString& words, bool takeable);
    /// Reads what is marked; begun anew after every change of the place.
    virtual void read();
    [[nodiscard]] BackgroundJob& job() { return m_job; }

private:
    QString m_clip;
    CodeRange m_range;
    FootagePicker* m_footage;
    QLabel* m_found;
    QFormLayout* m_form;
    QPushButton* m_take;
    BackgroundJob m_job;
};

} // namespace bslate::app
