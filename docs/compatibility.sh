#!/bin/sh
# Does a change take away, or alter, what users rely on? Compares the exported packages with those of
# a revision: sh docs/compatibility.sh [REVISION]; without one with the newest tag that begins with v.
# Fails, and says what, where a program that was compiled against that revision might not run any more.
set -eu
cd "$(dirname "$0")/.."
revision=${1:-$(git describe --tags --abbrev=0 --match 'v*' 2>/dev/null || true)}
if [ -z "$revision" ]; then
    echo "nothing was released yet: there is no tag that begins with v"
    exit 0
fi
folder=$(mktemp -d)
trap 'git worktree remove --force "$folder/then" 2>/dev/null; rm -rf "$folder"' EXIT
git worktree add -q --detach "$folder/then" "$revision"
libraries=core,notation,report,rig,junit
(cd "$folder/then" && mvn -q -B -ntp -DskipTests -Dspotless.check.skip -pl $libraries -am package)
mkdir "$folder/jars"
for library in $(echo $libraries | tr ',' ' '); do
    # The version may be another one by now; the jar of tests is not for users.
    for jar in "$folder/then/$library/target"/patient-harbor-*.jar; do
        case $jar in *-tests.jar | *-sources.jar | *-javadoc.jar) ;; *) cp "$jar" "$folder/jars/patient-harbor-$library.jar" ;; esac
    done
done
mvn -q -B -ntp -DskipTests -Dspotless.check.skip -Pcompatibility -Dcompared.with="$folder/jars" -pl $libraries -am package
echo "whoever was compiled against $revision still runs"
