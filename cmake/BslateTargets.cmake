# Settings every target of ours shares.
macro(bslate_global_settings)
    set(CMAKE_CXX_STANDARD 20)
    set(CMAKE_CXX_STANDARD_REQUIRED ON)
    set(CMAKE_CXX_EXTENSIONS OFF)
    set(CMAKE_EXPORT_COMPILE_COMMANDS ON)
    set(CMAKE_CXX_FLAGS_RELEASE "-O2 -DNDEBUG")
    if(NOT CMAKE_BUILD_TYPE)
        set(CMAKE_BUILD_TYPE Release)
    endif()
    find_program(BSLATE_CCACHE ccache)
    if(BSLATE_CCACHE)
        # Units that use a precompiled header are kept too, on these terms (manual of ccache).
        set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_COMMAND} -E env
            CCACHE_SLOPPINESS=pch_defines,time_macros ${BSLATE_CCACHE})
        add_compile_options($<$<CXX_COMPILER_ID:GNU>:-fpch-preprocess>
                            "$<$<CXX_COMPILER_ID:Clang>:SHELL:-Xclang -fno-pch-timestamp>")
    endif()
    if(BSLATE_SANITIZE)
        # Null and misaligned pointers are AddressSanitizer's to find; the checks left out here are
        # a third of the compile time.
        add_compile_options(-fsanitize=address,undefined -fno-sanitize-recover=all
                            -fno-sanitize=null,alignment,object-size,vptr
                            -fno-omit-frame-pointer)
        add_link_options(-fsanitize=address,undefined)
    endif()
    if(BSLATE_THREADS)
        add_compile_options(-fsanitize=thread)
        add_link_options(-fsanitize=thread)
    endif()
endmacro()

# bslate_beside(TARGET PROGRAM): the target runs the program, so linking it makes sure of it. As a
# dependency of the target itself it would have to be there before the first source is compiled.
function(bslate_beside target program)
    set_property(TARGET ${target} APPEND PROPERTY LINK_DEPENDS $<TARGET_FILE:${program}>)
endfunction()

# Warnings are errors on our own code.
function(bslate_warnings target)
    target_compile_options(${target} PRIVATE -Wall -Wextra -Wpedantic -Wconversion
                           -Wno-sign-conversion -Werror
                           $<$<CXX_COMPILER_ID:GNU>:-Wshadow=local>
                           # GCC 12 reports std::string concatenation wrongly (GCC bug 105651).
                           $<$<CXX_COMPILER_ID:GNU>:-Wno-restrict>
                           $<$<CXX_COMPILER_ID:GNU>:-Wno-array-bounds>)
endfunction()

# Several sources in one translation unit: their names in anonymous namespaces must differ.
function(bslate_unity target)
    set_target_properties(${target} PROPERTIES UNITY_BUILD ${BSLATE_UNITY} UNITY_BUILD_BATCH_SIZE 8)
endfunction()

# Likewise, a unit for each folder, so that a new file moves none of the others.
function(bslate_unity_by_folder target)
    set_target_properties(${target} PROPERTIES UNITY_BUILD ${BSLATE_UNITY} UNITY_BUILD_MODE GROUP)
    get_target_property(sources ${target} SOURCES)
    foreach(source ${sources})
        if(source MATCHES "\\.cpp$")
            cmake_path(GET source PARENT_PATH folder)
            cmake_path(ABSOLUTE_PATH folder BASE_DIRECTORY ${CMAKE_CURRENT_SOURCE_DIR})
            cmake_path(RELATIVE_PATH folder BASE_DIRECTORY ${PROJECT_SOURCE_DIR}/src)
            string(MAKE_C_IDENTIFIER "${folder}" group)
            set_source_files_properties(${source} PROPERTIES UNITY_GROUP ${group})
        endif()
    endforeach()
endfunction()

# bslate_library(NAME SOURCES...): a static library known as bslate::NAME.
function(bslate_library name)
    add_library(bslate_${name} STATIC ${ARGN})
    add_library(bslate::${name} ALIAS bslate_${name})
    target_include_directories(bslate_${name} PUBLIC ${PROJECT_SOURCE_DIR}/src)
    target_precompile_headers(bslate_${name} PRIVATE <algorithm> <array> <cmath> <functional> <map>
                              <optional> <span> <string> <string_view> <variant> <vector>)
    bslate_unity_by_folder(bslate_${name})
    bslate_warnings(bslate_${name})
endfunction()
