#include "app/views/media/pack_card.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"

namespace bslate::app {
namespace {

QString onCard(const char* text) {
    return QCoreApplication::translate("PackCard", text);
}

QString headingOf(PackKind kind) {
    const ByEnum<PackKind, QString> names{onCard("Cameras"), onCard("Lenses"),    onCard("Filters"),
                                          onCard("Cards"),   onCard("Batteries"), onCard("Readers"),
                                          onCard("Drives"),  onCard("Chargers")};
    return names[kind];
}

} // namespace

Card packCardOf(const Shoot& shoot, const PackList& list) {
    Card card;
    card.heading = fromQt(onCard("To pack: %1").arg(toQt(shoot.title)));
    card.place = fromQt(onCard("For %1 planned days. Tick off before leaving.").arg(list.days));
    std::optional<PackKind> kind;
    for (const auto& row : list.rows) {
        if (kind != row.kind)
            card.lists.push_back({fromQt(headingOf(row.kind)), {}});
        kind = row.kind;
        const QString missing =
            row.needed > row.owned ? onCard("%1 missing").arg(row.needed - row.owned) : QString();
        card.lists.back().lines.push_back("[ ] " + std::to_string(row.needed) + "\t" + row.name +
                                          "\t" + fromQt(onCard("of %1").arg(row.owned)) + "\t" +
                                          fromQt(missing));
    }
    CardList labels{fromQt(onCard("Labels for the cards")), {}};
    for (const auto& label : list.labels) {
        labels.lines.push_back(label.label + "\t" + label.name);
        for (const auto& where : label.where)
            labels.lines.push_back("\t" + where);
    }
    if (!labels.lines.empty())
        card.lists.push_back(std::move(labels));
    card.safety = {
        fromQt(onCard("Lithium cells: no swollen or dropped ones; charge on a surface that "
                      "does not burn, never unattended; contacts covered in the bag."))};
    for (const auto& name : list.overAirLimit)
        card.safety.push_back(
            fromQt(onCard("%1: over 100 Wh, ask the airline before flying.").arg(toQt(name))));
    return card;
}

} // namespace bslate::app
