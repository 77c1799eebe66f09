#pragma once

#include "app/document/background_job.h"
#include "app/style/style.h"
#include "core/kit/kit.h"
#include "io/colour/transform_file.h"

#include <QDialog>

#include <functional>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace bslate::app {

class CurvePicture;

/// A curve from a file, or from what the installed colour library knows: how it is to be read, what
/// was found in it and how well it fits, and the camera it is for.
class ImportDialog : public QDialog {
    Q_OBJECT

public:
    ImportDialog(const Kit& kit, const Style& style, QWidget* parent = nullptr);

    /// Reads a file, without stopping the window; what is wrong with it is shown in the dialog.
    void readFile(const QString& path);
    void settle() { m_reading.settle(); } ///< waits for that: for tests
    /// Fills the list of what the library knows and lets one be chosen.
    void useLibrary();

    [[nodiscard]] Profile profile() const; ///< valid once accepted
    [[nodiscard]] std::vector<std::string> cameras() const;
    [[nodiscard]] QString finding() const; ///< what the dialog says of the transform

private:
    void build();
    void readAgain();
    void waitFor(const QString& what);
    void showSpaces(const Result<std::vector<std::string>>& spaces);
    void show(Result<io::ImportedTransform> imported);
    [[nodiscard]] std::optional<io::ImportOptions> options();

    const Kit& m_kit;
    QString m_path;
    std::optional<io::ImportedTransform> m_imported;
    QComboBox* m_library;
    QComboBox* m_space; ///< colour spaces of a configuration
    QComboBox* m_sense;
    QComboBox* m_light;
    QLineEdit* m_grey;
    QLineEdit* m_name;
    QComboBox* m_camera;
    QLabel* m_finding;
    CurvePicture* m_picture;
    QPushButton* m_ok = nullptr;
    bool m_filling = false;
    BackgroundJob m_reading;
};

} // namespace bslate::app
