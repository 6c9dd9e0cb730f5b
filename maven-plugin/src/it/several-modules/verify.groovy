String log = new File(basedir, "build.log").text
File quay = new File(basedir, "quay/target/patient-harbor")
String sarif = new File(quay, "check.sarif").text
// A place is told from the folder of the whole build.
assert sarif.contains("quay/quay.harbor.yaml")
assert log.contains("All 3 profiles are complete")
assert log.contains("test   complete")
assert log.contains("night  complete")
assert !log.contains("not marked")
assert !new File(basedir, "works/target/patient-harbor").exists()
