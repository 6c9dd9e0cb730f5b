#!/bin/sh
# Does a test fail where the code is changed? Changes the compiled code of a module, a few changes in each
# class, runs the tests of all modules on each, and says how many were noticed:
#   sh mutation/run.sh core|notation|rig|report [CHANGES OF A CLASS, 2] [CLASSES, dev.patientharbor.*]
# What was not noticed is listed in target/mutation/MODULE/mutations.csv, with the line. Takes about an hour for core.
set -eu
cd "$(dirname "$0")/.."
module=$1
changes=${2:-2}
classes=${3:-'dev.patientharbor.*'}
# Without the module for mocks: with it on the class path nobody would meet the built-in ones.
modules="core notation rig report junit cli"
mvn -q -B -ntp -DskipTests -Dspotless.check.skip package \
    dependency:build-classpath -Dmdep.outputFile=target/classpath.txt -Dmdep.includeScope=test
mvn -q -B -ntp -f mutation/pom.xml dependency:build-classpath -Dmdep.outputFile=target/classpath.txt
root=$PWD
own=""
for each in $modules; do
    own="$own$root/$each/target/classes:$root/$each/target/test-classes:"
done
own="$own$root/examples/target/classes"
libraries=$(for each in $modules; do tr ':' '\n' <"$each/target/classpath.txt"; done |
    grep -v "^$root/\|/dev/patientharbor/" | sort -u | tr '\n' ':')
# Tests read files of their module, and of its neighbours: they run in a folder beside the modules that has the files of all.
work=$root/mutation-work
rm -rf "$work"
trap 'rm -rf "$work"' EXIT
mkdir -p "$work/src/test/resources" "$work/src/main/java" "$root/target/mutation"
cp -R cli/src/test/resources/. notation/src/test/resources/. "$work/src/test/resources"
cp -R core/src/main/java/. "$work/src/main/java"
# Each change has a process of its own: what tests keep in static fields would hide it else. Tests that take longer
# than five seconds are left out, so that what is counted as noticed is a lower bound.
slow=$(for test in RealBuild Company Damage RandomInput RandomEdits Dependencies DeepGraphs Reference CompleteIsMet \
    RigIsRoster ReflectionAgrees Lives Entangled LazyWorlds Capabilities RecordAndReplay ModulePath Snippets \
    HostileInput HostileClasses ReadOnDemand WrongMarks ConversionAgrees CodeReader; do
    printf '*%sTest,' "$test"
done)
cd "$work"
java -cp "$(cat "$root/mutation/target/classpath.txt"):$own:$libraries" \
    org.pitest.mutationtest.commandline.MutationCoverageReport \
    --reportDir "$root/target/mutation/$module" --timestampedReports=false --outputFormats CSV,HTML \
    --classPath "$(echo "$own:$libraries" | tr ':' ',' | sed 's/,,*/,/g; s/,$//')" \
    --mutableCodePaths "$root/$module/target/classes" --sourceDirs "$root/$module/src/main/java" \
    --targetClasses "$classes" --targetTests 'dev.patientharbor.*Test' \
    --excludedTestClasses "${slow%,}" \
    --features "+CLASSLIMIT(limit[$changes])" --skipFailingTests=true --threads 2 --mutationUnitSize 1 --timeoutConst 60000 \
    --jvmArgs "-Dpatientharbor.compiled=$root/target/mutation/compiled" >"$root/target/mutation/$module.log" 2>&1 || {
    tail -n 30 "$root/target/mutation/$module.log"
    exit 1
}
grep -A 3 '^>> Generated' "$root/target/mutation/$module.log"
