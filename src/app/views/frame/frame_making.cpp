// What the Frame step draws, and when: pictures first, then the encoder, on a thread.
#include "app/document/text.h"
#include "app/views/frame/frame_view.h"
#include "core/quantity/print.h"

#include <QLabel>

namespace bslate::app {

void FrameView::makeDrawn() {
    const auto wanted = sources();
    const auto how = shownHow();
    const bool same = wanted.size() == m_sides.size() &&
                      std::equal(wanted.begin(), wanted.end(), m_sides.begin(),
                                 [](const FrameSource& source, const Side& side) {
                                     return source == side.source && side.plain.has_value();
                                 });
    if (same)
        return m_shownIn == how ? makeCoded() : showAnew();
    m_subtitle->setText(tr("drawing \u2026"));
    m_job.start([=, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        std::vector<Side> sides;
        for (const auto& source : wanted) {
            auto drawn = control.goesOn() ? drawnFrame(source, how) : Result<DrawnFrame>(Error{});
            Side side{source, {}, {}};
            if (drawn)
                side.plain = *std::move(drawn);
            sides.push_back(std::move(side));
        }
        return [=, this] {
            m_sides = sides;
            m_shownIn = how;
            if (!imagesOf(0))
                return nothingToShow();
            makeCoded();
        };
    });
}

// The same frames under another theme or push.
void FrameView::showAnew() {
    const auto how = shownHow();
    const auto before = m_sides;
    m_job.start([=, this](const BackgroundJob::Control&) -> BackgroundJob::Then {
        auto sides = before;
        for (auto& side : sides)
            for (auto* drawn : {&side.plain, &side.coded})
                if (*drawn)
                    if (auto anew = shownAnew(side.source, how, **drawn))
                        *drawn = *std::move(anew);
        return [=, this] {
            m_sides = sides;
            m_shownIn = how;
            makeCoded();
        };
    });
}

void FrameView::makeCoded() {
    showImages();
    const bool open = std::any_of(m_sides.begin(), m_sides.end(),
                                  [](const Side& side) { return side.plain && !side.coded; });
    if (!m_codec || !open)
        return m_job.stop();
    const auto how = m_shownIn;
    const auto before = m_sides;
    m_job.start([=, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        auto sides = before;
        for (auto& side : sides) {
            if (!side.plain || side.coded)
                continue;
            auto coded = codedFrame(side.source, how, *side.plain, control.keepGoing());
            if (!coded)
                break; // nobody wants it any more
            side.coded = *std::move(coded);
        }
        return [=, this] {
            m_sides = sides;
            showImages();
        };
    });
}

void FrameView::tellProgress() {
    const auto share = m_job.progress();
    if (m_still || !share || *share <= 0 || !imagesOf(0))
        return;
    m_subtitle->setText(
        tr("through the encoder \u2026 %1 %; shown before it").arg(static_cast<int>(*share * 100)));
}

namespace {

// What stands for a codec that cannot be had, or that nobody told, is told apart from it.
QString encoderName(const CodecResult& coded) {
    const auto name = toQt(coded.standard);
    if (coded.planned == CodecStandard::Untold)
        return FrameView::tr("%1 (the kit tells no codec)").arg(name);
    if (coded.planned == CodecStandard::Mezzanine)
        return FrameView::tr("a mezzanine codec");
    return name;
}

} // namespace

QString FrameView::subtitle(const FrameImages& images) const {
    if (!images.still.isEmpty())
        return tr("%1, read as this profile records it: drag the rings onto their patches, T takes "
                  "them over as readings, Escape closes it")
            .arg(images.still);
    if (images.coded) {
        const auto kept =
            images.coded->noiseKept
                ? tr(", %1 of the noise kept").arg(toQt(print(*images.coded->noiseKept)))
                : QString();
        return tr("drawn from the patches, through the encoder:\n%1 at %2%3")
            .arg(encoderName(*images.coded), toQt(print(images.coded->rate)), kept);
    }
    const auto& side = m_sides.front();
    if (!m_codec)
        return tr("drawn from the patches, %1 bits and its chroma; the encoder is off (E)")
            .arg(images.depth.bits);
    if (!side.coded)
        return tr("drawn from the patches, %1 bits and its chroma; the encoder follows")
            .arg(images.depth.bits);
    if (side.coded->codec)
        return tr("drawn from the patches, before the codec: no encoder here for %1")
            .arg(toQt(side.coded->codec->got));
    return tr("drawn from the patches, %1 bits: raw, no codec changes it").arg(images.depth.bits);
}

QString FrameView::captionOf(const FrameImages& images, FrameLook look) const {
    auto caption = nameOf(look);
    if (look == FrameLook::Codec && !images.coded)
        caption = tr("Curve (no codec)");
    if (m_sides.size() > 1 && !m_still)
        caption = QStringLiteral("%1 %2").arg(images.number, caption);
    const bool pushed = look == FrameLook::Grade || look == FrameLook::Light;
    if (pushed && !images.push.isEmpty())
        caption = QStringLiteral("%1, %2").arg(caption, images.push);
    if (look == FrameLook::Grade && images.toLight)
        caption = tr("%1, to light %2").arg(caption, textOf(*images.toLight));
    return caption;
}

} // namespace bslate::app
