#include "app/views/frame/frame_view.h"

#include "app/document/text.h"
#include "app/views/frame/found_rows.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_tools.h"
#include "app/views/frame/scope_picture.h"
#include "app/widgets/open_path.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/evaluate.h"

#include <QComboBox>
#include <QLabel>
#include <QTimer>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

constexpr int kFrameRestMs = 80; // the hand rests

std::optional<QString> pushProblem(const QString& text) {
    const auto push = parsePush(fromQt(text));
    return push ? std::nullopt : std::optional(messageOf(push.error()));
}

} // namespace

FrameView::FrameView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_subtitle(new QLabel)
    , m_left(new QComboBox)
    , m_right(new QComboBox)
    , m_beside(new QComboBox)
    , m_range(new QComboBox)
    , m_pushEdit(quantityField("frame-push", tr("Push on the grade"), pushProblem))
    , m_picture(new FramePicture(style))
    , m_found(new FoundRows(style))
    , m_scopes(new ScopePicture(style))
    , m_later(new QTimer(this)) {
    setObjectName(QStringLiteral("frame-view"));
    addKeys();
    m_tools = new FrameTools(keyTable());
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    auto* row = new QHBoxLayout;
    row->setSpacing(12);
    row->addWidget(m_picture, 1);
    row->addWidget(m_found);
    column->addLayout(row, 3);
    column->addWidget(m_scopes, 2);
    column->addWidget(m_tools);
    connect(m_tools, &FrameTools::pressed, this, [this](int key) {
        setFocus();
        keyTable().press(static_cast<Qt::Key>(key));
        showTools();
    });
    m_later->setSingleShot(true);
    m_later->setInterval(kFrameRestMs);
    connect(m_later, &QTimer::timeout, this, &FrameView::make);
    connect(&m_job, &BackgroundJob::progressed, this, &FrameView::tellProgress);
    auto& document = m_actions.document();
    connect(&document, &ShootDocument::changed, this, &FrameView::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, &FrameView::refresh);
    connect(&style, &Style::changed, this, &FrameView::refresh);
    m_ask = [this] {
        return askOpenPath(this, tr("Open a still"),
                           tr("Pictures (*.exr *.tif *.tiff *.png *.jpg *.jpeg "
                              "*.dpx);;All files (*)"));
    };
    connect(m_picture, &FramePicture::probeMoved, this, &FrameView::moveProbe);
    connect(m_picture, &FramePicture::probeDropped, this, &FrameView::dropProbe);
    connect(m_picture, &FramePicture::probeHeld, this, &FrameView::holdPatch);
    connect(m_picture, &FramePicture::boxResized, this, &FrameView::resizePatch);
    connect(m_picture, &FramePicture::splitMoved, this,
            [this](double share) { m_lastSplit = share; });
    setFocusPolicy(Qt::StrongFocus);
}

void FrameView::buildHeader(QVBoxLayout& column) {
    const auto side = [this](QComboBox& box, const char* name, const QString& spoken,
                             FrameLook look) {
        for (int i = 0; i < kFrameLooks; ++i)
            box.addItem(nameOf(static_cast<FrameLook>(i)));
        box.setObjectName(QString::fromLatin1(name));
        box.setAccessibleName(spoken);
        box.setCurrentIndex(static_cast<int>(look));
        connect(&box, &QComboBox::currentIndexChanged, this, &FrameView::showImages);
    };
    side(*m_left, "frame-left", tr("Stage on the left"), FrameLook::Light);
    side(*m_right, "frame-right", tr("Stage on the right"), FrameLook::Grade);
    m_beside->setObjectName(QStringLiteral("frame-beside"));
    m_beside->setAccessibleName(tr("Setup on the right"));
    m_beside->setFixedWidth(150);
    connect(m_beside, &QComboBox::activated, this, &FrameView::make);
    m_pushEdit->setPlaceholderText(tr("push: lift 3 warm 60"));
    m_pushEdit->setFixedWidth(150);
    connect(m_pushEdit, &QuantityEdit::refused, this, &FrameView::refused);
    connect(m_pushEdit, &QuantityEdit::entered, this,
            [this](const QString& text) { setPush(*parsePush(fromQt(text))); });
    m_range->setObjectName(QStringLiteral("frame-range"));
    m_range->setAccessibleName(tr("Range of the still's codes"));
    m_range->setToolTip(tr("what the codes of the still span: all of them, or the legal range"));
    m_range->addItem(tr("full range"));
    m_range->addItem(tr("legal range"));
    m_range->hide();
    connect(m_range, &QComboBox::activated, this, &FrameView::make);
    auto* row = new QHBoxLayout;
    row->addLayout(pageHead(*m_title, *m_subtitle), 1);
    row->addWidget(m_range);
    row->addWidget(m_left);
    row->addWidget(m_right);
    row->addWidget(m_beside);
    row->addWidget(m_pushEdit);
    column.addLayout(row);
}

