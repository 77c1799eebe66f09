"""Kits and shoots with one camera, as the program's files have them."""

import struct
import zlib
import json

BT709 = {
    "red": {"x": 0.64, "y": 0.33},
    "green": {"x": 0.30, "y": 0.60},
    "blue": {"x": 0.15, "y": 0.06},
    "white": {"x": 0.3127, "y": 0.329},
}
CURVES = {
    "acescct": {
        "family": "camera-log",
        "log_base": 2.0,
        "log_side_slope": 1 / 17.52,
        "log_side_offset": 9.72 / 17.52,
        "lin_side_slope": 1.0,
        "lin_side_offset": 0.0,
        "lin_side_break": 0.0078125,
        "range": "full",
    },
    "bt709": {"family": "bt709", "range": "legal"},
}


def profile(curve, behaviour):
    return {
        "id": f"{curve}-{behaviour}",
        "name": f"{curve} {behaviour}",
        "curve": CURVES[curve],
        "gamut_name": "BT.709",
        "gamut": BT709,
        "iso": behaviour,
        "bases": [],
        "minimum_iso": "25",
        "maximum_iso": "102400",
        "ready": False,
        "locks": [],
    }


def kit(sensor, bits=10, slots=("UHS-II", "UHS-II"), cards=(), bit_rate="100 Mb/s", peak=1.0, filters=()):
    profiles = [profile(c, b) for c in CURVES for b in ("recorded", "index", "note")]
    camera = {
        "id": "body",
        "name": "Body",
        "bases": [
            {
                "iso": "800",
                "full_well_e": sensor["full_well"],
                "read_noise_e": sensor["read_noise"],
                "prnu": sensor["prnu"],
                "clip_stops": sensor["clip"],
            }
        ],
        "profiles": [p["id"] for p in profiles],
        "areas": [{"id": "full", "name": "Full", "width_mm": 36.0, "height_mm": 20.25}],
        "codecs": [{"id": "c", "name": "Codec", "gop": "intra", "bits": bits, "chroma": "4:2:2", "peak": peak}],
        "modes": [
            {
                "id": "m",
                "name": "Mode",
                "area": "full",
                "codec": "c",
                "frame": "3840x2160",
                "rates": [{"rate": "24", "bit_rate": bit_rate}],
            }
        ],
        "shutter": {"angle_step_deg": 0.1, "times": []},
        "zebra": {"step_percent": 1.0, "lowest_percent": 0.0, "highest_percent": 109.0, "tap": "recorded"},
        "slots": [
            {"id": f"s{i}", "name": f"slot {i}", "form": "sd", "bus": bus} for i, bus in enumerate(slots, 1)
        ],
    }
    return {
        "format": "bright-slate-kit",
        "version": 3,
        "name": "reference",
        "cameras": [camera],
        "profiles": profiles,
        "lenses": [],
        "filters": list(filters),
        "filter_stages": 4,
        "cards": list(cards),
    }


def shoot(kit_node, setup, scene=None):
    patches = [{"id": "grey", "name": "Grey", "role": "grey", "reading": "26 cd/m2", "reflectance": "0.18"}]
    base = {"id": "scene", "number": "1", "name": "Scene", "day": 1, "sound": True, "patches": patches}
    base.update(scene or {})
    dials = {
        "id": "s1",
        "number": "1A",
        "name": "Setup",
        "scene": "scene",
        "camera": "body",
        "mode": "m",
        "profile": "acescct-index",
        "rate": "24",
        "shutter": "180\u00b0",
        "iris": "T4",
        "filters": [],
        "base": "800",
        "rating": "800",
        "white": "5600K",
        "school": "nominal", "shutter_school": "half-frame", "payer": "nobody", "bank": 0, "accepted": [],
    }
    dials.update(setup)
    return {
        "format": "bright-slate-shoot",
        "version": 3,
        "title": "reference",
        "days": 1,
        "snr_floor": 2.0,
        "meter_k": 12.5,
        "meter_c": 250.0,
        "brief": {
            "size": "3840x2160", "rate": "24", "colour": "sdr", "mains": "50 Hz", "grade": "light",
            "graded_by": "", "turnaround": "days", "schools": [], "ambient": "18 C", "copies": 2,
        },
        "kit": kit_node,
        "scenes": [base],
        "setups": [dials],
        "plan": [],
    }


def write_png(path, pixels):
    """Rows of 8-bit red, green, blue."""
    def chunk(kind, data):
        body = kind + data
        return struct.pack(">I", len(data)) + body + struct.pack(">I", zlib.crc32(body))
    rows = b"".join(b"\0" + bytes(channel for pixel in row for channel in pixel) for row in pixels)
    head = struct.pack(">IIBBBBB", len(pixels[0]), len(pixels), 8, 2, 0, 0, 0)
    path.write_bytes(b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IDAT", zlib.compress(rows)) + chunk(b"IEND", b""))


def write(path, node):
    path.write_text(json.dumps(node))
    return str(path)
