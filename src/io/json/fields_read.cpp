#include "io/json/fields_read.h"

namespace bslate::io::fields {

const char* keyIn(ObjectReader& node, const char* key, const char* formerly, Presence presence,
                  int since) {
    if (node.state().version < since)
        return nullptr;
    if (formerly && !node.has(key) && node.has(formerly))
        key = formerly;
    return presence == Presence::Required || node.has(key) ? key : nullptr;
}

} // namespace bslate::io::fields
