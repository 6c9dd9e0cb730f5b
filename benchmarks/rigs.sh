#!/bin/sh
# Builds, then measures rigs beside what one would write by hand: sh benchmarks/rigs.sh
# MAVEN_REPOSITORY says where Maven keeps libraries, if not in its usual place.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -DskipTests -Dspotless.check.skip package
of=${MAVEN_REPOSITORY:-$HOME/.m2/repository}
jars=$(find "$of/org/openjdk/jmh/jmh-core" "$of/net/sf/jopt-simple" "$of/org/apache/commons/commons-math3" \
    -name '*.jar' | tr '\n' ':')
path=cli/target/patient-harbor.jar:benchmarks/target/classes:$jars
java -cp "$path" dev.patientharbor.benchmarks.ColdRig
java -cp "$path" org.openjdk.jmh.Main 'RigRatio|FirstRigs' | grep -E '^(Benchmark|RigRatio|FirstRigs)'
