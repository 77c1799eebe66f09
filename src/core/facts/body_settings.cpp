#include "core/facts/body_settings.h"

#include "core/facts/setting_table.h"

namespace bslate {

BodySettings bodySettingsOf(const SetupContext& context, const Evaluation& at) {
    BodySettings all;
    const Dialling of{context, at, handlingOf(*context.scene, *context.setup)};
    for (const auto& row : settingTable()) {
        if (!row.onBody)
            continue;
        auto& text = all.values[*row.onBody];
        for (const auto& value : row.values(of))
            if (!value.body.empty())
                text = text ? *text + ", " + value.body : value.body;
    }
    return all;
}

} // namespace bslate
