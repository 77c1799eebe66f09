#include "app/shell/steps.h"

#include "app/views/banks/banks_view.h"
#include "app/views/body_test/body_test_view.h"
#include "app/views/brief/brief_view.h"
#include "app/views/bring/bring_view.h"
#include "app/views/cadence/cadence_view.h"
#include "app/views/frame/frame_view.h"
#include "app/views/kit/kit_view.h"
#include "app/views/light/light_view.h"
#include "app/views/media/media_view.h"
#include "app/views/profiles/profiles_view.h"
#include "app/views/recipes/recipes_view.h"
#include "app/views/record/record_view.h"
#include "app/views/white/white_view.h"

#include <QCoreApplication>
#include <QFile>

namespace bslate::app {
namespace {

QString named(const char* text) {
    return QCoreApplication::translate("Steps", text);
}

// A table that lies beside the demo shoot, as somebody pastes it.
void bringTable(StepView& page) {
    QFile table(QStringLiteral(":/data/heron-modes.txt"));
    if (table.open(QIODevice::ReadOnly))
        static_cast<BringView&>(page).setTable(QString::fromUtf8(table.readAll()));
}

Step kitStep(const StepParts& p) {
    return {2,
            named("&Kit"),
            named("What there is, its profiles, and testing one's own body."),
            Side::OfSetup,
            Work::Kit,
            {{named("Gear"), "kit", placeOf<KitView>(p.kit, p.mine, p.style), {{"kit", "2B"}}},
             {named("Bring in"),
              "bring",
              placeOf<BringView>(p.kit, p.mine, p.style),
              {{"bring", "2B", QStringLiteral("slate"), bringTable}}},
             {named("Profiles"),
              "profiles",
              placeOf<ProfilesView>(p.profiles, p.style),
              {{"profiles", "6A"}}},
             {named("Recipes"),
              "recipes",
              placeOf<RecipesView>(p.profiles, p.style),
              {{"recipes", "6A"}}},
             {named("Body test"),
              "body-test",
              placeOf<BodyTestView>(p.profiles, p.style),
              {{"body-test", "4B"}}}}};
}

Step frameStep(const StepParts& p) {
    return {8,
            named("Fra&me"),
            named("The scene as this setup records it, with every instrument on it."),
            Side::OfSetup,
            Work::Setups,
            {{named("Frame"),
              "frame",
              placeOf<FrameView>(p.actions, p.style),
              {{"frame", "2A"}, {"frame-paper", "3A", "paper"}}}}};
}

} // namespace

std::vector<Step> makeSteps(const StepParts& p) {
    return {
        {1,
         named("&Brief"),
         named("What the shoot is for, its days and scenes, and what was metered."),
         Side::OfSetup,
         Work::Scenes,
         {{named("Brief"), "brief", placeOf<BriefView>(p.actions, p.style), {{"brief", "2A"}}}}},
        kitStep(p),
        {3,
         named("&Cadence"),
         named("What rate and shutter do to motion and to pulsed light."),
         Side::OfSetup,
         Work::Setups,
         {{named("Cadence"),
           "cadence",
           placeOf<CadenceView>(p.actions, p.style),
           {{"cadence", "3A"}}}}},
        {4,
         named("&Light"),
         named("The scene between noise and clip, and every control that moves it; white and the "
               "colours of its lights."),
         Side::OfSetup,
         Work::Setups,
         {{named("Levels"), "light", placeOf<LightView>(p.actions, p.style), {{"light", "2A"}}},
          {named("White"), "white", placeOf<WhiteView>(p.actions, p.style), {{"white", "3A"}}}}},
        {5,
         named("&Record"),
         named("What the camera can record for this scene, and what it costs."),
         Side::OfSetup,
         Work::Setups,
         {{named("Record"),
           "record",
           placeOf<RecordView>(p.actions, p.style),
           {{"record", "2B"}}}}},
        {6,
         named("&Media"),
         named("Cards, batteries and copies through each day."),
         Side::OfDay,
         Work::Days,
         {{named("Media"), "media", placeOf<MediaView>(p.days, p.style), {{"media", "4A"}}}}},
        {7,
         named("Ban&ks"),
         named("What the cameras remember, what the hand does, what is checked before rolling."),
         Side::OfBanks,
         Work::Setups,
         {{named("Banks"), "banks", placeOf<BanksView>(p.banks, p.style), {{"banks", "3A"}}}}},
        frameStep(p)};
}

} // namespace bslate::app
