#pragma once

#include "core/facts/dial_in.h"
#include "core/facts/figures.h"
#include "core/judgement/finding.h"
#include "core/words/translator.h"

#include <string>

/// The only place where a judgement becomes a sentence. Texts are English templates with
/// `{fact}` places: stops print as `0.6 stop`, `{+fact}` with their sign, `{fact#}` as the bare
/// number (with its sign when negative), `{fact##}` with two decimals; `{;fact}` a list of clauses
/// with a semicolon before it, nothing when it is empty; `{,fact}` a list joined by commas;
/// `{fact:band|bands}` a number with its noun, `1 band`, `2 bands`. The
/// application passes a
/// translator that maps a template to another language before the places are filled; the command
/// line passes none.
namespace bslate {

[[nodiscard]] std::string titleOf(const Finding& finding, const Translator& translate = {});
/// The reason with its numbers.
[[nodiscard]] std::string reasonOf(const Finding& finding, const Translator& translate = {});
/// What the button says.
[[nodiscard]] std::string titleOf(const Remedy& remedy, const Translator& translate = {});
/// What it leaves and costs: room of the brightest patch, the darkest over noise, patches it loses.
[[nodiscard]] std::string effectOf(const Remedy& remedy, const Translator& translate = {});

[[nodiscard]] std::string nameOf(School school, const Translator& translate = {});
[[nodiscard]] std::string nameOf(ShutterSchool school, const Translator& translate = {});
[[nodiscard]] std::string nameOf(Payer payer, const Translator& translate = {});
[[nodiscard]] std::string nameOf(PatchRole role, const Translator& translate = {});
[[nodiscard]] std::string nameOf(IsoBehaviour behaviour, const Translator& translate = {});
[[nodiscard]] std::string nameOf(DialInField field, const Translator& translate = {});

/// Why a recording cannot be had, what it costs or what opens it: a clause without a full stop. A
/// reason by the key of a judgement is told by that one's title.
[[nodiscard]] std::string reasonOf(const Reason& reason, const Translator& translate = {});
[[nodiscard]] std::string nameOf(FigureId figure, const Translator& translate = {});

/// A printed number with what it counts: one of them only as 1 to the places shown, and as a part
/// of it, `0.4 stop`, but not as none of whole ones, `0 bands`.
[[nodiscard]] std::string counted(std::string_view number, std::string_view one,
                                  std::string_view many);

/// True when the id of a reason has its clause; a test walks the rules with it.
[[nodiscard]] bool hasWording(std::string_view id);

} // namespace bslate
