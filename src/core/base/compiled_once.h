#pragma once

/// For large structs of the documents: making, copying, comparing and destroying one is compiled
/// in the source of its header alone, and not anew in every file that holds one. They stay plain
/// values; what is lost is only that they cannot be made from a list of their members.
#define BSLATE_COMPILED_ONCE(Type)                                                                 \
    Type();                                                                                        \
    Type(const Type&);                                                                             \
    Type(Type&&) noexcept;                                                                         \
    Type& operator=(const Type&);                                                                  \
    Type& operator=(Type&&) noexcept;                                                              \
    ~Type();                                                                                       \
    friend bool operator==(const Type&, const Type&)

/// In the source of the header.
#define BSLATE_COMPILED_HERE(Type)                                                                 \
    Type::Type() = default;                                                                        \
    Type::Type(const Type&) = default;                                                             \
    Type::Type(Type&&) noexcept = default;                                                         \
    Type& Type::operator=(const Type&) = default;                                                  \
    Type& Type::operator=(Type&&) noexcept = default;                                              \
    Type::~Type() = default;                                                                       \
    bool operator==(const Type&, const Type&) = default
