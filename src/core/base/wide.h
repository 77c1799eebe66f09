#pragma once

/// Before a function with a loop: the compiler makes vectors of it, a version for wider registers
/// too, and the right one is picked when the program starts.
#if defined(__GNUC__) && !defined(__clang__) && defined(__x86_64__)
#define BSLATE_WIDE __attribute__((target_clones("arch=haswell", "default"), optimize("O3")))
#else
#define BSLATE_WIDE
#endif
