#include "app/views/banks/banks_view.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "app/widgets/more_button.h"
#include "core/quantity/print.h"
#include "core/words/body_words.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

QLabel* secondaryLabel(const QString& text = {}) {
    auto* label = new QLabel(text);
    label->setFont(Style::font(TextRole::Secondary));
    label->setForegroundRole(QPalette::PlaceholderText);
    label->setMinimumWidth(0);
    return label;
}

QLabel* headLabel(const QString& text) {
    auto* label = new QLabel(text);
    label->setFont(Style::font(TextRole::Title));
    return label;
}

} // namespace

BanksView::BanksView(BankActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_summary(secondaryLabel())
    , m_cost(secondaryLabel())
    , m_controlsHead(headLabel(tr("Controls")))
    , m_prerollHead(headLabel(tr("Pre-roll")))
    , m_caution(secondaryLabel())
    , m_bank(quantityField("setup-bank", tr("Bank of the chosen setup"),
                           [](const QString&) { return std::optional<QString>(); }))
    , m_board(new BankBoard(actions.planner(), style))
    , m_plates(new ControlPlates(actions.planner(), style))
    , m_checks(new CheckList(style))
    , m_borrowed(new QPushButton(tr("Borrowed body (S)")))
    , m_scroll(new QScrollArea) {
    setObjectName(QStringLiteral("banks-view"));
    setAccessibleName(tr("Banks"));
    setFocusPolicy(Qt::StrongFocus);
    addKeys();
    layOut();
    wire();
    refresh();
}

void BanksView::addKeys() {
    auto& keys = keyTable();
    const auto sheet = [this](const char* name) {
        return [this, name] { emit sheetRequested(QLatin1String(name)); };
    };
    const auto school = [this](BankSchool of) { return [this, of] { m_actions.putSchool(of); }; };
    keys.add({{Qt::Key_Left, [this] { stepSetup(-1); }}, {Qt::Key_Right, [this] { stepSetup(1); }}},
             QT_TRANSLATE_NOOP("Help", "choose a setup"), QT_TRANSLATE_NOOP("Help", "setup"));
    keys.add({{Qt::Key_Up, [this] { m_board->stepTarget(-1); }},
              {Qt::Key_Down, [this] { m_board->stepTarget(1); }}},
             QT_TRANSLATE_NOOP("Help", "choose a bank"), QT_TRANSLATE_NOOP("Help", "bank"));
    keys.add({{Qt::Key_Return, [this] { putTarget(m_board->target()); }}},
             QT_TRANSLATE_NOOP("Help", "put the setup into the bank"),
             QT_TRANSLATE_NOOP("Help", "put it there"));
    keys.add({{Qt::Key_Delete, [this] { putTarget(-1); }}},
             QT_TRANSLATE_NOOP("Help", "take the setup out of its bank"));
    keys.add({{Qt::Key_F2, [this] { typeBank(); }}},
             QT_TRANSLATE_NOOP("Help", "type the bank of the setup"));
    keys.add({{Qt::Key_B, [this] { m_actions.putBest(); }}},
             QT_TRANSLATE_NOOP("Help", "best banks"), QT_TRANSLATE_NOOP("Help", "best"));
    keys.add({{Qt::Key_1, school(kBankSchools[0])},
              {Qt::Key_2, school(kBankSchools[1])},
              {Qt::Key_3, school(kBankSchools[2])}},
             QT_TRANSLATE_NOOP("Help", "one bank a speed, a look, a scene"));
    keys.add({{Qt::Key_W, [this] { m_actions.noteWritten(m_board->target()); }}},
             QT_TRANSLATE_NOOP("Help", "the bank is written into the camera"),
             QT_TRANSLATE_NOOP("Help", "written"));
    keys.add({{Qt::Key_E, [this] { editRecord(); }}},
             QT_TRANSLATE_NOOP("Help", "note other settings of the body"),
             QT_TRANSLATE_NOOP("Help", "note settings"));
    keys.add({{Qt::Key_D, sheet("record-card")}},
             QT_TRANSLATE_NOOP("Help", "what differs between body and plan"),
             QT_TRANSLATE_NOOP("Help", "differs"));
    keys.add({{Qt::Key_Space, [this] { m_checks->setFocus(); }}},
             QT_TRANSLATE_NOOP("Help", "go to the checks, which Space ticks"),
             QT_TRANSLATE_NOOP("Help", "tick"));
    keys.add({{Qt::Key_N, [this] { beginAgain(); }}},
             QT_TRANSLATE_NOOP("Help", "begin the checks again, for the next take"),
             QT_TRANSLATE_NOOP("Help", "again"));
    keys.add({{Qt::Key_S, [this] { m_borrowed->toggle(); }}},
             QT_TRANSLATE_NOOP("Help", "the list for a borrowed body in the place of the pre-roll"),
             QT_TRANSLATE_NOOP("Help", "borrowed"));
    keys.add({{Qt::Key_P, sheet("preroll-card")},
              {Qt::Key_C, sheet("control-card")},
              {Qt::Key_K, sheet("bank-card")}},
             QT_TRANSLATE_NOOP("Help", "pre-roll, controls and banks as cards"));
    keys.add({{Qt::Key_PageUp, [this] { stepCamera(-1); }},
              {Qt::Key_PageDown, [this] { stepCamera(1); }}},
             QT_TRANSLATE_NOOP("Help", "other camera"));
    keys.include(m_plates->keys());
    keys.include(m_checks->keys());
}

void BanksView::typeBank() {
    m_bank->setFocus();
    m_bank->selectAll();
}

void BanksView::settle() {
    m_actions.planner().settle();
}

void BanksView::layOut() {
    m_title->setFont(Style::font(TextRole::Head));
    m_title->setObjectName(QStringLiteral("banks-title"));
    m_summary->setObjectName(QStringLiteral("banks-summary"));
    m_cost->setObjectName(QStringLiteral("banks-cost"));
    m_bank->setFixedWidth(64);
    m_bank->setPlaceholderText(tr("none"));
    auto* head = new QHBoxLayout;
    head->setSpacing(8);
    head->addWidget(m_title);
    head->addStretch(1);
    head->addWidget(secondaryLabel(tr("bank of the chosen setup")));
    head->addWidget(m_bank);
    auto* best = new QPushButton(tr("Best banks (B)"));
    best->setObjectName(QStringLiteral("banks-best"));
    connect(best, &QPushButton::clicked, &m_actions, &BankActions::putBest);
    head->addWidget(best);
    auto* written = new QPushButton(tr("Written (W)"));
    written->setObjectName(QStringLiteral("banks-written"));
    connect(written, &QPushButton::clicked, this,
            [this] { m_actions.noteWritten(m_board->target()); });
    head->addWidget(written);
    auto* row = new QHBoxLayout;
    row->addWidget(m_summary);
    row->addStretch(1);
    row->addWidget(m_cost);
    layOutLower();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 10, 16, 8);
    column->setSpacing(4);
    column->addLayout(head);
    column->addLayout(row);
    column->addWidget(m_board, 1);
    column->addWidget(m_scroll, 20);
    column->addWidget(hintLabel());
    auto* more = new MoreButton("banks-more");
    more->setMinimumWidth(64);
    head->addWidget(more);
    addMore(*more);
}

