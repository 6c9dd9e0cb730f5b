#!/bin/sh
# Makes the pictures in this folder again, from the demo data: sh docs/screenshots/make.sh [NAME...]
# Needs xterm, Xvfb and ImageMagick; on Debian: apt-get install xterm xvfb imagemagick fonts-dejavu
set -eu
cd "$(dirname "$0")/../.."
./patient-harbor --version >/dev/null

shot() {
    name=$1 lines=$2 command=$3
    case " ${wanted:-$name} " in *" $name "*) ;; *) return 0 ;; esac
    shown=$(mktemp -u)
    # A terminal of its own for the command, so that it finds the width and shows its colours.
    inner="printf '\$ %s\n' './patient-harbor $command'; script -qec './patient-harbor $command' /dev/null | head -n $lines; touch '$shown'"
    xvfb-run -a -s '-screen 0 1280x800x24' sh -c "
        xterm -fa 'DejaVu Sans Mono' -fs 11 -geometry 140x44+0+0 -bg '#fbfaf6' -fg '#1d2430' \
            -xrm 'XTerm*color2: #1e6b3a' -xrm 'XTerm*color1: #b3261e' -xrm 'XTerm*color3: #8a5a00' \
            -xrm 'XTerm*color5: #6a3fa0' +sb -T patient-harbor -e sh -c \"$inner; sleep 6\" &
        while [ ! -e '$shown' ]; do sleep 0.2; done
        sleep 1
        import -window root docs/screenshots/$name.png
        kill %1 2>/dev/null || true"
    rm -f "$shown"
    echo "docs/screenshots/$name.png"
}

wanted=${*:-}
shot check 42 'check examples/port.harbor.yaml'
shot check-broken 42 'check examples/broken.harbor.yaml --profile circle,overdue,held-back'
shot roster 42 'roster examples/port.harbor.yaml'
shot matrix 42 'roster examples/port.harbor.yaml --format matrix --differing'
shot coverage 42 'roster examples/port.harbor.yaml --format coverage'
shot roster-tree 42 'roster examples/port.harbor.yaml --profile winter --format tree'
shot demo 42 'demo'
shot explain 42 'explain examples/port.harbor.yaml CraneShed'
shot compare 42 'compare examples/port.harbor.yaml dock-test winter'
shot survey 42 'survey --code examples/target/classes --package gullwing.office'
shot first-day 42 'check examples/first-day/office.harbor.yaml'
shot draft 42 'draft --code examples/target/classes --entry gullwing.office.BookingDesk,gullwing.office.OverdueJob'
