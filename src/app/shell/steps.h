#pragma once

#include "app/shell/page_holder.h"
#include "core/advice/next_thing.h"

#include <QString>

#include <vector>

namespace bslate::app {

class Actions;
class BankActions;
class DayActions;
class KitActions;
class MyKit;
class ProfileActions;
class Style;

/// A picture of a page on the demo shoot, kept in docs/screenshots.
struct PageShot {
    QString file;  ///< without its suffix
    QString setup; ///< number of the setup that shows it well
    QString theme = QStringLiteral("slate");
    void (*prepare)(StepView& page) = nullptr; ///< what somebody has done there by then
};

struct StepPage {
    QString name; ///< on its button
    QString view; ///< what `--view` calls it
    PageHolder* place = nullptr;
    std::vector<PageShot> shots;
};

/// What stands beside a step.
enum class Side { OfSetup, OfDay, OfBanks };

struct Step {
    int number = 0; ///< of the full order of the work: keys never change
    QString name;   ///< with its access key
    QString help;   ///< one sentence
    Side side = Side::OfSetup;
    Work work = Work::Setups;    ///< what it waits for while the shoot is empty
    std::vector<StepPage> pages; ///< at least one
    [[nodiscard]] QString plainName() const { return QString(name).remove(QLatin1Char('&')); }
};

/// What the views of the steps work with. It outlives them.
struct StepParts {
    Actions& actions;
    KitActions& kit;
    MyKit& mine;
    ProfileActions& profiles;
    DayActions& days;
    BankActions& banks;
    const Style& style;
};

/// Every step with its views: the one list that menu, step bar, key sheet, `--view`, pictures and
/// tests read. A new step is a folder in views/ and an entry here.
[[nodiscard]] std::vector<Step> makeSteps(const StepParts& parts);

} // namespace bslate::app
