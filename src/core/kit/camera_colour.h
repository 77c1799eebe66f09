#pragma once

#include "core/kit/camera.h"
#include "core/light/colour_chart.h"
#include "core/light/white_gains.h"

namespace bslate {

/// The response of a body to the colour of light: its native primaries or the generic ones, set
/// right by the gains that were found on it.
class CameraColour {
public:
    explicit CameraColour(const Camera& camera);

    /// Gains in stops that make a light neutral, green 0: by the primaries, plus what the nearest
    /// found gains say they are off by, straight in mired between two of them.
    [[nodiscard]] PerChannel gains(ColourPoint light) const;

    /// Nothing is known of this body.
    [[nodiscard]] bool isGeneric() const { return m_generic; }
    [[nodiscard]] const Matrix3& matrix() const { return m_matrix; }

private:
    Matrix3 m_matrix;
    std::vector<std::pair<Mired, PerChannel>> m_off; ///< ascending
    bool m_generic = true;
};

/// The camera with the primaries of a sensor that was found, in ten thousandths; and, of channels
/// that came without gains, those of its light, whole kelvin, in place of others at that white. A
/// light more than 0.003 Duv off the usual gives none: gains are told by kelvin alone.
[[nodiscard]] Camera withSensor(Camera camera, const SensorFit& fit, ColourPoint light,
                                bool tellsGains);

} // namespace bslate
