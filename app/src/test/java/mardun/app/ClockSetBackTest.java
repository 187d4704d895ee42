package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;

/** The machine's clock was set back by a year after some things were entered: what is there is there, and can be taken. */
class ClockSetBackTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long cloth;

    @BeforeAll
    static void enteredAYearAhead() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        cloth = APP.enter(APP.cloth("Canvas", "44 in", "9.00", "10 yd"));
        JdbcTemplate tables = APP.part(JdbcTemplate.class);
        assertThat(tables.update("update stock_movement set moved_at = dateadd('YEAR', 1, moved_at)"))
                .isPositive();
        tables.update("update lot set came_at = dateadd('YEAR', 1, came_at)");
        tables.update("update material_price set since = dateadd('YEAR', 1, since)");
    }

    @Test
    void theShelfIsWhatWasEnteredWhateverTheClockSays() {
        assertThat(APP.post(
                                "/api/materials/" + cloth + "/movements",
                                Map.of(
                                        "requestId",
                                        UUID.randomUUID(),
                                        "kind",
                                        "SOLD_ON",
                                        "amount",
                                        "4 yd",
                                        "reason",
                                        "to a neighbour",
                                        "paid",
                                        ""))
                        .status())
                .isEqualTo(201);
        assertThat(APP.text("/api/materials/" + cloth)).contains("\"inch\":\"6 yd");
        assertThat(APP.text("/api/stock-value")).contains("54.00");
        assertThat(APP.text("/api/stock-take?size=500")).contains("6 yd");
        assertThat(APP.text("/api/logbook")).contains("Canvas");
    }
}
