#pragma once

#include <QApplication>

namespace bslate::app {

/// An exception that nobody caught, of an event or of a worker (background_job.h), is told and ends
/// nothing: what is open stays to be saved.
class Application : public QApplication {
    Q_OBJECT

public:
    using QApplication::QApplication;

    bool notify(QObject* receiver, QEvent* event) override;

signals:
    void wentWrong(const QString& message);
};

} // namespace bslate::app
