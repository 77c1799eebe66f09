#pragma once

#include <QFileInfo>
#include <QMimeData>
#include <QStringList>
#include <QUrl>

namespace bslate::app {

/// The paths of what is dropped; what is not on this machine is left out.
[[nodiscard]] inline QStringList droppedFiles(const QMimeData& data) {
    QStringList paths;
    for (const auto& url : data.urls())
        if (!url.toLocalFile().isEmpty())
            paths << url.toLocalFile();
    return paths;
}

/// Files by whose names they hold pictures that move, or sound.
[[nodiscard]] inline bool isClipName(const QString& path) {
    static const QStringList kEndings = {
        QStringLiteral("mov"), QStringLiteral("mp4"),  QStringLiteral("m4v"),
        QStringLiteral("mxf"), QStringLiteral("mkv"),  QStringLiteral("avi"),
        QStringLiteral("mts"), QStringLiteral("m2ts"), QStringLiteral("ts"),
        QStringLiteral("3gp"), QStringLiteral("wav"),  QStringLiteral("webm")};
    return kEndings.contains(QFileInfo(path).suffix().toLower());
}

} // namespace bslate::app
