#!/bin/sh
# Builds the small projects of src/it with the newest Maven 3.9, on the newest Java of the machine. The build itself does
# so with the Maven and the Java that run it.
set -eu
root=$(cd "$(dirname "$0")/../../.." && pwd)
newest=3.9.16
work=$root/maven-plugin/target/versions
mkdir -p "$work"
if [ ! -d "$work/apache-maven-$newest" ]; then
    (cd "$root" && mvn -q -B -ntp -N org.apache.maven.plugins:maven-dependency-plugin:3.8.1:copy \
        -Dartifact="org.apache.maven:apache-maven:$newest:tar.gz:bin" -DoutputDirectory="$work")
    tar -xzf "$work/apache-maven-$newest-bin.tar.gz" -C "$work"
fi
for java in "${JAVA_HOME:-}" /usr/lib/jvm/*; do
    [ -x "$java/bin/javac" ] || continue
    version=$("$java/bin/javac" -version 2>&1 | sed 's/javac \([0-9]*\).*/\1/')
    echo "$version $java"
done | sort -n | tail -n 1 >"$work/javas"
[ -s "$work/javas" ] || echo "- " >"$work/javas"
while read -r version java; do
    log=$work/maven-$newest-java-$version.txt
    if (cd "$root" && mvn -B -ntp -pl maven-plugin -am verify -DskipTests -Dspotless.check.skip -Dskip.projects=false \
        "-Dinvoker.mavenHome=$work/apache-maven-$newest" ${java:+"-Dinvoker.javaHome=$java"}) >"$log" 2>&1; then
        echo "Maven $newest, Java $version: $(grep -c 'SUCCESS (' "$log") projects as expected"
    else
        tail -n 40 "$log"
        echo "Maven $newest, Java $version: not all is well"
        exit 1
    fi
done <"$work/javas"