void BanksView::layOutLower() {
    auto* controls = new QHBoxLayout;
    controls->addWidget(m_controlsHead);
    controls->addWidget(secondaryLabel(
        tr("what this plan turns most, nearest to the hand; nothing printed is moved")));
    controls->addStretch(1);
    m_borrowed->setObjectName(QStringLiteral("banks-borrowed"));
    m_borrowed->setCheckable(true);
    m_borrowed->setToolTip(tr("How to start with a body that is somebody else's"));
    auto* checks = new QHBoxLayout;
    checks->addWidget(m_prerollHead, 1);
    checks->addWidget(m_borrowed);
    auto* lower = new QWidget;
    auto* inside = new QVBoxLayout(lower);
    inside->setContentsMargins(0, 0, 0, 0);
    inside->setSpacing(4);
    inside->addLayout(controls);
    inside->addWidget(m_plates);
    inside->addSpacing(6);
    inside->addLayout(checks);
    inside->addWidget(m_checks);
    inside->addStretch(1);
    m_scroll->setWidget(lower);
    m_scroll->setWidgetResizable(true);
    m_scroll->setFrameShape(QFrame::NoFrame);
    m_scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_scroll->setFocusPolicy(Qt::NoFocus);
    m_scroll->viewport()->setAutoFillBackground(false);
    m_scroll->viewport()->installEventFilter(this);
    lower->setAutoFillBackground(false);
}

