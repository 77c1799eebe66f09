#include "core/signal/code_values.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

double black(BitDepth depth) {
    return 16.0 * std::exp2(depth.bits - 8);
}
double span(BitDepth depth) {
    return 219.0 * std::exp2(depth.bits - 8);
}
double topCode(BitDepth depth) {
    return std::exp2(depth.bits) - 1.0;
}

} // namespace

double codeOf(Signal signal, CodeRange range, BitDepth depth) {
    return range == CodeRange::Full ? signal.value() * topCode(depth)
                                    : black(depth) + span(depth) * signal.value();
}

int recordedCode(Signal signal, CodeRange range, BitDepth depth) {
    const double code = codeOf(signal, range, depth);
    return static_cast<int>(std::lround(std::clamp(code, 0.0, topCode(depth))));
}

Level levelOfCode(double code, BitDepth depth) {
    return Level(100.0 * (code - black(depth)) / span(depth));
}

Level levelOf(Signal signal, CodeRange range, BitDepth depth) {
    return levelOfCode(codeOf(signal, range, depth), depth);
}

Signal signalAt(Level level, CodeRange range, BitDepth depth) {
    const double code = black(depth) + span(depth) * level.value() / 100.0;
    return range == CodeRange::Full ? Signal(code / topCode(depth))
                                    : Signal((code - black(depth)) / span(depth));
}

Signal topSignal(CodeRange range, BitDepth depth) {
    return range == CodeRange::Full ? Signal(1.0)
                                    : Signal((topCode(depth) - black(depth)) / span(depth));
}

} // namespace bslate
