#include "app/views/white/card_white_dialog.h"

#include "app/document/text.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QFormLayout>

namespace bslate::app {
namespace {

CodeRange rangeOf(const Shoot& shoot, const QString& id) {
    const auto* setup = findSetup(shoot, fromQt(id));
    const auto* profile = setup ? findProfile(shoot.kit, setup->profile) : nullptr;
    return profile ? profile->curve.range : CodeRange::Legal;
}

} // namespace

CardWhiteDialog::CardWhiteDialog(const QString& clip, ShootDocument::Value shoot,
                                 const QString& setup, const Style& style, QWidget* parent)
    : FootageDialog(clip, rangeOf(*shoot, setup),
                    {tr("White from footage"), tr("Mark the grey card"), tr("Take it")}, style,
                    parent)
    , m_shoot(std::move(shoot))
    , m_setup(setup)
    , m_use(new QComboBox) {
    setObjectName(QStringLiteral("card-white-dialog"));
    m_use->setObjectName(QStringLiteral("card-white-use"));
    m_use->addItem(tr("the white of this setup"));
    m_use->addItem(tr("the colour of the scene's key light"));
    m_use->setAccessibleName(tr("What it is taken as"));
    form().addRow(tr("Take it &as"), m_use);
}

CardWhiteDialog::Use CardWhiteDialog::use() const {
    return static_cast<Use>(m_use->currentIndex());
}

void CardWhiteDialog::found(const ClipFacts&, const io::ReadRegion& region) {
    m_white.reset();
    const auto* setup = findSetup(*m_shoot, fromQt(m_setup));
    const auto context = setup ? resolve(*m_shoot, *setup) : Result<SetupContext>(Error{});
    const auto plateaus = plateausOf(region.frames);
    const auto longest = longestOf(plateaus);
    if (!context || !longest)
        return tell(tr("The card's light is not held for three frames here."), false);
    const auto white = whiteFromCard(*context, evaluate(*context), longest->channels);
    if (!white)
        return tell(messageOf(white.error()), false);
    m_white = *white;
    tell(tr("The light on it is %1. Recorded at the white of setup %2 its red stands %3 and its "
            "blue %4 stop off its green; %5 makes it neutral.")
             .arg(toQt(print(white->light)), toQt(setup->number), toQt(print(white->off[0])),
                  toQt(print(white->off[2])), toQt(print(context->camera->white, white->set))),
         true);
}

} // namespace bslate::app
