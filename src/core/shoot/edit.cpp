#include "core/shoot/edit.h"

#include "core/shoot/take_line.h"

namespace bslate {

Shoot applied(const Shoot& shoot, const Edit& edit) {
    Shoot result = shoot;
    if (edit.setup)
        if (auto* setup = findSetup(result, edit.setup->id))
            *setup = *edit.setup;
    if (edit.scene)
        if (auto* scene = findScene(result, edit.scene->id))
            *scene = *edit.scene;
    if (edit.kit)
        result.kit = *edit.kit;
    if (edit.day)
        result = withDay(std::move(result), *edit.day);
    return result;
}

} // namespace bslate
