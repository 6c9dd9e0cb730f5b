String log = new File(basedir, "build.log").text
String accepted = new File(basedir, "src/test/resources/accepted-roster.txt").text
assert log.contains("[ERROR]   error roster-changed · later/port.harbor.yaml:7:17")
assert log.contains("accepted      gullwing.TideGauge: real gullwing.SonarTideGauge")
assert log.contains("[ERROR]                   src/test/resources/accepted-roster.txt")
assert log.contains("mvn dev.patientharbor:patient-harbor-maven-plugin:accept")
assert log.contains("skipped")
assert accepted.contains("real gullwing.PaperTideGauge")
assert !accepted.contains("Sonar")
