#include "app/views/body_test/series_card.h"

#include "app/document/text.h"
#include "core/base/find_by_id.h"
#include "core/quantity/print.h"

namespace bslate::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("SeriesCard", text);
}

std::string filterNames(const SeriesStep& step, const std::vector<Filter>& filters) {
    std::string names;
    for (const auto& id : step.filters)
        if (const auto* filter = findById(filters, id))
            names += (names.empty() ? "" : " + ") + filter->name;
    return names.empty() ? fromQt(tr("no ND")) : names;
}

} // namespace

Card seriesCard(const SeriesPlan& plan, const Kit& kit, const Camera& camera,
                const Profile& profile) {
    Card card;
    card.heading = fromQt(tr("Exposure series: %1").arg(toQt(camera.name)));
    card.place = fromQt(tr("%1, base %2. Grey card evenly lit, lens a little out of focus.")
                            .arg(toQt(profile.name), toQt(print(plan.base))));
    card.dials.rows = {
        {DialInField::Camera, named(camera.name)},
        {DialInField::Profile, named(profile.name)},
        {DialInField::Base, {"dial-iso", {{"ei", plan.base}}}},
        {DialInField::Rate, {"dial-rate", {{"rate", plan.rate}}}},
        {DialInField::White, named(fromQt(tr("preset, as the lamp; never automatic")))}};
    const auto filters = filtersFor(kit, camera);
    CardList frames{fromQt(tr("Frames, in this order: stop, shutter, iris, ND")), {}};
    int number = 1;
    for (const auto& step : plan.steps) {
        const auto shutter = std::holds_alternative<ShutterAngle>(step.shutter)
                                 ? print(std::get<ShutterAngle>(step.shutter))
                                 : print(std::get<Seconds>(step.shutter));
        frames.lines.push_back(std::to_string(number++) + "\t" + fixedText(step.given.value(), 2) +
                               "\t" + shutter + "\t" + print(step.iris) + "\t" +
                               filterNames(step, filters) + "\t" +
                               (step.reference ? fromQt(tr("reference")) : std::string()));
    }
    card.lists.push_back(std::move(frames));
    const auto cardReading =
        roundedReading(LightReading{plan.card.value(), LightUnit::CandelaPerM2});
    const auto lightReading = roundedReading(LightReading{plan.light.value(), LightUnit::Lux});
    card.lists.push_back(
        {fromQt(tr("How")),
         {fromQt(tr("Light the card until a spot meter reads %1 from it, about %2 falling on it; "
                    "then leave the lamp alone.")
                     .arg(toQt(print(cardReading)), toQt(print(lightReading)))),
          fromQt(tr("Everything automatic off, sharpening and noise reduction at their least.")),
          fromQt(tr("The reference frames must read the same; if not, the light drifted: start "
                    "again.")),
          fromQt(tr("Read the middle of the card on the recorded file, each channel, and its "
                    "standard deviation as noise.")),
          fromQt(tr("Lamps get hot and stands fall: let them cool, weigh them down."))}});
    return card;
}

} // namespace bslate::app
