#include "io/charts/chart_file.h"

#include "core/quantity/number_text.h"
#include "core/quantity/scan.h"

#include <lcms2.h>

#include <algorithm>
#include <charconv>
#include <clocale>
#include <cmath>
#include <map>
#include <memory>
#include <optional>

namespace bslate::io {
namespace {

constexpr const char* kExpected =
    "CGATS text with SAMPLE_ID and XYZ_X XYZ_Y XYZ_Z or LAB_L LAB_A LAB_B of each patch";

// What the library says of a text; one for each reading, since it has no other way to hand it on.
struct Said {
    std::string first;
};

void keepFirst(cmsContext context, cmsUInt32Number, const char* words) {
    auto* said = static_cast<Said*>(cmsGetContextUserData(context));
    if (said->first.empty())
        said->first = words;
}

struct Freed {
    void operator()(void* table) const { cmsIT8Free(table); }
};
struct ContextFreed {
    void operator()(cmsContext context) const { cmsDeleteContext(context); }
};
using Context = std::unique_ptr<std::remove_pointer_t<cmsContext>, ContextFreed>;
using Table = std::unique_ptr<void, Freed>;

// The library reads numbers as the file has them, and hands them on as the locale writes them.
std::optional<double> chartNumber(const char* text) {
    if (!text)
        return std::nullopt;
    std::string number(text);
    const std::string point = std::localeconv()->decimal_point;
    if (const auto at = number.find(point); !point.empty() && at != std::string::npos)
        number.replace(at, point.size(), ".");
    double value = 0;
    const char* const behind = number.data() + number.size();
    const auto [end, error] = std::from_chars(number.data(), behind, value);
    if (error != std::errc() || end != behind || !std::isfinite(value))
        return std::nullopt;
    return value;
}

// CIE 15:2004 clause 8.2.1, turned round.
Tristimulus xyzFromLab(const Tristimulus& lab) {
    const double fy = (lab[0] + 16) / 116;
    const auto back = [](double f) {
        return f > 6.0 / 29 ? f * f * f : 3 * (6.0 / 29) * (6.0 / 29) * (f - 4.0 / 29);
    };
    const double x = kChartWhite.x / kChartWhite.y;
    const double z = (1 - kChartWhite.x - kChartWhite.y) / kChartWhite.y;
    return {x * back(fy + lab[1] / 500), back(fy), z * back(fy - lab[2] / 200)};
}

struct ChartColumns {
    int id = -1;
    std::array<int, 3> colour{-1, -1, -1};
    bool lab = false;
};

std::optional<ChartColumns> chartColumns(cmsHANDLE table) {
    ChartColumns columns;
    for (const char* name : {"SAMPLE_ID", "SAMPLE_NAME"})
        if (columns.id < 0)
            columns.id = cmsIT8FindDataFormat(table, name);
    constexpr const char* kXyz[] = {"XYZ_X", "XYZ_Y", "XYZ_Z"};
    constexpr const char* kLab[] = {"LAB_L", "LAB_A", "LAB_B"};
    const auto find = [&](const auto& names) {
        for (std::size_t i = 0; i < 3; ++i)
            columns.colour[i] = cmsIT8FindDataFormat(table, names[i]);
        return std::all_of(columns.colour.begin(), columns.colour.end(),
                           [](int at) { return at >= 0; });
    };
    if (columns.id < 0)
        return std::nullopt;
    if (find(kXyz))
        return columns;
    columns.lab = true;
    return find(kLab) ? std::optional(columns) : std::nullopt;
}

// `A1` to `D6` in any order: letters are rows. False where names are others or one is twice.
bool orderByName(ColourChart& chart) {
    std::map<std::string, std::map<int, ChartPatch>> rows;
    for (const auto& patch : chart.patches) {
        const auto digits = patch.id.find_first_of("0123456789");
        const auto number = digits == std::string::npos || digits == 0
                                ? std::nullopt
                                : chartNumber(patch.id.c_str() + digits);
        if (!number || *number != std::floor(*number) || *number < 0 || *number > 1000 ||
            !rows[patch.id.substr(0, digits)].emplace(static_cast<int>(*number), patch).second)
            return false;
    }
    const auto columns = rows.begin()->second.size();
    std::vector<ChartPatch> ordered;
    for (const auto& [letter, row] : rows) {
        if (row.size() != columns)
            return false;
        for (const auto& [number, patch] : row)
            ordered.push_back(patch);
    }
    chart.patches = std::move(ordered);
    chart.columns = static_cast<int>(columns);
    chart.rows = static_cast<int>(rows.size());
    return true;
}

int likelyColumns(int count) {
    int best = count;
    for (int columns = count; columns >= 1; --columns)
        if (count % columns == 0 && columns * 2 >= (count / columns) * 3)
            best = columns;
    return best;
}

} // namespace

Result<ColourChart> readChart(std::string_view text, const std::string& file) {
    const auto wrong = [&](std::string got) {
        return Error{ErrorCode::WrongFormat, file, {}, std::move(got), kExpected};
    };
    if (text.empty()) // the library would abort
        return wrong("an empty file");
    if (lowered(text).find(".include") != std::string::npos)
        return wrong("a table that names another file");
    Said said;
    const Context context(cmsCreateContext(nullptr, &said));
    if (!context)
        return wrong({});
    cmsSetLogErrorHandlerTHR(context.get(), keepFirst);
    const Table table(
        cmsIT8LoadFromMem(context.get(), text.data(), static_cast<cmsUInt32Number>(text.size())));
    if (!table)
        return wrong(said.first);
    const auto columns = chartColumns(table.get());
    const double sets = cmsIT8GetPropertyDbl(table.get(), "NUMBER_OF_SETS");
    if (!columns || !(sets >= 1))
        return wrong("no patches with colours");
    if (sets > static_cast<double>(kMostPatches))
        return wrong(exact(sets) + " patches; at most " + std::to_string(kMostPatches));
    ColourChart chart;
    if (const char* title = cmsIT8GetProperty(table.get(), "DESCRIPTOR"))
        chart.title = title;
    double most = 0;
    for (int row = 0; row < static_cast<int>(sets); ++row) {
        const char* id = cmsIT8GetDataRowCol(table.get(), row, columns->id);
        ChartPatch patch{id ? id : "", {}};
        for (std::size_t i = 0; i < 3; ++i) {
            const auto value =
                chartNumber(cmsIT8GetDataRowCol(table.get(), row, columns->colour[i]));
            if (!value || std::abs(*value) > 1000)
                return wrong("patch " + patch.id + ": no number");
            patch.colour[i] = *value;
        }
        if (columns->lab)
            patch.colour = xyzFromLab(patch.colour);
        most = std::max(most, patch.colour[1]);
        chart.patches.push_back(std::move(patch));
    }
    if (!columns->lab && most > 1.5)
        for (auto& patch : chart.patches)
            for (auto& one : patch.colour)
                one /= 100;
    if (!orderByName(chart)) {
        chart.columns = likelyColumns(static_cast<int>(chart.patches.size()));
        chart.rows = static_cast<int>(chart.patches.size()) / chart.columns;
    }
    return chart;
}

} // namespace bslate::io
