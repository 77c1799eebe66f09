// Every control of every demo setup turned, whoever pays: what must hold afterwards, whatever was
// turned.
#include "app/document/actions.h"
#include "app/document/file_keeper.h"
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "core/words/wording.h"
#include "io/json/shoot_json.h"

#include <QSettings>
#include <QTemporaryDir>

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate::app {
namespace {

struct Control {
    const char* name;
    std::function<Turn(const Setup&, const SetupContext&)> how;
};

const Control kTurns[] = {
    {"iris closes",
     [](const Setup& s, const SetupContext&) { return TurnIris{stepIris(s.iris, 1)}; }},
    {"iris opens",
     [](const Setup& s, const SetupContext&) { return TurnIris{stepIris(s.iris, -1)}; }},
    {"rating up",
     [](const Setup& s, const SetupContext&) {
         return TurnRating{ExposureIndex(s.rating.value() * std::exp2(1.0 / 3))};
     }},
    {"rating down",
     [](const Setup& s, const SetupContext&) {
         return TurnRating{ExposureIndex(s.rating.value() * 0.5)};
     }},
    {"other base",
     [](const Setup&, const SetupContext& c) { return TurnBase{c.camera->bases.back().iso}; }},
    {"quarter of the frame",
     [](const Setup&, const SetupContext&) { return TurnShutter{ShutterAngle(90)}; }},
    {"longest shutter",
     [](const Setup&, const SetupContext&) { return TurnShutter{ShutterAngle(360)}; }},
    {"fastest rate",
     [](const Setup&, const SetupContext& c) { return TurnRate{c.mode->rates.back().rate}; }},
    {"more light", [](const Setup&, const SetupContext&) { return TurnLight{Stops(3)}; }},
    {"hardly any light", [](const Setup&, const SetupContext&) { return TurnLight{Stops(-9)}; }},
    {"no filter", [](const Setup&, const SetupContext&) { return TurnFilters{{}}; }},
};

class Sweep : public ::testing::Test {
protected:
    Sweep()
        : m_settings(m_folder.filePath(QStringLiteral("s.ini")), QSettings::IniFormat)
        , m_files(document, m_settings, m_folder.path()) {
        EXPECT_TRUE(m_files.openDemo().ok());
    }

    // No sentence contradicts a number that is shown beside it.
    void judgedAsItIs(const bslate::Setup& setup, const std::string& where) {
        const auto& verdict = *document.verdict();
        ASSERT_TRUE(verdict.evaluation) << where;
        bool lost = false;
        for (const auto& patch : verdict.evaluation->patches) {
            const bool clips = verdict.find("patch-clipped:" + patch.id);
            const bool drowns = verdict.find("patch-in-noise:" + patch.id);
            if (patch.role != PatchRole::Spare) {
                EXPECT_EQ(clips, patch.state == PatchState::Clipped) << where << patch.id;
                lost = lost || isLost(patch);
            }
            EXPECT_FALSE(clips && drowns) << where << patch.id;
            EXPECT_EQ(patch.headroom < Stops(0), patch.state == PatchState::Clipped);
        }
        EXPECT_FALSE(lost && verdict.find("scene-fits")) << where;
        EXPECT_FALSE(verdict.find("skin-above") && verdict.find("skin-below")) << where;
        EXPECT_FALSE(verdict.find("rated-over") && verdict.find("rated-under")) << where;
        EXPECT_FALSE(verdict.find("nd-needed") && verdict.find("light-short")) << where;
        const auto fresh = judge(document.shoot(), setup);
        EXPECT_EQ(fresh.evaluation, verdict.evaluation) << where;
        ASSERT_EQ(fresh.findings.size(), verdict.findings.size()) << where;
        for (std::size_t i = 0; i < fresh.findings.size(); ++i)
            EXPECT_EQ(fresh.findings[i].key(), verdict.findings[i].key()) << where;
        // What a button would do is as good as it says.
        for (const auto& finding : verdict.findings)
            for (const auto& remedy : finding.remedies) {
                if (!remedy.edit.setup)
                    continue;
                const auto after = applied(document.shoot(), remedy.edit);
                const auto at = evaluate(after, *findSetup(after, setup.id));
                ASSERT_TRUE(at.ok()) << where << finding.key();
                if (const auto* top = brightest(*at); top && !remedy.effect)
                    EXPECT_EQ(top->headroom, remedy.highlights) << where << finding.key();
            }
    }

    QTemporaryDir m_folder;
    QSettings m_settings;
    ShootDocument document;
    FileKeeper m_files;
    Actions actions{document};
};

TEST_F(Sweep, EveryControlOfEverySetupWhoeverPays) {
    int turned = 0;
    const Shoot demo = document.shoot();
    for (const auto& start : demo.setups)
        for (const auto payer :
             {Payer::Nd, Payer::Iris, Payer::Light, Payer::Rating, Payer::Nobody}) {
            document.select(QString::fromStdString(start.id));
            actions.setPayer(payer);
            for (const auto& turn : kTurns) {
                const Shoot before = document.shoot();
                const bslate::Setup setup = *document.setup();
                const auto context = resolve(before, setup);
                ASSERT_TRUE(context.ok());
                const int steps = document.undoStack().index();
                actions.turnControl("turn", turn.how(setup, *context));
                const std::string where = setup.number + ", " + turn.name + ", " +
                                          std::string(bslate::nameOf(payer)) + ": ";
                if (document.undoStack().index() == steps)
                    continue; // refused, or nothing to turn
                ++turned;
                judgedAsItIs(*document.setup(), where);
                const auto read = io::readShoot(io::writeShoot(document.shoot()), "sweep",
                                                std::filesystem::path(BSLATE_ROOT) / "data/demo");
                ASSERT_TRUE(read.ok()) << where << message(read.error());
                EXPECT_EQ(*read, document.shoot()) << where;
                document.undoStack().undo();
                EXPECT_EQ(document.shoot(), before) << where;
            }
            while (document.undoStack().canUndo())
                document.undoStack().undo();
            ASSERT_EQ(document.shoot(), demo);
        }
    EXPECT_GT(turned, 250) << "the sweep turned too little to mean anything";
}

} // namespace
} // namespace bslate::app
