String log = new File(basedir, "build.log").text
assert log.contains("nothing is compiled yet")
assert !new File(basedir, "src/test/resources/accepted-roster.txt").exists()
