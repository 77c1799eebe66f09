#include "app/views/lut/lut_dialog.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "app/widgets/open_path.h"
#include "app/widgets/save_path.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"
#include "io/colour/transform_file.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

struct FormatChoice {
    io::LutFormat format;
    const char* name;
};
constexpr FormatChoice kFormats[] = {
    {io::LutFormat::Cube33, QT_TRANSLATE_NOOP("LutDialog", "Cube, 33 points a side (.cube)")},
    {io::LutFormat::Cube65, QT_TRANSLATE_NOOP("LutDialog", "Cube, 65 points a side (.cube)")},
    {io::LutFormat::Cube17, QT_TRANSLATE_NOOP("LutDialog", "Cube, 17 points a side (.cube)")},
    {io::LutFormat::Cube1d, QT_TRANSLATE_NOOP("LutDialog", "Greys only (.cube, 1D)")},
    {io::LutFormat::Clf, QT_TRANSLATE_NOOP("LutDialog", "Common LUT Format (.clf)")},
    {io::LutFormat::Cdl, QT_TRANSLATE_NOOP("LutDialog", "ASC CDL, the rating alone (.cc)")},
    {io::LutFormat::CdlCollection, QT_TRANSLATE_NOOP("LutDialog", "ASC CDL collection (.ccc)")},
    {io::LutFormat::CdlDecisionList,
     QT_TRANSLATE_NOOP("LutDialog", "ASC CDL decision list (.cdl)")}};

constexpr double kSame = 0.01; // of the signal; the cells of 33 points are that coarse

enum Column { Patch, Recorded, Computed, FromFile };

QTableWidgetItem* cell(const QString& text) {
    auto* item = new QTableWidgetItem(text);
    item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
    return item;
}

QString percent(double value) {
    return QStringLiteral("%1 %").arg(100 * value, 0, 'f', 1);
}

} // namespace

LutDialog::LutDialog(Shoot shoot, Setup setup, QWidget* parent)
    : QDialog(parent)
    , m_shoot(std::move(shoot))
    , m_setup(std::move(setup))
    , m_format(new QComboBox)
    , m_look(new QComboBox)
    , m_table(new QTableWidget)
    , m_verdict(new QLabel) {
    setObjectName(QStringLiteral("lut-dialog"));
    setWindowTitle(tr("LUT of %1").arg(toQt(m_setup.number)));
    resize(620, 460);
    m_ask = [this](bool save) {
        const QString suffix = toQt(io::suffixOf(format()));
        return save ? askSavePath(this, {tr("Write the LUT"), toQt(m_setup.number) + suffix,
                                         QStringLiteral("*%1").arg(suffix), suffix.mid(1), true})
                    : askOpenPath(this, tr("Check a LUT"),
                                  tr("LUTs (*.cube *.clf *.ctf *.spi1d *.spi3d)"));
    };
    m_format->setObjectName(QStringLiteral("lut-format"));
    m_format->setAccessibleName(tr("Format"));
    for (const auto& choice : kFormats)
        m_format->addItem(tr(choice.name), static_cast<int>(choice.format));
    m_look->setObjectName(QStringLiteral("lut-look"));
    m_look->setAccessibleName(tr("Look"));
    m_look->addItem(tr("None: plain BT.709"), QString());
    for (const auto& recipe : m_shoot.kit.recipes)
        m_look->addItem(toQt(recipe.name), toQt(recipe.id));
    auto* form = new QFormLayout;
    form->addRow(tr("&Look"), m_look);
    form->addRow(tr("&Format"), m_format);
    m_table->setObjectName(QStringLiteral("lut-values"));
    m_table->setAccessibleName(tr("What the LUT makes of each patch"));
    m_table->verticalHeader()->hide();
    m_table->setSelectionMode(QAbstractItemView::NoSelection);
    m_verdict->setObjectName(QStringLiteral("lut-verdict"));
    m_verdict->setWordWrap(true);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    auto* write = buttons->addButton(tr("&Write\u2026"), QDialogButtonBox::ActionRole);
    auto* check = buttons->addButton(tr("&Check a file\u2026"), QDialogButtonBox::ActionRole);
    write->setObjectName(QStringLiteral("lut-write"));
    check->setObjectName(QStringLiteral("lut-check"));
    auto* column = new QVBoxLayout(this);
    column->addLayout(form);
    column->addWidget(m_table, 1);
    column->addWidget(m_verdict);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(write, &QPushButton::clicked, this, &LutDialog::write);
    connect(check, &QPushButton::clicked, this, [this] {
        if (const QString path = m_ask(false); !path.isEmpty())
            this->check(path);
    });
    connect(m_look, &QComboBox::currentIndexChanged, this, [this] {
        m_written.clear(); // it was another LUT
        fill();
    });
    fill();
}

