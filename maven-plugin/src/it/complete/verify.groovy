String log = new File(basedir, "build.log").text
File results = new File(basedir, "target/patient-harbor")
String sarif = new File(results, "check.sarif").text
String tests = new File(results, "TEST-patient-harbor.xml").text
String roster = new File(results, "roster.txt").text
assert log.contains("The profile is complete")
assert log.contains("patient-harbor:accept") && log.contains("Writes who receives what as a text")
assert sarif.contains("2.1.0")
assert tests.contains("failures=\"0\"")
assert roster.contains("live  real SonarTideGauge")
assert log.contains("real SonarTideGauge")
assert new File(results, "roster.json").text.contains("\"patientHarborRoster\"")
assert new File(results, "patient-harbor.html").text.contains("<h1>Complete</h1>")
assert log.contains("was observed of Complete")
assert !new File(results, "patient-harbor.html").text.contains('"met":{')
