"""Clips of known truth, made with the media library's own tool: scenes that move under steady light,
the same under a lamp that pulses, pictures that are repeated, sound whose levels are known."""

import math
import subprocess

SIZE = (320, 180)
LENGTH = 3  # seconds


def tool(*args):
    done = subprocess.run(["ffmpeg", "-hide_banner", "-nostdin", "-y", "-v", "error", *args],
                          capture_output=True, text=True, timeout=300)
    if done.returncode != 0:
        raise RuntimeError(f"the media library: {done.stderr.strip()}")


def texture(path, dice):
    """A still of blotches and edges, larger than a picture."""
    blur = dice.choice([2, 5, 12])
    tool("-f", "lavfi", "-i", "nullsrc=s=960x540", "-frames:v", "1", "-vf",
         f"geq=lum='60+120*random({dice.randint(1, 99)})+40*gt(mod(X,{dice.randint(60, 200)}),40)':cb=128:cr=128,"
         f"gblur=sigma={blur},eq=contrast={dice.choice([1.5, 3, 5])}", str(path))


def wave(dice, low, high, most):
    return (f"{dice.uniform(0.2, 1) * most:.2f}*sin(2*PI*{dice.uniform(low, high):.3f}*t+"
            f"{dice.uniform(0, 6.28):.2f})")


def finely(kind, dice):
    """Movement on a picture four times as large."""
    crop = f"crop={4 * SIZE[0]}:{4 * SIZE[1]}"
    if kind == "pan":
        return f"{crop}:x='{dice.uniform(0, 800):.0f}+{dice.uniform(80, 560):.1f}*t':y=400"
    if kind == "tilt":
        return f"{crop}:x=800:y='{dice.uniform(0, 240):.0f}+{dice.uniform(40, 320):.1f}*t'"
    if kind == "hand":
        x = "+".join(wave(dice, 0.4, 7, 56) for _ in range(3))
        y = "+".join(wave(dice, 0.4, 7, 56) for _ in range(3))
        return f"{crop}:x='1200+{x}':y='640+{y}'"
    if kind == "leaves":
        return f"{crop}:x='1200+{dice.uniform(40, 90):.1f}*sin({dice.uniform(5, 20):.1f}*t)':y=600"
    step = dice.uniform(1.6, 2.4)
    return (f"{crop}:x='800+{dice.uniform(20, 120):.1f}*t+32*sin(2*PI*{step / 2:.2f}*t)':"
            f"y='600+{dice.uniform(12, 36):.1f}*sin(2*PI*{step:.2f}*t)'")


def moving(kind, dice):
    """What a still texture becomes: a filter for the tool."""
    w, h = SIZE
    crop = f"crop={w}:{h}"
    if kind in ("pan", "tilt", "hand", "walk", "leaves"):  # steps of a quarter of a pixel
        return "scale=3840:2160:flags=neighbor," + finely(kind, dice) + f",scale={w}:{h}:flags=area"
    if kind == "water":
        parts = "+".join(
            f"{dice.uniform(6, 22):.1f}*sin(X/{dice.uniform(4, 30):.1f}+Y/{dice.uniform(3, 20):.1f}"
            f"+{dice.choice([-1, 1]) * dice.uniform(3, 30):.2f}*T)" for _ in range(4))
        return f"{crop}:x=300:y=150,geq=lum='clip(lum(X,Y)*0.4+70+{parts},20,230)':cb=128:cr=128"
    if kind == "crossing":
        speed = dice.uniform(60, 400)
        return (f"{crop}:x=300:y=150,drawbox=x='mod({speed:.0f}*t,460)-100':y=20:w={dice.randint(40, 120)}:"
                f"h=150:color={dice.choice(['white', 'black', 'gray'])}:t=fill")
    if kind == "zoom":
        return (f"scale=960:540,zoompan=z='1.5+{dice.uniform(0.05, 0.4):.2f}*sin(on/{dice.uniform(4, 30):.1f})':"
                f"x='iw/2-(iw/zoom/2)':y='ih/2-(ih/zoom/2)':d=1:s={w}x{h}:fps=RATE")
    if kind == "clouds":
        return (f"{crop}:x=300:y=150,eq=brightness='{dice.uniform(0.02, 0.1):.3f}*"
                f"sin(2*PI*{dice.uniform(0.05, 0.5):.3f}*t)':eval=frame")
    if kind == "fan":
        return (f"{crop}:x=300:y=150,split[a][b];[a]crop=120:120:100:30,rotate={dice.uniform(4, 40):.2f}*t:"
                "ow=120:oh=120[c];[b][c]overlay=100:30")
    if kind == "flash":
        return (f"{crop}:x=300:y=150,eq=brightness='if(lt(mod(t,{dice.uniform(0.6, 1.4):.2f}),0.04),0.4,0)'"
                ":eval=frame")
    if kind == "ring":  # a hand on the iris
        return f"{crop}:x=300:y=150,eq=brightness='if(gt(t,{dice.uniform(0.8, 2):.2f}),0.12,0)':eval=frame"
    return f"{crop}:x=300:y=150"  # stands still


KINDS = ("pan", "tilt", "hand", "walk", "water", "crossing", "zoom", "clouds", "fan", "leaves", "flash", "ring", "still")


def lamp_filter(hertz, rate, swing, readout):
    """Light that pulses, row after row: on a log curve it adds as much everywhere."""
    return (f"geq=lum='clip(lum(X,Y)+{swing:.2f}*cos(2*PI*{hertz}*(N/{rate}+{readout}*Y/H)),0,255)'"
            ":cb='cb(X,Y)':cr='cr(X,Y)'")


def film(path, still, kind, rate, dice, lamp=None, quality=None):
    """A clip of three seconds; `lamp`: hertz, swing in 8-bit codes, readout in seconds."""
    chain = moving(kind, dice).replace("RATE", str(rate))
    if lamp:
        chain += "," + lamp_filter(lamp[0], rate, lamp[1], lamp[2])
    chain += f",noise=alls={dice.choice([2, 4, 7])}:allf=t,format=yuv420p"
    tool("-loop", "1", "-framerate", str(rate), "-i", str(still), "-t", str(LENGTH), "-vf", chain,
         "-c:v", "libx264", "-preset", "veryfast", "-crf", str(quality or dice.choice([12, 18, 24, 30])),
         "-g", str(dice.choice([1, 12, 48])), str(path))
