#include "core/kit/body.h"

#include <algorithm>

namespace bslate {

bool holds(const Bank& bank, BodySetting setting) {
    return std::find(bank.holds.begin(), bank.holds.end(), setting) != bank.holds.end();
}

} // namespace bslate
