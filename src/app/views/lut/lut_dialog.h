#pragma once

#include "app/document/background_job.h"
#include "io/colour/lut_file.h"
#include "io/colour/transform_file.h"

#include <QDialog>

#include <functional>

class QComboBox;
class QLabel;
class QTableWidget;

namespace bslate::app {

/// What is handed to grading for one setup: what the LUT makes of every patch, in which format and
/// through which look it is written, and what a file somebody has makes of the same patches.
class LutDialog : public QDialog {
    Q_OBJECT

public:
    LutDialog(Shoot shoot, Setup setup, QWidget* parent = nullptr);

    /// Reads a LUT file, without stopping the window, and puts its values beside the computed ones.
    void check(const QString& path);
    void settle() { m_reading.settle(); }  ///< waits for that: for tests
    [[nodiscard]] QString verdict() const; ///< of the last check: "agrees to 0.02 %"
    [[nodiscard]] io::LutFormat format() const;
    [[nodiscard]] QString look() const; ///< id of the recipe; empty for the plain display

    /// Where a file is asked for; tests put their own answers in.
    void setAskForFile(std::function<QString(bool save)> ask) { m_ask = std::move(ask); }

signals:
    void writeRequested(const QString& path, io::LutFormat format, const QString& look);

private:
    void fill();
    void write();
    void showCheck(const QString& path, const RatingLut& lut, const io::Colours& in,
                   const Result<io::Colours>& through);

    Shoot m_shoot;
    Setup m_setup;
    QComboBox* m_format;
    QComboBox* m_look;
    QTableWidget* m_table;
    QLabel* m_verdict;
    QString m_checked; ///< path of the file last checked
    QString m_written; ///< path of the file this LUT was last written to
    std::function<QString(bool)> m_ask;
    BackgroundJob m_reading;
};

} // namespace bslate::app
