package mardun.app.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doNothing;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import mardun.app.demo.DemoYears.Begun;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.StockService;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** Busy years that were stopped in their midst are gone on with, and not begun anew. */
class DemoYearsTest {

    private static final LocalDate SEASON = LocalDate.of(2026, 9, 1);
    private static final Map<String, MaterialId> MATERIALS = Map.of(
            "Zip tape, navy", new MaterialId(1),
            "Slider, nickel", new MaterialId(2),
            "Soft fusible", new MaterialId(3),
            "Woven label", new MaterialId(4));

    @TempDir
    private Path folder;

    private final MaterialService materials = mock();
    private final DemoBatches batches = mock();
    private final DemoFairs fairs = mock();

    @Test
    void whatLiesBehindIsntLivedAgain() {
        years().live(SEASON, begun(480));
        verify(batches, times(20)).planned(any(), any(), anyString(), any(), any());
        verify(materials, never()).create(any());
    }

    @Test
    void afterEachFairItIsKeptHowFarTheyAre() {
        doNothing()
                .doThrow(new IllegalStateException("a power cut"))
                .when(fairs)
                .busy(any(), anyString(), anyInt(), anyBoolean());
        assertThatIllegalStateException().isThrownBy(() -> years().live(SEASON, begun(447)));
        assertThat(years().begun()).contains(begun(448));
    }

    @Test
    void onceLivedNothingIsLeftToGoOnWith() {
        years().live(SEASON, begun(447));
        assertThat(years().begun()).isEmpty();
    }

    private DemoYears years() {
        return new DemoYears(
                materials,
                mock(StockService.class),
                batches,
                mock(DemoBench.class),
                fairs,
                new TravellingClock(),
                new JsonMapper(),
                folder,
                1);
    }

    private static Begun begun(int lived) {
        return new Begun(
                lived,
                MATERIALS,
                Map.of("Heron pouch", new DesignId(7)),
                Map.of("Round the corner", 5L),
                List.of(new MaterialId(30), new MaterialId(31)));
    }
}
