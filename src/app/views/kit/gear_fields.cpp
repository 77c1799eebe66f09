#include "app/views/kit/gear_fields.h"

#include "app/document/field_label.h"
#include "app/document/text.h"
#include "core/base/find_by_id.h"
#include "core/kit/gear_fields.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include <QLocale>

#include <algorithm>
#include <charconv>
#include <cmath>

namespace bslate::app {
namespace {

QString inFields(const char* text) {
    return QCoreApplication::translate("GearFields", text);
}

std::optional<QString> named(const QString& text) {
    return text.trimmed().isEmpty() ? std::optional(inFields("A name people know it by."))
                                    : std::nullopt;
}

Result<int> parseWhole(std::string_view text, int low, int high, const std::string& what) {
    int value = 0;
    const auto end = text.data() + text.size();
    const auto read = std::from_chars(text.data(), end, value);
    if (read.ec == std::errc() && read.ptr == end && value >= low && value <= high)
        return value;
    return Error{ErrorCode::NotANumber,
                 {},
                 {},
                 std::string(text),
                 what + " from " + std::to_string(low) + " to " + std::to_string(high)};
}

// How many there may be of an item beside all others of its kind.
template<class Item>
int roomFor(const Kit& kit, std::vector<Item> Kit::*list, const Item& item) {
    int others = 0;
    for (const auto& other : kit.*list)
        others += other.id == item.id ? 0 : other.count;
    return std::max(0, kMostUnits - others);
}

// Builds the fields of one item: each sets a member from a text its parser accepts.
template<class Item>
struct Builder {
    std::vector<Item> Kit::*list;
    std::string id;
    std::vector<GearField> fields;

    void whole(const char* key, int Item::*member, const Item& item, int low, int high,
               const char* what) {
        const auto where = list;
        const auto which = id;
        const auto parsed = [=](const QString& typed) {
            return parseWhole(fromQt(typed.trimmed()), low, high, what);
        };
        fields.push_back({fieldLabel<Item>(key), QString::number(item.*member),
                          [=](const QString& typed) -> std::optional<QString> {
                              const auto value = parsed(typed);
                              return value ? std::nullopt : std::optional(messageOf(value.error()));
                          },
                          [=](Kit& kit, const QString& typed) {
                              if (const auto value = parsed(typed))
                                  findById(kit.*where, which)->*member = *value;
                          }});
    }
    void count(const Item& item, int most) {
        whole("count", &Item::count, item, 0, most, "how many you have,");
    }

    void name(const Item& item) {
        const auto where = list;
        const auto which = id;
        fields.push_back(
            {fieldLabel<Item>("name"), toQt(item.name), named, [=](Kit& kit, const QString& text) {
                 findById(kit.*where, which)->name = fromQt(text.trimmed());
             }});
    }

