#pragma once

#include "core/kit/camera_fields.h"
#include "core/shoot/shoot_fields.h"
#include "io/json/json_reader.h"

/// What no table of fields can say: values whose form depends on what they are. Each says how it is
/// read, written and told in a schema. Private to io.
namespace bslate::io::custom {

using CurveFamily = decltype(Curve::family);
void read(CurveFamilyTag, ObjectReader& node, const char* key, CurveFamily& family);
void write(CurveFamilyTag, Json& node, const char* key, const CurveFamily& family);

void read(DialTimesTag, ObjectReader& node, const char* key, std::vector<Seconds>& times);
void write(DialTimesTag, Json& node, const char* key, const std::vector<Seconds>& times);

void read(ConditionsTag, ObjectReader& node, const char* key, std::vector<Condition>& conditions);
void write(ConditionsTag, Json& node, const char* key, const std::vector<Condition>& conditions);

void read(ConstraintThenTag, ObjectReader& node, const char* key, Constraint& constraint);
void write(ConstraintThenTag, Json& node, const char* key, const Constraint& constraint);

void read(KitOfShootTag, ObjectReader& node, const char* key, Shoot& shoot);
void write(KitOfShootTag, Json& node, const char* key, const Shoot& shoot);

/// What an older version said in other keys, after the fields are read.
template<class T>
void readOlder(ObjectReader&, T&) {}
void readOlder(ObjectReader& node, Camera& camera);

/// Changes the schema of the object that has the field; `definitions` take what it refers to.
void describe(CurveFamilyTag, Json& object, const char* key, Json& definitions);
void describe(DialTimesTag, Json& object, const char* key, Json& definitions);
void describe(ConditionsTag, Json& object, const char* key, Json& definitions);
void describe(ConstraintThenTag, Json& object, const char* key, Json& definitions);
void describe(KitOfShootTag, Json& object, const char* key, Json& definitions);

} // namespace bslate::io::custom
