#pragma once

#include "app/document/profile_actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"

#include <functional>

class QComboBox;
class QLabel;
class QListWidget;

namespace bslate::app {

class CurvePicture;
class GamutPicture;
class ImportDialog;
class RampPicture;

/// The profiles of the kit: their curves over one stops axis, gamuts, and what the selected setup's
/// recording of them bears in the grade. Curves come in from files and go out as LUTs here.
class ProfilesView : public StepView {
    Q_OBJECT

public:
    ProfilesView(ProfileActions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    void choose(const QString& id);
    void compareWith(const QString& id); ///< empty: with nothing
    [[nodiscard]] QString chosen() const { return m_id; }
    [[nodiscard]] QString summary() const;

    /// Imports a file without asking for its name; the dialog is shown.
    void importFile(const QString& path);
    void importFromLibrary();

    void setAskForFile(std::function<QString()> ask) { m_ask = std::move(ask); }

protected:
    void showEvent(QShowEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void addKeys();
    QWidget* buildSide();
    QLayout* buildButtons();
    QWidget* buildPage();
    void fillLists();
    void showCurves();
    void showRamp();
    void take(ImportDialog& dialog);

    ProfileActions& m_actions;
    const Style& m_style;
    QString m_id, m_other;
    QListWidget* m_list;
    QComboBox* m_compare;
    QLabel* m_title;
    QLabel* m_summary;
    CurvePicture* m_curves;
    GamutPicture* m_gamuts;
    RampPicture* m_ramps;
    std::function<QString()> m_ask;
};

} // namespace bslate::app
