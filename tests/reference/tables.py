"""Lines of printed tables with known truth, in the styles of manuals: units, languages, lists, headings
and words that carry nothing. Whoever reads one wrongly without asking plans with the wrong card."""

SIZES = [(3840, 2160, ["4K UHD", "UHD", "3840 x 2160", "3840\u00d72160", "3,840 x 2,160", "2160p", "4K 16:9"]),
         (4096, 2160, ["4K DCI", "C4K", "Cinema 4K", "4K 17:9", "4096 x 2160", "4.096 x 2.160"]),
         (1920, 1080, ["FHD", "Full HD", "1920x1080", "1080p", "1,920 x 1,080"]),
         (6048, 4032, ["6048 x 4032", "6,048 \u00d7 4,032"])]
RATES = {"23.98": "24000/1001", "24": "24", "25": "25", "29.97": "30000/1001", "30": "30", "50": "50",
         "59.94": "60000/1001", "60": "60", "100": "100", "119.88": "120000/1001", "120": "120"}
MEGABITS = [28, 50, 60, 87.5, 100, 120, 150, 200, 240, 400, 800, 1200, 1600, 2400]
FILLERS = ["", "", "", " (Standard)", " MP4", " Approx.", ", audio 16 bit 48 kHz", " 2ch LPCM", " max."]
CODECS = {"": None, " H.264": "H.264", " AVC": "H.264", " HEVC": "H.265", " (H.265)": "H.265", " H.265/HEVC": "H.265",
          " mezzanine codec": "mezzanine"}


def number(value, dice):
    """A number in the spelling of some language; None where that spelling is open to another reading."""
    whole = value == int(value)
    if value >= 1000:
        text = str(int(value))
        return dice.choice([text, f"{text[0]},{text[1:]}", f"{text[0]}.{text[1:]}", f"{text[0]} {text[1:]}",
                            f"{text[0]}'{text[1:]}", f"{text[0]}\u00a0{text[1:]}", f"{text[0]}\u202f{text[1:]}"])
    return str(int(value)) if whole else dice.choice([str(value), str(value).replace(".", ",")])


def bit_rate(megabits, dice):
    unit = dice.choice(["Mbps", "Mb/s", "Mbit/s", "Mbit/s", "mbps", "Mbits/s", "MB/s", "MBps", "Gb/s", "GB/h"])
    value = {"MB/s": megabits / 8, "MBps": megabits / 8, "Gb/s": megabits / 1000, "GB/h": megabits * 0.45}.get(unit, megabits)
    value = round(value, 3)
    if unit == "Gb/s" and megabits < 800 or value != round(value, 1):
        unit, value = "Mbps", megabits
    return f"{dice.choice(['', '', '~', 'approx. '])}{number(value, dice)}{dice.choice([' ', ' ', ''])}{unit}"


def line(dice):
    """A line, and its truth: width, height, rate -> bits a second, depth, chroma, group, crop."""
    width, height, names = dice.choice(SIZES)
    depth, chroma = dice.choice([(8, "4:2:0"), (10, "4:2:0"), (10, "4:2:2"), (12, "4:4:4")])
    group = dice.choice(["intra", "long"])
    rates = dice.sample(list(RATES), dice.choice([1, 1, 2, 3]))
    rates.sort(key=float)
    bits = dice.choice(MEGABITS)
    rate_text = "/".join(rates) + "p"
    if dice.random() < 0.25:
        rate_text = ", ".join(f"{r}p" for r in rates)
    elif dice.random() < 0.2:
        rate_text = "/".join(r.replace(".", ",") for r in rates) + " fps"
    truth = {RATES[r]: bits * 1e6 for r in rates}
    bits_text = bit_rate(bits, dice)
    if len(rates) > 1 and dice.random() < 0.3:
        each = [dice.choice([100, 120, 150, 200]) for _ in rates]
        bits_text = ": " + "/".join(str(b) for b in each) + dice.choice([" Mbps", "Mb/s", ""])
        truth = {RATES[r]: b * 1e6 for r, b in zip(rates, each)}
    crop = dice.choice([1, 1, 1, 1.5, 1.6])
    crop_text = "" if crop == 1 else dice.choice([f" crop: {crop}x", f" {crop}x crop", f" crop {crop}".replace(".", ",")])
    slow = dice.choice(["", "", "", " (recorded at 25p)", " (5x slow at 24p)"]) if float(rates[0]) >= 100 else ""
    chroma_text = dice.choice([chroma, chroma.replace(":", ""), "YCC" + chroma.replace(":", "")])
    words = [dice.choice(names), rate_text + slow, bits_text, dice.choice([f"{depth}-bit", f"{depth} bit", f"{depth}bit"]),
             chroma_text, {"intra": ["Intra", "All Intra", "I-frame"], "long": ["Long GOP", "Long", "long-GOP"]}[group][
                 dice.randrange(3)]]
    if bits_text.startswith(":"):  # a list stands behind its rates
        words[1:3] = [words[1] + words[2]]
    between = dice.choice(["  ", "  ", " | ", "\t", "; "])
    codec = dice.choice([""] * 4 + list(CODECS))
    return between.join(words) + crop_text + codec + dice.choice(FILLERS), {
        "size": (width, height), "rates": truth, "depth": depth, "chroma": chroma, "group": group, "crop": crop,
        "codec": CODECS[codec]}


def open_line(dice):
    """A line that means nothing for sure: to be asked about, or left."""
    return dice.choice([
        "UHD 23.98-29.97p 100 Mbps 10-bit 4:2:2 Long", "UHD 1-60 fps 100 Mbps 10-bit 4:2:0 Long",
        "6K 3:2 25p 200 Mbps 10-bit 4:2:0 Long", "UHD 60 min 100 Mbps 10-bit 4:2:2 Long",
        "UHD 24/25/30p 100/120 Mbps 10-bit 4:2:2 Long", "UHD 25p 12.500 Mbps 10-bit 4:2:2 Intra",
        "UHD 25p 100 MBPS 10-bit 4:2:2 Intra", "UHD 25p 100 Mbps 10-bit 12-bit 4:2:2 Long",
        "5.7K 25p 100 Mbps 10-bit 4:2:2 Long", "UHD 50i 50 Mbps 8-bit 4:2:0 Long"])


def understood(text):
    """What a line in the program's own spelling says, in the form of the truth."""
    words = text.split('"')[-1].split()
    width, height = (int(n) for n in words[0].split("x"))
    found = {"size": (width, height), "rates": {}, "depth": 8, "chroma": "raw", "group": None, "crop": 1, "codec": None}
    for word in words[1:]:
        if word in ("raw", "intra", "long"):
            found["group"] = word
        elif word in CODECS.values():
            found["codec"] = word
        elif "@" in word:
            rates, bits = word.split("@")
            for rate in rates.split("/"):
                exact = {"23.976": "24000/1001", "29.97": "30000/1001", "59.94": "60000/1001",
                         "119.88": "120000/1001"}.get(rate, rate)
                found["rates"][exact] = float(bits) * 1e6
        elif word.endswith("-bit"):
            found["depth"] = int(word[:-4])
        elif word.startswith("4:"):
            found["chroma"] = word
        elif word.startswith("crop"):
            found["crop"] = float(word[4:])
    return found


def same(found, truth):
    near = lambda a, b: abs(a - b) <= 1e-3 * b
    return (all(found[key] == truth[key] for key in ("size", "depth", "chroma", "group", "codec")) and
            near(found["crop"], truth["crop"]) and found["rates"].keys() == truth["rates"].keys() and
            all(near(found["rates"][rate], bits) for rate, bits in truth["rates"].items()))
