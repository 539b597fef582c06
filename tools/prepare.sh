# Sourced by ./ration and ./verify: what a fresh Debian machine needs, and building only when something changed.

utf8_names() { # Java reads names of files as the locale says: a bare one would lose all but ASCII
  case "${LC_ALL:-${LC_CTYPE:-${LANG:-}}}" in
    *[Uu][Tt][Ff]8* | *[Uu][Tt][Ff]-8*) ;;
    *) export LC_ALL=C.UTF-8 ;;
  esac
}
utf8_names

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

jdk_17() { # whether javac is of 17 or later; its release file tells without starting it
  local javac release
  javac="$(command -v javac)" || return 1
  release="$(dirname "$(dirname "$(readlink -f "$javac")")")/release"
  if [ -r "$release" ]; then
    grep -qE '^JAVA_VERSION="?(1[7-9]|[2-9][0-9])' "$release"
  else
    javac -version 2>&1 | grep -qE ' (1[7-9]|[2-9][0-9])'
  fi
}

prepare_build() { # JDK 17 or later, and Maven
  local missing=()
  jdk_17 || missing+=(openjdk-17-jdk)
  command -v mvn >/dev/null 2>&1 || missing+=(maven)
  need_packages ${missing[@]+"${missing[@]}"}
}

prepare_display() { # libraries the window needs; asked again only when packages changed
  local missing=() p stamp="${top:-.}/target/display-ready"
  command -v dpkg-query >/dev/null 2>&1 || return 0
  if [ "$stamp" -nt /var/lib/dpkg/status ]; then return 0; fi
  for p in libgtk-3-0 libgl1 libxtst6 fonts-dejavu-core; do has_package "$p" || has_package "${p}t64" || missing+=("$p"); done
  need_packages ${missing[@]+"${missing[@]}"} || return 1
  mkdir -p "$(dirname "$stamp")" && touch "$stamp"
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

# Classes ready to be mapped in place of being read: half of the time of a start. The archive holds for its jar as it was
# built; where it does not fit any more, Java leaves it alone and says nothing.
quiet_archive=(-Xshare:auto -Xlog:disable -Xlog:all=error:stderr)

archive_of() { printf '%s' "${1%.jar}.jsa"; } # archive_of JAR

make_archive() { # make_archive JAR CLASSLIST: never a reason to stop
  java -XX:+UseSerialGC -Xlog:disable -Xshare:dump -XX:SharedClassListFile="$2" -XX:SharedArchiveFile="$(archive_of "$1").new" \
    -cp "$1" >/dev/null 2>&1 && mv "$(archive_of "$1").new" "$(archive_of "$1")" || rm -f "$(archive_of "$1").new"
}

archive_command_line() { # archive_command_line TOP
  local jar="$1/cli/target/ration-cli-0.1.0.jar" list="$1/target/cli.classes"
  java -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -XX:DumpLoadedClassList="$list" -jar "$jar" check demo >/dev/null 2>&1 || true
  make_archive "$jar" "$list"
}

built() { # built TOP: whether the last build is of these sources
  [ -f "$1/target/built" ] && [ -z "$(sources_newer_than "$1" "$1/target/built")" ]
}

build_if_needed() { # build_if_needed TOP: of two that start at once one builds, and the other waits for it
  if built "$1"; then return 0; fi
  mkdir -p "$1/target"
  (
    flock 9
    if built "$1"; then exit 0; fi
    build "$1"
  ) 9>"$1/target/building"
}

build() { # build TOP
  local top="$1" stamp="$1/target/built"
  prepare_build
  echo "ration: building, once" >&2
  local begun="$top/target/begun"
  touch "$begun"
  (cd "$top" && mvn -q -B -pl core,cli,desktop -DskipTests package) >&2
  rm -f "$top"/*/target/*.jsa
  archive_command_line "$top"
  mv "$begun" "$stamp"
}
