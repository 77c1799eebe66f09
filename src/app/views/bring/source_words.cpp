#include "app/views/bring/source_words.h"

#include "app/document/text.h"
#include "core/clip/clip_print.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"

#include <QCoreApplication>
#include <QStringList>

namespace bslate::app {
namespace {

QString said(const char* text) {
    return QCoreApplication::translate("Bring", text);
}

QString nameOf(ModePart part) {
    switch (part) {
    case ModePart::Size:
        return said("frame size");
    case ModePart::Rate:
        return said("frame rate");
    case ModePart::BitRate:
        return said("bit rate");
    case ModePart::Depth:
        return said("8 bits");
    case ModePart::Chroma:
        return said("4:2:0");
    case ModePart::Gop:
        break;
    }
    return said("long group");
}

QString listOf(const std::vector<ModePart>& parts) {
    QStringList names;
    for (const auto part : parts)
        names << nameOf(part);
    return names.join(QStringLiteral(", "));
}

} // namespace

QString wordsOf(const ClipFacts& clip) {
    return QStringLiteral("%1: %2").arg(toQt(clip.file), toQt(print(clip)));
}

QString wordsOf(const TableRow& row) {
    QStringList parts;
    if (row.isMode())
        parts << toQt(lineOf(row.mode));
    else if (!row.readings.empty())
        parts << said("%1: which is meant?").arg(toQt(row.text));
    else if (!row.heading)
        parts << said("%1: no mode without %2").arg(toQt(row.text), listOf(row.missing));
    if (!row.rest.empty())
        parts << said("not understood: %1").arg(toQt(row.rest));
    if (row.isMode() && !row.assumed.empty())
        parts << said("assumed: %1").arg(listOf(row.assumed));
    return parts.join(QStringLiteral(" \u00b7 "));
}

QString wordsOf(const SeenMode& mode) {
    if (mode.files.empty())
        return said("As printed, typed or usual: clips would tell its peaks.");
    QStringList parts;
    parts << said("peaks to %1 times its bit rate").arg(toQt(fixedText(mode.peakFactor, 2)));
    if (mode.segment)
        parts << said("files split at %1").arg(toQt(print(*mode.segment)));
    parts << (mode.line.sound ? said("with sound") : said("no sound"));
    QStringList files;
    for (std::size_t i = 0; i < mode.files.size() && i < 4; ++i)
        files << toQt(mode.files[i]);
    if (mode.files.size() > 4)
        files << said("%1 more").arg(mode.files.size() - 4);
    return said("%1. Rests on %2.")
        .arg(parts.join(QStringLiteral(", ")), files.join(QStringLiteral(", ")));
}

QString whyUnfit(ClipUnfit why) {
    switch (why) {
    case ClipUnfit::NoPicture:
        return said("It has no pictures.");
    case ClipUnfit::VariableRate:
        return said("Its rate varies.");
    case ClipUnfit::UnknownDepth:
        return said("Its depth cannot be told.");
    case ClipUnfit::Interlaced:
        return said("It is interlaced, and modes are of whole frames.");
    case ClipUnfit::Unreadable:
        return said("It is in a codec that cannot be read here.");
    case ClipUnfit::CutOff:
        break;
    }
    return said("It was cut off.");
}

} // namespace bslate::app
