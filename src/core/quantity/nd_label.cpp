#include "core/quantity/nd_label.h"

namespace bslate {

Stops lossOf(const NdLabel& label) {
    switch (label.tradition) {
    case NdTradition::Density:
        return Stops(label.value / std::log10(2.0));
    case NdTradition::Factor:
        return Stops(std::log2(label.value));
    case NdTradition::Stops:
        return Stops(label.value);
    }
    return Stops();
}

bool isUnusualFactor(const NdLabel& label) {
    const double stops = std::log2(label.value);
    return label.tradition == NdTradition::Factor && label.value < 10 &&
           std::abs(stops - std::round(stops)) > 1e-9;
}

Density densityOf(Stops loss) {
    return Density(loss.value() * std::log10(2.0));
}

} // namespace bslate
