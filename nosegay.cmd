@echo off
rem Builds what is missing and starts Nosegay. Needs JDK 17 or later and Maven 3.8 on the PATH.
setlocal
set HOME_DIR=%~dp0
if "%1"=="test" (
  cd /d "%HOME_DIR%"
  call mvn -B verify
  exit /b %ERRORLEVEL%
)
if not exist "%HOME_DIR%nosegay-cli\target\nosegay-cli-*.jar" (
  pushd "%HOME_DIR%"
  call mvn -q -B -DskipTests package || exit /b 2
  popd
)
for %%f in ("%HOME_DIR%nosegay-cli\target\nosegay-cli-*.jar") do set JAR=%%f
java -Xmx2g -Dnosegay.voice="%HOME_DIR%nosegay-voice\target\voice" -cp "%JAR%;%HOME_DIR%nosegay-cli\target\app\*" app.nosegay.cli.Main %*
