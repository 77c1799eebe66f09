#pragma once

#include "app/style/style.h"
#include "core/frame/image.h"
#include "core/shoot/scene.h"

#include <QDialog>

class QComboBox;

namespace bslate::app {

class FootagePicker;

/// Where a patch of the scene is in a clip's picture.
class PatchDialog : public QDialog {
    Q_OBJECT

public:
    /// The scene outlives the dialog's construction only.
    PatchDialog(const QString& clip, const Scene& scene, const Style& style,
                QWidget* parent = nullptr);

    [[nodiscard]] QString patch() const; ///< id
    [[nodiscard]] const PictureArea& area() const;
    [[nodiscard]] FootagePicker& footage() { return *m_footage; }

private:
    QComboBox* m_patch;
    FootagePicker* m_footage;
};

} // namespace bslate::app
