// The kit reader on arbitrary bytes: an error, or a kit whose lattices work and that survives a
// save.
#include "core/advice/openings.h"
#include "core/facts/lattice.h"
#include "io/json/kit_json.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    const auto kit = io::readKit(text, "fuzz");
    if (!kit)
        return 0;
    const Brief brief;
    for (const auto& camera : kit->cameras) {
        Setup setup;
        setup.profile = camera.profiles.empty() ? std::string() : camera.profiles.front();
        const LatticeCase question{&*kit, &camera, &setup, nullptr, &brief};
        const auto lattice = latticeOf(question);
        for (const auto& row : lattice.rows)
            if (const auto* cell = shownCell(row, 0))
                (void)openingsOf(question, lattice, *cell);
    }
    if (!io::readKit(io::writeKit(*kit), "again"))
        std::abort();
    return 0;
}
