#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"
#include "app/views/step_view.h"
#include "core/facts/white_facts.h"

#include <array>
#include <functional>

class QComboBox;
class QGridLayout;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace bslate::app {

class CardWhiteDialog;
class ChannelPicture;
class ChartDialog;
class LaterPicture;
class QuantityEdit;
class RatioRow;
class ValueBlock;
class WhitePicture;

/// The White page of the Light step: the colours of the scene's lights, the white to set, what the
/// channels make of it, how the lights stand to each other, and what moving white later costs.
class WhiteView : public StepView {
    Q_OBJECT

public:
    WhiteView(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();

    [[nodiscard]] WhitePicture& picture() { return *m_picture; }
    /// Measures white on a clip that is asked for; null when none is chosen, or there is no setup.
    CardWhiteDialog* measureWhite();
    /// Finds the sensor on a picture of a chart that are asked for; null when one is not chosen, or
    /// there is no setup.
    ChartDialog* findSensor();
    /// The picture of a chart, and then the file of its colours; empty for neither.
    void setAskForChart(std::function<std::array<QString, 2>()> ask) {
        m_askChart = std::move(ask);
    }
    /// Where the clip is; tests put their own answer in.
    void setAskForClip(std::function<QString()> ask) { m_ask = std::move(ask); }

protected:
    void showEvent(QShowEvent* event) override;

private:
    void addKeys();
    void buildHeader(QVBoxLayout& column);
    void buildFootage(QGridLayout& grid);
    void connectPicture();
    void showSetup(const SetupContext& context, const Evaluation& at);
    void showNothing();
    [[nodiscard]] QString subtitle(const SetupContext& context, const WhiteFacts& white) const;
    [[nodiscard]] QString channelNote(const Evaluation& at) const;

    void setWhite(const QString& name, const WhiteSetting& white, int drag = 0);
    void stepWhite(int kelvins, int tints);
    void typeWhite(const QString& text);
    void typeWanted(const QString& text);
    void setBy(WhiteBy by);
    void choose(const std::optional<WhiteSetting>& white, const QString& name);
    void sameForAll();
    void takeMeasured(const CardWhiteDialog& dialog);
    void takeSensor(const ChartDialog& dialog);

    void chooseLight(int by);
    void typeLight(std::optional<std::size_t> lamp); ///< none: a new one
    void enterLight(const QString& line);
    /// What is wrong with it in the place of the light that is typed over, or as one more.
    [[nodiscard]] std::optional<QString> problemWithLight(const QString& line) const;
    void moveLight(std::size_t light, ColourPoint to);
    void deleteLight();
    void putGel();
    void takeGel();
    void changeLamp(const QString& name, std::size_t lamp, const std::function<void(Lamp&)>& edit,
                    int drag = 0);
    [[nodiscard]] std::optional<SetupContext> context() const;
    [[nodiscard]] WhiteChoices choices() const;

    Actions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_subtitle;
    ValueBlock *m_white, *m_wanted;
    QComboBox* m_by;
    QPushButton *m_key, *m_between, *m_background, *m_measure, *m_sensor;
    WhitePicture* m_picture;
    ChannelPicture* m_channels;
    RatioRow* m_ratios;
    LaterPicture* m_later;
    QuantityEdit* m_line; ///< a lamp as it is typed
    std::optional<std::size_t> m_chosen, m_typed;
    WhiteSetting m_dragFrom;
    int m_drag = 0;
    std::function<QString()> m_ask;
    std::function<std::array<QString, 2>()> m_askChart;
};

} // namespace bslate::app
