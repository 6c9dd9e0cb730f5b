#!/bin/sh
# Does what docs/in-your-project.md says, word for word, in a new folder with a new local repository: writes each file of
# the page, runs each command, and holds what comes back against what the page says. Our artifacts are published
# into a repository made for it; all else comes from where this machine has it, or from the registry.
set -eu
cd "$(dirname "$0")/.."
root=$PWD
work=$root/target/in-your-project
published=$root/target/published
of=${MAVEN_REPOSITORY:-$HOME/.m2/repository}
rm -rf "$work" "$published"
mkdir -p "$work/project"

mvn -q -B -ntp -Prelease -DskipTests -Dspotless.check.skip deploy \
    "-DaltDeploymentRepository=published::file:$published" >"$work/publish.log" 2>&1 || {
    tail -n 30 "$work/publish.log"
    exit 1
}

cat >"$work/settings.xml" <<SETTINGS
<settings>
  <profiles>
    <profile>
      <id>here</id>
      <repositories>
        <repository><id>published</id><url>file://$published</url><snapshots><enabled>true</enabled></snapshots></repository>
        <repository><id>downloaded</id><url>file://$of</url><releases><checksumPolicy>ignore</checksumPolicy></releases></repository>
      </repositories>
      <pluginRepositories>
        <pluginRepository><id>published</id><url>file://$published</url><snapshots><enabled>true</enabled></snapshots></pluginRepository>
        <pluginRepository><id>downloaded</id><url>file://$of</url><releases><checksumPolicy>ignore</checksumPolicy></releases></pluginRepository>
      </pluginRepositories>
    </profile>
  </profiles>
  <activeProfiles><activeProfile>here</activeProfile></activeProfiles>
</settings>
SETTINGS

# Each block behind a comment becomes a step: a number, what the comment says, and the block.
awk -v steps="$work/steps" '
    BEGIN { system("mkdir -p " steps) }
    /^<!-- (file|run)/ { what = $0; gsub(/^<!-- | -->$/, "", what); next }
    /^```/ && what != "" && !inside { inside = 1; n++; name = sprintf("%s/%02d", steps, n); print what > (name ".what"); printf "" > (name ".text"); next }
    /^```/ && inside { inside = 0; what = ""; close(name ".what"); close(name ".text"); next }
    inside { print > (name ".text") }
' docs/in-your-project.md

cd "$work/project"
runs=0
for step in "$work"/steps/*.what; do
    what=$(cat "$step")
    text=${step%.what}.text
    case $what in
        file:*)
            file=${what#file: }
            mkdir -p "$(dirname "$file")"
            cp "$text" "$file"
            ;;
        run*)
            runs=$((runs + 1))
            log=${step%.what}.log
            code=0
            # The repository is empty but for what is published; the page need not say so.
            {
                echo "mvn() { command mvn -B -ntp -s '$work/settings.xml' '-Dmaven.repo.local=$work/repository' \"\$@\"; }"
                cat "$text"
            } | sh -e >"$log" 2>&1 || code=$?
            case $what in
                run) expected=0 reason="" ;;
                *) expected=1 reason=${what#run: fails, for } ;;
            esac
            if [ "$code" -ne "$expected" ] || ! grep -q "$reason" "$log"; then
                tail -n 40 "$log"
                echo "$what: ended with $code"
                cat "$text"
                exit 1
            fi
            echo "$what: $(grep -v '^ *$' "$text" | tail -n 1 | cut -c 1-90)"
            ;;
    esac
done
[ "$runs" -eq 8 ] || { echo "the page has $runs runs"; exit 1; }
grep -q 'ferry.LowTideGauge' src/test/resources/accepted-roster.txt
grep -q '"met":{' target/patient-harbor/patient-harbor.html || { echo "the page tells nothing of what tests met"; exit 1; }
for result in check.sarif TEST-patient-harbor.xml; do
    grep -q unmet-need "target/patient-harbor/$result"
done
# And what goes with them: sources and Javadoc of each library, the archive, and that it runs where nothing else is.
for library in core notation rig report page junit mockito; do
    for kind in sources javadoc; do
        ls "$published/dev/patientharbor/patient-harbor-$library"/*/*-"$kind.jar" >/dev/null
    done
done
tar -xzf "$root"/archive/target/patient-harbor-*.tar.gz -C "$work"
cd "$work"/patient-harbor-*/
bin/patient-harbor check examples/port.harbor.yaml | tail -n 1
[ "$(ls share/man/man1/*.1 | wc -l)" -ge 13 ]
grep -q unmet-need docs/findings.md
echo "the page holds"
