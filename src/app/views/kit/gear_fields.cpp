#include "app/views/kit/gear_fields.h"

#include "app/document/text.h"
#include "core/base/find_by_id.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

namespace bslate::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("GearFields", text);
}

std::optional<QString> named(const QString& text) {
    return text.trimmed().isEmpty() ? std::optional(tr("A name people know it by.")) : std::nullopt;
}

// Builds the fields of one item: each sets a member from a text its parser accepts.
template<class Item>
struct Builder {
    std::vector<Item> Kit::*list;
    std::string id;
    std::vector<GearField> fields;

    void name(const Item& item) {
        const auto where = list;
        const auto which = id;
        fields.push_back({tr("Name"), toQt(item.name), named, [=](Kit& kit, const QString& text) {
                              findById(kit.*where, which)->name = fromQt(text.trimmed());
                          }});
    }

    // `set` receives the parsed value; `wrong` may refuse it with a message.
    template<class Q, class Set>
    void field(const char* label, const std::string& text, Result<Q> (*parse)(std::string_view),
               Set set, std::function<std::optional<QString>(const Q&)> wrong = {}) {
        const auto where = list;
        const auto which = id;
        fields.push_back({tr(label), toQt(text),
                          [=](const QString& typed) -> std::optional<QString> {
                              const auto value = parse(fromQt(typed));
                              if (!value)
                                  return messageOf(value.error());
                              return wrong ? wrong(*value) : std::nullopt;
                          },
                          [=](Kit& kit, const QString& typed) {
                              if (const auto value = parse(fromQt(typed)))
                                  set(*findById(kit.*where, which), *value);
                          }});
    }
};

Result<int> parseCount(std::string_view text) {
    int count = 0;
    for (const char c : text) {
        if (c < '0' || c > '9' || count > 9999)
            return Error{ErrorCode::NotANumber,
                         {},
                         {},
                         std::string(text),
                         "how many you have, from 0 to 9999"};
        count = count * 10 + (c - '0');
    }
    if (text.empty() || count > 9999)
        return Error{
            ErrorCode::NotANumber, {}, {}, std::string(text), "how many you have, from 0 to 9999"};
    return count;
}

Result<SpeedClass> parseClass(std::string_view text) {
    for (const auto& known : speedClasses())
        if (toQt(known.name).compare(toQt(text).trimmed(), Qt::CaseInsensitive) == 0)
            return known;
    return Error{ErrorCode::UnknownId,
                 {},
                 {},
                 std::string(text),
                 "a class such as C10, U3, V60, V90 or VPG400"};
}

Result<Bus> parseBus(std::string_view text) {
    std::string names;
    for (const auto& known : buses()) {
        if (toQt(known.name).compare(toQt(text).trimmed(), Qt::CaseInsensitive) == 0)
            return known;
        names += (names.empty() ? "one of " : ", ") + std::string(known.name);
    }
    return Error{ErrorCode::UnknownId, {}, {}, std::string(text), names};
}

std::string percent(double share) {
    return print(Fraction(share));
}

Result<Fraction> parseShare(std::string_view text) {
    const auto share = parseFraction(text);
    if (share && share->value() >= 0.01)
        return share;
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), "a share from 1 % to 100 %"};
}

Result<int> parseBays(std::string_view text) {
    const auto count = parseCount(text);
    if (count && *count >= 1 && *count <= 100)
        return count;
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), "bays from 1 to 100"};
}

Result<Watts> parsePower(std::string_view text) {
    const auto power = parseWatts(text);
    if (power && power->value() > 0)
        return power;
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), "watts a bay, above 0: 45 W"};
}

// "SD, CFexpress B": forms a reader takes.
Result<std::vector<CardForm>> parseForms(std::string_view text) {
    std::vector<CardForm> forms;
    for (const auto& word : toQt(text).split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        std::optional<CardForm> found;
        for (const auto form : {CardForm::Sd, CardForm::CfExpressA, CardForm::CfExpressB,
                                CardForm::CfExpressC, CardForm::CFast})
            if (toQt(nameOf(form)).compare(word.trimmed(), Qt::CaseInsensitive) == 0)
                found = form;
        if (!found)
            return Error{ErrorCode::UnknownId,
                         {},
                         {},
                         fromQt(word.trimmed()),
                         "SD, CFexpress A, CFexpress B, CFexpress C or CFast"};
        forms.push_back(*found);
    }
    return forms;
}

