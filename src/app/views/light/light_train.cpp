#include "app/views/light/light_train.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/value_block.h"
#include "core/facts/evaluate.h"
#include "core/light/metering.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <QHBoxLayout>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kThird = 1.0 / 3.0;

// The light the scene is metered at: its grey card, else its first patch.
const Patch* keyPatch(const Scene& scene) {
    for (const auto& patch : scene.patches)
        if (patch.role == PatchRole::Grey)
            return &patch;
    return scene.patches.empty() ? nullptr : &scene.patches.front();
}

Result<Stops> ndTotal(const QString& text) {
    const bool none = text.trimmed().compare(QObject::tr("none"), Qt::CaseInsensitive) == 0;
    return none ? Stops(0) : parseNdTotal(fromQt(text));
}

} // namespace

LightTrain::LightTrain(Actions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_style(style) {
    build();
    refresh();
}

void LightTrain::build() {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(9);
    const QString captions[LinkCount] = {tr("Light"),   tr("ND"),   tr("Iris"),
                                         tr("Shutter"), tr("Base"), tr("Rated")};
    const QString helps[LinkCount] = {
        tr("The grey card's reading. Type 26 cd/m2, 108 lx, 10 fc or EV 7.7: the whole scene "
           "follows. Keys K and L"),
        tr("Filters before the lens. Type ND0.9, ND8 or 3 stops; the nearest of your own filters "
           "is taken. Key N, Shift+N"),
        tr("T-stop. Type T2.8. Left and right keys"),
        tr("Type 172.8 or 1/50. Keys [ and ]"),
        tr("Base ISO of the sensor. Key B"),
        tr("Exposure index or ISO. Type 400. Up and down keys")};
    const char* names[LinkCount] = {"train-light",   "train-nd",   "train-iris",
                                    "train-shutter", "train-base", "train-rated"};
    for (int i = 0; i < LinkCount; ++i) {
        const auto link = static_cast<Link>(i);
        m_blocks[i] = new ValueBlock(
            m_style, captions[i], helps[i],
            [this, link](const QString& text) { return problemWith(link, text); }, this);
        m_blocks[i]->setObjectName(QString::fromLatin1(names[i]));
        row->addWidget(m_blocks[i]);
        wire(link);
    }
}

void LightTrain::wire(Link link) {
    auto* block = m_blocks[link];
    connect(block, &ValueBlock::stepped, this, [this, link](int steps) { step(link, steps); });
    connect(block, &ValueBlock::dragStarted, this, [this] {
        m_drag = m_actions.document().beginDrag();
        m_dragFrom = m_actions.document().value();
    });
    connect(block, &ValueBlock::draggedSteps, this, [this, link](int steps) {
        if (m_dragFrom)
            turnBy(link, steps, m_dragFrom, m_drag);
    });
    connect(block, &ValueBlock::dragEnded, this, [this] { m_dragFrom.reset(); });
    connect(block, &ValueBlock::typed, this,
            [this, link](const QString& text) { enter(link, text); });
    connect(block, &ValueBlock::refused, this, &LightTrain::refused);
}

QString LightTrain::stepName(Link link) {
    switch (link) {
    case Key:
        return tr("Change light");
    case Nd:
        return tr("Change ND");
    case Iris:
        return tr("Turn iris");
    case ShutterLink:
        return tr("Change shutter");
    case Base:
        return tr("Change base");
    default:
        return tr("Change rating");
    }
}

void LightTrain::refresh() {
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto* evaluation = document.evaluation();
    setEnabled(setup != nullptr);
    if (!setup || !evaluation) {
        for (auto* block : m_blocks)
            block->show(QStringLiteral("\u2013"), {}, false, false);
        return;
    }
    const auto& at = *evaluation;
    const auto* key = keyPatch(*document.scene());
    const auto& meter = document.shoot().meter;
    const auto payer = setup->payer;
    QString ev;
    if (key && key->reading.unit != LightUnit::EvReflected)
        ev = QStringLiteral("EV ") +
             toQt(fixedText(evOf(luminanceOf(key->reading, key->reflectance, meter), meter).value(),
                            1));
    m_blocks[Key]->show(key ? toQt(print(key->reading)) : tr("none"), ev, payer == Payer::Light,
                        false);
    const bool nd = !setup->filters.empty();
    m_blocks[Nd]->show(
        nd ? QStringLiteral("ND%1").arg(toQt(fixedText(densityOf(at.ndLoss).value(), 1)))
           : tr("none"),
        toQt(print(-at.ndLoss)), payer == Payer::Nd, false);
    m_blocks[Iris]->show(toQt(print(setup->iris)), tr("drag"), payer == Payer::Iris, false);
    const bool angle = std::holds_alternative<ShutterAngle>(setup->shutter);
    m_blocks[ShutterLink]->show(toQt(print(setup->shutter)).remove(QStringLiteral(" s")),
                                angle ? toQt(print(at.exposureTime)) : toQt(print(at.angle)), false,
                                false);
    m_blocks[Base]->show(toQt(print(at.base)), tr("ISO"), false, false);
    const bool recorded = at.iso == IsoBehaviour::Recorded;
    m_blocks[Rated]->show(
        (recorded ? QStringLiteral("ISO ") : QStringLiteral("EI ")) + toQt(print(setup->rating)),
        toQt(print(at.gain)), payer == Payer::Rating, std::abs(at.gain.value()) > 0.05);
}

void LightTrain::step(Link link, int steps) {
    turnBy(link, steps, m_actions.document().value(), 0);
}

void LightTrain::type(Link link) {
    m_blocks[link]->type();
}

void LightTrain::turnBy(Link link, int steps, const ShootDocument::Value& from, int drag) {
    const auto* setup = findSetup(*from, fromQt(m_actions.document().setupId()));
    const auto context = setup ? resolve(*from, *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    const auto go = [&](const Turn& change) {
        m_actions.turnControl(stepName(link), change, drag, from);
    };
    switch (link) {
    case Key:
        go(TurnLight{Stops(steps * kThird)});
        break;
    case Nd: {
        // Each step takes the next stack; to the right lets more light through.
        Setup stepped = *setup;
        for (int i = 0; i < std::abs(steps); ++i) {
            const auto now = resolve(*from, stepped);
            if (now)
                stepped.filters = nextStack(*now, steps > 0 ? -1 : 1);
        }
        go(TurnFilters{stepped.filters});
        break;
    }
    case Iris: {
        TStop iris = stepIris(setup->iris, steps);
        if (context->lens)
            iris = std::clamp(iris, context->lens->widest, context->lens->narrowest);
        go(TurnIris{iris});
        break;
    }
    case ShutterLink: {
        go(TurnShutter{moveShutter(context->camera->shutter, setup->shutter, Stops(steps * kThird),
                                   setup->rate)});
        break;
    }
    case Base: {
        const auto& bases = context->camera->bases;
        const auto now = std::find_if(bases.begin(), bases.end(), [&](const BaseIso& base) {
            return base.iso == context->base->iso;
        });
        const auto count = static_cast<std::ptrdiff_t>(bases.size());
        const auto next = ((now - bases.begin()) + (steps > 0 ? 1 : -1) + count) % count;
        if (count > 1)
            go(TurnBase{bases[static_cast<std::size_t>(next)].iso});
        break;
    }
    default: {
        const auto& dial = context->iso;
        go(TurnRating{std::clamp(stepRating(setup->rating, steps), dial.minimum, dial.maximum)});
    }
    }
}

const Lens* LightTrain::lensInUse() const {
    const auto* setup = m_actions.document().setup();
    return setup ? findLens(m_actions.document().shoot().kit, setup->lens) : nullptr;
}

std::optional<QString> LightTrain::problemWith(Link link, const QString& text) const {
    const auto typed = fromQt(text);
    switch (link) {
    case Key:
        return problemOf(parseLightReading(typed));
    case Nd:
        return problemOf(ndTotal(text));
    case Iris:
        return problemOf(irisOn(lensInUse(), typed));
    case ShutterLink:
        return problemOf(parseShutter(typed));
    default:
        return problemOf(parseExposureIndex(typed));
    }
}

void LightTrain::enter(Link link, const QString& text) {
    const auto typed = fromQt(text);
    auto& document = m_actions.document();
    const auto go = [&](const Turn& change) { m_actions.turnControl(stepName(link), change); };
    switch (link) {
    case Key: {
        const auto* scene = document.scene();
        const auto* key = scene ? keyPatch(*scene) : nullptr;
        if (!key)
            return;
        const auto& meter = document.shoot().meter;
        const auto reading = parseLightReading(typed).valueOr({});
        const Stops by = stopsBetween(luminanceOf(reading, key->reflectance, meter),
                                      luminanceOf(key->reading, key->reflectance, meter));
        const std::string keyId = key->id;
        // The scene follows its key by the same stops; the key keeps the unit just typed.
        m_actions.changeScene(stepName(link), toQt(scene->id), [&](Scene& changed) {
            for (auto& patch : changed.patches)
                patch.reading = patch.id == keyId ? reading : shifted(patch.reading, by);
        });
        break;
    }
    case Nd: {
        const auto context = resolve(document.shoot(), *document.setup());
        if (context)
            go(TurnFilters{stackFor(*context, ndTotal(text).valueOr(Stops(0)))});
        if (const auto label = parseNdLabel(typed); label && isUnusualFactor(*label))
            emit m_actions.refused(
                tr("%1 was taken as a factor, %2 stops. For a density write a point (ND3.0), for "
                   "stops their unit (3 stops).")
                    .arg(text.trimmed(), toQt(fixedText(lossOf(*label).value(), 1))));
        break;
    }
    case Iris:
        go(TurnIris{irisOn(lensInUse(), typed).valueOr(TStop(4))});
        break;
    case ShutterLink:
        go(TurnShutter{parseShutter(typed).valueOr(ShutterAngle(180))});
        break;
    case Base:
        go(TurnBase{parseExposureIndex(typed).valueOr(ExposureIndex(800))});
        break;
    default:
        go(TurnRating{parseExposureIndex(typed).valueOr(ExposureIndex(800))});
    }
}

void LightTrain::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(m_style.colours().muted, 1.4));
    for (int i = 0; i + 1 < LinkCount; ++i) {
        const double x = (m_blocks[i]->geometry().right() + m_blocks[i + 1]->x()) / 2.0;
        const double y = height() / 2.0;
        painter.drawPolyline(QPolygonF{{x - 2, y - 4}, {x + 2.5, y}, {x - 2, y + 4}});
    }
}

} // namespace bslate::app
