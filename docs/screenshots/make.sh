#!/bin/sh
# Makes the pictures in this folder again, from the demo data: sh docs/screenshots/make.sh [NAME...]
# Needs xterm, Xvfb, ImageMagick and Chromium; on Debian:
# apt-get install xterm xvfb imagemagick fonts-dejavu chromium
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

# A view of the page, in a browser without a window.
page() {
    name=$1 file=$2 view=$3
    case " ${wanted:-$name} " in *" $name "*) ;; *) return 0 ;; esac
    html=$(mktemp --suffix=.html) profile=$(mktemp -d)
    ./patient-harbor report $file --out "$html" 2>/dev/null || [ $? -eq 1 ]
    chromium --headless --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking \
        --disable-component-update --disable-sync --user-data-dir="$profile" --hide-scrollbars --window-size=1280,800 \
        --screenshot="docs/screenshots/$name.png" "file://$html#$view" >/dev/null 2>&1
    rm -rf "$html" "$profile"
    echo "docs/screenshots/$name.png"
}

wanted=${*:-}
shot check 42 'check examples/port.harbor.yaml'
shot check-broken 42 'check examples/broken.harbor.yaml --profile circle,overdue,held-back'
shot roster 42 'roster examples/port.harbor.yaml'
shot matrix 42 'roster examples/port.harbor.yaml --format matrix --differing'
shot coverage 42 'roster examples/port.harbor.yaml --format coverage'
shot observed 42 'roster examples/port.harbor.yaml --format coverage --observed examples/observed'
shot roster-tree 42 'roster examples/port.harbor.yaml --profile winter --format tree'
shot demo 42 'demo'
shot explain 42 'explain examples/port.harbor.yaml CraneShed'
shot compare 42 'compare examples/port.harbor.yaml dock-test winter'
shot survey 42 'survey --code examples/target/classes --package gullwing.office'
shot first-day 42 'check examples/first-day/office.harbor.yaml'
shot draft 42 'draft --code examples/target/classes --entry gullwing.office.BookingDesk,gullwing.office.OverdueJob'
page page-matrix examples/port.harbor.yaml matrix
page page-graph examples/port.harbor.yaml 'graph/winter?with=live'
page page-consumer examples/port.harbor.yaml consumer/gullwing.quay.LockKeeper
page page-findings examples/broken.harbor.yaml findings
page page-realism 'examples/port.harbor.yaml --observed examples/observed' realism
