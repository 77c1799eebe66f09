#pragma once

#include "core/kit/camera_answer.h"

#include <QWidget>

#include <map>
#include <vector>

class QComboBox;
class QLabel;

namespace bslate::app {

class QuantityEdit;

/// Short questions about a body whose answer may be left out: what is usual stands in its place,
/// and what that leaves open is told below.
class BodyQuestions : public QWidget {
    Q_OBJECT

public:
    explicit BodyQuestions(QWidget* parent = nullptr);

    /// What stands where nothing is answered. A camera that is refined knows its own facts but
    /// those it has guessed.
    void showUsual(const Camera& usual, bool refined);
    [[nodiscard]] std::vector<CameraAnswer> answers() const;
    void clear() { put({}); }
    void put(const std::vector<CameraAnswer>& answers); ///< in place of all there are
    /// What is not judged, or by what is usual, as it stands.
    [[nodiscard]] QString open() const;
    /// The names of what is not known.
    [[nodiscard]] QString unknown() const;

signals:
    void changed();
    void refused(const QString& message);

private:
    void addQuestion(CameraFact fact);
    void answer(CameraFact fact, const QString& text);
    void showOpen();
    [[nodiscard]] std::vector<CameraFact> unanswered() const;

    Camera m_usual;
    bool m_refined = false;
    std::map<CameraFact, QString> m_answers;
    std::map<CameraFact, QuantityEdit*> m_fields;
    QComboBox* m_shutter;
    QLabel* m_open;
};

} // namespace bslate::app
