#include "core/clip/own_camera.h"

#include "core/advice/starting.h"
#include "core/base/find_by_id.h"
#include "core/base/fresh_id.h"

#include <algorithm>
#include <map>
#include <set>

namespace bslate {
namespace {

constexpr double kHighestPeak = 3.0; // a codec's in a kit

// A row of the lattice while it is made: its mode, and what each rate rests on.
struct Row {
    SeenMode seen;
    std::map<FrameRate, CellGround> grounds;
};
using Rows = std::vector<Row>;

void putCell(ModeLine& mode, FrameRate rate, std::optional<DataRate> bits) {
    auto& rates = mode.rates;
    const auto there = std::find_if(rates.begin(), rates.end(),
                                    [rate](const RateOption& one) { return one.rate == rate; });
    if (there != rates.end() && bits)
        there->bitRate = *bits;
    else if (there != rates.end())
        rates.erase(there);
    else if (bits)
        rates.insert(std::upper_bound(rates.begin(), rates.end(), rate,
                                      [](FrameRate a, const RateOption& b) { return a < b.rate; }),
                     {rate, *bits});
}

std::optional<DataRate> bitsAt(const ModeLine& mode, FrameRate rate) {
    for (const auto& one : mode.rates)
        if (one.rate == rate)
            return one.bitRate;
    return std::nullopt;
}

// The row an edit was made in: with its marks, or, where more clips have changed those, with its
// crop, or any of its format.
Rows::iterator rowFor(Rows& rows, const ModeLine& mode) {
    const auto find = [&](auto fits) {
        return std::find_if(rows.begin(), rows.end(), [&](const Row& row) {
            return areOfOneFormat(row.seen.line, mode) && fits(row.seen.line);
        });
    };
    auto row = find([&](const ModeLine& one) {
        return marksOf(one) == marksOf(mode) && one.name == mode.name;
    });
    if (row == rows.end())
        row = find([&](const ModeLine& one) { return marksOf(one) == marksOf(mode); });
    if (row == rows.end())
        row = find([&](const ModeLine& one) { return one.crop == mode.crop; });
    return row != rows.end() ? row : find([](const ModeLine&) { return true; });
}

void apply(Rows& rows, const TypedCell& cell) {
    auto row = rowFor(rows, cell.mode);
    if (row == rows.end() && cell.bitRate) {
        rows.push_back({{cell.mode, 1, {}, std::nullopt, {}}, {}});
        row = rows.end() - 1;
        row->seen.line.rates.clear();
    }
    if (row == rows.end())
        return;
    putCell(row->seen.line, cell.rate, cell.bitRate);
    row->grounds[cell.rate] = {};
    row->grounds[cell.rate].typed = true;
}

void apply(Rows& rows, const MarkedCell& cell) {
    const auto from = rowFor(rows, cell.mode);
    if (from == rows.end() || marksOf(from->seen.line) == cell.marks)
        return;
    const auto bits = bitsAt(from->seen.line, cell.rate);
    if (!bits)
        return;
    auto ground = from->grounds[cell.rate];
    ground.marked = true;
    ModeLine marked = from->seen.line;
    marked.crop = cell.marks.crop;
    marked.sound = cell.marks.sound;
    marked.autofocus = cell.marks.autofocus;
    marked.clipLimit = cell.marks.clipLimit;
    auto to = std::find_if(rows.begin(), rows.end(), [&](const Row& row) {
        return areOfOneFormat(row.seen.line, marked) && marksOf(row.seen.line) == cell.marks;
    });
    if (to == rows.end() && from->seen.line.rates.size() == 1) { // it is all of the row
        from->seen.line = marked;
        from->grounds[cell.rate] = ground;
        return;
    }
    putCell(from->seen.line, cell.rate, std::nullopt);
    from->grounds.erase(cell.rate);
    if (to == rows.end()) {
        Row row{from->seen, {}};
        row.seen.line = marked;
        row.seen.line.name.clear();
        row.seen.line.rates.clear();
        row.seen.modeId.clear(); // the other rates keep the mode
        to = rows.insert(from + 1, std::move(row));
    }
    putCell(to->seen.line, cell.rate, bits);
    to->grounds[cell.rate] = ground;
}

void apply(Rows& rows, const AddedRow& added) {
    auto row = std::find_if(rows.begin(), rows.end(), [&](const Row& one) {
        const auto& line = one.seen.line;
        return areOfOneFormat(line, added.mode) && line.standard == added.mode.standard &&
               marksOf(line) == marksOf(added.mode) && line.name == added.mode.name;
    });
    if (row == rows.end()) {
        rows.push_back({{added.mode, 1, {}, std::nullopt, {}}, {}});
        row = rows.end() - 1;
    }
    for (const auto& option : added.mode.rates) {
        putCell(row->seen.line, option.rate, option.bitRate);
        row->grounds[option.rate] = {};
        row->grounds[option.rate].typed = true;
    }
}

// Clips of a mode that have its rate.
int clipsOf(std::span<const ClipFacts> clips, const SeenMode& mode, FrameRate rate) {
    return static_cast<int>(std::count_if(clips.begin(), clips.end(), [&](const ClipFacts& clip) {
        return clip.picture && clip.picture->rate == rate &&
               std::find(mode.files.begin(), mode.files.end(), clip.file) != mode.files.end();
    }));
}

std::vector<SeenMode> startModes(const OwnCamera& own) {
    std::vector<SeenMode> modes;
    if (own.start)
        for (const auto& mode : own.start->modes)
            modes.push_back({modeLineOf(*own.start, mode), 1, {}, std::nullopt, mode.id});
    return modes;
}

Rows sourcesOf(const OwnCamera& own, std::span<const ModeLine> lines) {
    const auto start = startModes(own);
    auto modes = joined(withSeen(start, modesFromClips(own.clips)), lines);
    const bool usual = modes.empty() && own.kind;
    if (usual) {
        const auto camera = cameraOfKind(*own.kind, {});
        for (const auto& mode : camera.modes)
            modes.push_back({modeLineOf(camera, mode), 1, {}, std::nullopt, {}});
    }
    Rows rows;
    for (auto& mode : modes) {
        Row row{std::move(mode), {}};
        const auto& line = row.seen.line;
        for (const auto& option : line.rates) {
            auto& ground = row.grounds[option.rate];
            ground.clips = clipsOf(own.clips, row.seen, option.rate);
            ground.table = std::any_of(lines.begin(), lines.end(), [&](const ModeLine& one) {
                return areOfOneFormat(one, line) && one.name == line.name &&
                       bitsAt(one, option.rate).has_value();
            });
            ground.camera = std::any_of(start.begin(), start.end(), [&](const SeenMode& one) {
                return one.modeId == row.seen.modeId && !one.modeId.empty() &&
                       bitsAt(one.line, option.rate).has_value();
            });
            ground.kind = usual;
        }
        rows.push_back(std::move(row));
    }
    return rows;
}

// The modes of a camera that is refined, with everything the lattice does not show.
Camera refined(Camera camera, std::span<const SeenMode> modes) {
    const auto before = camera.modes;
    camera.modes.clear();
    for (const auto& seen : modes) {
        const auto* own = findById(before, seen.modeId);
        const auto old = own ? modeLineOf(camera, *own) : ModeLine{};
        if (own && old == seen.line && seen.files.empty()) {
            camera.modes.push_back(*own);
            continue;
        }
        addMode(camera, seen.line);
        auto& mode = camera.modes.back();
        if (auto* codec = findById(camera.codecs, mode.codec); codec && !seen.files.empty())
            codec->peak = std::clamp(seen.peakFactor, codec->peak, kHighestPeak);
        if (!own)
            continue;
        if (areOfOneFormat(old, seen.line)) // several codecs may be of one format
            mode.codec = own->codec;
        mode.id = own->id;
        mode.profiles = own->profiles;
        mode.slotIds = own->slotIds;
        mode.proxy = own->proxy;
        mode.extra = own->extra;
    }
    return camera;
}

} // namespace

CellMarks marksOf(const ModeLine& mode) {
    return {mode.crop, mode.sound, mode.autofocus, mode.clipLimit};
}

OwnLattice latticeOf(const OwnCamera& own) {
    OwnLattice lattice;
    lattice.rows = readModeTable(own.table);
    auto rows = sourcesOf(own, modesIn(lattice.rows));
    for (const auto& edit : own.edits)
        std::visit([&](const auto& one) { apply(rows, one); }, edit);
    std::erase_if(rows, [](const Row& row) { return row.seen.line.rates.empty(); });
    std::set<FrameRate> rates;
    if (!rows.empty())
        rates.insert(own.rates.begin(), own.rates.end());
    for (const auto& row : rows)
        for (const auto& option : row.seen.line.rates)
            rates.insert(option.rate);
    lattice.rates.assign(rates.begin(), rates.end());
    for (auto& row : rows) {
        auto& grounds = lattice.grounds.emplace_back();
        for (const auto rate : lattice.rates)
            grounds.push_back(row.grounds[rate]);
        lattice.modes.push_back(std::move(row.seen));
    }
    return lattice;
}

Result<Camera> cameraOf(const OwnCamera& own, const Kit& kit, const std::string& name) {
    const auto modes = latticeOf(own).modes;
    if (modes.empty())
        return Error{ErrorCode::EmptyText, {}, {}, {}, "one recording mode or more"};
    if (own.start) {
        auto camera = refined(*own.start, modes);
        camera.name = name;
        for (const auto& answer : own.answers) {
            auto next = withAnswer(std::move(camera), answer.fact, answer.text);
            if (!next)
                return next.error();
            camera = known(*std::move(next), answer.fact);
        }
        return camera;
    }
    auto camera = withModes(own.kind ? cameraOfKind(*own.kind, kit) : startingCamera(kit), modes);
    camera.name = name;
    camera.id = freeId(kit.cameras, idFrom(name, "camera"));
    return answered(std::move(camera), own.answers);
}

} // namespace bslate
