#pragma once

#include "app/document/actions.h"
#include "app/document/background_job.h"
#include "app/style/style.h"
#include "app/views/frame/frame_images.h"
#include "app/views/step_view.h"
#include "io/stills/still.h"

#include <functional>
#include <map>

class QComboBox;
class QLabel;
class QTimer;
class QVBoxLayout;

namespace bslate::app {

class FoundRows;
class FramePicture;
class ScopePicture;

/// The Frame step: the scene drawn from its patches and recorded by this very setup, stage beside
/// stage, with every instrument on the recorded signal. Another setup may stand on the right.
class FrameView : public StepView {
    Q_OBJECT

public:
    FrameView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] std::span<const KeyLine> keys() const override;
    void settle() override;
    void refresh();

    [[nodiscard]] FramePicture& picture() { return *m_picture; }
    [[nodiscard]] const FrameImages* images() const { return m_images.get(); }
    /// A still in the place of the drawn picture, recorded in the setup's profile.
    void openStill(const QString& path);
    void closeStill();
    /// Where a file is asked for; tests put their own answers in.
    void setAskForFile(std::function<QString()> ask) { m_ask = std::move(ask); }

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void buildHeader(QVBoxLayout& column);
    void make();
    void showImages();
    void makeDrawn();
    void makeStill();
    void moveProbe(const QString& patch, QPointF centre);
    void takeReadings();
    [[nodiscard]] std::vector<Probe> stillProbes(const SetupContext& context) const;
    void step(QComboBox& look, int by);
    void compareNext();
    void cycleZebra();
    [[nodiscard]] QString captionOf(const FrameImages& images, FrameLook look) const;

    Actions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_subtitle;
    QComboBox *m_left, *m_right, *m_beside;
    FramePicture* m_picture;
    FoundRows* m_found;
    ScopePicture* m_scopes;
    QTimer* m_later;
    BackgroundJob m_job;
    std::shared_ptr<const FrameImages> m_images, m_other;
    ShootDocument::Value m_madeOf; ///< what the images are of
    QString m_madeFor, m_madeBeside;
    Theme m_madeIn = Theme::Slate;
    struct OpenStill {
        QString path;
        std::shared_ptr<const io::Still> still; ///< null until it is read
    };
    std::optional<OpenStill> m_still;
    std::map<std::string, PictureArea> m_moved; ///< probes, by patch
    std::function<QString()> m_ask;
    double m_lastSplit = 0.5;
    bool m_fates = true, m_probes = true, m_channels = false;
    std::optional<ZebraUse> m_zebra;
};

} // namespace bslate::app
