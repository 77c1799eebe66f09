#pragma once

/// Every change that is offered as a remedy; words/wording.h says what a button reads.
namespace bslate {

enum class RemedyId {
    SetNd,
    SwapNd,
    RemoveNd,
    SetIris,
    Rerate,
    SetRating,
    SetBase,
    SetShutter,
    SetShutterPaid,
    SetSchool,
    SaveSubject,
    SaveHighlight,
    SetMode,
    SetProfile,
    SetPower,
    NoProxy,
    SetLens,
    SetFocal,
    SetRate,
    SetRateShutter,
    ChangeLight,
    DayRelay,
    DayProxy,
    DayMirrorOff,
    DayLendCard,
    DayLendCards,
    DayLendBattery,
    DayLendBatteries,
    DayLendReader,
    DayLendCharger,
    DayLendDrive,
    DayLargerDrives,
    DayExternal,
    DayMode,
    DayWait,
    DayLetStop,
};

} // namespace bslate
