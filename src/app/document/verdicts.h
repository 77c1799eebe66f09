#pragma once

#include "app/document/background_job.h"
#include "core/judgement/judge.h"

#include <QObject>
#include <QTimer>

#include <map>

namespace bslate::app {

class ShootDocument;

/// The numbers of setups and the judgements on them, each worked out once per change of what it
/// rests on. Numbers are there at once; judgements, whose remedies are tried out, follow on a
/// thread of their own while a hand moves something, and are stopped by the next change.
class Verdicts : public QObject {
    Q_OBJECT

public:
    explicit Verdicts(ShootDocument& document);

    /// None when the setup names something missing.
    [[nodiscard]] const std::optional<Evaluation>& evaluation(const Setup& setup);
    /// At once, judged here when nobody has.
    [[nodiscard]] const Verdict& verdict(const Setup& setup);
    /// What is known by now: of an earlier value while the next is judged; null when nothing is.
    [[nodiscard]] const Verdict* known(const Setup& setup) const;
    /// Judges what is not known yet, in this order, once the hand rests, and tells.
    void want(std::vector<std::string> setupIds);
    /// Waits for what was wanted: for pictures and tests.
    void settle();

signals:
    void judged();

private:
    /// What a verdict rests on, besides the ground that all share.
    struct Basis {
        Setup setup;
        Scene scene;
        std::vector<Setup> neighbours; ///< the others its verdict looks at
        friend bool operator==(const Basis&, const Basis&) = default;
    };
    struct Judged {
        Basis basis;
        Verdict verdict;
        bool current = false; ///< the ground is still the same
    };
    struct Evaluated {
        Setup setup;
        Scene scene;
        std::optional<Evaluation> evaluation;
    };

    void checkGround();
    void judgeMissing();
    [[nodiscard]] Basis basisOf(const Setup& setup) const;
    [[nodiscard]] const Judged* upToDate(const Setup& setup) const;

    ShootDocument& m_document;
    std::map<std::string, Judged, std::less<>> m_judged;
    std::map<std::string, Evaluated, std::less<>> m_evaluated;
    std::shared_ptr<const Shoot> m_ground; ///< whose kit, brief and meter the caches are of
    std::vector<std::string> m_wanted;
    QTimer m_rest;
    BackgroundJob m_judging;
};

} // namespace bslate::app
