#pragma once

#include "app/document/shoot_document.h"
#include "app/widgets/footage_dialog.h"
#include "core/clip/footage_light.h"
#include "core/facts/evaluation.h"

class QComboBox;

namespace bslate::app {

/// Whose light was measured: a lamp's, that of a new lamp where none stands on its side, or, of a
/// scene without lamps, the light as a whole.
struct MeasuredLight {
    std::optional<std::size_t> lamp;    ///< its place in the scene
    LightSide side = LightSide::Unsaid; ///< of a new one; unsaid: the light as a whole
};
/// The scene with that light in this colour; a light that was told as a whole becomes the key where
/// another is added. Fails as withLamp() does.
[[nodiscard]] Result<Scene> withMeasured(Scene scene, const MeasuredLight& light,
                                         const LightColour& colour);

/// White measured with the camera: a grey card in a clip of this setup, and the light on it.
class CardWhiteDialog : public FootageDialog {
    Q_OBJECT

public:
    enum class Use { White, Light }; ///< to be set on the camera, or told of the scene's light

    CardWhiteDialog(const QString& clip, ShootDocument::Value shoot, const QString& setup,
                    const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] const std::optional<CardWhite>& white() const { return m_white; }
    [[nodiscard]] Use use() const;
    /// Whose light it is, where it is used so.
    [[nodiscard]] MeasuredLight light() const;

protected:
    void found(const ClipFacts& clip, const io::ReadRegion& region) override;

private:
    ShootDocument::Value m_shoot;
    QString m_setup;
    std::optional<CardWhite> m_white;
    QComboBox* m_use;
    std::vector<MeasuredLight> m_lights; ///< behind the first choice
    void fillLights(const Scene& scene);
};

} // namespace bslate::app
