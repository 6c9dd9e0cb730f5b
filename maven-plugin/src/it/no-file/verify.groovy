String log = new File(basedir, "build.log").text
assert log.contains("there is no *.harbor.yaml in")
assert !new File(basedir, "target/patient-harbor").exists()
