package mardun.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimeOfDayReaderTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "9 | 09:00",
                "09 | 09:00",
                "9:30 | 09:30",
                "09:30:00 | 09:30",
                "' 9.30 ' | 09:30",
                "'9,30' | 09:30",
                "9h | 09:00",
                "9h30 | 09:30",
                "9 h 30 | 09:30",
                "930 | 09:30",
                "0930 | 09:30",
                "18:05 | 18:05",
                "0:00 | 00:00",
                "23:59 | 23:59",
                "9am | 09:00",
                "9 AM | 09:00",
                "5 pm | 17:00",
                "5:30 p.m. | 17:30",
                "12 am | 00:00",
                "12:15 pm | 12:15"
            })
    void readsWhatPeopleType(String typed, LocalTime time) {
        assertThat(TimeOfDayReader.read(typed)).isEqualTo(time);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "24:00",
                "25",
                "9:60",
                "9:3",
                "9:",
                "13 pm",
                "0 am",
                "noon",
                "-9",
                "9:30:15",
                "9 30 pm x"
            })
    void saysOfAnythingElseWhatWouldBeRight(String typed) {
        assertThatThrownBy(() -> TimeOfDayReader.read(typed))
                .isInstanceOf(MeasureException.class)
                .hasMessage("“" + typed + "” isn’t a time of day. Type one like 9:30, 18:00 or 6 pm");
    }
}
