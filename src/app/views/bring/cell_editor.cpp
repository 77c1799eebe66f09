#include "app/views/bring/cell_editor.h"

#include "app/document/text.h"
#include "app/views/bring/source_words.h"
#include "app/widgets/quantity_edit.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"

#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>

namespace bslate::app {
namespace {

bool saysNone(const QString& text) {
    const QString word = text.trimmed().toLower();
    return word == QStringLiteral("none") || word == QStringLiteral("-") ||
           word == CellEditor::tr("none");
}

// Megabits a second; `none` for a rate the camera does not have.
std::optional<std::optional<DataRate>> typedBits(const QString& text) {
    if (saysNone(text))
        return std::optional<DataRate>();
    for (const QString& whole : {text.trimmed(), text.trimmed() + QStringLiteral("Mb/s")})
        if (const auto rate = parseDataRate(fromQt(whole)))
            return *rate;
    return std::nullopt;
}

std::optional<Magnification> typedCrop(const QString& text) {
    if (saysNone(text))
        return Magnification(1);
    const auto crop = parseFactor(fromQt(text));
    return crop && crop->value() >= 1 && crop->value() <= 20 ? std::optional(*crop) : std::nullopt;
}

std::optional<std::optional<Seconds>> typedLimit(const QString& text) {
    if (saysNone(text))
        return std::optional<Seconds>();
    const auto length = parseDuration(fromQt(text));
    return length && length->value() > 0 ? std::optional(std::optional(*length)) : std::nullopt;
}

// A row, or a rate alone.
bool typedAddition(const QString& text) {
    return parseModeLine(fromQt(text)).ok() || parseFrameRate(fromQt(text)).ok();
}

// A field whose text must be read by `read`; `expected` is told of another.
template<class Read>
QuantityEdit* field(const char* name, const QString& spoken, Read read, const QString& expected) {
    auto* made = quantityField(name, spoken, [read, expected](const QString& text) {
        return read(text) ? std::nullopt : std::optional(expected);
    });
    made->setMaximumWidth(96);
    return made;
}

} // namespace

CellEditor::CellEditor(QWidget* parent)
    : QWidget(parent)
    , m_cell(new QLabel)
    , m_ground(new QLabel)
    , m_bits(field("own-bit-rate", tr("Bit rate of the chosen cell"), typedBits,
                   tr("a bit rate such as 100 or 1.2 Gb/s, or none")))
    , m_crop(field("own-crop", tr("Crop at the chosen rate"), typedCrop,
                   tr("a crop such as 1.5, from 1 to 20, or none")))
    , m_limit(field("own-limit", tr("Longest clip at the chosen rate"), typedLimit,
                    tr("a length such as 29:59 or 20 min, or none")))
    , m_add(field("own-add", tr("A row or a rate to add"), typedAddition,
                  tr("a mode such as UHD H.265 long 10-bit 4:2:0 25@100, or a rate such as 50")))
    , m_sound(new QCheckBox(tr("so&und")))
    , m_focus(new QCheckBox(tr("aut&ofocus")))
    , m_row(new QCheckBox(tr("for the whole &row"))) {
    setObjectName(QStringLiteral("cell-editor"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    auto* bits = new QHBoxLayout;
    m_cell->setTextFormat(Qt::PlainText);
    m_sound->setObjectName(QStringLiteral("own-sound"));
    m_focus->setObjectName(QStringLiteral("own-focus"));
    m_row->setObjectName(QStringLiteral("own-row"));
    bits->addWidget(m_cell);
    bits->addWidget(m_bits);
    bits->addStretch(1);
    bits->addWidget(m_row);
    column->addLayout(bits);
    auto* costs = new QHBoxLayout;
    const auto labelled = [&](const QString& text, QuantityEdit* edit) {
        auto* label = new QLabel(text);
        label->setBuddy(edit);
        costs->addWidget(label);
        costs->addWidget(edit);
    };
    costs->addWidget(m_sound);
    costs->addWidget(m_focus);
    labelled(tr("cro&p"), m_crop);
    labelled(tr("li&mit"), m_limit);
    costs->addStretch(1);
    column->addLayout(costs);
    auto* more = new QHBoxLayout;
    auto* label = new QLabel(tr("a&dd"));
    label->setBuddy(m_add);
    m_add->setPlaceholderText(tr("a row: UHD H.265 long 10-bit 4:2:0 25@100, or a rate: 50"));
    m_add->setMinimumWidth(120);
    m_add->setMaximumWidth(QWIDGETSIZE_MAX);
    more->addWidget(label);
    more->addWidget(m_add, 1);
    column->addLayout(more);
    connect(m_add, &QuantityEdit::entered, this, &CellEditor::add);
    m_ground->setTextFormat(Qt::PlainText);
    m_ground->setWordWrap(true);
    m_ground->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_ground);
    connect(m_bits, &QuantityEdit::entered, this, &CellEditor::enterBits);
    connect(m_crop, &QuantityEdit::entered, this, [this](const QString& text) {
        mark([&](CellMarks& marks) { marks.crop = *typedCrop(text); });
    });
    connect(m_limit, &QuantityEdit::entered, this, [this](const QString& text) {
        mark([&](CellMarks& marks) { marks.clipLimit = *typedLimit(text); });
    });
    m_add->keepRefused();
    for (auto* edit : {m_bits, m_crop, m_limit, m_add}) {
        connect(edit, &QuantityEdit::refused, this, &CellEditor::refused);
        connect(edit, &QuantityEdit::leftUnchanged, this, &CellEditor::left);
    }
    connect(m_row, &QCheckBox::toggled, this, &CellEditor::enableMarks);
    connect(m_sound, &QCheckBox::clicked, this,
            [this](bool on) { mark([on](CellMarks& marks) { marks.sound = on; }); });
    connect(m_focus, &QCheckBox::clicked, this,
            [this](bool on) { mark([on](CellMarks& marks) { marks.autofocus = on; }); });
}

bool CellEditor::hasCell() const {
    if (!m_mode || !m_rate)
        return false;
    for (const auto& option : m_mode->line.rates)
        if (option.rate == *m_rate)
            return true;
    return false;
}

void CellEditor::show(const SeenMode* mode, std::optional<FrameRate> rate) {
    m_mode = mode ? std::optional(*mode) : std::nullopt;
    m_rate = rate;
    m_bits->setEnabled(mode && rate);
    m_row->setEnabled(mode);
    enableMarks();
    const auto marks = mode ? marksOf(mode->line) : CellMarks{};
    m_cell->setText(rate ? tr("%1 p writes").arg(toQt(print(*rate))) : tr("no cell yet"));
    QString bits = mode ? tr("none") : QString();
    if (mode && rate)
        for (const auto& option : mode->line.rates)
            if (option.rate == *rate)
                bits = toQt(print(option.bitRate));
    m_bits->showValue(bits);
    m_crop->showValue(marks.crop.value() > 1.005 ? toQt(print(marks.crop)) : tr("none"));
    m_limit->showValue(marks.clipLimit ? toQt(printDuration(*marks.clipLimit)) : tr("none"));
    m_sound->setChecked(mode && marks.sound);
    m_focus->setChecked(mode && marks.autofocus);
    m_ground->setText(mode ? wordsOf(*mode) : QString());
}

// A row can be marked from a rate it does not have.
void CellEditor::enableMarks() {
    const bool can = hasCell() || (m_mode && m_row->isChecked());
    for (QWidget* one : std::initializer_list<QWidget*>{m_crop, m_limit, m_sound, m_focus})
        one->setEnabled(can);
}

void CellEditor::typeNumber() {
    m_bits->setFocus();
    m_bits->selectAll();
}

void CellEditor::enterBits(const QString& text) {
    const auto bits = typedBits(text);
    if (m_mode && m_rate && bits)
        emit edited({TypedCell{m_mode->line, *m_rate, *bits}});
}

void CellEditor::add(const QString& text) {
    m_add->showValue({});
    if (const auto mode = parseModeLine(fromQt(text)))
        emit edited({AddedRow{*mode}});
    else if (const auto rate = parseFrameRate(fromQt(text)))
        emit rateAdded(*rate);
}

void CellEditor::mark(const std::function<void(CellMarks&)>& change) {
    if (!m_mode)
        return;
    auto marks = marksOf(m_mode->line);
    change(marks);
    std::vector<LatticeEdit> edits;
    for (const auto& option : m_mode->line.rates)
        if (m_row->isChecked() || option.rate == *m_rate)
            edits.emplace_back(MarkedCell{m_mode->line, option.rate, marks});
    if (!edits.empty())
        emit edited(edits);
}

} // namespace bslate::app
