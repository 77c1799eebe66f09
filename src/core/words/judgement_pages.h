#pragma once

#include <string>

namespace bslate {

/// Every judgement as Markdown: a page a subject, with what is said, to whom, and by which source.
[[nodiscard]] std::string judgementPages();

} // namespace bslate
