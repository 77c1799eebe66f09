#include "app/views/frame/frame_view.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/frame/found_rows.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/scope_picture.h"
#include "core/facts/evaluate.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QFileDialog>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QTimer>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

constexpr int kFrameRestMs = 80; // the hand rests
constexpr PictureSize kFrameSize{960, 540};

// One setup of a shoot as pictures; null when it cannot be worked out.
std::shared_ptr<const FrameImages> imagesOf(const Shoot& shoot, const std::string& setup,
                                            Theme theme) {
    const auto* found = findSetup(shoot, setup);
    const auto context = found ? resolve(shoot, *found) : Result<SetupContext>(Error{});
    if (!context)
        return nullptr;
    return std::make_shared<const FrameImages>(
        frameImages(*context, evaluate(*context), kFrameSize, theme));
}

} // namespace

FrameView::FrameView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_subtitle(new QLabel)
    , m_left(new QComboBox)
    , m_right(new QComboBox)
    , m_beside(new QComboBox)
    , m_picture(new FramePicture(style))
    , m_found(new FoundRows(style))
    , m_scopes(new ScopePicture(style))
    , m_later(new QTimer(this)) {
    setObjectName(QStringLiteral("frame-view"));
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
    auto* hint = new QLabel(tr("\u25c2 \u25b8 split   V stage   \u21e7V left stage   F stops   "
                               "Z zebra   C lost   P patches   R channels   K beside   O still   "
                               "Space whole"));
    hint->setFont(Style::font(TextRole::Secondary));
    hint->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(hint);
    m_later->setSingleShot(true);
    m_later->setInterval(kFrameRestMs);
    connect(m_later, &QTimer::timeout, this, &FrameView::make);
    auto& document = m_actions.document();
    connect(&document, &ShootDocument::changed, this, &FrameView::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, &FrameView::refresh);
    connect(&style, &Style::changed, this, &FrameView::refresh);
    m_ask = [this] {
        return QFileDialog::getOpenFileName(this, tr("Open a still"), {},
                                            tr("Pictures (*.exr *.tif *.tiff *.png *.jpg *.jpeg "
                                               "*.dpx);;All files (*)"));
    };
    connect(m_picture, &FramePicture::probeMoved, this, &FrameView::moveProbe);
    connect(m_picture, &FramePicture::splitMoved, this,
            [this](double share) { m_lastSplit = share; });
    setFocusPolicy(Qt::StrongFocus);
}

std::span<const KeyLine> FrameView::keys() const {
    static constexpr KeyLine kKeys[] = {
        {"Left, Right, Space",
         QT_TRANSLATE_NOOP("Help", "move the split (Shift: more); one side whole and back")},
        {"V, Shift+V", QT_TRANSLATE_NOOP("Help", "next stage on the right, on the left")},
        {"F", QT_TRANSLATE_NOOP("Help", "stops from grey as bands on the right, and back")},
        {"Z, C, P", QT_TRANSLATE_NOOP("Help", "zebra of skin, of the clip, none; what is lost; "
                                              "patches with what they read")},
        {"R", QT_TRANSLATE_NOOP("Help", "instruments of luma, of the three channels")},
        {"K", QT_TRANSLATE_NOOP("Help", "next setup beside this one, then this one again")},
        {"O, T, Escape", QT_TRANSLATE_NOOP("Help", "open a still, take what its rings read over as "
                                                   "readings, close it")},
        {"Ctrl+C", QT_TRANSLATE_NOOP("Help", "copy planned and found")}};
    return kKeys;
}

void FrameView::buildHeader(QVBoxLayout& column) {
    m_title->setFont(Style::font(TextRole::Head));
    m_title->setTextFormat(Qt::PlainText);
    m_subtitle->setForegroundRole(QPalette::PlaceholderText);
    m_subtitle->setTextFormat(Qt::PlainText);
    m_subtitle->setWordWrap(true);
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
    m_beside->setMinimumWidth(130);
    connect(m_beside, &QComboBox::activated, this, &FrameView::make);
    auto* titles = new QVBoxLayout;
    titles->setSpacing(2);
    titles->addWidget(m_title);
    titles->addWidget(m_subtitle);
    auto* row = new QHBoxLayout;
    row->addLayout(titles, 1);
    row->addWidget(m_left);
    row->addWidget(m_right);
    row->addWidget(m_beside);
    column.addLayout(row);
}

void FrameView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void FrameView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("Frame"));
    const QString kept = m_beside->currentData().toString();
    m_beside->clear();
    m_beside->addItem(tr("this setup"), QString());
    for (const auto& other : document.shoot().setups)
        if (!setup || other.id != setup->id)
            m_beside->addItem(tr("beside %1").arg(toQt(other.number)), toQt(other.id));
    m_beside->setCurrentIndex(std::max(0, m_beside->findData(kept)));
    for (QWidget* part : std::initializer_list<QWidget*>{m_left, m_right, m_beside})
        part->setEnabled(setup != nullptr);
    m_later->start();
}

void FrameView::make() {
    m_later->stop();
    if (!m_actions.document().setup() || !m_actions.document().evaluation()) {
        m_job.stop();
        m_images.reset();
        m_other.reset();
        m_madeOf.reset();
        return showImages();
    }
    m_still ? makeStill() : makeDrawn();
}

