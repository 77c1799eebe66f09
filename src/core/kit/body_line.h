#pragma once

#include "core/base/result.h"
#include "core/kit/body.h"

#include <string>
#include <vector>

/// A body typed one thing a line, as its menus and its outside show it:
///   bank 1 inside without shutter, white      or `card`, `locked`, `holds rate, shutter`
///   slips white power-on to 5600 K            or `lens`, `mode`, `knock`
///   auto eye-sensor in Setup 3 : goes dark    where it is switched off, what it does to a take
///   control "front dial" dial finger printed iris takes rating, white
///                                             then `chosen white`, `each-mode`
///   quick 8                                   places of the quick menu
///   own 2                                     pages of the own menu
///   firmware 2.10, region 50 Hz, clock set 2026-05-01: facts as they were found
/// Names with spaces stand in quotes.
namespace bslate {

/// The lines that give the body back.
[[nodiscard]] std::vector<std::string> bodyLines(const Body& body);

/// The body that the lines say; blank lines are skipped, keys nobody here knows are kept of banks
/// and controls with the same label. Fails with the piece in `got` and `place` "line 3": an unknown
/// word, a bank that holds nothing, a control that takes no function, a label that stands twice.
[[nodiscard]] Result<Body> bodyFrom(const Body& before, const std::vector<std::string>& lines);

} // namespace bslate
