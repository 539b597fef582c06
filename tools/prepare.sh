# Sourced by ./ration and ./verify: what a fresh Debian machine needs, and building only when something changed.

need_packages() { # need_packages PACKAGE...: installs by apt as root or with sudo, else names what is missing
  local missing=("$@")
  [ ${#missing[@]} -eq 0 ] && return 0
  local apt=(apt-get)
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then
      apt=(sudo -n apt-get)
    else
      echo "ration: these Debian packages are missing: ${missing[*]}" >&2
      echo "ration: install them with: sudo apt-get install --no-install-recommends ${missing[*]}" >&2
      return 1
    fi
  fi
  if ! command -v apt-get >/dev/null 2>&1; then
    echo "ration: this is not a Debian machine; install what these packages bring: ${missing[*]}" >&2
    return 1
  fi
  echo "ration: installing ${missing[*]}" >&2
  "${apt[@]}" update -qq >&2
  DEBIAN_FRONTEND=noninteractive "${apt[@]}" install -y -qq --no-install-recommends "${missing[@]}" >&2
}

has_package() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q '^install ok installed'; }

prepare_build() { # JDK 17 or later, and Maven
  local missing=()
  if ! command -v javac >/dev/null 2>&1 || ! javac -version 2>&1 | grep -qE ' (1[7-9]|[2-9][0-9])'; then
    missing+=(openjdk-17-jdk)
  fi
  command -v mvn >/dev/null 2>&1 || missing+=(maven)
  need_packages ${missing[@]+"${missing[@]}"}
}

prepare_display() { # libraries the window needs
  local missing=() p
  command -v dpkg-query >/dev/null 2>&1 || return 0
  for p in libgtk-3-0 libgl1 libxtst6 fonts-dejavu-core; do has_package "$p" || has_package "${p}t64" || missing+=("$p"); done
  need_packages ${missing[@]+"${missing[@]}"}
}

prepare_tests() { # a display without a screen, and a window manager for focus
  prepare_display
  local missing=()
  command -v Xvfb >/dev/null 2>&1 || missing+=(xvfb)
  command -v xauth >/dev/null 2>&1 || missing+=(xauth)
  command -v openbox >/dev/null 2>&1 || missing+=(openbox)
  need_packages ${missing[@]+"${missing[@]}"}
}

sources_newer_than() { # sources_newer_than TOP STAMP: prints one newer file, if any
  find "$1" \( -name target -o -name .git -o -name docs \) -prune -o -type f \
    \( -path '*/src/main/*' -o -name pom.xml -o -path '*/demos/*' \) -newer "$2" -print -quit
}

build_if_needed() { # build_if_needed TOP
  local top="$1" stamp="$1/target/built"
  if [ -f "$stamp" ] && [ -z "$(sources_newer_than "$top" "$stamp")" ]; then return 0; fi
  echo "ration: building, once" >&2
  mkdir -p "$top/target"
  local begun="$top/target/begun"
  touch "$begun"
  (cd "$top" && mvn -q -B -pl core,cli,desktop -DskipTests package) >&2
  mv "$begun" "$stamp"
}
