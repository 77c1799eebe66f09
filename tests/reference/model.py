"""A second opinion: exposure, placement, codes, flicker, record times and LUTs computed once more.

Written from the published formulas, not from the program's sources, and with nothing but Python's
standard library. Sources stand beside each formula.
"""

import math

MID_GREY = 0.18
MAINS_TOLERANCE = 0.004  # common practice, no source
UHS_I_ASSUMED = 30e6  # bytes/s of a V60 or V90 card on UHS-I: common practice, no source

# ---- exposure -------------------------------------------------------------------------------


def luminance(value, unit, reflectance=0.18, k=12.5):
    """cd/m2 of a reading. Lambert: L = E rho / pi; EV at ISO 100: L = K/100 2^EV (ISO 2720:1974)."""
    if unit == "cd/m2":
        return value
    if unit == "lx":
        return value * reflectance / math.pi
    if unit == "fc":
        return value * 10.763910416709722 * reflectance / math.pi  # 1 / 0.3048^2
    if unit == "fL":
        return value * 10.763910416709722 / math.pi
    return k / 100 * 2**value


def sensor_stops(cd, base, seconds, t_stop, nd, k=12.5):
    """N^2/t = L S / K (ISO 2720:1974), as stops from mid-grey at base nominal."""
    return math.log2(cd * base * seconds / (k * t_stop * t_stop)) - nd


def density_stops(density):
    return density / math.log10(2)  # ISO 5: transmittance 10^-D


def mark(thirds=None, halves=None):
    """Aperture marks are exact powers of two: full stops 2^(n/2)."""
    return 2 ** (thirds / 6) if thirds is not None else 2 ** (halves / 4)


def floor_stops(full_well, read_noise, clip, snr, prnu=0.0):
    """Photon statistics: n / sqrt(n + read^2 + (prnu n)^2) = snr, by bisection."""
    low, high = 1e-6, full_well
    for _ in range(200):
        n = math.sqrt(low * high)
        ratio = n / math.sqrt(n + read_noise**2 + (prnu * n) ** 2)
        low, high = (n, high) if ratio < snr else (low, n)
    return clip + math.log2(low / full_well)


# ---- curves ---------------------------------------------------------------------------------


class Acescct:
    """Academy S-2016-001; full range."""

    full_range = True
    end = None

    @staticmethod
    def encode(x):
        return (math.log2(x) + 9.72) / 17.52 if x > 0.0078125 else 10.5402377416545 * x + 0.0729055341958355

    @staticmethod
    def decode(y):
        return 2 ** (y * 17.52 - 9.72) if y > 0.155251141552511 else (y - 0.0729055341958355) / 10.5402377416545


class Bt709:
    """ITU-R BT.709-6, item 1.2; legal range, so that the signal may reach 109 %."""

    full_range = False
    end = None

    @staticmethod
    def encode(x):
        return 4.5 * x if x < 0.018 else 1.099 * x**0.45 - 0.099

    @staticmethod
    def decode(y):
        return y / 4.5 if y < 4.5 * 0.018 else ((y + 0.099) / 1.099) ** (1 / 0.45)


def top_signal(curve, bits):
    """The largest signal the codes hold; percent of legal range runs from 16 to 235 in 8 bits."""
    if curve.full_range:
        return 1.0
    scale = 2 ** (bits - 8)
    return (2**bits - 1 - 16 * scale) / (219 * scale)


def end_stops(curve, bits):
    return math.log2(curve.decode(top_signal(curve, bits)) / MID_GREY)


def code_of(curve, signal, bits):
    scale = 2 ** (bits - 8)
    return signal * (2**bits - 1) if curve.full_range else (16 + 219 * signal) * scale


def level_percent(curve, signal, bits):
    scale = 2 ** (bits - 8)
    return 100 * (code_of(curve, signal, bits) - 16 * scale) / (219 * scale)


def placed(behaviour, sensor, gain):
    recorded = sensor + gain if behaviour == "recorded" else sensor
    return recorded, sensor + gain


