#include "app/style/control_style.h"

#include "app/style/marks.h"

#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QStyleOption>

#include <algorithm>

namespace bslate::app {
namespace {

// Around the words, the line of the block included.
constexpr int kButtonSide = 11, kButtonAbove = 5;
constexpr int kFieldSide = 7, kFieldAbove = 4;
constexpr int kDownWidth = 18; // of what opens a list
constexpr int kHeadSide = 10, kHeadAbove = 4, kHeadGap = 10, kBarSide = 6;
constexpr int kEntryLeft = 24, kEntryRight = 24, kEntryAbove = 5;
constexpr int kShortcutGap = 24;
constexpr int kSeparator = 9;

bool is(const QStyleOption& option, QStyle::StateFlag state) {
    return option.state.testFlag(state);
}

bool isPointedAt(const QStyleOption& option) {
    return is(option, QStyle::State_Enabled) &&
           (is(option, QStyle::State_MouseOver) || is(option, QStyle::State_HasFocus));
}

bool has(const QWidget* widget, const char* property) {
    return widget && widget->property(property).toBool();
}

// Several lines of text: its frame is a field's.
bool isTextField(const QWidget* widget) {
    return qobject_cast<const QPlainTextEdit*>(widget) != nullptr;
}

bool isScrollArea(const QWidget* widget) {
    return qobject_cast<const QScrollArea*>(widget) != nullptr;
}

bool isListOfChoice(const QWidget* widget) {
    return widget && widget->inherits("QComboBoxPrivateContainer");
}

} // namespace

ControlStyle::ControlStyle(const Tokens& tokens)
    : m_tokens(&tokens) {}

void ControlStyle::drawButton(QPainter& painter, const QStyleOption& option,
                              const QWidget* widget) const {
    const auto& t = *m_tokens;
    const bool on = is(option, State_On), pointed = isPointedAt(option);
    if (has(widget, "quiet")) {
        if (is(option, State_HasFocus))
            drawBlock(painter, option.rect, Qt::transparent, t.marigold, 1);
        return;
    }
    const QColor& fill = on ? t.deep : is(option, State_Sunken) ? t.line : t.raised;
    drawBlock(painter, option.rect, fill, on || pointed ? t.marigold : t.line, 1);
}

void ControlStyle::drawDown(QPainter& painter, QPointF centre, bool enabled) const {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(Qt::NoPen);
    painter.setBrush(enabled ? m_tokens->muted : m_tokens->faint);
    const QPointF down[] = {centre + QPointF(-4, -2), centre + QPointF(4, -2),
                            centre + QPointF(0, 2.5)};
    painter.drawPolygon(down, 3);
    painter.restore();
}

void ControlStyle::drawButtonWords(QPainter& painter, const QStyleOptionButton& option,
                                   const QWidget* widget) const {
    const auto& t = *m_tokens;
    const bool enabled = is(option, State_Enabled);
    const QColor& ink = !enabled                                               ? t.faint
                        : is(option, State_On)                                 ? t.marigold
                        : has(widget, "quiet") && !is(option, State_MouseOver) ? t.muted
                                                                               : t.ink;
    QRect words = subElementRect(SE_PushButtonContents, &option, widget);
    if (option.features.testFlag(QStyleOptionButton::HasMenu)) {
        drawDown(painter,
                 QPointF(words.right() - kDownWidth / 2.0 + 4, option.rect.center().y() + 1),
                 enabled);
        words.setRight(words.right() - kDownWidth);
    }
    int flags = int(Qt::AlignVCenter) | int(Qt::TextShowMnemonic) |
                int(has(widget, "leading") ? Qt::AlignLeft : Qt::AlignHCenter);
    if (!styleHint(SH_UnderlineShortcut, &option, widget, nullptr))
        flags |= Qt::TextHideMnemonic;
    if (!option.icon.isNull())
        return QProxyStyle::drawControl(CE_PushButtonLabel, &option, &painter, widget);
    painter.setPen(ink);
    painter.drawText(words, flags, option.text);
}

void ControlStyle::drawField(QPainter& painter, const QStyleOption& option) const {
    const auto& t = *m_tokens;
    const bool focused = is(option, State_HasFocus) && is(option, State_Enabled);
    drawBlock(painter, option.rect, t.deep, focused ? t.marigold : t.line, 1);
}

void ControlStyle::drawPrimitive(PrimitiveElement element, const QStyleOption* option,
                                 QPainter* painter, const QWidget* widget) const {
    const auto& t = *m_tokens;
    switch (element) {
    case PE_PanelButtonCommand:
        return drawButton(*painter, *option, widget);
    case PE_PanelLineEdit:
        if (const auto* frame = qstyleoption_cast<const QStyleOptionFrame*>(option);
            frame && frame->lineWidth > 0)
            return drawField(*painter, *option);
        break;
    case PE_Frame:
        if (isScrollArea(widget))
            return;
        if (isTextField(widget))
            return drawField(*painter, *option);
        if (isListOfChoice(widget))
            return drawBlock(*painter, option->rect, t.panel, t.line, 1);
        break;
    case PE_IndicatorCheckBox:
        return drawTick(*painter, *option);
    case PE_PanelMenu:
        painter->fillRect(option->rect, t.ground);
        return;
    case PE_FrameMenu:
    case PE_PanelTipLabel:
        painter->fillRect(option->rect, element == PE_FrameMenu ? t.ground : t.raised);
        painter->setPen(t.line);
        painter->drawRect(option->rect.adjusted(0, 0, -1, -1));
        return;
    default:
        break;
    }
    PlainStyle::drawPrimitive(element, option, painter, widget);
}

// A field's frame with or without a tick in it: without words beside it, it has to be seen empty.
void ControlStyle::drawTick(QPainter& painter, const QStyleOption& option) const {
    const auto& t = *m_tokens;
    const QRect box = option.rect.adjusted(0, 0, -1, -1);
    drawBlock(painter, box, t.deep, isPointedAt(option) ? t.marigold : t.muted, 1);
    if (!is(option, State_On))
        return;
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(is(option, State_Enabled) ? t.ink : t.faint, 2));
    const QPointF middle = QRectF(box).center();
    const QPointF tick[] = {middle + QPointF(-3.5, 0), middle + QPointF(-1, 3),
                            middle + QPointF(4, -3.5)};
    painter.drawPolyline(tick, 3);
    painter.restore();
}

