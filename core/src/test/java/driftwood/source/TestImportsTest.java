package driftwood.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TestImportsTest {

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(delimiter = '|', value = {
        "quay/Tide.java|true|package quay;~import java.util.List;~import org.junit.jupiter.api.Test;~class Tide { }",
        "quay/Tide.java|true|import static org.assertj.core.api.Assertions.assertThat;~class Tide { }",
        "quay/TideTest.java|false|package quay;~import java.util.List;~class TideTest { }",
        "quay/Tide.java|false|package quay;~class Tide { String s = \"import org.junit.Test;\"; }~import org.junit.Test;",
        "org/junit/Runner.java|false|package org.junit.runner;~import org.junit.Test;~class Runner { }",
        "a/src/main/java/quay/Tide.java|false|package quay;~import org.junit.Test;~class Tide { }",
        "quay/tide.py|true|import os~~import pytest~~from quay import Tide~~def test_rises(): pass",
        "quay/tide.py|true|from unittest import TestCase~class Tide(TestCase): pass",
        "quay/tide.py|false|from quay.pytests import rise~import unittests~class Tide: pass",
        "quay/tide.py|false|import quay~class Tide: pass~import pytest",
        "quay/Tide.java|false|"})
    void aFileIsATestByWhatItImports(String path, boolean test, String text) {
        assertThat(new TestImports(List.of("org.junit.", "org.assertj.", "pytest.", "unittest.")).are(path, text == null ? "" : text.replace('~', '\n'))).isEqualTo(test);
    }
}
