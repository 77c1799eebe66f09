#pragma once

#include "core/base/enumerated.h"
#include "core/base/error.h"
#include "core/base/named_value.h"
#include "core/base/result.h"

#include <cstddef>
#include <functional>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <tuple>
#include <type_traits>
#include <utility>

/// The fields of a struct of the documents, as data: `Described<T>::kFields` is the one place that
/// knows a field's key, form, range, default, name and meaning. Files, their schemas, the lists of
/// keys in docs, sheets and cards all read it.
namespace bslate {

/// More entries than this in a list are refused, and fewer where a list says so.
inline constexpr std::size_t kMostItems = 5000;

/// How a value stands in a file. Quantities and enumerations bring their own spelling.
namespace form {

struct Text {
    std::size_t longest = 4000;    ///< bytes
    const char* mustSay = nullptr; ///< what is expected where it may not be empty
    const char* asks = nullptr;    ///< likewise, of what is typed; files may have it empty
    /// Of what is typed: the name as it is kept, or what would have been one.
    Result<std::string> (*known)(std::string_view) = nullptr;
};
struct Flag {};
struct Whole {
    int low, high;
};
/// A number, or a quantity as a number of the unit that stands in the key.
struct Number {
    double low, high;
    bool share = false; ///< shown and typed in percent
};
/// Seconds as a number of milliseconds.
struct Milliseconds {
    double low, high;
};
/// A quantity as people type it.
template<class Q>
struct Spelled {
    Result<Q> (*parse)(std::string_view);
    std::string (*spell)(const Q&);
    const char* pattern; ///< of what is written; more is read
    const char* about;
    std::string (*print)(const Q&) = nullptr; ///< as people read it, where that differs
};
/// One of the names of an enumeration; a table that forgets a value does not compile.
template<class E>
struct Named {
    std::span<const NamedValue<E>> names;

    template<std::size_t N>
    constexpr Named(const NamedValue<E> (&table)[N])
        : names(table) {
        static_assert(N == countOf<E>(), "a name for every value");
    }
    /// Of a field that takes some of the values only.
    constexpr explicit Named(std::span<const NamedValue<E>> some)
        : names(some) {}
};
/// A struct with a table of its own.
template<class T>
struct Object {};
template<class Item>
struct List {
    Item item;
    std::size_t most = kMostItems;
    const char* what = "of them"; ///< for the message, "takes a day"
};
template<class Item>
List(Item) -> List<Item>;
template<class Item>
List(Item, std::size_t) -> List<Item>;
template<class Item>
List(Item, std::size_t, const char*) -> List<Item>;
/// Flags of the struct as the list of the names of those that are set.
template<class T>
struct Flags {
    std::span<const NamedValue<bool T::*>> names;
};
/// An object in the file whose keys are fields of the same struct.
template<class... Fields>
struct Group {
    std::tuple<Fields...> fields;
};
template<class... Fields>
Group(std::tuple<Fields...>) -> Group<Fields...>;
/// Read and written by code of its own, known by the tag (io/json/custom_json.h).
template<class Tag>
struct Custom {};

} // namespace form

enum class Presence {
    Required, ///< a file without it is refused
    Written,  ///< what the struct begins with when it is missing; always written
    Spared    ///< likewise, and not written while it has that value; optional values are all so
};

template<class Access, class Form>
struct Field {
    const char* key;
    Access access; ///< pointer to member, or `[](auto& owner) -> auto&`
    Form form;
    Presence presence;
    const char* name;               ///< as sheets and cards call it, with an access key
    const char* help;               ///< one clause for the list of keys
    int since = 1;                  ///< the first version of the format that has it
    const char* formerly = nullptr; ///< another key that is read where this one is not there
    bool onSheet = true;            ///< asked for on the sheet of its struct
};

template<class Access, class Form>
[[nodiscard]] constexpr auto required(const char* key, Access access, Form form, const char* name,
                                      const char* help = "", int since = 1) {
    return Field<Access, Form>{key, access, form, Presence::Required, name, help, since};
}
template<class Access, class Form>
[[nodiscard]] constexpr auto written(const char* key, Access access, Form form, const char* name,
                                     const char* help = "", int since = 1) {
    return Field<Access, Form>{key, access, form, Presence::Written, name, help, since};
}
template<class Access, class Form>
[[nodiscard]] constexpr auto spared(const char* key, Access access, Form form, const char* name,
                                    const char* help = "", int since = 1) {
    return Field<Access, Form>{key, access, form, Presence::Spared, name, help, since};
}

/// The same field, under another key in older files.
template<class Access, class Form>
[[nodiscard]] constexpr auto renamed(Field<Access, Form> field, const char* formerly) {
    field.formerly = formerly;
    return field;
}

/// The same field, with a place of its own in the window instead of a line on a sheet.
template<class Access, class Form>
[[nodiscard]] constexpr auto elsewhere(Field<Access, Form> field) {
    field.onSheet = false;
    return field;
}

/// Specialised for every struct of the documents: `kName` of the schema's definition, `kFields`,
/// and where needed `complete(T&)`, which fills in what follows from other fields, `check(const
/// T&)`, which says what is wrong with them together, and `follow(T&, std::string_view key)`, which
/// lets others follow a field that was typed.
template<class T>
struct Described;

/// What fields of a struct must not be together.
struct FieldFault {
    const char* key;
    std::string got;
    std::string expected;
    ErrorCode code = ErrorCode::OutOfRange;
};

/// The name of a field for a sheet; `&` before its access key. A key that is not there does not
/// compile where the name is a constant, and gives null otherwise.
template<class T>
[[nodiscard]] constexpr const char* fieldName(std::string_view key) {
    const char* found = nullptr;
    std::apply(
        [&](const auto&... field) { ((found = field.key == key ? field.name : found), ...); },
        Described<T>::kFields);
    return found;
}

/// The value of a field in its struct.
template<class T, class Field>
[[nodiscard]] constexpr decltype(auto) valueOf(const Field& field, T& owner) {
    return std::invoke(field.access, owner);
}

/// The first of several faults; for Described::check.
template<class... Checks>
[[nodiscard]] std::optional<FieldFault> firstFault(Checks&&... checks) {
    std::optional<FieldFault> fault;
    (void)((fault = checks(), fault.has_value()) || ...);
    return fault;
}

} // namespace bslate
