#include "io/colour/transform_reader.h"

#include "core/quantity/print.h"
#include "io/colour/colour_config.h"
#include "io/colour/transform_file.h"
#include "io/colour/transform_references.h"
#include "io/system/files.h"
#include "io/text/lut_text.h"

#include <algorithm>
#include <cmath>

namespace bslate::io {
namespace {

constexpr int kNeutralSteps = 4096;
constexpr int kGridSteps = 5;
constexpr double kBrightest = 100; // light, nine stops over mid-grey

Error unusable(std::string got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, {}, std::move(got), std::move(expected)};
}

std::optional<Gamut> gamutOfSpace(LightSpace space) {
    switch (space) {
    case LightSpace::Ap0:
        return gamutAp0();
    case LightSpace::Ap1:
        return gamutAp1();
    case LightSpace::Bt709:
        return gamutBt709();
    case LightSpace::Bt2020:
        return gamutBt2020();
    case LightSpace::Own:
    case LightSpace::Xyz:
        break;
    }
    return std::nullopt;
}

// The transform from signal to light, with its neutral axis sampled.
struct Decoder {
    OCIO::ConstCPUProcessorRcPtr processor;
    std::vector<double> neutral; ///< light at i / (size - 1)

    [[nodiscard]] std::array<double, 3> at(std::array<double, 3> signal) const {
        float rgb[3];
        std::copy(signal.begin(), signal.end(), rgb);
        processor->applyRGB(rgb);
        return {rgb[0], rgb[1], rgb[2]};
    }
    [[nodiscard]] double neutralAt(double signal) const {
        const auto rgb = at({signal, signal, signal});
        return (rgb[0] + rgb[1] + rgb[2]) / 3.0;
    }
};

OCIO::ConstCPUProcessorRcPtr processorOf(const OCIO::ConstTransformRcPtr& transform,
                                         OCIO::TransformDirection direction) {
    return OCIO::Config::CreateRaw()
        ->getProcessor(transform, direction)
        ->getOptimizedCPUProcessor(OCIO::BIT_DEPTH_F32, OCIO::BIT_DEPTH_F32,
                                   OCIO::OPTIMIZATION_LOSSLESS);
}

std::vector<double> neutralOf(const Decoder& decoder) {
    std::vector<double> light(kNeutralSteps);
    for (int i = 0; i < kNeutralSteps; ++i)
        light[static_cast<std::size_t>(i)] =
            decoder.neutralAt(static_cast<double>(i) / (kNeutralSteps - 1));
    return light;
}

// Light grows faster than signal where a signal is decoded: its middle lies under the chord.
bool looksLikeDecoding(const std::vector<double>& axis) {
    const double middle = axis[axis.size() / 2];
    return middle < 0.5 * (axis.front() + axis.back());
}

Result<Decoder> decoderOf(const OCIO::ConstTransformRcPtr& transform, TransformSense sense) {
    try {
        Decoder decoder;
        decoder.processor = processorOf(transform, OCIO::TRANSFORM_DIR_FORWARD);
        decoder.neutral = neutralOf(decoder);
        if (sense == TransformSense::LightToSignal ||
            (sense == TransformSense::Auto && !looksLikeDecoding(decoder.neutral))) {
            decoder.processor = processorOf(transform, OCIO::TRANSFORM_DIR_INVERSE);
            decoder.neutral = neutralOf(decoder);
        }
        return decoder;
    } catch (const OCIO::Exception& problem) {
        return unusable({}, std::string("a transform the library can apply (it says: ") +
                                problem.what() + ")");
    }
}

// The rising part of the neutral axis: flat ends, where a table clamps, are left out.
Result<std::vector<FitPoint>> neutralPoints(const Decoder& decoder) {
    const auto& light = decoder.neutral;
    for (const double value : light)
        if (!std::isfinite(value) || std::abs(value) > 1e12)
            return unusable("not a number, or beyond all light", "finite light on the grey axis");
    std::size_t first = 0, last = light.size() - 1;
    while (first + 1 < light.size() && !(light[first + 1] > light[first]))
        ++first;
    while (last > first && !(light[last] > light[last - 1]))
        --last;
    std::vector<FitPoint> points;
    for (std::size_t i = first; i <= last; ++i) {
        if (i > first && light[i] < light[i - 1] * (1 - 1e-5) - 1e-9)
            return unusable("light that falls at signal " +
                                fixedText(static_cast<double>(i) / (kNeutralSteps - 1), 4),
                            "light that rises along the grey axis");
        if (points.empty() || light[i] > points.back().light.value())
            points.push_back(
                {SceneLinear(light[i]), Signal(static_cast<double>(i) / (kNeutralSteps - 1)), 1.0});
    }
    if (points.size() < 16 || !(points.back().light.value() > 0))
        return unusable("a grey axis that hardly rises", "light that rises along the grey axis");
    return points;
}

// Linear camera colour to the transform's space, from how light answers each channel alone.
std::optional<Matrix3> matrixOf(const Decoder& decoder, double low, double high) {
    const double range = decoder.neutralAt(high) - decoder.neutralAt(low);
    if (!(std::abs(range) > 1e-9))
        return std::nullopt;
    const auto base = decoder.at({low, low, low});
    Matrix3 matrix{};
    for (std::size_t c = 0; c < 3; ++c) {
        std::array<double, 3> signal{low, low, low};
        signal[c] = high;
        const auto out = decoder.at(signal);
        for (std::size_t row = 0; row < 3; ++row)
            matrix[row][c] = (out[row] - base[row]) / range;
    }
    return matrix;
}

double colourMiss(const Decoder& decoder, const Matrix3& matrix, double low, double high) {
    double worst = 0;
    const auto level = [&](int i) { return low + (high - low) * i / (kGridSteps - 1); };
    for (int i = 0; i < kGridSteps * kGridSteps * kGridSteps; ++i) {
        const std::array<double, 3> signal{level(i % kGridSteps),
                                           level(i / kGridSteps % kGridSteps),
                                           level(i / (kGridSteps * kGridSteps))};
        const auto out = decoder.at(signal);
        for (std::size_t row = 0; row < 3; ++row) {
            double split = 0, size = kMidGrey.value();
            for (std::size_t c = 0; c < 3; ++c) {
                const double light = decoder.neutralAt(signal[c]);
                split += matrix[row][c] * light;
                size = std::max(size, std::abs(light));
            }
            if (split < 0 && out[row] >= 0 && out[row] < 1e-9)
                continue; // colours outside the space are cut off at black
            worst = std::max(worst, std::abs(split - out[row]) / size);
        }
    }
    return worst;
}

Result<std::optional<Gamut>> gamutFrom(const Matrix3& matrix, LightSpace space) {
    if (space == LightSpace::Own)
        return std::optional<Gamut>();
    const auto known = gamutOfSpace(space);
    const auto gamut = gamutOf(known ? product(rgbToXyz(*known), matrix) : matrix);
    if (!gamut)
        return unusable("a matrix that folds colours together", "a matrix that can be inverted");
    return std::optional(*gamut);
}

Result<ImportedTransform> takeApart(const OCIO::ConstTransformRcPtr& transform, std::string name,
                                    const ImportOptions& options) {
    const auto decoder = decoderOf(transform, options.sense);
    if (!decoder)
        return decoder.error();
    const auto axis = neutralPoints(*decoder);
    if (!axis)
        return axis.error();
    auto points = *axis;
    const double low = points.front().signal.value(), high = points.back().signal.value();
    const double at0 = low + 0.35 * (high - low), at1 = low + 0.65 * (high - low);
    const auto matrix = matrixOf(*decoder, at0, at1);
    if (!matrix)
        return unusable("a flat middle", "light that rises along the grey axis");
    ImportedTransform result;
    result.name = std::move(name);
    // Tables clamp far above any scene, and not in every channel at once.
    const auto bright = std::find_if(points.begin(), points.end(), [](const FitPoint& point) {
        return point.light.value() > kBrightest;
    });
    result.colourMiss =
        colourMiss(*decoder, *matrix, low, bright == points.end() ? high : bright->signal.value());
    if (result.splits()) {
        const auto gamut = gamutFrom(*matrix, options.space);
        if (!gamut)
            return gamut.error();
        result.gamut = *gamut;
    }
    if (options.grey) {
        const double light = decoder->neutralAt(options.grey->value());
        if (!(light > 0))
            return unusable("no light at the signal of mid-grey", "a signal inside the curve");
        for (auto& point : points)
            point.light = point.light * (kMidGrey.value() / light);
    }
    auto curve = fitCurve(points, options.range);
    if (!curve)
        return curve.error();
    result.curve = *std::move(curve);
    if (high < 1.0 - 1e-9 && options.range == CodeRange::Full)
        result.curve.curve.end = Signal(high);
    return result;
}

// A plain cube handed over as numbers: the library's own reader takes many times as long.
OCIO::ConstTransformRcPtr fromCube(const CubeTable& table) {
    auto cube = OCIO::Lut3DTransform::Create(static_cast<unsigned long>(table.side));
    cube->setInterpolation(OCIO::INTERP_LINEAR);
    const auto side = static_cast<unsigned long>(table.side);
    const float* at = table.values.data();
    for (unsigned long b = 0; b < side; ++b)
        for (unsigned long g = 0; g < side; ++g)
            for (unsigned long r = 0; r < side; ++r, at += 3)
                cube->setValue(r, g, b, at[0], at[1], at[2]);
    return cube;
}

OCIO::ConstTransformRcPtr fromFile(const std::filesystem::path& path) {
    auto file = OCIO::FileTransform::Create();
    file->setSrc(path.c_str());
    file->setInterpolation(OCIO::INTERP_LINEAR);
    return file;
}

std::string lowered(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(), [](unsigned char c) {
        return static_cast<char>(c >= 'A' && c <= 'Z' ? c - 'A' + 'a' : c);
    });
    return text;
}

