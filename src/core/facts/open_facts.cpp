#include "core/facts/open_facts.h"

namespace bslate {
namespace {

// Literals, as every id of a reason is.
struct FactIds {
    std::string_view name, question, open;
};
FactIds idsOf(CameraFact fact) {
    switch (fact) {
    case CameraFact::Sensor:
        return {"fact-sensor", "ask-sensor", "open-sensor"};
    case CameraFact::Bases:
        return {"fact-bases", "ask-bases", "open-bases"};
    case CameraFact::OverGrey:
        return {"fact-over-grey", "ask-over-grey", "open-over-grey"};
    case CameraFact::Range:
        return {"fact-range", "ask-range", "open-range"};
    case CameraFact::Shutter:
        return {"fact-shutter", "ask-shutter", "open-shutter"};
    case CameraFact::Slots:
        return {"fact-slots", "ask-slots", "open-slots"};
    case CameraFact::Zebra:
        return {"fact-zebra", "ask-zebra", "open-zebra"};
    case CameraFact::Readout:
        return {"fact-readout", "ask-readout", "open-readout"};
    case CameraFact::Draw:
        return {"fact-draw", "ask-draw", "open-draw"};
    case CameraFact::Heat:
        return {"fact-heat", "ask-heat", "open-heat"};
    case CameraFact::Buffer:
        break;
    }
    return {"fact-buffer", "ask-buffer", "open-buffer"};
}

} // namespace

Reason nameOfFact(CameraFact fact) {
    return {idsOf(fact).name, {}};
}

Reason questionOf(CameraFact fact) {
    return {idsOf(fact).question, {}};
}

Reason leftOpen(CameraFact fact) {
    return {idsOf(fact).open, {}};
}

} // namespace bslate
