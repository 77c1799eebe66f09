#include "io/colour/clf_file.h"

#include "core/quantity/print.h"
#include "io/colour/ocio.h"

#include <cmath>
#include <locale>
#include <sstream>
#include <vector>

namespace bslate::io {
namespace {

constexpr unsigned long kTable = 4096;
constexpr unsigned long kColourCube = 33;

// Academy S-2016-001 as a shaper: straight through black, logarithmic up to light 222.
const CameraLog kShaper = std::get<CameraLog>(acescct().family);

OCIO::TransformRcPtr logTransform(const CameraLog& log, OCIO::TransformDirection direction) {
    struct Triple {
        double values[3];
        explicit Triple(double value)
            : values{value, value, value} {}
    };
    auto transform = OCIO::LogCameraTransform::Create(Triple(log.linSideBreak).values);
    transform->setBase(log.base);
    transform->setLogSideSlopeValue(Triple(log.logSideSlope).values);
    transform->setLogSideOffsetValue(Triple(log.logSideOffset).values);
    transform->setLinSideSlopeValue(Triple(log.linSideSlope).values);
    transform->setLinSideOffsetValue(Triple(log.linSideOffset).values);
    if (log.linearSlope)
        transform->setLinearSlopeValue(Triple(*log.linearSlope).values);
    transform->setDirection(direction);
    return transform;
}

// A 1D table over 0..1 of what `value` gives.
template<class Value>
OCIO::TransformRcPtr table(Value value) {
    auto lut = OCIO::Lut1DTransform::Create(kTable, false);
    for (unsigned long i = 0; i < kTable; ++i) {
        const auto entry =
            static_cast<float>(value(static_cast<double>(i) / static_cast<double>(kTable - 1)));
        lut->setValue(i, entry, entry, entry);
    }
    lut->setFileOutputBitDepth(OCIO::BIT_DEPTH_F32);
    return lut;
}

OCIO::TransformRcPtr decodeTransform(const Curve& curve) {
    if (const auto* log = std::get_if<CameraLog>(&curve.family))
        return logTransform(*log, OCIO::TRANSFORM_DIR_INVERSE);
    return table([&](double signal) { return decode(curve, Signal(signal)).value(); });
}

OCIO::TransformRcPtr matrixTransform(const RatingLut& lut) {
    const auto matrix = convert(lut.gamut, gamutBt709());
    const double gain = ratio(lut.gain);
    double values[16] = {};
    values[15] = 1;
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            values[4 * row + column] = matrix[row][column] * gain;
    auto transform = OCIO::MatrixTransform::Create();
    transform->setMatrix(values);
    return transform;
}

double toneOf(const RatingLut& lut, double light) {
    if (!lut.look)
        return shownSignal(lut.curve, lut.ready, SceneLinear(light)).value();
    const Curve tone{lut.look->tone, CodeRange::Legal, std::nullopt};
    return std::clamp(encode(tone, SceneLinear(light)).value(), 0.0, 1.0);
}

OCIO::TransformRcPtr colourTransform(const ColourLook& look) {
    auto cube = OCIO::Lut3DTransform::Create(kColourCube);
    const auto at = [](unsigned long i) {
        return static_cast<double>(i) / static_cast<double>(kColourCube - 1);
    };
    for (unsigned long r = 0; r < kColourCube; ++r)
        for (unsigned long g = 0; g < kColourCube; ++g)
            for (unsigned long b = 0; b < kColourCube; ++b) {
                const auto rgb = applyColour(look, {at(r), at(g), at(b)});
                const auto clamped = [&](std::size_t c) {
                    return static_cast<float>(std::clamp(rgb[c], 0.0, 1.0));
                };
                cube->setValue(r, g, b, clamped(0), clamped(1), clamped(2));
            }
    cube->setFileOutputBitDepth(OCIO::BIT_DEPTH_F32);
    return cube;
}

// XML has no way to write most control characters, and names may hold them.
std::string xmlText(std::string text) {
    for (char& c : text)
        if (const auto byte = static_cast<unsigned char>(c); byte < 0x20 || byte == 0x7F)
            c = ' ';
    return text;
}

void describeIn(OCIO::FormatMetadata& metadata, const LutNote& note) {
    metadata.setName(xmlText(note.title).c_str());
    for (const auto& comment : note.comments)
        metadata.addChildElement("Description", xmlText(comment).c_str());
}

Result<std::string> written(const OCIO::GroupTransformRcPtr& group, const char* format) {
    try {
        std::ostringstream out;
        out.imbue(std::locale::classic());
        group->write(OCIO::Config::CreateRaw(), format, out);
        return out.str();
    } catch (const OCIO::Exception& problem) {
        return Error{ErrorCode::FileUnwritable,
                     {},
                     format,
                     {},
                     std::string("a transform the library can write (it says: ") + problem.what() +
                         ")"};
    }
}

OCIO::CDLTransformRcPtr correction(const std::string& id, const std::string& about) {
    auto cdl = OCIO::CDLTransform::Create();
    cdl->getFormatMetadata().setID(id.c_str());
    cdl->setFirstSOPDescription(about.c_str());
    return cdl;
}

} // namespace

Result<std::string> clfText(const RatingLut& lut, const LutNote& note) {
    ocioQuiet();
    auto group = OCIO::GroupTransform::Create();
    describeIn(group->getFormatMetadata(), note);
    group->getFormatMetadata().setID("bright-slate");
    group->appendTransform(decodeTransform(lut.curve));
    group->appendTransform(matrixTransform(lut));
    group->appendTransform(logTransform(kShaper, OCIO::TRANSFORM_DIR_FORWARD));
    const Curve shaper = acescct();
    group->appendTransform(
        table([&](double shaped) { return toneOf(lut, decode(shaper, Signal(shaped)).value()); }));
    if (lut.look && !(lut.look->colour == ColourLook{}))
        group->appendTransform(colourTransform(lut.look->colour));
    return written(group, "Academy/ASC Common LUT Format");
}

Result<std::string> cdlText(const RatingLut& lut, CdlForm form, const LutNote& note) {
    ocioQuiet();
    auto group = OCIO::GroupTransform::Create();
    for (const auto& line : note.comments)
        if (line.find("Output") == std::string::npos)
            group->getFormatMetadata().addChildElement("Description", xmlText(line).c_str());
    const double gain = ratio(lut.gain);
    std::vector<OCIO::CDLTransformRcPtr> ratings;
    // The signal that people put a CDL on comes first.
    if (const auto* log = std::get_if<CameraLog>(&lut.curve.family)) {
        auto shifted = correction("rating-log", "For the recorded log signal: the rating alone; "
                                                "darks near its straight part differ");
        const double shift = log->logSideSlope * std::log2(gain) / std::log2(log->base);
        const double offset[3] = {shift, shift, shift};
        shifted->setOffset(offset);
        ratings.push_back(shifted);
    }
    auto linear = correction("rating-linear", "For scene-linear light: the rating alone");
    const double slope[3] = {gain, gain, gain};
    linear->setSlope(slope);
    ratings.push_back(linear);
    for (const auto& rating : ratings) {
        group->appendTransform(rating);
        if (form == CdlForm::Correction)
            return written(group, "ColorCorrection");
    }
    if (lut.look) {
        auto colour = correction("look-saturation", "For the display signal: the look's "
                                                    "saturation; its tone needs the LUT");
        colour->setSat(lut.look->colour.saturation);
        group->appendTransform(colour);
    }
    return written(group,
                   form == CdlForm::Collection ? "ColorCorrectionCollection" : "ColorDecisionList");
}

} // namespace bslate::io
