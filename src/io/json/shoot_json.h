#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <filesystem>
#include <functional>
#include <string>
#include <string_view>

namespace bslate::io {

/// Whether a kit that lies neither beside nor below the shoot may be opened, given its name in the
/// shoot: whoever wrote the shoot decides what that is.
using AgreeToKit = std::function<bool(const std::string& named)>;

/// Reads a `*.bslate` text (docs/file-format.md). `folder` is where a referenced kit is looked
/// for; `file` only names the source in errors. Nothing is half-loaded. A kit elsewhere that is not
/// agreed to is not touched: FileElsewhere, with its name, whole, in `got`.
[[nodiscard]] Result<Shoot> readShoot(std::string_view text, const std::string& file,
                                      const std::filesystem::path& folder,
                                      const AgreeToKit& agree = {});
[[nodiscard]] Result<Shoot> loadShoot(const std::filesystem::path& path,
                                      const AgreeToKit& agree = {});

/// The text of a shoot: UTF-8 JSON, stable key order, one value a line, unknown keys kept. A
/// referenced kit is written as its file name, an embedded one in full.
[[nodiscard]] std::string writeShoot(const Shoot& shoot);

/// Atomic save (files.h).
[[nodiscard]] Outcome saveShoot(const Shoot& shoot, const std::filesystem::path& path);

} // namespace bslate::io
