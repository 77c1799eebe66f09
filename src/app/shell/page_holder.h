#pragma once

#include "app/views/step_view.h"

#include <functional>

namespace bslate::app {

/// The place of a page, which is made when it is first seen or asked for.
class PageHolder : public QWidget {
    Q_OBJECT

public:
    /// `kind` is the meta-object of the class that `make` gives.
    PageHolder(const QMetaObject& kind, std::function<StepView*()> make);

    [[nodiscard]] const QMetaObject& kind() const { return m_kind; }
    /// Makes it at the first call.
    StepView& page();

signals:
    void made(bslate::app::StepView& page);

protected:
    void showEvent(QShowEvent* event) override;

private:
    const QMetaObject& m_kind;
    std::function<StepView*()> m_make; ///< empty once it is made
    StepView* m_page = nullptr;
};

/// The place of a view that is made of these parts, which must outlive it.
template<class View, class... Parts>
[[nodiscard]] PageHolder* placeOf(Parts&... parts) {
    return new PageHolder(View::staticMetaObject, [&parts...] { return new View(parts...); });
}

} // namespace bslate::app
