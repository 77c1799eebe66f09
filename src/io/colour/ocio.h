#pragma once

#include <OpenColorIO/OpenColorIO.h>

/// Shared by the adapters to OpenColorIO; not for public headers.
namespace bslate::io {

namespace OCIO = OCIO_NAMESPACE;

/// The library writes nothing to standard error: what goes wrong comes back as a Result.
inline void ocioQuiet() {
    OCIO::SetLoggingLevel(OCIO::LOGGING_LEVEL_NONE);
}

} // namespace bslate::io
