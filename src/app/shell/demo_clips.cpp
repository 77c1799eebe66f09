#include "app/shell/demo_clips.h"

#include "app/document/text.h"
#include "app/shell/main_window.h"
#include "core/facts/evaluate.h"
#include "io/codec/clip_make.h"
#include "io/system/files.h"

#include <QTemporaryDir>

namespace bslate::app {
namespace {

struct DemoClip {
    const char* file;
    const char* setup; ///< its number
    std::optional<FrameRate> rate;
    std::vector<Stops> steps;
};

std::vector<DemoClip> demoClips() {
    return {{"2A_take1.mov", "2A", std::nullopt, {}},
            {"2A_take2.mov", "2A", FrameRate{Rational(25, 1)}, {}},
            {"3A_take1.mov", "3A", std::nullopt, {}}};
}

} // namespace

QStringList makeDemoClips(MainWindow& window, const QTemporaryDir& folder) {
    QStringList made;
    const auto value = window.document().value();
    for (const auto& clip : demoClips())
        for (const auto& setup : value->setups) {
            const auto context =
                setup.number == clip.setup ? resolve(*value, setup) : Result<SetupContext>(Error{});
            if (!context)
                continue;
            MadeClipWish wish;
            wish.size = {640, 360};
            wish.length = Seconds(3);
            wish.rate = clip.rate;
            wish.steps = clip.steps;
            wish.tone = Decibels(-20);
            const auto bytes = io::makeClip(*context, evaluate(*context), wish);
            const QString path = folder.filePath(QString::fromLatin1(clip.file));
            if (bytes && io::writeFileAtomically(fromQt(path), *bytes))
                made << path;
        }
    return made;
}

} // namespace bslate::app
