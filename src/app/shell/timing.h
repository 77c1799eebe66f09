#pragma once

namespace bslate::app {

class MainWindow;

/// Drags a patch of the selected setup back and forth through the running window and prints, for
/// `moves` moves, the milliseconds from the mouse move to the finished repaint of the picture
/// (`drag_ms_mean`, `drag_ms_worst`) and of the picture's painting alone (`paint_ms_mean`).
void timeDrag(MainWindow& window, int moves);

/// Drags the split of the Frame step and the shoulder of the first recipe, both to the finished
/// repaint: `split_ms_mean`, `split_ms_worst`, `recipe_ms_mean`, `recipe_ms_worst`.
void timePictures(MainWindow& window, int moves);

/// On Banks: a repaint of the board (`banks_paint_ms_...`), another bank tried for the chosen setup
/// (`banks_target_ms_...`), and the next setup chosen (`banks_step_ms_...`); mean and worst.
void timeBanks(MainWindow& window, int moves);

/// Changes the theme with every page made and seen: `theme_ms_mean`, `theme_ms_worst`.
void timeThemes(MainWindow& window, int moves);

/// Plays the Cadence step's motion for some seconds, past its caution, and prints repaints a second
/// (`repaints_per_s`) and the processor time it took of one core (`core_percent`).
void timeMotion(MainWindow& window, int seconds);

} // namespace bslate::app
