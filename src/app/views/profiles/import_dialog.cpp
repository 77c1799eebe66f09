#include "app/views/profiles/import_dialog.h"

#include "app/document/text.h"
#include "app/views/profiles/curve_picture.h"
#include "core/quantity/parse_gear.h"

#include <QApplication>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileInfo>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QComboBox* choices(const char* name, const QString& label, const QStringList& items) {
    auto* box = new QComboBox;
    box->setObjectName(QString::fromLatin1(name));
    box->setAccessibleName(label);
    box->addItems(items);
    return box;
}

class WaitCursor {
public:
    WaitCursor() { QApplication::setOverrideCursor(Qt::WaitCursor); }
    ~WaitCursor() { QApplication::restoreOverrideCursor(); }
    WaitCursor(const WaitCursor&) = delete;
    WaitCursor& operator=(const WaitCursor&) = delete;
};

} // namespace

ImportDialog::ImportDialog(const Kit& kit, const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_kit(kit)
    , m_library(choices("import-library", tr("Library curve"), {}))
    , m_space(choices("import-space", tr("Colour space"), {}))
    , m_sense(choices("import-sense", tr("Direction"),
                      {tr("Found from the file"), tr("Signal to light"), tr("Light to signal")}))
    , m_light(choices("import-light", tr("Its light is in"),
                      {tr("The camera's own colours"), tr("AP0"), tr("AP1"), tr("BT.709"),
                       tr("BT.2020"), tr("CIE XYZ")}))
    , m_grey(new QLineEdit)
    , m_name(new QLineEdit)
    , m_camera(choices("import-camera", tr("For"), {}))
    , m_finding(new QLabel)
    , m_picture(new CurvePicture(style)) {
    setObjectName(QStringLiteral("import-dialog"));
    setWindowTitle(tr("Import a curve"));
    resize(640, 640);
    build();
}

void ImportDialog::build() {
    m_light->setCurrentIndex(static_cast<int>(io::LightSpace::Ap0));
    m_grey->setObjectName(QStringLiteral("import-grey"));
    m_grey->setPlaceholderText(tr("where the file says; type 40 % for a table without light"));
    m_name->setObjectName(QStringLiteral("import-name"));
    for (const auto& camera : m_kit.cameras)
        m_camera->addItem(toQt(camera.name), toQt(camera.id));
    m_camera->addItem(tr("No camera yet"), QString());
    m_finding->setObjectName(QStringLiteral("import-finding"));
    m_finding->setWordWrap(true);
    auto* form = new QFormLayout;
    form->addRow(tr("&Library curve"), m_library);
    form->addRow(tr("Colour &space"), m_space);
    form->addRow(tr("&Direction"), m_sense);
    form->addRow(tr("Its &light is in"), m_light);
    form->addRow(tr("&Mid-grey at"), m_grey);
    form->addRow(tr("&Name"), m_name);
    form->addRow(tr("&For"), m_camera);
    form->setRowVisible(m_library, false);
    form->setRowVisible(m_space, false);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    m_ok = buttons->button(QDialogButtonBox::Ok);
    m_ok->setText(tr("Add to the kit"));
    m_ok->setEnabled(false);
    auto* column = new QVBoxLayout(this);
    column->addLayout(form);
    column->addWidget(m_finding);
    column->addWidget(m_picture, 1);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    for (auto* box : {m_library, m_space, m_sense, m_light})
        connect(box, &QComboBox::currentIndexChanged, this, &ImportDialog::readAgain);
    connect(m_grey, &QLineEdit::editingFinished, this, &ImportDialog::readAgain);
}

void ImportDialog::readFile(const QString& path) {
    m_path = path;
    m_name->setText(QFileInfo(path).completeBaseName());
    if (!path.endsWith(QStringLiteral(".ocio"), Qt::CaseInsensitive))
        return readAgain();
    waitFor(QFileInfo(path).fileName());
    m_reading.start([this, file = path.toStdString()](const auto& control) {
        return
            [this, spaces = io::colourSpacesOf(file, control.keepGoing())] { showSpaces(spaces); };
    });
}

// Until it is read, there is nothing to add.
void ImportDialog::waitFor(const QString& what) {
    m_ok->setEnabled(false);
    m_finding->setText(tr("Reading %1 ... Cancel stops it.").arg(what));
}

void ImportDialog::showSpaces(const Result<std::vector<std::string>>& spaces) {
    if (!spaces) {
        m_finding->setText(messageOf(spaces.error()));
        return;
    }
    m_filling = true;
    for (const auto& space : *spaces)
        m_space->addItem(toQt(space));
    m_filling = false;
    static_cast<QFormLayout*>(layout()->itemAt(0)->layout())->setRowVisible(m_space, true);
    readAgain();
}

void ImportDialog::useLibrary() {
    const WaitCursor wait;
    m_filling = true;
    for (const auto& item : io::builtInTransforms())
        if (item.camera)
            m_library->addItem(toQt(item.about.empty() ? item.name : item.about),
                               static_cast<int>(item.index));
    m_filling = false;
    auto* form = static_cast<QFormLayout*>(layout()->itemAt(0)->layout());
    form->setRowVisible(m_library, true);
    for (QWidget* fixed : std::initializer_list<QWidget*>{m_sense, m_light, m_grey})
        form->setRowVisible(fixed, false);
    readAgain();
}

std::optional<io::ImportOptions> ImportDialog::options() {
    io::ImportOptions wish;
    wish.sense = static_cast<io::TransformSense>(m_sense->currentIndex());
    wish.space = static_cast<io::LightSpace>(m_light->currentIndex());
    wish.colourSpace = fromQt(m_space->currentText());
    if (!m_grey->text().trimmed().isEmpty()) {
        const auto grey = parseFraction(fromQt(m_grey->text()));
        if (!grey) {
            m_finding->setText(tr("Mid-grey: %1").arg(messageOf(grey.error())));
            m_ok->setEnabled(false);
            return std::nullopt;
        }
        wish.grey = signalAt(Level(100 * grey->value()), wish.range, BitDepth{10});
    }
    return wish;
}

void ImportDialog::readAgain() {
    if (m_filling)
        return;
    if (m_path.isEmpty()) {
        const WaitCursor wait;
        const auto index = static_cast<std::size_t>(m_library->currentData().toInt());
        m_name->setText(m_library->currentText());
        show(io::importBuiltIn(index));
        return;
    }
    const auto wish = options();
    if (!wish)
        return m_reading.stop();
    waitFor(QFileInfo(m_path).fileName());
    m_reading.start([this, file = m_path.toStdString(), wish = *wish](const auto& control) {
        return [this, imported = io::importTransform(file, wish, control.keepGoing())] {
            show(imported);
        };
    });
}

void ImportDialog::show(Result<io::ImportedTransform> imported) {
    m_ok->setEnabled(imported.ok());
    if (!imported) {
        m_imported.reset();
        m_finding->setText(messageOf(imported.error()));
        m_picture->show(std::nullopt, std::nullopt);
        return;
    }
    m_imported = *std::move(imported);
    const auto& curve = m_imported->curve;
    QString text = curve.sampled ? tr("No camera-log curve holds it (%1 codes of 10 bits off), so "
                                      "it is kept as a table: "
                                      "off by %2 codes at most.")
                                       .arg(tenBitCodes(curve.worstAsLog), 0, 'f', 1)
                                       .arg(tenBitCodes(curve.worst), 0, 'f', 2)
                                 : tr("A camera-log curve, off by %1 codes of 10 bits at most.")
                                       .arg(tenBitCodes(curve.worst), 0, 'f', 3);
    text += QLatin1Char(' ') + (m_imported->gamut ? tr("Its gamut was found too.")
                                : m_imported->splits()
                                    ? tr("Nothing is said of its gamut: BT.709 is taken.")
                                    : tr("It bends colours in ways no matrix does: only the grey "
                                         "curve is taken."));
    if (!m_imported->files.empty()) {
        QStringList names;
        for (const auto& file : m_imported->files)
            names.append(toQt(file));
        text += QLatin1Char(' ') + tr("Read with it: %1.").arg(names.join(QStringLiteral(", ")));
    }
    m_finding->setText(text);
    m_picture->show(CurvePicture::Shown{m_name->text(), curve.curve, BitDepth{10}, {}, {}},
                    std::nullopt);
}

QString ImportDialog::finding() const {
    return m_finding->text();
}

std::vector<std::string> ImportDialog::cameras() const {
    const auto id = fromQt(m_camera->currentData().toString());
    return id.empty() ? std::vector<std::string>() : std::vector{id};
}

Profile ImportDialog::profile() const {
    Profile profile;
    // What the camera's other log profile does with the ISO dial, this one most likely does too.
    if (const auto* camera = findCamera(m_kit, fromQt(m_camera->currentData().toString())))
        for (const auto& id : camera->profiles)
            if (const auto* known = findProfile(m_kit, id); known && isLog(*known)) {
                profile.iso = known->iso;
                profile.bases = known->bases;
                profile.minimum = known->minimum;
                profile.maximum = known->maximum;
                profile.locks = known->locks;
                break;
            }
    profile.id = "imported";
    profile.name = fromQt(m_name->text().trimmed());
    if (profile.name.empty())
        profile.name = fromQt(tr("Imported curve"));
    if (m_imported) {
        profile.curve = m_imported->curve.curve;
        profile.gamut = m_imported->gamut.value_or(gamutBt709());
        profile.gamutName = m_imported->gamut ? profile.name : "BT.709";
    }
    return profile;
}

} // namespace bslate::app
