#pragma once

#include "app/document/profile_actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"
#include "core/kit/series_plan.h"

#include <functional>
#include <optional>

class QComboBox;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;

namespace bslate::app {

class FitPicture;

/// Testing one's own body: the card that says what to record, the readings as typed, pasted or
/// read from a file, the curve that fits them, and the measured profile kept beside the nominal.
class BodyTestView : public StepView {
    Q_OBJECT

public:
    BodyTestView(ProfileActions& actions, const Style& style, QWidget* parent = nullptr);

    void settle() override;

    void refresh();
    void setReadings(const QString& csv);
    void openReadings(const QString& path);
    void fit();
    void keep();
    [[nodiscard]] QString finding() const;
    [[nodiscard]] const std::optional<SeriesFit>& fitted() const { return m_fit; }
    /// Shows the series card; null when there is nothing to plan for.
    class CardDialog* showCard();

    /// Readings off clips, in a dialog that takes them over; null without clips or a body.
    class SeriesDialog* readClips(const QStringList& clips);
    void setAskForClips(std::function<QStringList()> ask) { m_askClips = std::move(ask); }
    void setAskForFile(std::function<QString()> ask) { m_ask = std::move(ask); }

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* buildSide();
    void fillCameras();
    void fillProfiles();
    void recall();
    void tell();
    void refuse(const QString& message);
    /// What the series card says; tells when there is nothing to plan for.
    [[nodiscard]] std::optional<SeriesPlan> plan();
    [[nodiscard]] const Camera* camera() const;
    [[nodiscard]] const Profile* profile() const;
    [[nodiscard]] const BaseIso* base() const;

    ProfileActions& m_actions;
    const Style& m_style;
    QComboBox* m_camera;
    QComboBox* m_profile;
    QComboBox* m_base;
    QLineEdit* m_note;
    QPlainTextEdit* m_readings;
    QLabel* m_finding;
    QPushButton* m_keep;
    FitPicture* m_picture;
    std::vector<SeriesReading> m_read;
    std::optional<SeriesFit> m_fit;
    std::optional<Measurement> m_first; ///< to be shown when the page is first seen
    QString m_recalled;                 ///< the readings as they were recalled from the kit
    std::function<QString()> m_ask;
    std::function<QStringList()> m_askClips;
};

} // namespace bslate::app