    // `set` receives the parsed value; `wrong` may refuse it with a message.
    template<class Q, class Set>
    void field(const char* key, const std::string& text, Result<Q> (*parse)(std::string_view),
               Set set, std::function<std::optional<QString>(const Q&)> wrong = {}) {
        const auto where = list;
        const auto which = id;
        fields.push_back({fieldLabel<Item>(key), toQt(text),
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
    auto share = parseFraction(text);
    if (share && share->value() >= 0.01)
        return share;
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), "a share from 1 % to 100 %"};
}

Result<Watts> parsePower(std::string_view text) {
    auto power = parseWatts(text);
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
    b.field<Millimetres>("shortest", number(lens.shortest, lens.shortest.value() > 0),
                         parseMillimetres, [](Lens& l, Millimetres f) {
                             l.shortest = f;
                             l.longest = std::max(l.longest, f);
                         });
    b.field<Millimetres>("longest", number(lens.longest, lens.longest.value() > 0),
                         parseMillimetres, [](Lens& l, Millimetres f) {
                             l.longest = f;
                             l.shortest = l.shortest.value() > 0 ? std::min(l.shortest, f) : f;
                         });
    b.field<TStop>("widest", print(lens.widest), parseTStop, [](Lens& l, TStop t) {
        l.widest = t;
        l.narrowest = std::max(l.narrowest, t);
    });
    b.field<TStop>("narrowest", print(lens.narrowest), parseTStop, [](Lens& l, TStop t) {
        l.narrowest = t;
        l.widest = std::min(l.widest, t);
    });
    b.field<FNumber>("widest_f", lens.wideF ? print(*lens.wideF) : std::string(), parseFNumber,
                     [](Lens& l, FNumber f) { l.wideF = f; });
    b.field<Metres>("closest", lens.closest ? print(*lens.closest) : std::string(), parseMetres,
                    [](Lens& l, Metres m) { l.closest = m; });
    return std::move(b.fields);
}

template<class Q>
Result<Q> parseShift(std::string_view text, double most, const char* expected) {
    auto number = toQt(text).trimmed();
    number.remove(QStringLiteral("mired"), Qt::CaseInsensitive);
    bool read = false;
    const double value = QLocale::c().toDouble(number.trimmed(), &read);
    if (read && std::abs(value) <= most)
        return Q(value);
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), expected};
}

Result<Mired> parseMiredShift(std::string_view text) {
    return parseShift<Mired>(text, 500, "a shift in mired from -500 to 500; above 0 warms");
}
Result<Duv> parseDuvShift(std::string_view text) {
    return parseShift<Duv>(text, 0.05, "a shift in Duv from -0.05 to 0.05; above 0 greens");
}

std::vector<GearField> filterFields(const Filter& filter) {
    Builder<Filter> b{&Kit::filters, filter.id, {}};
    b.name(filter);
    b.field<NdLabel>("loss", print(filter.label), parseNdLabel,
                     [](Filter& f, NdLabel label) { f.label = label; });
    b.fields.push_back({inFields("%1 (yes or no)").arg(fieldLabel<Filter>("ir_cut")),
                        filter.irCut ? inFields("yes") : inFields("no"),
                        [](const QString& text) -> std::optional<QString> {
                            const QString word = text.trimmed().toLower();
                            return word == inFields("yes") || word == inFields("no")
                                       ? std::nullopt
                                       : std::optional(inFields("yes or no"));
                        },
                        [id = filter.id](Kit& kit, const QString& text) {
                            findById(kit.filters, id)->irCut =
                                text.trimmed().toLower() == inFields("yes");
                        }});
    b.field<Mired>("shift_mired", exact(filter.shift.mired.value()), parseMiredShift,
                   [](Filter& f, Mired shift) { f.shift.mired = shift; });
    b.field<Duv>("shift_duv", exact(filter.shift.duv.value()), parseDuvShift,
                 [](Filter& f, Duv shift) { f.shift.duv = shift; });
    return std::move(b.fields);
}

std::vector<GearField> gelFields(const Gel& gel) {
    Builder<Gel> b{&Kit::gels, gel.id, {}};
    b.name(gel);
    b.field<Mired>("shift_mired", exact(gel.shift.value()), parseMiredShift,
                   [](Gel& g, Mired shift) { g.shift = shift; });
    b.field<Duv>("shift_duv", exact(gel.duv.value()), parseDuvShift,
                 [](Gel& g, Duv shift) { g.duv = shift; });
    b.field<Fraction>("transmission", print(gel.transmission), parseShare,
                      [](Gel& g, Fraction share) { g.transmission = share; });
    return std::move(b.fields);
}

std::vector<GearField> cardFields(const MemoryCard& card, int most) {
    Builder<MemoryCard> b{&Kit::cards, card.id, {}};
    b.name(card);
    b.field<DataSize>("capacity", print(card.capacity), parseDataSize,
                      [](MemoryCard& c, DataSize size) { c.capacity = size; });
    b.field<SpeedClass>("speed_class", card.speedClass, parseClass,
                        [](MemoryCard& c, SpeedClass speed) { c.speedClass = speed.name; });
    b.field<Bus>("bus", card.bus, parseBus, [](MemoryCard& c, Bus bus) {
        c.bus = bus.name;
        c.form = bus.form;
    });
    b.field<Fraction>("usable", percent(card.usable), parseShare,
                      [](MemoryCard& c, Fraction share) { c.usable = share.value(); });
    b.field<DataRate>("read", card.read ? printBytes(*card.read) : std::string(), parseDataRate,
                      [](MemoryCard& c, DataRate rate) { c.read = rate; });
    b.count(card, most);
    return std::move(b.fields);
}

std::vector<GearField> batteryFields(const Battery& battery, int most) {
    Builder<Battery> b{&Kit::batteries, battery.id, {}};
    b.name(battery);
    b.field<WattHours>("energy", print(battery.energy), parseWattHours,
                       [](Battery& x, WattHours energy) { x.energy = energy; });
    b.field<Fraction>("usable", percent(battery.usable), parseShare,
                      [](Battery& x, Fraction share) { x.usable = share.value(); });
    b.field<Fraction>("health", percent(battery.health), parseShare,
                      [](Battery& x, Fraction share) { x.health = share.value(); });
    b.count(battery, most);
    return std::move(b.fields);
}

std::vector<GearField> readerFields(const CardReader& reader) {
    Builder<CardReader> b{&Kit::readers, reader.id, {}};
    b.name(reader);
    std::string forms;
    for (const auto form : reader.forms)
        forms += (forms.empty() ? "" : ", ") + std::string(nameOf(form));
    b.field<std::vector<CardForm>>(
        "forms", forms, parseForms,
        [](CardReader& r, const std::vector<CardForm>& all) { r.forms = all; });
    b.field<DataRate>("bus", printBytes(reader.bus), parseDataRate,
                      [](CardReader& r, DataRate rate) { r.bus = rate; });
    b.count(reader, kFew.high);
    return std::move(b.fields);
}

std::vector<GearField> driveFields(const Drive& drive) {
    Builder<Drive> b{&Kit::drives, drive.id, {}};
    b.name(drive);
    b.field<DataSize>("capacity", print(drive.capacity), parseDataSize,
                      [](Drive& d, DataSize size) { d.capacity = size; });
    b.field<DataRate>("write", printBytes(drive.write), parseDataRate,
                      [](Drive& d, DataRate rate) { d.write = rate; });
    b.field<DataRate>("read", printBytes(drive.read), parseDataRate,
                      [](Drive& d, DataRate rate) { d.read = rate; });
    b.count(drive, kFew.high);
    return std::move(b.fields);
}

std::vector<GearField> chargerFields(const Charger& charger) {
    Builder<Charger> b{&Kit::chargers, charger.id, {}};
    b.name(charger);
    b.whole("bays", &Charger::bays, charger, 1, 100, "bays");
    b.field<Watts>("power", print(charger.power), parsePower,
                   [](Charger& c, Watts power) { c.power = power; });
    b.count(charger, kFew.high);
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
    case GearKind::Gel:
        if (const auto* gel = findById(kit.gels, wanted))
            return gelFields(*gel);
        break;
    case GearKind::Card:
        if (const auto* card = findById(kit.cards, wanted))
            return cardFields(*card, roomFor(kit, &Kit::cards, *card));
        break;
    case GearKind::Battery:
        if (const auto* battery = findById(kit.batteries, wanted))
            return batteryFields(*battery, roomFor(kit, &Kit::batteries, *battery));
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
    case GearKind::Gel:
        list(kit.gels);
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
