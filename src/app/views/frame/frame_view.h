#pragma once

#include "app/document/actions.h"
#include "app/document/background_job.h"
#include "app/style/style.h"
#include "app/views/frame/frame_drawing.h"
#include "app/views/step_view.h"
#include "io/wire/still.h"

#include <functional>
#include <map>

class QComboBox;
class QLabel;
class QTimer;
class QVBoxLayout;

namespace bslate::app {

class FoundRows;
class FramePicture;
class FrameTools;
class QuantityEdit;
class ScopePicture;

/// The Frame step: the scene drawn from its patches and recorded by this very setup, stage beside
/// stage, with every instrument on the recorded signal or the grade. Another setup, or this one in
/// another way, may stand on the right. The encoder follows when the rest is drawn, and is stopped
/// by the next change.
class FrameView : public StepView {
    Q_OBJECT

public:
    FrameView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void settle() override;
    void refresh();

    [[nodiscard]] FramePicture& picture() { return *m_picture; }
    /// Of the left side; null while there are none.
    [[nodiscard]] const FrameImages* images() const;
    /// A still in the place of the drawn picture, recorded in the setup's profile.
    void openStill(const QString& path);
    void closeStill();
    /// Where a file is asked for; tests put their own answers in.
    void setAskForFile(std::function<QString()> ask) { m_ask = std::move(ask); }
    /// Whether pictures go through the encoder at once; it takes seconds.
    void setCodec(bool on);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    void addKeys();
    void addMarkKeys();
    void addStillKeys();
    void addPlaceKeys();
    /// A side's pictures before and behind the codec.
    struct Side {
        FrameSource source;
        std::optional<DrawnFrame> plain, coded;
    };
    struct OpenStill {
        QString path;
        std::shared_ptr<const io::Still> still; ///< null until it is read
    };

    void buildHeader(QVBoxLayout& column);
    void fillBeside(const Setup* setup);
    [[nodiscard]] std::vector<FrameSource> sources() const;
    [[nodiscard]] FrameShown shownHow() const;
    [[nodiscard]] std::shared_ptr<const FrameImages> imagesOf(std::size_t side) const;
    void make();
    void makeDrawn();
    void makeCoded();
    void showAnew();
    void makeStill();
    void nothingToShow();
    void showImages();
    void tellProgress();
    [[nodiscard]] QString subtitle(const FrameImages& images) const;
    [[nodiscard]] QString captionOf(const FrameImages& images, FrameLook look) const;
    void moveProbe(const QString& patch, QPointF centre);
    void dropProbe(const QString& patch, QPointF centre);
    void placePatch(const QString& patch, const std::optional<FramePlace>& place);
    [[nodiscard]] std::optional<FramePlace> placeOf(const QString& patch, QPointF centre) const;
    void nextPatch();
    bool movePatch(int key);
    bool stretchPatch(int key);
    void resizePatch(const QString& patch, QSizeF size);
    void holdPatch(const QString& patch);
    [[nodiscard]] std::optional<QRectF> boxOf(const QString& patch) const;
    void showHeld();
    void cycleLost();
    void toggleSpot();
    bool moveSpot(int key);
    void showTools();
    void takeReadings();
    [[nodiscard]] std::vector<Probe> stillProbes(const SetupContext& context) const;
    void moveSplit(double by);
    void toggleStops();
    void step(QComboBox& look, int by);
    void compareNext(int by);
    void cycleZebra();
    void cyclePush();
    void setPush(const Push& push);

    Actions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_subtitle;
    QComboBox *m_left, *m_right, *m_beside, *m_range;
    QuantityEdit* m_pushEdit;
    FramePicture* m_picture;
    FrameTools* m_tools;
    FoundRows* m_found;
    ScopePicture* m_scopes;
    QTimer* m_later;
    BackgroundJob m_job;
    std::vector<Side> m_sides; ///< this setup, and what stands beside it
    FrameShown m_shownIn;      ///< how the sides' pictures are shown
    std::shared_ptr<const FrameImages> m_stillImages;
    std::optional<OpenStill> m_still;
    std::map<std::string, PictureArea> m_moved; ///< probes, by patch
    QString m_patch;                            ///< id of the one that keys move; empty: none
    std::function<QString()> m_ask;
    double m_lastSplit = 0.5;
    std::optional<int> m_fates = 0; ///< FramePicture::Marks
    bool m_probes = true, m_channels = false, m_bands = false;
    bool m_codec = true, m_noise = true, m_ofGrade = false;
    Push m_push;
    std::optional<ZebraUse> m_zebra;
};

} // namespace bslate::app
