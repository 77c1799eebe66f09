#include "app/views/kit/rule_builder.h"

#include "app/document/text.h"
#include "core/kit/rule_line.h"
#include "core/kit/setting_value.h"
#include "core/words/rule_words.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>

namespace bslate::app {
namespace {

enum How { Is, AtLeast, AtMost, Barred };

QComboBox* combo(const QString& name, const QString& spoken) {
    auto* made = new QComboBox;
    made->setObjectName(name);
    made->setAccessibleName(spoken);
    made->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    return made;
}

} // namespace

RuleBuilder::RuleBuilder(const Kit& kit, QWidget* parent)
    : QWidget(parent)
    , m_kit(kit)
    , m_list(new QListWidget)
    , m_why(new QLineEdit)
    , m_problem(new QLabel)
    , m_remove(new QPushButton(tr("Remove the chosen rule"))) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    m_list->setObjectName(QStringLiteral("rule-sentences"));
    m_list->setAccessibleName(tr("Rules"));
    m_list->setWordWrap(true);
    column->addWidget(m_list, 1);
    auto* form = new QFormLayout;
    m_when = addPart(*form, tr("When"), "rule-when", true);
    m_and = addPart(*form, tr("and"), "rule-and", true);
    m_then = addPart(*form, tr("then"), "rule-then", false);
    m_why->setObjectName(QStringLiteral("rule-why"));
    m_why->setPlaceholderText(tr("the battery gives too little"));
    form->addRow(tr("because"), m_why);
    column->addLayout(form);
    auto* row = new QHBoxLayout;
    auto* addButton = new QPushButton(tr("Add this rule"));
    addButton->setObjectName(QStringLiteral("rule-add"));
    m_remove->setObjectName(QStringLiteral("rule-remove"));
    for (auto* button : {addButton, m_remove}) {
        button->setAutoDefault(false);
        row->addWidget(button);
    }
    m_problem->setObjectName(QStringLiteral("rule-problem"));
    m_problem->setWordWrap(true);
    row->addWidget(m_problem, 1);
    column->addLayout(row);
    connect(addButton, &QPushButton::clicked, this, &RuleBuilder::add);
    connect(m_remove, &QPushButton::clicked, this, [this] {
        if (m_list->currentRow() >= 0)
            emit removed(m_list->currentRow());
    });
}

RuleBuilder::Part RuleBuilder::addPart(QFormLayout& form, const QString& label, const char* name,
                                       bool optional) {
    const QString base = QString::fromLatin1(name);
    const Part part{combo(base, tr("%1: setting").arg(label)),
                    combo(base + QStringLiteral("-how"), tr("%1: compared").arg(label)),
                    combo(base + QStringLiteral("-value"), tr("%1: value").arg(label))};
    if (optional)
        part.key->addItem(tr("\u2013"));
    for (std::size_t i = 0; i < kSettingKeys; ++i) {
        part.key->addItem(toQt(settingName(static_cast<SettingKey>(i), translator())));
        part.key->setItemData(part.key->count() - 1, static_cast<int>(i));
    }
    part.value->setEditable(true);
    auto* row = new QHBoxLayout;
    row->addWidget(part.key, 3);
    row->addWidget(part.how, 2);
    row->addWidget(part.value, 3);
    form.addRow(label, row);
    connect(part.key, &QComboBox::currentIndexChanged, this, [this, part] { fillValues(part); });
    return part;
}

std::optional<SettingKey> RuleBuilder::keyOf(const Part& part) const {
    const QVariant data = part.key->currentData();
    return data.isValid() ? std::optional(static_cast<SettingKey>(data.toInt())) : std::nullopt;
}

// What must hold can be forbidden as well.
void RuleBuilder::fillHow(const Part& part, bool ordered) const {
    const QString before = part.how->currentText();
    part.how->clear();
    const auto offer = [&](const QString& text, How how, bool barred) {
        if (ordered || how == Is)
            part.how->addItem(text, how + (barred ? Barred : 0));
    };
    if (part.how != m_then.how) {
        offer(tr("is"), Is, false);
        offer(tr("is at least"), AtLeast, false);
        offer(tr("is at most"), AtMost, false);
    } else {
        offer(tr("must be"), Is, false);
        offer(tr("must be at least"), AtLeast, false);
        offer(tr("must be at most"), AtMost, false);
        offer(tr("cannot be"), Is, true);
        offer(tr("cannot be at least"), AtLeast, true);
        offer(tr("cannot be at most"), AtMost, true);
    }
    part.how->setCurrentIndex(std::max(0, part.how->findText(before)));
}

void RuleBuilder::fillValues(const Part& part) {
    const auto key = keyOf(part);
    const QString before = part.value->currentText();
    part.value->clear();
    fillHow(part, key && isOrdered(*key));
    part.how->setEnabled(key.has_value());
    part.value->setEnabled(key.has_value());
    if (!key)
        return;
    for (const auto& value : choicesOf(*key, m_camera, m_kit))
        part.value->addItem(toQt(valueName(*key, value, m_camera, m_kit, translator())),
                            toQt(spell(*key, value)));
    if (const int at = part.value->findText(before); at >= 0)
        part.value->setCurrentIndex(at);
}

void RuleBuilder::show(const Camera& camera) {
    m_camera = camera;
    const int at = m_list->currentRow();
    m_list->clear();
    for (const auto& sentence : ruleSentences(camera, m_kit, translator()))
        m_list->addItem(toQt(sentence));
    if (m_list->count() > 0)
        m_list->setCurrentRow(std::clamp(at, 0, m_list->count() - 1));
    m_remove->setEnabled(m_list->count() > 0);
    for (const auto& part : {m_when, m_and, m_then})
        fillValues(part);
}

Result<Condition> RuleBuilder::conditionOf(const Part& part) const {
    const auto key = *keyOf(part);
    const QString text = part.value->currentText().trimmed();
    const int chosen = part.value->findText(text);
    const auto spelled = fromQt(chosen >= 0 ? part.value->itemData(chosen).toString() : text);
    if (spelled.empty())
        return Error{ErrorCode::EmptyText, {}, settingName(key), {}, "a value"};
    const auto value = parseSettingValue(key, spelled);
    if (!value)
        return value.error();
    Condition condition{key, {}, {}, {}};
    switch (part.how->currentData().toInt() % Barred) {
    case AtLeast:
        condition.atLeast = *value;
        break;
    case AtMost:
        condition.atMost = *value;
        break;
    default:
        condition.oneOf = {*value};
    }
    return condition;
}

void RuleBuilder::add() {
    Constraint rule;
    rule.kind = m_then.how->currentData().toInt() >= Barred ? ConstraintKind::Excludes
                                                            : ConstraintKind::Requires;
    rule.reason = fromQt(m_why->text().trimmed());
    for (const auto* part : {&m_when, &m_and, &m_then}) {
        if (!keyOf(*part))
            continue;
        const auto condition = conditionOf(*part);
        if (!condition)
            return m_problem->setText(messageOf(condition.error()));
        (part == &m_then ? rule.then : rule.when).push_back(*condition);
    }
    if (rule.reason.empty()) {
        m_why->setFocus();
        return m_problem->setText(tr("Say why: that is what is told on the day."));
    }
    m_problem->clear();
    m_why->clear();
    emit added(toQt(ruleLine(rule)));
}

} // namespace bslate::app
