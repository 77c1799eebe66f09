#pragma once

#include "app/style/style.h"

#include <QWidget>

#include <vector>

namespace bslate::app {

struct ValueRow {
    QString name; ///< empty: goes on with the row above
    QString value;
    bool marked = false; ///< to be set or looked at
};

/// A painted panel of names and values under a heading.
class ValueRows : public QWidget {
    Q_OBJECT

public:
    ValueRows(const Style& style, const char* name, QWidget* parent = nullptr);

    void show(const QString& heading, std::vector<ValueRow> rows);

    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    QString m_heading;
    std::vector<ValueRow> m_rows;
};

} // namespace bslate::app
