#pragma once

#include <functional>

namespace bslate {

/// Asked a few times a second by work that may take long, on the thread that works, with the share
/// that is done, [0, 1], or 0 where that is not known; false ends it. Empty: nobody will stop it.
using KeepGoing = std::function<bool(double done)>;

} // namespace bslate
