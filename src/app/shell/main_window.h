#pragma once

#include "app/document/actions.h"
#include "app/document/bank_actions.h"
#include "app/document/day_actions.h"
#include "app/document/file_keeper.h"
#include "app/document/kit_actions.h"
#include "app/document/my_kit.h"
#include "app/document/profile_actions.h"
#include "app/shell/next_bar.h"
#include "app/shell/steps.h"
#include "app/style/style.h"
#include "core/words/card_text.h"
#include "io/colour/lut_file.h"

#include <QMainWindow>
#include <QUndoGroup>

#include <vector>

class QDialog;
class QSettings;
class QStackedWidget;

namespace bslate::app {

class BanksPanel;
class CardDialog;
class ClipsDialog;
class DayPanel;
class DialInPanel;
class MyKitDialog;
class NoticeBar;
class SetupRail;
class StartView;
class StepBar;
class VerdictPanel;

/// Assembles the parts and owns the document; what the parts do lives with them, what the menus
/// do in menus.cpp and files in WindowFiles.
class MainWindow : public QMainWindow {
    Q_OBJECT

public:
    enum class Answer { Save, Discard, Cancel };
    enum class Over { Replace, SaveAs, Cancel }; ///< what another program wrote meanwhile

    MainWindow(Style& style, QSettings& settings, const QString& scratch);
    ~MainWindow() override;

    [[nodiscard]] ShootDocument& document() { return m_document; }
    [[nodiscard]] Actions& actionsOnShoot() { return m_actions; }
    [[nodiscard]] FileKeeper& files() { return m_files; }
    [[nodiscard]] MyKit& mine() { return m_mine; }
    [[nodiscard]] DayPlanner& planner() { return m_planner; }
    [[nodiscard]] DayPanel& dayPanel() { return *m_dayPanel; }
    [[nodiscard]] BankActions& bankActions() { return m_bankActions; }
    [[nodiscard]] BanksPanel& banksPanel() { return *m_banksPanel; }
    [[nodiscard]] NoticeBar& notice() { return *m_notice; }
    [[nodiscard]] NextBar& next() { return *m_next; }
    [[nodiscard]] VerdictPanel& verdict() { return *m_verdict; }
    [[nodiscard]] Style& style() { return m_style; }

    [[nodiscard]] const std::vector<Step>& steps() const { return m_steps; }
    /// The first view of a class, of all pages; made when it was not yet. Precondition: a step has
    /// one.
    template<class View>
    [[nodiscard]] View& view() {
        for (const auto& step : m_steps)
            for (const auto& page : step.pages)
                if (page.place->kind().inherits(&View::staticMetaObject))
                    return static_cast<View&>(page.place->page());
        Q_UNREACHABLE();
    }
    /// The first page of a step; Light for a number that is none.
    void showStep(int number);
    /// A page by its name for `--view`; null and nothing done when there is none.
    StepView* showView(const QString& name);
    [[nodiscard]] int step() const;
    [[nodiscard]] QStringList pageNames() const; ///< as showView() takes them, in their order
    /// The page in view.
    [[nodiscard]] StepView* page() const;
    void showSheet(const QString& name); ///< sheets.h

    /// The page that asks what to begin with; any step leaves it.
    void showStart();
    [[nodiscard]] bool isAtStart() const;
    MyKitDialog* compareWithMine();
    void importKit(const QString& path);
    void bringClips(const QStringList& paths); ///< to the page that makes a camera of them

    /// Opens a file, offering an autosave left by a crash; failures are told, not thrown.
    void openPath(const QString& path);
    /// Asks about everything that was kept of it, one after the other.
    void offerRecovery(const QString& path);
    /// Asks when another program has written the open file; also done when the window is activated.
    void lookAtDisk();
    bool saveTo(const QString& path);
    bool save(); ///< asks for a path when there is none; false when cancelled or failed
    bool saveAs();
    void askOpen();
    void askKit();
    QDialog* askLut(); ///< null when there is no setup
    /// `look` is the id of a recipe, or empty for the plain display.
    void writeLut(const QString& path, io::LutFormat format, const QString& look = {});
    [[nodiscard]] CardDialog* makeCard();
    [[nodiscard]] CardDialog* makePackList(); ///< null when no day is planned
    /// One of the cards of the Banks step by its sheet's name; null when it has nothing to say.
    [[nodiscard]] CardDialog* makeBankCard(const char* sheet);
    void editSetup();
    void editShoot();
    QDialog* compareSetups(); ///< null when there are not two
    /// Reads clips into the sheet that judges them, which is opened when it is not.
    ClipsDialog* checkClips(const QStringList& paths);
    void showStill(const QString& path); ///< on the Frame step
    /// What undo and redo go through: the document's steps, or those of a page that has its own.
    [[nodiscard]] QUndoGroup& undoSteps() { return m_undoSteps; }
    void copyPicture(); ///< of the step in view, to the clipboard
    void focusNextPart(int direction);

    /// How an unsaved document is asked about; tests put their own answer in.
    void setAskToSave(std::function<Answer()> ask) { m_ask = std::move(ask); }
    void setAskOver(std::function<Over(const QString&)> ask) { m_askOver = std::move(ask); }
    /// True when the document may be left: saved, unchanged, or given up on purpose.
    bool mayLeave();

protected:
    void changeEvent(QEvent* event) override;
    void closeEvent(QCloseEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void assemble();
    [[nodiscard]] QWidget* buildWork();
    void connectStart();
    [[nodiscard]] CardDialog* openCard(Card card, const QString& name);
    void connectParts();
    void connectPage(StepView& page);
    [[nodiscard]] PageHolder& placeInView() const;
    void updateTitle();
    [[nodiscard]] NextBar::Advice adviceOn(NextThing next);
    void showNext();
    void restoreState();
    void recover(const QString& autosave, const QString& path);
    void loadTheirs();
    void sayDiskIsSlow();
    void askAboutKit(const QString& path, const QString& named);

    Style& m_style;
    QSettings& m_settings;
    ShootDocument m_document;
    QUndoGroup m_undoSteps;
    Actions m_actions;
    KitActions m_kitActions;
    MyKit m_mine;
    ProfileActions m_profileActions;
    DayPlanner m_planner;
    DayActions m_dayActions;
    BankPlanner m_bankPlanner;
    BankActions m_bankActions;
    FileKeeper m_files;
    std::vector<Step> m_steps;
    StepBar* m_bar;
    SetupRail* m_rail;
    QStackedWidget* m_stack;
    VerdictPanel* m_verdict;
    DialInPanel* m_dialIn;
    DayPanel* m_dayPanel;
    BanksPanel* m_banksPanel;
    QStackedWidget* m_side; ///< of the setup, the day, or the banks
    NextBar* m_next;
    NoticeBar* m_notice;
    StartView* m_start;
    QStackedWidget* m_face; ///< the start, or the work
    bool m_placed = false;  ///< where it was left, or where a screen has it
    std::function<Answer()> m_ask;
    std::function<Over(const QString&)> m_askOver;
};

/// Builds the menu bar of the window; every action has a shortcut or an access key.
void buildMenus(MainWindow& window);

} // namespace bslate::app
