#include "core/shoot/shoot.h"

#include "core/base/find_by_id.h"

namespace bslate {

BSLATE_COMPILED_HERE(Shoot);

BSLATE_COMPILED_HERE(Setup);

const Setup* findSetup(const Shoot& shoot, std::string_view id) {
    return findById(shoot.setups, id);
}
Setup* findSetup(Shoot& shoot, std::string_view id) {
    return findById(shoot.setups, id);
}
const CameraRecord* findRecord(const Shoot& shoot, std::string_view camera) {
    return findById(shoot.records, camera);
}
const Scene* findScene(const Shoot& shoot, std::string_view id) {
    return findById(shoot.scenes, id);
}
Scene* findScene(Shoot& shoot, std::string_view id) {
    return findById(shoot.scenes, id);
}

} // namespace bslate
