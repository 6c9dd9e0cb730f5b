#!/bin/sh
# make-archive.sh JAVA JAR EXAMPLES START_JAR ARCHIVE
# Makes what the tool starts quickly with: a copy of the jar in which each lambda is a class of its own,
# and a class-data archive of all classes that the commands need. A static one: the kind made while
# running leaves out classes of an old class-file version, which some libraries have.
set -eu
java=$1 jar=$2 examples=$3 start=$4 archive=$5

work=$archive.$$
mkdir -p "$(dirname "$archive")"
trap 'rm -f "$work" "$work".list' EXIT
[ "$start" -nt "$jar" ] || {
    "$java" -cp "$jar" dev.patientharbor.start.StartJar "$jar" "$work"
    mv "$work" "$start"
}

# One process for all commands: a list that is put together from several is refused by newer Javas.
"$java" -Xshare:off -XX:DumpLoadedClassList="$work.list" -Dpatientharbor.columns=80 \
    -Dpatientharbor.examples="$examples" -cp "$start" dev.patientharbor.cli.CommandRehearsal "$examples"
"$java" -Xshare:dump -XX:SharedClassListFile="$work.list" -XX:SharedArchiveFile="$work" \
    -XX:+UseG1GC -cp "$start"
mv "$work" "$archive"