void FrameView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void FrameView::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    m_job.stop();
    emit found({});
}

const FrameImages* FrameView::images() const {
    return m_still ? m_stillImages.get() : imagesOf(0).get();
}

void FrameView::fillBeside(const Setup* setup) {
    const auto& shoot = m_actions.document().shoot();
    const QString kept = m_beside->currentData().toString();
    m_beside->clear();
    m_beside->addItem(tr("this setup"), QString());
    const auto context = setup ? resolve(shoot, *setup) : Result<SetupContext>(Error{});
    if (context)
        for (const auto& variant : variantsOf(*context))
            m_beside->addItem(tr("as %1").arg(nameOf(variant, shoot.kit)), toQt(spell(variant)));
    for (const auto& other : shoot.setups)
        if (setup && other.id != setup->id)
            m_beside->addItem(tr("beside %1").arg(toQt(other.number)),
                              QStringLiteral("setup:") + toQt(other.id));
    m_beside->setCurrentIndex(std::max(0, m_beside->findData(kept)));
}

void FrameView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    const auto* setup = m_actions.document().setup();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("Frame"));
    fillBeside(setup);
    for (QWidget* part : std::initializer_list<QWidget*>{m_left, m_right, m_beside, m_pushEdit})
        part->setEnabled(setup != nullptr);
    m_later->start();
}

std::vector<FrameSource> FrameView::sources() const {
    auto& document = m_actions.document();
    const std::string own = fromQt(document.setupId());
    std::vector<FrameSource> all{{document.value(), own, std::nullopt, m_noise}};
    const std::string beside = fromQt(m_beside->currentData().toString());
    if (beside.starts_with("setup:"))
        all.push_back({document.value(), beside.substr(6), std::nullopt, m_noise});
    else if (const auto variant = variantNamed(beside))
        all.push_back({document.value(), own, variant, m_noise});
    return all;
}

FrameShown FrameView::shownHow() const {
    return {m_style.theme(), m_push, {}};
}

std::shared_ptr<const FrameImages> FrameView::imagesOf(std::size_t side) const {
    if (side >= m_sides.size() || !m_sides[side].plain)
        return nullptr;
    const auto& of = m_sides[side];
    return m_codec && of.coded ? of.coded->images : of.plain->images;
}

void FrameView::make() {
    m_later->stop();
    if (!m_actions.document().setup() || !m_actions.document().evaluation()) {
        m_job.stop();
        m_sides.clear();
        return nothingToShow();
    }
    m_still ? makeStill() : makeDrawn();
}

void FrameView::nothingToShow() {
    m_picture->clear();
    m_found->clear();
    m_scopes->clear();
    emit found({});
    m_subtitle->setText(m_actions.document().setup()
                            ? tr("This setup cannot be worked out: the verdict says why.")
                            : tr("no setup yet"));
}

void FrameView::showImages() {
    const auto own = m_still ? m_stillImages : imagesOf(0);
    if (!own)
        return;
    m_subtitle->setText(subtitle(*own));
    const auto left = static_cast<FrameLook>(m_left->currentIndex());
    const auto right = static_cast<FrameLook>(m_right->currentIndex());
    const auto other = m_still ? nullptr : imagesOf(1);
    const auto& beside = other ? other : own;
    m_picture->show({own, left, captionOf(*own, left)}, {beside, right, captionOf(*beside, right)});
    m_picture->setMarks({m_fates, m_probes, m_bands, m_zebra});
    showHeld();
    showTools();
    m_found->show(own);
    m_scopes->show(own, m_ofGrade, m_channels);
    emit found(own->findings);
}

void FrameView::settle() {
    if (m_later->isActive())
        make();
    do
        m_job.settle();
    while (m_job.isRunning());
}

void FrameView::setCodec(bool on) {
    m_codec = on;
    make();
}

void FrameView::setPush(const Push& push) {
    m_push = push;
    m_pushEdit->showValue(toQt(print(push)));
    make();
}

} // namespace bslate::app