std::vector<GearField> lensFields(const Lens& lens) {
    Builder<Lens> b{&Kit::lenses, lens.id, {}};
    b.name(lens);
    const auto number = [](auto value, bool known) { return known ? print(value) : std::string(); };
    b.field<Millimetres>("Shortest focal length", number(lens.shortest, lens.shortest.value() > 0),
                         parseMillimetres, [](Lens& l, Millimetres f) {
                             l.shortest = f;
                             l.longest = std::max(l.longest, f);
                         });
    b.field<Millimetres>("Longest focal length", number(lens.longest, lens.longest.value() > 0),
                         parseMillimetres, [](Lens& l, Millimetres f) {
                             l.longest = f;
                             l.shortest = l.shortest.value() > 0 ? std::min(l.shortest, f) : f;
                         });
    b.field<TStop>("Widest T-stop", print(lens.widest), parseTStop, [](Lens& l, TStop t) {
        l.widest = t;
        l.narrowest = std::max(l.narrowest, t);
    });
    b.field<TStop>("Narrowest T-stop", print(lens.narrowest), parseTStop, [](Lens& l, TStop t) {
        l.narrowest = t;
        l.widest = std::min(l.widest, t);
    });
    b.field<FNumber>("f-number at the widest", lens.wideF ? print(*lens.wideF) : std::string(),
                     parseFNumber, [](Lens& l, FNumber f) { l.wideF = f; });
    b.field<Metres>("Closest focus", lens.closest ? print(*lens.closest) : std::string(),
                    parseMetres, [](Lens& l, Metres m) { l.closest = m; });
    return std::move(b.fields);
}

std::vector<GearField> filterFields(const Filter& filter) {
    Builder<Filter> b{&Kit::filters, filter.id, {}};
    b.name(filter);
    b.field<NdLabel>("Loss (ND0.9, ND8 or 3 stops)", print(filter.label), parseNdLabel,
                     [](Filter& f, NdLabel label) { f.label = label; });
    b.fields.push_back({tr("Cuts infrared (yes or no)"), filter.irCut ? tr("yes") : tr("no"),
                        [](const QString& text) -> std::optional<QString> {
                            const QString word = text.trimmed().toLower();
                            return word == tr("yes") || word == tr("no")
                                       ? std::nullopt
                                       : std::optional(tr("yes or no"));
                        },
                        [id = filter.id](Kit& kit, const QString& text) {
                            findById(kit.filters, id)->irCut =
                                text.trimmed().toLower() == tr("yes");
                        }});
    return std::move(b.fields);
}

std::vector<GearField> cardFields(const MemoryCard& card) {
    Builder<MemoryCard> b{&Kit::cards, card.id, {}};
    b.name(card);
    b.field<DataSize>("Capacity", print(card.capacity), parseDataSize,
                      [](MemoryCard& c, DataSize size) { c.capacity = size; });
    b.field<SpeedClass>("Guaranteed class", card.speedClass, parseClass,
                        [](MemoryCard& c, SpeedClass speed) { c.speedClass = speed.name; });
    b.field<Bus>("Bus", card.bus, parseBus, [](MemoryCard& c, Bus bus) {
        c.bus = bus.name;
        c.form = bus.form;
    });
    b.field<Fraction>("Usable share", percent(card.usable), parseShare,
                      [](MemoryCard& c, Fraction share) { c.usable = share.value(); });
    b.field<DataRate>("Reads at", card.read ? printBytes(*card.read) : std::string(), parseDataRate,
                      [](MemoryCard& c, DataRate rate) { c.read = rate; });
    b.field<int>("How many", std::to_string(card.count), parseCount,
                 [](MemoryCard& c, int count) { c.count = count; });
    return std::move(b.fields);
}

std::vector<GearField> batteryFields(const Battery& battery) {
    Builder<Battery> b{&Kit::batteries, battery.id, {}};
    b.name(battery);
    b.field<WattHours>("Energy", print(battery.energy), parseWattHours,
                       [](Battery& x, WattHours energy) { x.energy = energy; });
    b.field<Fraction>("Usable until the camera stops", percent(battery.usable), parseShare,
                      [](Battery& x, Fraction share) { x.usable = share.value(); });
    b.field<Fraction>("Health left by age", percent(battery.health), parseShare,
                      [](Battery& x, Fraction share) { x.health = share.value(); });
    b.field<int>("How many", std::to_string(battery.count), parseCount,
                 [](Battery& x, int count) { x.count = count; });
    return std::move(b.fields);
}

