#include "cli/output.h"

#include <ostream>

namespace bslate::cli {

void Output::write(const Json& node) {
    text << node.dump(2, ' ', false, Json::error_handler_t::replace) << "\n";
}

} // namespace bslate::cli
