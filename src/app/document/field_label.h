#pragma once

#include "core/base/fields.h"

#include <QCoreApplication>
#include <QString>

namespace bslate::app {

/// What a field of the documents is called on a sheet, with its access key (core/base/fields.h). A
/// key that is not there ends the program: it is one of ours.
template<class T>
[[nodiscard]] QString fieldLabel(const char* key) {
    const char* name = fieldName<T>(key);
    if (!name)
        qFatal("no field %s", key);
    return QCoreApplication::translate("Fields", name);
}

} // namespace bslate::app
