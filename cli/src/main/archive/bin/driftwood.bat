@echo off
rem Driftwood's launcher for Windows: finds a JDK and runs the program beside it.
setlocal
if defined JAVA_HOME (
  set "JAVA=%JAVA_HOME%\bin\java.exe"
) else (
  set "JAVA=java.exe"
)
"%JAVA%" -version >nul 2>&1
if errorlevel 1 (
  echo driftwood: no Java found. Install a JDK of version 17 or newer, or set JAVA_HOME to one. 1>&2
  exit /b 2
)
"%JAVA%" -XX:+UseParallelGC -XX:TieredStopAtLevel=1 -Dfile.encoding=UTF-8 %DRIFTWOOD_JAVA_OPTIONS% -jar "%~dp0..\lib\driftwood.jar" %*
exit /b %errorlevel%