// A file that this one names keeps its own name in the message.
Error inFile(Error error, const std::filesystem::path& path) {
    if (error.file.empty())
        error.file = path.filename().string();
    return error;
}

// A transform, and the files that were read for it besides the one that was asked for.
using Opened = ConfigTransform;

Result<Opened> openedFile(OCIO::ConstTransformRcPtr transform, const std::filesystem::path& path) {
    const auto folder = std::filesystem::absolute(path).parent_path();
    auto files =
        filesBehind(path, folder, [&](const std::string& named) { return folder / named; });
    if (!files)
        return files.error();
    auto list = *std::move(files);
    list.erase(list.begin());
    if (list.empty())
        return Opened{std::move(transform), {}};
    try { // what is named is found from the folder, as it was looked at
        auto config = OCIO::Config::CreateRaw()->createEditableCopy();
        config->setWorkingDir(folder.c_str());
        return Opened{config->getProcessor(transform)->createGroupTransform(), std::move(list)};
    } catch (const OCIO::Exception& problem) {
        return unusable({}, std::string("a transform the library can apply (it says: ") +
                                problem.what() + ")");
    }
}

// Nothing is handed to the library before its size, its numbers and what it names have been looked
// at.
Result<Opened> transformIn(const std::filesystem::path& path, const ImportOptions& options) {
    const auto kind = lowered(path.extension().string());
    if (kind == ".ocio") {
        const auto config = openConfig(path);
        return config ? transformFrom(*config, options.colourSpace) : config.error();
    }
    const auto text = readFile(path, kLargestTransform);
    if (!text)
        return text.error();
    if (kind == ".cube") {
        const auto table = readCubeText(*text);
        if (!table)
            return table.error();
        return table->side > 0 ? Opened{fromCube(*table), {}} : openedFile(fromFile(path), path);
    }
    if (kind == ".spi1d" || kind == ".spi3d") {
        const auto looked =
            checkLutText(*text, kind == ".spi1d" ? LutTextKind::Spi1d : LutTextKind::Spi3d);
        return looked ? openedFile(fromFile(path), path) : looked.error();
    }
    if (kind == ".clf" || kind == ".ctf")
        return openedFile(fromFile(path), path);
    return Error{
        ErrorCode::WrongFormat, {}, {}, kind, ".cube, .spi1d, .spi3d, .clf, .ctf or .ocio"};
}

} // namespace

