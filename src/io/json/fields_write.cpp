#include "io/json/fields_write.h"

#include <cmath>

namespace bslate::io::fields {

// The number of milliseconds that reads back as this time to the last bit.
double write(form::Milliseconds, Seconds time) {
    const double plain = std::round(time.value() * 1e12) / 1e9; // as somebody would have typed it
    return plain / 1000.0 == time.value() ? plain : time.value() * 1000.0;
}

void put(Json& node, const char* key, bool flag) {
    node[key] = flag;
}
void put(Json& node, const char* key, int number) {
    node[key] = number;
}
void put(Json& node, const char* key, double number) {
    node[key] = number;
}
void put(Json& node, const char* key, std::string_view text) {
    node[key] = std::string(text);
}
void put(Json& node, const char* key, const std::string& text) {
    node[key] = text;
}
void put(Json& node, const char* key, Json&& value) {
    node[key] = std::move(value);
}

void append(Json& list, double number) {
    list.push_back(number);
}
void append(Json& list, std::string_view text) {
    list.push_back(std::string(text));
}
void append(Json& list, const std::string& text) {
    list.push_back(text);
}
void append(Json& list, Json&& value) {
    list.push_back(std::move(value));
}

} // namespace bslate::io::fields