void BanksView::addMore(MoreButton& more) {
    const auto sheet = [this](const char* name) {
        return [this, name] { emit sheetRequested(QLatin1String(name)); };
    };
    constexpr ByEnum<BankSchool, const char*> kNames{"banks-speed", "banks-look", "banks-scene"};
    for (const auto school : kBankSchools)
        more.entry(
            tr("%1\t%2").arg(toQt(nameOf(school, translator()))).arg(static_cast<int>(school) + 1),
            kNames[school], [this, school] { m_actions.putSchool(school); });
    more.menu()->addSeparator();
    more.entry(tr("&Banks as a card\u2026\tK"), "banks-card", sheet("bank-card"));
    more.entry(tr("&Controls as a card\u2026\tC"), "banks-controls", sheet("control-card"));
    more.entry(tr("&Pre-roll as a card\u2026\tP"), "banks-preroll", sheet("preroll-card"));
    more.entry(tr("Begin the ch&ecks again\tN"), "banks-next-take", [this] { beginAgain(); });
    more.entry(tr("A &known starting point\u2026"), "banks-starting", sheet("starting-card"));
    more.menu()->addSeparator();
    more.entry(tr("What &differs\u2026\tD"), "banks-differs", sheet("record-card"));
    more.entry(tr("&Note other settings\u2026\tE"), "banks-note", [this] { editRecord(); });
    more.entry(tr("&Read a record\u2026"), "banks-read", [this] { askReadRecord(); });
    more.entry(tr("&Write the record\u2026"), "banks-write", [this] { askWriteRecord(); });
}

void BanksView::wire() {
    auto& planner = m_actions.planner();
    connect(&planner, &BankPlanner::changed, this, &BanksView::refresh);
    connect(&m_style, &Style::changed, this, qOverload<>(&QWidget::update));
    connect(&m_actions, &BankActions::refused, this, &BanksView::refused);
    connect(&m_actions, &BankActions::told, this, &BanksView::told);
    connect(m_bank, &QuantityEdit::entered, this, [this](const QString& text) {
        m_actions.putNamed(text);
        refresh(); // what was refused is not what is there
        setFocus();
    });
    connect(m_bank, &QuantityEdit::leftUnchanged, this, [this] { setFocus(); });
    connect(m_board, &BankBoard::setupChosen, this, [this](const QString& id) {
        setFocus();
        m_actions.document().select(id);
    });
    connect(m_board, &BankBoard::dropped, this, &BanksView::putTarget);
    connect(m_borrowed, &QPushButton::toggled, this, &BanksView::refreshChecks);
    connect(m_checks, &PickCanvas::picked, this, &BanksView::tick);
    connect(m_checks, &PickCanvas::currentAt, this, [this](QRect row) {
        const auto at = m_checks->mapTo(m_scroll->widget(), row.center());
        m_scroll->ensureVisible(at.x(), at.y(), 20, 30);
    });
    connect(m_plates, &PickCanvas::picked, this, [this](int control) {
        auto* menu = functionMenu(control);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        menu->popup(m_plates->mapToGlobal(m_plates->itemBox(control).bottomLeft().toPoint()));
    });
}

QMenu* BanksView::functionMenu(int control) {
    auto* menu = new QMenu(this);
    menu->setObjectName(QStringLiteral("function-menu"));
    const auto* camera = m_actions.planner().inView().camera;
    const auto& uses = m_actions.planner().plan().controls.uses;
    if (!camera || control < 0 || control >= static_cast<int>(uses.size()))
        return menu;
    const auto at = uses[static_cast<std::size_t>(control)].control;
    const auto& own = camera->body.controls[at];
    const auto add = [&](const QString& text, std::optional<Function> function, bool checked) {
        auto* action = menu->addAction(text);
        action->setCheckable(true);
        action->setChecked(checked);
        connect(action, &QAction::triggered, this,
                [this, at, function] { m_actions.choose(at, function); });
    };
    add(tr("As the plan says"), std::nullopt, !own.chosen);
    menu->addSeparator();
    auto functions = own.takes;
    if (own.printed &&
        std::find(functions.begin(), functions.end(), *own.printed) == functions.end())
        functions.insert(functions.begin(), *own.printed);
    for (const auto function : functions) {
        const auto name = toQt(nameOf(function, translator()));
        const auto other = chosenElsewhere(camera->body, at, function);
        add(other
                ? tr("%1, in exchange with %2").arg(name, toQt(camera->body.controls[*other].label))
            : own.printed == function ? tr("%1 (printed)").arg(name)
                                      : name,
            function, own.chosen == function);
    }
    return menu;
}