// A title in the bar of menus.
void ControlStyle::drawMenuHead(QPainter& painter, const QStyleOptionMenuItem& option) const {
    const auto& t = *m_tokens;
    const bool open = is(option, State_Selected) || is(option, State_Sunken);
    painter.fillRect(option.rect, open ? t.raised : t.ground);
    painter.setPen(is(option, State_Enabled) ? t.ink : t.faint);
    painter.drawText(option.rect, int(Qt::AlignCenter) | int(Qt::TextShowMnemonic), option.text);
}

void ControlStyle::drawMenuEntry(QPainter& painter, const QStyleOptionMenuItem& option,
                                 const QWidget* widget) const {
    const auto& t = *m_tokens;
    const QRect& box = option.rect;
    const bool enabled = is(option, State_Enabled);
    if (option.menuItemType == QStyleOptionMenuItem::Separator) {
        painter.fillRect(box, t.ground);
        painter.fillRect(QRect(box.left() + 8, box.center().y(), box.width() - 16, 1), t.line);
        return;
    }
    painter.fillRect(box, is(option, State_Selected) && enabled ? t.raised : t.ground);
    painter.setFont(option.font);
    const QColor& ink = enabled ? t.ink : t.faint;
    if (option.checkType != QStyleOptionMenuItem::NotCheckable && option.checked) {
        painter.save();
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(QPen(enabled ? t.marigold : t.faint, 1.8 * t.stroke, Qt::SolidLine,
                            Qt::RoundCap, Qt::RoundJoin));
        const QPointF at(box.left() + 12, box.center().y() + 1);
        const QPointF tick[] = {at + QPointF(-4, 0), at + QPointF(-1, 3), at + QPointF(5, -4)};
        painter.drawPolyline(tick, 3);
        painter.restore();
    }
    if (option.menuItemType == QStyleOptionMenuItem::SubMenu) {
        QStyleOption arrow = option;
        arrow.rect = QRect(box.right() - 18, box.top(), 12, box.height());
        PlainStyle::drawPrimitive(PE_IndicatorArrowRight, &arrow, &painter, widget);
    }
    const QRect words = box.adjusted(kEntryLeft, 0, -kEntryRight, 0);
    const auto tab = option.text.indexOf(QLatin1Char('\t'));
    const int flags = int(Qt::AlignVCenter) | int(Qt::TextShowMnemonic) | int(Qt::TextSingleLine);
    painter.setPen(ink);
    painter.drawText(words, flags | int(Qt::AlignLeft), option.text.left(tab));
    if (tab < 0)
        return;
    painter.setPen(enabled ? t.muted : t.faint);
    painter.drawText(words, flags | int(Qt::AlignRight), option.text.mid(tab + 1));
}

