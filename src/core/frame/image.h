#pragma once

#include <array>
#include <cstddef>
#include <cstdint>
#include <functional>
#include <vector>

/// Pictures as planes of numbers.
namespace bslate {

/// Pixels of a picture that is drawn or measured, each side from 1 to 16384.
struct PictureSize {
    int width = 1280;
    int height = 720;
    friend bool operator==(PictureSize, PictureSize) = default;
    [[nodiscard]] std::size_t pixels() const {
        return static_cast<std::size_t>(width) * static_cast<std::size_t>(height);
    }
};

/// Red, green and blue as planes, row by row from the top left.
template<class Value>
struct Planes {
    PictureSize size{0, 0};
    std::array<std::vector<Value>, 3> plane;

    Planes() = default;
    explicit Planes(PictureSize of)
        : size(of) {
        for (auto& one : plane)
            one.resize(of.pixels());
    }
    [[nodiscard]] std::size_t at(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(size.width) +
               static_cast<std::size_t>(x);
    }
    friend bool operator==(const Planes&, const Planes&) = default;
};

/// Light or signal; the unit is said where one is handed on.
using Image = Planes<float>;

/// A part of a picture, its sides as shares of it, 0 to 1.
struct PictureArea {
    double x = 0, y = 0, width = 0, height = 0;
    friend bool operator==(PictureArea, PictureArea) = default;
};

/// Whole pixels of an area: at least one, inside of the picture.
struct PixelBox {
    int left = 0, top = 0, right = 1, bottom = 1; ///< right and bottom behind the last one
    friend bool operator==(PixelBox, PixelBox) = default;
};
[[nodiscard]] PixelBox pixelsOf(const PictureArea& area, PictureSize size);

/// Calls `work(first, behind last)` for bands of rows that cover them all, on every core of the
/// machine; returns when all are done. What rows do must not depend on how they are divided. A core
/// that is done with a band takes the next one, so that none waits for a slow one.
void overRows(int rows, const std::function<void(int, int)>& work);
/// The same with one band for each core, for work that begins each band at some cost.
void overCores(int rows, const std::function<void(int, int)>& work);

} // namespace bslate
