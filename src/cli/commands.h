#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <iosfwd>
#include <optional>
#include <string>
#include <vector>

/// One verb each: options in, output written, exit code out. Failures are returned as errors and
/// worded by run().
namespace bslate::cli {

struct CheckOptions {
    std::string file;
    std::string setup; ///< id or number; empty for all
    bool json = false;
};
[[nodiscard]] Result<int> check(const CheckOptions& options, std::ostream& out);

struct CurveOptions {
    std::string curve;   ///< acescct, bt709, hlg or a kit file
    std::string profile; ///< which one of the kit file
    std::string stops;   ///< FROM:TO:STEP
    int bits = 10;
    bool json = false;
};
[[nodiscard]] Result<int> curve(const CurveOptions& options, std::ostream& out);

struct ExposeOptions {
    std::string kit, camera, profile, mode;
    std::string ei, base, iris, rate, shutter;
    std::vector<std::string> nd;
    std::vector<std::string> patches; ///< NAME=READING, READING may end in "@ 36 %"
    std::string school = "nominal";
    double snr = 2.0;
    double meterK = 12.5;
    bool json = false;
};
[[nodiscard]] Result<int> expose(const ExposeOptions& options, std::ostream& out);

struct LutOptions {
    std::string file, setup, output;
    int size = 33; ///< 33 or 65; ignored for a 1D LUT
    bool oneDimensional = false;
};
[[nodiscard]] Result<int> lut(const LutOptions& options, std::ostream& out);

struct ModesOptions {
    std::string kit, camera;
    std::string rate;    ///< only this one; empty for all
    std::string base;    ///< what footage plays at; 24 when empty
    std::string profile; ///< judged for this profile; empty: none chosen
    bool externalPower = false;
    bool json = false;
};
/// Lists every cell of a camera's mode lattice.
[[nodiscard]] Result<int> modes(const ModesOptions& options, std::ostream& out);

struct PrecisionOptions {
    std::string file, setup;
    int bits = 0; ///< 8 to 16; 0 for the mode's own
    bool json = false;
};
/// Codes, display steps and noise of each stop of a setup's recording; exit code 1 when it bands.
[[nodiscard]] Result<int> precision(const PrecisionOptions& options, std::ostream& out);

struct ShutterOptions {
    std::string rate, angle, time;
    std::string steps;               ///< third, half, list:1/50,1/100 or angle:0.1; may be empty
    std::vector<std::string> lights; ///< HZ[:depth[:waveform]]; they share the light equally
    std::string readout;             ///< milliseconds; may be empty
    bool json = false;
};
/// What a shutter does to pulsed light; exit code 1 when the pulsing can be seen.
[[nodiscard]] Result<int> shutter(const ShutterOptions& options, std::ostream& out);

/// Reads a kit or a shoot and says whether it is sound, by its "format".
struct ValidateOptions {
    std::string file;
    bool json = false;
};
[[nodiscard]] Result<int> validate(const ValidateOptions& options, std::ostream& out);

/// The setup with this id or number, or null; and the error that lists what there is.
[[nodiscard]] const Setup* setupNamed(const Shoot& shoot, const std::string& name);
[[nodiscard]] Error noSetup(const Shoot& shoot, const std::string& file, const std::string& name);

} // namespace bslate::cli