Result<ImportedTransform> readTransform(const std::filesystem::path& path,
                                        const ImportOptions& options) {
    ocioQuiet();
    const auto opened = transformIn(path, options);
    if (!opened)
        return inFile(opened.error(), path);
    const bool config = lowered(path.extension().string()) == ".ocio";
    auto name = config ? options.colourSpace : path.stem().string();
    auto taken = takeApart(opened->transform, std::move(name), options);
    if (!taken)
        return inFile(taken.error(), path);
    ImportedTransform result = *std::move(taken);
    for (const auto& file : opened->files)
        result.files.push_back(file.filename().string());
    return result;
}

Result<Colours> readThrough(const std::filesystem::path& path, const Colours& colours) {
    ocioQuiet();
    const auto opened = transformIn(path, {});
    if (!opened)
        return inFile(opened.error(), path);
    try {
        const auto processor = processorOf(opened->transform, OCIO::TRANSFORM_DIR_FORWARD);
        Colours out;
        for (const auto& colour : colours) {
            float rgb[3] = {static_cast<float>(colour[0]), static_cast<float>(colour[1]),
                            static_cast<float>(colour[2])};
            processor->applyRGB(rgb);
            out.push_back({rgb[0], rgb[1], rgb[2]});
        }
        return out;
    } catch (const OCIO::Exception& problem) {
        return inFile(unusable({}, std::string("a transform the library can apply (it says: ") +
                                       problem.what() + ")"),
                      path);
    }
}

