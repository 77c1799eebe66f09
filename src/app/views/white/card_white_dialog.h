#pragma once

#include "app/document/shoot_document.h"
#include "app/widgets/footage_dialog.h"
#include "core/clip/footage_light.h"
#include "core/facts/evaluation.h"

class QComboBox;

namespace bslate::app {

/// White measured with the camera: a grey card in a clip of this setup, and the light on it.
class CardWhiteDialog : public FootageDialog {
    Q_OBJECT

public:
    enum class Use { White, Light }; ///< to be set on the camera, or told of the scene's light

    CardWhiteDialog(const QString& clip, ShootDocument::Value shoot, const QString& setup,
                    const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] const std::optional<CardWhite>& white() const { return m_white; }
    [[nodiscard]] Use use() const;

protected:
    void found(const ClipFacts& clip, const io::ReadRegion& region) override;

private:
    ShootDocument::Value m_shoot;
    QString m_setup;
    std::optional<CardWhite> m_white;
    QComboBox* m_use;
};

} // namespace bslate::app
