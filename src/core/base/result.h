#pragma once

#include "core/base/error.h"

#include <cassert>
#include <utility>
#include <variant>

namespace bslate {

/// A value or the reason why there is none. Must be looked at: dropping one is a warning,
/// and warnings are errors here.
template<class T>
class [[nodiscard]] Result {
public:
    Result(T value)
        : m_state(std::in_place_index<0>, std::move(value)) {}
    Result(Error error)
        : m_state(std::in_place_index<1>, std::move(error)) {}

    [[nodiscard]] bool ok() const { return m_state.index() == 0; }
    explicit operator bool() const { return ok(); }

    /// The value; calling it on a failure is a programming error.
    [[nodiscard]] const T& value() const& {
        assert(ok());
        return *std::get_if<0>(&m_state);
    }
    [[nodiscard]] T&& value() && {
        assert(ok());
        return std::move(*std::get_if<0>(&m_state));
    }
    [[nodiscard]] T valueOr(T other) const { return ok() ? value() : std::move(other); }
    const T& operator*() const& { return value(); }
    T&& operator*() && { return std::move(*this).value(); }
    const T* operator->() const { return &value(); }

    /// The failure; calling it on a success is a programming error.
    [[nodiscard]] const Error& error() const {
        assert(!ok());
        return *std::get_if<1>(&m_state);
    }

private:
    std::variant<T, Error> m_state;
};

/// For operations that only succeed or fail.
struct Done {
    friend bool operator==(const Done&, const Done&) = default;
};
using Outcome = Result<Done>;

} // namespace bslate
