# Starts the tool: start_tool JAVA JAR EXAMPLES ARCHIVE [ARGUMENT...]; ARCHIVE, of class data, may be blank or not there.
start_tool() {
    java=$1 jar=$2 examples=$3 archive=$4
    shift 4
    # Names of files are bytes; without an encoding Java could not tell those that are not ASCII.
    case ${LC_ALL:-${LC_CTYPE:-${LANG:-C}}} in
        C | POSIX) export LC_ALL=C.UTF-8 ;;
        C.UTF-8 | C.utf8) ;;
        *)
            case $(locale charmap 2>/dev/null || echo) in
                "" | ANSI_X3.4-1968 | US-ASCII) export LC_ALL=C.UTF-8 ;;
            esac
            ;;
    esac

    # A command ends soon and is compiled in haste, by one thread, so that another one has the second
    # processor; its memory comes in large pages, and nobody watches it. A program that is run may take its
    # time, and be watched.
    case ${1-} in
        run) quick= ;;
        *)
            quick="-XX:TieredStopAtLevel=1 -XX:CICompilerCount=1 -XX:+UseTransparentHugePages"
            quick="$quick -XX:-UsePerfData"
            ;;
    esac
    set -- -cp "$jar" dev.patientharbor.cli.Main "$@"
    if [ -t 1 ] || [ -t 2 ]; then
        columns=$(stty size </dev/tty 2>/dev/null | cut -d' ' -f2)
        [ ! -t 1 ] || set -- "-Dpatientharbor.columns=${columns:-80}" "$@"
        [ ! -t 2 ] || set -- "-Dpatientharbor.progress=${columns:-80}" "$@"
    fi
    # The archive is used where it lies: moving it to another address, as Java does by default, takes half as
    # long as Java takes to start. One that is not there would keep Java from using its own.
    if [ -f "$archive" ]; then
        set -- -XX:SharedArchiveFile="$archive" -XX:+UnlockDiagnosticVMOptions \
            -XX:ArchiveRelocationMode=0 -Dpatientharbor.archive="$archive" "$@"
    fi
    # A small heap to begin with, two thirds of it for what is new: what a check throws away does not pile
    # up, and a short command ends before any of it is collected. Not every Java knows every option.
    exec "$java" -XX:+IgnoreUnrecognizedVMOptions -Xshare:auto -Xlog:disable $quick \
        -XX:+UseSerialGC -Xms64m -XX:NewSize=44m -Dpatientharbor.examples="$examples" "$@"
}
