package mardun.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BulkTest {

    @ParameterizedTest
    @CsvSource({
        "120 g,         WEIGHT, 120000000000",
        "'0,5 kg',      WEIGHT, 500000000000",
        "1 oz,          WEIGHT, 28349523125",
        "1/2 lb,        WEIGHT, 226796185000",
        "1 1/2 pounds,  WEIGHT, 680388555000",
        "250ml,         VOLUME, 250000000000000",
        "1 cup,         VOLUME, 236588236500000",
        "8 fl. oz.,     VOLUME, 236588236500000",
        "½ l,           VOLUME, 500000000000000"
    })
    void readsWhatPeopleType(String text, Bulk.Kind kind, long amount) {
        assertThat(BulkReader.read(text)).isEqualTo(new Bulk(kind, amount));
    }

    @ParameterizedTest
    @CsvSource({
        "120,       has no unit",
        "a handful, isn't a weight or a volume",
        "3 spoons,  has “spoons” where a unit stands",
        "9999 kg,   is beyond any workroom",
        "1/0 g,     has a fraction over nothing",
        "'',        isn't a weight or a volume"
    })
    void saysWhatIsWrong(String text, String why) {
        assertThatThrownBy(() -> BulkReader.read(text))
                .isInstanceOf(MeasureException.class)
                .hasMessageContaining(why);
    }

    @ParameterizedTest
    @CsvSource({
        "120 g,  METRIC, 120 g,     false",
        "1.5 kg, METRIC, 1.5 kg,    false",
        "4 oz,   INCH,   4 oz,      false",
        "120 g,  INCH,   4.2 oz,    true",
        "4 oz,   METRIC, 113 g,     true",
        "1 cup,  INCH,   8 fl oz,   false"
    })
    void writesInTheMakersUnits(String text, UnitSystem system, String shown, boolean rounded) {
        assertThat(BulkWriter.write(BulkReader.read(text), system)).isEqualTo(new Shown(shown, rounded));
    }

    @Test
    void sixteenOuncesAreAPoundExactly() {
        assertThat(BulkReader.read("1 oz").times(16)).isEqualTo(BulkReader.read("1 lb"));
    }
}
