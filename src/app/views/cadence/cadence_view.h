#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"

class QComboBox;
class QLabel;
class QVBoxLayout;

namespace bslate::app {

class AngleScale;
class LampRow;
class MotionPicture;
class SpeedRuler;
class TimeStrip;
class ValueBlock;

/// The Cadence step: what rate and shutter do to motion and to pulsed light, and a shutter that is
/// right for both.
class CadenceView : public StepView {
    Q_OBJECT

public:
    CadenceView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    [[nodiscard]] TimeStrip& strip() { return *m_strip; }
    [[nodiscard]] AngleScale& scale() { return *m_scale; }
    [[nodiscard]] LampRow& lamps() { return *m_lamps; }
    [[nodiscard]] MotionPicture& motion() { return *m_motion; }
    [[nodiscard]] SpeedRuler& ruler() { return *m_ruler; }
    [[nodiscard]] ValueBlock& rateBlock() { return *m_rate; }
    [[nodiscard]] ValueBlock& shutterBlock() { return *m_shutter; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    void addKeys();
    void buildHeader(QVBoxLayout& column);
    void buildPictures(QVBoxLayout& column);
    void connectPictures();
    void showNothing();
    void showShutter(const SetupContext& context, const Evaluation& at);
    void showMotion(const SetupContext& context, const Evaluation& at);
    [[nodiscard]] QString subtitle(const SetupContext& context, const Evaluation& at) const;

    void turnShutter(const Shutter& wanted, int drag = 0);
    /// A drag near the best of a safe stretch lands on it; `reach` is what a hand can miss by.
    void dragShutter(ShutterAngle wanted, double reach);
    void turnRate(FrameRate wanted, int drag = 0);
    void stepShutterBy(int clicks, const ShootDocument::Value& from, int drag);
    void stepRateBy(int places, const ShootDocument::Value& from, int drag);
    void nextSafe();
    void setSchool(ShutterSchool school);
    void schoolsShutter();
    void startDrag();
    /// The rate of the mode nearest to a wanted one.
    [[nodiscard]] FrameRate nearestRate(double perSecond) const;

    Actions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_subtitle;
    QComboBox *m_school, *m_payer;
    ValueBlock *m_rate, *m_shutter;
    TimeStrip* m_strip;
    AngleScale* m_scale;
    LampRow* m_lamps;
    MotionPicture* m_motion;
    SpeedRuler* m_ruler;
    ShootDocument::Value m_dragFrom;
    int m_drag = 0;
};

} // namespace bslate::app
