#include "core/kit/camera.h"

#include "core/base/find_by_id.h"
#include "core/light/optics.h"
#include "core/media/recording.h"

#include <algorithm>
#include <cmath>

namespace bslate {

BSLATE_COMPILED_HERE(RecordingMode);

BSLATE_COMPILED_HERE(Camera);
namespace {

template<class List, class Item>
bool contains(const List& list, const Item& item) {
    return std::find(list.begin(), list.end(), item) != list.end();
}

const RateOption* findRate(const RecordingMode& mode, FrameRate rate) {
    for (const auto& option : mode.rates)
        if (option.rate == rate)
            return &option;
    return nullptr;
}

} // namespace

const RecordingMode* findMode(const Camera& camera, std::string_view id) {
    return findById(camera.modes, id);
}
const Codec* findCodec(const Camera& camera, std::string_view id) {
    return findById(camera.codecs, id);
}
const SensorArea* findArea(const Camera& camera, std::string_view id) {
    return findById(camera.areas, id);
}
const Slot* findSlot(const Camera& camera, std::string_view id) {
    return findById(camera.cardSlots, id);
}

void countBanks(Camera& camera) {
    if (camera.body.banks.empty())
        return;
    camera.banks = {};
    for (const auto& bank : camera.body.banks)
        ++(bank.place == BankPlace::Inside ? camera.banks.internal : camera.banks.onCard);
}

std::vector<Bank> banksOf(const Camera& camera) {
    if (!camera.body.banks.empty())
        return camera.body.banks;
    std::vector<Bank> banks;
    const auto add = [&](int count, BankPlace place) {
        for (int i = 0; i < count; ++i) {
            Bank bank;
            bank.label = std::to_string(banks.size() + 1);
            bank.place = place;
            banks.push_back(std::move(bank));
        }
    };
    add(camera.banks.internal, BankPlace::Inside);
    add(camera.banks.onCard, BankPlace::Card);
    return banks;
}

IsoDial isoDial(const Camera& camera, const Profile& profile, std::string_view codec) {
    IsoDial dial{profile.iso, profile.minimum, profile.maximum};
    for (const auto& rule : camera.isoRules) {
        if ((!rule.profile.empty() && rule.profile != profile.id) ||
            (!rule.codec.empty() && rule.codec != codec))
            continue;
        dial.behaviour = rule.behaviour;
        dial.minimum = rule.minimum.value_or(dial.minimum);
        dial.maximum = std::max(rule.maximum.value_or(dial.maximum), dial.minimum);
        break;
    }
    return dial;
}

const BaseIso& nearestBase(const Camera& camera, const Profile& profile, ExposureIndex iso) {
    const auto taken = [&](const BaseIso& base) {
        return profile.bases.empty() || contains(profile.bases, base.iso);
    };
    const BaseIso* best = nullptr;
    for (const auto& base : camera.bases) {
        const auto distance = [&](const BaseIso& b) {
            return std::abs(stopsBetween(b.iso, iso).value());
        };
        if (taken(base) && (!best || distance(base) < distance(*best)))
            best = &base;
    }
    return best ? *best : camera.bases.front();
}

RecordedArea recordedArea(const SensorArea& area, FrameSize frame) {
    const double shape = static_cast<double>(frame.width) / frame.height;
    return {std::min(area.width, area.height * shape),
            std::min(area.height, area.width * (1 / shape))};
}

Magnification frameCrop(const Camera& camera, const SensorArea& area, FrameSize frame) {
    return cropFactor(camera.areas.front().width, recordedArea(area, frame).width);
}

std::optional<HeatTime> heatTime(const RecordingMode& mode, Celsius ambient) {
    if (mode.heat.empty())
        return std::nullopt;
    const HeatLimit* below = nullptr;
    for (const auto& limit : mode.heat) {
        if (ambient <= limit.ambient) {
            if (!below || !(below->ambient < limit.ambient))
                return HeatTime{limit.time, false};
            const double share = (ambient.value() - below->ambient.value()) /
                                 (limit.ambient.value() - below->ambient.value());
            return HeatTime{below->time + (limit.time - below->time) * share, false};
        }
        below = &limit;
    }
    return HeatTime{mode.heat.back().time, true};
}

bool allows(const RecordingMode& mode, std::string_view profile) {
    return mode.profiles.empty() || contains(mode.profiles, profile);
}

bool isOffSpeed(const RecordingMode& mode, FrameRate rate) {
    return !findRate(mode, rate) && mode.offSpeed && rate >= mode.offSpeed->slowest &&
           rate <= mode.offSpeed->fastest;
}

std::optional<DataRate> bitRateAt(const RecordingMode& mode, FrameRate rate, FrameRate base) {
    if (const auto* option = findRate(mode, rate))
        return option->bitRate;
    if (!isOffSpeed(mode, rate) || mode.rates.empty())
        return std::nullopt;
    const auto* listed = findRate(mode, base);
    const auto& from = listed ? *listed : mode.rates.front();
    if (!mode.offSpeed->writesAtSensorRate)
        return from.bitRate;
    return sensorRateWriting(from.bitRate, rate, from.rate);
}

std::vector<std::string> regionsFor(const Camera& camera, const RecordingMode& mode, FrameRate rate,
                                    FrameRate base) {
    const FrameRate set = isOffSpeed(mode, rate) ? base : rate;
    std::vector<std::string> ids;
    for (const auto& region : camera.rateSets)
        if (contains(region.rates, set))
            ids.push_back(region.id);
    return ids;
}

} // namespace bslate
