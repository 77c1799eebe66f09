#pragma once

#include "app/document/my_kit.h"
#include "app/style/style.h"
#include "app/views/step_view.h"

class QLabel;
class QLayout;
class QPushButton;
class QTreeWidget;

namespace bslate::app {

class BodyPicture;
class FieldForm;
class ModesPicture;
class SensorPicture;

/// The Kit step: what the user owns, by kind; the chosen camera's sensor drawn to scale, the fields
/// of anything else to be typed in place.
class KitView : public StepView {
    Q_OBJECT

public:
    KitView(KitActions& actions, MyKit& mine, const Style& style, QWidget* parent = nullptr);

    void refresh();
    void choose(KitPart kind, const QString& id);

    /// Where files come from and go to; tests put their own answers in.
    void setAskForFile(std::function<QString(bool save)> ask) { m_ask = std::move(ask); }
    /// Opens the sheet of a camera; its result is put into the kit when it is accepted.
    void describeCamera(const QString& id);
    /// The same for one that is not in the kit yet: cancelling leaves the kit as it was.
    void describeNewCamera();

signals:
    /// Of a camera: its modes as a lattice.
    void latticeWanted(const QString& camera);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void addKeys();
    QWidget* buildList();
    QWidget* buildPage();
    [[nodiscard]] QLayout* buildButtons();
    void fillList();
    void showChosen();
    void showFields();
    void takeOver(const QString& key, const QString& text);
    void showMine();
    [[nodiscard]] QWidget* buildMine();
    void add();
    void describe(const Camera& camera);
    void duplicate();
    void removeChosen();

    KitActions& m_actions;
    MyKit& m_mine;
    const Style& m_style;
    KitPart m_kind = KitPart::Camera;
    QString m_id;
    QTreeWidget* m_list;
    QLabel* m_title;
    QLabel* m_summary;
    SensorPicture* m_picture;
    BodyPicture* m_body;
    ModesPicture* m_modes;
    QWidget* m_pictures; ///< all of a camera
    QPushButton *m_describe, *m_refine;
    QLabel* m_beside; ///< how it stands in My kit
    QPushButton *m_keep, *m_take;
    FieldForm* m_form;
    std::function<QString(bool)> m_ask;
    ShootDocument::Value m_shown; ///< the fields were made from this value
};

} // namespace bslate::app
