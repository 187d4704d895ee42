package mardun.app.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class KeepingTest {

    private static final LocalDateTime LAST = LocalDateTime.of(2026, 11, 29, 20, 0);

    private static Set<LocalDateTime> kept(List<LocalDateTime> all) {
        return Keeping.kept(all, LocalDateTime::toLocalDate, Comparator.naturalOrder());
    }

    @Test
    void theLastOfEachDayStays() {
        LocalDateTime yesterday = LAST.minusDays(1);
        assertThat(kept(List.of(LAST, yesterday.minusHours(8), yesterday))).containsExactlyInAnyOrder(LAST, yesterday);
    }

    @Test
    void ofTheLatestDayAHandfulStays() {
        List<LocalDateTime> all = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            all.add(LAST.minusMinutes(i));
        }
        assertThat(kept(all)).containsExactlyInAnyOrderElementsOf(all.subList(0, 8));
    }

    @Test
    void aYearOfDaysThinsOut() {
        List<LocalDateTime> all = new ArrayList<>();
        for (int day = 0; day < 500; day++) {
            all.add(LAST.minusDays(day));
        }
        Set<LocalDateTime> kept = kept(all);
        assertThat(kept).hasSizeBetween(12 + 4 + 3, 7 + 5 + 12);
        for (int day = 0; day < 7; day++) {
            assertThat(kept).contains(LAST.minusDays(day));
        }
        assertThat(kept.stream().map(at -> at.toLocalDate().withDayOfMonth(1)).collect(Collectors.toSet()))
                .hasSize(12)
                .contains(LocalDate.of(2025, 12, 1));
    }

    @Test
    void whatIsLeftStaysWhenNoneCameForLong() {
        List<LocalDateTime> rare = List.of(LAST.minusYears(3), LAST.minusYears(2), LAST.minusYears(1));
        assertThat(kept(rare)).containsExactlyInAnyOrderElementsOf(rare);
    }
}
