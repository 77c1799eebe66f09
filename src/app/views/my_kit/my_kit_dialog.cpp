#include "app/views/my_kit/my_kit_dialog.h"

#include "app/document/text.h"
#include "app/style/marks.h"

#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

enum PartRole { SortRole = Qt::UserRole, IdRole, StateRole };

QString stateText(const PartBeside& one) {
    switch (one.state) {
    case PartState::Same:
        return MyKitDialog::tr("alike");
    case PartState::OnlyHere:
        return MyKitDialog::tr("in this shoot only");
    case PartState::OnlyThere:
        return MyKitDialog::tr("in My kit only");
    case PartState::Differs:
        break;
    }
    return MyKitDialog::tr("differs: %1").arg(differingFields(one));
}

} // namespace

MyKitDialog::MyKitDialog(MyKit& mine, ShootDocument& document, const Style& style, QWidget* parent)
    : QDialog(parent)
    , m_mine(mine)
    , m_style(style)
    , m_summary(new QLabel)
    , m_list(new QTreeWidget)
    , m_keep(new QPushButton(tr("&Keep in My kit")))
    , m_take(new QPushButton(tr("&Take from My kit")))
    , m_forget(new QPushButton(tr("&Remove from My kit")))
    , m_keepAll(new QPushButton(tr("Keep &everything")))
    , m_takeAll(new QPushButton(tr("Take e&verything"))) {
    setObjectName(QStringLiteral("my-kit-dialog"));
    setWindowTitle(tr("My kit and this shoot's"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(760, 620);
    build();
    connect(&mine, &MyKit::changed, this, &MyKitDialog::fill);
    connect(&document, &ShootDocument::changed, this, &MyKitDialog::fill);
    connect(&style, &Style::changed, this, &MyKitDialog::fill);
    fill();
}

void MyKitDialog::build() {
    auto* column = new QVBoxLayout(this);
    m_summary->setObjectName(QStringLiteral("my-kit-summary"));
    m_summary->setWordWrap(true);
    m_summary->setTextFormat(Qt::PlainText);
    column->addWidget(m_summary);
    m_list->setObjectName(QStringLiteral("my-kit-list"));
    m_list->setAccessibleName(tr("Parts of both kits"));
    m_list->setHeaderLabels({tr("Part"), tr("This shoot beside My kit")});
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_list->setIndentation(14);
    m_list->setRootIsDecorated(false);
    m_list->header()->setSectionResizeMode(0, QHeaderView::ResizeToContents);
    column->addWidget(m_list, 1);
    auto* row = new QHBoxLayout;
    const auto place = [&](QPushButton* button, const char* name, auto work) {
        button->setObjectName(QString::fromLatin1(name));
        button->setAutoDefault(false);
        row->addWidget(button);
        connect(button, &QPushButton::clicked, this, work);
    };
    place(m_keep, "mine-keep", [this] { m_mine.keep(chosenBut(PartState::OnlyThere)); });
    place(m_take, "mine-take", [this] { m_mine.take(chosenBut(PartState::OnlyHere)); });
    place(m_forget, "mine-forget", [this] { m_mine.forget(chosenBut(PartState::OnlyHere)); });
    row->addStretch(1);
    place(m_keepAll, "mine-keep-all", [this] { m_mine.keepAll(); });
    place(m_takeAll, "mine-take-all", [this] { m_mine.takeAll(); });
    column->addLayout(row);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(m_list, &QTreeWidget::itemSelectionChanged, this, &MyKitDialog::showButtons);
}

void MyKitDialog::fill() {
    const auto before = chosen();
    const QSignalBlocker quiet(m_list);
    m_list->clear();
    const auto own = m_mine.kit();
    const auto parts = m_mine.besides();
    QTreeWidgetItem* group = nullptr;
    std::optional<KitPart> sort;
    int differ = 0;
    for (const auto& one : parts) {
        if (sort != one.part) {
            group = new QTreeWidgetItem(m_list, {headingOf(one.part)});
            group->setFont(0, Style::font(TextRole::Title));
            group->setFlags(Qt::ItemIsEnabled);
            group->setExpanded(true);
            sort = one.part;
        }
        differ += one.state != PartState::Same;
        auto* item = new QTreeWidgetItem(group, {toQt(one.name), stateText(one)});
        item->setData(0, SortRole, static_cast<int>(one.part));
        item->setData(0, IdRole, toQt(one.id));
        item->setData(0, StateRole, static_cast<int>(one.state));
        item->setToolTip(1, item->text(1));
        if (one.state == PartState::Same)
            item->setForeground(1, m_style.colours().muted);
        item->setSelected(std::any_of(before.begin(), before.end(), [&](const Chosen& was) {
            return was.part == one.part && was.id == toQt(one.id);
        }));
    }
    m_summary->setText(
        !own ? messageOf(own.error())
        : m_mine.isEmpty()
            ? tr("My kit is empty. What is kept there is in every new shoot; a shoot has its own "
                 "copy, and neither changes the other by itself.")
        : differ == 0
            ? tr("This shoot has everything as My kit has it.")
            : tr("Parts that differ: %1. Neither changes the other by itself.").arg(differ));
    m_keepAll->setEnabled(own.ok() && differ > 0);
    m_takeAll->setEnabled(own.ok() && differ > 0 && !m_mine.isEmpty());
    showButtons();
}

std::vector<MyKitDialog::Chosen> MyKitDialog::chosen() const {
    std::vector<Chosen> all;
    for (const auto* item : m_list->selectedItems())
        if (!item->data(0, IdRole).isNull())
            all.push_back({static_cast<KitPart>(item->data(0, SortRole).toInt()),
                           item->data(0, IdRole).toString(),
                           static_cast<PartState>(item->data(0, StateRole).toInt())});
    return all;
}

void MyKitDialog::choose(KitPart part, const QString& id) {
    for (int g = 0; g < m_list->topLevelItemCount(); ++g)
        for (int i = 0; i < m_list->topLevelItem(g)->childCount(); ++i) {
            auto* item = m_list->topLevelItem(g)->child(i);
            if (item->data(0, SortRole).toInt() == static_cast<int>(part) &&
                item->data(0, IdRole).toString() == id)
                m_list->setCurrentItem(item);
        }
}

void MyKitDialog::showButtons() {
    const auto all = chosen();
    const auto any = [&](PartState one, PartState other) {
        return std::any_of(all.begin(), all.end(), [&](const Chosen& part) {
            return part.state == one || part.state == other;
        });
    };
    m_keep->setEnabled(any(PartState::OnlyHere, PartState::Differs));
    m_take->setEnabled(any(PartState::OnlyThere, PartState::Differs));
    m_forget->setEnabled(any(PartState::Same, PartState::Differs) ||
                         any(PartState::OnlyThere, PartState::OnlyThere));
}

// Those that are on the side they come from.
std::vector<MyKit::Part> MyKitDialog::chosenBut(PartState other) const {
    std::vector<MyKit::Part> parts;
    for (const auto& one : chosen())
        if (one.state != other)
            parts.push_back({one.part, one.id});
    return parts;
}

} // namespace bslate::app
