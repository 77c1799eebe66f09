#pragma once

#include "app/style/style.h"

#include <QStringList>
#include <QWidget>

class QListWidget;
class QPushButton;

namespace bslate::app {

class StartCard;

/// What the program opens with when it was given nothing to open: look around the demo, bring a
/// camera, or open a file. Escape begins an empty shoot.
class StartView : public QWidget {
    Q_OBJECT

public:
    explicit StartView(const Style& style, QWidget* parent = nullptr);

    /// Files opened before, and how many cameras are kept for new shoots.
    void show(const QStringList& recent, int cameras);

signals:
    void demoWanted();
    void cameraWanted(); ///< to be brought in
    void fileWanted();
    void recentWanted(const QString& path);
    void emptyWanted(); ///< a shoot with the kit that is kept, or none

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    StartCard *m_demo, *m_camera, *m_file;
    QListWidget* m_recent;
    QWidget* m_recentHost;
    QPushButton* m_empty;
};

} // namespace bslate::app
