#!/bin/sh
# Runs one small test project with the oldest JUnit that is supported, with 5.14 and with the newest 6.x.
# Everything must have been packaged before: mvn package.
set -eu
root=$(cd "$(dirname "$0")/../../.." && pwd)
work=$root/junit/target/versions
ours=$root/cli/target/patient-harbor.jar:$root/junit/target/classes:$root/examples/target/classes
# What JUnit and the examples need beside.
javac=${JAVA_HOME:+$JAVA_HOME/bin/}javac
java=${JAVA_HOME:+$JAVA_HOME/bin/}java
for version in 1.10.0 1.12.2 1.14.4 6.1.3; do
    jar=$work/junit-$version.jar
    mkdir -p "$work/$version"
    if [ ! -f "$jar" ]; then
        (cd "$root" && mvn -q -B -ntp -N org.apache.maven.plugins:maven-dependency-plugin:3.8.1:copy \
            -Dartifact="org.junit.platform:junit-platform-console-standalone:$version" -DoutputDirectory="$work" -Dmdep.stripVersion=true)
        mv "$work/junit-platform-console-standalone.jar" "$jar"
    fi
    "$javac" -d "$work/$version" -cp "$ours:$jar" "$root"/junit/src/versions/java/*.java
    case $version in 1.*) junit=5${version#1} ;; *) junit=$version ;; esac
    rm -rf "$work/observed"
    if (cd "$root/examples" && "$java" "-Dpatientharbor.observed=$work/observed" -jar "$jar" execute --class-path "$work/$version:$ours" \
        --scan-class-path "$work/$version" --details=summary --disable-banner --fail-if-no-tests) >"$work/$version.txt" 2>&1; then
        # What the tests used is written, whichever way a JUnit has to say that it is done.
        met=$(cat "$work"/observed/*.observed.txt | grep -c 'stub gullwing.trial.FixedTideGauge | [1-9]')
        [ "$met" -ge 1 ] || { echo "JUnit $junit: nothing was observed"; exit 1; }
        echo "JUnit $junit: $(grep 'tests successful' "$work/$version.txt" | tr -d '[]' | xargs)"
    else
        cat "$work/$version.txt"
        echo "JUnit $junit: not all is well"
        exit 1
    fi
done