io::LutFormat LutDialog::format() const {
    return static_cast<io::LutFormat>(m_format->currentData().toInt());
}

QString LutDialog::look() const {
    return m_look->currentData().toString();
}

QString LutDialog::verdict() const {
    return m_verdict->text();
}

void LutDialog::fill() {
    const auto at = evaluate(m_shoot, m_setup);
    const auto lut = io::lutOf(m_shoot, m_setup, fromQt(look()));
    m_table->clear();
    m_table->setColumnCount(4);
    m_table->setHorizontalHeaderLabels(
        {tr("Patch"), tr("Recorded"), tr("Through this LUT"), tr("Through the file")});
    m_table->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    if (!at || !lut) {
        m_table->setRowCount(0);
        m_verdict->setText(messageOf(at ? lut.error() : at.error()));
        return;
    }
    m_table->setRowCount(static_cast<int>(at->patches.size()));
    for (int i = 0; i < m_table->rowCount(); ++i) {
        const auto& patch = at->patches[static_cast<std::size_t>(i)];
        const double signal =
            encode(lut->curve, linearAt(std::min(patch.recorded, at->clip))).value();
        m_table->setItem(i, Patch, cell(toQt(patch.name)));
        m_table->setItem(i, Recorded, cell(toQt(print(patch.level))));
        auto* computed = cell(percent(apply(*lut, {signal, signal, signal})[1]));
        computed->setData(Qt::UserRole, signal);
        m_table->setItem(i, Computed, computed);
        m_table->setItem(i, FromFile, cell(QStringLiteral("\u2013")));
    }
    m_verdict->setText(at->patches.empty() ? tr("The scene has no patches to look at.")
                                           : QString());
    if (!m_checked.isEmpty())
        check(m_checked);
}

void LutDialog::write() {
    QString path = m_ask(true);
    if (path.isEmpty())
        return;
    const QString suffix = toQt(io::suffixOf(format()));
    if (!path.endsWith(suffix, Qt::CaseInsensitive))
        path += suffix;
    emit writeRequested(path, format(), look());
    m_written = path;
    if (suffix == QStringLiteral(".cube") || suffix == QStringLiteral(".clf"))
        check(path);
}

void LutDialog::check(const QString& path) {
    const auto lut = io::lutOf(m_shoot, m_setup, fromQt(look()));
    if (!lut)
        return;
    io::Colours signalsIn;
    for (int i = 0; i < m_table->rowCount(); ++i) {
        const double signal = m_table->item(i, Computed)->data(Qt::UserRole).toDouble();
        signalsIn.push_back({signal, signal, signal});
    }
    m_verdict->setText(tr("Reading %1 ...").arg(QFileInfo(path).fileName()));
    m_reading.start([this, path, lut = *lut, in = std::move(signalsIn)](const auto& control) {
        auto through = io::throughTransform(path.toStdString(), in, control.keepGoing());
        return [this, path, lut, in, through = std::move(through)] {
            showCheck(path, lut, in, through);
        };
    });
}

void LutDialog::showCheck(const QString& path, const RatingLut& lut, const io::Colours& in,
                          const Result<io::Colours>& through) {
    if (!through) {
        m_checked.clear();
        m_verdict->setText(messageOf(through.error()));
        return;
    }
    m_checked = path;
    double worst = 0;
    for (int i = 0; i < m_table->rowCount(); ++i) {
        const auto row = static_cast<std::size_t>(i);
        const double seen = (*through)[row][1];
        const double miss = std::abs(seen - apply(lut, in[row])[1]);
        worst = std::max(worst, miss);
        auto* item = cell(percent(seen) + (miss > kSame ? tr("  differs") : QString()));
        m_table->setItem(i, FromFile, item);
    }
    const QString name = QFileInfo(path).fileName();
    m_verdict->setText(
        worst <= kSame
            ? tr("%1 agrees to %2 % of the signal.").arg(name).arg(100 * worst, 0, 'f', 2)
        : path == m_written
            ? tr("%1 is this LUT, off by up to %2 % of the signal between its points: a finer cube "
                 "follows it closer.")
                  .arg(name)
                  .arg(100 * worst, 0, 'f', 1)
            : tr("%1 differs by up to %2 % of the signal: another setup, rating or "
                 "look.")
                  .arg(name)
                  .arg(100 * worst, 0, 'f', 1));
}

} // namespace bslate::app
