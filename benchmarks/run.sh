#!/bin/sh
# Builds, then runs the benchmarks: sh benchmarks/run.sh [CLASSES PROFILES...]
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -DskipTests -Dspotless.check.skip package
./patient-harbor --version
# The launcher has an archive for each Java that ran it; another Java would do without.
archive=cli/target/start/$(readlink -f "$(command -v java)" | tr / _).jsa
[ $# -gt 0 ] || set -- 10000 1 12
exec java -Dpatientharbor.archive="$archive" -cp cli/target/start/patient-harbor.jar:benchmarks/target/classes \
    dev.patientharbor.benchmarks.CheckRatio "$@"