void ControlStyle::drawControl(ControlElement element, const QStyleOption* option,
                               QPainter* painter, const QWidget* widget) const {
    switch (element) {
    case CE_PushButton:
        drawControl(CE_PushButtonBevel, option, painter, widget);
        return drawControl(CE_PushButtonLabel, option, painter, widget);
    case CE_PushButtonBevel:
        return drawButton(*painter, *option, widget);
    case CE_PushButtonLabel:
        if (const auto* button = qstyleoption_cast<const QStyleOptionButton*>(option))
            return drawButtonWords(*painter, *button, widget);
        break;
    case CE_MenuBarItem:
        if (const auto* entry = qstyleoption_cast<const QStyleOptionMenuItem*>(option))
            return drawMenuHead(*painter, *entry);
        break;
    case CE_MenuBarEmptyArea:
    case CE_MenuEmptyArea:
        painter->fillRect(option->rect, m_tokens->ground);
        return;
    case CE_MenuItem:
        if (const auto* entry = qstyleoption_cast<const QStyleOptionMenuItem*>(option))
            return drawMenuEntry(*painter, *entry, widget);
        break;
    case CE_ComboBoxLabel:
        if (const auto* choice = qstyleoption_cast<const QStyleOptionComboBox*>(option)) {
            const QRect words = subControlRect(CC_ComboBox, choice, SC_ComboBoxEditField, widget);
            painter->setPen(is(*option, State_Enabled) ? m_tokens->ink : m_tokens->faint);
            painter->drawText(
                words, int(Qt::AlignLeft) | int(Qt::AlignVCenter),
                option->fontMetrics.elidedText(choice->currentText, Qt::ElideRight, words.width()));
            return;
        }
        break;
    default:
        break;
    }
    PlainStyle::drawControl(element, option, painter, widget);
}

void ControlStyle::drawComplexControl(ComplexControl control, const QStyleOptionComplex* option,
                                      QPainter* painter, const QWidget* widget) const {
    if (control != CC_ComboBox)
        return PlainStyle::drawComplexControl(control, option, painter, widget);
    drawField(*painter, *option);
    const QRect arrow = subControlRect(control, option, SC_ComboBoxArrow, widget);
    drawDown(*painter, QPointF(arrow.center()) + QPointF(0, 1), is(*option, State_Enabled));
}

