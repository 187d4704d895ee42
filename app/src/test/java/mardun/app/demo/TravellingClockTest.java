package mardun.app.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import mardun.app.StartRefusedException;
import org.junit.jupiter.api.Test;

class TravellingClockTest {

    private static final Instant NOW = Instant.parse("2026-11-24T18:30:00Z");
    private final TravellingClock clock = new TravellingClock(Clock.fixed(NOW, ZoneId.of("Europe/Lisbon")));

    @Test
    void goesToADayAndComesBack() {
        List<LocalDate> lived = new ArrayList<>();
        clock.on(LocalDate.of(2026, 8, 1), () -> lived.add(LocalDate.now(clock)));
        assertThat(lived).containsExactly(LocalDate.of(2026, 8, 1));
        assertThat(clock.instant()).isEqualTo(NOW);
        assertThat(clock.realToday()).isEqualTo(LocalDate.of(2026, 11, 24));
    }

    @Test
    void comesBackFromADayThatWentWrong() {
        assertThatThrownBy(() -> clock.on(LocalDate.of(2026, 8, 1), () -> {
                    throw new IllegalStateException("a bad day");
                }))
                .hasMessage("a bad day");
        assertThat(clock.instant()).isEqualTo(NOW);
        assertThat(clock.getZone()).isEqualTo(ZoneId.of("Europe/Lisbon"));
    }

    @Test
    void livesThroughNoOtherDayOnceTheProcessIsStopped() {
        List<Integer> lived = new ArrayList<>();
        assertThatThrownBy(() -> clock.untilTheProcessIsStopped(() -> {
                    clock.on(LocalDate.of(2026, 8, 1), () -> lived.add(1));
                    clock.stop();
                    clock.on(LocalDate.of(2026, 8, 2), () -> lived.add(2));
                }))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("made anew the next time");
        assertThat(lived).containsExactly(1);
        assertThat(clock.instant()).isEqualTo(NOW);
    }
}
