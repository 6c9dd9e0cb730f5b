@echo off
rem Runs the tool. It needs a Java 17 or newer: that of JAVA_HOME, or the one on the path.
setlocal
set "root=%~dp0.."
set "java=java"
if defined JAVA_HOME set "java=%JAVA_HOME%\bin\java"
"%java%" -Xshare:auto -XX:+UseSerialGC -Xms64m "-Dpatientharbor.examples=%root%\examples" -cp "%root%\lib\patient-harbor.jar" dev.patientharbor.cli.Main %*
exit /b %ERRORLEVEL%