def clip_stops(behaviour, sensor_clip, gain, curve, bits):
    sensor = sensor_clip + (min(gain, 0) if behaviour == "recorded" else 0)
    return min(sensor, end_stops(curve, bits))


# ---- flicker, by brute force ----------------------------------------------------------------


def wave(kind, x):
    """The light of a source with mean 1 at phase x (in periods)."""
    x -= math.floor(x)
    if kind == "sine":
        return 1 + math.cos(2 * math.pi * x)
    if kind == "rectified":
        return math.pi / 2 * abs(math.cos(math.pi * x))
    return 2.0 if min(x, 1 - x) <= 0.25 else 0.0  # pwm, half the time on


STEPS = 20000  # of a period, summed one by one


def summed(kind):
    """Light gathered from phase 0 on, at every step of a period: a Riemann sum, no closed form."""
    total, sums = 0.0, [0.0]
    for i in range(STEPS):
        total += wave(kind, (i + 0.5) / STEPS) / STEPS
        sums.append(total)
    return sums


SUMS = {kind: summed(kind) for kind in ("sine", "rectified", "pwm")}


def area(kind, x):
    whole = math.floor(x)
    place = (x - whole) * STEPS
    step = min(int(place), STEPS - 1)
    sums = SUMS[kind]
    return whole * sums[STEPS] + sums[step] + (sums[step + 1] - sums[step]) * (place - step)


def gathered(lamp, phase, seconds, factor=1.0):
    """Mean light of an exposure that begins at `phase` of the lamp, relative to its mean."""
    periods = lamp["hz"] * (factor if lamp["mains"] else 1.0) * seconds
    mean = (area(lamp["kind"], phase + periods) - area(lamp["kind"], phase)) / periods
    return 1 + lamp["depth"] * (mean - 1)


def extremes(lamp, seconds, factor=1.0, phases=500):
    values = [gathered(lamp, i / phases, seconds, factor) for i in range(phases)]
    return min(values), max(values)


def keeps_step(lamp, rate):
    turns = lamp["hz"] / rate
    return abs(turns - round(turns)) < 1e-9


def flicker(lamps, seconds, rate):
    """Peak to peak in stops over every moment a frame may begin, lamps free of one another: all of
    them, and what moves from frame to frame over the dimmest that the standing ones leave; also
    with the mains at either end of their tolerance."""
    share = 1 / len(lamps)
    worst = {"all": 0.0, "moving": 0.0}
    nominal = {}
    for factor in (1.0, 1 - MAINS_TOLERANCE, 1 + MAINS_TOLERANCE):
        low = high = base = move_low = move_high = 0.0
        for lamp in lamps:
            least, most = extremes(lamp, seconds, factor)
            low += share * (least - 1)
            high += share * (most - 1)
            if keeps_step(lamp, rate):
                base += share * (least - 1)
            else:
                move_low += share * (least - 1)
                move_high += share * (most - 1)
        both = math.log2((1 + high) / (1 + low))
        moving = math.log2((1 + base + move_high) / (1 + base + move_low))
        if factor == 1.0:
            nominal = {"all": both, "moving": moving}
        worst["all"] = max(worst["all"], both)
        worst["moving"] = max(worst["moving"], moving)
    return nominal, worst


def frame_to_frame(lamps, seconds, rate, frames=48):
    """A run of frames as they would come, at nominal frequencies: never more than flicker() says."""
    share = 1 / len(lamps)
    light = [
        1 + sum(share * (gathered(lamp, lamp["hz"] * n / rate, seconds) - 1) for lamp in lamps)
        for n in range(frames)
    ]
    return math.log2(max(light) / min(light))


# ---- media ----------------------------------------------------------------------------------


def record_seconds(capacity_bytes, usable, bits_per_second):
    return capacity_bytes * 8 * usable / bits_per_second


# SD Association, speed classes in bytes a second; V60 and V90 are tied to UHS-II and faster.
CLASSES = {"V6": 6e6, "V10": 10e6, "V30": 30e6, "V60": 60e6, "V90": 90e6, "U1": 10e6, "U3": 30e6}
BUSES = {"UHS-I": 104e6, "UHS-II": 312e6, "UHS-III": 624e6}