Result<std::vector<std::string>> readColourSpaces(const std::filesystem::path& path) {
    auto opened = openConfig(path);
    return opened ? Result(std::move(opened->spaces)) : opened.error();
}

namespace {

OCIO::ConstTransformRcPtr builtIn(const OCIO::ConstBuiltinTransformRegistryRcPtr& registry,
                                  std::size_t index) {
    auto transform = OCIO::BuiltinTransform::Create();
    transform->setStyle(registry->getBuiltinStyle(index));
    return transform;
}

// A recorded signal reaches scene light well beyond diffuse white, and not all there is.
Outcome decodesARecording(const OCIO::ConstTransformRcPtr& transform) {
    constexpr double kBeyondWhite = 1.5;
    constexpr std::string_view wanted = "a transform that turns a recorded signal into scene light";
    const auto decoder = decoderOf(transform, TransformSense::SignalToLight);
    if (!decoder)
        return decoder.error();
    if (const auto axis = neutralPoints(*decoder); !axis)
        return axis.error();
    if (!looksLikeDecoding(decoder->neutral))
        return unusable("a transform that makes a picture for a display out of light",
                        std::string(wanted));
    if (!(decoder->neutral.back() > kBeyondWhite))
        return unusable("a transform that ends at diffuse white, as a display's picture does",
                        std::string(wanted));
    return Done{};
}

} // namespace

std::vector<BuiltIn> builtInTransforms() {
    ocioQuiet();
    const auto registry = OCIO::BuiltinTransformRegistry::Get();
    std::vector<BuiltIn> list;
    for (std::size_t i = 0; i < registry->getNumBuiltins(); ++i) {
        list.push_back({i, registry->getBuiltinStyle(i), registry->getBuiltinDescription(i),
                        decodesARecording(builtIn(registry, i)).ok()});
    }
    return list;
}

Result<ImportedTransform> importBuiltIn(std::size_t index) {
    ocioQuiet();
    const auto registry = OCIO::BuiltinTransformRegistry::Get();
    if (index >= registry->getNumBuiltins())
        return unusable(std::to_string(index),
                        "an index from 0 to " + std::to_string(registry->getNumBuiltins() - 1));
    if (auto recording = decodesARecording(builtIn(registry, index)); !recording)
        return recording.error();
    return takeApart(
        builtIn(registry, index), registry->getBuiltinStyle(index),
        {TransformSense::SignalToLight, LightSpace::Ap0, std::nullopt, {}, CodeRange::Full});
}

} // namespace bslate::io