QSize ControlStyle::sizeFromContents(ContentsType type, const QStyleOption* option,
                                     const QSize& contents, const QWidget* widget) const {
    switch (type) {
    case CT_PushButton:
        return has(widget, "quiet") ? contents + QSize(6, 4)
                                    : contents + QSize(2 * kButtonSide, 2 * kButtonAbove);
    case CT_LineEdit:
        return contents + QSize(2 * kFieldSide, 2 * kFieldAbove);
    case CT_ComboBox:
        return contents + QSize(2 * kFieldSide + kDownWidth, 2 * kFieldAbove);
    case CT_MenuBarItem:
        return contents + QSize(2 * kHeadSide, 2 * kHeadAbove);
    case CT_MenuItem:
        if (const auto* entry = qstyleoption_cast<const QStyleOptionMenuItem*>(option)) {
            if (entry->menuItemType == QStyleOptionMenuItem::Separator)
                return {contents.width(), kSeparator};
            const bool tab = entry->text.contains(QLatin1Char('\t'));
            return {contents.width() + kEntryLeft + kEntryRight + (tab ? kShortcutGap : 0),
                    entry->fontMetrics.height() + 2 * kEntryAbove};
        }
        break;
    default:
        break;
    }
    return PlainStyle::sizeFromContents(type, option, contents, widget);
}

QRect ControlStyle::subElementRect(SubElement element, const QStyleOption* option,
                                   const QWidget* widget) const {
    const QRect& all = option->rect;
    switch (element) {
    case SE_PushButtonContents:
    case SE_PushButtonFocusRect:
        return has(widget, "quiet")
                   ? all.adjusted(3, 2, -3, -2)
                   : all.adjusted(kButtonSide, kButtonAbove, -kButtonSide, -kButtonAbove);
    case SE_LineEditContents:
        if (const auto* frame = qstyleoption_cast<const QStyleOptionFrame*>(option);
            frame && frame->lineWidth > 0)
            return all.adjusted(kFieldSide, kFieldAbove, -kFieldSide, -kFieldAbove);
        break;
    case SE_ShapedFrameContents:
        if (isScrollArea(widget))
            return all;
        if (isTextField(widget))
            return all.adjusted(kFieldSide, kFieldAbove, -kFieldSide, -kFieldAbove);
        break;
    default:
        break;
    }
    return PlainStyle::subElementRect(element, option, widget);
}

QRect ControlStyle::subControlRect(ComplexControl control, const QStyleOptionComplex* option,
                                   SubControl part, const QWidget* widget) const {
    if (control != CC_ComboBox)
        return PlainStyle::subControlRect(control, option, part, widget);
    const QRect& all = option->rect;
    switch (part) {
    case SC_ComboBoxArrow:
        return {all.right() - kDownWidth - 1, all.top(), kDownWidth, all.height()};
    case SC_ComboBoxEditField:
        return all.adjusted(kFieldSide, kFieldAbove, -kDownWidth - 2, -kFieldAbove);
    default:
        return all;
    }
}

int ControlStyle::pixelMetric(PixelMetric metric, const QStyleOption* option,
                              const QWidget* widget) const {
    switch (metric) {
    case PM_ButtonShiftHorizontal:
    case PM_ButtonShiftVertical:
    case PM_MenuBarVMargin:
    case PM_MenuBarPanelWidth:
    case PM_MenuHMargin:
    case PM_MenuVMargin:
        return 0;
    case PM_MenuBarItemSpacing:
        return kHeadGap;
    case PM_MenuBarHMargin:
        return kBarSide;
    case PM_MenuButtonIndicator:
        return kDownWidth;
    case PM_MenuPanelWidth:
    case PM_ToolTipLabelFrameWidth:
        return metric == PM_MenuPanelWidth ? 1 : 5;
    default:
        return PlainStyle::pixelMetric(metric, option, widget);
    }
}

int ControlStyle::styleHint(StyleHint hint, const QStyleOption* option, const QWidget* widget,
                            QStyleHintReturn* returned) const {
    if (hint == SH_ComboBox_Popup) // a list below it, not over it
        return 0;
    return PlainStyle::styleHint(hint, option, widget, returned);
}

} // namespace bslate::app
