package mardun.core.working;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SentenceTest {

    @Test
    void whatSomebodyTypedIsAValueAndNeverATemplate() {
        Sentence sentence = Sentence.of("{0} is {1} wide.", Value.of("Tab {1} of $1 \\ {"), Value.of(3));
        assertThat(sentence.words()).isEqualTo("Tab {1} of $1 \\ { is {1} wide.");
        assertThat(sentence.values()).hasSize(2);
    }

    @Test
    void wordsWithoutValuesAreSaidAsTheyAre() {
        assertThat(Sentence.of("“a {0} b” can't be read.").words()).isEqualTo("“a {0} b” can't be read.");
    }
}
