# Sourced by ./demo, ./check and .ci/run: packages, configuring and building.
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"

# What the program needs to be built and to run, and what its tests need besides.
packages=(
    g++ cmake ninja-build pkg-config
    qt6-base-dev libgl-dev fonts-b612
    nlohmann-json3-dev libcli11-dev libopencolorio-dev liblcms2-dev
    libavcodec-dev libavformat-dev libavutil-dev libswresample-dev libebur128-dev
    libraw-dev libheif-dev libtiff-dev libseccomp-dev
)
test_packages=(ccache ffmpeg libgtest-dev locales python3 python3-jsonschema)

# Installs the packages named that are missing, listing them first; sudo only when not root.
install_packages() {
    local missing=() package
    for package in "$@"; do
        dpkg-query -W -f='${db:Status-Abbrev}' "$package" 2>/dev/null | grep -q '^ii' \
            || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    echo "Installing from Debian: ${missing[*]}" >&2
    local as_root=()
    [ "$(id -u)" -eq 0 ] || as_root=(sudo)
    "${as_root[@]}" apt-get update -q >&2
    "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive \
        apt-get install -y -q --no-install-recommends "${missing[@]}" >&2
}

# build_preset PRESET TARGET [CMAKE OPTIONS]: configures when needed and builds quietly; errors show
# in full.
build_preset() {
    local preset="$1" target="$2" log="$root/build/$1.log"
    shift 2
    mkdir -p "$root/build"
    if [ ! -f "$root/build/$preset/build.ninja" ] || [ $# -gt 0 ]; then
        (cd "$root" && cmake --preset "$preset" "$@") >"$log" 2>&1 || { cat "$log" >&2; return 1; }
    fi
    if ! cmake --build "$root/build/$preset" --target "$target" >"$log" 2>&1; then
        cat "$log" >&2
        return 1
    fi
}
