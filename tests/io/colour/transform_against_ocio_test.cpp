// Curves taken from the reference library and from files, against what the library itself computes.
#include "core/quantity/print.h"
#include "io/colour/transform_file.h"
#include "io/system/files.h"
#include "support/library_log.h"
#include "support/temporary_folder.h"

#include <OpenColorIO/OpenColorIO.h>
#include <gtest/gtest.h>

#include <cmath>
#include <fstream>
#include <sstream>

namespace ocio = OCIO_NAMESPACE;

namespace bslate::io {
namespace {

using sample::TemporaryFolder;

ocio::ConstCPUProcessorRcPtr processorFor(std::size_t index) {
    auto transform = ocio::BuiltinTransform::Create();
    transform->setStyle(ocio::BuiltinTransformRegistry::Get()->getBuiltinStyle(index));
    return ocio::Config::CreateRaw()
        ->getProcessor(ocio::ConstTransformRcPtr(transform))
        ->getOptimizedCPUProcessor(ocio::OPTIMIZATION_LOSSLESS);
}

bool holdsACameraLog(std::size_t index) {
    auto transform = ocio::BuiltinTransform::Create();
    transform->setStyle(ocio::BuiltinTransformRegistry::Get()->getBuiltinStyle(index));
    const auto group = ocio::Config::CreateRaw()
                           ->getProcessor(ocio::ConstTransformRcPtr(transform))
                           ->createGroupTransform();
    for (int i = 0; i < group->getNumTransforms(); ++i)
        if (group->getTransform(i)->getTransformType() == ocio::TRANSFORM_TYPE_LOG_CAMERA)
            return true;
    return false;
}

// Every transform of the installed library that decodes with its camera-log operator, whatever it
// is called: the fitted curve gives the signal back to half a 10-bit code over the whole axis, and
// the gamut gives the library's light to 1e-4. What the operator is, the library says itself.
TEST(BuiltIns, EveryCameraLogOfTheLibraryIsFitted) {
    int logs = 0;
    for (const auto& item : builtInTransforms()) {
        if (!item.camera || !holdsACameraLog(item.index))
            continue;
        const auto imported = importBuiltIn(item.index);
        ASSERT_TRUE(imported.ok()) << item.index;
        SCOPED_TRACE(item.index);
        EXPECT_FALSE(imported->curve.sampled) << tenBitCodes(imported->curve.worstAsLog);
        EXPECT_TRUE(imported->splits()) << imported->colourMiss;
        ASSERT_TRUE(imported->gamut);
        ++logs;
        const auto cpu = processorFor(item.index);
        const auto matrix = convert(*imported->gamut, gamutAp0());
        for (int code = 1; code < 1023; code += 7) {
            const auto signal = static_cast<float>(code / 1023.0);
            float rgb[3] = {signal, signal, signal};
            cpu->applyRGB(rgb);
            const Signal back =
                encode(imported->curve.curve, SceneLinear((rgb[0] + rgb[1] + rgb[2]) / 3.0));
            EXPECT_LT(std::abs(tenBitCodes(back - Signal(signal))), 0.5) << code;
        }
        for (std::size_t c = 0; c < 3; ++c) {
            float base[3] = {0.4f, 0.4f, 0.4f}, one[3] = {0.4f, 0.4f, 0.4f};
            one[c] = 0.5f;
            const double light = (decode(imported->curve.curve, Signal(0.5)) -
                                  decode(imported->curve.curve, Signal(0.4f)))
                                     .value();
            cpu->applyRGB(base);
            cpu->applyRGB(one);
            for (std::size_t row = 0; row < 3; ++row)
                EXPECT_NEAR(matrix[row][c], (one[row] - base[row]) / light, 1e-4) << row << c;
        }
    }
    EXPECT_GE(logs, 5) << "the library knows more than a handful";
}

// Everything else that decodes is kept as a table that misses by less than half a code too.
TEST(BuiltIns, WhatIsNoCameraLogIsKeptAsATable) {
    int tables = 0;
    for (const auto& item : builtInTransforms())
        if (item.camera)
            if (const auto imported = importBuiltIn(item.index);
                imported.ok() && imported->curve.sampled) {
                EXPECT_LT(tenBitCodes(imported->curve.worst), 0.5) << item.index;
                ++tables;
            }
    EXPECT_GE(tables, 1);
    EXPECT_FALSE(importBuiltIn(100000).ok());
}

const CameraLog kLog{2, 0.0735, 0.4, 6, 0.05, 0.01, {}};

// Our log and a gamut's matrix, written by the library in each of its own formats.
class TransformFiles : public ::testing::TestWithParam<const char*> {};

TEST_P(TransformFiles, ComeBackAsCurveAndGamut) {
    const TemporaryFolder folder;
    auto log = sample::libraryLog(kLog);
    log->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    const auto toAp0 = convert(gamutBt2020(), gamutAp0());
    double values[16] = {};
    values[15] = 1;
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            values[4 * row + column] = toAp0[row][column];
    auto matrix = ocio::MatrixTransform::Create();
    matrix->setMatrix(values);
    auto group = ocio::GroupTransform::Create();
    group->appendTransform(log);
    group->appendTransform(matrix);
    const std::string suffix = GetParam();
    const auto path = folder / ("ours" + suffix);
    {
        std::ofstream out(path);
        group->write(ocio::Config::CreateRaw(),
                     suffix == ".clf" ? "Academy/ASC Common LUT Format" : "Color Transform Format",
                     out);
    }
    const auto imported = importTransform(path);
    ASSERT_TRUE(imported.ok()) << message(imported.error());
    EXPECT_EQ(imported->name, "ours");
    EXPECT_FALSE(imported->curve.sampled);
    EXPECT_LT(tenBitCodes(imported->curve.worst), 0.1);
    const auto back = convert(*imported->gamut, gamutAp0());
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            EXPECT_NEAR(back[row][column], toAp0[row][column], 1e-4);
    // Read the other way round it is the same curve.
    group->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    {
        std::ofstream out(path);
        group->write(ocio::Config::CreateRaw(),
                     suffix == ".clf" ? "Academy/ASC Common LUT Format" : "Color Transform Format",
                     out);
    }
    const auto encoded = importTransform(path);
    ASSERT_TRUE(encoded.ok()) << message(encoded.error());
    EXPECT_NEAR(encode(encoded->curve.curve, kMidGrey).value(), 0.41296, 1e-4);
}

INSTANTIATE_TEST_SUITE_P(Formats, TransformFiles, ::testing::Values(".clf", ".ctf"),
                         [](const auto& at) { return std::string(at.param + 1); });

std::string tableText(const char* kind, int size) {
    const Curve curve{kLog, CodeRange::Full, {}};
    std::ostringstream text;
    text.precision(9);
    const std::string format = kind;
    if (format == ".spi1d")
        text << "Version 1\nFrom 0 1\nLength " << size << "\nComponents 1\n{\n";
    else if (format == ".spi3d")
        text << "SPILUT 1.0\n3 3\n" << size << " " << size << " " << size << "\n";
    else
        text << "# invented\n"
             << (format == "3d" ? "LUT_3D_SIZE " : "LUT_1D_SIZE ") << size << "\n";
    const auto light = [&](int i) {
        return decode(curve, Signal(static_cast<double>(i) / (size - 1))).value();
    };
    if (format == ".spi1d" || format == ".cube") {
        for (int i = 0; i < size; ++i) {
            text << light(i);
            if (format == ".cube")
                text << " " << light(i) << " " << light(i);
            text << "\n";
        }
        return text.str() + (format == ".spi1d" ? "}\n" : "");
    }
    for (int a = 0; a < size; ++a)
        for (int b = 0; b < size; ++b)
            for (int c = 0; c < size; ++c) {
                if (format == ".spi3d")
                    text << a << " " << b << " " << c << " " << light(a) << " " << light(b) << " "
                         << light(c) << "\n";
                else
                    text << light(c) << " " << light(b) << " " << light(a) << "\n";
            }
    return text.str();
}

TEST(Tables, ComeBackAsTheCurveTheyWereMadeFrom) {
    const TemporaryFolder folder;
    const struct {
        const char *kind, *file;
        int size;
        double codes; // the table's own cells are that coarse
    } cases[] = {{".cube", "a.cube", 4096, 0.5},
                 {".spi1d", "a.spi1d", 4096, 0.5},
                 {"3d", "b.cube", 65, 6},
                 {".spi3d", "b.spi3d", 33, 20}};
    for (const auto& one : cases) {
        ASSERT_TRUE(writeFileAtomically(folder / one.file, tableText(one.kind, one.size)));
        ImportOptions options;
        options.space = LightSpace::Bt709;
        const auto imported = importTransform(folder / one.file, options);
        ASSERT_TRUE(imported.ok()) << message(imported.error());
        for (double stops = -4; stops < 6; stops += 0.5)
            EXPECT_NEAR(
                tenBitCodes(encode(imported->curve.curve, linearAt(Stops(stops)))),
                tenBitCodes(encode(Curve{kLog, CodeRange::Full, {}}, linearAt(Stops(stops)))),
                one.codes)
                << one.file << " " << stops;
    }
}

TEST(Tables, WithDecimalCommasAreRefusedAtTheirLine) {
    const TemporaryFolder folder;
    ASSERT_TRUE(
        writeFileAtomically(folder / "a.cube", "LUT_1D_SIZE 2\n0,0 0,0 0,0\n1,0 1,0 1,0\n"));
    const auto imported = importTransform(folder / "a.cube", {});
    ASSERT_FALSE(imported.ok());
    EXPECT_EQ(imported.error().place, "line 2");
    EXPECT_EQ(imported.error().expected, "numbers with a decimal point");
}

TEST(Tables, AreScaledToTheGreyTheyAreToldOf) {
    const TemporaryFolder folder;
    std::string text = "LUT_1D_SIZE 3000\n";
    for (int i = 0; i < 3000; ++i) { // a curve whose light ends at 1, as tables often have it
        const double x = decode(acescct(), Signal(0.2 + 0.5 * i / 2999)).value() / 8.0;
        const auto entry = fixedText(x, 6);
        text += entry + " " + entry + " " + entry + "\n";
    }
    ASSERT_TRUE(writeFileAtomically(folder / "a.cube", text));
    ImportOptions options;
    options.grey = Signal(0.4);
    const auto imported = importTransform(folder / "a.cube", options);
    ASSERT_TRUE(imported.ok()) << message(imported.error());
    EXPECT_NEAR(encode(imported->curve.curve, kMidGrey).value(), 0.4, 1e-3);
}

// A cube in every spelling of a number: what we read at once is what the library reads.
TEST(Tables, ACubeReadAtOnceShowsTheColoursTheLibraryReads) {
    const TemporaryFolder folder;
    const auto path = folder.path() / "cube.cube";
    const auto write = [&](int entries) {
        std::ostringstream text;
        text << "# by hand\nTITLE \"LUT_1D_SIZE 4\"\nLUT_3D_SIZE 3\nDOMAIN_MAX 1.0 1 1\n";
        const char* spelled[] = {"0",         "5e-2", ".125", "0.333333333333333333",
                                 "-0.015625", "+0.5", "1.",   "0.700001",
                                 "12.5E-1"};
        for (int i = 0; i < entries; ++i)
            text << spelled[i % 9] << "  " << spelled[i * 5 % 9] << '\t' << spelled[i * 7 % 9]
                 << " \r\n";
        ASSERT_TRUE(writeFileAtomically(path, text.str()).ok());
    };
    write(27);
    auto file = ocio::FileTransform::Create();
    file->setSrc(path.c_str());
    file->setInterpolation(ocio::INTERP_LINEAR);
    const auto cpu = ocio::Config::CreateRaw()->getProcessor(file)->getOptimizedCPUProcessor(
        ocio::OPTIMIZATION_LOSSLESS);
    std::vector<std::array<double, 3>> colours;
    for (int i = 0; i < 60; ++i)
        colours.push_back({i / 59.0, (i * 17 % 60) / 59.0, (i * 31 % 60) / 59.0});
    const auto seen = throughTransform(path, colours);
    ASSERT_TRUE(seen.ok());
    for (std::size_t i = 0; i < colours.size(); ++i) {
        float rgb[3] = {static_cast<float>(colours[i][0]), static_cast<float>(colours[i][1]),
                        static_cast<float>(colours[i][2])};
        cpu->applyRGB(rgb);
        for (std::size_t c = 0; c < 3; ++c)
            EXPECT_FLOAT_EQ(static_cast<float>((*seen)[i][c]), rgb[c]) << i;
    }
    for (const int entries : {26, 28}) {
        write(entries);
        const auto wrong = throughTransform(path, colours);
        ASSERT_FALSE(wrong.ok());
        EXPECT_EQ(wrong.error().got, std::to_string(entries) + " entries");
        EXPECT_EQ(wrong.error().expected, "27 for a cube of 3");
    }
}

TEST(Config, GivesItsColourSpaces) {
    const TemporaryFolder folder;
    auto config = ocio::Config::CreateRaw()->createEditableCopy();
    auto space = ocio::ColorSpace::Create();
    space->setName("House log");
    auto log = sample::libraryLog(kLog);
    log->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    space->setTransform(log, ocio::COLORSPACE_DIR_TO_REFERENCE);
    config->addColorSpace(space);
    auto linear = ocio::ColorSpace::Create();
    linear->setName("Linear");
    config->addColorSpace(linear);
    config->setRole("scene_linear", "Linear");
    {
        std::ofstream out(folder / "a.ocio");
        out << *config;
    }
    const auto names = colourSpacesOf(folder / "a.ocio");
    ASSERT_TRUE(names.ok());
    EXPECT_NE(std::find(names->begin(), names->end(), "House log"), names->end());
    ImportOptions options;
    options.colourSpace = "House log";
    const auto imported = importTransform(folder / "a.ocio", options);
    ASSERT_TRUE(imported.ok()) << message(imported.error());
    EXPECT_NEAR(encode(imported->curve.curve, kMidGrey).value(), 0.41296, 1e-4);
    options.colourSpace = "Nowhere";
    const auto refused = importTransform(folder / "a.ocio", options);
    ASSERT_FALSE(refused.ok());
    EXPECT_NE(refused.error().expected.find("House log"), std::string::npos);
}

struct Broken {
    const char *name, *file, *text, *place, *expected;
};

class BrokenTransform : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenTransform, IsRefusedWithItsLine) {
    const TemporaryFolder folder;
    const auto& broken = GetParam();
    ASSERT_TRUE(writeFileAtomically(folder / broken.file, broken.text));
    const auto imported = importTransform(folder / broken.file);
    ASSERT_FALSE(imported.ok());
    EXPECT_EQ(imported.error().file, broken.file);
    EXPECT_EQ(imported.error().place, broken.place);
    EXPECT_NE(imported.error().expected.find(broken.expected), std::string::npos)
        << message(imported.error());
}

INSTANTIATE_TEST_SUITE_P(
    Tables, BrokenTransform,
    ::testing::Values(
        Broken{"nan", "a.cube", "LUT_1D_SIZE 3\n0 0 0\nnan 0.5 0.5\n1 1 1\n", "line 3", "finite"},
        Broken{"falls", "a.cube", "LUT_1D_SIZE 3\n0 0 0\n0.5 0.5 0.5\n0.4 1 1\n", "line 4", "rise"},
        Broken{"huge", "a.cube", "LUT_3D_SIZE 4000000\n", "line 1", "2 to 129"},
        Broken{"tiny", "a.cube", "LUT_1D_SIZE 1\n0 0 0\n", "line 1", "2 to 65536"},
        Broken{"domain", "a.cube", "LUT_1D_SIZE 2\nDOMAIN_MAX inf 1 1\n0 0 0\n1 1 1\n", "line 2",
               "finite"},
        Broken{"no_size", "a.cube", "0 0 0\n1 1 1\n", "", "how large"},
        Broken{"short", "a.cube", "LUT_1D_SIZE 9\n0 0 0\n1 1 1\n", "", "library"},
        Broken{"spi_nan", "a.spi1d", "Version 1\nFrom 0 1\nLength 2\nComponents 1\n{\n0\ninf\n}\n",
               "line 7", "finite"},
        Broken{"spi3d_size", "a.spi3d", "SPILUT 1.0\n3 3\n900 900 900\n", "line 3", "2 to 129"},
        Broken{"clf", "a.clf", "<ProcessList><Log>", "", "library"},
        Broken{"config", "a.ocio", "ocio_profile_version: 99\n", "", "configuration"},
        Broken{"other", "a.png", "x", "", ".cube"},
        Broken{"flat", "a.cube", "LUT_1D_SIZE 3\n0.5 0.5 0.5\n0.5 0.5 0.5\n0.5 0.5 0.5\n", "",
               "rises"},
        Broken{"singular", "a.clf",
               "<?xml version=\"1.0\"?><ProcessList compCLFversion=\"3\" id=\"x\">"
               "<Log inBitDepth=\"32f\" outBitDepth=\"32f\" style=\"antiLog2\"/>"
               "<Matrix inBitDepth=\"32f\" outBitDepth=\"32f\"><Array dim=\"3 3\">"
               "1 0 0 1 0 0 1 0 0</Array></Matrix></ProcessList>",
               "", "inverted"}),
    [](const auto& at) { return at.param.name; });

TEST(Transforms, AMissingFileIsNamed) {
    EXPECT_EQ(importTransform("/nowhere/a.cube").error().code, ErrorCode::FileUnreadable);
    EXPECT_FALSE(throughTransform("/nowhere/a.cube", {{0, 0, 0}}).ok());
}

} // namespace
} // namespace bslate::io