QString BanksView::costLine() const {
    const auto& planner = m_actions.planner();
    const auto& plan = planner.plan();
    QString text = tr("%1 by hand").arg(toQt(printDuration(planner.now().cost)));
    if (!planner.isSettled())
        return text;
    const auto& best = plan.best.plan;
    text += best.proven
                ? tr(" \u00b7 best %1").arg(toQt(printDuration(best.cost)))
                : tr(" \u00b7 best found %1, at least %2")
                      .arg(toQt(printDuration(best.cost)), toQt(printDuration(best.atLeast)));
    return text + schoolLine();
}

QString BanksView::schoolLine() const {
    const auto& view = m_actions.planner().inView();
    if (view.plan.problem.banks.empty())
        return {};
    QStringList costs;
    const ByEnum<BankSchool, QString> names{tr("a speed"), tr("a look"), tr("a scene")};
    for (const auto school : kBankSchools)
        costs << tr("%1 %2").arg(
            names[school], toQt(printDuration(view.schools[static_cast<std::size_t>(school)])));
    return tr(" \u00b7 one bank %1").arg(costs.join(tr(", ")));
}

void BanksView::refresh() {
    const auto& planner = m_actions.planner();
    const auto* camera = planner.inView().camera;
    const auto& problem = planner.plan().problem;
    m_title->setText(camera ? tr("Banks of %1").arg(toQt(camera->name)) : tr("Banks"));
    int inside = 0, onCard = 0;
    for (const auto& bank : problem.banks)
        ++(bank.place == BankPlace::Inside ? inside : onCard);
    QStringList parts;
    if (camera) {
        parts << (problem.banks.empty() ? tr("no banks")
                  : onCard > 0          ? tr("%1 inside, %2 on the card").arg(inside).arg(onCard)
                                        : tr("%1 inside").arg(inside));
        parts << tr("setups: %1").arg(problem.work.setups.size());
        if (!problem.work.incomplete.empty())
            parts << tr("not complete: %1").arg(problem.work.incomplete.size());
    } else {
        parts << tr("no camera in the kit");
    }
    m_summary->setText(parts.join(QStringLiteral(" \u00b7 ")));
    m_cost->setText(camera && !problem.work.setups.empty() ? costLine() : QString());
    const auto chosen = planner.selected();
    m_bank->setEnabled(chosen.has_value());
    const int bank = chosen ? planner.threads()[*chosen] : -1;
    m_bank->showValue(bank < 0 ? QString()
                               : toQt(problem.banks[static_cast<std::size_t>(bank)].label));
    m_board->refresh();
    m_plates->refresh();
    refreshChecks();
}

void BanksView::fitLower() {
    auto* lower = m_scroll->widget();
    lower->layout()->activate();
    const int need = lower->hasHeightForWidth() ? lower->heightForWidth(m_scroll->width())
                                                : lower->sizeHint().height();
    m_scroll->setMaximumHeight(need + 16);
}

bool BanksView::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize && watched == m_scroll->viewport())
        fitLower();
    return StepView::eventFilter(watched, event);
}

void BanksView::putTarget(int bank) {
    m_actions.put(bank);
    refresh();
}

void BanksView::stepSetup(int by) {
    if (const auto setup = m_board->beside(by))
        m_actions.document().select(
            toQt(m_actions.planner().plan().problem.work.setups[*setup].id));
}

void BanksView::stepCamera(int by) {
    const auto& cameras = m_actions.document().shoot().kit.cameras;
    const auto* now = m_actions.planner().camera();
    if (!now)
        return;
    const auto at = now - cameras.data() + by;
    if (at >= 0 && at < static_cast<std::ptrdiff_t>(cameras.size()))
        m_actions.planner().chooseCamera(toQt(cameras[static_cast<std::size_t>(at)].id));
}

void BanksView::showEvent(QShowEvent*) {
    m_actions.planner().setActive(true);
}

void BanksView::hideEvent(QHideEvent*) {
    m_actions.planner().setActive(false);
}

} // namespace bslate::app
