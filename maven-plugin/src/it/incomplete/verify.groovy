String log = new File(basedir, "build.log").text
File results = new File(basedir, "target/patient-harbor")
assert log.contains("[ERROR]   error unmet-need · port.harbor.yaml:7:3")
assert log.contains("[ERROR]     write         TideGauge: PaperTideGauge")
assert log.contains("See above, or")
assert new File(results, "check.sarif").text.contains("\"unmet-need\"")
assert new File(results, "check.sarif").text.contains("\"port.harbor.yaml\"")
assert new File(results, "TEST-patient-harbor.xml").text.contains("unmet-need")