void FrameView::makeDrawn() {
    auto& document = m_actions.document();
    const auto value = document.value();
    const QString setup = document.setupId(), beside = m_beside->currentData().toString();
    const Theme theme = m_style.theme();
    if (m_images && m_madeOf == value && m_madeFor == setup && m_madeBeside == beside &&
        m_madeIn == theme)
        return showImages();
    m_subtitle->setText(tr("drawing \u2026"));
    m_job.start([=, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        const auto own = imagesOf(*value, fromQt(setup), theme);
        const auto other = control.goesOn() && !beside.isEmpty()
                               ? imagesOf(*value, fromQt(beside), theme)
                               : nullptr;
        return [=, this] {
            m_images = own;
            m_other = other;
            m_madeOf = value;
            m_madeFor = setup;
            m_madeBeside = beside;
            m_madeIn = theme;
            showImages();
        };
    });
}

QString FrameView::captionOf(const FrameImages& images, FrameLook look) const {
    auto caption = nameOf(look);
    if (m_other)
        caption = QStringLiteral("%1 %2").arg(images.number, caption);
    if (look == FrameLook::Grade && images.toLight)
        caption = tr("%1, to light %2").arg(caption, textOf(*images.toLight));
    return caption;
}

void FrameView::showImages() {
    if (!m_images) {
        m_picture->clear();
        m_found->clear();
        m_scopes->clear();
        m_subtitle->setText(m_actions.document().setup()
                                ? tr("This setup cannot be worked out: the verdict says why.")
                                : tr("no setup yet"));
        return;
    }
    if (m_images->still.isEmpty())
        m_subtitle->setText(tr("drawn from the patches, recorded by this setup: %1 bits and its "
                               "chroma, no codec")
                                .arg(m_images->depth.bits));
    else
        m_subtitle->setText(tr("%1, read as this profile records it: drag the rings onto their "
                               "patches, T takes them over as readings, Escape closes it")
                                .arg(m_images->still));
    m_picture->setProbesMove(!m_images->still.isEmpty());
    const auto left = static_cast<FrameLook>(m_left->currentIndex());
    const auto right = static_cast<FrameLook>(m_right->currentIndex());
    const auto& beside = m_other ? m_other : m_images;
    m_picture->show({m_images, left, captionOf(*m_images, left)},
                    {beside, right, captionOf(*beside, right)});
    m_picture->setMarks(m_fates, m_zebra, m_probes);
    m_found->show(m_images);
    m_scopes->show(m_images);
    m_scopes->setChannels(m_channels);
}

void FrameView::settle() {
    if (m_later->isActive())
        make();
    m_job.settle();
}

void FrameView::step(QComboBox& look, int by) {
    look.setCurrentIndex((look.currentIndex() + by + kFrameLooks) % kFrameLooks);
}

void FrameView::compareNext() {
    if (m_beside->count() < 2)
        return emit refused(tr("There is no other setup to put beside this one."));
    m_beside->setCurrentIndex((m_beside->currentIndex() + 1) % m_beside->count());
    make();
}

void FrameView::cycleZebra() {
    const auto has = [this](ZebraUse use) {
        return m_images && m_images->band[static_cast<std::size_t>(use)];
    };
    if (!m_zebra && has(ZebraUse::Skin))
        m_zebra = ZebraUse::Skin;
    else if (m_zebra != ZebraUse::Clip && has(ZebraUse::Clip))
        m_zebra = ZebraUse::Clip;
    else if (m_zebra)
        m_zebra.reset();
    else
        emit refused(tr("The camera's zebra does not reach where it would be needed."));
    showImages();
}

void FrameView::keyPressEvent(QKeyEvent* event) {
    if (event->matches(QKeySequence::Copy)) {
        QApplication::clipboard()->setText(m_found->text());
        return emit told(tr("Planned and found are copied."));
    }
    if (!m_actions.document().setup() ||
        event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) {
        QWidget::keyPressEvent(event);
        return;
    }
    const bool shift = event->modifiers() & Qt::ShiftModifier;
    const auto move = [&](double by) {
        m_picture->setSplit(m_picture->split() + (shift ? 5 : 1) * by);
        m_lastSplit = m_picture->split() > 0 ? m_picture->split() : m_lastSplit;
    };
    const auto flip = [this](bool& mark) {
        mark = !mark;
        showImages();
    };
    switch (event->key()) {
    case Qt::Key_Left:
        return move(-0.02);
    case Qt::Key_Right:
        return move(0.02);
    case Qt::Key_Space:
        return m_picture->setSplit(m_picture->split() > 0 ? 0.0 : m_lastSplit);
    case Qt::Key_V:
        return step(shift ? *m_left : *m_right, 1);
    case Qt::Key_F:
        return m_right->setCurrentIndex(static_cast<int>(
            m_right->currentIndex() == static_cast<int>(FrameLook::Stops) ? FrameLook::Grade
                                                                          : FrameLook::Stops));
    case Qt::Key_Z:
        return cycleZebra();
    case Qt::Key_C:
        return flip(m_fates);
    case Qt::Key_P:
        return flip(m_probes);
    case Qt::Key_R:
        return flip(m_channels);
    case Qt::Key_K:
        return compareNext();
    case Qt::Key_O:
        if (const auto path = m_ask(); !path.isEmpty())
            openStill(path);
        return;
    case Qt::Key_T:
        return takeReadings();
    case Qt::Key_Escape:
        return closeStill();
    default:
        QWidget::keyPressEvent(event);
    }
}

void FrameView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().panel, {}, 0);
}

} // namespace bslate::app
