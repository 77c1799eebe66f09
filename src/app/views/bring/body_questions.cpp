#include "app/views/bring/body_questions.h"

#include "app/document/text.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/open_facts.h"
#include "core/words/wording.h"

#include <QComboBox>
#include <QLabel>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

QString worded(const Reason& reason) {
    return toQt(reasonOf(reason, translator()));
}

constexpr const char* kDials[] = {
    QT_TRANSLATE_NOOP("bslate::app::BodyQuestions", "times"),
    QT_TRANSLATE_NOOP("bslate::app::BodyQuestions", "half-stop times"),
    QT_TRANSLATE_NOOP("bslate::app::BodyQuestions", "angles"),
    QT_TRANSLATE_NOOP("bslate::app::BodyQuestions", "whole angles"),
    QT_TRANSLATE_NOOP("bslate::app::BodyQuestions", "angles and times")};

} // namespace

BodyQuestions::BodyQuestions(QWidget* parent)
    : QWidget(parent)
    , m_shutter(new QComboBox)
    , m_open(new QLabel) {
    setObjectName(QStringLiteral("body-questions"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 4, 6, 0);
    column->setSpacing(3);
    for (const auto fact : kCameraFacts)
        addQuestion(fact);
    m_open->setObjectName(QStringLiteral("left-open"));
    m_open->setWordWrap(true);
    m_open->setTextFormat(Qt::PlainText);
    m_open->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_open);
    column->addStretch(1);
    connect(m_shutter, &QComboBox::activated, this, [this](int at) {
        answer(CameraFact::Shutter, at > 0 ? QString::fromLatin1(kDials[at - 1]) : QString());
    });
}

void BodyQuestions::addQuestion(CameraFact fact) {
    auto* column = static_cast<QVBoxLayout*>(layout());
    auto* label = new QLabel(worded(questionOf(fact)));
    label->setWordWrap(true);
    column->addWidget(label);
    const QString name = toQt(std::string("ask-") + std::string(keyOf(fact)));
    if (fact == CameraFact::Shutter) {
        m_shutter->setObjectName(name);
        m_shutter->setAccessibleName(worded(nameOfFact(fact)));
        m_shutter->addItem({});
        for (const char* dial : kDials)
            m_shutter->addItem(tr(dial));
        label->setBuddy(m_shutter);
        column->addWidget(m_shutter);
        return;
    }
    auto* edit =
        quantityField(name.toLatin1().constData(), worded(nameOfFact(fact)),
                      [this, fact](const QString& text) -> std::optional<QString> {
                          if (text.trimmed().isEmpty())
                              return std::nullopt;
                          const auto camera = withAnswer(m_usual, fact, fromQt(text));
                          return camera ? std::nullopt : std::optional(messageOf(camera.error()));
                      });
    label->setBuddy(edit);
    column->addWidget(edit);
    m_fields[fact] = edit;
    connect(edit, &QuantityEdit::entered, this,
            [this, fact](const QString& text) { answer(fact, text.trimmed()); });
    connect(edit, &QuantityEdit::refused, this, &BodyQuestions::refused);
}

void BodyQuestions::answer(CameraFact fact, const QString& text) {
    if (text.isEmpty())
        m_answers.erase(fact);
    else
        m_answers[fact] = text;
    showOpen();
    emit changed();
}

void BodyQuestions::showUsual(const Camera& usual, bool refined) {
    m_usual = usual;
    m_refined = refined;
    for (const auto fact : kCameraFacts) {
        const auto own = toQt(answerOf(usual, fact));
        const bool known = refined && std::find(usual.guessed.begin(), usual.guessed.end(), fact) ==
                                          usual.guessed.end();
        const QString text =
            known           ? tr("as it is: %1").arg(own)
            : own.isEmpty() ? tr("don't know")
                            : tr("don't know \u2013 usual: %1").arg(toQt(usualOf(usual, fact)));
        if (fact == CameraFact::Shutter)
            m_shutter->setItemText(0, text);
        else
            m_fields[fact]->setPlaceholderText(text);
    }
    showOpen();
}

std::vector<CameraAnswer> BodyQuestions::answers() const {
    std::vector<CameraAnswer> answers;
    for (const auto fact : kCameraFacts)
        if (const auto found = m_answers.find(fact); found != m_answers.end())
            answers.push_back({fact, fromQt(found->second)});
    return answers;
}

void BodyQuestions::put(const std::vector<CameraAnswer>& answers) {
    m_answers.clear();
    for (const auto& answer : answers)
        m_answers[answer.fact] = toQt(answer.text);
    const auto answerTo = [this](CameraFact fact) {
        const auto found = m_answers.find(fact);
        return found == m_answers.end() ? QString() : found->second;
    };
    for (const auto& [fact, edit] : m_fields)
        edit->showValue(answerTo(fact));
    const QString dial = answerTo(CameraFact::Shutter);
    const auto at = std::find_if(std::begin(kDials), std::end(kDials),
                                 [&](const char* name) { return dial == QLatin1String(name); });
    m_shutter->setCurrentIndex(
        at == std::end(kDials) ? 0 : static_cast<int>(at - std::begin(kDials)) + 1);
    showOpen();
}

std::vector<CameraFact> BodyQuestions::unanswered() const {
    std::vector<CameraFact> facts;
    const auto& guessed = m_usual.guessed;
    for (const auto fact : kCameraFacts) {
        const bool known =
            m_refined && std::find(guessed.begin(), guessed.end(), fact) == guessed.end();
        if (!known && m_answers.find(fact) == m_answers.end())
            facts.push_back(fact);
    }
    return facts;
}

QString BodyQuestions::open() const {
    QStringList clauses;
    for (const auto fact : unanswered())
        clauses << worded(leftOpen(fact));
    return clauses.join(QStringLiteral("; "));
}

QString BodyQuestions::unknown() const {
    QStringList names;
    for (const auto fact : unanswered())
        names << worded(nameOfFact(fact));
    return names.join(QStringLiteral(", "));
}

void BodyQuestions::showOpen() {
    const QString clauses = open();
    m_open->setText(clauses.isEmpty() ? tr("Everything asked here is known.")
                                      : tr("Left open: %1.").arg(clauses));
}

} // namespace bslate::app
