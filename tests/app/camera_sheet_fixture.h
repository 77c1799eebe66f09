#pragma once

#include "app/views/kit/camera_sheet.h"
#include "app/views/kit/kit_view.h"
#include "app/window_fixture.h"

#include <QLabel>
#include <QTimer>

#include <functional>

namespace bslate::app {

/// The Kit step, with the sheet of a camera that is opened from it.
class CameraSheetTest : public WindowTest {
protected:
    void SetUp() override { window->showView("kit"); }
    const bslate::Kit& kit() { return window->document().shoot().kit; }
    // Lets `act` work in the sheet that the next step opens.
    void inSheet(const std::function<void(CameraSheet&)>& act) {
        QTimer::singleShot(0, window.get(), [this, act] {
            auto* sheet = window->findChild<CameraSheet*>();
            ASSERT_NE(sheet, nullptr);
            act(*sheet);
            if (sheet->isVisible())
                sheet->reject();
        });
    }

    /// What the sheet says is wrong.
    static QString problem(CameraSheet& sheet) {
        return sheet.findChild<QLabel*>(QStringLiteral("sheet-problem"))->text();
    }
};

} // namespace bslate::app
