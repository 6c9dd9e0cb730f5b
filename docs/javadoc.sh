#!/bin/sh
# Builds the Javadoc of what users may rely on into target/javadoc: sh docs/javadoc.sh
# Fails on a warning. MAVEN_REPOSITORY says where Maven keeps libraries, if not in its usual place.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -DskipTests -Dspotless.check.skip package
of=${MAVEN_REPOSITORY:-$HOME/.m2/repository}
jars=$(find "$of/org/junit" "$of/org/opentest4j" "$of/org/apiguardian" -name '*.jar' | tr '\n' ':')
packages=$(sed -n 's/^ *exports \(dev\.patientharbor\.[a-z]*\);$/\1/p' ./*/src/main/modules/module-info.java)
sources=core/src/main/java:notation/src/main/java:rig/src/main/java:report/src/main/java:page/src/main/java:junit/src/main/java
# shellcheck disable=SC2086
javadoc -quiet -Werror -Xdoclint:all,-missing -windowtitle 'Patient Harbor' -d target/javadoc \
    -sourcepath "$sources" -cp "cli/target/patient-harbor.jar:$jars" $packages
echo "target/javadoc/index.html"
