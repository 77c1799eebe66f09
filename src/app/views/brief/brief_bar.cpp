#include "app/views/brief/brief_bar.h"

#include "app/document/text.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/schools.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>

#include <algorithm>

namespace bslate::app {
namespace {

template<class Q>
QuantityEdit::Check checked(Result<Q> (*parse)(std::string_view)) {
    return [parse](const QString& text) -> std::optional<QString> {
        const auto value = parse(fromQt(text));
        return value ? std::nullopt : std::optional(messageOf(value.error()));
    };
}

QuantityEdit* edit(QuantityEdit::Check check, const char* name, const QString& accessible,
                   int width) {
    auto* line = new QuantityEdit(std::move(check));
    line->setObjectName(QString::fromLatin1(name));
    line->setAccessibleName(accessible);
    line->setToolTip(accessible);
    line->setFixedWidth(width);
    return line;
}

constexpr double kMains[] = {50, 60};

} // namespace

BriefBar::BriefBar(Actions& actions, const Style&, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_size(edit(checked(parseFrameSize), "brief-size", tr("Delivery frame size"), 92))
    , m_rate(edit(checked(parseFrameRate), "brief-rate", tr("Delivery frame rate"), 40))
    , m_by(edit([](const QString&) { return std::optional<QString>(); }, "brief-by",
                tr("Who grades it"), 120))
    , m_ambient(edit(checked(parseCelsius), "brief-ambient", tr("Air temperature"), 52)) {
    buildChoices();
    buildSchools();
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(2);
    auto* label = new QLabel(tr("Delivered"));
    row->addWidget(label);
    for (QWidget* widget : {static_cast<QWidget*>(m_size), static_cast<QWidget*>(m_rate),
                            static_cast<QWidget*>(m_colour), static_cast<QWidget*>(m_mains),
                            static_cast<QWidget*>(m_grade), static_cast<QWidget*>(m_by),
                            static_cast<QWidget*>(m_turnaround), static_cast<QWidget*>(m_schools),
                            static_cast<QWidget*>(m_ambient)})
        row->addWidget(widget, widget == m_by ? 1 : 0);
    m_by->setMinimumWidth(48);
    m_by->setMaximumWidth(400);
    m_by->setPlaceholderText(tr("graded by"));
    for (auto* line : {m_size, m_rate, m_by, m_ambient})
        connect(line, &QuantityEdit::refused, this, &BriefBar::refused);
    connect(m_size, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto size = parseFrameSize(fromQt(text)).valueOr({});
        change(tr("Delivery size"), [size](Brief& brief) { brief.size = size; });
    });
    connect(m_rate, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto rate = parseFrameRate(fromQt(text)).valueOr({});
        change(tr("Delivery rate"), [rate](Brief& brief) { brief.rate = rate; });
    });
    connect(m_by, &QuantityEdit::entered, this, [this](const QString& text) {
        change(tr("Graded by"), [text](Brief& brief) { brief.gradedBy = fromQt(text); });
    });
    connect(m_ambient, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto air = parseCelsius(fromQt(text)).valueOr(Celsius(20));
        change(tr("Air temperature"), [air](Brief& brief) { brief.ambient = air; });
    });
}

void BriefBar::change(const QString& name, const std::function<void(Brief&)>& edit) {
    m_actions.changeBrief(name, edit);
}

QComboBox* BriefBar::choice(const char* name, const QString& accessible, const QStringList& texts) {
    auto* box = new QComboBox;
    box->setObjectName(QString::fromLatin1(name));
    box->setAccessibleName(accessible);
    box->setToolTip(accessible);
    box->addItems(texts);
    return box;
}

void BriefBar::buildChoices() {
    m_colour = choice("brief-colour", tr("Delivery colour"),
                      {tr("SDR"), QStringLiteral("HLG"), QStringLiteral("PQ")});
    m_mains = choice("brief-mains", tr("Mains where it is shot"),
                     {QStringLiteral("50 Hz"), QStringLiteral("60 Hz")});
    m_grade = choice("brief-grade", tr("How heavily it will be graded"),
                     {tr("no grade"), tr("light grade"), tr("full grade")});
    m_turnaround = choice("brief-turnaround", tr("Turnaround"),
                          {tr("same day"), tr("in days"), tr("in weeks")});
    connect(m_colour, &QComboBox::activated, this, [this](int index) {
        change(tr("Delivery colour"),
               [index](Brief& b) { b.colour = static_cast<DeliveryColour>(index); });
    });
    connect(m_mains, &QComboBox::activated, this, [this](int index) {
        change(tr("Mains"), [index](Brief& b) { b.mains = Hertz(kMains[index]); });
    });
    connect(m_grade, &QComboBox::activated, this, [this](int index) {
        change(tr("Grade"), [index](Brief& b) { b.grade = static_cast<GradeWeight>(index); });
    });
    connect(m_turnaround, &QComboBox::activated, this, [this](int index) {
        change(tr("Turnaround"),
               [index](Brief& b) { b.turnaround = static_cast<Turnaround>(index); });
    });
}

void BriefBar::buildSchools() {
    m_schools = new QPushButton;
    m_schools->setObjectName(QStringLiteral("brief-schools"));
    m_schools->setText(tr("Schools"));
    m_schoolMenu = new QMenu(m_schools);
    m_schools->setMenu(m_schoolMenu);
    for (const auto school : kSchools) {
        auto* action = m_schoolMenu->addAction(toQt(nameOf(school, translator())));
        action->setCheckable(true);
        connect(action, &QAction::triggered, this, [this, school](bool on) {
            change(tr("Preferred schools"), [school, on](Brief& brief) {
                std::erase(brief.schools, school);
                if (on)
                    brief.schools.push_back(school);
            });
        });
    }
}

void BriefBar::refresh() {
    const auto& brief = m_actions.document().shoot().brief;
    m_size->showValue(toQt(spell(brief.size)));
    m_rate->showValue(toQt(print(brief.rate)));
    m_by->showValue(toQt(brief.gradedBy));
    m_by->setCursorPosition(0);
    m_ambient->showValue(toQt(print(brief.ambient)));
    m_colour->setCurrentIndex(static_cast<int>(brief.colour));
    m_mains->setCurrentIndex(brief.mains.value() < 55 ? 0 : 1);
    m_grade->setCurrentIndex(static_cast<int>(brief.grade));
    m_turnaround->setCurrentIndex(static_cast<int>(brief.turnaround));
    QStringList names;
    for (std::size_t i = 0; i < kSchools.size(); ++i) {
        const bool on = std::find(brief.schools.begin(), brief.schools.end(), kSchools[i]) !=
                        brief.schools.end();
        m_schoolMenu->actions()[static_cast<qsizetype>(i)]->setChecked(on);
    }
    for (const auto school : brief.schools)
        names << toQt(nameOf(school, translator()));
    m_schools->setToolTip(names.isEmpty() ? tr("Schools: as each scene suggests")
                                          : names.join(QStringLiteral(", ")));
    m_schools->setAccessibleName(tr("Preferred schools: %1").arg(names.join(QStringLiteral(", "))));
}

} // namespace bslate::app