def guaranteed(speed_class, card_bus, slot_bus):
    bus = min(BUSES[card_bus], BUSES[slot_bus])
    rate = CLASSES[speed_class]
    if speed_class in ("V60", "V90") and bus < BUSES["UHS-II"]:
        rate = min(rate, UHS_I_ASSUMED)
    return min(rate, bus)


# ---- LUT ------------------------------------------------------------------------------------


def shown(light):
    """The program's documented display: BT.709 to 0.6, then a roll-off with the same slope."""
    if light <= 0.6:
        return max(0.0, Bt709.encode(light))
    level = Bt709.encode(0.6)
    per_stop = 0.45 * 1.099 * 0.6**0.45 * math.log(2)
    return 1 - (1 - level) * math.exp(-per_stop * math.log2(light / 0.6) / (1 - level))


def rating_lut(curve, signal, gain):
    """A neutral through the rating LUT; the recording has the primaries of BT.709 here."""
    return shown(curve.decode(signal) * 2**gain)


# ---- colour of light ------------------------------------------------------------------------


def black_body(kelvin):
    """Cubic approximation of Kim et al. (US patent 7024034, 2002; from memory), 1667 to 25000 K."""
    t = 1 / kelvin
    if kelvin < 4000:
        x = ((-0.2661239e9 * t - 0.2343589e6) * t + 0.8776956e3) * t + 0.179910
    else:
        x = ((-3.0258469e9 * t + 2.1070379e6) * t + 0.2226347e3) * t + 0.240390
    if kelvin < 2222:
        y = ((-1.1063814 * x - 1.34811020) * x + 2.18555832) * x - 0.20219683
    elif kelvin < 4000:
        y = ((-0.9549476 * x - 1.37418593) * x + 2.09137015) * x - 0.16748867
    else:
        y = ((3.0817580 * x - 5.87338670) * x + 3.75112997) * x - 0.37001483
    return x, y


def daylight(kelvin):
    """CIE 15:2004 clause 3.1."""
    t = 1 / kelvin
    if kelvin <= 7000:
        x = ((-4.6070e9 * t + 2.9678e6) * t + 0.09911e3) * t + 0.244063
    else:
        x = ((-2.0064e9 * t + 1.9018e6) * t + 0.24748e3) * t + 0.237040
    return x, -3 * x * x + 2.87 * x - 0.275


def uv(x, y):
    """CIE 1960."""
    return 4 * x / (-2 * x + 12 * y + 3), 6 * y / (-2 * x + 12 * y + 3)


def nearest_black_body(x, y):
    """Mired and Duv by trying the locus, then halving the step."""
    at = uv(x, y)

    def away(mired):
        on = uv(*black_body(1e6 / mired))
        return math.hypot(at[0] - on[0], at[1] - on[1])

    best = min(range(41, 599), key=away)
    step = 1.0
    mired = float(best)
    while step > 1e-7:
        mired = min((mired - step, mired, mired + step), key=away)
        step /= 2
    on = uv(*black_body(1e6 / mired))
    return mired, math.copysign(away(mired), at[1] - on[1])


def solve3(rows, right):
    """Cramer's rule."""
    def det(m):
        return (m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]))

    whole = det(rows)
    return [det([[right[r] if c == k else rows[r][c] for c in range(3)] for r in range(3)]) / whole
            for k in range(3)]


def white_gains(x, y):
    """log2(G / C) of a light on a sensor with the primaries of BT.2020 balanced at D65."""
    def xyz(px, py):
        return [px / py, 1.0, (1 - px - py) / py]

    primaries = [xyz(0.708, 0.292), xyz(0.170, 0.797), xyz(0.131, 0.046)]
    columns = [[primaries[c][r] for c in range(3)] for r in range(3)]
    white = solve3(columns, xyz(0.3127, 0.3290))
    light = solve3(columns, xyz(x, y))
    rgb = [light[c] / white[c] for c in range(3)]
    return [math.log2(rgb[1] / value) for value in rgb]