std::vector<GearField> readerFields(const CardReader& reader) {
    Builder<CardReader> b{&Kit::readers, reader.id, {}};
    b.name(reader);
    std::string forms;
    for (const auto form : reader.forms)
        forms += (forms.empty() ? "" : ", ") + std::string(nameOf(form));
    b.field<std::vector<CardForm>>(
        "Takes", forms, parseForms,
        [](CardReader& r, const std::vector<CardForm>& all) { r.forms = all; });
    b.field<DataRate>("To the computer", printBytes(reader.bus), parseDataRate,
                      [](CardReader& r, DataRate rate) { r.bus = rate; });
    b.field<int>("How many", std::to_string(reader.count), parseCount,
                 [](CardReader& r, int count) { r.count = count; });
    return std::move(b.fields);
}

std::vector<GearField> driveFields(const Drive& drive) {
    Builder<Drive> b{&Kit::drives, drive.id, {}};
    b.name(drive);
    b.field<DataSize>("Capacity", print(drive.capacity), parseDataSize,
                      [](Drive& d, DataSize size) { d.capacity = size; });
    b.field<DataRate>("Writes at", printBytes(drive.write), parseDataRate,
                      [](Drive& d, DataRate rate) { d.write = rate; });
    b.field<DataRate>("Reads at", printBytes(drive.read), parseDataRate,
                      [](Drive& d, DataRate rate) { d.read = rate; });
    b.field<int>("How many", std::to_string(drive.count), parseCount,
                 [](Drive& d, int count) { d.count = count; });
    return std::move(b.fields);
}

std::vector<GearField> chargerFields(const Charger& charger) {
    Builder<Charger> b{&Kit::chargers, charger.id, {}};
    b.name(charger);
    b.field<int>("Bays", std::to_string(charger.bays), parseBays,
                 [](Charger& c, int bays) { c.bays = bays; });
    b.field<Watts>("Power of a bay", print(charger.power), parsePower,
                   [](Charger& c, Watts power) { c.power = power; });
    b.field<int>("How many", std::to_string(charger.count), parseCount,
                 [](Charger& c, int count) { c.count = count; });
    return std::move(b.fields);
}

} // namespace

std::vector<GearField> fieldsOf(const Kit& kit, GearKind kind, const QString& id) {
    const std::string wanted = fromQt(id);
    switch (kind) {
    case GearKind::Lens:
        if (const auto* lens = findById(kit.lenses, wanted))
            return lensFields(*lens);
        break;
    case GearKind::Filter:
        if (const auto* filter = findById(kit.filters, wanted))
            return filterFields(*filter);
        break;
    case GearKind::Card:
        if (const auto* card = findById(kit.cards, wanted))
            return cardFields(*card);
        break;
    case GearKind::Battery:
        if (const auto* battery = findById(kit.batteries, wanted))
            return batteryFields(*battery);
        break;
    case GearKind::Reader:
        if (const auto* reader = findById(kit.readers, wanted))
            return readerFields(*reader);
        break;
    case GearKind::Drive:
        if (const auto* drive = findById(kit.drives, wanted))
            return driveFields(*drive);
        break;
    case GearKind::Charger:
        if (const auto* charger = findById(kit.chargers, wanted))
            return chargerFields(*charger);
        break;
    case GearKind::Camera:
        break;
    }
    return {};
}

std::vector<std::pair<QString, QString>> itemsOf(const Kit& kit, GearKind kind) {
    std::vector<std::pair<QString, QString>> items;
    const auto list = [&](const auto& all) {
        for (const auto& item : all)
            items.emplace_back(toQt(item.id), toQt(item.name));
    };
    switch (kind) {
    case GearKind::Camera:
        list(kit.cameras);
        break;
    case GearKind::Lens:
        list(kit.lenses);
        break;
    case GearKind::Filter:
        list(kit.filters);
        break;
    case GearKind::Card:
        list(kit.cards);
        break;
    case GearKind::Battery:
        list(kit.batteries);
        break;
    case GearKind::Reader:
        list(kit.readers);
        break;
    case GearKind::Drive:
        list(kit.drives);
        break;
    case GearKind::Charger:
        list(kit.chargers);
        break;
    }
    return items;
}

} // namespace bslate::app
