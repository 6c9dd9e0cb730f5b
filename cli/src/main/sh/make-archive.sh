#!/bin/sh
# make-archive.sh JAVA JAR EXAMPLES ARCHIVE
# Makes a class-data archive of all classes that the tool needs for its commands. A static one: the
# kind made while running leaves out classes of an old class-file version, which some libraries have.
set -eu
java=$1 jar=$2 examples=$3 archive=$4

work=$archive.$$
mkdir -p "$(dirname "$archive")"
trap 'rm -f "$work" "$work".list' EXIT

# One process for all commands: a list that is put together from several is refused by newer Javas.
"$java" -Xshare:off -XX:DumpLoadedClassList="$work.list" -Dpatientharbor.columns=80 \
    -Dpatientharbor.examples="$examples" -cp "$jar" dev.patientharbor.cli.CommandRehearsal "$examples"
"$java" -Xshare:dump -XX:SharedClassListFile="$work.list" -XX:SharedArchiveFile="$work" \
    -XX:+UseG1GC -cp "$jar"
mv "$work" "$archive"
