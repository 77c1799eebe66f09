#pragma once

#include "app/document/shoot_document.h"
#include "core/advice/additions.h"
#include "core/advice/levers.h"

#include <QObject>

#include <functional>

namespace bslate::app {

/// Everything a person can do to a shoot, as named undoable edits on the selected setup. Refused
/// entries change nothing and are told through refused().
class Actions : public QObject {
    Q_OBJECT

public:
    explicit Actions(ShootDocument& document, QObject* parent = nullptr);

    [[nodiscard]] ShootDocument& document() { return m_document; }

    /// Turns a control with the setup's payer; `drag` merges the steps of one gesture. `from` is
    /// the value the gesture started at, so that payers do not accumulate rounding.
    void turnControl(const QString& name, const Turn& change, int drag = 0,
                     ShootDocument::Value from = {});
    void apply(const QString& name, const Edit& edit);

    void setPayer(Payer payer);
    void setSchool(School school);
    void changeSetup(const QString& name, const std::function<void(Setup&)>& change, int drag = 0);
    /// False when there is no such scene, or after a refusal.
    bool changeScene(const QString& name, const QString& sceneId,
                     const std::function<void(Scene&)>& change, int drag = 0);

    void changeBrief(const QString& name, const std::function<void(Brief&)>& change);
    /// A scene from its line, with a setup of the same number when there is none yet. Returns the
    /// scene's id.
    QString addScene(const SceneLine& line);
    void rewriteScene(const QString& sceneId, const SceneLine& line);

    void addSetup();
    void duplicateSetup();
    void deleteSetup();
    void addScene();
    void deleteScene(const QString& sceneId);
    /// A new patch in a scene, at its grey card's light or 26 cd/m2. Returns its id.
    QString addPatch(const QString& sceneId);
    void duplicatePatch(const QString& sceneId, const QString& patchId);
    void deletePatch(const QString& sceneId, const QString& patchId);

    void accept(const QStringList& findings, const QString& reason);
    void withdrawAcceptance(const QStringList& findings);

signals:
    void refused(const QString& message);

private:
    /// What the payer could not cover yet, valid while the document is as that turn left it.
    struct Debt {
        ShootDocument::Value after;
        QString setupId;
        Stops owed{0.0};
    };
    void put(const QString& name, Added added); ///< and selects the new setup
    [[nodiscard]] Stops owedBy(const ShootDocument::Value& start) const;

    ShootDocument& m_document;
    Debt m_debt;
};

/// Why nothing is accepted without a reason.
[[nodiscard]] QString needsReason();

} // namespace bslate::app
