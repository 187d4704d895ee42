package mardun.app.problem;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TypedTextTest {

    @Test
    void nothingThatWasTypedIsQuotedAtLength() {
        String sentence = TypedText.shortened("There is no list “" + "x".repeat(5_000) + "”, and “short” stays.");
        assertThat(sentence).hasSizeLessThan(200).contains("x…”", "“short” stays.");
        assertThat(RefusedException.missing("“" + "ç".repeat(500) + "”").getMessage())
                .hasSizeLessThan(130);
    }

    @Test
    void whatCantBeSeenIsTakenOut() {
        assertThat(TypedText.clean("a\u0000b\uD83Ec\nd")).isEqualTo("abc\nd");
        assertThat(TypedText.clean("c\u0327"))
                .as("one letter, however it was typed")
                .isEqualTo("ç");
    }
}
