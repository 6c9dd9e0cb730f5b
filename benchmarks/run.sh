#!/bin/sh
# Builds, then runs the benchmarks: sh benchmarks/run.sh [CLASSES PROFILES...]
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -DskipTests -Dspotless.check.skip package
[ $# -gt 0 ] || set -- 10000 1 12
exec java -cp benchmarks/target/classes:cli/target/patient-harbor.jar \
    dev.patientharbor.benchmarks.CheckRatio "$@"
