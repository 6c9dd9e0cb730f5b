#!/bin/sh
# Builds, then measures how work and output grow: sh benchmarks/growth.sh [THING...] [TIMES]
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -DskipTests -Dspotless.check.skip package
exec java -cp cli/target/patient-harbor.jar:benchmarks/target/classes:"$(find "$HOME/.m2/repository/org/ow2/asm/asm" -name 'asm-[0-9]*[0-9].jar' | sort | tail -n 1)" \
    dev.patientharbor.benchmarks.GrowthTable "$@"
